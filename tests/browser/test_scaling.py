"""A dessert at other sizes: in molds, in portions, cut from sheets, by templates."""

import re
from io import BytesIO

import pypdfium2
from playwright.sync_api import Locator, Page, expect

from fernbell.core.cutting import BAR_MM
from tests.browser.conftest import come_in, enter, seek
from tests.server.test_scaling import bar_mm


def open_way(page: Page, dessert: str, way: str) -> None:
    seek(page, "Dessert", dessert)
    expect(page.locator("ol.unseen")).to_contain_text(dessert)
    page.get_by_role("link", name=way, exact=True).click()
    expect(page.get_by_role("heading", name=dessert, level=2)).to_be_visible()


def test_a_dessert_goes_into_five_molds_and_one_factor_is_weighed(page: Page, demo: str) -> None:
    come_in(page, demo)
    open_way(page, "Reedbed", "Other molds")
    wall = page.get_by_role("list", name="Molds")
    expect(wall.get_by_role("button", name="Ring 20 cm, 4.5 high as drawn")).to_be_visible()
    ticket = page.get_by_role("region", name="One mold")
    # What they hold beside the ring of 20 cm, by hand: (d / 200)² x h / 45.
    for mold, factor in (
        ("Ring 18 cm, 6 high", "1.08"),
        ("Ring 18 cm, 4.5 high", "0.81"),
        ("Ring 16 cm, 4.5 high", "0.64"),
        ("Ring 14 cm, 4.5 high", "0.49"),
        ("Ring 24 cm, 4.5 high", "1.44"),
    ):
        wall.get_by_role("button", name=mold).click()
        expect(ticket.get_by_role("heading", name=mold)).to_be_visible()
        expect(ticket).to_contain_text(f"Holds{factor}")
    wall.get_by_role("button", name="Ring 16 cm, 4.5 high").click()
    table = ticket.get_by_role("table", name="Each part in this mold")
    expect(table.get_by_role("row", name="Toasted barley mousse")).to_contain_text("−29")
    expect(table.get_by_role("row", name="Quince, set")).to_contain_text("× 0.56 by volume")
    # A figure is asked why.
    table.get_by_role("row", name="Quince, set").get_by_role("button").last.click()
    expect(page.get_by_role("dialog")).to_contain_text("grams before × one factor")
    page.keyboard.press("Escape")
    page.get_by_role("radio", name="Keep portions").click()
    expect(wall.get_by_role("button", name="Ring 16 cm, 4.5 high")).to_contain_text(
        "9 × 8 of 109 g"
    )
    page.get_by_role("radio", name="Keep proportions").click()
    expect(table.get_by_role("row", name="Toasted barley mousse")).to_contain_text("+0")
    # From what there is: one takes 106 g of the glaze, 1 200 g are enough for 11.
    enter(page, "There is", "1200")
    expect(wall.get_by_role("button", name="Ring 16 cm")).to_contain_text("enough for 11")
    expect(ticket).to_contain_text("There is enough for")
    ticket.get_by_role("button", name="Make 6 in this mold too").click()
    expect(ticket.get_by_role("button", name="It is a size of this dessert now")).to_be_visible()
    page.get_by_role("link", name="← Reedbed").click()
    expect(page.get_by_role("button", name="6 × Ø 16 cm")).to_be_visible()


def test_sixty_bases_are_cut_from_sheets_and_printed(page: Page, demo: str) -> None:
    come_in(page, demo)
    open_way_cut(page)
    enter(page, "For how many desserts", "60")
    takes = page.get_by_role("region", name="What it takes")
    expect(takes.get_by_role("heading", name="10 sheets")).to_be_visible()
    sheet = page.get_by_role("img", name="10 sheets alike: 6 pieces")
    expect(sheet.locator(".piece")).to_have_count(6)
    expect(takes).to_contain_text("a sheet gives 6, grid; no way gives more")
    # A smaller cutter's worth: rings of 200 mm have bases of 184; a knife of 40 mm is refused.
    enter(page, "Between cuts", "40")
    expect(
        page.get_by_text("Between cuts must be at least 0 and at most 20 mm, not 40.")
    ).to_be_visible()
    enter(page, "Between cuts", "2")
    enter(page, "Sheet, long", "150")
    enter(page, "Sheet, wide", "150")
    expect(page.get_by_role("alert")).to_contain_text("not Ø 18.4 cm")
    enter(page, "Sheet, long", "600")
    enter(page, "Sheet, wide", "400")
    expect(takes.get_by_role("heading", name="10 sheets")).to_be_visible()
    address = takes.get_by_role("link", name="PDF").first.get_attribute("href")
    printed = page.request.get(demo + str(address))
    assert printed.headers["content-type"] == "application/pdf"
    assert abs(bar_mm(printed.body(), 0) - BAR_MM) < 0.4


def open_way_cut(page: Page) -> None:
    seek(page, "Dessert", "Reedbed")
    expect(page.locator("ol.unseen")).to_contain_text("Reedbed")
    page.get_by_role("link", name="Cut from sheets", exact=True).click()
    expect(page.get_by_role("heading", name="Rye crumble base", level=2)).to_be_visible()


def test_a_search_goes_on_until_it_finds_a_sheet_less(page: Page, demo: str) -> None:
    come_in(page, demo)
    seek(page, "Dessert", "Foghorn domes")
    expect(page.locator("ol.unseen")).to_contain_text("Foghorn domes")
    page.get_by_role("link", name="Cut from sheets", exact=True).click()
    takes = page.get_by_role("region", name="What it takes")
    expect(takes.get_by_role("heading", name="1 sheet")).to_be_visible()
    # 72 mm discs, 3 mm between: as 75 mm on 385 × 285; rows give 18, only a search finds 19.
    for label, value in (
        ("Edge trimmed off", "0"),
        ("Between cuts", "3"),
        ("Sheet, long", "382"),
        ("Sheet, wide", "282"),
        ("For how many desserts", "38"),
    ):
        enter(page, label, value)
    expect(takes.get_by_role("heading", name="2 sheets")).to_be_visible()
    expect(takes).to_contain_text("a sheet gives 19, searched")


def test_portions_are_weighed_and_cut_for_ninety_six(page: Page, demo: str) -> None:
    come_in(page, demo)
    open_way(page, "Reedbed", "Portions")
    drawn = page.get_by_role("img", name="12 portions of 109 to 109 g")
    expect(drawn.locator("text")).to_have_count(12)
    guests = page.get_by_role("region", name="For the guests")
    expect(guests).to_contain_text("8 × 12 wedges")
    enter(page, "Knife", "40")
    expect(page.get_by_text("Knife must be at least 0 and at most 10 mm, not 40.")).to_be_visible()
    enter(page, "Knife", "2")
    enter(page, "Covers", "0")
    expect(page.get_by_text(re.compile("Covers must be at least 1"))).to_be_visible()
    enter(page, "Covers", "90")
    way = guests.get_by_role("listitem").filter(has_text=re.compile(r"\d × 15 wedges"))
    way.get_by_role("button", name="Cut it so").click()
    expect(way.get_by_role("button", name="Cut so")).to_be_visible()
    expect(page.get_by_role("img", name=re.compile("^15 portions"))).to_be_visible()
    page.get_by_role("link", name="← Reedbed").click()
    expect(page.get_by_label("Number", exact=True)).to_have_value("15")


def test_a_template_is_printed_at_full_size(page: Page, demo: str) -> None:
    come_in(page, demo)
    seek(page, "Dessert", "Reedbed")
    expect(page.locator("ol.unseen")).to_contain_text("Reedbed")
    page.get_by_role("link", name="Templates", exact=True).click()
    liner = (
        page.get_by_role("list", name="Templates")
        .get_by_role("listitem")
        .filter(has_text="Liner strip")
    )
    expect(liner).to_contain_text("638.3 × 45 mm")
    expect(liner).to_contain_text("3 pages to join")
    page.get_by_role("button", name="Letter").click()
    address = liner.get_by_role("link", name="PDF").get_attribute("href")
    printed = page.request.get(demo + str(address)).body()
    document = pypdfium2.PdfDocument(BytesIO(printed))
    assert sorted(round(side / 72, 1) for side in document[0].get_size()) == [8.5, 11]
    assert abs(bar_mm(printed, 0) - BAR_MM) < 0.4


def test_what_is_poured_is_cut_from_no_sheet(page: Page, demo: str) -> None:
    come_in(page, demo)
    seek(page, "Dessert", "Interval cups")
    expect(page.locator("ol.unseen")).to_contain_text("Interval cups")
    page.get_by_role("link", name="Cut from sheets", exact=True).click()
    expect(page.get_by_role("heading", name="Nothing is cut from a sheet")).to_be_visible()
    page.get_by_role("link", name="Templates", exact=True).click()
    expect(page.get_by_role("heading", name="Nothing is cut by a template")).to_be_visible()


def test_three_desserts_in_two_sizes_are_merged_set_out_and_bought(page: Page, demo: str) -> None:
    come_in(page, demo)
    page.get_by_role("link", name="Plan").click()
    expect(page.get_by_role("heading", name="Full night, 96 covers")).to_be_visible()
    page.get_by_role("button", name="Begin an order").click()
    page.get_by_label("Name of the new order").fill("Garden party")
    page.get_by_label("Name of the new order").press("Enter")
    expect(page.get_by_role("heading", name="Garden party", level=1)).to_be_visible()
    ticket = page.get_by_role("region", name="The order")

    def put_in(dessert: str, count: str) -> Locator:
        lines = ticket.get_by_role("list").first.get_by_role("listitem")
        before = lines.count()
        seek(page, "Put in a dessert", dessert)
        expect(lines).to_have_count(before + 1)
        line = ticket.get_by_role("listitem", name=dessert).last
        enter(page, "How many", count, within=line)
        return line

    put_in("Reedbed", "4")
    small = put_in("Reedbed", "6")
    seek(page, "Made in", "Ring 16 cm, 4.5 high", within=small)
    expect(small).to_contain_text("6 × Ø 16 cm, 72 portions")
    put_in("Foghorn domes", "48")
    put_in("Beekeeper's tart", "3")
    page.get_by_role("button", name="Batches", exact=True).click()
    cards = page.get_by_role("list", name="Formulas in the order of making")
    base = cards.get_by_role("listitem").filter(
        has=page.get_by_role("heading", name="Rye crumble base", exact=True)
    )
    # One sheet for both sizes.
    expect(base).to_have_count(1)
    expect(base).to_contain_text("for 4 × Reedbed, Ø 20 cm, 6 × Reedbed, Ø 16 cm")
    mousse = cards.get_by_role("listitem").filter(
        has=page.get_by_role("heading", name="White chocolate mousse", exact=True)
    )
    # The bowl of 6 l holds half of it, but two trays of 8 are filled three times.
    expect(mousse.first).to_contain_text("in 3 batches")
    expect(mousse.first).to_contain_text("for 16 × Foghorn domes")
    page.get_by_role("button", name="Set out", exact=True).click()
    cold = page.get_by_role("region", name="Cold")
    expect(cold).to_contain_text("Cream, 35 %")
    page.get_by_role("button", name="By what is done").click()
    expect(page.get_by_role("region", name="To bloom")).to_contain_text("Gelatin")
    page.get_by_role("button", name="Shopping", exact=True).click()
    shop = page.get_by_role("table", name="Shopping")
    expect(shop).to_contain_text("In all, as far as prices are known")
    page.reload()
    expect(ticket.get_by_role("listitem", name="Beekeeper's tart")).to_be_visible()

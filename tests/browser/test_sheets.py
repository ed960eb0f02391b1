"""Sheets on paper: what the screen shows is what is printed, in A4 and Letter."""

from io import BytesIO

import pypdfium2
import pytest
from playwright.sync_api import Page, expect

from fernbell.server.desserts.models import Dessert
from fernbell.server.molds.models import Mold
from fernbell.server.planning.models import Order, Vessel
from tests.browser.conftest import come_in

POINTS = {"A4": (595, 842), "Letter": (612, 792)}
# What stands on a page, and how far down the last of it reaches.
FILLED = """pages => pages.map(page => {
    const inner = page.querySelector('.inner')
    const room = inner.getBoundingClientRect()
    const ends = [...inner.children].map(one => one.getBoundingClientRect().bottom)
    return { over: inner.scrollHeight - inner.clientHeight,
             used: [...inner.children].reduce((all, one) => all + one.offsetHeight, 0)
                   / inner.clientHeight,
             wide: inner.scrollWidth - inner.clientWidth }
})"""


def laid_out(page: Page, path: str) -> None:
    page.goto(path)
    expect(page.get_by_role("region", name="Page 1", exact=True)).to_be_visible()


def printed(page: Page) -> list[str]:
    """The words of each page of the PDF, whose size is checked against the paper chosen."""
    paper = page.get_by_role("button", pressed=True).filter(has_text="4").count()
    pdf = pypdfium2.PdfDocument(BytesIO(page.pdf(prefer_css_page_size=True)))
    for one in pdf:
        size = (round(one.get_width()), round(one.get_height()))
        assert size == POINTS["A4" if paper else "Letter"]
    return [one.get_textpage().get_text_bounded() for one in pdf]


def test_every_dessert_and_the_order_fit_their_pages_in_both_papers(page: Page, demo: str) -> None:
    come_in(page, demo)
    order = Order.objects.get()
    ways = [f"/desserts/{one.pk}/sheets" for one in Dessert.objects.filter(archived_at=None)]
    order_way = f"/plan/{order.pk}/sheets"
    for way in (*ways, order_way):
        laid_out(page, demo + way)
        for paper in POINTS if way in (ways[0], order_way) else ("A4",):
            page.get_by_role("button", name=paper, exact=True).click()
            expect(page.locator(f".stack .paper.{paper.lower()}").first).to_be_visible()
            filled = page.locator(".stack .paper").evaluate_all(FILLED)
            assert all(one["over"] <= 0 and one["wide"] <= 0 for one in filled), (way, filled)
            # No page but the last is half empty.
            assert all(one["used"] > 0.5 for one in filled[:-1]), (way, paper, filled)
    for paper in POINTS:
        page.get_by_role("button", name=paper, exact=True).click()
        expect(page.locator(f".stack .paper.{paper.lower()}").first).to_be_visible()
        number = page.locator(".stack .paper").count()
        words = printed(page)
        assert len(words) == number
        for at, text in enumerate(words, start=1):
            assert f"{at} / {number}" in text


def test_what_is_weighed_is_on_paper_with_its_cautions(page: Page, demo: str) -> None:
    come_in(page, demo)
    key = Dessert.objects.get(name="Reedbed").pk
    laid_out(page, f"{demo}/desserts/{key}/sheets")
    text = " ".join(" ".join(printed(page)).split())
    for said in (
        "Reedbed",
        "acetate strip 638.3 × 45 mm",
        "Pour 10 mm into a filmed ring of 16 cm",  # follows the drawing
        "83 °C",
        "freeze 2–4 h",
        "Hot sugar: sleeves down",
        "eggs to crack",
        "Contains gluten",
        "local codes",
    ):
        assert said in text
    # No arithmetic of rounding, and nothing that only a screen has.
    for said in ("rounding", "× 2.", "Print the sheets", "What next"):
        assert said not in text
    # By hand: 6 of 227.6 g of set quince are 1 366 g, and 500 of 572.8 g of it are purée: 1 192 g.
    assert "1192Quincepurée" in "".join(text.split())


def test_a_small_bowl_prints_batches_side_by_side(page: Page, demo: str) -> None:
    Vessel.objects.filter(kind="mixer").update(most=2500)
    come_in(page, demo)
    key = Dessert.objects.get(name="Reedbed").pk
    laid_out(page, f"{demo}/desserts/{key}/sheets?count=24")
    mousse = page.get_by_role("article").filter(
        has=page.get_by_role("heading", name="Toasted barley mousse")
    )
    expect(mousse.get_by_role("columnheader").first).to_contain_text("batch")
    row = mousse.get_by_role("row", name="Cream, 35 %")
    expect(row).to_contain_text("cup")
    columns = mousse.get_by_role("columnheader").count()
    assert columns >= 2
    assert row.locator(".tick").count() == columns
    assert page.locator(".stack .paper").evaluate_all(FILLED)[0]["wide"] <= 0


def test_a_formula_alone_is_pinned_up_at_its_size(page: Page, demo: str) -> None:
    come_in(page, demo)
    page.get_by_role("link", name="Formulas").click()
    page.get_by_role("complementary").get_by_role("link", name="Quince, set").click()
    page.get_by_label("Finished mass").fill("2000")
    page.get_by_label("Finished mass").press("Enter")
    page.get_by_role("link", name="Sheets to pin up").click()
    expect(page.get_by_role("region", name="Page 1", exact=True)).to_contain_text("Quince purée")
    (words,) = printed(page)
    assert "this size 2" in " ".join(words.split())


@pytest.mark.parametrize("count", ["0", "5001"])
def test_too_many_are_refused_and_the_field_says_so(page: Page, demo: str, count: str) -> None:
    come_in(page, demo)
    key = Dessert.objects.get(name="Reedbed").pk
    laid_out(page, f"{demo}/desserts/{key}/sheets")
    page.get_by_label("For how many desserts").fill(count)
    page.get_by_label("For how many desserts").press("Enter")
    expect(page.get_by_role("alert").first).to_contain_text("ount must be")


def test_two_sizes_are_told_apart_and_a_third_group_has_a_sheet_of_its_own(
    page: Page, demo: str
) -> None:
    row = Dessert.objects.get(name="Reedbed")
    rings = ("Ring 12 cm, 4.5 high", "Ring 14 cm, 4.5 high", "Ring 16 cm, 4.5 high")
    found = [Mold.objects.get(name=name).pk for name in rings]
    row.sizes = [{"key": f"s{at}", "mold": str(key), "count": 2} for at, key in enumerate(found)]
    row.save()
    come_in(page, demo)
    laid_out(page, f"{demo}/desserts/{row.pk}/sheets")
    headings = page.get_by_role("heading", name="Reedbed", level=1)
    expect(headings).to_have_count(2)
    first = page.get_by_role("table", name="Building").first
    lining = first.get_by_role("row", name="Line the mold")
    # By hand: pi x 200 + 10 and pi x 120 + 10 mm.
    expect(lining).to_contain_text("Ø 20 cm: acetate strip 638.3 × 45 mm")
    expect(lining).to_contain_text("Ø 12 cm: acetate strip 387 × 45 mm")
    filled = page.locator(".stack .paper").evaluate_all(FILLED)
    assert all(one["over"] <= 0 and one["wide"] <= 0 for one in filled)


def test_five_thousand_and_a_hundred_batches_stay_on_their_pages(page: Page, demo: str) -> None:
    come_in(page, demo)
    key = Dessert.objects.get(name="Foghorn domes").pk
    laid_out(page, f"{demo}/desserts/{key}/sheets?count=5000")
    expect(page.get_by_text("White chocolate mousse").first).to_be_attached()
    filled = page.locator(".stack .paper").evaluate_all(FILLED)
    assert all(one["over"] <= 0 and one["wide"] <= 0 for one in filled), filled
    ticks = page.get_by_role("article").filter(
        has=page.get_by_role("heading", name="White chocolate mousse")
    )
    assert ticks.locator(".tick").count() >= 2 * 8

"""Work on the drawing itself: dragging, reordering, turning over, the building, sizes, stacks."""

import re
from dataclasses import replace

import pytest
from playwright.sync_api import Locator, Page, expect

from fernbell.core.desserts import ByWeight, refit, solve, solve_order
from fernbell.core.molds import Ring
from fernbell.demo.book import demo_book
from fernbell.demo.desserts import REEDBED
from tests.browser.conftest import come_in, enter, palette, pick, seek


def shelf(page: Page) -> Locator:
    return page.get_by_role("list", name="Parts")


def middle(one: Locator) -> tuple[float, float]:
    """Where it is once the cut is drawn and its letters have come, when nothing moves any more."""
    one.page.locator("svg .part").first.wait_for()
    one.page.evaluate("document.fonts.ready.then(() => true)")
    box = one.bounding_box()
    assert box is not None
    return box["x"] + box["width"] / 2, box["y"] + box["height"] / 2


def carry(page: Page, start: tuple[float, float], end: tuple[float, float]) -> None:
    page.mouse.move(*start)
    page.mouse.down()
    page.mouse.move(start[0] + (end[0] - start[0]) / 2, start[1] + (end[1] - start[1]) / 2, steps=4)
    page.mouse.move(*end, steps=4)


def pixels_per_mm(page: Page) -> float:
    """From the ruler along the board, whose first two marks are 20 mm apart."""
    marks = page.locator(".ruler text")
    texts = marks.all_text_contents()
    zero = max(i for i, text in enumerate(texts) if text == "0")
    return (middle(marks.nth(zero + 1))[0] - middle(marks.nth(zero))[0]) / int(texts[zero + 1])


def test_a_heart_is_moved_by_its_body_and_centered_again(page: Page, demo: str) -> None:
    come_in(page, demo)
    shelf(page).get_by_role("button", name="Quince, set").click()
    heart = page.get_by_role("group", name="The cut").get_by_role("button", name="Quince, set")
    x, y = middle(heart)
    scale = pixels_per_mm(page)
    carry(page, (x - 60, y), (x - 60 + 12 * scale, y - 3 * scale))
    # 20 mm all round less 12 leaves 8, which is too little; shown while the button is held.
    expect(page.get_by_text("Quince heart is 8 mm from the wall")).to_be_visible()
    expect(page.locator(".dimension.own.short")).to_have_text("8")
    page.mouse.up()
    expect(page.get_by_label("Off center")).to_have_value("12")
    expect(page.get_by_role("textbox", name="Above the board")).to_have_value("23")
    page.get_by_role("button", name="Center it").click()
    expect(page.get_by_label("Off center")).to_have_value("0")
    expect(page.get_by_text("Quince heart is 8 mm from the wall")).to_be_hidden()


def test_a_selected_heart_is_nudged_by_the_arrow_keys(page: Page, demo: str) -> None:
    come_in(page, demo)
    heart = page.get_by_role("group", name="The cut").get_by_role("button", name="Malt crémeux")
    heart.focus()
    page.keyboard.press("Enter")
    for key in ("ArrowRight", "ArrowRight", "Shift+ArrowLeft", "ArrowUp"):
        page.keyboard.press(key)
    expect(page.get_by_label("Off center")).to_have_value("1.5")
    expect(page.get_by_role("textbox", name="Above the board")).to_have_value("21")
    expect(heart).to_be_focused()


def test_bases_are_reordered_by_dragging_on_the_shelf(page: Page, demo: str) -> None:
    come_in(page, demo)
    start = middle(shelf(page).get_by_role("button", name="Rye crumble base"))
    x, y = middle(shelf(page).get_by_role("button", name="Brown-butter sponge"))
    carry(page, start, (x, y - 12))
    page.mouse.up()
    expect(shelf(page).get_by_role("listitem").nth(5)).to_contain_text("Rye crumble base")
    expect(shelf(page).get_by_role("listitem")).to_have_count(8)
    page.keyboard.press("Control+z")
    expect(shelf(page).get_by_role("listitem").nth(5)).to_contain_text("Brown-butter sponge")


def test_layers_are_reordered_by_dragging_on_the_cut(page: Page, demo: str) -> None:
    come_in(page, demo)
    shelf(page).get_by_role("button", name="Quince, set").click()
    x, y = middle(page.locator(".grip"))
    carry(page, (x, y), (x, y - 14 * pixels_per_mm(page)))
    page.mouse.up()
    expect(shelf(page).get_by_role("listitem").nth(3)).to_contain_text("Quince, set")
    expect(shelf(page).get_by_role("listitem").nth(4)).to_contain_text("Malt crémeux")


def test_the_drawing_is_turned_over_and_the_building_follows_how_it_is_built(
    page: Page, demo: str
) -> None:
    come_in(page, demo)
    base = page.get_by_role("group", name="The cut").get_by_role("button", name="Rye crumble")
    glaze = page.get_by_role("group", name="The cut").get_by_role("button", name="Amber glaze")
    below = middle(base)[1]
    page.get_by_role("button", name="Turned over").click()
    # In the mold, before unmolding: the base is on top, and nothing is glazed yet.
    expect(glaze).to_be_hidden()
    assert middle(base)[1] < below
    stages = page.get_by_role("list", name="Building").get_by_role("listitem")
    order = [re.sub(r"^\d+ ", "", text) for text in stages.locator("strong").all_inner_texts()]
    assert order.index("Rye crumble base") < order.index("Main pour")
    page.get_by_role("button", name="Upside down").click()
    expect(stages.nth(2)).to_contain_text("Main pour")
    turned = [re.sub(r"^\d+ ", "", text) for text in stages.locator("strong").all_inner_texts()]
    assert turned.index("Main pour") < turned.index("Set Quince heart")
    assert turned.index("Set Quince heart") < turned.index("Rye crumble base")
    # The geometry is the same, so the grams are.
    expect(page.get_by_role("region", name="What it takes")).to_contain_text("3\u202f149")


def test_a_stage_is_shown_large_with_its_wait_and_what_is_made_ahead(page: Page, demo: str) -> None:
    come_in(page, demo)
    page.get_by_role("button", name="Main pour").click()
    large = page.get_by_role("region", name="Stage 7")
    expect(large).to_contain_text("Then freeze 6–14 h")
    expect(large).to_contain_text("the method of Toasted barley mousse")
    large.get_by_role("button", name="How it comes about").click()
    # By hand: pi/4 x 20² x 2.5 = 785.4 ml, less 201.1 of quince and 120.6 of crémeux.
    expect(page.get_by_role("dialog")).to_contain_text("− 201.1 − 120.6 = 463.7 ml")
    page.keyboard.press("Escape")
    for _ in range(2):
        large.get_by_role("button", name="Next").click()
        large = page.get_by_role("region", name="Stage")
    expect(large).to_contain_text("Amber glaze")
    expect(large).to_contain_text("Made ahead · Amber glaze: chill 12–48 h first")
    large.get_by_role("button", name="Back to the cut").click()
    expect(page.get_by_role("group", name="The cut")).to_be_visible()


def test_a_second_size_follows_the_first_until_it_is_drawn_on(page: Page, demo: str) -> None:
    come_in(page, demo)
    seek(page, "Add a size", "Ring 8 cm")
    expect(page.get_by_text("Follows the first size")).to_be_visible()
    enter(page, "How many desserts", "12")
    small, book = refit(REEDBED, Ring(80, 50)), demo_book()
    order = solve_order([(REEDBED, 6), (small, 12)], book)
    ticket = page.get_by_role("region", name="What it takes")
    whole = page.get_by_role("table", name="The whole order")
    for take in order.takes:
        row = whole.get_by_role("row").filter(has_text=take.name)
        figure = f"{take.make.value:,.0f}".replace(",", "\u202f")
        expect(row).to_contain_text(figure)
    # In another mold it goes on following.
    seek(page, "Made in", "Ring 16 cm")
    expect(page.get_by_role("button", name="12 × Ø 16 cm")).to_be_visible()
    expect(page.get_by_text("Follows the first size")).to_be_visible()
    page.keyboard.press("Control+z")
    expect(page.get_by_role("button", name="12 × Ø 8 cm")).to_be_visible()
    # A wrong count is told at its field, whichever size it is of.
    enter(page, "How many desserts", "0")
    expect(ticket).to_contain_text("How many desserts must be at least 1.")
    enter(page, "How many desserts", "12")
    # Drawn on, it stands on its own: the first keeps its 10 mm.
    shelf(page).get_by_role("button", name="Quince, set").click()
    enter(page, "Thickness", "-3")
    editor = page.get_by_role("article", name="Measures of")
    expect(editor).to_contain_text("Thickness must be more than 0")
    enter(page, "Thickness", "6")
    expect(page.get_by_text("Drawn on its own.")).to_be_visible()
    page.get_by_role("button", name="6 × Ø 20 cm").click()
    expect(page.get_by_label("Thickness", exact=True)).to_have_value("10")
    page.get_by_role("button", name="12 × Ø 8 cm").click()
    expect(page.get_by_label("Thickness", exact=True)).to_have_value("6")
    page.get_by_role("button", name="Follow the first size").click()
    expect(page.get_by_label("Thickness", exact=True)).to_have_value("10")
    ticket.get_by_role("link", name="Sheets to pin up").click()
    expect(page.get_by_text("6 × Ø 20 cm + 12 × Ø 8 cm")).to_be_visible()
    glaze = page.get_by_role("article").filter(has_text="Amber glaze").last
    expect(glaze).to_contain_text("Ø 20 cm")
    expect(glaze).to_contain_text("Ø 8 cm")


def test_portions_are_cut_by_weight(page: Page, demo: str) -> None:
    come_in(page, demo)
    page.locator(".way .ant-select").click()
    page.locator(".ant-select-item-option").get_by_text("So heavy").click()
    enter(page, "About", "150")
    solved, _ = solve(replace(REEDBED, portions=ByWeight(150)), demo_book(), 6)
    assert solved.portions == 9  # (1 351 - 12 x 1.5) / (150 - 1.5) = 8.97
    expect(page.get_by_role("img", name="From above: 9 cuts")).to_be_visible()
    page.get_by_title("How Portions by weight comes about").click()
    expect(page.get_by_role("dialog")).to_contain_text("cut into 9")


def test_a_stack_is_kept_and_used_in_another_dessert(page: Page, demo: str) -> None:
    come_in(page, demo)
    shelf(page).get_by_role("button", name="Quince, set").click()
    page.get_by_role("button", name="Keep as a stack").click()
    dialog = page.get_by_role("dialog")
    dialog.get_by_label("Name of the stack").fill("Quince on rye")
    dialog.get_by_role("checkbox", name="Rye crumble base").check()
    dialog.get_by_role("button", name="Keep it").click()
    expect(dialog).to_be_hidden()
    palette(page, "draw a new")
    dialog = page.get_by_role("dialog")
    dialog.get_by_label("Name").fill("Small one")
    seek(page, "Begin with", "an empty mold")
    seek(page, "Made in", "Ring 16 cm", within=dialog)
    dialog.get_by_role("button", name="Draw it").click()
    # A dessert just drawn asks for its first part by itself.
    page.get_by_role("dialog").get_by_role("button", name="Quince on rye", exact=True).click()
    # The gaps are kept: 160 less 2 x 8, and 160 less 2 x 20.
    expect(shelf(page).get_by_role("button", name="Rye crumble base")).to_contain_text("14.4 cm")
    expect(shelf(page).get_by_role("button", name="Malt crémeux")).to_contain_text("12 cm")
    page.keyboard.press("a")
    page.get_by_role("button", name="Archive the stack Quince on rye").click()
    expect(page.get_by_role("dialog")).not_to_contain_text("Quince on rye")


def test_a_formula_alone_says_what_it_does(page: Page, demo: str) -> None:
    come_in(page, demo)
    shelf(page).get_by_role("button", name="Amber glaze").click()
    page.get_by_role("button", name="Take out").click()
    expect(shelf(page).get_by_role("listitem")).to_have_count(7)
    page.keyboard.press("a")
    pick(page, "Made of", "Amber glaze")
    expect(page.get_by_role("radio", name="A coat over it")).to_be_checked()
    page.get_by_role("button", name="Add the part").click()
    expect(shelf(page).get_by_role("listitem").nth(1)).to_contain_text("coat · surface")


def test_a_dessert_is_composed_from_the_keyboard_alone(page: Page, demo: str) -> None:
    come_in(page, demo)

    palette(page, "draw a new")
    name = page.get_by_role("dialog").get_by_label("Name")
    expect(name).to_be_focused()
    page.keyboard.type("Night tart")
    page.keyboard.press("Tab")
    page.keyboard.press("ArrowDown")
    page.locator(".ant-select-item-option-active").get_by_text("a kind of dessert").wait_for()
    page.keyboard.press("ArrowDown")
    page.locator(".ant-select-item-option-active").get_by_text("an empty mold").wait_for()
    page.keyboard.press("Enter")
    page.get_by_role("dialog").get_by_role("button", name="Draw it").focus()
    page.keyboard.press("Enter")
    for formula in ("Rye crumble base", "Quince, set", "Toasted barley mousse"):
        if formula != "Rye crumble base":  # the first part is asked for by itself
            page.keyboard.press("a")
        made_of = page.get_by_role("dialog").get_by_role("combobox", name="Made of")
        expect(made_of).to_be_focused()
        page.keyboard.type(formula)
        page.locator(".ant-select-item-option-active").get_by_text(formula).wait_for()
        page.keyboard.press("Enter")
        expect(page.get_by_role("button", name="Add the part")).to_be_focused()
        page.keyboard.press("Enter")
        expect(page.get_by_role("dialog")).to_be_hidden()
        expect(shelf(page).get_by_role("button", name=formula)).to_be_visible()
    page.keyboard.press("s")
    expect(page.get_by_role("heading", name="Sheets")).to_be_visible()
    expect(page.get_by_role("article").filter(has_text="Quince, set").first).to_be_visible()


def test_keys_are_listed_and_stay_out_of_fields(page: Page, demo: str) -> None:
    come_in(page, demo)
    page.keyboard.press("?")
    dialog = page.get_by_role("dialog")
    expect(dialog).to_contain_text("Turn the drawing over")
    expect(dialog).to_contain_text("Take the part out")
    page.keyboard.press("Escape")
    expect(dialog).to_be_hidden()
    page.get_by_role("button", name="More for Reedbed").click()
    page.get_by_role("menuitem", name="Rename").click()
    page.get_by_label("Name", exact=True).fill("")
    page.keyboard.type("Bat at s?")
    page.keyboard.press("Enter")
    expect(page.get_by_role("complementary", name="Parts")).to_contain_text("Bat at s?")
    expect(page.get_by_role("dialog")).to_be_hidden()


def test_the_cut_is_read_aloud(page: Page, demo: str) -> None:
    come_in(page, demo)
    cut = page.get_by_role("group", name="The cut")
    expect(cut).to_have_accessible_description(
        re.compile(r"Quince, set from 20 to 30 mm.*20 mm from the wall")
    )


@pytest.mark.parametrize("size", [(1280, 800), (1024, 768)])
def test_nothing_runs_over_the_side_in_any_room(
    page: Page, demo: str, size: tuple[int, int]
) -> None:
    page.set_viewport_size({"width": size[0], "height": size[1]})
    come_in(page, demo)
    zones = page.locator(".zones > *")
    for room in ("/formulas", "/pantry", "/molds", "/desserts"):
        page.get_by_role("navigation", name="Rooms").locator(f'[href="{room}"]').click()
        expect(page).to_have_url(re.compile(room))
        expect(page.locator(".zones")).to_be_visible()
        for i in range(zones.count()):
            wide = zones.nth(i).evaluate("zone => zone.scrollWidth - zone.clientWidth")
            assert wide <= 1, (room, i, wide)
        assert page.evaluate("document.documentElement.scrollHeight") <= size[1]


def test_a_dessert_goes_onto_paper_without_its_controls(page: Page, demo: str) -> None:
    come_in(page, demo)
    expect(page.get_by_role("list", name="Building")).to_be_visible()
    page.emulate_media(media="print")
    expect(page.get_by_role("heading", name="Reedbed", level=1)).to_be_visible()
    expect(page.get_by_role("group", name="The cut")).to_be_visible()
    expect(page.get_by_role("navigation", name="Rooms")).to_be_hidden()
    for control in ("Undo", "Turned over", "Add a part"):
        expect(page.get_by_role("button", name=control)).not_to_be_in_viewport()
    pages = page.pdf(format="A4").count(b"/Type /Page\n")
    assert pages == 2

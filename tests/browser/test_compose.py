"""Composing: from an empty kitchen to printed sheets, and figures that follow the drawing."""

import re
from dataclasses import replace

import pytest
from playwright.sync_api import Page, expect

from fernbell.core.desserts import Insert, solve
from fernbell.demo.book import demo_book
from fernbell.demo.desserts import REEDBED
from tests.browser.conftest import come_in, enter, pick, seek, unfold


def ticket(page: Page) -> str:
    """The ticket's text with plain spaces."""
    text = page.get_by_role("region", name="What it takes").inner_text().replace("\u202f", "")
    return re.sub(r"(\d) ?(g|ml)\b", r"\1 \2", re.sub(r"\s+", " ", text))


def reedbed_with_quince(height_mm: float) -> dict[str, float]:
    """Grams to make of each part, as core has them."""
    parts = tuple(
        replace(part, layers=(part.layers[0], replace(part.layers[1], height_mm=height_mm)))
        if isinstance(part, Insert)
        else part
        for part in REEDBED.parts
    )
    solved, _ = solve(replace(REEDBED, parts=parts), demo_book(), 6)
    return {part.name: part.make.value for part in solved.parts}


def test_from_an_empty_kitchen_to_printed_sheets(page: Page, site: str) -> None:
    unfold(page)
    page.goto(site)
    page.get_by_label("Kitchen").fill("Quay Kitchen")
    page.get_by_label("Your name").fill("Mira Holt")
    page.get_by_label("Name to sign in with").fill("mira")
    page.get_by_label("Password").fill("seven sweet hours")
    page.get_by_label("Start with a pantry").uncheck()
    page.get_by_role("button", name="Found the kitchen").click()

    expect(page.get_by_role("heading", name="No dessert yet")).to_be_visible()
    page.get_by_role("button", name="Draw a dessert").click()
    page.get_by_role("dialog").get_by_label("Name").fill("Cloud")
    seek(page, "Begin with", "an empty mold")
    page.get_by_label("Ring across, inside").fill("180")
    page.get_by_label("Height").fill("45")
    page.get_by_role("button", name="Draw it").click()
    expect(page.get_by_role("button", name="1 × Ø 18 cm")).to_be_visible()
    for rule, formula in (("A base on the board", "Shortbread"), ("Fill the rest", "Cloud cream")):
        if rule == "Fill the rest":  # the first part is asked for by itself
            page.get_by_role("button", name="Add a part").click()
        page.get_by_role("dialog").get_by_text(rule).click()
        pick(page, "Made of", formula)
        page.get_by_role("button", name="Add the part").click()
        expect(page.get_by_role("dialog")).to_be_hidden()
        expect(page.get_by_text(f"{formula} has no lines yet.")).to_be_visible()

    page.get_by_role("link", name="Formulas").click()
    write_formula(page, "Cloud cream", ["300 g cream", "30 g sugar"])
    write_formula(page, "Shortbread", ["200 g flour", "100 g butter"])
    enter(page, "Weighed cup", "0.6")
    page.get_by_role("link", name="Pantry").click()
    for name, density in (("Cream", "1"), ("Sugar", "1.59")):
        page.get_by_role("complementary").get_by_role("link", name=name, exact=True).click()
        expect(page.get_by_label("Name", exact=True)).to_have_value(name)
        enter(page, "Density, without gaps or air", density)
        expect(page.get_by_role("region", name="What it is")).not_to_contain_text("Its density")

    page.get_by_role("link", name="Desserts").click()
    expect(page.get_by_role("region", name="Findings")).not_to_contain_text("no lines yet")
    # By hand: the ring holds 1145.1 ml, the base pi/4 x 16.4² x 0.8 = 169.0 ml; the rest is
    # 976.1 ml of cream at 330 / (300 + 18.87) = 1.0349 g/ml, 1010 g.
    assert "Cloud cream 976 ml 1010 g" in ticket(page)
    assert "Shortbread 169 ml 101 g" in ticket(page)

    page.get_by_role("link", name="Sheets to pin up").click()
    # The dessert's own, and one a formula.
    expect(page.get_by_role("article")).to_have_count(3)
    sheet = page.get_by_role("article").filter(has=page.get_by_role("heading", name="Cloud cream"))
    # 1010 g + 2 % in the pan = 1031 g weighed: 937 of cream, 94 of sugar.
    expect(sheet.get_by_role("row", name="Cream").first).to_contain_text("937")
    expect(sheet.get_by_role("row", name="Sugar")).to_contain_text("94")
    page.emulate_media(media="print")
    expect(page.get_by_role("button", name="Print the sheets")).to_be_hidden()
    expect(page.get_by_role("navigation", name="Rooms")).to_be_hidden()
    expect(sheet).to_be_visible()
    assert page.pdf(format="A4").startswith(b"%PDF")


def write_formula(page: Page, name: str, lines: list[str]) -> None:
    page.get_by_role("complementary").get_by_role("link", name=name).click()
    expect(page.get_by_label("Formula", exact=True)).to_have_value(name)
    typed = page.get_by_role("combobox", name=re.compile("Type a line"))
    for line in lines:
        typed.fill(line)
        typed.press("Enter")
        page.get_by_role("button", name=re.compile("^Add ‘.*’ to the pantry")).click()
        ingredient = line.split()[-1].capitalize()
        expect(page.get_by_label(f"Grams of {ingredient}")).to_have_value(line.split()[0])
        expect(typed).to_have_value("")


def test_an_edited_thickness_changes_the_ticket_as_core_says(page: Page, demo: str) -> None:
    come_in(page, demo)
    before, after = reedbed_with_quince(10), reedbed_with_quince(14)
    quince, mousse = "Quince, set", "Toasted barley mousse"
    assert f"{mousse} 3999 ml {before[mousse]:.0f} g" in ticket(page)
    page.get_by_role("list", name="Parts").get_by_role("button", name=quince).click()
    enter(page, "Thickness", "14")
    expect(page.get_by_role("region", name="What it takes")).to_contain_text(
        f"{after[quince]:,.0f}".replace(",", "\u202f")
    )
    now = ticket(page)
    for name, grams in after.items():
        assert re.search(rf"{name} .*?\b{grams:.0f} g", now), name
    unchanged = {name for name in before if before[name] == after[name]}
    assert unchanged == set(before) - {quince, mousse}


def test_the_count_scales_everything_and_is_kept(page: Page, demo: str) -> None:
    come_in(page, demo)
    enter(page, "How many desserts", "12")
    expect(page.get_by_role("region", name="What it takes")).to_contain_text("All 12")
    page.reload()
    expect(page.get_by_label("How many desserts")).to_have_value("12")


def test_a_part_is_selected_on_the_cut_by_pointer_and_by_key(page: Page, demo: str) -> None:
    come_in(page, demo)
    cut = page.get_by_role("group", name="The cut")
    cut.get_by_role("button", name="Malt crémeux").click()
    expect(page.get_by_role("article", name="Measures of Malt crémeux")).to_be_visible()
    cut.get_by_role("button", name="Amber glaze").focus()
    page.keyboard.press("Enter")
    expect(page.get_by_role("article", name="Measures of Amber glaze")).to_be_visible()


def test_the_list_of_parts_is_walked_and_reordered_by_keys(page: Page, demo: str) -> None:
    come_in(page, demo)
    parts = page.get_by_role("list", name="Parts")
    parts.get_by_role("button", name="Malt crémeux").focus()
    page.keyboard.press("ArrowDown")
    expect(parts.get_by_role("button", name="Quince, set")).to_be_focused()
    expect(page.get_by_role("article", name="Measures of Quince, set")).to_be_visible()
    page.keyboard.press("Alt+ArrowUp")
    rows = parts.get_by_role("listitem")
    expect(rows.nth(3)).to_contain_text("Quince, set")
    expect(rows.nth(4)).to_contain_text("Malt crémeux")
    page.keyboard.press("Delete")
    expect(rows).to_have_count(7)


def test_any_figure_opens_its_working(page: Page, demo: str) -> None:
    come_in(page, demo)
    page.get_by_title("How Quince, set to make comes about").click()
    working = page.get_by_role("dialog")
    expect(working).to_contain_text("π/4 × 160² × 10 / 1 000 = 201.1 ml")
    expect(working).to_contain_text("Source: geometry, exact")
    page.keyboard.press("Escape")
    expect(working).to_be_hidden()


def test_a_finding_selects_its_part_and_goes_when_its_remedy_is_followed(
    page: Page, demo: str
) -> None:
    come_in(page, demo)
    parts = page.get_by_role("list", name="Parts")
    parts.get_by_role("button", name="Quince, set").click()
    enter(page, "Across", "190")
    parts.get_by_role("button", name="Rye crumble base").click()
    finding = page.get_by_role("button", name="5 mm from the wall")
    finding.click()
    expect(page.get_by_role("article", name="Measures of Malt crémeux")).to_be_visible()
    enter(page, "Across", "180")
    expect(page.get_by_text("Nothing stands against it.")).to_be_visible()


@pytest.mark.parametrize(
    ("typed", "said"),
    [
        ("", "number"),
        ("thick", "a length, such as"),
        ("-4", "more than 0"),
        ("1e9", "a length, such as"),
        ("5000", "most"),
    ],
)
def test_a_wrong_measure_is_refused_at_its_field_and_nothing_is_saved(
    page: Page, demo: str, typed: str, said: str
) -> None:
    come_in(page, demo)
    page.get_by_role("list", name="Parts").get_by_role("button", name="Quince, set").click()
    enter(page, "Thickness", typed)
    field = page.get_by_role("article").get_by_label("Thickness", exact=True)
    expect(field).to_have_attribute("aria-invalid", "true")
    message = page.locator(f"#{field.get_attribute('aria-describedby')}")
    expect(message).to_contain_text(said)
    page.wait_for_load_state("networkidle")
    page.reload()
    page.get_by_role("list", name="Parts").get_by_role("button", name="Quince, set").click()
    expect(page.get_by_label("Thickness", exact=True)).to_have_value("10")


def test_another_mold_keeps_the_gaps(page: Page, demo: str) -> None:
    come_in(page, demo)
    seek(page, "Made in", "Ring 16 cm")
    parts = page.get_by_role("list", name="Parts")
    expect(parts.get_by_role("button", name="Rye crumble base")).to_contain_text("14.4 cm")
    expect(parts.get_by_role("button", name="Quince, set")).to_contain_text("12 cm")


def test_an_apprentice_looks_and_changes_nothing(page: Page, demo: str) -> None:
    come_in(page, demo, "Junia Coe")
    page.get_by_role("list", name="Parts").get_by_role("button", name="Quince, set").click()
    expect(page.get_by_label("Thickness", exact=True)).to_be_disabled()
    expect(page.get_by_role("button", name="Add a part")).to_be_hidden()
    expect(page.get_by_label("How many desserts")).to_be_disabled()


def test_undo_and_redo_walk_back_and_forth_and_survive_a_reload(page: Page, demo: str) -> None:
    come_in(page, demo)
    parts = page.get_by_role("list", name="Parts")
    parts.get_by_role("button", name="Quince, set").click()
    enter(page, "Thickness", "12")
    enter(page, "Number", "11")
    parts.get_by_role("button", name="Milk couverture strip").click()
    page.get_by_role("button", name="Take out").click()
    expect(parts.get_by_role("listitem")).to_have_count(7)
    page.wait_for_load_state("networkidle")
    page.reload()
    page.get_by_role("button", name="Undo").click()
    expect(parts.get_by_role("listitem")).to_have_count(8)
    page.keyboard.press("Control+z")
    expect(page.get_by_label("Number", exact=True)).to_have_value("12")
    page.keyboard.press("Control+z")
    expect(parts.get_by_role("button", name="Quince, set")).to_contain_text("10 mm")
    expect(page.get_by_role("button", name="Undo")).to_be_disabled()
    page.keyboard.press("Control+Shift+z")
    expect(parts.get_by_role("button", name="Quince, set")).to_contain_text("12 mm")
    page.wait_for_load_state("networkidle")
    page.reload()
    expect(parts.get_by_role("button", name="Quince, set")).to_contain_text("12 mm")


def test_a_height_is_dragged_on_the_cut_and_the_grams_follow(page: Page, demo: str) -> None:
    come_in(page, demo)
    page.get_by_role("list", name="Parts").get_by_role("button", name="Quince, set").click()
    handle = page.get_by_role("slider", name="thickness")
    box = handle.bounding_box()
    assert box is not None
    x, y = box["x"] + box["width"] / 2, box["y"] + box["height"] / 2
    ruler = page.locator(".ruler text")
    marks = [ruler.nth(i).bounding_box() for i in (0, 1)]
    assert marks[0] is not None
    assert marks[1] is not None
    pixels_per_cm = marks[0]["y"] - marks[1]["y"]
    page.mouse.move(x, y)
    page.mouse.down()
    page.mouse.move(x, y - 0.4 * pixels_per_cm, steps=5)
    grams = f"{reedbed_with_quince(14)['Quince, set']:.0f}"
    # The figures follow while the button is still held.
    expect(page.get_by_role("region", name="What it takes")).to_contain_text(
        f"{grams[0]}\u202f{grams[1:]}"
    )
    page.mouse.up()
    expect(page.get_by_label("Thickness", exact=True)).to_have_value("14")
    page.keyboard.press("Control+z")
    expect(page.get_by_label("Thickness", exact=True)).to_have_value("10")
    handle.focus()
    page.keyboard.press("ArrowUp")
    expect(page.get_by_label("Thickness", exact=True)).to_have_value("11")


def test_leaving_at_once_is_not_called_back(page: Page, demo: str) -> None:
    page.goto(demo)
    page.get_by_role("button", name="Ottilie Marsh").click()
    page.get_by_role("link", name="Formulas").click()
    page.wait_for_load_state("networkidle")
    expect(page.get_by_role("region", name="The formula")).to_be_visible()

"""Formulas, pantry, molds, members and signing in, as a person uses them."""

import re

import pytest
from playwright.sync_api import Locator, Page, expect

from tests.browser.conftest import come_in, enter, open_formula


def typed_line(page: Page):
    return page.get_by_role("combobox", name=re.compile("Type a line"))


def test_a_dessert_is_put_away_and_brought_back(page: Page, demo: str) -> None:
    come_in(page, demo)
    page.get_by_role("button", name="More for Reedbed").click()
    page.get_by_role("menuitem", name="Make a copy").click()
    page.get_by_role("button", name="More for Reedbed (copy)").click()
    page.get_by_role("menuitem", name="Archive", exact=True).click()
    page.get_by_role("button", name="More for Reedbed", exact=True).click()
    page.get_by_role("menuitem", name="What was archived").click()
    page.get_by_role("button", name="Put back").click()
    expect(page.get_by_text("Nothing was put away.")).to_be_visible()


class TestFormulas:
    def test_lines_are_typed_and_grams_walked_from_the_keyboard_alone(
        self, page: Page, demo: str
    ) -> None:
        open_formula(page, demo, "Quince, set")
        typed_line(page).focus()
        page.keyboard.type("2 tbsp honey heather")
        page.keyboard.press("Enter")
        # 2 x 15 ml x 1.42 g/ml = 42.6 g: spoons are metric until one says otherwise.
        expect(page.get_by_label("Grams of Honey, heather")).to_have_value("42.6")
        expect(typed_line(page)).to_be_focused()
        page.keyboard.type("3 egg whites")
        page.keyboard.press("Enter")
        expect(page.get_by_label("Grams of Egg white")).to_have_value("100.8")
        page.get_by_label("Grams of Lemon juice").focus()
        page.keyboard.press("Control+A")
        page.keyboard.type("25")
        page.keyboard.press("Enter")
        expect(page.get_by_label("Grams of Honey, heather")).to_be_focused()
        # 500 + 70 + 7 + 40 + 25 + 42.6 + 100.8
        expect(page.locator(".sum")).to_contain_text("785.4")

    def test_a_pressed_percentage_becomes_the_base(self, page: Page, demo: str) -> None:
        open_formula(page, demo, "Rye crumble base")
        row = page.get_by_role("row").filter(has_text="Couverture, milk")
        # Chosen by its field, its tools stay where they are though rows above it grow.
        row.locator("input").first.focus()
        page.get_by_title("Count percentages on Couverture").click()
        expect(row.locator(".percent")).to_contain_text("100")
        other = page.get_by_role("row").filter(has_text="Rye crumble")
        expect(other.locator(".percent")).to_contain_text("333.3")

    def test_air_makes_it_lighter(self, page: Page, demo: str) -> None:
        open_formula(page, demo, "Toasted barley mousse")
        expect(page.get_by_role("region", name="What it is")).to_contain_text("0.79")
        enter(page, "Overrun of Cream, 35 %", "0")
        # 1092.7 g in 1026.7 ml once the 22.3 g of water that boil off are gone.
        expect(page.get_by_role("region", name="What it is")).to_contain_text("1.06")

    def test_it_is_scaled_to_another_need(self, page: Page, demo: str) -> None:
        open_formula(page, demo, "Quince, set")
        enter(page, "Finished mass", "1000")
        sheet = page.get_by_role("article").filter(has_text="this size")
        # 1000 / (635 x 0.93 x 0.97) = 1.7457 times 500 g.
        expect(sheet.get_by_role("row", name="Quince purée")).to_contain_text("873")

    def test_a_circle_is_refused_at_the_lines(self, page: Page, demo: str) -> None:
        open_formula(page, demo, "Brown butter")
        typed_line(page).fill("10 g brown-butter sponge")
        typed_line(page).press("Enter")
        expect(page.get_by_role("alert").first).to_contain_text(
            "Brown butter > Brown-butter sponge > Brown butter"
        )
        page.get_by_role("button", name="Back to what is saved").click()
        expect(page.get_by_label("Grams of Brown-butter sponge")).to_be_hidden()

    @pytest.mark.parametrize(
        ("typed", "says"),
        [
            ("plenty of cream", "How much?"),
            ("0 g cream", "more than 0"),
            ("-5 g cream", "more than 0"),
        ],
    )
    def test_what_cannot_be_read_stays_in_the_line_with_the_reason(
        self, page: Page, demo: str, typed: str, says: str
    ) -> None:
        open_formula(page, demo, "Quince, set")
        typed_line(page).fill(typed)
        typed_line(page).press("Enter")
        question = page.get_by_role("group", name=f"About ‘{typed}’")
        expect(question).to_contain_text(says)
        question.get_by_role("button", name="Write it otherwise").click()
        expect(typed_line(page)).to_have_value(typed)

    def test_a_formula_in_use_is_not_archived(self, page: Page, demo: str) -> None:
        open_formula(page, demo, "Amber glaze")
        page.get_by_role("button", name="More for Amber glaze").click()
        page.get_by_role("menuitem", name="Archive", exact=True).click()
        expect(page.get_by_role("alert")).to_contain_text("used in Reedbed")

    def test_who_changed_what_is_on_record(self, page: Page, demo: str) -> None:
        open_formula(page, demo, "Amber glaze")
        enter(page, "In the pan", "6")
        expect(page.get_by_text("revision 2")).to_be_visible()
        page.get_by_role("button", name="More for Amber glaze").click()
        page.get_by_role("menuitem", name="Who changed what").click()
        expect(page.get_by_role("dialog")).to_contain_text("Ottilie Marsh changed")
        expect(page.get_by_role("dialog")).to_contain_text("losses")


def test_an_ingredient_of_ones_own(page: Page, demo: str) -> None:
    come_in(page, demo)
    page.get_by_role("link", name="Pantry").click()
    page.get_by_role("button", name="Add an ingredient").click()
    page.get_by_label("Name of the new ingredient").fill("Medlar paste")
    page.keyboard.press("Enter")
    ticket = page.get_by_role("region", name="What it is")
    expect(ticket).to_contain_text("Its density")
    expect(ticket).to_contain_text("Its make-up")
    enter(page, "Density, without gaps or air", "0")
    expect(page.get_by_role("region", name="Ingredient")).to_contain_text("at least 0.02")
    enter(page, "Density, without gaps or air", "1.18")
    expect(ticket).not_to_contain_text("Its density")
    page.get_by_role("button", name="Add a counted unit").click()
    enter(page, "One weighs", "22")
    page.get_by_role("link", name="What bare words mean here").click()
    expect(page.get_by_role("region", name="Not known yet")).to_contain_text("Medlar paste")


def new_mold(page: Page, form: str, name: str) -> Locator:
    """A new mold of a form, and the slip it is measured on."""
    page.get_by_role("link", name="Molds", exact=True).click()
    page.locator("label", has_text="A new mold begins as").locator(".ant-select").click()
    page.keyboard.type(form)
    page.locator(".ant-select-item-option").get_by_text(form, exact=True).click()
    page.get_by_role("button", name="Add a mold").click()
    page.get_by_label("Name of the new mold").fill(name)
    page.keyboard.press("Enter")
    return page.get_by_role("region", name="Mold", exact=True)


def test_a_mold_of_ones_own_and_what_runs_over(page: Page, demo: str) -> None:
    come_in(page, demo)
    slip = new_mold(page, "Frame", "Frame for slices")
    enter(page, "Corner radius", "120")
    expect(slip).to_contain_text("at most 100 mm")
    enter(page, "Corner radius", "10")
    # 300 x 200 x 45 less 0.8584 x 100 x 45 = 2696 ml.
    expect(slip).to_contain_text("2\u202f696")
    page.get_by_title("How Holds comes about").click()
    expect(page.get_by_role("dialog")).to_contain_text("(300 × 200 − (4 − π) × 10²) × 45 / 1 000")
    page.keyboard.press("Escape")
    enter(page, "Pour in", "3000")
    expect(slip).to_contain_text("overflows the mold by 303.")


def test_a_turned_mold_is_drawn_point_by_point(page: Page, demo: str) -> None:
    come_in(page, demo)
    slip = new_mold(page, "Dome", "Dome 12")
    # A half sphere: 2/3 π 6³ = 452 ml; half full by weight it stands 39 mm deep, where
    # z² (3r − z) / r³ is 1 (Cavalieri): z = 0.6527 r = 39.2 mm.
    expect(slip).to_contain_text("452ml")
    enter(page, "Pour in", "226.2")
    expect(slip).to_contain_text("39.2mm high")
    enter(page, "Arc up to it, radius, point 2", "20")
    expect(slip).to_contain_text("Radius must be 0, or at least 60 mm, not 20.")
    expect(page.get_by_label("Arc up to it, radius, point 2")).to_have_value("20")
    enter(page, "Arc up to it, radius, point 2", "0")
    # Straight from the floor to the rim it is a cone: a third of π 6² 6.
    expect(slip).to_contain_text("226ml")
    slip.get_by_role("button", name="One more at the top").click()
    # A wall goes on upright: 60 mm more of π 6².
    expect(slip).to_contain_text("905ml")
    slip.get_by_role("button", name="Take out point 3").click()
    expect(slip).to_contain_text("226ml")
    # Wider at the floor than at the rim, (10² + 10 × 6 + 6²) π / 3 × 6: all of the cut is seen.
    enter(page, "Diameter, inside, point 1", "200")
    expect(slip).to_contain_text("1\u202f232ml")
    wall = page.locator("a.mold.chosen path.wall")
    seen, cut = wall.evaluate(
        "(path) => [path.ownerSVGElement.viewBox.baseVal.width, path.getBBox().width]"
    )
    assert cut < seen < cut + 10


def test_a_gutter_has_a_floor_of_its_own(page: Page, demo: str) -> None:
    come_in(page, demo)
    slip = new_mold(page, "U gutter", "Log 50")
    # A half circle of 80 and 25 mm of upright wall: (π 4² / 2 + 8 x 2.5) x 50 = 2257 ml.
    expect(slip).to_contain_text("2\u202f257ml")
    slip.get_by_text("pointed").click()
    expect(slip).to_contain_text("1\u202f300ml")


def test_a_chef_takes_on_a_cook(page: Page, demo: str) -> None:
    come_in(page, demo)
    page.get_by_role("button", name="Ottilie Marsh").click()
    page.get_by_role("menuitem", name="Members of the kitchen").click()
    dialog = page.get_by_role("dialog")
    dialog.get_by_label("Name", exact=True).fill("Lea Moor")
    dialog.get_by_label("Name to sign in with").fill("lea")
    dialog.get_by_label("First password").fill("short")
    dialog.get_by_role("button", name="Add to the kitchen").click()
    expect(dialog).to_contain_text("at least 10 characters")
    dialog.get_by_label("First password").fill("butter goes in last")
    dialog.get_by_role("button", name="Add to the kitchen").click()
    expect(dialog.get_by_role("listitem").filter(has_text="Lea Moor")).to_be_visible()


def test_signing_in_and_out(page: Page, site: str) -> None:
    page.goto(site)
    for label, text in (
        ("Kitchen", "Quay Kitchen"),
        ("Your name", "Mira Holt"),
        ("Name to sign in with", "mira"),
        ("Password", "seven sweet hours"),
    ):
        page.get_by_label(label).fill(text)
    page.get_by_role("button", name="Found the kitchen").click()
    page.get_by_role("button", name="Mira Holt").click()
    page.get_by_role("menuitem", name="Sign out").click()
    page.get_by_label("Name to sign in with").fill("mira")
    page.get_by_label("Password").fill("wrong")
    page.get_by_role("button", name="Sign in").click()
    expect(page.get_by_text("do not belong together")).to_be_visible()
    page.get_by_label("Password").fill("seven sweet hours")
    page.keyboard.press("Enter")
    expect(page.get_by_role("link", name="Pantry")).to_be_visible()


def test_going_back_and_forth_always_shows_the_row_that_was_chosen(page: Page, demo: str) -> None:
    open_formula(page, demo, "Quince, set")
    shelf = page.get_by_role("complementary")
    for name in ("Rye crumble", "Malt crémeux", "Rye crumble", "Quince, set", "Malt crémeux") * 2:
        shelf.get_by_role("link", name=name, exact=True).click()
        expect(page.get_by_label("Formula", exact=True)).to_have_value(name)


def test_a_make_up_tells_what_a_formula_contains(page: Page, demo: str) -> None:
    come_in(page, demo)
    page.get_by_role("link", name="Formulas").click()
    page.get_by_role("complementary").get_by_role("link", name="Quince, set").click()
    inside = page.get_by_role("region", name="What is in 100 g")
    expect(inside).to_contain_text("Water")
    inside.get_by_title("How Water in Quince, set comes about").click()
    expect(page.get_by_role("dialog")).to_contain_text("left after cooking")
    page.keyboard.press("Escape")
    page.get_by_role("link", name="Pantry").click()
    page.get_by_label("Find an ingredient").fill("quince")
    page.get_by_role("complementary").get_by_role("link", name="Quince purée").click()
    make_up = page.get_by_role("region", name="Make-up")
    make_up.get_by_label("Water").fill("")
    make_up.get_by_label("Water").press("Enter")
    make_up.get_by_role("button", name="Show all").click()
    expect(make_up.get_by_role("button", name="The rest is none")).to_be_visible()
    expect(make_up.get_by_label("Water")).to_have_value("")
    page.get_by_role("link", name="Formulas").click()
    page.get_by_role("complementary").get_by_role("link", name="Quince, set").click()
    expect(inside).to_contain_text("unknown")
    expect(page.get_by_text("Unknown without Quince purée")).to_be_visible()


def test_a_long_shelf_is_read_on_by_scrolling_and_a_word_finds_what_is_far(
    page: Page, demo: str
) -> None:
    come_in(page, demo)
    page.get_by_role("link", name="Pantry").click()
    shelf = page.get_by_role("complementary", name="Every ingredient")
    rows = shelf.get_by_role("listitem")
    expect(rows).to_have_count(100)
    rows.last.scroll_into_view_if_needed()
    shelf.get_by_role("button", name="more: show some").scroll_into_view_if_needed()
    expect(rows).to_have_count(200)
    page.get_by_label("Find an ingredient").fill("yogurt")
    expect(rows.first).to_contain_text("Yogurt")
    expect(shelf.get_by_role("button", name="more: show some")).to_have_count(0)

"""Nothing lost: stale saves, a connection that goes and comes back, pasted lists, water."""

import re
from typing import Any

from playwright.sync_api import Browser, Page, Route, expect

from tests.browser.conftest import come_in, enter

LIST = """Night mousse
Ingredient\tGrams
Cream, 35 %\t430
Milk, whole\t1 200
Sugar\t50 g
Egg yolk\t72
Gelatin powder\t9
Water\t54
Medlar pulp\t120
2 tbsp heather honey
1,200 g flour
Total\t1 955
"""


def select(page: Page, part: str) -> None:
    page.get_by_role("list", name="Parts").get_by_role("button", name=part).click()


def two_tabs(page: Page) -> Page:
    """Another tab on the same dessert."""
    other = page.context.new_page()
    other.goto(page.url)
    expect(other.get_by_role("group", name="The cut")).to_be_visible()
    return other


def saved(tab: Page) -> None:
    expect(tab.get_by_text(re.compile(r"saved \d"))).to_be_visible()


def thicken(tab: Page, part: str, height: str) -> None:
    select(tab, part)
    enter(tab, "Thickness", height)


def test_a_stale_save_overwrites_nothing_until_told_to(page: Page, demo: str) -> None:
    come_in(page, demo)
    other = two_tabs(page)
    thicken(other, "Quince, set", "12")
    saved(other)
    thicken(page, "Quince, set", "8")
    notice = page.get_by_role("alert")
    expect(notice).to_contain_text("Ottilie Marsh changed Reedbed")
    notice.get_by_role("button", name="Show theirs").click()
    expect(page.get_by_label("Thickness", exact=True)).to_have_value("12")
    expect(notice).to_be_hidden()


def test_two_versions_are_merged_part_by_part(page: Page, demo: str) -> None:
    come_in(page, demo)
    other = two_tabs(page)
    # Both change the quince; only the other tab the sponge, only this one the glaze.
    thicken(other, "Quince, set", "12")
    thicken(other, "Brown-butter sponge", "6")
    saved(other)
    thicken(page, "Quince, set", "8")
    expect(page.get_by_role("alert")).to_be_visible()
    thicken(page, "Amber glaze", "3")
    page.get_by_role("button", name="Compare part by part").click()
    dialog = page.get_by_role("dialog")
    quince = dialog.get_by_role("row").filter(has_text="Quince, set thickness")
    expect(quince.get_by_role("radio").nth(0)).to_be_checked()
    expect(
        dialog.get_by_role("row").filter(has_text="sponge").get_by_role("radio").nth(1)
    ).to_be_checked()
    quince.get_by_role("radio").nth(1).check()
    dialog.get_by_role("button", name="Save what is chosen").click()
    expect(dialog).to_be_hidden()
    page.reload()
    parts = page.get_by_role("list", name="Parts")
    expect(parts.get_by_role("button", name="Quince, set")).to_contain_text("12 mm")
    expect(parts.get_by_role("button", name="Brown-butter sponge")).to_contain_text("6 mm")
    expect(parts.get_by_role("button", name="Amber glaze")).to_contain_text("3 mm")


def test_work_goes_on_without_a_connection_and_is_saved_when_it_is_back(
    page: Page, demo: str
) -> None:
    come_in(page, demo)
    select(page, "Quince, set")

    def cut_off(route: Route) -> None:
        route.abort("connectionrefused")

    page.route("**/api/**", cut_off)
    enter(page, "Thickness", "13")
    notice = page.get_by_role("status").filter(has_text="No connection")
    expect(notice).to_contain_text("Work goes on")
    enter(page, "Across", "150")
    expect(page.get_by_label("Across", exact=True)).to_have_value("150")
    expect(page.get_by_text("not saved", exact=True)).to_be_visible()
    expect(page.get_by_text("These figures are of the drawing before")).to_be_visible()
    page.unroute("**/api/**", cut_off)
    # Nobody presses anything: it is asked again by itself, saved and worked out.
    expect(notice).to_be_hidden()
    # By hand: 6 x pi/4 x 15² x 1.3 = 1378 ml.
    expect(page.get_by_role("region", name="What it takes")).to_contain_text("1\u202f378")
    expect(page.get_by_text("These figures are of the drawing before")).to_be_hidden()
    expect(page.get_by_text("saved ", exact=False).first).to_be_visible()
    page.reload()
    select(page, "Quince, set")
    expect(page.get_by_label("Thickness", exact=True)).to_have_value("13")
    expect(page.get_by_label("Across", exact=True)).to_have_value("150")


def test_while_the_database_is_away_work_goes_on_and_a_reload_heals_by_itself(
    page: Page, demo: str
) -> None:
    come_in(page, demo)
    select(page, "Quince, set")
    said = "The kitchen's database is away. It is asked again by itself."

    def away(route: Route) -> None:
        route.fulfill(status=503, json={"title": "Away", "detail": said, "errors": []})

    page.route("**/api/**", away)
    enter(page, "Thickness", "12")
    notice = page.get_by_role("status").filter(has_text="database is away")
    expect(notice).to_contain_text("Work goes on")
    page.unroute("**/api/**", away)
    expect(notice).to_be_hidden()
    page.route("**/api/**", away)
    page.reload()
    expect(page.get_by_role("alert")).to_contain_text(said)
    page.unroute("**/api/**", away)
    select(page, "Quince, set")
    expect(page.get_by_label("Thickness", exact=True)).to_have_value("12")


def test_a_session_that_ends_over_ones_work_is_taken_up_again(page: Page, demo: str) -> None:
    come_in(page, demo)
    select(page, "Quince, set")
    page.context.clear_cookies(name="sessionid")
    enter(page, "Thickness", "14")
    dialog = page.get_by_role("dialog", name="You were signed out")
    expect(dialog).to_contain_text("saved once you are back")
    notice = page.get_by_role("status").filter(has_text="What you did is kept")
    expect(notice).to_be_visible()
    figures = page.get_by_text("These figures are of the drawing before")
    expect(figures).to_contain_text("you are signed out.")
    dialog.get_by_role("button", name="Come back as Ottilie Marsh").click()
    expect(dialog).to_be_hidden()
    expect(notice).to_be_hidden()
    page.reload()
    select(page, "Quince, set")
    expect(page.get_by_label("Thickness", exact=True)).to_have_value("14")


def test_what_was_not_saved_survives_a_reload(page: Page, demo: str) -> None:
    come_in(page, demo)
    select(page, "Quince, set")
    saves: list[Any] = []

    def lose(route: Route) -> None:
        if route.request.method == "PUT" and not saves:
            route.abort("connectionrefused")
        else:
            route.continue_()

    page.route("**/api/desserts/*", lose)
    enter(page, "Thickness", "13")
    expect(page.get_by_role("status").filter(has_text="No connection")).to_be_visible()
    saves.append("let through")
    page.reload()
    select(page, "Quince, set")
    expect(page.get_by_label("Thickness", exact=True)).to_have_value("13")


def test_a_list_is_pasted_into_a_formula_after_it_was_looked_at(page: Page, demo: str) -> None:
    come_in(page, demo)
    page.get_by_role("link", name="Formulas").click()
    page.get_by_role("button", name="Write a formula").click()
    page.get_by_label("Name of the new formula").fill("Night mousse")
    page.get_by_role("button", name="Add", exact=True).click()
    expect(page.get_by_label("Formula", exact=True)).to_have_value("Night mousse")
    page.get_by_role("button", name="Paste a list").click()
    dialog = page.get_by_role("dialog")
    dialog.get_by_role("textbox").fill(LIST)
    dialog.get_by_role("button", name="Show what is understood").click()
    read = dialog.get_by_role("row")
    expect(read).to_have_count(13)  # twelve lines and the heads of the columns
    expect(read.filter(has_text="Ingredient Grams")).to_contain_text("passed over")
    expect(read.filter(has_text="Total")).to_contain_text("a sum")
    expect(read.filter(has_text="1,200 g flour")).to_contain_text("written as 1200 or as 1.200")
    expect(read.filter(has_text="Medlar")).to_contain_text("New in the pantry: Medlar pulp")
    # Nothing has changed yet.
    expect(page.get_by_label("Grams of")).to_have_count(0)
    dialog.get_by_role("button", name="Add 8 lines").click()
    expect(dialog).to_be_hidden()
    expect(page.get_by_label("Grams of Milk, whole")).to_have_value("1200")
    expect(page.get_by_label("Grams of Medlar pulp")).to_have_value("120")
    # 2 x 15 ml x 1.42 g/ml = 42.6 g.
    expect(page.get_by_label("Grams of Honey, heather")).to_have_value("42.6")
    # 430 + 1200 + 50 + 72 + 9 + 54 + 120 + 42.6
    expect(page.locator(".sum")).to_contain_text("1\u202f977")
    page.get_by_role("button", name="Undo").click()
    expect(page.get_by_label("Grams of")).to_have_count(0)
    page.keyboard.press("Control+Shift+z")
    expect(page.get_by_label("Grams of Medlar pulp")).to_have_value("120")
    # What is typed into the last line is the field's own to undo.
    typed = page.get_by_role("combobox", name="Type a line")
    typed.fill("12 g")
    typed.press("Control+z")
    expect(page.get_by_label("Grams of Medlar pulp")).to_have_value("120")


def test_ingredients_are_pasted_into_the_pantry(page: Page, demo: str) -> None:
    come_in(page, demo)
    page.get_by_role("link", name="Pantry").click()
    page.get_by_role("button", name="Paste a list").click()
    dialog = page.get_by_role("dialog")
    dialog.get_by_role("textbox").fill("Medlar pulp\t1.06\nsugar\nBad one, 99\nWild thyme")
    dialog.get_by_role("button", name="Show what is understood").click()
    lines = dialog.get_by_role("listitem")
    expect(lines.nth(0)).to_contain_text("new, 1.06 g/ml")
    expect(lines.nth(1)).to_contain_text("is there already")
    expect(lines.nth(2)).to_contain_text("at most 25 g/ml")
    expect(lines.nth(3)).to_contain_text("density unknown")
    dialog.get_by_role("button", name="Add 2 to the pantry").click()
    unknown = page.get_by_role("region", name="Not known yet")
    expect(unknown.get_by_role("listitem").filter(has_text="Medlar pulp")).not_to_contain_text(
        "density"
    )
    expect(unknown.get_by_role("listitem").filter(has_text="Wild thyme")).to_contain_text("density")


def test_a_mold_is_measured_by_its_water(page: Page, demo: str) -> None:
    come_in(page, demo)
    page.get_by_role("link", name="Molds", exact=True).click()
    page.get_by_role("complementary").get_by_role("link", name="Ring 20 cm").first.click()
    enter(page, "Water it holds, to the brim", "1343")
    # By its sizes pi/4 x 20² x 4.5 = 1413.7 ml; (1343 - 1413.7) / 1413.7 = -5.0 %.
    mold = page.get_by_role("region", name="Mold", exact=True)
    expect(mold).to_contain_text("−5")
    expect(mold).to_contain_text("1\u202f343")
    enter(page, "Water it holds, to the brim", "200")
    expect(mold).to_contain_text("Water must be between 848.2 and 1 979")
    page.get_by_role("link", name="Desserts").click()
    # The true volume is used: 5 % less of 1413.7 ml is 70.7 ml less mousse in each.
    # Solids keep their own sizes: 6 x (3999/6 - 70.7) = 3575 ml.
    expect(page.get_by_role("region", name="What it takes")).to_contain_text("3\u202f575")


def test_what_somebody_else_adds_appears_with_the_next_answer(
    page: Page, demo: str, browser: Browser
) -> None:
    come_in(page, demo)
    page.get_by_role("link", name="Molds", exact=True).click()
    shelf = page.get_by_role("complementary", name="Every mold")
    expect(shelf.get_by_role("link").first).to_be_visible()
    elsewhere = browser.new_context().new_page()
    come_in(elsewhere, demo)
    elsewhere.get_by_role("link", name="Molds", exact=True).click()
    elsewhere.get_by_role("button", name="Add a mold").click()
    elsewhere.get_by_label("Name of the new mold").fill("Ferry tin")
    elsewhere.get_by_label("Name of the new mold").press("Enter")
    expect(elsewhere.get_by_role("link", name="Ferry tin").first).to_be_visible()
    elsewhere.context.close()
    expect(shelf).not_to_contain_text("Ferry tin")
    # Whatever is asked next tells that the kitchen has changed.
    shelf.get_by_role("link").first.click()
    expect(shelf).to_contain_text("Ferry tin")

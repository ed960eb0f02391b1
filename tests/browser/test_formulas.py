"""A formula from an empty grid: cups and eggs, workings, remedies, revisions side by side."""

import re

import pytest
from playwright.sync_api import Page, expect

from tests.browser.conftest import choose, close_dialog, come_in, enter, open_formula


def grams(page: Page, name: str) -> str:
    return page.get_by_label(f"Grams of {name}").input_value()


def write(page: Page, name: str, lines: list[str]) -> None:
    """A new formula, its lines typed one after another."""
    page.get_by_role("link", name="Formulas").click()
    page.get_by_role("button", name="Write a formula").click()
    page.get_by_label("Name of the new formula").fill(name)
    page.keyboard.press("Enter")
    expect(page.get_by_label("Formula", exact=True)).to_have_value(name)
    typed = page.get_by_role("combobox", name=re.compile("Type a line"))
    for line in lines:
        typed.fill(line)
        typed.press("Enter")
        expect(typed).to_have_value("")


def test_a_formula_with_cups_and_eggs_tells_what_it_will_do(page: Page, demo: str) -> None:
    come_in(page, demo)
    write(page, "Night custard", ["1 1/2 cups cream 35", "4 egg yolks", "¼ cup caster sugar"])
    # 1.5 x 250 ml x 1.00 g/ml; 4 yolks of EU M at 58 x 0.31 = 18 g; 62.5 ml x 0.88 = 55 g.
    assert grams(page, "Cream, 35 %") == "375"
    assert grams(page, "Egg yolk") == "72"
    assert grams(page, "Caster sugar") == "55"
    expect(page.get_by_title("How 1½ cups comes about")).to_be_visible()
    expect(page.get_by_role("region", name="Eggs")).to_contain_text("4 whites left")
    expect(page.get_by_role("region", name="Allergens")).to_contain_text("eggs (Egg yolk)")
    page.get_by_title("How Water activity of Night custard comes about").click()
    expect(page.get_by_role("dialog")).to_contain_text("ln a = ln Xw")
    expect(page.get_by_role("dialog")).to_contain_text("Norrish 1966")


def test_what_stays_in_the_sieve_and_what_is_soaked_is_said_on_its_line(
    page: Page, demo: str
) -> None:
    come_in(page, demo)
    write(page, "Squeezed jelly", ["400 g rhubarb puree", "4 leaves gelatin"])
    gelatin = page.get_by_role("row").filter(has=page.get_by_label("Grams of Leaf gelatin"))
    expect(gelatin).to_contain_text("soaked 5 ×")
    page.get_by_label("Grams of Rhubarb purée").click()
    page.get_by_role("button", name="strain Rhubarb purée").press("Enter")
    sieve = page.get_by_label("Rhubarb purée: left in the sieve")
    expect(sieve).to_be_focused()
    enter(page, "Rhubarb purée: left in the sieve", "130")
    expect(page.get_by_role("table")).to_contain_text("at most 100 %, not 130")
    enter(page, "Rhubarb purée: left in the sieve", "30")
    # By hand: (400 x 0.7 + 8 x 6) x 0.98 = 321.4 g.
    expect(page.get_by_text("321.4 g finished")).to_be_visible()
    sieve.fill("0")
    sieve.press("Enter")
    expect(sieve).to_be_focused()
    page.keyboard.press("Tab")
    expect(page.get_by_role("button", name="strain Rhubarb purée")).to_be_visible()


def test_a_slip_in_a_measure_stays_in_the_line(page: Page, demo: str) -> None:
    open_formula(page, demo, "Pastry cream")
    typed = page.get_by_role("combobox", name=re.compile("Type a line"))
    typed.fill("2 cupps of milk")
    typed.press("Enter")
    question = page.get_by_role("group", name="About ‘2 cupps of milk’")
    expect(question).to_contain_text("such as 'cups'")
    question.get_by_role("button", name="Write it otherwise").click()
    expect(typed).to_have_value("2 cupps of milk")


def test_a_remedy_is_applied_with_one_press(page: Page, demo: str) -> None:
    open_formula(page, demo, "Toasted barley mousse")
    enter(page, "Grams of Gelatin powder, 200 bloom", "25")
    findings = page.get_by_role("region", name="Findings").get_by_role("article")
    expect(findings.first).to_contain_text("Gelatin on the water")
    finding = findings.filter(has_text="Hold number")
    expect(finding).to_contain_text("above 1.35")
    finding.get_by_role("button", name=re.compile("Take .* out")).click()
    expect(page.get_by_role("region", name="Findings")).to_be_hidden()
    # Hold number 1.35, 1 % inside; the white couverture's butter is 58 of about 1 100 g, 5.2 % or
    # 0.26 of it. 1.08 x 1.6 % of 200 bloom on about 604 g of water (280 of the barley milk, 255
    # of the cream, 36 of the yolks, 54 bloomed, less 22 that cook off): 10.4 g.
    assert float(grams(page, "Gelatin powder, 200 bloom")) == pytest.approx(10.4, abs=0.3)


def test_two_revisions_are_compared_and_one_is_brought_back(page: Page, demo: str) -> None:
    open_formula(page, demo, "Dark ganache")
    panel = page.get_by_role("region", name="What changed")
    panel.get_by_role("button", name="Revision 1 sliced well").click()
    enter(page, "Grams of Cream, 35 %", "300")
    expect(panel).to_contain_text("Cream, 35 % 214 → 300 g")
    panel.get_by_role("button", name="Since the last good batch").click()
    dialog = page.get_by_role("dialog")
    line = dialog.get_by_role("row", name="Cream, 35 %")
    expect(line).to_contain_text("214")
    expect(line).to_contain_text("300")
    # 248 x 0.66 / (2 + 126.7) x (65 / 66)^0.6 = 1.26 before; 0.91 with 300 g of cream.
    number = dialog.get_by_role("row", name="Set number")
    expect(number).to_contain_text("1.26")
    expect(number).to_contain_text("0.9")
    close_dialog(page)
    panel.get_by_role("button", name="bring back").first.click()
    expect(page.get_by_label("Grams of Cream, 35 %")).to_have_value("214")
    expect(page.get_by_text("revision 3")).to_be_visible()


def test_what_cooks_off_follows_the_thermometer(page: Page, demo: str) -> None:
    open_formula(page, demo, "Amber caramel")
    what = page.get_by_role("region", name="What it is")
    expect(what.get_by_label("Cooked to")).to_have_value("106")
    page.get_by_role("region", name="What is in 100 g").get_by_title(
        re.compile("How Water in Amber caramel")
    ).click()
    close_dialog(page)
    before = what.get_by_title("How Amber caramel, finished comes about").inner_text()
    enter(page, "Cooked to", "115")
    expect(what.get_by_title("How Amber caramel, finished comes about")).not_to_have_text(before)
    enter(page, "Cooked to", "190")
    expect(what).to_contain_text("at most 157")


def test_a_person_reads_in_fahrenheit_and_us_cups(page: Page, demo: str) -> None:
    open_formula(page, demo, "Amber caramel")
    page.get_by_role("button", name="Ottilie Marsh").click()
    page.get_by_role("menuitem", name="How I read figures").click()
    choose(page, "Temperatures", "°F")
    choose(page, "Cups and spoons", "US: cup 237 ml")
    close_dialog(page)
    # 106 °C x 1.8 + 32.
    expect(page.get_by_label("Cooked to")).to_have_value("222.8")
    expect(page.get_by_role("list", name="Steps")).to_contain_text("338 °F")


def test_an_ingredient_is_found_by_any_word_and_says_what_uses_it(page: Page, demo: str) -> None:
    come_in(page, demo)
    page.get_by_role("link", name="Pantry").click()
    shelf = page.get_by_role("complementary")
    page.get_by_label("Find an ingredient").fill("70 dark")
    shelf.get_by_role("link", name="Couverture, dark 70 %").click()
    slip = page.get_by_role("region", name="Ingredient")
    expect(slip.get_by_label("Melt to")).to_have_value("50")
    page.get_by_label("Find an ingredient").fill("runny honey")
    shelf.get_by_role("link", name="Honey, acacia").click()
    ticket = page.get_by_role("region", name="What it is")
    expect(ticket).to_contain_text("Used in")
    expect(ticket).to_contain_text("Honeycomb, Yogurt mousse")
    enter(page, "costs from today", "18.5")
    expect(slip).to_contain_text("15.5 since 2026-01-01")
    enter(page, "Sucrose", "140")
    expect(slip).to_contain_text("at most 100")

"""Lines typed blind, fast and over a slow line; what is not certain asks; lists from elsewhere."""

import re

import pytest
from playwright.sync_api import Page, expect

from fernbell.server.formulas.models import Formula, FormulaLine
from tests.browser.conftest import PATIENCE_MS, come_in, open_formula
from tests.browser.test_formulas import grams, write

BLIND = (
    ("250 g butter", "Butter, 82 %", 250),
    ("4 eggs", "Egg, whole", 206.4),
    ("22 g water", "Water", 22),
    ("1/2 cup milk", "Milk, whole", 128.75),
    ("2 g salt", "Sea salt, fine", 2),
    ("1 fl oz rum", "Dark rum, 40 %", 26.85),
    ("100 g powdered sugar", "Icing sugar", 100),
    ("3 leaves gelatin", "Leaf gelatin, gold", 6),
    ("200 g 70% chocolate", "Couverture, dark 70 %", 200),
    ("juice of 2 lemons", "Lemon juice", 90),
)
LIST = """Cake
1 1/2 cups all-purpose flour
1 cup confectioners' sugar
8 oz cream cheese
1 stick unsalted butter
2 large eggs
1 tsp vanilla extract
1/2 cup heavy cream
1/4 tsp salt
2 tsp baking powder
4 oz bittersweet chocolate
3 tbsp cocoa
1/2 cup packed brown sugar
2 fl oz espresso
juice of 1 lemon
salt to taste
"""


def slow(page: Page, latency_ms: int) -> None:
    """Every answer of the server comes late."""
    line = {"offline": False, "downloadThroughput": -1, "uploadThroughput": -1}
    session = page.context.new_cdp_session(page)
    session.send("Network.emulateNetworkConditions", {**line, "latency": latency_ms})


def lines_of(name: str) -> list[tuple[str, float, str]]:
    found = FormulaLine.objects.filter(formula__name=name).select_related("ingredient")
    return [(one.ingredient.name, one.mass_g, one.note) for one in found.order_by("position")]


def test_ten_lines_typed_blind_at_full_speed_arrive_all_and_none_mistaken(
    page: Page, demo: str
) -> None:
    come_in(page, demo)
    write(page, "Blind batter", [])
    expect(page.get_by_role("combobox", name=re.compile("Type a line"))).to_be_focused()
    slow(page, 400)
    for text, _, _ in BLIND:
        page.keyboard.type(text, delay=25)
        page.keyboard.press("Enter")
    expect(page.get_by_label(re.compile("^Grams of"))).to_have_count(10, timeout=2 * PATIENCE_MS)
    expect(page.get_by_text(re.compile(r"saved \d\d:\d\d"))).to_be_visible()
    expect(page.get_by_text("saving …")).to_be_hidden()
    page.wait_for_load_state("networkidle")
    kept = [(name, mass) for name, mass, _ in lines_of("Blind batter")]
    assert kept == [(name, pytest.approx(mass, abs=0.01)) for _, name, mass in BLIND]


def test_what_is_not_certain_asks_and_is_answered_by_keys(page: Page, demo: str) -> None:
    open_formula(page, demo, "Pastry cream")
    typed = page.get_by_role("combobox", name=re.compile("Type a line"))
    typed.click()
    page.keyboard.type("1 lemon")
    page.keyboard.press("Enter")
    question = page.get_by_role("group", name="About ‘1 lemon’")
    expect(question).to_contain_text("Which lemon?")
    expect(question.get_by_role("option")).to_have_count(2)
    # Enter alone answers nothing.
    page.keyboard.press("Enter")
    expect(page.get_by_label("Grams of Lemon juice")).to_be_hidden()
    page.keyboard.press("ArrowDown")
    page.keyboard.press("Enter")
    expect(page.get_by_label("Grams of Lemon juice")).to_have_value("45")
    expect(page.locator(".said")).to_contain_text("Took 45 g of Lemon juice")
    page.get_by_role("button", name="Take it out again").click()
    expect(page.get_by_label("Grams of Lemon juice")).to_be_hidden()


def test_a_slip_is_helped_and_an_answer_remembered(page: Page, demo: str) -> None:
    open_formula(page, demo, "Pastry cream")
    typed = page.get_by_role("combobox", name=re.compile("Type a line"))
    typed.click()
    page.keyboard.type("20 g grandma's cream")
    page.keyboard.press("Enter")
    question = page.get_by_role("group", name=re.compile("^About"))
    question.get_by_role("option", name=re.compile("Cream, 40")).click()
    page.get_by_role("button", name="Always take ‘grandma's cream’ for it").click()
    expect(page.locator(".said")).to_contain_text("From now on")
    typed.click()
    page.keyboard.type("5 g grandma's cream")
    page.keyboard.press("Enter")
    expect(page.get_by_label("Grams of Cream, 40 %")).to_have_count(2)
    page.keyboard.type("5 g buter")
    page.keyboard.press("Enter")
    expect(question).to_contain_text("Did you mean butter?")


def test_a_list_in_cups_and_ounces_is_pasted(page: Page, demo: str) -> None:
    come_in(page, demo)
    write(page, "Cake from elsewhere", [])
    page.get_by_role("button", name="Paste a list").click()
    dialog = page.get_by_role("dialog")
    dialog.get_by_role("textbox").fill(LIST)
    dialog.get_by_role("button", name="Show what is understood").click()
    dialog.get_by_role("button", name="Add 15 lines").click()
    expect(page.get_by_label(re.compile("^Grams of"))).to_have_count(15)
    # Cups of 250 ml by the pantry: flour 0.53, icing sugar 0.51, brown sugar packed 0.9 g/ml.
    assert grams(page, "Wheat flour, plain") == "198.75"
    assert grams(page, "Icing sugar") == "127.5"
    assert grams(page, "Fresh cheese") == "226.8"
    assert grams(page, "Light brown sugar") == "112.5"
    assert grams(page, "Couverture, dark 66 %") == "113.4"
    expect(page.get_by_text("to taste")).to_be_visible()


def test_what_a_bare_word_means_is_changed_in_the_pantry(page: Page, demo: str) -> None:
    come_in(page, demo)
    page.get_by_role("link", name="Pantry").click()
    page.get_by_label("Find an ingredient").fill("salted")
    page.get_by_role("link", name="Butter, salted").click()
    names = page.get_by_role("region", name="Names")
    names.get_by_label("A bare word").fill("butter")
    names.get_by_role("button", name="Let it mean this").click()
    expect(names).to_contain_text("‘butter’")
    write(page, "Shortbread of ours", ["100 g butter", "100 g unsalted butter"])
    assert grams(page, "Butter, salted") == "100"
    assert grams(page, "Butter, 82 %") == "100"


def test_a_measure_is_typed_in_any_unit(page: Page, demo: str) -> None:
    come_in(page, demo)
    page.get_by_role("list", name="Parts").get_by_role("button", name="Quince, set").click()
    field = page.get_by_label("Thickness", exact=True)
    for typed, kept in (('1/2"', "12.7"), ("1.4 cm", "14"), ("1 1/2 cm", "15")):
        field.fill(typed)
        field.press("Enter")
        expect(field).to_have_value(kept)
    field.fill("1,200")
    field.press("Enter")
    expect(page.get_by_text("Thickness must be written as 1200 or as 1.200")).to_be_visible()
    assert Formula.objects.exists()

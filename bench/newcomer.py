"""`python -m bench.newcomer`: from the empty kitchen to printed sheets of an own dessert.

A newcomer without a manual founds a kitchen, draws an entremet (biscuit, insert, mousse, glaze,
decor), a tart or a rolled log, writes its formulas as they would be said, and prints. What was
taken is asserted by name and grams. Clicks and keys are counted; seconds are estimated by
the keystroke-level model (Card, Moran and Newell 1980, from memory): 0.28 s a key, 1.1 s to point,
0.2 s to click, 0.4 s to move a hand between keys and mouse, 1.35 s to think before each act.
"""

import re
import time

from playwright.sync_api import Locator, Page, expect

from bench.stage import chromium, served

Parts = tuple[tuple[str, dict[str, tuple[str, float]]], ...]

KEY_S, POINT_S, CLICK_S, HOME_S, THINK_S = 0.28, 1.1, 0.2, 0.4, 1.35

ENTREMET = (
    (
        "Biscuit",
        {
            "4 eggs": ("Egg, whole", 206.4),
            "120 g caster sugar": ("Caster sugar", 120),
            "110 g flour": ("Wheat flour, plain", 110),
            "30 g butter": ("Butter, 82 %", 30),
        },
    ),
    (
        "Raspberry insert",
        {
            "300 g raspberry puree": ("Raspberry purée", 300),
            "60 g sugar": ("Sugar", 60),
            "5 g pectin": ("Pectin NH", 5),
        },
    ),
    (
        "Cloud mousse",
        {
            "400 g cream": ("Cream, 35 %", 400),
            "150 g milk": ("Milk, whole", 150),
            "3 yolks": ("Egg yolk", 54),
            "70 g sugar": ("Sugar", 70),
            "3 leaves gelatin": ("Leaf gelatin, gold", 6),
        },
    ),
    (
        "Glaze",
        {
            "150 g water": ("Water", 150),
            "250 g sugar": ("Sugar", 250),
            "250 g glucose": ("Glucose syrup", 250),
            "200 g white chocolate": ("Couverture, white 32 %", 200),
            "8 leaves gelatin": ("Leaf gelatin, gold", 16),
        },
    ),
    ("Decor", {"100 g dark chocolate": ("Couverture, dark 66 %", 100)}),
)
TART = (
    (
        "Sweet paste",
        {
            "250 g flour": ("Wheat flour, plain", 250),
            "125 g butter": ("Butter, 82 %", 125),
            "90 g icing sugar": ("Icing sugar", 90),
            "1 egg": ("Egg, whole", 51.6),
        },
    ),
    (
        "Soft caramel",
        {
            "200 g sugar": ("Sugar", 200),
            "150 g cream": ("Cream, 35 %", 150),
            "60 g butter": ("Butter, 82 %", 60),
        },
    ),
    (
        "Dark ganache",
        {
            "300 g cream": ("Cream, 35 %", 300),
            "260 g dark chocolate": ("Couverture, dark 66 %", 260),
        },
    ),
    ("Cocoa nibs", {"60 g dark chocolate": ("Couverture, dark 66 %", 60)}),
)
LOG = (
    (
        "Berry core",
        {
            "300 g raspberry puree": ("Raspberry purée", 300),
            "60 g sugar": ("Sugar", 60),
            "5 g pectin": ("Pectin NH", 5),
        },
    ),
    (
        "Roulade",
        {
            "5 eggs": ("Egg, whole", 258),
            "120 g sugar": ("Sugar", 120),
            "90 g flour": ("Wheat flour, plain", 90),
        },
    ),
    ("Soaking syrup", {"200 g water": ("Water", 200), "100 g sugar": ("Sugar", 100)}),
    (
        "Coating cream",
        {"300 g cream": ("Cream, 35 %", 300), "40 g sugar": ("Sugar", 40)},
    ),
)
WALKS = (("Entremet", "Cloud", ENTREMET), ("Tart", "Cloud", TART), ("Log, rolled", "Cloud", LOG))


class Hand:
    """Clicks and types, counting."""

    def __init__(self, page: Page) -> None:
        self.page = page
        self.clicks = self.keys = self.thoughts = self.homings = 0
        self.on_mouse = True

    def click(self, target: Locator) -> None:
        """One click."""
        target.click()
        self.clicks += 1
        self._act(mouse=True)

    def type(self, text: str, *, end: str = "") -> None:
        """Type where the focus is, and perhaps press a last key."""
        self.page.keyboard.type(text)
        self.keys += len(text)
        if end:
            self.page.keyboard.press(end)
            self.keys += 1
        self._act(mouse=False)

    def press(self, key: str) -> None:
        """One key, without a thought."""
        self.page.keyboard.press(key)
        self.keys += 1

    def _act(self, *, mouse: bool) -> None:
        self.thoughts += 1
        self.homings += mouse != self.on_mouse
        self.on_mouse = mouse

    @property
    def seconds(self) -> float:
        """By the keystroke-level model."""
        pointing = self.clicks * (POINT_S + CLICK_S)
        return pointing + self.keys * KEY_S + self.homings * HOME_S + self.thoughts * THINK_S


def walk(page: Page, site: str, kind: str, name: str, parts: Parts) -> Hand:
    """The whole way, by somebody who reads the screen."""
    hand = Hand(page)
    page.goto(site)
    expect(page.get_by_label("Kitchen")).to_be_focused()
    for text in ("Quay Kitchen", "Mira Holt", "mira"):
        hand.type(text, end="Tab")
    hand.type("seven sweet hours", end="Enter")
    hand.click(page.get_by_role("button", name="Draw a dessert"))
    dialog = page.get_by_role("dialog")
    expect(dialog.get_by_label("Name")).to_be_focused()
    hand.type(name)
    picked = dialog.get_by_role("radio", name=kind, exact=True)
    picked.wait_for()
    if picked.get_attribute("aria-checked") != "true":
        hand.click(picked)
    hand.click(dialog.get_by_role("button", name="Draw it"))
    hand.click(dialog.get_by_role("button", name="Open it"))
    for place, (part, lines) in enumerate(parts):
        if place:
            hand.click(page.get_by_role("button", name="Add a part"))
        add_part(page, hand, part)
        write(page, hand, lines)
        hand.click(page.get_by_role("link", name="Desserts"))
    expect(page.get_by_role("list", name="Parts").get_by_role("listitem")).to_have_count(len(parts))
    expect(page.get_by_role("region", name="Findings")).not_to_contain_text("air")
    colors = page.locator(".drawing path[fill^=url], .drawing [fill^=url]").evaluate_all(
        "shapes => [...new Set(shapes.map(one => one.getAttribute('fill')))]"
    )
    assert len(colors) >= 3, f"the first cut is in full color: {colors}"
    hand.click(page.get_by_role("link", name="Sheets to pin up"))
    expect(page.get_by_role("article")).to_have_count(1 + len(parts))
    hand.click(page.get_by_role("button", name="Print the sheets"))
    return hand


def add_part(page: Page, hand: Hand, name: str) -> None:
    """A part of a formula that is not there yet; what it does is proposed."""
    made_of = page.get_by_role("dialog").get_by_role("combobox", name="Made of")
    expect(made_of).to_be_focused()
    hand.type(name)
    page.locator(".ant-select-item-option-active").get_by_text(name).wait_for()
    hand.press("Enter")
    expect(page.get_by_role("button", name="Add it and write its lines")).to_be_focused()
    hand.press("Enter")
    expect(page.get_by_label("Formula", exact=True)).to_have_value(name)


def write(page: Page, hand: Hand, lines: dict[str, tuple[str, float]]) -> None:
    """The lines of a new formula, typed one after the other; its air, where that is asked."""
    expect(page.get_by_role("combobox", name="Type a line")).to_be_focused()
    for line in lines:
        hand.type(line, end="Enter")
    expect(page.get_by_label("Grams of")).to_have_count(len(lines))
    for name, grams in lines.values():
        taken = float(page.get_by_label(f"Grams of {name}", exact=True).input_value())
        assert abs(taken - grams) < 0.01, f"{name}: {taken} g, not {grams}"
    air = page.get_by_role("button", name=re.compile(r"^Take 0\.\d+ g"))
    page.wait_for_timeout(700)
    if air.count():
        hand.click(air)
        expect(air).to_be_hidden()


def main() -> None:
    """Walk through an empty kitchen for each kind and say what it took."""
    for kind, name, parts in WALKS:
        with served(demo=False) as site, chromium() as browser:
            page = browser.new_page(viewport={"width": 1280, "height": 800})
            page.add_init_script("window.print = () => undefined")
            begun = time.perf_counter()
            hand = walk(page, site, kind, name, parts)
            machine = time.perf_counter() - begun
        print(f"{kind}: {hand.clicks} clicks, {hand.keys} keys, {hand.thoughts} acts")
        print(f"  a person, by the keystroke-level model: {hand.seconds:.0f} s (target 300)")
        print(f"  this machine's hand: {machine:.0f} s")


if __name__ == "__main__":
    main()

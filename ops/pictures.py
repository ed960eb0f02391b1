"""`./fern shots`: one picture of each main view, from the demo kitchen."""

import os
import sys
from collections.abc import Callable

from playwright.sync_api import Page, sync_playwright

from ops.install import chromium
from ops.say import ROOT

FOLDER = ROOT / "docs" / "screenshots"


def desserts(page: Page) -> None:
    """A part selected on the cut, with its editor and working."""
    page.get_by_role("list", name="Parts").get_by_role("button", name="Quince, set").click()
    page.get_by_role("article", name="Measures of Quince").wait_for()


def working(page: Page) -> None:
    """The working of a figure."""
    desserts(page)
    page.get_by_role("button", name="Open the working").click()
    page.get_by_role("dialog").wait_for()


def findings(page: Page) -> None:
    """An insert too near the wall, and portions too heavy."""
    if page.get_by_role("button", name="6 × Ø 8 cm").is_visible():
        page.get_by_role("button", name="6 × Ø 8 cm").click()
        page.get_by_role("button", name="Take out this size").click()
    desserts(page)
    for label, value in (("Across", "188"), ("Number", "6")):
        page.get_by_label(label, exact=True).fill(value)
        page.get_by_label(label, exact=True).press("Enter")
    page.get_by_text("from the wall;").wait_for()
    page.get_by_text("is heavy").wait_for()


def sheets(page: Page) -> None:
    """Sheets to pin up."""
    page.get_by_role("link", name="Sheets to pin up").click()
    page.locator(".paper .foot").first.wait_for()
    page.get_by_role("article").first.wait_for()


def formulas(page: Page) -> None:
    """The grid of a mousse."""
    page.get_by_role("link", name="Formulas").click()
    page.get_by_role("complementary").get_by_role("link", name="Toasted barley mousse").click()
    page.get_by_label("Grams of Egg yolk").wait_for()


def _formula(page: Page, name: str) -> None:
    page.get_by_role("link", name="Formulas").click()
    page.get_by_role("complementary").get_by_role("link", name=name).click()
    page.get_by_role("slider").wait_for()
    page.wait_for_timeout(600)


def _choose(page: Page, field: str, name: str) -> None:
    page.get_by_role("dialog").get_by_role("combobox", name=field).fill(name)
    page.locator(".ant-select-item-option-active").get_by_text(name).wait_for()
    page.keyboard.press("Enter")


def _propose(page: Page, family: str, job: str, **picks: str) -> None:
    page.get_by_role("link", name="Formulas").click()
    page.get_by_role("button", name="Set one for its job").click()
    page.get_by_role("dialog").get_by_role("button", name=family, exact=True).click()
    page.get_by_role("dialog").get_by_role("combobox", name="for").click(force=True)
    page.locator(".ant-select-item-option").get_by_text(job, exact=True).click()
    for slot, name in picks.items():
        _choose(page, slot.rstrip("_"), name)
    page.wait_for_timeout(600)


def ganache(page: Page) -> None:
    """A white ganache proposed for a drip."""
    _propose(page, "Ganache", "dripping down a cake", with_="Couverture, white 32 %")


def plan(page: Page) -> None:
    """The full night, planned backwards from its service; a task picked."""
    page.get_by_role("link", name="Plan", exact=True).click()
    page.get_by_role("button", name="Plan it").click()
    page.get_by_role("button", name="Plan again").wait_for()
    page.locator("[data-person]").get_by_role("button", name="Toasted barley mousse").click()
    page.get_by_role("region", name="The task").wait_for()


def beside(page: Page) -> None:
    """Three formulas side by side."""
    page.get_by_role("link", name="Formulas").click()
    page.get_by_role("button", name="Side by side …").click()
    for name in ("Dark ganache", "Salted honey caramel", "White chocolate mousse"):
        page.get_by_label(f"{name}, side by side").first.check()
    page.get_by_role("link", name="Set 3 side by side").click()
    page.get_by_role("table").wait_for()
    page.wait_for_timeout(600)


def fit(page: Page) -> None:
    """A fit that cannot be had, and what conflicts."""
    _formula(page, "Dark ganache")
    page.get_by_role("button", name="Fit to").click()
    asked = page.get_by_role("region", name="What is asked")
    asked.get_by_role("button", name="a reading").click()
    asked.get_by_role("combobox", name="figure").last.fill("Water activity")
    page.locator(".ant-select-item-option-active").get_by_text("Water activity").wait_for()
    page.keyboard.press("Enter")
    asked.get_by_label("at most").last.fill("0.8")
    asked.get_by_role("button", name="a reading").click()
    asked.get_by_role("combobox", name="figure").last.fill("Sweetness")
    page.locator(".ant-select-item-option-active").get_by_text("Sweetness").wait_for()
    page.keyboard.press("Enter")
    asked.get_by_label("at most").last.fill("15")
    asked.get_by_label("at most").last.press("Enter")
    asked.get_by_role("button", name="Find the nearest").click()
    page.get_by_role("region", name="What was found").wait_for()
    page.wait_for_timeout(400)


def mousse(page: Page) -> None:
    """A mousse with too little gelatin, what it will not do, and the remedy."""
    _formula(page, "White chocolate mousse")
    gelatin = page.get_by_label("Grams of Gelatin powder, 200 bloom")
    gelatin.fill("1")
    gelatin.press("Enter")
    page.get_by_text("too soft").wait_for()
    page.wait_for_timeout(600)


def pantry(page: Page) -> None:
    """An ingredient open."""
    page.get_by_role("link", name="Pantry").click()
    page.get_by_label("Find an ingredient").fill("milk couverture")
    page.get_by_role("link", name="Couverture, milk 38 %").click()
    page.get_by_label("Melt to").wait_for()


def molds(page: Page) -> None:
    """A mold open."""
    page.get_by_role("link", name="Molds", exact=True).click()
    page.get_by_role("complementary").get_by_role("link", name="Glass 7 cm").click()
    page.get_by_role("button", name="Point 2").first.wait_for()


def building(page: Page) -> None:
    """The main pour, large."""
    page.get_by_role("button", name="Main pour").click()
    page.get_by_role("region", name="Stage 7").wait_for()


def _dessert(page: Page, name: str) -> None:
    page.get_by_role("button", name="What next").click()
    page.get_by_role("combobox", name="What next?").fill(name)
    page.get_by_role("dialog").get_by_text(name).first.wait_for()
    page.keyboard.press("Enter")
    page.locator("ol.unseen", has_text=name).wait_for(state="attached")
    page.wait_for_timeout(400)


def log(page: Page) -> None:
    """A rolled log with its core, from the side and flat; the sheet selected."""
    _dessert(page, "Hedgerow log")
    page.get_by_role("list", name="Parts").get_by_role("button", name="Poppy-seed roulade").click()


def tart(page: Page) -> None:
    """A tart in its pan, the shell selected."""
    _dessert(page, "Beekeeper's tart")
    page.get_by_role("list", name="Parts").get_by_role("button", name="Buckwheat paste").click()


def domes(page: Page) -> None:
    """Domes, built upside down in cavities."""
    _dessert(page, "Foghorn domes")


def _way(page: Page, name: str, way: str) -> None:
    if name != "Reedbed":
        _dessert(page, name)
    page.get_by_role("link", name=way, exact=True).click()
    page.get_by_role("heading", name=name, level=2).wait_for()


def wall(page: Page) -> None:
    """One dessert in every mold."""
    _way(page, "Reedbed", "Other molds")
    page.get_by_role("button", name="Ring 16 cm, 4.5 high").click()
    page.get_by_text("One factor for everything").wait_for()


def portions(page: Page) -> None:
    """A log, slice by slice."""
    _way(page, "Hedgerow log", "Portions")
    page.get_by_text("For 96 covers").wait_for()


def cutplan(page: Page) -> None:
    """Discs cut from a sheet."""
    _dessert(page, "Rhubarb lanterns")
    page.get_by_role("link", name="Cut from sheets", exact=True).click()
    page.get_by_role("img", name="sheet 1: 105 pieces").wait_for()


# The findings change the demo dessert, so they come last.
VIEWS: tuple[Callable[[Page], None], ...] = (
    desserts,
    working,
    sheets,
    formulas,
    pantry,
    molds,
    building,
    log,
    tart,
    domes,
    wall,
    portions,
    cutplan,
    beside,
    ganache,
    plan,
    fit,
    mousse,
    findings,
)


def main(site: str) -> None:
    """Take every picture at 1280 by 800."""
    root = ["--no-sandbox"] if os.geteuid() == 0 else []
    with sync_playwright() as playwright:
        browser = playwright.chromium.launch(
            executable_path=chromium(), args=["--disable-gpu", "--disable-quic", *root]
        )
        for view in VIEWS:
            page = browser.new_page(viewport={"width": 1280, "height": 800})
            page.goto(site)
            page.get_by_role("button", name="Ottilie Marsh").click()
            page.locator("svg .part").first.wait_for()
            view(page)
            page.wait_for_load_state("networkidle")
            page.screenshot(path=str(FOLDER / f"{view.__name__}.png"))
            page.close()
        browser.close()


if __name__ == "__main__":
    main(sys.argv[1])

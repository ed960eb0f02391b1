"""Every screen against the rules of axe-core (WCAG 2.1 A and AA)."""

from collections.abc import Callable
from datetime import timedelta
from pathlib import Path
from typing import Any

import pytest
from django.conf import settings as django_settings
from playwright.sync_api import Page, expect

from fernbell.server.planning.jobs import make_timeline
from fernbell.server.planning.models import Order, Timeline
from fernbell.server.rows.clock import now
from ops.pace import patience_s
from tests.browser.conftest import come_in, enter, pick, still

AXE = Path(__file__).parents[2] / "web/node_modules/axe-core/axe.min.js"
RULES = ["wcag2a", "wcag2aa", "wcag21a", "wcag21aa"]


def violations(page: Page) -> list[str]:
    """What axe-core finds, one line a fault; behind a dialog it has looked before."""
    still(page)
    page.evaluate(AXE.read_text(encoding="utf-8"))
    found: dict[str, Any] = page.evaluate(
        """rules => axe.run(document.querySelector('[role=dialog]') ?? document, {
          runOnly: { type: 'tag', values: rules }, resultTypes: ['violations'],
        })""",
        RULES,
    )
    return [
        f"{one['id']}: {node['target'][-1]} {node['failureSummary'].splitlines()[-1].strip()}"
        for one in found["violations"]
        for node in one["nodes"]
    ]


def dessert(page: Page) -> None:
    page.get_by_role("list", name="Parts").get_by_role("button", name="Quince, set").click()
    expect(page.get_by_label("Thickness", exact=True)).to_be_visible()


def stage(page: Page) -> None:
    page.get_by_role("button", name="Main pour").click()


def findings(page: Page) -> None:
    dessert(page)
    page.get_by_label("Across", exact=True).fill("195")
    page.get_by_label("Across", exact=True).press("Enter")
    expect(page.get_by_text("from the wall;")).to_be_visible()


def dialog(key: str, title: str) -> Callable[[Page], None]:
    def opened(page: Page) -> None:
        if page.get_by_role("dialog").is_visible():
            page.keyboard.press("Escape")
            expect(page.get_by_role("dialog")).to_be_hidden()
        page.keyboard.press(key)
        expect(page.get_by_role("dialog", name=title)).to_be_visible()

    return opened


def room(name: str, row: str = "") -> Callable[[Page], None]:
    def entered(page: Page) -> None:
        page.get_by_role("navigation", name="Rooms").get_by_role("link", name=name).click()
        if row:
            page.get_by_role("complementary").get_by_role("link", name=row).first.click()
        page.wait_for_load_state("networkidle")

    return entered


def sheets(page: Page) -> None:
    page.get_by_role("link", name="Sheets to pin up").click()
    expect(page.get_by_role("article").first).to_be_visible()


def pasted(page: Page) -> None:
    room("Formulas", "Quince, set")(page)
    page.get_by_role("button", name="Paste a list").click()
    page.get_by_role("dialog").get_by_role("textbox").fill("250 g cream\n12 medlars\nno")
    page.get_by_role("button", name="Show what is understood").click()
    expect(page.get_by_role("dialog").get_by_role("row").first).to_be_visible()


def remedy(page: Page) -> None:
    room("Formulas", "Dark ganache")(page)
    enter(page, "Grams of Cream, 35 %", "600")
    expect(page.get_by_role("region", name="Findings")).to_be_visible()


def comparing(page: Page) -> None:
    page.get_by_role("button", name="compare").first.click()
    expect(page.get_by_role("dialog").get_by_role("row", name="Set number")).to_be_visible()


def settings(page: Page) -> None:
    page.keyboard.press("Escape")
    page.get_by_role("button", name="Ottilie Marsh").click()
    page.get_by_role("menuitem", name="How I read figures").click()


def swapped(page: Page) -> None:
    page.get_by_role("button", name="Swap …").click()
    pick(page, "Comes", "Couverture, milk 38 %")
    expect(page.get_by_role("dialog")).to_contain_text("Take rebalanced")


def fitted(page: Page) -> None:
    page.keyboard.press("Escape")
    page.get_by_role("button", name="Fit to").click()
    page.get_by_role("button", name="use up").click()
    page.get_by_role("button", name="Find the nearest").click()
    expect(page.get_by_role("region", name="What was found")).to_be_visible()


def set_new(page: Page) -> None:
    page.keyboard.press("Escape")
    page.get_by_role("button", name="Set one for its job").click()
    expect(page.get_by_role("button", name="Write it down")).to_be_visible()


def marking(page: Page) -> None:
    room("Formulas")(page)
    page.get_by_role("button", name="Side by side …").click()
    for name in ("Dark ganache", "White chocolate mousse"):
        page.get_by_label(f"{name}, side by side").first.check()


def beside(page: Page) -> None:
    page.get_by_role("link", name="Set 2 side by side").click()
    expect(page.get_by_role("table", name="Formulas side by side")).to_be_visible()


def a_step(page: Page) -> None:
    room("Formulas", "Dark ganache")(page)
    page.get_by_role("list", name="Steps").get_by_role("button").first.click()
    page.get_by_role("button", name="The oven goes on …").click()
    expect(page.get_by_label("Heat", exact=True)).to_be_visible()


BESIDE = {"marked formulas": marking, "side by side": beside, "a step": a_step}
SETTING = {
    "a dial": room("Formulas", "Dark ganache"),
    "a swap": swapped,
    "a fit": fitted,
    "one from nothing": set_new,
}
COMPOSING = {
    "a dessert": dessert,
    "a dessert with findings": findings,
    "a stage of the building": stage,
    "adding a part": dialog("a", "Add a part"),
    "the keys": dialog("?", "Keys"),
    "what next": dialog("Control+k", "What next?"),
}
ROOMS = {
    "a formula": room("Formulas", "Malt crémeux"),
    "the pantry": room("Pantry", "Almonds"),
    "the molds": room("Molds", "Ring 20"),
    "a pasted list": pasted,
}


def timeline(page: Page) -> None:
    """The full night planned, a task picked; then its lists."""
    row = Order.objects.get()
    row.timing["services"][0]["at"] = f"{(now() + timedelta(days=3)).date()}T20:15:00"
    row.save()
    page.get_by_role("link", name="Plan", exact=True).click()
    page.get_by_role("button", name="Plan it").click()
    expect(page.get_by_role("button", name="Stop", exact=True)).to_be_visible()
    django_settings.PLAN_SECONDS, django_settings.PLAN_EFFORT = patience_s(60), 0.05
    make_timeline(timeline=str(Timeline.objects.get().pk))
    page.locator("[data-person]").get_by_role("button").first.click()
    expect(page.get_by_role("region", name="The task")).to_be_visible()
    for folded in ("Who works here", "What it is made in"):
        page.get_by_role("button", name=folded).click()


def planned_as(view: str) -> Callable[[Page], None]:
    return lambda page: page.get_by_role("button", name=view, exact=True).click()


PLANNING = {
    "a timeline": timeline,
    "by person": planned_as("By person"),
    "to pull": planned_as("To pull"),
    "ovens and stores": planned_as("Ovens and stores"),
    "read aloud": planned_as("Read aloud"),
}
WRITING = {"a remedy": remedy, "two revisions": comparing, "how one reads": settings}


@pytest.mark.parametrize(
    "screens", [COMPOSING, {"sheets": sheets}, ROOMS, WRITING, SETTING, BESIDE, PLANNING]
)
def test_axe_finds_nothing(
    page: Page, demo: str, screens: dict[str, Callable[[Page], None]]
) -> None:
    come_in(page, demo)
    expect(page.get_by_role("group", name="The cut")).to_be_visible()
    for name, show in screens.items():
        show(page)
        assert (name, violations(page)) == (name, [])


def test_axe_finds_nothing_at_the_door(page: Page, demo: str) -> None:
    page.goto(demo)
    expect(page.get_by_role("button", name="Ottilie Marsh")).to_be_visible()
    assert violations(page) == []

"""Every room on a phone, on a tablet, and read at twice its size."""

from collections.abc import Iterator

import pytest
from playwright.sync_api import Browser, Page, expect

ROOMS = ("desserts", "formulas", "pantry", "molds")
WIDE = "() => document.documentElement.scrollWidth"
# What can be touched in the room: its own height, or that of what reaches beyond it.
TOUCHED = """() => [...document.querySelectorAll('main button, main a, main input')]
  .filter(one => one.checkVisibility({ visibilityProperty: true, opacityProperty: true }))
  .filter(one => !one.closest('svg, .ant-select, .unseen') && one.type !== 'radio')
  .map(one => {
    const own = (one.closest('.ant-input-affix-wrapper') ?? one).getBoundingClientRect().height
    const beyond = parseFloat(getComputedStyle(one, '::after').height) || 0
    return [one.getAttribute('aria-label') || one.textContent.trim(), Math.max(own, beyond)]
  })
"""


@pytest.fixture(params=[(390, 844), (1024, 768), (640, 400)], ids=["phone", "tablet", "200 %"])
def screen(
    request: pytest.FixtureRequest, browser: Browser, demo: str, page: Page
) -> Iterator[tuple[Page, int]]:
    """A signed-in page of a size, touched by fingers."""
    width, height = request.param
    context = browser.new_context(
        viewport={"width": width, "height": height}, has_touch=True, base_url=demo
    )
    here = context.new_page()
    here.goto("/")
    here.get_by_role("button", name="Ottilie Marsh").tap()
    expect(here.get_by_role("link", name="Formulas")).to_be_visible()
    yield here, width
    here.wait_for_load_state("networkidle")
    context.close()


def test_every_room_fits_its_screen_and_can_be_touched(screen: tuple[Page, int]) -> None:
    page, width = screen
    for room in ROOMS:
        page.goto(f"/{room}")
        page.wait_for_load_state("networkidle")
        expect(page.locator(".zones")).to_be_visible()
        assert page.evaluate(WIDE) <= width, room
        touched = page.evaluate(TOUCHED)
        assert len(touched) > 3, room
        assert [one for one in touched if one[1] < 39.5] == [], room
        zones = page.locator(".zone-shelf, .zone-board, .zone-ticket")
        seen = [zone for zone in zones.all() if zone.is_visible()]
        assert len(seen) == (1 if width < 761 else 3), room


def test_on_a_phone_the_zones_are_turned_and_a_row_comes_forward(
    screen: tuple[Page, int],
) -> None:
    page, width = screen
    if width > 760:
        return
    page.goto("/formulas")
    turn = page.get_by_role("navigation", name="Zones")
    turn.get_by_role("button", name="Formulas").tap()
    page.get_by_role("link", name="Dark ganache").tap()
    expect(page.get_by_label("Formula", exact=True)).to_have_value("Dark ganache")
    expect(page.get_by_label("Grams of Cream, 35 %")).to_be_visible()
    turn.get_by_role("button", name="What it will do").tap()
    expect(page.get_by_role("heading", name="What it will do")).to_be_visible()
    expect(page.get_by_label("Grams of Cream, 35 %")).to_be_hidden()


def test_a_room_not_loaded_yet_says_so_when_the_line_is_gone(page: Page, demo: str) -> None:
    page.goto(demo)
    page.route("**/assets/MoldsRoom*", lambda route: route.abort())
    page.get_by_role("button", name="Ottilie Marsh").click()
    page.get_by_role("link", name="Molds", exact=True).click()
    expect(page.get_by_role("alert")).to_contain_text("not loaded yet")
    page.unroute("**/assets/MoldsRoom*")
    page.get_by_role("link", name="Formulas").click()
    expect(page.get_by_role("alert")).to_be_hidden()

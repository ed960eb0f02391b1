"""The real interface in headless Chromium, against a live server."""

import os
import time
from collections.abc import Iterator
from pathlib import Path
from typing import Any

import pytest
from django.db import connections
from django.db.models.signals import post_migrate
from playwright.sync_api import BrowserContext, Locator, Page, Playwright, Request, expect
from pytest_django import DjangoDbBlocker, Settings
from pytest_django.live_server_helper import LiveServer

from ops.install import chromium
from ops.pace import pace
from tests.kept import bring
from tests.server.conftest import cheap_passwords, demo_put_aside

__all__ = ["cheap_passwords", "demo_put_aside"]

# Playwright runs its own event loop in the thread in which the tests talk to the database.
os.environ["DJANGO_ALLOW_ASYNC_UNSAFE"] = "true"

# Every test empties the database; Django would then write its own permissions, which nobody asks.
post_migrate.disconnect(dispatch_uid="django.contrib.auth.management.create_permissions")

HERE = Path(__file__).parent

QUIET = [
    *("--disable-gpu", "--disable-quic", "--no-first-run", "--disable-sync"),
    *("--disable-background-networking", "--disable-component-update"),
]

PATIENCE_MS = 30_000 * pace()
"""How long a page may take; two of them on two busy cores have needed more than ten seconds."""

ONE_IN = 4
"""A page costs seconds: ./fern test draws one test in so many, --long has all."""


@pytest.hookimpl(tryfirst=True)
def pytest_collection_modifyitems(items: list[pytest.Item]) -> None:
    """What is in the browser is sampled."""
    for item in items:
        if item.path.parent == HERE:
            item.add_marker(pytest.mark.sampled(ONE_IN))


expect.set_options(timeout=PATIENCE_MS)


@pytest.fixture(scope="session")
def browser_type_launch_args() -> dict[str, Any]:
    """Debian's Chromium; only root needs to do without its sandbox."""
    root = ["--no-sandbox"] if os.geteuid() == 0 else []
    return {"executable_path": chromium(), "args": [*QUIET, *root]}


@pytest.fixture(scope="session", autouse=True)
def connection_beside_the_loop(
    playwright: Playwright, django_db_blocker: DjangoDbBlocker
) -> Iterator[None]:
    """While Playwright's loop runs, the tests have a connection of their own: closed before it."""
    yield
    with django_db_blocker.unblock():
        connections.close_all()


@pytest.fixture(scope="session")
def browser_context_args() -> dict[str, Any]:
    """Without the service worker, whose requests no test could answer in the kitchen's place."""
    return {"viewport": {"width": 1280, "height": 800}, "service_workers": "block"}


@pytest.fixture
def site(live_server: LiveServer, transactional_db: None) -> str:
    """Address of the application with nobody in it."""
    return live_server.url


@pytest.fixture
def demo(demo_put_aside: None, site: str, settings: Settings) -> str:
    """Address of the application with the demo kitchen."""
    settings.DEMO = True
    bring("demo")
    return site


@pytest.fixture(autouse=True)
def no_errors_on_the_page(transactional_db: None, live_server: LiveServer, page: Page) -> Any:
    """Whatever a test does, no script fails and the policy holds; at its end all is quiet."""
    page.set_default_timeout(PATIENCE_MS)
    failures: list[str] = []
    page.on("pageerror", lambda error: failures.append(str(error)))
    page.on("console", lambda said: failures.extend(against_the_policy(said.text)))
    under_way = requests_under_way(page.context)
    yield
    settle(page, under_way)
    assert failures == []


def against_the_policy(said: str) -> list[str]:
    """What the browser refused because the page may not load or run it."""
    return [said] if "Content Security Policy" in said else []


def requests_under_way(context: BrowserContext) -> set[Request]:
    """A set that always holds the requests that wait for their answer."""
    under_way: set[Request] = set()
    # Playwright takes functions only, not methods of a built-in.
    context.on("request", lambda request: under_way.add(request))
    context.on("requestfinished", lambda request: under_way.discard(request))
    context.on("requestfailed", lambda request: under_way.discard(request))
    return under_way


IDLE = "() => new Promise((done) => requestIdleCallback(done, { timeout: 200 }))"


def settle(page: Page, under_way: set[Request]) -> None:
    """Wait until nothing is under way and the page, idle again, has asked for nothing more."""
    quiet, end = 0, time.monotonic() + PATIENCE_MS / 1000
    while quiet < 3:
        assert time.monotonic() < end, f"requests never ended: {[one.url for one in under_way]}"
        page.evaluate(IDLE)
        quiet = 0 if under_way else quiet + 1


UNFOLDED = ("reading.does", "reading.contains", "reading.costs", "losses", "scale", "used")


def unfold(page: Page) -> None:
    """All that the ticket of a formula folds away is open from now on."""
    opened = "".join(f"localStorage.setItem('fernbell.fold.{one}', 'open');" for one in UNFOLDED)
    page.add_init_script(opened)


def come_in(page: Page, site: str, name: str = "Ottilie Marsh") -> None:
    """Sign in as a demo person, with one click; nothing is folded away."""
    unfold(page)
    page.goto(site)
    page.get_by_role("button", name=name).click()
    expect(page.get_by_role("navigation", name="Rooms")).to_be_visible()


def seek(page: Page, label: str, option: str, within: Locator | None = None) -> None:
    """Open a select, type what is wanted, and take it."""
    field = (within or page).get_by_role("combobox", name=label)
    field.click(force=True)
    # What is typed before it opens is lost.
    expect(field).to_have_attribute("aria-expanded", "true")
    open_ = page.locator(".ant-select-dropdown:not(.ant-select-dropdown-hidden)")
    page.keyboard.type(option)
    open_.locator(".ant-select-item-option").get_by_text(option).first.click()


def palette(page: Page, words: str) -> None:
    page.keyboard.press("Control+k")
    expect(page.get_by_role("combobox", name="What next?")).to_be_focused()
    page.keyboard.type(words)
    page.keyboard.press("Enter")


def enter(page: Page, label: str, value: str, within: Locator | None = None) -> None:
    """Type into a field and commit it with Enter."""
    field = (within or page).get_by_label(label, exact=True)
    field.fill(value)
    field.press("Enter")


def pick(page: Page, label: str, option: str) -> None:
    """Choose in a dialog's select by typing and Enter."""
    field = page.get_by_role("dialog").get_by_role("combobox", name=label)
    field.fill(option)
    page.locator(".ant-select-item-option-active").get_by_text(option).wait_for()
    field.press("Enter")


def choose(page: Page, label: str, option: str) -> None:
    """Choose in a select without a search field, by pointer."""
    page.locator("label", has_text=label).locator(".ant-select").click()
    page.locator(".ant-select-item-option").get_by_text(option).click()


def still(page: Page) -> None:
    """Wait until nothing fades or slides any more: what is half seen has no contrast."""
    page.evaluate(
        """() => Promise.all(document.getAnimations()
          .filter((one) => one.effect.getComputedTiming().iterations !== Infinity)
          .map((one) => one.finished.catch(() => null)))"""
    )


def close_dialog(page: Page) -> None:
    """Escape, as often as it takes: a dialog that only fades in does not listen yet."""
    dialog = page.get_by_role("dialog")
    for _ in range(40):
        if not dialog.is_visible():
            return
        page.keyboard.press("Escape")
        still(page)
    expect(dialog).to_be_hidden()


def open_formula(page: Page, site: str, name: str) -> None:
    come_in(page, site)
    page.get_by_role("link", name="Formulas").click()
    page.get_by_role("complementary").get_by_role("link", name=name, exact=True).click()
    expect(page.get_by_label("Formula", exact=True)).to_have_value(name)

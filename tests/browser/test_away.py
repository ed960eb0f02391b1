"""Nothing lost on a real server: over a database that stops, a tab that closes, another's turn."""

import json
import re
from collections.abc import Iterator
from pathlib import Path
from typing import Any

import pytest
from playwright.sync_api import BrowserContext, BrowserType, Page, expect

from fernbell.server.openapi import document
from ops.application import lan_door
from ops.postgres import Cluster, free_port
from tests.browser.conftest import PATIENCE_MS, enter
from tests.ops.conftest import data, open_folder
from tests.served import Visitor, demo_cluster, served
from tests.waiting import until

__all__ = ["data", "open_folder"]

Kitchen = tuple[Cluster, str]
ENTERED = set(json.loads(document())["components"]["schemas"]["DessertIn"]["properties"])
NOT_HERE = "The kitchen does not answer."


@pytest.fixture(scope="module")
def kitchen() -> Iterator[Kitchen]:
    """The demo kitchen as it is served, and the cluster under it."""
    with demo_cluster() as cluster, served(cluster) as (site, _):
        yield cluster, site


@pytest.fixture(autouse=True)
def no_errors_on_the_page() -> None:
    """These pages are of other servers, and see them fail."""


@pytest.fixture
def device(
    browser_type: BrowserType, browser_type_launch_args: dict[str, Any], tmp_path: Path
) -> Iterator[BrowserContext]:
    """A browser that keeps what it knows, with its service worker."""
    context = opened(browser_type, browser_type_launch_args, tmp_path / "device")
    yield context
    context.close()


def opened(kind: BrowserType, launch: dict[str, Any], folder: Path) -> BrowserContext:
    context = kind.launch_persistent_context(
        folder, **launch, viewport={"width": 1280, "height": 800}, ignore_https_errors=True
    )
    context.set_default_timeout(PATIENCE_MS)
    return context


def come_in(page: Page, site: str, name: str = "Ottilie Marsh") -> None:
    page.goto(f"{site}/desserts")
    page.get_by_role("button", name=name).click()
    on_board(page)


def on_board(page: Page) -> None:
    expect(page.get_by_role("group", name="The cut")).to_be_visible()


def thicken(page: Page, to: str) -> None:
    page.get_by_role("list", name="Parts").get_by_role("button", name="Quince, set").click()
    enter(page, "Thickness", to)


def quince(site: str, person: str = "demo-ottilie") -> float:
    """How thick the kitchen has the quince of Reedbed."""
    chef = Visitor(site, person)
    (row,) = (one for one in chef.rows("desserts") if one["name"] == "Reedbed")
    parts = chef.ask("get", f"/api/desserts/{row['id']}").json()["parts"]
    return next(
        layer["height_mm"]
        for part in parts
        for layer in part.get("layers", ())
        if layer["key"] == "quince" or "quince" in str(layer).lower()
    )


def controlled(page: Page) -> None:
    """The page lies in the browser, and what it reads from now on is kept."""
    page.evaluate("() => navigator.serviceWorker.ready.then(() => true)")
    page.reload()
    on_board(page)
    page.wait_for_function("() => navigator.serviceWorker.controller !== null")
    page.reload()
    on_board(page)


def saved_as(site: str, wanted: float) -> None:
    """Wait until the kitchen has it."""
    assert until(lambda: quince(site) == wanted)


def test_a_draft_outlives_database_and_tab_and_a_reload_shows_what_is_known(
    kitchen: Kitchen, device: BrowserContext
) -> None:
    cluster, site = kitchen
    page = device.new_page()
    come_in(page, site)
    controlled(page)
    cluster.stop()
    try:
        thicken(page, "13")
        expect(page.get_by_text("kept on this device")).to_be_visible()
        # A reload shows what is known, and the draft over it.
        page.reload()
        on_board(page)
        expect(page.get_by_text(NOT_HERE).first).to_be_visible()
        # Who leaves now is told that it is not saved yet.
        page.get_by_role("list", name="Parts").get_by_role("button", name="Quince, set").click()
        expect(page.get_by_label("Thickness", exact=True)).to_have_value("13")
        asked: list[str] = []
        page.on("dialog", lambda one: (asked.append(one.type), one.accept()))
        with page.expect_event("close"):
            page.close(run_before_unload=True)
        assert asked == ["beforeunload"]
    finally:
        cluster.start()
    assert quince(site) != 13
    # Another room, another tab: it is sent all the same.
    later = device.new_page()
    later.goto(f"{site}/molds")
    expect(later.get_by_role("heading", name="Molds").first).to_be_visible()
    saved_as(site, 13)


def test_a_page_left_open_heals_by_itself(kitchen: Kitchen, device: BrowserContext) -> None:
    cluster, site = kitchen
    page = device.new_page()
    come_in(page, site)
    controlled(page)
    cluster.stop()
    page.reload()
    expect(page.get_by_text(NOT_HERE).first).to_be_visible()
    thicken(page, "11")
    cluster.start()
    expect(page.get_by_text(NOT_HERE)).to_be_hidden()
    saved_as(site, 11)


def test_a_draft_waits_for_its_owner_whoever_comes_between(
    kitchen: Kitchen,
    browser_type: BrowserType,
    browser_type_launch_args: dict[str, Any],
    tmp_path: Path,
) -> None:
    """Sessions ended, browser closed, another's turn: only its owner's return sends it."""
    cluster, site = kitchen
    first = opened(browser_type, browser_type_launch_args, tmp_path / "shared")
    page = first.new_page()
    come_in(page, site)
    cluster.sql("fernbell_demo", "DELETE FROM kitchens_visit")
    thicken(page, "12.5")
    expect(page.get_by_role("dialog", name="You were signed out")).to_be_visible()
    first.close()

    again = opened(browser_type, browser_type_launch_args, tmp_path / "shared")
    page = again.new_page()
    come_in(page, site, "Bram Fenwick")
    page.wait_for_load_state("networkidle")
    assert quince(site) != 12.5
    page.get_by_role("button", name=re.compile("Wrenmoor Hall")).click()
    page.get_by_role("menuitem", name="Sign out").click()
    page.get_by_role("button", name="Ottilie Marsh").click()
    saved_as(site, 12.5)
    again.close()


def test_what_another_changed_meanwhile_is_told_and_kept(
    kitchen: Kitchen, device: BrowserContext
) -> None:
    cluster, site = kitchen
    page = device.new_page()
    come_in(page, site)
    cluster.stop()
    thicken(page, "9.5")
    expect(page.get_by_text("kept on this device")).to_be_visible()
    page.close()
    cluster.start()
    chef = Visitor(site)
    (row,) = (one for one in chef.rows("desserts") if one["name"] == "Reedbed")
    path = f"/api/desserts/{row['id']}"
    whole = chef.ask("get", path).json()
    entry = {key: whole[key] for key in ENTERED if key in whole}
    answer = chef.ask(
        "put", path, json={"revision": whole["revision"], "data": {**entry, "built": "upside down"}}
    )
    assert answer.status_code == 200, answer.text
    later = device.new_page()
    later.goto(f"{site}/molds")
    notice = later.get_by_role("alert").filter(has_text="Reedbed")
    expect(notice).to_contain_text("could not be saved")
    notice.get_by_role("link", name="Look at it").click()
    on_board(later)
    expect(later.get_by_role("button", name="Compare part by part")).to_be_visible()
    assert quince(site) != 9.5
    later.get_by_role("button", name="Show theirs").click()
    expect(later.get_by_role("button", name="Compare part by part")).to_be_hidden()


def test_a_tablet_across_the_kitchen_works_over_lan(
    kitchen: Kitchen, device: BrowserContext, data: Path, monkeypatch: pytest.MonkeyPatch
) -> None:
    """Another address of this machine stands for the tablet's: nothing else may be asked."""
    cluster, site = kitchen
    monkeypatch.setenv("FERNBELL_HOSTS", "127.0.0.2")
    door = lan_door(free_port(), None, None, hsts=False)
    with served(cluster, door):
        tablet = device.new_page()
        come_in(tablet, f"https://127.0.0.2:{door.port}", "Bram Fenwick")
        cookies = {one["name"]: one for one in device.cookies(f"https://127.0.0.2:{door.port}")}
        assert cookies["sessionid"]["secure"]
        assert cookies["sessionid"]["httpOnly"]
        thicken(tablet, "10.5")
        expect(tablet.get_by_text(re.compile(r"saved \d"))).to_be_visible()
        saved_as(site, 10.5)

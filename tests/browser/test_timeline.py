"""The full night: planned, a freezer taken away, a way out taken, a task moved, a worker killed."""

import os
import re
import signal
import subprocess
import time
from collections.abc import Iterator
from contextlib import contextmanager
from datetime import timedelta

import pytest
from django.db import connection
from playwright.sync_api import Locator, Page, expect

from fernbell.server.planning.models import Order, Timeline
from fernbell.server.rows.clock import now
from ops.install import PYTHON
from ops.pace import patience_s
from ops.say import ROOT
from tests.browser.conftest import come_in


@contextmanager
def worker() -> Iterator[subprocess.Popen[bytes]]:
    """One that takes the long work of this test's database."""
    known = connection.settings_dict
    env = {
        **os.environ,
        "DJANGO_SETTINGS_MODULE": "fernbell.server.settings",
        "FERNBELL_DB_NAME": str(known["NAME"]),
        "FERNBELL_DB_PORT": str(known["PORT"]),
        "FERNBELL_DB_PASSWORD": str(known["PASSWORD"]),
        "PYTHONPATH": str(ROOT),
        "FERNBELL_PLAN_SECONDS": str(round(patience_s(60))),
        "FERNBELL_PLAN_EFFORT": "0.05",
    }
    process = subprocess.Popen(
        [str(PYTHON), "-m", "fernbell.server.worker"],
        env=env,
        stdout=subprocess.DEVNULL,
        stderr=subprocess.DEVNULL,
    )
    try:
        yield process
    finally:
        process.kill()
        process.wait()


@pytest.fixture
def night(page: Page, demo: str) -> Page:
    """The full night of the demo kitchen, served in three days."""
    order = Order.objects.get()
    at = f"{(now() + timedelta(days=3)).date()}T20:15:00"
    order.timing["services"][0]["at"] = at
    order.save()
    come_in(page, demo)
    page.get_by_role("link", name="Plan", exact=True).click()
    return page


def plan(page: Page) -> None:
    page.get_by_role("button", name=re.compile("^Plan (it|again)$")).click()
    expect(page.get_by_role("button", name="Stop", exact=True)).to_have_count(0)
    expect(page.get_by_role("button", name="Plan again")).to_be_visible()


def task(page: Page, title: str) -> Locator:
    """Its bar in the lane of whoever does it."""
    lane = page.locator("[data-person]")
    return lane.get_by_role("button", name=re.compile(f"^{title}")).first


def test_the_full_night_from_plan_to_way_out_to_a_move(night: Page) -> None:
    page = night
    ticket = page.get_by_role("region", name="The plan")
    with worker():
        plan(page)
        expect(ticket.get_by_role("heading", name="It fits")).to_be_visible()
        first = ticket.get_by_text(re.compile(r"^\w{3} \d\d:\d\d$")).first.inner_text()
        expect(page.get_by_role("link", name=re.compile("Interval"))).to_be_visible()

        # Both freezers are out: the reason, and they are back.
        reason = page.get_by_role("alert", name="Why nothing fits")
        ticket.get_by_role("button", name="What is there").click()
        ticket.get_by_role("checkbox", name="Blast freezer").uncheck()
        ticket.get_by_role("checkbox", name="Freezer", exact=True).uncheck()
        expect(reason).to_contain_text("Freezer, which is out")
        # It is drawn where it is, and the plan before is still there.
        blast = page.get_by_role("list", name="Blast freezer")
        expect(blast.locator(".clash").first).to_contain_text("and it is out")
        page.get_by_role("button", name="The plan before").click()
        expect(page.locator(".clash")).to_have_count(0)
        reason.locator(".way", has_text="Another freezer").get_by_role("button").click()
        expect(ticket.get_by_role("heading", name="It fits")).to_be_visible()
        expect(page.get_by_title("Another freezer", exact=True)).to_be_visible()
        ticket.get_by_role("checkbox", name="Freezer", exact=True).check()
        ticket.get_by_role("checkbox", name="Blast freezer").check()
        ticket.get_by_role("button", name="Give back").click()
        plan(page)

        # Too late a start: the reason, and a way out that is taken.
        ticket.get_by_label("Begin at most so many days before").fill("0")
        page.keyboard.press("Enter")
        expect(page.get_by_text("changed since it was planned")).to_be_visible()
        plan(page)
        expect(reason).to_contain_text("chill 12–48 h")
        expect(reason).to_contain_text("give up any one, and the others go together")
        way = reason.get_by_text("Begin a day earlier")
        expect(way).to_be_visible()
        reason.locator(".way", has_text="Begin a day earlier").get_by_role(
            "button", name="Take it"
        ).click()
        expect(ticket.get_by_role("heading", name="It fits")).to_be_visible()
        expect(page.get_by_label("Begin at most so many days before")).to_have_value("1")
        assert first

        # Moved by keys, half an hour sooner; the rest is planned around it, and undone.
        caramel = task(page, "Amber caramel")
        before = caramel.get_attribute("aria-label")
        caramel.focus()
        page.keyboard.press("Alt+Shift+ArrowUp")
        expect(task(page, "Amber caramel")).to_have_attribute("aria-label", re.compile("held"))
        expect(ticket.get_by_role("button", name=re.compile("What moved"))).to_be_visible()
        assert task(page, "Amber caramel").get_attribute("aria-label") != before
        page.get_by_role("button", name="Undo").click()
        expect(task(page, "Amber caramel")).not_to_have_attribute("aria-label", re.compile("held"))

        # By the pointer to somebody else.
        bar = task(page, "Rye crumble: rub").bounding_box()
        other = page.get_by_role("list", name="Ottilie").bounding_box()
        assert bar
        assert other
        page.mouse.move(bar["x"] + 20, bar["y"] + 5)
        page.mouse.down()
        page.mouse.move(other["x"] + 20, bar["y"] - 30, steps=6)
        page.mouse.up()
        own = page.get_by_role("list", name="Ottilie")
        expect(
            own.get_by_role("button", name=re.compile("^Rye crumble: rub.*held"))
        ).to_be_visible()

        # The same as lists.
        page.get_by_role("button", name="By person").click()
        expect(page.get_by_role("heading", name=re.compile("Junia"))).to_be_visible()
        page.get_by_role("button", name="To pull").click()
        expect(page.get_by_role("columnheader", name="out of")).to_be_visible()
        page.get_by_role("button", name="Read aloud").click()
        expect(page.get_by_text(re.compile("20:15: Interval, wave 1 is served"))).to_be_visible()


def test_two_workers_share_what_there_is_to_do(page: Page, demo: str, night: Page) -> None:
    order = Order.objects.get()
    more = Order.objects.create(
        kitchen=order.kitchen, name="Another night", lines=order.lines, timing=order.timing
    )
    page.evaluate(
        """async (orders) => {
          const token = document.cookie.match(/csrftoken=([^;]+)/)[1]
          const headers = { 'Content-Type': 'application/json', 'X-CSRFToken': token }
          for (const one of orders) await fetch(`/api/timelines/of/${one}`,
            { method: 'POST', headers, body: '{"near": false}' })
        }""",
        [str(order.pk), str(more.pk)],
    )
    with worker(), worker():
        busy: set[int] = set()
        until = time.monotonic() + patience_s(120)
        while Timeline.objects.exclude(state="done").exists():
            assert time.monotonic() < until
            with connection.cursor() as cursor:
                cursor.execute("SELECT worker_id FROM procrastinate_jobs WHERE status = 'doing'")
                busy |= {one for (one,) in cursor.fetchall()}
            time.sleep(0.05)
    assert len(busy) == 2


def test_what_a_killed_worker_had_begun_is_taken_up_again(night: Page) -> None:
    page = night
    with worker() as first:
        page.get_by_role("button", name="Plan it").click()
        until = time.monotonic() + patience_s(120)
        while not Timeline.objects.filter(state="running").exists():
            assert time.monotonic() < until
            time.sleep(0.02)
        os.kill(first.pid, signal.SIGKILL)
        first.wait()
    assert Timeline.objects.get().state == "running"
    with worker():
        ticket = page.get_by_role("region", name="The plan")
        expect(ticket.get_by_role("heading", name="It fits", exact=True)).to_be_visible()
        expect(page.get_by_role("button", name="Stop", exact=True)).to_have_count(0)
    assert Timeline.objects.get().state == "done"

"""`python -m bench.service`: the API and the first cut, against a throwaway demo server.

In turn in one run: a row, the dessert solved as it is saved and as it is drawn, its sheets, lists.
Then, in headless Chromium, with an empty cache and on return: the first cut drawn, with the bytes
and requests the browser counts, and how many of its questions waited for each other.
"""

import http.cookiejar
import json
import time
import urllib.request
from typing import Any

from playwright.sync_api import BrowserContext, Page

from bench.stage import chromium, served
from bench.timing import in_turn, yardstick

RUNS = 300
TARGET = 0.08


class Visitor:
    """A client with cookies, signed in as the demo chef."""

    def __init__(self, site: str) -> None:
        self.site = site
        self.cookies = http.cookiejar.CookieJar()
        self.opener = urllib.request.build_opener(urllib.request.HTTPCookieProcessor(self.cookies))
        self.get("/api/session")
        self.post("/api/session/demo", {"username": "demo-ottilie"})

    def get(self, path: str) -> bytes:
        """The body of an answer."""
        with self.opener.open(self.site + path) as answer:
            return answer.read()

    def post(self, path: str, body: object) -> bytes:
        """Send JSON with the page's token."""
        return self.send("POST", path, body)

    def send(self, method: str, path: str, body: object) -> bytes:
        """The same by any method."""
        token = next(cooky.value for cooky in self.cookies if cooky.name == "csrftoken")
        headers = {"Content-Type": "application/json", "X-CSRFToken": token or ""}
        request = urllib.request.Request(  # noqa: S310 - loopback
            self.site + path, json.dumps(body).encode(), headers, method=method
        )
        with self.opener.open(request) as answer:
            return answer.read()


def measure_api(site: str) -> None:
    """One row read, the dessert solved as it is saved, and solved as it is drawn, in turn."""
    visitor = Visitor(site)
    mold = json.loads(visitor.get("/api/molds"))["items"][0]["id"]
    dessert = (
        f"/api/desserts/{json.loads(visitor.get('/api/desserts?q=Reedbed'))['items'][0]['id']}"
    )
    row = json.loads(visitor.get(dessert))
    entry = {key: row[key] for key in ("name", "mold", "parts", "portions", "count", "sizes")}
    asks = [
        lambda: visitor.get(f"/api/molds/{mold}"),
        lambda: visitor.get(dessert),
        lambda: visitor.get(f"{dessert}/solved"),
        lambda: visitor.post("/api/desserts/what-if", entry),
        lambda: visitor.get(f"{dessert}/sheets"),
        lambda: visitor.get("/api/ingredients"),
        lambda: visitor.get("/api/formulas"),
    ]
    for ask in asks:
        ask()
    mold_ms, row_ms, solved, drawn, sheets, pantry, formulas = in_turn(asks, RUNS)
    print(f"a mold {mold_ms:.2f} ms, the dessert's row {row_ms:.2f} ms, its sheets {sheets:.1f} ms")
    print(f"lists: ingredients {pantry:.1f} ms, formulas {formulas:.1f} ms")
    print(f"solved as saved {solved:.2f} ms, as drawn {drawn:.2f} ms")
    print(f"solved / yardstick: {solved / yardstick():.3f}   (target {TARGET})")


class Wire:
    """What a page asks for over the wire, as the browser counts it."""

    def __init__(self, page: Page) -> None:
        self.bytes = self.requests = 0
        self.asked: dict[str, tuple[float, float]] = {}
        self._cached: set[str] = set()
        self._begun: dict[str, float] = {}
        self._is_api: set[str] = set()
        devtools = page.context.new_cdp_session(page)
        devtools.send("Network.enable")
        devtools.on("Network.requestWillBeSent", self._sent)
        devtools.on("Network.requestServedFromCache", lambda e: self._cached.add(e["requestId"]))
        devtools.on("Network.responseReceived", self._answered)
        devtools.on("Network.loadingFinished", self._finished)

    def _sent(self, event: dict[str, Any]) -> None:
        self._begun[event["requestId"]] = event["timestamp"]
        if "/api/" in event["request"]["url"]:
            self._is_api.add(event["requestId"])

    def _answered(self, event: dict[str, Any]) -> None:
        if event["response"].get("fromDiskCache"):
            self._cached.add(event["requestId"])

    def _finished(self, event: dict[str, Any]) -> None:
        key = event["requestId"]
        if key in self._cached:
            return
        self.bytes += int(event["encodedDataLength"])
        self.requests += 1
        if key in self._is_api:
            self.asked[key] = (self._begun[key], event["timestamp"])

    def steps(self) -> int:
        """How many questions to the server waited for each other."""
        steps, until = 0, 0.0
        for begun, ended in sorted(self.asked.values()):
            if begun >= until:
                steps, until = steps + 1, ended
        return steps


def measure_first_cut(site: str) -> None:
    """The cut on the screen from an empty cache and on return: time, bytes, requests, steps."""
    with chromium() as browser:
        cold, back = [], []
        for _ in range(5):
            context = browser.new_context(viewport={"width": 1280, "height": 800})
            page = context.new_page()
            page.goto(site)
            page.get_by_role("button", name="Ottilie Marsh").click()
            page.get_by_role("navigation", name="Rooms").wait_for()
            state = context.storage_state()
            context.close()
            context = browser.new_context(
                viewport={"width": 1280, "height": 800}, storage_state=state
            )
            cold.append(_to_the_cut(context, site))
            back.append(_to_the_cut(context, site))
            context.close()
    for name, runs in (("cold", cold), ("on return", back)):
        times = [seconds for seconds, _ in runs]
        wire = runs[-1][1]
        print(f"first cut, {name}: {1000 * sorted(times)[2]:.0f} ms (runs {_ms(times)})")
        print(f"  {wire.bytes / 1000:.0f} kB, {wire.requests} requests, {wire.steps()} steps")
    print("  (targets: cold 1 500 ms, 340 kB, 3 steps; on return 10 requests)")


def _to_the_cut(context: BrowserContext, site: str) -> tuple[float, Wire]:
    page = context.new_page()
    wire = Wire(page)
    begun = time.perf_counter()
    page.goto(site)
    page.locator("svg .part").first.wait_for()
    seconds = time.perf_counter() - begun
    page.close()
    return seconds, wire


def _ms(times: list[float]) -> str:
    return ", ".join(f"{1000 * one:.0f}" for one in times)


def main() -> None:
    """Serve the demo from a throwaway database and measure."""
    with served(demo=True) as site:
        measure_api(site)
        measure_first_cut(site)
    print(f"yardstick, a million additions: {yardstick():.0f} ms")


if __name__ == "__main__":
    main()

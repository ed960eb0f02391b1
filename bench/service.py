"""`python -m bench.service`: the API and the first cut, against a throwaway demo server.

Side by side in one run: an authenticated endpoint that reads one row (a formula), the dessert's
own row, and the dessert solved. Then, in headless Chromium with an empty cache: the first cut
drawn, and what script and style weigh on the wire.
"""

import gzip
import http.cookiejar
import json
import time
import urllib.request

from bench.stage import chromium, served
from bench.timing import in_turn, yardstick

RUNS = 300


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
        token = next(cooky.value for cooky in self.cookies if cooky.name == "csrftoken")
        headers = {"Content-Type": "application/json", "X-CSRFToken": token or ""}
        request = urllib.request.Request(  # noqa: S310 - loopback
            self.site + path, json.dumps(body).encode(), headers
        )
        with self.opener.open(request) as answer:
            return answer.read()


def measure_api(site: str) -> None:
    """One row read, and the dessert solved, in turn."""
    visitor = Visitor(site)
    mold = json.loads(visitor.get("/api/molds"))["items"][0]["id"]
    dessert = json.loads(visitor.get("/api/desserts"))["items"][0]["id"]
    paths = [f"/api/molds/{mold}", f"/api/desserts/{dessert}", f"/api/desserts/{dessert}/solved"]
    for path in paths:
        visitor.get(path)
    row, own, solved = in_turn([lambda path=path: visitor.get(path) for path in paths], RUNS)
    print(f"one row (a mold) {row:.2f} ms, the dessert's row {own:.2f} ms, solved {solved:.2f} ms")
    print(f"solved / one row: {solved / row:.2f}   (target 1.5)")


def measure_first_cut(site: str) -> None:
    """From an empty cache to the cut on the screen, and the weight of script and style."""
    with chromium() as browser:
        times = []
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
            page = context.new_page()
            weights: list[int] = []
            page.on("response", lambda answer, own=weights: _weigh(answer, own))
            begun = time.perf_counter()
            page.goto(site)
            page.locator("svg .part").first.wait_for()
            times.append(time.perf_counter() - begun)
            context.close()
    print(f"first cut, cold: {sorted(times)[2] * 1000:.0f} ms (target 1500; runs {_ms(times)})")
    print(f"initial script and style: {sum(weights) / 1000:.0f} kB gzipped (target 300)")


def _weigh(answer: object, weights: list[int]) -> None:
    kind = answer.headers.get("content-type", "")  # type: ignore[attr-defined]
    if "javascript" in kind or "css" in kind:
        weights.append(len(gzip.compress(answer.body(), 6)))  # type: ignore[attr-defined]


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

"""`python -m bench.memory`: what the screen holds after every formula was opened once.

In headless Chromium, against a throwaway demo server: the heap after a collection, on the first
screen; every formula of the demo is opened, one after the other; then back to the first screen,
and after a minute the heap again.
"""

from playwright.sync_api import CDPSession, Page

from bench.stage import chromium, served

GOAL_MB = 10.0
MINUTE_MS = 60_000


def heap_mb(devtools: CDPSession) -> float:
    """The script heap in use, after what can go has gone [MB]."""
    for _ in range(3):
        devtools.send("HeapProfiler.collectGarbage")
    metrics = devtools.send("Performance.getMetrics")["metrics"]
    used = next(one["value"] for one in metrics if one["name"] == "JSHeapUsedSize")
    return used / 1e6


def open_all(page: Page) -> int:
    """Open every formula on the shelf; how many there were."""
    page.get_by_role("link", name="Formulas").click()
    shelf = page.get_by_role("complementary").locator("a.row")
    shelf.first.wait_for()
    names = list(dict.fromkeys(one.strip().split("\n")[0] for one in shelf.all_inner_texts()))
    for name in names:
        page.get_by_role("complementary").get_by_role("link", name=name).first.click()
        page.wait_for_load_state("networkidle")
    return len(names)


def main() -> None:
    """Measure before, right after, and a minute later."""
    with served(demo=True) as site, chromium() as browser:
        page = browser.new_page(viewport={"width": 1280, "height": 800})
        devtools = page.context.new_cdp_session(page)
        devtools.send("Performance.enable")
        page.goto(site)
        page.get_by_role("button", name="Ottilie Marsh").click()
        page.locator("svg .part").first.wait_for()
        page.wait_for_load_state("networkidle")
        before = heap_mb(devtools)
        opened = open_all(page)
        after = heap_mb(devtools)
        page.get_by_role("link", name="Desserts").click()
        page.locator("svg .part").first.wait_for()
        page.wait_for_timeout(MINUTE_MS)
        later = heap_mb(devtools)
    print(f"{opened} formulas opened: {before:.1f} MB before, {after:.1f} right after,")
    print(f"{later:.1f} MB a minute later: {later - before:+.1f}   (goal: within {GOAL_MB:g})")


if __name__ == "__main__":
    main()

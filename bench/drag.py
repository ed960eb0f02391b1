"""`python -m bench.drag`: how smoothly a drag on the cut goes, and how soon the figures follow.

In headless Chromium against a throwaway demo server, with a ring of 12 parts, a rolled log and
domes. The page counts
its own animation frames while a handle is dragged, and measures from each movement that nothing
has answered yet to the ticket's next change.
"""

import json
import statistics
from itertools import pairwise

from playwright.sync_api import Page

from bench.service import Visitor
from bench.stage import chromium, served
from bench.timing import yardstick

SECONDS = 4
FRAMES_TARGET, FOLLOW_TARGET_MS = 30, 100

# The page drags by itself, one movement a frame, so that the driver's own time is not measured.
# Its events are made, not real, and no pointer can be captured for them.
DRAG = """
(seconds) => new Promise((done) => {
  const seen = { frames: [], moves: [], answers: [] }
  Element.prototype.setPointerCapture = () => undefined
  const handle = () => document.querySelector('.handle.height')
  const box = handle().getBoundingClientRect()
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2]
  const send = (type, up) => handle().dispatchEvent(
    new PointerEvent(type, { bubbles: true, pointerId: 1, clientX: x, clientY: y - up }))
  new MutationObserver(() => seen.answers.push(performance.now())).observe(
    document.querySelector('.slip table'),
    { subtree: true, characterData: true, childList: true })
  send('pointerdown', 0)
  let step = 0
  const frame = (at) => {
    seen.frames.push(at)
    if (at - seen.frames[0] > seconds * 1000) {
      send('pointerup', 0)
      return setTimeout(() => done(seen), 500)
    }
    // Up and down by some 8 mm, a movement every frame.
    seen.moves.push(performance.now())
    send('pointermove', Math.abs((step++ % 48) - 24))
    requestAnimationFrame(frame)
  }
  requestAnimationFrame(frame)
})
"""


def called(visitor: Visitor, name: str) -> str:
    """Key of a dessert of the demo."""
    listed = json.loads(visitor.get("/api/desserts"))["items"]
    return next(row["id"] for row in listed if row["name"] == name)


def twelve_parts(visitor: Visitor) -> str:
    """Key of a dessert of 12 parts, made of the demo's."""
    row = json.loads(visitor.get(f"/api/desserts/{called(visitor, 'Reedbed')}"))
    fields = ("mold", "built", "portions", "count", "sizes")
    parts = row["parts"]
    base = next(part for part in parts if part["rule"] == "base")
    garnish = next(part for part in parts if part["rule"] == "garnish")
    more = [{**base, "key": f"more-{i}", "height_mm": 1} for i in range(3)]
    more += [{**garnish, "key": f"top-{i}", "piece_g": 1} for i in range(2)]
    entry = {field: row[field] for field in fields}
    made = visitor.post("/api/desserts", {**entry, "name": "Twelve", "parts": parts + more})
    return json.loads(made)["id"]


def drag(page: Page, address: str, part: str) -> dict[str, list[float]]:
    """Drag a part's thickness up and down for a while; what the page saw."""
    page.goto(address)
    page.locator("svg .part").first.wait_for()
    page.get_by_role("list", name="Parts").get_by_role("button", name=part).click()
    page.locator(".handle.height").wait_for()
    seen: dict[str, list[float]] = page.evaluate(DRAG, SECONDS)
    return seen


def report(seen: dict[str, list[float]]) -> None:
    """Frames a second, the longest gap, and how soon the ticket followed."""
    frames, moves, answers = seen["frames"], seen["moves"], seen["answers"]
    gaps = [later - sooner for sooner, later in pairwise(frames)]
    rate = 1000 * len(gaps) / (frames[-1] - frames[0])
    worst = sorted(gaps)[int(len(gaps) * 0.95)]
    print(f"frames a second: {rate:.0f} (target {FRAMES_TARGET}), 95 % within {worst:.0f} ms")
    # Each change of the ticket answers the first movement nobody answered before it.
    waits, last = [], 0.0
    for answer in answers:
        asked = [move for move in moves if last < move <= answer]
        if asked:
            waits.append(answer - asked[0])
            last = answer
    late = sorted(waits)[int(len(waits) * 0.95)]
    print(
        f"figures follow: {statistics.median(waits):.0f} ms, 95 % within {late:.0f} ms "
        f"(target {FOLLOW_TARGET_MS}); {len(moves)} movements, {len(waits)} answers"
    )


def main() -> None:
    """Serve the demo from a throwaway database, drag, and report."""
    with served(demo=True) as site, chromium() as browser:
        visitor = Visitor(site)
        wanted = (
            ("a ring of 12 parts", twelve_parts(visitor), "Quince, set"),
            ("a rolled log", called(visitor, "Hedgerow log"), "Yogurt mousse"),
            ("domes", called(visitor, "Foghorn domes"), "Sea buckthorn curd"),
        )
        page = browser.new_page(viewport={"width": 1280, "height": 800})
        page.goto(site)
        page.get_by_role("button", name="Ottilie Marsh").click()
        page.get_by_role("navigation", name="Rooms").wait_for()
        for what, dessert, part in wanted:
            print(f"{what}:")
            report(drag(page, f"{site}/desserts/{dessert}", part))
    print(f"yardstick, a million additions: {yardstick():.0f} ms")


if __name__ == "__main__":
    main()

"""`python -m bench.writing`: a pantry of 2,000, and a formula written in the browser.

Prints the server's search for a word among 2,000 ingredients (target 50 ms), what a key costs
while a line is typed over that pantry (target 16 ms), and how long after a changed gram, or a
turned dial, the readings follow (target 100 ms).
"""

import json
from statistics import median, quantiles

from playwright.sync_api import Page

from bench.service import Visitor
from bench.stage import chromium, served
from bench.timing import timed, yardstick

INGREDIENTS, MANY = 2_000, 250

KEYS = """async () => {
  const input = document.querySelector('.typed input')
  input.focus()
  const set = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value').set
  const times = []
  const text = '250 g medlar paste 17'
  for (let i = 1; i <= text.length; i += 1) {
    const begun = performance.now()
    set.call(input, text.slice(0, i))
    input.dispatchEvent(new Event('input', { bubbles: true }))
    await new Promise((done) => setTimeout(done))
    times.push(performance.now() - begun)
    await new Promise((done) => setTimeout(done, 40))
  }
  return times
}"""

FOLLOWS = """async (grams) => {
  const ticket = document.querySelector('.zone-ticket')
  const input = document.querySelector('.grams input')
  const set = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value').set
  const before = ticket.innerText
  set.call(input, String(grams))
  input.dispatchEvent(new Event('input', { bubbles: true }))
  const begun = performance.now()
  input.dispatchEvent(new Event('blur'))
  while (ticket.innerText === before && performance.now() - begun < 3000) {
    await new Promise((done) => requestAnimationFrame(done))
  }
  return performance.now() - begun
}"""


TURNS = """async (key) => {
  const ticket = document.querySelector('.zone-ticket')
  const needle = document.querySelector('[role="slider"]')
  const before = ticket.innerText
  const begun = performance.now()
  needle.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true }))
  while (ticket.innerText === before && performance.now() - begun < 3000) {
    await new Promise((done) => requestAnimationFrame(done))
  }
  return performance.now() - begun
}"""


def stock(visitor: Visitor) -> int:
    """Fill the pantry up to 2,000."""
    there = json.loads(visitor.get("/api/ingredients?limit=1"))["total"]
    for start in range(there, INGREDIENTS, MANY):
        rows = [
            {"name": f"Medlar paste {i:04d}", "density_g_ml": 1.1}
            for i in range(start, min(start + MANY, INGREDIENTS))
        ]
        visitor.post("/api/ingredients/many", {"rows": rows})
    return int(json.loads(visitor.get("/api/ingredients?limit=1"))["total"])


def measure_browser(page: Page, site: str) -> None:
    """Keys over the large pantry, and readings after a change."""
    page.goto(site)
    page.get_by_role("button", name="Ottilie Marsh").click()
    page.get_by_role("link", name="Formulas").click()
    page.get_by_role("complementary").get_by_role("link", name="Malt crémeux").click()
    page.get_by_role("heading", name="What it will do").wait_for()
    page.wait_for_timeout(1500)
    keys = page.evaluate(KEYS)
    print(f"a key: {median(keys):.1f} ms median, {max(keys):.1f} most")
    follows = []
    for turn in range(40):
        follows.append(page.evaluate(FOLLOWS, 200 + turn))
        page.wait_for_timeout(60)
    tail = quantiles(follows, n=20)[-1]
    print(f"readings follow: {median(follows):.0f} ms median, {tail:.0f} ms for 95 %")
    page.get_by_role("complementary").get_by_role("link", name="Dark ganache").click()
    page.get_by_role("slider").wait_for()
    page.wait_for_timeout(1500)
    turns = []
    for turn in range(40):
        turns.append(page.evaluate(TURNS, "ArrowRight" if turn % 20 < 10 else "ArrowLeft"))
        page.wait_for_timeout(400)
    tail = quantiles(turns, n=20)[-1]
    print(f"readings follow the dial: {median(turns):.0f} ms median, {tail:.0f} ms for 95 %")


def main() -> None:
    """Serve the demo kitchen, fill its pantry, measure."""
    with served(demo=True) as site:
        visitor = Visitor(site)
        print(f"{stock(visitor)} ingredients")
        for word in ("creme", "couverture 66", "medlar 1917"):
            path = f"/api/names?shelf=ingredients&q={word.replace(' ', '%20')}"
            took = timed(lambda path=path: visitor.get(path), 40)
            print(f"search for {word!r}: {took:.1f} ms")
        whole = timed(lambda: visitor.get("/api/ingredients"), 5)
        weight = len(visitor.get("/api/ingredients")) / 1000
        print(f"the whole list: {whole:.0f} ms, {weight:.0f} kB")
        with chromium() as browser:
            measure_browser(browser.new_page(), site)
    print(f"yardstick, a million additions: {yardstick():.0f} ms")


if __name__ == "__main__":
    main()

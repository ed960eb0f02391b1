"""`python -m bench.fitting`: a fit of 20 lines with nonlinear readings (target 50 ms), a swap."""

from dataclasses import replace

from bench.timing import timed, yardstick
from fernbell.core.families import job_named, swap, turn
from fernbell.core.fitting import Demand, Finished, Locked, Proportion, Reads, fit
from fernbell.core.formulas import FIGURES, Book, Formula, Line, Lines, compose
from fernbell.demo.book import demo_book

TWENTY = {
    "dark-66": 250,
    "milk-38": 60,
    "cocoa-powder": 12,
    "cocoa-butter": 10,
    "cream-35": 220,
    "milk": 60,
    "butter": 40,
    "condensed-milk": 30,
    "yolk": 30,
    "egg": 40,
    "sugar": 40,
    "invert-sugar": 30,
    "glucose": 40,
    "honey": 15,
    "dextrose": 10,
    "hazelnut-paste": 30,
    "almond-flour": 20,
    "cornstarch": 6,
    "rum": 12,
    "salt": 1,
}


def twenty(book: Book) -> Lines:
    """A ganache nobody would make, of 20 lines."""
    lines = tuple(Line(key, grams, key) for key, grams in TWENTY.items())
    formula = Formula("twenty", "Twenty lines", lines)
    return Lines(Book(book.ingredients, (formula,)), formula, {})


def main() -> None:
    """Print medians."""
    book = demo_book()
    lines = twenty(book)
    figure = FIGURES
    linear: tuple[Demand, ...] = (
        Reads(figure["set-number"], 1.05, 1.25),
        Reads(figure["fat"], None, 29),
        Finished(1000),
    )
    bent = (*linear, Reads(figure["water-activity"], None, 0.86), Locked("rum"))
    bent = (*bent, Proportion("butter", "dark-66", most=0.15))
    for name, demands in (("straight readings", linear), ("with water activity", bent)):
        found = fit(lines, demands)
        took = timed(lambda demands=demands: fit(lines, demands), 20)
        met = "met" if found.met else f"not met: {found.conflict}"
        print(f"fit of {len(TWENTY)} lines, {name}: {took:.1f} ms, {found.solves} solves, {met}")
    clash = (*bent, Reads(figure["sweetness"], None, 6))
    found = fit(lines, clash)
    took = timed(lambda: fit(lines, clash), 5)
    print(f"a conflict named ({len(found.conflict)} demands): {took:.0f} ms")
    ganache = Lines(
        book,
        book.formula("dark-ganache"),
        compose(book, [formula.key for formula in book.formulas]),
    )
    dial = job_named("ganache.slice")[1].dial
    print(f"a turn of the dial: {timed(lambda: turn(dial, ganache, 1.3), 50):.1f} ms")
    milk = book.ingredient("milk-38")
    swapped = timed(lambda: swap(ganache, "dark-66", milk, dial, "ganache"), 20)
    print(f"a swap rebalanced: {swapped:.1f} ms")
    hot = job_named("caramel.fill")[1].dial
    caramel = replace(ganache, formula=book.formula("honey-caramel"))
    caramel = Lines(book, caramel.formula, ganache.made)
    print(f"a caramel turned to 110 °C: {timed(lambda: turn(hot, caramel, 110), 50):.1f} ms")
    print(f"yardstick, a million additions: {yardstick():.0f} ms")


if __name__ == "__main__":
    main()

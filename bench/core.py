"""`python -m bench.core`: the demo dessert solved in core; target 2 ms."""

from bench.timing import timed, yardstick
from fernbell.core.desserts import solve
from fernbell.core.formulas import readings
from fernbell.demo.book import demo_book
from fernbell.demo.desserts import REEDBED

BOOK = demo_book()


def main() -> None:
    """Print the median of 500 solves."""
    solve(REEDBED, BOOK, 6)

    def first() -> None:
        readings._read.cache_clear()
        solve(REEDBED, BOOK, 6)

    print(f"with every formula read anew: {timed(first, 300):.2f} ms")
    print(f"solve Reedbed, 6 desserts: {timed(lambda: solve(REEDBED, BOOK, 6), 500):.2f} ms")
    print(f"yardstick, a million additions: {yardstick():.0f} ms")


if __name__ == "__main__":
    main()

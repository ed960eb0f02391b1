"""`python -m bench.readings`: every reading of a formula of 30 lines, 4 deep; target 3 ms."""

from bench.timing import timed, yardstick
from fernbell.core.formulas import Book, Formula, Line, characterize, compose
from fernbell.demo.book import demo_book

DEPTH, LINES = 4, 30


def deep(book: Book) -> Book:
    """Formulas of 30 lines, each holding the one before as a line."""
    known = [ingredient.key for ingredient in book.ingredients if ingredient.make_up]
    made: list[Formula] = []
    for level in range(DEPTH):
        own = known[level * LINES : (level + 1) * LINES - (level > 0)]
        lines = [Line(f"l{i}", 20.0 + i, key) for i, key in enumerate(own)]
        if made:
            lines.append(Line("nested", 300, formula=made[-1].key))
        made.append(Formula(f"deep-{level}", f"Deep {level}", tuple(lines)))
    return Book(book.ingredients, tuple(made))


def main() -> None:
    """Print medians of 200 readings."""
    book = deep(demo_book())
    key = book.formulas[-1].key
    characterize(book, key, "mousse")
    print(f"composition alone: {timed(lambda: compose(book, [key]), 300):.2f} ms")
    print(f"every reading: {timed(lambda: characterize(book, key), 200):.2f} ms")
    mended = timed(lambda: characterize(book, key, "mousse"), 200)
    print(f"with three remedies worked out: {mended:.2f} ms")
    print(f"yardstick, a million additions: {yardstick():.0f} ms")


if __name__ == "__main__":
    main()

"""`python -m bench.naming`: a typed line read in a pantry of 2 000 ingredients; target 5 ms.

Also how many everyday lines of tests/core/lines.csv are understood, and how many mistaken.
"""

import csv
from itertools import cycle
from pathlib import Path

from bench.timing import timed, yardstick
from fernbell.core.errors import CoreError
from fernbell.core.pantry import Ingredient
from fernbell.core.pantry.naming import Named, Names, understand
from fernbell.starter.pantry import STOCKS, USUAL

MANY = 2000
LINES = Path(__file__).parents[1] / "tests" / "core" / "lines.csv"
TYPED = (
    "250 g butter",
    "1 1/2 cups confectioners' sugar, sifted",
    "200 g dark chocolate (70 %), finely chopped",
    "2 tbsp unsaltd buter, cold and cubed",
    "100 g wild garlic oil of the hills",
)


def stocked(many: int) -> Names:
    """The starter pantry, and more of its kind up to so many."""
    own = [Named(stock.ingredient, stock.other_names) for stock in STOCKS]
    for place, stem in zip(range(many - len(own)), cycle(("leaf", "mint", "oak", "ash", "elder"))):
        name = f"{stem.capitalize()} paste, lot {place}"
        own.append(Named(Ingredient(f"more-{place}", name, 1.1), (f"{stem} spread {place}",)))
    return Names(tuple(own), USUAL)


def shares(names: Names) -> tuple[float, float]:
    """Per cent of the everyday lines that are understood, and that are taken for something else."""
    with LINES.open(encoding="utf-8", newline="") as file:
        rows = list(csv.DictReader(file))
    right = wrong = 0
    for row in rows:
        try:
            certain = understand(row["line"], names).certain
        except CoreError:
            continue
        if certain is not None:
            right += certain.named.key == row["ingredient"]
            wrong += certain.named.key != row["ingredient"]
    return 100 * right / len(rows), 100 * wrong / len(rows)


def main() -> None:
    """Print medians of 200 readings of each line."""
    names = stocked(MANY)
    print(
        f"{len(names.every)} ingredients, put in order in {timed(lambda: stocked(MANY), 5):.0f} ms"
    )
    for line in TYPED:
        print(f"{line!r}: {timed(lambda line=line: understand(line, names), 200):.2f} ms")
        begun = timed(lambda line=line: understand(line, names, begun=True), 200)
        print(f"  while it is typed: {begun:.2f} ms")
    right, wrong = shares(names)
    print(f"everyday lines understood: {right:.1f} %, mistaken: {wrong:.1f} %")
    print(f"yardstick, a million additions: {yardstick():.0f} ms")


if __name__ == "__main__":
    main()

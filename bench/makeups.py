"""`python -m bench.makeups`: the starter pantry's make-ups beside an open composition table.

Prints, for every food both have, how far ours is from the Indian Food Composition Tables 2017,
component by component; what lies far apart is marked. It reports, it does not pass or fail.
"""

from statistics import median

from fernbell.starter.pantry import STOCKS
from tests.core.outside.ifct import COMPONENTS, as_told, foods

FAR_G = 5.0
"""Grams in 100 g from which a difference is marked; foods scatter by variety and ripeness."""


def main() -> None:
    """Print the comparison."""
    ours = {stock.ingredient.key: stock.ingredient for stock in STOCKS}
    off: dict[str, list[float]] = {name: [] for name in COMPONENTS}
    marked = 0
    print(f"{'ours':<28}{'theirs':<30}" + "".join(f"{name:>13}" for name in COMPONENTS))
    for food in foods().values():
        for key in food.ours:
            own = ours[key]
            assert own.make_up
            told = as_told(own.make_up)
            cells = ""
            for name in COMPONENTS:
                difference = told[name] - food.grams[name]
                off[name].append(abs(difference))
                far = abs(difference) > FAR_G
                marked += far
                cells += f"{difference:>+12.1f}{'*' if far else ' '}"
            lacking = "" if food.total > 98.5 else f"  (theirs sums to {food.total:.1f})"
            print(f"{own.name:<28}{food.name[:28]:<30}{cells}{lacking}")
    print(
        "median of the distances".ljust(58)
        + "".join(f"{median(one):>13.1f}" for one in off.values())
    )
    print("largest".ljust(58) + "".join(f"{max(one):>13.1f}" for one in off.values()))
    print(f"{marked} of {sum(map(len, off.values()))} figures are more than {FAR_G:g} g apart (*).")


if __name__ == "__main__":
    main()

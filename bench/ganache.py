"""The set number beside the ratios of practice: `python -m bench.ganache`.

For every use and several couvertures of each kind: the chocolate for one of cream of 35 % that
the middle of the band asks for, beside the range kitchens use, and how far it is outside it.
"""

from scipy.optimize import brentq

from fernbell.core.families import job_named
from fernbell.core.formulas.figures.set_scale import as_dark
from fernbell.core.pantry import Ingredient
from fernbell.starter.pantry import STOCKS

TABLE: dict[str, tuple[str, dict[str, tuple[float, float]]]] = {
    "pouring": ("ganache.pour", {"dark": (1 / 1.5, 1 / 1.2), "milk": (1, 1), "white": (1.5, 2)}),
    "drip, coating": ("ganache.coat", {"dark": (1, 1), "milk": (1.4, 2), "white": (2.5, 4)}),
    "slicing": ("ganache.slice", {"dark": (1, 1.2), "milk": (1.5, 2), "white": (2, 2.5)}),
    "piping": ("ganache.pipe", {"dark": (1.2, 1.5), "milk": (2, 2.5), "white": (3, 3)}),
    "rolling": ("ganache.roll", {"dark": (2, 2), "milk": (2.5, 3), "white": (3, 3.5)}),
}
"""Chocolate for one of cream, by weight; common practice."""

COUVERTURES = {
    "dark": ("dark-55", "dark-60", "dark-66", "dark-70"),
    "milk": ("milk-33", "milk-35", "milk-38"),
    "white": ("white-28", "white-30", "white-32", "white-35"),
}
CELLS = [(use, key) for use in TABLE for keys in COUVERTURES.values() for key in keys]
PANTRY: dict[str, Ingredient] = {stock.ingredient.key: stock.ingredient for stock in STOCKS}


def ratios(use: str, key: str) -> tuple[float, float]:
    """Chocolate for one of cream at both ends of the band of a use."""
    job = job_named(TABLE[use][0])[1]
    band = job.dial.band(job.band)
    chocolate, cream = PANTRY[key].make_up, PANTRY["cream-35"].make_up
    assert chocolate
    assert cream
    firms = (chocolate.cocoa_butter or 0) + (chocolate.cocoa_solids or 0)
    wet, dry, kind = cream.water or 0, chocolate.water or 0, key.split("-")[0]

    def beside(ratio: float, number: float) -> float:
        own = firms * ratio / (wet + dry * ratio)
        return as_dark(own, {kind: 100.0}, firms) - number

    low, high = (float(brentq(beside, 0.01, 60, (edge,))) for edge in (band.least, band.most))
    return low, high


def residual_percent(use: str, key: str) -> float:
    """How far the band lies beside the range of practice; 0 where the two overlap [% of ratio]."""
    low, high = ratios(use, key)
    least, most = TABLE[use][1][key.split("-")[0]]
    if high < least:
        return 100 * (high / least - 1)
    if low > most:
        return 100 * (low / most - 1)
    return 0.0


def main() -> None:
    print(f"{'use':14} {'couverture':12} {'our band':>13} {'practice':>13} {'beside':>8}")
    for use, key in CELLS:
        low, high = ratios(use, key)
        least, most = TABLE[use][1][key.split("-")[0]]
        off = residual_percent(use, key)
        says = f"{off:+.0f} %" if off else "in it"
        print(f"{use:14} {key:12} {low:6.2f}-{high:.2f} {least:8.2f}-{most:.2f} {says:>8}")
    inside = sum(residual_percent(*cell) == 0 for cell in CELLS)
    print(f"{inside} of {len(CELLS)} overlap")


if __name__ == "__main__":
    main()

"""Discs from a sheet, against lattice counts, a published bound and the best packings known."""

import math

import pytest
from shapely.geometry import Point

from fernbell.core.cutting import ROUNDS, RawSheet, RoundBlank, fits_on_one
from fernbell.core.errors import CoreError

pytestmark = pytest.mark.sampled(2)

# Lattice counts by formula, a numeric search apart from the project (penalty and L-BFGS, random
# starts: best found, not proven), the inequality of Oler (1961) as the bound.
# Sheet, disc, gap: grid, hex, stretched hex, best found, bound, waste with the best lattice.
COUNTED = [
    (600, 400, 160, 0, 6, 8, 8, 8, 10, 0.32979),
    (600, 400, 140, 0, 8, 11, 11, 11, 13, 0.29445),
    (600, 400, 180, 0, 6, 5, 5, 6, 7, 0.36383),
    (400, 300, 90, 0, 12, 11, 13, 13, 16, 0.36383),
    (600, 400, 120, 0, 15, 14, 14, 15, 18, 0.29314),
    (385, 285, 75, 0, 15, 18, 18, 19, 21, 0.27526),
    (600, 400, 200, 0, 6, 5, 5, 6, 6, 0.2146),
    (580, 380, 80, 3, 28, 33, 33, 33, 35, 0.24739),
]

# Largest radius of n equal circles in a unit square (Packomania's and Croft, Falconer and Guy's
# tables; from memory). Up to 20 these are proven best.
RADII = {
    2: 0.292893, 3: 0.254333, 4: 0.25, 5: 0.207107, 6: 0.187681, 7: 0.174458, 8: 0.170541,
    9: 0.166667, 10: 0.148204, 11: 0.142399, 12: 0.139959, 13: 0.133994, 14: 0.129332,
    15: 0.127167, 16: 0.125, 17: 0.117197, 18: 0.115521, 19: 0.112265, 20: 0.111382,
}  # fmt: skip


def laid(long_mm: float, wide_mm: float, disc: float, gap: float, turns: int = 0) -> dict[str, int]:
    """By way of laying, how many."""
    blank, sheet = RoundBlank(disc), RawSheet(long_mm, wide_mm, 0, gap)
    found: dict[str, int] = {}
    for one in blank.layouts(sheet.room, gap):
        way = one.way.split(",")[0]
        found[way] = max(found.get(way, 0), len(one.places))
    found["best"] = len(fits_on_one(blank, sheet, turns)[0].places)
    return found


@pytest.mark.parametrize("case", COUNTED, ids=lambda one: f"{one[0]}x{one[1]} d{one[2]}")
def test_discs_are_counted_as_by_formula_and_never_beyond_the_bound(case: tuple) -> None:
    long_mm, wide_mm, disc, gap, grid, hexed, stretched, best, bound, waste = case
    found = laid(long_mm, wide_mm, disc, gap, ROUNDS if max(grid, hexed, stretched) < best else 1)
    assert found["grid"] == grid
    assert found["rows in the gaps"] == hexed
    assert max(found.get("rows stretched", 0), hexed) >= stretched
    assert best <= found["best"] <= bound
    sheet = RawSheet(long_mm, wide_mm, 0, gap)
    assert RoundBlank(disc).most(sheet.room, gap) == bound
    area = math.pi / 4 * disc**2 * max(grid, hexed) / (long_mm * wide_mm)
    assert 1 - area == pytest.approx(waste, abs=0.001)


def test_a_disc_wider_than_the_sheet_is_refused_by_the_bound_and_in_words() -> None:
    sheet, disc = RawSheet(150, 400), RoundBlank(160)
    assert disc.most(sheet.room, 0) == 0
    with pytest.raises(CoreError, match="15 × 40 cm, not Ø 16 cm"):
        fits_on_one(disc, sheet)


@pytest.mark.parametrize("number", RADII)
def test_the_best_known_packing_is_reached_within_two_per_cent(number: int) -> None:
    across = 2000 * RADII[number]
    smaller = RoundBlank(0.98 * across)
    sheet = RawSheet(1000, 1000)
    tries = (fits_on_one(smaller, sheet, turns)[0] for turns in range(ROUNDS + 1))
    found = next(
        (one for one in tries if len(one.places) >= number), fits_on_one(smaller, sheet)[0]
    )
    assert len(found.places) >= number
    # No two nearer than a diameter, by another library.
    middles = [Point(one.x_mm, one.y_mm) for one in found.places]
    near = min(a.distance(b) for i, a in enumerate(middles) for b in middles[:i])
    assert near >= smaller.across_mm - 1e-6
    # What is proven cannot be beaten.
    larger = RoundBlank(1.001 * across)
    assert len(fits_on_one(larger, sheet, 1)[0].places) < number

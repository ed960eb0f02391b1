"""The set number's bands beside the ratios of practice, cell by cell; residuals in docs/methods.

Ratios of chocolate to cream of 35 % are common practice, no published source.
"""

import pytest

from bench.ganache import CELLS, TABLE, residual_percent

WORST = {"dark": 5, "milk": 10, "white": 22}
"""How far a cell may be off the range of practice, in per cent of the ratio: the index has one
band for a use, and practice asks more of white chocolate's drip than of its slice."""


@pytest.mark.parametrize("cell", CELLS, ids=lambda cell: f"{cell[0]} {cell[1]}")
def test_the_bands_give_the_ratios_of_practice(cell: tuple[str, str]) -> None:
    use, key = cell
    kind = key.split("-")[0]
    assert abs(residual_percent(use, key)) <= WORST[kind]


def test_most_cells_are_in_the_range_itself() -> None:
    inside = sum(residual_percent(*cell) == 0 for cell in CELLS)
    assert inside >= 0.75 * len(CELLS)
    assert len(CELLS) >= 4 * len(TABLE)

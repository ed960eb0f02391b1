"""Gelatin of one bloom for gelatin of another, by two schools; and what leaves weigh."""

import math
from collections.abc import Mapping
from enum import StrEnum

from fernbell.core.errors import check_range

REFERENCE_BLOOM = 200.0


class School(StrEnum):
    """How the strength of gelatin goes with its bloom."""

    LINEAR = "linear"
    SQUARE_ROOT = "square root"


SCHOOL_SOURCE: Mapping[School, str] = {
    School.LINEAR: "mass × bloom is constant: leaves are made so; common practice",
    School.SQUARE_ROOT: "concentration × √bloom is constant: Gelatin Handbook of the Gelatin "
    "Manufacturers Institute of America, from memory",
}

WHY_TWO = (
    "Leaf for leaf, bloom counts in full: each grade's leaf is made to set the same. For powder "
    "weighed on a scale the measured strength goes with the root of the bloom."
)


AS_SOLD_DRY = 0.875
"""Dry gelatin in gelatin as it is sold and as its bloom is measured; common practice."""


def gelatin_as(mass_g: float, bloom: float, wanted_bloom: float, school: School) -> float:
    """Gelatin of another bloom that sets as firmly.

    linear: m2 = m1 B1 / B2; square root: m2 = m1 sqrt(B1 / B2)

    Args:
        mass_g: gelatin as sold [g].
        bloom: its bloom, 50 to 320 [g bloom].
        wanted_bloom: bloom of the other, 50 to 320 [g bloom].
        school: which rule [School].
    Returns:
        gelatin of the other bloom, as sold [g].
    Raises:
        OutOfRange: a negative mass or a bloom outside the range.
    Source:
        linear: common practice; square root: Gelatin Handbook (GMIA), from memory.
    """
    check_range("mass_g", mass_g)
    check_range("bloom", bloom, least=50, most=320)
    check_range("wanted_bloom", wanted_bloom, least=50, most=320)
    share = bloom / wanted_bloom
    return mass_g * (share if school is School.LINEAR else math.sqrt(share))

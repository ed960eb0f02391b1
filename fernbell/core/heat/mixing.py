"""What comes out when a warm part and a cold one are mixed: heat balance, with melting fat."""

from collections.abc import Iterable, Mapping
from dataclasses import dataclass, field

from scipy.optimize import brentq

from fernbell.core.errors import OutOfRange, check_range

CHOI_OKOS: Mapping[str, tuple[float, float, float]] = {
    "water": (4.1762, -9.0864e-5, 5.4731e-6),
    "protein": (2.0082, 1.2089e-3, -1.3129e-6),
    "fat": (1.9842, 1.4733e-3, -4.8008e-6),
    "carbohydrate": (1.5488, 1.9625e-3, -5.9399e-6),
    "fiber": (1.8459, 1.8306e-3, -4.6509e-6),
    "ash": (1.0926, 1.8896e-3, -3.6817e-6),
}
"""Specific heat of each component, a + b t + c t² [kJ/(kg K)], t in °C, 0 to 150."""

COCOA_BUTTER_MELTS_KJ_KG = 140.0
"""Latent heat of tempered cocoa butter; from memory, published values are 130 to 157."""

MILK_FAT_MELTS_KJ_KG = 30.0
"""What the milk fat of cold cream takes while it warms from 4 to about 20 °C: a third of it melts,
at 80 to 100 kJ/kg; from memory."""

MIXING_SOURCE = (
    "heat balance with specific heats of Choi and Okos 1986 as in the ASHRAE Refrigeration "
    "Handbook, from memory; nothing lost to the bowl"
)
_LEAST_C, _MOST_C = 0.0, 150.0


@dataclass(frozen=True, slots=True)
class Portion:
    """So much of something at a temperature: shares by group of CHOI_OKOS [1], and what melts.

    `melts_kj` is taken up by fat that melts on the way to the temperature of the mix.
    """

    mass_g: float
    temperature_c: float
    shares: Mapping[str, float] = field(default_factory=dict)
    melts_kj: float = 0.0

    def __post_init__(self) -> None:
        check_range("mass_g", self.mass_g)
        check_range("temperature_c", self.temperature_c, _LEAST_C, _MOST_C)
        check_range("melts_kj", self.melts_kj)


def specific_heat(shares: Mapping[str, float], temperature_c: float) -> float:
    """Specific heat of a mixture, sum of share x (a + b t + c t^2).

    Args:
        shares: by group of CHOI_OKOS [1].
        temperature_c: 0 to 150 [°C].
    Returns:
        specific heat [kJ/(kg K)].
    Raises:
        OutOfRange: outside 0 to 150 °C.
    Source:
        Choi and Okos 1986 as in the ASHRAE Refrigeration Handbook, from memory.
    """
    t = check_range("temperature_c", temperature_c, _LEAST_C, _MOST_C)
    return sum(
        share * (a + b * t + c * t * t)
        for (a, b, c), share in ((CHOI_OKOS[name], share) for name, share in shares.items())
    )


def heat_between(shares: Mapping[str, float], from_c: float, to_c: float) -> float:
    """Heat that warms a kilogram from one temperature to another; integral of the specific heat.

    Args:
        shares: by group of CHOI_OKOS [1].
        from_c: where it begins [°C].
        to_c: where it ends [°C].
    Returns:
        heat, negative where it cools [kJ/kg].
    Source:
        Choi and Okos 1986, from memory.
    """
    return _heat(shares, to_c) - _heat(shares, from_c)


def mixed_at(portions: Iterable[Portion]) -> float:
    """Temperature of a mix: what the warm parts give up, the cold ones take.

    sum of m (H(t) - H(own)) + melting = 0, with H the integral of the specific heat

    Args:
        portions: at least one that weighs something, shape (n,) [Portion].
    Returns:
        temperature [°C].
    Raises:
        OutOfRange: nothing is mixed, or it would end below 0 °C.
    Source:
        heat balance; Choi and Okos 1986, from memory.
    """
    parts = tuple(portion for portion in portions if portion.mass_g)
    check_range("mass_g", sum(part.mass_g for part in parts), open_least=True)

    def surplus(t: float) -> float:
        return sum(
            part.mass_g / 1000 * (heat_between(part.shares, part.temperature_c, t)) + part.melts_kj
            for part in parts
        )

    if surplus(_LEAST_C) > 0:
        raise OutOfRange("temperature_c", "below 0 °C", "a mix that does not freeze")
    return float(brentq(surplus, _LEAST_C, _MOST_C, xtol=1e-9))


def seed_for(
    melted: Portion, seed: Portion, wanted_c: float, *, melting_share: float, fat_share: float
) -> float:
    """How much cold chocolate brings melted chocolate to a temperature.

    Args:
        melted: the melted chocolate [Portion].
        seed: one gram or more of the seed, whose temperature and shares are used [Portion].
        wanted_c: temperature wanted, between the two [°C].
        melting_share: how much of the seed's fat melts, 0 to 1 [1].
        fat_share: fat in the seed [1].
    Returns:
        seed [g].
    Raises:
        OutOfRange: a temperature that is not between the two, a share outside 0 to 1.
    Source:
        heat balance; latent heat of cocoa butter from memory.
    """
    check_range("wanted_c", wanted_c, seed.temperature_c, melted.temperature_c)
    check_range("melting_share", melting_share, most=1)
    check_range("fat_share", fat_share, most=1)
    given = heat_between(melted.shares, wanted_c, melted.temperature_c)
    taken = heat_between(seed.shares, seed.temperature_c, wanted_c)
    taken += melting_share * fat_share * COCOA_BUTTER_MELTS_KJ_KG
    check_range("wanted_c", taken, open_least=True)
    return melted.mass_g * given / taken


def _heat(shares: Mapping[str, float], t: float) -> float:
    """Integral of the specific heat from 0 °C [kJ/kg]."""
    return sum(
        share * (a * t + b * t**2 / 2 + c * t**3 / 3)
        for (a, b, c), share in ((CHOI_OKOS[name], share) for name, share in shares.items())
    )

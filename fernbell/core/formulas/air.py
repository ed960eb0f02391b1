"""Air beaten in and folded under: volumes add, densities do not."""

from collections.abc import Sequence
from dataclasses import dataclass

from fernbell.core.errors import check_range
from fernbell.starter.practice import practice

GAS_KEPT_IN_FOLDING = practice("gas kept in folding")
"""Share of the beaten-in gas that survives folding; common practice, editable per formula."""


@dataclass(frozen=True, slots=True)
class Aerated:
    """Something with a mass, the volume it would have without gas, and its gas."""

    mass_g: float
    gas_free_ml: float
    gas_ml: float = 0.0

    @property
    def volume_ml(self) -> float:
        """Volume with its gas [ml]."""
        return self.gas_free_ml + self.gas_ml

    @property
    def density_g_ml(self) -> float:
        """Mass over volume with its gas [g/ml]."""
        return self.mass_g / self.volume_ml


def overrun_percent(gas_free_g_ml: float, whipped_g_ml: float) -> float:
    """Overrun from two densities: O = 100 (rho0 / rho - 1).

    Args:
        gas_free_g_ml: density before whipping [g/ml].
        whipped_g_ml: density of the whipped product, from a weighed cup [g/ml].
    Returns:
        overrun, gas volume per gas-free volume [%].
    Raises:
        OutOfRange: a density of zero or less, or whipped denser than before.
    Source:
        definition of overrun.
    """
    check_range("gas_free_g_ml", gas_free_g_ml, most=25, open_least=True)
    check_range("whipped_g_ml", whipped_g_ml, most=gas_free_g_ml, open_least=True)
    return 100 * (gas_free_g_ml / whipped_g_ml - 1)


def whipped_density(gas_free_g_ml: float, overrun: float) -> float:
    """Density at an overrun: rho = rho0 / (1 + O / 100).

    Args:
        gas_free_g_ml: density before whipping [g/ml].
        overrun: gas volume per gas-free volume [%].
    Returns:
        density of the whipped product [g/ml].
    Raises:
        OutOfRange: a density of zero or less, or an overrun outside 0 to 2000 %.
    Source:
        definition of overrun.
    """
    check_range("gas_free_g_ml", gas_free_g_ml, most=25, open_least=True)
    check_range("overrun_percent", overrun, most=2000)
    return gas_free_g_ml / (1 + overrun / 100)


def fold(bodies: Sequence[Aerated], gas_kept: float = GAS_KEPT_IN_FOLDING) -> Aerated:
    """Fold bodies together: masses and gas-free volumes add, a share of the gas is kept.

    m = sum m_i, V0 = sum V0_i, gas = kept x sum gas_i

    Args:
        bodies: what is folded, shape (n,) [g, ml].
        gas_kept: share of the gas that survives [0 to 1].
    Returns:
        the mixture [g, ml].
    Raises:
        OutOfRange: a share outside 0 to 1.
    Source:
        volume and mass balance; the share 0.8 is common practice.
    """
    check_range("gas_kept", gas_kept, most=1)
    return Aerated(
        mass_g=sum(body.mass_g for body in bodies),
        gas_free_ml=sum(body.gas_free_ml for body in bodies),
        gas_ml=gas_kept * sum(body.gas_ml for body in bodies),
    )

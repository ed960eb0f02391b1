"""Packs an ingredient is bought in, and what they cost over time."""

from collections.abc import Sequence
from dataclasses import dataclass
from datetime import date

from fernbell.core.errors import CoreError, check_range


@dataclass(frozen=True, slots=True)
class Price:
    """What one pack costs from a day on, in the kitchen's currency."""

    since: date
    price: float

    def __post_init__(self) -> None:
        check_range("price", self.price)


@dataclass(frozen=True, slots=True)
class Pack:
    """A pack as it is bought; its prices in the order of their days."""

    name: str
    mass_g: float
    prices: tuple[Price, ...] = ()

    def __post_init__(self) -> None:
        check_range("mass_g", self.mass_g, open_least=True)
        days = [price.since for price in self.prices]
        if len(set(days)) < len(days):
            raise CoreError("prices", "two of one day", "one a day")


def price_on(pack: Pack, day: date) -> float | None:
    """The price of a pack on a day; None before the first is known.

    Args:
        pack: the pack and its prices [Pack].
        day: the day [date].
    Returns:
        price of one pack [currency].
    Source:
        definition.
    """
    known = [price for price in pack.prices if price.since <= day]
    return max(known, key=lambda one: one.since).price if known else None


def price_per_kg(packs: Sequence[Pack], day: date) -> float | None:
    """Price of a kilogram, by the first pack that has a price on the day.

    Args:
        packs: the packs, the one usually bought first, shape (n,) [Pack].
        day: the day [date].
    Returns:
        price [currency/kg], None where no pack has one.
    Source:
        definition.
    """
    for pack in packs:
        price = price_on(pack, day)
        if price is not None:
            return 1000 * price / pack.mass_g
    return None

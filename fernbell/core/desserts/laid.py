"""What each step of the building takes: grams and thickness, every part told once."""

from collections.abc import Iterator, Sequence
from dataclasses import dataclass

from fernbell.core.desserts.measure import MeasuredDessert
from fernbell.core.desserts.step import BuildStep


@dataclass(frozen=True, slots=True)
class Taken:
    """What a stage takes of one part for one dessert, and how thick; None where it is not known.

    The working of its mass is that of the part, or of the `pour` of it.
    """

    part: str
    layer: str | None
    pour: int | None
    name: str
    mass_g: float | None
    thick_mm: float | None


def laid(made: MeasuredDessert, steps: Sequence[BuildStep]) -> tuple[tuple[Taken, ...], ...]:
    """What steps take; of what is frozen before and set later only the first step tells.

    Args:
        made: the dessert, measured and divided [MeasuredDessert].
        steps: in the order of the hands, shape (n,) [BuildStep].
    Returns:
        by step, of what of the dessert's own it takes so much and so thick, shape (n,) [g, mm].
    Source:
        mass balance; geometry.
    """
    told: set[tuple[str, str | None, int]] = set()
    found = []
    for step in steps:
        keys = dict.fromkeys(_told_by(made, step))
        found.append(tuple(_laid(made, *key) for key in keys if key not in told))
        told.update(keys)
    return tuple(found)


def parts_of(step: BuildStep) -> tuple[str, ...]:
    """The parts a step has to do with, whether it takes them or sets what was made of them.

    Args:
        step: a step of the building [BuildStep].
    Returns:
        keys of parts, each once [key].
    Source:
        definition.
    """
    every = (*(part for part, _ in step.uses), *(part for part, _, _ in step.fresh))
    return tuple(dict.fromkeys(every))


def _told_by(made: MeasuredDessert, step: BuildStep) -> Iterator[tuple[str, str | None, int]]:
    """Parts and layers a step takes; of a fill its pours by their number."""
    own = {(one.part, one.layer): one for one in made.parts}
    for part, layer, number in (*((*use, 0) for use in step.uses), *step.fresh):
        if (part, layer) in own:
            yield part, layer, number if own[part, layer].pours else 0


def _laid(made: MeasuredDessert, part: str, layer: str | None, number: int) -> Taken:
    result = made.result(part, layer)
    if not result.pours:
        mass_g = result.mass.value if result.mass else None
        return Taken(part, layer, None, result.name, mass_g, result.thick_mm)
    pour = result.pours[number]
    # Where bases fill the mold there is less than nothing left, and a finding says so.
    mass_g = pour.mass.value if pour.mass and pour.mass.value > 0 else None
    return Taken(part, layer, number, result.name, mass_g, pour.high_mm - pour.low_mm)

"""What a formula is made in, and how much room a gram of it takes there."""

from collections.abc import Iterator, Mapping, Sequence
from contextlib import suppress
from dataclasses import dataclass, replace

from fernbell.core.cutting import RawSheet, plan_cut
from fernbell.core.desserts.measure import MeasuredDessert
from fernbell.core.desserts.sheeted import joined, sheeted
from fernbell.core.errors import CoreError
from fernbell.core.formulas import KINDS, Batch, Book, FormulaReading, Step
from fernbell.core.planning.equipment import Vessel, VesselKind
from fernbell.starter.practice import PRACTICE, practice

_CARAMEL_POT, _POT = PRACTICE["caramel pot"], PRACTICE["pot"]
_USUAL_TRAY = Vessel("tray", "tray", practice("sheet, long"), practice("sheet, wide"))
_EDGE_MM, _KERF_MM = practice("sheet edge"), practice("between cuts")
SIPHON_JOBS = ("mousse.siphon", "mousse.siphon-dairy")


@dataclass(frozen=True, slots=True)
class Need:
    """Room in a kind of vessel for a gram of the finished formula, in its unit, and why."""

    kind: VesselKind
    room_per_g: float
    why: str


def needs(
    book: Book, reading: FormulaReading, job: str = "", trays: Sequence[Need] = ()
) -> tuple[Need, ...]:
    """The vessels a formula goes through.

    Args:
        book: where its lines are looked up [Book].
        reading: the formula, read [FormulaReading].
        job: what it was set for, where that is known [key].
        trays: room on trays and in the oven, where it is baked flat [Need].
    Returns:
        room in each for a finished gram; in no vessel where its density is not known [ml/g].
    Source:
        volume balance; what is made in which vessel is common practice.
    """
    if reading.body is None or not reading.finished_g or not reading.body.mass_g:
        return tuple(trays)
    # The body is of what was cooked; what the pan keeps was in the vessel too.
    grown = reading.body.mass_g / reading.finished_g
    gas_free = reading.body.gas_free_ml / reading.body.mass_g * grown
    if job in SIPHON_JOBS:
        return (Need("siphon", gas_free, "without its gas, up to the fill line"),)
    kind = reading.formula.kind
    found = list(_whipped(book, reading))
    if kind in KINDS and KINDS[kind].in_a_pot:
        pot = _CARAMEL_POT if kind == "caramel" else _POT
        found.append(Need("pot", gas_free * pot.value, pot.says))
    else:
        found.append(Need("bowl", reading.body.volume_ml / reading.body.mass_g * grown, "mixed"))
    return (*found, *trays)


def on_trays(
    sizes: Sequence[MeasuredDessert],
    made: Sequence[Batch],
    vessels: Sequence[Vessel],
    methods: Mapping[str, Sequence[Step]],
) -> Mapping[str, tuple[Need, ...]]:
    """Room on trays and in the oven for a gram of what is made flat and cut.

    Args:
        sizes: the desserts of an order, measured, shape (n,) [MeasuredDessert].
        made: their formulas at size [Batch].
        vessels: what the kitchen has; without a tray it is a usual one [Vessel].
        methods: steps of the formulas, by key; those that name an oven take room in it [Step].
    Returns:
        by formula, as its pieces are laid on the largest tray; nothing where the kitchen has
        neither tray nor oven, or one is too small for a piece [trays/g].
    Source:
        geometry; a baking sheet is of 60 × 40 cm, common practice.
    """
    trays = [one for one in vessels if one.kind == "tray"]
    if not trays and not any(one.kind == "oven" for one in vessels):
        return {}
    largest = max(trays, key=lambda one: one.size, default=_USUAL_TRAY)
    raw = RawSheet(largest.most, largest.least, _EDGE_MM, _KERF_MM)
    numbers: dict[str, int] = {}
    for one in sheeted(sizes):
        # A piece too large for the tray is told where it is cut.
        with suppress(CoreError):
            number = plan_cut([part for wanted in one.pieces for part in joined(wanted, raw)], raw)
            numbers[one.formula] = numbers.get(one.formula, 0) + number.number
    found = {}
    for batch in made:
        formula, mass_g = batch.formula, sum(use.mass_g for use in batch.uses)
        kind = KINDS.get(formula.kind)
        if kind and kind.baked and mass_g and formula.key in numbers:
            need = Need("tray", numbers[formula.key] / mass_g, "made flat and cut")
            baked = any(step.in_the_oven for step in methods.get(formula.key, ()))
            found[formula.key] = (need, replace(need, kind="oven")) if baked else (need,)
    return found


def _whipped(book: Book, reading: FormulaReading) -> Iterator[Need]:
    """What of it is whipped apart, at its full volume: the largest of it, one after another."""
    volumes = []
    for line in reading.formula.lines:
        if line.overrun_percent and line.ingredient:
            density = book.ingredient(line.ingredient).density_g_ml
            if density:
                volumes.append(line.mass_g / density * (1 + line.overrun_percent / 100))
    if volumes:
        yield Need("mixer", max(volumes) / reading.finished_g, "whipped to its full volume")

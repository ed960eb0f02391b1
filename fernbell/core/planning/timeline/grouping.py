"""The building of a dessert cut into what is done in a row, and the waits that follow."""

from collections.abc import Container, Iterator, Sequence
from dataclasses import dataclass, replace

from fernbell.core.desserts.measure import MeasuredDessert
from fernbell.core.desserts.practice import INSERT_FREEZE
from fernbell.core.desserts.stages import Stage
from fernbell.core.formulas import Wait

SHAPED = ("puff", "lining", "sheet")
"""Stages that are the shaping of what then bakes: the method has them before its oven."""
CAPS = "disc"
"""A stage that is on what is shaped before that bakes."""


@dataclass(frozen=True, slots=True)
class Group:
    """Stages done in a row for a lot, the formulas they take, and the wait that follows."""

    stages: tuple[Stage, ...]
    formulas: tuple[str, ...]
    wait: Wait | None
    aside: bool = False
    in_mold: bool = False
    at_service: bool = False

    @property
    def parts(self) -> frozenset[str]:
        """Parts it has to do with."""
        return frozenset(part for stage in self.stages for part in stage.parts)


BARE = Group((), (), None)
"""What nothing is done for, as a box that others are set in."""


def groups_of(
    made: MeasuredDessert, stages: Sequence[Stage], baked: Container[str] = ()
) -> tuple[Group, ...]:
    """The building cut where it waits, and where the service begins.

    What is frozen in several layers is poured layer after layer; what is shaped to be baked is
    there when it is baked.

    Args:
        made: the dessert, measured [MeasuredDessert].
        stages: its building, shape (n,) [Stage].
        baked: formulas that are shaped and baked by their methods [key].
    Returns:
        what is done in a row, in order [Group].
    Source:
        definition; the wait between two layers is the method's own or common practice.
    """
    found: list[Group] = []
    row: list[Stage] = []
    carried: list[str] = []
    shaped = False

    def close() -> None:
        if row:
            found.append(_group(made, tuple(row), carried))
            carried.clear()
        row.clear()

    for stage in (one for whole in stages for one in _layers(made, whole)):
        own = formulas_of(made, stage)
        if stage.code in SHAPED and own and all(one in baked for one in own) and not stage.wait:
            carried += own
            shaped = True
            continue
        if stage.code == CAPS and shaped and not stage.wait:
            continue
        if row and (row[0].aside, row[0].at_service) != (stage.aside, stage.at_service):
            close()
        row.append(stage)
        if stage.wait or stage.aside:
            close()
    close()
    return tuple(found)


def _layers(made: MeasuredDessert, stage: Stage) -> Iterator[Stage]:
    if stage.code != "insert" or len(stage.laid) < 2:
        yield stage
        return
    for at, taken in enumerate(stage.laid):
        own = _placed(made, taken.part, taken.layer)
        last = at == len(stage.laid) - 1
        wait = own or (stage.wait if last else INSERT_FREEZE)
        yield replace(stage, title=f"Pour {taken.name}", laid=(taken,), wait=wait)


def _placed(made: MeasuredDessert, part: str, layer: str | None) -> Wait | None:
    """The wait a formula's method asks for once it is in place."""
    formula = made.near.readings[made.result(part, layer).formula].formula
    own = [one for one in formula.waits if one.placed]
    return max(own, key=lambda one: one.least_min, default=None)


def formulas_of(made: MeasuredDessert, stage: Stage) -> list[str]:
    """What a stage takes.

    Args:
        made: the dessert, measured [MeasuredDessert].
        stage: of its building [Stage].
    Returns:
        formulas, in the order they are laid [key].
    Source:
        definition.
    """
    return [made.result(taken.part, taken.layer).formula for taken in stage.laid]


def _group(made: MeasuredDessert, stages: tuple[Stage, ...], carried: Sequence[str] = ()) -> Group:
    own = (formula for stage in stages for formula in formulas_of(made, stage))
    return Group(
        stages,
        tuple(dict.fromkeys([*carried, *own])),
        stages[-1].wait,
        aside=stages[0].aside,
        in_mold=any(one.in_mold for one in stages),
        at_service=stages[0].at_service,
    )

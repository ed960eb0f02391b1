"""What a kitchen has found out itself: a band moved to where its own batches did well."""

import math
from collections.abc import Iterable
from dataclasses import dataclass, replace

from fernbell.core.families.family import Dial, DialBand, Job, Own, Tool
from fernbell.core.formulas import Lines
from fernbell.core.working import Given, Working, figure_text

OWN_SOURCE = "this kitchen's own batches, marked as good; practice beside it"
FARTHEST = 2.0
"""The band is moved by no more than so many times: further, it was another job."""
NAMED = 3
"""So many batches are named in the note."""
MOST_TOLD = 12
"""So many batches stand in the working."""


@dataclass(frozen=True, slots=True)
class Experience:
    """A batch that did its job: where its dial stood, and which it was."""

    value: float
    name: str


def is_learned(job: Job) -> bool:
    """Whether the dial of a job is moved by what a kitchen finds out: that of a ganache.

    Args:
        job: any [Job].
    Returns:
        whether [truth].
    Source:
        definition.
    """
    return Tool.OTHER_CHOCOLATES in job.tools


def main_chocolate(lines: Lines) -> str | None:
    """The chocolate of which there is most.

    Args:
        lines: the formula [Lines].
    Returns:
        key of the ingredient; None where there is none [key].
    Source:
        definition.
    """
    own = [
        (line.mass_g, line.ingredient)
        for line in lines.formula.lines
        if line.ingredient and lines.book.ingredient(line.ingredient).chocolate
    ]
    return max(own)[1] if own else None


def by_experience(job: Job, found: Iterable[Experience]) -> Job:
    """A job with its dial moved so that its aim is where this kitchen's own batches stood.

    Every band is moved by the same factor, mean of the batches / aim of practice.

    Args:
        job: as practice has it [Job].
        found: batches that did well, shape (n,) [Experience].
    Returns:
        the same with bands, aim and a note; unchanged where there are none [Job].
    Source:
        the kitchen's own batches; moved by at most FARTHEST.
    """
    own = tuple(found)
    if not own:
        return job
    mean = sum(one.value for one in own) / len(own)
    factor = min(max(mean / job.aim, 1 / FARTHEST), FARTHEST)
    moved = _aim(job, own, mean, factor)
    note = (
        f"This kitchen's own: {figure_text(moved.value)} where practice has "
        f"{figure_text(job.aim)}, by {_named(own)}."
    )
    return replace(
        job,
        dial=_moved(job.dial, factor),
        aim=moved.value,
        notes=(note, *job.notes),
        own=Own(note, moved),
        by_kind={},
    )


def _aim(job: Job, own: tuple[Experience, ...], mean: float, factor: float) -> Working:
    """Where the dial is aimed now, from the batches."""
    unit, aim = job.dial.figure.unit, factor * job.aim
    every = [one.value for one in own]
    added = every if len(own) <= MOST_TOLD else [sum(every)]
    batches = " + ".join(map(figure_text, added))
    held = (
        ""
        if math.isclose(aim, mean)
        else f", held at {factor:g} times practice: {figure_text(aim)}"
    )
    return Working(
        figure=f"{job.dial.figure.name}, this kitchen's own for {job.name}",
        value=aim,
        unit=unit,
        given=(
            Given("aim of practice", job.aim, unit),
            *(Given(one.name, one.value, unit) for one in own[:MOST_TOLD]),
        ),
        law="mean of the batches marked as good, moved from practice by at most "
        f"{FARTHEST:g} times; every band by the same factor",
        arithmetic=f"({batches}) / {len(own)} = {figure_text(mean)}{held}",
        source=OWN_SOURCE,
    )


def _named(found: tuple[Experience, ...]) -> str:
    names = tuple(dict.fromkeys(one.name for one in found))
    more = len(names) - NAMED
    return ", ".join(names[:NAMED]) + (f" and {more} more" if more > 0 else "")


def _moved(dial: Dial, factor: float) -> Dial:
    bands = tuple(DialBand(one.name, factor * one.least, factor * one.most) for one in dial.bands)
    return replace(dial, bands=bands, source=OWN_SOURCE)

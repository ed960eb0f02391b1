"""Which lines of a formula its job's sentence names: with this couverture, on that cream."""

from collections.abc import Mapping
from dataclasses import dataclass, replace

from fernbell.core.families.family import Job, StarterLine
from fernbell.core.families.stuffs import fits, widened
from fernbell.core.formulas import Lines

SAID: Mapping[str, str] = {
    "with": "with",
    "on": "on",
    "set": "set by",
    "cream": "folded with",
}
"""Choices in the order they are said, and by which words."""


@dataclass(frozen=True, slots=True)
class Slot:
    """A choice of the sentence, and the line that is chosen for it; None where none fits."""

    slot: str
    line: str | None


def sentence(job: Job, lines: Lines) -> tuple[Slot, ...]:
    """The lines a job's sentence names: for each slot the heaviest that fits.

    Args:
        job: the job [Job].
        lines: the formula [Lines].
    Returns:
        slots as they are said, each line once [Slot].
    Source:
        told by the make-up.
    """
    found: dict[str, Slot] = {}
    wanted = {part.slot: part for part in reversed(job.parts) if part.slot}
    # Any liquid can be what it is made on: what is asked for more narrowly chooses first.
    for slot in sorted(wanted, key=lambda one: one == "on"):
        taken = {one.line for one in found.values()}
        found[slot] = Slot(slot, _line(wanted[slot], lines, taken))
    return tuple(found[slot] for slot in SAID if slot in found)


def _line(part: StarterLine, lines: Lines, taken: set[str | None]) -> str | None:
    """The heaviest line that fits; what is beaten up stands for what is beaten up.

    What somebody has taken is read, also where it would not be offered.
    """
    stuff = widened(replace(part, admits=None))
    fitting = [
        line
        for line in lines.formula.lines
        if line.ingredient is not None
        and line.key not in taken
        and fits(stuff, lines.book.ingredient(line.ingredient))
    ]
    airy = part.overrun_percent > 0
    best = max(
        fitting,
        key=lambda line: ((line.overrun_percent > 0) is airy, line.mass_g),
        default=None,
    )
    return best.key if best else None

"""Which lines of a formula its job's sentence names: with this couverture, on that cream."""

from dataclasses import dataclass

from fernbell.core.families.family import Job
from fernbell.core.families.stuffs import STUFFS, fits, widened
from fernbell.core.formulas import Lines


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
        slots in the order of the starter, each line once [Slot].
    Source:
        told by the make-up.
    """
    taken: list[str] = []
    found: dict[str, Slot] = {}
    for part in job.parts:
        if not part.slot or part.slot in found:
            continue
        stuff = widened(STUFFS[part.stuff], part.slot)
        fitting = [
            line
            for line in lines.formula.lines
            if line.ingredient is not None
            and line.key not in taken
            and fits(stuff, lines.book.ingredient(line.ingredient))
        ]
        best = max(fitting, key=lambda line: line.mass_g, default=None)
        if best is not None:
            taken.append(best.key)
        found[part.slot] = Slot(part.slot, best.key if best else None)
    return tuple(found.values())

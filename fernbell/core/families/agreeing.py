"""Steps that agree with what is in the bowl: a couverture's own figures, what a syrup boils at."""

from collections.abc import Iterator
from dataclasses import replace

from fernbell.core.errors import CoreError
from fernbell.core.families.family import Job
from fernbell.core.formulas import FIGURES, Book, Formula, Lines, Step, Until, lines_of
from fernbell.core.pantry import ChocolateKind, Ingredient, LineRole, Temper, is_leaf

_COMPOUND_MELT, _COMPOUND_WORK = (40.0, 45.0), (35.0, 40.0)
_SOAK = (
    "Soak the leaves in plenty of cold water and squeeze: they bring about five times their weight "
    "of it, which is counted and on no line."
)
WORKED = ("temper", "brush", "dip", "spread")
"""Stages at which chocolate is worked, at its own figure."""


def agreeing(job: Job, lines: Lines) -> tuple[Step, ...]:
    """Steps of a method with the temperatures that what is used asks for.

    Args:
        job: what it is for [Job].
        lines: the formula as it is set [Lines].
    Returns:
        its steps; chocolate melted and worked at its own figures, syrup at what it boils at [Step].
    Source:
        the figures of the couverture are the pantry's; boiling curve of syrups.
    """
    own = [
        lines.book.ingredient(line.ingredient) for line in lines.formula.lines if line.ingredient
    ]
    steps = _tempered(_soaked(job.steps, own), own)
    cooked = lines.formula.losses.cooked_to
    told = {}
    if cooked is not None and cooked.until is Until.TEMPERATURE:
        told["cook"] = cooked.value
    for stage in job.boils:
        boils = stage_boils(stage, lines)
        if boils is not None:
            told[stage] = boils
    return tuple(
        replace(step, temperature_c=told[step.stage], temperature_to_c=None)
        if step.stage in told
        else step
        for step in steps
    )


def _soaked(steps: tuple[Step, ...], taken: list[Ingredient]) -> tuple[Step, ...]:
    """Leaves are soaked and squeezed where powder is bloomed."""
    if not any(map(is_leaf, taken)):
        return steps
    return tuple(replace(one, text=_SOAK) if one.stage == "bloom" else one for one in steps)


def _tempered(steps: tuple[Step, ...], taken: list[Ingredient]) -> tuple[Step, ...]:
    """Couverture melted, cooled and worked at its own three figures; compound without tempering."""
    chocolate = next((one.chocolate for one in taken if one.chocolate), None)
    if chocolate is None:
        return steps
    if chocolate.kind is ChocolateKind.COMPOUND:
        return tuple(_as_compound(step) for step in steps)
    return steps if chocolate.temper is None else tuple(_couverture(steps, chocolate.temper))


def _couverture(steps: tuple[Step, ...], temper: Temper) -> Iterator[Step]:
    for step in steps:
        if step.stage == "temper":
            text = (
                f"Melt to {temper.melt_c:g} °C, cool to {temper.cool_c:g} °C, rewarm to "
                f"{temper.work_c:g} °C and hold it there; the figures on the pack go first."
            )
            yield replace(step, text=text, temperature_c=temper.work_c)
        elif step.stage in WORKED:
            yield replace(step, temperature_c=temper.work_c)
        elif step.stage == "melt":
            yield replace(step, temperature_c=temper.melt_c)
        else:
            yield step


def _as_compound(step: Step) -> Step:
    if step.stage == "temper":
        least, most = _COMPOUND_MELT
        text = "Melt; it is not tempered and sets by itself. Work it warm."
        return replace(
            step, stage="melt", text=text, temperature_c=least, temperature_to_c=most, sign="smooth"
        )
    if step.stage in WORKED:
        least, most = _COMPOUND_WORK
        return replace(step, temperature_c=least, temperature_to_c=most)
    return step


def stage_boils(stage: str, lines: Lines) -> float | None:
    """What the lines of a stage boil at when they are cooked as far as they are.

    Args:
        stage: its short name [text].
        lines: the formula [Lines].
    Returns:
        to the half degree; None where it cannot be told [°C].
    Source:
        boiling curve of syrups.
    """
    pairs = zip(lines.formula.lines, lines.roles, strict=True)
    own = tuple(
        line for line, role in pairs if line.stage == stage and role is not LineRole.GELATIN
    )
    weighed = sum(line.goes_in_g for line in own)
    lost = lines.mix().own.cooking.lost_g
    if not 0 <= lost < weighed:
        return None
    losses = replace(lines.formula.losses, cooking_percent=100 * lost / weighed, cooked_to=None)
    nested = tuple(one for one in lines.book.formulas if one.key != lines.formula.key)
    part = Formula("part", lines.formula.name, own, losses=losses)
    book = Book(lines.book.ingredients, (*nested, part))
    try:
        mix = lines_of(book, "part", altitude_m=lines.altitude_m).mix()
        return round(2 * FIGURES["boils"].value(mix)) / 2
    except CoreError:
        # What cannot be told keeps the temperature of practice.
        return None

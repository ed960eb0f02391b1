"""A job where the kitchen stands: water, and every syrup, boils cooler the higher it is."""

from collections.abc import Iterable
from dataclasses import replace

from fernbell.core.families.family import Dial, DialBand, Job
from fernbell.core.formulas import Step, Until
from fernbell.core.heat import CARAMEL_FROM_C, boiling_point, sucrose_at

BOILING = ("boil", "hold", "syrup", "cook")
"""Stages at which something boils, where their temperature is that of boiling."""
_BOILS_FROM_C, _BOILS_TO_C = 100.0, CARAMEL_FROM_C - 3
"""Between boiling water and caramel at the sea; hotter, the water is gone and altitude with it."""


def boils_here(at_sea_c: float, altitude_m: float) -> float:
    """Where a syrup boils that boils so hot at the sea, to a tenth.

    Args:
        at_sea_c: reading of the thermometer at the sea [°C].
        altitude_m: height of the kitchen above the sea [m].
    Returns:
        reading there; what is no boiling temperature stays [°C].
    Source:
        boiling curve of syrups.
    """
    if not _BOILS_FROM_C <= at_sea_c <= _BOILS_TO_C:
        return at_sea_c
    return round(boiling_point(sucrose_at(at_sea_c), altitude_m), 1)


def at_altitude(job: Job, altitude_m: float) -> Job:
    """A job as it is done at an altitude.

    Args:
        job: the job, told as at the sea [Job].
        altitude_m: height of the kitchen above the sea [m].
    Returns:
        the same with bands, aim and steps at the temperatures of the kitchen, and a note that says
        so where any moved [Job].
    Source:
        boiling curve of syrups.
    """
    if not altitude_m:
        return job
    steps = _steps(job.steps, altitude_m)
    ways = tuple(replace(way, steps=_steps(way.steps, altitude_m)) for way in job.ways)
    own = replace(job, steps=steps, ways=ways)
    if job.dial.lever is Until.TEMPERATURE:
        here = boils_here(job.aim, altitude_m)
        own = replace(own, dial=_dial(job.dial, altitude_m), aim=here)
        note = f"At {altitude_m:g} m it is cooked to {here:g} °C: {job.aim:g} °C at the sea."
    elif steps != job.steps:
        note = f"At {altitude_m:g} m water boils at {boils_here(_BOILS_FROM_C, altitude_m):g} °C."
    else:
        return job
    return replace(own, notes=(note, *job.notes))


def _dial(dial: Dial, altitude_m: float) -> Dial:
    bands = (
        DialBand(one.name, boils_here(one.least, altitude_m), boils_here(one.most, altitude_m))
        for one in dial.bands
    )
    return replace(dial, bands=tuple(bands))


def _steps(steps: Iterable[Step], altitude_m: float) -> tuple[Step, ...]:
    return tuple(_step(step, altitude_m) if step.stage in BOILING else step for step in steps)


def _step(step: Step, altitude_m: float) -> Step:
    least, most = step.temperature_c, step.temperature_to_c
    return replace(
        step,
        temperature_c=None if least is None else boils_here(least, altitude_m),
        temperature_to_c=None if most is None else boils_here(most, altitude_m),
    )

"""The windows that decide for a job."""

from collections.abc import Mapping

from fernbell.core.families.altitude import at_altitude
from fernbell.core.families.experience import Experience, by_experience
from fernbell.core.families.family import Job
from fernbell.core.formulas import Lines, Window, windows_of


def job_for(job: Job, lines: Lines, learned: tuple[Experience, ...] = ()) -> Job:
    """A job as the chocolate in a formula asks for it, where the kitchen stands.

    Args:
        job: what it is for [Job].
        lines: the formula; of several kinds of chocolate the heaviest decides [Lines].
        learned: the kitchen's own batches with this chocolate, shape (n,) [Experience].
    Returns:
        the job, made as that kind asks; its boiling temperatures are those of the kitchen [Job].
    Source:
        common practice; the boiling curve of syrups.
    """
    grams = lines.mix().chocolate_g
    own = job.of_kind(max(grams, key=lambda kind: grams[kind])) if grams else job
    return at_altitude(by_experience(own, learned), lines.altitude_m)


def windows_for(kind: str, job: Job | None) -> Mapping[str, Window]:
    """The windows of a kind of formula, with those of its job over them.

    Args:
        kind: such as 'mousse' [text].
        job: what it is for, if that is said [Job].
    Returns:
        windows by code of the reading; the job's band on its dial is one of them [Window].
    Source:
        common practice; the dial names its own.
    """
    if job is None:
        return windows_of(kind)
    band = job.dial.band(job.band)
    below, above = _beside(job, -1), _beside(job, 1)
    why = f"{job.name.capitalize()} asks for it; below {below}, above {above}."
    dial = {job.dial.figure.code: Window(band.least, band.most, why, job.dial.source)}
    return {**windows_of(kind), **job.windows, **dial}


def _beside(job: Job, by: int) -> str:
    names = [band.name for band in job.dial.bands]
    at = names.index(job.band) + by
    return f"it {names[at]}" if 0 <= at < len(names) else "the dial ends"

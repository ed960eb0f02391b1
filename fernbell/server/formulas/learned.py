"""What the kitchen has found out itself: its good batches, by job and chocolate."""

from collections.abc import Mapping

from fernbell.core.families import Experience, is_learned, job_for, job_named, main_chocolate
from fernbell.core.formulas import Lines
from fernbell.server.formulas.models import GoodBatch
from fernbell.server.kitchens.models import Member
from fernbell.server.rows.models import Change
from fernbell.server.rows.policy import rows


def learned(member: Member, job: str) -> Mapping[str, tuple[Experience, ...]]:
    """The good batches of a job, by key of their chocolate; no query where none moves its dial."""
    if not job or not is_learned(job_named(job)[1]):
        return {}
    found: dict[str, tuple[Experience, ...]] = {}
    for key, value, name in (
        rows(member, GoodBatch).filter(job=job).values_list("chocolate_id", "value", "name")
    ):
        found[str(key)] = (*found.get(str(key), ()), Experience(value, name))
    return found


def forget(member: Member, change: Change) -> None:
    """What a revision taught goes with its mark."""
    rows(member, GoodBatch).filter(change=change).delete()


def remember(member: Member, change: Change, job: str, lines: Lines) -> None:
    """Keep where the dial of a job stood in a revision that did it well.

    Raises CoreError where it cannot be read.
    """
    chocolate = main_chocolate(lines)
    if chocolate is None or not job or not is_learned(job_named(job)[1]):
        return
    value = job_for(job_named(job)[1], lines).dial.figure.value(lines.mix())
    GoodBatch.objects.create(
        kitchen_id=member.kitchen_id,
        change=change,
        name=f"{lines.formula.name}, revision {change.revision}",
        job=job,
        chocolate_id=chocolate,
        value=value,
    )

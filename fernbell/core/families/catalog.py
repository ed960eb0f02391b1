"""Every family: one file each, put on the list here."""

from fernbell.core.errors import UnknownKey
from fernbell.core.families.caramel import CARAMEL
from fernbell.core.families.chocolate_work import CHOCOLATE_WORK
from fernbell.core.families.confections import CONFECTIONS
from fernbell.core.families.creams import CREAMS
from fernbell.core.families.custards import CUSTARDS
from fernbell.core.families.family import Family, Job
from fernbell.core.families.fruit import FRUIT
from fernbell.core.families.ganache import GANACHE
from fernbell.core.families.glazes import GLAZES
from fernbell.core.families.meringues import MERINGUES
from fernbell.core.families.mousse import MOUSSE
from fernbell.core.families.pastes import PASTES
from fernbell.core.families.sponges import SPONGES
from fernbell.core.families.syrups import SYRUPS

FAMILIES: tuple[Family, ...] = (
    GANACHE,
    CARAMEL,
    MOUSSE,
    CUSTARDS,
    CREAMS,
    GLAZES,
    FRUIT,
    SPONGES,
    PASTES,
    MERINGUES,
    CHOCOLATE_WORK,
    CONFECTIONS,
    SYRUPS,
)


def job_named(job: str) -> tuple[Family, Job]:
    """The job named 'family.job'.

    Args:
        job: such as 'ganache.slice' [text].
    Returns:
        its family, and the job [Family, Job].
    Raises:
        UnknownKey: no such family or job.
    Source:
        definition.
    """
    first, _, second = job.partition(".")
    for family in FAMILIES:
        if family.key == first:
            return family, family.job(second)
    raise UnknownKey("job", job, f"a job of {', '.join(family.key for family in FAMILIES)}")

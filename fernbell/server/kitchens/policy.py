"""Who may do what. One policy, for reads and writes alike."""

from enum import StrEnum

from django.db.models import Model, QuerySet

from fernbell.server.kitchens.models import Member, Role
from fernbell.server.problems import NotAllowed


class Act(StrEnum):
    """What can be done with the rows of a kitchen, and with the kitchen itself."""

    READ = "read"
    WRITE = "write"
    ARCHIVE = "archive"
    STAFF = "staff"


ALLOWED = {
    Role.CHEF: {Act.READ, Act.WRITE, Act.ARCHIVE, Act.STAFF},
    Role.COOK: {Act.READ, Act.WRITE},
    Role.APPRENTICE: {Act.READ},
}

_REASON = {
    Act.READ: "Only members of the kitchen see this.",
    Act.WRITE: "Apprentices read; a cook or the chef writes.",
    Act.ARCHIVE: "Only the chef archives and restores.",
    Act.STAFF: "Only the chef changes who is here and where the kitchen stands.",
}


def require(member: Member, act: Act) -> None:
    """Refuse what the member's role does not allow, with the reason."""
    if act not in ALLOWED[Role(member.role)]:
        raise NotAllowed(_REASON[act])


def rows(member: Member, model: type[Model]) -> QuerySet:
    """The rows a member may see: those of the member's kitchen."""
    return model._default_manager.filter(kitchen_id=member.kitchen_id)

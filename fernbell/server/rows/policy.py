"""Who may do what. One policy, for reads and writes alike."""

from enum import StrEnum
from typing import Any, Protocol
from uuid import UUID

from django.contrib.auth.models import User
from django.db import models
from django.http import HttpRequest

from fernbell.server.problems import NotAllowed


class Role(models.TextChoices):
    """What a member is in the kitchen."""

    CHEF = "chef"
    COOK = "cook"
    APPRENTICE = "apprentice"


class Versioned(Protocol):
    """What counts the writes in it: a kitchen.

    `raised` says how often this request did, so that what it reads may yet be undone.
    """

    version: int
    raised: int

    def raise_version(self) -> None:
        """Say that something of it changes."""


class Keeper(Protocol):
    """Somebody of a kitchen, in a role: a member."""

    kitchen_id: UUID
    role: str

    @property
    def user(self) -> User:
        """The person."""

    @property
    def kitchen(self) -> Versioned:
        """Where."""


class KeeperRequest(HttpRequest):
    """A request of somebody of a kitchen."""

    auth: Keeper


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


def require(member: Keeper, act: Act) -> None:
    """Refuse what the member's role does not allow, with the reason."""
    if act not in ALLOWED[Role(member.role)]:
        raise NotAllowed(_REASON[act])


def begin(member: Keeper, act: Act) -> None:
    """Begin a write, in its transaction: refuse it or raise the version of the kitchen."""
    require(member, act)
    member.kitchen.raise_version()


def rows(member: Keeper, model: type[models.Model]) -> models.QuerySet[Any]:
    """The rows a member may see: those of the member's kitchen."""
    return model._default_manager.filter(kitchen_id=member.kitchen_id)

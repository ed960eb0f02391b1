"""Two stocked kitchens, made once a database and brought into every test that asks for them."""

from collections.abc import Callable
from dataclasses import replace

import pytest
from django.test import Client
from pytest_django import DjangoDbBlocker

from fernbell.server.kitchens.models import Kitchen, Member
from fernbell.server.rows.policy import Role
from tests.kept import bring, keep
from tests.server.api import Shelves, stocked
from tests.server.conftest import client_of, new_member

__all__ = ["apprentice", "chef", "kitchen", "kitchens_put_aside", "made_up", "stranger"]

FAT = {"water": 60, "milk_fat": 40, "cocoa_butter": 0, "other_fat": 0}
"""The cream's, so that it can be read."""

_STOCKED: dict[int, Shelves] = {}


def _make() -> None:
    """A kitchen with a chef and an apprentice, and another with a chef; both are stocked."""
    own, other = (Kitchen.objects.create(name=name) for name in ("Harbor Kitchen", "Other Kitchen"))
    new_member(own, "Piet", Role.APPRENTICE)
    for kitchen, name in ((own, "Ines"), (other, "Vera")):
        chef = new_member(kitchen, name, Role.CHEF)
        _STOCKED[chef.pk] = stocked(client_of(chef), make_up=FAT)


@pytest.fixture(scope="session")
def kitchens_put_aside(django_db_setup: None, django_db_blocker: DjangoDbBlocker) -> None:
    """Both kitchens, stocked once a database."""
    with django_db_blocker.unblock():
        keep("kitchens", _make)


@pytest.fixture
def kitchen(kitchens_put_aside: None, db: None) -> Kitchen:
    """The kitchen whose chef and apprentice are asking."""
    bring("kitchens")
    return Kitchen.objects.get(name="Harbor Kitchen")


def _member(name: str) -> Callable[[Kitchen], Member]:
    @pytest.fixture(name=name)
    def found(kitchen: Kitchen) -> Member:
        people = {"chef": "ines", "apprentice": "piet", "stranger": "vera"}
        return Member.objects.select_related("kitchen").get(user__username=people[name])

    return found


chef, apprentice, stranger = _member("chef"), _member("apprentice"), _member("stranger")


def made_up(client: Client) -> Shelves:
    """The stocked kitchen of a chef, asked through the chef's client."""
    return replace(_STOCKED[client.session["member"]], client=client)

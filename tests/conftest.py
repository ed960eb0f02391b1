"""What all tests share: people in two kitchens, and rows to work on."""

import os
from collections.abc import Callable
from pathlib import Path

import pytest
from django.contrib.auth.models import User
from django.test import Client
from hypothesis import settings as hypothesis_settings
from pytest_django import Settings

from fernbell.server.kitchens.models import Kitchen, Member, Role

# Playwright runs its own event loop in the thread in which the tests talk to the database.
os.environ["DJANGO_ALLOW_ASYNC_UNSAFE"] = "true"

# The same examples on every run, and no clock that a slow machine could fail.
hypothesis_settings.register_profile("steady", derandomize=True, deadline=None)
hypothesis_settings.load_profile("steady")

ROOT = Path(__file__).parents[1]
PASSWORD = "reed and bell"


def new_member(kitchen: Kitchen, name: str, role: Role) -> Member:
    user = User.objects.create_user(name.lower(), password=PASSWORD, first_name=name)
    return Member.objects.create(kitchen=kitchen, user=user, role=role)


def client_of(member: Member) -> Client:
    """A client signed in as a member, in the member's kitchen."""
    client = Client()
    client.force_login(member.user)
    session = client.session
    session["kitchen"] = str(member.kitchen_id)
    session.save()
    return client


@pytest.fixture
def kitchen(db: None) -> Kitchen:
    return Kitchen.objects.create(name="Harbor Kitchen")


@pytest.fixture
def chef(kitchen: Kitchen) -> Member:
    return new_member(kitchen, "Ines", Role.CHEF)


@pytest.fixture
def cook(kitchen: Kitchen) -> Member:
    return new_member(kitchen, "Tomas", Role.COOK)


@pytest.fixture
def apprentice(kitchen: Kitchen) -> Member:
    return new_member(kitchen, "Piet", Role.APPRENTICE)


@pytest.fixture
def stranger(db: None) -> Member:
    """The chef of another kitchen."""
    return new_member(Kitchen.objects.create(name="Other Kitchen"), "Vera", Role.CHEF)


@pytest.fixture
def as_member() -> Callable[[Member], Client]:
    return client_of


@pytest.fixture(autouse=True)
def cheap_passwords(settings: Settings) -> None:
    """Hashing that is slow on purpose has no place in a few hundred tests."""
    settings.PASSWORD_HASHERS = ["django.contrib.auth.hashers.MD5PasswordHasher"]

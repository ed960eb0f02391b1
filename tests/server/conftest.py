"""People in two kitchens, and rows to work on."""

from collections.abc import Callable

import pytest
from django.contrib.auth.models import User
from django.test import Client
from pytest_django import DjangoDbBlocker, Settings

from fernbell.server.demo import load_demo
from fernbell.server.kitchens.models import Kitchen, Member
from fernbell.server.rows.policy import Role
from tests.kept import bring, keep

PASSWORD = "reed and bell"


def new_member(kitchen: Kitchen, name: str, role: Role) -> Member:
    user = User.objects.create_user(name.lower(), password=PASSWORD, first_name=name)
    return Member.objects.create(kitchen=kitchen, user=user, role=role)


def client_of(member: Member) -> Client:
    """A client signed in as a member, in the member's kitchen."""
    client = Client()
    client.force_login(member.user)
    session = client.session
    session.belong_to(member)
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


@pytest.fixture(scope="session")
def demo_put_aside(django_db_setup: None, django_db_blocker: DjangoDbBlocker) -> None:
    """The demo kitchen, loaded once a database."""
    with django_db_blocker.unblock():
        keep("demo", load_demo)


@pytest.fixture
def demo(demo_put_aside: None, db: None) -> Client:
    """The chef of the demo kitchen."""
    bring("demo")
    return client_of(Member.objects.get(user__username="demo-ottilie"))


@pytest.fixture(autouse=True)
def cheap_passwords(settings: Settings) -> None:
    """Hashing that is slow on purpose has no place in a few hundred tests."""
    hashers = "django.contrib.auth.hashers"
    settings.PASSWORD_HASHERS = [
        f"{hashers}.MD5PasswordHasher",
        # Of kitchens that were put aside before.
        f"{hashers}.PBKDF2PasswordHasher",
    ]

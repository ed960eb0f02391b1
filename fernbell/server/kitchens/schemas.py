"""What goes over the wire for kitchens and members."""

from datetime import datetime
from typing import Annotated, Any, Self
from uuid import UUID
from zoneinfo import available_timezones

import pycountry
from ninja import Schema
from pydantic import StringConstraints, model_validator

from fernbell.core.errors import CoreError
from fernbell.core.heat import air_pressure
from fernbell.core.measures import System
from fernbell.server.kitchens.models import EventKind
from fernbell.server.problems import brief
from fernbell.server.rows.policy import Role
from fernbell.server.rows.schemas import Entry, Name


class KitchenOut(Schema):
    """A kitchen one is a member of."""

    id: UUID
    name: str
    role: Role
    altitude_m: float
    currency: str
    time_zone: str


def _check_currency(code: str) -> None:
    found = pycountry.currencies.get(alpha_3=code)
    if found is None or found.alpha_3 != code:
        raise CoreError("currency", brief(code), "a code of ISO 4217, such as EUR, USD or JPY")


def _check_zone(name: str) -> None:
    if name not in available_timezones():
        raise CoreError("time_zone", brief(name), "a time zone, such as Europe/Paris")


class KitchenIn(Entry):
    """Where the kitchen stands, what it pays in, and by which clock it works."""

    altitude_m: float
    currency: str
    time_zone: str

    @model_validator(mode="after")
    def in_range(self) -> Self:
        """Refuse an altitude, a currency and a time zone there is not."""
        air_pressure(self.altitude_m)
        _check_currency(self.currency)
        _check_zone(self.time_zone)
        return self


class Preferences(Entry):
    """How a person reads figures: whose cups, °F, inches."""

    measures: System
    fahrenheit: bool
    inches: bool


class PersonOut(Schema):
    """Who is signed in, and where."""

    name: str
    username: str
    kitchen: KitchenOut
    kitchens: list[KitchenOut]
    preferences: Preferences


class DemoPerson(Schema):
    """A person of the demo kitchen, for signing in with one click."""

    username: str
    name: str
    role: Role


class SessionOut(Schema):
    """Where a visitor stands: signed in or not, demo or not, first visit or not."""

    person: PersonOut | None
    demo_people: list[DemoPerson]
    first_visit: bool


Password = Annotated[str, StringConstraints(min_length=1, max_length=200)]


Code = Annotated[str, StringConstraints(strip_whitespace=True, max_length=40)]


class SignIn(Entry):
    """Name and password; a code where one is asked for; with a one-time word, a password to be."""

    username: Name
    password: Password
    new_password: Password | None = None
    code: Code | None = None


class PasswordChange(Entry):
    """One's password, and what it is to be."""

    old: Password
    new: Password


class VisitOut(Schema):
    """Where somebody is signed in."""

    id: str
    begun_at: datetime | None
    address: str
    agent: str
    here: bool


class OwnPassword(Entry):
    """One's password, for what asks for it again."""

    password: Password


class SecondOut(Schema):
    """Whether a code is asked for at the door, and how many recovery words are left."""

    on: bool
    recovery_left: int


class SecretOut(Schema):
    """What goes into an app that shows codes: as letters, as an address, as a picture (SVG)."""

    secret: str
    url: str
    picture: str


class CodeIn(Entry):
    """The code an app shows now."""

    code: Code


class RecoveryOut(Schema):
    """Words that stand in for a code, each once; they are shown this once."""

    words: list[str]


class EventOut(Schema):
    """What happened at the door, or to who may do what."""

    id: int
    at: datetime
    what: EventKind
    person: str | None
    by: str | None
    more: str
    address: str
    agent: str


class NewKitchen(Entry):
    """Another kitchen of one's own, with or without things to start from."""

    kitchen: Name
    starter: bool = True
    time_zone: str = "UTC"

    @model_validator(mode="after")
    def in_range(self) -> Self:
        """Refuse a time zone there is not."""
        _check_zone(self.time_zone)
        return self


class WordOut(Schema):
    """A password that works once; it is shown this once."""

    word: str


class DemoSignIn(Entry):
    """The demo person to be."""

    username: Name


class EnterKitchen(Entry):
    """Another of one's kitchens."""

    kitchen: UUID


class MemberIn(Entry):
    """A new member and the role."""

    name: Name
    username: Name
    password: Password
    role: Role


class FirstChef(Entry):
    """The first person of the first kitchen, with or without things to start from."""

    kitchen: Name
    name: Name
    username: Name
    password: Password
    starter: bool = True
    time_zone: str = "UTC"

    @model_validator(mode="after")
    def in_range(self) -> Self:
        """Refuse a time zone there is not."""
        _check_zone(self.time_zone)
        return self


class RoleIn(Entry):
    """A member's new role."""

    role: Role


class MemberOut(Schema):
    """A member of the kitchen."""

    id: int
    name: str
    username: str
    role: Role

    @staticmethod
    def resolve_name(member: Any) -> str:
        """Full name."""
        return str(member.user.get_full_name())

    @staticmethod
    def resolve_username(member: Any) -> str:
        """Name to sign in with."""
        return str(member.user.username)

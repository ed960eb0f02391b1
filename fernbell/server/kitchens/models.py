"""Kitchens and their members."""

import uuid
from typing import Any, ClassVar

from django.conf import settings
from django.contrib.sessions.base_session import AbstractBaseSession
from django.db import connection, models

from fernbell.server.rows.policy import Role


class Kitchen(models.Model):
    """One kitchen; everything belongs to one."""

    id = models.UUIDField(primary_key=True, default=uuid.uuid4, editable=False)
    name = models.CharField(max_length=120)
    altitude_m = models.FloatField(default=0.0)
    currency = models.CharField(max_length=3, default="EUR")
    time_zone = models.CharField(max_length=60, default="UTC")
    version = models.PositiveBigIntegerField(default=1)

    raised = 0
    """How often this request has raised the version; it may yet be undone."""

    def __str__(self) -> str:
        return self.name

    def raise_version(self) -> None:
        """Say that something of it changes, first of all in the transaction that does.

        Whatever writes in a kitchen waits here for whoever writes in it already, so that no
        two writes wait for each other's rows.
        """
        with connection.cursor() as cursor:
            cursor.execute(
                "UPDATE kitchens_kitchen SET version = version + 1 WHERE id = %s RETURNING version",
                [self.pk],
            )
            (self.version,) = cursor.fetchone()
        self.raised += 1


class Member(models.Model):
    """A person in a kitchen."""

    kitchen = models.ForeignKey(Kitchen, on_delete=models.CASCADE, related_name="members")
    user = models.ForeignKey(
        settings.AUTH_USER_MODEL, on_delete=models.CASCADE, related_name="memberships"
    )
    role = models.CharField(max_length=12, choices=Role.choices)
    measures = models.CharField(max_length=12, default="metric")
    fahrenheit = models.BooleanField(default=False)
    inches = models.BooleanField(default=False)

    class Meta:
        constraints: ClassVar = [
            models.UniqueConstraint(fields=["kitchen", "user"], name="once_in_a_kitchen")
        ]

    def __str__(self) -> str:
        return f"{self.user} ({self.role})"


class OneTimeWord(models.Model):
    """A password that the chef gave somebody who forgot theirs; it works once."""

    user = models.OneToOneField(
        settings.AUTH_USER_MODEL, on_delete=models.CASCADE, related_name="one_time_word"
    )
    made_at = models.DateTimeField()

    def __str__(self) -> str:
        return f"a word for {self.user}"


class Visit(AbstractBaseSession):
    """A session: signed in as a member, or nobody yet; since when, from where, by what."""

    member = models.ForeignKey(Member, null=True, on_delete=models.CASCADE)
    begun_at = models.DateTimeField(null=True)
    address = models.CharField(max_length=45, blank=True)
    agent = models.CharField(max_length=80, blank=True)

    @classmethod
    def get_session_store_class(cls) -> Any:
        """How it is read and written."""
        from fernbell.server.kitchens.sessions import SessionStore

        return SessionStore


class EventKind(models.TextChoices):
    """What is put down of the door, and of who may do what."""

    SIGNED_IN = "signed in"
    SIGNED_OUT = "signed out"
    REFUSED = "was refused at the door"
    LOCKED = "was locked out for some minutes"
    ENDED = "ended sessions elsewhere"
    RENEWED = "changed the password"
    WORD = "was given a word that works once"
    SECOND_ON = "asks for a code at the door"
    SECOND_OFF = "asks for no code any more"
    RECOVERED = "came in with a recovery word"
    ADDED = "was added"
    ROLE = "was given another role"
    REMOVED = "was removed"
    FOUNDED = "founded the kitchen"


class SecurityEvent(models.Model):
    """What happened at the door, or to who may do what; kept for half a year.

    `kitchen` is where somebody stood; at the door it is not known yet, and every kitchen the person
    is a member of reads it.
    """

    at = models.DateTimeField(auto_now_add=True, db_index=True)
    kind = models.CharField(max_length=40, choices=EventKind.choices)
    kitchen = models.ForeignKey(Kitchen, null=True, on_delete=models.CASCADE)
    user = models.ForeignKey(
        settings.AUTH_USER_MODEL, null=True, on_delete=models.SET_NULL, related_name="+"
    )
    by = models.ForeignKey(
        settings.AUTH_USER_MODEL, null=True, on_delete=models.SET_NULL, related_name="+"
    )
    more = models.CharField(max_length=120, blank=True)
    address = models.CharField(max_length=45, blank=True)
    agent = models.CharField(max_length=80, blank=True)

    class Meta:
        ordering: ClassVar = ["-at", "-id"]

    def __str__(self) -> str:
        return f"{self.user} {self.kind}"

"""Kitchens, their members, and what every row of a kitchen has in common."""

import uuid
from typing import ClassVar

from django.conf import settings
from django.db import models
from django.db.models.functions import Lower


class Role(models.TextChoices):
    """What a member is in the kitchen."""

    CHEF = "chef"
    COOK = "cook"
    APPRENTICE = "apprentice"


class Kitchen(models.Model):
    """One kitchen; everything belongs to one."""

    id = models.UUIDField(primary_key=True, default=uuid.uuid4, editable=False)
    name = models.CharField(max_length=120)
    altitude_m = models.FloatField(default=0.0)
    currency = models.CharField(max_length=3, default="EUR")

    def __str__(self) -> str:
        return self.name


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


class Row(models.Model):
    """What every row of a kitchen has: owner, name, revision, and who touched it last."""

    id = models.UUIDField(primary_key=True, default=uuid.uuid4, editable=False)
    kitchen = models.ForeignKey(Kitchen, on_delete=models.CASCADE)
    name = models.CharField(max_length=120)
    revision = models.PositiveIntegerField(default=1)
    archived_at = models.DateTimeField(null=True)
    changed_at = models.DateTimeField(auto_now=True)
    changed_by = models.ForeignKey(
        settings.AUTH_USER_MODEL, null=True, on_delete=models.SET_NULL, related_name="+"
    )

    class Meta:
        abstract = True
        ordering: ClassVar = ["name", "id"]
        constraints: ClassVar = [
            models.UniqueConstraint(
                "kitchen",
                Lower("name"),
                condition=models.Q(archived_at=None),
                name="%(class)s_name_once",
            )
        ]

    def __str__(self) -> str:
        return self.name

    def users(self) -> set[str]:
        """Names of what uses this row and keeps it from being archived."""
        return set()


class Change(models.Model):
    """Who changed what and when; `fields` holds [before, after] of every field that differs.

    A revision may be given a `name`, and marked as one that made a `good` batch.
    """

    kitchen = models.ForeignKey(Kitchen, on_delete=models.CASCADE)
    user = models.ForeignKey(
        settings.AUTH_USER_MODEL, null=True, on_delete=models.SET_NULL, related_name="+"
    )
    at = models.DateTimeField(auto_now_add=True)
    kind = models.CharField(max_length=20)
    row = models.UUIDField()
    revision = models.PositiveIntegerField()
    action = models.CharField(max_length=12)
    fields = models.JSONField(default=dict)
    name = models.CharField(max_length=80, blank=True)
    good = models.BooleanField(default=False)

    class Meta:
        ordering: ClassVar = ["-at", "-id"]
        indexes: ClassVar = [models.Index(fields=["kitchen", "kind", "row", "-at"])]

    def __str__(self) -> str:
        return f"{self.action} {self.kind} {self.row}"

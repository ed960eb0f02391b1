"""A row of a kitchen, and the log of what was done to it."""

import uuid
from typing import ClassVar

from django.conf import settings
from django.db import models
from django.db.models.functions import Lower


class Row(models.Model):
    """What every row of a kitchen has: owner, name, revision, and who touched it last."""

    id = models.UUIDField(primary_key=True, default=uuid.uuid4, editable=False)
    kitchen = models.ForeignKey("kitchens.Kitchen", on_delete=models.CASCADE)
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


NAMING = ~models.Q(kind__in=("dessert", "mold", "stack")) & (
    ~models.Q(kind="formula") | ~models.Q(action="changed") | models.Q(fields__has_key="name")
)
"""Changes after which a line of a formula may be understood otherwise."""


class Change(models.Model):
    """Who changed what and when; `fields` holds [before, after] of every field that differs.

    A revision may be given a `name`, and marked as one that made a `good` batch.
    """

    kitchen = models.ForeignKey("kitchens.Kitchen", on_delete=models.CASCADE)
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
        indexes: ClassVar = [
            models.Index(fields=["kitchen", "kind", "row", "revision"], name="changes_of_a_row"),
            models.Index(fields=["kitchen", "id"], name="changes_of_names", condition=NAMING),
        ]

    def __str__(self) -> str:
        return f"{self.action} {self.kind} {self.row}"

"""A row of a kitchen, and the log of what was done to it."""

import uuid
from typing import ClassVar

from django.conf import settings
from django.contrib.postgres.indexes import GinIndex, OpClass
from django.db import models
from django.db.models.functions import Lower

from fernbell.core.pantry.naming import all_names
from fernbell.server.rows.spelling import Keys, Words


class Row(models.Model):
    """What every row of a kitchen has: owner, name, revision, and who touched it last.

    `words` and `keys` are its names as core spells them, see `core.pantry.naming.spelled`.
    """

    id = models.UUIDField(primary_key=True, default=uuid.uuid4, editable=False)
    kitchen = models.ForeignKey("kitchens.Kitchen", on_delete=models.CASCADE)
    name = models.CharField(max_length=120)
    revision = models.PositiveIntegerField(default=1)
    archived_at = models.DateTimeField(null=True)
    changed_at = models.DateTimeField(auto_now=True)
    changed_by = models.ForeignKey(
        settings.AUTH_USER_MODEL, null=True, on_delete=models.SET_NULL, related_name="+"
    )
    words = Words(default="", editable=False)
    keys = Keys(models.TextField(), default=list, editable=False)

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
        indexes: ClassVar = [
            models.Index(
                fields=["kitchen", "name", "id"],
                condition=models.Q(archived_at=None),
                name="%(class)s_by_name",
            ),
            models.Index(
                fields=["kitchen", "-changed_at", "id"],
                condition=models.Q(archived_at=None),
                name="%(class)s_by_change",
            ),
            # Without a list of what is still to be put in: every question would read through it.
            GinIndex(
                "kitchen",
                OpClass("words", "gin_trgm_ops"),
                fastupdate=False,
                name="%(class)s_by_word",
            ),
            GinIndex("kitchen", "keys", fastupdate=False, name="%(class)s_by_key"),
        ]

    def __str__(self) -> str:
        return self.name

    def called(self) -> tuple[str, ...]:
        """Everything it is called."""
        return all_names(self.name)

    def users(self) -> set[str]:
        """Names of what uses this row and keeps it from being archived."""
        return set()


class Change(models.Model):
    """Who changed what and when; `fields` holds [before, after] of every field that differs.

    A revision may be given a `name`, and marked as one that made a `good` batch. Now and then
    `whole` keeps the row as it was then, so that a far revision is near one that is whole.
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
    whole = models.JSONField(null=True)
    name = models.CharField(max_length=80, blank=True)
    good = models.BooleanField(default=False)

    class Meta:
        ordering: ClassVar = ["-at", "-id"]
        indexes: ClassVar = [
            models.Index(fields=["kitchen", "kind", "row", "revision"], name="changes_of_a_row"),
            models.Index(fields=["kitchen", "-at", "-id"], name="changes_by_time"),
        ]

    def __str__(self) -> str:
        return f"{self.action} {self.kind} {self.row}"

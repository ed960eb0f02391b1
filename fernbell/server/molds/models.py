"""Molds."""

from django.db import models

from fernbell.server.kitchens.models import Row


class Mold(Row):
    """A ring or frame of the kitchen; `shape` is core's, by its `kind`."""

    shape = models.JSONField()
    note = models.CharField(max_length=2000, blank=True)

    def users(self) -> set[str]:
        """Names of the desserts made in it."""
        return set(self.desserts.filter(archived_at=None).values_list("name", flat=True))

"""Molds."""

from django.db import models

from fernbell.server.rows.models import Row


class Mold(Row):
    """A mold of the kitchen; `shape` is core's, by its `form`, `owned` how many there are."""

    shape = models.JSONField()
    water_g = models.FloatField(null=True)
    cavities = models.PositiveSmallIntegerField(default=1)
    owned = models.PositiveSmallIntegerField(null=True)
    note = models.CharField(max_length=2000, blank=True)

    def users(self) -> set[str]:
        """Names of the desserts made in it, and of the orders that ask for it."""
        own = self.desserts.filter(archived_at=None) | self.also_in.filter(archived_at=None)
        orders = self.orders.filter(archived_at=None).values_list("name", flat=True)
        return {*own.values_list("name", flat=True), *orders}

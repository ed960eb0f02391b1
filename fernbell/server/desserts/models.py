"""Desserts, and stacks of parts kept from them."""

from django.db import models

from fernbell.server.formulas.models import Formula
from fernbell.server.molds.models import Mold
from fernbell.server.rows.models import Row


class Dessert(Row):
    """A dessert of the kitchen; `parts`, `portions` and `sizes` are core's.

    `formulas` and `also_in` repeat the formulas its parts and the molds its other sizes name,
    and `held` the desserts that it `holds`, so that the database knows what is in use.
    """

    mold = models.ForeignKey(Mold, on_delete=models.PROTECT, related_name="desserts")
    built = models.CharField(max_length=12, default="upright")
    parts = models.JSONField(default=list)
    portions = models.JSONField()
    count = models.PositiveIntegerField(default=1)
    sizes = models.JSONField(default=list)
    formulas = models.ManyToManyField(Formula, related_name="desserts")
    also_in = models.ManyToManyField(Mold, related_name="also_in")
    holds = models.JSONField(default=list)
    held = models.ManyToManyField("self", symmetrical=False, related_name="held_by")

    def users(self) -> set[str]:
        """Names of the desserts that hold it, and of the orders it is in."""
        held = self.held_by.filter(archived_at=None).values_list("name", flat=True)
        return {*held, *self.orders.filter(archived_at=None).values_list("name", flat=True)}


class Stack(Row):
    """Parts kept to be used again, as they stood in a mold of `shape`."""

    shape = models.JSONField()
    parts = models.JSONField()
    formulas = models.ManyToManyField(Formula, related_name="stacks")

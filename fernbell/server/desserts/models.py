"""Desserts."""

from django.db import models

from fernbell.server.formulas.models import Formula
from fernbell.server.kitchens.models import Row
from fernbell.server.molds.models import Mold


class Dessert(Row):
    """A dessert of the kitchen; `parts` and `portions` are core's.

    `formulas` repeats the formulas its parts name, so that the database knows what is in use.
    """

    mold = models.ForeignKey(Mold, on_delete=models.PROTECT, related_name="desserts")
    parts = models.JSONField(default=list)
    portions = models.JSONField()
    count = models.PositiveIntegerField(default=1)
    formulas = models.ManyToManyField(Formula, related_name="desserts")

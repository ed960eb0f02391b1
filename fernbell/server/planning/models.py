"""What a kitchen makes things in, and orders."""

from django.db import models

from fernbell.server.desserts.models import Dessert
from fernbell.server.molds.models import Mold
from fernbell.server.rows.models import Row


class Vessel(Row):
    """So many bowls, mixers, pots, siphons alike, or hands that fill; least and most are core's."""

    kind = models.CharField(max_length=12)
    least = models.FloatField(default=0)
    most = models.FloatField()
    number = models.PositiveSmallIntegerField(default=1)


class Order(Row):
    """Desserts in sizes, and how many of each.

    `desserts` and `molds` repeat what its `lines` name, so that the database knows what is in use.
    """

    lines = models.JSONField(default=list)
    desserts = models.ManyToManyField(Dessert, related_name="orders")
    molds = models.ManyToManyField(Mold, related_name="orders")

"""What a kitchen makes things in, who makes them, orders and their timelines."""

import uuid

from django.conf import settings
from django.db import models

from fernbell.server.desserts.models import Dessert
from fernbell.server.kitchens.models import Kitchen
from fernbell.server.molds.models import Mold
from fernbell.server.rows.models import Row


class Vessel(Row):
    """So many bowls, mixers, ovens, freezers alike, or hands that fill; its limits are core's."""

    kind = models.CharField(max_length=12)
    least = models.FloatField(default=0)
    most = models.FloatField()
    number = models.PositiveSmallIntegerField(default=1)


class Hand(Row):
    """Somebody who works: what they are trusted with, and when they are in by the wall."""

    skill = models.PositiveSmallIntegerField(default=2)
    comes = models.CharField(max_length=5)
    leaves = models.CharField(max_length=5)
    weekdays = models.JSONField(default=list)


class Order(Row):
    """Desserts in sizes, and how many of each; when they are served, and how that is planned.

    `desserts` and `molds` repeat what its `lines` name, so that the database knows what is in use.
    """

    lines = models.JSONField(default=list)
    timing = models.JSONField(default=dict)
    desserts = models.ManyToManyField(Dessert, related_name="orders")
    molds = models.ManyToManyField(Mold, related_name="orders")


class Timeline(models.Model):
    """A plan of an order, asked for and made by a worker.

    `fingerprint` is of everything it follows from: the same is not worked out twice. `job` is its
    number in the queue, `asked` the entry of the order, `near` the plan it keeps near to.
    """

    id = models.UUIDField(primary_key=True, default=uuid.uuid4, editable=False)
    kitchen = models.ForeignKey(Kitchen, on_delete=models.CASCADE)
    order = models.ForeignKey(Order, on_delete=models.CASCADE, related_name="timelines")
    user = models.ForeignKey(settings.AUTH_USER_MODEL, null=True, on_delete=models.SET_NULL)
    fingerprint = models.CharField(max_length=64)
    asked = models.JSONField()
    near = models.BooleanField(default=False)
    state = models.CharField(max_length=12, default="queued")
    stop_asked = models.BooleanField(default=False)
    job = models.BigIntegerField(null=True)
    progress = models.JSONField(null=True)
    result = models.JSONField(null=True)
    made_at = models.DateTimeField(auto_now_add=True)
    now_at = models.DateTimeField()

    class Meta:
        ordering = ("-made_at",)
        indexes = (
            models.Index(fields=["order", "-made_at"], name="timelines_of_an_order"),
            models.Index(fields=["kitchen", "fingerprint"], name="timelines_alike"),
        )

    def __str__(self) -> str:
        return f"{self.order} ({self.state})"

"""Ingredients."""

from typing import ClassVar

from django.db import models

from fernbell.core.pantry.naming import all_names
from fernbell.server.kitchens.models import Kitchen
from fernbell.server.rows.models import Row

MOST_OTHER_NAMES = 40


class Ingredient(Row):
    """An ingredient of the kitchen; unknown densities, make-ups, allergens are null.

    `other_names` are what else it is called here.
    """

    other_names = models.JSONField(default=list)
    density_g_ml = models.FloatField(null=True)
    cup_density_g_ml = models.FloatField(null=True)
    weigh_step_g = models.FloatField(default=1.0)
    pieces = models.JSONField(default=list)
    make_up = models.JSONField(null=True)
    make_up_source = models.CharField(max_length=200, blank=True)
    make_up_status = models.CharField(max_length=20, blank=True)
    states = models.JSONField(default=list)
    egg = models.CharField(max_length=8, blank=True)
    allergens = models.JSONField(null=True)
    chocolate = models.JSONField(null=True)
    packs = models.JSONField(default=list)
    keeping = models.JSONField(default=list)
    note = models.CharField(max_length=2000, blank=True)

    def called(self) -> tuple[str, ...]:
        """Everything it is called."""
        return all_names(self.name, self.other_names, (piece["name"] for piece in self.pieces))

    def users(self) -> set[str]:
        """Names of the formulas that weigh it."""
        lines = self.lines.filter(formula__archived_at=None)
        return set(lines.values_list("formula__name", flat=True))


class Usual(models.Model):
    """What a bare word such as 'butter' means in a kitchen."""

    kitchen = models.ForeignKey(Kitchen, on_delete=models.CASCADE)
    word = models.CharField(max_length=60)
    ingredient = models.ForeignKey(Ingredient, on_delete=models.CASCADE, related_name="usual_for")

    class Meta:
        constraints: ClassVar = [
            models.UniqueConstraint(fields=["kitchen", "word"], name="word_means_one_thing")
        ]

    def __str__(self) -> str:
        return f"{self.word}: {self.ingredient}"

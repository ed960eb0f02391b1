"""Formulas and their lines."""

from typing import ClassVar

from django.db import models

from fernbell.server.kitchens.models import Kitchen
from fernbell.server.pantry.models import Ingredient
from fernbell.server.rows.models import Change, Row


class Formula(Row):
    """A formula of the kitchen; `base_lines` are keys of the lines percentages refer to.

    `flavor` is the color chosen for it; `color` the one of what it is mostly made of.
    `job` is what it is set for, such as 'ganache.slice'; nothing where that is not said.
    """

    kind = models.CharField(max_length=40, blank=True)
    flavor = models.CharField(max_length=40, blank=True)
    color = models.CharField(max_length=40, blank=True)
    base_lines = models.JSONField(default=list)
    losses = models.JSONField(default=dict)
    gas_kept = models.FloatField(null=True)
    measured_density_g_ml = models.FloatField(null=True)
    sets_min = models.FloatField(null=True)
    method = models.JSONField(default=list)
    whole_eggs = models.BooleanField(default=False)
    job = models.CharField(max_length=60, blank=True)

    def users(self) -> set[str]:
        """Names of the formulas and desserts and stacks it is in."""
        lines = self.nested_in.filter(formula__archived_at=None)
        desserts = self.desserts.filter(archived_at=None)
        stacks = self.stacks.filter(archived_at=None)
        return {
            *lines.values_list("formula__name", flat=True),
            *desserts.values_list("name", flat=True),
            *stacks.values_list("name", flat=True),
        }


class FormulaLine(models.Model):
    """One line: an ingredient or a nested formula. Neither can go while the line stands.

    `note` is what was said of it and is not weighed: a range, 'to taste'.
    """

    formula = models.ForeignKey(Formula, on_delete=models.CASCADE, related_name="lines")
    position = models.PositiveIntegerField()
    key = models.CharField(max_length=60)
    mass_g = models.FloatField()
    overrun_percent = models.FloatField(default=0)
    stage = models.CharField(max_length=40, blank=True)
    strained_percent = models.FloatField(default=0)
    soaked = models.FloatField(default=0)
    note = models.CharField(max_length=80, blank=True)
    ingredient = models.ForeignKey(
        Ingredient, null=True, on_delete=models.PROTECT, related_name="lines"
    )
    nested = models.ForeignKey(
        Formula, null=True, on_delete=models.PROTECT, related_name="nested_in"
    )

    class Meta:
        ordering: ClassVar = ["position"]
        constraints: ClassVar = [
            models.CheckConstraint(
                name="ingredient_or_formula",
                condition=models.Q(ingredient=None) ^ models.Q(nested=None),
            )
        ]

    def __str__(self) -> str:
        return f"{self.mass_g:g} g {self.ingredient or self.nested}"


class GoodBatch(models.Model):
    """A revision that made a good batch: where the dial of its job stood with which chocolate.

    It moves the band of that job in this kitchen, and goes with the mark on the revision.
    """

    kitchen = models.ForeignKey(Kitchen, on_delete=models.CASCADE, related_name="batches")
    change = models.OneToOneField(Change, on_delete=models.CASCADE, related_name="batch")
    name = models.CharField(max_length=200)
    job = models.CharField(max_length=60)
    chocolate = models.ForeignKey(Ingredient, on_delete=models.CASCADE, related_name="batches")
    value = models.FloatField()

    class Meta:
        ordering: ClassVar = ["pk"]
        indexes: ClassVar = [models.Index(fields=["kitchen", "job", "chocolate"])]

    def __str__(self) -> str:
        return f"{self.name}, {self.job} at {self.value:g}"

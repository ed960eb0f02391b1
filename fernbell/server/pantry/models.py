"""Ingredients."""

from django.db import models

from fernbell.server.kitchens.models import Row


class Ingredient(Row):
    """An ingredient of the kitchen; unknown densities and make-ups are null."""

    density_g_ml = models.FloatField(null=True)
    cup_density_g_ml = models.FloatField(null=True)
    weigh_step_g = models.FloatField(default=1.0)
    pieces = models.JSONField(default=list)
    make_up = models.JSONField(null=True)
    note = models.CharField(max_length=2000, blank=True)

    def users(self) -> set[str]:
        """Names of the formulas that weigh it."""
        lines = self.lines.filter(formula__archived_at=None)
        return set(lines.values_list("formula__name", flat=True))

"""Kitchens that stand already get the other names and the usual words of the starter pantry."""

from typing import Any

from django.db import migrations

from fernbell.starter.pantry import STOCKS, USUAL


def name_starters(apps: Any, schema_editor: Any) -> None:
    """Rows that still go by a starter's name."""
    ingredient, usual = (apps.get_model("pantry", name) for name in ("Ingredient", "Usual"))
    by_name = {one.ingredient.name: one for one in STOCKS}
    found = list(ingredient.objects.filter(name__in=by_name, archived_at=None, other_names=[]))
    for row in found:
        row.other_names = list(by_name[row.name].other_names)
    ingredient.objects.bulk_update(found, ["other_names"], batch_size=500)
    rows = {(row.kitchen_id, by_name[row.name].ingredient.key): row for row in found}
    usual.objects.bulk_create(
        usual(kitchen_id=kitchen, word=word, ingredient=rows[kitchen, slug])
        for kitchen in {kitchen for kitchen, _ in rows}
        for word, slug in USUAL.items()
        if (kitchen, slug) in rows
    )


class Migration(migrations.Migration):
    dependencies = [("pantry", "0004_ingredient_other_names_usual")]

    operations = [migrations.RunPython(name_starters, migrations.RunPython.noop)]

"""An ingredient keeps so long in each condition: as bought, once opened, once thawed."""

from collections.abc import Mapping
from typing import Any

from django.db import migrations, models


def by_condition(told: Any) -> list[dict[str, Any]]:
    """What was one entry, as one a condition; what is so already stays."""
    if not isinstance(told, Mapping):
        return list(told or ())
    kept = [{"condition": "closed", "store": told["store"], "days": told.get("days")}]
    if told.get("opened_days") is not None:
        frozen = told["store"] == "frozen"
        kept.append(
            {
                "condition": "thawed" if frozen else "opened",
                "store": "cold" if frozen else told["store"],
                "days": told["opened_days"],
            }
        )
    return kept


def carry_over(apps: Any, schema_editor: Any) -> None:
    for row in apps.get_model("pantry", "Ingredient").objects.iterator(chunk_size=500):
        row.keeping = by_condition(row.keeping)
        row.save(update_fields=["keeping"])
    every = apps.get_model("rows", "Change").objects.filter(kind="ingredient")
    for change in every.iterator(chunk_size=500):
        if "keeping" in change.fields:
            change.fields["keeping"] = [by_condition(side) for side in change.fields["keeping"]]
        if change.whole and "keeping" in change.whole:
            change.whole["keeping"] = by_condition(change.whole["keeping"])
        change.save(update_fields=["fields", "whole"])


class Migration(migrations.Migration):
    dependencies = [("pantry", "0006_names_to_find"), ("rows", "0003_names_to_find")]

    operations = [
        migrations.RunPython(carry_over, migrations.RunPython.noop),
        migrations.AlterField("ingredient", "keeping", models.JSONField(default=list)),
    ]

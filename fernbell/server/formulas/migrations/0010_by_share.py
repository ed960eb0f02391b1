"""A line is strained out by share, and may take up water before it goes in."""

from collections.abc import Iterable, Iterator
from typing import Any

from django.db import migrations, models


def _lines(change: Any) -> Iterator[dict[str, Any]]:
    """Every line that a change of a formula tells of."""
    for side in change.fields.get("lines", ()):
        yield from side or ()
    yield from (change.whole or {}).get("lines", ())


def renewed(lines: Iterable[dict[str, Any]]) -> bool:
    """Say of lines by share what they say by yes or no; whether there were any."""
    told = [line for line in lines if "strained" in line]
    for line in told:
        line["strained_percent"] = 100.0 if line.pop("strained") else 0.0
    return bool(told)


def carry_over(apps: Any, schema_editor: Any) -> None:
    """What was strained out was so altogether; what a change tells says it the new way too."""
    apps.get_model("formulas", "FormulaLine").objects.filter(strained=True).update(
        strained_percent=100
    )
    every = apps.get_model("rows", "Change").objects.filter(kind="formula")
    for change in every.iterator(chunk_size=500):
        if renewed(_lines(change)):
            change.save(update_fields=["fields", "whole"])


class Migration(migrations.Migration):
    dependencies = [("formulas", "0009_good_batch")]

    operations = [
        migrations.AddField("formulaline", "strained_percent", models.FloatField(default=0)),
        migrations.AddField("formulaline", "soaked", models.FloatField(default=0)),
        migrations.RunPython(carry_over, migrations.RunPython.noop),
        migrations.RemoveField("formulaline", "strained"),
    ]

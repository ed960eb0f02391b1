"""Percentages may refer to several lines together; a line may be strained out again."""

from typing import Any

from django.db import migrations, models


def carry_over(apps: Any, schema_editor: Any) -> None:
    """The one line there was becomes the first of a list."""
    for row in apps.get_model("formulas", "Formula").objects.exclude(base_line=""):
        row.base_lines = [row.base_line]
        row.save(update_fields=["base_lines"])


class Migration(migrations.Migration):
    dependencies = [("formulas", "0003_formula_whole_eggs_formulaline_stage")]

    operations = [
        migrations.AddField("formula", "base_lines", models.JSONField(default=list)),
        migrations.RunPython(carry_over, migrations.RunPython.noop),
        migrations.RemoveField("formula", "base_line"),
        migrations.AddField("formulaline", "strained", models.BooleanField(default=False)),
    ]

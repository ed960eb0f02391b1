"""What is left of a formula's air is told by what is folded, unless somebody says."""

from typing import Any

from django.db import migrations, models

USUAL = 0.8


def carry_over(apps: Any, schema_editor: Any) -> None:
    """What stood at the usual share was not said by anybody."""
    rows = apps.get_model("formulas", "Formula").objects.filter(gas_kept=USUAL)
    rows.update(gas_kept=None)


class Migration(migrations.Migration):
    dependencies = [("formulas", "0010_by_share")]

    operations = [
        migrations.AlterField("formula", "gas_kept", models.FloatField(null=True)),
        migrations.RunPython(carry_over, migrations.RunPython.noop),
    ]

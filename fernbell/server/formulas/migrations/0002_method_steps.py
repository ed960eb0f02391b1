"""A method's steps may end with a wait."""

from typing import Any, ClassVar

from django.db import migrations


def to_steps(apps: Any, schema_editor: Any) -> None:
    for row in apps.get_model("formulas", "Formula").objects.exclude(method=[]):
        row.method = [{"text": text, "wait": None} for text in row.method]
        row.save(update_fields=["method"])


def to_texts(apps: Any, schema_editor: Any) -> None:
    for row in apps.get_model("formulas", "Formula").objects.exclude(method=[]):
        row.method = [step["text"] for step in row.method]
        row.save(update_fields=["method"])


class Migration(migrations.Migration):
    dependencies: ClassVar = [("formulas", "0001_initial")]

    operations: ClassVar = [migrations.RunPython(to_steps, to_texts)]

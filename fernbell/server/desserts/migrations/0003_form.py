"""The form of the mold a stack was kept from stands under `form`, no longer under `kind`."""

from django.db import migrations

_RENAME = """
UPDATE desserts_stack
SET shape = (shape - '{old}') || jsonb_build_object('{new}', shape->'{old}')
WHERE shape ? '{old}';
"""


class Migration(migrations.Migration):
    dependencies = [
        ("desserts", "0002_dessert_also_in_dessert_built_dessert_sizes_stack"),
        ("molds", "0003_form"),
    ]

    operations = [
        migrations.RunSQL(
            _RENAME.format(old="kind", new="form"), _RENAME.format(old="form", new="kind")
        ),
    ]

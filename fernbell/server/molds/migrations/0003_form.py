"""The form of a mold stands under `form`, no longer under `kind`."""

from django.db import migrations

_RENAME = """
UPDATE molds_mold
SET shape = (shape - '{old}') || jsonb_build_object('{new}', shape->'{old}')
WHERE shape ? '{old}';
UPDATE kitchens_change SET fields = jsonb_set(fields, '{{shape}}', (
    SELECT jsonb_agg(
        CASE WHEN jsonb_typeof(side) = 'object' AND side ? '{old}'
             THEN (side - '{old}') || jsonb_build_object('{new}', side->'{old}')
             ELSE side END ORDER BY place)
    FROM jsonb_array_elements(fields->'shape') WITH ORDINALITY AS sides(side, place)))
WHERE kind IN ('mold', 'stack') AND fields ? 'shape';
"""


class Migration(migrations.Migration):
    dependencies = [
        ("molds", "0002_mold_water_g"),
        ("kitchens", "0003_change_good_change_name_kitchen_altitude_m_and_more"),
    ]

    operations = [
        migrations.RunSQL(
            _RENAME.format(old="kind", new="form"), _RENAME.format(old="form", new="kind")
        ),
    ]

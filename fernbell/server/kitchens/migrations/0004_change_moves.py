"""The log of changes moves to the room of rows, its table renamed, nothing copied."""

from django.db import migrations


class Migration(migrations.Migration):
    dependencies = [("kitchens", "0003_change_good_change_name_kitchen_altitude_m_and_more")]

    operations = [
        migrations.SeparateDatabaseAndState(
            database_operations=[migrations.AlterModelTable("change", "rows_change")],
            state_operations=[migrations.DeleteModel("change")],
        ),
    ]

"""Names are found with or without accents."""

from typing import ClassVar

from django.contrib.postgres.operations import UnaccentExtension
from django.db import migrations


class Migration(migrations.Migration):
    dependencies: ClassVar = [("kitchens", "0001_initial")]

    operations: ClassVar = [UnaccentExtension()]

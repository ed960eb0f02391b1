"""The log of changes as kitchens left it."""

import django.db.models.deletion
from django.conf import settings
from django.db import migrations, models


class Migration(migrations.Migration):
    initial = True

    dependencies = [
        ("kitchens", "0004_change_moves"),
        # These mend the log where it was before.
        ("molds", "0003_form"),
        ("desserts", "0003_form"),
        migrations.swappable_dependency(settings.AUTH_USER_MODEL),
    ]

    operations = [
        migrations.SeparateDatabaseAndState(
            state_operations=[
                migrations.CreateModel(
                    name="Change",
                    fields=[
                        (
                            "id",
                            models.BigAutoField(
                                auto_created=True,
                                primary_key=True,
                                serialize=False,
                                verbose_name="ID",
                            ),
                        ),
                        ("at", models.DateTimeField(auto_now_add=True)),
                        ("kind", models.CharField(max_length=20)),
                        ("row", models.UUIDField()),
                        ("revision", models.PositiveIntegerField()),
                        ("action", models.CharField(max_length=12)),
                        ("fields", models.JSONField(default=dict)),
                        ("name", models.CharField(blank=True, max_length=80)),
                        ("good", models.BooleanField(default=False)),
                        (
                            "kitchen",
                            models.ForeignKey(
                                on_delete=django.db.models.deletion.CASCADE, to="kitchens.kitchen"
                            ),
                        ),
                        (
                            "user",
                            models.ForeignKey(
                                null=True,
                                on_delete=django.db.models.deletion.SET_NULL,
                                related_name="+",
                                to=settings.AUTH_USER_MODEL,
                            ),
                        ),
                    ],
                    options={
                        "ordering": ["-at", "-id"],
                        "indexes": [
                            models.Index(
                                fields=["kitchen", "kind", "row", "-at"],
                                name="kitchens_ch_kitchen_b228f7_idx",
                            )
                        ],
                    },
                ),
            ],
        ),
    ]

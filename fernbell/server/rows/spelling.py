"""What is kept of a row's names, so that they are found again."""

from typing import Any

from django.contrib.postgres.fields import ArrayField
from django.db import migrations, models

from fernbell.core.pantry.naming import all_names, spelled


class Spelling(models.Field):  # type: ignore[type-arg]  # Django's fields take none at run time
    """What core spells of a row's names; written whenever the row is."""

    def pre_save(self, row: Any, add: bool) -> Any:
        """Its words, or its keys. Rows as a migration knows them keep theirs."""
        if not hasattr(row, "called"):
            return super().pre_save(row, add)
        told = getattr(spelled(row.called()), self.name)
        setattr(row, self.name, told)
        return told


class Words(Spelling, models.TextField):  # type: ignore[type-arg]
    """Words of the names, each name between bars."""


class Keys(Spelling, ArrayField):  # type: ignore[type-arg]
    """Keys of the names."""


def spell_all(app: str, *models_: str) -> migrations.RunPython:
    """A step of a migration that spells the names of all rows there are."""

    def spell(apps: Any, _editor: Any) -> None:
        for model in models_:
            every = apps.get_model(app, model).objects
            for row in every.iterator():
                pieces = (piece["name"] for piece in getattr(row, "pieces", ()))
                told = spelled(all_names(row.name, getattr(row, "other_names", ()), pieces))
                every.filter(pk=row.pk).update(words=told.words, keys=list(told.keys))

    return migrations.RunPython(spell, migrations.RunPython.noop)

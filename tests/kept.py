"""A kitchen made once in a test database and copied for every test that wants it."""

from collections.abc import Callable
from itertools import count

from django.apps import apps
from django.contrib.auth.models import User
from django.db import connection, transaction
from django.db.models import F, Model

from fernbell.server.kitchens.models import Kitchen


def _models() -> list[type[Model]]:
    """All that a kitchen is made of."""
    return [
        User,
        *(
            model
            for config in apps.get_app_configs()
            if config.name.startswith("fernbell.")
            for model in config.get_models(include_auto_created=True)
        ),
    ]


def _tables() -> list[str]:
    return [model._meta.db_table for model in _models()]


def keep(name: str, make: Callable[[], object]) -> None:
    """Put aside, once, the rows that `make` leaves in an empty database; it is empty again."""
    with transaction.atomic(), connection.cursor() as cursor:
        cursor.execute("SELECT FROM pg_namespace WHERE nspname = %s", [name])
        if cursor.fetchone() is not None:
            return
        make()
        cursor.execute("SET CONSTRAINTS ALL IMMEDIATE")
        cursor.execute(f'CREATE SCHEMA "{name}"')
        for table in _tables():
            cursor.execute(f'CREATE TABLE "{name}"."{table}" AS TABLE public."{table}"')
        tables = ", ".join(f'public."{table}"' for table in _tables())
        cursor.execute(f"TRUNCATE {tables} CASCADE")


_times = count(1)


def bring(name: str) -> None:
    """The rows that were put aside, in an empty database, as kitchens of versions of their own.

    What the application has kept of a kitchen at a version is never that of another test.
    """
    copied = "; ".join(f'INSERT INTO public."{one}" TABLE "{name}"."{one}"' for one in _tables())
    with transaction.atomic(), connection.cursor() as cursor:
        # Their references were checked when they were put aside.
        cursor.execute("SET LOCAL session_replication_role = replica")
        cursor.execute(copied)
        cursor.execute("SET LOCAL session_replication_role = origin")
        Kitchen.objects.update(version=F("version") + 1_000_000 * next(_times))

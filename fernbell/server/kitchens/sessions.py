"""Sessions that know their member: one query tells who is asking, in which kitchen."""

from typing import Any, cast

from django.contrib.auth.models import User
from django.contrib.sessions.backends import db
from django.db import DEFAULT_DB_ALIAS, connection
from django.db.models import Model

from fernbell.server.kitchens.models import Kitchen, Member, Visit
from fernbell.server.rows.clock import now

MEMBER, FACTS = "member", "facts"


class SessionStore(db.SessionStore):
    """Django's sessions in the database, with the member read along."""

    member: Member | None = None

    @classmethod
    def get_model_class(cls) -> type[Visit]:
        """Where they are kept."""
        return Visit

    def create_model_instance(self, data: dict[str, Any]) -> Visit:
        """The row of a session, with its member."""
        visit = cast(Visit, super().create_model_instance(data))
        visit.member_id = data.get(MEMBER)
        for fact, value in data.get(FACTS, {}).items():
            setattr(visit, fact, value)
        return visit

    def load(self) -> dict[str, Any]:
        """What is kept of the session; its member comes in the same query."""
        data, self.member = _read(self.session_key)
        if data is None:
            self._session_key = None
            return {}
        return self.decode(data)

    def flush(self) -> None:
        """The end of it."""
        super().flush()
        self.member = None

    def belong_to(self, member: Member) -> None:
        """From now on this is the member's session."""
        self[MEMBER], self.member = member.pk, member

    def begin(self, address: str, agent: str) -> None:
        """Put down since when, from where and by what it is."""
        self[FACTS] = {"begun_at": now().isoformat(), "address": address, "agent": agent}


def _columns(model: type[Model], table: str) -> tuple[list[str], str]:
    names = [field.attname for field in model._meta.concrete_fields]
    columns = (f'{table}."{field.column}"' for field in model._meta.concrete_fields)
    return names, ", ".join(columns)


_PARTS = ((Member, "m"), (User, "u"), (Kitchen, "k"))
_NAMES, _COLUMNS = zip(*(_columns(model, table) for model, table in _PARTS), strict=True)
# Asked by every request there is: written once, where the ORM would put it together each time.
_SQL = f"""
SELECT v.session_data, {", ".join(_COLUMNS)}
FROM kitchens_visit v
LEFT JOIN kitchens_member m ON m.id = v.member_id
LEFT JOIN auth_user u ON u.id = m.user_id
LEFT JOIN kitchens_kitchen k ON k.id = m.kitchen_id
WHERE v.session_key = %s AND v.expire_date > %s
"""  # noqa: S608 - the columns are ours


def _read(key: str | None) -> tuple[str | None, Member | None]:
    with connection.cursor() as cursor:
        cursor.execute(_SQL, [key, now()])
        found = cursor.fetchone()
    if found is None:
        return None, None
    data, *rest = found
    read: list[Any] = []
    for (model, _), names in zip(_PARTS, _NAMES, strict=True):
        own, rest = rest[: len(names)], rest[len(names) :]
        read.append(model.from_db(DEFAULT_DB_ALIAS, names, own))
    member, user, kitchen = read
    if member.pk is None:
        return data, None
    member.user, member.kitchen = user, kitchen
    return data, member

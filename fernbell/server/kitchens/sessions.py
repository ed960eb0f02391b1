"""Sessions that know their member: one query tells who is asking, in which kitchen."""

from typing import Any

from django.contrib.sessions.backends import db

from fernbell.server.kitchens.models import Member, Visit

MEMBER = "member"


class SessionStore(db.SessionStore):
    """Django's sessions in the database, with the member read along."""

    member: Member | None = None

    @classmethod
    def get_model_class(cls) -> type[Visit]:
        """Where they are kept."""
        return Visit

    def create_model_instance(self, data: dict[str, Any]) -> Visit:
        """The row of a session, with its member."""
        visit = super().create_model_instance(data)
        visit.member_id = data.get(MEMBER)
        return visit

    def load(self) -> dict[str, Any]:
        """What is kept of the session; its member comes in the same query."""
        visit = self._get_session_from_db()
        self.member = visit.member if visit else None
        return self.decode(visit.session_data) if visit else {}

    def flush(self) -> None:
        """The end of it."""
        super().flush()
        self.member = None

    def belong_to(self, member: Member) -> None:
        """From now on this is the member's session."""
        self[MEMBER], self.member = member.pk, member

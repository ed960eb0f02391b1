"""Who is asking: a member of a kitchen by session, or any visitor. Both pass the CSRF check."""

from django.conf import settings
from django.contrib.auth import login
from django.contrib.auth.models import AbstractBaseUser
from django.http import HttpRequest
from ninja.security import APIKeyCookie

from fernbell.server.kitchens.models import Member

_KITCHEN = "kitchen"


class MemberAuth(APIKeyCookie):
    """A signed-in member; the handler gets the `Member` as `request.auth`."""

    param_name = settings.SESSION_COOKIE_NAME

    def authenticate(self, request: HttpRequest, key: str | None) -> Member | None:
        """The member, or None."""
        return current_member(request)


class VisitorAuth(APIKeyCookie):
    """Anybody: for signing in and asking who one is."""

    param_name = settings.SESSION_COOKIE_NAME

    def authenticate(self, request: HttpRequest, key: str | None) -> bool:
        """Always; the CSRF check has been made before."""
        return True


def current_member(request: HttpRequest) -> Member | None:
    """The member this session is signed in as, in the kitchen it has chosen."""
    if not request.user.is_authenticated:
        return None
    found = Member.objects.filter(
        user_id=request.user.pk, kitchen_id=request.session.get(_KITCHEN)
    ).select_related("kitchen")
    member = found.first()
    if member:
        member.user = request.user
    return member


def sign_in(request: HttpRequest, user: AbstractBaseUser) -> Member | None:
    """Start a session in the user's first kitchen; None if there is none."""
    member = (
        Member.objects.filter(user=user).select_related("kitchen", "user").order_by("pk").first()
    )
    if member:
        login(request, user, backend="django.contrib.auth.backends.ModelBackend")
        request.session[_KITCHEN] = str(member.kitchen_id)
    return member


def enter_kitchen(request: HttpRequest, member: Member) -> None:
    """Go on in another of one's kitchens."""
    request.session[_KITCHEN] = str(member.kitchen_id)

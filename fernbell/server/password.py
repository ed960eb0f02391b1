"""`python -m fernbell.server.password NAME`: another password for somebody, read from its input."""

import os
import sys

import django

os.environ.setdefault("DJANGO_SETTINGS_MODULE", "fernbell.server.settings")
django.setup()

from axes.handlers.proxy import AxesProxyHandler  # noqa: E402 - needs the apps loaded
from django.contrib.auth.models import User  # noqa: E402

from fernbell.server.kitchens.models import OneTimeWord, Visit  # noqa: E402
from fernbell.server.kitchens.passwords import set_password  # noqa: E402
from fernbell.server.kitchens.second import forget  # noqa: E402
from fernbell.server.problems import Invalid  # noqa: E402


def replace(username: str, password: str) -> None:
    """Set it; end sessions, a second factor (the phone may be lost) and what locked them out."""
    user = User.objects.filter(username__iexact=username).first()
    if user is None:
        raise Invalid.field("name", f"Nobody signs in as {username}.")
    set_password(user, password, "password")
    user.save(update_fields=["password"])
    OneTimeWord.objects.filter(user=user).delete()
    Visit.objects.filter(member__user=user).delete()
    forget(user)
    AxesProxyHandler.reset_attempts(username=user.username.casefold())


def main() -> int:
    """Do it; what is refused is one sentence and a non-zero exit."""
    try:
        replace(sys.argv[1], sys.stdin.readline().rstrip("\n"))
    except Invalid as refused:
        sys.stderr.write(f"{refused.detail}\n")
        return 1
    return 0


if __name__ == "__main__":
    sys.exit(main())

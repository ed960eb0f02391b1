"""Where a request comes from."""

from ipaddress import ip_address

from django.conf import settings
from django.http import HttpRequest


def address(request: HttpRequest) -> str:
    """Where a request comes from: what a proxy says only of proxies that are configured.

    With FERNBELL_PROXIES proxies in front, the address that the farthest of them saw; whatever
    stands before that in the header anybody may have written.
    """
    here = str(request.META.get("REMOTE_ADDR", ""))
    if not settings.PROXIES:
        return here
    seen = [one.strip() for one in request.headers.get("X-Forwarded-For", "").split(",")]
    told = seen[-settings.PROXIES] if len(seen) >= settings.PROXIES else ""
    return told if _is_address(told) else here


def _is_address(text: str) -> bool:
    try:
        ip_address(text)
    except ValueError:
        return False
    return "%" not in text

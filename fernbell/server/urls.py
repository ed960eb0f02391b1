"""The API, and the one page of the front end behind every other address."""

from pathlib import Path

from django.conf import settings
from django.http import FileResponse, HttpRequest, HttpResponse
from django.urls import path, re_path
from django.views.decorators.csrf import ensure_csrf_cookie

from fernbell.server.api import api
from fernbell.server.away import live, ready
from fernbell.server.settings import WEB_DIST


@ensure_csrf_cookie
def page(request: HttpRequest) -> HttpResponse | FileResponse:
    """The front end's page; it routes itself."""
    index = WEB_DIST / "index.html"
    if not index.is_file():
        return HttpResponse("The front end is not built: run ./fern start", status=503)
    return FileResponse(index.open("rb"), content_type="text/html")


def authority(request: HttpRequest) -> HttpResponse | FileResponse:
    """Certificate of the machine's own authority, for a tablet to trust; none behind a proxy."""
    kept = Path(settings.AUTHORITY)
    if not settings.AUTHORITY or not kept.is_file():
        return HttpResponse("This kitchen has no certificate of its own.", status=404)
    return FileResponse(
        kept.open("rb"),
        content_type="application/x-x509-ca-cert",
        as_attachment=True,
        filename="fern-bell-authority.crt",
    )


handler500 = "fernbell.server.away.broken"
urlpatterns = [
    path("api/", api.urls),
    path("health/live", live),
    path("health/ready", ready),
    path("authority.crt", authority),
    re_path(r"^(?!api/|assets/).*$", page),
]

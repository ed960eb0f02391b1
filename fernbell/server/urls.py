"""The API, and the one page of the front end behind every other address."""

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


handler500 = "fernbell.server.away.broken"
urlpatterns = [
    path("api/", api.urls),
    path("health/live", live),
    path("health/ready", ready),
    re_path(r"^(?!api/|assets/).*$", page),
]

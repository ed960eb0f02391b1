"""Refusals and the one place that turns them into problem+json (RFC 9457)."""

import logging
from collections.abc import Callable, Sequence
from datetime import datetime
from typing import Any

from django.conf import settings
from django.core.exceptions import RequestDataTooBig
from django.http import HttpRequest, HttpResponse, JsonResponse
from ninja import NinjaAPI, Schema
from ninja.errors import (
    AuthenticationError,
    AuthorizationError,
    HttpError,
    ValidationErrorContext,
)
from ninja.errors import ValidationError as RequestInvalid
from ninja.openapi.schema import OpenAPISchema
from pydantic import ValidationError

from fernbell.core.desserts import RULES, WAYS
from fernbell.core.errors import CoreError, OutOfRange, field_words
from fernbell.core.molds import FORMS

log = logging.getLogger(__name__)

FieldErrors = Sequence[dict[str, str]]


class Refused(Exception):
    """Root of the server's refusals; `status` is the answer's."""

    status = 400
    title = "This cannot be done"

    def __init__(self, detail: str, errors: FieldErrors = (), **extra: object) -> None:
        super().__init__(detail)
        self.detail = detail
        self.errors = list(errors)
        self.extra = extra


class NotAllowed(Refused):
    """The member's role does not allow it."""

    status = 403
    title = "Your role does not allow this"


class NotThere(Refused):
    """No such row in this kitchen, whoever else may have one."""

    status = 404
    title = "Not in this kitchen"


class Stale(Refused):
    """The row was changed since it was read."""

    status = 409
    title = "Changed meanwhile"


class InUse(Refused):
    """The row is used elsewhere."""

    status = 409
    title = "Still in use"


class TooMany(Refused):
    """It was tried too often, or by too many at once."""

    status = 429
    title = "Too many tries"

    def __init__(self, detail: str, wait_s: int) -> None:
        super().__init__(detail)
        self.wait_s = wait_s


class Invalid(Refused):
    """Input that is not acceptable, with the fields at fault."""

    status = 422
    title = "Some entries need a change"

    @classmethod
    def field(cls, field: str, message: str) -> "Invalid":
        """Refuse one field."""
        return cls(message, [{"field": field, "message": message}])


class FieldError(Schema):
    """One field at fault, and what is allowed."""

    field: str
    message: str


class ProblemOut(Schema):
    """A refusal (RFC 9457): what cannot be done and why, with the fields at fault.

    Where a row was changed meanwhile: what it is now, at which revision, by whom and when.
    """

    type: str
    title: str
    status: int
    detail: str
    errors: list[FieldError]
    current: dict[str, Any] | None = None
    revision: int | None = None
    changed_by: str | None = None
    changed_at: datetime | None = None


MOST_ERRORS, MOST_LETTERS = 100, 600


def brief(text: str) -> str:
    """A text that may quote what came in, cut where it gets long."""
    return text if len(text) <= MOST_LETTERS else f"{text[:MOST_LETTERS]} …"


def problem(
    status: int, title: str, detail: str, errors: FieldErrors = (), **extra: object
) -> HttpResponse:
    """A problem answer; what came in is quoted in brief."""
    body = {"type": "about:blank", "title": title, "status": status, "detail": brief(detail)}
    told = [{name: brief(text) for name, text in one.items()} for one in errors[:MOST_ERRORS]]
    return JsonResponse(
        {**body, "errors": told, **extra},
        status=status,
        content_type="application/problem+json",
    )


# Steps of pydantic's path that are no fields: ninja's wrapping, and the tags of unions.
_NO_FIELD = {
    *("body", "data", "query", "path", "asked"),
    *(form.words().form for form in FORMS),
    *(rule.words.rule for rule in RULES),
    *(way.words.cut for way in WAYS),
}
_WORDS = {
    "missing": "is missing",
    "float_type": "must be a number",
    "float_parsing": "must be a number",
    "int_type": "must be a whole number",
    "int_parsing": "must be a whole number",
    "int_from_float": "must be a whole number",
    "finite_number": "must be a finite number",
    "string_too_short": "must not be empty",
    "extra_forbidden": "is not known here",
}


_BOUNDS = {
    "greater_than_equal": "must be at least {ge}",
    "less_than_equal": "must be at most {le}",
    "too_long": "must have at most {max_length} entries",
    "too_short": "must have at least {min_length}",
    "string_too_long": "must have at most {max_length} letters",
}


def field_errors(error: ValidationError) -> list[dict[str, Any]]:
    """Field and message of each fault pydantic found; core's refusals come as they are."""
    return [_field_error(one) for one in error.errors(include_url=False)]


def _field_error(one: Any) -> dict[str, Any]:
    place = [str(step) for step in one["loc"] if step not in _NO_FIELD]
    cause = one.get("ctx", {}).get("error")
    if isinstance(cause, CoreError):
        return {"field": ".".join([*place, cause.field]), "cause": cause}
    name = field_words(place[-1]) if place else "The entry"
    words = _WORDS.get(one["type"]) or _bound_words(one)
    message = f"{name} {words}." if words else f"{name}: {one['msg']}."
    return {"field": ".".join(place), "message": message}


def _message(fault: dict[str, Any], request: HttpRequest) -> str:
    return _sentence(fault["cause"], request) if "cause" in fault else fault["message"]


def _sentence(error: CoreError, request: HttpRequest) -> str:
    """A refusal in the units the person reads."""
    member: Any = getattr(request, "auth", None)
    if isinstance(error, OutOfRange) and hasattr(member, "inches"):
        return error.sentence_for(inches=member.inches, fahrenheit=member.fahrenheit)
    return error.sentence()


def _bound_words(one: Any) -> str | None:
    """'must be at least 1' for a number or a list beyond its bounds."""
    words = _BOUNDS.get(one["type"])
    return words and words.format(**one["ctx"])


class FieldApi(NinjaAPI):
    """An API whose validation errors keep their causes, so that core can name the field.

    Its document says of every operation that it may answer with a problem.
    """

    def get_openapi_schema(self, *args: Any, **options: Any) -> OpenAPISchema:
        """The OpenAPI document."""
        document = super().get_openapi_schema(*args, **options)
        refers = "#/components/schemas/{model}"
        own = ProblemOut.model_json_schema(ref_template=refers)
        document["components"]["schemas"] |= own.pop("$defs") | {"ProblemOut": own}
        schema = {"$ref": refers.format(model="ProblemOut")}
        content = {"application/problem+json": {"schema": schema}}
        told = {"description": "A problem", "content": content}
        for path in document["paths"].values():
            for operation in path.values():
                answers = {str(status): one for status, one in operation["responses"].items()}
                operation["responses"] = {**answers, "default": told}
        return document

    def validation_error_from_error_contexts(
        self, error_contexts: list[ValidationErrorContext[Any]]
    ) -> RequestInvalid:
        """The faults of all parts of a request."""
        return RequestInvalid(
            [
                fault
                for context in error_contexts
                for fault in field_errors(context.pydantic_validation_error)
            ]
        )


Silence = Callable[[BaseException], HttpResponse | None]


def answer_problems(api: NinjaAPI, silence: Silence) -> None:
    """Register every handler on the API; `silence` says it where the database does not answer."""
    _answer_entries(api)
    _answer_requests(api, silence)


def _refusal(error: Refused) -> HttpResponse:
    answer = problem(error.status, error.title, error.detail, error.errors, **error.extra)
    if isinstance(error, TooMany):
        answer["Retry-After"] = str(error.wait_s)
    return answer


def _answer_entries(api: NinjaAPI) -> None:
    """What is said of what was entered."""

    @api.exception_handler(Refused)
    def _refused(request: HttpRequest, error: Refused) -> HttpResponse:
        return _refusal(error)

    @api.exception_handler(CoreError)
    def _core(request: HttpRequest, error: CoreError) -> HttpResponse:
        said = _sentence(error, request)
        return problem(422, Invalid.title, said, [{"field": error.field, "message": said}])

    @api.exception_handler(RequestInvalid)
    def _invalid(request: HttpRequest, error: RequestInvalid) -> HttpResponse:
        errors = [
            {"field": fault["field"], "message": _message(fault, request)} for fault in error.errors
        ]
        detail = " ".join(fault["message"] for fault in errors[:3])
        return problem(422, Invalid.title, detail, errors)


def _answer_requests(api: NinjaAPI, silence: Silence) -> None:
    """What is said of who asks, how much and how often, and of what broke."""

    @api.exception_handler(AuthenticationError)
    def _who(request: HttpRequest, error: AuthenticationError) -> HttpResponse:
        return problem(401, "Sign in first", "This needs a signed-in member of a kitchen.")

    @api.exception_handler(AuthorizationError)
    def _may_not(request: HttpRequest, error: AuthorizationError) -> HttpResponse:
        return problem(403, NotAllowed.title, "This is not allowed.")

    @api.exception_handler(RequestDataTooBig)
    def _too_big(request: HttpRequest, error: RequestDataTooBig) -> HttpResponse:
        most = settings.DATA_UPLOAD_MAX_MEMORY_SIZE // 2**20
        return problem(413, "Too much at once", f"An entry has at most {most} MB.")

    @api.exception_handler(HttpError)
    def _http(request: HttpRequest, error: HttpError) -> HttpResponse:
        # What is refused while a body is read comes wrapped.
        if isinstance(error.__cause__, Refused):
            return _refusal(error.__cause__)
        return problem(error.status_code, "The request was not understood", str(error))

    @api.exception_handler(Exception)
    def _broken(request: HttpRequest, error: Exception) -> HttpResponse:
        silent = silence(error)
        if silent is not None:
            return silent
        log.exception("unexpected error at %s", request.path)
        return problem(500, "Something broke", "It was logged; nothing was saved.")

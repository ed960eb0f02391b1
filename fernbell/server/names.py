"""Looking up names: any shelf, as one types; and what a bare word means here."""

from typing import Annotated, Any, Literal
from uuid import UUID

from ninja import Query, Router, Schema
from pydantic import StringConstraints

from fernbell.core.measures import read_measure
from fernbell.core.pantry.naming import called
from fernbell.server.desserts.rows import DESSERT, STACK
from fernbell.server.formulas.rows import FORMULA
from fernbell.server.kitchens.auth import MemberRequest
from fernbell.server.kitchens.models import Member
from fernbell.server.molds.rows import MOLD
from fernbell.server.pantry import models as pantry
from fernbell.server.pantry import usual
from fernbell.server.pantry.rows import INGREDIENT
from fernbell.server.planning.rows import HAND, ORDER, VESSEL
from fernbell.server.rows.policy import Act, require, rows
from fernbell.server.rows.schemas import MOST_ROWS, Entry
from fernbell.server.rows.search import lookup
from fernbell.server.rows.shelf import Shelf

SHELVES: dict[str, list[Shelf[Any]]] = {
    "ingredients": [INGREDIENT],
    "formulas": [FORMULA],
    "lines": [INGREDIENT, FORMULA],
    "desserts": [DESSERT],
    "molds": [MOLD],
    "stacks": [STACK],
    "orders": [ORDER],
    "vessels": [VESSEL],
    "hands": [HAND],
}

router = Router(tags=["names"])
On = Literal[
    "ingredients",
    "formulas",
    "lines",
    "desserts",
    "molds",
    "stacks",
    "orders",
    "vessels",
    "hands",
]
Word = Annotated[str, StringConstraints(strip_whitespace=True, min_length=1, max_length=60)]


class FoundName(Schema):
    """A row whose name fits, and the other name by which it does."""

    id: UUID
    name: str
    is_formula: bool
    called: str


Unit = Annotated[str, StringConstraints(max_length=12)]


class TypedMeasure(Entry):
    """What was typed into a field, the unit it is kept in, the one a bare number is meant in."""

    text: Annotated[str, StringConstraints(max_length=60)]
    kept: Unit
    shown: Unit


class ReadMeasure(Schema):
    """A value in the unit it is kept in."""

    value: float


class UsualIn(Entry):
    """What a bare word is to mean here; nothing where it is to be asked."""

    word: Word
    ingredient: UUID | None


class UsualOut(Schema):
    """What a bare word means here."""

    word: str
    ingredient: UUID
    name: str


@router.get("", response=list[FoundName], operation_id="find_names")
def find_names(
    request: MemberRequest,
    shelf: On,
    q: Annotated[str, Query(max_length=120)],
    limit: Annotated[int, Query(ge=1, le=MOST_ROWS)] = 8,
) -> Any:
    """Rows of a shelf whose names fit what is typed so far, the best first."""
    require(request.auth, Act.READ)
    found = lookup(request.auth, *SHELVES[shelf]).find(q, begun=True, most=limit)
    return [
        {
            "id": one.key,
            "name": one.name,
            "is_formula": one.is_formula,
            "called": called(one, q),
        }
        for one in (*found.certain, *found.likely)[:limit]
    ]


@router.post("/measure", response=ReadMeasure, operation_id="read_measure")
def read_typed_measure(request: MemberRequest, data: TypedMeasure) -> Any:
    """The value of a measure as it was typed into a field; nothing is changed."""
    require(request.auth, Act.READ)
    return {"value": read_measure(data.text, data.kept, data.shown)}


@router.get("/usual", response=list[UsualOut], operation_id="list_usual")
def list_usual(request: MemberRequest) -> Any:
    """What bare words mean in this kitchen."""
    require(request.auth, Act.READ)
    return _usual(request.auth)


@router.put("/usual", response=list[UsualOut], operation_id="set_usual")
def set_usual(request: MemberRequest, data: UsualIn) -> Any:
    """What a bare word is to mean from now on."""
    usual.mean(request.auth, data.word, data.ingredient)
    return _usual(request.auth)


def _usual(member: Member) -> list[dict[str, Any]]:
    found = rows(member, pantry.Usual).filter(ingredient__archived_at=None)
    return list(found.order_by("word").values("word", "ingredient").annotate(name=usual.NAME))

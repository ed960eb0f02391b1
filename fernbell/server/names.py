"""Looking up names: any shelf, as one types; and what a bare word means here."""

from functools import lru_cache
from typing import Annotated, Any, Literal
from uuid import UUID

from django.http import HttpRequest
from ninja import Query, Router, Schema
from pydantic import StringConstraints

from fernbell.core.measures import read_measure
from fernbell.core.pantry import Ingredient
from fernbell.core.pantry.naming import Named, Names, called
from fernbell.server.desserts.models import Dessert, Stack
from fernbell.server.formulas.models import Formula
from fernbell.server.formulas.names import names_of
from fernbell.server.kitchens.models import Member
from fernbell.server.molds.models import Mold
from fernbell.server.pantry import models as pantry
from fernbell.server.pantry import usual
from fernbell.server.rows.kept import kept
from fernbell.server.rows.models import Row
from fernbell.server.rows.policy import Act, require, rows
from fernbell.server.rows.schemas import MOST_ROWS, Entry

SHELVES: dict[str, type[Row]] = {
    "ingredients": pantry.Ingredient,
    "formulas": Formula,
    "desserts": Dessert,
    "molds": Mold,
    "stacks": Stack,
}

router = Router(tags=["names"])
Shelf = Literal["ingredients", "formulas", "lines", "desserts", "molds", "stacks"]
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
    request: HttpRequest,
    shelf: Shelf,
    q: Annotated[str, Query(max_length=120)],
    limit: Annotated[int, Query(ge=1, le=MOST_ROWS)] = 8,
) -> Any:
    """Rows of a shelf whose names fit what is typed so far, the best first."""
    require(request.auth, Act.READ)
    found = shelf_names(request.auth, shelf).find(q, begun=True, most=limit)
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
def read_typed_measure(request: HttpRequest, data: TypedMeasure) -> Any:
    """The value of a measure as it was typed into a field; nothing is changed."""
    require(request.auth, Act.READ)
    return {"value": read_measure(data.text, data.kept, data.shown)}


@router.get("/usual", response=list[UsualOut], operation_id="list_usual")
def list_usual(request: HttpRequest) -> Any:
    """What bare words mean in this kitchen."""
    require(request.auth, Act.READ)
    return _usual(request.auth)


@router.put("/usual", response=list[UsualOut], operation_id="set_usual")
def set_usual(request: HttpRequest, data: UsualIn) -> Any:
    """What a bare word is to mean from now on."""
    usual.mean(request.auth, data.word, data.ingredient)
    return _usual(request.auth)


def _usual(member: Member) -> list[dict[str, Any]]:
    found = rows(member, pantry.Usual).filter(ingredient__archived_at=None)
    return list(found.order_by("word").values("word", "ingredient").annotate(name=usual.NAME))


def shelf_names(member: Member, shelf: str) -> Names:
    """What stands on one shelf."""
    if shelf == "lines":
        return names_of(member)
    if shelf == "ingredients":
        lines = names_of(member)
        return _ingredients(lines)
    return _plain(member, shelf)


@lru_cache(maxsize=32)
def _ingredients(lines: Names) -> Names:
    return Names(tuple(one for one in lines.every if not one.is_formula), lines.usual)


@kept(64)
def _plain(kitchen: UUID, shelf: str) -> Names:
    found = SHELVES[shelf].objects.filter(kitchen_id=kitchen, archived_at=None)
    return Names(
        tuple(Named(Ingredient(str(pk), name)) for pk, name in found.values_list("pk", "name"))
    )

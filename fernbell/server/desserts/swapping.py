"""One ingredient for another in every formula of a dessert at once, and its routes."""

from collections.abc import Iterator
from typing import Any, Literal
from uuid import UUID

from django.db import transaction
from ninja import Router, Schema

from fernbell.server.desserts.rows import DESSERT
from fernbell.server.formulas.books import book_for
from fernbell.server.formulas.models import Formula
from fernbell.server.formulas.rows import FORMULA, snapshot
from fernbell.server.formulas.schemas import FormulaIn
from fernbell.server.formulas.setting_schemas import SwapOut
from fernbell.server.formulas.weighing import swap_ingredient
from fernbell.server.kitchens.auth import MemberRequest
from fernbell.server.kitchens.models import Member
from fernbell.server.problems import Invalid
from fernbell.server.rows import actions
from fernbell.server.rows.policy import Act, require, rows
from fernbell.server.rows.schemas import Entry
from fernbell.server.rows.shelf import find


class UsedOut(Schema):
    """An ingredient of a dessert, and the formulas whose lines hold it."""

    id: UUID
    name: str
    formulas: list[str]


class DessertSwapIn(Entry):
    """The ingredient that goes, and the one that comes."""

    old: UUID
    new: UUID


class FormulaSwapOut(Schema):
    """The swap in one formula, as it is at a revision; `used_by` names everything it is in."""

    formula: UUID
    name: str
    revision: int
    used_by: list[str]
    swap: SwapOut


class TakeSwapIn(DessertSwapIn):
    """Which of the two is taken, and the revisions of the formulas it was weighed up with."""

    way: Literal["straight", "rebalanced"]
    revisions: dict[UUID, int]


class TakenOut(Schema):
    """Names of the formulas that were changed."""

    changed: list[str]


router = Router()


def _formulas(member: Member, row_id: UUID) -> dict[str, Formula]:
    """Every formula of a dessert, nested ones too, by key."""
    row = find(member, DESSERT, row_id)
    own = [str(key) for key in row.formulas.values_list("pk", flat=True)]
    keys = [formula.key for formula in book_for(member, own).formulas]
    found = rows(member, Formula).filter(archived_at=None).in_bulk(keys)
    return {str(key): one for key, one in found.items()}


def _holding(member: Member, row_id: UUID, old: UUID) -> Iterator[Formula]:
    for row in sorted(_formulas(member, row_id).values(), key=lambda one: one.name):
        if row.lines.filter(ingredient_id=old).exists():
            yield row


def _swapped(member: Member, row: Formula, old: UUID, new: UUID) -> SwapOut:
    return swap_ingredient(member, FormulaIn.model_validate(snapshot(row)), old, new)


@router.get(
    "/{uuid:row_id}/ingredients", response=list[UsedOut], operation_id="dessert_ingredients"
)
def ingredients(request: MemberRequest, row_id: UUID) -> Any:
    """What its formulas are made of, each with the formulas that hold it."""
    require(request.auth, Act.READ)
    used: dict[UUID, UsedOut] = {}
    for row in _formulas(request.auth, row_id).values():
        for line in row.lines.exclude(ingredient=None).select_related("ingredient"):
            of = line.ingredient
            if of is None:
                continue
            one = used.setdefault(of.pk, UsedOut(id=of.pk, name=of.name, formulas=[]))
            if row.name not in one.formulas:
                one.formulas.append(row.name)
    return sorted(used.values(), key=lambda one: one.name)


@router.post(
    "/{uuid:row_id}/swap", response=list[FormulaSwapOut], operation_id="weigh_dessert_swap"
)
def weigh(request: MemberRequest, row_id: UUID, data: DessertSwapIn) -> Any:
    """What a swap does to every formula of the dessert; nothing is changed."""
    require(request.auth, Act.READ)
    return [
        FormulaSwapOut(
            formula=row.pk,
            name=row.name,
            revision=row.revision,
            used_by=sorted(row.users()),
            swap=_swapped(request.auth, row, data.old, data.new),
        )
        for row in _holding(request.auth, row_id, data.old)
    ]


@router.post("/{uuid:row_id}/swap/take", response=TakenOut, operation_id="take_dessert_swap")
def take(request: MemberRequest, row_id: UUID, data: TakeSwapIn) -> Any:
    """Change every formula of the dessert so, all or none; stale ones are refused."""
    require(request.auth, Act.WRITE)
    changed = []
    with transaction.atomic():
        for row in _holding(request.auth, row_id, data.old):
            if row.pk not in data.revisions:
                raise Invalid.field("revisions", f"Weigh it up again: {row.name} holds it now.")
            _take(request.auth, row, data)
            changed.append(row.name)
    return TakenOut(changed=changed)


def _take(member: Member, row: Formula, data: TakeSwapIn) -> None:
    found = _swapped(member, row, data.old, data.new)
    grams = {
        line.key: line.straight_g if data.way == "straight" else line.rebalanced_g
        for line in found.lines
    }
    soaked = {line.key: line.soaked for line in found.lines}
    entry = snapshot(row)
    added = [
        {"key": line.key, "mass_g": grams[line.key], "ingredient": str(line.added)}
        for line in found.lines
        if line.added and grams[line.key]
    ]
    entry["lines"] = [
        {
            **line,
            "mass_g": grams[line["key"]],
            "soaked": soaked[line["key"]],
            "ingredient": str(data.new)
            if line["ingredient"] == str(data.old)
            else line["ingredient"],
        }
        for line in entry["lines"]
    ] + added
    actions.change(member, FORMULA, row.pk, data.revisions[row.pk], FormulaIn(**entry))

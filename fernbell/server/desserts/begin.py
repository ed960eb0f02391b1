"""A dessert begun from a kind, with what the kitchen has: its molds, its formulas."""

from dataclasses import asdict
from uuid import UUID

from django.db import transaction

from fernbell.core.desserts.kinds import (
    KINDS,
    Begun,
    DessertKind,
    Pick,
    compose,
    formula_kinds,
    nearest,
)
from fernbell.server.desserts.models import Dessert
from fernbell.server.desserts.rows import DESSERT
from fernbell.server.desserts.schemas import BeginIn, DessertIn
from fernbell.server.formulas.models import Formula
from fernbell.server.kitchens.models import Member
from fernbell.server.molds.assemble import mold_of
from fernbell.server.molds.models import Mold
from fernbell.server.molds.rows import MOLD
from fernbell.server.molds.schemas import MoldIn
from fernbell.server.problems import Invalid
from fernbell.server.rows import actions

_BY_NAME = {kind.kind: kind for kind in KINDS}
_MOST_HUNG = 500


@transaction.atomic
def begin(member: Member, data: BeginIn) -> tuple[Dessert, Begun]:
    """A new dessert of a kind; its mold is hung on the wall where there is none like it."""
    kind = _BY_NAME.get(data.kind)
    if kind is None:
        raise Invalid.field("kind", f"One of {', '.join(_BY_NAME)}.")
    mold = _mold(member, kind, data.mold)
    begun = compose(kind, data.name, mold_of(mold), _pick(member, kind))
    made = begun.dessert
    entry = DessertIn(
        name=data.name,
        mold=mold.pk,
        built=made.built,
        parts=list(made.parts),
        portions=made.portions,
        count=data.count,
    )
    return actions.create(member, DESSERT, entry), begun


def _mold(member: Member, kind: DessertKind, wanted: UUID | None) -> Mold:
    """The one that was chosen, the kitchen's most like it, or a new one."""
    shelf = Mold.objects.filter(kitchen_id=member.kitchen_id, archived_at=None)
    if wanted:
        chosen = shelf.filter(pk=wanted).first()
        if chosen is None:
            raise Invalid.field("mold", "This mold is not on your shelf.")
        return chosen
    hung = {str(row.pk): row for row in shelf.order_by("name")[:_MOST_HUNG]}
    key = nearest(kind, {key: mold_of(row) for key, row in hung.items()})
    if key is not None:
        return hung[key]
    name = kind.mold.words_in_full()
    shape = MoldIn.model_validate({"name": name, "shape": asdict(kind.mold)})
    return actions.create(member, MOLD, shape)


def _pick(member: Member, kind: DessertKind) -> Pick:
    """The kitchen's latest formula of every kind it takes, the latest that is set for its job."""
    found = Formula.objects.filter(
        kitchen_id=member.kitchen_id, archived_at=None, kind__in=set(formula_kinds(kind))
    ).order_by("changed_at")
    written = [(one.kind, one.job, str(one.pk)) for one in found.only("kind", "job")]

    def pick(made_of: str, jobs: tuple[str, ...]) -> str | None:
        of_kind = [(job, key) for kind_, job, key in written if kind_ == made_of]
        best = [key for job, key in of_kind if job in jobs]
        usable = best or [key for _, key in of_kind]
        return usable[-1] if usable else None

    return pick

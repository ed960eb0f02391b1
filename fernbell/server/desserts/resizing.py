"""Routes of a dessert in the kitchen's other molds."""

import math
from collections.abc import Mapping, Sequence
from typing import Annotated
from uuid import UUID

from django.http import HttpResponse
from ninja import Query, Router

from fernbell.core.desserts.cut import Through
from fernbell.core.desserts.resize import Keep, Resized, as_drawn, fills, in_mold, resize
from fernbell.core.molds import Loop, Solid
from fernbell.core.working import Working
from fernbell.server.desserts.api import saved_sizes
from fernbell.server.desserts.assemble import measured_all
from fernbell.server.desserts.scaling_schemas import (
    RESIZED_OUT,
    MoldResized,
    PartThere,
    ResizedInto,
    ResizedOut,
    SmallCut,
    SmallShape,
)
from fernbell.server.kitchens.auth import MemberRequest
from fernbell.server.molds.assemble import mold_of
from fernbell.server.molds.models import Mold
from fernbell.server.problems import NotThere
from fernbell.server.rows.kept import kept

router = Router()

MOST_MOLDS = 60


@kept(32)
def _shelf(kitchen: UUID) -> Mapping[UUID, tuple[str, Solid]]:
    """The molds on the kitchen's shelf, by key: name and form."""
    found = Mold.objects.filter(kitchen_id=kitchen, archived_at=None).order_by("name")
    return {one.pk: (one.name, mold_of(one)) for one in found}


@router.get("/{uuid:row_id}/resized", response=ResizedOut, operation_id="resize_dessert")
def resized(
    request: MemberRequest,
    row_id: UUID,
    keep: Keep = "heights",
    offset: Annotated[int, Query(ge=0, le=100_000)] = 0,
    limit: Annotated[int, Query(ge=1, le=MOST_MOLDS)] = 30,
    of: Annotated[str, Query(max_length=60)] = "",
    have_g: float | None = None,
) -> HttpResponse:
    """The dessert as it is drawn in the kitchen's molds, those most like its own first.

    With so many grams `of` a formula: how many of each that is enough for.
    """
    size = saved_sizes(request, row_id, None)[0]
    (made,), readings = measured_all(request.auth, [size])
    own, drawn = size.mold.pk, as_drawn(made)
    shelf = _shelf(request.auth)
    alike = sorted(shelf, key=lambda key: (key != own, *_unlike(size.dessert.mold, shelf[key][1])))
    shown = [
        _brief(
            key,
            shelf[key],
            key == own,
            resize(drawn, readings, shelf[key][1], keep),
            (of, have_g) if have_g is not None else None,
        )
        for key in alike[offset : offset + limit]
    ]
    answer = ResizedOut.model_construct(keep=keep, molds=shown, of=len(shelf))
    return HttpResponse(RESIZED_OUT.dump_json(answer), content_type="application/json")


def _brief(
    key: UUID,
    mold: tuple[str, Solid],
    own: bool,
    there: Resized,
    have: tuple[str, float] | None,
) -> MoldResized:
    """What is seen of a mold among others; one alone is asked for with its workings."""
    name, solid = mold
    return MoldResized.model_construct(
        mold=key,
        name=name,
        says=solid.size_words(),
        own=own,
        refused=there.refused,
        factor=_value(there.one_factor),
        parts=[
            PartThere.model_construct(
                part=one.part,
                layer=one.layer,
                name=one.name,
                goes_by=one.goes_by,
                mass_g=_value(one.mass),
                factor=one.factor,
                over_g=_value(one.over),
            )
            for one in there.parts
        ],
        finished_g=_value(there.finished),
        portion_g=_value(there.portion),
        portions=there.portions,
        count=there.count,
        short=[one.message for one in there.short],
        fills=fills(there, *have) if have else None,
        cut=_small(there.cut) if there.cut else None,
    )


def _value(working: Working | None) -> float | None:
    return working.value if working else None


def _small(cut: Through) -> SmallCut:
    shapes = [
        SmallShape.model_construct(formula=one.formula, drawn=one.drawn, loops=_coarse(one.loops))
        for one in cut.section
    ]
    return SmallCut.model_construct(
        width_mm=cut.width_mm, height_mm=cut.height_mm, mold=_coarse(cut.mold), shapes=shapes
    )


def _coarse(loops: Sequence[Loop]) -> list[Loop]:
    """To a tenth of a millimeter, as fine as a small picture shows."""
    return [tuple([(round(x, 1), round(y, 1)) for x, y in loop]) for loop in loops]


@router.get("/{uuid:row_id}/resized/{uuid:mold}", response=ResizedInto, operation_id="resize_into")
def resized_into(
    request: MemberRequest, row_id: UUID, mold: UUID, keep: Keep = "heights"
) -> ResizedInto:
    """The dessert as it is drawn in one mold of the kitchen, with the working of every figure."""
    size = saved_sizes(request, row_id, None)[0]
    shelf = _shelf(request.auth)
    if mold not in shelf:
        raise NotThere("This mold is not on your shelf.")
    (made,), readings = measured_all(request.auth, [size])
    there = resize(as_drawn(made), readings, shelf[mold][1], keep)
    changed = keep == "proportions" and not there.refused
    parts = in_mold(size.dessert, shelf[mold][1], keep, None).parts if changed else None
    return ResizedInto(there=there, parts=list(parts) if parts else None)


def _unlike(own: Solid, other: Solid) -> tuple[bool, bool, float]:
    """How unlike two molds are: in how they are cut and turned out, then in what they hold."""
    ratio = other.volume_between(0, other.height_mm) / own.volume_between(0, own.height_mm)
    return (
        own.symmetry != other.symmetry,
        own.stands_on_rim != other.stands_on_rim,
        abs(math.log(ratio)),
    )

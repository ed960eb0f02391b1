"""How a mold is written and remembered."""

from dataclasses import asdict
from typing import Any
from uuid import UUID

from django.db.models import QuerySet

from fernbell.core.molds import called, read_wish, trued
from fernbell.server.molds.models import Mold
from fernbell.server.molds.schemas import SHAPE, MoldIn, MoldSketch
from fernbell.server.rows.policy import Keeper
from fernbell.server.rows.shelf import Brief, Shelf, Snapshot, briefs


def write(member: Keeper, row: Mold, data: MoldIn) -> None:
    """Put an entry on a row."""
    row.name, row.shape = data.name, asdict(data.shape)
    row.water_g, row.cavities, row.note = data.water_g, data.cavities, data.note
    row.owned = data.owned
    row.save()


def snapshot(row: Mold) -> Snapshot:
    """The row as an entry."""
    return {
        "name": row.name,
        "shape": row.shape,
        "water_g": row.water_g,
        "cavities": row.cavities,
        "owned": row.owned,
        "note": row.note,
    }


def listed(found: QuerySet[Any]) -> list[Brief]:
    """With how each looks and what it holds."""
    return [_brief(**row) for row in briefs(found, "shape", "water_g", "cavities")]


def _brief(shape: dict[str, Any], water_g: float | None, **row: Any) -> Brief:
    figures = MoldSketch.of(SHAPE.validate_python(shape), water_g)
    return {**row, "form": shape["form"], "figures": figures}


def fitting(found: QuerySet[Any], asked: str) -> list[UUID] | None:
    """Those of a size or a volume asked for, the smallest first."""
    wish = read_wish(asked)
    if not wish.bounds:
        return None
    every = (
        (trued(SHAPE.validate_python(shape), water_g), name, key)
        for key, name, shape, water_g in found.values_list("pk", "name", "shape", "water_g")
    )
    fit = [(mold, key) for mold, name, key in every if wish.fits(mold, called(mold, name))]
    return [key for _, key in sorted(fit, key=lambda one: one[0].capacity_ml)]


MOLD = Shelf("mold", Mold, MoldIn, write, snapshot, listed=listed, fitting=fitting)

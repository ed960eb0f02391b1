"""How a mold is written and remembered."""

from dataclasses import asdict

from fernbell.server.molds.models import Mold
from fernbell.server.molds.schemas import MoldIn
from fernbell.server.rows.policy import Keeper
from fernbell.server.rows.shelf import Shelf, Snapshot


def write(member: Keeper, row: Mold, data: MoldIn) -> None:
    """Put an entry on a row."""
    row.name, row.shape = data.name, asdict(data.shape)
    row.water_g, row.note = data.water_g, data.note
    row.save()


def snapshot(row: Mold) -> Snapshot:
    """The row as an entry."""
    return {"name": row.name, "shape": row.shape, "water_g": row.water_g, "note": row.note}


MOLD = Shelf("mold", Mold, MoldIn, write, snapshot)

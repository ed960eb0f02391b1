"""A bite of a dessert with another formula in the place of one of its own."""

from uuid import UUID

from fernbell.core.errors import CoreError
from fernbell.core.formulas import SWEETNESS
from fernbell.core.working import Working
from fernbell.server.desserts.assemble import bite_of, formulas_of, molds_of, sized
from fernbell.server.desserts.rows import entry_of, held_by, molds_named
from fernbell.server.desserts.schemas import DessertIn
from fernbell.server.formulas.rows import FORMULA
from fernbell.server.kitchens.models import Member
from fernbell.server.problems import Invalid
from fernbell.server.rows.shelf import find


def sweetness_with(member: Member, row_id: UUID, of: UUID, formula: UUID) -> Working | None:
    """How sweet a whole bite of a dessert is with a formula wherever it has another."""
    entry = entry_of(member, row_id)
    find(member, FORMULA, formula)
    if str(of) not in {key for _, key in formulas_of(entry.parts)}:
        raise Invalid.field("of", "This formula is in no part of the dessert.")
    # Ids are written alike wherever a part names its formula.
    other = DessertIn.model_validate_json(entry.model_dump_json().replace(str(of), str(formula)))
    molds = molds_named(member, frozenset(key for _, key in molds_of(other)))
    try:
        bite = bite_of(member, sized(other, molds, held_by(member, other, (row_id,))), "")
    except CoreError:
        return None
    return bite.tastes[SWEETNESS.name] if bite else None

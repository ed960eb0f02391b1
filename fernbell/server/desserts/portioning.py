"""Routes of a dessert's portions: what each weighs, and how to cut for so many guests."""

from uuid import UUID

from ninja import Query, Router, Schema

from fernbell.core.desserts.shares import COVERS, HAND, KNIFE, SPREAD, cut_for, share_out
from fernbell.core.molds import Loop
from fernbell.core.working import Working
from fernbell.server.desserts.api import SizeKey, one_size
from fernbell.server.desserts.schemas import Portions
from fernbell.server.kitchens.auth import MemberRequest
from fernbell.server.rows.schemas import Entry

router = Router()


class KnifeIn(Entry):
    """How wide the knife cuts, and how far off a cut may lie."""

    knife_mm: float = KNIFE.first or 0.0
    hand_mm: float = HAND.first or 0.0


class CoversIn(KnifeIn):
    """For how many guests, and how far portions may differ."""

    covers: int = int(COVERS.first or 1)
    spread_g: float = SPREAD.first or 0.0


class PortionOut(Schema):
    """A portion's edge from above and what it weighs [mm, g]."""

    loop: Loop
    mass_g: float


class SharedOut(Schema):
    """A dessert cut: every portion, how far they differ, what is lost."""

    portions: list[PortionOut]
    pieces: str
    mean: Working
    spread: Working
    lost: Working


class CutForOut(Schema):
    """A way of cutting for so many guests, said as portions of a dessert."""

    portions: Portions
    says: str
    desserts: int
    over: int
    portion_g: float
    spread_g: float
    within: bool


@router.get("/{uuid:row_id}/portions", response=SharedOut, operation_id="share_out")
def shared(
    request: MemberRequest, row_id: UUID, asked: Query[KnifeIn], size: SizeKey = ""
) -> SharedOut:
    """What each portion weighs as the dessert is divided."""
    made, _ = one_size(request, row_id, size)
    found = share_out(made, asked.knife_mm, asked.hand_mm)
    return SharedOut(
        portions=[PortionOut(loop=loop, mass_g=grams) for loop, grams in found.portions],
        pieces=made.division.words.pieces,
        mean=found.mean,
        spread=found.spread,
        lost=found.lost,
    )


@router.get("/{uuid:row_id}/portions/for", response=list[CutForOut], operation_id="cut_for")
def for_covers(
    request: MemberRequest, row_id: UUID, asked: Query[CoversIn], size: SizeKey = ""
) -> list[CutForOut]:
    """How many desserts and which cuts serve so many guests with so little spread."""
    made, readings = one_size(request, row_id, size)
    ways = cut_for(
        made,
        readings,
        asked.covers,
        asked.spread_g,
        knife_mm=asked.knife_mm,
        hand_mm=asked.hand_mm,
    )
    return [
        CutForOut(
            portions=one.division,
            says=one.division.says(),
            desserts=one.desserts,
            over=one.over,
            portion_g=one.portion_g,
            spread_g=one.spread_g,
            within=one.within,
        )
        for one in ways
    ]

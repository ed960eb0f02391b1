"""From an order to core and back, with a fixed number of queries."""

from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from typing import Any
from uuid import UUID

from pydantic import TypeAdapter

from fernbell.core.desserts import Dessert, drawn_in, formulas_used, refit
from fernbell.core.desserts.solve import measured
from fernbell.core.formulas import Book, SheetLine, Step, read_formulas
from fernbell.core.measures import System
from fernbell.core.molds import trays
from fernbell.core.pantry import Pack, Store, price_on, said_in_kitchen
from fernbell.core.planning import (
    MadeFormula,
    Ordered,
    PlannedOrder,
    Stocked,
    Vessel,
    WeighedBatch,
    how_many,
    in_lots,
    mise_en_place,
    plan_order,
)
from fernbell.core.planning.timeline import Wave, in_lots_of_days, keeps_of
from fernbell.core.working import Working
from fernbell.server.desserts import assemble as desserts
from fernbell.server.desserts.rows import entry_of, held_by, molds_named
from fernbell.server.formulas.assemble import with_methods
from fernbell.server.formulas.books import book_for
from fernbell.server.formulas.drafts import STEPS
from fernbell.server.formulas.models import Formula
from fernbell.server.kitchens.models import Member
from fernbell.server.molds.assemble import mold_of
from fernbell.server.molds.models import Mold
from fernbell.server.pantry.models import Ingredient
from fernbell.server.planning.models import Vessel as VesselRow
from fernbell.server.planning.schemas import (
    BatchOut,
    FedOut,
    MadeOut,
    OrderedOut,
    OrderIn,
    OrderLineIn,
    PlannedOut,
)
from fernbell.server.planning.timing_schemas import TimingIn
from fernbell.server.rows.clock import today
from fernbell.server.rows.policy import rows

_PACKS = TypeAdapter(tuple[Pack, ...])


@dataclass(frozen=True)
class LineMade:
    """A dessert in one size as core has it: which row it is, its name, its size in words."""

    key: str
    row: UUID
    name: str
    says: str
    ordered: Ordered
    trays: Working | None
    mold: Mold


def line_made(
    key: str,
    row: UUID,
    name: str,
    dessert: Dessert,
    count: int,
    mold: Mold,
    waves: Sequence[Wave] = (),
) -> LineMade:
    """So many of a dessert, on trays where its mold has several cavities, in lots where there are
    few or where it is served on several days.
    """
    says = dessert.mold.size_words()
    on = trays(count, mold.cavities) if mold.cavities > 1 else None
    most = mold.owned * mold.cavities if mold.owned else None
    ordered = Ordered(f"{name}, {says}", dessert, count, in_lots(count, most))
    if waves:
        ordered = in_lots_of_days(ordered, waves, most)
    return LineMade(key, row, name, says, ordered, on, mold)


def lines_of(member: Member, order: OrderIn) -> list[LineMade]:
    """Every line with its dessert in its mold."""
    named = {line.mold for line in order.lines if line.mold}
    molds = molds_named(member, frozenset(named))
    return [_line(member, line, molds, waves_for(line, order.timing)) for line in order.lines]


def waves_for(line: OrderLineIn, timing: TimingIn) -> list[Wave]:
    """The waves in which a line is served, by their days alone; none where that is not said."""
    services = sorted(timing.services, key=lambda one: one.at)
    own = [one for one in services if line.service in (None, one.key) for _ in range(one.waves)]
    return [Wave(0, 1 / len(own), (one.at.date() - services[0].at.date()).days) for one in own]


def _line(
    member: Member, line: OrderLineIn, molds: desserts.Molds, waves: Sequence[Wave]
) -> LineMade:
    entry = entry_of(member, line.dessert)
    own = molds_named(member, frozenset(key for _, key in desserts.molds_of(entry)))
    sizes = desserts.sized(entry, own, held_by(member, entry, (line.dessert,)))
    size = next((one for one in sizes if one.mold.pk == line.mold), sizes[0])
    dessert, mold = size.dessert, size.mold
    if line.mold and mold.pk != line.mold:
        mold = molds[line.mold]
        dessert = refit(sizes[0].dessert, mold_of(mold))
    count = _how_many(member, line, dessert, mold.cavities)
    return line_made(line.key, line.dessert, entry.name, dessert, count, mold, waves)


def _how_many(member: Member, line: OrderLineIn, dessert: Dessert, cavities: int) -> int:
    """Desserts, by what is counted; how it is cut is asked only where covers are."""
    portions = 1
    if line.by == "covers":
        keys = list(formulas_used(dessert))
        readings = read_formulas(book_for(member, filter(desserts.is_uuid, keys)), keys)
        portions = measured(dessert, readings, 1).division.count
    return how_many(line.count, line.by, cavities=cavities, portions=portions)


@dataclass(frozen=True)
class Inputs:
    """What an order is made by: its formulas, their methods, and the rows they are from."""

    book: Book
    heads: Mapping[str, Formula]
    methods: Mapping[str, Sequence[Step]]

    @property
    def jobs(self) -> dict[str, str]:
        """What formulas were set for."""
        return {key: row.job for key, row in self.heads.items()}

    @property
    def sets_min(self) -> dict[str, float]:
        """How long formulas can be filled before they set [min]."""
        return {key: row.sets_min for key, row in self.heads.items() if row.sets_min}


def inputs_of(member: Member, ordered: Sequence[Ordered]) -> Inputs:
    """The formulas of an order, whole."""
    keys = {key for one in ordered for key in formulas_used(one.dessert) if desserts.is_uuid(key)}
    book = book_for(member, keys, whole=True)
    formulas = [one.key for one in book.formulas]
    heads = {str(row.pk): row for row in rows(member, Formula).filter(pk__in=formulas)}
    methods = {key: STEPS.validate_python(row.method) for key, row in heads.items()}
    return Inputs(book, heads, methods)


@dataclass(frozen=True)
class Making:
    """An order in its batches, with what is said about its formulas."""

    planned: PlannedOrder
    book: Book
    methods: Mapping[str, Sequence[Step]]
    made: list[MadeOut]


def making(member: Member, ordered: Sequence[Ordered]) -> Making:
    """Every formula of an order, in the batches that the kitchen's vessels ask for."""
    known = inputs_of(member, ordered)
    book, heads, methods = known.book, known.heads, known.methods
    found = plan_order(
        ordered,
        book,
        vessels_of(member),
        jobs=known.jobs,
        sets_min=known.sets_min,
        methods=methods,
        keeps_min=keeps_of(book, methods, known.sets_min),
    )
    drawn = drawn_in([one.dessert for one in ordered])
    pages = with_methods(member, [one.sheet for one in found.made], drawn)
    kitchen = _InKitchen(book, System(member.measures))
    return Making(
        found,
        book,
        methods,
        [
            _made(one, page, heads[one.sheet.formula].sets_min, kitchen)
            for one, page in zip(found.made, pages, strict=True)
        ],
    )


def planned(member: Member, order: OrderIn) -> PlannedOut:
    """An order worked out, in batches, set out and bought."""
    lines = lines_of(member, order)
    if not lines:
        return PlannedOut(lines=[], made=[], mise=[], left=[], cost=None)
    found = making(member, [one.ordered for one in lines])
    stock = _stock(member, [one.key for one in found.book.ingredients])
    mise = mise_en_place(found.planned, found.book, stock, found.methods)
    return PlannedOut(
        lines=[
            _ordered(one, made.division.count)
            for one, made in zip(lines, found.planned.order.each, strict=True)
        ],
        made=found.made,
        mise=list(mise.lines),
        left=list(mise.left),
        cost=mise.cost,
    )


def vessels_of(member: Member) -> list[Vessel]:
    """What the kitchen has. One query."""
    found = rows(member, VesselRow).filter(archived_at=None).order_by("name")
    return [Vessel(one.name, one.kind, one.most, one.least, one.number) for one in found]


def _ordered(line: LineMade, portions: int) -> OrderedOut:
    count = line.ordered.count
    return OrderedOut(
        key=line.key,
        name=line.ordered.dessert.name,
        says=line.says,
        desserts=count,
        portions=count * portions,
        trays=line.trays,
    )


@dataclass(frozen=True)
class _InKitchen:
    """What lines weigh, in the person's own measures."""

    book: Book
    system: System

    def says(self, line: SheetLine, mass_g: float) -> str:
        """Such as '2 eggs'; nothing where there is no measure."""
        if line.ingredient is None:
            return ""
        said = said_in_kitchen(self.book.ingredient(line.ingredient), mass_g, self.system)
        return said.text if said else ""


def _made(one: MadeFormula, page: Any, sets_min: float | None, kitchen: _InKitchen) -> MadeOut:
    return MadeOut(
        page=page,
        batches=[_batch(one.sheet.lines, batch, kitchen) for batch in one.batches],
        limit=one.limit,
        way=one.way,
        left_g=one.left_g,
        sets_min=sets_min,
    )


def _batch(lines: Sequence[SheetLine], weighed: WeighedBatch, kitchen: _InKitchen) -> BatchOut:
    masses = list(zip(lines, weighed.masses_g, strict=True))
    said = {line.key: kitchen.says(line, mass_g) for line, mass_g in masses}
    batch = weighed.batch
    return BatchOut(
        wanted_g=batch.wanted_g,
        made_g=batch.made_g,
        weighed_g=sum(weighed.masses_g),
        vessels=list(batch.vessels),
        feeds=[FedOut(name=fed.name, count=fed.count, first=fed.first) for fed in batch.feeds],
        lines={line.key: mass_g for line, mass_g in masses},
        kitchen={key: text for key, text in said.items() if text},
    )


def _stock(member: Member, keys: Sequence[str]) -> Mapping[str, Stocked]:
    """Where ingredients are kept and in which packs they are bought. One query."""
    wanted = [UUID(key) for key in keys if desserts.is_uuid(key)]
    found = rows(member, Ingredient).filter(pk__in=wanted)
    return {
        str(key): _stocked(keeping, packs)
        for key, keeping, packs in found.values_list("pk", "keeping", "packs")
    }


def _stocked(keeping: list[dict[str, Any]], packs: Any) -> Stocked:
    store = next((Store(one["store"]) for one in keeping), None)
    known = _PACKS.validate_python(packs or [])
    return Stocked(store, known, tuple(price_on(pack, today()) for pack in known))

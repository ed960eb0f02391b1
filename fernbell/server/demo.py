"""Write the demo kitchen into the database, through the same actions as everybody else."""

from dataclasses import asdict
from datetime import datetime, time, timedelta
from typing import Any, cast
from uuid import UUID

from django.contrib.auth.models import User
from django.db import transaction

from fernbell.demo.desserts import DESSERTS, DemoDessert
from fernbell.demo.formulas import FORMULAS, DemoFormula, DemoLine
from fernbell.demo.people import PEOPLE
from fernbell.demo.planning import (
    EVERY_MIN,
    FULL_NIGHT,
    FULL_NIGHT_LINES,
    HANDS,
    OWNED,
    SERVED_AT,
    SERVED_IN_DAYS,
    VESSELS,
    WAVES,
)
from fernbell.server.desserts.rows import DESSERT
from fernbell.server.desserts.schemas import PARTS, DessertIn, SizeIn
from fernbell.server.formulas.rows import FORMULA
from fernbell.server.formulas.schemas import FormulaIn, LineIn, StepIn
from fernbell.server.kitchens.models import Kitchen, Member
from fernbell.server.molds.rows import MOLD
from fernbell.server.molds.rows import snapshot as mold_as_entered
from fernbell.server.molds.schemas import MoldIn
from fernbell.server.planning.rows import HAND, ORDER, VESSEL
from fernbell.server.planning.schemas import OrderIn, OrderLineIn, VesselIn
from fernbell.server.planning.timing_schemas import HandIn, ServiceIn, TimingIn
from fernbell.server.rows import actions
from fernbell.server.rows.clock import today
from fernbell.server.starter import stock

KITCHEN = "Wrenmoor Hall"


@transaction.atomic
def load_demo() -> bool:
    """Load the demo kitchen unless it is there; whether it was loaded now."""
    if Kitchen.objects.filter(name=KITCHEN).exists():
        return False
    chef = _people(Kitchen.objects.create(name=KITCHEN))
    ingredients, molds = stock(chef)
    keys = {slug: row.pk for slug, row in ingredients.items()}
    formulas: dict[str, UUID] = {}
    for formula in FORMULAS:
        formulas[formula.slug] = actions.create(chef, FORMULA, _formula(formula, keys, formulas)).pk
    keys_of_molds = {slug: row.pk for slug, row in molds.items()}
    desserts = {
        one.slug: actions.create(chef, DESSERT, _dessert(one, keys_of_molds, formulas)).pk
        for one in DESSERTS
    }
    for vessel in VESSELS:
        actions.create(chef, VESSEL, VesselIn(**asdict(vessel)))
    for hand in HANDS:
        actions.create(chef, HAND, HandIn(**asdict(hand)))
    for slug, owned in OWNED.items():
        mold = molds[slug]
        counted = MoldIn.model_validate(mold_as_entered(mold) | {"owned": owned})
        actions.change(chef, MOLD, mold.pk, mold.revision, counted)
    actions.create(chef, ORDER, _full_night(desserts))
    return True


def _full_night(desserts: dict[str, UUID]) -> OrderIn:
    return OrderIn(
        name=FULL_NIGHT,
        lines=[
            OrderLineIn(key=one.dessert, dessert=desserts[one.dessert], count=one.count, by=one.by)
            for one in FULL_NIGHT_LINES
        ],
        timing=TimingIn(services=[_interval()]),
    )


def _interval() -> ServiceIn:
    """The evening after tomorrow, so that there is time to make it."""
    hours, minutes = (int(one) for one in SERVED_AT.split(":"))
    day = today() + timedelta(days=SERVED_IN_DAYS)
    at = datetime.combine(day, time(hours, minutes))
    return ServiceIn(key="interval", title="Interval", at=at, waves=WAVES, every_min=EVERY_MIN)


def _people(kitchen: Kitchen) -> Member:
    members = []
    for username, first, last, role in PEOPLE:
        user = User(username=username, first_name=first, last_name=last)
        user.set_unusable_password()
        user.save()
        members.append(Member.objects.create(kitchen=kitchen, user=user, role=role))
    return members[0]


def _formula(one: DemoFormula, keys: dict[str, UUID], formulas: dict[str, UUID]) -> FormulaIn:
    lines = [_line(place, line, keys, formulas) for place, line in enumerate(one.lines)]
    base = [f"line-{i}" for i, line in enumerate(one.lines) if line.of == one.base]
    return FormulaIn(
        name=one.name,
        kind=one.kind,
        flavor=one.flavor,
        lines=lines,
        base_lines=base,
        losses=one.losses,
        measured_density_g_ml=one.measured_density_g_ml,
        method=[StepIn(**asdict(step)) for step in one.method],
        whole_eggs=one.whole_eggs,
        job=one.job,
    )


def _line(place: int, line: DemoLine, keys: dict[str, UUID], formulas: dict[str, UUID]) -> LineIn:
    return LineIn(
        key=f"line-{place}",
        mass_g=line.mass_g,
        overrun_percent=line.overrun_percent,
        stage=line.stage,
        strained_percent=line.strained_percent,
        soaked=line.soaked,
        formula=formulas[line.of] if line.nested else None,
        ingredient=None if line.nested else keys[line.of],
    )


def _dessert(one: DemoDessert, molds: dict[str, UUID], formulas: dict[str, UUID]) -> DessertIn:
    return DessertIn(
        name=one.dessert.name,
        mold=molds[one.mold],
        parts=PARTS.validate_python(
            [_keyed(asdict(cast(Any, part)), formulas) for part in one.dessert.parts]
        ),
        portions=asdict(one.dessert.portions),
        built=one.dessert.built,
        count=one.count,
        sizes=[
            SizeIn(key=size.mold, mold=molds[size.mold], count=size.count) for size in one.sizes
        ],
    )


def _keyed(told: dict[str, Any], formulas: dict[str, UUID]) -> dict[str, Any]:
    """A part with the keys of its formulas in place of their slugs."""

    def keyed(field: str, value: Any) -> Any:
        if field == "formula":
            return str(formulas[value])
        if isinstance(value, tuple):
            return [_keyed(one, formulas) for one in value]
        return value

    return {field: keyed(field, value) for field, value in told.items()}

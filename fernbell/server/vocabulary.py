"""What a screen has to know of the trade before it asks for anything: served from core's lists."""

from typing import Any

from django.http import HttpRequest
from ninja import Router, Schema

from fernbell.core.cutting import PAPERS, RAW_FIELDS
from fernbell.core.desserts import (
    DRAWN,
    HELD_FIELDS,
    RULES,
    WAYS,
    Carried,
    DrawnLayer,
    Handle,
    Switch,
)
from fernbell.core.desserts.resize import KEEPS, KeepWords
from fernbell.core.desserts.shares import COVERS, HAND, KNIFE, SPREAD
from fernbell.core.desserts.sheeted import TRIM_USES, TrimUse
from fernbell.core.families import DRIP_FIELDS, FINISHED, HOLDS_AT, SAID
from fernbell.core.fitting import DEMANDS, DemandWords
from fernbell.core.formulas import (
    FIRST_WAIT,
    KINDS,
    SETS,
    SIGNS,
    SOAKED,
    STRAINED,
    LegKind,
    Wait,
    WaitKind,
)
from fernbell.core.heat import POLYOLS
from fernbell.core.measures import SCALES, SHORT_SCALES
from fernbell.core.molds import CAVITIES, FORMS, OWNED, UNITS, Alternatives
from fernbell.core.pantry import (
    ALLERGENS,
    CHOCOLATES,
    COMPONENTS,
    CONDITIONS,
    DENSITIES,
    EGGS,
    EGGS_LEFT,
    PECTIN_KINDS,
    PIECES,
    STATES,
    STORES,
    TEMPER_FIELDS,
    TOLD_BY,
    TOLD_FIELDS,
    USUAL_TEMPER,
    WEIGH_STEPS,
    Status,
    Temper,
    WeighStep,
)
from fernbell.core.pantry.naming import ASKED_IN
from fernbell.core.planning import LEAST, MOST, NUMBER, VESSELS, VesselWords
from fernbell.server.molds.schemas import Shape


class FieldOut(Schema):
    """A number that can be entered; `empty` is what it means when it is left out, if it may be."""

    name: str
    label: str
    unit: str
    least: float
    most: float
    step: float
    empty: str
    first: float | None


class TableOut(Schema):
    """A field of several rows; `kept` names what a new row has from the one before.

    `rises` says that the first number rises from row to row; `across` and `up` name the numbers
    that place its point, the first divided by `per`.
    """

    name: str
    label: str
    fields: list[FieldOut]
    fewest: int
    most: int
    kept: list[str]
    rises: bool
    across: str
    up: str
    per: float


class StartOut(Schema):
    """What a new mold is until it is measured, under the name it is asked for by."""

    name: str
    shape: Shape


class FormOut(Schema):
    """A form of mold, with the molds it is begun from; from a file where it is not entered."""

    form: str
    title: str
    starts: list[StartOut]
    from_file: bool
    fields: list[FieldOut]
    choices: list[Alternatives]
    tables: list[TableOut]


class RuleOut(Schema):
    """A rule by which a part is scaled."""

    rule: str
    title: str
    text: str
    seen: int
    fields: list[FieldOut]
    layer_fields: list[FieldOut]
    switches: list[Switch]
    handles: list[Handle]
    carried: Carried | None
    stacks: bool
    once: str


class WayOut(Schema):
    """A way of dividing a dessert."""

    cut: str
    title: str
    pieces: str
    fields: list[FieldOut]


class SignOut(Schema):
    """What tells that a formula is cooked far enough."""

    label: str
    unit: str
    field: FieldOut


class KindOut(Schema):
    """A kind of formula, and how it is drawn in a cut."""

    kind: str
    texture: str


class WaitsOut(Schema):
    """Kinds of wait, and what one is until somebody says which."""

    kinds: list[str]
    first: Wait


class FormulasOut(Schema):
    """What a screen has to know of formulas.

    `slots` are the words of a job's sentence, `demands` what can be asked of a fit; `line` is
    what a line may say beside its grams, `wish` and `drips` what is entered beside a job.
    """

    kinds: list[KindOut]
    waits: WaitsOut
    legs: list[LegKind]
    slots: dict[str, str]
    demands: list[DemandWords]
    line: dict[str, FieldOut]
    sets: FieldOut
    wish: list[FieldOut]
    drips: list[FieldOut]
    signs: dict[str, SignOut]
    measures: dict[str, str]


class ScaleOut(Schema):
    """A unit some read otherwise: shown = kept x times + plus."""

    kept: str
    shown: str
    times: float
    plus: float


class ShortScaleOut(Schema):
    """How an amount is said in passing: shown = kept x times, to so many decimals."""

    kept: str
    shown: str
    times: float
    decimals: int


class ComponentOut(Schema):
    """A component of a make-up, and the field that says of which kind it is."""

    key: str
    name: str
    kind: str


class NamedFiguresOut(Schema):
    """A list of named figures of an ingredient, and what a new one is."""

    field: str
    legend: str
    name_label: str
    figure: FieldOut
    first_name: str
    add: str


class PantryOut(Schema):
    """What can be said of an ingredient, and what it is where nobody said."""

    components: list[ComponentOut]
    told: list[FieldOut]
    polyols: list[str]
    pectins: list[str]
    statuses: list[str]
    allergens: dict[str, str]
    chocolates: dict[str, str]
    temper: dict[str, Temper]
    temper_fields: list[FieldOut]
    eggs: dict[str, str]
    eggs_left: dict[str, str]
    stores: dict[str, str]
    conditions: dict[str, str]
    densities: list[FieldOut]
    weigh_steps: list[WeighStep]
    states: NamedFiguresOut
    pieces: NamedFiguresOut


class ScalingOut(Schema):
    """Ways of resizing, what is asked of a sheet to cut from, what is done with its trim."""

    keeps: list[KeepWords]
    sheet: list[FieldOut]
    trim: list[TrimUse]
    papers: list[str]
    knife: list[FieldOut]
    covers: list[FieldOut]


class PlanningOut(Schema):
    """Kinds of vessels, and what is asked of one."""

    vessels: list[VesselWords]
    fields: list[FieldOut]


class HouseOut(Schema):
    """Rules of parts, ways of dividing, layers of the drawing from the back, forms of molds.

    `scales` are the units a person may read otherwise than they are kept, `short_scales` those
    that are said shorter in passing.
    """

    formulas: FormulasOut
    pantry: PantryOut
    scales: list[ScaleOut]
    short_scales: list[ShortScaleOut]
    rules: list[RuleOut]
    ways: list[WayOut]
    drawn: list[DrawnLayer]
    forms: list[FormOut]
    cavities: FieldOut
    owned: FieldOut
    held: list[FieldOut]
    mesh_units: list[str]
    scaling: ScalingOut
    planning: PlanningOut


HOUSE = HouseOut.model_validate(
    {
        "formulas": {
            "kinds": [{"kind": name, "texture": kind.texture} for name, kind in KINDS.items()],
            "waits": {"kinds": list(WaitKind), "first": FIRST_WAIT},
            "legs": list(LegKind),
            "slots": SAID,
            "demands": DEMANDS,
            "line": {one.name: one for one in (STRAINED, SOAKED)},
            "sets": SETS,
            "wish": (HOLDS_AT, FINISHED),
            "drips": DRIP_FIELDS,
            "signs": SIGNS,
            "measures": ASKED_IN,
        },
        "pantry": {
            "components": [
                {"key": key, "name": name, "kind": TOLD_BY.get(key, "")}
                for key, name in COMPONENTS.items()
            ],
            "told": TOLD_FIELDS,
            "polyols": list(POLYOLS),
            "pectins": PECTIN_KINDS,
            "statuses": list(Status),
            "allergens": ALLERGENS,
            "chocolates": CHOCOLATES,
            "temper": USUAL_TEMPER,
            "temper_fields": TEMPER_FIELDS,
            "eggs": EGGS,
            "eggs_left": EGGS_LEFT,
            "stores": STORES,
            "conditions": CONDITIONS,
            "densities": DENSITIES,
            "weigh_steps": WEIGH_STEPS,
            "states": STATES,
            "pieces": PIECES,
        },
        "scales": SCALES,
        "short_scales": SHORT_SCALES,
        "rules": [rule.words for rule in RULES],
        "ways": [way.words for way in WAYS],
        "drawn": DRAWN,
        "forms": [form.words() for form in FORMS],
        "cavities": CAVITIES,
        "owned": OWNED,
        "held": HELD_FIELDS,
        "mesh_units": list(UNITS),
        "scaling": {
            "keeps": KEEPS,
            "sheet": RAW_FIELDS,
            "trim": TRIM_USES,
            "papers": [one.name for one in PAPERS],
            "knife": (KNIFE, HAND),
            "covers": (COVERS, SPREAD),
        },
        "planning": {"vessels": list(VESSELS.values()), "fields": (LEAST, MOST, NUMBER)},
    },
    from_attributes=True,
)
"""Built once: it is the same for everybody."""

router = Router()


@router.get("", response=HouseOut, operation_id="vocabulary", auth=None)
def vocabulary(request: HttpRequest) -> Any:
    """Words and limits, the same for every kitchen and whoever asks."""
    return HOUSE

"""A sheet spread and rolled up; a frozen core may be laid at its start."""

from collections.abc import Iterator
from dataclasses import dataclass, replace
from typing import Literal, Self

from fernbell.core.desserts import practice
from fernbell.core.desserts.body import Body
from fernbell.core.desserts.measure import MeasuredDessert
from fernbell.core.desserts.part import Handle, Part, RuleWords, Switch, Use
from fernbell.core.desserts.regions import Shape, Winding, Wound, left_bare, sheet_length
from fernbell.core.desserts.rules.insert import LAYER_FIELDS, Layer
from fernbell.core.desserts.sight import Dimension, upright
from fernbell.core.desserts.step import BuildStep, Moment
from fernbell.core.desserts.view import View, lengthwise
from fernbell.core.errors import CoreError
from fernbell.core.field import Field, check_fields
from fernbell.core.findings import Finding, Severity
from fernbell.core.molds import Plan, box
from fernbell.core.working import COMMON_PRACTICE, GEOMETRY, counted, figure_text

_FEWEST_TURNS = practice.ROLL_TURNS.value
_FINGER = practice.ROLL_BARE.value

WORDS = RuleWords(
    rule="roll",
    title="A sheet rolled up",
    text="sheet and filling wound into a log",
    usual_kind="sponge",
    seen=5,
    fields=(
        Field(
            "across_mm",
            "Rolled to, across",
            most=500,
            open_least=True,
            empty="the whole sheet",
            grows="across",
        ),
        Field("trim_mm", "Trimmed, each end", most=200, grows="across"),
        Field("knots", "Ends set on as knots", most=2, first=0),
    ),
    layer_fields=LAYER_FIELDS,
    switches=(Switch("narrow", "Rolled from the narrow end: a short, thick log"),),
    handles=(
        Handle("height", "height_mm", "thickness", "up", "top", times=0.45, of_layer=True),
        Handle("across", "across_mm", "roll, across", "out", "side", times=2.0),
    ),
    stacks=True,
    once="one roll at most",
)


@dataclass(frozen=True, slots=True, kw_only=True)
class Roll(Part):
    """Layers as they lie on the sheet, given from the top down, the sheet last.

    Rolled to `across_mm`, as much of the sheet is taken as that needs (None: the whole of it).
    """

    key: str
    layers: tuple[Layer, ...]
    trim_mm: float = 0.0
    narrow: bool = False
    across_mm: float | None = None
    knots: int = 0
    name: str = ""
    rule: Literal["roll"] = "roll"

    words = WORDS
    builds = ("sheet", "spread", "roll")
    forms = True

    def __post_init__(self) -> None:
        check_fields(self, self.words.fields)
        if not self.layers:
            raise CoreError("layers", "empty", "at least the sheet")

    @classmethod
    def propose(cls, body: Body, key: str, formula: str) -> Self:
        """The bare sheet; what is spread on it is added as a layer."""
        del body
        return cls(
            key=key,
            layers=(
                Layer(key=f"{key}-1", formula=formula, height_mm=practice.SHEET_THICKNESS.value),
            ),
            trim_mm=practice.ROLL_TRIM.value,
        )

    def with_layer(self, body: Body, key: str, formula: str) -> Self:
        """With one more spread on top."""
        del body
        spread = Layer(key=key, formula=formula, height_mm=practice.ROLL_FILLING.value)
        return replace(self, layers=(spread, *self.layers))

    def uses(self) -> tuple[Use, ...]:
        """The formula of each layer."""
        return tuple(
            Use(f"layers.{place}", layer.key, layer.formula)
            for place, layer in enumerate(self.layers)
        )

    def sheet(self, body: Body) -> tuple[float, float]:
        """The pan's sheet: in the direction it is rolled, and across [mm]."""
        plan = body.mold.from_above
        short, long_ = sorted((plan.length_mm, plan.width_mm))
        return (long_, short) if self.narrow else (short, long_)

    def rolled(self, body: Body) -> Winding:
        """What is rolled, by the pan the sheet is baked in or by how thick it is to be [mm]."""
        length, width = self.sheet(body)
        thick = tuple(layer.height_mm for layer in self.layers)
        core = body.core_mm
        if self.across_mm is not None:
            across, sheet, spread = max(self.across_mm, core), thick[-1], sum(thick[:-1])
            length = max(1.0, sheet_length(across, sheet, spread, core, _FINGER))
        return Winding(
            length_mm=length,
            width_mm=width,
            thick_mm=thick,
            core_mm=core,
            trim_mm=self.trim_mm,
            knots=self.knots,
            bare_mm=left_bare(length, _FINGER) if len(thick) > 1 else 0.0,
        )

    def place(self, body: Body) -> tuple[Wound, ...]:
        """One winding a layer."""
        roll = self.rolled(body)
        return tuple(
            Wound(
                part=self.key,
                layer=layer.key,
                name=layer.name,
                formula=layer.formula,
                roll=roll,
                place=place,
            )
            for place, layer in enumerate(self.layers)
        )

    def called(self, made: MeasuredDessert) -> str:
        """Its own name, or that of its sheet."""
        return self.name or made.name(self.key, self.layers[-1].key)

    def dimensions(self, body: Body) -> Iterator[Dimension]:
        """How thick the log is."""
        across = self.rolled(body).diameter_mm
        yield upright(self.key, "height", across / 2, 0.0, across, 0.0)

    def steps(self, made: MeasuredDessert) -> Iterator[BuildStep]:
        """Baked, spread, rolled and frozen, trimmed."""
        roll, name = self.rolled(made.body), self.called(made)
        wound = made.body.of(self.key)
        *spread, sheet = self.layers
        yield BuildStep(
            Moment.BESIDE,
            "sheet",
            f"Bake {name}",
            f"{figure_text(roll.length_mm)} × {figure_text(roll.width_mm)} mm, "
            f"{figure_text(sheet.height_mm)} mm thin; wrapped when cool, so that it bends",
            formulas=(sheet.formula,),
            flat=self._flat(roll, spread=False),
            uses=((self.key, sheet.key),),
        )
        layers = ", then ".join(
            f"{made.name(self.key, layer.key)} {figure_text(layer.height_mm)} mm"
            for layer in reversed(spread)
        )
        if spread:
            yield BuildStep(
                Moment.BESIDE,
                "spread",
                "Spread",
                f"{layers}; {figure_text(roll.bare_mm)} mm left bare at the far end",
                formulas=tuple(layer.formula for layer in spread),
                flat=self._flat(roll, spread=True),
                uses=tuple((self.key, layer.key) for layer in spread),
            )
        yield BuildStep(
            Moment.BOARD,
            "roll",
            f"Roll {name}",
            f"in film, tightened against a ruler: {figure_text(roll.diameter_mm)} mm across; "
            "frozen, then tightened again",
            tuple(made.shape(one) for one in (*wound, *made.body.cores)),
            (),
            practice.WHOLE_FREEZE,
            roll.diameter_working(),
        )

    def _flat(self, roll: Winding, *, spread: bool) -> tuple[Shape, ...]:
        """The sheet as it lies, with what is spread on it."""
        half, low = roll.length_mm / 2, 0.0
        lying = []
        for layer in reversed(self.layers if spread else self.layers[-1:]):
            high = low + layer.height_mm
            loop = box(-half, half, low, high)
            lying.append(Shape(self.key, layer.key, 0, "solid", layer.formula, (loop,)))
            low = high
        return tuple(lying)

    def judge(self, made: MeasuredDessert) -> Iterator[Finding]:
        """A roll too thick to close; ends that leave nothing."""
        roll, name = self.rolled(made.body), self.called(made)
        yield from self._too_long(made.body, roll, name)
        if roll.turns < _FEWEST_TURNS:
            closes = roll.core_mm + 2 * _FEWEST_TURNS * roll.pitch_mm
            least = sheet_length(
                closes, roll.thick_mm[-1], sum(roll.thick_mm[:-1]), roll.core_mm, _FINGER
            )
            yield Finding(
                code="roll-open",
                severity=Severity.WRONG,
                message=f"{name} goes round {counted(roll.turns, 'time')}; it does not close.",
                why=f"{figure_text(roll.pitch_mm)} mm of sheet and filling"
                + (f" around a core of {figure_text(roll.core_mm)} mm" if roll.core_mm else "")
                + f" need a sheet of {figure_text(least)} mm to close, and it is "
                f"{figure_text(roll.length_mm)} mm long.",
                remedy="Spread less, take a thinner core, or roll from the narrow end of a longer "
                "sheet.",
                source=COMMON_PRACTICE,
                part=self.key,
            )
        if lost := [region for region in made.body.regions if region.is_of_the_mold]:
            yield Finding(
                code="beside-roll",
                severity=Severity.WRONG,
                message=f"{made.called(lost[0].part)} is measured by the pan {name} is baked in.",
                why="A log stands out of its pan: what fills or lines the pan is no part of it, "
                "and its grams are not the log's.",
                remedy="Take it out, or spread it on the sheet as a layer of the roll.",
                source=COMMON_PRACTICE,
                part=lost[0].part,
            )
        if 2 * self.trim_mm >= roll.width_mm:
            yield Finding(
                code="roll-trimmed-away",
                severity=Severity.WRONG,
                message=f"Nothing is left of {name} when its ends are trimmed.",
                why=f"2 × {figure_text(self.trim_mm)} mm of {figure_text(roll.width_mm)} mm.",
                remedy=f"Trim less than {figure_text(roll.width_mm / 2)} mm at each end.",
                source=GEOMETRY,
                part=self.key,
            )

    def _too_long(self, body: Body, roll: Winding, name: str) -> Iterator[Finding]:
        """Rolled thicker than the sheet is long."""
        pan, _ = self.sheet(body)
        if not practice.is_short(pan, roll.length_mm):
            return
        bare = left_bare(pan, _FINGER) if len(roll.thick_mm) > 1 else 0.0
        most = replace(roll, length_mm=pan, bare_mm=bare).diameter_mm
        yield Finding(
            code="roll-longer-than-sheet",
            severity=Severity.WRONG,
            message=f"{name} needs a sheet of {figure_text(roll.length_mm)} mm to be "
            f"{figure_text(roll.diameter_mm)} mm across; the pan gives {figure_text(pan)} mm.",
            why="The section of a roll is the sheet's length × its thickness: nothing else makes "
            "it thicker.",
            remedy=f"Roll it to {figure_text(most)} mm, spread more, or lay two sheets edge to "
            "edge.",
            source=GEOMETRY,
            part=self.key,
        )

    def views(self, made: MeasuredDessert) -> Iterator[View]:
        """From the side with its slices, and flat before it is rolled."""
        roll = self.rolled(made.body)
        yield self._from_the_side(made, roll)
        yield self._laid_flat(made.body, roll)

    def _from_the_side(self, made: MeasuredDessert, roll: Winding) -> View:
        films = made.body.films
        skin = films[-1].formula if films else self.layers[-1].formula
        high, half, whole = roll.diameter_mm, roll.log_mm / 2, roll.width_mm / 2
        log = Shape(self.key, None, 0, "coat", skin, (box(-half, half, 0.0, high),))
        ends = (box(-whole, -half, 0.0, high), box(half, whole, 0.0, high))
        sheet = self.layers[-1]
        trims = Shape(self.key, sheet.key, 0, "trim", sheet.formula, ends)
        thick = min(roll.trim_mm, roll.width_mm / 2)
        knots = tuple(
            box(x - high / 2, x + high / 2, high, high + thick)
            for x in ((0.0,), (-half / 2, half / 2))[roll.knots - 1][: roll.knots]
        )
        on_top = Shape(self.key, sheet.key, 1, "solid", sheet.formula, knots)
        # Across the log the knife goes straight down: only how far along it matters here.
        along = [
            start[1]
            for start, end in made.division.knife(made.near.outer.from_above)[0]
            if start[1] == end[1]
        ]
        count = made.division.count
        slices = (
            f", {counted(count, 'slice')} of {figure_text(2 * half / count)} mm" if along else ""
        )
        return View(
            f"From the side: {figure_text(2 * whole)} mm, {figure_text(thick)} mm off each end"
            + slices,
            (log, trims, *((on_top,) if roll.knots else ())),
            tuple(((x, 0.0), (x, high)) for x in sorted(along)),
            box(max(along), half, 0.0, high) if along else (),
            (lengthwise(self.key, -half, half, 0.0),),
        )

    def _laid_flat(self, body: Body, roll: Winding) -> View:
        """As long to the right as the log will be, rolled up from the near edge."""
        far, side = roll.length_mm, roll.width_mm / 2
        *spread, sheet = self.layers

        def lying(part: str, layer: str | None, formula: str, end_mm: float) -> Shape:
            return Shape(part, layer, 0, "solid", formula, (box(-side, side, 0.0, end_mm),))

        upwards = Dimension(self.key, None, "height", (side, 0.0), (side, far), far)
        return View(
            "Flat, before it is rolled",
            (
                lying(self.key, sheet.key, sheet.formula, far),
                *(
                    lying(self.key, one.key, one.formula, roll.spread_mm)
                    for one in reversed(spread)
                ),
                *(lying(bar.part, None, bar.formula, bar.thick_mm) for bar in body.cores),
            ),
            dimensions=(lengthwise(self.key, -side, side, 0.0), upwards),
        )

    def sentences(self, made: MeasuredDessert) -> Iterator[str]:
        """How long, how thick, how often round."""
        roll = self.rolled(made.body)
        layers = ", ".join(
            f"{made.name(self.key, layer.key)} {figure_text(layer.height_mm)} mm"
            for layer in reversed(self.layers)
        )
        yield (
            f"Rolled up: {layers}; {counted(roll.turns, 'turn')}, "
            f"{figure_text(roll.diameter_mm)} mm across, {figure_text(roll.log_mm)} mm long."
        )

    def says(self) -> str:
        """How many layers."""
        return f"rolled · {len(self.layers)} layers" if len(self.layers) > 1 else "rolled"

    def refitted(self, was: Plan, now: Plan) -> Self:
        """As thick on another sheet."""
        del was
        return replace(self, trim_mm=min(self.trim_mm, now.longest_mm / 4))

    def kept_as(self, key: str, lifted_mm: float) -> Self:
        """The same, its layers under keys of its own."""
        del lifted_mm
        layers = tuple(
            replace(layer, key=f"{key}-{place}") for place, layer in enumerate(self.layers, start=1)
        )
        return replace(self, key=key, layers=layers)

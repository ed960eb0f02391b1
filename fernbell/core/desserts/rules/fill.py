"""Whatever room is left, up to a level above the board."""

from collections.abc import Iterator
from dataclasses import dataclass
from typing import Literal, Self

from fernbell.core.desserts import practice
from fernbell.core.desserts.body import Body
from fernbell.core.desserts.masses import spared
from fernbell.core.desserts.measure import MeasuredDessert
from fernbell.core.desserts.part import LARGEST_MM, Handle, Part, RuleWords, Use
from fernbell.core.desserts.regions import Pour, Rest
from fernbell.core.desserts.step import BuildStep, Moment
from fernbell.core.errors import CoreError
from fernbell.core.field import Field, check_fields
from fernbell.core.findings import Finding, Severity
from fernbell.core.working import GEOMETRY, Working, figure_text

WORDS = RuleWords(
    rule="fill",
    title="Fill the rest",
    text="mousse or cream: whatever room is left",
    usual_kind="mousse",
    seen=2,
    fields=(
        Field(
            "level_mm", "Filled to", most=LARGEST_MM, open_least=True, empty="the rim", grows="up"
        ),
        Field("shrink_percent", "Sinks in the oven", most=60, first=0),
        Field("waste_percent", "Left on the tray", most=50, first=0),
    ),
    handles=(Handle("level", "level_mm", "level", "up", "top", empty_at_rim=True),),
    once="one part at most that fills the rest",
)


@dataclass(frozen=True, slots=True, kw_only=True)
class Fill(Part):
    """Whatever room is left, up to a level above the board (None: to the rim)."""

    key: str
    formula: str
    level_mm: float | None = None
    shrink_percent: float = 0.0
    waste_percent: float = 0.0
    name: str = ""
    rule: Literal["fill"] = "fill"

    words = WORDS
    builds = ("pour",)

    def __post_init__(self) -> None:
        check_fields(self, self.words.fields)

    @classmethod
    def propose(cls, body: Body, key: str, formula: str) -> Self:
        """To the rim; CoreError where something fills it already."""
        if body.rest:
            raise CoreError("rule", "fill", "used once: this dessert already fills the rest")
        return cls(key=key, formula=formula)

    def uses(self) -> tuple[Use, ...]:
        """Its formula."""
        return (Use("", None, self.formula),)

    def place(self, body: Body) -> tuple[Rest]:
        """Around everything that stands in the mold."""
        level = body.mold.height_mm if self.level_mm is None else self.level_mm
        solid = body.mold.to_height(level)
        sunk = max(0.0, level - body.board_top_mm) * self.shrink_percent / 100
        return (
            Rest(
                part=self.key,
                name=self.name,
                formula=self.formula,
                solid=solid,
                stops=body.stops(level),
                sunk_mm=sunk,
            ),
        )

    def make(self, name: str, one: Working, count: int, others_g: float = 0.0) -> Working:
        """With what is scraped off the tray; it is made, and not in the dessert."""
        if not self.waste_percent:
            return Part.make(self, name, one, count, others_g)
        return spared(name, one, count, self.waste_percent, "what stays on the tray")

    def steps(self, made: MeasuredDessert) -> Iterator[BuildStep]:
        """One step a pour; each is frozen before the next."""
        pours, name = made.result(self.key).pours, made.name(self.key)
        for number, pour in enumerate(pours):
            yield BuildStep(
                Moment.POUR,
                "pour",
                pour.name,
                f"{name}, {_pour_says(made.body, pour)}{self._sinks(made.body)}",
                ((self.key, None, number),),
                usual=practice.SEAL_FREEZE if number < len(pours) - 1 else None,
                working=pour.mass or pour.volume,
                low_mm=pour.low_mm,
                high_mm=pour.high_mm,
            )

    def judge(self, made: MeasuredDessert) -> Iterator[Finding]:
        """Above the rim, no room, or lower than the base."""
        body, result = made.body, made.result(self.key)
        rim, level, floor = body.mold.height_mm, body.level_mm, body.board_top_mm
        if practice.is_short(rim, level):
            yield Finding(
                code="above-rim",
                severity=Severity.WRONG,
                message=f"{result.name} is filled {figure_text(level - rim)} mm above the rim.",
                why=f"The mold is {figure_text(rim)} mm high; the rest runs over.",
                remedy=f"Fill to {figure_text(rim)} mm, the rim, or use a higher mold.",
                source=GEOMETRY,
                part=self.key,
            )
        if result.volume and result.volume.value <= 0:
            yield Finding(
                code="negative-rest",
                severity=Severity.WRONG,
                message=f"There is no room for {result.name}: "
                f"the other parts are {figure_text(-result.volume.value)} ml over.",
                why=result.volume.arithmetic,
                remedy="Thin or narrow the base or the insert, fill higher, or use a larger mold.",
                source=GEOMETRY,
                part=self.key,
            )
        if level < floor:
            yield Finding(
                code="fill-below-base",
                severity=Severity.WRONG,
                message=f"{result.name} ends below the top of the base.",
                why=f"It is filled to {figure_text(level)} mm and the base ends at "
                f"{figure_text(floor)} mm.",
                remedy=f"Fill to more than {figure_text(floor)} mm, or to the rim.",
                source=GEOMETRY,
                part=self.key,
            )

    def sentences(self, made: MeasuredDessert) -> Iterator[str]:
        """Up to where."""
        level = figure_text(made.body.level_mm)
        yield f"{made.name(self.key)} fills the rest up to {level} mm{self._sinks(made.body)}."

    def _sinks(self, body: Body) -> str:
        rest = body.rest
        return (
            f"; baked it stands at {figure_text(rest.baked_mm)} mm" if rest and rest.sunk_mm else ""
        )

    def says(self) -> str:
        """Up to where."""
        return "fills the rest" if self.level_mm is None else f"fills to {self.level_mm:g} mm"


def _pour_says(body: Body, pour: Pour) -> str:
    if body.is_upright:
        return f"up to {figure_text(pour.high_mm)} mm"
    if pour.low_mm < body.board_top_mm:
        return f"{figure_text(pour.volume.value)} ml; leave room for the base"
    return f"{figure_text(body.level_mm - pour.low_mm)} mm deep in the mold"

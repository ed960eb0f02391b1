"""A disc or plank under the dessert, wider than it if that is wanted: what it is served on."""

from collections.abc import Iterator
from dataclasses import dataclass, replace
from typing import Literal, Self

from fernbell.core.desserts import practice
from fernbell.core.desserts.body import Body
from fernbell.core.desserts.measure import MeasuredDessert
from fernbell.core.desserts.part import LARGEST_MM, Handle, Part, RuleWords, Use
from fernbell.core.desserts.regions import Under
from fernbell.core.desserts.rules.inside import cm
from fernbell.core.desserts.step import BuildStep, Moment
from fernbell.core.errors import CoreError
from fernbell.core.field import Field, check_fields
from fernbell.core.findings import Finding, Severity
from fernbell.core.molds import Plan, Prism
from fernbell.core.working import COMMON_PRACTICE, figure_text

WORDS = RuleWords(
    rule="foot",
    title="A foot under it",
    text="a crisp disc it is set on, wider if wanted",
    usual_kind="crumble",
    seen=8,
    fields=(
        Field("height_mm", "Thickness", most=LARGEST_MM, open_least=True, grows="up"),
        Field("across_mm", "Across", most=LARGEST_MM, open_least=True, grows="across"),
    ),
    handles=(
        Handle("height", "height_mm", "thickness", "up", "top"),
        Handle("across", "across_mm", "width", "out", "side", times=2.0),
    ),
    once="one foot at most",
)


@dataclass(frozen=True, slots=True, kw_only=True)
class Foot(Part):
    """A disc or plank that the finished dessert is set on, outside its mold."""

    key: str
    formula: str
    height_mm: float
    across_mm: float
    name: str = ""
    rule: Literal["foot"] = "foot"

    words = WORDS
    builds = ("foot",)

    def __post_init__(self) -> None:
        check_fields(self, self.words.fields)

    @classmethod
    def propose(cls, body: Body, key: str, formula: str) -> Self:
        """A little wider than what stands on it."""
        height = min(practice.BASE_HEIGHT.value, max(1.0, round(body.mold.height_mm / 8)))
        wide = body.outer.plan_at(0.0).length_mm + 2 * practice.FOOT_STANDS_OUT.value
        return cls(key=key, formula=formula, height_mm=height, across_mm=round(wide))

    def uses(self) -> tuple[Use, ...]:
        """Its formula."""
        return (Use("", None, self.formula),)

    def place(self, body: Body) -> tuple[Under]:
        """Of the outline that stands on it, wider or narrower."""
        standing = body.outer.plan_at(0.0)
        try:
            plan = standing.grown((self.across_mm - standing.length_mm) / 2)
        except CoreError:
            plan = standing.scaled(self.across_mm / standing.length_mm)
        return (
            Under(
                part=self.key,
                name=self.name,
                formula=self.formula,
                solid=Prism(plan, self.height_mm),
            ),
        )

    def steps(self, made: MeasuredDessert) -> Iterator[BuildStep]:
        """The finished dessert is set on it."""
        (under,) = made.body.of(self.key)
        name = made.name(self.key)
        says = f"{figure_text(self.height_mm)} mm, {figure_text(self.across_mm)} mm across"
        shapes = (made.shape(under),)
        yield BuildStep(Moment.OVER, "foot", f"Set on {name}", says, shapes, (self.formula,))

    def judge(self, made: MeasuredDessert) -> Iterator[Finding]:
        """Under a roll or in a glass there is none."""
        if made.body.served_in_it or made.body.is_hollow:
            yield Finding(
                code="foot-under-nothing",
                severity=Severity.CAUTION,
                message=f"{made.name(self.key)} is to stand under what is not taken out of its "
                "mold.",
                why="What is served in its glass, or baked hollow, is not set on a foot.",
                remedy="Make it a layer or a base instead.",
                source=COMMON_PRACTICE,
                part=self.key,
            )

    def sentences(self, made: MeasuredDessert) -> Iterator[str]:
        """How wide, how far it stands out."""
        out = (self.across_mm - made.body.outer.plan_at(0.0).length_mm) / 2
        where = (
            f"stands out {figure_text(out)} mm" if out >= 0 else f"{figure_text(-out)} mm inside"
        )
        across = figure_text(self.across_mm)
        yield f"{made.name(self.key)}: a foot under it, {across} mm across, {where}."

    def says(self) -> str:
        """How wide."""
        return f"foot · {cm(self.across_mm)}"

    def refitted(self, was: Plan, now: Plan) -> Self:
        """Standing out as far."""
        return replace(self, across_mm=max(1.0, self.across_mm + now.length_mm - was.length_mm))

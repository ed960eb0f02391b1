"""A layer from wall to wall: crumb in a glass, cream over it, a sheet in a frame."""

from collections.abc import Iterator
from dataclasses import dataclass
from typing import Literal, Self

from fernbell.core.desserts import practice
from fernbell.core.desserts.body import Body
from fernbell.core.desserts.measure import MeasuredDessert
from fernbell.core.desserts.part import LARGEST_MM, Handle, Part, RuleWords, Use
from fernbell.core.desserts.regions import Course
from fernbell.core.desserts.rules.inside import above_rim, from_to
from fernbell.core.desserts.step import BuildStep, Moment
from fernbell.core.field import Field, check_fields
from fernbell.core.findings import Finding
from fernbell.core.working import counted, figure_text

WORDS = RuleWords(
    rule="tier",
    title="A layer wall to wall",
    text="poured or pressed in, on what is below",
    usual_kind="cream",
    seen=3,
    fields=(Field("height_mm", "Thickness", most=LARGEST_MM, open_least=True, grows="up"),),
    handles=(Handle("height", "height_mm", "thickness", "up", "top"),),
    stacks=True,
)


@dataclass(frozen=True, slots=True, kw_only=True)
class Tier(Part):
    """A height of what the mold holds, on what is below; several stack."""

    key: str
    formula: str
    height_mm: float
    name: str = ""
    rule: Literal["tier"] = "tier"

    words = WORDS
    builds = ("tier",)

    def __post_init__(self) -> None:
        check_fields(self, self.words.fields)

    @classmethod
    def propose(cls, body: Body, key: str, formula: str) -> Self:
        """As thick as is usual, or what room there is."""
        room = body.mold.height_mm - body.board_top_mm
        return cls(
            key=key,
            formula=formula,
            height_mm=max(1.0, min(practice.TIER_HEIGHT.value, round(room / 2))),
        )

    def uses(self) -> tuple[Use, ...]:
        """Its formula."""
        return (Use("", None, self.formula),)

    def place(self, body: Body) -> tuple[Course]:
        """On the highest of what stands on the board; above the rim the walls are thought on."""
        low = body.board_top_mm
        high = low + self.height_mm
        mold = body.mold if high <= body.mold.height_mm else body.mold.to_height(high)
        return (
            Course(
                part=self.key,
                name=self.name,
                formula=self.formula,
                mold=mold,
                low_mm=low,
                high_mm=high,
                before=body.solids,
            ),
        )

    def steps(self, made: MeasuredDessert) -> Iterator[BuildStep]:
        """Filled in; each on the one before."""
        result = made.result(self.key)
        (laid,) = made.body.of(self.key)
        mass = f", {figure_text(result.mass.value)} g" if result.mass else ""
        if made.body.is_individual and result.volume:
            spoons = result.volume.value / practice.SPOON.value
            mass += f" each: by weight, or {counted(round(spoons * 2) / 2, 'spoon')} of 15 ml"
        yield BuildStep(
            Moment.BOARD,
            "tier",
            made.name(self.key),
            f"{figure_text(self.height_mm)} mm{mass}",
            (made.shape(laid),),
            (self.formula,),
            working=result.mass or result.volume,
        )

    def judge(self, made: MeasuredDessert) -> Iterator[Finding]:
        """Above the rim."""
        rim = made.body.mold.height_mm
        for laid in made.body.of(self.key):
            if practice.is_short(rim, laid.floor_mm):
                yield above_rim(self.key, made.name(self.key), laid.floor_mm, rim)

    def sentences(self, made: MeasuredDessert) -> Iterator[str]:
        """From where to where."""
        for laid in made.body.of(self.key):
            low, high = laid.floor_mm - self.height_mm, laid.floor_mm
            yield f"{made.name(self.key)}: wall to wall, {from_to(low, high)}."

    def says(self) -> str:
        """How thick."""
        return f"layer · {self.height_mm:g} mm"

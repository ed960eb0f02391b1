"""A syrup brushed on what lies below: a roll's sheet, the highest base, an insert, the floor."""

from collections.abc import Iterator
from dataclasses import dataclass
from typing import Literal, Self

from fernbell.core.desserts import practice
from fernbell.core.desserts.body import Body
from fernbell.core.desserts.measure import MeasuredDessert
from fernbell.core.desserts.part import Part, RuleWords, Use
from fernbell.core.desserts.regions import Block, Region, Shape, Wash, Wound
from fernbell.core.desserts.step import BuildStep, Moment
from fernbell.core.field import Field, check_fields
from fernbell.core.molds import box
from fernbell.core.working import GEOMETRY, Given, Working, figure_text

WORDS = RuleWords(
    rule="soak",
    title="A syrup brushed on",
    text="by the area of the sheet or base below",
    usual_kind="syrup",
    seen=4,
    fields=(Field("on_100_cm2_g", "On 100 cm²", most=100, open_least=True, step=0.5),),
)


@dataclass(frozen=True, slots=True, kw_only=True)
class Soak(Part):
    """So many grams on 100 cm² of what lies below."""

    key: str
    formula: str
    on_100_cm2_g: float
    name: str = ""
    rule: Literal["soak"] = "soak"

    words = WORDS
    builds = ("soak",)

    def __post_init__(self) -> None:
        check_fields(self, self.words.fields)

    @classmethod
    def propose(cls, body: Body, key: str, formula: str) -> Self:
        """As a sponge is moistened."""
        del body
        return cls(key=key, formula=formula, on_100_cm2_g=practice.SOAK.value)

    def uses(self) -> tuple[Use, ...]:
        """Its formula."""
        return (Use("", None, self.formula),)

    def place(self, body: Body) -> tuple[Wash]:
        """On all of the sheet or base."""
        served = body.roll.served_share if body.roll else 1.0
        return (
            Wash(
                part=self.key,
                name=self.name,
                formula=self.formula,
                on_100_cm2_g=self.on_100_cm2_g,
                area=_area(body),
                served_share=served,
            ),
        )

    def steps(self, made: MeasuredDessert) -> Iterator[BuildStep]:
        """Brushed on while it lies open."""
        result = made.result(self.key)
        soaked = _soaked(made.body)
        insert = soaked if soaked and not soaked.on_board else None
        when = Moment.BESIDE if made.body.roll or insert else Moment.BOARD
        says = "brushed on evenly" + (", before it is frozen" if insert else "")
        yield BuildStep(
            when,
            "soak",
            made.name(self.key),
            says,
            formulas=(self.formula,),
            working=result.mass,
            flat=self._lying(made.body, insert),
            after="sheet" if made.body.roll else "",
            uses=((self.key, None),),
        )

    def _lying(self, body: Body, apart: Block | None) -> tuple[Shape, ...]:
        """The sheet of a roll as it lies, or the insert, wet on top."""
        sheets = [region for region in body.regions if isinstance(region, Wound)]
        dry: Region | None = sheets[-1] if sheets else apart
        if dry is None or dry.thick_mm is None:
            return ()
        half = (sheets[-1].roll.length_mm if sheets else dry.across_mm or 0.0) / 2
        high = dry.thick_mm
        return (
            Shape(dry.part, dry.layer, 0, "solid", dry.formula, (box(-half, half, 0.0, high),)),
            Shape(self.key, None, 0, "solid", self.formula, (box(-half, half, high, high + 1.0),)),
        )

    def sentences(self, made: MeasuredDessert) -> Iterator[str]:
        """How much."""
        yield f"{made.name(self.key)}: {figure_text(self.on_100_cm2_g)} g on every 100 cm²."

    def says(self) -> str:
        """How much."""
        return f"brushed · {self.on_100_cm2_g:g} g on 100 cm²"


def _soaked(body: Body) -> Block | None:
    """The highest base, or the lowest insert where there is none; else the floor."""
    boards = [block for block in body.blocks if block.on_board]
    hung = [block for block in body.blocks if not block.on_board]
    return boards[-1] if boards else hung[0] if hung else None


def _area(body: Body) -> Working:
    """The area that is brushed [cm²]."""
    if body.roll:
        length, width = body.roll.length_mm, body.roll.width_mm
        area = length * width / 100
        return Working(
            figure="Sheet, brushed",
            value=area,
            unit="cm²",
            given=(Given("length", length, "mm"), Given("width", width, "mm")),
            law="area = length × width",
            arithmetic=f"{figure_text(length)} × {figure_text(width)} / 100 = "
            f"{figure_text(area)} cm²",
            source=GEOMETRY,
        )
    block = _soaked(body)
    solid = block.solid if block else body.mold
    top = solid.height_mm if block else 0.0
    area = solid.area_at(top) / 100
    return Working(
        figure=f"{'Base' if block and block.on_board else 'Insert' if block else 'Floor'}, brushed",
        value=area,
        unit="cm²",
        given=solid.measures(),
        law="area of its upper side",
        arithmetic=f"{solid.area_text(top)} / 100 = {figure_text(area)} cm²",
        source=GEOMETRY,
    )

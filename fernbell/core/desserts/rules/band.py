"""A strip around the foot."""

from collections.abc import Iterator
from dataclasses import dataclass
from typing import Literal, Self

from fernbell.core.desserts import practice
from fernbell.core.desserts.body import Body
from fernbell.core.desserts.measure import MeasuredDessert
from fernbell.core.desserts.part import LARGEST_MM, Part, RuleWords, Use
from fernbell.core.desserts.regions import Strip
from fernbell.core.desserts.step import BuildStep, Moment
from fernbell.core.field import Field, check_fields
from fernbell.core.findings import Finding, Severity
from fernbell.core.working import GEOMETRY, figure_text

WORDS = RuleWords(
    rule="band",
    title="A band around the foot",
    text="a strip along the edge",
    usual_kind="chocolate",
    seen=7,
    fields=(
        Field("height_mm", "Height", most=LARGEST_MM, open_least=True, grows="up"),
        Field("thickness_mm", "Thickness", most=50, open_least=True, step=0.5),
        Field("overlap_mm", "Overlap", most=200),
    ),
)


@dataclass(frozen=True, slots=True, kw_only=True)
class Band(Part):
    """A strip around the foot."""

    key: str
    formula: str
    height_mm: float
    thickness_mm: float
    overlap_mm: float = 0.0
    name: str = ""
    rule: Literal["band"] = "band"

    words = WORDS
    builds = ("band",)

    def __post_init__(self) -> None:
        check_fields(self, self.words.fields)

    @classmethod
    def propose(cls, body: Body, key: str, formula: str) -> Self:
        """As high as is usual, or as the mold."""
        height = min(practice.BAND_HEIGHT.value, body.mold.height_mm)
        thickness, overlap = practice.BAND_THICKNESS.value, practice.BAND_OVERLAP.value
        return cls(
            key=key, formula=formula, height_mm=height, thickness_mm=thickness, overlap_mm=overlap
        )

    def uses(self) -> tuple[Use, ...]:
        """Its formula."""
        return (Use("", None, self.formula),)

    def place(self, body: Body) -> tuple[Strip]:
        """Around the coats and the bands there are."""
        out = sum(film.side_mm for film in body.films) + sum(strip.film_mm for strip in body.strips)
        edge = body.mold.perimeter_at(0.0)
        return (
            Strip(
                part=self.key,
                name=self.name,
                formula=self.formula,
                edge_mm=edge,
                height_mm=self.height_mm,
                film_mm=self.thickness_mm,
                overlap_mm=self.overlap_mm,
                out_mm=out,
            ),
        )

    def steps(self, made: MeasuredDessert) -> Iterator[BuildStep]:
        """Laid around."""
        says = f"around the foot, {figure_text(self.height_mm)} mm high"
        (strip,) = made.body.of(self.key)
        shape, name = made.shape(strip), made.name(self.key)
        yield BuildStep(Moment.OVER, "band", name, says, (shape,), (self.formula,))

    def judge(self, made: MeasuredDessert) -> Iterator[Finding]:
        """Higher than what it goes around."""
        top = made.body.top_mm
        if self.height_mm > top > 0:
            yield Finding(
                code="above-rim",
                severity=Severity.CAUTION,
                message=f"{made.name(self.key)} stands "
                f"{figure_text(self.height_mm - top)} mm above the dessert.",
                why="A strip higher than what it goes around has nothing to lean on.",
                remedy=f"Cut it {figure_text(top)} mm high at most.",
                source=GEOMETRY,
                part=self.key,
            )

    def sentences(self, made: MeasuredDessert) -> Iterator[str]:
        """How high."""
        high = figure_text(self.height_mm)
        yield f"{made.name(self.key)}: a strip around the foot, {high} mm high."

    def says(self) -> str:
        """Where."""
        return "band · edge"

"""A piped shell that bakes hollow: puffs; what it is filled with goes into the hollow."""

from collections.abc import Iterator
from dataclasses import dataclass, replace
from typing import Literal, Self

from fernbell.core.desserts import practice
from fernbell.core.desserts.body import Body
from fernbell.core.desserts.measure import MeasuredDessert
from fernbell.core.desserts.part import Part, RuleWords, Use
from fernbell.core.desserts.regions import Hollow
from fernbell.core.desserts.step import BuildStep, Moment
from fernbell.core.field import Field, check_fields
from fernbell.core.molds import Plan
from fernbell.core.working import figure_text

WORDS = RuleWords(
    rule="puff",
    title="A hollow shell, piped",
    text="piped and baked; the filling goes inside",
    usual_kind="paste",
    seen=6,
    fields=(Field("wall_mm", "Wall, baked", least=1, most=30, step=0.5),),
    once="one shell at most",
)


@dataclass(frozen=True, slots=True, kw_only=True)
class PuffShell(Part):
    """A shell as large as its mound when baked, its wall so thick, hollow inside."""

    key: str
    formula: str
    wall_mm: float
    name: str = ""
    rule: Literal["puff"] = "puff"

    words = WORDS
    builds = ("puff",)

    def __post_init__(self) -> None:
        check_fields(self, self.words.fields)

    @classmethod
    def propose(cls, body: Body, key: str, formula: str) -> Self:
        """As thick as a puff bakes, thinner in what is small."""
        room = min(body.mold.longest_mm / 8, body.mold.height_mm / 5)
        return cls(
            key=key,
            formula=formula,
            wall_mm=max(1.0, min(practice.PUFF_WALL.value, round(room, 1))),
        )

    def uses(self) -> tuple[Use, ...]:
        """Its formula."""
        return (Use("", None, self.formula),)

    def place(self, body: Body) -> tuple[Hollow]:
        """All of what was piped, less the hollow; CoreError where nothing is left inside."""
        inner = body.mold.inset(self.wall_mm)
        high, stands = body.mold.height_mm, self.wall_mm if body.is_upright else 0.0
        return (
            Hollow(
                part=self.key,
                name=self.name,
                formula=self.formula,
                thick_mm=self.wall_mm,
                high_mm=high,
                mold=body.mold,
                inner=inner,
                stands_mm=stands,
            ),
        )

    def steps(self, made: MeasuredDessert) -> Iterator[BuildStep]:
        """Piped, baked, not opened before it holds."""
        (shell,) = made.body.of(self.key)
        result = made.result(self.key)
        yield BuildStep(
            Moment.BOARD,
            "puff",
            made.name(self.key),
            f"{made.body.mold.words_in_full()}; the oven stays shut until it holds",
            (made.shape(shell),),
            (self.formula,),
            working=result.mass,
        )

    def sentences(self, made: MeasuredDessert) -> Iterator[str]:
        """How thick its wall is."""
        yield f"{made.name(self.key)}: a hollow shell, its wall {figure_text(self.wall_mm)} mm."

    def says(self) -> str:
        """How thick."""
        return f"hollow · wall {self.wall_mm:g} mm"

    def refitted(self, was: Plan, now: Plan) -> Self:
        """As thick, unless that leaves no hollow."""
        del was
        return replace(self, wall_mm=max(1.0, min(self.wall_mm, round(now.room_mm / 4, 1))))

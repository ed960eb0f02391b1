"""Pieces of a weight on every portion."""

from collections.abc import Iterator
from dataclasses import dataclass
from typing import Literal, Self

from fernbell.core.desserts import practice
from fernbell.core.desserts.body import Body
from fernbell.core.desserts.measure import MeasuredDessert
from fernbell.core.desserts.part import Part, RuleWords, Use
from fernbell.core.desserts.regions import Pieces
from fernbell.core.desserts.step import BuildStep, Moment
from fernbell.core.field import Field, check_fields
from fernbell.core.working import counted, figure_text

WORDS = RuleWords(
    rule="garnish",
    title="Garnish on top",
    text="pieces or grams on every portion",
    usual_kind="crisp",
    seen=0,
    fields=(
        Field("pieces_per_portion", "Pieces a portion", most=50, open_least=True, step=0.5),
        Field("piece_g", "One piece", most=1000, open_least=True, step=0.5),
    ),
)


@dataclass(frozen=True, slots=True, kw_only=True)
class Garnish(Part):
    """Pieces of a weight on every portion, half pieces allowed; grams a portion are one piece."""

    key: str
    formula: str
    piece_g: float
    pieces_per_portion: float = 1.0
    name: str = ""
    rule: Literal["garnish"] = "garnish"

    words = WORDS
    builds = ("garnish",)

    def __post_init__(self) -> None:
        check_fields(self, self.words.fields)

    @classmethod
    def propose(cls, body: Body, key: str, formula: str) -> Self:
        """One small piece."""
        del body
        return cls(key=key, formula=formula, piece_g=practice.GARNISH_PIECE.value)

    def uses(self) -> tuple[Use, ...]:
        """Its formula."""
        return (Use("", None, self.formula),)

    def place(self, body: Body) -> tuple[Pieces]:
        """On the coats."""
        over = sum(film.thick_mm for film in body.films)
        return (
            Pieces(
                part=self.key,
                name=self.name,
                formula=self.formula,
                piece_g=self.piece_g,
                each=self.pieces_per_portion,
                over_mm=over,
            ),
        )

    def steps(self, made: MeasuredDessert) -> Iterator[BuildStep]:
        """Laid on at service."""
        says = f"{figure_text(self.pieces_per_portion)} on each portion, at service"
        (pieces,) = made.body.of(self.key)
        shape, name = made.shape(pieces), made.name(self.key)
        yield BuildStep(Moment.SERVICE, "garnish", name, says, (shape,), (self.formula,))

    def sentences(self, made: MeasuredDessert) -> Iterator[str]:
        """How many on each."""
        each, portions = figure_text(self.pieces_per_portion), made.division.count
        yield f"{made.name(self.key)}: {each} on each of {counted(portions, 'portion')}."

    def says(self) -> str:
        """How many on each."""
        return f"{self.pieces_per_portion:g} a portion"

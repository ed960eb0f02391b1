"""What goes over the wire for ingredients."""

from typing import Annotated, Self

from ninja import Schema
from pydantic import Field, StringConstraints, model_validator

from fernbell.core.measures import MOST_PASTED
from fernbell.core.pantry import Ingredient, MakeUp, Piece
from fernbell.server.kitchens.schemas import Entry, Name, RowOut, Text


class IngredientIn(Entry):
    """An ingredient as entered; None where a density is unknown."""

    name: Name
    density_g_ml: float | None = None
    cup_density_g_ml: float | None = None
    weigh_step_g: float = 1.0
    pieces: list[Piece] = Field(default=[], max_length=12)
    make_up: MakeUp | None = None
    note: Text = ""

    @model_validator(mode="after")
    def in_range(self) -> Self:
        """Let core refuse what is out of range."""
        Ingredient("", self.name, self.density_g_ml, self.cup_density_g_ml, self.weigh_step_g)
        return self


class IngredientOut(RowOut):
    """An ingredient."""

    density_g_ml: float | None
    cup_density_g_ml: float | None
    weigh_step_g: float
    pieces: list[Piece]
    make_up: MakeUp | None
    note: str


class ManyIn(Entry):
    """Several new ingredients, written all or none."""

    rows: list[IngredientIn] = Field(min_length=1, max_length=MOST_PASTED)


class PastedNames(Entry):
    """A pasted list of ingredients: a name a line, its density beside it where it is known."""

    text: Annotated[str, StringConstraints(max_length=60_000)]


class PastedIngredient(Schema):
    """One pasted line: the ingredient it names, or why not; `there` is on the shelf already."""

    text: str
    refusal: str
    name: str
    density_g_ml: float | None
    there: bool

"""What goes over the wire for ingredients."""

from typing import Self

from pydantic import Field, model_validator

from fernbell.core.pantry import Ingredient, Piece
from fernbell.server.kitchens.schemas import Entry, Name, RowOut, Text


class IngredientIn(Entry):
    """An ingredient as entered; None where a density is unknown."""

    name: Name
    density_g_ml: float | None = None
    cup_density_g_ml: float | None = None
    weigh_step_g: float = 1.0
    pieces: list[Piece] = Field(default=[], max_length=12)
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
    note: str

"""What goes over the wire for ingredients."""

from typing import Annotated, Any, Self
from uuid import UUID

from ninja import Schema
from pydantic import Field, StringConstraints, model_validator

from fernbell.core.formulas import Brings, brought_by
from fernbell.core.measures import MOST_PASTED
from fernbell.core.pantry import (
    Chocolate,
    Condition,
    EggPart,
    Ingredient,
    Keeping,
    MakeUp,
    Pack,
    Piece,
    State,
    Status,
    check_allergens,
    check_keeping,
)
from fernbell.server.pantry import usual
from fernbell.server.pantry.assemble import counted_in, price_today
from fernbell.server.pantry.models import MOST_OTHER_NAMES
from fernbell.server.rows.schemas import Entry, Name, RowOut, Text

OtherNameText = Annotated[
    str, StringConstraints(strip_whitespace=True, min_length=1, max_length=80)
]


class OtherName(Entry):
    """What else an ingredient is called."""

    name: OtherNameText


class IngredientIn(Entry):
    """An ingredient as entered; None where a density is unknown."""

    name: Name
    other_names: list[OtherNameText] = Field(default=[], max_length=MOST_OTHER_NAMES)
    density_g_ml: float | None = None
    cup_density_g_ml: float | None = None
    weigh_step_g: float = 1.0
    pieces: list[Piece] = Field(default=[], max_length=12)
    make_up: MakeUp | None = None
    make_up_source: Annotated[str, StringConstraints(strip_whitespace=True, max_length=200)] = ""
    make_up_status: Status | None = None
    states: list[State] = Field(default=[], max_length=6)
    egg: EggPart | None = None
    allergens: list[str] | None = None
    chocolate: Chocolate | None = None
    packs: list[Pack] = Field(default=[], max_length=12)
    keeping: list[Keeping] = Field(default=[], max_length=len(Condition))
    note: Text = ""

    @model_validator(mode="after")
    def in_range(self) -> Self:
        """Let core refuse what is out of range."""
        Ingredient("", self.name, self.density_g_ml, self.cup_density_g_ml, self.weigh_step_g)
        self.other_names = list(dict.fromkeys(self.other_names))
        if self.allergens is not None:
            self.allergens = list(check_allergens(tuple(self.allergens)))
        self.keeping = list(check_keeping(self.keeping))
        return self


class IngredientBrief(RowOut):
    """An ingredient in the list; without an allergen entered `allergens` is unknown, not none."""

    density_g_ml: float | None
    weigh_step_g: float
    counted: str
    made_up: bool
    allergens: list[str] | None
    price_per_kg: float | None


class IngredientOut(IngredientBrief):
    """An ingredient; `shared` says of its other names which are also names of what else.

    `usual_for` are the bare words that mean it here, `brings` its make-up in the parts a chef
    thinks in.
    """

    other_names: list[str]
    shared: dict[str, list[str]]
    usual_for: list[str]
    brings: Brings
    cup_density_g_ml: float | None
    pieces: list[Piece]
    make_up: MakeUp | None
    used_by: list[str]
    make_up_source: str
    make_up_status: Status | None
    states: list[State]
    egg: EggPart | None
    chocolate: Chocolate | None
    packs: list[Pack]
    keeping: list[Keeping]
    note: str

    @staticmethod
    def resolve_counted(row: Any) -> str:
        """The unit it is usually counted in, and what one weighs."""
        return counted_in(row.pieces)

    @staticmethod
    def resolve_made_up(row: Any) -> bool:
        """Whether its make-up is known."""
        return row.make_up is not None

    @staticmethod
    def resolve_price_per_kg(row: Any) -> float | None:
        """By the first pack that has a price today."""
        return price_today(row.packs)

    @staticmethod
    def resolve_used_by(row: Any) -> list[str]:
        """Names of the formulas that weigh it."""
        return sorted(row.users())

    @staticmethod
    def resolve_usual_for(row: Any) -> list[str]:
        """Bare words that mean it here."""
        return list(row.usual_for.order_by("word").values_list("word", flat=True))

    @staticmethod
    def resolve_brings(row: Any) -> Brings:
        """Shares of its mass."""
        return brought_by(MakeUp(**row.make_up) if row.make_up else None)

    @staticmethod
    def resolve_shared(row: Any) -> dict[str, list[str]]:
        """Whose names its other names are too."""
        return usual.shared(row)

    @staticmethod
    def resolve_make_up_status(row: Any) -> str | None:
        """How well the make-up is known; nothing where nobody said."""
        return row.make_up_status or None

    @staticmethod
    def resolve_egg(row: Any) -> str | None:
        """Which part of an egg it is; nothing where it is none."""
        return row.egg or None


class LackingOut(Schema):
    """An ingredient of which something is not known yet."""

    id: UUID
    name: str
    lacks: list[str]


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

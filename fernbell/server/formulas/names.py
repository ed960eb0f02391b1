"""What can be a line of a formula here: how it is called and what it is weighed by."""

from collections.abc import Callable
from uuid import UUID

from ninja import Schema

from fernbell.core.formulas import read_formulas
from fernbell.core.pantry import Ingredient, soaks_up
from fernbell.core.pantry.naming import Choice, Lookup, Named, Understood, called
from fernbell.server.formulas.books import book_for
from fernbell.server.formulas.rows import FORMULA
from fernbell.server.kitchens.models import Member
from fernbell.server.pantry.rows import INGREDIENT
from fernbell.server.rows.search import lookup


class LineChoice(Schema):
    """One thing a line may be: its grams, or what is missing to weigh it.

    `measure` tells choices of one thing apart, `called` is the other name by which it fits,
    `soaked` what water it takes up before it goes in, as a rule [times its weight].
    """

    id: UUID
    name: str
    is_formula: bool
    mass_g: float | None
    measure: str
    lacks: str
    wants_amount: bool
    called: str
    soaked: float


class ReadLine(Schema):
    """A line understood: what is certain, else what may be meant and the question.

    `name` is what was said of what it is; `note` was said and is not weighed; `weighs_g` are its
    grams where they were said, whatever it is. `far` choices hold some of its words only.
    """

    text: str
    name: str
    note: str
    certain: LineChoice | None
    choices: list[LineChoice]
    asks: str
    weighs_g: float | None
    far: bool


def names_of(member: Member) -> Lookup:
    """What can be a line in the member's kitchen: ingredients and formulas."""
    return lookup(member, INGREDIENT, FORMULA)


def weighed_by(member: Member) -> Callable[[Named], Ingredient]:
    """What a thing is measured by; a formula through its density with air, read when asked."""
    read: dict[str, Ingredient] = {}

    def weighed(named: Named) -> Ingredient:
        if not named.is_formula:
            return named.of
        if named.key not in read:
            book = book_for(member, [named.key])
            density = read_formulas(book, [named.key])[named.key].density_g_ml
            read[named.key] = Ingredient(named.key, named.name, density)
        return read[named.key]

    return weighed


def as_read(read: Understood, within: UUID | None) -> ReadLine:
    """Understood, as it goes over the wire; nothing is offered to be a line of itself."""
    certain, asks = read.certain, read.asks
    if certain and certain.named.key == str(within):
        asks = f"{certain.named.name} cannot be a line of itself."
        certain = None
    choices = [choice for choice in read.choices if choice.named.key != str(within)]
    return ReadLine(
        text=read.text,
        name=read.name,
        note=read.note,
        certain=_choice(certain, read.name) if certain else None,
        choices=[_choice(choice, read.name) for choice in choices],
        asks=asks,
        weighs_g=read.weighs_g,
        far=read.far,
    )


def _choice(one: Choice, typed: str) -> LineChoice:
    return LineChoice(
        id=UUID(one.named.key),
        name=one.named.name,
        is_formula=one.named.is_formula,
        mass_g=one.mass_g,
        measure=one.measure,
        lacks=one.lacks,
        wants_amount=one.wants_amount,
        called=called(one.named, typed),
        soaked=0.0 if one.named.is_formula else soaks_up(one.named.of),
    )

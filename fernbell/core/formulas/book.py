"""Formulas and the book that holds them together with the ingredients they use."""

from collections.abc import Iterator, Mapping
from dataclasses import dataclass, field
from enum import StrEnum
from functools import cached_property

from fernbell.core.errors import CoreError, FormulaCircle, UnknownKey, check_range
from fernbell.core.field import Field
from fernbell.core.formulas.method import Wait
from fernbell.core.heat import CARAMEL_FROM_C
from fernbell.core.pantry import LEAF_SOAKS_UP, Ingredient
from fernbell.starter.practice import practice

STRAINED = Field("strained_percent", "Left in the sieve", most=100, step=5, first=100)
SOAKED = Field("soaked", "Times its weight of water", most=20, step=0.5, first=LEAF_SOAKS_UP)
"""What a line may say beside its grams."""
SETS = Field(
    "sets_min", "Can be filled for", most=600, open_least=True, empty="as long as it takes"
)
"""How long a mousse or a foam stays soft enough to be filled; the chef's."""


@dataclass(frozen=True, slots=True)
class Line:
    """One line: so many grams of an ingredient, or of another formula as finished.

    `stage` names the step it goes in at ('boil', 'fold'); `strained_percent` is the share of it
    that stays in the sieve, like the leaves of an infusion or the pulp of a fruit: it is weighed
    and paid for, and does not arrive. `soaked` is how many times its weight of water it takes up
    before it goes in, as leaves of gelatin do: water that is on no other line.
    `note` is what else is said of it, such as 'to taste': then it need not weigh anything.
    """

    key: str
    mass_g: float
    ingredient: str | None = None
    formula: str | None = None
    overrun_percent: float = 0.0
    stage: str = ""
    strained_percent: float = 0.0
    soaked: float = 0.0
    note: str = ""

    def __post_init__(self) -> None:
        check_range("mass_g", self.mass_g)
        check_range("overrun_percent", self.overrun_percent, most=2000)
        STRAINED.check(self.strained_percent)
        SOAKED.check(self.soaked)
        if (self.ingredient is None) == (self.formula is None):
            raise CoreError(
                "ingredient", "both or neither", "an ingredient or a formula, one of them"
            )

    @property
    def passes(self) -> float:
        """What of it is not left in the sieve [0 to 1]."""
        return 1 - self.strained_percent / 100

    @property
    def water_g(self) -> float:
        """Water it takes up before it goes in [g]."""
        return self.mass_g * self.soaked

    @property
    def goes_in_g(self) -> float:
        """What of it goes on into the formula, with the water it brings [g]."""
        return (self.mass_g + self.water_g) * self.passes


class Until(StrEnum):
    """What tells that it is cooked enough."""

    TEMPERATURE = "temperature"
    BRIX = "brix"
    WEIGHT = "weight"


@dataclass(frozen=True, slots=True)
class Sign:
    """What tells that it is done, in which unit, within which limits."""

    label: str
    unit: str
    field: Field


SIGNS: Mapping[Until, Sign] = {
    Until.TEMPERATURE: Sign(
        "until the thermometer says",
        "°C",
        Field("temperature_c", "Cooked to", least=60, most=CARAMEL_FROM_C, first=106),
    ),
    Until.BRIX: Sign(
        "until the refractometer says",
        "°Bx",
        Field("brix", "Cooked to", most=98, open_least=True, first=60),
    ),
    Until.WEIGHT: Sign(
        "until the scale says",
        "g",
        Field("cooked_to_g", "Cooked to", open_least=True, first=500),
    ),
}
"""What a new one starts with is common practice: a filling caramel, a jam that keeps a while."""


@dataclass(frozen=True, slots=True)
class CookedTo:
    """Cooked until the thermometer [°C], the refractometer [°Bx] or the scale [g] says so.

    A weight is that of the whole formula at its own size.
    """

    until: Until
    value: float

    def __post_init__(self) -> None:
        SIGNS[self.until].field.check(self.value)


@dataclass(frozen=True, slots=True)
class Losses:
    """What does not arrive: boiled or baked off, left in the pan, tasted.

    Cooking is a share of what was weighed and not strained out; pan and tasting, with the liquid
    that what is strained out holds back, are shares of what is then left.
    Where `cooked_to` says until when, the share follows from it, and `cooking_percent` only
    stands in while it cannot be worked out.
    """

    cooking_percent: float = 0.0
    pan_percent: float = 0.0
    tasting_percent: float = 0.0
    cooked_to: CookedTo | None = None

    def __post_init__(self) -> None:
        check_range("cooking_percent", self.cooking_percent, most=95)
        check_range("pan_percent", self.pan_percent, most=50)
        check_range("tasting_percent", self.tasting_percent, most=25)


USUAL_LOSSES = Losses(pan_percent=practice("pan loss"))
"""What a new formula starts with; common practice, set per formula."""


@dataclass(frozen=True, slots=True)
class Formula:
    """An ordered list of lines with its losses and its air.

    `base_lines` are the lines percentages refer to together, such as all of the chocolate or
    all of the flour (none: the whole). A density from a weighed
    cup replaces the computed one; `gas_kept` is the share of its air that is left, where somebody
    said, else it is told by what is folded into what; `waits` are those of its method;
    `whole_eggs` asks for sheets with eggs that need not be weighed. `kind` is what it is, such as
    'mousse'.
    """

    key: str
    name: str
    lines: tuple[Line, ...] = ()
    base_lines: tuple[str, ...] = ()
    losses: Losses = field(default_factory=Losses)
    gas_kept: float | None = None
    measured_density_g_ml: float | None = None
    waits: tuple[Wait, ...] = ()
    whole_eggs: bool = False
    kind: str = ""

    def __post_init__(self) -> None:
        if self.gas_kept is not None:
            check_range("gas_kept", self.gas_kept, most=1)
        if self.measured_density_g_ml is not None:
            check_range("measured_density_g_ml", self.measured_density_g_ml, least=0.02, most=25)
        own = {line.key for line in self.lines}
        for key in self.base_lines:
            if key not in own:
                raise UnknownKey("base_lines", key, "one of the formula's own lines")


@dataclass(frozen=True)
class Book:
    """The ingredients and formulas a computation may refer to."""

    ingredients: tuple[Ingredient, ...] = ()
    formulas: tuple[Formula, ...] = ()

    @cached_property
    def _ingredient_by_key(self) -> dict[str, Ingredient]:
        return {ingredient.key: ingredient for ingredient in self.ingredients}

    @cached_property
    def _formula_by_key(self) -> dict[str, Formula]:
        return {formula.key: formula for formula in self.formulas}

    def ingredient(self, key: str) -> Ingredient:
        """The ingredient of that key; UnknownKey if there is none."""
        try:
            return self._ingredient_by_key[key]
        except KeyError:
            raise UnknownKey("ingredient", key, "in the pantry") from None

    def formula(self, key: str) -> Formula:
        """The formula of that key; UnknownKey if there is none."""
        try:
            return self._formula_by_key[key]
        except KeyError:
            raise UnknownKey("formula", key, "in the book") from None

    def line_name(self, line: Line) -> str:
        """The name of what a line weighs."""
        if line.ingredient is not None:
            return self.ingredient(line.ingredient).name
        return self.formula(line.formula or "").name

    def parts_of(self, key: str) -> Iterator[str]:
        """Keys of the formulas that stand as lines in a formula, in order."""
        return (line.formula for line in self.formula(key).lines if line.formula is not None)


def refuse_circle(book: Book, key: str) -> None:
    """Refuse a formula that contains itself, at any depth.

    Args:
        book: where the formulas are looked up [Book].
        key: the formula to start from [key].
    Returns:
        nothing [none].
    Raises:
        FormulaCircle: with the names along the circle.
        UnknownKey: a line points at a formula that is not in the book.
    Source:
        depth-first search.
    """
    _walk(book, key, [], set())


def _walk(book: Book, key: str, path: list[str], done: set[str]) -> None:
    if key in path:
        circle = [*path[path.index(key) :], key]
        raise FormulaCircle(tuple(book.formula(one).name for one in circle))
    if key in done:
        return
    path.append(key)
    for part in book.parts_of(key):
        _walk(book, part, path, done)
    path.pop()
    done.add(key)

"""The lines of a formula, ready to be weighed otherwise, and what they are put together."""

from collections.abc import Iterable, Iterator, Mapping
from dataclasses import dataclass, replace
from functools import cached_property

from fernbell.core.errors import Lacking, check_range
from fernbell.core.formulas.book import Book, Formula, Line
from fernbell.core.formulas.composition import (
    Composition,
    Raw,
    compose,
    cooked,
    gather,
    going_in,
    shares_of,
)
from fernbell.core.formulas.cooking import SOLUBLE, SOLUBLE_KINDS, dissolved
from fernbell.core.formulas.prices import price_per_g
from fernbell.core.formulas.sheets import FORMULA_STEP_G
from fernbell.core.heat import Solution
from fernbell.core.pantry import (
    COATINGS_FIRM,
    ChocolateKind,
    LineRole,
    chocolate_kind,
    coating_of,
    role_by,
    role_of,
)


@dataclass(frozen=True)
class Lines:
    """The lines of a formula, ready to be weighed otherwise; `made` is what is nested in it."""

    book: Book
    formula: Formula
    made: Mapping[str, Composition]
    altitude_m: float = 0.0
    currency: str = ""

    @cached_property
    def as_is(self) -> "Mix":
        """The formula at its own grams."""
        return Mix(self, tuple(line.mass_g for line in self.formula.lines), self._cooked(self.raw))

    @cached_property
    def raw(self) -> Raw:
        """Its batch before it is cooked."""
        return gather(self.book, self.formula, self.made)

    @cached_property
    def roles(self) -> tuple[LineRole, ...]:
        """What each line does in it."""
        return tuple(self._role(line) for line in self.formula.lines)

    @cached_property
    def coatings(self) -> tuple[float, ...]:
        """What a gram of each line firms as compound, beside its cocoa."""
        return tuple(_coating_share(self.book, line) for line in self.formula.lines)

    @cached_property
    def ganached(self) -> tuple[Mapping[str, float], ...]:
        """Of a gram of each line: chocolate by its kind, what firms in it, water bound [g].

        What is nested is looked through.
        """
        return tuple(_ganached(self.book, line, self.made) for line in self.formula.lines)

    @cached_property
    def chocolates(self) -> frozenset[ChocolateKind]:
        """The kinds of chocolate on its lines."""
        own = (
            self.book.ingredient(line.ingredient) for line in self.formula.lines if line.ingredient
        )
        return frozenset(one.chocolate.kind for one in own if one.chocolate)

    @cached_property
    def steps_g(self) -> tuple[float, ...]:
        """What each line is weighed to."""
        of = (line.ingredient for line in self.formula.lines)
        return tuple(
            FORMULA_STEP_G if one is None else self.book.ingredient(one).weigh_step_g for one in of
        )

    @cached_property
    def prices(self) -> tuple[tuple[float | None, tuple[str, ...]], ...]:
        """Price of a gram of each line, and whose price is wanted where it is unknown."""
        return price_per_g(self.book, self.formula)

    def _role(self, line: Line) -> LineRole:
        if line.ingredient is not None:
            return role_of(self.book.ingredient(line.ingredient))
        shares = shares_of(self.book, line, self.made)
        return role_by({name: 100 * own for name, own in shares.known})

    def _cooked(self, raw: Raw) -> Composition:
        return cooked(self.formula, raw, self.altitude_m)

    def mix(self, masses_g: Iterable[float] | None = None) -> "Mix":
        """The formula at these grams, or at its own; negative grams are refused."""
        if masses_g is None:
            return self.as_is
        masses = tuple(float(one) for one in masses_g)
        for mass in masses:
            check_range("mass_g", mass)
        return Mix(self, masses, self._cooked(gather(self.book, self.formula, self.made, masses)))

    def cooked_as(self, formula: Formula) -> "Mix":
        """The same grams cooked as another formula says."""
        other = replace(self, formula=formula)
        return Mix(other, self.as_is.masses_g, other._cooked(self.raw))

    def beside(self, masses_g: Iterable[float], steps_g: Iterable[float]) -> Iterator["Mix"]:
        """The formula at these grams with one line after the other a step heavier."""
        masses = tuple(float(one) for one in masses_g)
        raw = gather(self.book, self.formula, self.made, masses)
        for at, (line, step) in enumerate(zip(self.formula.lines, steps_g, strict=True)):
            more = raw.more(going_in(self.book, line, self.made), step)
            moved = (*masses[:at], masses[at] + step, *masses[at + 1 :])
            yield Mix(self, moved, self._cooked(more))

    def weighed(self, masses_g: Iterable[float]) -> Formula:
        """The formula with these grams on its lines."""
        pairs = zip(self.formula.lines, masses_g, strict=True)
        lines = tuple(
            line if line.mass_g == own else replace(line, mass_g=own) for line, own in pairs
        )
        return replace(self.formula, lines=lines)


@dataclass(frozen=True)
class Mix:
    """The lines of a formula put together at some grams: what a figure is read from."""

    lines: Lines
    masses_g: tuple[float, ...]
    own: Composition

    def grams(self, *parts: str) -> float:
        """Components after cooking [g]; refused while one is unknown or nothing is there."""
        if not self.own.mass_g > 0:
            raise Lacking("lines", f"Nothing of {self.own.name} weighs anything yet.")
        if not self.own.known(*parts):
            raise Lacking("make_up", self._unknown(*parts))
        return sum(self.own.grams[part] for part in parts)

    def _unknown(self, *parts: str) -> str:
        needs = self.own.needs(*parts)
        if needs:
            return f"The make-up of {', '.join(needs)} is unknown: enter it in the pantry."
        burnt = ", ".join(self.own.overcooked) or self.own.name
        return f"More cooks off than there is water in {burnt}."

    def of(self, roles: Iterable[LineRole]) -> float:
        """The lines that are of these roles, as weighed [g]."""
        wanted = tuple(roles)
        pairs = zip(self.masses_g, self.lines.roles, strict=True)
        return sum(g for g, role in pairs if role in wanted)

    @property
    def chocolate_g(self) -> Mapping[str, float]:
        """Grams of chocolate by its kind."""
        every = dict.fromkeys(key for own in self.lines.ganached for key in own)
        return {kind: self._ganached(kind) for kind in every if kind not in (FIRMING, BOUND)}

    @property
    def chocolate_firms_g(self) -> float:
        """What firms in its chocolate."""
        return self._ganached(FIRMING)

    @property
    def bound_water_g(self) -> float:
        """Water that came with what is no liquid."""
        return self._ganached(BOUND)

    def _ganached(self, what: str) -> float:
        pairs = zip(self.masses_g, self.lines.ganached, strict=True)
        return sum(g * own.get(what, 0.0) for g, own in pairs)

    @property
    def coating_g(self) -> float:
        """What compound firms beside its cocoa."""
        return sum(g * c for g, c in zip(self.masses_g, self.lines.coatings, strict=True))

    @property
    def finished_g(self) -> float:
        """What arrives."""
        losses = self.lines.formula.losses
        return self.own.mass_g * (1 - (losses.pan_percent + losses.tasting_percent) / 100)

    @cached_property
    def solution(self) -> Solution:
        """Its water and what is dissolved in it; Lacking where a make-up does not tell."""
        water = self.grams("water")
        if not self.own.known(*SOLUBLE, *SOLUBLE_KINDS):
            self.grams(*SOLUBLE, *SOLUBLE_KINDS)
        return Solution(water, dissolved(self.own.grams, self.own.kinds))


def lines_of(book: Book, key: str, *, altitude_m: float = 0.0, currency: str = "") -> Lines:
    """The lines of a formula of a book, with what is nested in it composed.

    Args:
        book: a settled book with make-ups and prices [Book].
        key: the formula [key].
        altitude_m: height of the kitchen above the sea [m].
        currency: what prices are in [text].
    Returns:
        its lines [Lines].
    Raises:
        FormulaCircle: it contains itself.
        UnknownKey: a line points at nothing.
    Source:
        mass balance, exact.
    """
    formula = book.formula(key)
    made = compose(book, book.parts_of(key), altitude_m=altitude_m)
    return Lines(book, formula, made, altitude_m, currency)


BINDING = frozenset(
    (LineRole.BUTTER, LineRole.SYRUP, LineRole.SUGAR, LineRole.EGG, LineRole.YOLK, LineRole.WHITE)
)
"""What brings water that softens no ganache: it is bound, or sets in the oven; common practice."""


FIRMING, BOUND = "what firms in it", "water bound"


def _ganached(book: Book, line: Line, made: Mapping[str, Composition]) -> Mapping[str, float]:
    """Of a gram of a line: chocolate by its kind, what firms in it, water that is bound [g]."""
    return {key: share * line.passes for key, share in _holds(book, line, made).items()}


def _holds(book: Book, line: Line, made: Mapping[str, Composition]) -> Mapping[str, float]:
    if line.formula is not None:
        within: dict[str, float] = {}
        for own in book.formula(line.formula).lines:
            for key, share in _ganached(book, own, made).items():
                within[key] = within.get(key, 0.0) + share * own.mass_g
        whole = made[line.formula].mass_g
        return {key: grams / whole for key, grams in within.items()} if whole > 0 else {}
    if line.ingredient is None:
        return {}
    ingredient = book.ingredient(line.ingredient)
    contents = ingredient.make_up
    if contents is None:
        return {}
    kind = chocolate_kind(ingredient)
    if kind:
        cocoa = ((contents.cocoa_butter or 0) + (contents.cocoa_solids or 0)) / 100
        return {kind: 1.0, FIRMING: cocoa + _coating_share(book, line)}
    return {BOUND: (contents.water or 0) / 100} if role_of(ingredient) in BINDING else {}


def _coating_share(book: Book, line: Line) -> float:
    """What a gram of a line firms as compound coating, beside the cocoa in it; 0 for all else.

    By the cream compound takes for a drip, beside couverture; common practice. What is nested is
    not looked through.
    """
    if line.ingredient is None:
        return 0.0
    ingredient = book.ingredient(line.ingredient)
    coating = coating_of(ingredient)
    if coating is None or ingredient.make_up is None:
        return 0.0
    cocoa = (ingredient.make_up.cocoa_butter or 0) + (ingredient.make_up.cocoa_solids or 0)
    return (COATINGS_FIRM[coating] - cocoa / 100) * line.passes

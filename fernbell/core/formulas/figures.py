"""Figures of a formula as bare numbers, for solving: what is divided by what."""

from collections.abc import Callable, Iterable, Iterator, Mapping, Sequence
from dataclasses import dataclass, replace
from functools import cached_property

from fernbell.core.errors import Lacking, check_range
from fernbell.core.formulas.book import Book, Formula, Line
from fernbell.core.formulas.composition import Composition, cooked, gather, shares_of
from fernbell.core.formulas.contents import READINGS
from fernbell.core.formulas.cooking import SOLUBLE, SOLUBLE_KINDS, dissolved
from fernbell.core.formulas.setting import coating_share, gelatin_g
from fernbell.core.formulas.sheets import FORMULA_STEP_G
from fernbell.core.formulas.sweetness import SWEET_PARTS, sweet_terms
from fernbell.core.formulas.waters import activity, boiling, without_alcohol
from fernbell.core.heat import Solution, boils_at, water_activity
from fernbell.core.pantry import FATS, ChocolateKind, Role, School, role_by, role_of
from fernbell.core.working import COMMON_PRACTICE, MASS_BALANCE, Given, Working, figure_text

HOLD_SOURCE = (
    "hold number, an index of this project: 1.6 % gelatin of 200 bloom on the water, or 20 % "
    "cocoa butter and dry cocoa on the whole, each hold a clean slice (common practice)"
)
GELATIN_SLICES, COCOA_SLICES = 1.6, 20.0


@dataclass(frozen=True)
class Lines:
    """The lines of a formula, ready to be weighed otherwise; `made` is what is nested in it."""

    book: Book
    formula: Formula
    made: Mapping[str, Composition]
    altitude_m: float = 0.0

    @cached_property
    def roles(self) -> tuple[Role, ...]:
        """What each line does in it."""
        return tuple(self._role(line) for line in self.formula.lines)

    @cached_property
    def coatings(self) -> tuple[float, ...]:
        """What a gram of each line firms as compound, beside its cocoa."""
        return tuple(coating_share(self.book, line) for line in self.formula.lines)

    @cached_property
    def chocolates(self) -> frozenset[ChocolateKind]:
        """The kinds of chocolate on its lines."""
        own = (self.book.ingredient(one.ingredient) for one in self.formula.lines if one.ingredient)
        return frozenset(one.chocolate.kind for one in own if one.chocolate)

    @cached_property
    def steps_g(self) -> tuple[float, ...]:
        """What each line is weighed to."""
        of = (line.ingredient for line in self.formula.lines)
        return tuple(
            FORMULA_STEP_G if one is None else self.book.ingredient(one).weigh_step_g for one in of
        )

    def _role(self, line: Line) -> Role:
        if line.ingredient is not None:
            return role_of(self.book.ingredient(line.ingredient))
        shares = shares_of(self.book, line, self.made)
        return role_by({name: 100 * own for name, own in shares.known})

    def mix(self, masses_g: Iterable[float] | None = None) -> "Mix":
        """The formula at these grams, or at its own; negative grams are refused."""
        masses = tuple(line.mass_g for line in self.formula.lines)
        if masses_g is not None:
            masses = tuple(float(one) for one in masses_g)
            for one in masses:
                check_range("mass_g", one)
        raw = gather(self.book, self.formula, self.made, masses)
        return Mix(self, masses, cooked(self.formula, raw, self.altitude_m))

    def beside(self, masses_g: Iterable[float], steps_g: Iterable[float]) -> Iterator["Mix"]:
        """The formula at these grams with one line after the other a step heavier."""
        masses = tuple(float(one) for one in masses_g)
        raw = gather(self.book, self.formula, self.made, masses)
        for at, (line, step) in enumerate(zip(self.formula.lines, steps_g, strict=True)):
            more = raw
            if not line.strained:
                more = raw.more(shares_of(self.book, line, self.made), step)
            moved = (*masses[:at], masses[at] + step, *masses[at + 1 :])
            yield Mix(self, moved, cooked(self.formula, more, self.altitude_m))

    def weighed(self, masses_g: Iterable[float]) -> Formula:
        """The formula with these grams on its lines."""
        pairs = zip(self.formula.lines, masses_g, strict=True)
        lines = tuple(
            line if line.mass_g == own else replace(line, mass_g=own) for line, own in pairs
        )
        return replace(self.formula, lines=lines)


@dataclass(frozen=True, slots=True)
class Mix:
    """The lines of a formula put together at some grams: what a figure is read from."""

    lines: Lines
    masses_g: tuple[float, ...]
    own: Composition

    def grams(self, *parts: str) -> float:
        """Grams of components after cooking; refused while one is unknown or nothing is there."""
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

    def of(self, roles: Iterable[Role]) -> float:
        """Grams of the lines that are of these roles, as weighed."""
        wanted = tuple(roles)
        pairs = zip(self.masses_g, self.lines.roles, strict=True)
        return sum(g for g, role in pairs if role in wanted)

    @property
    def coating_g(self) -> float:
        """What compound firms beside its cocoa."""
        return sum(g * c for g, c in zip(self.masses_g, self.lines.coatings, strict=True))

    @property
    def finished_g(self) -> float:
        """What arrives."""
        losses = self.lines.formula.losses
        return self.own.mass_g * (1 - (losses.pan_percent + losses.tasting_percent) / 100)


Read = Callable[[Mix], float]


@dataclass(frozen=True, slots=True)
class Figure:
    """One figure: scale x top / bottom, and what the two are in words.

    What is no quotient has a bottom of 1 and explains itself.
    """

    code: str
    name: str
    unit: str
    top: Read
    bottom: Read
    top_name: str
    bottom_name: str
    scale: float = 1.0
    source: str = MASS_BALANCE
    explain: Callable[[Mix], Working] | None = None

    def value(self, mix: Mix) -> float:
        """The figure of a mix; Lacking where it has none."""
        bottom = self.bottom(mix)
        if not bottom > 0:
            raise Lacking(self.code, f"There is no {self.bottom_name} in it to count on.")
        return self.scale * self.top(mix) / bottom

    def working(self, mix: Mix) -> Working:
        """The figure with its arithmetic."""
        if self.explain is not None:
            return self.explain(mix)
        value, top, bottom = self.value(mix), self.top(mix), self.bottom(mix)
        factor = "" if self.scale == 1 else f"{self.scale:g} × "
        result = f"{figure_text(value)} {self.unit}".strip()
        return Working(
            f"{self.name} of {mix.lines.formula.name}",
            value,
            self.unit,
            (Given(self.top_name, top, "g"), Given(self.bottom_name, bottom, "g")),
            f"{self.top_name} / {self.bottom_name}",
            f"{factor}{figure_text(top)} / {figure_text(bottom)} = {result}",
            self.source,
        )


def _one(mix: Mix) -> float:
    return 1.0


def _mass(mix: Mix) -> float:
    return mix.own.mass_g


def _percent(code: str, name: str, parts: Sequence[str]) -> Figure:
    return Figure(
        code, name, "%", lambda mix: mix.grams(*parts), _mass, name.lower(), "the whole", 100
    )


def _sweet(mix: Mix) -> float:
    mix.grams(*(part for part in SWEET_PARTS if part not in SOLUBLE_KINDS))
    if not mix.own.known(*SWEET_PARTS):
        mix.grams(*SWEET_PARTS)
    return sum(g * sweet for _, g, sweet in sweet_terms(mix.own))


def _gelatin(mix: Mix) -> float:
    if not mix.own.known("gelatin", "bloom"):
        mix.grams("bloom")
    return gelatin_g(mix.own, School.SQUARE_ROOT)


def _solution(mix: Mix) -> Solution:
    water = mix.grams("water")
    if not mix.own.known(*SOLUBLE, *SOLUBLE_KINDS):
        mix.grams(*SOLUBLE, *SOLUBLE_KINDS)
    return Solution(water, dissolved(mix.own.grams, mix.own.kinds))


def _boils(mix: Mix) -> float:
    return boils_at(without_alcohol(_solution(mix)), mix.lines.altitude_m)


def _explain_boils(mix: Mix) -> Working:
    return boiling(mix.own, _solution(mix), mix.lines.altitude_m)


def _explain_activity(mix: Mix) -> Working:
    return activity(mix.own, _solution(mix))


def hold_parts(mix: Mix) -> tuple[float, float]:
    """What of the hold number comes of gelatin, and what of cocoa.

    Args:
        mix: the formula [Mix].
    Returns:
        by gelatin, by cocoa and compound [1].
    Raises:
        Lacking: an unknown make-up, or nothing in it.
    Source:
        an index of this project, see HOLD_SOURCE.
    """
    cocoa = mix.grams("cocoa_butter", "cocoa_solids") + mix.coating_g
    gelatin = _gelatin(mix)
    water = mix.grams("water") if gelatin else 1.0
    return (
        100 * gelatin / water / GELATIN_SLICES,
        100 * cocoa / mix.own.mass_g / COCOA_SLICES,
    )


def _explain_hold(mix: Mix) -> Working:
    by_gelatin, by_cocoa = hold_parts(mix)
    gelatin, water = _gelatin(mix), mix.grams("water")
    cocoa = mix.grams("cocoa_butter", "cocoa_solids") + mix.coating_g
    return Working(
        f"Hold number of {mix.lines.formula.name}",
        by_gelatin + by_cocoa,
        "",
        (
            Given("gelatin as of 200 bloom", gelatin, "g"),
            Given("water", water, "g"),
            Given("cocoa butter and dry cocoa", cocoa, "g"),
            Given("the whole", mix.own.mass_g, "g"),
        ),
        f"gelatin on the water / {GELATIN_SLICES:g} % + cocoa on the whole / {COCOA_SLICES:g} %",
        f"100 × {figure_text(gelatin)} / {figure_text(water)} / {GELATIN_SLICES:g} + "
        f"100 × {figure_text(cocoa)} / {figure_text(mix.own.mass_g)} / {COCOA_SLICES:g} = "
        f"{figure_text(by_gelatin)} + {figure_text(by_cocoa)} = "
        f"{figure_text(by_gelatin + by_cocoa)}",
        HOLD_SOURCE,
    )


def _cost(mix: Mix) -> float:
    total, book = 0.0, mix.lines.book
    for line, grams in zip(mix.lines.formula.lines, mix.masses_g, strict=True):
        price = None
        if line.ingredient is not None:
            price = book.ingredient(line.ingredient).price_per_kg
        if price is None and grams:
            name = book.line_name(line)
            raise Lacking("price", f"The price of {name} is unknown: enter it in the pantry.")
        total += grams * (price or 0.0) / 1000
    return total


_FIGURES = (
    _percent("water", "Water", ("water",)),
    Figure(
        "solids",
        "Solids",
        "%",
        lambda mix: mix.own.mass_g - mix.grams("water", "alcohol"),
        _mass,
        "all but water and alcohol",
        "the whole",
        100,
    ),
    _percent("fat", "Fat", READINGS["Fat"]),
    _percent("sugars", "Sugars", READINGS["Sugars"]),
    _percent("milk-fat", "Milk fat", READINGS["Milk fat"]),
    _percent("cocoa-butter", "Cocoa butter", READINGS["Cocoa butter"]),
    Figure(
        "sweetness",
        "Sweetness",
        "sugar = 100",
        _sweet,
        _mass,
        "sugars, each by its sweetness",
        "the whole",
        100,
    ),
    Figure(
        "gelatin-water",
        "Gelatin on the water",
        "%",
        _gelatin,
        lambda mix: mix.grams("water"),
        "gelatin as of 200 bloom",
        "water",
        100,
    ),
    Figure(
        "set-number",
        "Set number",
        "",
        lambda mix: mix.grams("cocoa_butter", "cocoa_solids") + mix.coating_g,
        lambda mix: mix.grams("water"),
        "cocoa butter and dry cocoa",
        "water",
        source="set number, an index of this project: what firms / what softens; not published",
    ),
    Figure(
        "fat-water",
        "Fat for each part of water",
        "",
        lambda mix: mix.grams(*FATS),
        lambda mix: mix.grams("water"),
        "fat",
        "water",
    ),
    Figure(
        "hold",
        "Hold number",
        "",
        lambda mix: sum(hold_parts(mix)),
        _one,
        "gelatin and cocoa",
        "",
        source=HOLD_SOURCE,
        explain=_explain_hold,
    ),
    Figure(
        "water-activity",
        "Water activity",
        "",
        lambda mix: water_activity(_solution(mix)),
        _one,
        "water activity by Norrish",
        "",
        source="Norrish 1966, constants of Chirife et al. 1980, from memory",
        explain=_explain_activity,
    ),
    Figure(
        "boils",
        "Boils at, here",
        "°C",
        _boils,
        _one,
        "boiling point of a sucrose syrup of the same strength",
        "",
        source="boiling curve of syrups",
        explain=_explain_boils,
    ),
    Figure(
        "brix",
        "Brix",
        "°Bx",
        lambda mix: _solution(mix).solids_g,
        lambda mix: _solution(mix).solids_g + mix.grams("water"),
        "what is dissolved",
        "it and the water",
        100,
    ),
    Figure("cost", "Cost", "in 100 g", _cost, lambda mix: mix.finished_g, "lines", "arrives", 100),
)
FIGURES: Mapping[str, Figure] = {one.code: one for one in _FIGURES}
"""Figures that can be demanded or turned, by code."""


def ratio(
    code: str, name: str, top: tuple[Role, ...], bottom: tuple[Role, ...], *, percent: bool = True
) -> Figure:
    """A figure that sets grams of some lines against grams of others, as weighed.

    Args:
        code: what it is called by programs [text].
        name: what it is called [text].
        top: roles of the lines above, shape (n,) [Role].
        bottom: roles of the lines below, shape (n,) [Role].
        percent: whether it counts in per cent, else in parts [bool].
    Returns:
        the figure [% or 1].
    Source:
        baker's percentages, common practice.
    """
    return Figure(
        code,
        name,
        "%" if percent else "",
        lambda mix: mix.of(top),
        lambda mix: mix.of(bottom),
        _words(top),
        _words(bottom),
        100 if percent else 1,
        COMMON_PRACTICE,
    )


def _words(roles: tuple[Role, ...]) -> str:
    return " and ".join(dict.fromkeys(roles))

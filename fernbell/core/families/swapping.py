"""One ingredient for another: the straight swap, and the one that keeps what the formula is for."""

from collections.abc import Iterator, Mapping
from dataclasses import dataclass, replace

from fernbell.core.errors import CoreError, UnknownKey
from fernbell.core.families.family import Dial
from fernbell.core.families.swap_notes import SUGAR_APART, Note, sugars_of, swap_notes
from fernbell.core.fitting import Demand, Finished, Locked, Reads, Unsettled, fit
from fernbell.core.formulas import FIGURES, Book, Figure, Formula, Line, Lines
from fernbell.core.pantry import SWEETS, Ingredient, LineRole, is_leaf, role_of
from fernbell.starter.practice import practice

AS_BEFORE = practice("swap keeps the dial within")
"""How far a dial that is kept may be off, as a share; a scale rounds more than that."""

ALIKE = practice("swap keeps within")
"""How far another figure may be off and still count as kept."""

MOVED = 0.02
"""Share of itself from which a reading has moved by a swap; less is rounding to the scale."""

FARTHEST = practice("swap moves a line by at most")
"""A figure beside the dial is given up where a line would move by more than this share for it."""

KEPT: Mapping[LineRole, tuple[str, ...]] = {
    LineRole.CHOCOLATE: ("fat", "sweetness"),
    LineRole.CREAM: ("fat", "water"),
    LineRole.MILK: ("fat", "water"),
    LineRole.SUGAR: ("sweetness", "water"),
    LineRole.SYRUP: ("sweetness", "water"),
    LineRole.BUTTER: ("fat", "water"),
    LineRole.OIL: ("fat",),
    LineRole.GELATIN: ("gelatin-water",),
    LineRole.FRUIT: ("sweetness", "water"),
}
"""What is kept beside the dial where it can be, by what is exchanged; common practice."""

SETS: Mapping[str, float] = {
    "NH": practice("pectin for gelatin"),
    "LM": practice("pectin for gelatin"),
    "yellow": practice("yellow pectin for gelatin"),
    "agar": practice("agar for gelatin"),
}
"""Grams of a gum in the place of one of gelatin of 200 bloom, by kind; common practice."""


@dataclass(frozen=True, slots=True)
class Kept:
    """A figure the swap was asked to keep: before, after, and whether it could."""

    name: str
    unit: str
    before: float
    after: float
    kept: bool


@dataclass(frozen=True, slots=True)
class Swap:
    """A swap: the same grams, and the rebalanced formula; what is kept and what no swap keeps.

    `book` holds the new ingredient; `notes` say what the method changes.
    """

    book: Book
    straight: Formula
    rebalanced: Formula
    kept: tuple[Kept, ...]
    notes: tuple[Note, ...]

    @property
    def both(self) -> tuple[Formula, Formula]:
        """The straight formula and the rebalanced one."""
        return self.straight, self.rebalanced


def swap(
    lines: Lines,
    old: str,
    new: Ingredient,
    dial: Dial | None = None,
    kind: str = "",
    locked: tuple[str, ...] = (),
    sugar: Ingredient | None = None,
) -> Swap:
    """Exchange an ingredient in all its lines.

    The rebalanced formula is the nearest to the straight one that arrives in the same mass,
    with its dial where it was, and with what else can be kept; one figure after the other is
    asked and given up where it cannot be met beside those before it.

    Args:
        lines: the formula [Lines].
        old: key of the ingredient that goes [key].
        new: the ingredient that comes [Ingredient].
        dial: what the formula is set by, if that is said [Dial].
        kind: its kind, such as 'mousse' [text].
        locked: keys of lines that stay as they are, shape (n,) [keys].
        sugar: what brings back the sugar that goes with a sweeter chocolate, where no line of the
            formula can; it comes as a line of its own, at 0 g in the straight one [Ingredient].
    Returns:
        both formulas, what is kept, what the method changes [Swap].
    Raises:
        UnknownKey: the old ingredient is in none of its lines.
        CoreError: the new one does not set, or a figure cannot be read.
    Source:
        least relative change (see fitting); what to keep is common practice.
    """
    formula, was = lines.formula, lines.book.ingredient(old)
    if all(line.ingredient != old for line in formula.lines):
        raise UnknownKey("ingredient", was.name, f"one of the lines of {formula.name}")
    others = (one for one in lines.book.ingredients if one.key not in (old, new.key))
    book = Book((*others, was, new), lines.book.formulas)
    exchanged = tuple(
        replace(line, ingredient=new.key, soaked=_soaked(line, was, new))
        if line.ingredient == old
        else line
        for line in formula.lines
    )
    book, straight, begun = _sugared(
        book, replace(formula, lines=exchanged), sugar, _brought_back(lines, was, new)
    )
    after = replace(lines, book=book, formula=begun)
    if role_of(was) is LineRole.GELATIN and role_of(new) is LineRole.GUM:
        wanted: tuple[Figure, ...] = ()
        rebalanced = _other_set(after, was, new)
    else:
        cooked = formula.losses.cooked_to is not None
        wanted = _wanted(dial, role_of(was), role_of(new), cooked=cooked)
        rebalanced = _rebalance(lines, after, wanted, locked, dial)
    there = replace(after, formula=rebalanced)
    kept = tuple(_kept(one, lines, there) for one in wanted if _read(one, lines) is not None)
    whips = any(line.overrun_percent for line in exchanged if line.ingredient == new.key)
    notes = swap_notes(was, new, kind, whips=whips, others=tuple(_held(lines.book, formula, old)))
    return Swap(book, straight, rebalanced, kept, notes)


def _soaked(line: Line, was: Ingredient, new: Ingredient) -> float:
    """What leaves of gelatin take up goes with them; powder blooms in as much."""
    return 0.0 if is_leaf(was) and role_of(new) is not LineRole.GELATIN else line.soaked


BROUGHT = "sugar-back"
"""Key of the line that brings back what sugar a swap takes away."""


def _sugared(
    book: Book, straight: Formula, sugar: Ingredient | None, brought_g: float
) -> tuple[Book, Formula, Formula]:
    """The book, the straight formula and the one to rebalance, with a line for the sugar."""
    if sugar is None or not brought_g > 0:
        return book, straight, straight
    if sugar.key not in {one.key for one in book.ingredients}:
        book = Book((*book.ingredients, sugar), book.formulas)
    none, some = (Line(BROUGHT, grams, ingredient=sugar.key) for grams in (0.0, brought_g))
    return (
        book,
        replace(straight, lines=(*straight.lines, none)),
        replace(straight, lines=(*straight.lines, some)),
    )


def _brought_back(lines: Lines, was: Ingredient, new: Ingredient) -> float:
    """Sugar that goes with a chocolate and no line of the formula can bring back [g]."""
    if was.chocolate is None or was.make_up is None or new.make_up is None:
        return 0.0
    if role_of(new) is not LineRole.CHOCOLATE or any(
        role is LineRole.SUGAR for role in lines.roles
    ):
        return 0.0
    less = sugars_of(was) - sugars_of(new)
    grams = sum(line.mass_g for line in lines.formula.lines if line.ingredient == was.key)
    return grams * less / 100 if less >= SUGAR_APART else 0.0


def _held(book: Book, formula: Formula, without: str) -> Iterator[Ingredient]:
    """What is in a formula and in those nested in it, but for one ingredient of its own lines."""
    for line in formula.lines:
        if line.formula is not None:
            yield from _held(book, book.formula(line.formula), "")
        elif line.ingredient is not None and line.ingredient != without:
            yield book.ingredient(line.ingredient)


def _wanted(
    dial: Dial | None, before: LineRole, after: LineRole, *, cooked: bool
) -> tuple[Figure, ...]:
    codes = [*KEPT.get(before, ()), *(KEPT.get(after, ()) if after is not before else ())]
    if cooked:
        # What is cooked to a sign has the water its sign leaves.
        codes = [code for code in codes if code != "water"]
    figures = ([dial.figure] if dial else []) + [FIGURES[code] for code in codes]
    unique = {figure.code: figure for figure in figures}
    return tuple(unique.values())


def _rebalance(
    before: Lines,
    after: Lines,
    wanted: tuple[Figure, ...],
    locked: tuple[str, ...],
    dial: Dial | None,
) -> Formula:
    asked: tuple[Demand, ...] = (
        Finished(before.mix().finished_g),
        *(Locked(key) for key in locked),
    )
    best = fit(after, asked).formula
    for figure in wanted:
        value, set_by = _read(figure, before), dial is not None and figure is dial.figure
        if value is None:
            continue
        near = (AS_BEFORE if set_by else ALIKE / 2) * abs(value)
        more = (*asked, Reads(figure, value - near, value + near))
        try:
            found = fit(after, more)
        except (Unsettled, CoreError):
            continue
        if found.met and (set_by or _modest(best, found.formula, after.roles)):
            asked, best = more, found.formula
    return best


def _modest(before: Formula, after: Formula, roles: tuple[LineRole, ...]) -> bool:
    """Whether no line moves far; sugar and syrup move as far as the balance needs."""
    trios = zip(before.lines, after.lines, roles, strict=True)
    return all(
        role in SWEETS or abs(now.mass_g - was.mass_g) <= FARTHEST * was.mass_g
        for was, now, role in trios
    )


def _read(figure: Figure, lines: Lines) -> float | None:
    try:
        return figure.value(lines.mix())
    except CoreError:
        return None


def _kept(figure: Figure, before: Lines, after: Lines) -> Kept:
    was = _read(figure, before) or 0.0
    now = _read(figure, after)
    far = abs((now or 0.0) - was) > ALIKE * max(abs(was), 1e-9)
    return Kept(figure.name, figure.unit, was, now or 0.0, now is not None and not far)


def _other_set(after: Lines, was: Ingredient, new: Ingredient) -> Formula:
    """A gum in the place of gelatin, by the doses of practice."""
    own = new.make_up.pectin_kind if new.make_up else ""
    if own not in SETS:
        raise CoreError("ingredient", new.name, "something that sets: pectin or agar")
    bloom = (was.make_up.bloom if was.make_up else None) or 200.0
    factor = SETS[own] * (bloom / 200.0) ** 0.5
    return after.weighed(
        round(line.mass_g * factor, 1) if line.ingredient == new.key else line.mass_g
        for line in after.formula.lines
    )

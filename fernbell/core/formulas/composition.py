"""What a formula is made of, from what goes into it: mass is conserved component by component."""

from collections.abc import Iterable, Iterator, Mapping, Sequence
from dataclasses import dataclass, field, replace
from functools import lru_cache

from fernbell.core.formulas.book import Book, Formula, Line
from fernbell.core.formulas.cooking import REST, SALTS, Cooking, cook
from fernbell.core.formulas.readings import building_order
from fernbell.core.pantry import (
    COMPONENTS,
    TOLD_BY,
    Ingredient,
    MakeUp,
    dissolved_rest,
    dissolved_salts,
    is_leaf,
)

Kind = tuple[str, str | float]
"""A component and of which kind it is: ('gelatin', 200.0), ('polyols', 'sorbitol')."""

GELATIN_LEAF = "gelatin leaf"
"""Gelatin in leaves, told apart from powder: leaves of every grade set alike, leaf for leaf."""


@dataclass(frozen=True, slots=True)
class Composition:
    """Grams of each component in what is left of a formula after cooking.

    A component is missing where one of the ingredients leaves it unknown; `unknown` names, by
    component, whose make-up would have to be known, and by the field of a kind (bloom) where
    that is. `kinds` are the grams of components that are not all alike, by kind. `overcooked`
    names the formulas in which more cooks off than there is water, which leaves the water
    unknown.
    """

    name: str
    mass_g: float
    grams: Mapping[str, float]
    unknown: Mapping[str, tuple[str, ...]]
    overcooked: tuple[str, ...] = ()
    kinds: Mapping[Kind, float] = field(default_factory=dict)
    cooking: Cooking = field(default_factory=Cooking)

    def needs(self, *parts: str) -> tuple[str, ...]:
        """Names of the ingredients without whose make-up these cannot be told."""
        whose = (one for part in parts for one in self.unknown.get(part, ()))
        return tuple(dict.fromkeys(whose))

    def known(self, *parts: str) -> bool:
        """Whether there is something, and all these components and kinds of it are known."""
        return self.mass_g > 0 and not any(part in self.unknown for part in parts)


def compose(book: Book, keys: Iterable[str], *, altitude_m: float = 0.0) -> dict[str, Composition]:
    """Compose formulas and everything nested in them.

    What cooks off is counted as water; what stays in the pan or is tasted has the same make-up.

    Args:
        book: where formulas and ingredients are looked up [Book].
        keys: the formulas wanted [keys].
        altitude_m: height of the kitchen above the sea, for what is cooked to a temperature [m].
    Returns:
        compositions by key, in building order [g].
    Raises:
        FormulaCircle: one of them contains itself.
        UnknownKey: a line points at nothing.
    Source:
        mass balance, exact.
    """
    made: dict[str, Composition] = {}
    for key in building_order(book, keys):
        formula = book.formula(key)
        made[key] = cooked(formula, gather(book, formula, made), altitude_m)
    return made


def settled(book: Book, keys: Iterable[str], *, altitude_m: float = 0.0) -> Book:
    """The book with every share that cooks off worked out where a formula is cooked until a sign.

    Args:
        book: formulas and ingredients with their make-ups [Book].
        keys: the formulas wanted [keys].
        altitude_m: height of the kitchen above the sea [m].
    Returns:
        the same book; unchanged where nothing is cooked to a sign [Book].
    Raises:
        FormulaCircle: one of them contains itself.
        UnknownKey: a line points at nothing.
    Source:
        mass balance and the boiling curve.
    """
    if all(one.losses.cooked_to is None for one in book.formulas):
        return book
    wanted = building_order(book, keys)
    until = [key for key in wanted if book.formula(key).losses.cooked_to is not None]
    made = compose(book, until, altitude_m=altitude_m)

    def settle(formula: Formula) -> Formula:
        if formula.key not in until:
            return formula
        share = made[formula.key].cooking.percent
        return replace(formula, losses=replace(formula.losses, cooking_percent=share))

    return Book(book.ingredients, tuple(settle(one) for one in book.formulas))


@dataclass(frozen=True, slots=True)
class Shares:
    """What one gram of a line holds: components, kinds, and whose make-up the rest wants.

    `goes_in` is what of it goes on into the formula, with the water it took up [g].
    """

    known: tuple[tuple[str, float], ...]
    kinds: tuple[tuple[Kind, float], ...]
    lacking: Mapping[str, tuple[str, ...]]
    overcooked: tuple[str, ...] = ()
    goes_in: float = 1.0


@dataclass(frozen=True, slots=True)
class Raw:
    """A batch before it is cooked [g], as `Composition` has it after."""

    batch_g: float
    grams: Mapping[str, float]
    kinds: Mapping[Kind, float]
    unknown: Mapping[str, tuple[str, ...]]
    overcooked: tuple[str, ...]

    def more(self, shares: Shares, mass_g: float) -> "Raw":
        """The same with so much more of something that leaves nothing else unknown."""
        grams, kinds = dict(self.grams), dict(self.kinds)
        for name, share in shares.known:
            grams[name] += mass_g * share
        for kind, share in shares.kinds:
            kinds[kind] = kinds.get(kind, 0.0) + mass_g * share
        batch = self.batch_g + mass_g * shares.goes_in
        return replace(self, batch_g=batch, grams=grams, kinds=kinds)


def gather(
    book: Book,
    formula: Formula,
    made: Mapping[str, Composition],
    masses_g: Sequence[float] | None = None,
) -> Raw:
    """Put the lines of a formula together.

    Args:
        book: where ingredients are looked up [Book].
        formula: the formula [Formula].
        made: compositions of what is nested in it [g].
        masses_g: in place of the grams of its lines, shape (n,) [g].
    Returns:
        the batch before cooking [g].
    Raises:
        UnknownKey: a line points at nothing.
    Source:
        mass balance, exact.
    """
    grams = dict.fromkeys(COMPONENTS, 0.0)
    kinds: dict[Kind, float] = {}
    unknown: dict[str, dict[str, None]] = {}
    overcooked: dict[str, None] = {}
    batch = 0.0
    for at, line in enumerate(formula.lines):
        mass = line.mass_g if masses_g is None else masses_g[at]
        if not mass:
            continue
        shares = going_in(book, line, made)
        batch += mass * shares.goes_in
        for name, share in shares.known:
            grams[name] += mass * share
        for kind, share in shares.kinds:
            kinds[kind] = kinds.get(kind, 0.0) + mass * share
        if shares.lacking:
            for name, whose in shares.lacking.items():
                unknown.setdefault(name, {}).update(dict.fromkeys(whose))
        overcooked.update(dict.fromkeys(shares.overcooked))
    lacking = {name: tuple(whose) for name, whose in unknown.items()}
    return Raw(batch, grams, kinds, lacking, tuple(overcooked))


def cooked(formula: Formula, raw: Raw, altitude_m: float = 0.0) -> Composition:
    """What is left of a batch when it is cooked as a formula says.

    Args:
        formula: whose losses are followed [Formula].
        raw: the batch before cooking [g].
        altitude_m: height of the kitchen above the sea [m].
    Returns:
        its composition [g].
    Source:
        mass balance; what cooks off is counted as water.
    """
    cooking = cook(formula, raw.batch_g, raw.grams, raw.kinds, raw.unknown, altitude_m)
    grams, unknown, overcooked = dict(raw.grams), dict(raw.unknown), raw.overcooked
    grams["water"] -= cooking.lost_g
    if abs(grams["water"]) < 1e-9 * raw.batch_g:
        grams["water"] = 0.0
    if grams["water"] < 0 and "water" not in unknown:
        overcooked = (*overcooked, formula.name)
    if overcooked:
        unknown.setdefault("water", ())
    return Composition(
        formula.name,
        raw.batch_g - cooking.lost_g,
        {name: gram for name, gram in grams.items() if name not in unknown},
        unknown,
        overcooked,
        raw.kinds,
        cooking,
    )


def shares_of(book: Book, line: Line, made: Mapping[str, Composition]) -> Shares:
    """What one gram of a line holds.

    Args:
        book: where ingredients are looked up [Book].
        line: the line [Line].
        made: compositions of the formulas that stand as lines [g].
    Returns:
        shares of its mass, and whose make-up the rest wants [1].
    Raises:
        UnknownKey: the line points at nothing.
    Source:
        the make-ups are the pantry's.
    """
    if line.formula is None:
        ingredient = book.ingredient(line.ingredient or "")
        return _pure(ingredient)
    nested = made[line.formula]
    if nested.mass_g <= 0:
        return Shares((), (), dict.fromkeys(COMPONENTS, (nested.name,)))
    return Shares(
        tuple((name, gram / nested.mass_g) for name, gram in nested.grams.items() if gram),
        tuple((kind, own / nested.mass_g) for kind, own in nested.kinds.items()),
        nested.unknown,
        nested.overcooked,
    )


def going_in(book: Book, line: Line, made: Mapping[str, Composition]) -> Shares:
    """What one weighed gram of a line brings into its formula.

    Args:
        book: where ingredients are looked up [Book].
        line: the line [Line].
        made: compositions of the formulas that stand as lines [g].
    Returns:
        shares of a gram, without what stays in the sieve and with the water it took up [1].
    Raises:
        UnknownKey: the line points at nothing.
    Source:
        mass balance; what stays in the sieve is counted as of the same make-up.
    """
    if not line.passes:
        return Shares((), (), {}, goes_in=0.0)
    plain = shares_of(book, line, made)
    if line.passes == 1 and not line.soaked:
        return plain
    held = (*plain.known, ("water", line.soaked))
    return replace(
        plain,
        known=tuple((name, share * line.passes) for name, share in held),
        kinds=tuple((kind, share * line.passes) for kind, share in plain.kinds),
        goes_in=line.passes * (1 + line.soaked),
    )


@lru_cache(maxsize=4096)
def _pure(ingredient: Ingredient) -> Shares:
    name, make_up = ingredient.name, ingredient.make_up
    own = make_up.known if make_up else {}
    lacking = dict.fromkeys((one for one in COMPONENTS if one not in own), (name,))
    kinds = tuple(_kinds(make_up)) if make_up else ()
    for component, told in TOLD_BY.items():
        if own.get(component) and not any(kind[0] == component for kind, _ in kinds):
            lacking[told] = (name,)
    if is_leaf(ingredient):
        kinds = tuple(
            ((GELATIN_LEAF, kind), share) if part == "gelatin" else ((part, kind), share)
            for (part, kind), share in kinds
        )
    for beside, grams in ((SALTS, dissolved_salts(ingredient)), (REST, dissolved_rest(ingredient))):
        if grams:
            kinds = (*kinds, ((beside, ""), grams / 100))
    return Shares(tuple((one, g / 100) for one, g in own.items() if g), kinds, lacking)


def _kinds(make_up: MakeUp) -> Iterator[tuple[Kind, float]]:
    """Shares of the components that are of a kind, where the kind is known."""
    for component, told in TOLD_BY.items():
        grams, kind = getattr(make_up, component), getattr(make_up, told)
        if grams and kind:
            yield (component, kind), grams / 100

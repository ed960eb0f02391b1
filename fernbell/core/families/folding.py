"""Cream folded into a base: at which temperature it ends, and which base melts or seizes it."""

from collections.abc import Mapping

from fernbell.core.errors import Lacking
from fernbell.core.findings import Finding, Severity
from fernbell.core.formulas import Composition, Lines, Step, compose
from fernbell.core.formulas.book import Book, Formula
from fernbell.core.formulas.judging import Judged
from fernbell.core.heat import (
    MILK_FAT_MELTS_KJ_KG,
    MIXING_SOURCE,
    Portion,
    heat_between,
    mixed_at,
)
from fernbell.core.pantry import FATS, SUGARS, ChocolateKind, LineRole
from fernbell.core.working import COMMON_PRACTICE, Given, Working, figure_text

CREAM_C = 4.0
_GROUPS: Mapping[str, tuple[str, ...]] = {
    "water": ("water", "alcohol"),
    "protein": ("protein", "gelatin"),
    "fat": FATS,
    "carbohydrate": (
        *SUGARS,
        *("glucose_syrup_solids", "polyols", "starch", "other_carbohydrate", "acids"),
        "cocoa_solids",
    ),
    "fiber": ("fiber", "pectin"),
    "ash": ("ash", "salt"),
}
"""Components by group of the specific heats; dry cocoa and acids count as carbohydrate."""

FOLDS_AT: Mapping[ChocolateKind, tuple[float, float]] = {
    ChocolateKind.DARK: (35, 40),
    ChocolateKind.COMPOUND: (35, 40),
    ChocolateKind.MILK: (30, 35),
    ChocolateKind.WHITE: (30, 35),
}
"""Chocolate base before the cream goes in, the firmest first [°C]; common practice."""

GELATIN_FOLDS_AT = (25.0, 32.0)
"""The same of a base set by gelatin alone [°C]; common practice."""


def folding(lines: Lines, steps: tuple[Step, ...]) -> Working | None:
    """At which temperature a fold ends: cream of 4 °C into the base at the step's temperature.

    Args:
        lines: the formula [Lines].
        steps: its method, shape (n,) [Step].
    Returns:
        the temperature with its working; None where no cream is folded at a temperature [°C].
    Raises:
        Lacking: a make-up that is not known.
    Source:
        heat balance, Choi and Okos; a third of the milk fat melts on the way, from memory.
    """
    at = _fold(lines, steps)
    if at is None or at.temperature_c is None or at.temperature_c <= CREAM_C:
        return None
    parts = [_part(lines, at.stage, cream=cream) for cream in (True, False)]
    cold, warm = parts
    if not cold.mass_g or not warm.mass_g:
        return None
    base = Portion(warm.mass_g, at.temperature_c, _shares(warm))
    cold_shares = _shares(cold)
    melts = cold.grams["milk_fat"] / 1000 * MILK_FAT_MELTS_KJ_KG
    value = mixed_at((base, Portion(cold.mass_g, CREAM_C, cold_shares, melts)))
    given_up = warm.mass_g / 1000 * heat_between(base.shares, value, at.temperature_c)
    taken = cold.mass_g / 1000 * heat_between(cold_shares, CREAM_C, value)
    per_k = (given_up / (at.temperature_c - value), taken / (value - CREAM_C))
    return Working(
        figure=f"{lines.formula.name}, folded",
        value=value,
        unit="°C",
        given=(
            Given("base", warm.mass_g, "g"),
            Given("base is at", at.temperature_c, "°C"),
            Given("cream", cold.mass_g, "g"),
            Given("cream is at", CREAM_C, "°C"),
            Given("base, for each degree", per_k[0], "kJ"),
            Given("cream, for each degree", per_k[1], "kJ"),
            Given("its milk fat takes, melting", melts, "kJ"),
        ),
        law="what the base gives up, the cream takes",
        arithmetic=f"{figure_text(per_k[0])} × ({at.temperature_c:g} − {value:.1f}) = "
        f"{figure_text(given_up)} kJ; {figure_text(per_k[1])} × ({value:.1f} − {CREAM_C:g}) + "
        f"{figure_text(melts)} = {figure_text(taken + melts)} kJ",
        source=MIXING_SOURCE,
    )


def judge_fold(kind: str, lines: Lines, steps: tuple[Step, ...]) -> tuple[Judged, ...]:
    """Say where the base of a mousse is outside its window when the cream goes in.

    Args:
        kind: kind of the formula; only a mousse is judged [text].
        lines: the formula [Lines].
        steps: its method, shape (n,) [Step].
    Returns:
        one finding at most [Judged].
    Source:
        windows of common practice.
    """
    at, base = _fold(lines, steps), _base(lines)
    if kind != "mousse" or at is None or at.temperature_c is None or base is None:
        return ()
    name, (least, most) = base
    warmest = at.warmest_c or at.temperature_c
    hot = warmest > most + 1
    if not hot and at.temperature_c >= least - 1:
        return ()
    celsius = warmest if hot else at.temperature_c
    why = (
        "It melts the cream's fat and drops the air."
        if hot
        else "It sets in specks or strings before the cream is in."
    )
    word = "above" if hot else "below"
    edge = most if hot else least
    return (
        Judged(
            Finding(
                code="fold-hot" if hot else "fold-cold",
                severity=Severity.CAUTION,
                message=f"Cream goes into a base of {celsius:g} °C, {word} {edge:g} °C.",
                why=why,
                remedy=f"Fold at {least:g}-{most:g} °C: it is set by {name}.",
                source=COMMON_PRACTICE,
                formula=lines.formula.key,
            )
        ),
    )


def _fold(lines: Lines, steps: tuple[Step, ...]) -> Step | None:
    """The step at which whipped cream goes in."""
    pairs = zip(lines.formula.lines, lines.roles, strict=True)
    stages = {line.stage for line, role in pairs if _is_cream(line.overrun_percent, role)}
    return next((step for step in steps if step.stage and step.stage in stages), None)


def _is_cream(overrun_percent: float, role: LineRole) -> bool:
    return role is LineRole.CREAM and overrun_percent > 0


def _part(lines: Lines, stage: str, *, cream: bool) -> Composition:
    """The whipped cream of a stage, or all the rest, as a formula of its own."""
    pairs = zip(lines.formula.lines, lines.roles, strict=True)
    own = tuple(
        line
        for line, role in pairs
        if (_is_cream(line.overrun_percent, role) and line.stage == stage) is cream
    )
    formula = Formula("part", lines.formula.name, own)
    nested = tuple(one for one in lines.book.formulas if one.key != lines.formula.key)
    book = Book(lines.book.ingredients, (*nested, formula))
    return compose(book, ["part"], altitude_m=lines.altitude_m)["part"]


def _shares(made: Composition) -> dict[str, float]:
    every = tuple(part for parts in _GROUPS.values() for part in parts)
    if not made.known(*every):
        names = ", ".join(made.needs(*every))
        raise Lacking("make_up", f"The make-up of {names} is unknown: enter it in the pantry.")
    return {
        group: sum(made.grams[part] for part in parts) / made.mass_g
        for group, parts in _GROUPS.items()
    }


def _base(lines: Lines) -> tuple[str, tuple[float, float]] | None:
    """What sets the base, and its window."""
    for kind, window in FOLDS_AT.items():
        if kind in lines.chocolates:
            return f"{kind} chocolate" if kind is not ChocolateKind.COMPOUND else kind, window
    return ("gelatin", GELATIN_FOLDS_AT) if LineRole.GELATIN in lines.roles else None

"""Cream folded into a base: at which temperature it ends, and which base melts or seizes it."""

from collections.abc import Mapping

from fernbell.core.findings import Finding, Severity
from fernbell.core.formulas import Composition, Lines, Step, compose
from fernbell.core.formulas.book import Book, Formula
from fernbell.core.formulas.judging import Judged
from fernbell.core.heat import (
    MILK_FAT_MELTS_KJ_KG,
    MIXING_SOURCE,
    Portion,
    mixed_at,
)
from fernbell.core.pantry import FATS, SUGARS, ChocolateKind, Role
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

BASES: Mapping[str, tuple[float, float]] = {
    "dark chocolate": (35, 40),
    "white or milk chocolate": (30, 35),
    "gelatin": (25, 32),
}
"""Base before the cream goes in, by what sets it [°C]; common practice."""


def folding(lines: Lines, steps: tuple[Step, ...]) -> Working | None:
    """At which temperature a fold ends: cream of 4 °C into the base at the step's temperature.

    Args:
        lines: the formula [Lines].
        steps: its method, shape (n,) [Step].
    Returns:
        the temperature with its working; None where no cream is folded at a temperature [°C].
    Raises:
        CoreError: a make-up that is not known.
    Source:
        heat balance, Choi and Okos; a third of the milk fat melts on the way, from memory.
    """
    at = _fold(lines, steps)
    if at is None or at.temperature_c is None:
        return None
    parts = [_part(lines, at.stage, cream=cream) for cream in (True, False)]
    cold, warm = parts
    if not cold.mass_g or not warm.mass_g:
        return None
    fat = cold.grams["milk_fat"] / 1000
    base = Portion(warm.mass_g, at.temperature_c, _shares(warm))
    cream = Portion(cold.mass_g, CREAM_C, _shares(cold), fat * MILK_FAT_MELTS_KJ_KG)
    value = mixed_at((base, cream))
    return Working(
        figure=f"{lines.formula.name}, folded",
        value=value,
        unit="°C",
        given=(
            Given("base", warm.mass_g, "g"),
            Given("base is at", at.temperature_c, "°C"),
            Given("cream", cold.mass_g, "g"),
            Given("cream is at", CREAM_C, "°C"),
            Given("its milk fat takes, melting", fat * MILK_FAT_MELTS_KJ_KG, "kJ"),
        ),
        rule="what the base gives up, the cream takes",
        arithmetic=f"both at {figure_text(value)} °C",
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
    at, name = _fold(lines, steps), _set_by(lines)
    if kind != "mousse" or at is None or at.temperature_c is None or name is None:
        return ()
    least, most = BASES[name]
    if least - 1 <= at.temperature_c <= most + 1:
        return ()
    hot = at.temperature_c > most
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
                message=f"Cream goes into a base of {at.temperature_c:g} °C, {word} {edge:g} °C.",
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
    return next((one for one in steps if one.stage and one.stage in stages), None)


def _is_cream(overrun_percent: float, role: Role) -> bool:
    return role is Role.CREAM and overrun_percent > 0


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
    return {
        group: sum(made.grams.get(part, 0.0) for part in parts) / made.mass_g
        for group, parts in _GROUPS.items()
    }


def _set_by(lines: Lines) -> str | None:
    kinds = [
        chocolate.kind
        for line in lines.formula.lines
        if line.ingredient and (chocolate := lines.book.ingredient(line.ingredient).chocolate)
    ]
    if ChocolateKind.DARK in kinds:
        return "dark chocolate"
    if ChocolateKind.MILK in kinds or ChocolateKind.WHITE in kinds:
        return "white or milk chocolate"
    return "gelatin" if Role.GELATIN in lines.roles else None

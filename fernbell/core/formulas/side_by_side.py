"""Two to six formulas beside each other: lines on 100 g, readings, in the order asked for."""

from collections.abc import Sequence
from dataclasses import dataclass

from fernbell.core.errors import check_range
from fernbell.core.formulas.character import Character
from fernbell.core.formulas.gauge import Section, Verdict
from fernbell.core.working import MASS_BALANCE, Given, Working, figure_text

FEWEST, MOST = 2, 6


@dataclass(frozen=True, slots=True)
class LineBeside:
    """What one thing weighs in 100 g of each formula; None where it is not in it."""

    name: str
    shares: tuple[Working | None, ...]


@dataclass(frozen=True, slots=True)
class ReadingBeside:
    """One reading of each formula, and where it lies in the window of its kind."""

    code: str
    name: str
    section: Section
    decimals: int | None
    workings: tuple[Working | None, ...]
    verdicts: tuple[Verdict | None, ...]


@dataclass(frozen=True, slots=True)
class SideBySide:
    """Formulas beside each other; every row has a place for each."""

    names: tuple[str, ...]
    lines: tuple[LineBeside, ...]
    readings: tuple[ReadingBeside, ...]


def side_by_side(formulas: Sequence[Character]) -> SideBySide:
    """Set formulas beside each other.

    Args:
        formulas: what there is to read of each, shape (n,), 2 to 6 [Character].
    Returns:
        lines by what they weigh, the heaviest of the first formula first, and every reading that
        one of them has [SideBySide].
    Raises:
        OutOfRange: fewer than two or more than six.
    Source:
        mass balance; see each working.
    """
    check_range("formulas", len(formulas), least=FEWEST, most=MOST)
    weighed = [_weighed(one) for one in formulas]
    keys = dict.fromkeys(key for own in weighed for key in own)
    named = {key: name for own in weighed for key, (name, _) in own.items()}
    lines = tuple(
        LineBeside(
            named[key],
            tuple(
                _share(one, *own[key]) if key in own else None
                for one, own in zip(formulas, weighed, strict=True)
            ),
        )
        for key in keys
    )
    names = tuple(one.lines.formula.name for one in formulas)
    return SideBySide(names, lines, tuple(_readings(formulas)))


def _weighed(one: Character) -> dict[str, tuple[str, float]]:
    """Name and grams of everything weighed, the heaviest first, each once."""
    own: dict[str, tuple[str, float]] = {}
    for line in one.lines.formula.lines:
        key = line.ingredient or line.formula or ""
        before = own.get(key, ("", 0.0))[1]
        own[key] = (one.lines.book.line_name(line), before + line.mass_g)
    return dict(sorted(own.items(), key=lambda pair: -pair[1][1]))


def _share(one: Character, name: str, mass_g: float) -> Working | None:
    batch = one.reading.batch_g
    if not batch:
        return None
    value = 100 * mass_g / batch
    return Working(
        f"{name} in 100 g of {one.lines.formula.name}",
        value,
        "g",
        (Given(name, mass_g, "g"), Given("weighed in all", batch, "g")),
        "100 × grams of it / grams of all that is weighed",
        f"100 × {figure_text(mass_g)} / {figure_text(batch)} = {figure_text(value)} g",
        MASS_BALANCE,
    )


def _readings(formulas: Sequence[Character]) -> list[ReadingBeside]:
    by_code = [{gauge.code: gauge for gauge in one.gauges} for one in formulas]
    found = []
    for code in dict.fromkeys(code for own in by_code for code in own):
        gauges = [own.get(code) for own in by_code]
        first = next(gauge for gauge in gauges if gauge is not None)
        workings = tuple(gauge.working if gauge else None for gauge in gauges)
        if any(workings):
            verdicts = tuple(gauge.verdict if gauge else None for gauge in gauges)
            found.append(
                ReadingBeside(code, first.name, first.section, first.decimals, workings, verdicts)
            )
    order = list(Section)
    return sorted(found, key=lambda one: order.index(one.section))

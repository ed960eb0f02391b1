"""The same job with every other chocolate: how much liquid each takes, and how sweet it is."""

from collections.abc import Iterable
from dataclasses import dataclass, replace

from fernbell.core.errors import CoreError
from fernbell.core.families.dialing import turn
from fernbell.core.families.family import Dial
from fernbell.core.formulas import FIGURES, Book, Lines, Mix
from fernbell.core.pantry import LIQUIDS, ChocolateKind, Ingredient, LineRole
from fernbell.core.working import MASS_BALANCE, Given, Working, figure_text


@dataclass(frozen=True, slots=True)
class OtherChocolate:
    """A chocolate in the place of the one there is, the dial where it was.

    `liquid` is that for 100 g of it; `now` says that it is the one there is.
    """

    ingredient: str
    name: str
    kind: ChocolateKind
    liquid: Working
    sweetness: Working
    now: bool


def other_chocolates(
    dial: Dial, lines: Lines, pantry: Iterable[Ingredient]
) -> tuple[OtherChocolate, ...]:
    """The same formula with each chocolate of a pantry, its dial turned to where it is.

    Args:
        dial: what the formula is set by [Dial].
        lines: the formula [Lines].
        pantry: what there is, shape (n,) [Ingredient].
    Returns:
        chocolates with which it can be had; none where the dial moves no liquid, or the formula
        has not just one line of chocolate [OtherChocolate].
    Raises:
        CoreError: the dial cannot be read.
    Source:
        root of the dial's figure; mass balance.
    """
    at = [i for i, role in enumerate(lines.roles) if role is LineRole.CHOCOLATE]
    if dial.lever != LIQUIDS or len(at) != 1:
        return ()
    value = dial.figure.value(lines.mix())
    found = []
    for one in pantry:
        if one.chocolate is None or one.make_up is None:
            continue
        try:
            found.append(_other(dial, lines, at[0], one, value))
        except CoreError:
            # It cannot be had with this one: there is nothing to draw.
            continue
    return tuple(found)


def _other(dial: Dial, lines: Lines, at: int, other: Ingredient, value: float) -> OtherChocolate:
    old = list(lines.formula.lines)
    now = old[at].ingredient == other.key
    old[at] = replace(old[at], ingredient=other.key)
    kept = tuple(ingredient for ingredient in lines.book.ingredients if ingredient.key != other.key)
    book = Book((*kept, other), lines.book.formulas)
    ready = replace(lines, book=book, formula=replace(lines.formula, lines=tuple(old)))
    mix = replace(ready, formula=turn(dial, ready, value)).mix()
    assert other.chocolate is not None
    return OtherChocolate(
        other.key,
        other.name,
        other.chocolate.kind,
        _liquid(mix, mix.masses_g[at], other.name),
        FIGURES["sweetness"].working(mix),
        now,
    )


def _liquid(mix: Mix, chocolate_g: float, name: str) -> Working:
    liquid = mix.of(LIQUIDS)
    value = 100 * liquid / chocolate_g
    return Working(
        f"Liquid for 100 g of {name}",
        value,
        "g",
        (Given("liquid", liquid, "g"), Given(name, chocolate_g, "g")),
        "liquid / chocolate, the dial where it was",
        f"100 × {figure_text(liquid)} / {figure_text(chocolate_g)} = {figure_text(value)} g",
        MASS_BALANCE,
    )

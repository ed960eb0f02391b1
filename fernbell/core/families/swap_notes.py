"""What changes in the method when one ingredient stands in for another."""

from collections.abc import Iterable, Iterator, Mapping
from dataclasses import dataclass

from fernbell.core.families.folding import FOLDS_AT
from fernbell.core.pantry import (
    FATS,
    PALE,
    SUGARS,
    ChocolateKind,
    Ingredient,
    LineRole,
    is_leaf,
    role_of,
)
from fernbell.starter.practice import practice

WHIPS_FROM = practice("cream whips from")
"""Fat a cream needs to whip [%]; common practice."""


SUGAR_APART = practice("chocolates are alike within")
"""Sugar by which two chocolates are no more alike [g in 100 g]; common practice."""


def sugars_of(ingredient: Ingredient) -> float:
    """What is sugar in an ingredient.

    Args:
        ingredient: with its make-up [Ingredient].
    Returns:
        sugars in 100 g; 0 where nobody knows [g].
    Source:
        the make-up is the pantry's.
    """
    known = ingredient.make_up.known if ingredient.make_up else {}
    return sum(known.get(part, 0.0) for part in SUGARS)


@dataclass(frozen=True, slots=True)
class Note:
    """What to do otherwise: about temperatures, tempering, order, waits, allergens."""

    about: str
    says: str


def swap_notes(
    was: Ingredient,
    new: Ingredient,
    kind: str,
    *,
    whips: bool,
    others: Iterable[Ingredient] = (),
) -> tuple[Note, ...]:
    """What the method changes when one ingredient stands in for another.

    Args:
        was: the ingredient that goes [Ingredient].
        new: the ingredient that comes [Ingredient].
        kind: kind of the formula, such as 'mousse' [text].
        whips: whether air is beaten into it [bool].
        others: what else is in the formula, shape (m,) [Ingredient].
    Returns:
        notes, shape (n,) [Note].
    Source:
        common practice; temper figures and allergens are the pantry's.
    """
    roles = (role_of(was), role_of(new))
    found: list[Note] = []
    if roles == (LineRole.CHOCOLATE, LineRole.CHOCOLATE):
        found += _chocolates(was, new, kind)
    for (before, after), notes in _BY_ROLE.items():
        if roles[0] in before and roles[1] in after and roles[0] is not roles[1]:
            found += notes
    if roles == (LineRole.GELATIN, LineRole.GELATIN):
        found += _gelatins(was, new)
    if whips:
        found += _whipping(new)
    return (*found, *_plant(was, new), *_allergens(was, new, tuple(others)))


_SUGARS = (LineRole.SUGAR, LineRole.SYRUP)
_BY_ROLE: Mapping[tuple[tuple[LineRole, ...], tuple[LineRole, ...]], tuple[Note, ...]] = {
    (_SUGARS[:1], _SUGARS[1:]): (
        Note("temperatures", "It browns sooner: bake 10-15 °C lower; cook by Brix, not by color."),
        Note("waits", "It draws water: keep it covered, use it sooner."),
    ),
    (_SUGARS[1:], _SUGARS[:1]): (
        Note("order", "Dissolve it in the liquid first; it may crystallize where syrup did not."),
    ),
    ((LineRole.GELATIN,), (LineRole.GUM,)): (
        Note("order", "Mix it with ten times its sugar, rain it in, boil a full minute."),
        Note("temperatures", "It sets hot, at 40-70 °C: fold and pour before that."),
        Note("order", "Pectin NH wants sugar and acid; agar wants neither and weeps when frozen."),
    ),
    ((LineRole.GUM,), (LineRole.GELATIN,)): (
        Note("order", "Bloom it, melt it in off the heat at 50-85 °C; never boil it."),
        Note("waits", "It sets cold, in hours, and wants the night."),
    ),
    ((LineRole.BUTTER,), (LineRole.OIL,)): (
        Note("order", "It does not cream and does not firm when cold: rub or blend it in."),
    ),
    ((LineRole.CREAM,), (LineRole.MILK,)): (
        Note("temperatures", "Leaner: it boils over and catches sooner."),
    ),
    ((LineRole.MILK, LineRole.CREAM), (LineRole.FRUIT,)): (
        Note(
            "order",
            "Its acid curdles milk and egg: not boiled together; raw pineapple, kiwi, "
            "papaya and fig dissolve gelatin.",
        ),
    ),
}


def _chocolates(was: Ingredient, new: Ingredient, kind: str) -> Iterator[Note]:
    before, after = was.chocolate, new.chocolate
    if before is None or after is None:
        return
    less = sugars_of(was) - sugars_of(new)
    if abs(less) >= SUGAR_APART:
        word = "less" if less > 0 else "more"
        yield Note(
            "order",
            f"It brings {abs(less):.0f} g {word} sugar in 100 g, and sets otherwise: rebalance it; "
            "swapped straight it is another formula.",
        )
    if after.kind is ChocolateKind.COMPOUND and before.kind is not ChocolateKind.COMPOUND:
        yield Note("tempering", "Compound is not tempered: melt to 40-45 °C, work at 35-40 °C.")
        yield Note("order", "Never in one pot with couverture: together they stay soft and bloom.")
    elif before.kind is ChocolateKind.COMPOUND and after.kind is not ChocolateKind.COMPOUND:
        yield Note("tempering", "Couverture is tempered where it is used plain; compound was not.")
    if after.temper is not None and after.temper != before.temper:
        own = after.temper
        yield Note(
            "temperatures",
            f"Melt to {own.melt_c:g} °C, cool to {own.cool_c:g}, work at {own.work_c:g}; the pack "
            "goes first.",
        )
    if kind == "mousse" and FOLDS_AT[before.kind] != FOLDS_AT[after.kind]:
        least, most = FOLDS_AT[after.kind]
        yield Note("temperatures", f"Fold the cream in at {least:g}-{most:g} °C.")
    if after.kind in PALE and before.kind not in PALE:
        yield Note("temperatures", "Milk solids scorch: no direct heat, not above 45 °C.")
        yield Note("waits", "Softer butter: it sets more slowly, the night instead of hours.")


def _gelatins(was: Ingredient, new: Ingredient) -> Iterator[Note]:
    leaf, powder = is_leaf(new), is_leaf(was)
    if leaf and not powder:
        yield Note(
            "order",
            "Soak leaves in plenty of cold water 5-10 min and squeeze; they carry some five times "
            "their weight of it: the water that the powder was bloomed in stands for that.",
        )
    elif powder and not leaf:
        yield Note("order", "Bloom powder in 5-6 times its weight of cold water, and count that.")
    if leaf or powder:
        yield Note(
            "order",
            "Bloom counts by its root for powder on a scale; leaf for leaf, it counts in full.",
        )


def _whipping(new: Ingredient) -> Iterator[Note]:
    make_up = new.make_up
    fat = sum(make_up.known.get(part, 0.0) for part in FATS) if make_up else 0.0
    if role_of(new) in (LineRole.CREAM, LineRole.MILK) and fat < WHIPS_FROM:
        yield Note("order", f"It does not whip: {fat:g} % fat, and cream whips from 30 % on.")


def _plant(was: Ingredient, new: Ingredient) -> Iterator[Note]:
    dairy = (LineRole.MILK, LineRole.CREAM)
    if role_of(was) not in dairy or role_of(new) not in dairy or new.allergens is None:
        return
    if "milk" in (was.allergens or ()) and "milk" not in new.allergens:
        yield Note(
            "order",
            "A plant drink splits with acid and coffee; oat drink's enzymes thin starch creams: "
            "boil them through.",
        )


def _allergens(was: Ingredient, new: Ingredient, others: tuple[Ingredient, ...]) -> Iterator[Note]:
    """What the formula did not hold before, and what it holds no more."""
    if new.allergens is None:
        yield Note("allergens", f"Nobody entered the allergens of {new.name}.")
        return
    held = {allergen for other in others for allergen in other.allergens or ()}
    comes = [
        allergen for allergen in new.allergens if allergen not in {*(was.allergens or ()), *held}
    ]
    goes = [allergen for allergen in was.allergens or () if allergen not in {*new.allergens, *held}]
    if comes:
        yield Note("allergens", f"It brings in {', '.join(comes)}: tell the service.")
    if goes:
        yield Note("allergens", f"It holds no {', '.join(goes)} any more; traces are not told.")

"""Masses, pieces, sums and portions of a dessert, each with its working."""

from fernbell.core.desserts.parts import Coat, Garnish
from fernbell.core.working import COMMON_PRACTICE, MASS_BALANCE, Given, Working, figure_text


def mass_of(name: str, volume: Working, density: Working) -> Working:
    """Mass of a part in one dessert; m = V rho.

    Args:
        name: the part's name [text].
        volume: its volume [ml].
        density: its formula's density [g/ml].
    Returns:
        the working [g].
    Source:
        definition.
    """
    mass = volume.value * density.value
    return Working(
        figure=f"{name} in one dessert",
        value=mass,
        unit="g",
        given=(Given("volume", volume.value, "ml"), Given("density", density.value, "g/ml")),
        rule="mass = volume × density",
        arithmetic=f"{figure_text(volume.value)} ml × {figure_text(density.value)} g/ml = "
        f"{figure_text(mass)} g",
        source=MASS_BALANCE,
        steps=(volume, density),
    )


def garnish_pieces(garnish: Garnish, name: str, portions: int) -> Working:
    """Pieces on one dessert; portions x pieces a portion.

    Args:
        garnish: the part [1].
        name: its name [text].
        portions: portions in one dessert [1].
    Returns:
        the working [pieces].
    Source:
        counting.
    """
    pieces = portions * garnish.pieces_per_portion
    return Working(
        figure=f"Pieces of {name} on one dessert",
        value=pieces,
        unit="pieces",
        given=(
            Given("portions", portions, ""),
            Given("pieces a portion", garnish.pieces_per_portion, ""),
        ),
        rule="pieces = portions × pieces a portion",
        arithmetic=f"{portions} × {figure_text(garnish.pieces_per_portion)} = "
        f"{figure_text(pieces)} pieces",
        source="counting",
    )


def garnish_mass(garnish: Garnish, name: str, pieces: Working) -> Working:
    """Mass of the garnish on one dessert; pieces x one piece.

    Args:
        garnish: the part [g].
        name: its name [text].
        pieces: how many [pieces].
    Returns:
        the working [g].
    Source:
        counting.
    """
    mass = pieces.value * garnish.piece_g
    return Working(
        figure=f"{name} on one dessert",
        value=mass,
        unit="g",
        given=(Given("pieces", pieces.value, ""), Given("one piece", garnish.piece_g, "g")),
        rule="mass = pieces × one piece",
        arithmetic=f"{figure_text(pieces.value)} × {figure_text(garnish.piece_g)} = "
        f"{figure_text(mass)} g",
        source="counting",
        steps=(pieces,),
    )


def for_all(figure: str, one: Working, count: int, note: str = "") -> Working:
    """A figure of one dessert for several; x = one x count.

    Args:
        figure: what the result is [text].
        one: the figure of one dessert [any unit].
        count: how many desserts [1].
        note: what is to be said beside the rule [text].
    Returns:
        the working [same unit].
    Source:
        mass balance.
    """
    value = one.value * count
    return Working(
        figure=figure,
        value=value,
        unit=one.unit,
        given=(Given("one dessert", one.value, one.unit), Given("desserts", count, "")),
        rule=f"one dessert × desserts{note}",
        arithmetic=f"{figure_text(one.value)} × {count} = {figure_text(value)} {one.unit}",
        source=MASS_BALANCE,
        steps=(one,),
    )


def poured_g(coat: Coat, one_g: float, count: int) -> float:
    """What has to be poured so that enough clings; m = clinging x count x (1 + run-off).

    Args:
        coat: the part [%].
        one_g: what clings to one dessert [g].
        count: how many desserts [1].
    Returns:
        mass [g].
    Source:
        common practice; the run-off is saved.
    """
    return one_g * count * (1 + coat.runoff_percent / 100)


def coat_made_for(
    coat: Coat, name: str, one: Working, count: int, others_g: float = 0.0
) -> Working:
    """The coat to make: what is poured, and no less than pours well.

    What other sizes of the order take from the same jug counts towards the least; this size
    brings its share of what is missing.

    Args:
        coat: the part [%, g].
        name: its name [text].
        one: what clings to one dessert [g].
        count: how many desserts [1].
        others_g: what other sizes of the order pour of it [g].
    Returns:
        the working [g].
    Source:
        common practice.
    """
    poured = poured_g(coat, one.value, count)
    jug = poured + others_g
    raised = jug < coat.least_pour_g
    least = coat.least_pour_g * (poured / jug if others_g else 1.0)
    shared = f"; {figure_text(others_g)} g more for other sizes" if others_g else ""
    floor = f", raised to the {figure_text(least)} g that pour well{shared}" if raised else shared
    return Working(
        figure=f"{name} to make",
        value=least if raised else poured,
        unit="g",
        given=(
            Given("clings to one dessert", one.value, "g"),
            Given("desserts", count, ""),
            Given("run-off, saved", coat.runoff_percent, "%"),
            Given("least that pours well", coat.least_pour_g, "g"),
        ),
        rule="to make = clinging × desserts × (1 + run-off), and no less than pours well",
        arithmetic=f"{figure_text(one.value)} × {count} × "
        f"{figure_text(1 + coat.runoff_percent / 100)} = {figure_text(poured)} g{floor}",
        source=COMMON_PRACTICE,
        steps=(one,),
    )


def total(figure: str, unit: str, named: tuple[tuple[str, float], ...]) -> Working:
    """A sum.

    Args:
        figure: what is summed [text].
        unit: of every term [text].
        named: names and values, shape (n,) [unit].
    Returns:
        the working [unit].
    Source:
        mass balance.
    """
    value = sum(term for _, term in named)
    return Working(
        figure=figure,
        value=value,
        unit=unit,
        given=tuple(Given(name, term, unit) for name, term in named),
        rule="the sum of the parts",
        arithmetic=f"{' + '.join(figure_text(term) for _, term in named)} = "
        f"{figure_text(value)} {unit}",
        source=MASS_BALANCE,
    )


def portion_mass(finished: Working, count: int) -> Working:
    """One portion's weight; finished weight / portions.

    Args:
        finished: the finished weight [g].
        count: portions in one dessert [1].
    Returns:
        the working [g].
    Source:
        equal portions.
    """
    mass = finished.value / count
    return Working(
        figure="One portion",
        value=mass,
        unit="g",
        given=(Given("finished weight", finished.value, "g"), Given("portions", count, "")),
        rule="finished weight / portions",
        arithmetic=f"{figure_text(finished.value)} / {count} = {figure_text(mass)} g",
        source="equal portions",
        steps=(finished,),
    )

"""Masses, sums and portions of a dessert, each with its working."""

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
        law="mass = volume × density",
        arithmetic=f"{figure_text(volume.value)} ml × {figure_text(density.value)} g/ml = "
        f"{figure_text(mass)} g",
        source=MASS_BALANCE,
        steps=(volume, density),
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
        law=f"one dessert × desserts{note}",
        arithmetic=f"{figure_text(one.value)} × {count} = {figure_text(value)} {one.unit}",
        source=MASS_BALANCE,
        steps=(one,),
    )


def to_make(name: str, one: Working, count: int) -> Working:
    """What is made of a part for several desserts, before the losses of its sheet.

    Args:
        name: the part's name [text].
        one: what one dessert takes [g].
        count: how many desserts [1].
    Returns:
        the working [g].
    Source:
        mass balance.
    """
    note = "; what the pan keeps is added on the sheet"
    return for_all(f"{name} to make", one, count, note)


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
        law="the sum of the parts",
        arithmetic=f"{' + '.join(figure_text(term) for _, term in named)} = "
        f"{figure_text(value)} {unit}",
        source=MASS_BALANCE,
    )


def portion_mass(finished: Working, count: int, share: float = 1.0) -> Working:
    """One portion's weight; finished weight × share / portions.

    Args:
        finished: the finished weight [g].
        count: portions in one dessert [1].
        share: how much of it is portions, not ends that are trimmed off [0 to 1].
    Returns:
        the working [g].
    Source:
        equal portions.
    """
    mass = finished.value * share / count
    trimmed = share < 1
    times = f" × {figure_text(share)}" if trimmed else ""
    return Working(
        figure="One portion",
        value=mass,
        unit="g",
        given=(
            Given("finished weight", finished.value, "g"),
            *((Given("its ends trimmed off", share, "of it"),) if trimmed else ()),
            Given("portions", count, ""),
        ),
        law="finished weight without its ends / portions"
        if trimmed
        else "finished weight / portions",
        arithmetic=f"{figure_text(finished.value)}{times} / {count} = {figure_text(mass)} g",
        source="equal portions",
        steps=(finished,),
    )


def spared(
    name: str, one: Working, count: int, spare_percent: float, lost: str = "what breaks"
) -> Working:
    """What is made of what breaks or stays behind, with spare for it.

    Args:
        name: what it is [text].
        one: what is on one dessert [g].
        count: how many desserts [1].
        spare_percent: how much more is made [%].
        lost: what the spare is for [text].
    Returns:
        the working [g].
    Source:
        common practice.
    """
    more = 1 + spare_percent / 100
    value = one.value * count * more
    return Working(
        figure=f"{name} to make",
        value=value,
        unit="g",
        given=(
            Given("one dessert", one.value, "g"),
            Given("desserts", count, ""),
            Given(f"spare for {lost}", spare_percent, "%"),
        ),
        law="to make = one dessert × desserts × (1 + spare)",
        arithmetic=f"{figure_text(one.value)} × {count} × {figure_text(more)} = "
        f"{figure_text(value)} g",
        source=COMMON_PRACTICE,
        steps=(one,),
    )

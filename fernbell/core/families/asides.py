"""What else to know of a formula set for its job: by the cup, in the pot, whether it holds."""

from collections.abc import Callable, Iterator, Mapping
from contextlib import suppress
from functools import partial

from fernbell.core.errors import CoreError
from fernbell.core.families.aside import Aside
from fernbell.core.families.family import Job, Tool
from fernbell.core.families.folding import folding
from fernbell.core.families.holding import holding
from fernbell.core.families.warmth import stands_up_to
from fernbell.core.formulas import FIGURES, Lines, Step
from fernbell.core.heat import WATER_20_KG_M3, baume_of, crystallizing, syrup_density
from fernbell.core.pantry import LIQUIDS, LineRole, cup_density, dips_up
from fernbell.core.working import COMMON_PRACTICE, Given, Working, figure_text


def asides(
    kind: str, lines: Lines, steps: tuple[Step, ...], job: Job | None = None
) -> tuple[Aside, ...]:
    """What else to know of a formula of a kind.

    Args:
        kind: such as 'ganache' [text].
        lines: the formula [Lines].
        steps: its method, shape (n,) [Step].
        job: what it is for, if that is said [Job].
    Returns:
        asides; none where there is nothing to say [Aside].
    Source:
        each names its own.
    """
    asks = [partial(ask, lines, steps) for ask in (*_BY_KIND.get(kind, ()), dipped)]
    if job is not None:
        asks.append(partial(stands_up_to, job, lines))
        if Tool.KEEPS in job.tools:
            asks.append(partial(keeps, lines, steps))
    found: list[Aside] = []
    for ask in asks:
        # What cannot be read says so among the readings; here it is left out.
        with suppress(CoreError):
            found += ask()
    return tuple(found)


def ratios(lines: Lines, steps: tuple[Step, ...]) -> Iterator[Aside]:
    """Chocolate to its liquid, by weight and by the cup.

    Args:
        lines: the formula [Lines].
        steps: not asked [Step].
    Returns:
        two asides; one where a cup of something is not known [Aside].
    Source:
        a cup of chopped chocolate is not a cup of cream: densities are the pantry's.
    """
    mix = lines.mix()
    chocolate, liquid = mix.of((LineRole.CHOCOLATE,)), mix.of(LIQUIDS)
    if not chocolate or not liquid:
        return
    yield _ratio("Chocolate, weighed", chocolate, liquid, "g")
    cups = [_cup(lines, at) for at in range(len(lines.roles))]
    pairs = list(zip(mix.masses_g, cups, lines.roles, strict=True))
    if any(cup is None for g, cup, role in pairs if g and role in (LineRole.CHOCOLATE, *LIQUIDS)):
        return
    solid = sum(g / cup for g, cup, role in pairs if cup and role is LineRole.CHOCOLATE)
    wet = sum(g / cup for g, cup, role in pairs if cup and role in LIQUIDS)
    yield _ratio("By the cup", solid, wet, "ml")


def _cup(lines: Lines, at: int) -> float | None:
    of = lines.formula.lines[at].ingredient
    if of is None:
        return None
    ingredient = lines.book.ingredient(of)
    chopped = next(
        (state.density_g_ml for state in ingredient.states if state.name == "chopped"), None
    )
    return chopped or cup_density(ingredient)


def _ratio(name: str, top: float, bottom: float, unit: str) -> Aside:
    value = top / bottom
    working = Working(
        name,
        value,
        "",
        (Given("chocolate", top, unit), Given("liquid", bottom, unit)),
        "chocolate / liquid",
        f"{figure_text(top)} / {figure_text(bottom)} = {figure_text(value)}",
        COMMON_PRACTICE,
    )
    return Aside(name, f"{value:.2f} : 1 liquid", working)


def cold_cream(lines: Lines, steps: tuple[Step, ...]) -> Iterator[Aside]:
    """The cold cream of a whipped ganache beside its base, about one to one.

    Args:
        lines: the formula [Lines].
        steps: not asked [Step].
    Returns:
        an aside; none where no cream is beaten up [Aside].
    Source:
        common practice.
    """
    trios = list(zip(lines.formula.lines, lines.roles, lines.mix().masses_g, strict=True))
    cold = sum(g for line, role, g in trios if role is LineRole.CREAM and line.overrun_percent)
    base = sum(g for _, _, g in trios) - cold
    if cold and base:
        working = Working(
            "Cold cream for each part of base",
            cold / base,
            "",
            (Given("cold cream", cold, "g"), Given("base", base, "g")),
            "cold cream / base",
            f"{figure_text(cold)} / {figure_text(base)} = {figure_text(cold / base)}",
            COMMON_PRACTICE,
        )
        yield Aside("Cold cream", f"{cold / base:.2f} : 1 base", working)


SOME_ALCOHOL = 0.01
KEEPS = (
    (0.95, "2-3 days cold"),
    (0.90, "about 5 days cold"),
    (0.85, "1-2 weeks cold"),
    (0.80, "3-4 weeks at 15 °C"),
    (0.0, "a few months, closed"),
)
"""How long kitchens keep a ganache or caramel, by its water activity from there on; common
practice, no promise: the kitchen's own food-safety plan goes first."""


def keeps(lines: Lines, steps: tuple[Step, ...]) -> Iterator[Aside]:
    """How long it keeps, by its water activity.

    Args:
        lines: the formula [Lines].
        steps: not asked [Step].
    Returns:
        an aside; none where the figure means nothing: alcohol keeps it otherwise, and sugar that
        its water does not dissolve counts for less [Aside].
    Raises:
        CoreError: the water activity cannot be read.
    Source:
        common practice; no promise of shelf life.
    """
    mix = lines.mix()
    if mix.grams("alcohol") > SOME_ALCOHOL * mix.own.mass_g or crystallizing(mix.solution):
        return
    working = FIGURES["water-activity"].working(mix)
    says = next(words for least, words in KEEPS if working.value >= least)
    yield Aside("Keeps, usually", says, working)


COLORS = (
    (185.0, "black: burnt, start again"),
    (176.0, "dark, bitter"),
    (164.0, "amber"),
    (155.0, "gold"),
    (145.0, "pale straw"),
    (0.0, "no color yet"),
)
"""Color of sugar by its temperature from there on [°C]; common practice."""


def color(lines: Lines, steps: tuple[Step, ...]) -> Iterator[Aside]:
    """How dark the sugar is, by the temperature of the step that colors it.

    Args:
        lines: not asked [Lines].
        steps: its method, shape (n,) [Step].
    Returns:
        an aside; none where no step is named caramel or has a temperature [Aside].
    Source:
        common practice.
    """
    hot = next((step.temperature_c for step in steps if step.stage == "caramel"), None)
    if hot is not None:
        yield Aside("Color", next(words for least, words in COLORS if hot >= least))


def baume(lines: Lines, steps: tuple[Step, ...]) -> Iterator[Aside]:
    """The strength of a syrup on a Baumé hydrometer.

    Args:
        lines: the formula [Lines].
        steps: not asked [Step].
    Returns:
        an aside [Aside].
    Raises:
        CoreError: its Brix cannot be read.
    Source:
        Baumé = 145 - 145 / gravity (20/20 °C); sugars count as sucrose.
    """
    brix = FIGURES["brix"].working(lines.mix())
    degrees = baume_of(brix.value)
    syrup = syrup_density(brix.value)
    working = Working(
        "Baumé",
        degrees,
        "°Bé",
        (
            Given("Brix", brix.value, "°Bx"),
            Given("density of such a syrup", syrup, "kg/m³"),
            Given("density of water", WATER_20_KG_M3, "kg/m³"),
        ),
        "145 − 145 × water / syrup",
        f"145 − 145 × {WATER_20_KG_M3:.1f} / {syrup:.1f} = {figure_text(degrees)} °Bé",
        "ICUMSA density of sucrose syrups; other sugars count as sucrose",
        (brix,),
    )
    yield Aside("On the hydrometer", f"{degrees:.1f} °Bé", working)


def dipped(lines: Lines, steps: tuple[Step, ...]) -> Iterator[Aside]:
    """How much syrup its bought biscuits take up when they are dipped.

    Args:
        lines: the formula [Lines].
        steps: not asked [Step].
    Returns:
        an aside for each that is there [Aside].
    Source:
        common practice.
    """
    for line in lines.formula.lines:
        if line.ingredient is None or not line.mass_g:
            continue
        biscuit = lines.book.ingredient(line.ingredient)
        times = dips_up(biscuit)
        if times:
            value = times * line.mass_g
            working = Working(
                f"{biscuit.name}, what they take up",
                value,
                "g",
                (Given(biscuit.name, line.mass_g, "g"), Given("take up, times", times, "")),
                "weight × what one takes up",
                f"{figure_text(line.mass_g)} × {times:g} = {figure_text(value)} g",
                COMMON_PRACTICE,
            )
            says = f"take up about {value:.0f} g: write it on a line"
            yield Aside(f"{biscuit.name}, dipped", says, working)


POT_TIMES = 4.0


def pot(lines: Lines, steps: tuple[Step, ...]) -> Iterator[Aside]:
    """The pot it boils up in: four times its volume at least.

    Args:
        lines: the formula [Lines].
        steps: not asked [Step].
    Returns:
        an aside; none while a density is unknown or a formula stands in it [Aside].
    Source:
        common practice.
    """
    volume = 0.0
    for line in lines.formula.lines:
        density = lines.book.ingredient(line.ingredient).density_g_ml if line.ingredient else None
        if density is None:
            return
        volume += line.mass_g / density
    value = POT_TIMES * volume / 1000
    working = Working(
        "Pot, at least",
        value,
        "l",
        (Given("all of it, without air", volume, "ml"), Given("boils up", POT_TIMES, "times")),
        "volume × 4",
        f"{POT_TIMES:g} × {figure_text(volume)} ml = {figure_text(value)} l",
        COMMON_PRACTICE,
    )
    yield Aside("Pot, at least", f"{value:.1f} l", working)


def folds(lines: Lines, steps: tuple[Step, ...]) -> Iterator[Aside]:
    """At which temperature the fold ends.

    Args:
        lines: the formula [Lines].
        steps: its method, shape (n,) [Step].
    Returns:
        an aside; none where nothing is folded [Aside].
    Source:
        heat balance, see folding.
    """
    found = folding(lines, steps)
    if found is not None:
        yield Aside("Folded, it is at", f"{found.value:.0f} °C", found)


Ask = Callable[[Lines, tuple[Step, ...]], Iterator[Aside]]
_BY_KIND: Mapping[str, tuple[Ask, ...]] = {
    "ganache": (ratios, cold_cream),
    "caramel": (color, pot),
    "syrup": (baume,),
    "mousse": (holding, folds),
    "cream": (folds,),
}

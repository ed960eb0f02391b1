"""Short ways to say a method: steps, waits, losses, and the cautions that come up again."""

from fernbell.core.formulas import (
    CookedTo,
    LegKind,
    Losses,
    OvenLeg,
    Step,
    Until,
    Wait,
    WaitKind,
)

BURNS = "Hot sugar: sleeves down, cold water at hand, nobody behind you."
EGG = "Lightly cooked egg: use pasteurized, or hold the temperature. Local codes go first."
COOLING = "Cool fast and thin: 57 to 21 °C within 2 h, to 5 °C within 6 h in all."
STEAM = "Steam burns: lift the bowl away from you; it must not touch the water."


def step(
    stage: str,
    text: str,
    temperature_c: float | tuple[float, float] | None = None,
    minutes: float | tuple[float, float] | None = None,
    *,
    wait: Wait | None = None,
    tool: str = "",
    sign: str = "",
    caution: str = "",
    then: tuple[OvenLeg, ...] = (),
    bursts: tuple[float, float] | None = None,
    alike: str = "",
) -> Step:
    """A step of a method, its stage first.

    Args:
        stage: its short name [text].
        text: what to do [text].
        temperature_c: to which temperature, or between which two [°C].
        minutes: how long, or between which two [min].
        wait: what it ends with [Wait].
        tool: with what [text].
        sign: what to stop at [text].
        caution: what to beware of [text].
        then: how the oven goes on [OvenLeg].
        bursts: between how long and how long a burst is, repeated until the sign [s].
        alike: what else is brought to the same temperature [text].
    Returns:
        the step [Step].
    Source:
        definition.
    """
    (least_c, most_c), (short, long) = _ends(temperature_c), _ends(minutes)
    burst, longest = bursts or (None, None)
    return Step(
        text,
        wait,
        stage,
        least_c,
        short,
        tool,
        sign,
        caution,
        most_c,
        long,
        then,
        burst,
        longest,
        alike,
    )


def _ends(
    figure: float | tuple[float, float] | None,
) -> tuple[float | None, float | None]:
    return figure if isinstance(figure, tuple) else (figure, None)


OFF_OVERNIGHT = OvenLeg(LegKind.OFF, minutes=600)


def losses(cooking: float = 0, pan: float = 2, tasting: float = 0) -> Losses:
    """Shares that are lost.

    Args:
        cooking: boiled or baked off [%].
        pan: left in the pan [%].
        tasting: tasted [%].
    Returns:
        losses [Losses].
    Source:
        definition.
    """
    return Losses(cooking, pan, tasting)


def cooked_to(temperature_c: float, pan: float = 3, stands_in: float = 0) -> Losses:
    """Cooked until the thermometer says so; the share stands in while it cannot be worked out.

    Args:
        temperature_c: until when [°C].
        pan: left in the pan [%].
        stands_in: boiled off where it cannot be worked out [%].
    Returns:
        losses [Losses].
    Source:
        definition.
    """
    return Losses(stands_in, pan, cooked_to=CookedTo(Until.TEMPERATURE, temperature_c))


def by_brix(brix: float, pan: float = 3, stands_in: float = 0) -> Losses:
    """Cooked until the refractometer says so.

    Args:
        brix: until when [°Bx].
        pan: left in the pan [%].
        stands_in: boiled off where it cannot be worked out [%].
    Returns:
        losses [Losses].
    Source:
        definition.
    """
    return Losses(stands_in, pan, cooked_to=CookedTo(Until.BRIX, brix))


def rest(least: float, most: float | None = None) -> Wait:
    """A rest before it is used.

    Args:
        least: at least [min].
        most: at most [min].
    Returns:
        the wait [Wait].
    Source:
        definition.
    """
    return Wait(WaitKind.REST, least, most)


def chill(least: float, most: float | None = None, *, placed: bool = False) -> Wait:
    """A chill; `placed` once it stands in the dessert.

    Args:
        least: at least [min].
        most: at most [min].
        placed: whether it begins in the dessert [bool].
    Returns:
        the wait [Wait].
    Source:
        definition.
    """
    return Wait(WaitKind.CHILL, least, most, placed)


def freeze(least: float, most: float | None = None, *, placed: bool = True) -> Wait:
    """A freeze, usually once it stands in the dessert.

    Args:
        least: at least [min].
        most: at most [min].
        placed: whether it begins in the dessert [bool].
    Returns:
        the wait [Wait].
    Source:
        definition.
    """
    return Wait(WaitKind.FREEZE, least, most, placed)


BLOOM = step("bloom", "Bloom the gelatin in five to six times its weight of cold water.", 4, 10)

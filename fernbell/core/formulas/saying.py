"""A step as it is said at the bench: how hot, how long, in which bursts, with what."""

from fernbell.core.formulas.method import OvenLeg, Step

_HOURS_FROM_MIN = 120


def step_figures(step: Step, *, fahrenheit: bool = False) -> str:
    """How hot, how long, how the oven goes on, in which bursts, with what.

    Args:
        step: the step [Step].
        fahrenheit: whether the person reads °F [truth].
    Returns:
        such as '200 °C · 25–30 min · then 180 °C, 15 min · oven'; '' where nothing is told [text].
    Source:
        definition.
    """
    hot = _degrees(step.temperature_c, step.temperature_to_c, fahrenheit=fahrenheit)
    if hot and step.alike:
        hot = f"{hot}, and {step.alike} at the same"
    bursts = _between(step.bursts_s, step.bursts_to_s)
    said = (
        hot,
        _time(step.minutes, step.minutes_to),
        *(_leg(leg, fahrenheit=fahrenheit) for leg in step.then),
        f"in bursts of {bursts} s, stirring between" if bursts else "",
        step.tool,
    )
    return " · ".join(filter(None, said))


def _leg(leg: OvenLeg, *, fahrenheit: bool) -> str:
    hot = _degrees(leg.temperature_c, None, fahrenheit=fahrenheit)
    said = f"{leg.how} {hot}".strip()
    return ", ".join(filter(None, (said, _time(leg.minutes, None))))


def _degrees(least_c: float | None, most_c: float | None, *, fahrenheit: bool) -> str:
    if fahrenheit:
        least, most = (
            None if one is None else float(round(one * 1.8 + 32)) for one in (least_c, most_c)
        )
    else:
        least, most = least_c, most_c
    said = _between(least, most)
    return f"{said} {'°F' if fahrenheit else '°C'}" if said else ""


def _time(least_min: float | None, most_min: float | None) -> str:
    longest = most_min or least_min
    if longest is not None and longest >= _HOURS_FROM_MIN:
        hours = (None if one is None else round(one / 60, 1) for one in (least_min, most_min))
        return f"{_between(*hours)} h"
    said = _between(least_min, most_min)
    return f"{said} min" if said else ""


def _between(least: float | None, most: float | None) -> str:
    if least is None:
        return ""
    if most is None or most == least:
        return _number(least)
    return f"{_number(least)}–{_number(most)}"


def _number(value: float) -> str:
    return f"{round(value, 1):g}".replace("-", "−")

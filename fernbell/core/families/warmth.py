"""How warm a ganache may stand and still do its job: cocoa butter melts before dry cocoa does."""

from collections.abc import Iterator

import numpy as np
from scipy.interpolate import PchipInterpolator
from scipy.optimize import brentq

from fernbell.core.errors import check_range
from fernbell.core.families.aside import Aside
from fernbell.core.families.family import Job, Tool
from fernbell.core.formulas import Lines, Mix
from fernbell.core.working import Given, Working, figure_text
from fernbell.starter.practice import practice

SET_AT_C = practice("set at")
"""The temperature at which the bands of practice are meant."""

SOLID = (
    *((4, 0.95), (10, 0.92), (15, 0.88), (18, 0.85), (20, 0.82), (22, 0.78)),
    *((25, 0.70), (28, 0.52), (30, 0.38), (32, 0.16), (34, 0.02), (36, 0.0)),
)
"""Solid share of cocoa butter in good temper [°C, 1]; from memory, published curves scatter by
0.05. Milk fat makes it softer; that is not counted."""

WARMTH_SOURCE = (
    "set number with the solid share of cocoa butter at the temperature, from memory; an index of "
    "this project, milk fat not counted"
)
COLDEST_C, WARMEST_C = float(SOLID[0][0]), float(SOLID[-1][0])
_CURVE = PchipInterpolator([t for t, _ in SOLID], [own for _, own in SOLID])


def solid_share(temperature_c: float) -> float:
    """Solid share of cocoa butter.

    Args:
        temperature_c: 4 to 36 [°C].
    Returns:
        share [1].
    Raises:
        OutOfRange: outside that range.
    Source:
        monotone curve (PCHIP) through values from memory.
    """
    check_range("temperature_c", temperature_c, COLDEST_C, WARMEST_C)
    return float(np.clip(_CURVE(temperature_c), 0.0, 1.0))


def firm_share(mix: Mix, temperature_c: float) -> float:
    """How firm it still is beside 18 °C; (butter x solid / solid at 18 + dry cocoa) / both.

    Args:
        mix: the formula [Mix].
        temperature_c: 4 to 36 [°C].
    Returns:
        share of its set number [1].
    Raises:
        CoreError: an unknown make-up, or no cocoa in it.
        OutOfRange: outside 4 to 36 °C.
    Source:
        an index of this project.
    """
    butter, cocoa = mix.grams("cocoa_butter"), mix.grams("cocoa_solids") + mix.coating_g
    check_range("cocoa", butter + cocoa, open_least=True)
    melted = solid_share(temperature_c) / solid_share(SET_AT_C)
    return (butter * melted + cocoa) / (butter + cocoa)


def stands_up_to(job: Job, lines: Lines) -> Iterator[Aside]:
    """The warmest at which a ganache still lies in the band of its job.

    Args:
        job: what it is for, on a dial of the set number [Job].
        lines: the formula [Lines].
    Returns:
        an aside; none where that is no question, or where it is too soft at 4 °C already [Aside].
    Raises:
        CoreError: an unknown make-up.
    Source:
        root of the set number at a temperature (scipy brentq); an index of this project.
    """
    if Tool.HOLDS_AT not in job.tools:
        return
    mix, least = lines.mix(), job.dial.band(job.band).least
    cold = job.dial.figure.value(mix)

    def above(t: float) -> float:
        return cold * firm_share(mix, t) - least

    if above(COLDEST_C) <= 0:
        return
    ends = above(WARMEST_C) < 0
    value = float(brentq(above, COLDEST_C, WARMEST_C)) if ends else WARMEST_C
    butter, cocoa = mix.grams("cocoa_butter"), mix.grams("cocoa_solids") + mix.coating_g
    solid, set_ = solid_share(value), solid_share(SET_AT_C)
    warm = cold * firm_share(mix, value)
    working = Working(
        f"{lines.formula.name} {job.band} up to",
        value,
        "°C",
        (
            Given("set number at 18 °C", cold, ""),
            Given("asked at least", least, ""),
            Given("cocoa butter", butter, "g"),
            Given("dry cocoa", cocoa, "g"),
            Given(f"solid at {value:.1f} °C", solid, "1"),
            Given(f"solid at {SET_AT_C:g} °C", set_, "1"),
        ),
        "set number × (cocoa butter × solid / solid at 18 °C + dry cocoa) / both = asked",
        f"{figure_text(cold)} × ({figure_text(butter)} × {figure_text(solid)} / "
        f"{figure_text(set_)} + {figure_text(cocoa)}) / {figure_text(butter + cocoa)} = "
        f"{figure_text(warm)} at {value:.1f} °C",
        WARMTH_SOURCE,
    )
    yield Aside("Does its job up to", f"{value:.0f} °C", working, source=WARMTH_SOURCE)

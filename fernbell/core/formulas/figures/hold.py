"""How well a mousse holds: by gelatin on its water, and by cocoa on the whole."""

from fernbell.core.formulas.figures.chocolate import COCOA, cocoa_g
from fernbell.core.formulas.figures.figure import Figure, one
from fernbell.core.formulas.figures.gelatin import gelatin_g
from fernbell.core.formulas.gauge import Verdict
from fernbell.core.formulas.mix import Mix
from fernbell.core.working import Given, Working, figure_text
from fernbell.starter.practice import practice

HOLD_SOURCE = (
    "hold number, an index of this project: 1.6 % gelatin of 200 bloom on the water, or 20 % "
    "cocoa butter and dry cocoa on the whole, each hold a clean slice (common practice)"
)
GELATIN_SLICES, COCOA_SLICES = practice("gelatin slices"), practice("cocoa slices")


def hold_parts(mix: Mix) -> tuple[float, float]:
    """What of the hold number comes of gelatin, and what of cocoa.

    Args:
        mix: the formula [Mix].
    Returns:
        by gelatin, by cocoa and compound [1].
    Raises:
        Lacking: an unknown make-up, or nothing in it.
    Source:
        an index of this project, see HOLD_SOURCE.
    """
    cocoa, gelatin = cocoa_g(mix), gelatin_g(mix)
    water = mix.grams("water") if gelatin else 1.0
    return 100 * gelatin / water / GELATIN_SLICES, 100 * cocoa / mix.own.mass_g / COCOA_SLICES


def _explain(mix: Mix) -> Working:
    by_gelatin, by_cocoa = hold_parts(mix)
    gelatin, water, cocoa = gelatin_g(mix), mix.grams("water"), cocoa_g(mix)
    return Working(
        f"Hold number of {mix.lines.formula.name}",
        by_gelatin + by_cocoa,
        "",
        (
            Given("gelatin as of 200 bloom", gelatin, "g"),
            Given("water", water, "g"),
            Given("cocoa butter and dry cocoa", cocoa, "g"),
            Given("the whole", mix.own.mass_g, "g"),
        ),
        f"gelatin on the water / {GELATIN_SLICES:g} % + cocoa on the whole / {COCOA_SLICES:g} %",
        f"100 × {figure_text(gelatin)} / {figure_text(water)} / {GELATIN_SLICES:g} + "
        f"100 × {figure_text(cocoa)} / {figure_text(mix.own.mass_g)} / {COCOA_SLICES:g} = "
        f"{figure_text(by_gelatin)} + {figure_text(by_cocoa)} = "
        f"{figure_text(by_gelatin + by_cocoa)}",
        HOLD_SOURCE,
    )


HOLD = Figure(
    "hold",
    "Hold number",
    "",
    lambda mix: sum(hold_parts(mix)),
    one,
    "gelatin and cocoa",
    "",
    source=HOLD_SOURCE,
    parts=(*COCOA, "gelatin", "bloom", "water"),
    asked=True,
    explain=_explain,
    moves={Verdict.BELOW: (("gelatin",),), Verdict.ABOVE: (("gelatin",),)},
)

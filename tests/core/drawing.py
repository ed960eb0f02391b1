"""Desserts drawn at random for property tests, sensible and senseless ones alike."""

from dataclasses import replace
from typing import get_args

from hypothesis import strategies as st

from fernbell.core.desserts import (
    Band,
    Base,
    Built,
    Coat,
    Core,
    Dessert,
    Disc,
    Drip,
    Fill,
    Foot,
    Garnish,
    Grid,
    Insert,
    Layer,
    Leaf,
    Lining,
    Part,
    Piped,
    Portions,
    PuffShell,
    Roll,
    Sauce,
    Soak,
    Strewn,
    Tier,
    portions_for,
)
from fernbell.core.molds import Frame, Mold, Ring
from tests.core.solids import SOLIDS

WITH_DENSITY = st.sampled_from(["syrup", "jelly", "sponge", "mousse", "glaze"])
OTHERS = [one for one in SOLIDS if not isinstance(one, Ring | Frame)]
ANY_FORMULA = st.one_of(WITH_DENSITY, st.just("riddle"))


@st.composite
def molds(draw: st.DrawFn) -> Mold:
    """A mold a kitchen might own: every other one a ring or a frame."""
    height = draw(st.floats(20, 90))
    if draw(st.booleans()):
        return draw(st.sampled_from(OTHERS))
    if draw(st.booleans()):
        return Ring(draw(st.floats(60, 400)), height)
    length, width = draw(st.floats(100, 600)), draw(st.floats(100, 400))
    return Frame(length, width, height, draw(st.floats(0, 1)) * min(length, width) / 2)


@st.composite
def parts(draw: st.DrawFn, mold: Mold, formulas: st.SearchStrategy[str]) -> tuple[Part, ...]:
    """Any parts of any measures; only what is narrower than a frame allows is left out."""
    plan = mold.from_above
    shortest = plan.length_mm - 2 * plan.room_mm
    across = st.floats(shortest + 5, plan.length_mm + 60)
    heights = st.floats(0.5, mold.height_mm)
    drawn: list[Part] = []
    for i in range(draw(st.integers(0, 2))):
        drawn.append(
            Base(
                key=f"base{i}",
                formula=draw(formulas),
                height_mm=draw(heights),
                across_mm=draw(across),
            )
        )
    for i in range(draw(st.integers(0, 2))):
        layers = tuple(
            Layer(key=f"layer{i}{n}", formula=draw(formulas), height_mm=draw(heights))
            for n in range(draw(st.integers(1, 3)))
        )
        lift = draw(st.floats(0, mold.height_mm))
        abreast = draw(st.sampled_from([1, 1, 3]))
        drawn.append(
            Insert(
                key=f"heart{i}",
                layers=layers,
                across_mm=draw(across),
                lift_mm=lift,
                offset_mm=0.0,
                abreast=abreast,
            )
        )
    drawn.extend(draw(rolled(formulas)))
    drawn.extend(draw(on_top(formulas)))
    if draw(st.booleans()):
        drawn.append(
            Lining(key="lining", formula=draw(formulas), thickness_mm=draw(st.floats(0.5, 2)))
        )
    for i in range(draw(st.integers(0, 2))):
        drawn.append(Tier(key=f"tier{i}", formula=draw(formulas), height_mm=draw(heights)))
    if draw(st.booleans()):
        level = draw(st.none() | st.floats(1, mold.height_mm + 20))
        drawn.append(Fill(key="fill", formula=draw(formulas), level_mm=level))
    if draw(st.booleans()):
        film, runoff, least = (
            draw(st.floats(0.5, 5)),
            draw(st.floats(0, 60)),
            draw(st.floats(0, 2e3)),
        )
        drawn.append(
            Coat(
                key="coat",
                formula=draw(formulas),
                thickness_mm=film,
                runoff_percent=runoff,
                least_pour_g=least,
                top_only=draw(st.booleans()),
            )
        )
    if draw(st.booleans()):
        drawn.append(
            Band(
                key="band",
                formula=draw(formulas),
                height_mm=draw(heights),
                thickness_mm=draw(st.floats(0.5, 8)),
                overlap_mm=10,
            )
        )
    if draw(st.booleans()):
        pieces = draw(st.sampled_from([0.5, 1, 2.5]))
        drawn.append(
            Garnish(
                key="garnish",
                formula=draw(formulas),
                piece_g=draw(st.floats(0.5, 20)),
                pieces_per_portion=pieces,
            )
        )
    return tuple(draw(st.permutations(drawn)))


@st.composite
def on_top(draw: st.DrawFn, formulas: st.SearchStrategy[str]) -> list[Part]:
    """Now and then what is piped, dripped, cut, strewn or poured at the end."""
    yet: list[Part] = []
    if draw(st.integers(0, 4)) == 0:
        yet.append(
            Piped(
                key="piped",
                across_mm=draw(st.floats(10, 60)),
                height_mm=draw(st.floats(2, 40)),
                every_mm=draw(st.none() | st.floats(10, 80)),
                formula=draw(formulas),
                over_all=draw(st.booleans()),
                torched=draw(st.booleans()),
            )
        )
    if draw(st.integers(0, 4)) == 0:
        yet.append(
            Drip(
                key="drip",
                formula=draw(formulas),
                runs_mm=draw(st.floats(5, 90)),
                every_mm=draw(st.floats(10, 90)),
            )
        )
    if draw(st.integers(0, 4)) == 0:
        yet.append(
            Leaf(
                key="leaf",
                long_mm=draw(st.floats(2, 120)),
                wide_mm=draw(st.floats(1, 120)),
                thickness_mm=draw(st.floats(0.5, 4)),
                square=draw(st.booleans()),
                standing=draw(st.booleans()),
                pieces=draw(st.integers(1, 30)),
                formula=draw(formulas),
                spare_percent=draw(st.floats(0, 40)),
            )
        )
    if draw(st.integers(0, 4)) == 0:
        yet.append(
            Foot(
                key="foot",
                formula=draw(formulas),
                height_mm=draw(st.floats(1, 20)),
                across_mm=draw(st.floats(10, 500)),
            )
        )
    if draw(st.integers(0, 4)) == 0:
        yet.append(
            Strewn(
                key="crust",
                formula=draw(formulas),
                on_100_cm2_g=draw(st.floats(1, 40)),
                torched=draw(st.booleans()),
            )
        )
    if draw(st.integers(0, 4)) == 0:
        yet.append(
            Sauce(
                key="sauce",
                formula=draw(formulas),
                portion_g=draw(st.floats(1, 90)),
                hot=draw(st.booleans()),
            )
        )
    return yet


@st.composite
def rolled(draw: st.DrawFn, formulas: st.SearchStrategy[str]) -> list[Part]:
    """Now and then a sheet rolled up, and a core."""
    yet: list[Part] = []
    if draw(st.integers(0, 4)) == 0:
        spread = tuple(
            Layer(key=f"spread{n}", formula=draw(formulas), height_mm=draw(st.floats(0.5, 12)))
            for n in range(draw(st.integers(1, 3)))
        )
        yet.append(
            Roll(
                key="roll",
                layers=spread,
                trim_mm=draw(st.floats(0, 20)),
                narrow=draw(st.booleans()),
            )
        )
    if draw(st.integers(0, 4)) == 0:
        yet.append(Core(key="core", formula=draw(formulas), across_mm=draw(st.floats(2, 40))))
    if draw(st.integers(0, 4)) == 0:
        yet.append(PuffShell(key="puff", formula=draw(formulas), wall_mm=draw(st.floats(1, 2))))
    if draw(st.integers(0, 4)) == 0:
        yet.append(
            Disc(
                key="disc",
                across_mm=draw(st.floats(10, 120)),
                thickness_mm=draw(st.floats(0.5, 5)),
                spare_percent=draw(st.floats(0, 20)),
                formula=draw(formulas),
            )
        )
    if draw(st.integers(0, 4)) == 0:
        yet.append(Soak(key="soak", formula=draw(formulas), on_100_cm2_g=draw(st.floats(0.5, 20))))
    return yet


@st.composite
def desserts(draw: st.DrawFn, formulas: st.SearchStrategy[str] = ANY_FORMULA) -> Dessert:
    """A dessert with any parts in any mold."""
    mold = draw(molds())
    if mold.symmetry == "rectangular":
        portions: Portions = Grid(draw(st.integers(1, 12)), draw(st.integers(1, 8)))
    else:
        portions = replace(portions_for(mold), count=draw(st.integers(1, 24)))
    built = draw(st.sampled_from(get_args(Built)))
    return Dessert("Drawn", mold, draw(parts(mold, formulas)), portions, built)

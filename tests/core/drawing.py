"""Desserts drawn at random for property tests, sensible and senseless ones alike."""

from hypothesis import strategies as st

from fernbell.core.desserts import (
    Band,
    Base,
    Coat,
    Dessert,
    Fill,
    Garnish,
    Grid,
    Insert,
    Layer,
    Part,
    Wedges,
)
from fernbell.core.molds import Frame, Mold, Ring

WITH_DENSITY = st.sampled_from(["syrup", "jelly", "sponge", "mousse", "glaze"])
ANY_FORMULA = st.one_of(WITH_DENSITY, st.just("riddle"))


@st.composite
def molds(draw: st.DrawFn) -> Mold:
    """A ring or a frame a kitchen might own."""
    height = draw(st.floats(20, 90))
    if draw(st.booleans()):
        return Ring(draw(st.floats(60, 400)), height)
    length, width = draw(st.floats(100, 600)), draw(st.floats(100, 400))
    return Frame(length, width, height, draw(st.floats(0, 1)) * min(length, width) / 2)


@st.composite
def parts(draw: st.DrawFn, mold: Mold, formulas: st.SearchStrategy[str]) -> tuple[Part, ...]:
    """Any parts of any measures; only what is narrower than a frame allows is left out."""
    plan = mold.plan
    shortest = plan.length_mm - min(plan.length_mm, plan.width_mm)
    across = st.floats(shortest + 5, plan.length_mm + 60)
    heights = st.floats(0.5, mold.height_mm)
    drawn: list[Part] = []
    for i in range(draw(st.integers(0, 2))):
        drawn.append(Base(f"base{i}", draw(formulas), draw(heights), draw(across)))
    for i in range(draw(st.integers(0, 2))):
        layers = tuple(
            Layer(f"layer{i}{n}", draw(formulas), draw(heights))
            for n in range(draw(st.integers(1, 3)))
        )
        lift = draw(st.floats(0, mold.height_mm))
        drawn.append(Insert(f"heart{i}", layers, draw(across), lift))
    if draw(st.booleans()):
        level = draw(st.none() | st.floats(1, mold.height_mm + 20))
        drawn.append(Fill("fill", draw(formulas), level))
    if draw(st.booleans()):
        film, runoff, least = (
            draw(st.floats(0.5, 5)),
            draw(st.floats(0, 60)),
            draw(st.floats(0, 2e3)),
        )
        drawn.append(Coat("coat", draw(formulas), film, runoff, least, draw(st.booleans())))
    if draw(st.booleans()):
        drawn.append(Band("band", draw(formulas), draw(heights), draw(st.floats(0.5, 8)), 10))
    if draw(st.booleans()):
        pieces = draw(st.sampled_from([0.5, 1, 2.5]))
        drawn.append(Garnish("garnish", draw(formulas), draw(st.floats(0.5, 20)), pieces))
    return tuple(draw(st.permutations(drawn)))


@st.composite
def desserts(draw: st.DrawFn, formulas: st.SearchStrategy[str] = ANY_FORMULA) -> Dessert:
    """A dessert with any parts in any mold."""
    mold = draw(molds())
    if isinstance(mold, Ring):
        portions: Wedges | Grid = Wedges(draw(st.integers(1, 24)))
    else:
        portions = Grid(draw(st.integers(1, 12)), draw(st.integers(1, 8)))
    return Dessert("Drawn", mold, draw(parts(mold, formulas)), portions)

"""The workings of what a mold holds."""

from fernbell.core.molds.plan import Plan
from fernbell.core.molds.straight import Mold
from fernbell.core.working import GEOMETRY, Given, Working, figure_text


def area_arithmetic(plan: Plan) -> str:
    """Area of a plan written out, in mm².

    Args:
        plan: the shape seen from above [mm].
    Returns:
        arithmetic without its result [text].
    Source:
        geometry, exact.
    """
    length, width = figure_text(plan.length_mm), figure_text(plan.width_mm)
    if plan.is_round:
        return f"π/4 × {length}²"
    if plan.corner_radius_mm == 0:
        return f"{length} × {width}"
    return f"({length} × {width} − (4 − π) × {figure_text(plan.corner_radius_mm)}²)"


def edge_arithmetic(plan: Plan) -> str:
    """Edge of a plan written out, in mm.

    Args:
        plan: the shape seen from above [mm].
    Returns:
        arithmetic without its result [text].
    Source:
        geometry, exact.
    """
    length, width = figure_text(plan.length_mm), figure_text(plan.width_mm)
    if plan.is_round:
        return f"π × {length}"
    if plan.corner_radius_mm == 0:
        return f"2 × ({length} + {width})"
    return f"2 × ({length} + {width}) − (8 − 2π) × {figure_text(plan.corner_radius_mm)}"


def plan_given(plan: Plan) -> tuple[Given, ...]:
    """The measures of a plan as inputs of a working.

    Args:
        plan: the shape seen from above [mm].
    Returns:
        its diameter, or its sides and corner radius [mm].
    Source:
        definition.
    """
    if plan.is_round:
        return (Given("across", plan.length_mm, "mm"),)
    return (
        Given("length", plan.length_mm, "mm"),
        Given("width", plan.width_mm, "mm"),
        Given("corner radius", plan.corner_radius_mm, "mm"),
    )


def mold_workings(mold: Mold) -> tuple[Working, Working, Working, Working]:
    """Capacity, edge, open surface and wall of a mold.

    V = A H, P, A, P H

    Args:
        mold: the ring or frame [mm].
    Returns:
        workings of the four figures [ml, mm, cm², cm²].
    Source:
        geometry, exact.
    """
    plan, height = mold.plan, figure_text(mold.height_mm)
    area, edge = area_arithmetic(plan), edge_arithmetic(plan)
    sides, upright = plan_given(plan), Given("height", mold.height_mm, "mm")

    def working(
        figure: str, value: float, unit: str, given: tuple[Given, ...], rule: str, sum_: str
    ) -> Working:
        arithmetic = f"{sum_} = {figure_text(value)} {unit}"
        return Working(figure, value, unit, given, rule, arithmetic, GEOMETRY)

    capacity, wall = mold.capacity_ml, mold.wall_at(mold.height_mm)
    surface = mold.free_surface_at(mold.height_mm)
    return (
        working(
            *("Holds", capacity, "ml", (*sides, upright)),
            *("volume = area × height", f"{area} × {height} / 1 000"),
        ),
        working("Edge all round", plan.perimeter_mm, "mm", sides, "edge of the plan", edge),
        working("Open surface", surface, "cm²", sides, "area of the plan", f"{area} / 100"),
        working(
            *("Wall", wall, "cm²", (*sides, upright)),
            *("wall = edge × height", f"({edge}) × {height} / 100"),
        ),
    )


def depth_working(mold: Mold, volume_ml: float) -> Working:
    """How high a volume stands in a mold.

    h = H V / V(H)

    Args:
        mold: the ring or frame [mm].
        volume_ml: what is poured in [ml].
    Returns:
        working of the depth [mm].
    Raises:
        MoldOverflow: more than the brim.
        OutOfRange: a negative volume.
    Source:
        geometry, exact.
    """
    depth = mold.depth_of(volume_ml)
    return Working(
        figure="Stands high",
        value=depth,
        unit="mm",
        given=(Given("poured in", volume_ml, "ml"), Given("height", mold.height_mm, "mm")),
        rule="depth = height × volume / what the mold holds; the walls are upright",
        arithmetic=f"{figure_text(mold.height_mm)} × {figure_text(volume_ml)} / "
        f"{figure_text(mold.capacity_ml)} = {figure_text(depth)} mm",
        source=GEOMETRY,
        steps=(mold_workings(mold)[0],),
    )

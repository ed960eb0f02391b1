"""Geometry against a reference library: fluids 1.3 (fluids.geometry), and against quadrature."""

import math

import pytest
from fluids.geometry import TANK, A_cylinder, V_cylinder

from fernbell.core.molds import Frame, Plan, Ring, RoundedBox, clearance, disc, moved


@pytest.mark.parametrize(("diameter", "height"), [(60, 50), (180, 45), (240, 35)])
def test_ring_volume_and_surface_agree_with_fluids(diameter: float, height: float) -> None:
    ring = Ring(diameter, height)
    d, h = diameter / 1000, height / 1000
    assert ring.capacity_ml == pytest.approx(V_cylinder(d, h) * 1e6)
    closed = ring.wall_between(0, height) + 2 * ring.free_surface_at(0)
    assert closed == pytest.approx(A_cylinder(d, h) * 1e4)


def test_depth_of_a_volume_agrees_with_a_fluids_tank() -> None:
    ring, tank = Ring(200, 45), TANK(D=0.2, L=0.045, horizontal=False)
    for volume in (10, 500, 1400):
        assert ring.depth_of(volume) == pytest.approx(tank.h_from_V(volume / 1e6) * 1000, rel=1e-6)


def polygon_area(points: tuple[tuple[float, float], ...]) -> float:
    """Shoelace formula."""
    following = points[1:] + points[:1]
    return sum(x1 * y2 - x2 * y1 for (x1, y1), (x2, y2) in zip(points, following, strict=True)) / 2


@pytest.mark.parametrize(
    "plan", [disc(200), RoundedBox(160, 160, 12), RoundedBox(570, 370), RoundedBox(90, 40, 20)]
)
def test_drawn_outline_encloses_the_computed_area(plan: Plan) -> None:
    assert polygon_area(plan.outline()) == pytest.approx(plan.area_mm2, rel=0.002)


def distance_to_polygon(x: float, y: float, points: tuple[tuple[float, float], ...]) -> float:
    """Least distance of a point to a closed polygon's edges."""
    following = points[1:] + points[:1]
    best = math.inf
    for (x1, y1), (x2, y2) in zip(points, following, strict=True):
        length2 = (x2 - x1) ** 2 + (y2 - y1) ** 2
        share = 0.0
        if length2:
            share = max(0.0, min(1.0, ((x - x1) * (x2 - x1) + (y - y1) * (y2 - y1)) / length2))
        best = min(best, math.hypot(x - x1 - share * (x2 - x1), y - y1 - share * (y2 - y1)))
    return best


@pytest.mark.parametrize(
    ("inner", "outer"),
    [
        (disc(160), disc(180)),
        (RoundedBox(140, 140), RoundedBox(160, 160, 12)),
        (RoundedBox(140, 140, 40), RoundedBox(160, 160, 12)),
        (disc(120), Frame(300, 200, 40).plan),
    ],
)
@pytest.mark.parametrize("shift", [0.0, 4.0, -7.5])
def test_clearance_is_the_least_distance_between_the_drawn_edges(
    inner: Plan, outer: Plan, shift: float
) -> None:
    edge = outer.outline()
    least = min(distance_to_polygon(x, y, edge) for x, y in moved(inner.outline(), shift))
    assert clearance(inner, outer, shift) == pytest.approx(least, abs=0.12)

"""Molds of every form against reference libraries: fluids 1.3 (fluids.geometry) and trimesh."""

import numpy as np
import pytest
import trimesh
from fluids.geometry import TANK, V_vertical_conical, V_vertical_spherical
from hypothesis import given, settings
from hypothesis import strategies as st
from shapely.geometry import Polygon

from fernbell.core.desserts import ByCount, Dessert, Fill, Insert, Layer, solve, usual_build
from fernbell.core.molds import (
    Frame,
    Gutter,
    Loaf,
    Outlined,
    Savarin,
    Solid,
    Turned,
    WallPoint,
    turned_over,
)
from fernbell.core.molds.outlined import heart, leaf
from tests.core.kitchen import BOOK
from tests.core.solids import EVERY

MM, SHARE = st.floats(20, 250), st.floats(0.05, 1.0)
LEVELS = 160


@given(st.floats(20, 250), st.floats(0.5, 1.0), SHARE)
def test_a_cap_holds_what_a_spherical_head_does(across: float, deep: float, share: float) -> None:
    high = deep * across / 2
    radius = (across**2 / 4 + high**2) / (2 * high)
    dome = Turned((WallPoint(0, 0), WallPoint(high, across, radius)))
    there = V_vertical_spherical(across / 1000, high / 1000, share * high / 1000) * 1e6
    assert dome.volume_between(0, share * high) == pytest.approx(there, rel=1e-6, abs=1e-4)


@given(MM, MM, SHARE)
def test_a_cone_holds_what_a_conical_head_does(across: float, high: float, share: float) -> None:
    cone = Turned((WallPoint(0, 0), WallPoint(high, across)))
    there = V_vertical_conical(across / 1000, high / 1000, share * high / 1000) * 1e6
    assert cone.volume_between(0, share * high) == pytest.approx(there, rel=1e-6, abs=1e-4)


@given(MM, st.floats(60, 600), SHARE)
def test_a_half_round_gutter_is_half_of_a_lying_tank(
    wide: float, long_: float, share: float
) -> None:
    gutter, tank = Gutter(long_, wide, wide / 2), TANK(D=wide / 1000, L=long_ / 1000)
    depth = share * wide / 2
    there = tank.V_from_h(depth / 1000) * 1e6
    assert gutter.volume_between(0, depth) == pytest.approx(there, rel=1e-5)
    assert gutter.depth_of(there) == pytest.approx(depth, rel=1e-4)


@settings(max_examples=60)
@given(MM, MM, SHARE, SHARE, st.floats(20, 120))
def test_a_loaf_pan_is_the_hull_of_its_floor_and_its_rim(
    long_: float, wide: float, shorter: float, narrower: float, high: float
) -> None:
    floor = (max(20.0, long_ * shorter), max(20.0, wide * narrower))
    loaf = Loaf(long_, wide, *floor, high)
    corners = [
        (x * a / 2, y * b / 2, z)
        for a, b, z in ((*floor, 0.0), (long_, wide, high))
        for x in (-1, 1)
        for y in (-1, 1)
    ]
    hull = trimesh.Trimesh(corners).convex_hull
    assert loaf.capacity_ml == pytest.approx(hull.volume / 1000, rel=1e-6)
    walls = hull.area - floor[0] * floor[1] - long_ * wide
    assert loaf.wall_between(0, high) == pytest.approx(walls / 100, rel=1e-5)


@pytest.mark.parametrize("outline", [heart(180), heart(70), leaf(200, 90)])
def test_an_outline_holds_what_its_polygon_extruded_does(outline: tuple) -> None:
    mold = Outlined(outline, 45)
    plan = mold.plan_at(0)
    solid = trimesh.creation.extrude_polygon(Polygon(plan.outline()), 45)
    assert mold.capacity_ml == pytest.approx(solid.volume / 1000, rel=1e-4)
    assert mold.wall_between(0, 45) == pytest.approx(plan.perimeter_mm * 45 / 100)


@pytest.mark.parametrize(("across", "hole"), [(180, 60), (75, 25)])
def test_a_savarin_is_half_a_torus(across: float, hole: float) -> None:
    tube = (across - hole) / 4
    torus = trimesh.creation.torus((across + hole) / 4, tube, 256, 256)
    savarin = Savarin(across, hole, tube)
    assert savarin.capacity_ml == pytest.approx(torus.volume / 2 / 1000, rel=1e-3)
    assert savarin.wall_between(0, tube) == pytest.approx(torus.area / 2 / 100, rel=1e-3)


def meshed(solid: Solid) -> trimesh.Trimesh:
    """Stitched of its own outlines from floor to rim, point by point, closed at both ends."""
    heights = np.linspace(0, solid.height_mm, LEVELS)
    loops = [solid.plan_at(float(z)).outline() for z in heights]
    around = len(loops[0])
    assert {len(loop) for loop in loops} == {around}
    points = [(x, y, float(z)) for loop, z in zip(loops, heights, strict=True) for x, y in loop]
    faces = []
    for level in range(LEVELS - 1):
        here, above = level * around, (level + 1) * around
        for at in range(around):
            following = (at + 1) % around
            faces.append((here + at, here + following, above + following))
            faces.append((here + at, above + following, above + at))
    low, high, top = len(points), len(points) + 1, (LEVELS - 1) * around
    for at in range(around):
        following = (at + 1) % around
        faces.append((low, following, at))
        faces.append((high, top + at, top + following))
    ends = [(0.0, 0.0, 0.0), (0.0, 0.0, solid.height_mm)]
    return trimesh.Trimesh([*points, *ends], faces, process=False)


@EVERY
def test_a_molds_mesh_agrees_with_its_formula(solid: Solid) -> None:
    if solid.plan_at(solid.height_mm / 2).hole():
        # Hollow in the middle: told by the torus above.
        return
    mesh = meshed(solid)
    assert mesh.volume / 1000 == pytest.approx(solid.capacity_ml, rel=0.004)
    caps = solid.area_at(0) + solid.area_at(solid.height_mm)
    assert (mesh.area - caps) / 100 == pytest.approx(
        solid.wall_between(0, solid.height_mm), rel=0.02
    )


@pytest.mark.parametrize(
    ("mold", "across", "high", "lift"),
    [
        (Turned((WallPoint(0, 0), WallPoint(60, 120, 60))), 70, 14, 10),
        (Turned((WallPoint(0, 220), WallPoint(25, 240))), 180, 8, 6),
        (Frame(200, 120, 40), 160, 10, 12),
    ],
    ids=["dome", "pan", "frame"],
)
def test_what_is_left_around_an_insert_is_the_boolean_difference(
    mold: Solid, across: float, high: float, lift: float
) -> None:
    """Between meshes, by another library's booleans (manifold)."""
    insert = Insert(
        key="i",
        layers=(Layer(key="a", formula="jelly", height_mm=high),),
        across_mm=across,
        lift_mm=lift,
    )
    built = usual_build(mold)
    solved, _ = solve(
        Dessert("One", mold, (insert, Fill(key="f", formula="mousse")), ByCount(1), built), BOOK
    )
    stands = mold if built == "upright" else turned_over(mold)
    (block,) = (part for part in solved.parts if part.part == "i")
    (rest,) = (part for part in solved.parts if part.part == "f")
    shape: trimesh.Trimesh = (
        trimesh.creation.box((across, 120 - (200 - across), high))
        if mold.symmetry == "rectangular"
        else trimesh.creation.cylinder(across / 2, high, sections=720)
    )
    shape.apply_translation((0, 0, lift + high / 2))
    left = meshed(stands).difference(shape)
    assert block.volume is not None
    assert rest.volume is not None
    assert block.volume.value == pytest.approx(shape.volume / 1000, rel=1e-4)
    assert rest.volume.value == pytest.approx(left.volume / 1000, rel=0.002)

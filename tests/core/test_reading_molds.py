"""Molds read from a mesh or a path: what they hold, and what is refused with the numbers."""

import math
import time

import numpy as np
import pytest
import trimesh
from hypothesis import given, settings
from hypothesis import strategies as st

from fernbell.core.errors import CoreError, OutOfRange
from fernbell.core.molds import Outlined, heart, outline_of_path, read_stl
from tests.core.solids import stl_of

CUP = trimesh.creation.revolve(np.array([[0, 0], [30, 0], [42, 80], [0, 80]]), sections=96)


# The reference is trimesh's own volume of the same mesh.
@settings(max_examples=15, deadline=None)
@given(floor=st.floats(15, 60), rim=st.floats(15, 60), height=st.floats(12, 120))
def test_a_scanned_cone_holds_what_its_mesh_does(floor: float, rim: float, height: float) -> None:
    profile = np.array([[0, 0], [floor, 0], [rim, height], [0, height]])
    mesh = trimesh.creation.revolve(profile, sections=64)
    scan = read_stl(stl_of(mesh), "mm")
    assert scan.volume_ml == pytest.approx(abs(mesh.volume) / 1000, rel=1e-5)
    assert scan.mold.capacity_ml == pytest.approx(scan.volume_ml, rel=5e-3)
    assert scan.mold.height_mm == pytest.approx(height, abs=0.01)


# trimesh cuts the mesh by a plane and caps it: volume below a height, area at it.
@pytest.mark.parametrize("depth", [5, 27, 40, 71])
def test_a_scan_filled_to_a_depth_holds_what_the_cut_mesh_does(depth: float) -> None:
    scan = read_stl(stl_of(CUP), "mm").mold
    below = math.pi / 3 * depth * (30**2 + 30 * (r := 30 + 12 * depth / 80) + r**2) / 1000
    assert scan.volume_between(0, depth) == pytest.approx(below, rel=5e-3)
    assert scan.area_at(depth) == pytest.approx(math.pi * r**2, rel=5e-3)
    slant = math.hypot(12, 80) * depth / 80
    assert scan.wall_between(0, depth) == pytest.approx(math.pi * (30 + r) * slant / 100, rel=5e-3)


def test_a_step_in_a_mesh_is_cut_where_it_is() -> None:
    low = trimesh.creation.cylinder(40, 20, sections=96).apply_translation([0, 0, 10])
    profile = np.array([[0, 0], [40, 0], [40, 20], [20, 20], [20, 60], [0, 60]])
    scan = read_stl(stl_of(trimesh.creation.revolve(profile, sections=96)), "mm").mold
    assert scan.volume_between(0, 20) == pytest.approx(low.volume / 1000, rel=5e-3)
    assert scan.area_at(10) / scan.area_at(40) == pytest.approx(4, rel=5e-3)


def test_centimeters_and_inches_are_taken_as_said() -> None:
    small = CUP.copy().apply_scale(0.1)
    assert read_stl(stl_of(small), "cm").volume_ml == pytest.approx(
        read_stl(stl_of(CUP), "mm").volume_ml
    )
    assert read_stl(stl_of(CUP.copy().apply_scale(1 / 25.4)), "in").mold.height_mm == pytest.approx(
        80
    )


def halved(mesh: trimesh.Trimesh) -> bytes:
    return stl_of(trimesh.Trimesh(mesh.vertices, mesh.faces[: len(mesh.faces) // 2]))


def inverted_part(mesh: trimesh.Trimesh) -> bytes:
    faces = mesh.faces.copy()
    faces[:5] = faces[:5, ::-1]
    return stl_of(trimesh.Trimesh(mesh.vertices, faces, process=False))


TWO = trimesh.util.concatenate(
    [trimesh.creation.box((30, 30, 30)).apply_translation([x, 0, 0]) for x in (0, 60)]
)
TORUS = trimesh.creation.torus(40, 12)


@pytest.mark.parametrize(
    ("data", "unit", "says"),
    [
        (b"", "mm", "STL"),
        (b"solid nothing\nendsolid", "mm", "STL|faces"),
        (b"\x00" * 500, "mm", "STL|faces"),
        (b"PK\x03\x04 a picture, no mesh" * 20, "mm", "STL|faces"),
        (stl_of(CUP), "miles", "mm, cm, m or in"),
        (stl_of(CUP), "m", "another unit than m"),
        (stl_of(CUP.copy().apply_scale(0.05)), "mm", "another unit than mm"),
        (halved(CUP), "mm", "edges bare"),
        (inverted_part(CUP), "mm", "both ways"),
        (stl_of(TWO), "mm", "2 bodies"),
    ],
)
def test_what_is_no_mold_is_refused_with_what_to_change(data: bytes, unit: str, says: str) -> None:
    with pytest.raises(CoreError, match=says):
        read_stl(data, unit)


def test_a_ring_with_a_hole_is_refused_as_a_scan() -> None:
    with pytest.raises(CoreError):
        read_stl(stl_of(TORUS), "mm")


def test_a_file_too_large_is_refused_before_it_is_read() -> None:
    begun = time.perf_counter()
    with pytest.raises(CoreError, match="at most 25 MB"):
        read_stl(b"\x00" * 26_000_000, "mm")
    assert time.perf_counter() - begun < 0.5


def test_an_inverted_body_is_taken_for_what_it_is() -> None:
    inside_out = trimesh.Trimesh(CUP.vertices, CUP.faces[:, ::-1], process=False)
    assert read_stl(stl_of(inside_out), "mm").volume_ml == pytest.approx(
        read_stl(stl_of(CUP), "mm").volume_ml
    )


def test_a_path_is_extruded_as_long_as_it_is_asked_for() -> None:
    square = Outlined(outline_of_path("M10 10 h80 v80 h-80 z", 160), 40)
    assert square.capacity_ml == pytest.approx(160 * 160 * 40 / 1000)
    # A circle of two arcs: pi/4 d².
    disc = Outlined(outline_of_path("M 0 50 A 50 50 0 0 1 100 50 A 50 50 0 0 1 0 50 z", 200), 10)
    assert disc.capacity_ml == pytest.approx(math.pi * 100, rel=5e-3)


@pytest.mark.parametrize(
    "path",
    [
        *("", "hello", "M0 0 L10 10", "M0 0 L10 10 L10 0 L0 10 Z", "M 0 0 A", "M0 0 Lx", "M"),
        *("M0 0h9v9h-9z M20 20h9v9h-9z", "M 0 0 L 1e400 0 L 3 4 Z", "<svg/>", "M0 0h9v0h-9z"),
    ],
)
def test_what_is_no_outline_is_refused(path: str) -> None:
    with pytest.raises(CoreError):
        outline_of_path(path, 100)


@pytest.mark.parametrize("length", [0, -5, 5, 2000, math.nan])
def test_a_length_no_mold_has_is_refused_by_its_field(length: float) -> None:
    with pytest.raises(OutOfRange) as refusal:
        outline_of_path("M0 0h9v9h-9z", length)
    assert refusal.value.field == "length_mm"


@given(st.floats(20, 900))
def test_a_heart_of_any_size_is_an_outline(across: float) -> None:
    made = Outlined(heart(across), 40)
    assert made.across_mm == pytest.approx(across, rel=0.02, abs=0.2)

"""What a working writes down is worked out again from its text, and must give its figure."""

import ast
import math
import re
from collections.abc import Iterator

import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from fernbell.core.desserts import Dessert, solve
from fernbell.core.formulas import (
    batch_working,
    line_working,
    percent_workings,
    read_formulas,
    sheet_working,
    volume_working,
)
from fernbell.core.molds import Frame, Ring, Solid, depth_working
from fernbell.core.molds.profile import Piece
from fernbell.core.working import Working, figure_text
from fernbell.demo.book import demo_book
from fernbell.demo.desserts import REEDBED
from tests.core.drawing import WITH_DENSITY, desserts
from tests.core.kitchen import BOOK
from tests.core.solids import EVERY, PIECES

# A number written to four figures is off by half of the fourth at most.
WRITTEN = 5e-4

Known = tuple[float, float]
"""A value, and how far off it may be."""


def worked_out(expression: str) -> Known:
    """Value of an arithmetic as written, with the error its rounded numbers may add up to."""
    plain = re.sub(r"(?<=\d) (?=\d{3})", "", expression)
    plain = re.sub(r"(?<=\d) (?:g/ml|ml|g)\b", "", plain)
    plain = plain.replace(" rad", "").replace("√", "sqrt")
    for sign, python in (("×", "*"), ("−", "-"), ("²", "**2"), ("³", "**3"), ("π", "pi")):
        plain = plain.replace(sign, python)
    return known(ast.parse(re.sub(r"(\d)pi", r"\1*pi", plain).strip(), mode="eval").body)


def known(node: ast.expr) -> Known:
    """First-order error propagation through the four operations and a power."""
    match node:
        case ast.Constant(value=int() | float() as value):
            return float(value), WRITTEN * abs(value)
        case ast.Name(id="pi"):
            return math.pi, 0.0
        case ast.UnaryOp(op=ast.USub(), operand=inner):
            value, error = known(inner)
            return -value, error
        case ast.Call(func=ast.Name(id="sqrt"), args=[inner]):
            value, error = known(inner)
            return math.sqrt(value), error / (2 * math.sqrt(value))
        case ast.BinOp(left=left, op=ast.Pow(), right=ast.Constant(value=2 | 3 as power)):
            value, error = known(left)
            return value**power, power * abs(value) ** (power - 1) * error
        case ast.BinOp(left=left, op=op, right=right):
            return combined(op, known(left), known(right))
    raise AssertionError(f"no arithmetic: {ast.dump(node)}")


def combined(op: ast.operator, left: Known, right: Known) -> Known:
    (a, da), (b, db) = left, right
    match op:
        case ast.Add():
            return a + b, da + db
        case ast.Sub():
            return a - b, da + db
        case ast.Mult():
            return a * b, abs(a) * db + abs(b) * da
        case ast.Div():
            return a / b, da / abs(b) + abs(a) * db / b**2
    raise AssertionError(f"no operation of a kitchen: {op}")


def stated(working: Working) -> tuple[str, str] | None:
    """Left and right of the first equation of a working; None where it states without computing."""
    found = re.match(r"^(.*?) = (-?[\d .]+(?:e-\d+)?)", working.arithmetic)
    if not found:
        return None
    # Names stand before the numbers in the sum of a sheet's uses.
    left = re.sub(r"[A-Za-zÀ-ÖØ-öø-ÿ][A-Za-zÀ-ÖØ-öø-ÿ ,%-]*?(?=\s\d)", "", found.group(1))
    return left, found.group(2).strip()


def all_of(working: Working | None) -> Iterator[Working]:
    if working is not None:
        yield working
        for step in working.steps:
            yield from all_of(step)


def check(working: Working) -> None:
    """The written result is the figure, and the written sum gives the written result."""
    equation = stated(working)
    if equation is None:
        assert "as entered" in working.arithmetic or "counted" in working.arithmetic
        return
    left, right = equation
    result = float(right.replace(" ", ""))
    value, error = worked_out(left)
    assert abs(value - result) <= 1.1 * (error + WRITTEN * abs(result)) + 1e-9, working.arithmetic
    # Rounded up to what pours, by the scale, or to whole pieces.
    if not re.search("raised to|weighed as|→", working.arithmetic):
        assert result == pytest.approx(working.value, rel=6e-4, abs=0.5 if result >= 1000 else 1e-9)


def workings_of(dessert: Dessert, count: int) -> Iterator[Working]:
    solved, made = solve(dessert, BOOK, count)
    for part in solved.parts:
        for one in (part.measure, part.volume, part.mass, part.make):
            yield from all_of(one)
        for pour in part.pours:
            yield from all_of(pour.volume)
            yield from all_of(pour.mass)
    for one in (solved.finished, solved.finished_all, solved.portion, solved.liner):
        yield from all_of(one)
    for stage in solved.stages:
        yield from all_of(stage.working)
    yield from all_of(solved.division_working)
    yield from all_of(solved.height)
    yield from all_of(solved.surface)
    for sheet in made:
        yield from all_of(sheet_working(sheet))
        yield from all_of(batch_working(sheet))
        for line in sheet.lines:
            yield from all_of(line_working(sheet, line))


@settings(max_examples=60)
@given(desserts(WITH_DENSITY), st.integers(1, 40))
def test_every_working_of_a_dessert_gives_its_figure(dessert: Dessert, count: int) -> None:
    for working in workings_of(dessert, count):
        assert working.law
        assert working.source
        check(working)


def test_every_working_of_the_demo_gives_its_figure() -> None:
    book = demo_book()
    solved, made = solve(REEDBED, book, 6)
    seen = 0
    for part in solved.parts:
        for working in (*all_of(part.make), *all_of(part.measure)):
            check(working)
            seen += 1
    for reading in read_formulas(book, [sheet.formula for sheet in made]).values():
        for one in (volume_working(reading), *percent_workings(book, reading)):
            for working in all_of(one):
                check(working)
                seen += 1
    assert seen > 100


@given(st.floats(20, 1000), st.floats(5, 300), st.floats(0.001, 1))
def test_every_working_of_a_ring_gives_its_figure(size: float, height: float, share: float) -> None:
    ring = Ring(size, height)
    for working in (*ring.workings(), depth_working(ring, share * ring.capacity_ml)):
        check(working)


@given(st.floats(20, 1000), st.floats(20, 1000), st.floats(5, 300), st.floats(0, 1))
def test_every_working_of_a_frame_gives_its_figure(
    length: float, width: float, height: float, corner: float
) -> None:
    for working in Frame(length, width, height, corner * min(length, width) / 2).workings():
        check(working)


@EVERY
def test_every_working_of_any_mold_gives_its_figure(solid: Solid) -> None:
    for working in solid.workings():
        check(working)


@EVERY
@pytest.mark.parametrize("share", [0.05, 0.3, 0.75, 1.0])
def test_a_depth_is_told_by_the_volume_that_stands_to_it(solid: Solid, share: float) -> None:
    working = depth_working(solid, share * solid.capacity_ml)
    equation = stated(working)
    assert equation is not None
    value, error = worked_out(equation[0])
    at = re.search(r" = ([\d .]+) ml at ([\d.]+) mm$", working.arithmetic)
    if at is None:
        check(working)
        return
    assert abs(value - share * solid.capacity_ml) <= 1.1 * error + 1e-9
    assert float(at[1].replace(" ", "")) == pytest.approx(share * solid.capacity_ml, rel=1e-3)
    assert float(at[2]) == pytest.approx(working.value, rel=WRITTEN)


@pytest.mark.parametrize("piece", PIECES, ids=lambda piece: type(piece).__name__)
@pytest.mark.parametrize("ends", [(0, 1), (0, 0.4), (0.3, 0.9)])
def test_a_piece_of_wall_is_written_as_it_is_integrated(piece: Piece, ends: tuple) -> None:
    low, high = (piece.z0 + share * (piece.z1 - piece.z0) for share in ends)
    for figure, text in (
        (piece.area(low, high), piece.area_text(low, high)),
        (piece.square(low, high), piece.square_text(low, high)),
        (piece.turned(low, high), piece.turned_text(low, high)),
    ):
        value, error = worked_out(text)
        assert abs(value - figure) <= 1.1 * error + 1e-9, text


@pytest.mark.parametrize(
    ("value", "text"),
    [(0, "0"), (1145.11, "1 145"), (35.3678, "35.37"), (0.75239, "0.7524"), (-3.5, "-3.5")],
)
def test_figures_are_written_to_four_places(value: float, text: str) -> None:
    assert figure_text(value) == text


def test_this_check_would_notice_a_wrong_sum() -> None:
    wrong = Working("x", 12.0, "g", (), "rule", "3 × 5 = 12 g", "source")
    with pytest.raises(AssertionError):
        check(wrong)
    other = Working("x", 16.0, "g", (), "rule", "3 × 5 = 15 g", "source")
    with pytest.raises(AssertionError):
        check(other)

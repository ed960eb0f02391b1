"""What a dessert holds: where the others stand on it, what they take, how they are drawn."""

from collections.abc import Iterator, Mapping
from dataclasses import dataclass
from typing import TYPE_CHECKING

from fernbell.core.desserts.dessert import Held
from fernbell.core.desserts.regions import HELD, Shape, shifted
from fernbell.core.desserts.step import BuildStep, Moment
from fernbell.core.errors import OutOfRange
from fernbell.core.findings import Finding, Severity
from fernbell.core.molds import Point
from fernbell.core.working import GEOMETRY, Working, figure_text
from fernbell.starter.practice import practice

if TYPE_CHECKING:
    from fernbell.core.desserts.body import Body
    from fernbell.core.desserts.cut import Cut, Through
    from fernbell.core.desserts.measure import MeasuredDessert

_APART_MM = practice("held apart")
"""Between what stands side by side."""


@dataclass(frozen=True, slots=True)
class HeldMade:
    """What another dessert is in this one, as it is measured."""

    held: Held
    made: "MeasuredDessert"

    @property
    def name(self) -> str:
        """What it is called."""
        return self.held.dessert.name

    @property
    def size(self) -> tuple[float, float]:
        """How long and wide it is from above, coated [mm]."""
        body = self.made.body
        plan = body.outer.from_above.grown(sum(film.side_mm for film in body.films))
        return plan.length_mm, plan.width_mm


@dataclass(frozen=True, slots=True)
class HeldResult:
    """What a dessert holds of another: its name, how many on one, and what they weigh together."""

    key: str
    name: str
    each: int
    says: str
    mass: Working | None


@dataclass(frozen=True, slots=True)
class Standing:
    """Where each of what is set on a dessert stands, from above, and the room they take [mm]."""

    places: tuple[tuple[HeldMade, Point], ...]
    length_mm: float
    width_mm: float


def stand(holds: tuple[HeldMade, ...], room_mm: float) -> Standing:
    """Set desserts on another side by side, in rows where one row is too long.

    Args:
        holds: what is set on it, in their order [HeldMade].
        room_mm: how long a row may be [mm].
    Returns:
        the middle of each, and the room they take together [mm].
    Source:
        common practice: as near to each other as hands set them.
    """
    rows: list[list[HeldMade]] = []
    used = 0.0
    for one in (held for held in holds for _ in range(held.held.each)):
        long_ = one.size[0]
        if not rows or used + _APART_MM + long_ > room_mm:
            rows.append([one])
            used = long_
        else:
            rows[-1].append(one)
            used += _APART_MM + long_
    depths = [max(one.size[1] for one in row) for row in rows]
    whole = sum(depths) + _APART_MM * max(0, len(rows) - 1)
    places: list[tuple[HeldMade, Point]] = []
    lengths, y = [0.0], whole / 2
    for row, depth in zip(rows, depths, strict=True):
        length = sum(one.size[0] for one in row) + _APART_MM * (len(row) - 1)
        x = -length / 2
        for one in row:
            places.append((one, (x + one.size[0] / 2, y - depth / 2)))
            x += one.size[0] + _APART_MM
        y -= depth + _APART_MM
        lengths.append(length)
    return Standing(tuple(places), max(lengths), whole)


def set_on(made: "MeasuredDessert") -> Standing:
    """What is set on a dessert, as it stands on it.

    Args:
        made: the dessert, measured [MeasuredDessert].
    Returns:
        places from above [mm].
    Source:
        common practice.
    """
    holds = tuple(one for one in made.holds if one.held.inside_mm is None)
    if not holds:
        return Standing((), 0.0, 0.0)
    return stand(holds, made.body.outer.from_above.length_mm)


def top_of(body: "Body") -> float:
    """How high the others stand on it, its own foot not counted [mm].

    Args:
        body: what they are set on [Body].
    Returns:
        the height of its coated top; 0 for an empty plate [mm].
    Source:
        geometry.
    """
    return body.top_mm + sum(film.thick_mm for film in body.films)


def held_shapes(made: "MeasuredDessert", cuts: Mapping[str, "Cut | Through"]) -> Iterator[Shape]:
    """The sections of what it holds, where they stand; of several rows the one in the middle.

    Args:
        made: the dessert, measured [MeasuredDessert].
        cuts: what each of them looks like, by its key [mm].
    Returns:
        shapes, named by the key of what they are of [mm].
    Source:
        geometry.
    """
    number = 0
    for one, (x, low) in _in_the_cut(made):
        for shape in cuts[one.held.key].section:
            drawn = shape.drawn if shape.drawn == "garnish" else HELD.name
            key = one.held.key
            yield Shape(key, None, number, drawn, shape.formula, shape.moved(x, low).loops)
            number += 1


def _in_the_cut(made: "MeasuredDessert") -> Iterator[tuple[HeldMade, Point]]:
    for one in made.holds:
        if one.held.inside_mm is not None:
            yield one, (0.0, one.held.inside_mm)
    places, top = set_on(made).places, top_of(made.body)
    # Of two rows as far from the middle the one behind is seen: rows come from the back.
    row = min((y for _, (_, y) in places), key=lambda y: round(abs(y), 6), default=0.0)
    for one, (x, y) in places:
        if abs(y - row) <= 1e-6:
            yield one, (x, top)


def held_from_above(made: "MeasuredDessert", cuts: Mapping[str, "Cut"]) -> Iterator[Shape]:
    """What is set on it from above: its outline, and what lies on it.

    Args:
        made: the dessert, measured [MeasuredDessert].
        cuts: what each of them looks like, by its key [mm].
    Returns:
        shapes from the lowest up [mm].
    Source:
        geometry.
    """
    for one, (x, y) in set_on(made).places:
        top = cuts[one.held.key].top
        edge = (shifted(top.edge, x, y), *(shifted(hole, x, y)[::-1] for hole in top.holes))
        yield Shape(one.held.key, None, 0, "garnish", top.skin, edge)
        for lying in top.garnish:
            loops = tuple(shifted(loop, x, y) for loop in lying.loops)
            yield Shape(one.held.key, None, 0, "garnish", lying.formula, loops)


def held_steps(made: "MeasuredDessert", section: tuple[Shape, ...]) -> Iterator[BuildStep]:
    """Setting the others on it or into it, each made by itself before.

    Args:
        made: the dessert, measured [MeasuredDessert].
        section: all that is drawn in the cut, theirs too [mm].
    Returns:
        a step each [BuildStep].
    Source:
        common practice.
    """
    for one in made.holds:
        inside = one.held.inside_mm
        shapes = tuple(shape.key for shape in section if shape.part == one.held.key)
        count = f"{one.held.each} × " if one.held.each > 1 else ""
        where = "on it" if inside is None else f"inside, {figure_text(inside)} mm above the board"
        moment = Moment.OVER if inside is None else Moment.BOARD
        title = f"Set {'on' if inside is None else 'in'} {one.name}"
        yield BuildStep(moment, "hold", title, f"{count}finished by itself, {where}", shapes)


def judge_held(made: "MeasuredDessert") -> Iterator[Finding]:
    """What stands over the edge, and what does not fit inside.

    Args:
        made: the dessert, measured [MeasuredDessert].
    Returns:
        findings [Finding].
    Source:
        geometry.
    """
    standing, plan = set_on(made), made.body.outer.from_above
    if standing.length_mm > plan.length_mm + 1e-6 or standing.width_mm > plan.width_mm + 1e-6:
        yield Finding(
            code="held-over-edge",
            severity=Severity.CAUTION,
            message=f"What is set on it takes {figure_text(standing.length_mm)} × "
            f"{figure_text(standing.width_mm)} mm; it is {figure_text(plan.length_mm)} × "
            f"{figure_text(plan.width_mm)} mm.",
            why="It stands out over the edge.",
            remedy="Set fewer on it, or make it in something larger.",
            source=GEOMETRY,
        )
    for one in made.body.enclosed:
        gap = made.body.gap_inside(one)
        if gap < -1e-6:
            yield Finding(
                code="held-outside",
                severity=Severity.WRONG,
                message=f"{one.name} stands {figure_text(-gap)} mm out of what it is to be in.",
                why=f"It is {figure_text(one.solid.across_mm)} mm across and "
                f"{figure_text(one.solid.height_mm)} mm high.",
                remedy="Set it lower, make it smaller, or set it on top.",
                source=GEOMETRY,
            )


def how_many(count: int, each: int, most: int) -> int:
    """How many of a held dessert are made.

    Args:
        count: of what holds it [1].
        each: on one [1].
        most: no order is larger [1].
    Returns:
        how many [1].
    Raises:
        OutOfRange: more than anybody makes.
    Source:
        counting.
    """
    if count * each > most:
        raise OutOfRange("each", each, f"at most {most // count} on each of {count}")
    return count * each

"""What a dessert takes: volume and mass of every part, weights, portions, findings, the cut."""

from collections.abc import Iterable, Iterator
from dataclasses import dataclass, replace

from fernbell.core.desserts.body import Body
from fernbell.core.desserts.cut import Cut, draw
from fernbell.core.desserts.dessert import Dessert, from_the_top, lay_out
from fernbell.core.desserts.division import Division
from fernbell.core.desserts.holding import HeldMade, HeldResult, how_many
from fernbell.core.desserts.judge import judge, worst_first
from fernbell.core.desserts.masses import for_all, portion_mass, total
from fernbell.core.desserts.measure import MeasuredDessert, PartResult, Readings, measure_region
from fernbell.core.desserts.portions import divide
from fernbell.core.desserts.practice import LINER_OVERLAP
from fernbell.core.desserts.regions import (
    UNDER,
    Pieces,
    Region,
    Surroundings,
    exposed_surface,
    strip_length,
)
from fernbell.core.desserts.stages import Stage, build_stages
from fernbell.core.desserts.words import cut_words
from fernbell.core.errors import check_range
from fernbell.core.findings import Finding
from fernbell.core.working import Working

MOST_DESSERTS = 5000


@dataclass(frozen=True, slots=True)
class Solved:
    """Everything that follows from a dessert and a count; None where a density is unknown.

    `liner` is the strip of upright walls; None where nothing is lined with one.

    `division` is where the knife goes, `division_working` its number where it goes by weight;
    `stages` is the building, `words` the cut as it is read aloud, `holds` what other desserts
    are on or in it.
    """

    count: int
    parts: tuple[PartResult, ...]
    finished: Working | None
    finished_all: Working | None
    height: Working
    surface: Working
    liner: Working | None
    portions: int
    division: Division
    division_working: Working | None
    portion: Working | None
    findings: tuple[Finding, ...]
    cut: Cut
    stages: tuple[Stage, ...]
    words: tuple[str, ...]
    holds: tuple[HeldResult, ...] = ()


def measured(dessert: Dessert, readings: Readings, count: int) -> MeasuredDessert:
    """Lay out, measure and divide a dessert.

    Args:
        dessert: parts in a mold [Dessert].
        readings: the formulas they are made of [g/ml].
        count: how many of it are made [1].
    Returns:
        volumes and masses, part by part [ml, g].
    Raises:
        OutOfRange: a count below 1 or above 5000, a part too short for a frame, a portion
            lighter than its garnish.
    Source:
        geometry, volume and mass balance; each working names its own.
    """
    check_range("count", count, least=1, most=MOST_DESSERTS)
    body = lay_out(dessert)
    near = Surroundings(readings, body.solids, body.outer)
    by_portion = [region for region in body.regions if isinstance(region, Pieces)]
    before = _results(
        body, (region for region in body.regions if not region.by_portion), near, count
    )
    holds = tuple(
        HeldMade(one, measured(one.dessert, readings, how_many(count, one.each, MOST_DESSERTS)))
        for one in dessert.holds
    )
    plain = finished_weight(before, holds)
    division, working = divide(
        dessert.portions,
        body.shape,
        plain.value if plain else None,
        sum(one.on_a_portion_g for one in by_portion),
    )
    near = replace(near, division=division)
    parts = (*before, *_results(body, by_portion, near, count))
    return MeasuredDessert(dessert, count, body, near, division, working, parts, holds=holds)


def _results(
    body: Body, regions: Iterable[Region], near: Surroundings, count: int
) -> tuple[PartResult, ...]:
    parts = {part.key: part for part in body.parts}
    return tuple(measure_region(region, parts[region.part], near, count) for region in regions)


@dataclass(frozen=True, slots=True)
class Size:
    """One size of an order, measured and judged; drawn only where it is looked at."""

    made: MeasuredDessert
    finished: Working | None
    portion: Working | None
    findings: tuple[Finding, ...]

    @property
    def parts(self) -> tuple[PartResult, ...]:
        """Results as they are listed: parts, and layers within an insert, from the top down."""
        place = {key: at for at, key in enumerate(from_the_top(self.made.dessert))}
        return tuple(sorted(self.made.parts, key=lambda one: place[one.part, one.layer]))

    @property
    def all_parts(self) -> tuple[PartResult, ...]:
        """Also those of the desserts it holds, each as much as one of it has of them [g]."""
        return (*self.parts, *_of_held(self.made, 1))

    def solved(self) -> Solved:
        """Everything that follows: totals, findings, cut, stages and words [g, mm]."""
        made, body, count = self.made, self.made.body, self.made.count
        finished = self.finished
        bare = body.mold.is_upright and not body.lining and not body.formed
        edge = body.mold.from_above.perimeter_mm
        liner = strip_length("Liner strip", edge, LINER_OVERLAP.value) if bare else None
        cut = draw(made)
        return Solved(
            count=count,
            parts=self.parts,
            finished=finished,
            finished_all=for_all(f"All {count} desserts", finished, count) if finished else None,
            height=_height(body),
            surface=exposed_surface(body.outer, top_only=False),
            liner=liner,
            portions=made.division.count,
            division=made.division,
            division_working=made.division_working,
            portion=self.portion,
            findings=self.findings,
            cut=cut,
            stages=build_stages(made, cut.section),
            words=cut_words(made),
            holds=tuple(
                HeldResult(
                    one.held.key,
                    one.name,
                    one.held.each,
                    one.held.dessert.mold.size_words(),
                    _weight(one),
                )
                for one in made.holds
            ),
        )


def size_of(made: MeasuredDessert, said: Iterable[Finding]) -> Size:
    """Judge a size of an order.

    Args:
        made: the dessert, measured and divided [MeasuredDessert].
        said: what there is to say of the whole order [Finding].
    Returns:
        the size, the worst of its findings first [Size].
    Source:
        geometry and common practice; each finding names its own.
    """
    finished = finished_weight(made.parts, made.holds)
    served = made.division.served(made.body.shape.from_above)
    portion = portion_mass(finished, made.division.count, served) if finished else None
    return Size(made, finished, portion, worst_first((*judge(made, portion), *said)))


def finished_weight(parts: tuple[PartResult, ...], holds: tuple[HeldMade, ...]) -> Working | None:
    """What comes to the table of a dessert: the sum of its parts and of what it holds.

    Args:
        parts: what its own parts take [PartResult].
        holds: other desserts on or in it [HeldMade].
    Returns:
        the working; None while one is unknown or there is none [g].
    Source:
        mass balance.
    """
    named = tuple(_served(part, part.mass.value) for part in parts if part.mass is not None)
    others = [(one, _weight(one)) for one in holds]
    also = tuple((f"{one.held.each} × {one.name}", mass.value) for one, mass in others if mass)
    if not (named or also) or len(named) < len(parts) or len(also) < len(holds):
        return None
    return total("Finished weight", "g", (*named, *also))


def _of_held(made: MeasuredDessert, each: int) -> Iterator[PartResult]:
    for one in made.holds:
        several = each * one.held.each
        for part in one.made.parts:
            name, mass = f"{part.name}, {one.name}", part.mass
            key = f"{one.held.key}/{part.part}"
            own = for_all(f"{name} in one dessert", mass, several) if mass else None
            yield replace(part, part=key, name=name, mass=own)
        yield from _of_held(one.made, several)


def _weight(one: HeldMade) -> Working | None:
    """What it holds of another dessert weighs together."""
    finished = finished_weight(one.made.parts, one.made.holds)
    if finished is None:
        return None
    return for_all(f"{one.held.each} × {one.name}", finished, one.held.each)


def _served(part: PartResult, mass_g: float) -> tuple[str, float]:
    """A part as it comes to the table, its trimmed ends left out."""
    if part.served_share == 1:
        return part.name, mass_g
    return f"{part.name}, its ends trimmed off", mass_g * part.served_share


def _height(body: Body) -> Working:
    top = "to the top of the fill" if body.rest else "top of the highest part"
    coats = tuple(("coat on top", film.thick_mm) for film in body.films)
    feet = tuple(
        ("foot under it" if one.drawn is UNDER else "coat under it", one.raises_mm)
        for one in body.regions
        if one.raises_mm
    )
    return total("Finished height", "mm", ((top, body.top_mm), *coats, *feet))

"""Volume and mass of each part, by the part's own rule."""

from collections.abc import Iterator, Mapping
from dataclasses import dataclass

from fernbell.core.desserts import workings
from fernbell.core.desserts.layout import Block, Layout
from fernbell.core.desserts.parts import Band, Coat, Dessert, Fill, Garnish
from fernbell.core.formulas import FormulaReading
from fernbell.core.molds.straight import MM2_PER_CM2, MM3_PER_ML
from fernbell.core.working import Working


@dataclass(frozen=True, slots=True)
class Pour:
    """One pour of the fill, between two heights above the board, in one dessert."""

    name: str
    low_mm: float
    high_mm: float
    volume_ml: float
    mass_g: float | None


@dataclass(frozen=True, slots=True)
class PartResult:
    """What one formula does in the dessert.

    `measure` is what the rule goes by (volume, surface, strip, pieces) for all desserts;
    `mass` is for one, `make` for all of them, before the losses of the sheet.
    """

    part: str
    layer: str | None
    name: str
    formula: str
    rule: str
    measure: float
    unit: str
    volume: Working | None
    mass: Working | None
    make: Working | None
    pours: tuple[Pour, ...] = ()


def measure_parts(
    dessert: Dessert, layout: Layout, readings: Mapping[str, FormulaReading], count: int
) -> tuple[PartResult, ...]:
    """Measure every part, in the order of building.

    Args:
        dessert: parts in a mold [Dessert].
        layout: where they stand [mm].
        readings: the formulas they are made of [g/ml].
        count: how many desserts [1].
    Returns:
        results, bases first, garnish last [ml, g].
    Source:
        geometry; volume and mass balance.
    """

    def results() -> Iterator[PartResult]:
        for block in layout.blocks:
            yield _block(block, readings[block.formula], count)
        if layout.fill:
            yield _fill(dessert, layout, layout.fill, readings, count)
        for coat in layout.coats:
            yield _coat(dessert, layout, coat, readings[coat.formula], count)
        for band in layout.bands:
            yield _band(dessert, band, readings[band.formula], count)
        for garnish in layout.garnishes:
            yield _garnish(dessert, garnish, readings[garnish.formula], count)

    return tuple(results())


def _mass(name: str, volume: Working, reading: FormulaReading) -> Working | None:
    density = reading.density_working
    if density is None:
        return None
    return workings.mass_of(name, volume, density, volume.value * density.value)


def _made(name: str, mass: Working | None, count: int) -> Working | None:
    return workings.made_for(name, mass, count, mass.value * count) if mass else None


def _by_volume(
    key: tuple[str, str | None],
    name: str,
    reading: FormulaReading,
    measure: tuple[str, float, str],
    volume: Working,
    count: int,
) -> PartResult:
    """A part whose mass is its volume times its density; `measure` is rule, value for all, unit."""
    mass = _mass(name, volume, reading)
    make = _made(name, mass, count)
    (part, layer), (rule, value, unit) = key, measure
    return PartResult(part, layer, name, reading.formula.key, rule, value, unit, volume, mass, make)


def _block(block: Block, reading: FormulaReading, count: int) -> PartResult:
    name = block.name or reading.formula.name
    volume_ml = block.volume_between(block.low_mm, block.high_mm)
    volume = workings.block_volume(name, block.plan, block.height_mm, volume_ml)
    measure = ("by volume", volume_ml * count, "ml")
    return _by_volume((block.part, block.layer), name, reading, measure, volume, count)


def _fill(
    dessert: Dessert,
    layout: Layout,
    fill: Fill,
    readings: Mapping[str, FormulaReading],
    count: int,
) -> PartResult:
    reading = readings[fill.formula]
    name, plan = fill.name or reading.formula.name, dessert.mold.plan
    whole = plan.area_mm2 * layout.level_mm / MM3_PER_ML
    solids = tuple(
        (
            block.name or readings[block.formula].formula.name,
            block.volume_between(0.0, layout.level_mm),
        )
        for block in layout.blocks
    )
    rest = whole - sum(volume for _, volume in solids)
    pours = _pours(dessert, layout, reading.density_g_ml)
    seal = pours[0].volume_ml if len(pours) > 1 else 0.0
    volume = workings.rest_volume(name, plan, layout.level_mm, whole, solids, rest, seal)
    mass = _mass(name, volume, reading) if rest > 0 else None
    return PartResult(
        part=fill.key,
        layer=None,
        name=name,
        formula=fill.formula,
        rule="what is left",
        measure=rest * count,
        unit="ml",
        volume=volume,
        mass=mass,
        make=_made(name, mass, count),
        pours=pours,
    )


def _pours(dessert: Dessert, layout: Layout, density: float | None) -> tuple[Pour, ...]:
    pours = []
    for number, (low, high) in enumerate(layout.pours, start=1):
        last = number == len(layout.pours)
        room = dessert.mold.plan.area_mm2 * (high - low) / MM3_PER_ML
        volume = room - sum(block.volume_between(low, high) for block in layout.blocks)
        name = "Main pour" if last else "Seal" if number == 1 else f"Pour {number}"
        pours.append(Pour(name, low, high, volume, volume * density if density else None))
    return tuple(pours)


def _coat(
    dessert: Dessert, layout: Layout, coat: Coat, reading: FormulaReading, count: int
) -> PartResult:
    name, plan = coat.name or reading.formula.name, dessert.mold.plan
    wall = 0.0 if coat.top_only else plan.perimeter_mm * layout.top_mm
    surface_cm2 = (plan.area_mm2 + wall) / MM2_PER_CM2
    surface = workings.exposed_surface(plan, layout.top_mm, coat.top_only, surface_cm2)
    volume = workings.coat_volume(coat, name, surface, surface_cm2 * coat.thickness_mm / 10)
    mass = _mass(name, volume, reading)
    make = None
    if mass is not None:
        poured = mass.value * count * (1 + coat.runoff_percent / 100)
        make = workings.coat_made_for(coat, name, mass, count, max(poured, coat.least_pour_g))
    return PartResult(
        part=coat.key,
        layer=None,
        name=name,
        formula=coat.formula,
        rule="by surface",
        measure=surface_cm2 * count,
        unit="cm²",
        volume=volume,
        mass=mass,
        make=make,
    )


def _band(dessert: Dessert, band: Band, reading: FormulaReading, count: int) -> PartResult:
    name, perimeter = band.name or reading.formula.name, dessert.mold.perimeter_mm
    length = perimeter + band.overlap_mm
    volume_ml = length * band.height_mm * band.thickness_mm / MM3_PER_ML
    volume = workings.band_volume(band, name, perimeter, length, volume_ml)
    measure = ("by edge", length * count, "mm")
    return _by_volume((band.key, None), name, reading, measure, volume, count)


def _garnish(dessert: Dessert, garnish: Garnish, reading: FormulaReading, count: int) -> PartResult:
    name, portions = garnish.name or reading.formula.name, dessert.portions.count
    pieces = portions * garnish.pieces_per_portion
    mass = workings.garnish_mass(garnish, name, portions, pieces * garnish.piece_g)
    return PartResult(
        part=garnish.key,
        layer=None,
        name=name,
        formula=garnish.formula,
        rule="by pieces",
        measure=pieces * count,
        unit="pieces",
        volume=None,
        mass=mass,
        make=_made(name, mass, count),
    )

"""Volume and mass of each part, by the part's own rule."""

from collections.abc import Iterator, Mapping
from dataclasses import dataclass

from fernbell.core.desserts import masses, volumes
from fernbell.core.desserts.layout import Block, Layout
from fernbell.core.desserts.parts import Band, Coat, Dessert, Fill, Garnish
from fernbell.core.formulas import FormulaReading
from fernbell.core.working import Working


@dataclass(frozen=True, slots=True)
class Pour:
    """One pour of the fill, between two heights above the board, in one dessert."""

    name: str
    low_mm: float
    high_mm: float
    volume: Working
    mass: Working | None


@dataclass(frozen=True, slots=True)
class PartResult:
    """What one formula does in the dessert.

    `measure` is what the rule goes by (volume, surface, strip, pieces) for all desserts;
    `mass` is for one, `make` for all of them, before the losses of the sheet. Both are None
    where a density is unknown or nothing is left.
    """

    part: str
    layer: str | None
    name: str
    formula: str
    rule: str
    measure: Working
    volume: Working | None
    mass: Working | None
    make: Working | None
    pours: tuple[Pour, ...] = ()


def measure_parts(
    dessert: Dessert, layout: Layout, readings: Mapping[str, FormulaReading], count: int
) -> tuple[PartResult, ...]:
    """Measure every part but the garnish, in the order of building.

    Args:
        dessert: parts in a mold [Dessert].
        layout: where they stand [mm].
        readings: the formulas they are made of [g/ml].
        count: how many desserts [1].
    Returns:
        results, bases first [ml, g].
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

    return tuple(results())


def measure_garnish(
    layout: Layout, readings: Mapping[str, FormulaReading], portions: int, count: int
) -> tuple[PartResult, ...]:
    """Measure the garnish, which goes by the portion.

    Args:
        layout: where the parts stand [mm].
        readings: the formulas they are made of [g/ml].
        portions: portions in one dessert [1].
        count: how many desserts [1].
    Returns:
        results [g].
    Source:
        counting.
    """
    return tuple(
        _garnish(garnish, readings[garnish.formula], portions, count)
        for garnish in layout.garnishes
    )


def _mass(name: str, volume: Working, reading: FormulaReading) -> Working | None:
    density = reading.density_working
    return masses.mass_of(name, volume, density) if density else None


def _made(name: str, mass: Working | None, count: int) -> Working | None:
    note = "; what the pan keeps is added on the sheet"
    return masses.for_all(f"{name} to make", mass, count, note) if mass else None


def _measured(what: str, one: Working, count: int) -> Working:
    return masses.for_all(f"{what}, all desserts", one, count)


def _block(block: Block, reading: FormulaReading, count: int) -> PartResult:
    name = block.name or reading.formula.name
    volume = volumes.block_volume(name, block.plan, block.height_mm)
    mass = _mass(name, volume, reading)
    return PartResult(
        part=block.part,
        layer=block.layer,
        name=name,
        formula=block.formula,
        rule="by volume",
        measure=_measured(volume.figure, volume, count),
        volume=volume,
        mass=mass,
        make=_made(name, mass, count),
    )


def _fill(
    dessert: Dessert,
    layout: Layout,
    fill: Fill,
    readings: Mapping[str, FormulaReading],
    count: int,
) -> PartResult:
    reading = readings[fill.formula]
    name, level = fill.name or reading.formula.name, layout.level_mm
    solids = tuple(
        (block.name or readings[block.formula].formula.name, block.volume_between(0.0, level))
        for block in layout.blocks
    )
    volume = volumes.rest_volume(name, dessert.mold.plan, level, solids)
    mass = _mass(name, volume, reading) if volume.value > 0 else None
    return PartResult(
        part=fill.key,
        layer=None,
        name=name,
        formula=fill.formula,
        rule="what is left",
        measure=_measured(volume.figure, volume, count),
        volume=volume,
        mass=mass,
        make=_made(name, mass, count),
        pours=_pours(dessert, layout, name, readings),
    )


def _pours(
    dessert: Dessert, layout: Layout, fill: str, readings: Mapping[str, FormulaReading]
) -> tuple[Pour, ...]:
    reading = readings[layout.fill.formula] if layout.fill else None
    pours = []
    for own, (low, high) in zip(_pour_names(layout), layout.pours, strict=True):
        solids = tuple(
            (block.name or readings[block.formula].formula.name, inside)
            for block in layout.blocks
            if (inside := block.volume_between(low, high))
        )
        name = f"{own}, {fill}"
        volume = volumes.pour_volume(name, dessert.mold.plan, low, high, solids)
        mass = _mass(name, volume, reading) if reading else None
        pours.append(Pour(own, low, high, volume, mass))
    return tuple(pours)


def _pour_names(layout: Layout) -> list[str]:
    """Upright the last pour is the main one; upside down the first."""
    numbers = range(2, len(layout.pours))
    between = [f"Pour {number}" for number in numbers]
    if len(layout.pours) == 1:
        return ["Main pour"]
    if layout.built == "upright":
        return ["Seal", *between, "Main pour"]
    return ["Main pour", *between, "Cover"]


def _coat(
    dessert: Dessert, layout: Layout, coat: Coat, reading: FormulaReading, count: int
) -> PartResult:
    name = coat.name or reading.formula.name
    surface = volumes.exposed_surface(dessert.mold.plan, layout.top_mm, coat.top_only)
    volume = volumes.coat_volume(coat, name, surface)
    mass = _mass(name, volume, reading)
    return PartResult(
        part=coat.key,
        layer=None,
        name=name,
        formula=coat.formula,
        rule="by surface",
        measure=_measured(surface.figure, surface, count),
        volume=volume,
        mass=mass,
        make=masses.coat_made_for(coat, name, mass, count) if mass else None,
    )


def _band(dessert: Dessert, band: Band, reading: FormulaReading, count: int) -> PartResult:
    name = band.name or reading.formula.name
    strip = volumes.strip_length(f"Strip of {name}", dessert.mold.perimeter_mm, band.overlap_mm)
    volume = volumes.band_volume(band, name, strip)
    mass = _mass(name, volume, reading)
    return PartResult(
        part=band.key,
        layer=None,
        name=name,
        formula=band.formula,
        rule="by edge",
        measure=_measured(strip.figure, strip, count),
        volume=volume,
        mass=mass,
        make=_made(name, mass, count),
    )


def _garnish(garnish: Garnish, reading: FormulaReading, portions: int, count: int) -> PartResult:
    name = garnish.name or reading.formula.name
    pieces = masses.garnish_pieces(garnish, name, portions)
    mass = masses.garnish_mass(garnish, name, pieces)
    return PartResult(
        part=garnish.key,
        layer=None,
        name=name,
        formula=garnish.formula,
        rule="by pieces",
        measure=_measured(f"Pieces of {name}", pieces, count),
        volume=None,
        mass=mass,
        make=_made(name, mass, count),
    )

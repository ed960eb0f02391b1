"""Volume and mass of every region, and the dessert as far as it is measured."""

from collections.abc import Mapping
from dataclasses import dataclass, field
from typing import TYPE_CHECKING

from fernbell.core.desserts import masses
from fernbell.core.desserts.division import Division
from fernbell.core.desserts.part import Part
from fernbell.core.desserts.regions import Pour, Region, ShapeKey, Surroundings, Takes
from fernbell.core.formulas import FormulaReading
from fernbell.core.working import Working

if TYPE_CHECKING:
    from fernbell.core.desserts.body import Body
    from fernbell.core.desserts.dessert import Dessert
    from fernbell.core.desserts.holding import HeldMade

Readings = Mapping[str, FormulaReading]


@dataclass(frozen=True, slots=True)
class PartResult:
    """What one formula does in the dessert.

    `measure` is what it goes by (volume, surface, strip, pieces) for all desserts; `mass` is for
    one, `make` for all of them, before the losses of the sheet. Both are None where a density is
    unknown or nothing is left. `says` is what the part is, for a list; `thick_mm` how thick it is
    made, if it has a thickness of its own; `served_share` how much of it is not trimmed off.
    """

    part: str
    layer: str | None
    name: str
    formula: str
    goes_by: str
    says: str
    thick_mm: float | None
    measure: Working
    volume: Working | None
    mass: Working | None
    make: Working | None
    pours: tuple[Pour, ...] = ()
    served_share: float = 1.0


@dataclass(frozen=True, slots=True)
class MeasuredDessert:
    """A dessert laid out, divided and measured, before it is judged and drawn.

    `others_g` is by part what other sizes of an order pour from the same jug, `holds` what other
    desserts it holds.
    """

    dessert: "Dessert"
    count: int
    body: "Body"
    near: Surroundings
    division: Division
    division_working: Working | None
    parts: tuple[PartResult, ...]
    others_g: Mapping[str, float] = field(default_factory=dict)
    holds: "tuple[HeldMade, ...]" = ()

    def result(self, part: str, layer: str | None = None) -> PartResult:
        """What a part takes, or a layer of it."""
        return next(one for one in self.parts if (one.part, one.layer) == (part, layer))

    def name(self, part: str, layer: str | None = None) -> str:
        """What a part is called, or a layer of it."""
        return self.result(part, layer).name

    def number(self, part: str) -> float:
        """What a part goes by in one dessert: its pieces, its drips [1]."""
        return self.result(part).measure.value / self.count

    def called(self, part: str) -> str:
        """What a part is called as a whole: by its own name, or by what is uppermost in it."""
        own = next(one for one in self.body.parts if one.key == part)
        return own.name or self.name(part, own.uses()[0].layer)

    def kind(self, region: Region) -> str:
        """The kind of formula a region is made of."""
        return self.near.readings[region.formula].formula.kind

    def shape(self, region: Region) -> ShapeKey:
        """By which a stage names the shape of a region that has one."""
        return region.part, region.layer, 0


def measure_region(region: Region, part: Part, near: Surroundings, count: int) -> PartResult:
    """Measure a region.

    Args:
        region: what is measured [Region].
        part: whose it is [Part].
        near: what it has to know beside itself [Surroundings].
        count: how many desserts [1].
    Returns:
        the result [ml, g].
    Source:
        geometry; volume and mass balance.
    """
    name = near.name(region)
    amount, reading = region.amount(name, near), near.readings[region.formula]
    mass, kind = _mass(name, amount, reading), reading.formula.kind
    return PartResult(
        part=region.part,
        layer=region.layer,
        name=name,
        formula=region.formula,
        goes_by=region.goes_by,
        says=part.says(),
        thick_mm=region.thick_mm,
        measure=masses.for_all(f"{amount.what}, all desserts", amount.measure, count),
        volume=amount.volume,
        mass=mass,
        make=part.make_region(region, name, mass, count, kind) if mass else None,
        pours=region.pours(name, near),
        served_share=region.served_share,
    )


def _mass(name: str, amount: Takes, reading: FormulaReading) -> Working | None:
    """As it is weighed, else by its density; None where nothing is left or one is unknown."""
    density, volume = reading.density_working, amount.volume
    if amount.mass is not None or volume is None or density is None:
        return amount.mass
    return masses.mass_of(name, volume, density) if volume.value > 0 else None

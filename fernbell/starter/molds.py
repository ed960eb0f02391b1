"""Molds a new kitchen may start with: fifty ordinary ones, by their inner measures.

Sizes are common practice; what a mold really holds is found by weighing the water it takes.
"""

from dataclasses import dataclass

from fernbell.core.molds import (
    Fluted,
    Frame,
    Gutter,
    Halves,
    Loaf,
    Mold,
    Outlined,
    Puff,
    Ring,
    Savarin,
    Turned,
    WallPoint,
    heart,
)


@dataclass(frozen=True, slots=True)
class NamedMold:
    """A mold as it hangs on the wall, alone or in a tray of so many cavities."""

    slug: str
    name: str
    mold: Mold
    cavities: int = 1


def dome(across_mm: float, height_mm: float) -> Turned:
    """A cap of a sphere, as wide as it is at its rim.

    Args:
        across_mm: its rim [mm].
        height_mm: its depth [mm].
    Returns:
        the mold [mm].
    Source:
        geometry: R = (r² + h²) / 2h.
    """
    radius = ((across_mm / 2) ** 2 + height_mm**2) / (2 * height_mm)
    return Turned((WallPoint(0, 0), WallPoint(height_mm, across_mm, radius)))


def pan(floor_mm: float, rim_mm: float, height_mm: float) -> Turned:
    """Straight from floor to rim: tart pans, cups, cut cones.

    Args:
        floor_mm: across the floor [mm].
        rim_mm: across the rim [mm].
        height_mm: its height [mm].
    Returns:
        the mold [mm].
    Source:
        geometry.
    """
    return Turned((WallPoint(0, floor_mm), WallPoint(height_mm, rim_mm)))


def glass(floor_mm: float, belly_mm: float, rim_mm: float, height_mm: float) -> Turned:
    """A rounded floor, then straight up to the rim.

    Args:
        floor_mm: across the flat of the floor [mm].
        belly_mm: where the wall begins [mm].
        rim_mm: across the rim [mm].
        height_mm: its height [mm].
    Returns:
        the glass [mm].
    Source:
        geometry.
    """
    deep = (belly_mm - floor_mm) / 2
    points = (WallPoint(0, floor_mm), WallPoint(deep, belly_mm, deep), WallPoint(height_mm, rim_mm))
    return Turned(points)


MOLDS = (
    NamedMold("ring-20", "Ring 20 cm, 4.5 high", Ring(200, 45)),
    NamedMold("ring-16", "Ring 16 cm, 4.5 high", Ring(160, 45)),
    NamedMold("ring-8", "Ring 8 cm, 5 high", Ring(80, 50)),
    NamedMold("frame-18", "Frame 18 × 18, rounded", Frame(180, 180, 45, 12)),
    NamedMold("frame-57", "Frame 57 × 37", Frame(570, 370, 40)),
    NamedMold("ring-6", "Ring 6 cm, 4 high", Ring(60, 40)),
    NamedMold("ring-12", "Ring 12 cm, 4.5 high", Ring(120, 45)),
    NamedMold("ring-14", "Ring 14 cm, 4.5 high", Ring(140, 45)),
    NamedMold("ring-18", "Ring 18 cm, 4.5 high", Ring(180, 45)),
    NamedMold("ring-24", "Ring 24 cm, 4.5 high", Ring(240, 45)),
    NamedMold("ring-18-high", "Ring 18 cm, 6 high", Ring(180, 60)),
    NamedMold("cutter-4", "Cutter 4 cm", Ring(40, 30)),
    NamedMold("cutter-6", "Cutter 6 cm", Ring(60, 30)),
    NamedMold("springform-24", "Springform 24 cm", Ring(240, 70)),
    NamedMold("tart-ring-20", "Tart ring 20 cm, 2 high", Ring(200, 20)),
    NamedMold("frame-30", "Frame 30 × 20", Frame(300, 200, 45)),
    NamedMold("frame-36", "Frame 36 × 26", Frame(360, 260, 40)),
    NamedMold("square-16", "Square ring 16 cm", Frame(160, 160, 45)),
    NamedMold("bar-12", "Bars 12 × 3.5", Frame(120, 35, 35, 4), cavities=12),
    NamedMold("sheet-60", "Sheet pan 60 × 40", Frame(580, 380, 20)),
    NamedMold("sheet-40", "Sheet pan 40 × 30", Frame(390, 290, 20)),
    NamedMold("heart-18", "Heart 18 cm", Outlined(heart(180), 45)),
    NamedMold("heart-7", "Hearts 7 cm", Outlined(heart(70), 40), cavities=8),
    NamedMold("tart-24", "Tart pan 24 cm", pan(220, 240, 25)),
    NamedMold("tart-28", "Tart pan 28 cm", pan(260, 280, 30)),
    NamedMold("tart-10", "Tartlet pan 10 cm", pan(85, 100, 20)),
    NamedMold("fluted-24", "Fluted pan 24 cm", Fluted(240, 220, 25, 36, 3)),
    NamedMold("fluted-28", "Fluted pan 28 cm, deep", Fluted(280, 260, 35, 42, 3)),
    NamedMold("fluted-10", "Fluted tartlet 10 cm", Fluted(100, 85, 20, 24, 3)),
    NamedMold("loaf-25", "Loaf pan 25 × 11", Loaf(250, 110, 230, 80, 70, 8)),
    NamedMold("loaf-16", "Loaf pan 16 × 8", Loaf(160, 80, 145, 65, 60, 6)),
    NamedMold("gutter-50", "Gutter 50 × 8, half round", Gutter(500, 80, 40)),
    NamedMold("gutter-30", "Gutter 30 × 8, deep", Gutter(300, 80, 65)),
    NamedMold("gutter-30-slim", "Gutter 30 × 4, for inserts", Gutter(300, 40, 30)),
    NamedMold("gutter-50-pointed", "Gutter 50 × 8, pointed", Gutter(500, 80, 70, "pointed")),
    NamedMold("dome-18", "Dome 18 cm", dome(180, 75)),
    NamedMold("dome-7", "Half spheres 7 cm", dome(70, 35), cavities=6),
    NamedMold("dome-8", "Domes 8 cm", dome(80, 45), cavities=8),
    NamedMold("dome-4", "Half spheres 4 cm", dome(40, 20), cavities=15),
    NamedMold("stone-7", "Caps 7 cm, flat", dome(70, 25), cavities=8),
    NamedMold("cone-7", "Cut cones 7 cm", pan(40, 70, 45), cavities=8),
    NamedMold("pyramid-7", "Pyramids 7 cm", Loaf(70, 70, 10, 10, 50), cavities=6),
    NamedMold("savarin-18", "Savarin 18 cm", Savarin(180, 60, 40)),
    NamedMold("savarin-7", "Savarins 7.5 cm", Savarin(75, 25, 22), cavities=6),
    NamedMold("sphere-8", "Sphere 8 cm, two halves", Halves(80, 40, 40)),
    NamedMold("egg-12", "Egg 12.5 cm, two halves", Halves(90, 50, 75)),
    NamedMold("puff-6", "Puff, baked 6 cm", Puff(45, 18)),
    NamedMold("puff-3", "Small puff, baked 3.4 cm", Puff(25, 12)),
    NamedMold("ramekin-8", "Ramekin 8.4 cm", glass(70, 82, 84, 35)),
    NamedMold("cup-7", "Glass 7 cm, 8 high", glass(44, 58, 70, 80)),
)

"""The workings of a dessert's figures, in the words and numbers a chef would write down."""

import math

from fernbell.core.desserts.parts import Band, Coat, Garnish
from fernbell.core.molds import Plan, area_arithmetic, plan_given
from fernbell.core.working import (
    COMMON_PRACTICE,
    GEOMETRY,
    MASS_BALANCE,
    Given,
    Working,
    figure_text,
)


def block_volume(name: str, plan: Plan, height_mm: float, volume_ml: float) -> Working:
    """Working of the volume of a disc or plank.

    Args:
        name: the part's name [text].
        plan: its shape seen from above [mm].
        height_mm: its thickness [mm].
        volume_ml: the result [ml].
    Returns:
        the working [ml].
    Source:
        geometry, exact.
    """
    return Working(
        figure=f"Volume of {name}",
        value=volume_ml,
        unit="ml",
        given=(*plan_given(plan), Given("thickness", height_mm, "mm")),
        rule="volume = area × thickness",
        arithmetic=f"{area_arithmetic(plan)} × {figure_text(height_mm)} / 1 000 = "
        f"{figure_text(volume_ml)} ml",
        source=GEOMETRY,
    )


def rest_volume(
    name: str,
    plan: Plan,
    level_mm: float,
    whole_ml: float,
    solids: tuple[tuple[str, float], ...],
    rest_ml: float,
    seal_ml: float,
) -> Working:
    """Working of what is left to fill.

    Args:
        name: the fill's name [text].
        plan: the mold's plan [mm].
        level_mm: how high it is filled [mm].
        whole_ml: volume to that level [ml].
        solids: names and volumes of what stands in it [ml].
        rest_ml: the result [ml].
        seal_ml: share of it poured first, under the insert [ml].
    Returns:
        the working [ml].
    Source:
        geometry, exact.
    """
    taken = "".join(f" − {figure_text(volume)}" for _, volume in solids)
    split = (
        f"; {figure_text(seal_ml)} ml of it is the seal, "
        f"{figure_text(rest_ml - seal_ml)} ml the main pour"
        if seal_ml
        else ""
    )
    return Working(
        figure=f"Volume of {name}",
        value=rest_ml,
        unit="ml",
        given=(
            Given("filled to", level_mm, "mm"),
            Given("volume to there", whole_ml, "ml"),
            *(Given(solid, volume, "ml") for solid, volume in solids),
        ),
        rule="what is left = volume to the level − everything that stands in it",
        arithmetic=f"{area_arithmetic(plan)} × {figure_text(level_mm)} / 1 000{taken} = "
        f"{figure_text(rest_ml)} ml{split}",
        source=GEOMETRY,
    )


def exposed_surface(plan: Plan, height_mm: float, top_only: bool, surface_cm2: float) -> Working:
    """Working of the surface a coat covers.

    Args:
        plan: the dessert's plan [mm].
        height_mm: its height before coating [mm].
        top_only: whether the wall stays bare [bool].
        surface_cm2: the result [cm²].
    Returns:
        the working [cm²].
    Source:
        geometry, exact.
    """
    wall = f" + {figure_text(plan.perimeter_mm)} × {figure_text(height_mm)}" if not top_only else ""
    return Working(
        figure="Exposed surface",
        value=surface_cm2,
        unit="cm²",
        given=(
            Given("length", plan.length_mm, "mm"),
            Given("edge all round", plan.perimeter_mm, "mm"),
            Given("height before coating", height_mm, "mm"),
        ),
        rule="surface = top"
        if top_only
        else "surface = top + edge × height; the underside stays bare",
        arithmetic=f"({area_arithmetic(plan)}{wall}) / 100 = {figure_text(surface_cm2)} cm²",
        source=GEOMETRY,
    )


def coat_volume(coat: Coat, name: str, surface: Working, volume_ml: float) -> Working:
    """Working of a coat's volume.

    Args:
        coat: the part [mm].
        name: its name [text].
        surface: working of the surface it covers [cm²].
        volume_ml: the result [ml].
    Returns:
        the working [ml].
    Source:
        thin-film rule, common practice.
    """
    return Working(
        figure=f"Volume of {name}",
        value=volume_ml,
        unit="ml",
        given=(
            Given("surface", surface.value, "cm²"),
            Given("thickness", coat.thickness_mm, "mm"),
        ),
        rule="volume = surface × thickness",
        arithmetic=f"{figure_text(surface.value)} × {figure_text(coat.thickness_mm)} / 10 = "
        f"{figure_text(volume_ml)} ml",
        source=COMMON_PRACTICE + "; a film thin against the dessert, corners not counted",
        steps=(surface,),
    )


def band_volume(band: Band, name: str, perimeter_mm: float, length_mm: float, ml: float) -> Working:
    """Working of a foot strip's volume.

    Args:
        band: the part [mm].
        name: its name [text].
        perimeter_mm: the dessert's edge [mm].
        length_mm: the strip with its overlap [mm].
        ml: the result [ml].
    Returns:
        the working [ml].
    Source:
        geometry; the overlap is common practice.
    """
    return Working(
        figure=f"Volume of {name}",
        value=ml,
        unit="ml",
        given=(
            Given("edge all round", perimeter_mm, "mm"),
            Given("overlap", band.overlap_mm, "mm"),
            Given("height", band.height_mm, "mm"),
            Given("thickness", band.thickness_mm, "mm"),
        ),
        rule="strip = edge + overlap; volume = strip × height × thickness",
        arithmetic=f"({figure_text(perimeter_mm)} + {figure_text(band.overlap_mm)}) × "
        f"{figure_text(band.height_mm)} × {figure_text(band.thickness_mm)} / 1 000 = "
        f"{figure_text(ml)} ml, a strip of {figure_text(length_mm)} mm",
        source=GEOMETRY + "; the overlap is common practice",
    )


def mass_of(name: str, volume: Working, density: Working, mass_g: float) -> Working:
    """Working of a mass from volume and density.

    Args:
        name: the part's name [text].
        volume: working of its volume [ml].
        density: working of its formula's density [g/ml].
        mass_g: the result [g].
    Returns:
        the working [g].
    Source:
        definition.
    """
    return Working(
        figure=f"{name} in one dessert",
        value=mass_g,
        unit="g",
        given=(Given("volume", volume.value, "ml"), Given("density", density.value, "g/ml")),
        rule="mass = volume × density",
        arithmetic=f"{figure_text(volume.value)} × {figure_text(density.value)} = "
        f"{figure_text(mass_g)} g",
        source=MASS_BALANCE,
        steps=(volume, density),
    )


def garnish_mass(garnish: Garnish, name: str, portions: int, mass_g: float) -> Working:
    """Working of the garnish on one dessert.

    Args:
        garnish: the part [g].
        name: its name [text].
        portions: portions in one dessert [1].
        mass_g: the result [g].
    Returns:
        the working [g].
    Source:
        counting.
    """
    return Working(
        figure=f"{name} on one dessert",
        value=mass_g,
        unit="g",
        given=(
            Given("portions", portions, ""),
            Given("pieces a portion", garnish.pieces_per_portion, ""),
            Given("one piece", garnish.piece_g, "g"),
        ),
        rule="mass = portions × pieces a portion × one piece",
        arithmetic=f"{portions} × {figure_text(garnish.pieces_per_portion)} × "
        f"{figure_text(garnish.piece_g)} = {figure_text(mass_g)} g",
        source="counting",
    )


def made_for(name: str, one: Working, count: int, make_g: float) -> Working:
    """Working of what to make for several desserts.

    Args:
        name: the part's name [text].
        one: working of its mass in one dessert [g].
        count: how many desserts [1].
        make_g: the result [g].
    Returns:
        the working [g].
    Source:
        mass balance.
    """
    return Working(
        figure=f"{name} to make",
        value=make_g,
        unit="g",
        given=(Given("in one dessert", one.value, "g"), Given("desserts", count, "")),
        rule="to make = in one dessert × desserts; what the pan keeps is added on the sheet",
        arithmetic=f"{figure_text(one.value)} × {count} = {figure_text(make_g)} g",
        source=MASS_BALANCE,
        steps=(one,),
    )


def coat_made_for(coat: Coat, name: str, one: Working, count: int, make_g: float) -> Working:
    """Working of the coat to make: what clings, the run-off, and no less than pours well.

    Args:
        coat: the part [%, g].
        name: its name [text].
        one: working of what clings to one dessert [g].
        count: how many desserts [1].
        make_g: the result [g].
    Returns:
        the working [g].
    Source:
        common practice.
    """
    runoff = 1 + coat.runoff_percent / 100
    poured = one.value * count * runoff
    floor = (
        f", raised to the {figure_text(coat.least_pour_g)} g that pour well"
        if make_g > poured and not math.isclose(make_g, poured)
        else ""
    )
    return Working(
        figure=f"{name} to make",
        value=make_g,
        unit="g",
        given=(
            Given("clings to one dessert", one.value, "g"),
            Given("desserts", count, ""),
            Given("run-off, saved", coat.runoff_percent, "%"),
            Given("least that pours well", coat.least_pour_g, "g"),
        ),
        rule="to make = clinging × desserts × (1 + run-off), and no less than pours well",
        arithmetic=f"{figure_text(one.value)} × {count} × {figure_text(runoff)} = "
        f"{figure_text(poured)} g{floor}",
        source=COMMON_PRACTICE,
        steps=(one,),
    )


def total(figure: str, unit: str, named: tuple[tuple[str, float], ...], value: float) -> Working:
    """Working of a sum.

    Args:
        figure: what is summed [text].
        unit: of every term [text].
        named: names and values [unit].
        value: the result [unit].
    Returns:
        the working [unit].
    Source:
        mass balance.
    """
    return Working(
        figure=figure,
        value=value,
        unit=unit,
        given=tuple(Given(name, term, unit) for name, term in named),
        rule="the sum of the parts",
        arithmetic=f"{' + '.join(figure_text(term) for _, term in named)} = "
        f"{figure_text(value)} {unit}",
        source=MASS_BALANCE,
    )


def portion_mass(finished: Working, count: int, mass_g: float) -> Working:
    """Working of one portion's weight.

    Args:
        finished: working of the finished weight [g].
        count: portions in one dessert [1].
        mass_g: the result [g].
    Returns:
        the working [g].
    Source:
        equal portions.
    """
    return Working(
        figure="One portion",
        value=mass_g,
        unit="g",
        given=(Given("finished weight", finished.value, "g"), Given("portions", count, "")),
        rule="finished weight / portions",
        arithmetic=f"{figure_text(finished.value)} / {count} = {figure_text(mass_g)} g",
        source="equal portions",
        steps=(finished,),
    )


def liner_strip(perimeter_mm: float, overlap_mm: float, length_mm: float) -> Working:
    """Working of the strip that lines the mold.

    Args:
        perimeter_mm: the mold's inner edge [mm].
        overlap_mm: how far its ends overlap [mm].
        length_mm: the result [mm].
    Returns:
        the working [mm].
    Source:
        geometry; the overlap is common practice.
    """
    return Working(
        figure="Liner strip",
        value=length_mm,
        unit="mm",
        given=(Given("edge all round", perimeter_mm, "mm"), Given("overlap", overlap_mm, "mm")),
        rule="strip = edge all round + overlap",
        arithmetic=f"{figure_text(perimeter_mm)} + {figure_text(overlap_mm)} = "
        f"{figure_text(length_mm)} mm",
        source=GEOMETRY + "; the overlap is common practice",
    )


def all_of_them(finished: Working, count: int) -> Working:
    """Working of the weight of all desserts together.

    Args:
        finished: working of one's finished weight [g].
        count: how many desserts [1].
    Returns:
        the working [g].
    Source:
        mass balance.
    """
    value = finished.value * count
    return Working(
        figure=f"All {count} desserts",
        value=value,
        unit="g",
        given=(Given("finished weight", finished.value, "g"), Given("desserts", count, "")),
        rule="finished weight × desserts",
        arithmetic=f"{figure_text(finished.value)} × {count} = {figure_text(value)} g",
        source=MASS_BALANCE,
        steps=(finished,),
    )

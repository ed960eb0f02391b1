"""Volumes, surfaces and strips of a dessert's parts, each with its working."""

from fernbell.core.desserts.parts import Band, Coat
from fernbell.core.molds import Plan, area_arithmetic, plan_given
from fernbell.core.molds.straight import MM2_PER_CM2, MM3_PER_ML
from fernbell.core.working import COMMON_PRACTICE, GEOMETRY, Given, Working, figure_text

OVERLAP_SOURCE = GEOMETRY + "; the overlap is common practice"


def block_volume(name: str, plan: Plan, height_mm: float) -> Working:
    """Volume of a disc or plank; V = A h.

    Args:
        name: the part's name [text].
        plan: its shape seen from above [mm].
        height_mm: its thickness [mm].
    Returns:
        the working [ml].
    Source:
        geometry, exact.
    """
    volume = plan.area_mm2 * height_mm / MM3_PER_ML
    return Working(
        figure=f"Volume of {name}",
        value=volume,
        unit="ml",
        given=(*plan_given(plan), Given("thickness", height_mm, "mm")),
        rule="volume = area × thickness",
        arithmetic=f"{area_arithmetic(plan)} × {figure_text(height_mm)} / 1 000 = "
        f"{figure_text(volume)} ml",
        source=GEOMETRY,
    )


def rest_volume(
    name: str, plan: Plan, level_mm: float, solids: tuple[tuple[str, float], ...]
) -> Working:
    """What is left to fill; V = A level - everything that stands in it.

    Args:
        name: the fill's name [text].
        plan: the mold's plan [mm].
        level_mm: how high it is filled [mm].
        solids: names and volumes of what stands in it, shape (n,) [ml].
    Returns:
        the working; negative where the others take more than there is [ml].
    Source:
        geometry, exact.
    """
    whole = plan.area_mm2 * level_mm / MM3_PER_ML
    return Working(
        figure=f"Volume of {name}",
        value=whole - sum(volume for _, volume in solids),
        unit="ml",
        given=(
            Given("filled to", level_mm, "mm"),
            Given("volume to there", whole, "ml"),
            *(Given(solid, volume, "ml") for solid, volume in solids),
        ),
        rule="what is left = volume to the level − everything that stands in it",
        arithmetic=_around(plan, level_mm, solids),
        source=GEOMETRY,
    )


def pour_volume(
    name: str, plan: Plan, low_mm: float, high_mm: float, solids: tuple[tuple[str, float], ...]
) -> Working:
    """One pour of the fill, between two heights; V = A (high - low) - what stands in it there.

    Args:
        name: the pour's name [text].
        plan: the mold's plan [mm].
        low_mm: where it begins, above the board [mm].
        high_mm: where it ends [mm].
        solids: names and volumes of what stands in it between them, shape (n,) [ml].
    Returns:
        the working [ml].
    Source:
        geometry, exact.
    """
    deep = high_mm - low_mm
    whole = plan.area_mm2 * deep / MM3_PER_ML
    return Working(
        figure=f"Volume of {name}",
        value=whole - sum(volume for _, volume in solids),
        unit="ml",
        given=(
            Given("from", low_mm, "mm"),
            Given("to", high_mm, "mm"),
            *(Given(solid, volume, "ml") for solid, volume in solids),
        ),
        rule="one pour = area × its height − what stands in it",
        arithmetic=_around(plan, deep, solids),
        source=GEOMETRY,
    )


def _around(plan: Plan, high_mm: float, solids: tuple[tuple[str, float], ...]) -> str:
    """Volume of a height of the mold less what stands in it, written out."""
    rest = plan.area_mm2 * high_mm / MM3_PER_ML - sum(volume for _, volume in solids)
    taken = "".join(f" − {figure_text(volume)}" for _, volume in solids)
    return (
        f"{area_arithmetic(plan)} × {figure_text(high_mm)} / 1 000{taken} = {figure_text(rest)} ml"
    )


def exposed_surface(plan: Plan, height_mm: float, top_only: bool) -> Working:
    """Surface a coat covers; A + P h, the underside stays bare.

    Args:
        plan: the dessert's plan [mm].
        height_mm: its height before coating [mm].
        top_only: whether the wall stays bare too [bool].
    Returns:
        the working [cm²].
    Source:
        geometry, exact.
    """
    wall_mm2 = 0.0 if top_only else plan.perimeter_mm * height_mm
    surface = (plan.area_mm2 + wall_mm2) / MM2_PER_CM2
    wall = "" if top_only else f" + {figure_text(plan.perimeter_mm)} × {figure_text(height_mm)}"
    return Working(
        figure="Exposed surface",
        value=surface,
        unit="cm²",
        given=(
            *plan_given(plan),
            Given("edge all round", plan.perimeter_mm, "mm"),
            Given("height before coating", height_mm, "mm"),
        ),
        rule="surface = top"
        if top_only
        else "surface = top + edge × height; the underside is bare",
        arithmetic=f"({area_arithmetic(plan)}{wall}) / 100 = {figure_text(surface)} cm²",
        source=GEOMETRY,
    )


def coat_volume(coat: Coat, name: str, surface: Working) -> Working:
    """Volume of a coat; V = surface x thickness.

    Args:
        coat: the part [mm].
        name: its name [text].
        surface: the surface it covers [cm²].
    Returns:
        the working [ml].
    Source:
        thin-film rule, common practice.
    """
    volume = surface.value * coat.thickness_mm / 10
    return Working(
        figure=f"Volume of {name}",
        value=volume,
        unit="ml",
        given=(
            Given("surface", surface.value, "cm²"),
            Given("thickness", coat.thickness_mm, "mm"),
        ),
        rule="volume = surface × thickness",
        arithmetic=f"{figure_text(surface.value)} × {figure_text(coat.thickness_mm)} / 10 = "
        f"{figure_text(volume)} ml",
        source=COMMON_PRACTICE + "; a film thin against the dessert, corners not counted",
        steps=(surface,),
    )


def strip_length(figure: str, perimeter_mm: float, overlap_mm: float) -> Working:
    """Length of a strip around the edge; L = P + overlap.

    Args:
        figure: what the strip is [text].
        perimeter_mm: the edge it goes round [mm].
        overlap_mm: how far its ends overlap [mm].
    Returns:
        the working [mm].
    Source:
        geometry; the overlap is common practice.
    """
    length = perimeter_mm + overlap_mm
    return Working(
        figure=figure,
        value=length,
        unit="mm",
        given=(Given("edge all round", perimeter_mm, "mm"), Given("overlap", overlap_mm, "mm")),
        rule="strip = edge all round + overlap",
        arithmetic=f"{figure_text(perimeter_mm)} + {figure_text(overlap_mm)} = "
        f"{figure_text(length)} mm",
        source=OVERLAP_SOURCE,
    )


def band_volume(band: Band, name: str, strip: Working) -> Working:
    """Volume of a foot strip; V = strip x height x thickness.

    Args:
        band: the part [mm].
        name: its name [text].
        strip: its length with the overlap [mm].
    Returns:
        the working [ml].
    Source:
        geometry; the overlap is common practice.
    """
    volume = strip.value * band.height_mm * band.thickness_mm / MM3_PER_ML
    return Working(
        figure=f"Volume of {name}",
        value=volume,
        unit="ml",
        given=(
            Given("strip", strip.value, "mm"),
            Given("height", band.height_mm, "mm"),
            Given("thickness", band.thickness_mm, "mm"),
        ),
        rule="volume = strip × height × thickness",
        arithmetic=f"{figure_text(strip.value)} × {figure_text(band.height_mm)} × "
        f"{figure_text(band.thickness_mm)} / 1 000 = {figure_text(volume)} ml",
        source=OVERLAP_SOURCE,
        steps=(strip,),
    )

"""Judgements on a dessert, each with its reason and what to do about it."""

from collections.abc import Iterable, Iterator, Mapping

from fernbell.core.desserts import practice
from fernbell.core.desserts.judge_formulas import judge_formulas
from fernbell.core.desserts.layout import Block, Layout
from fernbell.core.desserts.masses import poured_g
from fernbell.core.desserts.measure import PartResult
from fernbell.core.desserts.parts import Dessert, Insert
from fernbell.core.desserts.practice import is_short
from fernbell.core.findings import Finding, Severity
from fernbell.core.formulas import FormulaReading, Sheet
from fernbell.core.molds import clearance
from fernbell.core.working import COMMON_PRACTICE, GEOMETRY, MASS_BALANCE, Working, figure_text

_ORDER = {Severity.WRONG: 0, Severity.CAUTION: 1, Severity.NOTE: 2}


def judge(
    dessert: Dessert,
    layout: Layout,
    readings: Mapping[str, FormulaReading],
    parts: tuple[PartResult, ...],
    count: int,
    portions: int,
    portion: Working | None,
    others_g: Mapping[str, float],
) -> tuple[Finding, ...]:
    """Everything there is to say about a dessert.

    Args:
        dessert: parts in a mold [Dessert].
        layout: where they stand [mm].
        readings: the formulas they are made of [g/ml].
        parts: what they measure [g, ml].
        count: how many desserts [1].
        portions: how many portions one is cut into [1].
        portion: working of one portion's weight [g].
        others_g: by coat, what other sizes of the order pour of the same [g].
    Returns:
        findings [Finding].
    Source:
        geometry and common practice; each finding names its own.
    """
    names = {(part.part, part.layer): part.name for part in parts}
    return (
        *_bases(dessert, layout, names),
        *_inserts(dessert, layout, names),
        *_rest(dessert, layout, parts),
        *_coats(layout, parts, count, others_g),
        *_bands(layout, names),
        *judge_formulas(dessert, parts, readings),
        *_portion(portion, portions),
    )


def worst_first(findings: Iterable[Finding]) -> tuple[Finding, ...]:
    """Findings in the order in which they are to be read.

    Args:
        findings: in any order [Finding].
    Returns:
        the worst first, otherwise as they came [Finding].
    Source:
        definition.
    """
    return tuple(sorted(findings, key=lambda one: _ORDER[one.severity]))


Names = Mapping[tuple[str, str | None], str]


def _outside(block: Block, gap: float, name: str) -> Finding:
    across = f"Make it at most {figure_text(block.plan.length_mm + 2 * gap)} mm across"
    return Finding(
        code="part-outside",
        severity=Severity.WRONG,
        message=f"{name} stands {figure_text(-gap)} mm outside the mold's wall."
        if block.x_mm
        else f"{name} is wider than the mold by {figure_text(-2 * gap)} mm.",
        why="What stands outside the wall cannot be lined, filled or lifted off.",
        remedy=f"{across}, move it towards the middle, or choose a larger mold."
        if block.x_mm
        else f"{across}, or choose a larger mold.",
        source=GEOMETRY,
        part=block.part,
    )


def _above_rim(part: str, name: str, top: float, rim: float) -> Finding:
    return Finding(
        code="above-rim",
        severity=Severity.WRONG,
        message=f"{name} stands {figure_text(top - rim)} mm above the rim.",
        why=f"Its top is at {figure_text(top)} mm and the mold is {figure_text(rim)} mm high.",
        remedy=f"Take {figure_text(top - rim)} mm off the layers below or off it, "
        "or use a higher mold.",
        source=GEOMETRY,
        part=part,
    )


def _bases(dessert: Dessert, layout: Layout, names: Names) -> Iterator[Finding]:
    for block in layout.bases:
        name = names[block.part, block.layer]
        gap = clearance(block.plan, dessert.mold.plan)
        if is_short(gap, 0):
            yield _outside(block, gap, name)
        if is_short(dessert.mold.height_mm, block.high_mm):
            yield _above_rim(block.part, name, block.high_mm, dessert.mold.height_mm)


def _inserts(dessert: Dessert, layout: Layout, names: Names) -> Iterator[Finding]:
    floor, under = layout.base_top_mm, "the base"
    for insert, stack in layout.inserts:
        top = stack[-1].high_mm
        name = insert.name or names[insert.key, stack[-1].layer]
        yield from _side(dessert, stack[0], name)
        yield from _below(insert, floor, under, name)
        yield from _above(dessert, layout, insert, top, name)
        floor, under = top, name


def _side(dessert: Dessert, block: Block, name: str) -> Iterator[Finding]:
    gap = clearance(block.plan, dessert.mold.plan, block.x_mm)
    least = practice.side_clearance(dessert.mold.plan.length_mm)
    if is_short(gap, 0):
        yield _outside(block, gap, name)
    elif is_short(gap, least.value):
        across = block.plan.length_mm - 2 * (least.value - gap)
        yield Finding(
            code="insert-near-wall",
            severity=Severity.CAUTION,
            message=f"{name} is {figure_text(gap)} mm from the wall; "
            f"{figure_text(least.value)} mm keeps it covered.",
            why="An insert that slips a few millimetres shows through, and thin mousse tears "
            "off with the liner.",
            remedy=f"Center it, or freeze it {figure_text(across)} mm across."
            if block.x_mm
            else f"Freeze it {figure_text(across)} mm across.",
            source=least.source,
            part=block.part,
        )


def _below(insert: Insert, floor: float, under: str, name: str) -> Iterator[Finding]:
    gap, least = insert.lift_mm - floor, practice.COVER_CLEARANCE
    wanted = f"Set its underside {figure_text(floor + least.value)} mm above the board."
    if is_short(gap, 0):
        yield Finding(
            code="insert-in-base",
            severity=Severity.WRONG,
            message=f"{name} is {figure_text(-gap)} mm inside {under}.",
            why="Two solids cannot share the room; the mousse is counted short by the overlap.",
            remedy=wanted,
            source=GEOMETRY,
            part=insert.key,
        )
    elif is_short(gap, least.value) and floor > 0:
        yield Finding(
            code="insert-near-base",
            severity=Severity.NOTE,
            message=f"Only {figure_text(gap)} mm of mousse between {under} and {name}.",
            why="A thin seal sets unevenly and the insert tilts when it is pressed in.",
            remedy=wanted,
            source=least.source,
            part=insert.key,
        )


def _above(
    dessert: Dessert, layout: Layout, insert: Insert, top: float, name: str
) -> Iterator[Finding]:
    rim, least = dessert.mold.height_mm, practice.COVER_CLEARANCE
    if is_short(rim, top):
        yield _above_rim(insert.key, name, top, rim)
    elif layout.fill is None:
        yield Finding(
            code="nothing-around",
            severity=Severity.WRONG,
            message=f"Nothing holds {name}: no part fills the rest.",
            why="An insert is frozen to stand in something poured around it.",
            remedy="Add a mousse that fills the rest.",
            source=COMMON_PRACTICE,
            part=insert.key,
        )
    elif is_short(layout.level_mm - top, least.value):
        yield Finding(
            code="insert-near-top",
            severity=Severity.CAUTION,
            message=f"{figure_text(layout.level_mm - top)} mm of mousse over {name}; "
            f"{figure_text(least.value)} mm keeps it from showing.",
            why="The glaze draws every edge beneath it, and a bare insert sheds it.",
            remedy="Lower it, or thin it, by "
            f"{figure_text(least.value - layout.level_mm + top)} mm.",
            source=least.source,
            part=insert.key,
        )


def _rest(dessert: Dessert, layout: Layout, parts: tuple[PartResult, ...]) -> Iterator[Finding]:
    fill, rim = layout.fill, dessert.mold.height_mm
    if fill is None:
        return
    part = next(one for one in parts if one.part == fill.key)
    if is_short(rim, layout.level_mm):
        yield Finding(
            code="above-rim",
            severity=Severity.WRONG,
            message=f"{part.name} is filled {figure_text(layout.level_mm - rim)} mm above the rim.",
            why=f"The mold is {figure_text(rim)} mm high; the rest runs over.",
            remedy=f"Fill to {figure_text(rim)} mm, the rim, or use a higher mold.",
            source=GEOMETRY,
            part=fill.key,
        )
    if part.volume and part.volume.value <= 0:
        yield Finding(
            code="negative-rest",
            severity=Severity.WRONG,
            message=f"There is no room for {part.name}: "
            f"the other parts are {figure_text(-part.volume.value)} ml over.",
            why=part.volume.arithmetic,
            remedy="Thin or narrow the base or the insert, fill higher, or use a larger mold.",
            source=GEOMETRY,
            part=fill.key,
        )
    if layout.level_mm < layout.base_top_mm:
        yield Finding(
            code="fill-below-base",
            severity=Severity.WRONG,
            message=f"{part.name} ends below the top of the base.",
            why=f"It is filled to {figure_text(layout.level_mm)} mm and the base ends at "
            f"{figure_text(layout.base_top_mm)} mm.",
            remedy=f"Fill to more than {figure_text(layout.base_top_mm)} mm, or to the rim.",
            source=GEOMETRY,
            part=fill.key,
        )


def _coats(
    layout: Layout, parts: tuple[PartResult, ...], count: int, others_g: Mapping[str, float]
) -> Iterator[Finding]:
    by_key = {part.part: part for part in parts}
    for coat in layout.coats:
        part = by_key[coat.key]
        if part.mass is None:
            continue
        poured = poured_g(coat, part.mass.value, count) + others_g.get(coat.key, 0.0)
        if poured < coat.least_pour_g:
            yield Finding(
                code="short-pour",
                severity=Severity.NOTE,
                message=f"{part.name}: {figure_text(poured)} g would cover, but less than "
                f"{figure_text(coat.least_pour_g)} g does not pour well.",
                why="A thin stream leaves laps; the coat has to be flooded on in one go. The "
                "sheet is raised to the least pour.",
                remedy=f"Keep the {figure_text(coat.least_pour_g - poured)} g that are over for "
                "the next service, or coat more desserts at once.",
                source=COMMON_PRACTICE,
                part=coat.key,
            )


def _bands(layout: Layout, names: Names) -> Iterator[Finding]:
    for band in layout.bands:
        if band.height_mm > layout.top_mm > 0:
            yield Finding(
                code="above-rim",
                severity=Severity.CAUTION,
                message=f"{names[band.key, None]} stands "
                f"{figure_text(band.height_mm - layout.top_mm)} mm above the dessert.",
                why="A strip higher than what it goes around has nothing to lean on.",
                remedy=f"Cut it {figure_text(layout.top_mm)} mm high at most.",
                source=GEOMETRY,
                part=band.key,
            )


def _portion(portion: Working | None, count: int) -> Iterator[Finding]:
    if portion is None:
        return
    light, heavy = practice.PORTION_LEAST, practice.PORTION_MOST
    if light.value <= portion.value <= heavy.value:
        return
    middle = (light.value + heavy.value) / 2
    word = "light" if portion.value < light.value else "heavy"
    better = max(1, round(portion.value * count / middle))
    size = "higher or wider" if word == "light" else "lower or narrower"
    yield Finding(
        code=f"portion-{word}",
        severity=Severity.CAUTION,
        message=f"A portion of {figure_text(portion.value)} g is {word}.",
        why=f"A plated slice weighs {figure_text(light.value)} to {figure_text(heavy.value)} g.",
        remedy=f"Cut {better} instead of {count}." if better != count else f"Use a {size} mold.",
        source=light.source,
    )


def judge_sheets(made: tuple[Sheet, ...]) -> Iterator[Finding]:
    """What rounding to the scale does to the sheets.

    Args:
        made: the scaled sheets [g].
    Returns:
        findings [Finding].
    Source:
        common practice; each finding names its own.
    """
    for sheet in made:
        if abs(sheet.drift_percent) > practice.DRIFT_MOST.value:
            yield Finding(
                code="drift",
                severity=Severity.CAUTION,
                message=f"Rounding moves {sheet.name} by {figure_text(sheet.drift_percent)} %.",
                why=f"{figure_text(sheet.batch_g - sheet.drift_g)} g become "
                f"{figure_text(sheet.batch_g)} g on this scale.",
                remedy="Weigh on a finer scale, or make a larger batch.",
                source=MASS_BALANCE,
                formula=sheet.formula,
            )
        for line in sheet.lines:
            off = abs(line.mass_g - line.exact_g)
            if line.exact_g and off / line.exact_g * 100 > practice.LINE_DRIFT_MOST.value:
                lost = line.mass_g == 0
                yield Finding(
                    code="zero-line" if lost else "line-drift",
                    severity=Severity.CAUTION if lost else Severity.NOTE,
                    message=f"{line.name} in {sheet.name}: {figure_text(line.exact_g)} g "
                    f"{'rounds to nothing' if lost else f'becomes {line.mass_g:g} g'}.",
                    why=f"It is weighed in steps of {line.step_g:g} g.",
                    remedy="Weigh it on a finer scale, or make a larger batch.",
                    source=MASS_BALANCE,
                    formula=sheet.formula,
                )

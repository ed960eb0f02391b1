"""Templates to be cut at full size: liners, paper cones, discs, petals, strips, slice guides."""

from collections.abc import Iterator

from fernbell.core.cutting import Template
from fernbell.core.desserts import practice
from fernbell.core.desserts.fitted import blind_paper, paper_for
from fernbell.core.desserts.measure import MeasuredDessert
from fernbell.core.desserts.regions import is_rolled, liner_sheet
from fernbell.core.errors import UnknownKey
from fernbell.core.molds import box
from fernbell.core.working import figure_text

_TICK_MM = 12.0
"""How long the marks of a slice guide are that do not run through."""


def templates(made: MeasuredDessert) -> tuple[Template, ...]:
    """Everything of a dessert that is cut by a template, what lines its mold first.

    Args:
        made: the dessert, measured and divided [MeasuredDessert].
    Returns:
        each at full size, under a key of its own [mm].
    Source:
        geometry; overlaps and overhangs are common practice.
    """
    return (*_liners(made), *_pieces(made), *_slices(made))


def template_named(made: MeasuredDessert, key: str) -> Template:
    """One of a dessert's templates.

    Args:
        made: the dessert, measured and divided [MeasuredDessert].
        key: as in `templates` [key].
    Returns:
        the template [mm].
    Raises:
        UnknownKey: the dessert has no such template.
    Source:
        definition.
    """
    for one in templates(made):
        if one.key == key:
            return one
    raise UnknownKey("template", key, "a template of this dessert")


def _liners(made: MeasuredDessert) -> Iterator[Template]:
    mold, body = made.body.mold, made.body
    if mold.is_upright and not body.lining and not body.formed:
        edge, over = mold.from_above.perimeter_mm, practice.LINER_OVERLAP.value
        strip = box(0.0, edge + over, 0.0, mold.height_mm)
        meets = ((edge, 0.0), (edge, mold.height_mm))
        yield Template(
            "liner",
            "Liner strip",
            f"{figure_text(edge + over)} × {figure_text(mold.height_mm)} mm, overlapping by "
            f"{figure_text(over)} mm from the mark",
            (strip,),
            strokes=(meets,),
        )
    if mold.symmetry == "long" and not mold.is_upright and not body.formed:
        wide, long_ = liner_sheet(mold).value, mold.from_above.width_mm
        yield Template(
            "gutter",
            "Liner sheet of the gutter",
            f"{figure_text(long_)} × {figure_text(wide)} mm, from rim to rim",
            (box(0.0, long_, 0.0, wide),),
        )
    if body.lining and is_rolled(body.lining, made.kind(body.lining)) and paper_for(mold):
        view = blind_paper("", "", mold)
        title, says = view.title.split(": ", 1)
        cut, floor = (shape.loops for shape in view.shapes)
        yield Template("paper", title, says, cut, floor, view.cuts)


def _pieces(made: MeasuredDessert) -> Iterator[Template]:
    """One of each piece that is cut from a sheet."""
    for region in made.body.regions:
        flat = region.from_sheet()
        if flat and flat.is_cut_of(made.kind(region)):
            name = made.name(region.part, region.layer)
            yield Template(
                "-".join(filter(None, ("piece", region.part, region.layer))),
                name,
                f"{flat.piece.size_words}, {flat.each} a dessert, "
                f"{figure_text(flat.thick_mm)} mm thick",
                (flat.piece.outline(),),
            )


def _slices(made: MeasuredDessert) -> Iterator[Template]:
    """Where the knife goes, to be laid on or beside the dessert."""
    division = made.division
    if division.count < 2:
        return
    films = sum(film.side_mm for film in made.body.films)
    plan = made.body.outer.from_above.grown(films)
    strokes, _ = division.knife(plan)
    says = f"{division.count} {type(division).words.pieces}"
    if made.body.shape.symmetry != "long":
        hole = plan.hole()
        loops = (plan.outline(), *((hole,) if hole else ()))
        yield Template("slices", "Slice guide", says, loops, strokes=strokes)
        return
    # A strip laid along the log: only where each cut is counts.
    long_ = plan.width_mm
    ticks = tuple(
        ((start[1] + long_ / 2, 0.0), (start[1] + long_ / 2, _TICK_MM)) for start, _ in strokes
    )
    low, high = strokes[0][0][1], strokes[1][0][1] if strokes[1:] else long_ / 2
    each = figure_text(high - low)
    strip = (box(0.0, long_, 0.0, 2 * _TICK_MM),)
    yield Template("slices", "Slice guide", f"{says} of {each} mm", strip, strokes=ticks)

"""A template as PDF at full size, spread over pages of paper with marks to join them by."""

from collections.abc import Sequence

from fpdf import FPDF

from fernbell.core.cutting import (
    BAR_MM,
    FOOT_MM,
    MARGIN_MM,
    OVERLAP_MM,
    Paper,
    Template,
    Tile,
    Tiling,
    tile,
)
from fernbell.core.molds import Point

_INK, _FAINT = (34, 48, 42), (150, 165, 155)


def pdf_of(templates: Sequence[Template], paper: Paper) -> bytes:
    """Write templates one after another, each on pages of its own.

    Args:
        templates: outlines and marks, shape (n,) [mm].
        paper: what is printed on [Paper].
    Returns:
        a PDF document; every page has a bar to check the printer by [bytes].
    Source:
        PDF 1.3, written by fpdf2.
    """
    pdf = FPDF(unit="mm", format=(paper.wide_mm, paper.high_mm))
    pdf.set_auto_page_break(auto=False)
    pdf.set_margin(0)
    pdf.set_title("; ".join(one.title for one in templates)[:200])
    for one in templates:
        tiling = tile(one, paper)
        for page in tiling.tiles:
            _page(pdf, one, tiling, page)
    return bytes(pdf.output())


def _page(pdf: FPDF, template: Template, tiling: Tiling, page: Tile) -> None:
    pdf.add_page(orientation="landscape" if tiling.turned else "portrait")

    def at(point: Point) -> Point:
        """From the template to the page, whose y goes down."""
        x, y = point
        return MARGIN_MM + x - page.left_mm, MARGIN_MM + page.low_mm + page.high_mm - y

    with pdf.rect_clip(MARGIN_MM, MARGIN_MM, page.wide_mm, page.high_mm):
        pdf.set_line_width(0.3)
        pdf.set_draw_color(*_INK)
        for loop in template.cut:
            pdf.polygon([at(point) for point in loop])
        pdf.set_dash_pattern(dash=3, gap=2)
        for loop in template.marks:
            pdf.polygon([at(point) for point in loop])
        for start, end in template.strokes:
            pdf.polyline([at(start), at(end)])
        pdf.set_dash_pattern()
    _overlaps(pdf, tiling, page)
    _foot(pdf, template, tiling, page)


def _overlaps(pdf: FPDF, tiling: Tiling, page: Tile) -> None:
    """Where the next page is laid over this one: a faint line, and crosses on it."""
    pdf.set_draw_color(*_FAINT)
    pdf.set_line_width(0.2)
    x0, y0 = MARGIN_MM, MARGIN_MM
    x1, y1 = x0 + page.wide_mm, y0 + page.high_mm
    inner = OVERLAP_MM / 2
    lines: list[tuple[Point, Point]] = []
    if page.column < tiling.columns - 1:
        lines.append(((x1 - inner, y0), (x1 - inner, y1)))
    if page.column:
        lines.append(((x0 + inner, y0), (x0 + inner, y1)))
    if page.row < tiling.rows - 1:
        lines.append(((x0, y1 - inner), (x1, y1 - inner)))
    if page.row:
        lines.append(((x0, y0 + inner), (x1, y0 + inner)))
    for (ax, ay), (bx, by) in lines:
        pdf.set_dash_pattern(dash=1, gap=3)
        pdf.line(ax, ay, bx, by)
        pdf.set_dash_pattern()
        for share in (0.25, 0.75):
            x, y = ax + share * (bx - ax), ay + share * (by - ay)
            pdf.line(x - 3, y, x + 3, y)
            pdf.line(x, y - 3, x, y + 3)


def _foot(pdf: FPDF, template: Template, tiling: Tiling, page: Tile) -> None:
    """The bar to check by, which page this is, and of what."""
    low = MARGIN_MM + page.high_mm + FOOT_MM - 5
    right = MARGIN_MM + page.wide_mm
    pdf.set_draw_color(*_INK)
    pdf.set_text_color(*_INK)
    pdf.set_line_width(0.3)
    pdf.line(MARGIN_MM, low, MARGIN_MM + BAR_MM, low)
    for x in (MARGIN_MM, MARGIN_MM + BAR_MM):
        pdf.line(x, low - 1.5, x, low + 1.5)
    pdf.set_font("Helvetica", size=8)
    pdf.text(MARGIN_MM, low + 4.5, f"{BAR_MM:g} mm: print at 100 %, measure this bar")
    several = f"page {page.name} of {tiling.rows} x {tiling.columns}, " if tiling.tiles[1:] else ""
    words = _plain(f"{several}{template.title}: {template.says}")
    room = right - MARGIN_MM - BAR_MM - 20
    while pdf.get_string_width(words) > room and len(words) > 12:
        words = words[:-5].rstrip() + "..."
    pdf.text(right - pdf.get_string_width(words), low + 1, words)


def _plain(text: str) -> str:
    """What the font of every PDF reader can write."""
    return text.encode("latin-1", "replace").decode("latin-1")

"""A template as SVG, one unit a millimeter, so that it prints and cuts at full size."""

from xml.etree import ElementTree

from fernbell.core.cutting import BAR_MM, Template
from fernbell.core.molds import Loop

_AROUND_MM = 5.0
_FOOT_MM = 14.0
_INK, _THIN = "#22302A", "0.3"


def svg_of(template: Template) -> bytes:
    """Write a template with its name and a bar to check the size by.

    Args:
        template: outlines and marks [mm].
    Returns:
        an SVG document, its size in millimeters [UTF-8].
    Source:
        SVG 1.1.
    """
    left, low, right, top = template.bounds
    wide, high = right - left + 2 * _AROUND_MM, top - low + 2 * _AROUND_MM + _FOOT_MM
    wide = max(wide, BAR_MM + 2 * _AROUND_MM)
    box = f"{left - _AROUND_MM:.2f} {-top - _AROUND_MM:.2f} {wide:.2f} {high:.2f}"
    root = ElementTree.Element(
        "svg",
        xmlns="http://www.w3.org/2000/svg",
        width=f"{wide:.2f}mm",
        height=f"{high:.2f}mm",
        viewBox=box,
    )
    ElementTree.SubElement(root, "title").text = f"{template.title}: {template.says}"
    drawn = ElementTree.SubElement(
        root, "g", {"fill": "none", "stroke": _INK, "stroke-width": _THIN}
    )
    for loop in template.cut:
        ElementTree.SubElement(drawn, "path", {"class": "cut", "d": _path(loop)})
    dashes = {"class": "mark", "stroke-dasharray": "3 2"}
    for loop in template.marks:
        ElementTree.SubElement(drawn, "path", {**dashes, "d": _path(loop)})
    for (x0, y0), (x1, y1) in template.strokes:
        line = f"M{x0:.3f} {-y0:.3f}L{x1:.3f} {-y1:.3f}"
        ElementTree.SubElement(drawn, "path", {**dashes, "d": line})
    foot = -low + _AROUND_MM
    bar = f"M{left:.3f} {foot:.3f}h{BAR_MM:g}m0 -1.5v3m-{BAR_MM:g} -3v3"
    ElementTree.SubElement(drawn, "path", {"id": "bar", "d": bar})
    words = {"font-family": "sans-serif", "font-size": "3.2", "fill": _INK, "x": f"{left:.2f}"}
    for line, down in ((f"{BAR_MM:g} mm", 5.0), (f"{template.title}: {template.says}", 10.0)):
        text = ElementTree.SubElement(root, "text", {**words, "y": f"{foot + down:.2f}"})
        text.text = line
    written: bytes = ElementTree.tostring(root, encoding="utf-8", xml_declaration=True)
    return written


def _path(loop: Loop) -> str:
    return "M" + "L".join(f"{x:.3f} {-y:.3f}" for x, y in loop) + "Z"

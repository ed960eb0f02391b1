"""Answers to a file of cases, by calling core: `python -m tests.core.outside.answers cases.json`.

A case has an id, a name and inputs; the answer is {id: {row key: value}}. A text in place of a
number says what was refused. Cases of a kind core does not have are left out.
"""

import json
import sys
from pathlib import Path

from scipy.optimize import brentq

from fernbell.core.desserts import Base, Dessert, Fill, Insert, Layer, Wedges, solve
from fernbell.core.desserts.regions import Winding, sheet_length
from fernbell.core.errors import CoreError, MoldOverflow
from fernbell.core.formulas import (
    Aerated,
    Book,
    Formula,
    Line,
    fold,
    overrun_percent,
    whipped_density,
)
from fernbell.core.measures import (
    celsius_from_fahrenheit,
    fahrenheit_from_celsius,
    grams,
    is_mass,
    is_volume,
    millilitres,
    millimetres,
)
from fernbell.core.molds import (
    Frame,
    Gutter,
    Loaf,
    Ring,
    Savarin,
    Solid,
    Turned,
    WallPoint,
    clearance,
    disc,
)
from fernbell.core.pantry import Ingredient, mass_of_volume
from fernbell.core.pantry.naming import understand
from tests.core.names import NAMES
from tests.core.outside.mixing import mixing_rows
from tests.core.outside.mixtures import Case, Rows, mixture_rows


def number(value: float) -> str:
    """A number as row keys write it: '32', '0.5'."""
    return f"{value:g}"


def mold_of(inputs: Case) -> Solid | None:
    """The mold of a case; None where its inputs are of something else."""
    match inputs:
        case {"d_mm": diameter, "H_mm": height}:
            return Ring(diameter, height)
        case {"a_mm": length, "b_mm": width, "H_mm": height}:
            return Frame(length, width, height, inputs.get("corner_radius_mm", 0))
        case {"d_bottom_mm": floor, "d_top_mm": rim, "H_mm": height}:
            return Turned((WallPoint(0, floor), WallPoint(height, rim)))
        case {"R_mm": radius}:
            return Turned((WallPoint(0, 0), WallPoint(radius, 2 * radius, radius)))
        case {"base_d_mm": across, "H_mm": height}:
            radius = ((across / 2) ** 2 + height**2) / (2 * height)
            return Turned((WallPoint(0, 0), WallPoint(height, across, radius)))
        case {"d_out_mm": wide, "d_in_mm": hole}:
            return Savarin(wide, hole, inputs.get("H_mm", (wide - hole) / 4))
        case {"bottom_mm": [length, width], "top_mm": [rim, across], "H_mm": height}:
            return Loaf(rim, across, length, width, height, inputs.get("corner_radius_mm", 0))
        case {"width_mm": width, "L_mm": length}:
            return Gutter(length, width, width / 2 + inputs.get("straight_mm", 0))
    return None


def mold_rows(mold: Solid, inputs: Case) -> Rows:
    """Volumes, surfaces and depths of a mold."""
    height = mold.height_mm
    wall, bottom = mold.wall_between(0, height), mold.free_surface_at(0)
    yield "capacity", mold.capacity_ml
    yield "wall area full", wall
    yield "flat bottom area", bottom
    yield "top area full", mold.free_surface_at(height)
    yield "glaze area unmolded (wall + bottom)", wall + bottom
    for depth in inputs.get("fill_depths_mm", []):
        yield f"volume at depth {number(depth)} mm", mold.volume_between(0, depth)
        yield f"wetted wall at depth {number(depth)} mm", mold.wall_between(0, depth)
        yield f"free surface at depth {number(depth)} mm", mold.free_surface_at(depth)
    for volume in inputs.get("fill_volumes_ml", []):
        key = f"depth for {number(volume)} ml"
        try:
            yield key, mold.depth_of(volume)
        except MoldOverflow as over:
            yield key, f"refused: overflow {over.overflow_ml:.4f} ml"


def nested_rows(inputs: Case) -> Rows:
    """A base and an insert in a ring: what is left for the mousse, and the gaps."""
    ring, base, insert = (inputs[key] for key in ("ring", "base", "insert"))
    mold = Ring(ring["d_mm"], ring["H_mm"])
    lift = base["h_mm"] + (mold.height_mm - base["h_mm"] - insert["h_mm"]) / 2
    dessert = Dessert(
        "nested",
        mold,
        (
            Fill(key="rest", formula="any"),
            Insert(
                key="insert",
                layers=(Layer(key="layer", formula="any", height_mm=insert["h_mm"]),),
                across_mm=insert["d_mm"],
                lift_mm=lift,
            ),
            Base(key="base", formula="any", height_mm=base["h_mm"], across_mm=base["d_mm"]),
        ),
        Wedges(8),
    )
    water = Ingredient("water", "Water", 1.0)
    book = Book((water,), (Formula("any", "Any", (Line("line", 100, "water"),)),))
    solved, _ = solve(dessert, book)
    rest = next(part for part in solved.parts if part.part == "rest")
    gaps = {
        dimension.what: dimension.value_mm
        for dimension in solved.cut.dimensions
        if dimension.part == "insert"
    }
    assert rest.volume is not None
    yield "remaining volume for mousse", rest.volume.value
    yield "gap all round the insert", clearance(disc(insert["d_mm"]), mold.plan)
    yield "mousse height above+below the insert", gaps["above"] + gaps["below"]


def rolled_rows(inputs: Case) -> Rows:
    """A sheet rolled up, or the sheet of a roll; the section is conserved, as core says it is."""
    core, thick = 2 * inputs.get("core_radius_mm", 0), inputs["thickness_mm"]
    if "diameter_mm" in inputs:
        length = sheet_length(inputs["diameter_mm"], thick, core_mm=core)
        yield "sheet length, conservation of cross-section", length
    else:
        roll = Winding(
            length_mm=inputs["sheet_length_mm"],
            width_mm=300,
            thick_mm=(thick,),
            core_mm=core,
            trim_mm=0,
        )
        yield "diameter, conservation of cross-section", roll.diameter_mm


def fitting_rows(inputs: Case) -> Rows:
    """A disc frozen in a half sphere, at depths from the pole: whether it fits by its shape."""
    radius, insert = inputs["hemisphere_R_mm"], inputs["insert"]
    mold = Turned((WallPoint(0, 0), WallPoint(radius, 2 * radius, radius)))
    half, high = insert["d_mm"] / 2, insert["h_mm"]
    for low in inputs["lower_face_at_mm"]:
        key, inside = f"lower face at {number(low)} mm", mold.plan_at(low).length_mm / 2
        yield f"{key}: inner radius there", inside
        found, beside = set_in(mold, insert, low)
        if "part-outside" in found:
            yield key, f"refused: insert radius {half:g} > {inside:.2f}"
            continue
        yield "remaining volume, insert inside", beside
        yield f"mousse under the insert (depth {number(low)})", mold.volume_between(0, low)
        taken = disc(insert["d_mm"]).area_mm2 * high / 1000
        around = mold.volume_between(low, low + high) - taken
        yield f"mousse beside the insert ({number(low)}..{number(low + high)})", around

    def room(low_mm: float) -> float:
        return mold.plan_at(low_mm).length_mm / 2 - half

    yield "lowest possible lower face", float(brentq(room, 0, radius))


def set_in(mold: Solid, insert: Case, low_mm: float) -> tuple[set[str], float]:
    """Findings of an insert so deep below the pole, and what is left for the mousse [ml]."""
    lift = mold.height_mm - low_mm - insert["h_mm"]
    part = Insert(
        key="insert",
        layers=(Layer(key="layer", formula="any", height_mm=insert["h_mm"]),),
        across_mm=insert["d_mm"],
        lift_mm=lift,
    )
    dessert = Dessert(
        "set", mold, (Fill(key="rest", formula="any"), part), Wedges(1), "upside down"
    )
    water = Ingredient("water", "Water", 1.0)
    book = Book((water,), (Formula("any", "Any", (Line("line", 100, "water"),)),))
    solved, _ = solve(dessert, book)
    rest = next(one for one in solved.parts if one.part == "rest")
    assert rest.volume is not None
    return {finding.code for finding in solved.findings}, rest.volume.value


UNIT_TABLE = {
    "ml": (
        "cup",
        "tablespoon",
        "teaspoon",
        "fluid_ounce",
        "pint",
        "imperial_cup",
        "imperial_pint",
        "imperial_fluid_ounce",
        "metric_cup",
        "au_tablespoon",
    ),
    "g": ("ounce", "pound", "butter_stick"),
    "mm": ("inch",),
}
CONVERT = {"ml": millilitres, "g": grams, "mm": millimetres}


def unit_rows() -> Rows:
    """One of every unit of the table."""
    for into, units in UNIT_TABLE.items():
        for unit in units:
            yield f"1 {unit} in {into}", CONVERT[into](1.0, unit)


def measure_rows(inputs: Case) -> Rows:
    """Terms of one dimension summed; a volume with a density is a mass too."""
    terms = [term.split(maxsplit=1) for term in inputs["terms"]]
    if all(is_mass(unit) for _, unit in terms):
        yield "mass", sum(grams(float(value), unit) for value, unit in terms)
        return
    assert all(is_volume(unit) for _, unit in terms), terms
    volume = sum(millilitres(float(value), unit) for value, unit in terms)
    yield "volume", volume
    density = inputs.get("density_g_ml")
    if density is not None:
        mass = mass_of_volume(Ingredient("any", "any", density), volume)
        yield f"mass at {number(density)} g/ml", mass


def temperature_rows(inputs: Case) -> Rows:
    """Each value in the other scale."""
    for text in inputs["values"]:
        value, unit = text.split()
        convert = celsius_from_fahrenheit if unit == "degF" else fahrenheit_from_celsius
        yield text, convert(float(value))


def air_rows() -> Rows:
    """Overrun, and cream folded into a base, as the case describes it in its row keys."""
    yield "overrun, cream 1.00 g/ml whipped to 0.48", overrun_percent(1.0, 0.48)
    yield "density of cream 1.00 g/ml at 110 % overrun", whipped_density(1.0, 110)
    base = Aerated(400, 400 / 1.08)
    cream = Aerated(300, 300 / 1.0, 300 / 0.48 - 300 / 1.0)
    kept = "400 g base 1.08 + 300 g whipped cream 0.48 (gas-free 1.00), gas all kept"
    yield kept, fold((base, cream), 1.0).density_g_ml
    yield "same, 80 % of the gas kept", fold((base, cream)).density_g_ml


def line_rows(line: str) -> Rows:
    """What a typed line is in a new kitchen; asked or refused, it says so."""
    try:
        read = understand(line, NAMES)
    except CoreError as refusal:
        yield "ingredient", f"refused: {refusal}"
        return
    if read.certain is None or read.certain.mass_g is None:
        yield "ingredient", f"asks: {read.asks}"
        return
    yield "ingredient", read.certain.named.key
    yield "grams", read.certain.mass_g


def rows_of(case: Case) -> Rows:
    """Rows of one case, by the shape of its inputs; none if core has no such thing."""
    inputs = case["inputs"]
    keys = set(inputs)
    mold = mold_of(inputs)
    if mold is not None:
        yield from mold_rows(mold, inputs)
    elif "insert" in keys:
        yield from (nested_rows if "ring" in keys else fitting_rows)(inputs)
    elif "thickness_mm" in keys and keys & {"sheet_length_mm", "diameter_mm"}:
        yield from rolled_rows(inputs)
    elif case["name"] == "typed line":
        yield from line_rows(inputs["line"])
    elif "terms" in keys:
        yield from measure_rows(inputs)
    elif "values" in keys and all("deg" in str(value) for value in inputs["values"]):
        yield from temperature_rows(inputs)
    elif case["id"].startswith("M-"):
        yield from mixing_rows(case)
    elif case["id"].startswith("K-") and not keys:
        yield from unit_rows()
    elif case["id"].startswith("F-") and not keys:
        yield from air_rows()
    else:
        yield from mixture_rows(case)


def answers(cases: list[Case]) -> dict[str, dict[str, float | str]]:
    """Answers to all cases core can answer."""
    every = {case["id"]: dict(rows_of(case)) for case in cases}
    return {key: rows for key, rows in every.items() if rows}


if __name__ == "__main__":
    json.dump(answers(json.loads(Path(sys.argv[1]).read_text())), sys.stdout, indent=1)

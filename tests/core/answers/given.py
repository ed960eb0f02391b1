"""What is asked: demo desserts in every mold, 200 drawn at random, every demo formula and job."""

import json
from collections.abc import Iterator
from dataclasses import asdict, replace
from pathlib import Path
from typing import Any

from hypothesis import Phase, given, seed, settings
from hypothesis import strategies as st

from fernbell.core.desserts import (
    Band,
    Base,
    ByWeight,
    Coat,
    Dessert,
    Fill,
    Garnish,
    Grid,
    Insert,
    Layer,
    Wedges,
    refit,
)
from fernbell.core.molds import Frame, Ring
from fernbell.demo.desserts import DESSERTS
from fernbell.starter.molds import MOLDS
from tests.core.drawing import desserts

DRAWN = Path(__file__).with_name("drawn.jsonl")
KEPT_OF = [one for one in DESSERTS if one.slug == "reedbed"]
"""Of which answers were kept before there were other kinds."""
HOW_MANY, FEWEST_PARTS = 200, 3
HUNG_FIRST = 5
"""The first of the starter molds, of which answers were kept before there were others."""

_KINDS: dict[str, Any] = {
    "ring": Ring,
    "frame": Frame,
    "base": Base,
    "insert": Insert,
    "fill": Fill,
    "coat": Coat,
    "band": Band,
    "garnish": Garnish,
    "wedges": Wedges,
    "grid": Grid,
}


def demo_desserts() -> Iterator[tuple[str, Dessert, int]]:
    """Every demo dessert as it is, turned over, by weight, and in every mold of the demo."""
    for dessert in KEPT_OF:
        yield dessert.slug, dessert.dessert, dessert.count
        yield (
            f"{dessert.slug}, turned over",
            replace(dessert.dessert, built="upside down"),
            dessert.count,
        )
        yield f"{dessert.slug}, by weight", replace(dessert.dessert, portions=ByWeight(110)), 1
        for mold in MOLDS[:HUNG_FIRST]:
            yield f"{dessert.slug} in {mold.slug}", refit(dessert.dessert, mold.mold), 7


def drawn_desserts() -> Iterator[tuple[str, Dessert, int]]:
    """The desserts kept in drawn.jsonl."""
    for number, text in enumerate(DRAWN.read_text().splitlines()):
        kept = json.loads(text)
        yield f"drawn {number}", _dessert(kept["dessert"]), kept["count"]


def _dessert(kept: dict[str, Any]) -> Dessert:
    return Dessert(
        kept["name"],
        _made("form", kept["mold"]),
        tuple(_made("rule", one) for one in kept["parts"]),
        _made("cut", kept["portions"]),
        kept["built"],
    )


def _made(told_by: str, kept: dict[str, Any]) -> Any:
    own = dict(kept)
    if "layers" in own:
        own["layers"] = tuple(Layer(**one) for one in own["layers"])
    return _KINDS[own.pop(told_by)](**own)


def draw_anew() -> None:
    """Draw the desserts anew: this changes what is asked, and so every answer."""
    found: dict[str, None] = {}

    @seed(20261126)
    @settings(max_examples=20 * HOW_MANY, database=None, phases=[Phase.generate])
    @given(desserts(), st.booleans(), st.integers(1, 60))
    def collect(dessert: Dessert, turned: bool, count: int) -> None:
        built = "upside down" if turned else "upright"
        kept = asdict(replace(dessert, built=built))
        if len(dessert.parts) >= FEWEST_PARTS:
            found[json.dumps({"dessert": kept, "count": count}, ensure_ascii=False)] = None

    collect()
    # One in so many of those found: neighbors are often alike.
    DRAWN.write_text("\n".join(list(found)[:: len(found) // HOW_MANY][:HOW_MANY]) + "\n")

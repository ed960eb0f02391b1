"""`python -m bench.shapes`: every kind of dessert solved in core, beside an old ring of as many
parts (target 2.5 times as long); a dessert in a mold of a mesh of 20 000 faces (target 50 ms).
"""

from dataclasses import replace
from itertools import count, cycle, islice
from typing import Any

import trimesh

from bench.timing import timed, yardstick
from fernbell.core.desserts import (
    Base,
    ByCount,
    Coat,
    Dessert,
    Fill,
    Garnish,
    Insert,
    Layer,
    Part,
    Wedges,
    solve,
    usual_build,
)
from fernbell.core.desserts.kinds import KINDS, DessertKind, compose
from fernbell.core.molds import Ring, read_stl
from fernbell.demo.book import demo_book
from fernbell.demo.formulas import FORMULAS

BOOK = demo_book()
TARGET, MESH_TARGET_MS = 2.5, 50
KEYS = [one.slug for one in FORMULAS]


def pick(made_of: str, jobs: tuple[str, ...]) -> str | None:
    """The demo's last formula of a kind, the last set for its job."""
    of_kind = [one for one in FORMULAS if one.kind == made_of]
    best = [one for one in of_kind if one.job in jobs] or of_kind
    return best[-1].slug if best else None


def old_ring(formulas: list[str]) -> Dessert:
    """A ring of as many parts of the same formulas, by the rules there were first."""
    makers = cycle(
        (
            lambda key, formula: Base(key=key, formula=formula, height_mm=2, across_mm=170),
            lambda key, formula: Insert(
                key=key,
                layers=(Layer(key=f"{key}-1", formula=formula, height_mm=2),),
                across_mm=150,
                lift_mm=30,
            ),
            lambda key, formula: Garnish(key=key, formula=formula, piece_g=2),
            lambda key, formula: Coat(key=key, formula=formula, thickness_mm=1),
        )
    )
    first, *others = formulas
    made: list[Part] = [Fill(key="fill", formula=first)]
    named = zip(makers, others, strict=False)
    made += [maker(f"p{place}", formula) for place, (maker, formula) in enumerate(named)]
    return Dessert("Ring", Ring(200, 45), tuple(made), Wedges(12))


def dragged(dessert: Dessert, step: int) -> Dessert:
    """The same with a measure a little different, as in a drag."""
    for at, part in enumerate(dessert.parts):
        for name in ("thickness_mm", "height_mm", "across_mm", "on_100_cm2_g", "piece_g"):
            value = getattr(part, name, None)
            if value:
                own: Any = replace(part, **{name: value * (1 + step * 1e-5)})  # type: ignore[type-var]
                return replace(dessert, parts=(*dessert.parts[:at], own, *dessert.parts[at + 1 :]))
    return dessert


def beside(kind: DessertKind) -> tuple[float, float, float]:
    """Milliseconds of a kind, of the same while it is dragged, and of an old ring as it stands."""
    dessert = compose(kind, kind.title, kind.mold, pick).dessert
    used = [use.formula for part in dessert.parts for use in part.uses()]
    ring, steps = old_ring(used), count()
    return (
        timed(lambda: solve(dessert, BOOK), 60),
        timed(lambda: solve(dragged(dessert, next(steps)), BOOK), 60),
        timed(lambda: solve(ring, BOOK), 60),
    )


def mesh() -> None:
    """Read and solved: an icosphere of 20 480 faces."""
    data = trimesh.creation.icosphere(5, 40).export(file_type="stl")
    scan = read_stl(data, "mm")
    formulas = list(islice(cycle(KEYS), 3))
    parts: tuple[Part, ...] = (
        Fill(key="fill", formula="white-mousse"),
        Insert(
            key="heart",
            layers=(Layer(key="l", formula=formulas[0], height_mm=10),),
            across_mm=30,
            lift_mm=25,
        ),
    )
    dessert = Dessert("Scan", scan.mold, parts, ByCount(1), usual_build(scan.mold))
    solve(dessert, BOOK)
    print(
        f"mesh of {scan.faces} faces: read {timed(lambda: read_stl(data, 'mm'), 3):.0f} ms, "
        f"solved {timed(lambda: solve(dessert, BOOK), 30):.1f} ms (target {MESH_TARGET_MS})"
    )


def main() -> None:
    """Print a line a kind."""
    for kind in KINDS:
        own, moved, ring = beside(kind)
        print(
            f"{kind.kind:14} {own:5.2f} ms, {own / ring:.2f} x the ring (target {TARGET}); "
            f"dragged {moved:5.2f} ms, {moved / ring:.2f} x"
        )
    mesh()
    print(f"yardstick, a million additions: {yardstick():.0f} ms")


if __name__ == "__main__":
    main()

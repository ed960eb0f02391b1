"""`python -m bench.growth`: what an answer takes as a kitchen grows; targets beside it.

Kitchens of 50, 500 and 5,000 ingredients and as many formulas; formulas nested 1, 6 and 12 deep;
a formula of 1, 100 and 2,000 revisions; 1 kitchen beside none and beside 100. In turn in one run:
the median of each answer as a multiple of one row, and its size.
"""

import json
import os
import random
from collections.abc import Callable
from typing import Any

from bench.service import Visitor
from bench.timing import in_turn, yardstick
from ops.application import Door, application, environment, prepare_database
from ops.postgres import free_port, throwaway

SIZES = (50, 500, 5_000)
DEPTHS = (1, 6, 12)
REVISIONS = (1, 100, 2_000)
KITCHENS = 100
RUNS = 25
TIMES_A_ROW, MOST_KB = 6.0, 100
FRUITS = ("Medlar", "Sloe", "Bilberry", "Damson", "Mirabelle", "Elder", "Rowan", "Hawthorn")
KINDS = ("paste", "cream", "purée", "juice", "sugar", "butter", "flour", "syrup", "glaze")
LINES = 8


def called(i: int) -> str:
    """A name of its own."""
    return f"{FRUITS[i % 8]} {KINDS[i // 8 % 9]} {i:04d}"


def stock(
    name: str, size: int, depths: tuple[int, ...] = (), revisions: tuple[int, ...] = ()
) -> str:
    """A kitchen with as many ingredients and formulas; its key. The demo's chef belongs to it."""
    from django.contrib.auth.models import User

    from fernbell.server.formulas.models import Formula, FormulaLine
    from fernbell.server.kitchens.models import Kitchen, Member
    from fernbell.server.molds.models import Mold
    from fernbell.server.pantry.models import Ingredient

    chance = random.Random(size)  # noqa: S311 - a kitchen to measure
    kitchen = Kitchen.objects.create(name=name)
    chef = User.objects.get(username="demo-ottilie")
    Member.objects.create(kitchen=kitchen, user=chef, role="chef")
    own = {"kitchen": kitchen, "changed_by": chef}
    Mold.objects.create(
        **own, name="Ring", shape={"form": "ring", "diameter_mm": 160.0, "height_mm": 45.0}
    )
    pantry = Ingredient.objects.bulk_create(
        Ingredient(**own, name=called(i), density_g_ml=1.1, other_names=[f"{called(i)} of ours"])
        for i in range(size)
    )
    formulas = Formula.objects.bulk_create(
        Formula(**own, name=f"{called(i)} mousse", kind="mousse") for i in range(size)
    )
    FormulaLine.objects.bulk_create(
        FormulaLine(
            formula=formula, position=j, key=f"l{j}", mass_g=100, ingredient=chance.choice(pantry)
        )
        for formula in formulas
        for j in range(LINES)
    )
    for depth in depths:
        chain = Formula.objects.bulk_create(
            Formula(**own, name=f"Deep {depth} at {i}") for i in range(depth)
        )
        FormulaLine.objects.bulk_create(
            FormulaLine(formula=one, position=0, key="l", mass_g=100, **of)
            for one, of in zip(
                chain, ({"nested": below} for below in [*chain[1:], formulas[0]]), strict=True
            )
        )
    for count in revisions:
        revised(own, pantry, count)
    return str(kitchen.pk)


def revised(own: dict[str, Any], pantry: list[Any], count: int) -> None:
    """A formula saved so many times, a line's grams changed each time."""
    from fernbell.server.formulas.models import Formula, FormulaLine
    from fernbell.server.formulas.rows import FORMULA
    from fernbell.server.rows.history import WHOLE_EVERY
    from fernbell.server.rows.models import Change

    row = Formula.objects.create(**own, name=f"Saved {count} times", revision=count)
    FormulaLine.objects.bulk_create(
        FormulaLine(formula=row, position=j, key=f"l{j}", mass_g=100 + count, ingredient=one)
        for j, one in enumerate(pantry[:LINES])
    )
    now = FORMULA.snapshot(row)

    def at(revision: int) -> dict[str, Any]:
        lines = [{**line, "mass_g": 100.0 + revision} for line in now["lines"]]
        return {**now, "lines": lines}

    Change.objects.bulk_create(
        Change(
            kitchen=own["kitchen"],
            user=own["changed_by"],
            kind="formula",
            row=row.pk,
            revision=revision,
            action="changed" if revision > 1 else "created",
            fields={"lines": [at(revision - 1)["lines"], at(revision)["lines"]]},
            whole=at(revision) if revision % WHOLE_EVERY == 0 else None,
        )
        for revision in range(1, count + 1)
    )


class Asks:
    """Named questions about the kitchen the visitor is in, each asked in turn."""

    def __init__(self, visitor: Visitor) -> None:
        self.visitor = visitor
        self.named: dict[str, Callable[[], bytes]] = {}

    def get(self, name: str, path: str) -> None:
        """A page that is read."""
        self.named[name] = lambda: self.visitor.get(path)

    def post(self, name: str, path: str, body: object) -> None:
        """A question with a body."""
        self.named[name] = lambda: self.visitor.post(path, body)

    def report(self) -> dict[str, tuple[float, float]]:
        """Medians [ms] and sizes [kB] by name."""
        sizes = [len(ask()) / 1000 for ask in self.named.values()]
        times = in_turn(list(self.named.values()), RUNS)
        return dict(zip(self.named, zip(times, sizes, strict=True), strict=True))


def items(visitor: Visitor, path: str) -> list[dict[str, Any]]:
    """Rows of a page."""
    return json.loads(visitor.get(path))["items"]


def common(visitor: Visitor) -> Asks:
    """What every kitchen is asked."""
    asks = Asks(visitor)
    asks.get("one row", f"/api/molds/{items(visitor, '/api/molds')[0]['id']}")
    formula = items(visitor, "/api/formulas")[0]["id"]
    asks.get("ingredients, first page", "/api/ingredients")
    asks.get("ingredients, last page", "/api/ingredients?offset=4900")
    asks.get("formulas, those touched last", "/api/formulas?order=latest")
    asks.get("what is not known yet", "/api/ingredients/lacking")
    asks.get("names: one letter", "/api/names?shelf=lines&q=m")
    asks.get("names: a word and a number", "/api/names?shelf=lines&q=medlar%20paste%2000")
    asks.get("names: a slip", "/api/names?shelf=lines&q=medalr%20paste")
    asks.get("a list looked through", "/api/formulas?q=damson")
    line = {"text": "250 g medlar paste 0000", "begun": True}
    asks.post("a typed line", "/api/formulas/read-line", line)
    asks.post("a pasted list of 20", "/api/formulas/read-list", {"text": "10 g sloe cream\n" * 20})
    ingredient = items(visitor, "/api/ingredients?limit=1")[0]["id"]
    asks.get("an ingredient", f"/api/ingredients/{ingredient}")
    asks.get("a formula", f"/api/formulas/{formula}")
    asks.get("its reading", f"/api/formulas/{formula}/reading")
    return asks


def analyze() -> None:
    """Let the database count what is there, as it does by itself a minute later."""
    from django.db import connection

    with connection.cursor() as cursor:
        cursor.execute("ANALYZE")


def enter(visitor: Visitor, kitchen: str) -> None:
    """Go to a kitchen."""
    visitor.send("PUT", "/api/session/kitchen", {"kitchen": kitchen})


def table(columns: dict[str, dict[str, tuple[float, float]]]) -> None:
    """Answers by row and kitchens by column: ms, times one row, kB; what is over is marked."""
    print(f"{'':32}" + "".join(f"{name:>26}" for name in columns))
    for name in next(iter(columns.values())):
        cells = ""
        for answers in columns.values():
            took, size = answers[name]
            times = took / answers["one row"][0]
            over = "*" if times > TIMES_A_ROW or size > MOST_KB else " "
            cells += f"{took:8.1f} ms {times:4.1f} × {size:5.0f} kB{over}"
        print(f"{name:32}{cells}")


def measure(site: str, keys: dict[int, str]) -> None:
    """All tables."""
    visitor = Visitor(site)
    by_size = {}
    for size, key in keys.items():
        enter(visitor, key)
        by_size[f"{size} of each"] = common(visitor).report()
    table(by_size)
    enter(visitor, keys[SIZES[-1]])
    deep, saved = Asks(visitor), Asks(visitor)
    for asks in (deep, saved):
        asks.get("one row", f"/api/molds/{items(visitor, '/api/molds')[0]['id']}")
    for depth in DEPTHS:
        row = items(visitor, f"/api/formulas?q=deep%20{depth}%20at%200")[0]["id"]
        deep.get(f"reading, {depth} deep", f"/api/formulas/{row}/reading")
        deep.get(f"scaled, {depth} deep", f"/api/formulas/{row}/scaled?mass_g=1000")
    for count in REVISIONS:
        row = items(visitor, f"/api/formulas?q=saved%20{count}%20times")[0]["id"]
        path = f"/api/formulas/{row}"
        saved.get(f"revisions of {count}", f"{path}/revisions")
        saved.get(f"history of {count}", f"{path}/history")
        saved.get(f"the first of {count} compared", f"{path}/compare?before=1&after={count}")
    for asks in (deep, saved):
        print()
        table({"5000 of each": asks.report()})


def main() -> None:
    """Stock the kitchens of a throwaway database, serve it, and report."""
    with throwaway() as cluster:
        cluster.ensure_database("bench")
        env = environment(cluster, "bench", demo=True)
        prepare_database(env, demo=True)
        os.environ.update(env)
        import django

        django.setup()
        *small, largest = SIZES
        keys = {size: stock(f"{size} of each", size) for size in small}
        keys[largest] = stock(f"{largest} of each", largest, DEPTHS, REVISIONS)
        analyze()
        port = free_port()
        with application(env, Door(port), cluster.home):
            site = f"http://127.0.0.1:{port}"
            measure(site, keys)
            for i in range(KITCHENS):
                stock(f"Neighbor {i}", SIZES[1])
            analyze()
            visitor = Visitor(site)
            enter(visitor, keys[SIZES[1]])
            print()
            table({f"500, beside {KITCHENS} kitchens": common(visitor).report()})
    print(f"yardstick, a million additions: {yardstick():.0f} ms")


if __name__ == "__main__":
    main()

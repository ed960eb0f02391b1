"""Names looked up in the database mean what they mean when every name is read."""

import csv
from pathlib import Path

import pytest
from django.db import connection
from django.test import Client

from fernbell.core.pantry.naming import Named, Names
from fernbell.server.formulas.names import names_of
from fernbell.server.formulas.rows import FORMULA
from fernbell.server.kitchens.models import Member
from fernbell.server.pantry.rows import INGREDIENT
from fernbell.server.rows.search import lookup
from tests.server.api import made

LINES = Path(__file__).parent.parent / "core" / "lines.csv"
with LINES.open(encoding="utf-8", newline="") as file:
    EVERYDAY = [row["line"] for row in csv.DictReader(file)]
ASKED = [
    *("mlik", "buter", "creme", "crem", "vanila extrct", "strong bread flur", "chocolte 70"),
    *("cream 35", "butter milk", "butter, softened and cubed", "salt and pepper", "zest and juice"),
    *("dark ganache", "dried yeast", "large", "whole, peeled and chopped", "x", "0", "%", "_", ","),
    *("egg white, beaten", "flour, creamed", "dulce de leche", "ganache", "malt crémeux", "a"),
    *("lemons, juiced", "milk or cream", "2 and", "couverture 66", "CREAM", "crème", "🙂", "\\"),
    "butter" * 60,
    "whole large fine fresh frozen raw ripe soft cold dry clean cool milk",
]


def every(member: Member) -> Names:
    """All names of the kitchen, read whole."""
    own = {"kitchen_id": member.kitchen_id, "archived_at": None}
    shelves = (INGREDIENT, FORMULA)
    named = [one for on in shelves for one in on.named(on.model.objects.filter(**own))]
    usual = INGREDIENT.usual(member.kitchen_id)
    return Names(tuple(named), {word: str(key) for word, key in usual.items()})


def keys(found: tuple[Named, ...]) -> list[str]:
    return [one.name for one in found]


@pytest.mark.parametrize("begun", [False, True])
def test_a_name_looked_up_means_the_same_as_with_all_names_read(demo: Client, begun: bool) -> None:
    member = Member.objects.get(user__username="demo-ottilie")
    whole, looked = every(member), names_of(member)
    own = [name for one in whole.every for name in (one.name, *one.other_names)]
    halves = [name[: len(name) // 2] for name in own]
    for text in (*ASKED, *EVERYDAY[::5], *own[::3], *halves[::5]):
        said, found = whole.find(text, begun=begun), looked.find(text, begun=begun)
        assert keys(found.certain) == keys(said.certain), text
        assert keys(found.likely) == keys(said.likely), text
        assert (found.instead, found.far) == (said.instead, said.far), text


def test_names_looked_up_together_mean_the_same(demo: Client) -> None:
    looked = names_of(Member.objects.get(user__username="demo-ottilie"))
    texts = [*ASKED, *EVERYDAY[::9]]
    together = looked.together(texts)
    for text in texts:
        assert together.find(text) == looked.find(text), text


def test_an_archived_name_is_found_among_the_archived_only(demo: Client) -> None:
    row = made(demo, "mold", {"name": "Zeppelin tin", "shape": RING})
    assert demo.post(f"/api/molds/{row['id']}/archive").status_code == 200
    assert demo.get("/api/molds?q=zeppelin").json() == {"items": [], "total": 0}
    found = demo.get("/api/molds?q=zeppelin&archived=true").json()
    assert [one["name"] for one in found["items"]] == ["Zeppelin tin"]


RING = {"form": "ring", "diameter_mm": 160, "height_mm": 45}


@pytest.mark.parametrize(
    ("shelf", "pattern"), [(INGREDIENT, "% medlar %"), (FORMULA, "% medlar %")]
)
def test_rows_are_found_by_an_index(cook: Member, shelf: object, pattern: str) -> None:
    """Among many kitchens' rows, a page by name and a word are read by an index."""
    table = shelf.model._meta.db_table  # type: ignore[attr-defined]
    with connection.cursor() as cursor:
        # The tables of a test are nearly empty: only what an index offers is looked at.
        cursor.execute("SET LOCAL enable_seqscan = off; SET LOCAL enable_sort = off")
        for sql in (
            f"SELECT id FROM {table} WHERE kitchen_id = %s AND archived_at IS NULL"  # noqa: S608
            " ORDER BY name, id LIMIT 100",
            f"SELECT id FROM {table} WHERE kitchen_id = %s AND archived_at IS NULL"  # noqa: S608
            " ORDER BY changed_at DESC, id LIMIT 100",
        ):
            cursor.execute(f"EXPLAIN {sql}", [cook.kitchen_id])
            plan = "\n".join(line for (line,) in cursor.fetchall())
            assert "_by_name" in plan or "_by_change" in plan, plan
            assert "Sort" not in plan, plan
        for where, given in (("words LIKE %s", pattern), ("keys && %s", ["medlar"])):
            cursor.execute(f"EXPLAIN SELECT id FROM {table} WHERE {where}", [given])  # noqa: S608
            plan = "\n".join(line for (line,) in cursor.fetchall())
            assert "_by_word" in plan or "_by_key" in plan, plan


def test_a_page_of_some_keys_holds_those_of_the_kitchen_only(
    demo: Client, stranger: Member, as_member: object
) -> None:
    own = demo.get("/api/ingredients?limit=3").json()["items"]
    asked = "&".join(f"ids={one['id']}" for one in own)
    assert demo.get(f"/api/ingredients?{asked}").json()["items"] == own
    client = as_member(stranger)  # type: ignore[operator]
    assert client.get(f"/api/ingredients?{asked}").json() == {"items": [], "total": 0}


def test_the_lookup_of_another_kitchen_finds_nothing_of_this_one(
    demo: Client, stranger: Member
) -> None:
    looked = lookup(stranger.kitchen_id, [INGREDIENT, FORMULA])
    for text in ("cream", "buter", "dark ganache"):
        found = looked.find(text, begun=True)
        assert (found.certain, found.likely) == ((), ()), text

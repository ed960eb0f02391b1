"""Names looked up in the database mean what they mean when every name is read."""

import csv
import re
from operator import attrgetter
from pathlib import Path

import pytest
from django.db import connection
from django.test import Client

from fernbell.core.pantry.naming import Named, Names
from fernbell.server.desserts.rows import DESSERT, STACK
from fernbell.server.formulas.names import names_of
from fernbell.server.formulas.rows import FORMULA
from fernbell.server.kitchens.models import Member
from fernbell.server.molds.rows import MOLD
from fernbell.server.pantry.rows import INGREDIENT
from fernbell.server.rows.search import lookup
from fernbell.server.rows.shelf import Shelf
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
    for text in (*ASKED, *EVERYDAY[::9], *own[::7], *halves[::11]):
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


PAGES = ("name, id", "changed_at DESC, id")
SOUGHT = {"words LIKE %s": "% medlar %", "keys && %s": ["medlar"]}
SHELVES = [INGREDIENT, FORMULA, DESSERT, MOLD, STACK]


@pytest.mark.parametrize("shelf", SHELVES, ids=attrgetter("name"))
def test_rows_are_found_by_an_index(cook: Member, shelf: Shelf) -> None:
    """A page in its order, and what is called so in one kitchen among many."""
    table = shelf.model._meta.db_table

    def plan(where: str, *given: object) -> str:
        with connection.cursor() as cursor:
            # The tables of a test are nearly empty: only what an index offers is looked at.
            cursor.execute("SET LOCAL enable_seqscan = off; SET LOCAL enable_sort = off")
            cursor.execute(f"EXPLAIN SELECT id FROM {table} WHERE {where}", given)
            return "\n".join(line for (line,) in cursor.fetchall())

    for order in PAGES:
        own = f"kitchen_id = %s AND archived_at IS NULL ORDER BY {order} LIMIT 100"
        page = plan(own, cook.kitchen_id)
        assert re.search(r"Index (Only )?Scan using \w+_by_(name|change)", page), page
        assert "Sort" not in page
    for where, given in SOUGHT.items():
        found = plan(where, given)
        assert re.search(r"Bitmap Index Scan on \w+_by_(word|key)", found), found


def test_changes_of_a_row_are_found_by_an_index(cook: Member) -> None:
    with connection.cursor() as cursor:
        cursor.execute("SET LOCAL enable_seqscan = off; SET LOCAL enable_sort = off")
        cursor.execute(
            "EXPLAIN SELECT id FROM rows_change WHERE kitchen_id = %s AND kind = 'formula'"
            " AND row = %s ORDER BY revision DESC LIMIT 20",
            [cook.kitchen_id, cook.kitchen_id],
        )
        plan = "\n".join(line for (line,) in cursor.fetchall())
    assert "changes_of_a_row" in plan
    assert "Sort" not in plan


def test_what_is_called_so_comes_page_by_page_without_a_row_twice(demo: Client) -> None:
    path = "/api/ingredients?q=c&limit=20"
    pages = [demo.get(f"{path}&offset={at}").json() for at in (0, 20, 40)]
    assert {page["total"] for page in pages} == {pages[0]["total"]}
    assert pages[0]["total"] > 60
    names = [one["name"] for page in pages for one in page["items"]]
    assert len(set(names)) == len(names) == 60
    whole = demo.get("/api/ingredients?q=c&limit=60").json()["items"]
    assert [one["name"] for one in whole] == names


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
    looked = lookup(stranger, INGREDIENT, FORMULA)
    for text in ("cream", "buter", "dark ganache"):
        found = looked.find(text, begun=True)
        assert (found.certain, found.likely) == ((), ()), text

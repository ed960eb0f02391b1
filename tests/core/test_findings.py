"""Each finding appears when it should, says where, and goes when its remedy is followed."""

from dataclasses import replace

import pytest

from fernbell.core.desserts import (
    Band,
    Base,
    Coat,
    Dessert,
    Fill,
    Garnish,
    Insert,
    Layer,
    Wedges,
    solve,
)
from fernbell.core.findings import Finding, Severity
from fernbell.core.formulas import Book, Formula, Line
from fernbell.core.molds import Ring
from fernbell.demo.book import demo_book
from fernbell.demo.desserts import REEDBED
from tests.core.kitchen import BOOK, entremet


def findings(dessert: Dessert, book: Book = BOOK, count: int = 4) -> dict[str, Finding]:
    solved, _ = solve(dessert, book, count)
    return {finding.code: finding for finding in solved.findings}


def heart(across: float = 150, lift: float = 14, height: float = 11) -> Insert:
    return Insert(
        key="heart",
        layers=(Layer(key="jelly", formula="jelly", height_mm=height),),
        across_mm=across,
        lift_mm=lift,
    )


def test_a_sound_dessert_has_none() -> None:
    assert findings(entremet()) == {}


def test_the_demo_dessert_has_none() -> None:
    assert findings(REEDBED, demo_book(), 6) == {}


@pytest.mark.parametrize(
    ("dessert", "code", "severity", "part"),
    [
        (
            entremet(base=Base(key="base", formula="sponge", height_mm=10, across_mm=184)),
            "part-outside",
            Severity.WRONG,
            "base",
        ),
        (entremet(heart=heart(across=190)), "part-outside", Severity.WRONG, "heart"),
        (entremet(heart=heart(across=170)), "insert-near-wall", Severity.CAUTION, "heart"),
        (entremet(heart=heart(lift=8)), "insert-in-base", Severity.WRONG, "heart"),
        (entremet(heart=heart(lift=11)), "insert-near-base", Severity.NOTE, "heart"),
        (entremet(heart=heart(lift=33)), "insert-near-top", Severity.CAUTION, "heart"),
        (entremet(heart=heart(lift=40)), "above-rim", Severity.WRONG, "heart"),
        (
            entremet(base=Base(key="base", formula="sponge", height_mm=50, across_mm=170)),
            "above-rim",
            Severity.WRONG,
            "base",
        ),
        (entremet(mousse=None), "nothing-around", Severity.WRONG, "heart"),
        (
            entremet(base=Base(key="base", formula="sponge", height_mm=44, across_mm=179)),
            "negative-rest",
            Severity.WRONG,
            "mousse",
        ),
        (
            entremet(mousse=Fill(key="mousse", formula="mousse", level_mm=9), heart=None),
            "fill-below-base",
            Severity.WRONG,
            "mousse",
        ),
        (
            entremet(
                glaze=Coat(
                    key="glaze",
                    formula="glaze",
                    thickness_mm=2,
                    runoff_percent=25,
                    least_pour_g=2000,
                )
            ),
            "short-pour",
            Severity.NOTE,
            "glaze",
        ),
        (
            entremet(band=Band(key="band", formula="sponge", height_mm=50, thickness_mm=2)),
            "above-rim",
            Severity.CAUTION,
            "band",
        ),
        (entremet(heart=heart()), None, None, None),
    ],
)
def test_geometry_is_judged(
    dessert: Dessert, code: str | None, severity: Severity | None, part: str | None
) -> None:
    found = findings(dessert)
    if code is None:
        assert found == {}
        return
    assert found[code].severity == severity
    assert found[code].part == part
    assert found[code].remedy
    assert found[code].why
    assert found[code].source


def test_a_base_fallen_short_of_the_fill_leaves_only_what_is_left() -> None:
    assert "negative-rest" not in findings(
        entremet(base=Base(key="base", formula="sponge", height_mm=40, across_mm=170), heart=None)
    )


def test_following_the_remedy_of_an_insert_too_near_the_wall_clears_it() -> None:
    near = findings(entremet(heart=heart(across=170)))["insert-near-wall"]
    assert "160 mm" in near.remedy
    assert "insert-near-wall" not in findings(entremet(heart=heart(across=160)))


def test_individual_rings_ask_for_less_clearance() -> None:
    parts = (
        Fill(key="mousse", formula="mousse"),
        Insert(
            key="heart",
            layers=(Layer(key="l", formula="jelly", height_mm=10),),
            across_mm=68,
            lift_mm=10,
        ),
        Base(key="base", formula="sponge", height_mm=6, across_mm=74),
    )
    found = findings(Dessert("Small", Ring(80, 45), parts, Wedges(1)))
    assert "insert-near-wall" not in found or found["insert-near-wall"].remedy.endswith("70 mm.")
    assert "insert-near-wall" in findings(
        Dessert("Small", Ring(80, 45), (parts[0], replace(parts[1], across_mm=72)), Wedges(1))
    )


@pytest.mark.parametrize(("wedges", "code"), [(3, "portion-heavy"), (30, "portion-light")])
def test_portions_too_heavy_or_too_light(wedges: int, code: str) -> None:
    found = findings(replace(entremet(), portions=Wedges(wedges)))
    assert found[code].severity == Severity.CAUTION
    better = int(found[code].remedy.split()[1])
    assert code not in findings(replace(entremet(), portions=Wedges(better)))


def test_a_formula_without_density_is_named_and_its_grams_stay_unknown() -> None:
    dessert = entremet(base=Base(key="base", formula="riddle", height_mm=10, across_mm=170))
    found = findings(dessert)["no-density"]
    assert found.part == "base"
    assert "Mystery powder" in found.why
    solved, _ = solve(dessert, BOOK)
    assert solved.finished is None
    assert next(part for part in solved.parts if part.part == "base").make is None


def test_a_line_of_nothing_and_a_formula_without_lines() -> None:
    zero = Formula("sponge", "Sponge", (Line("a", 10, "water"), Line("b", 0, "sugar")))
    others = tuple(formula for formula in BOOK.formulas if formula.key != "sponge")
    found = findings(entremet(), Book(BOOK.ingredients, (*others, zero)))
    assert found["zero-line"].severity == Severity.CAUTION
    empty = Formula("sponge", "Sponge")
    found = findings(entremet(), Book(BOOK.ingredients, (*others, empty)))
    assert found["zero-line"].severity == Severity.WRONG


def test_rounding_that_moves_a_batch_or_swallows_a_line() -> None:
    tiny = Base(key="base", formula="sponge", height_mm=1, across_mm=30)
    dessert = Dessert("Tiny", Ring(60, 45), (tiny,), Wedges(1))
    # 0.28 g of sponge weighed on a 1 g scale rounds to nothing.
    assert findings(dessert, count=1)["zero-line"].formula == "sponge"
    # 2.83 g become 3 g; a hundred of them 283 g.
    small = Dessert(
        "Small",
        Ring(60, 45),
        (Base(key="base", formula="sponge", height_mm=10, across_mm=30),),
        Wedges(1),
    )
    assert "drift" in findings(small, count=1)
    assert "drift" not in findings(small, count=100)


def test_the_worst_comes_first() -> None:
    dessert = entremet(
        base=Base(key="base", formula="sponge", height_mm=10, across_mm=184),
        heart=heart(across=170),
        glaze=Coat(
            key="glaze", formula="glaze", thickness_mm=2, runoff_percent=0, least_pour_g=9000
        ),
    )
    solved, _ = solve(dessert, BOOK, 4)
    order = [finding.severity for finding in solved.findings]
    assert order == sorted(order, key=[Severity.WRONG, Severity.CAUTION, Severity.NOTE].index)


def test_a_fill_above_the_rim_is_said_and_goes_at_the_rim() -> None:
    over = findings(entremet(mousse=Fill(key="mousse", formula="mousse", level_mm=50)))["above-rim"]
    assert (over.severity, over.part) == (Severity.WRONG, "mousse")
    assert "5 mm above the rim" in over.message
    assert findings(entremet(mousse=Fill(key="mousse", formula="mousse", level_mm=45))) == {}


def test_a_garnish_is_counted_and_needs_no_density() -> None:
    nut = Garnish(key="nut", formula="riddle", piece_g=2)
    solved, _ = solve(entremet(nut=nut), BOOK, 4)
    assert [finding.code for finding in solved.findings] == []
    assert next(part for part in solved.parts if part.part == "nut").make.value == 80


def test_a_formula_without_density_in_two_parts_is_said_once() -> None:
    dessert = entremet(
        base=Base(key="base", formula="riddle", height_mm=10, across_mm=170),
        heart=Insert(
            key="heart",
            layers=(Layer(key="l", formula="riddle", height_mm=9),),
            across_mm=150,
            lift_mm=14,
        ),
    )
    solved, _ = solve(dessert, BOOK)
    assert [finding.code for finding in solved.findings].count("no-density") == 1


def test_an_insert_on_the_bare_board_asks_for_no_seal() -> None:
    dessert = entremet(base=None, heart=heart(lift=0))
    assert findings(dessert) == {}
    gaps = [
        dimension
        for dimension in solve(dessert, BOOK)[0].cut.dimensions
        if dimension.what == "below"
    ]
    assert [gap.short for gap in gaps] == [False]


@pytest.mark.parametrize(
    ("insert", "what", "code"),
    [
        (heart(across=170), "side", "insert-near-wall"),
        (heart(lift=11), "below", "insert-near-base"),
        (heart(lift=33), "above", "insert-near-top"),
    ],
)
def test_the_drawing_and_the_findings_agree_on_what_is_short(
    insert: Insert, what: str, code: str
) -> None:
    solved, _ = solve(entremet(heart=insert), BOOK, 4)
    short = {dimension.what for dimension in solved.cut.dimensions if dimension.short}
    assert short == {what}
    assert {finding.code for finding in solved.findings} == {code}


def test_two_inserts_are_judged_against_each_other() -> None:
    lower = heart(lift=13, height=8)
    upper = Insert(
        key="upper",
        layers=(Layer(key="u", formula="jelly", height_mm=8),),
        across_mm=150,
        lift_mm=18,
    )
    found = findings(entremet(heart=lower, upper=upper))
    assert found["insert-in-base"].part == "upper"
    assert "3 mm inside Jelly" in found["insert-in-base"].message
    apart = Insert(
        key="upper",
        layers=(Layer(key="u", formula="jelly", height_mm=8),),
        across_mm=150,
        lift_mm=25,
    )
    assert findings(entremet(heart=lower, upper=apart)) == {}
    fill = next(
        part
        for part in solve(entremet(heart=lower, upper=apart), BOOK)[0].parts
        if part.part == "mousse"
    )
    assert [pour.name for pour in fill.pours] == ["Seal", "Pour 2", "Main pour"]
    assert sum(pour.volume.value for pour in fill.pours) == pytest.approx(fill.volume.value)

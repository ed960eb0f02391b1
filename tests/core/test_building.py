"""The building: its order, upright and upside down, its waits; hearts off center; words; stacks."""

from dataclasses import replace

import pytest
from hypothesis import HealthCheck, assume, given, settings

from fernbell.core.desserts import (
    Base,
    Dessert,
    Fill,
    Insert,
    Layer,
    Lining,
    PuffShell,
    Stage,
    Wedges,
    drawn_in,
    place_stack,
    solve,
)
from fernbell.core.errors import CoreError, OutOfRange
from fernbell.core.formulas import Book, Formula, Line, Wait, WaitKind, as_drawn, wait_words
from fernbell.core.molds import Ring
from fernbell.core.pantry import Ingredient
from fernbell.demo.book import demo_book
from fernbell.demo.desserts import DESSERTS, REEDBED, DemoDessert
from tests.core.drawing import WITH_DENSITY, desserts
from tests.core.kitchen import BOOK, entremet

TURNED = replace(REEDBED, built="upside down")


def stages(dessert: Dessert, book: Book | None = None) -> tuple[Stage, ...]:
    return solve(dessert, book or demo_book(), 1)[0].stages


def codes(dessert: Dessert) -> list[str]:
    return [stage.code for stage in stages(dessert)]


# The order of the hands; common practice.
def test_upright_it_goes_base_seal_heart_main_pour() -> None:
    assert codes(REEDBED) == [
        *("insert", "line", "base", "base", "pour", "set", "pour"),
        *("unmold", "coat", "band", "garnish"),
    ]


def test_upside_down_the_main_pour_comes_first_and_the_base_last() -> None:
    assert codes(TURNED) == [
        *("insert", "line", "pour", "set", "pour", "base", "base"),
        *("unmold", "coat", "band", "garnish"),
    ]
    names = [stage.title for stage in stages(TURNED) if stage.code == "base"]
    assert names == ["Brown-butter sponge", "Rye crumble base"]


@pytest.mark.parametrize("dessert", [REEDBED, TURNED], ids=["upright", "upside down"])
def test_a_stage_stands_aside_in_the_mold_or_on_the_board(dessert: Dessert) -> None:
    aside = [stage.code for stage in stages(dessert) if stage.aside]
    in_mold = [stage.code for stage in stages(dessert) if stage.in_mold]
    assert aside == ["insert"]
    assert sorted(in_mold) == sorted(["line", "base", "base", "pour", "set", "pour"])
    turned = {stage.turned for stage in stages(dessert) if stage.in_mold}
    assert turned == {dessert is TURNED}
    assert not any(stage.turned for stage in stages(dessert) if not stage.in_mold)


@settings(max_examples=60)
@given(desserts(WITH_DENSITY))
def test_every_shape_of_the_cut_is_built_once_and_stands_at_the_end(dessert: Dessert) -> None:
    solved, _ = solve(dessert, BOOK, 1)
    if not solved.stages:
        return
    placed = [place for stage in solved.stages if not stage.aside for place in stage.fresh]
    assert sorted(placed) == list(range(len(solved.cut.section)))
    assert sorted(solved.stages[-1].shows) == sorted(placed)
    for stage in solved.stages:
        assert set(stage.fresh) <= set(stage.shows)


@settings(max_examples=60, suppress_health_check=[HealthCheck.filter_too_much])
@given(desserts(WITH_DENSITY))
def test_upside_down_changes_the_order_and_nothing_else(dessert: Dessert) -> None:
    lined = any(isinstance(part, Lining | PuffShell) for part in dessert.parts)
    assume(dessert.mold.is_upright and not lined)
    upright, _ = solve(replace(dessert, built="upright"), BOOK, 3)
    turned, _ = solve(replace(dessert, built="upside down"), BOOK, 3)
    for part, other in zip(upright.parts, turned.parts, strict=True):
        assert (part.make and part.make.value) == (other.make and other.make.value)
        assert sum(pour.volume.value for pour in part.pours) == pytest.approx(
            sum(pour.volume.value for pour in other.pours)
        )
    # Every base is a stage; a heart in two layers is one.
    assert sorted(stage.code for stage in upright.stages if stage.code != "pour") == sorted(
        stage.code for stage in turned.stages if stage.code != "pour"
    )


def test_a_heart_is_set_only_on_what_carries_it() -> None:
    seen = [stage.title for stage in stages(REEDBED)]
    assert seen.index("Seal") < seen.index("Set Quince heart") < seen.index("Main pour")
    two = replace(
        REEDBED,
        parts=(
            Fill(key="mousse", formula="barley-mousse"),
            Insert(
                key="low",
                layers=(Layer(key="l", formula="quince-set", height_mm=5),),
                across_mm=160,
                lift_mm=6,
                name="Low",
            ),
            Insert(
                key="high",
                layers=(Layer(key="h", formula="malt-cremeux", height_mm=5),),
                across_mm=160,
                lift_mm=25,
                name="High",
            ),
        ),
    )
    assert [stage.title for stage in stages(two) if stage.code in ("pour", "set")] == [
        *("Seal", "Set Low", "Pour 2", "Set High", "Main pour"),
    ]
    turned = replace(two, built="upside down")
    assert [stage.title for stage in stages(turned) if stage.code in ("pour", "set")] == [
        *("Main pour", "Set High", "Pour 2", "Set Low", "Cover"),
    ]


def test_waits_are_the_methods_own_and_usual_where_none_is_named() -> None:
    by_title = {stage.title: stage for stage in stages(REEDBED)}
    heart = by_title["Freeze Quince heart"]
    assert (heart.wait.least_min, heart.wait.most_min) == (120, 240)
    assert heart.wait_source == "the method of Quince, set"
    assert by_title["Seal"].wait_source == "common practice"
    assert by_title["Amber glaze"].ahead == ("Amber glaze: chill 12–48 h first",)
    assert by_title["Main pour"].cold
    # Built upside down, the long freeze comes when the base is in.
    turned = {stage.title: stage for stage in stages(TURNED)}
    assert turned["Rye crumble base"].wait.least_min == 360
    assert turned["Cover"].wait is None


def test_what_was_frozen_thaws_before_it_is_served_and_small_ones_sooner() -> None:
    whole = stages(REEDBED)[-2].wait
    small = stages(replace(REEDBED, mold=Ring(80, 45), parts=REEDBED.parts[:3]))
    assert whole.kind == WaitKind.THAW
    thaw = next(stage.wait for stage in small if stage.wait and stage.wait.kind == WaitKind.THAW)
    assert thaw.most_min < whole.least_min
    bare = Dessert(
        "Bare",
        Ring(180, 45),
        (Base(key="b", formula="sponge", height_mm=10, across_mm=150),),
        Wedges(8),
    )
    assert all(stage.wait is None for stage in stages(bare, BOOK))


def test_a_coat_with_a_wait_of_its_own_does_not_swallow_the_thaw() -> None:
    book = Book(
        BOOK.ingredients,
        tuple(
            replace(formula, waits=(Wait(WaitKind.SET, 10, 15, placed=True),))
            if formula.key == "glaze"
            else formula
            for formula in BOOK.formulas
        ),
    )
    coat, thaw = stages(entremet(), book)[-2:]
    assert (coat.wait_says, coat.cold) == ("set 10–15 min", False)
    assert (thaw.code, thaw.wait_says) == ("thaw", "thaw 4–8 h")
    assert thaw.shows == coat.shows


def test_an_empty_mold_has_no_building() -> None:
    assert stages(Dessert("Empty", Ring(180, 45), (), Wedges(8)), BOOK) == ()


@pytest.mark.parametrize(
    ("least", "most", "words"),
    [
        (20, 40, "chill 20–40 min"),
        (30, None, "chill 30 min or longer"),
        (60, 240, "chill 1–4 h"),
        (90, 90, "chill 1.5 h"),
        (30, 240, "chill 30 min to 4 h"),
        (720, 2880, "chill 12–48 h"),
    ],
)
def test_waits_are_said_as_in_a_kitchen(least: float, most: float | None, words: str) -> None:
    assert wait_words(Wait(WaitKind.CHILL, least, most)) == words


@pytest.mark.parametrize(
    ("least", "most", "field"),
    [
        (0, None, "least_min"),
        (-5, None, "least_min"),
        (60, 30, "most_min"),
        (1e9, None, "least_min"),
    ],
)
def test_waits_that_cannot_be_are_refused(least: float, most: float | None, field: str) -> None:
    with pytest.raises(OutOfRange) as refusal:
        Wait(WaitKind.REST, least, most)
    assert refusal.value.field == field


def heart(offset: float, across: float = 150) -> Insert:
    return Insert(
        key="heart",
        layers=(Layer(key="jelly", formula="jelly", height_mm=11),),
        across_mm=across,
        lift_mm=14,
        offset_mm=offset,
    )


def test_a_heart_off_center_is_nearer_to_one_wall_by_as_much() -> None:
    # By hand: (180 - 150) / 2 = 15 mm all round; 6 to the side leaves 9.
    solved, _ = solve(entremet(heart=heart(6)), BOOK, 1)
    side = next(
        dimension
        for dimension in solved.cut.dimensions
        if dimension.part == "heart" and dimension.what == "side"
    )
    assert (side.value_mm, side.short) == (pytest.approx(9), True)
    assert side.start[0] == 90  # drawn at the wall it is near to
    finding = next(one for one in solved.findings if one.part == "heart")
    assert finding.code == "insert-near-wall"
    assert finding.remedy.startswith("Center it")
    centered, _ = solve(entremet(heart=heart(0)), BOOK, 1)
    assert centered.findings == ()


def test_a_heart_off_center_takes_as_much_mousse() -> None:
    def volumes(dessert: Dessert) -> list[float]:
        return [part.volume.value for part in solve(dessert, BOOK, 1)[0].parts if part.volume]

    assert volumes(entremet(heart=heart(6))) == pytest.approx(volumes(entremet(heart=heart(-3))))


def test_a_heart_through_the_wall_is_wrong() -> None:
    solved, _ = solve(entremet(heart=heart(20)), BOOK, 1)
    finding = next(one for one in solved.findings if one.part == "heart")
    assert finding.code == "part-outside"
    assert "5 mm outside" in finding.message


def test_the_cut_is_told_in_sentences() -> None:
    words = " ".join(solve(entremet(heart=heart(-4)), BOOK, 1)[0].words)
    for said in (
        "Ø 18 cm, 45 mm high",
        "Sponge: base, from 0 to 10 mm, 170 mm across, 5 mm from the wall",
        "Jelly from 14 to 25 mm",
        "11 mm from the wall, 4 mm off center to the left, 4 mm over what is below it",
        "Mousse fills the rest up to 45 mm",
        "Glaze: 2 mm over top and sides",
    ):
        assert said in words


STACK = (
    Insert(
        key="heart",
        layers=(
            Layer(key="a", formula="jelly", height_mm=5),
            Layer(key="b", formula="sponge", height_mm=6),
        ),
        across_mm=140,
        lift_mm=14,
    ),
    Base(key="base", formula="sponge", height_mm=10, across_mm=164),
)


def test_a_stack_keeps_its_gaps_and_stands_on_what_is_there() -> None:
    empty = Dessert("Empty", Ring(160, 45), (), Wedges(8))
    insert, base = place_stack(empty, STACK, Ring(180, 45), ("k1", "k2"))
    assert (insert.across_mm, base.across_mm, insert.lift_mm) == (120, 144, 14)
    assert (insert.key, base.key) == ("k1", "k2")
    assert [layer.key for layer in insert.layers] == ["k1-1", "k1-2"]
    based = replace(empty, parts=(Base(key="own", formula="sponge", height_mm=8, across_mm=150),))
    insert, _ = place_stack(based, STACK, Ring(180, 45), ("k1", "k2"))
    assert insert.lift_mm == 22  # its own base goes on the one of 8 mm


def test_a_stack_of_a_heart_alone_clears_the_base_there_is() -> None:
    based = Dessert(
        "Based",
        Ring(160, 45),
        (Base(key="own", formula="sponge", height_mm=20, across_mm=150),),
        Wedges(8),
    )
    (insert,) = place_stack(based, STACK[:1], Ring(180, 45), ("k",))
    assert insert.lift_mm >= 20


def test_a_second_fill_does_not_come_in_with_a_stack() -> None:
    with pytest.raises(CoreError, match="already fills the rest"):
        place_stack(entremet(), (Fill(key="other", formula="mousse"),), Ring(180, 45), ("k",))


def test_waits_of_two_layers_take_the_longer() -> None:
    waits = {"short": (60, 90), "long": (180, 300)}
    book = Book(
        (Ingredient("water", "Water", 1.0),),
        tuple(
            Formula(
                key,
                key.capitalize(),
                (Line("a", 100, "water"),),
                waits=(Wait(WaitKind.FREEZE, *wait, placed=True),),
            )
            for key, wait in waits.items()
        ),
    )
    dessert = Dessert(
        "Two",
        Ring(180, 45),
        (
            Insert(
                key="i",
                layers=(
                    Layer(key="a", formula="long", height_mm=5),
                    Layer(key="b", formula="short", height_mm=5),
                ),
                across_mm=140,
                lift_mm=10,
            ),
        ),
        Wedges(8),
    )
    (frozen, *_) = stages(dessert, book)
    assert frozen.wait.least_min == 180


def test_what_a_method_says_of_thickness_follows_the_drawing() -> None:
    drawn = drawn_in([entremet(), entremet(heart=heart(0, across=120))])
    assert as_drawn("Pour {thickness} into {across}; freeze.", drawn["jelly"]) == (
        "Pour 5 mm and 11 mm into 15 cm and 12 cm; freeze."
    )
    assert as_drawn("Spread {thickness}.", drawn["glaze"]) == "Spread 2 mm."
    assert as_drawn("Pour {thickness} into {across}.") == "Pour as drawn into as drawn."
    assert as_drawn("Boil {sugar}.") == "Boil {sugar}."


@settings(max_examples=60)
@given(desserts(WITH_DENSITY))
def test_the_stages_lay_all_of_every_part_once(dessert: Dessert) -> None:
    solved, _ = solve(dessert, BOOK, 1)
    if not solved.stages:
        return
    laid = [one for stage in solved.stages for one in stage.laid]
    masses = [part.mass.value for part in solved.parts if part.mass]
    # A part of several pours is told pour by pour.
    pours = sum(len(part.pours) - 1 for part in solved.parts if part.pours)
    assert len(laid) == len(solved.parts) + pours
    assert all(one.mass_g is None or one.mass_g >= 0 for one in laid)
    assume(all(pour.mass.value > 0 for part in solved.parts for pour in part.pours))
    assert sum(one.mass_g or 0 for one in laid) == pytest.approx(sum(masses))
    for one in laid:
        assert one.thick_mm is None or one.thick_mm > 0


# By hand: the ring of 20 cm to 20 mm is 628.3 ml, less 9.2² x pi x 1.6 = 425.4 ml of the bases.
def test_a_pour_is_told_in_grams_and_millimeters() -> None:
    seal = next(stage for stage in stages(REEDBED) if stage.title == "Seal")
    assert seal.says == "Toasted barley mousse, up to 20 mm"
    (pour,) = seal.laid
    mousse = solve(REEDBED, demo_book(), 1)[0]
    fill = next(part for part in mousse.parts if part.pours)
    density = fill.mass.value / fill.volume.value
    assert pour.thick_mm == 20
    assert pour.mass_g == pytest.approx((628.32 - 425.45) * density, rel=1e-3)
    insert, setting = (one for one in stages(REEDBED) if "Quince heart" in one.title)
    assert [(one.name, one.thick_mm) for one in insert.laid] == [
        ("Quince, set", 10),
        ("Malt crémeux", 6),
    ]
    assert setting.laid == ()


@pytest.mark.parametrize("demo", DESSERTS, ids=lambda one: one.slug)
def test_a_demo_dessert_is_laid_gram_by_gram(demo: DemoDessert) -> None:
    solved, _ = solve(demo.dessert, demo_book(), 1)
    laid = sum(one.mass_g or 0 for stage in solved.stages for one in stage.laid)
    assert laid == pytest.approx(sum(part.mass.value for part in solved.parts if part.mass))

"""Every kind of dessert composes from its file, can be solved and drawn, and wants no finding."""

import math
from dataclasses import replace

import pytest

from fernbell.core.desserts import (
    ByCount,
    Dessert,
    Fill,
    Grid,
    Held,
    Slices,
    Wedges,
    shape_of,
    solve,
)
from fernbell.core.desserts.kinds import KINDS, DessertKind, compose, nearest, picture
from fernbell.core.families import job_named
from fernbell.core.findings import Severity
from fernbell.core.molds import Frame, Halves, Ring
from fernbell.demo.book import demo_book
from fernbell.demo.formulas import FORMULAS
from fernbell.starter.molds import MOLDS

BOOK = demo_book()
EVERY_KIND = pytest.mark.parametrize("kind", KINDS, ids=lambda kind: kind.kind)
HUNG = {mold.slug: mold.mold for mold in MOLDS}


def pick(made_of: str, jobs: tuple[str, ...]) -> str | None:
    of_kind = [one for one in FORMULAS if one.kind == made_of]
    best = [one for one in of_kind if one.job in jobs] or of_kind
    return best[-1].slug if best else None


def begun(kind: DessertKind) -> Dessert:
    return compose(kind, kind.title, kind.mold, pick).dessert


@EVERY_KIND
def test_a_kind_is_composed_from_its_file_and_wants_no_finding(kind: DessertKind) -> None:
    made = compose(kind, kind.title, kind.mold, pick)
    assert made.lacking == ()
    assert len(made.dessert.parts) == len(kind.parts)
    # Of what is tiny so many that no rounding shows.
    solved, sheets = solve(made.dessert, BOOK, 24 if kind.mold.longest_mm > 50 else 1200)
    assert sheets
    assert [one.message for one in solved.findings if one.severity != Severity.NOTE] == []
    assert solved.finished is not None
    assert all(part.mass and part.mass.value > 0 for part in solved.parts)


@EVERY_KIND
def test_its_parts_ask_for_jobs_that_there_are(kind: DessertKind) -> None:
    for part in kind.parts:
        for job in part.jobs:
            family, one = job_named(job)
            assert job == f"{family.key}.{one.key}"


@EVERY_KIND
@pytest.mark.parametrize("portions", [1, 3])
def test_a_kind_is_set_on_another(kind: DessertKind, portions: int) -> None:
    """However it is divided: what lies beside its middle has no outline in the cut."""
    held = replace(begun(kind), portions=ByCount(portions))
    tray = Dessert("Tray", Frame(600, 400, 20), (), ByCount(1), holds=(Held("h", held, 2),))
    apart = solve(held, BOOK)[0].finished
    both = solve(tray, BOOK)[0].finished
    assert apart
    assert both
    assert both.value == pytest.approx(2 * apart.value)


@EVERY_KIND
def test_a_kind_is_drawn_and_built_whole(kind: DessertKind) -> None:
    dessert = begun(kind)
    solved, _ = solve(dessert, BOOK)
    # A syrup takes no room: what it soaks is drawn.
    soaked = {part.key for part in dessert.parts if part.rule == "soak"}
    drawn = {(shape.part, shape.layer) for shape in solved.cut.section}
    assert drawn == {(part.part, part.layer) for part in solved.parts if part.part not in soaked}
    assert sorted(solved.stages[-1].shows) == list(range(len(solved.cut.section)))
    assert len(solved.words) > len(kind.parts)


@EVERY_KIND
def test_its_picture_is_its_own_cut(kind: DessertKind) -> None:
    shapes = picture(kind)
    unseen = {"garnish", "soak", "sauce"}
    made_of = {part.made_of for part in kind.parts if part.rule not in unseen}
    assert made_of <= {shape.formula for shape in shapes}
    assert all(len(loop) > 2 for shape in shapes for loop in shape.loops)


def test_what_a_kitchen_has_no_formula_for_is_left_out_and_said() -> None:
    tart = next(kind for kind in KINDS if kind.kind == "tart")
    made = compose(
        tart, "Tart", tart.mold, lambda made_of, _: made_of if made_of != "paste" else None
    )
    assert made.lacking == ("paste",)
    assert "lining" not in {part.rule for part in made.dessert.parts}
    assert len(made.dessert.parts) == len(tart.parts) - 1


@EVERY_KIND
def test_the_starter_kitchen_hangs_a_mold_for_it(kind: DessertKind) -> None:
    found = nearest(kind, HUNG)
    assert found is not None
    assert type(HUNG[found]) is type(kind.mold)


def test_a_mold_far_larger_or_of_another_form_is_none_for_it() -> None:
    entremet = next(kind for kind in KINDS if kind.kind == "entremet")
    assert nearest(entremet, {"huge": Ring(900, 60), "frame": Frame(300, 200, 45)}) is None


@pytest.mark.parametrize(
    ("kind", "division"),
    [("rolled log", Slices), ("molded log", Slices), ("tart", Wedges), ("sheet cake", Grid)],
)
def test_a_kind_is_divided_as_its_shape_asks(kind: str, division: type) -> None:
    dessert = begun(next(one for one in KINDS if one.kind == kind))
    assert isinstance(solve(dessert, BOOK)[0].division, division)


# By hand: sqrt(25² + 4 x (290 x 10 + 270 x 8) / pi) = 84.07 mm, a finger of 20
# left bare; two thirds of 18 mm x 390 mm stay inside.
def test_a_rolled_log_is_as_thick_as_its_sheet_makes_it() -> None:
    log = begun(next(kind for kind in KINDS if kind.kind == "rolled log"))
    assert shape_of(log).height_mm == pytest.approx(84.07, abs=0.01)
    solved, _ = solve(log, BOOK)
    by_part = {(part.part, part.layer): part for part in solved.parts}
    cream = sorted(
        part.mass.value for part in by_part.values() if part.formula == "elder-cream" and part.mass
    )
    assert cream[1] / sum(cream) == pytest.approx(2 / 3, abs=0.05)


# A shell of 2 mm in a sphere of 80: 4/3 pi (40³ - 38³) = 38.2 ml.
def test_a_shell_is_what_lies_between_two_spheres() -> None:
    shell = begun(next(kind for kind in KINDS if kind.kind == "sphere"))
    solved, _ = solve(shell, BOOK)
    chocolate = next(part for part in solved.parts if part.goes_by == "by surface")
    assert isinstance(shell.mold, Halves)
    assert chocolate.volume is not None
    assert chocolate.volume.value == pytest.approx(38.22, rel=2e-3)


def test_a_tart_shell_and_what_is_in_it_are_the_pan_up_to_the_filling() -> None:
    tart = begun(next(kind for kind in KINDS if kind.kind == "tart"))
    solved, _ = solve(tart, BOOK)
    lining, caramel, ganache = (
        part.volume.value for part in reversed(solved.parts) if part.volume and part.part != "p4"
    )
    # Above the ganache stands paste alone: the pan from 22 to 25 mm, less the room inside it.
    bare = tart.mold.volume_between(22, 25) - tart.mold.inset(3).volume_between(19, 22)
    filled = tart.mold.volume_between(0, 22)
    assert lining + caramel + ganache == pytest.approx(filled + bare, rel=1e-6)


# By hand: of a sheet 390 mm wide 370 mm are served, so 370/390 of what is rolled; glaze is whole.
def test_what_is_trimmed_off_a_log_is_made_and_not_served() -> None:
    log = begun(next(kind for kind in KINDS if kind.kind == "rolled log"))
    solved, _ = solve(log, BOOK)
    made = {part.part: 0.0 for part in solved.parts}
    for part in solved.parts:
        assert part.mass is not None
        made[part.part] += part.mass.value
    rolled, coat = made["p1"] + made["p2"] + made["p3"], made["p4"]
    assert solved.finished is not None
    assert solved.finished.value == pytest.approx(rolled * 370 / 390 + coat)


def test_what_fills_the_pan_of_a_rolled_log_is_said_to_be_no_part_of_it() -> None:
    log = begun(next(kind for kind in KINDS if kind.kind == "rolled log"))
    filled = replace(log, parts=(Fill(key="fill", formula="barley-mousse"), *log.parts))
    found = {one.code: one for one in solve(filled, BOOK)[0].findings}
    assert found["beside-roll"].part == "fill"
    assert "beside-roll" not in {one.code for one in solve(log, BOOK)[0].findings}


# pi/4 x 4.5² x 0.2 cm = 3.18 ml; the 5 % that break are made, and on no puff.
def test_the_spare_of_a_disc_is_made_and_not_eaten() -> None:
    puff = begun(next(kind for kind in KINDS if kind.kind == "puff"))
    disc = next(part for part in solve(puff, BOOK, 10)[0].parts if part.goes_by == "by area")
    assert disc.volume is not None
    assert disc.volume.value == pytest.approx(3.181, abs=0.001)
    assert disc.mass is not None
    assert disc.make is not None
    assert disc.make.value == pytest.approx(10 * disc.mass.value * 1.05)


# By hand: pi/6 x 45² x 18 = 19.09 ml of raw paste, its density that of its lines; the oven takes
# its share of that, whatever the density of a baked puff.
def test_a_puff_weighs_what_is_piped_less_what_the_oven_takes() -> None:
    puff = begun(next(kind for kind in KINDS if kind.kind == "puff"))
    (shell,) = (one for one in solve(puff, BOOK)[0].parts if one.part == "p1")
    formula = BOOK.formula(shell.formula)
    volume = sum(line.mass_g / (_density(line.ingredient) or 1) for line in formula.lines)
    raw = sum(line.mass_g for line in formula.lines) / volume
    lost = formula.losses.cooking_percent
    assert shell.mass is not None
    by_hand = math.pi / 6 * 4.5**2 * 1.8 * raw * (1 - lost / 100)
    assert shell.mass.value == pytest.approx(by_hand, rel=1e-6)
    assert shell.measure.value == pytest.approx(19.085, abs=0.001)


def _density(key: str | None) -> float | None:
    return BOOK.ingredient(key or "").density_g_ml

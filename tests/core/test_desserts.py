"""A dessert worked out: every part by its own rule, and what hangs on what."""

from dataclasses import replace

import pytest
from hypothesis import given
from hypothesis import strategies as st

from fernbell.core.desserts import (
    Band,
    Base,
    Coat,
    Dessert,
    Fill,
    Garnish,
    Grid,
    Insert,
    Layer,
    Solved,
    Wedges,
    solve,
)
from fernbell.core.errors import CoreError, OutOfRange
from fernbell.core.molds import Frame, Ring
from tests.core.kitchen import BOOK, entremet


def solved(dessert: Dessert, count: int = 1) -> Solved:
    return solve(dessert, BOOK, count)[0]


def masses(dessert: Dessert, count: int = 1) -> dict[tuple[str, str | None], float]:
    return {
        (part.part, part.layer): part.make.value
        for part in solved(dessert, count).parts
        if part.make
    }


class TestRules:
    def test_each_part_goes_by_its_own_rule(self) -> None:
        parts = {(part.part, part.layer): part for part in solved(entremet()).parts}
        # pi/4 x 17² x 1 = 226.98 ml of sponge at 0.4 g/ml.
        assert parts["base", None].measure.value == pytest.approx(226.98, abs=0.01)
        assert masses(entremet())["base", None] == pytest.approx(90.79, abs=0.01)
        # Top 254.47 + wall 254.47 cm², 2 mm thick: 101.79 ml; by Steiner π 4 × 45 round the wall,
        # π/4 4 × 565.49 along the rim and 2/3 π 8 in its corner more: 104.15 ml.
        assert parts["glaze", None].measure.value == pytest.approx(508.94, abs=0.01)
        assert parts["glaze", None].volume.value == pytest.approx(104.15, abs=0.01)

    def test_a_coat_adds_its_run_off_and_never_falls_short_of_a_good_pour(self) -> None:
        mass = 104.1464 * 1.14706
        assert masses(entremet())["glaze", None] == pytest.approx(mass * 1.25, rel=1e-4)
        least = Coat(
            key="glaze", formula="glaze", thickness_mm=2, runoff_percent=25, least_pour_g=400
        )
        assert masses(entremet(glaze=least))["glaze", None] == 400
        assert masses(entremet(glaze=least), 6)["glaze", None] == pytest.approx(
            mass * 1.25 * 6, rel=1e-4
        )

    def test_a_coat_on_top_only_leaves_the_wall_bare(self) -> None:
        bare = replace(entremet().parts[0], top_only=True)
        coat = solved(entremet(glaze=bare)).parts[0]
        assert coat.measure.value == pytest.approx(254.47, abs=0.01)

    def test_a_band_goes_round_with_its_overlap(self) -> None:
        band = Band(key="band", formula="sponge", height_mm=20, thickness_mm=3, overlap_mm=10)
        part = next(one for one in solved(entremet(band=band)).parts if one.part == "band")
        # (565.49 + 10) x 20 x 3 = 34.53 ml.
        assert part.measure.value == pytest.approx(575.49, abs=0.01)
        assert part.volume.value == pytest.approx(34.529, abs=0.001)

    def test_garnish_is_counted_by_the_portion_in_halves_too(self) -> None:
        half = Garnish(key="nut", formula="sponge", piece_g=3, pieces_per_portion=0.5)
        part = solved(entremet(nut=half), 4).parts[-1]
        assert (part.measure.value, part.measure.unit) == (20, "pieces")
        assert part.make.value == pytest.approx(60)

    def test_the_seal_is_poured_up_to_the_insert_and_split_from_the_main_pour(self) -> None:
        fill = next(part for part in solved(entremet()).parts if part.part == "mousse")
        seal, main = fill.pours
        # pi/4 x 18² x 1.4 - 226.98 = 129.28 ml.
        assert (seal.name, main.name) == ("Seal", "Main pour")
        assert seal.volume.value == pytest.approx(129.28, abs=0.01)
        assert seal.volume.value + main.volume.value == pytest.approx(fill.volume.value)

    def test_without_an_insert_there_is_one_pour(self) -> None:
        fill = next(part for part in solved(entremet(heart=None)).parts if part.part == "mousse")
        assert [pour.name for pour in fill.pours] == ["Main pour"]

    def test_in_a_frame_a_part_keeps_the_same_gap_all_round(self) -> None:
        frame = Frame(300, 200, 40, 15)
        base = Base(key="base", formula="sponge", height_mm=10, across_mm=280)
        dessert = Dessert("Framed", frame, (base,), Grid(6, 4))
        # 280 x 180 with corners of 5: (50400 - 0.8584 x 25) x 10 / 1000.
        assert solved(dessert).parts[0].measure.value == pytest.approx(503.785, abs=0.001)
        assert solved(dessert).portions == 24

    def test_finished_weight_height_and_portions(self) -> None:
        answer = solved(entremet(), 3)
        one = sum(part.mass.value for part in answer.parts)
        assert answer.finished.value == pytest.approx(one)
        assert answer.finished_all.value == pytest.approx(3 * one)
        assert answer.height.value == 47
        assert answer.portion.value == pytest.approx(one / 10)
        assert answer.liner is not None
        assert answer.liner.value == pytest.approx(575.49, abs=0.01)


class TestLaws:
    @given(
        st.floats(1, 15),
        st.floats(50, 180),
        st.floats(1, 10),
        st.floats(40, 180),
        st.floats(16, 20),
    )
    def test_parts_and_rest_fill_the_ring(
        self, base: float, across: float, jelly: float, heart: float, lift: float
    ) -> None:
        dessert = entremet(
            base=Base(key="base", formula="sponge", height_mm=base, across_mm=across),
            heart=Insert(
                key="heart",
                layers=(Layer(key="jelly", formula="jelly", height_mm=jelly),),
                across_mm=heart,
                lift_mm=lift,
            ),
            glaze=None,
        )
        volumes = [part.volume.value for part in solved(dessert).parts]
        assert sum(volumes) == pytest.approx(dessert.mold.capacity_ml)

    @given(st.integers(1, 500))
    def test_n_desserts_take_n_times_one(self, count: int) -> None:
        one, many = masses(entremet()), masses(entremet(), count)
        for key, mass in one.items():
            assert many[key] == pytest.approx(count * mass)

    @given(st.floats(1, 20))
    def test_changing_one_part_changes_only_the_rest_and_what_hangs_on_it(
        self, height: float
    ) -> None:
        before = masses(entremet())
        after = masses(
            entremet(base=Base(key="base", formula="sponge", height_mm=height, across_mm=170))
        )
        changed = {key for key in before if after[key] != pytest.approx(before[key], rel=1e-12)}
        assert changed <= {("base", None), ("mousse", None)}

    @given(st.integers(1, 40))
    def test_every_sheet_closes_on_the_scale(self, count: int) -> None:
        _, made = solve(entremet(), BOOK, count)
        for sheet in made:
            assert sum(line.mass_g for line in sheet.lines) == pytest.approx(sheet.batch_g)
            exact = sum(line.exact_g for line in sheet.lines)
            assert sheet.batch_g - exact == pytest.approx(sheet.drift_g)

    def test_sheets_make_what_the_parts_take(self) -> None:
        answer, made = solve(entremet(), BOOK, 7)
        jelly = next(sheet for sheet in made if sheet.formula == "jelly")
        part = next(one for one in answer.parts if one.formula == "jelly")
        assert jelly.finished_g == pytest.approx(part.make.value)
        sponge = next(sheet for sheet in made if sheet.formula == "sponge")
        assert len(sponge.uses) == 2
        assert [sheet.formula for sheet in made].index("syrup") < [
            sheet.formula for sheet in made
        ].index("mousse")


class TestWorkings:
    def test_every_figure_tells_how_it_came_about(self) -> None:
        answer = solved(entremet())
        for part in answer.parts:
            working = part.make
            assert working.law
            assert working.source
            assert working.given
            assert f"{working.unit}" in working.arithmetic
            assert working.steps[0].value == part.mass.value

    def test_an_arithmetic_can_be_followed_by_hand(self) -> None:
        base = next(part for part in solved(entremet()).parts if part.part == "base")
        assert base.volume.arithmetic == "π/4 × 170² × 10 / 1 000 = 227 ml"
        assert base.mass.arithmetic == "227 ml × 0.4 g/ml = 90.79 g"


class TestRefusals:
    def test_two_fills_are_refused(self) -> None:
        with pytest.raises(CoreError, match="fills the rest"):
            entremet(other=Fill(key="other", formula="mousse"))

    def test_wedges_are_for_rings_and_grids_for_frames(self) -> None:
        with pytest.raises(CoreError):
            Dessert("x", Ring(180, 45), (), Grid(2, 2))
        with pytest.raises(CoreError):
            Dessert("x", Frame(180, 180, 45), (), Wedges(8))

    @pytest.mark.parametrize("count", [0, -1, 10**9])
    def test_impossible_counts_are_refused(self, count: int) -> None:
        with pytest.raises(OutOfRange) as refusal:
            solved(entremet(), count)
        assert refusal.value.field == "count"

    def test_a_part_too_short_for_the_frame_is_refused(self) -> None:
        dessert = Dessert(
            "x",
            Frame(400, 100, 40),
            (Base(key="b", formula="sponge", height_mm=5, across_mm=300),),
            Grid(4, 1),
        )
        with pytest.raises(OutOfRange, match="more than 300"):
            solved(dessert)

    @pytest.mark.parametrize("value", [0, -1, float("nan"), float("inf"), 1e9])
    def test_impossible_measures_are_refused(self, value: float) -> None:
        for make in (
            lambda: Base(key="b", formula="sponge", height_mm=value, across_mm=100),
            lambda: Layer(key="l", formula="sponge", height_mm=value),
            lambda: Coat(key="c", formula="glaze", thickness_mm=value),
            lambda: Band(key="b", formula="sponge", height_mm=10, thickness_mm=value),
            lambda: Garnish(key="g", formula="sponge", piece_g=value),
            lambda: Fill(key="f", formula="mousse", level_mm=value),
        ):
            with pytest.raises(OutOfRange):
                make()


def test_an_empty_ring_is_no_error() -> None:
    answer = solved(Dessert("Empty", Ring(160, 45), (), Wedges(8)))
    assert answer.parts == ()
    assert answer.finished is None
    assert answer.portion is None

"""Steps: how they are said, what they may hold, and whether they agree with what is in the bowl."""

from dataclasses import replace

import pytest

from fernbell.core.errors import CoreError
from fernbell.core.families import (
    FAMILIES,
    Family,
    Job,
    Wish,
    job_for,
    job_named,
    judge_steps,
    propose,
    slot_choices,
)
from fernbell.core.formulas import (
    FIGURES,
    Book,
    Formula,
    LegKind,
    Line,
    OvenLeg,
    Step,
    Wait,
    WaitKind,
    lines_of,
    settled,
    step_figures,
)
from fernbell.core.heat import boiling_point, sucrose_at
from fernbell.core.measures import in_fahrenheit
from fernbell.core.pantry import Ingredient
from fernbell.starter.pantry import STOCKS

PANTRY = tuple(stock.ingredient for stock in STOCKS)
BY_KEY = {one.key: one for one in PANTRY}
JOBS = [(family, job) for family in FAMILIES for job in family.jobs]
IDS = [f"{family.key}.{job.key}" for family, job in JOBS]

SAID = {
    "28–30 °C": Step("x", temperature_c=28, temperature_to_c=30),
    "83 °C · 6 min": Step("x", temperature_c=83, minutes=6),
    "25–30 min · oven": Step("x", minutes=25, minutes_to=30, tool="oven"),
    "−18 °C": Step("x", temperature_c=-18),
    "4 h": Step("x", minutes=240),
    "200 °C · 12 min · then 180 °C, 16 min": Step(
        "x", temperature_c=200, minutes=12, then=(OvenLeg(LegKind.THEN, 180, 16),)
    ),
    "110 °C · falling to 80 °C · off, door shut, 10 h": Step(
        "x",
        temperature_c=110,
        then=(OvenLeg(LegKind.FALLING, 80), OvenLeg(LegKind.OFF, minutes=600)),
    ),
    "42 °C · in bursts of 20–30 s, stirring between": Step(
        "x", temperature_c=42, bursts_s=20, bursts_to_s=30
    ),
    "38 °C, and glucose syrup at the same": Step("x", temperature_c=38, alike="glucose syrup"),
    "": Step("x"),
}


@pytest.mark.parametrize(("says", "step"), SAID.items(), ids=SAID)
def test_a_step_is_said_as_at_the_bench(says: str, step: Step) -> None:
    assert step_figures(step) == says


def test_who_reads_fahrenheit_gets_it_in_ranges_and_ovens_too() -> None:
    step = Step("x", temperature_c=30, temperature_to_c=35, then=(OvenLeg(LegKind.THEN, 180),))
    # 30 x 1.8 + 32 = 86, 35 x 1.8 + 32 = 95, 180 x 1.8 + 32 = 356.
    assert step_figures(step, fahrenheit=True) == "86–95 °F · then 356 °F"


@pytest.mark.parametrize(
    ("celsius", "fahrenheit"),
    [
        ("Fold at 35-40 °C.", "Fold at 95-104 °F."),
        ("57 to 21 °C within 2 h, to 5 °C", "135 to 70 °F within 2 h, to 41 °F"),
        ("Write −18 °C for a freezer, −30 to −40 °C", "Write 0 °F for a freezer, −22 to −40 °F"),
        ("Cook to 104.5 °C", "Cook to 220 °F"),
        ("3 parts to 1, 20-30 s, 5 K", "3 parts to 1, 20-30 s, 5 K"),
    ],
)
def test_a_text_is_read_in_fahrenheit(celsius: str, fahrenheit: str) -> None:
    """°F = °C x 1.8 + 32: 35 is 95, 40 is 104, 57 is 134.6, 21 is 69.8, -40 is -40."""
    assert in_fahrenheit(celsius) == fahrenheit


@pytest.mark.parametrize(
    "wrong",
    [
        {"temperature_c": 30, "temperature_to_c": 28},
        {"temperature_to_c": 30},
        {"minutes": 30, "minutes_to": 20},
        {"minutes_to": 20},
        {"minutes": 0},
        {"bursts_s": 0.5},
        {"bursts_s": 30, "bursts_to_s": 20},
        {"temperature_c": 400},
    ],
    ids=str,
)
def test_a_range_the_wrong_way_round_is_refused_by_its_field(wrong: dict[str, float]) -> None:
    with pytest.raises(CoreError) as refused:
        Step("x", **wrong)  # type: ignore[arg-type]
    assert refused.value.field in wrong


@pytest.mark.parametrize(
    ("how", "hot"), [(LegKind.OFF, 90.0), (LegKind.THEN, None), (LegKind.FALLING, 500.0)]
)
def test_an_oven_that_is_off_has_no_heat_and_one_that_goes_on_needs_one(
    how: LegKind, hot: float | None
) -> None:
    with pytest.raises(CoreError):
        OvenLeg(how, hot)


def made_of(*lines: tuple[str, float, str], kind: str = "mousse") -> Formula:
    return Formula(
        "f",
        "Mine",
        tuple(Line(f"l{i}", g, of, stage=stage) for i, (of, g, stage) in enumerate(lines)),
        kind=kind,
    )


def says(formula: Formula, *steps: Step, kind: str = "mousse") -> dict[str, str]:
    lines = lines_of(settled(Book(PANTRY, (formula,)), ["f"]), "f")
    return {one.finding.code: one.finding.message for one in judge_steps(kind, lines, steps)}


def test_a_syrup_cannot_be_hotter_than_what_it_boils_at() -> None:
    """Half sugar, half water boils near 102 °C (boiling curve, 50 %: 101.85)."""
    syrup = made_of(("sugar", 100, "syrup"), ("water", 100, "syrup"), kind="syrup")
    hot = says(syrup, Step("Boil.", stage="syrup", temperature_c=118), kind="syrup")
    assert "118 °C" in hot["step-boils"]
    assert "102 °C" in hot["step-boils"]
    assert says(syrup, Step("Boil.", stage="syrup", temperature_c=102), kind="syrup") == {}
    # A range that reaches down to it is no fault.
    near = Step("Boil.", stage="syrup", temperature_c=101, temperature_to_c=105)
    assert says(syrup, near, kind="syrup") == {}


@pytest.mark.parametrize(
    ("least", "most", "code"),
    [(35, 40, ""), (35, 60, "fold-hot"), (20, 38, "fold-cold"), (50, None, "fold-hot")],
)
def test_a_range_to_fold_at_is_judged_at_both_its_ends(
    least: float, most: float | None, code: str
) -> None:
    made = propose(*job_named("mousse.chocolate"), Wish({}), PANTRY)
    steps = tuple(
        replace(step, temperature_c=least, temperature_to_c=most) if step.stage == "fold" else step
        for step in made.steps
    )
    lines = lines_of(Book(PANTRY, (made.formula,)), "draft")
    assert {one.finding.code for one in judge_steps("mousse", lines, steps)} == ({code} - {""})


def test_couverture_is_worked_at_its_own_figure() -> None:
    shell = made_of(("white-32", 500, "temper"), kind="chocolate")
    warm = says(shell, Step("Temper.", stage="temper", temperature_c=31.5), kind="chocolate")
    assert "28.5 °C" in warm["step-temper"]
    assert says(shell, Step("Temper.", stage="temper", temperature_c=28.5), kind="chocolate") == {}
    hot = says(shell, Step("Melt.", stage="melt", temperature_c=60), kind="chocolate")
    assert "60 °C" in hot["step-scorches"]


@pytest.mark.parametrize(
    ("step", "faulty"),
    [
        (Step("Into the ring, frozen.", temperature_c=4), True),
        (Step("Into the ring.", Wait(WaitKind.FREEZE, 240), temperature_c=4), True),
        (Step("Freeze hard.", temperature_c=-18), False),
        (Step("Onto the cake straight from the freezer.", temperature_c=35), False),
        (Step("Into the fridge.", temperature_c=4), False),
    ],
)
def test_what_stands_at_4_degrees_is_not_frozen(step: Step, *, faulty: bool) -> None:
    assert ("step-frozen" in says(made_of(("water", 1, "")), step)) is faulty


@pytest.mark.parametrize(("family", "job"), JOBS, ids=IDS)
def test_every_method_agrees_with_what_is_in_the_bowl_by_every_school_and_at_every_height(
    family: Family, job: Job
) -> None:
    for way in [way.name for way in job.ways] or [""]:
        for altitude_m in (0.0, 1500.0, 3000.0):
            made = propose(family, job, Wish({}, way=way), PANTRY, altitude_m)
            book = settled(Book(PANTRY, (made.formula,)), ["draft"], altitude_m=altitude_m)
            lines = lines_of(book, "draft", altitude_m=altitude_m)
            assert judge_steps(made.kind, lines, made.steps) == ()
            set_as = job_for(job, lines)
            value = set_as.dial.figure.value(lines.mix())
            assert set_as.dial.band_at(value) == set_as.dial.band(set_as.band)


CHOCOLATE_WORK = [
    (job, of)
    for job in ("shells", "sheets", "feathers")
    for of in slot_choices(job_named(f"chocolate.{job}")[1], PANTRY)["with"]
    if of.chocolate is not None and of.chocolate.temper
]


@pytest.mark.parametrize(
    ("job", "of"), CHOCOLATE_WORK, ids=[f"{job}-{of.key}" for job, of in CHOCOLATE_WORK]
)
def test_chocolate_is_worked_at_the_figures_of_its_own_pack(job: str, of: Ingredient) -> None:
    family, own = job_named(f"chocolate.{job}")
    made = propose(family, own, Wish({"with": of.key}), PANTRY)
    worked = {
        s.temperature_c for s in made.steps if s.stage in ("temper", "brush", "dip", "spread")
    }
    assert worked == {of.chocolate.temper.work_c}
    for figure in (of.chocolate.temper.melt_c, of.chocolate.temper.cool_c):
        assert f"{figure:g} °C" in made.steps[0].text


@pytest.mark.parametrize("key", ["compound-dark", "compound-milk", "compound-white"])
@pytest.mark.parametrize("job", ["shells", "sheets", "feathers"])
def test_compound_is_neither_tempered_nor_thinned_with_cocoa_butter(job: str, key: str) -> None:
    family, own = job_named(f"chocolate.{job}")
    made = propose(family, own, Wish({"with": key}), PANTRY)
    assert "temper" not in {step.stage for step in made.steps}
    assert "cocoa-butter" not in {line.ingredient for line in made.formula.lines}


def test_a_temperature_of_the_boil_is_the_kitchens_own() -> None:
    """At 1 500 m water boils near 95 °C (standard atmosphere): all boiling falls by about 5 K."""
    family, job = job_named("caramel.chew")
    here = propose(family, job, Wish({}), PANTRY, 1500)
    cook = next(step for step in here.steps if step.stage == "cook")
    assert cook.temperature_c == pytest.approx(boiling_point(sucrose_at(119), 1500), abs=0.06)
    assert 112 < cook.temperature_c < 115
    made = propose(family, job, Wish({}), PANTRY)
    sea, high = (
        settled(Book(PANTRY, (one.formula,)), ["draft"], altitude_m=m)
        for one, m in ((made, 0.0), (here, 1500.0))
    )
    # The same caramel: as much water is left.
    water = [
        FIGURES["water"].value(lines_of(book, "draft", altitude_m=m).mix())
        for book, m in ((sea, 0.0), (high, 1500.0))
    ]
    assert water[0] == pytest.approx(water[1], abs=0.15)
    set_as = job_for(job, lines_of(high, "draft", altitude_m=1500))
    assert "119 °C at the sea" in set_as.notes[0]
    assert set_as.dial.band("chews").most < job.dial.band("chews").most


def test_a_method_at_the_sea_is_as_written_and_pastry_cream_boils_cooler_up_there() -> None:
    family, job = job_named("custard.pastry")
    lines = lines_of(Book(PANTRY, (propose(family, job, Wish({}), PANTRY).formula,)), "draft")
    assert job_for(job, lines) == job
    up = propose(family, job, Wish({}), PANTRY, 2000)
    boil = next(step for step in up.steps if step.stage == "boil")
    # Standard atmosphere at 2 000 m, 79.5 kPa: water boils at 93.3 °C.
    assert boil.temperature_c == pytest.approx(93.3, abs=0.2)


def test_the_syrup_of_a_glaze_says_what_it_boils_at() -> None:
    made = propose(*job_named("glaze.mirror"), Wish({}), PANTRY)
    syrup = next(step for step in made.steps if step.stage == "syrup")
    lines = tuple(line for line in made.formula.lines if line.stage == "syrup")
    own = replace(made.formula, key="syrup", lines=lines, base_lines=())
    boils = FIGURES["boils"].value(lines_of(Book(PANTRY, (own,)), "syrup").mix())
    assert syrup.temperature_c == pytest.approx(boils, abs=1)


def test_a_jam_is_boiled_as_hot_as_its_brix_boils() -> None:
    """Sucrose at 65 °Bx boils at 103.9 °C (boiling curve): so does a keeping jam, near enough."""
    made = propose(*job_named("fruit.keeping"), Wish({}), PANTRY)
    boil = next(step for step in made.steps if step.stage == "boil")
    assert boil.temperature_c == pytest.approx(103.9, abs=0.7)

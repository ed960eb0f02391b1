"""The timeline: what a plan has to hold, what is proven, why nothing fits."""

from dataclasses import replace
from datetime import date, datetime
from itertools import product
from zoneinfo import ZoneInfo

import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from fernbell.core.desserts import Dessert, Held
from fernbell.core.errors import CoreError, OutOfRange, UnknownKey
from fernbell.core.formulas import LegKind, OvenLeg, Step, Wait, WaitKind
from fernbell.core.planning import Ordered, Vessel
from fernbell.core.planning.timeline import (
    USUAL_AIMS,
    Aim,
    Aims,
    AskedLine,
    Claim,
    Climate,
    Clock,
    Commission,
    Conflict,
    DemandKind,
    EasingKind,
    Edit,
    Halt,
    Happened,
    Hold,
    Link,
    Mark,
    Marked,
    Outcome,
    Person,
    Planned,
    Point,
    Sort,
    Station,
    Task,
    Wave,
    Work,
    as_if,
    became,
    board,
    clashes,
    conflict,
    demand_words,
    demands,
    edited,
    faults,
    fewest_hands_first,
    fits,
    from_now,
    hands_min,
    hours_words,
    latest,
    shown_without,
    solve,
    tight,
    told,
    ways_out,
    without,
    work_of,
)
from fernbell.core.planning.timeline.derive import planned
from fernbell.core.planning.timeline.lots import finished_at_once, lots_of
from fernbell.core.planning.timeline.making import blocks, link_of
from fernbell.core.planning.timeline.places import Rooms, places_of
from ops.pace import patience_s
from tests.core.drawing import desserts
from tests.core.kitchen import BOOK as TEST_BOOK
from tests.core.timelines import DAY, DEMO, KIT, SERVICE, asked, random_work, within

ZONE = ZoneInfo("Europe/London")
FRIDAY = Clock(date(2026, 3, 13), ZONE)


@pytest.fixture(scope="module")
def night() -> tuple[Work, Outcome]:
    """The full night, planned once."""
    work = work_of(asked())
    found = solve(work, **within(15))
    assert found is not None
    return work, found


# What holds


@settings(max_examples=12, deadline=None)
@given(st.integers(0, 10_000), st.integers(1, 4))
def test_every_plan_of_a_random_kitchen_holds(seed: int, desserts: int) -> None:
    work = random_work(seed, desserts)
    found = solve(work, **within(4))
    if found is None:
        assert fits(work, seconds=patience_s(10)) is False
    else:
        assert faults(work, found.plan) == ()
        assert clashes(work, found.plan, FRIDAY) == ()
        assert all(one.bound <= one.value for one in found.reached)


def test_the_full_night_is_planned_and_its_aims_are_proven(night: tuple[Work, Outcome]) -> None:
    work, found = night
    assert faults(work, found.plan) == ()
    assert [one.aim for one in found.reached][:4] == list(USUAL_AIMS)
    assert all(one.gap <= 0.02 for one in found.reached[:4])
    assert told(work, found.plan, FRIDAY)[-1] == "Sat 20:35: Wave 3 is served."


def breaks(work: Work, plan: Planned) -> dict[str, Planned]:
    """A plan spoilt in each way a plan can be wrong."""
    starts, people, places = dict(plan.starts), dict(plan.people), dict(plan.places)
    by_hand = [one for one in work.tasks if one.skill is not None and one.minutes]
    cook = next(one for one in by_hand if (one.skill or 0) == 2)
    same = [one.key for one in by_hand if people[one.key] == people[cook.key]]
    link = next(one for one in work.links if one.least_min >= 60)
    most = next(one for one in work.links if one.most_min and one.least_min == 0)
    oven = [one for one in work.holds if one.at_c is not None]
    hot = next(one for one in oven if one.at_c != oven[0].at_c)
    together = places | {oven[0].key: oven[0].places[0], hot.key: oven[0].places[0]}
    ovens = starts | {hot.since.task: starts[oven[0].since.task]}
    store = next(one for one in work.places if one.kind == "blast")
    cold = [one.key for one in work.holds if store.key in one.places]
    return {
        "trusted": replace(plan, people=people | {cook.key: "Junia"}),
        "at once": replace(plan, starts=starts | {same[0]: starts[same[1]]}),
        "at least": replace(plan, starts=starts | {link.after: starts[link.before]}),
        "at most": replace(plan, starts=starts | {most.before: starts[most.before] - 20_000}),
        "nobody": replace(plan, people={}),
        "not in": replace(plan, starts=starts | {cook.key: 3 * 60 + DAY}),
        "nowhere": replace(plan, places={}),
        "°C": Planned(ovens, people, together),
        "nobody is in": replace(plan, starts=starts | {oven[0].since.task: DAY + 60}),
        "before": replace(plan, starts=starts | {cook.key: 0}),
        "after": replace(plan, starts=starts | {cook.key: SERVICE + 1000}),
        "held at": replace(plan, starts=starts | {"service/0": 0}),
        "holds": replace(
            plan,
            starts=starts | {one.key: starts[one.key] - 3000 for one in by_hand},
            places=places | dict.fromkeys(cold, store.key),
        ),
    }


def little_blast(work: Work) -> Work:
    """The same with a blast freezer of 20 l."""
    places = (replace(x, capacity=20) if x.kind == "blast" else x for x in work.places)
    return replace(work, places=tuple(places))


def test_the_checker_sees_every_way_a_plan_can_be_wrong(night: tuple[Work, Outcome]) -> None:
    work, found = night
    small = little_blast(work)
    for words, plan in breaks(work, found.plan).items():
        said = faults(small if words == "holds" else work, plan)
        assert any(words in one for one in said), words


# Small enough to try everything


def sent(of: Station | Person, since: int, until: int, amount: int = 1, at_c: int = 0) -> Claim:
    return Claim(of.key, since, until, "Another night", "theirs", amount, at_c or None)


def tiny(seed: int, *, beside: bool) -> Work:
    """Four tasks on a grid of an hour, two people, one place for one; beside another order."""
    minutes = [60 * (1 + (seed >> at) % 2) for at in range(4)]
    tasks = [
        Task(f"t{at}", f"T{at}", m, 1 + (seed >> (at + 4)) % 2) for at, m in enumerate(minutes)
    ]
    people = (
        Person("a", "A", 2, ((0, 60 * (4 + seed % 3)),)),
        Person("b", "B", 1, ((60, 360),)),
    )
    links = (Link("t0", "t1", 60 * (seed % 2), 180), Link("t2", "t3", 0, 60 * (1 + seed % 3)))
    holds = tuple(Hold(k, ("pot",), Point(k), Point(k, end=True)) for k in ("t1", "t2"))
    places = (Station("pot", "Pot", "pot", 1),)
    pot, other = 60 * (seed % 4), 60 * (seed % 5)
    taken = (sent(places[0], pot, pot + 60), sent(people[0], other, other + 60)) if beside else ()
    return Work(tuple(tasks), links, holds, people, places, Aims((Aim.LATE,)), 0, 360, taken)


def least_span(work: Work) -> float | None:
    """The least from the first hands to the end, every start and person tried."""
    best = None
    hours = range(0, work.closes_min, 60)
    for starts in product(hours, repeat=len(work.tasks)):
        said = {task.key: at for task, at in zip(work.tasks, starts, strict=True)}
        span = work.closes_min - min(starts)
        if best is not None and span >= best:
            continue
        for who in product("ab", repeat=len(work.tasks)):
            people = {task.key: one for task, one in zip(work.tasks, who, strict=True)}
            if not faults(work, Planned(said, people, {"t1": "pot", "t2": "pot"})):
                best = span
                break
    return best


@pytest.mark.parametrize(
    ("seed", "beside"),
    [*product([0, 3, 21, 57, 100, 145, 200, 255], [False]), *product([3, 57, 145, 200], [True])],
)
def test_trying_everything_finds_nothing_better(seed: int, beside: bool) -> None:
    work = tiny(seed, beside=beside)
    found = solve(work, **within(10))
    assert (found.reached[0].value if found else None) == least_span(work)


# What is asked


def test_what_matters_first_is_kept_for_what_matters_next() -> None:
    work = random_work(3, 4)
    late = solve(replace(work, aims=replace(work.aims, order=(Aim.LATE,))), **within(6))
    fresh_first = replace(work.aims, order=(Aim.FRESH, Aim.LATE))
    fresh = solve(replace(work, aims=fresh_first), **within(6))
    assert late is not None
    assert fresh is not None
    assert late.reached[0].value <= fresh.reached[1].value
    assert [one.aim for one in fresh.reached] == [Aim.FRESH, Aim.LATE, None]


def test_nobody_begins_before_the_hour_where_that_can_be() -> None:
    work = random_work(5, 2)
    found = solve(work, **within(6))
    assert found is not None
    assert found.reached[0] == replace(found.reached[0], aim=Aim.NO_EARLY, value=0)
    by_hand = [one.key for one in work.tasks if one.skill is not None]
    assert all(found.plan.starts[key] % DAY >= 510 for key in by_hand)


def test_answers_are_told_as_they_come_and_a_search_is_stopped() -> None:
    halt = Halt()
    said: list[Outcome] = []

    def tell(found: Outcome) -> None:
        said.append(found)
        halt.ask()

    work = work_of(asked())
    found = solve(work, **within(60), tell=tell, halt=halt)
    assert found is not None
    assert found.stopped
    assert faults(work, said[0].plan) == ()
    assert len(found.reached) == 1


def test_a_task_held_by_hand_stays_and_the_others_stay_near(night: tuple[Work, Outcome]) -> None:
    work, found = night
    movable = next(one for one in work.tasks if "Amber caramel" in one.title)
    earlier = found.plan.starts[movable.key] - 30
    held = edited(work, {movable.key: Edit(at_min=earlier, by="Ottilie"), "gone": Edit(at_min=5)})
    again = solve(replace(held, aims=Aims()), **within(5), near=found.plan, keep=True)
    assert again is not None
    assert again.plan.starts[movable.key] == earlier
    assert again.plan.people[movable.key] == "Ottilie"
    assert faults(held, again.plan) == ()
    moved = [key for key, at in again.plan.starts.items() if at != found.plan.starts[key]]
    assert len(moved) <= len(work.tasks) / 4


# During the day


def test_what_is_done_stays_and_the_rest_is_planned_from_now(night: tuple[Work, Outcome]) -> None:
    work, found = night
    now = 21 * 60
    starts = found.plan.starts
    over = [one for one in work.tasks if starts[one.key] + one.minutes <= now]
    begun = [one for one in work.tasks if starts[one.key] < now < starts[one.key] + one.minutes]
    marks = {
        one.key: Marked(
            Mark.DONE if one in over else Mark.BEGUN,
            starts[one.key],
            starts[one.key] + one.minutes,
            found.plan.people.get(one.key),
        )
        for one in (*over, *begun)
    }
    left = from_now(work, marks, now - 3)
    again = solve(left, **within(5), near=found.plan)
    assert again is not None
    assert faults(left, again.plan) == ()
    assert begun
    for one in work.tasks:
        if one.key in marks:
            assert again.plan.starts[one.key] == starts[one.key]
        else:
            assert again.plan.starts[one.key] >= now


def test_what_failed_is_made_again_with_all_that_went_into_it() -> None:
    work = work_of(asked())
    milk = [one.key for one in work.tasks if one.formula == "barley-milk"]
    mousse = next(one.key for one in work.tasks if one.formula == "barley-mousse")
    marks = {key: Marked(Mark.DONE, 900 + 5 * at, 905 + 5 * at) for at, key in enumerate(milk)}
    marks[mousse] = Marked(Mark.FAILED, 960, 990)
    left = from_now(work, marks, 1000)
    again = {one.key for one in left.tasks} - {one.key for one in work.tasks}
    assert again == {f"{key}~" for key in (*milk, mousse)}
    pours = [one.before for one in left.links if one.after.startswith("line 0/")]
    assert f"{mousse}~" in pours
    assert mousse not in pours
    found = solve(left, **within(5))
    assert found is not None
    assert found.plan.starts[f"{milk[0]}~"] >= 1000
    assert faults(left, found.plan) == ()


@pytest.mark.parametrize(
    ("what", "now", "before", "becomes"),
    [
        # Planned from 10:00 to 10:30.
        (Happened.BEGUN, 605, None, Marked(Mark.BEGUN, 605, 635, "p")),
        (Happened.BEGUN, 580, None, Marked(Mark.BEGUN, 580, 630, "p")),
        (Happened.DONE, 620, None, Marked(Mark.DONE, 600, 620, "p")),
        (Happened.DONE, 700, None, Marked(Mark.DONE, 600, 630, "p")),
        (Happened.DONE, 560, None, Marked(Mark.DONE, 530, 560, "p")),
        (Happened.FAILED, 640, None, Marked(Mark.FAILED, 600, 640, "p")),
        (Happened.LATE, 590, None, Edit(minutes=45)),
        (Happened.LATE, 625, Marked(Mark.BEGUN, 605, 635), Marked(Mark.BEGUN, 605, 650, "p")),
        (Happened.DONE, 625, Marked(Mark.BEGUN, 605, 635), Marked(Mark.DONE, 605, 625, "p")),
    ],
)
def test_what_is_said_of_a_task_becomes_its_times(
    what: Happened, now: int, before: Marked | None, becomes: Marked | Edit
) -> None:
    assert became(what, 600, 30, now, before, "p") == becomes


# When it cannot fit


def refused(**change: object) -> tuple[Work, set[DemandKind], list[str]]:
    """Why the night cannot be, and that each demand in it is needed for that."""
    order = asked(**change)  # type: ignore[arg-type]
    work = work_of(order)
    assert fits(work, seconds=patience_s(10)) is False
    every = demands(work, demand_words(order, work, FRIDAY))
    found = conflict(work, every)
    assert found is not None
    assert found.least
    others = [one for one in every if one not in found.demands]
    assert fits(without(work, others), seconds=patience_s(10)) is False
    for one in found.demands:
        assert fits(without(work, [*others, one]), seconds=patience_s(10)) is True
    drawn_as_if(work, found)
    changes = ways_out(found)
    assert [list(EasingKind).index(one.kind) for one in changes] == sorted(
        list(EasingKind).index(one.kind) for one in changes
    )
    return work, {one.kind for one in found.demands}, [one.says for one in found.demands]


def drawn_as_if(work: Work, found: Conflict) -> None:
    """Without the demand that is left out it fits; where it is broken is on the board."""
    for left_out in shown_without(found)[:1]:
        easier = as_if(work, left_out)
        outcome = solve(easier, **within(10))
        assert outcome is not None
        assert faults(easier, outcome.plan) == ()
        broken = clashes(work, outcome.plan, FRIDAY)
        assert broken
        lanes = {one.key for one in board(easier, outcome.plan, FRIDAY).lanes}
        assert {one.lane for one in broken} <= lanes


SEEN_IN_LANES = {
    "trusted": "Junia is not trusted with it",
    "at once": "two things at once",
    "not in": "is not in",
    "°C": "°C",
    "nobody is in": "nobody is in",
    "before": "before Fri 14:00",
    "after": "after Sat 20:35",
    "holds": "of 20 l",
}


def test_where_a_plan_is_spoilt_is_seen_in_its_lane(night: tuple[Work, Outcome]) -> None:
    work, found = night
    assert clashes(work, found.plan, FRIDAY) == ()
    spoilt = breaks(work, found.plan)
    for name, says in SEEN_IN_LANES.items():
        asked_of = little_blast(work) if name == "holds" else work
        assert any(says in one.says for one in clashes(asked_of, spoilt[name], FRIDAY)), name


def test_what_is_full_and_who_has_no_break_is_called_tight(night: tuple[Work, Outcome]) -> None:
    work, found = night
    (molds,) = (one for one in tight(work, found.plan, FRIDAY) if "Ø 8 cm" in one.says)
    assert "borrow more" in molds.remedy
    assert molds.says.startswith("Molds, 4 × Ø 8 cm: full from Sat ")
    cook = Person("p", "Bram", 2, ((0, 900),))
    tasks = tuple(Task(f"t{at}", "t", 60, 2, at_min=65 * at) for at in range(5))
    freezer = Station("f", "Freezer", "freezer", 10)
    cold = Hold("cold", ("f",), Point("t0"), Point("t4"), 9)
    row = Work(tasks, (), (cold,), (cook,), (freezer,), claims=(sent(cook, 320, 330),))
    plan = Planned(
        {one.key: one.at_min or 0 for one in tasks}, {one.key: "p" for one in tasks}, {"cold": "f"}
    )
    # By hand: five hours with pauses of five minutes, then ten minutes elsewhere: 5 h 30.
    assert [one.says for one in tight(row, plan, FRIDAY)] == [
        "Freezer: 9 of 10 l from Fri 00:00 to Fri 04:20",
        "Bram: no break from Fri 00:00 to Fri 05:30, 5 h 30",
    ]
    # What another order holds since the day before may be all that fills it.
    theirs = sent(freezer, -600, -60, 9)
    before = replace(row, holds=(), tasks=(), links=(), claims=(theirs,))
    (full,) = tight(before, Planned({}, {}, {}), FRIDAY)
    assert full.says == "Freezer: 9 of 10 l from Thu 14:00 to Thu 23:00"
    less = replace(cold, amount=8, until=Point("t2"))
    easy = replace(row, holds=(less,), tasks=tasks[:3], claims=())
    assert tight(easy, plan, FRIDAY) == ()


def test_too_few_molds_are_named_with_what_they_are_for() -> None:
    _, kinds, says = refused(order=(("reedbed", 2, None), ("foghorn", 24, 1)))
    assert {DemandKind.SERVICE, DemandKind.PLACE, DemandKind.LINE, DemandKind.WAIT} <= kinds
    assert "24 × Foghorn domes" in says
    assert "freeze 5–14 h" in says


def test_a_freezer_too_small_is_named() -> None:
    kit = tuple(one for one in KIT if one.kind not in ("blast", "freezer"))
    _, kinds, says = refused(vessels=(*kit, Vessel("Drawer", "freezer", 6)))
    assert DemandKind.PLACE in kinds
    assert "Drawer, 6 l" in says


def test_freezers_that_are_out_are_named_and_nothing_is_frozen_in_them() -> None:
    work, kinds, says = refused(out=frozenset({"Blast freezer", "Freezer"}))
    assert kinds == {DemandKind.PLACE, DemandKind.LINE}
    assert "Freezer, which is out" in says
    other = work_of(asked(out=frozenset({"Freezer"})))
    found = solve(other, **within(3))
    assert found is not None
    assert "Freezer" not in found.plan.places.values()
    assert any("is in what is out" in one for one in faults(work, found.plan))


def test_too_late_a_start_is_named() -> None:
    _, kinds, says = refused(opens=DAY + 600)
    assert DemandKind.OPENS in kinds
    assert "nothing begins before Sat 10:00" in says
    assert "chill 12–48 h" in says


def test_nobody_who_may_do_it_is_named() -> None:
    _, kinds, says = refused(people=(("Junia", 1),))
    assert kinds == {DemandKind.HANDS}
    assert says == ["the hands of Junia (apprentice)"]


# Beside other orders


def test_people_and_places_of_another_order_are_left_to_it(night: tuple[Work, Outcome]) -> None:
    """The plan of one order put onto itself: nobody and nothing is left where that is."""
    work, found = night
    drawn = board(work, found.plan, FRIDAY)
    theirs = tuple(
        Claim(one.lane, one.since_min, one.until_min, "Another night", one.title, one.amount)
        for one in (*drawn.bars, *drawn.stays)
        if one.since_min < DAY  # of the evening before, so that the day itself is free
    )
    beside = replace(work, claims=theirs)
    assert any("at once" in one for one in faults(beside, found.plan))
    assert any("holds" in one for one in faults(beside, found.plan))
    own = solve(beside, **within(20))
    assert own is not None
    assert faults(beside, own.plan) == ()
    assert {one.order for one in board(beside, own.plan, FRIDAY).others} == {"Another night"}


def test_an_oven_another_order_has_at_another_heat_is_waited_for() -> None:
    oven = Station("oven", "Oven", "oven", 4, 15)
    own = Point("bake"), Point("bake", end=True)
    bake = Task("bake", "bake", 20, due_min=200)
    alone = Work((bake,), holds=(Hold("bake", ("oven",), *own, 2, 180),), places=(oven,))
    for at_c, ends in ((180, 200), (160, 65)):
        # Two of four trays, until the end: shared at one heat, else out by a quarter hour before.
        work = replace(alone, claims=(sent(oven, 80, 200, 2, at_c),), closes_min=200)
        found = solve(work, **within(5))
        assert found is not None
        assert found.plan.starts["bake"] + 20 == ends
        assert faults(work, found.plan) == ()
        late = replace(found.plan, starts={"bake": 120})
        assert bool(faults(work, late)) == (at_c == 160)
        assert [one.says for one in clashes(work, late, FRIDAY)] == (
            ["180 and 160 °C"] if at_c == 160 else []
        )


def test_what_another_order_has_beyond_all_there_is_leaves_nothing_and_breaks_nothing() -> None:
    freezer = Station("freezer", "Freezer", "freezer", 10)
    hold = Hold("cold", ("freezer",), Point("one"), Point("one", end=True), 3)
    work = Work((Task("one", "one", 10),), holds=(hold,), places=(freezer,), closes_min=100)
    full = replace(work, claims=(sent(freezer, 50, 100, 8), sent(freezer, 60, 90, 8)))
    found = solve(full, **within(5))
    assert found is not None
    assert found.plan.starts["one"] == 40
    (lane,) = (one for one in board(full, found.plan, FRIDAY).lanes if one.key == "freezer")
    assert (lane.says, lane.tracks) == ("10 of 10 l", 2)


def test_another_order_in_the_way_is_named() -> None:
    cook = Person("p", "P", 2, ((0, 100),))
    task = Task("one", "one", 40, 2, due_min=100)
    work = Work((task,), people=(cook,), claims=(sent(cook, 30, 70),), closes_min=100)
    every = demands(work, lambda kind, key: f"{kind} {key}")
    found = conflict(work, every, seconds=patience_s(5))
    assert found is not None
    assert "others Another night" in [one.says for one in found.demands]


def test_how_late_a_task_may_be_leaves_its_person_to_another_order() -> None:
    cook = Person("p", "P", 2, ((0, 200),))
    work = Work((Task("one", "one", 20, 2),), people=(cook,), claims=(sent(cook, 60, 90),))
    assert latest(work, Planned({"one": 10}, {"one": "p"}, {}))["one"] == 40


def test_what_fits_is_in_no_conflict() -> None:
    work = random_work(3, 1)
    assert conflict(work, demands(work, lambda kind, key: f"{kind} {key}")) is None


@settings(max_examples=8, deadline=None)
@given(st.integers(0, 10_000))
def test_conflicts_of_random_kitchens_are_the_least(seed: int) -> None:
    work = random_work(seed, 3)
    work = replace(work, opens_min=DAY + 480)
    every = demands(work, lambda kind, key: f"{kind} {key}")
    found = conflict(work, every)
    if found is None:
        assert fits(work, seconds=patience_s(10)) is not False
        return
    others = [one for one in every if one not in found.demands]
    assert fits(without(work, others), seconds=patience_s(10)) is False
    for one in found.demands if found.least else ():
        assert fits(without(work, [*others, one]), seconds=patience_s(10)) is True


# From an order to work


@pytest.mark.parametrize("slug", list(DEMO))
@pytest.mark.parametrize("count", [1, 7])
def test_every_demo_dessert_becomes_work_that_can_be_planned(slug: str, count: int) -> None:
    work = work_of(asked(order=((slug, count, None),)))
    assert {one.formula for one in work.tasks if one.sort is Sort.MAKE} >= {
        key for one in work.tasks for key in [one.formula] if one.sort is Sort.OVEN
    }
    served = [one for one in work.tasks if one.sort is Sort.FINISH]
    assert served
    assert all(one.minutes % 5 == 0 for one in work.tasks)
    assert loose(work) == []
    found = solve(work, **within(3))
    assert found is not None
    assert faults(work, found.plan) == ()


def loose(work: Work) -> list[str]:
    """Tasks that nothing waits for, though they are no service."""
    before = {one.before for one in work.links}
    return [one.title for one in work.tasks if one.key not in before and one.sort is not Sort.SERVE]


@settings(max_examples=15, deadline=None)
@given(desserts(), st.integers(1, 30), st.one_of(st.none(), st.integers(1, 4)))
def test_of_whatever_is_drawn_nothing_is_made_for_nothing(
    dessert: Dessert, count: int, owned: int | None
) -> None:
    line = AskedLine("a", Ordered("Test", dessert, count), "m", 1, owned)
    order = replace(asked(), lines=[line], book=TEST_BOOK, methods={})
    work = work_of(order)
    assert loose(work) == []
    keys = [one.key for one in work.holds]
    assert len(set(keys)) == len(keys)
    for one in work.holds:
        assert all(one.amount <= work.place[place].capacity for place in one.places)


def on_two_days(slug: str, days: int, *, owned: int | None = None) -> Commission:
    """A demo dessert for an evening, and for one some days after; somebody is in every day."""
    order = asked(((slug, 4, owned),), opens=0)
    shifts = tuple((DAY * at + 510, DAY * at + 21 * 60 + 30) for at in range(days + 2))
    waves = [Wave(SERVICE + DAY * at, 0.5, 1 + at, f"Day {at}", f"{at}") for at in (0, days)]
    people = [replace(one, shifts=shifts) for one in order.people]
    return replace(order, waves=waves, people=people)


@pytest.mark.parametrize("slug", list(DEMO))
@pytest.mark.parametrize("days", [1, 2, 3, 9])
def test_what_is_served_on_two_days_is_made_for_both(slug: str, days: int) -> None:
    work = work_of(on_two_days(slug, days))
    assert fits(work, seconds=patience_s(10))


def test_what_does_not_keep_to_the_next_day_is_made_for_each() -> None:
    """By hand: brown butter for the sponge of a week later is made for that, the caramel too."""
    near, far = planned(on_two_days("reedbed", 1)), planned(on_two_days("reedbed", 6))
    days = [
        {one.sheet.formula: [x.batch.day for x in one.batches] for one in way.made}
        for way in (near, far)
    ]
    assert days[0]["amber-glaze"] == [1]  # its method: chill 12-48 h
    assert days[0]["barley-mousse"] == [1, 2]  # it sets in a quarter of an hour
    assert all(made == [1, 7] for made in days[1].values())
    inner = next(one for one in far.made if one.sheet.formula == "barley-milk")
    assert [(x.batch.feeds[0].first, x.batch.feeds[0].count) for x in inner.batches] == [
        (1, 1),
        (2, 1),
    ]
    # As much as of both days together.
    for one, other in zip(near.made, far.made, strict=True):
        total = [sum(x.batch.wanted_g for x in made.batches) for made in (one, other)]
        assert total[0] == pytest.approx(total[1])


def test_a_dessert_that_takes_more_than_a_bowl_waits_for_every_batch() -> None:
    bowls = tuple(
        replace(one, least=0.0, most=600.0) if one.kind == "mixer" else one for one in KIT
    )
    work = work_of(asked((("reedbed", 1, None),), vessels=bowls))
    batches = [one.key for one in work.tasks if one.formula == "barley-mousse" and "/0" in one.key]
    assert len(batches) > 1
    ahead = {link.before for link in work.links if link.after.startswith("line 0/")}
    assert set(batches) <= ahead


def test_what_is_set_on_a_dessert_is_built_before() -> None:
    tart = replace(DEMO["beekeeper"], holds=(Held("dome", DEMO["foghorn"], 3),))
    order = asked()
    lines = [replace(order.lines[0], ordered=Ordered("Tart with domes", tart, 2), mold="x")]
    work = work_of(replace(order, lines=lines))
    assert loose(work) == []
    unmolded = next(one for one in work.tasks if one.title.startswith("Foghorn domes: unmold"))
    # 3 min begun; 2 min to unmold and 3 to spray, 0.3 of that for one portion, 3 on each of 2.
    assert unmolded.minutes == 15
    holder = next(one for one in work.tasks if "set on foghorn" in one.title.lower())
    assert any(
        (one.before, one.after) == (unmolded.key, holder.key) and one.least_min >= 120
        for one in work.links
    )
    found = solve(work, **within(3))
    assert found is not None
    assert faults(work, found.plan) == ()


def test_a_method_is_cut_where_hands_are_free() -> None:
    chill = Wait(WaitKind.CHILL, 60, 120)
    overnight = (OvenLeg(LegKind.OFF, minutes=600),)
    method = (
        Step("Rub.", stage="rub"),
        Step("Bloom.", wait=Wait(WaitKind.REST, 10, 30), stage="bloom"),
        Step("Rest.", wait=chill, stage="rest"),
        Step("Dry.", temperature_c=90, minutes=60, then=overnight, stage="dry"),
        Step("Break.", stage="break"),
        Step("Pour.", stage="pour"),
        Step("Freeze.", wait=Wait(WaitKind.FREEZE, 60, placed=True)),
    )
    found = blocks(method)
    assert [[step.stage for step in one.steps] for one in found] == [
        ["rub", "bloom", "rest"],
        ["dry"],
        ["break"],
    ]
    assert [one.oven for one in found] == [False, True, False]
    assert [one.wait for one in found] == [chill, None, None]
    assert blocks(()) == blocks(method[5:])


@pytest.mark.parametrize(
    ("wait", "least", "most", "state"),
    [
        (Wait(WaitKind.CHILL, 62, 120), 65, 120, Climate.CHILLED),
        (Wait(WaitKind.REST, 30), 30, None, Climate.ROOM),
        (Wait(WaitKind.FREEZE, 360, 840), 360, 20160, Climate.FROZEN),
        (Wait(WaitKind.THAW, 120, 180), 120, 180 + 1440, Climate.CHILLED),
    ],
)
def test_a_wait_has_its_least_and_most(
    wait: Wait, least: int, most: int | None, state: Climate
) -> None:
    found = link_of(wait, "a", "b")
    assert (found.least_min, found.most_min, found.state) == (least, most, state)


@given(st.integers(1, 200), st.lists(st.integers(0, 2), min_size=1, max_size=5), st.integers(1, 40))
def test_lots_are_the_line_no_larger_than_its_molds(count: int, days: list[int], most: int) -> None:
    waves = [Wave(at, 1 / len(days), day) for at, day in enumerate(sorted(days))]
    lots = lots_of(count, waves, most)
    assert sum(one.count for one in lots) == count
    assert all(0 < one.count <= most for one in lots)
    assert sum(number for one in lots for _, number in one.waves) == count
    for one in lots:
        assert sum(number for _, number in one.waves) == one.count
        assert len({waves[at].day for at, _ in one.waves}) == 1


def test_minutes_of_hands_are_told_how_they_come_about(night: tuple[Work, Outcome]) -> None:
    work, found = night
    by_hand = [one for one in work.tasks if one.skill is not None and one.minutes]
    for one in by_hand:
        assert one.why is not None
        assert one.why.value == one.minutes
        assert 0 <= one.minutes - sum(given.value for given in one.why.given) < 5
    caramel = next(one for one in by_hand if one.formula == "amber-caramel")
    # 3 lines x 0.75 min, 3 begun, 3 steps of 5.
    assert caramel.why is not None
    assert sum(given.value for given in caramel.why.given) == 20.25
    drawn = board(work, found.plan, FRIDAY)
    assert drawn.hands_why.value == sum(one.minutes for one in by_hand)
    assert drawn.hands == hours_words(drawn.hands_why.value)


def test_molds_are_busy_from_the_first_pour_until_unmolded(night: tuple[Work, Outcome]) -> None:
    work = night[0]
    holds = [one for one in work.holds if one.key.endswith("molds")]
    domes = next(one for one in holds if one.places == ("mold foghorn",))
    assert domes.amount == 4
    assert "main pour" in work.task[domes.since.task].title
    assert "unmold" in work.task[domes.until.task].title
    tart = next(one for one in holds if one.places == ("mold beekeeper",))
    assert work.task[tart.since.task].title == "Buckwheat paste: roll"


def test_what_caps_a_puff_is_cut_before_the_puff_bakes(night: tuple[Work, Outcome]) -> None:
    work, found = night
    bake = next(one for one in work.tasks if one.title == "Choux: bake")
    cap = next(one for one in work.tasks if one.formula == "craquelin")
    assert found.plan.starts[cap.key] + cap.minutes + 30 <= found.plan.starts[bake.key]


@pytest.mark.parametrize(
    ("amount", "parts"), [(3, [3]), (6, [6]), (10, [3, 3, 4]), (30, [3, 4, 4, 4, 3, 4, 4, 4])]
)
def test_more_than_one_oven_takes_is_in_several_at_once(amount: int, parts: list[int]) -> None:
    rooms = Rooms(places_of((Vessel("Large", "oven", 6), Vessel("Small", "oven", 4))))
    ends = Point("bake"), Point("bake", end=True)
    found = list(rooms.hold("bake", ["oven"], *ends, amount, at_c=180))
    assert [one.amount for one in found] == parts
    assert all(
        one.places == (("Large", "Small") if one.amount <= 4 else ("Large",)) for one in found
    )
    task = Task("bake", "Bake", 20)
    work = Work((task,), (), tuple(found), (), rooms.places, closes_min=100)
    assert fits(work, seconds=patience_s(5)) is (amount <= 10)


def test_waves_finished_at_once_take_less_of_hands_and_are_still_fresh(
    night: tuple[Work, Outcome],
) -> None:
    apart, _ = night
    work = work_of(asked(together=True))
    finished = [one for one in work.tasks if one.sort is Sort.FINISH]
    assert len(finished) == len({one.line for one in apart.tasks if one.line})
    # By hand: 3 min to begin, 6 clusters at 1, 72 wedges at 0.3: 30.6; by wave 3 + 2 + 7.2: 12.2.
    (reedbed,) = (one for one in finished if one.line == "line 0")
    assert reedbed.title.endswith("cut 72")
    assert reedbed.minutes == 35
    own = [one.minutes for one in apart.tasks if one.key.startswith("line 0/wave")]
    assert own == [15, 15, 15]
    assert hands_min(work) < hands_min(apart)
    found = solve(work, **within(10))
    assert found is not None
    assert faults(work, found.plan) == ()
    waves = [link for link in work.links if link.before == reedbed.key]
    assert [link.after for link in waves] == ["service/0", "service/1", "service/2"]


def waves_at(*minutes: tuple[int, str]) -> list[tuple[int, Wave]]:
    return [(at, Wave(minute, 1, 0, "", key)) for at, (minute, key) in enumerate(minutes)]


@pytest.mark.parametrize(
    ("minutes", "groups"),
    [
        ([(0, "a"), (10, "a"), (90, "a"), (91, "a")], ((0, 1, 2), (3,))),
        ([(0, "a"), (10, "b"), (20, "b")], ((0,), (1, 2))),
        ([], ()),
    ],
)
def test_only_waves_of_one_service_within_what_keeps_are_finished_at_once(
    minutes: list[tuple[int, str]], groups: tuple[tuple[int, ...], ...]
) -> None:
    assert finished_at_once(waves_at(*minutes), 90) == groups
    assert finished_at_once(waves_at(*minutes), -1) == tuple((at,) for at in range(len(minutes)))


@pytest.mark.parametrize(
    ("aims", "first"),
    [
        (USUAL_AIMS, False),
        ((Aim.HANDS, *USUAL_AIMS), True),
        ((*USUAL_AIMS, Aim.HANDS), False),
        ((Aim.LATE, Aim.HANDS), True),
        ((), False),
    ],
)
def test_hands_count_more_than_freshness_where_they_are_named_first(
    aims: tuple[Aim, ...], first: bool
) -> None:
    assert fewest_hands_first(aims) is first


def test_each_wave_is_finished_for_itself(night: tuple[Work, Outcome]) -> None:
    work, found = night
    waves = [one for one in work.tasks if one.key.startswith("line 0/wave")]
    assert [one.title for one in waves] == ["Reedbed: puffed barley clusters, cut 24"] * 3
    for at, one in enumerate(waves):
        end = found.plan.starts[one.key] + one.minutes
        assert SERVICE + 10 * at - 90 <= end <= SERVICE + 10 * at


# Bad input


def test_tasks_that_wait_for_one_another_are_refused() -> None:
    tasks = (Task("a", "Mousse", 5), Task("b", "Glaze", 5))
    with pytest.raises(CoreError, match="Mousse → Glaze"):
        Work(tasks, (Link("a", "b"), Link("b", "a")))


def test_least_above_most_is_refused() -> None:
    with pytest.raises(CoreError, match="at least 60"):
        Link("a", "b", 60, 30)


def test_links_and_holds_that_point_at_nothing_are_refused() -> None:
    task = Task("a", "A", 5)
    with pytest.raises(UnknownKey):
        Work((task,), (Link("a", "b"),))
    with pytest.raises(UnknownKey):
        Work((task,), holds=(Hold("h", ("oven",), Point("a"), Point("a", end=True)),))


def test_nobody_no_service_and_a_service_in_the_past_are_refused() -> None:
    order = asked()
    for change, words in (
        ({"people": []}, "nobody"),
        ({"waves": []}, "when is it served"),
        ({"opens_min": SERVICE + 60}, "later than now"),
    ):
        with pytest.raises(CoreError, match=words):
            replace(order, **change)


def test_ten_thousand_covers_are_refused_or_planned_and_never_hang() -> None:
    with pytest.raises(OutOfRange):
        work_of(asked(order=(("foghorn", 10_000, None),)))


# By the clock


def test_a_night_in_which_the_clock_is_changed_has_an_hour_less() -> None:
    # Europe/London goes forward at 1:00 on 29 March 2026.
    clock = Clock(date(2026, 3, 28), ZONE)
    assert clock.on(0, 20 * 60) == 20 * 60
    assert clock.on(1, 20 * 60) == 43 * 60
    assert clock.says(43 * 60) == "Sun 20:00"
    assert clock.minute(datetime(2026, 3, 29, 20, 0)) == 43 * 60  # noqa: DTZ001 - by the wall
    assert clock.on(0, 24 * 60) == 24 * 60


@pytest.mark.parametrize(
    ("minutes", "words"), [(0, "0 min"), (40, "40 min"), (60, "1 h"), (860, "14 h 20")]
)
def test_lengths_of_time_are_said(minutes: int, words: str) -> None:
    assert hours_words(minutes) == words


def test_how_late_a_task_may_be_misses_nothing(night: tuple[Work, Outcome]) -> None:
    work, found = night
    late = latest(work, found.plan)
    assert all(late[key] >= at for key, at in found.plan.starts.items())
    for link in work.links:
        moved = late[link.before] + work.task[link.before].minutes + link.least_min
        assert moved <= max(late[link.after], found.plan.starts[link.after])

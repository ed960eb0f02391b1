"""Timelines over the wire: asked for, made by a worker, stopped; conflicts, ways out, the day."""

from datetime import datetime, timedelta
from typing import Any

import pytest
from django.test import Client
from pytest_django import Settings

from fernbell.core.planning.timeline import USUAL_AIMS, Aim
from fernbell.server.desserts.models import Dessert
from fernbell.server.kitchens.models import Kitchen, Member
from fernbell.server.molds.models import Mold
from fernbell.server.planning import jobs, ways
from fernbell.server.planning.jobs import make_timeline
from fernbell.server.planning.models import Hand, Order, Timeline, Vessel
from fernbell.server.rows.clock import now
from ops.pace import patience_s
from tests.server.api import post, put
from tests.server.conftest import client_of

pytestmark = pytest.mark.sampled(2)
DAYS = 3


@pytest.fixture(autouse=True)
def short_searches(settings: Settings, monkeypatch: pytest.MonkeyPatch) -> None:
    """By work done: a machine under load has the time it needs."""
    settings.PLAN_SECONDS, settings.PLAN_EFFORT = patience_s(60), 0.05
    for name in ("NEAR_S", "CONFLICT_S", "WAY_S"):
        monkeypatch.setattr(jobs, name, patience_s(5 * getattr(jobs, name)))


def served_at(days: int = DAYS, hour: str = "20:15:00") -> str:
    return f"{(now() + timedelta(days=days)).date()}T{hour}"


def service(**more: Any) -> dict[str, Any]:
    return {"key": "s", "title": "Interval", "at": served_at(), "waves": 3, **more}


def change(client: Client, **timing: Any) -> dict[str, Any]:
    """The full night with something else of its timing."""
    row = client.get(f"/api/orders/{Order.objects.get().pk}").json()
    data = {
        "name": row["name"],
        "lines": timing.pop("lines", row["lines"]),
        "timing": {**row["timing"], "services": [service()], **timing},
    }
    answer = put(client, f"/api/orders/{row['id']}", {"revision": row["revision"], "data": data})
    assert answer.status_code == 200, answer.content
    return answer.json()


def ask(client: Client, *, near: bool = False) -> Any:
    return post(client, f"/api/timelines/of/{Order.objects.get().pk}", {"near": near})


def planned(client: Client, *, near: bool = False) -> dict[str, Any]:
    """Asked for, made as a worker makes it, and read."""
    asked = ask(client, near=near)
    assert asked.status_code == 202, asked.content
    make_timeline(timeline=asked.json()["id"])
    return client.get(f"/api/timelines/of/{Order.objects.get().pk}").json()


def bar(found: dict[str, Any], title: str) -> dict[str, Any]:
    return next(one for one in found["result"]["board"]["bars"] if one["title"].startswith(title))


def moment(found: dict[str, Any], minute: int) -> str:
    origin = datetime.fromisoformat(found["result"]["origin"])
    return (origin + timedelta(minutes=minute)).isoformat()


def test_the_full_night_is_planned_drawn_and_told(demo: Client, settings: Settings) -> None:
    settings.PLAN_EFFORT = 1.0
    change(demo)
    found = planned(demo)
    assert (found["state"], found["fresh"]) == ("done", True)
    board = found["result"]["board"]
    assert [one["title"] for one in board["lanes"][:3]] == ["Ottilie", "Bram", "Junia"]
    assert [one["hour"] for one in board["services"]] == ["20:15", "20:25", "20:35"]
    assert [one["folded"] for one in board["stretches"]] == [False, True, False]
    assert "nobody at work" in board["stretches"][1]["says"]
    assert all(one["gap"] <= 0.02 for one in found["result"]["reached"] if one["aim"])
    assert len(found["result"]["told"]) == len({one["task"] for one in board["bars"]}) + 3
    hours = [one["at_min"] for one in board["pulls"]]
    assert hours == sorted(hours)
    # Two trays of domes hold 16: 24 are filled twice, the mousse made for each.
    titles = {one["title"] for one in board["bars"]}
    assert {"White chocolate mousse 1: bloom, base, blend, fold"} <= titles
    assert {one for one in titles if one.startswith("Foghorn domes 13–24: main pour")}


def test_what_is_known_is_not_worked_out_twice(demo: Client) -> None:
    change(demo)
    first = planned(demo)
    assert ask(demo).json()["id"] == first["id"]
    assert Timeline.objects.count() == 1
    change(demo, aims=[Aim.FRESH])
    other = ask(demo).json()
    assert other["id"] != first["id"]
    # Another wish while it waits: only the last is made.
    change(demo, aims=[Aim.LATE])
    last = ask(demo).json()
    assert Timeline.objects.get(pk=other["id"]).state == "stopped"
    assert last["state"] == "queued"


def test_what_an_older_version_drew_is_asked_for_anew_and_breaks_nothing(demo: Client) -> None:
    change(demo, lines=Order.objects.get().lines[:1])
    planned(demo)
    row = Timeline.objects.get()
    del row.result["board"]["tight"]
    row.save()
    answer = demo.get(f"/api/timelines/of/{row.order_id}")
    assert (answer.status_code, answer.json()["result"]) == (200, None)
    assert demo.get("/api/timelines/next").status_code == 200
    assert planned(demo)["result"]["board"]["tight"] is not None
    assert Timeline.objects.count() == 2


def test_an_order_changed_since_is_said_to_be(demo: Client) -> None:
    change(demo)
    assert planned(demo)["fresh"]
    change(demo, days_ahead=2)
    assert not demo.get(f"/api/timelines/of/{Order.objects.get().pk}").json()["fresh"]


def test_a_search_is_stopped_and_keeps_its_best(demo: Client) -> None:
    change(demo)
    asked = ask(demo).json()
    stopped = post(demo, f"/api/timelines/{asked['id']}/stop").json()
    assert stopped["state"] == "stopped"
    make_timeline(timeline=asked["id"])
    assert Timeline.objects.get().result is None
    assert ask(demo).json()["id"] != asked["id"]


def finishing(found: dict[str, Any]) -> list[str]:
    """What is finished of the first line, wave by wave."""
    bars = found["result"]["board"]["bars"]
    return [one["title"] for one in bars if one["title"].startswith("Reedbed: puffed")]


@pytest.mark.sampled(3)
@pytest.mark.parametrize("hours", [2, 7, 20])
def test_an_order_of_today_is_planned_beside_another_or_told_why_not(
    demo: Client, hours: int
) -> None:
    """Whatever the other order holds since before this one opens."""
    change(demo)
    planned(demo)
    row = demo.get(f"/api/orders/{Order.objects.get().pk}").json()
    at = (now() + timedelta(hours=hours)).strftime("%Y-%m-%dT%H:%M:00")
    soon = service(at=at, waves=1)
    data = {
        "name": "Tonight",
        "lines": row["lines"][:1],
        "timing": {**row["timing"], "services": [soon]},
    }
    made = post(demo, "/api/orders", data)
    assert made.status_code == 201, made.content
    asked = post(demo, f"/api/timelines/of/{made.json()['id']}", {"near": False})
    assert asked.status_code == 202, asked.content
    make_timeline(timeline=asked.json()["id"])
    found = demo.get(f"/api/timelines/of/{made.json()['id']}").json()
    assert found["state"] == "done", found
    assert found["result"]["board"] or found["result"]["conflict"]


@pytest.mark.sampled(3)
def test_with_hands_counted_first_waves_are_finished_at_once(
    demo: Client, settings: Settings, monkeypatch: pytest.MonkeyPatch
) -> None:
    settings.PLAN_EFFORT = 0.05
    change(demo)
    usual = planned(demo)
    assert len(finishing(usual)) == 3
    aims = [Aim.HANDS, *USUAL_AIMS]
    change(demo, aims=aims)
    found = planned(demo)
    assert len(finishing(found)) == 1
    first = found["result"]["reached"][0]
    assert (first["aim"], first["gap"]) == (Aim.HANDS, 0.0)
    assert first["says"] == f"{found['result']['board']['hands']} of hands in all"
    # By hand it stays so; and where it does not fit at once, each wave is for itself.
    title = bar(found, "Amber caramel")["task"]
    change(demo, aims=aims, held={title: {"minutes": 40}})
    assert len(finishing(planned(demo, near=True))) == 1
    solve = jobs.solve

    def at_once_never(work: Any, **how: Any) -> Any:
        several = [one for one in work.links if one.after.startswith("service/")]
        lines = {one.before for one in several}
        return None if len(several) > len(lines) else solve(work, **how)

    monkeypatch.setattr(jobs, "solve", at_once_never)
    change(demo, aims=aims)
    found = planned(demo)
    assert len(finishing(found)) == 3
    first = found["result"]["reached"][0]
    assert 0 < first["gap"] < 0.1


@pytest.mark.sampled(3)
def test_too_few_molds_too_little_time_and_a_way_out_that_is_taken(
    demo: Client, monkeypatch: pytest.MonkeyPatch
) -> None:
    monkeypatch.setattr(jobs, "WAY_S", 20.0)
    Mold.objects.filter(name="Domes 8 cm").update(owned=1)
    change(demo, days_ahead=0, aims=[Aim.LATE])
    found = planned(demo)
    conflict = found["result"]["conflict"]
    assert conflict["least"]
    says = [one["says"] for one in conflict["demands"]]
    assert any(one.startswith("service ") for one in says)
    assert conflict["left_out"] in says
    lanes = {one["key"] for one in conflict["board"]["lanes"]}
    assert conflict["clashes"]
    assert {one["lane"] for one in conflict["clashes"]} <= lanes
    assert conflict["ways"]
    way = next(one for one in conflict["ways"] if one["says"] == "Begin a day earlier")
    assert way["timing"]["days_ahead"] == 1
    row = Order.objects.get()
    data = {"name": row.name, "lines": row.lines, "timing": way["timing"]}
    entry = {"revision": row.revision, "data": data}
    assert put(demo, f"/api/orders/{row.pk}", entry).status_code == 200
    taken = planned(demo)
    assert taken["result"]["board"]["first"] == way["first"]


def test_where_nobody_is_in_so_late_somebody_may_stay(
    demo: Client, monkeypatch: pytest.MonkeyPatch
) -> None:
    """By hand: cut at most 90 min ahead of 23:20 is 21:50, and the last leave at 21:30."""
    monkeypatch.setattr(jobs, "WAY_S", 20.0)
    lines = Order.objects.get().lines[:1]
    change(demo, lines=lines, services=[service(at=served_at(hour="23:20:00"), waves=1)])
    conflict = planned(demo)["result"]["conflict"]
    assert any(one["kind"] == "hours" for one in conflict["demands"])
    (way,) = (one for one in conflict["ways"] if one["says"] == "Everybody stays an hour longer")
    assert way["timing"]["hours_later"] == 1
    assert "Everybody comes an hour earlier" in conflict["tried"]


@pytest.mark.parametrize("kind", ["freezer", "oven", "mixer", "stove", "fridge"])
def test_equipment_that_is_out_is_in_no_plan(demo: Client, kind: str) -> None:
    own = Vessel.objects.filter(kind=kind).first()
    assert own is not None
    out = "Oven 1, 6 trays" if own.name == "Oven, 6 trays" else own.name
    change(demo, out=[out], lines=Order.objects.get().lines[:1])
    found = planned(demo)
    assert out in found["stations"]
    lanes = {one["key"] for one in (found["result"]["board"] or {"lanes": []})["lanes"]}
    assert out not in lanes
    assert found["result"]["board"] or found["result"]["conflict"]


def test_a_way_out_that_cannot_be_is_left_and_the_others_are_told(demo: Client) -> None:
    """Twenty are borrowed already, and there is no later day: both were taken for granted once."""
    out = ["Blast freezer", "Freezer"]
    lines = Order.objects.get().lines[:1]
    change(demo, lines=lines, out=out, borrowed=["hands"] * 20)
    found = planned(demo)
    assert (found["state"], found["result"]["conflict"]["ways"]) == ("done", [])
    last = service(at="9999-12-31T23:59:00", waves=1)
    change(demo, lines=lines, services=[last])
    found = planned(demo)
    assert found["state"] == "done"
    assert found["result"]["conflict"]


def test_a_fault_of_ours_ends_it_and_is_said(demo: Client, monkeypatch: pytest.MonkeyPatch) -> None:
    change(demo)
    asked = ask(demo)

    def fails(*_: Any, **__: Any) -> None:
        raise ZeroDivisionError

    monkeypatch.setattr(jobs, "solve", fails)
    with pytest.raises(ZeroDivisionError):
        make_timeline(timeline=asked.json()["id"])
    found = demo.get(f"/api/timelines/of/{Order.objects.get().pk}").json()
    assert found["state"] == "failed"
    assert "The order is as it was" in found["result"]["refused"]


def test_who_is_off_does_nothing(demo: Client) -> None:
    bram = Hand.objects.get(name="Bram")
    change(demo, off=[str(bram.pk)], lines=Order.objects.get().lines[:1])
    lanes = planned(demo)["result"]["board"]["lanes"]
    assert [one["title"] for one in lanes if one["kind"] == "person"] == ["Ottilie", "Junia"]


def test_a_task_moved_by_hand_stays_and_what_moved_is_told(demo: Client) -> None:
    change(demo)
    found = planned(demo)
    caramel = bar(found, "Amber caramel")
    held = {caramel["task"]: {"at": moment(found, caramel["since_min"] - 45)}}
    change(demo, held=held)
    again = planned(demo, near=True)
    assert bar(again, "Amber caramel")["since_min"] == caramel["since_min"] - 45
    assert bar(again, "Amber caramel")["held"]
    moved = again["result"]["moved"]
    assert caramel["title"] in [one["title"] for one in moved]
    assert len(moved) < 20


def test_what_is_done_stays_what_failed_is_made_again(
    demo: Client, monkeypatch: pytest.MonkeyPatch
) -> None:
    change(demo)
    found = planned(demo)
    first = min(found["result"]["board"]["bars"], key=lambda one: one["since_min"])
    # Begun an hour sooner than it has to be, there is time to make it again.
    held = {first["task"]: {"at": moment(found, first["since_min"] - 60)}}
    change(demo, held=held)
    found = planned(demo, near=True)
    first = bar(found, first["title"])
    begun = datetime.fromisoformat(moment(found, first["since_min"]))
    later = datetime.fromisoformat(moment(found, first["until_min"]))
    marks = {
        first["task"]: {
            "mark": "failed",
            "since": begun.isoformat(),
            "until": later.isoformat(),
            "by": first["lane"],
        }
    }
    change(demo, held={}, marks=marks)
    for module in ("timelines", "night"):
        monkeypatch.setattr(f"fernbell.server.planning.{module}.now", lambda: later, raising=False)
    again = planned(demo, near=True)
    twice = [one for one in again["result"]["board"]["bars"] if one["task"] == f"{first['task']}~"]
    assert twice
    assert all(one["since_min"] >= first["until_min"] for one in twice)
    assert bar(again, first["title"])["mark"] == "failed"


def test_what_is_said_of_a_task_is_in_the_timing(demo: Client) -> None:
    path = f"/api/timelines/of/{Order.objects.get().pk}/became"
    change(demo)
    assert post(demo, path, {"task": "x", "what": "done"}).status_code == 404
    found = planned(demo)
    first = min(found["result"]["board"]["bars"], key=lambda one: one["since_min"])
    told = post(demo, path, {"task": first["task"], "what": "late"}).json()
    long = first["until_min"] - first["since_min"]
    assert told["held"][first["task"]]["minutes"] == long + 15
    assert not Order.objects.get().timing["marks"]
    done = post(demo, path, {"task": first["task"], "what": "done"}).json()
    assert done["marks"][first["task"]]["mark"] == "done"
    change(demo, marks=done["marks"])
    back = post(demo, path, {"task": first["task"], "what": None}).json()
    assert back["marks"] == {}
    wrong = post(demo, path, {"task": "nothing", "what": "done"})
    assert wrong.status_code == 422
    assert wrong.json()["errors"][0]["field"] == "task"


def test_lines_of_one_service_are_made_for_that_alone(demo: Client) -> None:
    lines = [dict(one) for one in Order.objects.get().lines[:2]]
    lines[0]["service"] = "late"
    lines[1]["service"] = "early"
    services = [
        service(key="early", title="Friday", waves=1),
        service(key="late", title="Saturday", at=served_at(DAYS + 1), waves=2),
    ]
    change(demo, lines=lines, services=services)
    found = planned(demo)["result"]["board"]
    assert [one["title"] for one in found["services"]] == [
        "Friday",
        "Saturday, wave 1",
        "Saturday, wave 2",
    ]
    ends = {one["title"]: one["until_min"] for one in found["bars"] if one["sort"] == "finish"}
    by_day = {title: end // 1440 for title, end in ends.items()}
    assert {day for title, day in by_day.items() if title.startswith("Reedbed")} == {2}
    assert {day for title, day in by_day.items() if title.startswith("Foghorn")} == {1}


def test_the_strip_has_the_next_service_and_a_dessert_when_it_begins(demo: Client) -> None:
    change(demo)
    found = planned(demo)
    told = demo.get("/api/timelines/next").json()
    assert [one["title"] for one in told] == ["Interval"]
    assert told[0]["first"] == found["result"]["board"]["first"]
    assert told[0]["left"].endswith(("h", *[f"{one:02d}" for one in range(60)]))
    dessert = Dessert.objects.get(name="Reedbed").pk
    starts = demo.get(f"/api/timelines/start-by/{dessert}").json()
    assert [one["start"] for one in starts] == [found["result"]["starts"]["reedbed"]]
    nothing = Dessert.objects.get(name="Interval cups").pk
    assert demo.get(f"/api/timelines/start-by/{nothing}").json() == []


# Bad input


@pytest.mark.parametrize(
    ("timing", "field", "words"),
    [
        ({"services": []}, "timing.services", "at least one service"),
        ({"services": [service(at="2020-01-01T20:00:00")]}, "timing.services.0.at", "It is over"),
    ],
)
def test_what_cannot_be_planned_names_its_field(
    demo: Client, timing: dict[str, Any], field: str, words: str
) -> None:
    change(demo, **timing)
    answer = ask(demo)
    assert answer.status_code == 422
    assert answer.json()["errors"][0]["field"] == field
    assert words in answer.json()["detail"]
    assert not Timeline.objects.exists()


@pytest.mark.parametrize(
    ("timing", "words"),
    [
        ({"services": [service(waves=0)]}, "waves"),
        ({"services": [service(), service()]}, "services with keys of their own"),
        ({"days_ahead": 15}, "days"),
        ({"not_before": "25:00"}, "not before"),
        ({"aims": ["late", "late"]}, "aims"),
        ({"held": {"a": {"minutes": 2}}}, "minutes"),
        ({"off": ["00000000-0000-4000-8000-000000000000"]}, "Nobody of this kitchen"),
        (
            {"marks": {"a": {"mark": "done", "since": "2026-01-02T10:00Z", "until": "2026-01-02"}}},
            "until",
        ),
    ],
)
def test_a_wrong_timing_is_not_saved(demo: Client, timing: dict[str, Any], words: str) -> None:
    row = Order.objects.get()
    data = {"name": row.name, "lines": row.lines, "timing": {**row.timing, **timing}}
    answer = put(demo, f"/api/orders/{row.pk}", {"revision": row.revision, "data": data})
    assert answer.status_code == 422
    assert words.lower() in answer.content.decode().lower()
    assert Order.objects.get().timing == row.timing


def test_no_hands_at_all_is_said(demo: Client) -> None:
    change(demo)
    Hand.objects.all().delete()
    answer = ask(demo)
    assert answer.status_code == 422
    assert answer.json()["errors"][0]["field"] == "hands"


def test_somebody_who_comes_when_they_leave_is_refused(demo: Client) -> None:
    entry = {"name": "Ghost", "comes": "08:00", "leaves": "08:00"}
    answer = post(demo, "/api/hands", entry)
    assert answer.status_code == 422
    assert "leaves" in answer.content.decode().lower()


@pytest.mark.sampled(3)
def test_ten_thousand_covers_are_answered(demo: Client, monkeypatch: pytest.MonkeyPatch) -> None:
    monkeypatch.setattr(jobs, "CONFLICT_S", 0.5)
    monkeypatch.setattr(ways, "MOST_WAYS", 1)
    monkeypatch.setattr(ways, "MOST_DRAWN", 0)
    line = {**Order.objects.get().lines[0], "count": 10_000}
    change(demo, lines=[line])
    answer = ask(demo)
    assert answer.status_code in (202, 422)
    if answer.status_code == 202:
        make_timeline(timeline=answer.json()["id"])
        found = demo.get(f"/api/timelines/of/{Order.objects.get().pk}").json()
        assert found["state"] in ("done", "failed")
        assert found["result"]["conflict"] or found["result"]["refused"]


def test_an_hour_is_lost_in_the_night_the_clock_goes_forward(demo: Client) -> None:
    Kitchen.objects.update(time_zone="Europe/London")
    member = Member.objects.get(user__username="demo-ottilie")
    # 29 March 2048 is the last Sunday of its month.
    change(client_of(member), services=[service(at="2048-03-29T20:15:00", waves=1)])
    found = planned(client_of(member))
    night = next(one for one in found["result"]["board"]["stretches"] if one["folded"])
    ticks = found["result"]["board"]["ticks"]
    before = max(one["at_min"] for one in ticks if one["at_min"] < night["since_min"])
    after = min(one["at_min"] for one in ticks if one["at_min"] >= night["until_min"])
    on_the_wall = {one["at_min"]: int(one["says"][:2]) for one in ticks}
    hours = on_the_wall[after] + 24 - on_the_wall[before]
    assert (after - before) / 60 == hours - 1


def another_night(lines: int = 2) -> Order:
    """A second order of the same evening."""
    first = Order.objects.get()
    own = [dict(one) for one in first.lines[:lines]]
    return Order.objects.create(
        kitchen=first.kitchen, name="Another night", lines=own, timing=first.timing
    )


def of(client: Client, order: Order) -> dict[str, Any]:
    return client.get(f"/api/timelines/of/{order.pk}").json()["result"]["board"]


def ask_of(client: Client, order: Order) -> str:
    answer = post(client, f"/api/timelines/of/{order.pk}", {"near": False})
    assert answer.status_code == 202, answer.content
    key: str = answer.json()["id"]
    return key


def at_once(one: dict[str, Any], other: dict[str, Any]) -> list[str]:
    """What two boards ask of the same people at the same time, and of stores too small for both."""
    people = {lane["key"] for lane in one["lanes"] if lane["kind"] in ("person", "mixer")}
    return [
        f"{a['title']} and {b['title']}"
        for a in one["bars"]
        for b in other["bars"]
        if a["lane"] == b["lane"] and a["lane"] in people
        if a["since_min"] < b["until_min"] and b["since_min"] < a["until_min"]
    ]


@pytest.mark.sampled(3)
def test_two_orders_of_one_night_share_hands_and_places(demo: Client) -> None:
    change(demo, days_ahead=2)
    first, second = Order.objects.get(), another_night()
    make_timeline(timeline=ask_of(demo, first))
    make_timeline(timeline=ask_of(demo, second))
    night, another = of(demo, first), of(demo, second)
    assert night["others"] == []
    assert {one["order"] for one in another["others"]} == {"Full night, 96 covers"}
    assert at_once(night, another) == []
    # What is planned meanwhile for the other makes this one another question.
    known = str(first.timelines.get().pk)
    assert ask_of(demo, first) != known
    # Put away, or not served any more, it has nothing.
    for gone in ({"archived_at": now()}, {"archived_at": None, "timing": {"services": []}}):
        Order.objects.filter(pk=second.pk).update(**gone)
        make_timeline(timeline=ask_of(demo, first))
        assert of(demo, first)["others"] == []


@pytest.mark.sampled(3)
def test_what_is_planned_meanwhile_for_another_order_is_made_room_for(
    demo: Client, monkeypatch: pytest.MonkeyPatch
) -> None:
    change(demo, days_ahead=2)
    first, second = Order.objects.get(), another_night()
    asked = [ask_of(demo, first), ask_of(demo, second)]
    solve, begun = jobs.solve, []

    def meanwhile(*args: Any, **how: Any) -> Any:
        found = solve(*args, **how)
        begun.append(how)
        if len(begun) == 1:
            make_timeline(timeline=asked[1])
        return found

    monkeypatch.setattr(jobs, "solve", meanwhile)
    make_timeline(timeline=asked[0])
    assert at_once(of(demo, first), of(demo, second)) == []
    assert begun[-1]["keep"]


def test_a_timeline_of_another_kitchen_is_not_there(demo: Client, stranger: Member) -> None:
    change(demo)
    asked = ask(demo).json()
    other = client_of(stranger)
    assert post(other, f"/api/timelines/{asked['id']}/stop").status_code == 404
    assert other.get(f"/api/timelines/of/{Order.objects.get().pk}").status_code == 404
    assert other.get("/api/timelines/next").json() == []

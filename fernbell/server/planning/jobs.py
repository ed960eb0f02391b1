"""What a worker does: make a timeline, telling how far it is, and take a request to stop."""

import threading
from collections.abc import Iterator
from contextlib import contextmanager
from functools import cached_property
from os import cpu_count
from time import monotonic
from typing import Any

from django.conf import settings
from django.db import connection
from procrastinate.contrib.django import app

from fernbell.core.errors import CoreError
from fernbell.core.planning.timeline import (
    Halt,
    Mark,
    Outcome,
    Planned,
    conflict,
    demand_words,
    demands,
    faults,
    fewest_hands_first,
    solve,
)
from fernbell.server.kitchens.models import Member
from fernbell.server.planning.models import Timeline
from fernbell.server.planning.night import Night, beside_others, night_of
from fernbell.server.planning.outcome import plan_of, result_of
from fernbell.server.planning.schemas import OrderIn
from fernbell.server.planning.timing_schemas import ConflictOut, ProgressOut, ResultOut
from fernbell.server.planning.ways import explained
from fernbell.server.problems import Refused
from fernbell.server.rows.clock import in_zone

NEAR_S, CONFLICT_S, WAY_S = 4.0, 5.0, 3.0
"""How long is searched at most: for a plan near another, in one try of each [s]."""
_FAULT = "Planning it failed, which it should not. The order is as it was; the log says more."
_TELLS_EVERY_S, _LOOKS_EVERY_S = 0.2, 0.3


@app.task(queue="plans", name="timeline")
def make_timeline(timeline: str) -> None:
    """Make a timeline; one that is made already, or was stopped before it began, is left."""
    row = Timeline.objects.select_related("kitchen").filter(pk=timeline).first()
    if row is None or row.state not in ("queued", "running"):
        return
    own = Member.objects.select_related("kitchen", "user")
    member = own.filter(kitchen=row.kitchen, user=row.user).first()
    if member is None:
        _end(row, "failed", None)
        return
    row.state = "running"
    row.save(update_fields=["state"])
    with in_zone(row.kitchen.time_zone):
        try:
            making = _Making(row, member)
            with making.watched():
                state, result = making.whole()
            _end(row, state, result)
        except (Refused, CoreError) as refusal:
            words = refusal.detail if isinstance(refusal, Refused) else refusal.sentence()
            _end(row, "failed", ResultOut(origin=row.now_at, refused=words))
        except Exception:
            # It is a fault of ours, and stands in the worker's log; nobody waits for it.
            _end(row, "failed", ResultOut(origin=row.now_at, refused=_FAULT))
            raise


def _end(row: Timeline, state: str, result: ResultOut | None) -> None:
    row.state = state
    row.result = result.model_dump(mode="json") if result else None
    row.save(update_fields=["state", "result"])


Made = tuple[str, ResultOut]


class _Making:
    """One timeline in the making."""

    def __init__(self, row: Timeline, member: Member) -> None:
        self.row = row
        self.member = member
        self.halt = Halt()
        self.entry = OrderIn.model_validate(row.asked)
        first = fewest_hands_first(self.entry.timing.aims)
        self.together = self._kept.get("together", first) if row.near else first
        self.night = self._night()
        self.begun = monotonic()
        self.answers = 0
        self.says = ""
        self.found: Outcome | None = None
        self.unfit: ResultOut | None = None
        self.news = threading.Event()

    def whole(self) -> Made:
        """From the search to a plan that was checked, or to why there is none."""
        before = self._before
        keep = self.row.near and before is not None
        found = self._solved(before, keep=keep)
        if found is None and self.together:
            # It does not fit with as few hands; then each wave for itself.
            self.together = False
            self.night = self._night()
            found = self._solved(before, keep=keep)
        if found is None:
            return self._why()
        said = faults(self.night.work, found.plan)
        if said:
            raise AssertionError(f"a plan that does not hold: {said[0]}")
        beside = beside_others(self.member, self.night)
        if faults(beside.work, found.plan):
            # Another order was planned meanwhile, and has what this one has.
            self.night = beside
            found = self._solved(found.plan, keep=True)
            if found is None:
                return self._why()
        return ("stopped" if found.stopped else "done"), self._result(found)

    def _night(self) -> Night:
        own = self.member, self.row.order_id, self.entry, self.row.now_at
        return night_of(*own, together=self.together)

    @contextmanager
    def watched(self) -> Iterator[None]:
        """While this lasts, what is found is told, and a request to stop reaches the search.

        By a thread of its own: the solver tells of its answers in threads that come and go.
        """
        over = threading.Event()

        def look() -> None:
            try:
                while not over.is_set():
                    self.news.wait(_LOOKS_EVERY_S)
                    self._tell()
                    if Timeline.objects.filter(pk=self.row.pk, stop_asked=True).exists():
                        self.halt.ask()
                    over.wait(_TELLS_EVERY_S)
            finally:
                connection.close()

        watch = threading.Thread(target=look, daemon=True)
        watch.start()
        try:
            yield
        finally:
            over.set()
            self.news.set()
            watch.join()

    def _tell(self) -> None:
        """What is new, if anything is."""
        if not self.news.is_set():
            return
        self.news.clear()
        seconds = round(monotonic() - self.begun, 1)
        progress = ProgressOut(says=self.says, answers=self.answers, seconds=seconds)
        told = {"progress": progress.model_dump(mode="json")}
        result = self._result(self.found) if self.found else self.unfit
        if result:
            told["result"] = result.model_dump(mode="json")
        Timeline.objects.filter(pk=self.row.pk, state="running").update(**told)

    def _hear(self, found: Outcome) -> None:
        """A better answer."""
        self.answers += 1
        self.found, self.says = found, _aim(found)
        self.news.set()

    def _solved(self, before: Planned | None, *, keep: bool) -> Outcome | None:
        try:
            return solve(
                self.night.work,
                seconds=NEAR_S if keep else settings.PLAN_SECONDS,
                effort=settings.PLAN_EFFORT,
                workers=max(1, cpu_count() or 1),
                near=before,
                keep=keep,
                tell=self._hear,
                halt=self.halt,
            )
        except TimeoutError:
            words = "No plan was found in this time, nor a reason why there is none."
            raise Refused(words) from None

    @cached_property
    def _kept(self) -> dict[str, Any]:
        """The last plan of the order, as it is kept; nothing where there is none."""
        made = self.row.order.timelines.exclude(result=None).exclude(pk=self.row.pk)
        return next((x for x in made.values_list("result__plan", flat=True)[:3] if x), {})

    @cached_property
    def _before(self) -> Planned | None:
        return plan_of(self._kept, self.night.clock) if self._kept else None

    def _result(self, found: Outcome) -> ResultOut:
        marks: dict[str, Mark] = {key: one.mark for key, one in self.entry.timing.marks.items()}
        return result_of(self.night, found, self._before, marks)

    def _why(self) -> Made:
        """Nothing fits: the demands in conflict, and what helps."""
        night = self.night
        self.found, self.says = None, "Nothing fits; looking for the reason"
        self.news.set()
        every = demands(night.work, demand_words(night.commission, night.work, night.clock))
        found = conflict(night.work, every, seconds=CONFLICT_S, halt=self.halt)
        if found is None:
            raise Refused("Nothing fits, and the reason was not found in this time.")
        whole = self._hear_of(
            explained(
                self.member,
                self.entry,
                night,
                found,
                self.row.now_at,
                seconds=WAY_S,
                halt=self.halt,
                tell=self._hear_of,
            )
        )
        return ("stopped" if self.halt.asked else "done"), whole

    def _hear_of(self, said: ConflictOut) -> ResultOut:
        """More is known of why nothing fits."""
        self.says = "Nothing fits; trying ways out"
        looks = dict(self.night.looks)
        self.unfit = ResultOut(origin=self.night.clock.origin, looks=looks, conflict=said)
        self.news.set()
        return self.unfit


def _aim(found: Outcome) -> str:
    """What is worked on."""
    aim = found.reached[-1].aim if found.reached else None
    return f"on: {aim}" if aim else "on: everything as late as it goes"

"""From what a chef asks to the work there is: tasks, waits, people and places."""

from collections.abc import Mapping, Sequence
from dataclasses import replace

from fernbell.core.planning.needs import on_trays
from fernbell.core.planning.order import Ordered, PlannedOrder, plan_order
from fernbell.core.planning.timeline.asked import AskedLine, Commission
from fernbell.core.planning.timeline.building import build
from fernbell.core.planning.timeline.lots import at_once, in_lots_of_days, waves_of
from fernbell.core.planning.timeline.making import keeps_of, make
from fernbell.core.planning.timeline.places import Rooms, places_of
from fernbell.core.planning.timeline.work import Aim, Work


def planned(asked: Commission) -> PlannedOrder:
    """The order of a chef in its batches.

    Args:
        asked: order, services and kitchen [Commission].
    Returns:
        every formula once, in batches [g].
    Raises:
        CoreError: as `plan_order` refuses it.
    Source:
        mass balance; counting.
    """
    return plan_order(
        [_in_lots(one, asked) for one in asked.lines],
        asked.book,
        asked.vessels,
        jobs=asked.jobs,
        sets_min=asked.sets_min,
        methods=asked.methods,
        keeps_min=keeps_of(asked.book, asked.methods, asked.sets_min),
    )


def work_of(asked: Commission) -> Work:
    """Everything that is done for an order, from the first weighing to the service.

    Args:
        asked: order, services and kitchen [Commission].
    Returns:
        tasks, what passes between them, and what they hold [min].
    Raises:
        CoreError: as `plan_order` refuses it.
    Source:
        methods and the building of the desserts; where they name nothing, common practice.
    """
    order = planned(asked)
    rooms = Rooms([replace(x, out=x.key in asked.out) for x in places_of(asked.vessels)])
    made = make(
        order.made, _kinds(asked), asked.methods, asked.sets_min, _trays(asked, order), rooms
    )
    built = build(
        asked.lines, order.order.each, order.made, asked.waves, made, rooms, together=asked.together
    )
    return Work(
        tasks=(*made.tasks, *built.tasks),
        links=(*made.links, *built.links),
        holds=(*made.holds, *built.holds),
        people=tuple(asked.people),
        places=(*rooms.places, *built.molds.values()),
        aims=asked.aims,
        opens_min=asked.opens_min,
        closes_min=max(one.at_min for one in asked.waves),
    )


def hands_min(work: Work) -> int:
    """What a work takes of hands.

    Args:
        work: tasks [Work].
    Returns:
        all of it, whoever does it [min].
    Source:
        the sum over its tasks.
    """
    return sum(one.minutes for one in work.tasks if one.skill is not None)


def fewest_hands_first(aims: Sequence[Aim]) -> bool:
    """Whether waves are rather finished at once: hand time matters more than freshness.

    Args:
        aims: first to last, shape (n,) [Aim].
    Returns:
        whether they are, where that fits [1].
    Source:
        definition.
    """
    own = [one for one in aims if one in (Aim.HANDS, Aim.FRESH)]
    return own[:1] == [Aim.HANDS]


def _in_lots(line: AskedLine, asked: Commission) -> Ordered:
    """Made as often as its molds are filled, and for each day."""
    own = [wave for _, wave in waves_of(line, asked.waves)]
    return in_lots_of_days(line.ordered, own, at_once(line))


def _kinds(asked: Commission) -> Mapping[str, str]:
    return {one.key: one.kind for one in asked.book.formulas}


def _trays(asked: Commission, order: PlannedOrder) -> Mapping[str, float]:
    needs = on_trays(order.order.each, order.order.batches, asked.vessels, asked.methods)
    return {
        key: need.room_per_g for key, own in needs.items() for need in own if need.kind == "oven"
    }

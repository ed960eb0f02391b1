"""People who are alike for a plan: it asks how many of them are busy, and names them afterwards."""

from collections.abc import Iterable, Mapping

from fernbell.core.planning.timeline.work import Person, Work


def teams_of(work: Work) -> dict[str, tuple[Person, ...]]:
    """People of one skill and the same hours together; alone who is asked for by name, or busy
    with another order.

    Args:
        work: tasks and people [Work].
    Returns:
        by the key of the first of them, shape (n,) [Person].
    Source:
        definition: a plan that fits some of them fits them in any order.
    """
    named = {one.by for one in work.tasks if one.by is not None} | work.claims_of.keys()
    found: dict[object, list[Person]] = {}
    for one in work.people:
        alike: object = one.key if one.key in named else (one.skill, one.shifts)
        found.setdefault(alike, []).append(one)
    return {own[0].key: tuple(own) for own in found.values()}


def shared_out(spans: Mapping[str, tuple[int, int]], team: Iterable[Person]) -> dict[str, str]:
    """Which of a team does which task; never more of them are at work than there are.

    Args:
        spans: by task, from and until [min].
        team: who does them, shape (n,) [Person].
    Returns:
        by task, the key of a person; of those that are free whoever has been so the least [key].
    Source:
        interval coloring: in the order of their beginnings, each by one that is free.
    """
    free = {one.key: -(10**9) for one in team}
    found = {}
    for task, (since, until) in sorted(spans.items(), key=lambda one: one[1]):
        who = max((one for one, at in free.items() if at <= since), key=lambda one: free[one])
        free[who] = until
        found[task] = who
    return found

"""Nothing core answers moves unless somebody means it: a pin, not a check.

The answers were core's own, written down before solids, regions and readings were rebuilt. Who
means to change one writes them anew with `python -m tests.core.answers`, and says why.
"""

from tests.core.answers.asked import everything, in_brief, kept


def test_no_answer_moved() -> None:
    was, now = kept(), {name: in_brief(answer) for name, answer in everything()}
    assert now.keys() == was.keys()
    moved = {
        f"{name}: {key}": (was[name].get(key), answer.get(key))
        for name, answer in now.items()
        for key in {*was[name], *answer}
        if was[name].get(key) != answer.get(key)
    }
    assert moved == {}

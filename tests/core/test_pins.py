"""Every figure of core is what it was: a pin of the code's own digits, not a check.

What the figures ought to be is checked elsewhere, against sources outside the project. Here an
unmeant change of a band, a dose or a coefficient fails with its name. Who means it runs
`python -m tests.core.pins` and says why.
"""

import pytest

from fernbell.starter.practice import PRACTICE
from tests.core.pins import figures, pinned


def test_no_figure_moved() -> None:
    was, now = pinned(), figures()
    moved = {
        name: (was.get(name), now.get(name))
        for name in {*was, *now}
        if was.get(name) != now.get(name)
    }
    assert moved == {}


# The walk itself: figures known to stand in each corner of core are among those pinned.
@pytest.mark.parametrize(
    "name",
    [
        "starter.practice:PRACTICE[seal depth].value",
        "starter.practice:PRACTICE[individual below].value",
        "heat.solutions:SOLUTES[xylitol].norrish_k",
        "heat.solutions:SOLUTES[salt].particles",
        "formulas.windows:WINDOWS[mousse][gelatin-water].least",
        "families.asides:KEEPS[2][0]",
        "pantry.gelatin:REFERENCE_BLOOM",
    ],
)
def test_a_figure_of_every_room_is_pinned(name: str) -> None:
    assert name in pinned()


def test_the_table_of_practice_says_what_each_figure_is() -> None:
    for name, one in PRACTICE.items():
        assert name == name.lower() or "°C" in name
        assert one.unit
        assert len(one.says) > 5
        assert one.source.endswith(one.status)

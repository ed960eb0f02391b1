"""The timeline: backwards from service, through ovens, freezers, molds and hands."""

from fernbell.core.planning.timeline.asked import AskedLine, Commission, Wave
from fernbell.core.planning.timeline.board import Board
from fernbell.core.planning.timeline.clashing import Clash, as_if, clashes, shown_without
from fernbell.core.planning.timeline.clock import Clock, hours_words
from fernbell.core.planning.timeline.conflict import (
    Conflict,
    Demand,
    DemandKind,
    conflict,
    demands,
    without,
)
from fernbell.core.planning.timeline.derive import fewest_hands_first, hands_min, work_of
from fernbell.core.planning.timeline.drawing import board
from fernbell.core.planning.timeline.easing import Easing, EasingKind, ways_out
from fernbell.core.planning.timeline.edits import (
    Edit,
    Happened,
    Mark,
    Marked,
    became,
    edited,
    from_now,
)
from fernbell.core.planning.timeline.lots import in_lots_of_days
from fernbell.core.planning.timeline.making import keeps_of
from fernbell.core.planning.timeline.solve import Halt, Outcome, Reached, fits, solve
from fernbell.core.planning.timeline.spare import begins, latest
from fernbell.core.planning.timeline.tight import tight
from fernbell.core.planning.timeline.verify import at, faults
from fernbell.core.planning.timeline.words import demand_words, listed, told
from fernbell.core.planning.timeline.work import (
    LONGEST_MIN,
    USUAL_AIMS,
    Aim,
    Aims,
    Claim,
    Climate,
    Hold,
    Link,
    Person,
    Planned,
    Point,
    Sort,
    Station,
    Task,
    Work,
)

__all__ = [
    "LONGEST_MIN",
    "USUAL_AIMS",
    "Aim",
    "Aims",
    "AskedLine",
    "Board",
    "Claim",
    "Clash",
    "Climate",
    "Clock",
    "Commission",
    "Conflict",
    "Demand",
    "DemandKind",
    "Easing",
    "EasingKind",
    "Edit",
    "Halt",
    "Happened",
    "Hold",
    "Link",
    "Mark",
    "Marked",
    "Outcome",
    "Person",
    "Planned",
    "Point",
    "Reached",
    "Sort",
    "Station",
    "Task",
    "Wave",
    "Work",
    "as_if",
    "at",
    "became",
    "begins",
    "board",
    "clashes",
    "conflict",
    "demand_words",
    "demands",
    "edited",
    "faults",
    "fewest_hands_first",
    "fits",
    "from_now",
    "hands_min",
    "hours_words",
    "in_lots_of_days",
    "keeps_of",
    "latest",
    "listed",
    "shown_without",
    "solve",
    "tight",
    "told",
    "ways_out",
    "without",
    "work_of",
]

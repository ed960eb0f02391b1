"""What the hands do for a part: one step of the building before it is put in order."""

from dataclasses import dataclass
from enum import Enum, auto

from fernbell.core.desserts.regions import Shape, ShapeKey
from fernbell.core.formulas import Wait
from fernbell.core.working import Working


class Moment(Enum):
    """When a step comes: beside the mold, on the board, into the mold, over it, at service."""

    BESIDE = auto()
    BOARD = auto()
    POUR = auto()
    SET = auto()
    OVER = auto()
    SERVICE = auto()


@dataclass(frozen=True, slots=True)
class BuildStep:
    """A step with its new shapes and the formulas whose waits begin with it.

    `usual` is the wait where no method names one; `flat` is drawn instead where it is not yet as
    it will be cut, a sheet before it is rolled; `low_mm` and `high_mm` say between which
    heights it goes into the mold; `after` names the step beside the mold that it follows;
    `uses` are parts and layers it takes that no shape of its own shows.
    """

    moment: Moment
    code: str
    title: str
    says: str
    fresh: tuple[ShapeKey, ...] = ()
    formulas: tuple[str, ...] = ()
    usual: Wait | None = None
    working: Working | None = None
    flat: tuple[Shape, ...] = ()
    low_mm: float = 0.0
    high_mm: float = 0.0
    after: str = ""
    uses: tuple[tuple[str, str | None], ...] = ()


def torch_step(name: str) -> BuildStep:
    """Browning what lies on top, with what it takes to stay safe.

    Args:
        name: what is browned [text].
    Returns:
        the step [BuildStep].
    Source:
        common practice; the house's rules for open flame come first.
    """
    says = (
        "with the torch, moving all the time; no paper, film or sleeve near, the gas closed at "
        "once. The rules for open flame of the house and the local code come first"
    )
    return BuildStep(Moment.OVER, "torch", f"Brown {name}", says)

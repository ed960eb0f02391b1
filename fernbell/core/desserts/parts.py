"""What a dessert is made of: parts, each with the rule by which it is scaled."""

from dataclasses import dataclass
from typing import Literal

from fernbell.core.desserts.portions import Grid, Portions, Wedges
from fernbell.core.errors import CoreError, OutOfRange, check_range
from fernbell.core.molds import Mold, Plan, Ring

_LARGEST_MM = 1000.0


@dataclass(frozen=True, slots=True)
class Base:
    """A disc or plank on the board, with its own size; several bases stack."""

    key: str
    formula: str
    height_mm: float
    across_mm: float
    name: str = ""
    rule: Literal["base"] = "base"

    def __post_init__(self) -> None:
        check_range("height_mm", self.height_mm, most=_LARGEST_MM, open_least=True)
        check_range("across_mm", self.across_mm, most=_LARGEST_MM, open_least=True)


@dataclass(frozen=True, slots=True)
class Layer:
    """One layer of an insert."""

    key: str
    formula: str
    height_mm: float
    name: str = ""

    def __post_init__(self) -> None:
        check_range("height_mm", self.height_mm, most=_LARGEST_MM, open_least=True)


@dataclass(frozen=True, slots=True)
class Insert:
    """Layers frozen in a smaller ring, given from the top down, its underside above the board.

    `offset_mm` is how far its middle lies from the dessert's, to the right in the cut.
    """

    key: str
    layers: tuple[Layer, ...]
    across_mm: float
    lift_mm: float
    offset_mm: float = 0.0
    name: str = ""
    rule: Literal["insert"] = "insert"

    def __post_init__(self) -> None:
        check_range("across_mm", self.across_mm, most=_LARGEST_MM, open_least=True)
        check_range("lift_mm", self.lift_mm, most=_LARGEST_MM)
        check_range("offset_mm", self.offset_mm, least=-_LARGEST_MM, most=_LARGEST_MM)
        if not self.layers:
            raise CoreError("layers", "empty", "at least one layer")


@dataclass(frozen=True, slots=True)
class Fill:
    """Whatever room is left, up to a level above the board (None: to the rim)."""

    key: str
    formula: str
    level_mm: float | None = None
    name: str = ""
    rule: Literal["fill"] = "fill"

    def __post_init__(self) -> None:
        if self.level_mm is not None:
            check_range("level_mm", self.level_mm, most=_LARGEST_MM, open_least=True)


@dataclass(frozen=True, slots=True)
class Coat:
    """A thickness on the exposed surface, with run-off that is saved and a least pour."""

    key: str
    formula: str
    thickness_mm: float
    runoff_percent: float = 0.0
    least_pour_g: float = 0.0
    top_only: bool = False
    name: str = ""
    rule: Literal["coat"] = "coat"

    def __post_init__(self) -> None:
        check_range("thickness_mm", self.thickness_mm, most=50, open_least=True)
        check_range("runoff_percent", self.runoff_percent, most=300)
        check_range("least_pour_g", self.least_pour_g, most=100_000)


@dataclass(frozen=True, slots=True)
class Band:
    """A strip around the foot."""

    key: str
    formula: str
    height_mm: float
    thickness_mm: float
    overlap_mm: float = 0.0
    name: str = ""
    rule: Literal["band"] = "band"

    def __post_init__(self) -> None:
        check_range("height_mm", self.height_mm, most=_LARGEST_MM, open_least=True)
        check_range("thickness_mm", self.thickness_mm, most=50, open_least=True)
        check_range("overlap_mm", self.overlap_mm, most=200)


@dataclass(frozen=True, slots=True)
class Garnish:
    """Pieces of a weight on every portion, half pieces allowed; grams a portion are one piece."""

    key: str
    formula: str
    piece_g: float
    pieces_per_portion: float = 1.0
    name: str = ""
    rule: Literal["garnish"] = "garnish"

    def __post_init__(self) -> None:
        check_range("piece_g", self.piece_g, most=1000, open_least=True)
        check_range("pieces_per_portion", self.pieces_per_portion, most=50, open_least=True)


Part = Base | Insert | Fill | Coat | Band | Garnish


Built = Literal["upright", "upside down"]
"""In a ring on a board, base first; or in a mold whose floor makes the top, base last."""


@dataclass(frozen=True, slots=True)
class Dessert:
    """Parts in a mold, listed from the top down as they are seen in the cut."""

    name: str
    mold: Mold
    parts: tuple[Part, ...]
    portions: Portions
    built: Built = "upright"

    def __post_init__(self) -> None:
        if sum(isinstance(part, Fill) for part in self.parts) > 1:
            raise CoreError("parts", "two fills", "one part at most that fills the rest")
        keys = [part.key for part in self.parts]
        if len(set(keys)) < len(keys):
            raise CoreError("parts", "a key used twice", "parts with keys of their own")
        foreign = Grid if isinstance(self.mold, Ring) else Wedges
        if isinstance(self.portions, foreign):
            own = "wedges" if foreign is Grid else "a grid"
            raise CoreError("portions", self.portions.cut, f"{own}, a count or a weight")


def plan_in(mold: Mold, across_mm: float) -> Plan:
    """Plan of a part that keeps the same gap to the mold's wall all round.

    Args:
        mold: the mold around it [Mold].
        across_mm: the part's diameter, or its length in a frame [mm].
    Returns:
        the plan [mm].
    Raises:
        OutOfRange: so short that nothing is left across the frame's width.
    Source:
        geometry; in a frame the gap is the same on all four sides (common practice).
    """
    whole = mold.plan
    least = whole.length_mm - min(whole.length_mm, whole.width_mm)
    if across_mm <= least:
        raise OutOfRange("across_mm", across_mm, f"more than {least:g} in this frame")
    return whole.grown((across_mm - whole.length_mm) / 2)

"""What a judgement looks like."""

from dataclasses import dataclass
from enum import StrEnum


class Severity(StrEnum):
    """How bad it is: `wrong` cannot be made as drawn, `caution` will disappoint, `note` informs."""

    WRONG = "wrong"
    CAUTION = "caution"
    NOTE = "note"


@dataclass(frozen=True, slots=True)
class Finding:
    """One judgement, with its reason, what to do about it and where the rule comes from.

    `part` is the key of the dessert part it concerns; `formula` the key of the formula.
    """

    code: str
    severity: Severity
    message: str
    why: str
    remedy: str
    source: str
    part: str | None = None
    formula: str | None = None

"""What one aside of a formula looks like."""

from dataclasses import dataclass

from fernbell.core.working import COMMON_PRACTICE, Working


@dataclass(frozen=True, slots=True)
class Aside:
    """One thing to know: a figure with its working, or words; `holds` says yes or no."""

    name: str
    says: str
    working: Working | None = None
    holds: bool | None = None
    source: str = COMMON_PRACTICE

"""What building takes of hands; asked for every build step there is when this is imported."""

from collections.abc import Container, Iterable

from fernbell.core.desserts.rules import RULES
from fernbell.core.desserts.stages import OF_THE_BODY
from fernbell.starter.hands import BUILDING


def check_hands(steps: Iterable[str], told: Container[str]) -> None:
    """Refuse build steps whose minutes of hands nobody has told.

    Args:
        steps: codes of build steps [code].
        told: those whose minutes are known [code].
    Returns:
        nothing [1].
    Raises:
        LookupError: a step is not among them.
    Source:
        definition.
    """
    missing = [code for code in steps if code not in told]
    if missing:
        raise LookupError(f"no minutes of hands for {', '.join(missing)} (starter/hands.py)")


check_hands((*OF_THE_BODY, *(code for rule in RULES for code in rule.builds)), BUILDING)


def hands_of(code: str) -> tuple[float, int]:
    """What a build step takes of hands.

    Args:
        code: of the step [code].
    Returns:
        how long one takes, and who is trusted with it [min, 1].
    Source:
        common practice.
    """
    return BUILDING[code]

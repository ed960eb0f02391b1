"""What building takes of hands, asked for every rule there is when this is imported."""

from collections.abc import Container, Iterable

from fernbell.core.desserts.part import Part
from fernbell.core.desserts.rules import RULES
from fernbell.starter.hands import BUILDING


def check_hands(rules: Iterable[type[Part]], told: Container[str]) -> None:
    """Refuse rules that build what nobody has told the hands of.

    Args:
        rules: what parts may do [Part].
        told: codes of build steps whose minutes are known [code].
    Returns:
        nothing [1].
    Raises:
        LookupError: a rule builds what is not there.
    Source:
        definition.
    """
    missing = [
        f"{one.words.rule}: {code}" for one in rules for code in one.builds if code not in told
    ]
    if missing:
        raise LookupError(f"no minutes of hands for {', '.join(missing)} (starter/hands.py)")


check_hands(RULES, BUILDING)


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

"""Temperatures in a text, for who reads °F."""

import re

_NUMBER = r"([−-]?\d+(?:\.\d+)?)"
_CELSIUS = re.compile(rf"{_NUMBER}(?:(-|–| to | and ){_NUMBER})?( ?)°C")


def in_fahrenheit(text: str) -> str:
    """A text with its temperatures in °F, to the whole degree.

    Args:
        text: such as 'Fold at 35-40 °C.' [text].
    Returns:
        such as 'Fold at 95-104 °F.' [text].
    Source:
        °F = °C × 1.8 + 32, exact.
    """
    return _CELSIUS.sub(_said, text)


def _said(found: re.Match[str]) -> str:
    least, between, most, space = found.groups()
    both = f"{_degrees(least)}{between}{_degrees(most)}" if most else _degrees(least)
    return f"{both}{space}°F"


def _degrees(number: str) -> str:
    sign = "−" if "−" in number else "-"
    value = round(float(number.replace("−", "-")) * 1.8 + 32)
    return str(value).replace("-", sign)

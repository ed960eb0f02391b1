"""Refusals: input for which any number would be meaningless."""

from collections.abc import Callable
from dataclasses import dataclass

_UNITS = {
    "g_ml": "g/ml",
    "percent": "%",
    "mm": "mm",
    "ml": "ml",
    "g": "g",
    "min": "min",
    "m": "m",
    "c": "°C",
    "pa": "Pa",
    "kg": "kg",
}


def _name_and_unit(field: str) -> tuple[str, str]:
    """A field's name in words and its unit: 'height_mm' is ('height', 'mm')."""
    for suffix, unit in _UNITS.items():
        if field.endswith(f"_{suffix}"):
            return field.removesuffix(f"_{suffix}").replace("_", " "), unit
    return field.replace("_", " "), ""


def _said(number: float) -> str:
    """A number for a person: thousands apart, never as a power of ten."""
    if not 1e-4 <= abs(number) < 1e15:
        return "0" if number == 0 else "so little" if abs(number) < 1e-4 else "so much"
    return f"{number:,.7g}".replace(",", " ")


def _inches(length_mm: float) -> str:
    return _said(round(length_mm / 25.4, 2))


def _fahrenheit(temperature_c: float) -> str:
    return _said(round(temperature_c * 1.8 + 32, 1))


def field_words(field: str) -> str:
    """A field as a person would call it.

    Args:
        field: its identifier [text].
    Returns:
        words, such as 'Height' for 'height_mm' [text].
    Source:
        the house's rule for identifiers.
    """
    return _name_and_unit(field)[0].capitalize()


def unit_of(field: str) -> str:
    """The unit a field is in, by the end of its identifier.

    Args:
        field: its identifier [text].
    Returns:
        such as 'mm' for 'height_mm'; nothing where it has none [text].
    Source:
        the house's rule for identifiers.
    """
    return _name_and_unit(field)[1]


class CoreError(ValueError):
    """Root of every refusal; names the field, what it held and what is allowed."""

    def __init__(self, field: str, value: object, allowed: str) -> None:
        self.field = field
        self.value = value
        self.allowed = allowed
        super().__init__(self.sentence())

    def sentence(self) -> str:
        """What went wrong, for a person."""
        return f"{field_words(self.field)} must be {self.allowed}, not {self.value}."


class Lacking(CoreError):
    """Something is missing that a person can add; `says` is the whole sentence."""

    def __init__(self, field: str, says: str) -> None:
        super().__init__(field, None, says)

    def sentence(self) -> str:
        """What went wrong, for a person."""
        return self.allowed


@dataclass(frozen=True, slots=True)
class Limits:
    """Where a number has to lie; `open_least` says that the least itself is too little."""

    least: float
    most: float
    open_least: bool = False

    def words(self, said: Callable[[float], str]) -> str:
        """'at least 5 and at most 300', each number as `said` writes it."""
        word = "more than" if self.open_least else "at least"
        return f"{word} {said(self.least)} and at most {said(self.most)}"


class OutOfRange(CoreError):
    """A number outside the range in which a relation holds; `limits` where both ends are known."""

    def __init__(
        self, field: str, value: object, allowed: str, limits: Limits | None = None
    ) -> None:
        self.limits = limits
        super().__init__(field, value, allowed)

    def sentence(self) -> str:
        """What went wrong, for a person; the unit is the one the field's name ends in."""
        _, unit = _name_and_unit(self.field)
        return self._in(self.allowed, _said, unit)

    def sentence_for(self, *, inches: bool, fahrenheit: bool) -> str:
        """The same for a person who reads inches or °F."""
        _, unit = _name_and_unit(self.field)
        if self.limits and unit == "mm" and inches:
            return self._in(self.limits.words(_inches), _inches, "in")
        if self.limits and unit == "°C" and fahrenheit:
            return self._in(self.limits.words(_fahrenheit), _fahrenheit, "°F")
        return self.sentence()

    def _in(self, allowed: str, said: Callable[[float], str], unit: str) -> str:
        value = said(self.value) if isinstance(self.value, int | float) else self.value
        unit = f" {unit}" if unit else ""
        return f"{field_words(self.field)} must be {allowed}{unit}, not {value}."


class UnknownUnit(CoreError):
    """A unit that is not in the table of kitchen measures."""


class NotCounted(CoreError):
    """Pieces were asked for of something nobody says the weight of a piece of."""

    def __init__(self, name: str, piece: str = "") -> None:
        self.piece = piece
        super().__init__("unit", "missing", name)

    def sentence(self) -> str:
        """What is missing and what to do, for a person."""
        if self.piece:
            return (
                f"How much a {self.piece} of {self.allowed} weighs is not known: write grams, or "
                f"enter a {self.piece} among its pieces in the pantry."
            )
        return (
            f"{self.allowed} is not counted in pieces: write grams or a measure, or enter what "
            "one weighs in the pantry."
        )


class NotUnderstood(CoreError):
    """Typed text that does not read as an amount and a name."""


class NoAmount(NotUnderstood):
    """A line that says what and not how much; `name` is what it says."""

    def __init__(self, name: str) -> None:
        self.name = name
        super().__init__("line", name, "an amount and a name")

    def sentence(self) -> str:
        """What is missing, for a person."""
        if not any(char.isalpha() for char in self.name):
            return "Write an amount and a name, such as ‘250 g cream’."
        return f"How much? Write an amount too, such as ‘250 g {self.name}’."


class NoName(NotUnderstood):
    """A line that says how much and not of what."""

    def __init__(self, amount: str) -> None:
        super().__init__("line", amount, "an amount and a name")

    def sentence(self) -> str:
        """What is missing, for a person."""
        return f"‘{self.value}’ of what? Write its name behind it."


class MissingDensity(CoreError):
    """Grams and millilitres were asked to meet and the density is unknown."""

    def __init__(self, name: str) -> None:
        super().__init__("density_g_ml", "unknown", name)

    def sentence(self) -> str:
        """What is missing and what to do, for a person."""
        return (
            f"The density is not known for {self.allowed}: write grams, or weigh a cup of it and "
            "enter the result in the pantry."
        )


class UnknownKey(CoreError):
    """A line or a part that points at nothing in the book."""


class FormulaCircle(CoreError):
    """A formula that contains itself; `path` names the way round."""

    def __init__(self, path: tuple[str, ...]) -> None:
        self.path = path
        super().__init__("lines", " > ".join(path), "free of circles")

    def sentence(self) -> str:
        """What went wrong, for a person."""
        return f"A formula cannot contain itself: {self.value}."


class MoldOverflow(CoreError):
    """More was poured than the mold holds."""

    def __init__(self, volume_ml: float, capacity_ml: float) -> None:
        self.overflow_ml = volume_ml - capacity_ml
        super().__init__("volume_ml", f"{volume_ml:.2f}", f"at most {capacity_ml:.2f}")

    def sentence(self) -> str:
        """What went wrong, for a person."""
        return f"{self.value} ml overflows the mold by {self.overflow_ml:.2f} ml."


def check_range(
    field: str,
    value: float,
    least: float = 0.0,
    most: float = 1e6,
    *,
    open_least: bool = False,
) -> float:
    """Return the value, or refuse it.

    Args:
        field: name of the field, for the message [identifier].
        value: the number to check [unit of the field].
        least: smallest allowed [same unit].
        most: largest allowed [same unit].
        open_least: whether `least` itself is refused [bool].
    Returns:
        the value, unchanged [same unit].
    Raises:
        OutOfRange: not finite, or outside the range.
    Source:
        definition.
    """
    # Written so that NaN fails both comparisons and is refused.
    above = value > least if open_least else value >= least
    if above and value <= most:
        return value
    limits = Limits(least, most, open_least)
    raise OutOfRange(field, value, limits.words(_said), limits)

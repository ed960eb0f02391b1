"""Measures typed into fields: fractions and any unit of the kind; nothing guessed."""

import pytest
from hypothesis import given
from hypothesis import strategies as st

from fernbell.core.errors import CoreError, NotUnderstood
from fernbell.core.measures import read_measure


# Exact: the inch is 25.4 mm, the pound 453.59237 g, the US cup 236.588 ml, °C = (°F - 32) / 1.8.
@pytest.mark.parametrize(
    ("text", "kept", "shown", "value"),
    [
        ("12", "mm", "mm", 12),
        ("1/2", "mm", "in", 12.7),
        ('1/2"', "mm", "mm", 12.7),
        ('1 1/2"', "mm", "in", 38.1),
        ("½ in", "mm", "mm", 12.7),
        ("12 mm", "mm", "in", 12),
        ("1.2cm", "mm", "in", 12),
        ("0,5 cm", "mm", "mm", 5),
        ("2 inches", "mm", "mm", 50.8),
        ("7 in", "mm", "in", 177.8),
        ("1 ft 2 in", "mm", "mm", 355.6),
        ("250 g", "g", "g", 250),
        ("1.5 kg", "g", "g", 1500),
        ("1 250", "g", "g", 1250),
        ("8 oz", "g", "g", 226.796),
        ("1 lb 3 oz", "g", "g", 538.641),
        ("1/2 l", "ml", "ml", 500),
        ("1 cup", "ml", "ml", 236.588),
        ("83", "°C", "°C", 83),
        ("-18", "°C", "°C", -18),
        ("−18 °C", "°C", "°F", -18),
        ("104 °F", "°C", "°C", 40),
        ("104", "°C", "°F", 40),
        ("104f", "°C", "°C", 40),
        ("90", "min", "min", 90),
        ("1 h 30 min", "min", "min", 90),
        ("1.5 h", "min", "min", 90),
        ("2 days", "min", "min", 2880),
        ("1/2", "%", "%", 0.5),
        ("12 %", "%", "%", 12),
        ("1 1/2", "", "", 1.5),
        ("1.05 g/ml", "g/ml", "g/ml", 1.05),
    ],
)
def test_a_measure_is_read_in_any_unit_of_its_kind(
    text: str, kept: str, shown: str, value: float
) -> None:
    assert read_measure(text, kept, shown) == pytest.approx(value, rel=1e-5)


@pytest.mark.parametrize(
    ("text", "kept", "says"),
    [
        ("1,200", "g", "1200 or as 1.200"),
        ("abc", "mm", "a length, such as 12 mm"),
        ("", "mm", "a length"),
        ("5 g", "mm", "a length"),
        ("5 mm", "g", "a weight"),
        ("5 kg", "ml", "a volume"),
        ("5 min", "°C", "a temperature"),
        ("2-3", "mm", "a length"),
        ("1/0", "mm", "fraction"),
        ("nan", "g", "a weight"),
        ("1e5", "g", "a weight"),
        ("5 apples", "%", "one number of %"),
        ("--5", "g", None),
    ],
)
def test_what_is_no_such_measure_says_what_is_wanted(
    text: str, kept: str, says: str | None
) -> None:
    if says is None:
        assert read_measure(text, kept) == -5
        return
    with pytest.raises(NotUnderstood, match=says):
        read_measure(text, kept)


KEPT = st.sampled_from(["mm", "g", "ml", "°C", "min", "%", ""])


@given(st.text(max_size=20), KEPT, st.sampled_from(["", "in", "°F"]))
def test_reading_a_field_never_fails_but_with_a_refusal(text: str, kept: str, shown: str) -> None:
    try:
        assert isinstance(read_measure(text, kept, shown), float)
    except CoreError:
        return


@given(st.floats(0.01, 5000), st.sampled_from(["mm", "cm", "in", "m"]))
def test_a_length_printed_reads_back(value: float, unit: str) -> None:
    millimeters = {"mm": 1, "cm": 10, "in": 25.4, "m": 1000}[unit] * round(value, 3)
    assert read_measure(f"{round(value, 3):.3f} {unit}", "mm") == pytest.approx(millimeters)

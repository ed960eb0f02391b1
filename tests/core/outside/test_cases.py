"""Core against values from outside the project; each case in cases.json names its source."""

import json
from pathlib import Path

import pytest

from tests.core.outside.answers import answers

CASES = json.loads((Path(__file__).parent / "cases.json").read_text())
ANSWERS = answers(CASES)
ROWS = [(case["id"], row) for case in CASES for row in case["expect"]]


def tolerance(text: str, value: float) -> float:
    """Absolute tolerance from 'abs 0.02', '0.05%' or 'exact'; a remark in brackets is left out."""
    text = text.split("(")[0].strip()
    if text == "exact":
        return 1e-9
    if text.startswith("abs"):
        return float(text.split()[1])
    return abs(value) * float(text.rstrip("%")) / 100


@pytest.mark.parametrize(("case", "row"), ROWS, ids=[f"{case} {row['key']}" for case, row in ROWS])
def test_core_agrees_with_the_published_value(case: str, row: dict) -> None:
    got, expected = ANSWERS[case].get(row["key"]), row["value"]
    if row["tol"] == "must not be used":
        # The arithmetic mean of densities: no answer of core may come near it.
        assert all(abs(float(one) - expected) > 0.01 for one in ANSWERS[case].values())
    elif isinstance(expected, str):
        assert str(got).startswith("refused")
        if row["tol"] == "exact":
            assert str(got).removeprefix("refused: ") in expected
            return
        overflow = float(row["tol"].split()[1])
        assert float(str(got).split()[2]) == pytest.approx(overflow, rel=0.001)
    elif row["tol"].startswith("band"):
        least, most = (float(one) for one in row["tol"].removeprefix("band").split(".."))
        assert least <= got <= most
    else:
        assert got == pytest.approx(expected, abs=tolerance(row["tol"], expected))


def test_every_case_is_answered() -> None:
    assert set(ANSWERS) == {case["id"] for case in CASES}


def test_other_cases_of_the_same_shape_are_answered() -> None:
    cases = [
        {
            "id": "X-1",
            "name": "ring",
            "inputs": {"d_mm": 100, "H_mm": 50, "fill_depths_mm": [10.5]},
        },
        {"id": "X-2", "name": "frame", "inputs": {"a_mm": 300, "b_mm": 200, "H_mm": 40}},
        {"id": "X-3", "name": "sum", "inputs": {"terms": ["2 ounce", "1 pound"]}},
        {"id": "X-4", "name": "unknown", "inputs": {"mystery": 1}},
    ]
    got = answers(cases)
    # Independent arithmetic: pi/4 x 10² x 5 = 392.70 ml; 30 x 20 x 4 = 2400 ml.
    assert got["X-1"]["capacity"] == pytest.approx(392.699, abs=0.001)
    assert got["X-1"]["volume at depth 10.5 mm"] == pytest.approx(82.467, abs=0.001)
    assert got["X-2"]["capacity"] == pytest.approx(2400)
    assert got["X-3"]["mass"] == pytest.approx(510.2914, abs=0.001)
    assert "X-4" not in got

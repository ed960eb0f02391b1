"""What a page may load, and what every answer says of itself."""

import pytest
from django.test import Client

POLICY = "Content-Security-Policy"


@pytest.mark.parametrize("path", ["/", "/formulas", "/api/session", "/health/live"])
def test_every_answer_carries_the_policy(db: None, path: str) -> None:
    answer = Client().get(path)
    said = answer[POLICY]
    answer.close()
    told = dict(one.strip().partition(" ")[::2] for one in said.split(";"))
    assert told["default-src"] == "'self'"
    # Scripts fall back on it: none that is written into a page, none from elsewhere, no eval.
    assert "script-src" not in told
    assert told["frame-ancestors"] == told["object-src"] == "'none'"


def test_it_is_not_shown_in_a_frame_and_its_kind_is_not_guessed(db: None) -> None:
    answer = Client().get("/api/session")
    assert answer["X-Frame-Options"] == "DENY"
    assert answer["X-Content-Type-Options"] == "nosniff"

"""What all tests share."""

from pathlib import Path

from hypothesis import settings

# The same examples on every run, and no clock that a slow machine could fail.
settings.register_profile("steady", derandomize=True, deadline=None)
settings.load_profile("steady")

ROOT = Path(__file__).parents[1]

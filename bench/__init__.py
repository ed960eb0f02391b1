"""Measurements behind every claim about speed; run by hand: see CONTRIBUTING.md."""

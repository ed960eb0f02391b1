"""Fern Bell, a bench companion for a pastry kitchen."""

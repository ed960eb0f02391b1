"""What a screen is told of rules and forms is so: fields, handles, how many rows."""

import math
from collections.abc import Sequence
from dataclasses import replace
from typing import Any

import pytest

from fernbell.core.desserts import RULES, WAYS, Dessert, Fill, Part, Wedges, propose, refit
from fernbell.core.errors import CoreError
from fernbell.core.field import Field
from fernbell.core.molds import FORMS, Mold, Ring, WallPoint

EVERY_RULE = pytest.mark.parametrize("rule", RULES, ids=lambda rule: rule.words.rule)
EVERY_FORM = pytest.mark.parametrize("form", FORMS, ids=lambda form: form.words().form)
BEYOND = 0.001


@EVERY_RULE
def test_a_handle_drags_a_field_of_the_part_or_of_its_layer(rule: type[Part]) -> None:
    words = rule.words
    for handle in words.handles:
        fields = words.layer_fields if handle.of_layer else words.fields
        assert handle.field in {field.name for field in fields}


@EVERY_FORM
def test_a_new_mold_stands_in_the_limits_of_its_fields(form: type[Mold]) -> None:
    words = form.words()
    for field in words.fields:
        for start in words.starts:
            field.check(getattr(start.shape, field.name))


@EVERY_FORM
def test_what_a_field_allows_is_allowed_and_no_more(form: type[Mold]) -> None:
    for field in form.words().fields:
        for value in ends(field):
            field.check(value)
        for value in (field.least - BEYOND, (field.most or 0) + BEYOND):
            with pytest.raises(CoreError):
                replace(form.words().starts[0].shape, **{field.name: value})


@EVERY_RULE
def test_what_a_field_of_a_part_allows_is_allowed_and_no_more(rule: type[Part]) -> None:
    empty = Dessert("D", Ring(200, 45), (), Wedges(12))
    part = propose(empty, rule.words.rule, "new", "f")
    layers = [(layer, rule.words.layer_fields) for layer in getattr(part, "layers", ())]
    for entry, fields in ((part, rule.words.fields), *layers):
        for field in fields:
            for value in ends(field):
                replace(entry, **{field.name: value})
            for value in (field.least - BEYOND, field.most * (1 + BEYOND)):
                with pytest.raises(CoreError):
                    replace(entry, **{field.name: value})


@pytest.mark.parametrize("way", WAYS, ids=lambda way: way.words.cut)
def test_a_way_of_dividing_stands_in_its_limits(way: type) -> None:
    usual = way.usual(Ring(200, 45)) if hasattr(way, "usual") else way(6)
    for field in way.words.fields:
        for value in ends(field):
            replace(usual, **{field.name: value})
        for value in (field.least - 1, field.most + 1):
            with pytest.raises(CoreError):
                replace(usual, **{field.name: value})


def ends(field: Field) -> tuple[float, float]:
    least = field.least + BEYOND if field.open_least else field.least
    return least, field.most


@EVERY_FORM
def test_a_table_has_as_many_rows_as_it_says(form: type[Mold]) -> None:
    words = form.words()
    for table in words.tables:
        first = words.starts[0].shape
        rows = getattr(first, table.name)
        for number in (table.fewest, table.most):
            replace(first, **{table.name: so_many(rows, number)})
        for number in (table.fewest - 1, table.most + 1):
            with pytest.raises(CoreError, match=f"{table.fewest} to {table.most}"):
                replace(first, **{table.name: so_many(rows, number)})


def so_many(rows: Sequence[Any], number: int) -> tuple[Any, ...]:
    """Rows that go on as a wall goes up, or the corners of a regular outline."""
    if not isinstance(rows[-1], WallPoint):
        turns = (2 * math.pi * step / max(number, 1) for step in range(number))
        return tuple(
            replace(rows[0], x_mm=90 * math.cos(turn), y_mm=90 * math.sin(turn)) for turn in turns
        )
    above = (
        replace(rows[-1], height_mm=rows[-1].height_mm + step / 10, radius_mm=0)
        for step in range(1, number)
    )
    return (*rows, *above)[:number]


def test_a_ring_of_just_twelve_centimeters_is_no_individual() -> None:
    large = Dessert("D", Ring(200, 45), (Fill(key="f", formula="m"),), Wedges(12))
    assert refit(large, Ring(119.9, 45)).portions.count == 1
    assert refit(large, Ring(120, 45)).portions.count > 1

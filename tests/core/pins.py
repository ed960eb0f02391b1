"""`python -m tests.core.pins`: write every figure of core down, by the name it stands under.

A figure is a number, or whether something is so, in a constant of a module of core, in the table
of practice or in the words of a form or rule: a band of a dial, a window, a dose, a coefficient;
and the limits of what may be entered. Only who means to change one writes them anew.
"""

import ast
import csv
import enum
import importlib
import inspect
import pkgutil
from collections.abc import Iterator, Mapping
from contextlib import suppress
from dataclasses import fields, is_dataclass
from pathlib import Path
from typing import Any

import fernbell.core
import fernbell.starter.practice
from fernbell.core.desserts import RULES, WAYS
from fernbell.core.molds import FORMS

PINS = Path(__file__).with_name("pins.csv")
_NAMED_BY = ("key", "code", "name", "slug", "rule", "form", "kind")


def figures() -> dict[str, float]:
    """Every figure by name: 'families.ganache:DIAL.bands[slices].least'."""
    found: dict[str, float] = {}
    seen: set[int] = set()
    for module in _modules():
        short = module.__name__.removeprefix("fernbell.").removeprefix("core.")
        for name in _assigned(module):
            for path, value in _numbers(getattr(module, name), name, seen):
                found[f"{short}:{path}"] = value
        found |= {f"{short}:{path}": value for path, value in _limits(module)}
    told = {form.words().form: form.words() for form in FORMS}
    told |= {rule.words.rule: rule.words for rule in RULES}
    told |= {way.words.cut: way.words for way in WAYS}
    for name, words in told.items():
        found |= {f"words:{path}": value for path, value in _numbers(words, name, set())}
    return found


def _modules() -> Iterator[Any]:
    yield fernbell.starter.practice
    for package in pkgutil.walk_packages(fernbell.core.__path__, "fernbell.core."):
        yield importlib.import_module(package.name)


def _assigned(module: Any) -> Iterator[str]:
    """Names of the constants a module assigns itself."""
    for node in ast.parse(inspect.getsource(module)).body:
        targets = getattr(node, "targets", None) or [getattr(node, "target", None)]
        for target in targets:
            for one in getattr(target, "elts", [target]):
                if isinstance(one, ast.Name) and one.id.lstrip("_").isupper():
                    yield one.id


def _limits(module: Any) -> Iterator[tuple[str, float]]:
    """What `check_range` is told to allow, by the field it is asked of."""
    for node in ast.walk(ast.parse(inspect.getsource(module))):
        if isinstance(node, ast.Call) and getattr(node.func, "id", "") == "check_range":
            for limit in node.keywords:
                with suppress(ValueError):
                    value = float(ast.literal_eval(limit.value))
                    yield f"{ast.unparse(node.args[0])} at {limit.arg}", value


def _numbers(value: Any, path: str, seen: set[int]) -> Iterator[tuple[str, float]]:
    if isinstance(value, enum.Enum | str):
        return
    if isinstance(value, int | float):
        yield path, float(value)
        return
    if is_dataclass(value) and not isinstance(value, type):
        if id(value) in seen:
            return
        seen.add(id(value))
        inside = [(f".{field.name}", getattr(value, field.name)) for field in fields(value)]
    elif isinstance(value, Mapping):
        inside = [(f"[{key}]", one) for key, one in value.items()]
    elif isinstance(value, tuple | list):
        names = [_name_of(one, at) for at, one in enumerate(value)]
        twice = {name for name in names if names.count(name) > 1}
        named = [f"{name} {at}" if name in twice else name for at, name in enumerate(names)]
        inside = [(f"[{name}]", one) for name, one in zip(named, value, strict=True)]
    else:
        return
    for step, one in inside:
        yield from _numbers(one, path + step, seen)


def _name_of(value: Any, at: int) -> str:
    own = (getattr(value, name, None) for name in _NAMED_BY)
    return next((one for one in own if isinstance(one, str) and one), str(at))


def pinned() -> dict[str, float]:
    """The figures as they were written down."""
    with PINS.open(encoding="utf-8", newline="") as file:
        return {name: float(value) for name, value in csv.reader(file)}


def main() -> None:
    """Write them."""
    found = figures()
    with PINS.open("w", encoding="utf-8", newline="") as file:
        csv.writer(file, lineterminator="\n").writerows(
            (name, repr(int(value) if value.is_integer() else value))
            for name, value in found.items()
        )


if __name__ == "__main__":
    main()

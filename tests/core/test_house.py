"""The house's own rules: docstrings of core in a fixed order, units said, small bodies."""

import ast
import importlib
import inspect
import pkgutil
import re
import textwrap
from collections.abc import Iterable, Iterator
from pathlib import Path

import pytest

import fernbell.core
from fernbell.core.errors import unit_of
from fernbell.starter import methods
from tests.conftest import ROOT

CORE = ROOT / "fernbell" / "core"
LONGEST_BODY = 50
SECTIONS = ("Args:", "Returns:", "Raises:", "Source:")


def functions() -> Iterator[tuple[str, ast.FunctionDef]]:
    for path in sorted(CORE.rglob("*.py")):
        for node in ast.parse(path.read_text()).body:
            if isinstance(node, ast.FunctionDef):
                yield f"{path.relative_to(CORE)}:{node.name}", node


def of_classes() -> Iterator[tuple[str, ast.FunctionDef]]:
    for path in sorted(CORE.rglob("*.py")):
        for node in ast.walk(ast.parse(path.read_text())):
            if isinstance(node, ast.ClassDef):
                inside = (one for one in node.body if isinstance(one, ast.FunctionDef))
                yield from (
                    (f"{path.relative_to(CORE)}:{node.name}.{one.name}", one) for one in inside
                )


def classes() -> Iterator[type]:
    for found in pkgutil.walk_packages(fernbell.core.__path__, "fernbell.core."):
        for var in vars(importlib.import_module(found.name)).values():
            if inspect.isclass(var) and var.__module__ == found.name:
                yield var


def floats_without_unit(name: str, node: ast.FunctionDef) -> list[str]:
    """What a method takes or gives as a bare number whose name does not say its unit."""
    taken = [*node.args.args, *node.args.kwonlyargs]
    named = [(one.arg, one.annotation) for one in taken] + [(name, node.returns)]
    return [
        one
        for one, kind in named
        if kind and re.fullmatch(r"float( \| None)?", ast.unparse(kind)) and not unit_of(one)
    ]


def by_file(named: Iterable[tuple[str, ast.FunctionDef]]) -> dict[str, list[ast.FunctionDef]]:
    """Functions of each file."""
    files: dict[str, list[ast.FunctionDef]] = {}
    for name, node in named:
        files.setdefault(name.split(":")[0], []).append(node)
    return files


PUBLIC = by_file((name, node) for name, node in functions() if not node.name.startswith("_"))


@pytest.mark.parametrize("file", PUBLIC)
def test_public_functions_document_arguments_units_errors_and_source(file: str) -> None:
    for node in PUBLIC[file]:
        documented_in_order(node)


def documented_in_order(node: ast.FunctionDef) -> None:
    text = ast.get_docstring(node) or ""
    found = [section for section in SECTIONS if section in text]
    places = [text.index(section) for section in found]
    assert places == sorted(places), f"{node.name}: sections stand in the order of the house"
    assert {"Returns:", "Source:"} <= set(found), node.name
    names = [arg.arg for arg in (*node.args.posonlyargs, *node.args.args, *node.args.kwonlyargs)]
    if names:
        args = text[text.index("Args:") : text.index("Returns:")]
        documented = re.findall(r"^    (\w+):", args, re.MULTILINE)
        assert documented == names, node.name
        for entry in re.split(r"^    \w+:", args, flags=re.MULTILINE)[1:]:
            assert re.search(r"\[.+\]", entry, re.DOTALL), f"a unit or shape in [{entry.strip()}]"
    returns = text[text.index("Returns:") : text.index("Source:")]
    assert re.search(r"\[.+\]", returns, re.DOTALL)


def test_public_methods_say_what_they_do_and_in_which_unit() -> None:
    for owner in classes():
        said_with_its_units(owner)


def said_with_its_units(owner: type) -> None:
    for name, var in vars(owner).items():
        method = var.fget if isinstance(var, property) else getattr(var, "__func__", var)
        if name.startswith("_") or not inspect.isfunction(method):
            continue
        assert method.__doc__, f"{owner.__name__}.{name} says nothing"
        node = ast.parse(textwrap.dedent(inspect.getsource(method))).body[0]
        assert isinstance(node, ast.FunctionDef)
        # A method of a family means what the method it stands for means.
        said = [owner.__doc__ or "", *(_said(above, name) for above in owner.__mro__)]
        if not any(re.search(r"\[.+\]", text) for text in said):
            assert floats_without_unit(name, node) == [], f"a unit in {owner.__name__}.{name}"


def _said(owner: type, name: str) -> str:
    return getattr(vars(owner).get(name), "__doc__", None) or ""


def test_no_body_in_core_is_two_functions() -> None:
    too_long = {
        name: length
        for name, node in (*functions(), *of_classes())
        if (length := (node.end_lineno or 0) - node.body[0].lineno) > LONGEST_BODY
    }
    assert too_long == {}


ROWS_OF_CORE = {"Formula", "Ingredient", "Dessert", "Vessel"}


def test_a_class_name_stands_for_one_thing() -> None:
    where: dict[str, list[str]] = {}
    for path in sorted((ROOT / "fernbell").rglob("*.py")):
        for node in ast.parse(path.read_text(encoding="utf-8")).body:
            if isinstance(node, ast.ClassDef) and "migrations" not in path.parts:
                where.setdefault(node.name, []).append(path.relative_to(ROOT).as_posix())
    # A row of the server is named as the thing of core that it keeps.
    twice = {name: files for name, files in where.items() if len(files) > 1}
    assert twice.keys() == ROWS_OF_CORE


PAGES = [ROOT / "README.md", ROOT / "CONTRIBUTING.md", *sorted((ROOT / "docs").glob("*.md"))]


@pytest.mark.parametrize("path", PAGES, ids=lambda path: path.name)
def test_a_page_is_read_without_scrolling_aside(path: Path) -> None:
    lines = path.read_text(encoding="utf-8").splitlines()
    assert [line for line in lines if len(line) > 100] == []


def test_the_page_of_methods_takes_its_figures_from_the_table_of_practice() -> None:
    told = "run: .venv/bin/python -m fernbell.starter.methods"
    assert methods.PAGE.read_text(encoding="utf-8") == methods.page(), told

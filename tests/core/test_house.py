"""The house's own rules: docstrings of core in a fixed order, small bodies, import contracts."""

import ast
import re
from collections.abc import Iterator
from pathlib import Path

import pytest

CORE = Path(__file__).parents[2] / "fernbell" / "core"
LONGEST_BODY = 50
SECTIONS = ("Args:", "Returns:", "Raises:", "Source:")


def functions() -> Iterator[tuple[str, ast.FunctionDef]]:
    for path in sorted(CORE.rglob("*.py")):
        for node in ast.parse(path.read_text()).body:
            if isinstance(node, ast.FunctionDef):
                yield f"{path.relative_to(CORE)}:{node.name}", node


PUBLIC = [(name, node) for name, node in functions() if not node.name.startswith("_")]


@pytest.mark.parametrize(("name", "node"), PUBLIC, ids=[name for name, _ in PUBLIC])
def test_public_function_documents_arguments_units_errors_and_source(
    name: str, node: ast.FunctionDef
) -> None:
    text = ast.get_docstring(node) or ""
    found = [section for section in SECTIONS if section in text]
    places = [text.index(section) for section in found]
    assert places == sorted(places), "sections stand in the order of the house"
    assert {"Returns:", "Source:"} <= set(found)
    names = [arg.arg for arg in (*node.args.posonlyargs, *node.args.args, *node.args.kwonlyargs)]
    if names:
        args = text[text.index("Args:") : text.index("Returns:")]
        documented = re.findall(r"^    (\w+):", args, re.MULTILINE)
        assert documented == names
        for entry in re.split(r"^    \w+:", args, flags=re.MULTILINE)[1:]:
            assert re.search(r"\[.+\]", entry, re.DOTALL), f"a unit or shape in [{entry.strip()}]"
    returns = text[text.index("Returns:") : text.index("Source:")]
    assert re.search(r"\[.+\]", returns, re.DOTALL)


def test_no_body_in_core_is_two_functions() -> None:
    too_long = {
        name: length
        for name, node in functions()
        if (length := (node.end_lineno or 0) - node.body[0].lineno) > LONGEST_BODY
    }
    assert too_long == {}

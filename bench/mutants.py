"""`python -m bench.mutants 300`: faults made in core on purpose, and how many no test sees.

Of all places of core/molds, core/desserts and core/formulas where a sign, an operator, a bound, a
number or a condition can be turned into a near one (cosmic-ray's operators), a sample is made one
at a time in a copy of the project, and core's tests are run on it: first what pins core's answers
and figures, then all. What no test sees is printed with its place.
"""

import argparse
import difflib
import os
import random
import re
import shutil
import subprocess
import sys
import tempfile
from collections import Counter
from collections.abc import Iterator
from concurrent.futures import ThreadPoolExecutor
from dataclasses import dataclass
from pathlib import Path
from queue import Queue

from cosmic_ray.ast import get_ast
from cosmic_ray.mutating import mutate_code
from cosmic_ray.plugins import get_operator

ROOT = Path(__file__).parents[1]
CORE = Path("fernbell/core")
ROOMS = ("molds", "desserts", "formulas")
BINARY = ("Add_Sub", "Sub_Add", "Mul_Div", "Div_Mul", "FloorDiv_Div", "Mod_Div", "Pow_Mul")
COMPARISON = (
    *("Eq_NotEq", "NotEq_Eq", "Lt_LtE", "LtE_Lt", "Gt_GtE", "GtE_Gt", "Is_IsNot", "IsNot_Is"),
)
OPERATORS = (
    *(f"ReplaceBinaryOperator_{one}" for one in BINARY),
    *(f"ReplaceComparisonOperator_{one}" for one in COMPARISON),
    *("ReplaceUnaryOperator_USub_UAdd", "ReplaceUnaryOperator_Delete_Not", "AddNot"),
    *("ReplaceAndWithOr", "ReplaceOrWithAnd", "ReplaceTrueWithFalse", "ReplaceFalseWithTrue"),
    *("ReplaceBreakWithContinue", "ReplaceContinueWithBreak", "ZeroIterationForLoop"),
    "NumberReplacer",
)
STAGES = (
    ("answers and figures", ("tests/core/test_answers.py", "tests/core/test_pins.py")),
    ("the rest of core's tests", ("tests/core",)),
)
NOTHING = re.compile(r"^@|strict=True|[(\s]\*,")
SURVIVED = "nobody"
LONGEST_S = 240


@dataclass(frozen=True, slots=True)
class Mutant:
    """The nth place in a file at which an operator has something to change."""

    path: Path
    operator: str
    occurrence: int

    def code(self) -> str:
        """The file with the fault in it."""
        source = (ROOT / self.path).read_text(encoding="utf-8")
        mutated = mutate_code(source, get_operator(f"core/{self.operator}")(), self.occurrence)
        assert mutated is not None
        return mutated

    def difference(self) -> str:
        """What it changes, with the number of the line."""
        before = (ROOT / self.path).read_text(encoding="utf-8").splitlines()
        lines = difflib.unified_diff(before, self.code().splitlines(), n=0, lineterm="")
        _, _, place, *changed = lines
        return "\n    ".join([f"{self.path} {place.strip('@ ')}  {self.operator}", *changed])


def mutants(path: Path) -> Iterator[Mutant]:
    """Every one of a file but those that change nothing: what a decorator is told (slots, frozen),
    whether a zip is strict where it always fits, the star before named arguments.
    """
    source = (ROOT / path).read_text(encoding="utf-8")
    lines, nodes = source.splitlines(), list(_nodes(get_ast(source)))
    for name in OPERATORS:
        operator = get_operator(f"core/{name}")()
        places = [place for node in nodes for place in operator.mutation_positions(node)]
        for at, ((line, _), _) in enumerate(places):
            if not NOTHING.search(lines[line - 1]):
                yield Mutant(path, name, at)


def _nodes(node) -> Iterator:
    yield node
    for child in getattr(node, "children", ()):
        yield from _nodes(child)


def seen_by(mutant: Mutant, tree: Path) -> str:
    """Which stage of the tests fails on it, in a copy of the project."""
    path = tree / mutant.path
    sound = path.read_text(encoding="utf-8")
    path.write_text(mutant.code(), encoding="utf-8")
    try:
        return next((stage for stage, tests in STAGES if _fails(tests, tree)), SURVIVED)
    finally:
        path.write_text(sound, encoding="utf-8")


def _fails(tests: tuple[str, ...], tree: Path) -> bool:
    command = [sys.executable, "-m", "pytest", "-x", "-q", "-p", "no:cacheprovider", *tests]
    env = {key: value for key, value in os.environ.items() if not key.startswith("DJANGO")}
    env["PYTHONDONTWRITEBYTECODE"] = "1"
    try:
        ran = subprocess.run(command, cwd=tree, env=env, capture_output=True, timeout=LONGEST_S)
    except subprocess.TimeoutExpired:
        return True
    return ran.returncode != 0


def copied(into: Path) -> Path:
    """What core's tests need of the project."""
    for part in ("fernbell", "tests", "bench"):
        shutil.copytree(ROOT / part, into / part, ignore=shutil.ignore_patterns("__pycache__"))
    for part in ("docs", "web", "pyproject.toml", "README.md", "CONTRIBUTING.md"):
        (into / part).symlink_to(ROOT / part)
    return into


def main() -> None:
    """Print survivors as they are found, then the shares."""
    parser = argparse.ArgumentParser(prog="python -m bench.mutants")
    parser.add_argument("sample", type=int, nargs="?", default=300, help="how many (300)")
    parser.add_argument("--seed", type=int, default=1, help="another seed draws others (1)")
    parser.add_argument("--rooms", nargs="*", default=ROOMS, help=" ".join(ROOMS))
    options = parser.parse_args()
    paths = [path for room in options.rooms for path in sorted((ROOT / CORE / room).rglob("*.py"))]
    found = [one for path in paths for one in mutants(path.relative_to(ROOT))]
    drawn = random.Random(options.seed).sample(found, min(options.sample, len(found)))  # noqa: S311
    seen: Counter[str] = Counter()
    with tempfile.TemporaryDirectory() as scratch, ThreadPoolExecutor(os.cpu_count()) as pool:
        trees: Queue[Path] = Queue()
        for number in range(os.cpu_count() or 1):
            trees.put(copied(Path(scratch) / str(number)))
        first = Path(scratch) / "0"
        assert not any(_fails(tests, first) for _, tests in STAGES), "sound code fails"

        def tried(mutant: Mutant) -> tuple[Mutant, str]:
            tree = trees.get()
            try:
                return mutant, seen_by(mutant, tree)
            finally:
                trees.put(tree)

        for mutant, stage in pool.map(tried, drawn):
            seen[stage] += 1
            print(f"\r{seen.total()} of {len(drawn)}", end="", file=sys.stderr, flush=True)
            if stage == SURVIVED:
                print(f"\n{mutant.difference()}", flush=True)
    print(f"{len(found)} places in {', '.join(options.rooms)}; {len(drawn)} faults tried")
    for stage in (*(stage for stage, _ in STAGES), SURVIVED):
        print(f"  seen by {stage}: {seen[stage]} ({seen[stage] / len(drawn):.1%})")


if __name__ == "__main__":
    main()

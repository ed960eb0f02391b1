"""`python -m bench.cooks [seconds]`: fifty cooks at work at once, against a throwaway demo server.

Each looks at desserts, draws on one, looks names up and saves a mold of its own, resting one to
three seconds between acts as a person does. First one alone does the same mix on the idle server.
No act may fail, and the 95th percentile of the fifty may be at most eight times the idle median.
"""

import itertools
import json
import random
import statistics
import sys
import threading
import time
from collections.abc import Callable, Iterator
from urllib.error import URLError

from bench.service import Visitor
from bench.stage import served
from bench.timing import yardstick

COOKS, SECONDS, IDLE_ACTS = 50, 120.0, 200
RESTS_S = (1.0, 3.0)
TARGET = 8.0

Act = Callable[[], object]


def acts(visitor: Visitor, number: int) -> Iterator[Act]:
    """What a cook does, one after the other; all is at hand before the first act."""
    told = json.loads(visitor.get("/api/desserts?limit=50"))["items"]
    paths = [f"/api/desserts/{one['id']}" for one in told]
    entry = _entry(visitor, paths[0])
    shape = {"form": "ring", "diameter_mm": 180, "height_mm": 45}
    mold = {"name": f"Ring of cook {number}", "shape": shape, "note": ""}
    kept = json.loads(visitor.post("/api/molds", mold))
    return _turns(visitor, number, paths, entry, mold, kept)


def _turns(
    visitor: Visitor, number: int, paths: list[str], entry: dict, mold: dict, kept: dict
) -> Iterator[Act]:
    """Five reads, four drawings, a save; without end."""
    dice = random.Random(number)  # noqa: S311 - chance, no secret
    for count in itertools.count():
        height = 6 + dice.random() * 6
        yield from (
            lambda: visitor.get(dice.choice(paths)),
            lambda: visitor.get(f"{dice.choice(paths)}/solved"),
            lambda: visitor.get("/api/formulas?limit=100"),
            lambda: visitor.get("/api/names?shelf=lines&q=cream"),
            lambda: visitor.get(f"{dice.choice(paths)}/sheets"),
        )
        for step in range(4):
            yield lambda height=height + step / 10: visitor.post(
                "/api/desserts/what-if", _thicker(entry, height)
            )
        yield lambda count=count: _save(visitor, kept, {**mold, "note": f"no {count}"})


def _entry(visitor: Visitor, path: str) -> dict:
    """A dessert as it is entered."""
    whole = json.loads(visitor.get(path))
    return {key: whole[key] for key in ("name", "mold", "parts", "portions", "count", "sizes")}


def _thicker(entry: dict, height: float) -> dict:
    """The same with its first layer as thick as that."""
    parts = [
        {**part, "layers": [{**part["layers"][0], "height_mm": height}, *part["layers"][1:]]}
        if part.get("layers")
        else part
        for part in entry["parts"]
    ]
    return {**entry, "parts": parts}


def _save(visitor: Visitor, kept: dict, mold: dict) -> None:
    body = {"revision": kept["revision"], "data": mold}
    kept["revision"] = json.loads(visitor.send("PUT", f"/api/molds/{kept['id']}", body))["revision"]


def timed_acts(one: Iterator[Act], goes_on: Callable[[], bool], rest: Callable[[], None]) -> tuple:
    """How long acts took [ms], and which failed."""
    took, failed = [], []
    while goes_on():
        act = next(one)
        begun = time.perf_counter()
        try:
            act()
        except URLError as error:
            failed.append(str(error))
        took.append(1000 * (time.perf_counter() - begun))
        rest()
    return took, failed


def main() -> None:
    """Print both, and their quotient."""
    seconds = float(sys.argv[1]) if len(sys.argv) > 1 else SECONDS
    with served(demo=True) as site:
        left = iter(range(IDLE_ACTS))
        alone = acts(Visitor(site), 0)
        idle, failed = timed_acts(alone, lambda: next(left, None) is not None, lambda: None)
        until = time.monotonic() + seconds
        dice = random.Random(8615)  # noqa: S311 - chance, no secret
        cooks = [acts(Visitor(site), number) for number in range(1, COOKS + 1)]
        found: list[tuple] = []

        def work(cook: Iterator[Act]) -> None:
            time.sleep(dice.uniform(0, RESTS_S[1]))
            found.append(
                timed_acts(
                    cook,
                    lambda: time.monotonic() < until,
                    lambda: time.sleep(dice.uniform(*RESTS_S)),
                )
            )

        threads = [threading.Thread(target=work, args=(cook,)) for cook in cooks]
        for thread in threads:
            thread.start()
        for thread in threads:
            thread.join()
    busy = sorted(one for took, _ in found for one in took)
    failed += [one for _, faults in found for one in faults]
    median, p95 = statistics.median(idle), busy[int(0.95 * len(busy))]
    print(f"alone: median {median:.1f} ms over {len(idle)} acts")
    print(
        f"{COOKS} cooks, {seconds:.0f} s: {len(busy)} acts, median "
        f"{statistics.median(busy):.1f} ms, 95 % within {p95:.1f} ms, the longest {busy[-1]:.0f} ms"
    )
    print(f"95 % / idle median: {p95 / median:.1f} (target {TARGET:.0f}); failed: {len(failed)}")
    for fault in failed[:5]:
        print(f"  {fault}")
    print(f"yardstick, a million additions: {yardstick():.0f} ms")


if __name__ == "__main__":
    main()

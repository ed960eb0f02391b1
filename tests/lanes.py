"""Test files shared out among several pytest processes: a lane collects only what it runs.

Each lane takes the next file of a common list when it is done with one, so that no file is read
twice and none waits for a lane that is busy. What a lane says of failures stands in its own
output; a line a file goes to the common one.
"""

import fcntl
import os
import sys
import time
from collections import deque
from collections.abc import Iterator
from pathlib import Path

import pytest
from _pytest.runner import collect_one_node


def take(listed: Path) -> str | None:
    """Take the next test file off a list shared with other lanes.

    Args:
        listed: a text file, a path a line.
    Returns:
        the path; None where none is left.
    """
    with listed.open("r+", encoding="utf-8") as file:
        fcntl.flock(file, fcntl.LOCK_EX)
        first, *rest = file.read().splitlines() or [""]
        file.seek(0)
        file.truncate()
        file.write("\n".join(rest))
    return first or None


class Lane:
    """Replaces collecting everything and running it by taking file after file."""

    def __init__(self, listed: Path) -> None:
        self.listed = listed
        self.collected = 0
        self.known: dict[str, pytest.Module] = {}
        self.file, self.begun, self.failed = "", time.monotonic(), 0

    def pytest_collection(self) -> bool:
        """Nothing is collected before it is run."""
        return True

    def pytest_runtestloop(self, session: pytest.Session) -> bool:
        """Run file after file; the next is collected before the last test of one ends."""
        items = deque(self.next_items(session))
        while items:
            item = items.popleft()
            if not items:
                items.extend(self.next_items(session))
            following = items[0] if items else None
            item.config.hook.pytest_runtest_protocol(item=item, nextitem=following)
            if following is None or following.path != item.path:
                self.tell(session, item.path.name)
            if session.shouldstop:
                raise session.Interrupted(session.shouldstop)
        session.testscollected = self.collected
        return True

    def pytest_sessionfinish(self, session: pytest.Session) -> None:
        """A lane that came when nothing was left has failed nothing."""
        if session.exitstatus == pytest.ExitCode.NO_TESTS_COLLECTED:
            session.exitstatus = pytest.ExitCode.OK

    def next_items(self, session: pytest.Session) -> list[pytest.Item]:
        """The tests of the next file that has any."""
        for file in self.files():
            items = list(session.genitems(self.modules(session)[file]))
            hook = session.config.hook
            hook.pytest_collection_modifyitems(session=session, config=session.config, items=items)
            self.collected += len(items)
            if items:
                # Plugins look there for what is about to run: the next file is read before the
                # last test of one has run.
                session.items = [*session.items, *items]
                return items
        return []

    def modules(self, session: pytest.Session) -> dict[str, pytest.Module]:
        """Every test file by its path, none of them read yet.

        pytest forgets the fixtures of the conftest beside the topmost folder over this.
        """
        if not self.known:
            tops = session.perform_collect(["tests"], genitems=False)
            root = session.config.rootpath
            found = (one for top in tops for one in _modules(top))
            self.known = {one.path.relative_to(root).as_posix(): one for one in found}
        return self.known

    def files(self) -> Iterator[str]:
        """Files off the list, one when it is asked for."""
        while (file := take(self.listed)) is not None:
            yield file

    def tell(self, session: pytest.Session, name: str) -> None:
        """Say how a file went."""
        failed, seconds = session.testsfailed - self.failed, time.monotonic() - self.begun
        verdict = f"FAILED {failed}" if failed else "ok"
        sys.__stderr__.write(f"  {verdict}  {name}, {seconds:.0f} s\n")
        self.failed, self.begun = session.testsfailed, time.monotonic()


def _modules(node: pytest.Item | pytest.Collector) -> Iterator[pytest.Module]:
    """The test files in a folder and in those within."""
    if isinstance(node, pytest.Module):
        yield node
    elif isinstance(node, pytest.Directory):
        for inner in collect_one_node(node).result:
            yield from _modules(inner)


def pytest_configure(config: pytest.Config) -> None:
    """Become a lane of those that share the list named in the environment."""
    config.pluginmanager.register(Lane(Path(os.environ["FERNBELL_LANES"])), "lane")

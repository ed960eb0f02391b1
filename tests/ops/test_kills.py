"""Killed at random moments under twenty writers: nothing acknowledged is lost, nothing is halved.

App server's worker, its master, and PostgreSQL are killed with -9 in turn, a hundred times in all;
each time all is back by itself. It takes ten minutes: only by `./fern test --long`.
"""

import contextlib
import os
import random
import signal
import sys
import threading
import time
from pathlib import Path

import pytest
import requests

from ops.pace import patience_s
from ops.postgres import Cluster
from ops.supervise import Child, kept_up
from tests.served import Visitor, demo_cluster, served

WRITERS, KILLS = 20, 100
BACK_S = patience_s(20.0)


class Writer(threading.Thread):
    """Saves one mold after the other of its own, each with its number in two fields."""

    def __init__(self, site: str, number: int, stopping: threading.Event) -> None:
        super().__init__(daemon=True)
        self.visitor, self.number, self.stopping = Visitor(site), number, stopping
        answer = self.visitor.ask("post", "/api/molds", json=self.entry(0))
        answer.raise_for_status()
        self.path = f"/api/molds/{answer.json()['id']}"
        self.revision, self.acknowledged, self.tried = 1, 0, 0
        self.broken: list[str] = []

    def entry(self, count: int) -> dict:
        """A mold whose name and note say how often it was saved."""
        shape = {"form": "ring", "diameter_mm": 180, "height_mm": 45}
        return {"name": f"Ring {self.number} no {count}", "shape": shape, "note": f"no {count}"}

    def run(self) -> None:
        while not self.stopping.is_set():
            try:
                self.save()
            except requests.RequestException:
                # Nobody knows whether it was saved: what is there is asked for, once somebody is.
                self.look()

    def save(self) -> None:
        self.tried = self.acknowledged + 1
        body = {"revision": self.revision, "data": self.entry(self.tried)}
        answer = self.visitor.ask("put", self.path, json=body)
        if answer.status_code >= 500:
            self.look()
        elif answer.status_code != 200:
            self.broken.append(f"{answer.status_code}: {answer.text[:200]}")
            self.stopping.wait(0.5)
        else:
            self.revision, self.acknowledged = answer.json()["revision"], self.tried

    def look(self) -> None:
        """Go on from what is there: what was acknowledged, or the one save that was under way."""
        until = time.monotonic() + 3 * BACK_S
        while time.monotonic() < until:
            time.sleep(0.1)
            with contextlib.suppress(requests.RequestException):
                answer = self.visitor.ask("get", self.path)
                if answer.status_code == 200:
                    self.check(answer.json())
                    return
        self.broken.append("it never came back")

    def check(self, row: dict) -> None:
        """A row that is whole, no older than what was acknowledged."""
        there = int(row["note"].removeprefix("no "))
        if row["name"] != f"Ring {self.number} no {there}":
            self.broken.append(f"halved: {row['name']}, {row['note']}")
        if there not in (self.acknowledged, self.tried):
            self.broken.append(f"lost: {there} there, {self.acknowledged} acknowledged")
        if row["revision"] != there + 1:
            self.broken.append(f"revision {row['revision']} after {there} saves")
        self.acknowledged, self.revision = there, row["revision"]


def workers_of(server: Child) -> list[int]:
    """Processes the app server's master has begun."""
    master = server.process.pid if server.process else 0
    children = Path(f"/proc/{master}/task/{master}/children")
    return [int(one) for one in children.read_text().split()] if children.exists() else []


def victim(kind: int, server: Child, cluster: Cluster) -> int:
    """Whom to kill: a worker, the master, or PostgreSQL."""
    if kind == 0:
        return random.choice(workers_of(server))
    if kind == 1:
        assert server.process
        return server.process.pid
    return int(cluster._note.read_text().split()[0])


def is_back(site: str) -> bool:
    try:
        return requests.get(f"{site}/health/ready", timeout=patience_s(2)).status_code == 200
    except requests.RequestException:
        return False


def test_nothing_acknowledged_is_lost_and_it_comes_back(
    request: pytest.FixtureRequest, capsys: pytest.CaptureFixture[str]
) -> None:
    if not request.config.getoption("--long"):
        pytest.skip("only by ./fern test --long")
    random.seed(8615)
    took: list[float] = []
    with (
        demo_cluster(durable=True) as cluster,
        kept_up("PostgreSQL", cluster, looks_every_s=0.5),
        served(cluster) as (site, server),
    ):
        stopping = threading.Event()
        writers = [Writer(site, number, stopping) for number in range(WRITERS)]
        for writer in writers:
            writer.start()
        for number in range(KILLS):
            time.sleep(random.uniform(0.5, 2.0))
            os.kill(victim(number % 3, server, cluster), signal.SIGKILL)
            begun = time.monotonic()
            time.sleep(0.3)
            while not is_back(site):
                assert time.monotonic() - begun < BACK_S, f"kill {number}: not back in {BACK_S} s"
                time.sleep(0.1)
            took.append(time.monotonic() - begun)
        time.sleep(1)
        stopping.set()
        for writer in writers:
            writer.join(4 * BACK_S)
            writer.look()
            told = writer.visitor.ask("get", f"{writer.path}/history?limit=1").json()["total"]
            assert told == writer.revision
        assert [fault for writer in writers for fault in writer.broken] == []
        saves = sum(writer.acknowledged for writer in writers)
        assert saves > 10 * KILLS
        with capsys.disabled():
            sys.stdout.write(f" {KILLS} kills, {saves} saves, back within {max(took):.1f} s ")

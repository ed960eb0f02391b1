"""A kitchen served as `./fern start` serves it: its PostgreSQL, the app server, real requests."""

import contextlib
from collections.abc import Iterator

import requests

from ops.application import Door, application, environment, prepare_database
from ops.pace import patience_s
from ops.postgres import Cluster, free_port, throwaway
from ops.supervise import Child
from tests.server.old_schemas import fixtures, script

DATABASE = "fernbell_demo"


@contextlib.contextmanager
def demo_cluster(*, durable: bool = False) -> Iterator[Cluster]:
    """A cluster of its own with the demo kitchen; a durable one survives being killed.

    It begins with the kept one of the newest schema, which is quicker than loading it anew.
    """
    with throwaway(durable=durable) as cluster:
        cluster.ensure_database(DATABASE)
        cluster.sql(DATABASE, script(fixtures()[-1]))
        prepare_database(environment(cluster, DATABASE, demo=True), demo=True)
        yield cluster


@contextlib.contextmanager
def served(cluster: Cluster, door: Door | None = None) -> Iterator[tuple[str, Child]]:
    """The demo kitchen of a cluster, served: its address on this machine, and the app server."""
    at = door or Door(free_port())
    with application(environment(cluster, DATABASE, demo=True), at, cluster.home) as server:
        yield at.local, server


class Visitor(requests.Session):
    """Somebody with a browser's cookies, at one kitchen."""

    def __init__(self, site: str, person: str = "demo-ottilie") -> None:
        super().__init__()
        self.trust_env = False
        self.site = site
        self.come_in(person)

    def come_in(self, person: str) -> None:
        """Sign in as somebody of the demo kitchen."""
        self.ask("get", "/api/session")
        self.ask("post", "/api/session/demo", json={"username": person}).raise_for_status()

    def ask(self, method: str, path: str, **more: object) -> requests.Response:
        """A request as the page makes it."""
        headers = {"X-CSRFToken": self.cookies.get("csrftoken", ""), "Referer": self.site}
        timeout = patience_s(30)
        return self.request(method, self.site + path, headers=headers, timeout=timeout, **more)

    def rows(self, shelf: str) -> list[dict]:
        """Every row of a shelf, in brief."""
        return self.ask("get", f"/api/{shelf}?limit=200").json()["items"]

"""A kitchen dumped, restored and served again gives the same answers; both doors are safe."""

import json
import os
import subprocess
import sys
from collections.abc import Iterator
from pathlib import Path

import pytest
import requests

from ops import backup, home, restore
from ops.application import environment, lan_door
from ops.pace import patience_s
from ops.postgres import Cluster, free_port
from tests.conftest import ROOT
from tests.served import DATABASE, Visitor, demo_cluster, served

pytestmark = pytest.mark.sampled(3)
PATIENCE_S = patience_s(9)


@pytest.fixture(scope="module")
def demo() -> Iterator[Cluster]:
    with demo_cluster() as cluster:
        yield cluster


def answers(cluster: Cluster) -> dict[str, object]:
    """Everything a kitchen says of every row it has."""
    with served(cluster) as (site, _):
        chef = Visitor(site)
        told: dict[str, object] = {}
        for shelf in ("ingredients", "molds", "formulas", "desserts", "stacks"):
            told[shelf] = chef.rows(shelf)
        for dessert in chef.rows("desserts"):
            for of in ("", "/history", "/solved", "/sheets"):
                path = f"/api/desserts/{dessert['id']}{of}"
                told[path] = chef.ask("get", path).json()
        return told


def test_a_kitchen_that_was_restored_answers_the_same(demo: Cluster, data: Path) -> None:
    before = answers(demo)
    assert len(before) == 5 + 4 * 6
    file = backup.write(demo, data / "kitchen.tar")
    restore.bring_back(file)
    home.take_place()
    back = Cluster(home.kept(), durable=False)
    back.start()
    try:
        assert back.env["FERNBELL_DB_PASSWORD"] != demo.env["FERNBELL_DB_PASSWORD"]
        assert answers(back) == before
    finally:
        back.stop()


def anybody() -> requests.Session:
    """A visitor who trusts what they are told to, whatever the machine's own settings say."""
    visitor = requests.Session()
    visitor.trust_env = False
    return visitor


# A test in the browser that ran before may have set it.
NOT_A_TEST = {"DJANGO_ALLOW_ASYNC_UNSAFE": ""}


def checked(extra: dict[str, str], demo: Cluster) -> str:
    """What Django's own check says of settings as they are served."""
    done = subprocess.run(
        [sys.executable, "-m", "django", "check", "--deploy", "--fail-level", "WARNING"],
        env={**os.environ, **environment(demo, DATABASE, demo=False), **extra, **NOT_A_TEST},
        cwd=ROOT,
        capture_output=True,
        text=True,
        check=False,
    )
    assert done.returncode == 0, done.stderr
    return done.stdout + done.stderr


def test_both_doors_pass_the_check_for_deployment(demo: Cluster, data: Path) -> None:
    behind_a_proxy = {
        "FERNBELL_HTTPS": "1",
        "FERNBELL_PROXIES": "1",
        "FERNBELL_HOSTS": "kitchen.example",
    }
    door = lan_door(free_port(), None, None, hsts=True)
    for extra in (behind_a_proxy, door.env):
        assert "no issues" in checked(extra, demo)


def test_a_number_that_is_none_is_refused_by_name(demo: Cluster) -> None:
    done = subprocess.run(
        [sys.executable, "-c", "import fernbell.server.settings"],
        env={**os.environ, "FERNBELL_PROXIES": "one"},
        cwd=ROOT,
        capture_output=True,
        text=True,
        check=False,
    )
    assert "FERNBELL_PROXIES=one: a whole number, such as 1." in done.stderr


def test_behind_a_proxy_what_it_says_counts(demo: Cluster, monkeypatch: pytest.MonkeyPatch) -> None:
    for name, value in (("HTTPS", "1"), ("PROXIES", "1"), ("HOSTS", "kitchen.example")):
        monkeypatch.setenv(f"FERNBELL_{name}", value)
    with served(demo) as (site, _):
        chef = anybody()
        named = {"Host": "kitchen.example"}
        plain = chef.get(f"{site}/", headers=named, allow_redirects=False, timeout=PATIENCE_S)
        assert (plain.status_code, plain.headers["Location"]) == (301, "https://kitchen.example/")
        assert chef.get(f"{site}/health/ready", timeout=PATIENCE_S).json() == {"ready": True}
        told = {**named, "X-Forwarded-Proto": "https", "X-Forwarded-For": "203.0.113.5"}
        page = chef.get(f"{site}/api/session", headers=told, timeout=PATIENCE_S)
        assert page.status_code == 200
        assert "Secure" in page.headers["Set-Cookie"]
        other = chef.get(f"{site}/", headers={**told, "Host": "evil.example"}, timeout=PATIENCE_S)
        assert other.status_code == 400


def test_over_lan_cookies_are_for_tls_alone_and_the_authority_is_given(
    demo: Cluster, data: Path
) -> None:
    door = lan_door(free_port(), None, None, hsts=True)
    with served(demo, door) as (site, _):
        chef = anybody()
        chef.verify = door.authority
        site = site.replace("127.0.0.1", "localhost")
        answer = chef.get(f"{site}/api/session", timeout=PATIENCE_S)
        assert "Secure" in answer.headers["Set-Cookie"]
        assert answer.headers["Strict-Transport-Security"].startswith("max-age=31536000")
        given = chef.get(f"{site}/authority.crt", timeout=PATIENCE_S)
        assert given.headers["Content-Type"] == "application/x-x509-ca-cert"
        assert given.content == Path(door.authority).read_bytes()
        assert json.loads(chef.get(f"{site}/health/live", timeout=PATIENCE_S).text) == {
            "live": True
        }


def test_a_schema_of_a_newer_version_is_left_alone(demo: Cluster) -> None:
    newer = (
        "INSERT INTO django_migrations (app, name, applied) VALUES ('rows', '9999_later', now())"
    )
    cluster = demo
    cluster.sql(DATABASE, newer)
    try:
        done = subprocess.run(
            [sys.executable, "-m", "fernbell.server.prepare"],
            env={**os.environ, **environment(demo, DATABASE, demo=True)},
            cwd=ROOT,
            capture_output=True,
            text=True,
            check=False,
        )
        assert done.returncode == 1
        assert "changed by a newer Fern Bell (rows 9999_later)" in done.stderr
    finally:
        demo.sql(DATABASE, "DELETE FROM django_migrations WHERE name = '9999_later'")

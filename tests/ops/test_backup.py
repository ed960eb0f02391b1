"""A backup holds all there is of one moment; it comes back the same, or not at all."""

import json
import os
import tarfile
import threading
import time
from collections.abc import Iterator
from datetime import UTC, datetime
from pathlib import Path

import pytest

from ops import backup, home, nightly, postgres, restore, schema, upgrade
from ops.postgres import Cluster
from ops.say import Stop
from tests.waiting import until

TABLES = """
CREATE TABLE creams (id bigserial PRIMARY KEY, name text, grams double precision, made timestamptz);
CREATE TABLE pairs (a int, b int);
INSERT INTO creams (name, grams, made)
  SELECT 'crème ' || n, n / 7.0, '2026-01-01 12:00+01'::timestamptz + n * interval '1 min'
  FROM generate_series(1, 500) AS n;
"""

pytestmark = pytest.mark.sampled(2)


@pytest.fixture
def kept(data: Path) -> Iterator[Cluster]:
    """The kept cluster, running, with two kitchens."""
    cluster = Cluster(home.kept(), durable=False)
    cluster.prepare()
    cluster.start()
    for name in ("fernbell", "fernbell_demo"):
        cluster.ensure_database(name)
        cluster.sql(name, TABLES)
    yield cluster
    cluster.stop()


def brought_back() -> Cluster:
    """The cluster that a restore left in its place."""
    return Cluster(home.kept(), durable=False)


def test_what_was_backed_up_comes_back_to_the_last_row(kept: Cluster, tmp_path: Path) -> None:
    before = {name: backup.sums(kept, name) for name in kept.databases()}
    assert before["fernbell"]["public.creams"][0] == "500"
    file = backup.write(kept, tmp_path / "kitchen.tar")
    assert file.stat().st_mode & 0o077 == 0
    kept.sql("fernbell", "DELETE FROM creams WHERE id > 3")
    kept.stop()
    assert restore.restore([str(file)]) == 0
    back = brought_back()
    with back.at_hand():
        assert {name: backup.sums(back, name) for name in back.databases()} == before
        # The next row gets the next number.
        added = "INSERT INTO creams (name) VALUES ('one more') RETURNING id"
        assert back.sql("fernbell", added) == ["501"]
    (aside,) = home.data_home().glob("postgres.before-*")
    assert (aside / "data" / "PG_VERSION").exists()


def test_any_change_of_any_row_changes_the_sum(kept: Cluster) -> None:
    seen = {backup.sums(kept, "fernbell")["public.creams"][1]}
    for change in (
        "UPDATE creams SET grams = grams + 1e-12 WHERE id = 7",
        "UPDATE creams SET name = NULL WHERE id = 8",
        "UPDATE creams SET id = 9000 WHERE id = 9",
        "INSERT INTO creams SELECT 9001, name, grams, made FROM creams WHERE id = 10",
    ):
        kept.sql("fernbell", change)
        seen.add(backup.sums(kept, "fernbell")["public.creams"][1])
    assert len(seen) == 5


def test_it_is_of_one_moment_while_others_write(kept: Cluster, tmp_path: Path) -> None:
    """Both rows of every pair are in it or neither, whatever is written meanwhile."""
    stopping = threading.Event()

    def write() -> None:
        number = 0
        while not stopping.is_set():
            number += 1
            both = f"INSERT INTO pairs VALUES ({number}, 1); INSERT INTO pairs VALUES ({number}, 2)"
            kept.sql("fernbell", f"BEGIN; {both}; COMMIT")

    writers = [threading.Thread(target=write) for _ in range(3)]
    for writer in writers:
        writer.start()
    file = backup.write(kept, tmp_path / "busy.tar")
    stopping.set()
    for writer in writers:
        writer.join()
    kept.stop()
    restore.bring_back(file)
    home.take_place()
    back = brought_back()
    with back.at_hand():
        lonely = "SELECT a FROM pairs GROUP BY a HAVING count(*) % 2 = 1"
        assert back.sql("fernbell", lonely) == []


def changed(file: Path, to: Path, manifest: dict[str, object] | None, dump: bytes | None) -> Path:
    """The same backup with another manifest, or with another dump."""
    with tarfile.open(file) as was, tarfile.open(to, "w") as now:
        for member in was:
            packed = was.extractfile(member)
            assert packed
            content = packed.read()
            if member.name == "manifest.json" and manifest:
                content = json.dumps(manifest).encode()
            if member.name.endswith(".dump") and dump is not None:
                content = dump
            backup._add(now, member.name, content)
    return to


def test_a_damaged_one_changes_nothing(kept: Cluster, tmp_path: Path) -> None:
    file = backup.write(kept, tmp_path / "kitchen.tar")
    broken = changed(file, tmp_path / "broken.tar", None, b"PGDMP and then nothing")
    with pytest.raises(Stop, match="is damaged"):
        restore.bring_back(broken)
    short = tmp_path / "short.tar"
    short.write_bytes(file.read_bytes()[: file.stat().st_size // 2])
    with pytest.raises(Stop, match="is damaged"):
        restore.bring_back(short)
    assert not home.restored().exists()
    assert not (home.data_home() / "postgres.restoring").exists()
    assert kept.sql("fernbell", "SELECT count(*) FROM creams") == ["500"]


def test_one_that_does_not_come_back_the_same_is_refused(kept: Cluster, tmp_path: Path) -> None:
    file = backup.write(kept, tmp_path / "kitchen.tar")
    with tarfile.open(file) as tar:
        member = tar.extractfile("manifest.json")
        assert member
        manifest = json.load(member)
    manifest["databases"]["fernbell"]["sums"]["public.creams"][1] = "another"
    other = changed(file, tmp_path / "other.tar", manifest, None)
    with pytest.raises(Stop, match=r"is not what was backed up: public\.creams"):
        restore.bring_back(other)
    assert not home.restored().exists()


def test_while_it_runs_the_restored_one_waits(kept: Cluster, tmp_path: Path) -> None:
    file = backup.write(kept, tmp_path / "kitchen.tar")
    kept.sql("fernbell", "DELETE FROM creams")
    assert restore.restore([str(file)]) == 0
    # Brought back twice, the one at work is still not moved from under its server.
    assert restore.restore([str(file)]) == 0
    assert kept.running()
    assert home.restored().exists()
    assert not list(home.data_home().glob("postgres.before-*"))
    assert kept.sql("fernbell", "SELECT count(*) FROM creams") == ["0"]
    kept.stop()
    home.make_home()
    back = brought_back()
    with back.at_hand():
        assert back.sql("fernbell", "SELECT count(*) FROM creams") == ["500"]


def test_old_ones_go_but_never_the_newest_nor_those_made_by_hand(data: Path) -> None:
    home.backups().mkdir()
    long_ago = time.time() - 20 * 86_400
    for name in ("1-nightly", "2-nightly", "3-by-hand", "4-nightly", "5-nightly", "6-nightly"):
        file = home.backups() / f"{name}.tar"
        file.touch()
        os.utime(file, (long_ago + int(name[0]), long_ago + int(name[0])))
    backup.prune()
    left = {file.stem for file in home.backups().iterdir()}
    assert left == {"3-by-hand", "4-nightly", "5-nightly", "6-nightly"}


def test_one_a_night_after_three(kept: Cluster, monkeypatch: pytest.MonkeyPatch) -> None:
    assert not nightly.is_due(datetime(2026, 11, 27, 2, 59, tzinfo=UTC))
    assert nightly.is_due(datetime(2026, 11, 27, 3, 0, tzinfo=UTC))
    monkeypatch.setattr(nightly, "NIGHT_HOUR", 0)
    with nightly.nightly(kept, looks_every_s=0.05):
        assert until(lambda: list(home.backups().glob("*-nightly.tar")) != [])
    (made,) = home.backups().glob("*-nightly.tar")
    assert backup.read(made).rows == 1000
    assert not nightly.is_due(datetime.now().astimezone())


def test_a_schema_is_noted_on_its_database(kept: Cluster) -> None:
    assert schema.noted(kept, "fernbell") == ""
    schema.note(kept, "fernbell")
    assert schema.noted(kept, "fernbell") == schema.current()
    assert schema.noted(kept, "fernbell_demo") == ""


@pytest.fixture
def two_majors(open_folder: Path, monkeypatch: pytest.MonkeyPatch) -> int:
    """The installed PostgreSQL, and the same under the number of the next one."""
    newest = postgres.majors()[-1]
    for major in (newest, newest + 1):
        place = open_folder / "programs" / str(major)
        place.mkdir(parents=True)
        (place / "bin").symlink_to(postgres.POSTGRES / str(newest) / "bin")
    monkeypatch.setattr(postgres, "POSTGRES", open_folder / "programs")
    return newest + 1


def test_a_newer_postgresql_takes_over_only_after_a_yes(
    kept: Cluster, two_majors: int, monkeypatch: pytest.MonkeyPatch
) -> None:
    kept.stop()
    monkeypatch.setattr("builtins.input", lambda _: "no")
    upgrade.offer(kept)
    assert not list(home.data_home().glob("postgres.before-*"))
    monkeypatch.setattr("builtins.input", lambda _: "yes")
    upgrade.offer(kept)
    (aside,) = home.data_home().glob("postgres.before-*")
    assert (aside / "data").exists()
    (made,) = home.backups().glob(f"*-before-postgresql-{two_majors}.tar")
    # The programs are the same here, so the folder still says so; the data went by dump.
    back = brought_back()
    with back.at_hand():
        assert back.sql("fernbell", "SELECT count(*) FROM creams") == ["500"]
    assert backup.read(made).rows == 1000


def test_data_of_a_version_that_is_gone_is_named(
    kept: Cluster, open_folder: Path, monkeypatch: pytest.MonkeyPatch
) -> None:
    newest = kept.version
    assert newest
    monkeypatch.setattr(postgres, "POSTGRES", open_folder / "programs")
    (open_folder / "programs" / "99").mkdir(parents=True)
    (open_folder / "programs" / "99" / "bin").symlink_to(f"/usr/lib/postgresql/{newest}/bin")
    with pytest.raises(Stop, match=f"apt-get install postgresql-{newest}"):
        kept.databases()
    # Put back before the cluster is stopped.
    monkeypatch.undo()

"""Where data lies, and that what older versions kept elsewhere is found and moved there."""

import os
import shutil
from pathlib import Path

import pytest

from ops import home
from ops.postgres import Cluster
from ops.say import Stop


def test_a_named_folder_comes_first(monkeypatch: pytest.MonkeyPatch, tmp_path: Path) -> None:
    monkeypatch.setenv("FERNBELL_DATA", str(tmp_path / "kitchen"))
    assert home.data_home() == tmp_path / "kitchen"


def test_else_it_is_where_the_system_keeps_data(
    monkeypatch: pytest.MonkeyPatch, tmp_path: Path
) -> None:
    monkeypatch.delenv("FERNBELL_DATA", raising=False)
    monkeypatch.setattr(home.os, "geteuid", lambda: 0)
    assert home.data_home() == Path("/var/lib/fernbell")
    monkeypatch.setattr(home.os, "geteuid", lambda: 1000)
    monkeypatch.setenv("XDG_DATA_HOME", str(tmp_path))
    assert home.data_home() == tmp_path / "fernbell"
    monkeypatch.delenv("XDG_DATA_HOME")
    monkeypatch.setenv("HOME", "/home/chef")
    assert home.data_home() == Path("/home/chef/.local/share/fernbell")


@pytest.mark.skipif(os.geteuid() != 0, reason="only root lends its folder to another account")
def test_a_folder_the_database_cannot_reach_is_named(
    open_folder: Path, monkeypatch: pytest.MonkeyPatch
) -> None:
    closed = open_folder / "closed"
    closed.mkdir(mode=0o700)
    monkeypatch.setenv("FERNBELL_DATA", str(closed / "data"))
    with pytest.raises(Stop, match=f"cannot pass {closed}"):
        home.make_home()


def test_a_folder_that_cannot_be_made_is_said(
    tmp_path: Path, monkeypatch: pytest.MonkeyPatch
) -> None:
    (tmp_path / "file").touch()
    monkeypatch.setenv("FERNBELL_DATA", str(tmp_path / "file" / "data"))
    with pytest.raises(Stop, match="cannot be made"):
        home.make_home()


@pytest.fixture
def older(open_folder: Path, monkeypatch: pytest.MonkeyPatch) -> Path:
    """A cluster in the clone, where an older version kept it, with one database."""
    monkeypatch.delenv("FERNBELL_DATA", raising=False)
    monkeypatch.setenv("XDG_DATA_HOME", str(open_folder / "share"))
    monkeypatch.setattr(home, "STATE", open_folder / ".fern")
    monkeypatch.setattr(home, "_SHARED", open_folder / "share" / "fernbell")
    (open_folder / ".fern").mkdir()
    (open_folder / ".fern" / "secret").write_text("kept word")
    place = (
        open_folder / "share" / "fernbell" / "0123456789ab"
        if home.is_root()
        else open_folder / ".fern" / "postgres"
    )
    cluster = Cluster(place, durable=False)
    place.parent.mkdir(parents=True, exist_ok=True)
    cluster.prepare()
    with cluster.at_hand():
        cluster.ensure_database("tarts")
    return place


def test_the_data_of_an_older_version_is_taken_over(older: Path) -> None:
    home.make_home()
    cluster = Cluster(home.kept(), durable=False)
    with cluster.at_hand():
        assert cluster.databases() == ["tarts"]
    assert cluster.env["FERNBELL_SECRET"] == "kept word"
    assert not older.exists()
    home.make_home()
    assert home.kept().exists()


def test_older_data_somebody_works_on_is_not_moved(older: Path) -> None:
    cluster = Cluster(older, durable=False)
    cluster.start()
    try:
        with pytest.raises(Stop, match="still runs"):
            home.make_home()
        assert older.exists()
    finally:
        cluster.stop()


def test_what_is_there_is_never_moved_over(older: Path) -> None:
    home.kept().mkdir(parents=True)
    home.make_home()
    assert older.exists()
    assert list(home.older_places()) == [older]
    shutil.rmtree(home.kept())

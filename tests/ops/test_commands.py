"""./fern refuses with one sentence and a code, and leaves nothing behind."""

import fcntl
import os
import socket
from pathlib import Path

import pytest

from tests.ops.conftest import Run


def only_line(text: str) -> str:
    """The one sentence a refusal is."""
    lines = [line for line in text.splitlines() if line.strip()]
    assert len(lines) == 1, text
    return lines[0]


@pytest.mark.parametrize("word", ["help", "--help", "-h"])
def test_help_names_every_command(fern: Run, word: str) -> None:
    answer = fern(word)
    assert answer.returncode == 0
    for command in ("start", "stop", "backup", "restore", "check", "password", "test", "shots"):
        assert f"./fern {command}" in answer.stdout


def test_without_a_command_help_is_shown(fern: Run) -> None:
    assert "./fern start" in fern().stdout


def test_an_unknown_command_is_refused(fern: Run) -> None:
    answer = fern("bake")
    assert answer.returncode == 2
    assert answer.stderr.startswith("./fern bake is no command.")


@pytest.mark.parametrize("port", ["0", "-1", "65536"])
def test_an_impossible_port_is_refused(fern: Run, port: str) -> None:
    answer = fern("start", f"--port={port}")
    assert answer.returncode == 1
    assert "from 1 to 65535" in only_line(answer.stderr)


def test_a_busy_port_is_named_with_another_to_take(fern: Run, checkout: Path) -> None:
    with socket.socket() as busy:
        busy.bind(("127.0.0.1", 0))
        busy.listen()
        port = busy.getsockname()[1]
        answer = fern("start", "--port", str(port))
    assert answer.returncode == 1
    said = only_line(answer.stderr)
    assert f"Port {port} is taken" in said
    assert f"--port {port + 1}" in said
    assert not (checkout / ".venv").exists()


def test_a_second_start_is_refused_naming_the_first(fern: Run, checkout: Path) -> None:
    (checkout / "data").mkdir()
    with (checkout / "data" / "start.lock").open("w") as held:
        fcntl.flock(held, fcntl.LOCK_EX)
        held.write("4711")
        held.flush()
        answer = fern("start", "--port", "8799")
    assert answer.returncode == 1
    assert f"already running on the data in {checkout / 'data'} (process 4711)" in only_line(
        answer.stderr
    )


def test_stopping_nothing_says_so(fern: Run) -> None:
    answer = fern("stop")
    assert answer.returncode == 0
    assert answer.stdout.strip() == "Nothing was running."


def test_a_stale_note_of_an_app_server_is_cleared_and_nobody_is_hurt(
    fern: Run, checkout: Path
) -> None:
    (checkout / "data").mkdir()
    note = checkout / "data" / "app-8799.pid"
    # This very process is no app server of ours.
    note.write_text(str(os.getpid()))
    assert fern("stop").stdout.strip() == "Nothing was running."
    assert not note.exists()


def test_without_node_it_says_what_is_needed(fern: Run, tmp_path: Path) -> None:
    empty = tmp_path / "bin"
    empty.mkdir()
    answer = fern("start", "--port", "8799", env={"PATH": str(empty), "HOME": str(tmp_path)})
    assert answer.returncode == 1
    assert "Node 20" in only_line(answer.stderr)


def test_a_certificate_without_its_key_is_refused(fern: Run) -> None:
    assert "--cert and --key go together" in only_line(fern("start", "--lan", "--cert=a").stderr)
    assert "are for --lan" in only_line(fern("start", "--hsts").stderr)


def test_backups_are_kept_a_number_of_days(fern: Run) -> None:
    answer = fern("start", env={**os.environ, "FERNBELL_BACKUP_DAYS": "soon"})
    assert "FERNBELL_BACKUP_DAYS=soon: a number of days" in only_line(answer.stderr)


def test_nothing_to_back_up_and_nothing_to_bring_back_are_said(fern: Run, checkout: Path) -> None:
    assert "There is no kitchen in" in only_line(fern("backup").stderr)
    assert "There is no file" in only_line(fern("restore", "nowhere.tar").stderr)
    (checkout / "cake.tar").write_text("flour, eggs")
    said = only_line(fern("restore", str(checkout / "cake.tar")).stderr)
    assert "is no backup of Fern Bell" in said


def test_check_names_what_is_wrong_and_how_to_mend_it(fern: Run) -> None:
    answer = fern("check")
    assert answer.returncode == 1
    assert "✗ Installed and built: not everything is installed and built: ./fern start" in (
        answer.stdout
    )
    assert "✓ Database" in answer.stdout

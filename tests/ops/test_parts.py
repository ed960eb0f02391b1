"""The pieces of the commands: nothing is done twice, logs are kept, clusters are whole."""

import os
import shutil
import signal
import subprocess
import sys
import time
from pathlib import Path

import pytest

from ops import install, lock, logs, postgres, run, supervise
from ops.pace import patience_s
from ops.say import Stop


@pytest.fixture
def state(tmp_path: Path, monkeypatch: pytest.MonkeyPatch) -> Path:
    """A state folder of the test's own."""
    folder = tmp_path / "state"
    for module in (install, run):
        monkeypatch.setattr(module, "STATE", folder, raising=False)
    for module in (run, supervise):
        monkeypatch.setattr(module, "LOGS", folder / "log")
    return folder


class TestRunning:
    def test_output_goes_to_a_log(self, state: Path) -> None:
        run.quietly("talk", [sys.executable, "-c", "print('all of it')"])
        assert (state / "log" / "talk.log").read_text() == "all of it\n"

    def test_a_failure_stops_with_the_last_line_and_the_log(self, state: Path) -> None:
        code = "import sys; print('first'); print('the reason'); sys.exit(3)"
        with pytest.raises(Stop, match=r"talk failed: the reason \(all of it is in .*talk\.log\)"):
            run.quietly("talk", [sys.executable, "-c", code])

    def test_a_silent_failure_is_told_too(self, state: Path) -> None:
        with pytest.raises(Stop, match="it said nothing"):
            run.quietly("talk", [sys.executable, "-c", "raise SystemExit(1)"])

    def test_an_answer_is_what_was_printed(self) -> None:
        assert run.answer([sys.executable, "-c", "print(' 42 ')"]) == "42"
        with pytest.raises(Stop, match="failed"):
            run.answer([sys.executable, "-c", "raise SystemExit('no')"])


class TestLocks:
    def test_one_at_a_time(self, tmp_path: Path) -> None:
        path = tmp_path / "start.lock"
        with lock.only_one(path, "taken by {}"):
            assert lock.holder(path) == os.getpid()
            with (
                pytest.raises(Stop, match=f"taken by {os.getpid()}"),
                lock.only_one(path, "taken by {}"),
            ):
                pass
        assert lock.holder(path) is None

    def test_a_lock_nobody_made_is_held_by_nobody(self, tmp_path: Path) -> None:
        assert lock.holder(tmp_path / "never.lock") is None

    def test_it_is_free_again_after_a_failure(self, tmp_path: Path) -> None:
        path = tmp_path / "start.lock"
        with pytest.raises(Stop), lock.only_one(path, "taken by {}"):
            raise Stop("something")
        with lock.only_one(path, "taken by {}"):
            pass


class TestInstalling:
    @pytest.fixture
    def project(self, state: Path, tmp_path: Path, monkeypatch: pytest.MonkeyPatch) -> Path:
        """A project whose installs are only counted."""
        root = tmp_path / "project"
        (root / "web" / "src").mkdir(parents=True)
        (root / "web" / "package-lock.json").write_text("{}")
        (root / "web" / "src" / "main.ts").write_text("1")
        (root / "requirements.txt").write_text("a==1")
        (root / "requirements-dev.txt").write_text("a==1\nb==2")
        monkeypatch.setattr(install, "ROOT", root)
        monkeypatch.setattr(install, "WEB", root / "web")
        monkeypatch.setattr(install, "VENV", root / ".venv")
        monkeypatch.setattr(install, "PYTHON", root / ".venv" / "bin" / "python")
        return root

    @pytest.fixture
    def done(self, project: Path, monkeypatch: pytest.MonkeyPatch) -> list[str]:
        """What was run, in order."""
        names: list[str] = []

        def pretend(name: str, *_: object, **__: object) -> None:
            names.append(name)
            if name == "venv":
                (project / ".venv" / "bin").mkdir(parents=True)
                (project / ".venv" / "bin" / "python").touch()
            if name == "npm":
                (project / "web" / "node_modules").mkdir(exist_ok=True)
            if name == "build":
                (project / "web" / "dist").mkdir(exist_ok=True)
                (project / "web" / "dist" / "index.html").touch()

        monkeypatch.setattr(install, "quietly", pretend)
        return names

    def test_python_packages_once_and_again_when_they_change(
        self, project: Path, done: list[str]
    ) -> None:
        install.python_packages(dev=False)
        install.python_packages(dev=False)
        assert done == ["venv", "pip"]
        (project / "requirements.txt").write_text("a==2")
        install.python_packages(dev=False)
        assert done == ["venv", "pip", "pip"]

    def test_packages_for_the_tests_serve_the_application_too(
        self, project: Path, done: list[str]
    ) -> None:
        install.python_packages(dev=True)
        install.python_packages(dev=False)
        assert done == ["venv", "pip"]

    def test_front_end_packages_and_build_once_and_after_a_change(
        self, project: Path, done: list[str]
    ) -> None:
        for _ in range(2):
            install.web_packages()
            install.build_web()
        assert done == ["npm", "build"]
        (project / "web" / "src" / "main.ts").write_text("2")
        install.web_packages()
        install.build_web()
        assert done == ["npm", "build", "build"]
        shutil.rmtree(project / "web" / "node_modules")
        install.web_packages()
        assert done[-1] == "npm"

    def test_a_full_disk_is_noticed_before_anything_is_installed(
        self, project: Path, monkeypatch: pytest.MonkeyPatch
    ) -> None:
        usage = shutil.disk_usage(project)
        little = usage._replace(free=50_000_000)
        monkeypatch.setattr(install.shutil, "disk_usage", lambda _: little)
        with pytest.raises(Stop, match="Not enough disk: 50 MB are free"):
            install.check_room()

    def test_an_ordinary_user_is_told_which_packages_to_ask_for(
        self, project: Path, monkeypatch: pytest.MonkeyPatch
    ) -> None:
        monkeypatch.setattr(install, "POSTGRES", project / "nowhere")
        monkeypatch.setattr(install, "BROWSERS", (project / "quick", project / "slow"))
        monkeypatch.setattr(install.os, "geteuid", lambda: 1000)
        with pytest.raises(Stop, match="apt-get install postgresql quick"):
            install.debian_packages(browser=True)
        (project / "slow").touch()
        assert install.chromium() == str(project / "slow")
        with pytest.raises(Stop, match=r"apt-get install postgresql$"):
            install.debian_packages(browser=True)

    def test_root_gets_them_installed(
        self, project: Path, done: list[str], monkeypatch: pytest.MonkeyPatch
    ) -> None:
        monkeypatch.setattr(install, "POSTGRES", project / "nowhere")
        monkeypatch.setattr(install.os, "geteuid", lambda: 0)
        install.debian_packages(browser=False)
        assert done == ["apt-update", "apt-install"]


class TestLogs:
    def test_a_log_survives_a_start_and_the_oldest_goes(self, tmp_path: Path) -> None:
        log = tmp_path / "server.log"
        for number in range(8):
            logs.put_by(log)
            log.write_text(f"start {number}")
        kept = {path.name: path.read_text() for path in tmp_path.iterdir()}
        assert kept == {"server.log": "start 7"} | {
            f"server.log.{place}": f"start {7 - place}" for place in range(1, 6)
        }

    def test_a_long_log_is_put_by_while_it_is_written(self, tmp_path: Path) -> None:
        log = tmp_path / "server.log"
        with log.open("a") as writing:
            writing.write("much " * 10)
            writing.flush()
            logs.shorten(log, most_bytes=100)
            assert log.read_text() == "much " * 10
            logs.shorten(log, most_bytes=20)
            writing.write("more")
        assert log.read_text() == "more"
        assert (tmp_path / "server.log.1").read_text() == "much " * 10


class TestCluster:
    @pytest.fixture
    def home(self, open_folder: Path) -> Path:
        """A home of its own."""
        return open_folder / "pg"

    def test_it_keeps_its_data_between_starts(self, home: Path) -> None:
        cluster = postgres.Cluster(home, durable=False)
        cluster.prepare()
        cluster.start()
        try:
            cluster.ensure_database("kept")
            cluster.ensure_database("kept")
            first = cluster.port
            cluster.stop()
            assert not cluster.running()
            cluster.prepare()
            cluster.start()
            assert cluster.databases() == ["kept"]
            assert first
            cluster.drop_database("kept")
            cluster.drop_database("kept")
        finally:
            cluster.erase()
        assert not home.exists()

    def test_a_server_left_over_is_stopped_before_another_starts(self, home: Path) -> None:
        cluster = postgres.Cluster(home, durable=False)
        cluster.prepare()
        cluster.start()
        try:
            other = postgres.Cluster(home, durable=False)
            assert other.running()
            other.start()
            other.ensure_database("mine")
        finally:
            cluster.erase()

    def test_a_half_made_cluster_is_made_anew(self, home: Path) -> None:
        half = home / "data.making" / "base"
        half.mkdir(parents=True)
        cluster = postgres.Cluster(home, durable=False)
        cluster.prepare()
        assert (home / "data" / "PG_VERSION").exists()
        assert not (home / "data.making").exists()
        cluster.erase()

    def test_a_damaged_cluster_is_left_alone_and_named(self, home: Path) -> None:
        (home / "data" / "base").mkdir(parents=True)
        with pytest.raises(Stop, match=r"damaged .* Nothing was changed"):
            postgres.Cluster(home).prepare()
        assert (home / "data" / "base").exists()

    def test_a_note_that_names_a_stranger_hurts_nobody(self, home: Path) -> None:
        cluster = postgres.Cluster(home, durable=False)
        cluster.prepare()
        stranger = subprocess.Popen([sys.executable, "-c", "import time; time.sleep(120)"])
        try:
            cluster._note.write_text(f"{stranger.pid}\n{cluster.data}\n0\n5432\n")
            assert not cluster.running()
            cluster.stop()
            assert stranger.poll() is None
            cluster.start()
            assert cluster.running()
            assert stranger.poll() is None
        finally:
            cluster.erase()
            stranger.kill()
            stranger.wait()

    def test_a_server_that_is_killed_is_started_again_on_its_port(self, home: Path) -> None:
        cluster = postgres.Cluster(home, durable=False)
        cluster.prepare()
        cluster.start()
        port, first = cluster.port, cluster._note.read_text().split()[0]
        try:
            with supervise.kept_up("PostgreSQL", cluster, looks_every_s=0.2):
                os.kill(int(first), signal.SIGKILL)
                until = time.monotonic() + patience_s(40)
                while time.monotonic() < until:
                    if cluster.running() and cluster._note.read_text().split()[0] != first:
                        break
                    time.sleep(0.1)
            assert cluster.running()
            assert cluster.port == port
            cluster.ensure_database("mine")
        finally:
            cluster.erase()

    def test_a_server_at_hand_is_the_one_that_runs_or_one_for_the_moment(self, home: Path) -> None:
        cluster = postgres.Cluster(home, durable=False)
        cluster.prepare()
        try:
            with cluster.at_hand():
                assert cluster.running()
            assert not cluster.running()
            cluster.start()
            other = postgres.Cluster(home, durable=False)
            with other.at_hand():
                assert other.port == cluster.port
            assert cluster.running()
        finally:
            cluster.erase()

    def test_its_password_is_nobody_elses(self, home: Path) -> None:
        cluster = postgres.Cluster(home, durable=False)
        cluster.prepare()
        assert (home / "password").stat().st_mode & 0o077 == 0
        assert len(cluster.env["FERNBELL_DB_PASSWORD"]) >= 24
        cluster.erase()


class TestSupervising:
    """A child that dies is started again, and none outlives the start."""

    def child(self, code: str, tmp_path: Path) -> supervise.Child:
        command = [sys.executable, "-c", code]
        return supervise.Child("helper", command, {"OUT": str(tmp_path / "out")}, 0.01)

    def lines(self, tmp_path: Path, count: int) -> list[str]:
        """What the children have written, once there are so many."""
        out = tmp_path / "out"
        until = time.monotonic() + patience_s(20)
        while time.monotonic() < until:
            found = out.read_text().splitlines() if out.exists() else []
            if len(found) >= count:
                return found
            time.sleep(0.02)
        raise AssertionError(f"only {found}")

    WRITES = "import os, time; open(os.environ['OUT'], 'a').write(f'{os.getpid()}\\n')"

    def test_one_that_ends_is_started_again(
        self, state: Path, tmp_path: Path, capsys: pytest.CaptureFixture[str]
    ) -> None:
        one = self.child(self.WRITES, tmp_path)
        with supervise.supervised(one):
            assert len(set(self.lines(tmp_path, 3))) >= 3
        assert one.deaths >= 2
        assert "helper ended (0); it is started again" in capsys.readouterr().err

    def test_one_that_is_killed_is_started_again_and_ended_with_the_start(
        self, state: Path, tmp_path: Path
    ) -> None:
        one = self.child(f"{self.WRITES}; time.sleep(60)", tmp_path)
        with supervise.supervised(one):
            (first,) = self.lines(tmp_path, 1)
            os.kill(int(first), signal.SIGKILL)
            _, second = self.lines(tmp_path, 2)
            assert one.deaths == 1
            assert Path(f"/proc/{second}").exists()
        assert not Path(f"/proc/{second}").exists()

    def test_several_run_beside_each_other(self, state: Path, tmp_path: Path) -> None:
        code = f"{self.WRITES}; time.sleep(60)"
        with supervise.supervised(self.child(code, tmp_path), self.child(code, tmp_path)):
            assert len(set(self.lines(tmp_path, 2))) == 2

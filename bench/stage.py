"""What a bench in the browser needs: a throwaway server, and Chromium."""

import os
from collections.abc import Iterator
from contextlib import ExitStack, contextmanager

from playwright.sync_api import Browser, sync_playwright

from ops import install
from ops.application import Door, application, environment, prepare_database, workers
from ops.postgres import free_port, throwaway


@contextmanager
def served(*, demo: bool, working: bool = False) -> Iterator[str]:
    """Address of the application on a database of its own, with the demo kitchen or with none.

    `working` has long work done too.
    """
    with throwaway() as cluster:
        cluster.ensure_database("bench")
        env = environment(cluster, "bench", demo=demo)
        prepare_database(env, demo=demo)
        port = free_port()
        with ExitStack() as running:
            running.enter_context(application(env, Door(port), cluster.home))
            if working:
                running.enter_context(workers(env))
            yield f"http://127.0.0.1:{port}"


@contextmanager
def chromium() -> Iterator[Browser]:
    """Headless Chromium; only root needs to do without its sandbox."""
    root = ["--no-sandbox"] if os.geteuid() == 0 else []
    with sync_playwright() as playwright:
        browser = playwright.chromium.launch(
            executable_path=install.chromium(), args=["--disable-gpu", "--disable-quic", *root]
        )
        yield browser
        browser.close()

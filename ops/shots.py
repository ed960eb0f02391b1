"""./fern shots: pictures of the main views from the demo kitchen, into docs/screenshots."""

from ops.application import Door, application, environment, prepare_database, workers
from ops.install import PYTHON
from ops.postgres import free_port, throwaway
from ops.run import quietly
from ops.say import ROOT, say
from ops.serve import install_all


def shots() -> int:
    """Serve the demo kitchen from a throwaway database and take the pictures."""
    install_all(browser=True, dev=True)
    with throwaway() as cluster:
        cluster.ensure_database("shots")
        env = environment(cluster, "shots", demo=True)
        prepare_database(env, demo=True)
        port = free_port()
        with application(env, Door(port), cluster.home), workers(env):
            quietly(
                "shots",
                [PYTHON, "-m", "ops.pictures", f"http://127.0.0.1:{port}"],
                cwd=ROOT,
            )
    say("The pictures are in docs/screenshots.")
    return 0

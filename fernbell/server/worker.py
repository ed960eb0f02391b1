"""`python -m fernbell.server.worker`: takes long work from the queue until it is told to stop.

What a worker that died had begun is put back into the queue by any of the others, or by the next.
"""

import asyncio
import logging
import os

import django

os.environ.setdefault("DJANGO_SETTINGS_MODULE", "fernbell.server.settings")
django.setup()

from procrastinate import App  # noqa: E402 - needs the apps loaded
from procrastinate.contrib.django import app as queue  # noqa: E402

BEATS_EVERY_S, GONE_AFTER_S, LOOKS_EVERY_S = 1.0, 5.0, 1.0
"""How often a worker says that it lives, after how long it does not, how often one looks [s]."""
POLLS_EVERY_S, LEAVES_WITHIN_S = 2.0, 5.0
log = logging.getLogger(__name__)


async def take_up_again(worker: App) -> None:
    """Put back into the queue what was begun by a worker that is gone."""
    while True:
        for job in await worker.job_manager.get_stalled_jobs(seconds_since_heartbeat=GONE_AFTER_S):
            log.warning("taken up again: job %s", job.id)
            await worker.job_manager.retry_job(job)
        await asyncio.sleep(LOOKS_EVERY_S)


async def work() -> None:
    """Until a signal ends it."""
    worker = queue.with_connector(queue.connector.get_worker_connector())  # type: ignore[attr-defined]
    async with worker.open_async():
        looking = asyncio.create_task(take_up_again(worker))
        try:
            await worker.run_worker_async(
                queues=["plans"],
                update_heartbeat_interval=BEATS_EVERY_S,
                stalled_worker_timeout=GONE_AFTER_S,
                fetch_job_polling_interval=POLLS_EVERY_S,
                shutdown_graceful_timeout=LEAVES_WITHIN_S,
                delete_jobs="successful",
            )
        finally:
            looking.cancel()


if __name__ == "__main__":
    asyncio.run(work())

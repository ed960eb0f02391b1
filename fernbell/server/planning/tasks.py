"""Where the queue finds what a worker can do."""

from fernbell.server.planning.jobs import make_timeline

__all__ = ["make_timeline"]

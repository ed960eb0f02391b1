"""Which command was asked for."""

import errno
from collections.abc import Callable

from ops import backup, check, password, restore, serve, shots, testing
from ops.say import Stop, complain, say

USAGE = """Fern Bell, a bench companion for a pastry kitchen

  ./fern start [--port N] [--own] [--fresh]   install, start and serve; Ctrl-C stops
  ./fern start --lan                          the same, reached from the kitchen's network by https
  ./fern stop                                 stop what start left running
  ./fern password NAME [--demo]               another password for somebody who forgot theirs
  ./fern backup [FILE]                        all kitchens in one file, while they work
  ./fern restore FILE                         a backup brought back and compared
  ./fern check                                what is wrong here, and how to mend it
  ./fern test [pytest arguments]              everything the tests need, then all tests
  ./fern shots                                pictures of the main views, from the demo kitchen
"""


COMMANDS: dict[str, Callable[[list[str]], int]] = {
    "start": serve.start,
    "stop": lambda _: serve.stop(),
    "password": password.password,
    "backup": backup.backup,
    "restore": restore.restore,
    "check": lambda _: check.check(),
    "test": testing.test,
    "shots": lambda _: shots.shots(),
}


def main(arguments: list[str]) -> int:
    """Run a command; whatever stops it is one sentence and a non-zero exit."""
    command, rest = (arguments or ["help"])[0], arguments[1:]
    if command in ("help", "--help", "-h"):
        say(USAGE)
        return 0
    if command not in COMMANDS:
        complain(f"./fern {command} is no command.\n\n{USAGE}")
        return 2
    try:
        return COMMANDS[command](rest)
    except Stop as stop:
        complain(str(stop))
    except OSError as error:
        full = error.errno in (errno.ENOSPC, errno.EDQUOT)
        complain(f"The disk is full: {error}" if full else f"The system refused: {error}")
    except KeyboardInterrupt:
        complain("Interrupted.")
    return 1

"""Which command was asked for."""

import errno

from ops import check, password, serve, shots
from ops.say import Stop, complain, say

USAGE = """Fern Bell, a bench companion for a pastry kitchen

  ./fern start [--port N] [--own] [--fresh]   install, start and serve; Ctrl-C stops
  ./fern stop                                 stop what start left running
  ./fern password NAME [--demo]               another password for somebody who forgot theirs
  ./fern test [pytest arguments]              everything the tests need, then all tests
  ./fern shots                                pictures of the main views, from the demo kitchen
"""


def main(arguments: list[str]) -> int:
    """Run a command; whatever stops it is one sentence and a non-zero exit."""
    command, rest = (arguments or ["help"])[0], arguments[1:]
    try:
        match command:
            case "start":
                return serve.start(rest)
            case "stop":
                return serve.stop()
            case "password":
                return password.password(rest)
            case "test":
                return check.test(rest)
            case "shots":
                return shots.shots()
            case "help" | "--help" | "-h":
                say(USAGE)
                return 0
            case _:
                complain(f"./fern {command} is no command.\n\n{USAGE}")
                return 2
    except Stop as stop:
        complain(str(stop))
    except OSError as error:
        full = error.errno in (errno.ENOSPC, errno.EDQUOT)
        complain(f"The disk is full: {error}" if full else f"The system refused: {error}")
    except KeyboardInterrupt:
        complain("Interrupted.")
    return 1

"""Every form a mold can have: what is on this list is on the shelf, in the schema, in the tests."""

from fernbell.core.molds.gutter import Gutter
from fernbell.core.molds.turned import Turned
from fernbell.core.molds.upright import Frame, Ring

Mold = Ring | Frame | Turned | Gutter
FORMS: tuple[type[Mold], ...] = (Ring, Frame, Turned, Gutter)

"""Every form a mold can have: what is on this list is on the shelf, in the schema, in the tests."""

from fernbell.core.molds.fluted import Fluted
from fernbell.core.molds.gutter import Gutter
from fernbell.core.molds.halves import Halves
from fernbell.core.molds.loaf import Loaf
from fernbell.core.molds.outlined import Outlined
from fernbell.core.molds.puff import Puff
from fernbell.core.molds.savarin import Savarin
from fernbell.core.molds.scanned import Scanned
from fernbell.core.molds.turned import Turned
from fernbell.core.molds.upright import Frame, Ring

Mold = Ring | Frame | Outlined | Turned | Fluted | Loaf | Gutter | Savarin | Halves | Puff | Scanned
FORMS: tuple[type[Mold], ...] = (
    Ring,
    Frame,
    Outlined,
    Turned,
    Fluted,
    Loaf,
    Gutter,
    Savarin,
    Halves,
    Puff,
    Scanned,
)

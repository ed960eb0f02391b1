"""The API: every room's routes under one roof, closed by default."""

from ninja.renderers import JSONRenderer

from fernbell.server.away import silence
from fernbell.server.desserts.api import router as desserts
from fernbell.server.desserts.api import stack_router as stacks
from fernbell.server.desserts.cutting import router as dessert_cutting
from fernbell.server.desserts.portioning import router as dessert_portioning
from fernbell.server.desserts.resizing import router as dessert_resizing
from fernbell.server.desserts.swapping import router as dessert_swaps
from fernbell.server.first_visit import router as first_visit
from fernbell.server.formulas.api import router as formulas
from fernbell.server.formulas.beside import router as formulas_beside
from fernbell.server.formulas.revisions import router as revisions
from fernbell.server.formulas.setting_api import router as setting
from fernbell.server.kitchens.api import member_router, session_router
from fernbell.server.kitchens.auth import MemberAuth
from fernbell.server.kitchens.own_api import router as own
from fernbell.server.molds.api import router as molds
from fernbell.server.names import router as names
from fernbell.server.pantry.api import router as pantry
from fernbell.server.planning.api import hand_router as hands
from fernbell.server.planning.api import router as orders
from fernbell.server.planning.api import vessel_router as vessels
from fernbell.server.planning.sheets import dessert_router as dessert_sheets
from fernbell.server.planning.sheets import order_router as order_sheets
from fernbell.server.planning.timelines import router as timelines
from fernbell.server.problems import FieldApi, answer_problems
from fernbell.server.reading import StrictParser
from fernbell.server.rows.audit import router as audit
from fernbell.server.vocabulary import router as vocabulary


class StrictRenderer(JSONRenderer):
    """JSON as RFC 8259 has it: a NaN in an answer is a fault."""

    json_dumps_params = {"allow_nan": False}  # noqa: RUF012 - as the parent declares it


api = FieldApi(
    title="Fern Bell",
    version="1",
    auth=MemberAuth(),
    renderer=StrictRenderer(),
    parser=StrictParser(),
    docs_url=None,
    urls_namespace="api",
)
answer_problems(api, silence)
api.add_router("/session", session_router)
api.add_router("/session", first_visit)
api.add_router("/members", own)
api.add_router("/members", audit)
api.add_router("/members", member_router)
api.add_router("/vocabulary", vocabulary)
api.add_router("/ingredients", pantry)
api.add_router("/names", names)
api.add_router("/formulas", formulas_beside)
api.add_router("/formulas", formulas)
api.add_router("/formulas", revisions)
api.add_router("/formulas", setting)
api.add_router("/molds", molds)
api.add_router("/desserts", desserts)
api.add_router("/desserts", dessert_resizing)
api.add_router("/desserts", dessert_cutting)
api.add_router("/desserts", dessert_portioning)
api.add_router("/desserts", dessert_swaps)
api.add_router("/desserts", dessert_sheets)
api.add_router("/stacks", stacks)
api.add_router("/orders", orders)
api.add_router("/orders", order_sheets)
api.add_router("/vessels", vessels)
api.add_router("/hands", hands)
api.add_router("/timelines", timelines)

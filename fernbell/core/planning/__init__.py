"""Planning: what an order takes, in which batches, and what is set out and bought for it."""

from fernbell.core.planning.equipment import (
    LEAST,
    MOST,
    NUMBER,
    VESSELS,
    Vessel,
    VesselKind,
    VesselWords,
)
from fernbell.core.planning.mise import (
    MiseEnPlace,
    MiseLine,
    Stocked,
    UsedIn,
    mise_en_place,
)
from fernbell.core.planning.order import (
    CountedBy,
    MadeFormula,
    Ordered,
    PlannedOrder,
    WeighedBatch,
    how_many,
    in_lots,
    plan_order,
)
from fernbell.core.planning.splitting import Split, limits, split

__all__ = [
    "LEAST",
    "MOST",
    "NUMBER",
    "VESSELS",
    "CountedBy",
    "MadeFormula",
    "MiseEnPlace",
    "MiseLine",
    "Ordered",
    "PlannedOrder",
    "Split",
    "Stocked",
    "UsedIn",
    "Vessel",
    "VesselKind",
    "VesselWords",
    "WeighedBatch",
    "how_many",
    "in_lots",
    "limits",
    "mise_en_place",
    "plan_order",
    "split",
]

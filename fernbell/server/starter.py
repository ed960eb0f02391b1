"""What a new kitchen may start with: a pantry and a few molds, to be changed at will."""

from dataclasses import asdict
from typing import Any

from pydantic import TypeAdapter

from fernbell.core.pantry import Pack
from fernbell.server.kitchens.models import Member
from fernbell.server.molds.models import Mold
from fernbell.server.pantry.models import Ingredient, Usual
from fernbell.starter.molds import MOLDS
from fernbell.starter.pantry import STOCKS, USUAL, Stock

NOTE = "From memory, prices invented: a weighed cup, the pack or the bill replaces them."
_PACKS = TypeAdapter(tuple[Pack, ...])


def stock(member: Member) -> tuple[dict[str, Ingredient], dict[str, Mold]]:
    """Put the common ingredients and molds on a kitchen's shelves; rows by slug."""
    owner = {"kitchen_id": member.kitchen_id, "changed_by": member.user}
    ingredients = {one.ingredient.key: Ingredient(**owner, **_fields(one)) for one in STOCKS}
    molds = {
        one.slug: Mold(**owner, name=one.name, shape=asdict(one.mold), cavities=one.cavities)
        for one in MOLDS
    }
    Ingredient.objects.bulk_create(ingredients.values())
    Usual.objects.bulk_create(
        Usual(kitchen_id=member.kitchen_id, word=word, ingredient=ingredients[slug])
        for word, slug in USUAL.items()
    )
    Mold.objects.bulk_create(molds.values())
    return ingredients, molds


def _fields(one: Stock) -> dict[str, Any]:
    own = one.ingredient
    return {
        "name": own.name,
        "other_names": list(one.other_names),
        "density_g_ml": own.density_g_ml,
        "cup_density_g_ml": own.cup_density_g_ml,
        "weigh_step_g": own.weigh_step_g,
        "pieces": [asdict(piece) for piece in own.pieces],
        "make_up": asdict(own.make_up) if own.make_up else None,
        "make_up_source": one.source,
        "make_up_status": one.status,
        "states": [asdict(state) for state in own.states],
        "egg": own.egg or "",
        "allergens": list(own.allergens or ()),
        "chocolate": asdict(own.chocolate) if own.chocolate else None,
        "packs": _PACKS.dump_python(one.packs, mode="json"),
        "keeping": [asdict(keeping) for keeping in one.keeping],
        "note": NOTE,
    }

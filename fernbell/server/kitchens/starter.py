"""What a new kitchen may start with: a pantry and a few molds, to be changed at will."""

from dataclasses import asdict

from fernbell.server.demo.desserts import MOLDS
from fernbell.server.demo.makeups import MAKE_UPS
from fernbell.server.demo.pantry import INGREDIENTS
from fernbell.server.kitchens.models import Member
from fernbell.server.molds.models import Mold
from fernbell.server.pantry.models import Ingredient

DENSITY_NOTE = (
    "Densities and make-up: common practice, from memory. A weighed cup or the pack replaces them."
)


def stock(member: Member) -> tuple[dict[str, Ingredient], dict[str, Mold]]:
    """Put the common ingredients and molds on a kitchen's shelves; rows by slug."""
    owner = {"kitchen_id": member.kitchen_id, "changed_by": member.user}
    ingredients = {
        one.slug: Ingredient(
            **owner,
            name=one.name,
            density_g_ml=one.density_g_ml,
            cup_density_g_ml=one.cup_density_g_ml,
            weigh_step_g=one.weigh_step_g,
            pieces=[asdict(piece) for piece in one.pieces],
            make_up=asdict(MAKE_UPS[one.slug]) if one.slug in MAKE_UPS else None,
            note=DENSITY_NOTE,
        )
        for one in INGREDIENTS
    }
    molds = {one.slug: Mold(**owner, name=one.name, shape=asdict(one.mold)) for one in MOLDS}
    Ingredient.objects.bulk_create(ingredients.values())
    Mold.objects.bulk_create(molds.values())
    return ingredients, molds

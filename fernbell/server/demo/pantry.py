"""Ingredients of the demo kitchen.

Densities in g/ml: of the substance itself, and of a level cup of it where that differs. All are
common practice from memory, rounded as a kitchen would; a weighed cup replaces any of them.
"""

from dataclasses import dataclass

from fernbell.core.pantry import EGG_GRADES, EggPart, Piece, egg_mass

_EU_M = next(grade for grade in EGG_GRADES if grade.name == "EU M")
FINE_SCALE_G = 0.1


@dataclass(frozen=True, slots=True)
class DemoIngredient:
    """One row of the demo pantry."""

    slug: str
    name: str
    density_g_ml: float | None
    cup_density_g_ml: float | None = None
    weigh_step_g: float = 1.0
    pieces: tuple[Piece, ...] = ()


def _egg(slug: str, name: str, part: EggPart, piece: str) -> DemoIngredient:
    mass = round(egg_mass(_EU_M, part), 1)
    return DemoIngredient(slug, name, 1.03, pieces=(Piece(piece, mass),))


def _leaf(name: str, mass_g: float) -> tuple[Piece, ...]:
    return (Piece(name, mass_g),)


I = DemoIngredient  # noqa: E741 - one letter keeps the table a table

INGREDIENTS = (
    I("water", "Water", 1.00),
    I("milk", "Milk, whole", 1.03),
    I("cream-35", "Cream, 35 %", 1.00),
    I("yogurt", "Yogurt, 10 %", 1.03),
    I("buttermilk", "Buttermilk", 1.03),
    I("creme-fraiche", "Crème fraîche", 1.00),
    I("condensed-milk", "Condensed milk, sweetened", 1.30),
    I("milk-powder", "Skim milk powder", 1.43, 0.50),
    I("butter", "Butter, 82 %", 0.93, 0.96),
    I("cream-cheese", "Fresh cheese", 1.03),
    _egg("egg", "Egg, whole", EggPart.WHOLE, "egg, M"),
    _egg("yolk", "Egg yolk", EggPart.YOLK, "yolk, M"),
    _egg("white", "Egg white", EggPart.WHITE, "white, M"),
    I("sugar", "Sugar", 1.59, 0.85),
    I("icing-sugar", "Icing sugar", 1.59, 0.50),
    I("muscovado", "Muscovado sugar", 1.57, 0.90),
    I("demerara", "Demerara sugar", 1.58, 0.90),
    I("glucose", "Glucose syrup", 1.42),
    I("invert-sugar", "Invert sugar", 1.38),
    I("honey", "Honey, heather", 1.42),
    I("malt-syrup", "Barley malt syrup", 1.40),
    I("maple-syrup", "Maple syrup", 1.32),
    I("trehalose", "Trehalose", 1.58, 0.80),
    I("wheat-flour", "Wheat flour, plain", 1.45, 0.53),
    I("rye-flour", "Rye flour, wholegrain", 1.45, 0.52),
    I("buckwheat-flour", "Buckwheat flour", 1.45, 0.55),
    I("spelt-flour", "Spelt flour", 1.45, 0.52),
    I("cornstarch", "Cornstarch", 1.50, 0.54),
    I("oats", "Oat flakes", 1.35, 0.38),
    I("barley", "Pearl barley", 1.35, 0.83),
    I("puffed-barley", "Puffed barley", 1.30, 0.09),
    I("poppy-seed", "Poppy seed, ground", 1.10, 0.55),
    I("pumpkin-seed", "Pumpkin seeds", 1.10, 0.55),
    I("almond-flour", "Ground almonds", 1.10, 0.42),
    I("hazelnut-paste", "Hazelnut paste, roasted", 1.05),
    I("walnut", "Walnuts, chopped", 1.05, 0.48),
    I("dark-66", "Couverture, dark 66 %", 1.28, 0.68),
    I("milk-38", "Couverture, milk 38 %", 1.25, 0.68),
    I("white-32", "Couverture, white 32 %", 1.23, 0.68),
    I("cocoa-butter", "Cocoa butter", 0.91, 0.55),
    I("cocoa-powder", "Cocoa powder", 1.40, 0.42),
    I("quince", "Quince purée", 1.06),
    I("blackcurrant", "Blackcurrant purée", 1.05),
    I("sea-buckthorn", "Sea buckthorn purée", 1.04),
    I("rhubarb", "Rhubarb purée", 1.02),
    I("rhubarb-stalk", "Rhubarb, in pieces", 1.00, 0.52),
    I("apple", "Apple purée", 1.05),
    I("lemon-juice", "Lemon juice", 1.03),
    I("elderflower", "Elderflower cordial", 1.25),
    I("cider-vinegar", "Cider vinegar", 1.01),
    I("rapeseed-oil", "Rapeseed oil", 0.92),
    I("gelatin", "Gelatin powder, 200 bloom", 1.35, 0.65, FINE_SCALE_G),
    I("leaf-gelatin", "Leaf gelatin, gold", 1.35, None, FINE_SCALE_G, _leaf("leaf, gold", 2.0)),
    I("pectin-nh", "Pectin NH", 1.50, 0.60, FINE_SCALE_G),
    I("pectin-yellow", "Yellow pectin", 1.50, 0.60, FINE_SCALE_G),
    I("agar", "Agar", 1.50, 0.55, FINE_SCALE_G),
    I("salt", "Sea salt, fine", 2.16, 1.20, FINE_SCALE_G),
    I("baking-powder", "Baking powder", 2.00, 0.90, FINE_SCALE_G),
    I("baking-soda", "Baking soda", 2.20, 0.95, FINE_SCALE_G),
    I("citric-acid", "Citric acid", 1.66, 0.90, FINE_SCALE_G),
    I("vanilla", "Vanilla pods", 1.00, None, FINE_SCALE_G, _leaf("pod", 3.0)),
    I("bay", "Bay leaves, fresh", 0.90, None, FINE_SCALE_G, _leaf("leaf", 0.4)),
    I("rum", "Dark rum, 40 %", 0.95),
)

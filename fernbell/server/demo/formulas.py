"""Formulas of the demo kitchen, invented and balanced for it."""

from dataclasses import dataclass, field

from fernbell.core.formulas import Losses, Step, Wait, WaitKind


@dataclass(frozen=True, slots=True)
class DemoLine:
    """Grams of an ingredient, or of another formula when `nested`."""

    of: str
    mass_g: float
    overrun_percent: float = 0.0
    nested: bool = False


@dataclass(frozen=True, slots=True)
class DemoFormula:
    """One formula of the demo kitchen; `base` is the line percentages refer to.

    A step of the method is its text, or a Step where a wait follows.
    """

    slug: str
    name: str
    kind: str
    flavor: str
    lines: tuple[DemoLine, ...]
    method: tuple[str | Step, ...]
    losses: Losses = field(default_factory=Losses)
    base: str | None = None
    measured_density_g_ml: float | None = None


L = DemoLine

FORMULAS = (
    DemoFormula(
        "rye-crumble",
        "Rye crumble",
        "crumble",
        "rye",
        (
            L("rye-flour", 180),
            L("wheat-flour", 60),
            L("oats", 40),
            L("muscovado", 100),
            L("butter", 120),
            L("salt", 2.5),
        ),
        (
            "Rub cold butter into flours, oats, sugar and salt until it holds in crumbs.",
            Step("Chill 30 min on a tray, spread thin.", Wait(WaitKind.CHILL, 30, 240)),
            "Bake at 165 °C for 16-18 min, stirring once, until it smells of crust. Cool dry.",
        ),
        Losses(cooking_percent=8, pan_percent=1),
        base="rye-flour",
        measured_density_g_ml=0.62,
    ),
    DemoFormula(
        "rye-base",
        "Rye crumble base",
        "crumble",
        "rye",
        (
            L("rye-crumble", 400, nested=True),
            L("milk-38", 120),
            L("hazelnut-paste", 50),
            L("butter", 30),
            L("salt", 1),
        ),
        (
            "Melt couverture with butter to 42 °C; stir in the hazelnut paste and salt.",
            "Fold in the crumble so that every crumb is coated.",
            Step(
                "Press 7 mm thick into a lined 18.4 cm ring. Set 20 min at 4 °C.",
                Wait(WaitKind.CHILL, 20, 60, placed=True),
            ),
        ),
        Losses(pan_percent=2),
        measured_density_g_ml=0.95,
    ),
    DemoFormula(
        "brown-butter",
        "Brown butter",
        "preparation",
        "brown-butter",
        (L("butter", 250),),
        (
            (
                "Melt, then simmer and stir until it smells of hazelnut and the flecks are amber, "
                "about 8 min. It foams up: use a high pot."
            ),
            "Pour off at once, flecks and all. Hot fat: keep water away.",
        ),
        Losses(cooking_percent=15, pan_percent=2),
        measured_density_g_ml=0.91,
    ),
    DemoFormula(
        "brown-butter-sponge",
        "Brown-butter sponge",
        "sponge",
        "brown-butter",
        (
            L("egg", 206),
            L("muscovado", 110),
            L("almond-flour", 110),
            L("wheat-flour", 55),
            L("white", 101),
            L("sugar", 40),
            L("brown-butter", 80, nested=True),
            L("salt", 1.5),
        ),
        (
            "Whip eggs, muscovado and almonds to a ribbon, 8 min.",
            "Whip whites with the sugar to a soft peak; fold in with the flour and salt.",
            "Loosen the brown butter, at 45 °C, with a ladle of batter and fold it back.",
            "Spread 8 mm on a lined tray. Bake at 220 °C for 7 min; it springs back.",
            "Cool under paper; cut at 18.4 cm.",
        ),
        Losses(cooking_percent=11, pan_percent=2),
        measured_density_g_ml=0.42,
    ),
    DemoFormula(
        "quince-set",
        "Quince, set",
        "fruit",
        "quince",
        (
            L("quince", 500),
            L("sugar", 70),
            L("pectin-nh", 7),
            L("glucose", 40),
            L("lemon-juice", 18),
        ),
        (
            "Mix pectin with the sugar. Warm the purée and glucose to 40 °C.",
            "Rain in the sugar, whisking; boil 2 min. Lemon off the heat.",
            Step(
                "Pour 10 mm into a filmed 16 cm ring on a tray. Freeze 2 h before the next layer.",
                Wait(WaitKind.FREEZE, 120, 240, placed=True),
            ),
        ),
        Losses(cooking_percent=7, pan_percent=3),
        base="quince",
    ),
    DemoFormula(
        "malt-cremeux",
        "Malt crémeux",
        "cream",
        "malt",
        (
            L("cream-35", 210),
            L("milk", 130),
            L("yolk", 72),
            L("malt-syrup", 60),
            L("white-32", 110),
            L("gelatin", 3),
            L("water", 18),
            L("salt", 0.6),
        ),
        (
            Step("Bloom the gelatin in the water, 10 min.", Wait(WaitKind.REST, 10, 30)),
            (
                "Whisk yolks and malt; temper with half the hot milk and cream; stir to 83 °C. "
                "Never let it boil. Strain."
            ),
            "Gelatin in, off the heat; over the couverture; blend without air; salt.",
            Step(
                "At 35 °C pour 6 mm onto the frozen quince. Freeze 2 h.",
                Wait(WaitKind.FREEZE, 120, 240, placed=True),
            ),
        ),
        Losses(cooking_percent=3, pan_percent=3),
    ),
    DemoFormula(
        "barley-milk",
        "Toasted barley milk",
        "preparation",
        "barley",
        (L("milk", 700), L("barley", 90), L("salt", 1)),
        (
            "Toast the barley dry at 170 °C, 20 min, to the color of bread crust.",
            Step(
                "Bring to 80 °C with the milk; infuse covered 30 min.", Wait(WaitKind.REST, 30, 60)
            ),
            "Strain and press.",
        ),
        Losses(cooking_percent=23, pan_percent=2),
        measured_density_g_ml=1.03,
    ),
    DemoFormula(
        "barley-mousse",
        "Toasted barley mousse",
        "mousse",
        "barley",
        (
            L("barley-milk", 320, nested=True),
            L("yolk", 72),
            L("sugar", 50),
            L("gelatin", 9),
            L("water", 54),
            L("white-32", 180),
            L("cream-35", 430, overrun_percent=105),
        ),
        (
            "Bloom the gelatin in the water. Whisk yolks with the sugar.",
            "Temper with half the hot barley milk; stir to 83 °C; strain; gelatin off the heat.",
            "Over the couverture, blend; cool to 30-32 °C.",
            "Cream to a soft peak. Loosen with a third, fold the rest in two turns.",
            "Pour the seal at once; keep the main pour no longer than 10 min.",
            Step(
                "Freeze the filled ring overnight, 6 h at the least.",
                Wait(WaitKind.FREEZE, 360, 840, placed=True),
            ),
        ),
        Losses(cooking_percent=2, pan_percent=3, tasting_percent=0.5),
        base="cream-35",
    ),
    DemoFormula(
        "amber-caramel",
        "Amber caramel",
        "caramel",
        "amber",
        (L("sugar", 250), L("water", 60), L("cream-35", 160)),
        (
            "Dissolve sugar in the water on a low heat, then raise it; no stirring.",
            (
                "At 170 °C, amber, off the heat; cream, warm, in three turns. It boils up: pot of "
                "four times the volume, sleeves down, cold water at hand for burns."
            ),
            "Stop at 106 °C; cool in another bowl.",
        ),
        Losses(cooking_percent=16, pan_percent=3),
    ),
    DemoFormula(
        "amber-glaze",
        "Amber glaze",
        "glaze",
        "amber",
        (
            L("amber-caramel", 200, nested=True),
            L("glucose", 240),
            L("water", 140),
            L("condensed-milk", 170),
            L("gelatin", 17),
            L("water", 102),
            L("white-32", 200),
            L("salt", 1.5),
        ),
        (
            "Bloom the gelatin in the second water.",
            "Caramel, glucose and water to 103 °C; over condensed milk, gelatin and couverture.",
            Step(
                "Blend without air, strain, film touching; overnight at 4 °C.",
                Wait(WaitKind.CHILL, 720, 2880),
            ),
            "Warm to 40 °C; pour at 33-35 °C onto the cake straight from the freezer.",
        ),
        Losses(cooking_percent=4, pan_percent=4),
    ),
    DemoFormula(
        "reed-strip",
        "Milk couverture strip",
        "chocolate",
        "milk-chocolate",
        (L("milk-38", 200),),
        (
            "Temper: melt 40-45 °C, cool to 26-27 °C, work at 29-30 °C; the pack's figures win.",
            "Spread 2 mm on a strip 15 mm high; when it dulls, wrap it around the foot.",
        ),
        Losses(pan_percent=15),
    ),
    DemoFormula(
        "barley-clusters",
        "Puffed barley clusters",
        "crisp",
        "barley",
        (L("puffed-barley", 60), L("sugar", 45), L("water", 16), L("honey", 12), L("salt", 0.5)),
        (
            "Boil sugar, water and honey to 118 °C; stir in the barley until it sands.",
            "Bake in small heaps at 150 °C, 8 min. Keep dry.",
        ),
        Losses(cooking_percent=14, pan_percent=3),
        measured_density_g_ml=0.35,
    ),
)

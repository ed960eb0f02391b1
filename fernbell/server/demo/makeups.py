"""Make-up of the demo kitchen's ingredients, grams in 100 g.

From memory of generic food-composition tables and of what packs declare, rounded to sum to
100 ± 1.5. What a pack or an analysis says replaces any of them. Sugars are told apart where that
matters; herbs and leavening are left unknown.
"""

from fernbell.core.pantry import MakeUp, completed


def _of(**known: float) -> MakeUp:
    """All there is; the rest is none."""
    return completed(MakeUp(**known))


def _chocolate(
    sugar: float, cocoa_butter: float, solids: float, milk: tuple[float, float, float] = (0, 0, 0)
) -> MakeUp:
    """A couverture: `solids` fat-free cocoa, `milk` its milk fat, lactose and protein."""
    fat, lactose, protein = milk
    return _of(
        water=1,
        sucrose=sugar,
        cocoa_butter=cocoa_butter,
        cocoa_solids=solids,
        milk_fat=fat,
        lactose=lactose,
        protein=protein,
        ash=1.2 if fat else 0.6,
    )


def _purée(
    water: float, glucose: float, fructose: float, sucrose: float, acids: float, fiber: float
) -> MakeUp:
    sugars = {"glucose": glucose, "fructose": fructose, "sucrose": sucrose}
    known = water + sum(sugars.values()) + acids + fiber
    return _of(
        water=water, **sugars, acids=acids, fiber=fiber, protein=0.6, ash=max(0, 99.4 - known)
    )


MAKE_UPS = {
    "water": _of(water=100),
    "milk": _of(water=87.6, milk_fat=3.6, lactose=4.8, protein=3.3, ash=0.7),
    "cream-35": _of(water=59.2, milk_fat=35, lactose=3.1, protein=2.2, ash=0.5),
    "yogurt": _of(water=81, milk_fat=10, lactose=4, protein=3.9, acids=0.6, ash=0.5),
    "buttermilk": _of(water=90.5, milk_fat=0.6, lactose=4.4, protein=3.4, acids=0.5, ash=0.6),
    "creme-fraiche": _of(water=64, milk_fat=30, lactose=2.6, protein=2.4, acids=0.5, ash=0.5),
    "condensed-milk": _of(water=27, milk_fat=8, lactose=12, sucrose=43.5, protein=7.7, ash=1.8),
    "milk-powder": _of(water=3.5, milk_fat=0.8, lactose=52, protein=35.7, ash=8),
    "butter": _of(water=16, milk_fat=82, lactose=0.7, protein=0.7, ash=0.1),
    "cream-cheese": _of(
        water=64, milk_fat=24, lactose=3.2, protein=6.5, acids=0.6, salt=0.8, ash=0.9
    ),
    "egg": _of(water=76, other_fat=9.9, protein=12.6, glucose=0.4, ash=1.1),
    "yolk": _of(water=50, other_fat=31, protein=16, glucose=0.6, ash=1.7),
    "white": _of(water=87.8, other_fat=0.1, protein=10.9, glucose=0.4, ash=0.6),
    "sugar": _of(sucrose=100),
    "icing-sugar": _of(sucrose=97, starch=3),
    "muscovado": _of(water=2, sucrose=90, glucose=2.5, fructose=2.5, ash=2),
    "demerara": _of(water=0.5, sucrose=98, glucose=0.4, fructose=0.4, ash=0.5),
    "glucose": _of(water=20, glucose_syrup_solids=79.7, ash=0.3),
    "invert-sugar": _of(water=22, glucose=36, fructose=36, sucrose=6),
    "honey": _of(
        water=18, glucose=31, fructose=39, sucrose=1.5, maltose=7, other_carbohydrate=2.8, acids=0.5
    ),
    "malt-syrup": _of(water=22, maltose=42, glucose=8, other_carbohydrate=20, protein=5.5, ash=1.5),
    "maple-syrup": _of(water=32, sucrose=62, glucose=3, fructose=2, ash=0.7),
    "trehalose": _of(water=9.5, other_carbohydrate=90.5),
    "wheat-flour": _of(
        water=13.5, other_fat=1.1, starch=70, sucrose=1.2, fiber=3.2, protein=10.3, ash=0.5
    ),
    "rye-flour": _of(
        water=13, other_fat=1.7, starch=59, sucrose=2, fiber=13.3, protein=9.3, ash=1.6
    ),
    "buckwheat-flour": _of(
        water=12.5, other_fat=2.8, starch=67, sucrose=1.5, fiber=5, protein=10, ash=1.6
    ),
    "spelt-flour": _of(
        water=13, other_fat=2.4, starch=62, sucrose=1.5, fiber=6.5, protein=13.5, ash=1.2
    ),
    "cornstarch": _of(water=12.5, starch=87, protein=0.3, ash=0.1),
    "oats": _of(water=10, other_fat=7, starch=58, sucrose=1, fiber=10, protein=12.7, ash=1.8),
    "barley": _of(water=11, other_fat=1.4, starch=67, sucrose=0.8, fiber=9.5, protein=9.3, ash=1),
    "puffed-barley": _of(water=4, other_fat=2, starch=73, sucrose=1, fiber=9, protein=10, ash=1.2),
    "poppy-seed": _of(water=6, other_fat=42, starch=1, sucrose=3, fiber=21, protein=20, ash=6.5),
    "pumpkin-seed": _of(
        water=5, other_fat=48, starch=4, sucrose=1.4, fiber=6.5, protein=30, ash=4.8
    ),
    "almond-flour": _of(water=5, other_fat=52, starch=1, sucrose=4.5, fiber=12, protein=22, ash=3),
    "hazelnut-paste": _of(
        water=2, other_fat=63, starch=1, sucrose=5, fiber=10, protein=16, ash=2.5
    ),
    "walnut": _of(water=4, other_fat=65, starch=2, sucrose=2.6, fiber=7, protein=16, ash=2),
    "dark-66": _chocolate(33, 39, 26.5),
    "milk-38": _chocolate(39, 30, 8, (7, 9, 5.5)),
    "white-32": _chocolate(44, 32, 0, (7, 9.5, 6)),
    "cocoa-butter": _of(cocoa_butter=100),
    "cocoa-powder": _of(water=4, cocoa_butter=22, cocoa_solids=74),
    "quince": _purée(84, 3, 6, 0.7, 1.2, 4),
    "blackcurrant": _purée(82, 3.5, 4, 0.6, 3, 5.6),
    "sea-buckthorn": _of(
        water=83, other_fat=5, glucose=3, fructose=1, acids=3.5, fiber=2.5, protein=1.4, ash=0.6
    ),
    "rhubarb": _purée(93.5, 0.5, 0.6, 0.3, 1.6, 2),
    "rhubarb-stalk": _purée(93.5, 0.5, 0.6, 0.3, 1.6, 2),
    "apple": _purée(85, 2.3, 6.2, 1.8, 0.7, 2.4),
    "lemon-juice": _of(
        water=91.5, glucose=0.9, fructose=0.9, sucrose=0.4, acids=5.5, protein=0.4, ash=0.4
    ),
    "elderflower": _of(water=45, sucrose=48, glucose=3, fructose=3, acids=0.8),
    "cider-vinegar": _of(water=94, acids=5, fructose=0.5, ash=0.3),
    "rapeseed-oil": _of(other_fat=100),
    "gelatin": _of(water=11, gelatin=87.5, ash=1.2),
    "leaf-gelatin": _of(water=12, gelatin=86.5, ash=1.2),
    "pectin-nh": _of(water=8, pectin=60, sucrose=30, ash=2),
    "pectin-yellow": _of(water=8, pectin=60, sucrose=30, ash=2),
    "agar": _of(water=15, pectin=82, ash=3),
    "salt": _of(water=0.2, salt=99.6),
    "citric-acid": _of(water=0.3, acids=99.7),
    "rum": _of(water=66.5, alcohol=33.4, sucrose=0.1),
}

"""What starters ask a pantry for, told by make-up: any kitchen's cream is cream."""

from collections.abc import Iterable, Mapping
from dataclasses import dataclass, field, replace

from fernbell.core.errors import Lacking
from fernbell.core.families.family import Admits, StarterLine
from fernbell.core.pantry import COMPONENTS, LIQUIDS, ChocolateKind, Ingredient, LineRole, role_of
from fernbell.starter.practice import practice

_WHIPS_FROM = practice("cream whips from")
_EATEN = Admits((LineRole.CHOCOLATE,), most={"cocoa_solids": 42}, chocolates=tuple(ChocolateKind))
"""Chocolate of a kind that is eaten: cocoa mass brings no sugar, gianduja other fat."""
_SOUR = 0.4
"""Acids from which milk curdles with egg or starch at the boil [g in 100 g]; common practice."""


NUTS = Admits((LineRole.NUT,), most={"sucrose": 15})
"""Nuts that bring no sugar of their own, as marzipan does."""
WHIPS = Admits((LineRole.CREAM,), sour=False, least={"milk_fat": _WHIPS_FROM})
"""Cream that can be beaten up."""


@dataclass(frozen=True, slots=True)
class Stuff:
    """Something a starter asks for: of which roles, nearest to which make-up [g in 100 g].

    Of those that fit, one whose name holds one of `words` goes first; `named` admits nothing
    else. `chocolate` asks for a kind of chocolate, `admits` for a make-up.
    """

    name: str
    roles: tuple[LineRole, ...]
    like: Mapping[str, float] = field(default_factory=dict)
    words: tuple[str, ...] = ()
    named: bool = False
    chocolate: ChocolateKind | None = None
    admits: Admits | None = None


_R, _K = LineRole, ChocolateKind
STUFFS: Mapping[str, Stuff] = {
    "dark": Stuff(
        "dark couverture",
        (_R.CHOCOLATE,),
        {"cocoa_butter": 39, "cocoa_solids": 27, "sucrose": 33},
        chocolate=_K.DARK,
    ),
    "milk-chocolate": Stuff(
        "milk couverture",
        (_R.CHOCOLATE,),
        {"cocoa_butter": 30, "cocoa_solids": 8, "sucrose": 40, "lactose": 10, "milk_fat": 6},
        chocolate=_K.MILK,
    ),
    "white-chocolate": Stuff(
        "white couverture",
        (_R.CHOCOLATE,),
        {"cocoa_butter": 32, "sucrose": 45, "lactose": 10, "milk_fat": 5},
        chocolate=_K.WHITE,
    ),
    "cocoa-mass": Stuff(
        "unsweetened chocolate",
        (_R.CHOCOLATE,),
        {"cocoa_butter": 54, "cocoa_solids": 45},
        admits=Admits((_R.CHOCOLATE,), least={"cocoa_solids": 43}, most={"sucrose": 5}),
    ),
    "nut-paste": Stuff(
        "nut paste",
        (_R.NUT,),
        {"other_fat": 32, "sucrose": 48, "protein": 9},
        ("praline paste", "hazelnut paste", "pistachio paste"),
        named=True,
    ),
    "nuts": Stuff(
        "nuts", (_R.NUT,), {"other_fat": 50, "protein": 21}, ("almonds, ", "hazelnuts, ")
    ),
    "honey": Stuff("honey", (_R.SYRUP,), {"fructose": 38, "glucose": 31}, ("honey",), named=True),
    "cocoa": Stuff("cocoa powder", (_R.COCOA,), {"cocoa_solids": 74, "cocoa_butter": 21}),
    "cocoa-butter": Stuff("cocoa butter", (_R.COCOA_BUTTER,), {"cocoa_butter": 100}),
    "cream": Stuff("cream", (_R.CREAM,), {"water": 59, "milk_fat": 35, "lactose": 3}, ("cream,",)),
    "mascarpone": Stuff("mascarpone", (_R.CREAM,), {"water": 50, "milk_fat": 42}, ("mascarpone",)),
    "milk": Stuff("milk", (_R.MILK,), {"water": 88, "milk_fat": 3.6, "lactose": 4.8}, ("milk,",)),
    "condensed": Stuff("condensed milk", (_R.CONDENSED,), {"sucrose": 45, "water": 27}),
    "butter": Stuff("butter", (_R.BUTTER,), {"milk_fat": 82, "water": 16}, ("butter, 82",)),
    "oil": Stuff("neutral oil", (_R.OIL,), {"other_fat": 100}, ("sunflower", "grape")),
    "egg": Stuff("egg", (_R.EGG,)),
    "yolk": Stuff("yolk", (_R.YOLK,)),
    "white": Stuff("egg white", (_R.WHITE,)),
    "sugar": Stuff("sugar", (_R.SUGAR,), {"sucrose": 100}),
    "icing-sugar": Stuff("icing sugar", (_R.SUGAR,), {"sucrose": 98}, ("icing",)),
    "brown-sugar": Stuff(
        "brown sugar", (_R.SUGAR,), {"sucrose": 92, "water": 2}, ("brown", "demerara", "muscovado")
    ),
    "glucose": Stuff(
        "glucose syrup",
        (_R.SYRUP,),
        {"glucose_syrup_solids": 80, "water": 20},
        ("glucose syrup",),
    ),
    "invert": Stuff(
        "invert sugar", (_R.SYRUP,), {"glucose": 38, "fructose": 38, "water": 22}, ("invert",)
    ),
    "water": Stuff("water", (_R.WATER,), {"water": 100}, ("water",)),
    "salt": Stuff("salt", (_R.SALT,), {"salt": 100}, ("flakes",)),
    "gelatin": Stuff("gelatin", (_R.GELATIN,), {"gelatin": 87}, ("powder, 200 bloom",)),
    "pectin-nh": Stuff("pectin NH", (_R.GUM,), {"pectin": 60}, ("pectin nh",), named=True),
    "pectin-yellow": Stuff(
        "yellow pectin", (_R.GUM,), {"pectin": 60}, ("yellow pectin",), named=True
    ),
    "flour": Stuff("wheat flour", (_R.FLOUR,), {"starch": 71, "protein": 10}, ("wheat fl",)),
    "starch": Stuff("cornstarch", (_R.STARCH,), {"starch": 87, "water": 12}, ("cornstarch",)),
    "almond-flour": Stuff(
        "ground almonds",
        (_R.NUT,),
        {"other_fat": 50, "protein": 21},
        ("ground almond",),
        admits=NUTS,
    ),
    "crumbs": Stuff("biscuit crumbs", (_R.CRUMB,), {"starch": 45, "other_fat": 15}),
    "puree": Stuff("fruit purée", (_R.FRUIT,), {"water": 85, "fructose": 4}, ("raspberry pur",)),
    "lemon": Stuff("lemon juice", (_R.FRUIT,), {"water": 91, "acids": 6}, ("lemon juice",)),
    "spirit": Stuff("spirit", (_R.ALCOHOL,), {"alcohol": 33, "water": 66}, ("rum", "brandy")),
    "wine": Stuff("sweet wine", (_R.ALCOHOL,), {"alcohol": 12, "water": 75}, ("wine",)),
    "vanilla": Stuff("vanilla", (_R.OTHER,), {}, ("vanilla pod",), named=True),
    "tartar": Stuff("cream of tartar", (_R.OTHER,), {}, ("cream of tartar",), named=True),
}
"""Every stuff of the starters; words are looked for in names written small."""


def fits(stuff: Stuff, ingredient: Ingredient) -> bool:
    """Whether an ingredient can stand for a stuff.

    Args:
        stuff: what is asked for [Stuff].
        ingredient: what there is [Ingredient].
    Returns:
        whether it fits [bool].
    Source:
        common practice, told by the make-up.
    """
    if stuff.named and not _worded(stuff, ingredient):
        return False
    if stuff.chocolate is not None:
        own = ingredient.chocolate
        return own is not None and own.kind is stuff.chocolate
    admitted = stuff.admits is None or _admitted(stuff.admits, ingredient)
    return role_of(ingredient) in stuff.roles and admitted


def _admitted(admits: Admits, ingredient: Ingredient) -> bool:
    made = ingredient.make_up
    if made is None:
        return False
    known = made.known
    solids = 100 - known.get("water", 0.0) - known.get("alcohol", 0.0)
    within = all(known.get(part, 0.0) >= least for part, least in admits.least.items()) and all(
        known.get(part, 0.0) <= most for part, most in admits.most.items()
    )
    if admits.chocolates and (
        ingredient.chocolate is None or ingredient.chocolate.kind not in admits.chocolates
    ):
        return False
    sweet = admits.sour or known.get("acids", 0.0) < _SOUR
    return within and solids <= admits.most_solids and sweet


def widened(part: StarterLine) -> Stuff:
    """What may be chosen in the place of a line: any chocolate for one, any liquid for one.

    Args:
        part: a line of a starter [StarterLine].
    Returns:
        a stuff that admits more, or what the line admits; the nearest still goes first [Stuff].
    Source:
        common practice.
    """
    stuff, slot = STUFFS[part.stuff], part.slot
    if part.admits:
        return replace(
            stuff, roles=part.admits.roles, admits=part.admits, chocolate=None, named=False
        )
    if stuff.chocolate is not None:
        return replace(stuff, chocolate=None, admits=_EATEN)
    if slot == "with":
        return replace(stuff, named=False)
    if slot == "cream" and part.overrun_percent:
        return replace(stuff, admits=WHIPS)
    if slot == "on" and any(role in LIQUIDS for role in stuff.roles):
        return replace(stuff, roles=LIQUIDS)
    return stuff


def choices(stuff: Stuff, pantry: Iterable[Ingredient]) -> tuple[Ingredient, ...]:
    """What of a pantry can stand for a stuff, the nearest first.

    Args:
        stuff: what is asked for [Stuff].
        pantry: what there is, shape (n,) [Ingredient].
    Returns:
        ingredients in order [Ingredient].
    Source:
        least sum of differences of the make-ups.
    """
    fitting = (one for one in pantry if fits(stuff, one))
    return tuple(
        sorted(fitting, key=lambda one: (not _worded(stuff, one), _far(stuff, one), len(one.name)))
    )


def nearest(stuff: Stuff, pantry: Iterable[Ingredient]) -> Ingredient:
    """What of a pantry stands for a stuff.

    Args:
        stuff: what is asked for [Stuff].
        pantry: what there is, shape (n,) [Ingredient].
    Returns:
        the nearest [Ingredient].
    Raises:
        Lacking: the pantry has nothing like it; names it.
    Source:
        least sum of differences of the make-ups.
    """
    found = choices(stuff, pantry)
    if not found:
        raise Lacking("pantry", f"There is no {stuff.name} in the pantry: add some first.")
    return found[0]


def _worded(stuff: Stuff, ingredient: Ingredient) -> bool:
    return any(word in ingredient.name.lower() for word in stuff.words)


def _far(stuff: Stuff, ingredient: Ingredient) -> float:
    known = ingredient.make_up.known if ingredient.make_up else {}
    return sum(abs(known.get(part, 0.0) - stuff.like.get(part, 0.0)) for part in COMPONENTS)

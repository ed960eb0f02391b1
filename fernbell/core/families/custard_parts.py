"""What custards have in common: what they are made on, how they are cooked."""

from fernbell.core.families.family import Admits, StarterLine, window
from fernbell.core.families.making import EGG, step
from fernbell.core.pantry import LineRole

SWEET = window(7, 26, "Below it tastes flat, above it cloys.")
FAT = window(3, 34, "Below it is thin, above it coats the tongue.")

LIGHT = Admits((LineRole.MILK, LineRole.CREAM), sour=False, most={"milk_fat": 18})
VANILLA = StarterLine("vanilla", 2, "", "flavor", optional=True, strained_percent=100)
BOIL = step("boil", "Bring milk to the boil with half the sugar and the vanilla.", 100)
COOK = step(
    "cook",
    "Half of it hot onto yolks and sugar to temper; back, stirring, never boiling; strain.",
    (82, 85),
    tool="spatula",
    sign="coats the spoon",
    caution=EGG,
)

"""A small kitchen for the tests of core: water, syrup and whipped cream, in a ring or a frame."""

from fernbell.core.desserts import Base, Coat, Dessert, Fill, Insert, Layer, Wedges
from fernbell.core.formulas import Book, Formula, Line, Losses
from fernbell.core.molds import Ring
from fernbell.core.pantry import Ingredient

BOOK = Book(
    ingredients=(
        Ingredient("water", "Water", 1.0),
        Ingredient("sugar", "Sugar", 1.6, 0.85),
        Ingredient("cream", "Cream", 1.0),
        Ingredient("pectin", "Pectin", 1.5, weigh_step_g=0.1),
        Ingredient("mystery", "Mystery powder"),
    ),
    formulas=(
        Formula("syrup", "Syrup", (Line("a", 50, "water"), Line("b", 80, "sugar"))),
        Formula("jelly", "Jelly", (Line("a", 100, "water"), Line("b", 1.5, "pectin"))),
        Formula("sponge", "Sponge", (Line("a", 100, "sugar"),), measured_density_g_ml=0.4),
        Formula(
            "mousse",
            "Mousse",
            (Line("a", 100, formula="syrup"), Line("b", 200, "cream", overrun_percent=100)),
        ),
        Formula(
            "glaze",
            "Glaze",
            (Line("a", 100, formula="syrup"), Line("b", 100, "water")),
            losses=Losses(cooking_percent=10, pan_percent=5),
        ),
        Formula("riddle", "Riddle", (Line("a", 10, "water"), Line("b", 10, "mystery"))),
    ),
)


def entremet(**change: object) -> Dessert:
    """A whole entremet in an 18 cm ring; its parts can be exchanged by key."""
    parts = {
        "glaze": Coat(key="glaze", formula="glaze", thickness_mm=2, runoff_percent=25),
        "mousse": Fill(key="mousse", formula="mousse"),
        "heart": Insert(
            key="heart",
            layers=(
                Layer(key="jelly", formula="jelly", height_mm=5),
                Layer(key="crumb", formula="sponge", height_mm=6),
            ),
            across_mm=150,
            lift_mm=14,
        ),
        "base": Base(key="base", formula="sponge", height_mm=10, across_mm=170),
    }
    parts.update(change)
    kept = tuple(part for part in parts.values() if part is not None)
    return Dessert("Test", Ring(180, 45), kept, Wedges(10))

"""Figures of practice: what the trade goes by, each with its unit, source and how well it is known.

Plain data, imported by core; nothing here imports the rest of the house. A figure that belongs to
one family of formulas (its bands, its windows) stands in the file of the family.
"""

from collections.abc import Mapping
from dataclasses import dataclass
from typing import Literal

Status = Literal["exact", "published", "common practice", "from memory", "ours"]
"""`ours` is a figure of this project: a limit of an index or of a search."""


@dataclass(frozen=True, slots=True)
class Practice:
    """A figure of the trade, and what it says."""

    value: float
    unit: str
    says: str
    status: Status = "common practice"

    @property
    def source(self) -> str:
        """Where it comes from, as a finding says it."""
        return f"{self.says}: {self.status}"


PRACTICE: Mapping[str, Practice] = {
    "side clearance": Practice(10, "mm", "an insert ring about 2 cm narrower"),
    "side clearance, individual": Practice(5, "mm", "half of it in individual rings"),
    "individual below": Practice(120, "mm", "a mold less wide makes one portion"),
    "cover clearance": Practice(3, "mm", "mousse over and under an insert"),
    "portion, least": Practice(70, "g", "a plated slice"),
    "portion, most": Practice(160, "g", "a plated slice"),
    "portion, about": Practice(100, "g", "asked by weight, where nothing is weighed yet"),
    "drift, most": Practice(0.5, "%", "what rounding may move a batch"),
    "line drift, most": Practice(5, "%", "what rounding may move a line"),
    "sheet, long": Practice(600, "mm", "a baking sheet of 60 × 40 cm"),
    "sheet, wide": Practice(400, "mm", "a baking sheet of 60 × 40 cm"),
    "sheet edge": Practice(10, "mm", "the dry edge of a baked sheet"),
    "between cuts": Practice(2, "mm", "what a cutter leaves between two pieces"),
    "liner overlap": Practice(10, "mm", "an acetate strip over itself"),
    "base gap": Practice(8, "mm", "a new base to the wall"),
    "base height": Practice(8, "mm", "a new base"),
    "insert height": Practice(10, "mm", "a new insert"),
    "layer height": Practice(5, "mm", "a new layer of an insert"),
    "seal depth": Practice(4, "mm", "a new insert over what is below it"),
    "thinnest pour": Practice(0.1, "mm", "less is no pour"),
    "coat thickness": Practice(2, "mm", "a poured glaze"),
    "coat run-off": Practice(30, "%", "what runs off a poured glaze and is saved"),
    "coat, least pour": Practice(600, "g", "less does not pour well"),
    "band height": Practice(15, "mm", "a strip around the foot"),
    "band thickness": Practice(2, "mm", "a strip around the foot"),
    "band overlap": Practice(10, "mm", "a strip over itself"),
    "garnish piece": Practice(4, "g", "a small piece"),
    "petit four below": Practice(65, "mm", "what small bites measure"),
    "lining thickness": Practice(3, "mm", "paste rolled for a pan"),
    "paste overhang": Practice(20, "mm", "what hangs over a pan, in all"),
    "paper over the rim": Practice(10, "mm", "what stands over a pan lined for blind baking"),
    "paper snips": Practice(16, "snips", "a circle folded four times"),
    "fill share": Practice(0.75, "of what it holds", "a ramekin three quarters full"),
    "bath share": Practice(0.5, "of the height", "a water bath to half the ramekins"),
    "tier height": Practice(20, "mm", "a layer in a glass"),
    "sheet thickness": Practice(10, "mm", "a sponge that is rolled"),
    "roll filling": Practice(8, "mm", "cream spread on a sheet"),
    "roll bare": Practice(20, "mm", "a finger of the sheet left bare at the far end"),
    "roll trim": Practice(10, "mm", "cut off each end of a log"),
    "roll turns": Practice(1.2, "turns", "a roll that closes"),
    "core across": Practice(25, "mm", "a frozen bar in a roll"),
    "puff widens": Practice(35, "%", "choux in the oven"),
    "puff rises": Practice(150, "%", "choux in the oven"),
    "puff wall": Practice(6, "mm", "a baked puff"),
    "disc thickness": Practice(2, "mm", "a rolled sheet that discs are cut from"),
    "disc spare": Practice(5, "%", "what breaks or is trimmed"),
    "soak on 100 cm²": Practice(8, "g", "syrup brushed on a sponge"),
    "foot stands out": Practice(4, "mm", "a crisp disc a little wider than what stands on it"),
    "spoon": Practice(15, "ml", "a tablespoon, by which cups are shared out"),
    "held apart": Practice(5, "mm", "between desserts set side by side on another"),
    "mound across": Practice(25, "mm", "a border piped on a cake"),
    "drip runs": Practice(40, "mm", "a drip down a side"),
    "leaf thickness": Practice(1.5, "mm", "chocolate or tuile spread for a template"),
    "strewn on 100 cm²": Practice(12, "g", "sugar to burn on a custard"),
    "sauce on a portion": Practice(30, "g", "poured around a plated dessert"),
    "garnish sits": Practice(0.68, "of the radius", "how far out on a wedge"),
    "wedge edge": Practice(52, "mm", "outer edge of a wedge a cake is first cut in"),
    "portion side": Practice(60, "mm", "side of a square a frame is first cut in"),
    "slice thickness": Practice(25, "mm", "a slice of what is long"),
    "caramel pot": Practice(4, "times its volume", "caramel boils up when the cream goes in"),
    "pot": Practice(1.5, "times its volume", "a pot two thirds full does not boil over"),
    "charger": Practice(500, "ml", "what one gas charger is for"),
    "knife": Practice(1, "mm", "what a thin knife takes along at a cut"),
    "hand": Practice(1, "mm", "how far off a cut lies that is marked first"),
    "longest to shortest": Practice(2, "1", "no piece by weight is longer for its width"),
    "insert freeze, least": Practice(60, "min", "until an insert is hard"),
    "insert freeze, most": Practice(240, "min", "until an insert is hard"),
    "seal freeze, least": Practice(20, "min", "until a pour carries"),
    "seal freeze, most": Practice(40, "min", "until a pour carries"),
    "whole freeze, least": Practice(360, "min", "until a filled mold is hard"),
    "whole freeze, most": Practice(840, "min", "until a filled mold is hard"),
    "thaw, least": Practice(240, "min", "in the fridge"),
    "thaw, most": Practice(480, "min", "in the fridge"),
    "thaw, individual, least": Practice(120, "min", "in the fridge"),
    "thaw, individual, most": Practice(180, "min", "in the fridge"),
    "ahead from": Practice(60, "min", "shorter waits are part of the making"),
    "line weighed": Practice(0.75, "min", "fetched, weighed and put by"),
    "step by hand": Practice(5, "min", "a step of a method that names no time"),
    "hands at one step, most": Practice(30, "min", "what takes longer goes on by itself"),
    "wait beside the work": Practice(15, "min", "shorter ones pass while something else is done"),
    "in the oven": Practice(20, "min", "where a method names no time"),
    "work begun": Practice(3, "min", "bowls, paper and tools for it"),
    "individual by hand": Practice(0.3, "1", "of what a whole dessert takes of hands"),
    "portion cut": Practice(0.3, "min", "a clean cut, the knife wiped"),
    "portion plated": Practice(0.25, "min", "set on its plate or tray"),
    "cut ahead, most": Practice(90, "min", "a cut face dries"),
    "finished keeps": Practice(1440, "min", "thawed and chilled, to the next service"),
    "frozen keeps": Practice(20160, "min", "wrapped, in the freezer"),
    "late": Practice(15, "min", "how much longer what is late takes, until it is said"),
    "nearly full": Practice(0.9, "1", "what is in a store or an oven that is called tight"),
    "without a break": Practice(240, "min", "at work at a stretch, that is called tight"),
    "oven changes": Practice(15, "min", "from one heat to another"),
    "stacked": Practice(1.6, "of its volume", "what a mold or tray takes of a shelf"),
    "stove from": Practice(60, "°C", "what gets so warm stands on a ring"),
    "first wait": Practice(60, "min", "a new wait, to be changed"),
    "sweetest bite": Practice(30, "sugar = 100", "above it a dessert cloys"),
    "flattest bite": Practice(10, "sugar = 100", "below it a dessert tastes of little"),
    "gas kept in folding": Practice(0.8, "1", "what of the air is left"),
    "folded from": Practice(0.1, "of the batch", "what is not whipped with the foam", "ours"),
    "light below": Practice(0.9, "g/ml", "what weighs less in a cup holds air"),
    "density, sponge": Practice(0.35, "g/ml", "baked roulade or génoise 0.2 to 0.35"),
    "density, mousse": Practice(0.7, "g/ml", "of fruit, chocolate or anglaise 0.6 to 0.85"),
    "density, meringue": Practice(0.3, "g/ml", "Italian and Swiss 0.25 to 0.35"),
    "baked off, sponge": Practice(11, "%", "of what goes into the oven"),
    "baked off, paste": Practice(14, "%", "of what goes into the oven"),
    "pan loss": Practice(2, "%", "what stays in the pan where nobody said"),
    "finished, first": Practice(500, "g", "a formula set for its job"),
    "drip spacing": Practice(25, "mm", "one about every 2.5 cm of the edge"),
    "drip width": Practice(9, "mm", "a drip of ganache as it stands"),
    "drip thickness": Practice(3, "mm", "a drip of ganache as it stands"),
    "set at": Practice(18, "°C", "the temperature the bands of a ganache are meant at"),
    "finger takes up": Practice(1.2, "g/g", "a sponge finger dipped in syrup for a second"),
    "biscuit takes up": Practice(0.35, "g/g", "a biscuit dipped in milk or coffee"),
    "soluble fiber of fruit": Practice(0.3, "g/g", "pectin and its like", "from memory"),
    "leaf gelatin soaks up": Practice(5, "g/g", "leaves soaked in cold water and squeezed"),
    "agar for gelatin": Practice(0.45, "g", "in the place of 1 g of 200 bloom"),
    "pectin for gelatin": Practice(1.2, "g", "NH or LM, in the place of 1 g of 200 bloom"),
    "yellow pectin for gelatin": Practice(1, "g", "in the place of 1 g of 200 bloom"),
    "gelatin slices": Practice(1.6, "% of the water", "of 200 bloom holds a clean slice"),
    "cocoa slices": Practice(20, "% of the whole", "butter and dry cocoa hold a clean slice"),
    "cream whips from": Practice(30, "% fat", "less does not whip"),
    "compound firms, dark": Practice(0.2, "g/g", "by the cream it takes for a drip"),
    "compound firms, white": Practice(0.12, "g/g", "by the cream it takes for a drip"),
    "chocolates are alike within": Practice(6, "g in 100 g", "sugar in one and the other"),
    "egg safe": Practice(71, "°C", "USDA FSIS, egg dishes", "from memory"),
    "holds a slice from": Practice(0.7, "1", "hold number", "ours"),
    "holds its water from": Practice(0.6, "1", "hold number, frozen and thawed", "ours"),
    "gelatin left at 20 °C": Practice(0.75, "1", "of its hold, after an hour", "ours"),
    "dark set left at 20 °C": Practice(0.9, "1", "of its hold, after an hour", "ours"),
    "pale set left at 20 °C": Practice(0.7, "1", "of its hold, after an hour", "ours"),
    "set by cocoa from": Practice(
        0.08, "1", "share of cocoa; below it something else sets", "ours"
    ),
    "set of water from": Practice(0.05, "1", "share of water; below it none is set", "ours"),
    "mended takes out at most": Practice(0.4, "of the batch", "more is another dish", "ours"),
    "mended puts in at most": Practice(0.6, "of the batch", "more is another dish", "ours"),
    "mended inside": Practice(0.01, "of the edge", "how far a reading is brought in", "ours"),
    "swap keeps within": Practice(0.03, "of itself", "a figure kept beside the dial", "ours"),
    "swap keeps the dial within": Practice(0.002, "of itself", "the dial of its job", "ours"),
    "swap moves a line by at most": Practice(0.5, "of itself", "to keep a figure", "ours"),
    "water, least": Practice(0.6, "of the volume", "less is a slip of the scale", "ours"),
    "water, most": Practice(1.4, "of the volume", "more is a slip of the scale", "ours"),
}


def practice(name: str) -> float:
    """The value of a figure of practice.

    Args:
        name: its name in the table [text].
    Returns:
        its value [its unit].
    Raises:
        KeyError: there is none of that name.
    Source:
        the table.
    """
    return PRACTICE[name].value

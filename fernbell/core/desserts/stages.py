"""The building: what stands after each stage, in order, and the wait that follows it."""

from collections.abc import Iterable, Iterator, Mapping, Sequence
from dataclasses import dataclass, replace

from fernbell.core.desserts import practice
from fernbell.core.desserts.layout import Block, Layout
from fernbell.core.desserts.measure import PartResult, Pour
from fernbell.core.desserts.parts import Dessert, Insert
from fernbell.core.desserts.volumes import strip_length
from fernbell.core.formulas import FormulaReading, Wait, wait_words
from fernbell.core.formulas.method import WaitKind
from fernbell.core.working import COMMON_PRACTICE, Working, figure_text

_COLD = {WaitKind.CHILL, WaitKind.FREEZE, WaitKind.THAW}

Readings = Mapping[str, FormulaReading]


@dataclass(frozen=True, slots=True)
class Stage:
    """One stage of the building.

    `shows` are the shapes of the cut that stand after it, by their place in its section, and
    `fresh` those that are new. `working` is of the figure in `says`, where one was worked out.
    `ahead` says what the formulas used here need before. The wait
    begins when the stage is done; `wait_source` says who asks for it.
    """

    code: str
    title: str
    says: str
    shows: tuple[int, ...]
    fresh: tuple[int, ...]
    in_mold: bool
    turned: bool
    working: Working | None = None
    ahead: tuple[str, ...] = ()
    wait: Wait | None = None
    wait_says: str = ""
    wait_source: str = ""
    cold: bool = False


@dataclass(frozen=True, slots=True)
class _Step:
    """A stage before it is known what stands: its new shapes and the formulas they are of."""

    code: str
    title: str
    says: str
    fresh: tuple[int, ...] = ()
    formulas: tuple[str, ...] = ()
    usual: Wait | None = None
    working: Working | None = None


def build_stages(
    dessert: Dessert, layout: Layout, parts: Sequence[PartResult], readings: Readings
) -> tuple[Stage, ...]:
    """The stages of the building, in the order of the hands.

    Upright: base, seal pour, insert, main pour. Upside down: main pour, insert, the rest of the
    fill, base. Inserts are frozen before either begins.

    Args:
        dessert: parts in a mold [Dessert].
        layout: where they stand [mm].
        parts: what they measure [g, ml].
        readings: their formulas, with the waits of their methods [min].
    Returns:
        stages, the first first [Stage].
    Source:
        common practice; waits are the methods' own where they name one.
    """
    if not layout.blocks and layout.fill is None:
        return ()
    builder = _Builder(dessert, layout, parts, readings)
    stages: list[Stage] = []
    standing: tuple[int, ...] = ()
    inside = tuple(builder.in_the_mold())
    for step in builder.beside_the_mold():
        stages.append(builder.stage(step, step.fresh, in_mold=False, turned=False))
    for step in inside:
        standing = (*standing, *step.fresh)
        turned = dessert.built == "upside down"
        stages.append(builder.stage(step, standing, in_mold=True, turned=turned))
    for step in builder.out_of_the_mold():
        standing = (*standing, *step.fresh)
        stages.append(builder.stage(step, standing, in_mold=False, turned=False))
    return tuple(stages)


class _Builder:
    """The dessert at hand, so that every stage can name its parts and find its shapes."""

    def __init__(
        self, dessert: Dessert, layout: Layout, parts: Sequence[PartResult], readings: Readings
    ) -> None:
        self.dessert, self.layout, self.readings = dessert, layout, readings
        self.names = {(part.part, part.layer): part.name for part in parts}
        self.pours: tuple[Pour, ...] = next((part.pours for part in parts if part.pours), ())
        # The section holds pours, blocks, coats, bands and garnish, in this order.
        pours = len(layout.pours) if layout.fill else 0
        self.first_block = pours
        self.first_coat = pours + len(layout.blocks)
        self.first_band = self.first_coat + len(layout.coats)
        self.first_garnish = self.first_band + len(layout.bands)

    def stage(self, step: _Step, shows: tuple[int, ...], *, in_mold: bool, turned: bool) -> Stage:
        """The step with what stands after it and the wait that follows."""
        wait, source = self._wait(step)
        return Stage(
            code=step.code,
            title=step.title,
            says=step.says,
            shows=shows,
            fresh=step.fresh,
            in_mold=in_mold,
            turned=turned,
            working=step.working,
            ahead=tuple(self._ahead(step)),
            wait=wait,
            wait_says=wait_words(wait) if wait else "",
            wait_source=source,
            cold=wait is not None and wait.kind in _COLD,
        )

    def beside_the_mold(self) -> Iterator[_Step]:
        """Inserts, each frozen in its own ring."""
        for insert, stack in self.layout.inserts:
            layers = ", ".join(self._thick(block) for block in stack)
            yield _Step(
                "insert",
                f"Freeze {self._insert_name(insert)}",
                f"{layers}; in a ring {figure_text(insert.across_mm)} mm across",
                tuple(self._places(stack)),
                tuple(block.formula for block in stack),
                practice.INSERT_FREEZE,
            )

    def in_the_mold(self) -> Iterator[_Step]:
        """From the empty mold to the last thing that goes into it."""
        mold = self.dessert.mold
        liner = strip_length("Liner strip", mold.perimeter_mm, practice.LINER_OVERLAP.value)
        size = f"{figure_text(liner.value)} × {figure_text(mold.height_mm)} mm"
        yield _Step("line", "Line the mold", f"acetate strip {size}", working=liner)
        bases = tuple(self._bases())
        if self.layout.built == "upright":
            yield from bases
            yield from self._filling()
        else:
            yield from self._filling()
            yield from bases[::-1]

    def out_of_the_mold(self) -> Iterator[_Step]:
        """Unmolding and finishing; what was frozen thaws before the garnish."""
        small = self.dessert.mold.plan.length_mm < practice.INDIVIDUAL_BELOW.value
        thaw = practice.THAW_SMALL if small else practice.THAW
        frozen = self.layout.fill is not None or bool(self.layout.inserts)
        *before, last = (
            _Step("unmold", "Unmold", "onto a board" + self._turning()),
            *self._covers(),
        )
        yield from before
        if not frozen:
            yield last
        elif self._own_waits(last):
            yield last
            yield _Step("thaw", "Thaw", "in the fridge, slowly and evenly", usual=thaw)
        else:
            yield replace(last, usual=thaw)
        for place, garnish in enumerate(self.layout.garnishes, start=self.first_garnish):
            pieces = figure_text(garnish.pieces_per_portion)
            title = self.names[garnish.key, None]
            says = f"{pieces} on each portion, at service"
            yield _Step("garnish", title, says, (place,), (garnish.formula,))

    def _turning(self) -> str:
        return ", turned over" if self.layout.built == "upside down" else ""

    def _bases(self) -> Iterator[_Step]:
        upright = self.layout.built == "upright"
        fill = self.layout.fill
        for place, block in enumerate(self.layout.bases, start=self.first_block):
            says = f"{figure_text(block.height_mm)} mm, {figure_text(block.plan.length_mm)} across"
            closes = fill is not None and not upright and place == self.first_block
            yield _Step(
                "base",
                self.names[block.part, block.layer],
                says if upright else f"{says}, pressed in",
                (place,),
                (block.formula, fill.formula) if fill and closes else (block.formula,),
                practice.WHOLE_FREEZE if closes else None,
            )

    def _filling(self) -> Iterator[_Step]:
        """Pours and inserts in turn: an insert is set when the pour it rests on has been made."""
        upright = self.layout.built == "upright"
        closes = upright or not self.layout.bases
        waiting = list(self.layout.inserts if upright else self.layout.inserts[::-1])
        formula = (self.layout.fill.formula,) if self.layout.fill else ()
        thin = practice.THINNEST_POUR.value
        for place, pour in enumerate(self.pours):
            last = place == len(self.pours) - 1
            while waiting and upright and waiting[0][0].lift_mm < pour.low_mm + thin:
                yield self._set(waiting.pop(0))
            yield _Step(
                "pour",
                pour.name,
                f"{self._fill_name()}, {self._pour_says(pour)}",
                (place,),
                formula if last and closes else (),
                practice.SEAL_FREEZE if not last else practice.WHOLE_FREEZE if closes else None,
                pour.mass or pour.volume,
            )
            while waiting and not (upright or last) and self._top(waiting[0]) > pour.low_mm - thin:
                yield self._set(waiting.pop(0))
        for left in waiting:
            yield self._set(left)

    @staticmethod
    def _top(one: tuple[Insert, tuple[Block, ...]]) -> float:
        return one[1][-1].high_mm

    def _fill_name(self) -> str:
        fill = self.layout.fill
        return self.names[fill.key, None] if fill else ""

    def _pour_says(self, pour: Pour) -> str:
        mass = f", {figure_text(pour.mass.value)} g" if pour.mass else ""
        if self.layout.built == "upright":
            return f"up to {figure_text(pour.high_mm)} mm{mass}"
        if pour.low_mm < self.layout.base_top_mm:
            return f"{figure_text(pour.volume.value)} ml{mass}; leave room for the base"
        deep = self.layout.level_mm - pour.low_mm
        return f"{figure_text(deep)} mm deep in the mold{mass}"

    def _set(self, one: tuple[Insert, tuple[Block, ...]]) -> _Step:
        insert, stack = one
        where = (
            f"its underside {figure_text(insert.lift_mm)} mm above the board"
            if self.layout.built == "upright"
            else f"its top {figure_text(self.layout.level_mm - self._top(one))} mm deep"
        )
        gauged = " off center" if insert.offset_mm else " in the middle"
        return _Step(
            "set",
            f"Set {self._insert_name(insert)}",
            f"frozen hard,{gauged}, {where}; check with a gauge stick",
            tuple(self._places(stack)),
        )

    def _covers(self) -> Iterator[_Step]:
        for place, coat in enumerate(self.layout.coats, start=self.first_coat):
            says = f"{figure_text(coat.thickness_mm)} mm" + (" on top" if coat.top_only else "")
            yield _Step("coat", self.names[coat.key, None], says, (place,), (coat.formula,))
        for place, band in enumerate(self.layout.bands, start=self.first_band):
            says = f"around the foot, {figure_text(band.height_mm)} mm high"
            yield _Step("band", self.names[band.key, None], says, (place,), (band.formula,))

    def _insert_name(self, insert: Insert) -> str:
        return insert.name or self.names[insert.key, insert.layers[0].key]

    def _thick(self, block: Block) -> str:
        return f"{self.names[block.part, block.layer]} {figure_text(block.height_mm)} mm"

    def _places(self, blocks: Iterable[Block]) -> Iterator[int]:
        whole = self.layout.blocks
        return (self.first_block + whole.index(block) for block in blocks)

    def _wait(self, step: _Step) -> tuple[Wait | None, str]:
        """The longest wait a method asks for once it is in place, or the usual one."""
        own = self._own_waits(step)
        if own:
            wait, name = max(own, key=lambda one: one[0].least_min)
            return wait, f"the method of {name}"
        return step.usual, COMMON_PRACTICE if step.usual else ""

    def _own_waits(self, step: _Step) -> list[tuple[Wait, str]]:
        """Waits of the methods that begin now, and whose they are."""
        return [
            (wait, self.readings[key].formula.name)
            for key in step.formulas
            for wait in self.readings[key].formula.waits
            if wait.placed
        ]

    def _ahead(self, step: _Step) -> Iterator[str]:
        for key in dict.fromkeys(step.formulas):
            formula = self.readings[key].formula
            for wait in formula.waits:
                if not wait.placed and wait.least_min >= practice.AHEAD_FROM.value:
                    yield f"{formula.name}: {wait_words(wait)} first"

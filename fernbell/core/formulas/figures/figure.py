"""A figure of a formula, defined once: reading, dial, fit, swap, mend and window derive from it."""

from collections.abc import Callable, Mapping
from dataclasses import dataclass, field, fields
from typing import Any

from fernbell.core.errors import CoreError, Lacking
from fernbell.core.formulas.gauge import Gauge, Section, Verdict
from fernbell.core.formulas.mix import Mix
from fernbell.core.working import MASS_BALANCE, Given, Working, figure_text

Read = Callable[[Mix], float]
Ways = tuple[tuple[str, ...], ...]
"""Components whose lines are moved to bring a figure back: the usual way first, then the other."""


@dataclass(frozen=True, slots=True)
class Figure:
    """One figure: scale x top / bottom, and what the two are in words.

    What is no quotient has a bottom of 1 and explains itself. `parts` are the components it needs
    known, `on` those that may not be nothing, `lacks` names what else it wants. `shown` says
    whether it stands among the readings of a mix of a kind; `asked` whether a fit can be asked
    for it. `holds` refuses a reading outside its range, `other` is the same by another school or
    unit, `moves` is what mends it, and `by_cooking` that cooking further does too. How it is
    shown (`decimals` to `headline`) is the gauge's.
    """

    code: str
    name: str
    unit: str
    top: Read
    bottom: Read
    top_name: str
    bottom_name: str
    scale: float = 1.0
    source: str = MASS_BALANCE
    section: Section = Section.DOES
    parts: tuple[str, ...] = ()
    on: str = ""
    valid: str = ""
    shown: Callable[[Mix, str], bool] | None = None
    asked: bool = False
    explain: Callable[[Mix], Working] | None = None
    other: Callable[[Mix], Working] | None = None
    lacks: Callable[[Mix], tuple[str, ...] | None] | None = None
    holds: Callable[[Mix], None] | None = None
    caveat: Callable[[Mix], str] | None = None
    moves: Mapping[Verdict, Ways] = field(default_factory=dict, hash=False)
    by_cooking: bool = False
    decimals: int | None = None
    other_says: str = ""
    beside: str | None = None
    headline: bool = False

    def __reduce__(self) -> Any:
        """A figure that is read travels as its code: what works it out cannot be written down."""
        if _read().get(self.code) is self:
            return _named, (self.code,)
        return Figure, tuple(getattr(self, one.name) for one in fields(self))

    def value(self, mix: Mix) -> float:
        """The figure of a mix [its unit]; Lacking where it has none."""
        bottom = self.bottom(mix)
        if not bottom > 0:
            raise Lacking(self.code, f"There is no {self.bottom_name} in it to count on.")
        return self.scale * self.top(mix) / bottom

    def working(self, mix: Mix) -> Working:
        """The figure with its arithmetic."""
        if self.explain is not None:
            return self.explain(mix)
        value, top, bottom = self.value(mix), self.top(mix), self.bottom(mix)
        factor = "" if self.scale == 1 else f"{self.scale:g} × "
        result = f"{figure_text(value)} {self.unit}".strip()
        return Working(
            f"{self.name} of {mix.lines.formula.name}",
            value,
            self.unit,
            (Given(self.top_name, top, "g"), Given(self.bottom_name, bottom, "g")),
            f"{self.top_name} / {self.bottom_name}",
            f"{factor}{figure_text(top)} / {figure_text(bottom)} = {result}",
            self.source,
        )

    def gauge(self, mix: Mix) -> Gauge:
        """The figure as a reading: what it is, or what stands against it."""
        needs = self._needs(mix)
        if needs is not None:
            burnt = mix.own.overcooked if "water" in self.parts else ()
            return self._read(None, needs=needs, overcooked=burnt)
        try:
            if self.holds is not None:
                self.holds(mix)
            working = self.working(mix)
        except CoreError as error:
            return self._read(None, refusal=str(error))
        return self._read(
            working,
            other=self.other(mix) if self.other else None,
            caveat=self.caveat(mix) if self.caveat else "",
        )

    def _needs(self, mix: Mix) -> tuple[str, ...] | None:
        """Whose make-up or price it wants, perhaps nobody's; None where nothing is wanting."""
        if self.lacks is not None:
            return self.lacks(mix)
        known = mix.own.known(*self.parts)
        if known and (not self.on or mix.own.grams[self.on]):
            return None
        return mix.own.needs(*self.parts)

    def _read(
        self,
        working: Working | None,
        *,
        needs: tuple[str, ...] = (),
        overcooked: tuple[str, ...] = (),
        refusal: str = "",
        other: Working | None = None,
        caveat: str = "",
    ) -> Gauge:
        valid = self.valid or self.source
        told = (self.code, self.name, self.section)
        return Gauge(
            *told,
            working,
            valid,
            needs=needs,
            overcooked=overcooked,
            refusal=refusal,
            other=other,
            caveat=caveat,
            decimals=self.decimals,
            other_says=self.other_says,
            beside=self.beside,
            headline=self.headline,
        )


def one(mix: Mix) -> float:
    """The bottom of what is no quotient.

    Args:
        mix: not asked [Mix].
    Returns:
        1 [1].
    Source:
        definition.
    """
    del mix
    return 1.0


def whole(mix: Mix) -> float:
    """What is left after cooking.

    Args:
        mix: the formula [Mix].
    Returns:
        its mass [g].
    Source:
        mass balance.
    """
    return mix.own.mass_g


def always(mix: Mix, kind: str) -> bool:
    """Shown in every formula.

    Args:
        mix: not asked [Mix].
        kind: not asked [text].
    Returns:
        true [bool].
    Source:
        definition.
    """
    del mix, kind
    return True


def _read() -> Mapping[str, Figure]:
    from fernbell.core.formulas.figures import FIGURES

    return FIGURES


def _named(code: str) -> Figure:
    return _read()[code]

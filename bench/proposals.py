"""`python -m bench.proposals`: every job with every chocolate or base its sentence offers.

One line each: the deciding figure, the range of practice it is held against (common practice), how
far it lies beside it, and the findings a proposal has of its own, before anybody has touched it.
"""

from collections.abc import Iterable, Iterator
from dataclasses import dataclass

from fernbell.core.errors import CoreError
from fernbell.core.families import (
    FAMILIES,
    Family,
    Job,
    Proposal,
    Wish,
    job_for,
    judge_steps,
    propose,
    read_dial,
    slot_choices,
    windows_for,
)
from fernbell.core.formulas import (
    FIGURES,
    Book,
    Lines,
    characterize,
    lines_of,
    read_formulas,
    settled,
)
from fernbell.core.pantry import LIQUIDS, ChocolateKind, Ingredient, LineRole
from fernbell.starter.pantry import STOCKS
from fernbell.starter.ranges import (
    CHOCOLATE_CREAM,
    COLD_WARM,
    DENSITY,
    GELATIN,
    RANGES,
)

PANTRY = tuple(stock.ingredient for stock in STOCKS)
BY_KEY = {one.key: one for one in PANTRY}
NEAR = 0.1
"""How far beside its range of practice a proposal may lie, as a share of the range's end."""


@dataclass(frozen=True, slots=True)
class Row:
    """One proposal: its figure, its range, what stands against it; a refusal instead of both."""

    job: str
    slot: str
    pick: str
    what: str = ""
    value: float | None = None
    least: float = 0.0
    most: float = 0.0
    findings: tuple[str, ...] = ()
    refusal: str = ""

    @property
    def beside(self) -> float:
        """How far outside its range [share of the end of it]; 0 within."""
        if self.value is None:
            return 1.0
        if self.value < self.least:
            return self.value / self.least - 1
        return self.value / self.most - 1 if self.value > self.most else 0.0

    @property
    def is_near(self) -> bool:
        """Whether it lies in its range, or no further than a tenth beside it."""
        return not self.refusal and abs(self.beside) <= NEAR + 1e-9


Choice = tuple[Family, Job, str, Ingredient | None]


def choices(families: Iterable[Family] = FAMILIES) -> Iterator[Choice]:
    """Every job with everything that its sentence offers, one choice after the other."""
    for family in families:
        for job in family.jobs:
            offered = slot_choices(job, PANTRY)
            if not offered:
                yield family, job, "", None
            for slot, picks in offered.items():
                for pick in picks:
                    yield family, job, slot, pick


def rows() -> Iterator[Row]:
    """All of them proposed."""
    return (row(*one) for one in choices())


def row(family: Family, job: Job, slot: str, pick: Ingredient | None) -> Row:
    """One proposal, judged."""
    key, name = f"{family.key}.{job.key}", pick.name if pick else ""
    try:
        made = propose(family, job, Wish({slot: pick.key} if pick else {}), PANTRY)
    except CoreError as error:
        return Row(key, slot, name, refusal=str(error))
    book = settled(Book(PANTRY, (made.formula,)), ["draft"])
    job = job_for(job, lines_of(book, "draft"))
    windows, figures = windows_for(made.kind, job), (job.dial.figure,)
    own = characterize(book, "draft", made.kind, made.steps, windows=windows, figures=figures)
    findings = tuple(one.finding.message for one in own.judged)
    findings += tuple(one.finding.message for one in judge_steps(made.kind, own.lines, made.steps))
    what, value, least, most = _held(key, job, made, own.lines)
    return Row(key, slot, name, what, value, least, most, findings)


def _held(
    key: str, job: Job, made: Proposal, lines: Lines
) -> tuple[str, float | None, float, float]:
    practice = RANGES.get(key)
    kind = kind_of(made)
    # The ratios of practice are told on cream; on milk or a purée the dial says what is meant.
    liquids = [
        BY_KEY[line.ingredient]
        for line, role in zip(made.formula.lines, lines.roles, strict=True)
        if role in LIQUIDS
    ]
    on_cream = all(one.make_up and 30 <= (one.make_up.milk_fat or 0) <= 36 for one in liquids)
    if practice and practice.figure == CHOCOLATE_CREAM and not on_cream:
        practice = None
    if practice is None or not practice.by_kind.get(kind, practice.by_kind.get("")):
        band, landing = job.dial.band(job.band), read_dial(job.dial, lines)
        value = landing.working.value if landing.working else None
        return job.dial.figure.name, value, band.least, band.most
    least, most = practice.by_kind.get(kind) or practice.by_kind[""]
    return practice.figure, figure(practice.figure, made, lines), least, most


def kind_of(made: Proposal) -> str:
    """The kind of the chocolate in it: 'dark', 'compound white'; '' where there is none."""
    told = (BY_KEY[line.ingredient] for line in made.formula.lines)
    of = next((one for one in told if one.chocolate), None)
    if of is None or of.chocolate is None:
        return ""
    kind = of.chocolate.kind.value
    if of.chocolate.kind is not ChocolateKind.COMPOUND:
        return kind
    return next(f"{kind} {own}" for own in ("dark", "milk", "white", "") if own in of.name.lower())


def figure(what: str, made: Proposal, lines: Lines) -> float | None:
    """A figure of practice of a proposal; None where it cannot be told."""
    mix = lines.mix()
    if what == CHOCOLATE_CREAM:
        return mix.of((LineRole.CHOCOLATE,)) / mix.of(LIQUIDS)
    if what == COLD_WARM:
        weights = [(line.stage == "cold", line.mass_g) for line in made.formula.lines]
        return sum(g for cold, g in weights if cold) / sum(g for cold, g in weights if not cold)
    if what == GELATIN:
        return FIGURES["gelatin-whole"].value(mix)
    density = read_formulas(lines.book, ["draft"])["draft"].density_g_ml
    if density is None or what == DENSITY:
        return density
    # Rolled raw, it keeps its thickness while it bakes.
    return density / (1 - made.formula.losses.cooking_percent / 100)


def main() -> None:
    """Print a line a proposal, and what they come to."""
    every = list(rows())
    for one in every:
        value = "refused" if one.refusal else f"{one.value:.3g}" if one.value else "unknown"
        off = f"{100 * one.beside:+.0f} %" if one.beside and not one.refusal else ""
        says = one.refusal or "; ".join(one.findings)
        range_, what = f"{one.least:.3g}-{one.most:.3g}", one.what[:34]
        of = f"{one.job:26} {one.slot:5} {one.pick[:34]:34}"
        print(f"{of} {what:34} {value:>8} {range_:>11} {off:>6} {says}")
    near, said = sum(one.is_near for one in every), sum(bool(one.findings) for one in every)
    refused = sum(bool(one.refusal) for one in every)
    print(
        f"{near} of {len(every)} within 10 % of practice, {said} with findings of their own, "
        f"{refused} refused"
    )


if __name__ == "__main__":
    main()

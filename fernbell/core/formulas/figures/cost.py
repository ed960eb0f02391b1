"""What 100 g of a formula cost, as finished: what is lost is paid for too."""

from collections.abc import Iterator

from fernbell.core.errors import Lacking
from fernbell.core.formulas.figures.figure import Figure, always
from fernbell.core.formulas.gauge import Section
from fernbell.core.formulas.mix import Mix
from fernbell.core.formulas.readings import finished_working
from fernbell.core.working import MASS_BALANCE, Given, Working, figure_text


def _terms(mix: Mix) -> Iterator[tuple[str, float, float]]:
    """Name, grams and price of a gram of each line whose price is known."""
    lines = mix.lines
    for line, grams, (price, _) in zip(
        lines.formula.lines, mix.masses_g, lines.prices, strict=True
    ):
        if price is not None:
            yield lines.book.line_name(line), grams, price


def _wanted(mix: Mix) -> tuple[str, ...]:
    """Whose price is wanted."""
    pairs = zip(mix.masses_g, mix.lines.prices, strict=True)
    names = (name for grams, (_, names) in pairs if grams for name in names)
    return tuple(dict.fromkeys(names))


def _lacks(mix: Mix) -> tuple[str, ...] | None:
    wanted = _wanted(mix)
    return wanted if wanted or not mix.finished_g else None


def _whole(mix: Mix) -> float:
    wanted = _wanted(mix)
    if wanted:
        names = " and ".join(wanted)
        raise Lacking("price", f"The price of {names} is unknown: enter it in the pantry.")
    return sum(grams * price for _, grams, price in _terms(mix))


def _batch(mix: Mix) -> Working:
    whole, terms, currency = _whole(mix), tuple(_terms(mix)), mix.lines.currency
    sum_ = " + ".join(f"{figure_text(mass)} × {1000 * price:.2f}" for _, mass, price in terms)
    return Working(
        figure=f"Cost of {mix.lines.formula.name}",
        value=whole,
        unit=f"{currency} the batch".strip(),
        given=tuple(Given(name, 1000 * price, f"{currency}/kg") for name, _, price in terms),
        law="sum of grams × price of a kilogram / 1000",
        arithmetic=f"({sum_}) / 1000 = {whole:.2f}",
        source="prices are the pantry's",
    )


def _worked(mix: Mix) -> Working:
    batch, value, currency = _batch(mix), COST.value(mix), mix.lines.currency
    return Working(
        figure=f"Cost of 100 g of {mix.lines.formula.name}, finished",
        value=value,
        unit=f"{currency} in 100 g".strip(),
        given=(
            Given("the batch", batch.value, currency),
            Given("finished", mix.finished_g, "g"),
        ),
        law="cost of the batch / what is finished of it",
        arithmetic=f"100 × {batch.value:.2f} / {figure_text(mix.finished_g)} = {value:.2f}",
        source=MASS_BALANCE + "; prices are the pantry's",
        steps=(batch, finished_working(mix.lines.weighed(mix.masses_g))),
    )


COST = Figure(
    "cost",
    "Cost",
    "in 100 g",
    _whole,
    lambda mix: mix.finished_g,
    "lines",
    "arrives",
    100,
    section=Section.COSTS,
    valid="ingredients only; no work, no oven",
    shown=always,
    asked=True,
    explain=_worked,
    other=_batch,
    lacks=_lacks,
    decimals=2,
    headline=True,
)

"""What a gram of each line costs: what is lost on the way is paid for too."""

from collections.abc import Iterator

from fernbell.core.formulas.book import Book, Formula, Line
from fernbell.core.formulas.readings import finished_share

Price = tuple[float | None, tuple[str, ...]]
"""Of a gram, and whose price is wanted where it is unknown."""


def price_per_g(book: Book, formula: Formula) -> tuple[Price, ...]:
    """The price of a gram of each line.

    Args:
        book: where prices are looked up [Book].
        formula: the formula; what is nested in it is priced as it arrives [Formula].
    Returns:
        prices, and whose are wanted, shape (n,) [currency].
    Raises:
        UnknownKey: a line points at nothing.
    Source:
        sum of the lines; prices are the pantry's.
    """
    return tuple(_price(book, line) for line in formula.lines)


def _price(book: Book, line: Line) -> Price:
    if line.formula is not None:
        return _arriving(book, book.formula(line.formula))
    ingredient = book.ingredient(line.ingredient or "")
    if ingredient.price_per_kg is None:
        return None, (ingredient.name,)
    return ingredient.price_per_kg / 1000, ()


def _arriving(book: Book, formula: Formula) -> Price:
    """A gram of what arrives of a formula."""
    priced = list(zip(formula.lines, price_per_g(book, formula), strict=True))
    needs = tuple(dict.fromkeys(_wanted(priced)))
    goes_in = sum(line.goes_in_g for line in formula.lines)
    arrives = goes_in * finished_share(formula.losses)
    if needs or not arrives:
        return None, needs
    whole = sum(line.mass_g * price for line, (price, _) in priced if price is not None)
    return whole / arrives, ()


def _wanted(priced: list[tuple[Line, Price]]) -> Iterator[str]:
    for line, (_, names) in priced:
        if line.mass_g:
            yield from names

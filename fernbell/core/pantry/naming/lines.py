"""A typed line understood: how much, of what, what it weighs, or what has to be asked."""

import re
from collections.abc import Callable, Iterable, Iterator
from dataclasses import dataclass, replace

from fernbell.core.errors import CoreError, Lacking, NoAmount, NotCounted, NotUnderstood
from fernbell.core.measures import (
    CONTAINERS,
    METRIC_PINTS,
    PINTS,
    Amount,
    System,
    grams,
    holds_amount,
    is_mass,
    is_volume,
    read_amount,
)
from fernbell.core.pantry.ingredient import Ingredient
from fernbell.core.pantry.measuring import mass_of_amount
from fernbell.core.pantry.naming.lookup import Finder
from fernbell.core.pantry.naming.names import Found, Named

Weighed = Callable[[Named], Ingredient]
"""What a named thing is measured by; a formula through its density with air."""

_LEAST_GRAMS = 10
"""A bare number of something that is not counted may be grams from here on."""
_PARTS = ("juice", "zest")
_JUICED = re.compile(
    r"^(?P<fruit>[^,]+?),?\s+(?:(?:finely|freshly)\s+)?(?:juice|zest)d\b.*$", re.IGNORECASE
)
_SCRAPED = re.compile(
    r"^(?P<pod>.*?\bvanilla\s+(?:pod|bean|stick)s?)\b.*\b(?:seeds?|scraped|split)\b", re.IGNORECASE
)
_OF_COCOA = re.compile(r"(%)\s*(?:cocoa|cacao)(?:\s+(?:solids|mass))?(?=\s*(?:,|$))", re.I)
_SECOND = re.compile(r"(?:\+|&|\band\b|\bplus\b)\s*\d", re.IGNORECASE)


_NO_AMOUNT = "no amount yet"
ASKED_IN = {"US": "US pint", "imperial": "imperial pint", "g": "in grams"}
"""What a choice is measured in where that was asked."""


@dataclass(frozen=True, slots=True)
class Choice:
    """One thing a line may be: what, its grams, and the measure where that was asked.

    `lacks` says what is missing to weigh it; grams beside it are what may be meant.
    """

    named: Named
    mass_g: float | None
    measure: str = ""
    lacks: str = ""

    @property
    def wants_amount(self) -> bool:
        """Whether all it lacks is how much of it."""
        return self.lacks == _NO_AMOUNT


@dataclass(frozen=True, slots=True)
class Understood:
    """A line: what is certain, else what may be meant, and the question.

    `name` is what was said of what it is, `note` what was said and is not weighed; `weighs_g`
    are its grams where they were said, whatever it is. `far` choices hold some of its words only.
    """

    text: str
    name: str
    certain: Choice | None
    choices: tuple[Choice, ...]
    note: str = ""
    asks: str = ""
    weighs_g: float | None = None
    far: bool = False


def of_itself(named: Named) -> Ingredient:
    """A thing as the pantry measures it.

    Args:
        named: the thing [Named].
    Returns:
        its densities and pieces [Ingredient].
    Source:
        definition.
    """
    return named.of


def understand(
    text: str,
    names: Finder,
    system: System = System.METRIC,
    *,
    weighed: Weighed = of_itself,
    begun: bool = False,
) -> Understood:
    """Understand a typed line.

    Args:
        text: as typed, such as '250 g cream' [text].
        names: what this kitchen calls things [Finder].
        system: whose cups and spoons are meant where no country is named [System].
        weighed: what a thing is measured by [callable].
        begun: whether it is still being typed: then everything is offered [bool].
    Returns:
        what is certain or may be meant, with grams [Understood, g].
    Raises:
        NotUnderstood: a number that may be two, or two things in one line.
        NoName: nothing says of what.
        OutOfRange: an amount of 0 or above 1 000 000.
    Source:
        common practice; only a thing's own or other name is certain.
    """
    try:
        amount = read_amount(text)
    except NoAmount as missing:
        found = names.find(missing.name, begun=begun)
        every = (*found.certain, *found.likely)
        choices = tuple(Choice(one, None, lacks=_NO_AMOUNT) for one in every)
        return Understood(text, missing.name, None, choices, asks=str(missing))
    return of_amount(text, amount, names, system, weighed=weighed, begun=begun)


def of_amount(
    text: str,
    amount: Amount,
    names: Finder,
    system: System = System.METRIC,
    *,
    weighed: Weighed = of_itself,
    begun: bool = False,
) -> Understood:
    """The same for an amount that was read already.

    Args:
        text: as typed or pasted [text].
        amount: as read [Amount].
        names: what this kitchen calls things [Finder].
        system: whose cups and spoons are meant [System].
        weighed: what a thing is measured by [callable].
        begun: whether it is still being typed [bool].
    Returns:
        what is certain or may be meant, with grams [Understood, g].
    Raises:
        NotUnderstood: two things in one line.
    Source:
        common practice.
    """
    amount = replace(amount, name=_in_parts(amount.name))
    found = names.find(amount.name, begun=begun)
    if not found.certain and (_SECOND.search(amount.name) or holds_amount(amount.name)):
        raise NotUnderstood("line", repr(text.strip()), "one thing: write a line for each")
    if amount.name.lower() in CONTAINERS:
        found = Found(likely=names.held_in(CONTAINERS[amount.name.lower()]))
    certain = _weighable(amount, _choices(found.certain, amount, system, weighed))
    likely = tuple(_choices(found.likely, amount, system, weighed))
    alone = len(certain) == 1 and not certain[0].measure and certain[0].mass_g is not None
    sure = certain[0] if alone else None
    understood = Understood(
        text, amount.name, sure, (), amount.note, weighs_g=_grams_said(amount), far=found.far
    )
    if sure and not begun:
        return understood
    choices = (*certain, *likely)
    return replace(
        understood, choices=choices, asks="" if sure else _question(amount, found, choices)
    )


def _grams_said(amount: Amount) -> float | None:
    if not amount.unit or not is_mass(amount.unit):
        return None
    return sum(grams(*term) for term in ((amount.value, amount.unit), *amount.also))


def _in_parts(name: str) -> str:
    """'lemons, juiced' is lemon juice, 'vanilla pod seeds' a vanilla pod."""
    name = _OF_COCOA.sub(r"\1", name)
    found = _JUICED.match(name)
    if found:
        done = name.lower()
        parts = [part for part in _PARTS if f"{part}d" in done]
        return f"{found['fruit']} {' and '.join(parts)}"
    scraped = _SCRAPED.match(name)
    return scraped["pod"] if scraped else name


def _choices(
    every: Iterable[Named], amount: Amount, system: System, weighed: Weighed
) -> Iterator[Choice]:
    for named in every:
        if amount.unit in PINTS and system is System.METRIC:
            for measure, unit in METRIC_PINTS.items():
                yield _choice(named, replace(amount, unit=unit), system, weighed, measure)
        else:
            yield _choice(named, amount, system, weighed)


def _choice(
    named: Named, amount: Amount, system: System, weighed: Weighed, measure: str = ""
) -> Choice:
    if not amount.is_weighed:
        return Choice(named, 0.0)
    of = named.of if amount.unit and is_mass(amount.unit) else weighed(named)
    try:
        return Choice(named, mass_of_amount(of, amount, system), measure)
    except NotCounted as refusal:
        # '250 cream' lacks its measure: grams are the likeliest, and are asked.
        grams_meant = amount.value >= _LEAST_GRAMS and not refusal.piece
        likely = amount.value if grams_meant else None
        return Choice(named, likely, "g" if likely else measure, str(refusal))
    except CoreError as refusal:
        return Choice(named, None, measure, str(refusal))


def _weighable(amount: Amount, choices: Iterable[Choice]) -> tuple[Choice, ...]:
    """Of several owners of a name those that are measured so: a spoon of vanilla is extract."""
    every = tuple(choices)
    can = tuple(one for one in every if one.mass_g is not None and not one.lacks) or tuple(
        one for one in every if one.mass_g is not None
    )
    poured = tuple(one for one in can if not one.named.of.pieces)
    by_volume = amount.unit != "" and is_volume(amount.unit)
    return (poured if by_volume else ()) or can or every


def _question(amount: Amount, found: Found, choices: tuple[Choice, ...]) -> str:
    if not choices:
        return f"‘{amount.name}’ is not in the pantry."
    if found.far:
        return f"‘{amount.name}’ is not in the pantry. Is it one of these?"
    if len(choices) == 1 and choices[0].lacks and found.certain:
        return choices[0].lacks
    if amount.unit in PINTS and len({choice.named.key for choice in choices}) == 1:
        return f"Which {amount.unit}?"
    if found.instead:
        return f"‘{amount.name}’ is not in the pantry. Did you mean {found.instead}?"
    return f"Which {amount.name}?"


def refused(text: str, why: CoreError) -> Understood:
    """A line nobody can read, with the sentence that says why.

    Args:
        text: as typed [text].
        why: what was refused [CoreError].
    Returns:
        nothing certain and no choices [Understood].
    Source:
        definition.
    """
    asks = why.sentence() if isinstance(why, Lacking) else str(why)
    return Understood(text, "", None, (), asks=asks)

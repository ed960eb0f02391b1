"""Reading an amount as it is typed: '250 g cream', '1 1/2 cups milk', 'salt 3 g', '3 egg yolks'."""

import re
from collections.abc import Iterator
from dataclasses import dataclass, replace
from difflib import get_close_matches

from fernbell.core.errors import NoAmount, NoName, NotUnderstood, check_range
from fernbell.core.measures.kitchen import count_words
from fernbell.core.measures.numbers import Quantity, plain_fractions, take_number
from fernbell.core.measures.units import WRITTEN, is_mass, is_metric, is_volume
from fernbell.core.measures.words import folded

STATES = ("chopped", "sifted", "packed", "sliced", "ground", "grated", "melted")
"""How a cup of the same thing may be prepared; written before or behind its name."""

CONTAINERS = {
    **dict.fromkeys(("can", "cans", "tin", "tins"), "tin"),
    **dict.fromkeys(("packet", "packets", "package", "packages", "pack", "packs"), "packet"),
    **dict.fromkeys(("sachet", "sachets", "envelope", "envelopes", "pkg"), "packet"),
    **dict.fromkeys(("tub", "tubs", "pot", "pots", "container", "containers"), "tub"),
    **dict.fromkeys(("carton", "cartons", "brick", "bricks"), "carton"),
    **dict.fromkeys(("bottle", "bottles"), "bottle"),
    **dict.fromkeys(("jar", "jars"), "jar"),
    **dict.fromkeys(("bag", "bags"), "bag"),
    **dict.fromkeys(("box", "boxes"), "box"),
    **dict.fromkeys(("block", "blocks"), "block"),
}
"""What things are bought in, by its usual word: '1 can' is counted as a tin."""

IMPLIED = {
    **dict.fromkeys(("stick", "sticks"), "butter"),
    **dict.fromkeys(("pinch", "pinches"), "salt"),
    **dict.fromkeys(("shot", "shots"), "espresso"),
}
"""What a measure is of where nobody says so: common practice."""

_IMPLIED_PIECES = dict.fromkeys(("leaf", "leaves", "sheet", "sheets"), "leaf gelatin")
_CASED = {"T": "tbsp", "Tb": "tbsp", "t": "tsp", "c": "cup", "C": "cup"}
_ABOUT = re.compile(
    r"^(?:[-•*–·]\s+|(?:about|around|approx(?:\.|imately)?|circa|ca\.?|roughly|~|≈)\s*(?=[\d.,]))+",
    re.IGNORECASE,
)
_HEAPS = r"heaped|heaping|level|rounded|scant|generous|good|big|small|large|whole|full"
_HEAP = re.compile(rf"^\s*({_HEAPS})\s+", re.IGNORECASE)
_MORE = re.compile(r"^\s*(?:\+|,|&|\bplus\b|\band\b)?\s*", re.IGNORECASE)
_OTHERWISE = re.compile(r"^\s*(?:/|=|\bor\b)\s*", re.IGNORECASE)
_UNTIL = re.compile(r"^\s*(?:-|–|—|\bto\b)\s*", re.IGNORECASE)
_PART_OF = re.compile(r"^([^\d,]+?)\s+(?:of|from)\s+(.+)$", re.IGNORECASE)
_BRACKET = re.compile(r"\(([^()]*)\)|\[([^\[\]]*)\]")
_SEVERAL = re.compile(r"[,;]|(?<=[a-zA-Z.])\s*/\s*(?=\d)")
_EACH = re.compile(r"\b(?:each|apiece)\b", re.IGNORECASE)
_NUMBER_WITHIN = re.compile(r"(?<![\w.,/])[\d.,]")
_UNWEIGHED = re.compile(
    r"[\s,]*\b(?:or\s+)?(to\s+taste|as\s+(?:needed|required|desired)|q\.?\s?s\.?(?=\s|$)"
    r"|for\s+(?:dusting|greasing|rolling|sprinkling|serving|garnish|decoration|the\s+\w+))\s*$",
    re.IGNORECASE,
)
"""What is said where nothing is weighed."""

_PART = re.compile(r"^(?:just\s+the\s+)?(juice|zest)\b", re.IGNORECASE)
_TIDY = " \t,;:=-–—·/"
_MOST = 1e6


@dataclass(frozen=True, slots=True)
class Amount:
    """How many of what unit of what; `unit` is empty where pieces are counted.

    `also` are further amounts of it, as in '1 cup + 2 tbsp'. `note` is what was said and is not
    weighed: a range whose middle is meant, the cups of what is given in grams too, 'to taste'.
    """

    value: float
    unit: str
    name: str
    also: tuple[tuple[float, str], ...] = ()
    note: str = ""

    @property
    def state(self) -> str:
        """'chopped', 'sifted' and the like, where it is said; else nothing."""
        words = folded(self.name).replace(",", " ").split()
        return next((word for word in words if word in STATES), "")

    @property
    def is_weighed(self) -> bool:
        """Whether it has a weight at all: 'salt to taste' has none."""
        return self.value > 0


@dataclass(frozen=True, slots=True)
class _Term:
    """A quantity of a unit, and the text behind it."""

    quantity: Quantity
    unit: str
    rest: str


def read_amount(text: str) -> Amount:
    """Read an amount and the name of what it is of, whichever stands first.

    Args:
        text: what was typed [text].
    Returns:
        the amount; its unit is '' when none was written, its value 0 of 'to taste' [Amount].
    Raises:
        NoAmount: nothing says how much.
        NoName: nothing says of what.
        NotUnderstood: a number that may be two or is below 0, a fraction over 0, a slip in a
            measure.
        OutOfRange: a number of 0 or above 1 000 000.
    Source:
        common practice in writing recipes.
    """
    plain = _ABOUT.sub("", plain_fractions(" ".join(text.split())))
    if re.match(r"-\s*[\d.,]", plain):
        raise NotUnderstood("amount", repr(text.strip()), "more than 0")
    told, plain = _brackets(plain)
    loose = _UNWEIGHED.search(plain)
    plain = plain[: loose.start()] if loose else plain
    amount = _counted_first(plain) or _counted_last(plain)
    if amount is None and loose and _name(plain):
        return Amount(0, "", _name(plain), note=" ".join(loose.group(1).lower().split()))
    amount = _of_each_bracket(amount or Amount(0, "", _name(plain)), told)
    if amount.value == 0:
        raise NoAmount(amount.name or text.strip())
    if not amount.name:
        raise NoName(text.strip())
    return amount


def _counted_first(text: str) -> Amount | None:
    """'250 g cream'; 'juice of 2 lemons' is 2 of lemon juice; 'pinch of salt' is one."""
    part = _PART_OF.match(text)
    if part and take_number(part.group(2)) and not take_number(text):
        return (
            replace(amount, name=f"{amount.name} {part.group(1)}")
            if (amount := _counted_first(part.group(2)))
            else None
        )
    term = _take(text) or _bare_unit(text)
    if term is None:
        return None
    if not term.unit and (term.rest.lstrip().startswith("%") or _ends_in_amount(term.rest)):
        return None
    check_range("amount", term.quantity.value, most=_MOST, open_least=True)
    if not term.unit:
        return _pieces(text, term)
    also, rest = _further(term)
    base = Amount(term.quantity.value, term.unit, "", also, _range_note(term))
    other = _take(_OTHERWISE.sub("", rest)) if _OTHERWISE.match(rest) else None
    if other and other.unit:
        base, rest = _better(base, other), other.rest
    name = _name(rest) or IMPLIED.get(term.unit, "")
    return replace(base, name=name)


def _pieces(text: str, term: _Term) -> Amount:
    rest = re.sub(r"^\s*[x×]\s+(?=[^\W\d])", " ", term.rest, flags=re.IGNORECASE)
    held = _take(rest.strip(" -"))
    if held and held.unit and _container(_name(held.rest).partition(" ")[0]):
        # '2 14 oz cans' are 28 oz.
        said = f"{count_words(term.quantity.value)} {_name(rest)}"
        total = held.quantity.times(term.quantity.value).value
        return Amount(total, held.unit, _name(held.rest), note=said)
    _refuse_slip(rest.split())
    name = _name(rest)
    if not name and re.search(r"\bdozen\b", text, re.IGNORECASE):
        name = "eggs"
    name = _IMPLIED_PIECES.get(name.lower(), name)
    return Amount(term.quantity.value, "", name, note=_range_note(term))


def _counted_last(text: str) -> Amount | None:
    """'salt 3 g', 'Butter, cold: 80 g', 'eggs x 4': the last number that has a unit, or ends it."""
    for place in reversed([found.start() for found in _NUMBER_WITHIN.finditer(text)]):
        term = _take(text[place:])
        if term is None or not place or term.rest.lstrip().startswith("%"):
            continue
        if term.unit or not _name(term.rest):
            check_range("amount", term.quantity.value, most=_MOST, open_least=True)
            ahead = re.sub(r"\s+[x×]$", "", _name(text[:place]), flags=re.IGNORECASE)
            name = _name(f"{ahead} {term.rest}")
            note = _range_note(term)
            return Amount(term.quantity.value, term.unit, name, note=note)
    return None


def _take(text: str) -> _Term | None:
    """A number, and a unit of mass or volume where one is written."""
    taken = take_number(text)
    if taken is None:
        return None
    quantity, rest = taken
    unit, rest = _unit(rest)
    until = _UNTIL.match(rest) if unit and not quantity.is_range else None
    second = take_number(rest[until.end() :]) if until else None
    if second:
        same, behind = _unit(second[1])
        if same and second[0].least >= quantity.least:
            return _Term(Quantity(quantity.least, second[0].most), same, behind)
    return _Term(quantity, unit, rest)


def _bare_unit(text: str) -> _Term | None:
    """'pinch of salt', 'knob of butter': one, where the unit has a word of its own."""
    unit, rest = _unit(text)
    spelled = len(unit) > 2 and unit not in {"tsp", "tbsp"}
    return _Term(Quantity(1, 1), unit, rest) if spelled and _name(rest) else None


def _unit(text: str) -> tuple[str, str]:
    """The unit a text begins with, '' for none, and what stands behind it."""
    plain = _HEAP.sub("", text)
    found = re.match(r"\s*(?:of\s+an?\s+)?", plain)
    body = plain[found.end() :] if found else plain
    words = [(one.group(), one.end()) for one in re.finditer(r"[^\s,;:()/=+-]+", body)][:3]
    for count in (3, 2, 1):
        if len(words) < count:
            continue
        end = words[count - 1][1]
        raw = body[:end].strip(" -.")
        unit = _CASED.get(raw, " ".join(raw.lower().replace(".", "").split()))
        if unit in WRITTEN and (is_mass(unit) or is_volume(unit)):
            return unit, body[end:]
    return "", text


def _further(term: _Term) -> tuple[tuple[tuple[float, str], ...], str]:
    """What is added in the same kind of unit: '1 lb 3 oz', '1 cup + 2 tbsp'."""
    also: list[tuple[float, str]] = []
    rest = term.rest
    while True:
        joined = _MORE.sub("", rest, count=1)
        more = _take(joined) if joined[:1].isdigit() or joined[:1] in ".," else None
        if more is None or not more.unit or not _adds(term, more, rest):
            if rest.strip().startswith("+"):
                allowed = "a number and a measure on both sides of +"
                raise NotUnderstood("line", repr(rest.strip()), allowed)
            return tuple(also), rest
        also.append((more.quantity.value, more.unit))
        rest = more.rest


def _adds(term: _Term, more: _Term, rest: str) -> bool:
    """Of the same dimension, and a smaller unit where nothing joins them."""
    if is_mass(more.unit) != is_mass(term.unit):
        return False
    joined = re.match(r"\s*(?:\+|&|plus\b|and\b)", rest, re.IGNORECASE)
    return joined is not None or WRITTEN[more.unit] != WRITTEN[term.unit]


def holds_amount(name: str) -> bool:
    """Whether a name has an amount of its own in it, as when two lines became one.

    Args:
        name: what was read as a name [text].
    Returns:
        true for 'sugar 50 g butter' [bool].
    Source:
        definition.
    """
    terms = (_take(name[found.start() :]) for found in _NUMBER_WITHIN.finditer(name))
    return any(term is not None and term.unit for term in terms)


def _ends_in_amount(text: str) -> bool:
    """'200 bloom gelatin 10 g' is ten grams of it."""
    last = next((found.start() for found in reversed(list(_NUMBER_WITHIN.finditer(text)))), 0)
    term = _take(text[last:]) if last else None
    return term is not None and term.unit != "" and not _name(term.rest)


def _brackets(text: str) -> tuple[list[tuple[str, bool]], str]:
    """What stands in brackets, each with whether it follows a bare number; and the text without.

    A per cent stays in the name: 'chocolate (70 %)'.
    """
    told, kept, at = [], [], 0
    for found in _BRACKET.finditer(text):
        inner = (found.group(1) or found.group(2) or "").strip()
        before = text[at : found.start()]
        kept.append(before)
        bare = re.search(r"(?:^|\s)[\d/.]+\s*$", text[: found.start()]) is not None
        told.append((inner, bare))
        part = _PART.match(inner)
        kept.append(f", {part.group(1)}" if part else "")
        kept.append("".join(f" {one} " for one in re.findall(r"[\d.,]+\s*%", inner)))
        at = found.end()
    kept.append(text[at:])
    return told, " ".join("".join(kept).split())


def _of_each_bracket(amount: Amount, told: list[tuple[str, bool]]) -> Amount:
    """The more exact of the measure outside and those in brackets; the other stays as a note."""
    for said, bare in ((one, bare) for inner, bare in told for one in _SEVERAL.split(inner)):
        each = bare or _EACH.search(said) is not None
        plain = _ABOUT.sub("", _EACH.sub("", said).strip())
        term = _take(plain)
        if term is None or not term.unit or _name(term.rest):
            continue
        count = amount.value if each or (not amount.unit and _container(amount.name)) else 1
        amount = _better(amount, replace(term, quantity=term.quantity.times(count or 1)))
    return amount


def _better(own: Amount, other: _Term) -> Amount:
    """Of two measures of the same: grams before millilitres before all else."""

    def rank(unit: str) -> int:
        return (2 if is_metric(unit) else 0) + is_mass(unit) if unit else -1

    if rank(other.unit) <= rank(own.unit):
        return own
    return Amount(other.quantity.value, other.unit, own.name, note=_measure_words(own))


def _measure_words(amount: Amount) -> str:
    if amount.value == 0:
        return ""
    terms = ((amount.value, amount.unit or amount.name), *amount.also)
    return " + ".join(f"{count_words(value)} {unit}".strip() for value, unit in terms)


def _container(name: str) -> str:
    words = folded(name).replace(",", " ").split()
    return next((CONTAINERS[word] for word in words if word in CONTAINERS), "")


def _range_note(term: _Term) -> str:
    if not term.quantity.is_range:
        return ""
    least, most = (count_words(one) for one in (term.quantity.least, term.quantity.most))
    return f"{least}–{most} {term.unit}".strip()


def _name(text: str) -> str:
    """A name without what only joins it: 'of the', commas, dashes."""
    plain = text.strip(_TIDY)
    plain = re.sub(r"^of\b(?:\s+(?:the|an?)\b)?", "", plain, flags=re.IGNORECASE)
    return " ".join(plain.split()).strip(_TIDY)


def _refuse_slip(words: list[str]) -> None:
    """'2 cupps of cream' is no count of cupps: a word that is nearly a measure is a slip."""
    if len(words) < 2 or words[0].lower() in WRITTEN:
        return
    near = get_close_matches(words[0].lower(), list(_long_volumes()), n=1, cutoff=0.85)
    if near:
        raise NotUnderstood("measure", repr(words[0]), f"one that is known, such as {near[0]!r}")


def _long_volumes() -> Iterator[str]:
    return (unit for unit in WRITTEN if len(unit) > 3 and is_volume(unit))

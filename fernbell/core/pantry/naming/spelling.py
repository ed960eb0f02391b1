"""How names are spelled to be found again, and which spellings a typed name may have."""

from collections.abc import Iterable, Iterator
from dataclasses import dataclass
from itertools import combinations

from fernbell.core.measures import ordered, words_of
from fernbell.core.pantry.naming.words import DESCRIPTIONS

Words = tuple[str, ...]
TWO_THINGS = ("and", "or")
_MOST_DESCRIBING = 10


@dataclass(frozen=True, slots=True)
class Spelled:
    """The names of one thing: their words, each name between bars, and the keys of each.

    `words` reads '| cream 35% | heavy cream |'; `keys` are the words of each name run together,
    in their order, in that of the alphabet, and so without its per cent.
    """

    words: str
    keys: Words


@dataclass(frozen=True, slots=True)
class Sought:
    """What a thing has to have so that a typed name may mean it: one of `keys`, or all words of
    one of `holding`; the last of these may go on where `begun`.
    """

    keys: frozenset[str] = frozenset()
    holding: tuple[Words, ...] = ()
    begun: bool = False


def all_names(
    own: str, other_names: Iterable[str] = (), pieces: Iterable[str] = ()
) -> tuple[str, ...]:
    """Everything a thing is called: its own name, with and without brackets; others; its pieces'.

    Args:
        own: its own name [text].
        other_names: what else it is called, shape (n,) [text].
        pieces: what it is counted in, shape (m,) [text].
    Returns:
        each name once, its own first, shape (k,) [text].
    Source:
        definition; a piece of one word, such as 'leaf', names many things.
    """
    plain = own.partition("(")[0].strip()
    told = (piece for piece in pieces if len(words_of(piece)) > 1)
    return tuple(dict.fromkeys(name for name in (own, plain, *other_names, *told) if name))


def spelled(names: Iterable[str]) -> Spelled:
    """The names of a thing as they are kept to be found.

    Args:
        names: all of one thing, shape (n,) [text].
    Returns:
        its words and keys [Spelled].
    Source:
        definition.
    """
    every = [words for words in map(words_of, names) if words]
    keys = dict.fromkeys(key for words in every for key in (*_joined(words), _bare(words)) if key)
    return Spelled(f"| {' | '.join(map(' '.join, every))} |", tuple(keys))


def asked(name: str, *, begun: bool = False) -> Sought:
    """What has to be looked at to say what a typed name means.

    Args:
        name: as typed [text].
        begun: whether its last word may go on [bool].
    Returns:
        keys and words, one of which everything has that it may mean [Sought].
    Source:
        definition: whatever `Names.find` may return without a slip.
    """
    words = words_of(name)
    if not words:
        return Sought()
    head, _, tail = name.partition(",")
    plain, ahead = joining(words), joining(words_of(head))
    names, holding = [words, plain], [telling_of(words)]
    if tail and ahead:
        names.append(ahead)
        # Whether 'creamed' behind a comma says how or what depends on whether anything has it.
        holding += [first[:1] for first in map(words_of, tail.split(",")) if first]
    if any(word in TWO_THINGS for word in plain):
        first, *more = parts_of(words) or [()]
        names += [first, *more, *((*first[:-1], *part) for part in more)]
    spellings = {key for one in names for kept in kept_of(one) for key in _typed(kept)}
    return Sought(frozenset(spellings), tuple(dict.fromkeys(holding)), begun)


def asked_of(words: Words, *, begun: bool = False) -> Sought:
    """The same of words that were put right: all of them.

    Args:
        words: those that something here has, '' for the others, shape (n,) [text].
        begun: whether the last may go on [bool].
    Returns:
        keys and words [Sought].
    Source:
        definition.
    """
    known = tuple(word for word in words if word)
    keys = frozenset(key for kept in kept_of(known) for key in _typed(kept))
    return Sought(keys, (telling_of(known),) if known else (), begun)


def asked_apart(words: Words) -> Sought:
    """The same where nothing holds all of them: any one that says what a thing is.

    Args:
        words: those that something here has, '' for the others, shape (n,) [text].
    Returns:
        words [Sought].
    Source:
        definition.
    """
    known = tuple(word for word in words if word)
    return Sought(holding=tuple((word,) for word in dict.fromkeys(telling_of(known))))


def _joined(words: Words) -> Words:
    return "".join(words), "".join(ordered(words))


def _bare(words: Words) -> str:
    return "".join(ordered(tuple(word for word in words if not word.endswith("%"))))


def _typed(words: Words) -> Iterator[str]:
    """Keys of what was typed; 'cream 35' may be 'cream 35 %'."""
    yield from _joined(words)
    numbered = tuple(f"{word}%" if word[0].isdigit() else word for word in words)
    yield from _joined(numbered)


def kept_of(words: Words) -> Iterator[Words]:
    """What is left of a name when words that only describe fall away, the fewest first.

    Args:
        words: as typed, shape (n,) [text].
    Returns:
        the words that are left, never none, each of shape (m,) [text].
    Source:
        definition; of more than ten describing words only the last fall away.
    """
    describing = [word for word in dict.fromkeys(words) if word in DESCRIPTIONS]
    for count in range(len(describing[-_MOST_DESCRIBING:]) + 1):
        for gone in combinations(reversed(describing[-_MOST_DESCRIBING:]), count):
            kept = tuple(word for word in words if word not in gone)
            if kept:
                yield kept


def telling_of(words: Words) -> Words:
    """The words that say what it is; all where none does.

    Args:
        words: as typed, shape (n,) [text].
    Returns:
        some of them, shape (m,) [text].
    Source:
        definition.
    """
    return tuple(word for word in words if word not in DESCRIPTIONS) or words


def joining(words: Words) -> Words:
    """Without 'and' and 'or' that only join descriptions: 'peeled and chopped'.

    Args:
        words: as typed, shape (n,) [text].
    Returns:
        the rest, shape (m,) [text].
    Source:
        definition.
    """

    def joins(place: int) -> bool:
        beside = words[max(0, place - 1) : place] + words[place + 1 : place + 2]
        return words[place] in TWO_THINGS and any(word in DESCRIPTIONS for word in beside)

    return tuple(word for place, word in enumerate(words) if not joins(place))


def parts_of(words: Words) -> list[Words]:
    """What stands on both sides of an 'and' or 'or'.

    Args:
        words: as typed, shape (n,) [text].
    Returns:
        each side in its order, shape (m,) [text].
    Source:
        definition.
    """
    parts: list[Words] = []
    part: list[str] = []
    for word in (*words, TWO_THINGS[0]):
        if word not in TWO_THINGS:
            part.append(word)
        elif part:
            parts.append(tuple(part))
            part = []
    return parts

"""The names of a kitchen: what each means for certain, and what else may be meant."""

from bisect import bisect_left
from collections import defaultdict
from collections.abc import Iterable, Mapping
from dataclasses import dataclass, field

from rapidfuzz import process
from rapidfuzz.distance import OSA

from fernbell.core.measures import name_key, ordered, singular, words_of
from fernbell.core.pantry.ingredient import Ingredient
from fernbell.core.pantry.naming.spelling import (
    TWO_THINGS,
    Words,
    all_names,
    joining,
    kept_of,
    parts_of,
    telling_of,
)
from fernbell.core.pantry.naming.words import DESCRIPTIONS

MOST_CHOICES = 8
_ELSEWHERE: tuple[Words, ...] = (("chocolate", "milk"), ("hot", "chocolate"))
"""These are something else: a drink is no chocolate."""


@dataclass(frozen=True, slots=True)
class Named:
    """A thing with a name: an ingredient or a formula, and how it is measured.

    `other_names` are what else it is called here; `uses` says in how many formulas it stands.
    """

    of: Ingredient
    other_names: tuple[str, ...] = ()
    is_formula: bool = False
    uses: int = 0

    @property
    def key(self) -> str:
        """Its key."""
        return self.of.key

    @property
    def name(self) -> str:
        """Its own name."""
        return self.of.name


@dataclass(frozen=True, slots=True)
class Found:
    """What a name may mean: `certain` are those it is the name of, `likely` those it fits.

    `instead` is the name that was put in its place where it looks like a slip; `far` says that
    the likely ones hold some of the words only.
    """

    certain: tuple[Named, ...] = ()
    likely: tuple[Named, ...] = ()
    instead: str = ""
    far: bool = False


@dataclass(frozen=True, eq=False)
class Names:
    """Everything in a kitchen that has a name, looked up by whole words.

    `usual` says what a bare word such as 'butter' means here, by key. Two are the same only where
    they are one object: they are large, and kept by whoever built them.
    """

    every: tuple[Named, ...]
    usual: Mapping[str, str] = field(default_factory=dict)

    def __post_init__(self) -> None:
        owners: dict[Words, list[int]] = defaultdict(list)
        turned: dict[Words, list[int]] = defaultdict(list)
        joined: dict[str, list[int]] = defaultdict(list)
        without: dict[Words, list[int]] = defaultdict(list)
        having: dict[str, set[int]] = defaultdict(set)
        for place, one in enumerate(self.every):
            pieces = (piece.name for piece in one.of.pieces)
            for name in all_names(one.name, one.other_names, pieces):
                words = words_of(name)
                for table, key in ((owners, words), (turned, ordered(words))):
                    if place not in table[key]:
                        table[key].append(place)
                joined["".join(words)].append(place)
                bare = ordered(tuple(word for word in words if not word.endswith("%")))
                if bare and place not in without[bare]:
                    without[bare].append(place)
                for word in words:
                    having[word].add(place)
        places = {one.key: place for place, one in enumerate(self.every)}
        meant = {words_of(word): places[key] for word, key in self.usual.items() if key in places}
        object.__setattr__(self, "_places", places)
        object.__setattr__(self, "_owners", dict(owners))
        object.__setattr__(self, "_turned", dict(turned))
        object.__setattr__(self, "_joined", dict(joined))
        object.__setattr__(self, "_without", dict(without))
        object.__setattr__(self, "_having", dict(having))
        object.__setattr__(self, "_meant", meant)
        object.__setattr__(self, "_vocabulary", sorted(having))

    _places: dict[str, int] = field(init=False, repr=False, compare=False)
    _owners: dict[Words, list[int]] = field(init=False, repr=False, compare=False)
    _turned: dict[Words, list[int]] = field(init=False, repr=False, compare=False)
    _joined: dict[str, list[int]] = field(init=False, repr=False, compare=False)
    _without: dict[Words, list[int]] = field(init=False, repr=False, compare=False)
    _having: dict[str, set[int]] = field(init=False, repr=False, compare=False)
    _meant: dict[Words, int] = field(init=False, repr=False, compare=False)
    _vocabulary: list[str] = field(init=False, repr=False, compare=False)

    def find(self, name: str, *, begun: bool = False, most: int = MOST_CHOICES) -> Found:
        """What a name means here.

        Args:
            name: as typed, with or without what only describes it [text].
            begun: whether its last word may go on, as while somebody types [bool].
            most: how many likely ones to return [1].
        Returns:
            those it is certainly the name of, and those it fits, best first [Found].
        Source:
            whole words; the order of trust is common practice.
        """
        words = words_of(name)
        if not words:
            return Found()
        certain = self._certain(name, words)
        if certain and not begun:
            return Found(self._ranked(certain, words))
        likely = self._likely(words, begun=begun)
        if not certain and not likely:
            return self._slip(words, begun=begun, most=most)
        others = [place for place in likely if place not in certain]
        return Found(self._ranked(certain, words), self._ranked(others, words)[:most])

    def held_in(self, container: str) -> tuple[Named, ...]:
        """What is bought or counted in a container, such as a tin.

        Args:
            container: as CONTAINERS call it [text].
        Returns:
            those that have such a piece or pack, the most used first, shape (n,) [Named].
        Source:
            definition.
        """
        places = [
            place
            for place, one in enumerate(self.every)
            if any(container in words_of(piece.name) for piece in (*one.of.pieces, *one.of.bought))
        ]
        return self._ranked(places, ())[:MOST_CHOICES]

    def _certain(self, name: str, words: Words) -> list[int]:
        """Those whose name it is, when what only describes falls away; the longest name wins."""
        if words in _ELSEWHERE:
            return []
        found = self._exact(words) or self._bare(joining(words))
        head, _, tail = name.partition(",")
        if not found and tail and all(map(self._only_describes, tail.split(","))):
            found = self._bare(joining(words_of(head)))
        return found

    def _bare(self, words: Words) -> list[int]:
        for kept in kept_of(words):
            found = self._exact(kept)
            if found:
                return found
        return []

    def _exact(self, words: Words) -> list[int]:
        if words in self._meant:
            return [self._meant[words]]
        found = self._owners.get(words) or self._joined.get("".join(words))
        if found:
            return list(dict.fromkeys(found))
        turned = self._turned.get(ordered(words))
        if turned:
            return turned
        # 'Dark rum' is the only 'Dark rum, 40 %' there is, and 'cream 35' is 'cream 35 %'.
        without = self._without.get(ordered(words), [])
        if len(without) == 1:
            return without
        percents = tuple(f"{word}%" if f"{word}%" in self._having else word for word in words)
        return self._exact(percents) if percents != words else []

    def _only_describes(self, tail: str) -> bool:
        """Whether what stands behind a comma says how, not what: ', cut in dice', ', sour'."""
        first = next(iter(words_of(tail)), "")
        if first in DESCRIPTIONS:
            return True
        return first.endswith("ed") and first not in self._having

    def _likely(self, words: Words, *, begun: bool) -> list[int]:
        """Those whose names hold every word that says what it is."""
        if any(word in TWO_THINGS for word in joining(words)):
            first, *more = parts_of(words)
            # 'Lemon zest and juice' is lemon zest and lemon juice.
            ahead = first[:-1]
            found = [self._bare(part) or self._bare((*ahead, *part)) for part in more]
            return list(dict.fromkeys(sum(found, self._bare(first))))
        telling = telling_of(words)
        every: set[int] | None = None
        for place, word in enumerate(telling):
            last = begun and place == len(telling) - 1
            having = self._begun(word) if last else self._having.get(word, set())
            every = having if every is None else every & having
        return list(every or ())

    def _begun(self, word: str) -> set[int]:
        at = bisect_left(self._vocabulary, word)
        found: set[int] = set()
        while at < len(self._vocabulary) and self._vocabulary[at].startswith(word):
            found |= self._having[self._vocabulary[at]]
            at += 1
        return found | self._having.get(singular(word), set())

    def _slip(self, words: Words, *, begun: bool, most: int) -> Found:
        right = tuple(
            word if word in self._having else nearest(word, self._vocabulary) for word in words
        )
        return self.instead(words, right, begun=begun, most=most)

    def instead(
        self, words: Words, right: Words, *, begun: bool = False, most: int = MOST_CHOICES
    ) -> Found:
        """Words nothing holds together, put right where one is near; what remains, by most.

        Args:
            words: as typed, shape (n,) [text].
            right: what is meant by each, '' where nothing is near, shape (n,) [text].
            begun: whether the last may go on [bool].
            most: how many to return [1].
        Returns:
            what holds all that is right, else what holds the most of it [Found].
        Source:
            common practice.
        """
        known = tuple(word for word in right if word)
        if not known:
            return Found()
        if right != words and all(right):
            likely = self._bare(known) or self._likely(known, begun=begun)
            if likely:
                ranked = self._ranked(likely, known)[:most]
                return Found(likely=ranked, instead=" ".join(known))
        counts = self._hits(known)
        ranked = self._ranked(counts, known)
        hit = sorted(ranked, key=lambda one: -counts[self._places[one.key]])
        return Found(likely=tuple(hit[:most]), far=True)

    def _hits(self, words: Words) -> dict[int, int]:
        """Those that hold the most of the words; the last counts more: dried yeast is a yeast."""
        counts: dict[int, int] = defaultdict(int)
        # Two letters, such as the 'de' of dulce de leche, tell nothing.
        telling = [word for word in words if word not in DESCRIPTIONS and len(word) > 2]
        for word in telling:
            for place in self._having.get(word, ()):
                counts[place] += 3 if word == telling[-1] else 2
        most = max(counts.values(), default=0)
        return {place: count for place, count in counts.items() if count >= most - 1}

    def _ranked(self, places: Iterable[int], words: Words) -> tuple[Named, ...]:
        """Ingredients before formulas, unless a formula's own name was typed; most used first."""

        begun = {place for meant, place in self._meant.items() if _begins(meant, words)}

        def rank(place: int) -> tuple[bool, bool, bool, bool, int, int, str]:
            one = self.every[place]
            own = words_of(one.name)
            return (
                place not in begun and place != self._meant.get(words[-1:]),
                ordered(own) != ordered(words),
                one.is_formula,
                not _begins(own, words),
                -one.uses,
                len(own),
                one.name,
            )

        return tuple(self.every[place] for place in sorted(places, key=rank))


def _begins(own: Words, words: Words) -> bool:
    """Whether a name goes on from words whose last may be half a word."""
    *whole, last = words or ("",)
    return (
        own[: len(whole)] == tuple(whole)
        and bool(own[len(whole) :])
        and own[len(whole)].startswith(last)
    )


def nearest(word: str, vocabulary: Iterable[str]) -> str:
    """The word that was probably meant by one that nothing has.

    Args:
        word: as typed [text].
        vocabulary: words that things have, in alphabetical order, shape (n,) [text].
    Returns:
        the nearest of them, '' where none is near [text].
    Source:
        optimal string alignment; one slip in four letters, by experience.
    """
    if len(word) < 4 or word in DESCRIPTIONS or word[0].isdigit():
        return ""
    near = process.extractOne(word, vocabulary, scorer=OSA.normalized_similarity, score_cutoff=0.75)
    return near[0] if near else ""


def called(named: Named, name: str) -> str:
    """The other name by which a thing fits what was typed; '' where its own fits.

    Args:
        named: the thing [Named].
        name: as typed so far [text].
    Returns:
        one of its other names, or nothing [text].
    Source:
        definition.
    """
    words = [word for word in words_of(name) if word not in DESCRIPTIONS]

    def fits(own: str) -> bool:
        known = words_of(own)
        return all(any(one.startswith(word) for one in known) for word in words)

    if fits(named.name):
        return ""
    return next((one for one in named.other_names if fits(one)), "")


def shared_names(every: Iterable[Named]) -> dict[str, tuple[str, ...]]:
    """Names that more than one thing goes by.

    Args:
        every: the things of a kitchen, shape (n,) [Named].
    Returns:
        for each shared name the keys of its owners [text].
    Source:
        definition.
    """
    owners: dict[Words, dict[str, str]] = defaultdict(dict)
    for one in every:
        for name in (one.name, *one.other_names):
            owners[name_key(name)].setdefault(one.key, name)
    return {next(iter(keys.values())): tuple(keys) for keys in owners.values() if len(keys) > 1}

"""Names of a kitchen that are looked up one at a time, and never read whole."""

from collections.abc import Callable, Iterable, Sequence
from dataclasses import dataclass, replace
from typing import Protocol

from fernbell.core.measures import words_of
from fernbell.core.pantry.naming.names import MOST_CHOICES, Found, Named, Names, nearest
from fernbell.core.pantry.naming.spelling import Sought, Words, asked, asked_apart, asked_of


class Finder(Protocol):
    """What finds things by their names: all names at once, or those that may be meant."""

    def find(self, name: str, *, begun: bool = False, most: int = MOST_CHOICES) -> Found:
        """What a name means here."""

    def held_in(self, container: str) -> tuple[Named, ...]:
        """What is bought or counted in a container."""


@dataclass(frozen=True, slots=True)
class Lookup:
    """Finds as `Names` of everything would, from the few that may be meant.

    `having` returns whatever has what is asked, at least as many as are wanted; `vocabulary` all
    words of all names, in alphabetical order; `held` what is bought in a container.
    """

    having: Callable[[Sought, int], Names]
    vocabulary: Callable[[], Sequence[str]]
    held: Callable[[str], Names]

    def find(self, name: str, *, begun: bool = False, most: int = MOST_CHOICES) -> Found:
        """What a name means here.

        Args:
            name: as typed [text].
            begun: whether its last word may go on [bool].
            most: how many likely ones to return [1].
        Returns:
            as `Names.find` [Found].
        Source:
            definition.
        """
        found = self.having(asked(name, begun=begun), most).find(name, begun=begun, most=most)
        if not _may_slip(found):
            return found
        words = words_of(name)
        right = self._righted(words)
        for one in (asked_of(right, begun=begun), asked_apart(right)):
            found = self.having(one, most).instead(words, right, begun=begun, most=most)
            if found.instead:
                return found
        return found

    def _righted(self, words: Words) -> Words:
        vocabulary = self.vocabulary() if words else ()
        there = set(vocabulary)
        return tuple(word if word in there else nearest(word, vocabulary) for word in words)

    def together(self, names: Iterable[str]) -> "Lookup":
        """The same, with what some names may mean looked at in one go, and in another their slips.

        Args:
            names: as typed, shape (n,) [text].
        Returns:
            finds as this one does [Lookup].
        Source:
            definition.
        """
        first = {name: asked(name) for name in names}
        plain = self._ahead(first.values())
        lost = (name for name in first if _may_slip(plain.having(first[name], 1).find(name)))
        right = {self._righted(words_of(name)) for name in lost}
        return plain._ahead(ask(words) for words in right for ask in (asked_of, asked_apart))

    def _ahead(self, asks: Iterable[Sought]) -> "Lookup":
        every = set(asks)
        if not every:
            return self
        keys = frozenset(key for one in every for key in one.keys)
        holding = dict.fromkeys(words for one in every for words in one.holding)
        read = self.having(Sought(keys, tuple(holding)), MOST_CHOICES)
        return replace(
            self, having=lambda one, most: read if one in every else self.having(one, most)
        )

    def held_in(self, container: str) -> tuple[Named, ...]:
        """What is bought or counted in a container, such as a tin.

        Args:
            container: as CONTAINERS call it [text].
        Returns:
            as `Names.held_in`, shape (n,) [Named].
        Source:
            definition.
        """
        return self.held(container).held_in(container)


def _may_slip(found: Found) -> bool:
    """Whether nothing holds all that was typed, so that a slip is looked for."""
    return not found.certain and (not found.likely or bool(found.instead) or found.far)

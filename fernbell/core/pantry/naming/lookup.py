"""Names of a kitchen that are looked up one at a time, and never read whole."""

from collections.abc import Callable, Collection, Iterable
from dataclasses import dataclass, replace
from typing import Protocol

from fernbell.core.measures import words_of
from fernbell.core.pantry.naming.names import MOST_CHOICES, Found, Named, Names, may_slip, nearest
from fernbell.core.pantry.naming.spelling import Asked, Words, asked, asked_apart


class Finder(Protocol):
    """What finds things by their names: all names at once, or those that may be meant."""

    def find(self, name: str, *, begun: bool = False, most: int = MOST_CHOICES) -> Found:
        """What a name means here."""

    def held_in(self, container: str) -> tuple[Named, ...]:
        """What is bought or counted in a container."""


@dataclass(frozen=True, slots=True)
class Lookup:
    """Finds as `Names` of everything would, from the few that may be meant.

    `having` returns whatever has what is asked; `near` of typed words those that something has
    and, of words that may be slips, their neighbors; `held` what is bought in a container.
    """

    having: Callable[[Asked], Names]
    near: Callable[[Words], Collection[str]]
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
        found = self.having(asked(name, begun=begun)).find(name, begun=begun, most=most)
        if found.certain or (found.likely and not found.instead and not found.far):
            return found
        words = words_of(name)
        vocabulary = sorted(self.near(words)) if words else []
        right = (word if word in vocabulary else nearest(word, vocabulary) for word in words)
        known = tuple(word for word in right if word)
        if not known:
            return Found()
        return self.having(asked_apart(known)).find(name, begun=begun, most=most)

    def together(self, names: Iterable[str]) -> "Lookup":
        """The same, with what some names may mean looked at in one go.

        Args:
            names: as typed, shape (n,) [text].
        Returns:
            finds as this one does [Lookup].
        Source:
            definition.
        """
        asks = {asked(name) for name in names}
        keys = frozenset(key for one in asks for key in one.keys)
        holding = dict.fromkeys(words for one in asks for words in one.holding)
        read = self.having(Asked(keys, tuple(holding)))
        return replace(self, having=lambda one: read if one in asks else self.having(one))

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


def may_be_far(word: str) -> int:
    """How many letters a neighbor of a word may differ in, more or less.

    Args:
        word: as typed [text].
    Returns:
        0 where it is no slip [1].
    Source:
        `nearest`: a quarter of the longer word.
    """
    return len(word) // 3 if may_slip(word) else 0

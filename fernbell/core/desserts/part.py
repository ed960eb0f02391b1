"""A part of a dessert: a formula, and the rule that makes regions of it. One file a rule."""

from abc import ABC, abstractmethod
from collections.abc import Iterator
from dataclasses import dataclass, replace
from typing import TYPE_CHECKING, Any, ClassVar, Literal, Self

from fernbell.core.desserts.masses import to_make
from fernbell.core.field import Field
from fernbell.core.findings import Finding
from fernbell.core.molds import Plan
from fernbell.core.working import Working

if TYPE_CHECKING:
    from fernbell.core.desserts.body import Body
    from fernbell.core.desserts.measure import MeasuredDessert
    from fernbell.core.desserts.regions import Region
    from fernbell.core.desserts.sight import Dimension
    from fernbell.core.desserts.step import BuildStep
    from fernbell.core.desserts.view import View

LARGEST_MM = 1000.0


@dataclass(frozen=True, slots=True)
class Handle:
    """What can be dragged on the cut: a field, along an axis, from an edge of the shape.

    `times` is how far the field goes for one millimeter of the way; dragged to the `rim`, a field
    that may be empty is emptied.
    """

    name: str
    field: str
    says: str
    axis: Literal["up", "out"]
    edge: Literal["top", "bottom", "side"]
    times: float = 1.0
    of_layer: bool = False
    empty_at_rim: bool = False


@dataclass(frozen=True, slots=True)
class Switch:
    """A field that is either so or not."""

    name: str
    label: str


@dataclass(frozen=True, slots=True)
class Carried:
    """A part taken hold of as a whole: which fields follow up and aside, and where it is caught."""

    up: str
    aside: str
    caught_mm: float


@dataclass(frozen=True, slots=True)
class RuleWords:
    """What a screen has to know of a rule.

    `seen` is its place from the top among the others in a list; `once` why there is only one of
    it, if so; `switches` are fields that are either so or not; `usual_kind` is what a new formula
    is taken for that is to do this, common practice.
    """

    rule: str
    title: str
    text: str
    usual_kind: str
    seen: int
    fields: tuple[Field, ...]
    layer_fields: tuple[Field, ...] = ()
    switches: tuple[Switch, ...] = ()
    handles: tuple[Handle, ...] = ()
    carried: Carried | None = None
    stacks: bool = False
    once: str = ""


@dataclass(frozen=True, slots=True)
class Use:
    """A formula a part is made of, and where the part names it: '' or 'layers.0'."""

    field: str
    layer: str | None
    formula: str


def _grown(entry: Any, fields: tuple[Field, ...], across: float, up: float) -> Any:
    """With every measure that grows with the drawing grown, as far as its limits go."""
    factor = {"across": across, "up": up}
    grown = {}
    for field in fields:
        value = getattr(entry, field.name)
        if field.grows and value is not None:
            grown[field.name] = min(field.most, max(field.least, value * factor[field.grows]))
    return replace(entry, **grown)


class Part(ABC):
    """What every rule answers; the data of a part are the fields of its class."""

    __slots__ = ()

    words: ClassVar[RuleWords]
    builds: ClassVar[tuple[str, ...]]
    """Codes of the build steps it may make; who has something for each step asks for all."""
    forms: ClassVar[bool] = False
    """Whether the dessert takes its shape from it, not from its mold."""

    if TYPE_CHECKING:

        @property
        @abstractmethod
        def key(self) -> str:
            """Its key in the dessert."""

        @property
        @abstractmethod
        def name(self) -> str:
            """Its own name; empty where it is called like its formula."""

        @property
        @abstractmethod
        def rule(self) -> str:
            """Name of its rule."""

    @classmethod
    @abstractmethod
    def propose(cls, body: "Body", key: str, formula: str) -> Self:
        """A new one, measured for a mold and what stands in it."""

    @abstractmethod
    def uses(self) -> tuple[Use, ...]:
        """The formulas it is made of, from the top down."""

    @abstractmethod
    def place(self, body: "Body") -> "tuple[Region, ...]":
        """Its regions, from the bottom up, beside and over what is placed already."""

    @abstractmethod
    def steps(self, made: "MeasuredDessert") -> "Iterator[BuildStep]":
        """What the hands do for it."""

    @abstractmethod
    def sentences(self, made: "MeasuredDessert") -> Iterator[str]:
        """How it is read aloud."""

    @abstractmethod
    def says(self) -> str:
        """What it is, in two words for a list."""

    def judge(self, made: "MeasuredDessert") -> Iterator[Finding]:
        """What there is to say about it."""
        del made
        return iter(())

    def dimensions(self, body: "Body") -> "Iterator[Dimension]":
        """Distances drawn beside it, but for the heights of its solids."""
        del body
        return iter(())

    def views(self, made: "MeasuredDessert") -> "Iterator[View]":
        """Further drawings that its maker needs."""
        del made
        return iter(())

    @property
    def stands_mm(self) -> float:
        """Among parts of its rule, the lowest is placed first [mm]."""
        return 0.0

    def with_layer(self, body: "Body", key: str, formula: str) -> Self | None:
        """With one more layer on top; None where it has none."""
        del body, key, formula
        return None

    def poured_g(self, one_g: float, count: int) -> float | None:
        """What has to be poured for so many [g]; None where it is not poured from a jug."""
        del one_g, count
        return None

    def make(self, name: str, one: Working, count: int, others_g: float = 0.0) -> Working:
        """What is made of it for so many desserts, and others poured from the same jug [g]."""
        del others_g
        return to_make(name, one, count)

    def make_region(
        self, region: "Region", name: str, one: Working, count: int, kind: str
    ) -> Working:
        """What is made of one of its regions for so many desserts, of a kind of formula [g]."""
        del region, kind
        return self.make(name, one, count)

    def refitted(self, was: Plan, now: Plan) -> Self:
        """The same in another mold, by the plans of both."""
        del was, now
        return self

    def in_proportion(self, across: float, up: float) -> Self:
        """The same so many times as wide and as high [1]; what is spread stays as thick."""
        grown: Self = _grown(self, self.words.fields, across, up)
        layers, fields = getattr(self, "layers", ()), self.words.layer_fields
        if not layers:
            return grown
        thicker = tuple(_grown(one, fields, across, up) for one in layers)
        return replace(grown, layers=thicker)  # type: ignore[type-var,call-arg,unused-ignore]

    def kept_as(self, key: str, lifted_mm: float) -> Self:
        """The same under another key, lifted if it hangs in the mold [mm]."""
        del lifted_mm
        return replace(self, key=key)  # type: ignore[type-var]

"""Kitchens for the tests of the timeline: the demo's full night, and random ones."""

from collections.abc import Iterator
from random import Random

from fernbell.core.planning import Ordered, Vessel
from fernbell.core.planning.timeline import (
    USUAL_AIMS,
    Aim,
    Aims,
    AskedLine,
    Claim,
    Commission,
    Hold,
    Link,
    Person,
    Point,
    Sort,
    Station,
    Task,
    Wave,
    Work,
)
from fernbell.demo.book import demo_book
from fernbell.demo.desserts import DESSERTS
from fernbell.demo.formulas import FORMULAS
from fernbell.demo.planning import VESSELS
from ops.pace import patience_s

DAY = 24 * 60
SERVICE = DAY + 20 * 60 + 15
BOOK = demo_book()
DEMO = {one.slug: one.dessert for one in DESSERTS}
METHODS = {one.slug: one.method for one in FORMULAS}
STORES = (
    Vessel("Stove", "stove", 4),
    Vessel("Blast freezer", "blast", 60),
    Vessel("Freezer", "freezer", 120),
    Vessel("Fridge", "fridge", 400),
)
KIT = (*(one for one in VESSELS if one.kind not in {x.kind for x in STORES}), *STORES)
NIGHT = (("reedbed", 6, None), ("foghorn", 24, 4), ("beekeeper", 2, 4), ("lanterns", 40, None))
PEOPLE = (("Ottilie", 3), ("Bram", 2), ("Junia", 1))


def within(usual_s: float) -> dict[str, float]:
    """What a search may take: work that is done in about that time, however slow the machine."""
    return {"seconds": patience_s(20 * usual_s), "effort": usual_s / 8}


def asked(
    order: tuple[tuple[str, int, int | None], ...] = NIGHT,
    *,
    people: tuple[tuple[str, int], ...] = PEOPLE,
    opens: int = 14 * 60,
    vessels: tuple[Vessel, ...] = KIT,
    waves: int = 3,
    out: frozenset[str] = frozenset(),
    together: bool = False,
) -> Commission:
    """Demo desserts served on the second evening: slug, how many, in how many molds."""
    lines = [
        AskedLine(
            key=f"line {at}",
            ordered=Ordered(DEMO[slug].name, DEMO[slug], count),
            mold=slug,
            cavities=6 if slug == "foghorn" else 1,
            owned=owned,
        )
        for at, (slug, count, owned) in enumerate(order)
    ]
    shifts = ((opens, 22 * 60), (DAY + 8 * 60 + 30, SERVICE + 30))
    return Commission(
        lines,
        [Wave(SERVICE + 10 * at, 1 / waves, 1, f"Wave {at + 1}") for at in range(waves)],
        BOOK,
        [Person(name, name, skill, shifts) for name, skill in people],
        vessels,
        METHODS,
        aims=Aims(USUAL_AIMS, ((0, 510), (DAY, DAY + 510)), (SERVICE - 60, SERVICE)),
        opens_min=opens,
        out=out,
        together=together,
    )


def random_claims(seed: int, people: list[Person], places: tuple[Station, ...]) -> Iterator[Claim]:
    """Now and then another order has of a kitchen what chance says, off the five minutes too."""
    draw = Random(-seed)
    for one in (*people, *places):
        if draw.random() < 0.25:
            since = draw.randrange(0, SERVICE)
            until = since + draw.choice([7, 45, 200])
            kind = one.kind if isinstance(one, Station) else ""
            most = one.capacity if isinstance(one, Station) else 1
            heat = draw.choice([160, 180]) if kind == "oven" else None
            order = draw.choice(["Early", "Late"])
            yield Claim(one.key, since, until, order, "other", draw.randint(1, most + 3), heat)


def random_work(seed: int, desserts: int) -> Work:
    """Desserts with bases, fills, freezes and thaws of chance, in a kitchen of chance."""
    draw = Random(seed)
    people = [
        Person(
            f"p{at}",
            f"P{at}",
            draw.choice([1, 2, 3]),
            ((480, 480 + draw.choice([300, 720])), (DAY + 480, SERVICE)),
        )
        for at in range(draw.choice([2, 3]))
    ]
    places = (
        Station("mixer", "Mixer", "mixer", 1),
        Station("stove", "Stove", "stove", draw.choice([1, 2, 4])),
        Station("oven 1", "Oven 1", "oven", 4, 10),
        Station("oven 2", "Oven 2", "oven", 2, 15),
        Station("freezer", "Freezer", "freezer", draw.choice([20, 60])),
    )
    tasks: list[Task] = [Task("service", "Service", 0, at_min=SERVICE, sort=Sort.SERVE)]
    links: list[Link] = []
    holds: list[Hold] = []
    for at in range(desserts):
        line = f"line {at}"
        build = Task(f"{line} build", "build", draw.choice([10, 20, 30]), 2, line=line)
        glaze = Task(f"{line} glaze", "glaze", draw.choice([10, 20]), 1, line=line)
        plate = Task(f"{line} plate", "plate", 5, 1, line=line)
        tasks += [build, glaze, plate]
        for part in range(draw.choice([1, 2])):
            make = Task(f"{line}.{part}", "make", draw.choice([10, 15, 25]), draw.choice([1, 1, 2]))
            own = Point(make.key), Point(make.key, end=True)
            tasks.append(make)
            holds.append(Hold(make.key, (draw.choice(["mixer", "stove"]),), *own))
            last = make
            if draw.random() < 0.5:
                last = Task(f"{make.key} bake", "bake", draw.choice([15, 20]), watched=True)
                tasks.append(last)
                own = Point(last.key), Point(last.key, end=True)
                heat = draw.choice([160, 180, 200])
                trays = draw.choice([1, 2])
                holds.append(Hold(last.key, ("oven 1", "oven 2"), *own, trays, heat))
                links.append(Link(make.key, last.key, 0, 60))
            rest = draw.choice([0, 30, 120])
            most = draw.choice([None, rest + 60, rest + 1440])
            links.append(Link(last.key, build.key, rest, most, aged=True, says=f"rest {rest}"))
        freeze = draw.choice([60, 240])
        links.append(Link(build.key, glaze.key, freeze, 1440, says=f"freeze {freeze}"))
        liters = draw.choice([5, 10, 15])
        cold = Point(build.key, end=True), Point(glaze.key)
        holds.append(Hold(f"{line} cold", ("freezer",), *cold, liters))
        links.append(Link(glaze.key, plate.key, 120, 480, aged=True, says="thaw 2 h"))
        links.append(Link(plate.key, "service", 0, 60))
    return Work(
        tuple(tasks),
        tuple(links),
        tuple(holds),
        tuple(people),
        places,
        Aims((Aim.NO_EARLY, Aim.LATE, Aim.FRESH, Aim.CALM), ((0, 510), (DAY, DAY + 510))),
        0,
        SERVICE,
        tuple(random_claims(seed, people, places)),
    )

"""`python -m bench.scaling`: a dessert in thirty molds (target 100 ms), sixty discs on sheets with
every turn of the search (2 s), an order of ten desserts in four sizes (50 ms), portions.
"""

from dataclasses import replace

from bench.timing import timed, yardstick
from fernbell.core.cutting import ROUNDS, RawSheet, RoundBlank, ToCut, discs, plan_cut
from fernbell.core.desserts import Dessert, formulas_used, refit
from fernbell.core.desserts.resize import as_drawn, resize
from fernbell.core.desserts.shares import cut_for, share_out
from fernbell.core.desserts.solve import measured
from fernbell.core.formulas import read_formulas
from fernbell.core.molds import Ring
from fernbell.core.planning import Ordered, Vessel, plan_order
from fernbell.demo.book import demo_book
from fernbell.demo.desserts import DESSERTS, REEDBED
from fernbell.starter.molds import MOLDS

BOOK = demo_book()
READINGS = read_formulas(BOOK, list(formulas_used(REEDBED)))
VESSELS = (Vessel("mixer", "mixer", 12_000, 1500), Vessel("bowl", "bowl", 6000))


def molds() -> None:
    """Reedbed in thirty molds, each way of keeping."""
    made = as_drawn(measured(REEDBED, READINGS, 6))
    for keep in ("heights", "proportions", "portions"):

        def all_of_them() -> None:
            for one in MOLDS[:30]:
                resize(made, READINGS, one.mold, keep)  # noqa: B023 - called at once

        all_of_them()
        print(f"30 molds, keeping {keep}: {timed(all_of_them, 9):.0f} ms")


def sheets() -> None:
    """Sixty discs on four sheets, where the search has to go all the way."""
    wanted = [ToCut("base", RoundBlank(112), 60)]
    raw = RawSheet(600, 400, 0, 0)

    def search() -> None:
        discs._pushed_apart.cache_clear()
        plan_cut(wanted, raw, ROUNDS)

    plan = plan_cut(wanted, raw, ROUNDS)
    print(
        f"60 discs on {plan.number} sheets of {plan.on_one[0]}, bound {plan.bounds[0]}, all turns: "
        f"{timed(search, 5):.0f} ms; the first answer: "
        f"{timed(lambda: plan_cut(wanted, raw), 9):.1f} ms"
    )


def ten_desserts() -> list[Dessert]:
    """Ten desserts: the demo's, and Reedbed in rings of its own."""
    rings = (refit(REEDBED, Ring(across, 50)) for across in (220, 190, 170, 150))
    return [*(one.dessert for one in DESSERTS), *rings]


def order() -> None:
    """Ten desserts in four sizes merged, in batches."""
    lines = [
        Ordered(f"{dessert.name} {size}", replace(dessert, name=f"{dessert.name} {size}"), 4 + size)
        for dessert in ten_desserts()
        for size in range(4)
    ]
    plan_order(lines, BOOK, VESSELS)
    print(
        f"{len(lines)} lines merged: {timed(lambda: plan_order(lines, BOOK, VESSELS), 15):.0f} ms"
    )


def portions() -> None:
    """Twelve wedges weighed; cuts proposed for 96 covers."""
    made = measured(REEDBED, READINGS, 6)
    print(
        f"12 wedges weighed: {timed(lambda: share_out(made, 1, 1), 15):.1f} ms; cut for 96: "
        f"{timed(lambda: cut_for(made, READINGS, 96, 10), 9):.0f} ms"
    )


def main() -> None:
    """Print the medians."""
    molds()
    sheets()
    order()
    portions()
    print(f"yardstick, a million additions: {yardstick():.0f} ms")


if __name__ == "__main__":
    main()

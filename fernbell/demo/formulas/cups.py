"""Interval cups: elderflower cream, oat crumb, rhubarb jelly."""

from fernbell.demo.formulas.entry import (
    SOAK,
    DemoFormula,
    chill,
    leaves,
    line,
    losses,
    step,
)

CUPS = (
    DemoFormula(
        "elder-cream",
        "Elderflower cream",
        "cream",
        "leaf",
        (
            line("cream-35", 420, "warm"),
            line("milk", 150, "warm"),
            line("elderflower", 110, "warm"),
            line("sugar", 15, "warm"),
            leaves(5),
            line("lemon-zest", 3, "warm"),
        ),
        (
            SOAK,
            step(
                "warm",
                "Warm a third of the cream with zest; gelatin in; rest of the cream, milk "
                "and cordial cold.",
                60,
                sign="no grain between the fingers",
            ),
            step("pour", "60 g a cup; set.", 4, wait=chill(180, 2880, placed=True)),
        ),
        losses(1, 2),
        base="cream-35",
        job="cream.diplomat",
    ),
    DemoFormula(
        "oat-crumb",
        "Oat crumb",
        "crumble",
        "nut",
        (
            line("oats", 140, "rub"),
            line("spelt-flour", 90, "rub"),
            line("light-brown", 80, "rub"),
            line("butter", 100, "rub"),
            line("salt", 2, "rub"),
        ),
        (
            step("rub", "Rub together; chill in crumbs.", 4, tool="hands", wait=chill(30, 240)),
            step("bake", "Bake, stirring twice; cool dry.", 170, 16, tool="oven", sign="deep gold"),
        ),
        losses(8, 2),
        base="oats",
        measured_density_g_ml=0.5,
    ),
    DemoFormula(
        "rhubarb-jelly",
        "Rhubarb jelly",
        "fruit",
        "rhubarb",
        (
            line("rhubarb", 400, "warm"),
            line("sugar", 85, "warm"),
            line("orange-juice", 60, "cold"),
            leaves(7),
        ),
        (
            SOAK,
            step("warm", "Warm half the purée with the sugar; gelatin in.", 60),
            step(
                "cold",
                "Rest of the purée and the orange in; 40 g onto the set cream.",
                18,
                wait=chill(120, 1440, placed=True),
            ),
        ),
        losses(0, 2),
        base="rhubarb",
    ),
)

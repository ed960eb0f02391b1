"""The people of the demo kitchen: name to sign in with, first and last name, role."""

DEMO_PREFIX = "demo-"
PEOPLE = (
    ("demo-ottilie", "Ottilie", "Marsh", "chef"),
    ("demo-bram", "Bram", "Fenwick", "cook"),
    ("demo-junia", "Junia", "Coe", "apprentice"),
)


def is_of_the_demo(username: str) -> bool:
    """Whether somebody came with the demo kitchen."""
    return username.startswith(DEMO_PREFIX)

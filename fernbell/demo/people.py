"""The people of the demo kitchen: name to sign in with, first and last name, role."""

DEMO_PREFIX = "demo-"
PEOPLE = (
    ("demo-ottilie", "Ottilie", "Marsh", "chef"),
    ("demo-bram", "Bram", "Fenwick", "cook"),
    ("demo-junia", "Junia", "Coe", "apprentice"),
)

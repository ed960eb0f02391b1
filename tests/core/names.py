"""The names of the starter kitchen, as a new kitchen begins with them."""

from fernbell.core.pantry.naming import Named, Names
from fernbell.starter.pantry import STOCKS, USUAL

EVERY = tuple(Named(one.ingredient, one.other_names) for one in STOCKS)
NAMES = Names(EVERY, USUAL)

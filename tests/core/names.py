"""The names of the starter kitchen, as a new kitchen begins with them."""

from fernbell.core.pantry.naming import Named, Names
from fernbell.starter.pantry import STOCKS, USUAL

EVERY = tuple(Named(stock.ingredient, stock.other_names) for stock in STOCKS)
NAMES = Names(EVERY, USUAL)

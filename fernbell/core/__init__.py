"""The rules of the trade and the computation: pure functions on frozen values.

Quantities are floats in the unit their name ends in (`mass_g`, `height_mm`). Nothing here
knows Django, reads a clock or touches a file.
"""

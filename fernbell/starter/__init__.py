"""The starter kitchen as data: what a new kitchen begins with."""

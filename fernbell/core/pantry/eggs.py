"""Eggs by size grade: what a whole egg, a yolk and a white weigh."""

from dataclasses import dataclass
from enum import StrEnum


class EggPart(StrEnum):
    """What of the egg is used; all without the shell."""

    WHOLE = "whole"
    YOLK = "yolk"
    WHITE = "white"


@dataclass(frozen=True, slots=True)
class EggGrade:
    """A size grade and the mass of a typical egg in its shell."""

    name: str
    in_shell_g: float
    source: str


_EU = "middle of the weight class; Commission Delegated Regulation (EU) 2023/2465, from memory"
_US = "least net weight a dozen / 12; USDA AMS 56.210, from memory"

EGG_GRADES = (
    EggGrade("EU S", 50.0, _EU),
    EggGrade("EU M", 58.0, _EU),
    EggGrade("EU L", 68.0, _EU),
    EggGrade("EU XL", 76.0, _EU),
    EggGrade("US medium", 49.6, _US),
    EggGrade("US large", 56.7, _US),
    EggGrade("US extra large", 63.8, _US),
)

# Shares of the mass in the shell, common practice; the shell itself is the remaining 11 %.
_SHARE = {EggPart.WHOLE: 0.89, EggPart.YOLK: 0.31, EggPart.WHITE: 0.58}


def other_part(part: EggPart, mass_g: float, wanted: EggPart) -> float:
    """Mass of another part of the same egg; m = m of the part x share / share.

    Args:
        part: the part that is known [EggPart].
        mass_g: its mass in one egg [g].
        wanted: the part wanted [EggPart].
    Returns:
        mass in the same egg [g].
    Source:
        shares 0.31 yolk, 0.58 white: common practice.
    """
    return mass_g * _SHARE[wanted] / _SHARE[part]


def egg_mass(grade: EggGrade, part: EggPart) -> float:
    """Mass of one egg, yolk or white, without the shell.

    m = share x mass in the shell

    Args:
        grade: the size grade [EggGrade].
        part: whole, yolk or white [EggPart].
    Returns:
        mass [g].
    Source:
        shares 0.31 yolk, 0.58 white, 0.11 shell: common practice.
    """
    return _SHARE[part] * grade.in_shell_g

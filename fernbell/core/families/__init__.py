"""Families of formulas: the jobs they are set for, their dials, starters and rescue."""

from fernbell.core.families.aside import Aside
from fernbell.core.families.asides import asides
from fernbell.core.families.at_each_step import judge_steps
from fernbell.core.families.catalog import FAMILIES, job_named
from fernbell.core.families.dialing import Landing, read_dial, turn, weighable
from fernbell.core.families.drips import DRIP_FIELDS, SPACING_MM, Drips, drips
from fernbell.core.families.experience import Experience, is_learned, main_chocolate
from fernbell.core.families.family import (
    Dial,
    DialBand,
    Failure,
    Family,
    Job,
    Own,
    StarterLine,
    Tool,
)
from fernbell.core.families.folding import folding, judge_fold
from fernbell.core.families.others import OtherChocolate, other_chocolates
from fernbell.core.families.proposing import (
    FINISHED,
    HOLDS_AT,
    USUAL_FINISHED_G,
    Proposal,
    Wish,
    propose,
    slot_choices,
)
from fernbell.core.families.sentence import SAID, Slot, sentence
from fernbell.core.families.stuffs import STUFFS, Stuff, choices, fits, nearest
from fernbell.core.families.swap_notes import Note, swap_notes
from fernbell.core.families.swapping import MOVED as SWAP_MOVED
from fernbell.core.families.swapping import Kept, Swap, swap
from fernbell.core.families.warmth import solid_share
from fernbell.core.families.windows import job_for, windows_for

__all__ = [
    "DRIP_FIELDS",
    "FAMILIES",
    "FINISHED",
    "HOLDS_AT",
    "SAID",
    "SPACING_MM",
    "STUFFS",
    "SWAP_MOVED",
    "USUAL_FINISHED_G",
    "Aside",
    "Dial",
    "DialBand",
    "Drips",
    "Experience",
    "Failure",
    "Family",
    "Job",
    "Kept",
    "Landing",
    "Note",
    "OtherChocolate",
    "Own",
    "Proposal",
    "Slot",
    "StarterLine",
    "Stuff",
    "Swap",
    "Tool",
    "Wish",
    "asides",
    "choices",
    "drips",
    "fits",
    "folding",
    "is_learned",
    "job_for",
    "job_named",
    "judge_fold",
    "judge_steps",
    "main_chocolate",
    "nearest",
    "other_chocolates",
    "propose",
    "read_dial",
    "sentence",
    "slot_choices",
    "solid_share",
    "swap",
    "swap_notes",
    "turn",
    "weighable",
    "windows_for",
]

"""What is typed or pasted into a formula: amounts and names, understood in this kitchen."""

from uuid import UUID

from fernbell.core.errors import CoreError
from fernbell.core.formulas import read_formulas
from fernbell.core.measures import Amount, Pasted, System, folded, read_amount, read_list
from fernbell.core.pantry import Ingredient, mass_of_amount
from fernbell.server.formulas import models
from fernbell.server.formulas.assemble import book_for
from fernbell.server.formulas.schemas import Match, PastedIn, PastedLine, ReadLine, TypedLine
from fernbell.server.kitchens.models import Member
from fernbell.server.kitchens.policy import rows
from fernbell.server.pantry import models as pantry
from fernbell.server.pantry.assemble import as_core


def read_line(member: Member, typed: TypedLine) -> ReadLine:
    """Understand a typed line: the amount in grams, and which names of the kitchen fit."""
    amount = read_amount(typed.text)
    matches = _fitting(_names(member, typed.within), amount)
    if not matches:
        return ReadLine(name=amount.name, mass_g=None, understood=typed.text, matches=[])
    best = matches[0]
    mass = mass_of_amount(_weighed(member, [best])[best.id], amount, System(member.measures))
    understood = f"{mass:.4g} g {best.name}"
    return ReadLine(name=amount.name, mass_g=mass, understood=understood, matches=matches)


def read_pasted(member: Member, pasted: PastedIn) -> list[PastedLine]:
    """Understand a pasted list line by line, with a fixed number of queries a formula named."""
    names = _names(member, pasted.within)
    read = [
        (line, _fitting(names, line.amount) if line.amount else [])
        for line in read_list(pasted.text)
    ]
    weighed = _weighed(member, [matches[0] for _, matches in read if matches])
    system = System(member.measures)
    return [_pasted(line, matches, weighed, system) for line, matches in read]


def _pasted(
    line: Pasted, matches: list[Match], weighed: dict[UUID, Ingredient], system: System
) -> PastedLine:
    amount, mass, refusal = line.amount, None, line.refusal
    if amount:
        # What the pantry does not know yet has no density and no pieces, only a weight.
        of = weighed[matches[0].id] if matches else Ingredient("", amount.name)
        try:
            mass = mass_of_amount(of, amount, system)
        except CoreError as error:
            refusal = str(error)
    return PastedLine(
        text=line.text,
        heading=line.heading,
        refusal=refusal,
        name=amount.name if amount else "",
        mass_g=mass,
        matches=matches,
    )


def _names(member: Member, within: UUID | None) -> list[Match]:
    """Everything on the shelves that can be a line."""
    return [
        Match(id=pk, name=own, is_formula=is_formula)
        for model, is_formula in ((pantry.Ingredient, False), (models.Formula, True))
        for pk, own in rows(member, model).filter(archived_at=None).values_list("pk", "name")
        if pk != within
    ]


def _fitting(names: list[Match], amount: Amount) -> list[Match]:
    """What an amount may be of: 'chopped couverture' is a couverture where nothing is named so."""
    return _matches(names, amount.name) or (
        _matches(names, amount.plain_name) if amount.plain_name else []
    )


def _matches(names: list[Match], wanted: str) -> list[Match]:
    """Those whose name holds every word wanted, the nearest first."""
    whole = folded(wanted)
    # Yolks are found as yolk.
    words = [word.removesuffix("s") for word in whole.replace(",", " ").split()]

    def rank(match: Match) -> tuple[bool, bool, int, str]:
        own = folded(match.name)
        return own != whole, not own.startswith(whole), len(own), own

    fitting = (one for one in names if all(word in folded(one.name) for word in words))
    return sorted(fitting, key=rank)[:8]


def _weighed(member: Member, wanted: list[Match]) -> dict[UUID, Ingredient]:
    """What amounts are of, by key; a formula is measured through its density with air."""
    found = {}
    for row in rows(member, pantry.Ingredient).filter(pk__in={one.id for one in wanted}):
        found[row.pk] = as_core(row)
    formulas = {one.id for one in wanted if one.is_formula}
    if formulas:
        book = book_for(member.kitchen_id, (str(pk) for pk in formulas))
        for key, reading in read_formulas(book, (str(pk) for pk in formulas)).items():
            found[UUID(key)] = Ingredient(key, reading.formula.name, reading.density_g_ml)
    return found

"""What is typed or pasted into a formula: amounts and names, understood in this kitchen."""

from fernbell.core.errors import CoreError
from fernbell.core.measures import Pasted, System, read_list
from fernbell.core.pantry.naming import Understood, of_amount, refused, understand
from fernbell.server.formulas.names import ReadLine, as_read, names_of, weighed_by
from fernbell.server.formulas.schemas import PastedIn, TypedLine
from fernbell.server.kitchens.models import Member


class PastedLine(ReadLine):
    """One pasted line; `heading` is what is rightly passed over."""

    heading: bool


def read_line(member: Member, typed: TypedLine) -> ReadLine:
    """Understand a typed line: what is certain, or what may be meant."""
    system, weighed = System(member.measures), weighed_by(member)
    try:
        read = understand(typed.text, names_of(member), system, weighed=weighed, begun=typed.begun)
    except CoreError as refusal:
        read = refused(typed.text, refusal)
    return as_read(read, typed.within)


def read_pasted(member: Member, pasted: PastedIn) -> list[PastedLine]:
    """Understand a pasted list line by line."""
    lines, system, weighed = read_list(pasted.text), System(member.measures), weighed_by(member)
    names = names_of(member).together(line.amount.name for line in lines if line.amount)

    def of(line: Pasted) -> Understood:
        if line.amount is None:
            return Understood(line.text, "", None, (), asks=line.refusal)
        try:
            return of_amount(line.text, line.amount, names, system, weighed=weighed)
        except CoreError as refusal:
            return refused(line.text, refusal)

    return [
        PastedLine(**dict(as_read(of(line), pasted.within)), heading=line.heading) for line in lines
    ]

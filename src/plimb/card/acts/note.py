"""What a technician writes on a card besides the gaps: symptoms, side checks, notes, the bill."""

from collections.abc import Sequence

from plimb.card.acting import OnCard, act
from plimb.card.said import LONGEST_NOTE, Brief, Note, Price, Reason, inside, listed
from plimb.core.errors import BadValue
from plimb.core.job.checks import BillLine, CylinderCheck, SideChecks, bill_lines
from plimb.core.job.stages import Stage

_CylinderPart = inside("CylinderPart", CylinderCheck, whole=True, dry=Brief, wet=Brief, leak=Brief)
_ChecksPart = inside(
    "ChecksPart", SideChecks, whole=True, cylinders=listed(_CylinderPart, 24), plugs=Reason,
    chain=Reason, sealing=Reason, other=Reason,
)  # fmt: skip
_BillPart = inside("BillPart", BillLine, whole=True, price=Price)


@act("symptoms", text=Note)
def note_symptoms(on: OnCard, *, text: str) -> None:
    """Note what the machine did: hard cold starts, noise, lost power."""
    on.card.symptoms = _short(text)


@act("side-checks", checks=_ChecksPart)
def note_checks(on: OnCard, checks: SideChecks) -> None:
    """Note compression, leak-down and what else was looked at; BadValue where it cannot be."""
    on.card.checks = checks.checked()


@act("note", text=Note)
def note_at(on: OnCard, *, stage: Stage, text: str) -> None:
    """Note something at a stage of this card; an empty text takes the note away."""
    kept = {**on.card.notes, stage: _short(text)}
    on.card.notes = {at: text for at, text in kept.items() if text}


@act("bill", lines=listed(_BillPart, 60))
def note_bill(on: OnCard, *, lines: Sequence[BillLine]) -> None:
    """Write the lines of the bill besides the pieces; BadValue where one cannot be."""
    on.card.bill = bill_lines(tuple(lines))


def _short(text: str) -> str:
    if len(text) > LONGEST_NOTE:
        raise BadValue(f"A note has at most {LONGEST_NOTE} letters.", field="text")
    return text.strip()

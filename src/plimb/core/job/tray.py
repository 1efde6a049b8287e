"""The strip tray: what came off, in order, and where each fastener lives."""

from dataclasses import dataclass

from plimb.core.errors import BadValue

MOST_PARTS, MOST_POCKETS = 40, 60


@dataclass(frozen=True, slots=True, kw_only=True)
class Pocket:
    """One fastener's place on a part's outline: 0 to 1 across and down, length as text."""

    x: float
    y: float
    length: str
    note: str = ""
    count: int = 1


@dataclass(frozen=True, slots=True, kw_only=True)
class Part:
    """Something taken off, with a pocket for each of its fasteners."""

    name: str
    note: str = ""
    pockets: tuple[Pocket, ...] = ()


def check_tray(parts: tuple[Part, ...]) -> tuple[Part, ...]:
    """Return the parts as they are kept.

    Raises:
        BadValue: Too many parts or pockets, a part without a name, a pocket off the outline.
    """
    if len(parts) > MOST_PARTS or any(len(part.pockets) > MOST_POCKETS for part in parts):
        raise BadValue(
            f"A tray holds at most {MOST_PARTS} parts of {MOST_POCKETS} pockets.", field="parts"
        )
    for part in parts:
        if not part.name.strip():
            raise BadValue("Name each part that came off.", field="parts")
        if not all(0 <= p.x <= 1 and 0 <= p.y <= 1 and 1 <= p.count <= 99 for p in part.pockets):
            raise BadValue(f"A pocket of {part.name} lies off its outline.", field="parts")
    return tuple(
        Part(name=part.name.strip(), note=part.note.strip(), pockets=part.pockets) for part in parts
    )

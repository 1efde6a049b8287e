"""Lines to see to and tick: what to do, and the caution that goes with it."""

from collections.abc import Iterable
from dataclasses import dataclass


@dataclass(frozen=True, slots=True, kw_only=True)
class ChecklistItem:
    """One thing to see to; its id is what is ticked on a card."""

    id: str
    does: str
    caution: str


Line = tuple[str, str, str]
"""An id within its list, what to do, and the caution."""


def checklist(
    lines: Iterable[Line], prefix: str = "", round_: int = 1
) -> tuple[ChecklistItem, ...]:
    """Return the lines as a list; each round's lines have ids of their own."""
    before = "" if not prefix else f"{prefix}-" if round_ == 1 else f"{prefix}{round_}-"
    return tuple(
        ChecklistItem(id=f"{before}{id_}", does=does, caution=why) for id_, does, why in lines
    )

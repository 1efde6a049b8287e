"""The sheet of a card: everything another shop needs to trust the job, as plain values."""

from __future__ import annotations

from dataclasses import dataclass
from datetime import datetime

from plimb.core.layout import HeadDrawing
from plimb.core.limits import Verdict

VERDICT_WORDS = {
    Verdict.IN: "in spec",
    Verdict.TIGHT: "tight",
    Verdict.LOOSE: "loose",
    Verdict.UNSETTLED: "not settled",
    Verdict.NONE: "no gap",
    None: "not proved",
}


@dataclass(frozen=True, slots=True, kw_only=True)
class SheetRow:
    """One valve's line; every figure as it is read, in millimetres, empty where there is none."""

    valve: str
    spec: str
    found: str
    piece_out: str
    piece_in: str
    predicted: str
    left: str
    residual: str
    verdict: Verdict | None


@dataclass(frozen=True, slots=True, kw_only=True)
class SheetRound:
    """One round's lines, and why it was gone round."""

    number: int
    reason: str
    rows: tuple[SheetRow, ...]


@dataclass(frozen=True, slots=True, kw_only=True)
class Sheet:
    """The whole sheet. `facts` are names and what stands beside them, in order."""

    shop: str
    label: str
    engine: str
    card: int
    facts: tuple[tuple[str, str], ...]
    drawing: HeadDrawing
    rows: tuple[SheetRow, ...]
    rounds: tuple[SheetRound, ...]
    acknowledged: tuple[str, ...]
    not_acknowledged: tuple[str, ...]
    torques: tuple[str, ...]
    explained: tuple[str, ...]
    remarks: str
    next_check: str
    signed_by: str | None
    signed_at: datetime | None
    amendments: tuple[str, ...]
    fingerprint: str | None


CAUTION = (
    "The maker's manual and the law of the place come before anything on this sheet. The spec is "
    "for a cold engine."
)

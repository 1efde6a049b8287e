"""One valve as it goes over the wire: each line that its plate carries, and what is asked."""

from __future__ import annotations

from plimb.core.engine.engine import Side
from plimb.core.job.slips import Slip
from plimb.core.measure.limits import Verdict
from plimb.core.plan.needs import Need
from plimb.core.shim.shim import Condition, Source, Trust
from plimb.web.wire import Answer, Length, ShownGap, off


class TryOut(Answer):
    """A blade, or two together, to try: how it is typed, and its thickness."""

    typed: str
    blades: list[Length]
    thickness: Length


class QuestionOut(Answer):
    """A reading that is asked about, and what was likely meant."""

    slip: Slip
    sentence: str
    suggestion: str | None
    suggested: Length | None


class ReadingOut(Answer):
    """A gap written down: what was typed, what it says, and in words."""

    typed: str
    gap: ShownGap
    mm: str
    thou: str
    guess: bool


class PieceOut(Answer):
    """A shim that came out."""

    typed: str
    thickness: Length
    marked: str | None
    measured: Length | None
    marked_as: Length | None = off("marked_nm")
    words: str
    disagrees: bool
    answered: bool
    trust: Trust
    condition: Condition
    spread: Length | None


class WorkedOut(Answer):
    """The sum of one valve, line by line, and what the ladder shows of it."""

    thin: Length | None
    thick: Length | None
    ideal: Length
    lines: list[str]


class SpecOut(Answer):
    """The maker's range of one valve."""

    low: Length
    high: Length


class ChosenOut(Answer):
    """The piece decided on."""

    thickness: Length
    source: Source
    by_hand: bool


class ValveOut(Answer):
    """One valve as it stands."""

    valve: str = off("status", "valve")
    cylinder: int = off("status", "clearance", "cylinder")
    side: Side = off("status", "clearance", "side")
    camshaft: str = off("status", "clearance", "camshaft")
    spec: SpecOut = off("status", "clearance", "spec", "check")
    found: ReadingOut | None = off("status", "record", "found")
    verdict: Verdict | None = off("status", "verdict")
    near_edge: bool = off("status", "near_edge")
    need: Need = off("status", "need")
    opens: bool = off("status", "opens")
    reason: str = off("status", "reason")
    piece: PieceOut | None = off("status", "record", "piece")
    worked: WorkedOut | None
    chosen: ChosenOut | None = off("status", "record", "choice")
    touched: bool = off("status", "touched")
    predicted: ShownGap | None = off("status", "predicted")
    proof: ReadingOut | None = off("status", "record", "proof")
    proof_verdict: Verdict | None = off("status", "proof_verdict")
    residual: Length | None = off("status", "residual_nm")
    within_doubt: bool | None
    was: Length | None = off("status", "was_nm")
    left: Verdict | None = off("status", "left")
    questions: list[QuestionOut]
    repeats: list[ShownGap]
    spread: Length | None
    next_blade: TryOut | None
    stop: int

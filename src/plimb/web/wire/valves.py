"""One valve as it goes over the wire: each line that its plate carries, and what is asked."""

from plimb.card.view import ValveView
from plimb.core.engine.engine import Side
from plimb.core.engine.followers import Role
from plimb.core.job.slips import Question
from plimb.core.measure.blades import Gauge
from plimb.core.measure.limits import Limits, Verdict
from plimb.core.measure.shorthand import Reading
from plimb.core.plan.needs import Need
from plimb.core.shim.shim import ShimReading, Source
from plimb.core.shim.sum import Window
from plimb.core.shim.worksheet import Worksheet
from plimb.web.wire.read_off import Answer, Length, ShownGap, answer_of, read_from, read_off


@read_off(Gauge)
class TryOut(Answer):
    """A blade, or two together, to try: how it is typed, and its thickness."""

    typed: str
    blades: list[Length]


QuestionOut = answer_of(Question, "QuestionOut")


@read_off(Reading, without=("goes", "refuses", "feel", "about"))
class ReadingOut(Answer):
    """A gap written down: what was typed, what it says, and in words."""

    mm: str
    thou: str


@read_off(ShimReading, without=("marked_nm", "readings", "doubt_nm"))
class PieceOut(Answer):
    """A shim that came out."""

    thickness: Length
    marked_as: Length | None = read_from("marked_nm")
    words: str
    disagrees: bool
    spread: Length | None


@read_off(Window)
class WindowOut(Answer):
    """From a thickness to another; as a change, thinner where it is less than nothing."""


WorkedOut = answer_of(Worksheet, "WorkedOut")


@read_off(Limits)
class SpecOut(Answer):
    """The maker's range of one valve."""


class ChosenOut(Answer):
    """The piece decided on; `goes_in` is what it measured as it went in, if it was measured."""

    thickness: Length
    goes_in: Length = read_from("goes_in_nm")
    source: Source
    by_hand: bool


@read_off(ValveView, without=("status",))
class ValveOut(Answer):
    """One valve as it stands."""

    valve: str = read_from("status", "valve")
    cylinder: int = read_from("status", "clearance", "cylinder")
    side: Side = read_from("status", "clearance", "side")
    action: Role = read_from("status", "clearance", "action")
    camshaft: str = read_from("status", "clearance", "camshaft")
    spec: SpecOut | None = read_from("status", "clearance", "check")
    found: ReadingOut | None = read_from("status", "record", "found")
    verdict: Verdict | None = read_from("status", "verdict")
    near_edge: bool = read_from("status", "near_edge")
    need: Need = read_from("status", "need")
    opens: bool = read_from("status", "opens")
    reason: str = read_from("status", "reason")
    in_doubt: bool = read_from("status", "in_doubt")
    piece: PieceOut | None = read_from("status", "record", "piece")
    chosen: ChosenOut | None = read_from("status", "record", "choice")
    touched: bool = read_from("status", "touched")
    change: WindowOut | None = read_from("status", "change")
    overtaken: bool = read_from("status", "overtaken")
    left_unset: bool = read_from("status", "left_unset")
    predicted: ShownGap | None = read_from("status", "predicted")
    proof: ReadingOut | None = read_from("status", "record", "proof")
    proof_verdict: Verdict | None = read_from("status", "proof_verdict")
    proof_sure: str | None = read_from("status", "proof_sure_words")
    proof_next: TryOut | None = read_from("status", "proof_next")
    residual: Length | None = read_from("status", "residual_nm")
    was: Length | None = read_from("status", "was_nm")
    left: Verdict | None = read_from("status", "left")
    spread: Length | None

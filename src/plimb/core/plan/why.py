"""Why a valve gets its piece: the figures that it is decided by, and the words made from them.

What is said is a value first: each `Why` holds the figures that its sentence speaks of, and the
words are made from it last.
"""

from dataclasses import dataclass
from enum import StrEnum

from plimb.core.measure.gap import Gap
from plimb.core.plan.result import Cannot, Move
from plimb.core.plan.rows import PlanRow
from plimb.core.shim.shim import Source
from plimb.core.words import MILLIMETRES, Units, percent

EVEN = 0.5
"""From this chance on a piece is said to be one that would do."""


class Because(StrEnum):
    """What a valve's piece is decided by."""

    NOT_MEASURED = "not-measured"
    OPEN_ENDED = "open-ended"
    UNREAD = "unread"
    SHAFT_STAYS = "shaft-stays"
    IN_SPEC = "in-spec"
    LIKELY_IN = "likely-in"
    NOTHING_SERVES = "nothing-serves"
    SCRAP_STAYS = "scrap-stays"
    NOTHING_THINNER = "nothing-thinner"
    NO_SIZES = "no-sizes"
    NOTHING_AT_HAND = "nothing-at-hand"
    FOR_NOW = "for-now"
    CLOSER = "closer"
    OUT = "out"
    HOLDS_OPEN = "holds-open"
    NOT_THINNER = "not-thinner"
    NOT_KNOWN = "not-known"
    EMPTY = "empty"
    GONE = "gone"
    AT_HAND = "at-hand"
    BOUGHT = "bought"


class Fate(StrEnum):
    """What becomes of the likeliest piece at hand where another one is bought."""

    NONE_LANDS = "none-lands"
    NEW_WANTED = "new-wanted"
    SERVES = "serves"
    STAYS = "stays"
    RULED_OUT = "ruled-out"
    LESS_SURE = "less-sure"


@dataclass(frozen=True, slots=True, kw_only=True)
class AtHand:
    """The likeliest piece at hand that lands in range by its best number, and its fate.

    `valve` is the one it serves, or stays in; `own` how sure the valve's own piece is to be in
    spec, None where it reads out or is scrap.
    """

    fate: Fate
    thickness_nm: int | None = None
    chance: float | None = None
    valve: str | None = None
    own: float | None = None


@dataclass(frozen=True, slots=True, kw_only=True)
class Nearer:
    """A size from the counter nearer to the aim, the gap it would give, how sure."""

    thickness_nm: int
    gap_nm: int
    chance: float


@dataclass(frozen=True, slots=True, kw_only=True)
class Why:
    """Why one valve gets its piece: what it is decided by, with the figures that are spoken of."""

    because: Because
    row: PlanRow
    move: Move
    cannot: Cannot | None = None
    at_hand: AtHand | None = None
    nearer: Nearer | None = None
    sold: bool = False
    units: Units = MILLIMETRES

    @property
    def words(self) -> str:
        """The reason as a technician would say it."""
        said = _SAY[self.because](self)
        return f"Decided by hand. {said}" if self.move.pinned else said

    @property
    def standing(self) -> str:
        """How the valve stands with its piece: in range for sure, or how sure to be."""
        move, spec = self.move, self.row.spec
        chance = move.chance or 0.0
        if spec.set_ and move.gap:
            if spec.set_.holds(move.gap.best_nm):
                certain = "in range" * move.in_spec
                set_ = f"{percent(chance)} sure to be in the set range" * (chance < 1)
                return ", ".join(word for word in (certain, set_) if word)
            inside = "in the check range" if move.in_spec else f"{percent(chance)} sure to be in it"
            return f"{inside}, but not in the set range"
        return "in range" if move.in_spec else f"{percent(chance)} sure to be in range"

    @property
    def sum(self) -> str:
        """The sum: gap + old − new = gap after."""
        row, move = self.row, self.move
        before = self._gap(row.gap, row.gap.in_sum() if row.gap else "?")
        after = self._gap(move.gap, move.gap.words() if move.gap else "?")
        return f"{before} + {self.thick(row.piece_nm)} − {self.thick(move.thickness_nm)} = {after}"

    def thick(self, nm: int | None) -> str:
        """Return a thickness in the card's units."""
        return "?" if nm is None else self.units.shim_figure(nm)

    def _gap(self, gap: Gap | None, said: str) -> str:
        """Return a gap in a sum: as said in millimetres, else its best number in both units."""
        return said if gap is None or self.units.alike else self.units.in_sum(gap.best_nm)

    @property
    def found(self) -> str:
        """The gap as found, in its unit."""
        return self.row.gap.words(self.units.gap) if self.row.gap else "?"

    @property
    def needs(self) -> str:
        """What the valve would need."""
        cannot = self.cannot
        if cannot is None or (cannot.thick_nm is None and cannot.thin_nm is None):
            return "What it needs is not known yet."
        if cannot.thin_nm is None:
            return f"It needs {self.thick(cannot.thick_nm)} or thinner."
        if cannot.thick_nm is None:
            return f"It needs {self.thick(cannot.thin_nm)} or thicker."
        return f"It needs {self.thick(cannot.thin_nm)} to {self.thick(cannot.thick_nm)}."


def _place(move: Move) -> str:
    if move.source is Source.ENGINE:
        return f"out of {move.from_valve}"
    return "from the drawer" if move.source is Source.DRAWER else "from the counter"


def _for_now(why: Why) -> str:
    bought = why.move.source is Source.COUNTER
    fit = "Nothing to spare is thin enough and not far too thin: buy" if bought else "Fit"
    return (
        f"No gap was felt, so no sum can be trusted yet. {fit} "
        f"{why.thick(why.move.thickness_nm)} {'to fit' if bought else _place(why.move)} for now, "
        "measure, and work back; the shim that stays is bought after that."
    )


def _bought(why: Why) -> str:
    hand = why.at_hand
    assert hand is not None
    size = why.thick(hand.thickness_nm)
    said = {
        Fate.NONE_LANDS: f"Nothing {'else ' * (hand.own is not None)}at hand lands in range.",
        Fate.NEW_WANTED: "Only new shims are wanted.",
        Fate.SERVES: f"The {size} at hand serves {hand.valve}.",
        Fate.STAYS: f"The {size} that would do stays in {hand.valve}."
        if (hand.chance or 0) >= EVEN
        else f"The {size} in {hand.valve}, {percent(hand.chance or 0)} sure here, stays there.",
        Fate.RULED_OUT: f"The {size} at hand is ruled out.",
        Fate.LESS_SURE: f"The {size} at hand would be {percent(hand.chance or 0)} sure.",
    }[hand.fate]
    own = "" if hand.own is None else f"As it is {percent(hand.own)} sure to be in range. "
    return f"{own}{said} Buy {why.thick(why.move.thickness_nm)}: {why.sum}, {why.standing}."


def _none(why: Why) -> str:
    """Return what keeps every shim that would bring the valve in out of it."""
    hand = why.at_hand
    assert hand is not None
    size = why.thick(hand.thickness_nm)
    said = {
        Fate.NONE_LANDS: "Nothing at hand brings it into range.",
        Fate.NEW_WANTED: "Only new shims are wanted.",
        Fate.SERVES: f"The {size} at hand that would bring it in serves {hand.valve}.",
        Fate.STAYS: f"The {size} that would bring it in stays in {hand.valve}.",
        Fate.RULED_OUT: f"The {size} at hand that would bring it in is ruled out.",
        Fate.LESS_SURE: f"The {size} at hand would be {percent(hand.chance or 0)} sure.",
    }[hand.fate]
    if why.because is Because.NO_SIZES:
        return f"Nobody has entered which sizes are made for it. {said} {why.needs}"
    if why.because is Because.NOTHING_AT_HAND:
        return f"{said} {why.needs}"
    sold = "The sizes that would bring it in are ruled out." if why.sold else (
        "No size that is sold brings it in."
    )  # fmt: skip
    scrap = "Its shim is scrap. " * (why.because is Because.SCRAP_STAYS)
    return f"{scrap}{said} {sold} {why.needs}"


def _taken(why: Why) -> str:
    said = (
        f"{why.thick(why.move.thickness_nm)} {_place(why.move)} costs nothing: "
        f"{why.sum}, {why.standing}."
    )
    nearer = why.nearer
    if nearer is None:
        return said
    left = why.units.in_sum(nearer.gap_nm)
    return f"{said} A bought {why.thick(nearer.thickness_nm)} would give {left}, nearer to the aim."


_SAY = {
    Because.NOT_MEASURED: lambda why: "Not measured yet, so nothing is decided.",
    Because.OPEN_ENDED: lambda why: (
        f"{why.found} is one end only, so no sum can be made: "
        + ("try thinner blades." if why.row.gap.low_nm is None else "try thicker blades.")
    ),
    Because.UNREAD: lambda why: (
        "Its shim is not read yet; read it, then it is planned with the rest."
    ),
    Because.SHAFT_STAYS: lambda why: (
        f"In range at {why.found}, and its camshaft stays in: its shim stays."
    ),
    Because.IN_SPEC: lambda why: f"In range at {why.found}: its shim stays.",
    Because.LIKELY_IN: lambda why: (
        f"Not clear yet at {why.found}, {percent(why.move.chance or 0)} sure to be in: "
        "its shim stays."
    ),
    Because.NOTHING_SERVES: _none,
    Because.SCRAP_STAYS: _none,
    Because.NOTHING_THINNER: lambda why: (
        f"No gap was felt, and no thinner shim can be spared to get one. {why.needs}"
    ),
    Because.NO_SIZES: _none,
    Because.NOTHING_AT_HAND: _none,
    Because.FOR_NOW: _for_now,
    Because.CLOSER: lambda why: (
        f"{why.thick(why.move.thickness_nm)}: {why.sum}: closer, but not in range. {why.needs}"
    ),
    Because.OUT: lambda why: (
        f"{why.thick(why.move.thickness_nm)}: {why.sum}: out of range. {why.needs}"
    ),
    Because.HOLDS_OPEN: lambda why: (
        f"{why.thick(why.move.thickness_nm)}: {why.sum}: out of range, it would hold the valve "
        f"open. {why.needs}"
    ),
    Because.NOT_THINNER: lambda why: (
        f"No gap was felt, and {why.thick(why.move.thickness_nm)} is not thinner than what is in: "
        f"again there would be no gap. {why.needs}"
    ),
    Because.NOT_KNOWN: lambda why: (
        f"Without a full reading of its gap Plimb cannot say what "
        f"{why.thick(why.move.thickness_nm)} gives. Measure it."
    ),
    Because.EMPTY: lambda why: (
        "Its shim goes to another valve, and the plan has no other for it. "
        f"Choose one for it. {why.needs}"
    ),
    Because.GONE: lambda why: (
        "The shim that was decided on cannot be had: another valve has it, or it left the "
        f"drawer. Choose another one. {why.needs}"
    ),
    Because.AT_HAND: _taken,
    Because.BOUGHT: _bought,
}  # fmt: skip

"""Say of each valve why it gets the piece it gets, in a sentence a technician would say.

What is said is a value first: each `Why` holds the figures that its sentence speaks of, and the
words are made from it last.
"""

from collections.abc import Iterator, Mapping
from dataclasses import dataclass, replace
from enum import StrEnum

from plimb.core.lengths import mm
from plimb.core.measure.gap import Gap
from plimb.core.measure.limits import Verdict
from plimb.core.plan.request import PlanRequest
from plimb.core.plan.result import Cannot, Move, Plan
from plimb.core.plan.rows import PlanRow, chance_of
from plimb.core.shim.shim import Condition, Source
from plimb.core.shim.sum import Aim, sought_thickness
from plimb.core.words import MILLIMETRES, Units, percent

WORTH_SAYING_NM = mm("0.01")
"""A size that would land nearer to the aim by less than this is not worth a sentence."""


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
    """The likeliest piece at hand that lands in spec by its best number, and its fate.

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
    units: Units = MILLIMETRES

    @property
    def words(self) -> str:
        """The reason as a technician would say it."""
        said = _SAY[self.because](self)
        return f"Decided by hand. {said}" if self.move.pinned else said

    @property
    def standing(self) -> str:
        """How the valve stands with its piece: in spec for sure, or how sure to be."""
        move, spec = self.move, self.row.spec
        chance = move.chance or 0.0
        if spec.set_ and move.gap and not spec.set_.holds(move.gap.best_nm):
            inside = "in the check range" if move.in_spec else f"{percent(chance)} sure to be in it"
            return f"{inside}, but not in the set range"
        return "in spec" if move.in_spec else f"{percent(chance)} sure to be in spec"

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


def _for_now(why: Why) -> str:
    bought = why.move.source is Source.COUNTER
    fit = "Nothing to spare is thin enough and not far too thin: buy" if bought else "Fit"
    return (
        f"No gap was felt, so no sum can be trusted yet. {fit} "
        f"{why.thick(why.move.thickness_nm)} {'to fit' if bought else _place(why.move)} for now, "
        "measure, and work back; the piece that stays is bought after that."
    )


def _bought(why: Why) -> str:
    hand = why.at_hand
    assert hand is not None
    size = why.thick(hand.thickness_nm)
    said = {
        Fate.NONE_LANDS: f"Nothing {'else ' * (hand.own is not None)}at hand lands in spec.",
        Fate.NEW_WANTED: "Only new pieces are wanted.",
        Fate.SERVES: f"The {size} at hand serves {hand.valve}.",
        Fate.STAYS: f"The {size} that would do stays in {hand.valve}.",
        Fate.RULED_OUT: f"The {size} at hand is ruled out.",
        Fate.LESS_SURE: f"The {size} at hand would be {percent(hand.chance or 0)} sure.",
    }[hand.fate]
    own = "" if hand.own is None else f"As it is {percent(hand.own)} sure to be in spec. "
    return f"{own}{said} Buy {why.thick(why.move.thickness_nm)}: {why.sum}, {why.standing}."


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
        f"In spec at {why.found}, and its camshaft stays in: its shim stays."
    ),
    Because.IN_SPEC: lambda why: f"In spec at {why.found}: its shim stays.",
    Because.LIKELY_IN: lambda why: (
        f"Not settled at {why.found}, {percent(why.move.chance or 0)} sure to be in: "
        "its shim stays."
    ),
    Because.NOTHING_SERVES: lambda why: (
        f"No piece that can be had brings it into spec. {why.needs}"
    ),
    Because.SCRAP_STAYS: lambda why: (
        f"Its shim is scrap and nothing that can be had replaces it in spec. {why.needs}"
    ),
    Because.NOTHING_THINNER: lambda why: (
        f"No gap was felt, and nothing thinner is at hand to get one. {why.needs}"
    ),
    Because.NO_SIZES: lambda why: (
        "Nobody has entered which sizes are made for it, and nothing at hand serves. " + why.needs
    ),
    Because.NOTHING_AT_HAND: lambda why: f"Nothing at hand brings it into spec. {why.needs}",
    Because.FOR_NOW: _for_now,
    Because.CLOSER: lambda why: (
        f"{why.thick(why.move.thickness_nm)}: {why.sum}: closer, but not in spec. {why.needs}"
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


def reasons(request: PlanRequest, plan: Plan, units: Units = MILLIMETRES) -> Mapping[str, Why]:
    """Return for each valve why it gets its piece, and what was given up for it."""
    look = _Look(request, plan)
    cannot = {one.valve: one for one in plan.cannot}
    return {
        move.valve: replace(look.why(row, move, cannot.get(move.valve)), units=units)
        for row, move in zip(request.rows, plan.moves, strict=True)
    }


class _Look:
    """What is said of the moves of one plan."""

    def __init__(self, request: PlanRequest, plan: Plan) -> None:
        self.request, self.plan = request, plan

    def why(self, row: PlanRow, move: Move, cannot: Cannot | None) -> Why:
        """Return why a valve gets its piece."""
        because = self._because(row, move, cannot)
        return Why(
            because=because,
            row=row,
            move=move,
            cannot=cannot,
            at_hand=replace(self._at_hand(row), own=self._own(row))
            if because is Because.BOUGHT
            else None,
            nearer=self._nearer(row, move) if because is Because.AT_HAND else None,
        )

    def _because(self, row: PlanRow, move: Move, cannot: Cannot | None) -> Because:
        if move.empty:
            return Because.GONE if move.pinned else Because.EMPTY
        if move.changes:
            return _why_changed(row, move, cannot)
        if row.gap is None:
            return Because.NOT_MEASURED
        if row.gap.open_ended and (cannot is not None or row.verdict is not Verdict.IN):
            return Because.OPEN_ENDED
        if row.piece_nm is None and row.needs_setting(self.request.policy.act):
            return Because.UNREAD
        if cannot is not None:
            return self._why_not(row)
        if row.verdict is not Verdict.IN:
            return Because.LIKELY_IN
        stays = row.clearance.camshaft_out and row.clearance.camshaft not in self.plan.camshafts_out
        return Because.SHAFT_STAYS if stays else Because.IN_SPEC

    def _why_not(self, row: PlanRow) -> Because:
        if row.condition is Condition.SCRAP:
            return Because.SCRAP_STAYS
        if row.lost:
            return Because.NOTHING_THINNER
        if not row.clearance.family.runs:
            return Because.NO_SIZES
        return Because.NOTHING_SERVES if self.request.policy.buy else Because.NOTHING_AT_HAND

    def _own(self, row: PlanRow) -> float | None:
        """Return how sure the valve's own piece is, where it reads in spec and is sound."""
        sound = row.condition is Condition.SOUND
        return row.kept_chance(self.request.policy.doubt) if row.reads_in and sound else None

    def _at_hand(self, row: PlanRow) -> AtHand:
        """Return the likeliest piece at hand for a valve that gets a bought one, and its fate."""
        policy = self.request.policy
        if not policy.reuse:
            return AtHand(fate=Fate.NEW_WANTED)
        found = [
            (chance, thickness_nm, holder)
            for thickness_nm, doubt_nm, holder in self._pieces(row)
            if (gap := row.gives(thickness_nm)) and row.spec.check.holds(gap.best_nm)
            for chance in (chance_of(row, thickness_nm, doubt_nm, policy.doubt) or 0.0,)
        ]
        if not found:
            return AtHand(fate=Fate.NONE_LANDS)
        chance, thickness_nm, holder = max(found, key=lambda one: one[0])
        fate, valve = self._fate(row, thickness_nm, holder)
        return AtHand(fate=fate, thickness_nm=thickness_nm, chance=chance, valve=valve)

    def _pieces(self, row: PlanRow) -> Iterator[tuple[int, int, str | None]]:
        """Give the sound pieces of its family at hand: thickness, its doubt, the valve it is in."""
        kind = row.clearance.family.kind
        for other in self.request.rows:
            sound = other.known and other.condition is Condition.SOUND
            if other is not row and sound and other.clearance.family.kind == kind:
                yield other.piece_nm or 0, other.doubt_nm, other.valve
        for stock in self.request.drawer:
            if stock.kind == kind:
                yield stock.thickness_nm, stock.doubt_nm, None

    def _fate(self, row: PlanRow, thickness_nm: int, holder: str | None) -> tuple[Fate, str | None]:
        if (row.valve, thickness_nm) in self.request.forbidden:
            return Fate.RULED_OUT, None
        if holder is not None:
            taker = next((m.valve for m in self.plan.moves if m.from_valve == holder), None)
            if taker is not None:
                return Fate.SERVES, taker
            if not self.plan.move(holder).changes:
                return Fate.STAYS, holder
            return Fate.LESS_SURE, None
        takers = [
            move.valve
            for move, other in zip(self.plan.moves, self.request.rows, strict=True)
            if move.source is Source.DRAWER
            and move.thickness_nm == thickness_nm
            and other.clearance.family.kind == row.clearance.family.kind
        ]
        there = sum(
            stock.count
            for stock in self.request.drawer
            if stock.thickness_nm == thickness_nm and stock.kind == row.clearance.family.kind
        )
        return (Fate.SERVES, takers[0]) if len(takers) >= there else (Fate.LESS_SURE, None)

    def _nearer(self, row: PlanRow, move: Move) -> Nearer | None:
        """Return which size from the counter would land nearer to the aim, and surely enough."""
        school, policy = self.request.policy.school, self.request.policy
        gap, piece_nm, taken_nm = row.gap, row.piece_nm, move.thickness_nm
        if gap is None or piece_nm is None or taken_nm is None or not policy.buy:
            return None
        if school.aim is Aim.LEAST:
            return None
        limits = row.held_to(taken_nm)
        ideal_nm = sought_thickness(gap, piece_nm, row.spec, limits, school.aim)
        barred = {nm for valve, nm in self.request.forbidden if valve == row.valve}
        offers = [
            (abs(size - ideal_nm), size, chance)
            for size in row.clearance.family.sizes()
            if size not in barred and limits.holds(gap.best_nm + piece_nm - size)
            for chance in (chance_of(row, size, doubt=policy.doubt) or 0.0,)
            if chance >= policy.sure
        ]
        if not offers:
            return None
        away, size, chance = min(offers)
        if abs(taken_nm - ideal_nm) - away < WORTH_SAYING_NM:
            return None
        return Nearer(thickness_nm=size, gap_nm=gap.best_nm + piece_nm - size, chance=chance)


def _why_changed(row: PlanRow, move: Move, cannot: Cannot | None) -> Because:
    """Return why another piece goes in, or how it leaves the valve out."""
    if not row.known:
        return Because.NOT_KNOWN
    if move.provisional:
        return Because.FOR_NOW if cannot is None else Because.NOT_THINNER
    if cannot is not None:
        return _how_out(row, move)
    return Because.BOUGHT if move.source is Source.COUNTER else Because.AT_HAND


def _how_out(row: PlanRow, move: Move) -> Because:
    """Return how a piece leaves a valve out: held open, out, or out and closer than it was."""
    assert row.gap is not None
    assert move.gap is not None
    if move.gap.best_nm <= 0 < row.spec.check.low_nm:
        return Because.HOLDS_OPEN
    before, after = (
        max(row.spec.check.low_nm - gap.best_nm, gap.best_nm - row.spec.check.high_nm)
        for gap in (row.gap, move.gap)
    )
    return Because.CLOSER if after < before and not move.pinned else Because.OUT


def _place(move: Move) -> str:
    if move.source is Source.ENGINE:
        return f"out of {move.from_valve}"
    return "from the drawer" if move.source is Source.DRAWER else "from the counter"


def given_up(best: Plan, other: Plan) -> tuple[str, ...]:
    """Return what another plan gives up or wins against the best one, a few words each."""
    said = []
    left = set(other.out_of_spec) - set(best.out_of_spec)
    if left:
        said.append(f"leaves {', '.join(sorted(left))} out of spec")
    more = set(other.camshafts_out) - set(best.camshafts_out)
    fewer = set(best.camshafts_out) - set(other.camshafts_out)
    if more:
        said.append(f"takes {', '.join(sorted(more))} out as well")
    if fewer:
        said.append(f"leaves {', '.join(sorted(fewer))} in")
    changed = other.changed - best.changed
    if changed:
        said.append(f"{abs(changed)} {'more' if changed > 0 else 'fewer'} changed")
    bought = other.to_buy - best.to_buy
    if bought:
        said.append(f"{abs(bought)} {'more' if bought > 0 else 'fewer'} to buy")
    return tuple(said) or ("the same moves",) if _moves(best) == _moves(other) else tuple(said)


def _moves(plan: Plan) -> list[tuple[str, Source, int | None, str | None]]:
    return [(m.valve, m.source, m.thickness_nm, m.from_valve) for m in plan.moves]

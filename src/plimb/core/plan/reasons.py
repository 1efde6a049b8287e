"""Decide of each valve why it gets the piece it gets, and what was given up for it."""

from collections.abc import Iterator, Mapping
from dataclasses import replace

from plimb.core.lengths import mm
from plimb.core.measure.limits import Verdict
from plimb.core.plan.request import PlanRequest
from plimb.core.plan.result import Cannot, Move, Plan
from plimb.core.plan.rows import PlanRow, chance_of
from plimb.core.plan.why import AtHand, Because, Fate, Nearer, Why
from plimb.core.shim.shim import Condition, Source
from plimb.core.shim.sum import Aim, sought_thickness
from plimb.core.words import MILLIMETRES, Units

WORTH_SAYING_NM = mm("0.01")
"""A size that would land nearer to the aim by less than this is not worth a sentence."""


def reasons(request: PlanRequest, plan: Plan, units: Units = MILLIMETRES) -> Mapping[str, Why]:
    """Return for each valve why it gets its piece, and what was given up for it."""
    look = _Look(request, plan)
    cannot = {impossible.valve: impossible for impossible in plan.cannot}
    return {
        move.valve: replace(look.why(row, move, cannot.get(move.valve)), units=units)
        for row, move in zip(request.rows, plan.moves, strict=True)
    }


NONE_SERVES = frozenset({
    Because.NOTHING_SERVES, Because.SCRAP_STAYS, Because.NO_SIZES, Because.NOTHING_AT_HAND,
})  # fmt: skip
"""What a valve is left as it is by, though another piece would be wanted."""


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
            else self._at_hand(row)
            if because in NONE_SERVES
            else None,
            sold=because in NONE_SERVES and self._sold(row),
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

    def _sold(self, row: PlanRow) -> bool:
        """Return whether a size that would bring the valve in is sold, ruled out or not."""
        return self.request.policy.buy and any(
            (gap := row.gives(size)) is not None and row.spec.check.holds(gap.best_nm)
            for size in row.clearance.family.sizes()
        )

    def _own(self, row: PlanRow) -> float | None:
        """Return how sure the valve's own piece is, where it reads in range and is sound."""
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
        sizing, policy = self.request.policy.sizing, self.request.policy
        gap, piece_nm, taken_nm = row.gap, row.piece_nm, move.thickness_nm
        if gap is None or piece_nm is None or taken_nm is None or not policy.buy:
            return None
        if sizing.aim is Aim.LEAST:
            return None
        limits = row.held_to(taken_nm)
        ideal_nm = sought_thickness(gap, piece_nm, row.spec, limits, sizing.aim)
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


def given_up(best: Plan, other: Plan) -> tuple[str, ...]:
    """Return what another plan gives up or wins against the best one, a few words each."""
    said = []
    left = set(other.out_of_spec) - set(best.out_of_spec)
    if left:
        said.append(f"leaves {', '.join(sorted(left))} out of range")
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

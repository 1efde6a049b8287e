"""Say of each valve why it gets the piece it gets, in a sentence a technician would say."""

from __future__ import annotations

from collections.abc import Mapping

from plimb.core.gap import Gap
from plimb.core.lengths import mm, show_mm
from plimb.core.limits import Verdict
from plimb.core.piece import Condition, Source
from plimb.core.plan import Asked, Cannot, Move, Plan, Seat, aim_of, needs_setting
from plimb.core.shim import Aim, window

Taken = Mapping[tuple[Source, str | None, int | None], str]

WORTH_SAYING_NM = mm("0.01")
"""A size that would land nearer to the aim by less than this is not worth a sentence."""


def reasons(asked: Asked, plan: Plan) -> Mapping[str, str]:
    """Return for each valve why it gets its piece, and what was given up for it."""
    given_to: Taken = {
        (move.source, move.from_valve, move.thickness_nm): move.valve
        for move in plan.moves
        if move.source in (Source.ENGINE, Source.DRAWER)
    }
    cannot = {one.valve: one for one in plan.cannot}
    said = {}
    for seat, move in zip(asked.seats, plan.moves, strict=True):
        words = _why(asked, plan, seat, move, cannot.get(move.valve), given_to)
        said[move.valve] = f"Decided by hand. {words}" if move.pinned else words
    return said


def _why(
    asked: Asked,
    plan: Plan,
    seat: Seat,
    move: Move,
    cannot: Cannot | None,
    given_to: Taken,
) -> str:
    if seat.gap is None:
        return "Not measured yet, so nothing is decided."
    if move.source is Source.SAME:
        return _stays(asked, plan, seat, cannot)
    if move.provisional:
        return (
            f"No gap was felt, so no sum can be trusted yet. Fit {_mm(move.thickness_nm)} "
            f"{_place(move)} for now, measure, and work back; buy nothing for it before that."
        )
    if cannot is not None:
        return f"{_gives(seat, move)}: closer, but not in spec. {_needs(cannot)}"
    if move.source is Source.COUNTER:
        return f"{_why_bought(asked, seat, given_to)} Buy {_gives(seat, move)}, in spec."
    words = f"{_mm(move.thickness_nm)} {_place(move)} costs nothing: {_sum(seat, move)}, in spec."
    return words + _given_up(asked, seat, move)


def _stays(asked: Asked, plan: Plan, seat: Seat, cannot: Cannot | None) -> str:
    if seat.piece_nm is None and needs_setting(seat, asked.policy.act):
        return "Its shim is not read yet; read it, then it is planned with the rest."
    if cannot is not None:
        return f"{_why_not(asked, seat)} {_needs(cannot)}"
    if seat.verdict is Verdict.UNSETTLED:
        return "Not settled, but likelier in than out: try the blade in between first."
    where = f"at {_gap(seat.gap)}" if seat.gap else ""
    if seat.clearance.camshaft_out and seat.clearance.camshaft not in plan.camshafts_out:
        return f"In spec {where}, and its camshaft stays in: its shim stays."
    return f"In spec {where}: its shim stays."


def _why_not(asked: Asked, seat: Seat) -> str:
    if seat.condition is Condition.SCRAP:
        return "Its shim is scrap and nothing that can be had replaces it in spec."
    if seat.gap is not None and seat.gap.none_found:
        return "No gap was felt, and nothing thinner is at hand to get one."
    if not asked.policy.buy:
        return "Nothing at hand brings it into spec."
    return "No piece that can be had brings it into spec."


def _needs(cannot: Cannot) -> str:
    if cannot.thick_nm is None:
        return "What it needs is not known yet."
    if cannot.thin_nm is None:
        return f"It needs {_mm(cannot.thick_nm)} or thinner."
    return f"It needs {_mm(cannot.thin_nm)} to {_mm(cannot.thick_nm)}."


def _why_bought(asked: Asked, seat: Seat, given_to: Taken) -> str:
    """Return why nothing at hand serves."""
    if not asked.policy.reuse:
        return "Only new pieces are wanted."
    safe = window(seat.gap, seat.piece_nm or 0, seat.clearance.spec.check) if seat.gap else None
    kind = seat.clearance.family.kind
    at_hand = [
        (Source.ENGINE, other.clearance.id, other.piece_nm)
        for other in asked.seats
        if other.piece_nm is not None
        and other is not seat
        and other.condition is Condition.SOUND
        and other.clearance.family.kind == kind
    ] + [(Source.DRAWER, None, stock.thickness_nm) for stock in asked.drawer if stock.kind == kind]
    would_do = [one for one in at_hand if safe and safe.holds(one[2])]
    for one in would_do:
        if one in given_to:
            return f"The {_mm(one[2])} at hand serves {given_to[one]}."
    if would_do:
        return f"The {_mm(would_do[0][2])} that would do stays where it is."
    return "Nothing at hand lands in spec."


def _given_up(asked: Asked, seat: Seat, move: Move) -> str:
    """Return which size from the counter would land nearer to the aim, if by a fair bit."""
    spec, school = seat.clearance.spec, asked.policy.school
    if move.gap is None or school.aim is Aim.LEAST or not asked.policy.buy:
        return ""
    limits = spec.target if spec.target.holds(move.gap.best_nm) else spec.check
    aim_nm = aim_of(seat, school, limits)
    ideal_nm = move.gap.best_nm + (move.thickness_nm or 0) - aim_nm
    safe = window(seat.gap, seat.piece_nm or 0, limits) if seat.gap else None
    sizes = [size for size in seat.clearance.family.sizes() if safe and safe.holds(size)]
    best_nm = min(sizes, key=lambda size: abs(size - ideal_nm), default=None)
    if best_nm is None:
        return ""
    nearer_by = abs((move.thickness_nm or 0) - ideal_nm) - abs(best_nm - ideal_nm)
    if nearer_by < WORTH_SAYING_NM:
        return ""
    left_nm = move.gap.best_nm + (move.thickness_nm or 0) - best_nm
    return f" A bought {_mm(best_nm)} would give {_mm(left_nm)}, nearer to the aim."


def _gives(seat: Seat, move: Move) -> str:
    return f"{_mm(move.thickness_nm)}: {_sum(seat, move)}"


def _sum(seat: Seat, move: Move) -> str:
    """Return the sum: gap + old − new = gap after."""
    before = _gap(seat.gap) if seat.gap else "?"
    after = _gap(move.gap) if move.gap else "?"
    return f"{before} + {_mm(seat.piece_nm)} − {_mm(move.thickness_nm)} = {after}"


def _place(move: Move) -> str:
    if move.source is Source.ENGINE:
        return f"out of {move.from_valve}"
    return "from the drawer" if move.source is Source.DRAWER else "from the counter"


def _gap(gap: Gap) -> str:
    if gap.low_nm is None:
        return f"under {show_mm(gap.high_nm)}"
    if gap.is_point:
        return show_mm(gap.high_nm)
    if gap.called_nm is not None:
        return show_mm(gap.called_nm)
    return f"({show_mm(gap.low_nm)} to {show_mm(gap.high_nm)})"


def _mm(nm: int | None) -> str:
    return "?" if nm is None else show_mm(nm)


def given_up(best: Plan, other: Plan) -> tuple[str, ...]:
    """Return what another plan gives up or wins against the best one, a few words each."""
    said = []
    left = {one.valve for one in other.cannot} - {one.valve for one in best.cannot}
    if left:
        said.append(f"leaves {', '.join(sorted(left))} out of spec")
    more = set(other.camshafts_out) - set(best.camshafts_out)
    fewer = set(best.camshafts_out) - set(other.camshafts_out)
    if more:
        said.append(f"takes {', '.join(sorted(more))} out as well")
    if fewer:
        said.append(f"leaves {', '.join(sorted(fewer))} in")
    changed = _changed(other) - _changed(best)
    if changed:
        said.append(f"{abs(changed)} {'more' if changed > 0 else 'fewer'} changed")
    bought = _bought(other) - _bought(best)
    if bought:
        said.append(f"{abs(bought)} {'more' if bought > 0 else 'fewer'} to buy")
    return tuple(said) or ("the same moves",) if _moves(best) == _moves(other) else tuple(said)


def _changed(plan: Plan) -> int:
    return sum(move.source is not Source.SAME for move in plan.moves)


def _bought(plan: Plan) -> int:
    return sum(line.count for line in plan.order)


def _moves(plan: Plan) -> list[tuple[str, Source, int | None, str | None]]:
    return [(m.valve, m.source, m.thickness_nm, m.from_valve) for m in plan.moves]

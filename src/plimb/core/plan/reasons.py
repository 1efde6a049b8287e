"""Say of each valve why it gets the piece it gets, in a sentence a technician would say."""

from collections.abc import Mapping

from plimb.core.lengths import mm
from plimb.core.measure.gap import Gap
from plimb.core.measure.limits import Verdict
from plimb.core.plan.request import PlanRequest
from plimb.core.plan.result import Cannot, Move, Plan
from plimb.core.plan.rows import PlanRow
from plimb.core.shim.shim import Condition, Source
from plimb.core.shim.sum import Aim, sought_thickness, window
from plimb.core.words import MILLIMETRES, Units

Taken = Mapping[tuple[Source, str | None, int | None], str]

WORTH_SAYING_NM = mm("0.01")
"""A size that would land nearer to the aim by less than this is not worth a sentence."""


def reasons(request: PlanRequest, plan: Plan, units: Units = MILLIMETRES) -> Mapping[str, str]:
    """Return for each valve why it gets its piece, and what was given up for it."""
    say = _Said(request, plan, units)
    given_to: Taken = {
        (move.source, move.from_valve, move.thickness_nm): move.valve
        for move in plan.moves
        if move.source in (Source.ENGINE, Source.DRAWER)
    }
    cannot = {one.valve: one for one in plan.cannot}
    said = {}
    for row, move in zip(request.rows, plan.moves, strict=True):
        words = say.why(row, move, cannot.get(move.valve), given_to)
        said[move.valve] = f"Decided by hand. {words}" if move.pinned else words
    return said


class _Said:
    """What is said of the moves of one plan, in the units of its card."""

    def __init__(self, request: PlanRequest, plan: Plan, units: Units) -> None:
        self.request, self.plan, self.units = request, plan, units

    def why(self, row: PlanRow, move: Move, cannot: Cannot | None, given_to: Taken) -> str:
        """Return why a valve gets its piece."""
        if row.gap is None:
            return "Not measured yet, so nothing is decided."
        if move.source is Source.SAME:
            return self._stays(row, cannot)
        if move.provisional:
            bought = move.source is Source.COUNTER
            fit = "Nothing thinner is at hand: buy" if bought else "Fit"
            return (
                f"No gap was felt, so no sum can be trusted yet. {fit} "
                f"{self._mm(move.thickness_nm)} {'to fit' if bought else _place(move)} for now, "
                "measure, and work back; the piece that stays is bought after that."
            )
        if cannot is not None:
            return f"{self._gives(row, move)}: closer, but not in spec. {self._needs(cannot)}"
        if move.source is Source.COUNTER:
            return f"{self._why_bought(row, given_to)} Buy {self._gives(row, move)}, in spec."
        found = f"{self._mm(move.thickness_nm)} {_place(move)}"
        words = f"{found} costs nothing: {self._sum(row, move)}, in spec."
        return words + self._given_up(row, move)

    def _stays(self, row: PlanRow, cannot: Cannot | None) -> str:
        if row.piece_nm is None and row.needs_setting(self.request.policy.act):
            return "Its shim is not read yet; read it, then it is planned with the rest."
        if cannot is not None:
            return f"{self._why_not(row)} {self._needs(cannot)}"
        if row.verdict is Verdict.UNSETTLED:
            return "Not settled, but likelier in than out: try the blade in between first."
        where = f"at {row.gap.words(self.units.gap)}" if row.gap else ""
        if row.clearance.camshaft_out and row.clearance.camshaft not in self.plan.camshafts_out:
            return f"In spec {where}, and its camshaft stays in: its shim stays."
        return f"In spec {where}: its shim stays."

    def _why_not(self, row: PlanRow) -> str:
        if row.condition is Condition.SCRAP:
            return "Its shim is scrap and nothing that can be had replaces it in spec."
        if row.gap is not None and row.gap.none_found:
            return "No gap was felt, and nothing thinner is at hand to get one."
        if not row.clearance.family.runs:
            return "Nobody has entered which sizes are made for it, and nothing at hand serves."
        if not self.request.policy.buy:
            return "Nothing at hand brings it into spec."
        return "No piece that can be had brings it into spec."

    def _needs(self, cannot: Cannot) -> str:
        if cannot.thick_nm is None:
            return "What it needs is not known yet."
        if cannot.thin_nm is None:
            return f"It needs {self._mm(cannot.thick_nm)} or thinner."
        return f"It needs {self._mm(cannot.thin_nm)} to {self._mm(cannot.thick_nm)}."

    def _why_bought(self, row: PlanRow, given_to: Taken) -> str:
        """Return why nothing at hand serves."""
        if not self.request.policy.reuse:
            return "Only new pieces are wanted."
        safe = window(row.gap, row.piece_nm or 0, row.spec.check) if row.gap else None
        kind = row.clearance.family.kind
        at_hand = [
            (Source.ENGINE, other.valve, other.piece_nm)
            for other in self.request.rows
            if other.piece_nm is not None
            and other is not row
            and other.condition is Condition.SOUND
            and other.clearance.family.kind == kind
        ] + [
            (Source.DRAWER, None, stock.thickness_nm)
            for stock in self.request.drawer
            if stock.kind == kind
        ]
        would_do = [one for one in at_hand if safe and safe.holds(one[2])]
        for one in would_do:
            if one in given_to:
                return f"The {self._mm(one[2])} at hand serves {given_to[one]}."
        if would_do:
            return f"The {self._mm(would_do[0][2])} that would do stays where it is."
        return "Nothing at hand lands in spec."

    def _given_up(self, row: PlanRow, move: Move) -> str:
        """Return which size from the counter would land nearer to the aim, if by a fair bit."""
        spec, school = row.spec, self.request.policy.school
        if move.gap is None or school.aim is Aim.LEAST or not self.request.policy.buy:
            return ""
        limits = spec.target if spec.target.holds(move.gap.best_nm) else spec.check
        if row.gap is None or row.piece_nm is None:
            return ""
        ideal_nm = sought_thickness(row.gap, row.piece_nm, spec, limits, school.aim)
        safe = window(row.gap, row.piece_nm, limits)
        sizes = [size for size in row.clearance.family.sizes() if safe and safe.holds(size)]
        best_nm = min(sizes, key=lambda size: abs(size - ideal_nm), default=None)
        if best_nm is None:
            return ""
        nearer_by = abs((move.thickness_nm or 0) - ideal_nm) - abs(best_nm - ideal_nm)
        if nearer_by < WORTH_SAYING_NM:
            return ""
        left_nm = move.gap.best_nm + (move.thickness_nm or 0) - best_nm
        left = self.units.in_sum(left_nm)
        return f" A bought {self._mm(best_nm)} would give {left}, nearer to the aim."

    def _gives(self, row: PlanRow, move: Move) -> str:
        return f"{self._mm(move.thickness_nm)}: {self._sum(row, move)}"

    def _sum(self, row: PlanRow, move: Move) -> str:
        """Return the sum: gap + old − new = gap after."""
        before = self._gap(row.gap, row.gap.in_sum() if row.gap else "?")
        after = self._gap(move.gap, move.gap.words() if move.gap else "?")
        return f"{before} + {self._mm(row.piece_nm)} − {self._mm(move.thickness_nm)} = {after}"

    def _mm(self, nm: int | None) -> str:
        return "?" if nm is None else self.units.shim_figure(nm)

    def _gap(self, gap: Gap | None, said: str) -> str:
        """Return a gap in a sum: as said in millimetres, else its best number in both units."""
        return said if gap is None or self.units.alike else self.units.in_sum(gap.best_nm)


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

"""One valve as the plan sees it: its reading, the piece that is in, what they are worth."""

from dataclasses import dataclass

from plimb.core.engine.engine import Clearance
from plimb.core.measure.gap import Gap
from plimb.core.measure.limits import Limits, Spec, Verdict, from_nothing, judge
from plimb.core.measure.uncertainty import (
    USUAL_DOUBT,
    Doubt,
    band_widths,
    chance_in_spec,
    gap_ends,
    kept_chance,
)
from plimb.core.plan.needs import WhichToSet, near_tight_edge, needs_setting
from plimb.core.shim.shim import Condition, ShimReading


@dataclass(frozen=True, slots=True, kw_only=True)
class PlanRow:
    """A valve with its gap as found and the piece that is in, if known. Lengths in nanometres."""

    clearance: Clearance
    gap: Gap | None
    piece_nm: int | None
    condition: Condition = Condition.SOUND
    doubt_nm: int = USUAL_DOUBT.piece_nm

    @property
    def valve(self) -> str:
        """The valve's name."""
        return self.clearance.id

    @property
    def spec(self) -> Spec:
        """The valve's spec; a valve without one is not planned."""
        assert self.clearance.spec is not None
        return self.clearance.spec

    @property
    def known(self) -> bool:
        """Whether it can be planned: the gap is measured, both its ends, and the piece read."""
        return self.gap is not None and self.piece_nm is not None and not self.gap.open_ended

    @property
    def sums(self) -> bool:
        """Whether a chance can be worked out: both ends of the gap are known."""
        return self.gap is not None and self.gap.both_ends

    @property
    def verdict(self) -> Verdict | None:
        """What the gap as found says against the check range."""
        return judge(self.gap, self.spec.check) if self.gap else None

    @property
    def reads_in(self) -> bool:
        """Whether its best number is in the check range."""
        return self.gap is not None and self.spec.check.holds(self.gap.best_nm)

    @property
    def lost(self) -> bool:
        """Whether no gap was found."""
        return self.gap is not None and self.gap.none_found

    def needs_setting(self, which: WhichToSet) -> bool:
        """Return whether the valve asks for another piece for its own sake."""
        return needs_setting(self.clearance, self.gap, self.condition, which)

    @property
    def near_and_in(self) -> bool:
        """Whether it is in range, in the tightest fifth."""
        return (
            self.verdict is Verdict.IN
            and self.gap is not None
            and near_tight_edge(self.gap, self.spec.check)
        )

    def kept_chance(self, doubt: Doubt = USUAL_DOUBT) -> float | None:
        """Return the chance that it is in range as it is, None where nothing is known."""
        return kept_chance(self.gap, self.spec.check, doubt)

    def left_alone(self, which: WhichToSet, sure: float, doubt: Doubt) -> bool:
        """Return whether nothing speaks for another piece: it is in range, and surely so."""
        chance = self.kept_chance(doubt)
        return (
            self.verdict is Verdict.IN
            and not self.needs_setting(which)
            and (chance is None or chance >= sure)
        )

    def held_to(self, thickness_nm: int) -> Limits:
        """Return the range it is held to with another piece: the set range, if it gets there."""
        if self.gap is None:
            return self.spec.check
        moved = 0 if self.piece_nm is None else self.piece_nm - thickness_nm
        target = self.spec.target
        return target if target.holds(self.gap.best_nm + moved) else self.spec.check

    def gives(self, thickness_nm: int) -> Gap | None:
        """Return the gap that follows with that thickness in."""
        if self.gap is None or self.piece_nm is None:
            return self.gap
        return self.gap.shifted(self.piece_nm - thickness_nm)

    def band(self, new_nm: int, doubt: Doubt) -> tuple[float, tuple[float, ...]]:
        """Return about what the stack less any thickness is spread, and by which widths.

        Args:
            new_nm: Half-width of the new piece's thickness.
            doubt: What readings are worth.
        """
        assert self.gap is not None
        low, high = gap_ends(self.gap, doubt, kept=False)
        widths = band_widths(self.gap, doubt, old_nm=self.doubt_nm, new_nm=new_nm)
        return (low + high) / 2 + (self.piece_nm or 0), widths


def plan_row(clearance: Clearance, gap: Gap | None, shim: ShimReading | None) -> PlanRow:
    """Return one valve as the plan sees it."""
    gap = gap and from_nothing(gap, clearance.check)
    if shim is None:
        return PlanRow(clearance=clearance, gap=gap, piece_nm=None)
    return PlanRow(
        clearance=clearance,
        gap=gap,
        piece_nm=shim.thickness_nm,
        condition=shim.condition,
        doubt_nm=shim.half_width_nm,
    )


def chance_of(
    row: PlanRow,
    thickness_nm: int,
    new_doubt_nm: int | None = None,
    doubt: Doubt = USUAL_DOUBT,
    *,
    kept: bool = False,
) -> float | None:
    """Return the chance that the valve passes with that piece, None where nothing is known.

    Another piece is held to the set range where it gets there; one whose doubt is not given is
    new, and known from its marking alone.
    """
    if kept:
        return row.kept_chance(doubt)
    if row.gap is None or not row.sums or row.piece_nm is None:
        return None
    return chance_in_spec(
        row.gap,
        row.piece_nm - thickness_nm,
        row.held_to(thickness_nm),
        doubt=doubt,
        old_nm=row.doubt_nm,
        new_nm=doubt.bought_nm if new_doubt_nm is None else new_doubt_nm,
    )

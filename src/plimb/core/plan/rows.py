"""One valve as the plan sees it: its reading, the piece that is in, what they are worth."""

from dataclasses import dataclass

from plimb.core.engine.engine import Clearance
from plimb.core.measure.gap import Gap
from plimb.core.measure.limits import Spec, Verdict, judge
from plimb.core.measure.uncertainty import USUAL_DOUBT, Doubt, band_widths, chance_in_spec, gap_ends
from plimb.core.plan.needs import WhichToSet, needs_setting
from plimb.core.shim.shim import Condition, ShimReading
from plimb.core.shim.sum import window


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
        """Whether a sum can be made: the gap is measured and the piece read."""
        return self.gap is not None and self.piece_nm is not None

    @property
    def verdict(self) -> Verdict | None:
        """What the gap as found says against the check range."""
        return judge(self.gap, self.spec.check) if self.gap else None

    @property
    def steady(self) -> bool:
        """Whether some thickness is in spec for every gap the reading allows."""
        return self.gap is not None and window(self.gap, 0, self.spec.check) is not None

    @property
    def lost(self) -> bool:
        """Whether no gap was found."""
        return self.gap is not None and self.gap.none_found

    def needs_setting(self, which: WhichToSet) -> bool:
        """Return whether the valve asks for another piece for its own sake."""
        return needs_setting(self.clearance, self.gap, self.condition, which)

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
        low, high = gap_ends(self.gap, doubt)
        widths = band_widths(self.gap, doubt, old_nm=self.doubt_nm, new_nm=new_nm)
        return (low + high) / 2 + (self.piece_nm or 0), widths


def plan_row(clearance: Clearance, gap: Gap | None, shim: ShimReading | None) -> PlanRow:
    """Return one valve as the plan sees it."""
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
    """Return the chance that the valve is in spec with that piece, None where nothing is known."""
    if row.gap is None or row.gap.none_found or (row.piece_nm is None and not kept):
        return None
    return chance_in_spec(
        row.gap,
        0 if kept else (row.piece_nm or 0) - thickness_nm,
        row.spec.check,
        doubt=doubt,
        kept=kept,
        old_nm=row.doubt_nm,
        new_nm=new_doubt_nm,
    )

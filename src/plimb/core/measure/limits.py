"""A closed range of allowed gaps, and what a gap means against it."""

from dataclasses import dataclass, replace
from enum import StrEnum

from plimb.core.errors import BadValue
from plimb.core.lengths import Unit, mm, parse_length, show
from plimb.core.measure.gap import Gap
from plimb.core.words import figure, interval

MAX_GAP_NM = mm("2")


class Verdict(StrEnum):
    """What a reading says about a valve."""

    IN = "in"
    TIGHT = "tight"
    LOOSE = "loose"
    UNSETTLED = "unsettled"
    NONE = "none"


@dataclass(frozen=True, slots=True, kw_only=True)
class Limits:
    """Allowed gaps in nanometres, both ends included."""

    low_nm: int
    high_nm: int

    def __post_init__(self) -> None:
        if self.low_nm < 0 or self.high_nm > MAX_GAP_NM:
            raise BadValue(
                "An allowed gap lies between 0 and 2 mm. Check the unit and the decimal point.",
                field="spec",
            )
        if self.low_nm > self.high_nm:
            raise BadValue(
                f"The minimum {show(self.low_nm, Unit.MM)} is above its maximum "
                f"{show(self.high_nm, Unit.MM)}. Write the smaller one first.",
                field="spec",
            )

    @property
    def middle_nm(self) -> int:
        """The middle of the range, rounded down to a whole nanometre."""
        return (self.low_nm + self.high_nm) // 2

    def words(self, unit: Unit = Unit.MM) -> str:
        """Return the range without its unit: `0.14–0.18`."""
        return interval(self.low_nm, self.high_nm, None, unit)

    def holds(self, gap_nm: int) -> bool:
        """Return whether the gap is allowed; exactly at a limit it is."""
        return self.low_nm <= gap_nm <= self.high_nm


@dataclass(frozen=True, slots=True, kw_only=True)
class Spec:
    """What the maker's manual says of one side: leave alone inside `check`, aim inside `set_`.

    `plus_minus_nm` is how far off is still right where one figure is printed, with a tolerance
    or, `own_room`, with the shop's own: a figure alone says nothing of what is still right.
    """

    check: Limits
    set_: Limits | None = None
    aim_nm: int | None = None
    plus_minus_nm: int | None = None
    own_room: bool = False

    def __post_init__(self) -> None:
        inner = self.set_
        if inner and not (self.check.holds(inner.low_nm) and self.check.holds(inner.high_nm)):
            raise BadValue("set range must lie inside the allowed gap.", field="spec")
        if self.aim_nm is not None and not self.target.holds(self.aim_nm):
            raise BadValue("aim must lie inside the allowed gap.", field="aim")

    def words(self, unit: Unit = Unit.MM) -> str:
        """Return the ranges without their unit, as they were printed."""
        said = self.check.words(unit)
        if self.plus_minus_nm is not None:
            one, room = figure(self.check.middle_nm, unit), figure(self.plus_minus_nm, unit)
            said += (
                f" ({one}, the shop’s own room {room})" if self.own_room else f" ({one} ± {room})"
            )
        return f"{said}, set {self.set_.words(unit)}" if self.set_ else said

    @property
    def target(self) -> Limits:
        """Where a valve should end once it is apart: the set range if there is one."""
        return self.set_ or self.check


def parse_limits(text: str, unit: Unit, *, field: str = "spec") -> Limits:
    """Return the limits written as `0.14-0.18`.

    Raises:
        BadValue: Not two numbers, out of bounds, or the first above the second.
    """
    low, dash, high = text.replace("–", "-").partition("-")
    if not dash:
        raise BadValue(
            f"{field} “{text}” is not a range; write minimum-maximum, like 0.14-0.18.", field=field
        )
    return Limits(
        low_nm=parse_length(low, unit, field=field), high_nm=parse_length(high, unit, field=field)
    )


def judge(gap: Gap, limits: Limits) -> Verdict:
    """Return what the reading says: in only if every gap it allows is in range.

    A reading that straddles a limit is not clear yet; tight and loose mean that
    the whole interval lies outside. No gap was found only where the thinnest blade refused.
    """
    gap = from_nothing(gap, limits)
    if gap.low_nm is None:
        if gap.thinnest:
            return Verdict.NONE
        return Verdict.TIGHT if gap.high_nm <= limits.low_nm else Verdict.UNSETTLED
    if gap.endless:
        return Verdict.LOOSE if gap.low_nm > limits.high_nm else Verdict.UNSETTLED
    # the upper end itself is refused where it is open
    if gap.high_nm < limits.low_nm or (gap.open_above and gap.high_nm == limits.low_nm):
        return Verdict.TIGHT
    if gap.low_nm > limits.high_nm:
        return Verdict.LOOSE
    if gap.low_nm < limits.low_nm or gap.high_nm > limits.high_nm:
        return Verdict.UNSETTLED
    return Verdict.IN


def from_nothing(gap: Gap, limits: Limits | None) -> Gap:
    """Return the reading as a range that begins at nothing, where that is allowed.

    On a closer whose range begins at 0 a refused blade is no fault and says nothing of being
    held open.
    """
    if gap.low_nm is not None or limits is None or limits.low_nm > 0 or gap.high_nm <= 0:
        return gap
    return replace(gap, low_nm=0)

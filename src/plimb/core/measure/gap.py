"""A gap as it was felt: an interval between a blade that goes and one that refuses."""

from __future__ import annotations

from dataclasses import dataclass
from enum import StrEnum

from plimb.core.errors import BadValue
from plimb.core.lengths import Unit, show
from plimb.core.words import figure, interval


class Feel(StrEnum):
    """How the largest blade that goes feels."""

    DRAG = "drag"
    LOOSE = "loose"
    TIGHT = "tight"


@dataclass(frozen=True, slots=True, kw_only=True)
class Gap:
    """Every gap a reading allows, in nanometres.

    `low_nm` is included and None when nothing went: with the `thinnest` blade at hand refused
    no gap was found, and the valve may be held open; else thinner ones are to be tried.
    `high_nm` is excluded when `open_above` (a blade refused there), else included. An `endless`
    reading has no upper end: a blade went loosely and nothing refused; `high_nm` is then its
    lower end or what is called. `called_nm` is the number the technician calls, the best
    estimate; a `guess` was called without being sure; `joints` counts where two blades lay on
    one another as it was felt.
    """

    low_nm: int | None
    high_nm: int
    open_above: bool = False
    called_nm: int | None = None
    joints: int = 0
    thinnest: bool = True
    endless: bool = False
    guess: bool = False

    def __post_init__(self) -> None:
        if self.low_nm is None:
            return  # with another shim it may be less than nothing: the valve is held open
        empty = self.low_nm >= self.high_nm if self.open_above else self.low_nm > self.high_nm
        if empty:
            raise BadValue(
                f"gap: {show(self.low_nm, Unit.MM)} goes but {show(self.high_nm, Unit.MM)} "
                "refuses; the blade that refuses must be the thicker one.",
                field="gap",
            )
        called_nm = self.called_nm
        refused = self.open_above and called_nm == self.high_nm
        if called_nm is not None and (
            refused or not self.low_nm <= called_nm <= (called_nm if self.endless else self.high_nm)
        ):
            raise BadValue(
                "gap: the called number lies outside what goes and refuses.", field="called"
            )

    @property
    def none_found(self) -> bool:
        """Whether the thinnest blade refused: the gap is below `high_nm`, and may be negative."""
        return self.low_nm is None and self.thinnest

    @property
    def open_ended(self) -> bool:
        """Whether one end is not known and other blades would tell: no sum can be made of it."""
        return (self.low_nm is None and not self.thinnest) or (
            self.endless and self.called_nm is None
        )

    @property
    def both_ends(self) -> bool:
        """Whether both ends are known, so that a sum can be made of it."""
        return self.low_nm is not None and not self.open_ended

    @property
    def is_point(self) -> bool:
        """Whether the reading is taken as one number."""
        return self.low_nm == self.high_nm and not self.endless

    @property
    def best_nm(self) -> int:
        """The best single number: as called, else the middle; at most `high_nm` if none found."""
        if self.called_nm is not None:
            return self.called_nm
        return self.high_nm if self.low_nm is None else (self.low_nm + self.high_nm) // 2

    def shifted(self, by_nm: int) -> Gap:
        """Return the same reading moved: the gap after a shim thinner by `by_nm` is fitted."""
        return Gap(  # written out: a plan does this hundreds of times
            low_nm=None if self.low_nm is None else self.low_nm + by_nm,
            high_nm=self.high_nm + by_nm,
            open_above=self.open_above,
            called_nm=None if self.called_nm is None else self.called_nm + by_nm,
            joints=self.joints,
            thinnest=self.thinnest,
            endless=self.endless,
            guess=self.guess,
        )

    def words(self, unit: Unit = Unit.MM) -> str:
        """Return the gap in short, without its unit: `0.15`, `0.13–0.15`, `~ 0.14`, `< 0.03`."""
        if self.endless and self.called_nm is None:
            return f"≥ {figure(self.high_nm, unit)}"
        return interval(self.low_nm, self.high_nm, self.called_nm, unit)

    def in_sum(self, unit: Unit = Unit.MM) -> str:
        """Return the gap as a term of a sum: one of two ends stands in brackets."""
        said = self.words(unit)
        alone = self.is_point or self.low_nm is None or self.endless or self.called_nm is not None
        return said if alone else f"({said})"


def point(gap_nm: int) -> Gap:
    """Return a gap taken as one number (light drag: the blade is the gap)."""
    return Gap(low_nm=gap_nm, high_nm=gap_nm)


def between(goes_nm: int, refuses_nm: int) -> Gap:
    """Return the gap of the largest blade that goes and the smallest that refuses.

    Raises:
        BadValue: The refused blade is not thicker than the one that goes.
    """
    return Gap(low_nm=goes_nm, high_nm=refuses_nm, open_above=True)


def none_below(refused_nm: int, *, thinnest: bool = True) -> Gap:
    """Return the gap when a blade is refused and none went; no gap, if it was the thinnest.

    Raises:
        BadValue: There is no blade that thin.
    """
    if refused_nm <= 0:
        raise BadValue("gap: the refused blade must be thicker than nothing.", field="gap")
    return Gap(low_nm=None, high_nm=refused_nm, open_above=True, thinnest=thinnest)


def felt(blade_nm: int, feel: Feel) -> Gap:
    """Return what one blade's feel says: it goes, so the gap is at least the blade.

    With light drag, or tightly, it is the blade; loosely it tells nothing of how much more.
    """
    return Gap(low_nm=blade_nm, high_nm=blade_nm, endless=feel is Feel.LOOSE)


def residual(proof: Gap, expected: Gap) -> int:
    """Return by how much a proof differs from what was predicted, in nanometres.

    Zero where the two agree somewhere: an interval that holds what was called, or overlaps
    another, says no more than that. Else the way from one best number to the other.
    """
    assert proof.low_nm is not None
    assert expected.low_nm is not None
    if proof.low_nm <= expected.high_nm and expected.low_nm <= proof.high_nm:
        return 0
    return proof.best_nm - expected.best_nm

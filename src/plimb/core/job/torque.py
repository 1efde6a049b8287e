"""Torques in the three units that are met, converted exactly, and a guard against the wrong one.

1 lbf = 4.4482216152605 N and 1 ft = 0.3048 m exactly (NIST SP 811, 2008, appendix B), so
1 lbf·ft = 1.3558179483314004 N·m and 1 lbf·in is a twelfth of it.
"""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass
from enum import StrEnum
from fractions import Fraction

from plimb.core.errors import BadValue
from plimb.core.lengths import parse_number

LBF_N = Fraction("4.4482216152605")
FOOT_M = Fraction("0.3048")
MOST_NM = 500


class TorqueUnit(StrEnum):
    """A unit as it stands on wrenches and in manuals."""

    NM = "N·m"
    LBF_FT = "lbf·ft"
    LBF_IN = "lbf·in"

    @property
    def newton_metres(self) -> Fraction:
        """How many newton metres one of this unit is, exactly."""
        return {
            TorqueUnit.NM: Fraction(1),
            TorqueUnit.LBF_FT: LBF_N * FOOT_M,
            TorqueUnit.LBF_IN: LBF_N * FOOT_M / 12,
        }[self]


class Thread(StrEnum):
    """The bolts that hold covers, caps and tensioners."""

    M5 = "M5"
    M6 = "M6"
    M7 = "M7"
    M8 = "M8"
    M10 = "M10"


USUAL_NM: dict[Thread, tuple[int, int]] = {
    Thread.M5: (4, 7),
    Thread.M6: (7, 14),
    Thread.M7: (11, 18),
    Thread.M8: (17, 30),
    Thread.M10: (32, 58),
}
"""What such bolts usually take in cylinder heads, in N·m (common practice)."""


@dataclass(frozen=True, slots=True, kw_only=True)
class Torque:
    """A torque as the maker gives it."""

    value: Fraction
    unit: TorqueUnit

    @property
    def newton_metres(self) -> Fraction:
        """The torque in newton metres, exactly."""
        return self.value * self.unit.newton_metres

    def to(self, unit: TorqueUnit) -> Torque:
        """Return the same torque in another unit, exactly."""
        return Torque(value=self.newton_metres / unit.newton_metres, unit=unit)

    def share(self, of: Fraction) -> Torque:
        """Return a share of the torque, for a stage of tightening."""
        return Torque(value=self.value * of, unit=self.unit)

    def words(self) -> str:
        """Return the torque to three figures, as a wrench can be set: `10.0 N·m`."""
        places = 2 if self.value < 10 else 1 if self.value < 100 else 0
        return f"{float(self.value):.{places}f} {self.unit.value}"


def parse_torque(text: str, unit: TorqueUnit) -> Torque:
    """Return the torque in the text.

    Raises:
        BadValue: It is no number, or no bolt of a head takes so much.
    """
    torque = Torque(value=parse_number(text, field="torque"), unit=unit)
    if not 0 < torque.newton_metres <= MOST_NM:
        raise BadValue(
            f"torque of {torque.words()} is no torque of a bolt here; it lies between 0 and "
            f"{MOST_NM} N·m.",
            field="torque",
        )
    return torque


@dataclass(frozen=True, slots=True, kw_only=True)
class TorqueDoubt:
    """A figure that fits another unit better: what to ask, and the likely right torque."""

    sentence: str
    likely: Torque | None


def doubt_of(torque: Torque, thread: Thread) -> TorqueDoubt | None:
    """Return what to ask about a torque that such a bolt does not usually take, or None.

    If the same figure in another unit is usual for the thread, that is the likely one: a slip
    from lbf·in to lbf·ft shears a small bolt. Half of the usual is nothing to ask about: so little
    is common for a cover on its gasket.
    """
    low, high = USUAL_NM[thread]
    if low / 2 <= torque.newton_metres <= high:
        return None
    shown = torque.to(TorqueUnit.NM).words()
    usual = f"{thread.value} bolts in a head usually take {low} to {high} N·m"
    for unit in TorqueUnit:
        converted = Torque(value=torque.value, unit=unit)
        if unit is not torque.unit and low <= converted.newton_metres <= high:
            return TorqueDoubt(
                sentence=f"{torque.words()} is {shown}; {usual}. {converted.words()} would fit.",
                likely=converted,
            )
    much = torque.newton_metres > high
    risk = "it may shear" if much else "it may come loose"
    return TorqueDoubt(sentence=f"{torque.words()} is {shown}; {usual}: {risk}.", likely=None)


@dataclass(frozen=True, slots=True, kw_only=True)
class TorqueSaid:
    """A torque in every unit, and what is asked about it."""

    words: Mapping[str, str]
    doubt: str | None
    likely: str | None
    likely_unit: TorqueUnit | None


def said_of(torque: Torque, thread: Thread) -> TorqueSaid:
    """Return a torque in words, in every unit, and whether it fits the thread."""
    doubt = doubt_of(torque, thread)
    likely = doubt.likely if doubt else None
    return TorqueSaid(
        words={unit.value: torque.to(unit).words() for unit in TorqueUnit},
        doubt=doubt.sentence if doubt else None,
        likely=likely.words() if likely else None,
        likely_unit=likely.unit if likely else None,
    )

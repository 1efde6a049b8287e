"""How gaps, verdicts and chances are worded, each in one place for screen, sheet and file."""

from dataclasses import dataclass
from datetime import date, datetime

from plimb.core.lengths import Unit, show_inch, show_mm, show_thou

VERDICT_WORDS = {
    "in": "in range",
    "tight": "too tight",
    "loose": "too loose",
    "unsettled": "not clear yet",
    "none": "no gap",
    None: "not proved",
}
"""The word of each verdict; none for a valve that nobody proved."""


def day_words(day: date) -> str:
    """Return a day as it stands everywhere: 1 Dec 2026."""
    return f"{day.day} {day:%b} {day.year}"


def moment_words(moment: datetime) -> str:
    """Return a day and its time: 1 Dec 2026, 14:05."""
    return f"{day_words(moment)}, {moment:%H:%M}"


def grouped(figure: int) -> str:
    """Return a meter's figure with its thousands apart."""
    return f"{figure:,}".replace(",", "\u202f")


NEAR_CERTAIN = 0.995
"""A chance from here on is said to be near certain."""


def figure(nm: int, unit: Unit) -> str:
    """Return a gap's figure without its unit: millimetres, or thou where gaps are in inches."""
    return show_mm(nm) if unit is Unit.MM else show_thou(nm)


def interval(low_nm: int | None, high_nm: int, called_nm: int | None, unit: Unit) -> str:
    """Return a gap in short: one number, from and to, as called, or less than what refused."""
    high = figure(high_nm, unit)
    if low_nm is None:
        return f"< {high}"
    if low_nm == high_nm:
        return high
    if called_nm is not None:
        return f"~ {figure(called_nm, unit)}"
    return f"{figure(low_nm, unit)}–{high}"


@dataclass(frozen=True, slots=True, kw_only=True)
class Units:
    """What gaps are read in and what shims are measured in: on many cards not the same."""

    gap: Unit = Unit.MM
    shim: Unit = Unit.MM

    @property
    def alike(self) -> bool:
        """Whether both are millimetres, as most are."""
        return self.gap is self.shim is Unit.MM

    def shim_figure(self, nm: int) -> str:
        """Return a thickness without its unit."""
        return show_mm(nm) if self.shim is Unit.MM else show_inch(nm)

    def in_sum(self, nm: int) -> str:
        """Return a gap as a sum with shims needs it: in their unit, its own beside it."""
        if self.gap is self.shim:
            return self.shim_figure(nm)
        return f"{self.shim_figure(nm)} ({figure(nm, self.gap)} {self.gap.of_gaps})"


MILLIMETRES = Units()


def percent(chance: float) -> str:
    """Return a chance in whole per cent, never rounded up to certainty."""
    return f"{min(99, int(chance * 100)) if chance < 1 else 100} %"


_TIMES = ((19, 20), (9, 10), (4, 5), (3, 4), (2, 3), (3, 5), (1, 2), (1, 3), (1, 4), (1, 5),
          (1, 10), (1, 20))  # fmt: skip


def times(chance: float) -> str:
    """Return a chance as so many times of so many, never rounded up: `19 times in 20`."""
    if chance >= NEAR_CERTAIN:
        return "almost always"
    for count, of in _TIMES:
        if chance * of >= count:
            return f"{count} time{'s' * (count > 1)} in {of}"
    return "hardly ever"


def sure(chance: float) -> str:
    """Return how sure a proof is to pass."""
    return "near certain" if chance >= NEAR_CERTAIN else f"{percent(chance)} sure"


def signed(nm: int, unit: Unit = Unit.MM) -> str:
    """Return a difference with its sign, nothing before a zero."""
    return f"+{figure(nm, unit)}" if nm > 0 else figure(nm, unit)

"""The shop's feeler blades, and which one to try next."""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import dataclass
from functools import lru_cache
from itertools import combinations

from plimb.core.errors import BadValue
from plimb.core.gap import Gap, between, none_below, point
from plimb.core.lengths import Unit, mm, show
from plimb.core.limits import Limits, Verdict, judge


@dataclass(frozen=True, slots=True, kw_only=True)
class Blade:
    """One blade: its marking and, if somebody measured it, its own thickness, in nanometres."""

    nominal_nm: int
    measured_nm: int | None = None
    in_use: bool = True

    def __post_init__(self) -> None:
        for thickness_nm in (self.nominal_nm, self.measured_nm):
            if thickness_nm is not None and not mm("0.01") <= thickness_nm <= mm("2"):
                raise BadValue(
                    f"blade of {show(thickness_nm, Unit.MM)} is not a feeler blade; "
                    "blades are 0.01 to 2 mm.",
                    field="blade",
                )
        if self.measured_nm is not None and abs(self.measured_nm - self.nominal_nm) > mm("0.03"):
            raise BadValue(
                f"blade marked {show(self.nominal_nm, Unit.MM)} cannot measure "
                f"{show(self.measured_nm, Unit.MM)}; measure it again or take it out of use.",
                field="blade",
            )

    @property
    def thickness_nm(self) -> int:
        """The thickness a reading is made with."""
        return self.nominal_nm if self.measured_nm is None else self.measured_nm


@dataclass(frozen=True, slots=True, kw_only=True)
class Try:
    """A blade, or two together, and the thickness they make, in nanometres."""

    blades: tuple[int, ...]
    thickness_nm: int


@dataclass(frozen=True, slots=True, kw_only=True)
class BladeSet:
    """A set of blades, in any order; two may be laid together where stacking is allowed."""

    name: str
    blades: tuple[Blade, ...]
    stacking: bool = True

    def __post_init__(self) -> None:
        nominal = [blade.nominal_nm for blade in self.blades]
        twice = {nm for nm in nominal if nominal.count(nm) > 1}
        if twice:
            raise BadValue(f"blade {show(min(twice), Unit.MM)} is in the set twice.", field="blade")

    @property
    def usable(self) -> tuple[Blade, ...]:
        """The blades in use, thinnest first."""
        return tuple(sorted((b for b in self.blades if b.in_use), key=lambda b: b.thickness_nm))

    def tries(self) -> tuple[Try, ...]:
        """Return every thickness that can be made, each once, thinnest first.

        A single blade is preferred to a stack of the same thickness, and of two stacks the
        one with the thicker thick blade: thin blades bend and stick together.
        """
        return _tries(self)


@lru_cache(maxsize=64)
def _tries(of: BladeSet) -> tuple[Try, ...]:
    made: dict[int, Try] = {}
    stacks = combinations(of.usable, 2) if of.stacking else ()
    for thin, thick in sorted(stacks, key=lambda pair: pair[1].thickness_nm):
        total_nm = thin.thickness_nm + thick.thickness_nm
        made[total_nm] = Try(blades=(thick.nominal_nm, thin.nominal_nm), thickness_nm=total_nm)
    for blade in of.usable:
        made[blade.thickness_nm] = Try(blades=(blade.nominal_nm,), thickness_nm=blade.thickness_nm)
    return tuple(made[nm] for nm in sorted(made))


@dataclass(frozen=True, slots=True, kw_only=True)
class Known:
    """What trying blades has told so far, in nanometres; None where nothing is known yet."""

    goes_nm: int | None = None
    refuses_nm: int | None = None

    def told(self, tried: Try, goes: bool) -> Known:
        """Return what is known once this blade went, or refused."""
        if goes:
            best = max(tried.thickness_nm, self.goes_nm or 0)
            return Known(goes_nm=best, refuses_nm=self.refuses_nm)
        return Known(
            goes_nm=self.goes_nm,
            refuses_nm=min(tried.thickness_nm, self.refuses_nm or tried.thickness_nm),
        )

    def settled(self, limits: Limits) -> Verdict | None:
        """Return the verdict if it can no longer change, else None."""
        goes_nm = self.goes_nm
        if self.refuses_nm is not None and self.refuses_nm <= limits.low_nm:
            return Verdict.TIGHT if goes_nm is not None else Verdict.NONE
        if goes_nm is not None and goes_nm > limits.high_nm:
            return Verdict.LOOSE
        if goes_nm is None or self.refuses_nm is None:
            return None
        verdict = judge(between(goes_nm, self.refuses_nm), limits)
        return None if verdict is Verdict.UNSETTLED else verdict


def known_from(gap: Gap) -> Known:
    """Return what a reading tells about which blades go and which refuse."""
    if gap.low_nm is None:
        return Known(refuses_nm=gap.high_nm)
    if gap.is_point:
        return Known(goes_nm=gap.low_nm, refuses_nm=gap.high_nm + 1)
    return Known(goes_nm=gap.low_nm, refuses_nm=gap.high_nm)


def next_blade(known: Known, limits: Limits, blades: BladeSet) -> Try | None:
    """Return the blade or stack that settles the verdict in the fewest tries on average.

    Only the thicknesses next to a limit can settle it: the last at or below it and the
    first at or above it. Among these few every order of trying is weighed, each true gap
    between nothing and twice the maximum being as likely as any other. Returns None when the
    verdict is settled, or when no blade at hand could settle it further.
    """
    candidates = _deciding(limits, blades)
    choice, _tries_left = _best(known, limits, candidates)
    return choice


def _deciding(limits: Limits, blades: BladeSet) -> tuple[Try, ...]:
    tries = blades.tries()
    found: dict[int, Try] = {}

    def add(matches: Callable[[int], bool], first: bool) -> None:
        chosen = [one for one in tries if matches(one.thickness_nm)]
        if chosen:
            one = chosen[0] if first else chosen[-1]
            found[one.thickness_nm] = one

    add(lambda nm: nm <= limits.low_nm, first=False)
    add(lambda nm: nm >= limits.low_nm, first=True)
    add(lambda nm: nm <= limits.high_nm, first=False)
    add(lambda nm: nm > limits.high_nm, first=True)
    return tuple(found[nm] for nm in sorted(found))


def _open_to(known: Known, candidates: tuple[Try, ...]) -> list[Try]:
    """Return the candidates whose answer is not known already."""
    return [
        one
        for one in candidates
        if (known.goes_nm is None or one.thickness_nm > known.goes_nm)
        and (known.refuses_nm is None or one.thickness_nm < known.refuses_nm)
    ]


def _best(known: Known, limits: Limits, candidates: tuple[Try, ...]) -> tuple[Try | None, float]:
    """Return the best first try and the tries to expect, weighing what each answer leads to."""
    left = _open_to(known, candidates)
    if known.settled(limits) or not _can_settle(known, limits, left):
        return None, 0.0
    low = known.goes_nm or 0
    high = max(known.refuses_nm or 2 * limits.high_nm, left[-1].thickness_nm + 1, low + 1)
    best: tuple[float, Try] | None = None
    for one in left:
        goes = (high - one.thickness_nm) / (high - low)
        after = (
            1
            + goes * _best(known.told(one, True), limits, candidates)[1]
            + (1 - goes) * _best(known.told(one, False), limits, candidates)[1]
        )
        if best is None or after < best[0] - 1e-12:
            best = (after, one)
    assert best is not None  # something is left, else nothing could settle
    return best[1], best[0]


def _can_settle(known: Known, limits: Limits, left: list[Try]) -> bool:
    """Return whether some run of answers still settles the verdict."""
    for one in left:
        for goes in (True, False):
            after = known.told(one, goes)
            if after.settled(limits):
                return True
            rest = [other for other in left if other is not one]
            if _open_to(after, tuple(rest)) and _can_settle(
                after, limits, _open_to(after, tuple(rest))
            ):
                return True
    return False


def next_finer(known: Known, limits: Limits, blades: BladeSet) -> Try | None:
    """Return the single blade that halves what is left, to give the gap a number.

    Between the blade that goes and the one that refuses, or up to twice the maximum where
    nothing refused yet. Returns None when the two are neighbours in the set.
    """
    singles = tuple(one for one in blades.tries() if len(one.blades) == 1)
    left = [
        one
        for one in _open_to(known, singles)
        if known.refuses_nm is not None or one.thickness_nm <= 2 * limits.high_nm
    ]
    return left[len(left) // 2] if left else None


def reading_gap(known: Known) -> Gap | None:
    """Return the gap that what is known amounts to, or None where nothing is."""
    if known.goes_nm is not None and known.refuses_nm is not None:
        return between(known.goes_nm, known.refuses_nm)
    if known.refuses_nm is not None:
        return none_below(known.refuses_nm)
    return None if known.goes_nm is None else point(known.goes_nm)

"""The shop's feeler blades, and which one to try next."""

from __future__ import annotations

from collections.abc import Iterator
from dataclasses import dataclass
from enum import StrEnum
from functools import lru_cache
from itertools import combinations

from plimb.core.errors import BadValue
from plimb.core.lengths import NM_PER_THOU, Unit, mm, show, show_mm, show_thou
from plimb.core.measure.gap import Gap, between
from plimb.core.measure.limits import Limits, Verdict, judge


def typed_blade(nm: int) -> str:
    """Return how a blade is typed in millimetres: hundredths where it is whole ones."""
    hundredths, rest = divmod(nm, mm("0.01"))
    return show_mm(nm) if rest else str(hundredths)


class BladeState(StrEnum):
    """What a blade is fit for: only a sound one is used."""

    SOUND = "sound"
    BENT = "bent"
    BROKEN = "broken"


SCALES_NM = mm("0.001")
"""How far the two markings of a blade with two scales may lie apart: they are rounded."""

STACK_OFF_NM = mm("0.05")
"""How far a stack may measure from the sum of its blades."""


@dataclass(frozen=True, slots=True, kw_only=True)
class Blade:
    """One blade: its marking and, if somebody measured it, its own thickness, in nanometres.

    A blade with two scales is what the inch one says; `stamped_nm` is its other marking, in
    millimetres, which is rounded.
    """

    nominal_nm: int
    measured_nm: int | None = None
    state: BladeState = BladeState.SOUND
    stamped_nm: int | None = None

    def __post_init__(self) -> None:
        off_nm = abs((self.stamped_nm or self.nominal_nm) - self.nominal_nm)
        if off_nm > SCALES_NM:
            raise BadValue(
                f"a blade of {show(self.nominal_nm, Unit.INCH)} is {show_mm(self.nominal_nm)} mm; "
                f"it cannot be stamped {show_mm(self.stamped_nm or 0)}.",
                field="blade",
            )
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
    def in_use(self) -> bool:
        """Whether it is used."""
        return self.state is BladeState.SOUND

    @property
    def marked_nm(self) -> int:
        """What is read off it in millimetres."""
        return self.nominal_nm if self.stamped_nm is None else self.stamped_nm

    @property
    def in_inches(self) -> bool:
        """Whether its marking is one of inches: whole or half thou."""
        return self.nominal_nm % (NM_PER_THOU // 2) == 0

    @property
    def typed(self) -> str:
        """How it is typed in a reading in millimetres."""
        return typed_blade(self.marked_nm)

    @property
    def typed_thou(self) -> str | None:
        """How it is typed in a reading in thou, None for one that is marked in millimetres."""
        return show_thou(self.nominal_nm) if self.in_inches else None

    @property
    def thickness_nm(self) -> int:
        """The thickness a reading is made with."""
        return self.nominal_nm if self.measured_nm is None else self.measured_nm


@dataclass(frozen=True, slots=True, kw_only=True)
class Stack:
    """Two blades laid together, by their markings, and what they measure so, in nanometres."""

    blades: tuple[int, int]
    measured_nm: int


@dataclass(frozen=True, slots=True, kw_only=True)
class Gauge:
    """A blade, or two together, and the thickness they make, in nanometres."""

    blades: tuple[int, ...]
    thickness_nm: int

    @property
    def typed(self) -> str:
        """How it is typed in a reading in millimetres."""
        return "+".join(typed_blade(blade) for blade in self.blades)


@dataclass(frozen=True, slots=True, kw_only=True)
class BladeSet:
    """A set of blades, in any order; two may be laid together where stacking is allowed.

    Two that somebody measured together are as thick as that, oil between them and all.
    """

    name: str
    stacking: bool = True
    blades: tuple[Blade, ...]
    stacks: tuple[Stack, ...] = ()

    def typed_in(self, unit: Unit) -> frozenset[str]:
        """Return how each sound blade is typed in a reading in the unit."""
        typed = (blade.typed if unit is Unit.MM else blade.typed_thou for blade in self.usable)
        return frozenset(text for text in typed if text)

    def __post_init__(self) -> None:
        if not self.blades:
            raise BadValue("A set needs at least one blade.", field="blades")
        nominal = [blade.nominal_nm for blade in self.blades]
        twice = {nm for nm in nominal if nominal.count(nm) > 1}
        if twice:
            raise BadValue(f"blade {show(min(twice), Unit.MM)} is in the set twice.", field="blade")
        for stack in self.stacks:
            sum_nm = sum(stack.blades)
            if not set(stack.blades) <= set(nominal):
                raise BadValue("A stack is of two blades of its set.", field="stacks")
            if abs(stack.measured_nm - sum_nm) > STACK_OFF_NM:
                raise BadValue(
                    f"a stack of {show_mm(sum_nm)} cannot measure {show_mm(stack.measured_nm)}.",
                    field="stacks",
                )

    @property
    def usable(self) -> tuple[Blade, ...]:
        """The blades in use, thinnest first."""
        return tuple(sorted((b for b in self.blades if b.in_use), key=lambda b: b.thickness_nm))

    def thickness(self, marked: tuple[int, ...]) -> int:
        """Return what blades make when laid together, by what is read off them."""
        known = {blade.nominal_nm: blade for blade in self.blades}
        known |= {blade.stamped_nm: blade for blade in self.blades if blade.stamped_nm is not None}
        laid = [known.get(nm) for nm in marked]
        together_nm = self.measured_together(marked)
        if together_nm is not None:
            return together_nm
        return sum(
            blade.thickness_nm if blade else nm for blade, nm in zip(laid, marked, strict=True)
        )

    def measured_together(self, marked: tuple[int, ...]) -> int | None:
        """Return what a stack of two was measured as, by what is read off them; None if never."""
        if len(marked) != 2 or not self.stacks:
            return None
        known = {blade.marked_nm: blade.nominal_nm for blade in self.blades}
        return self._measured({known.get(nm, nm) for nm in marked})

    def together(self, one: Blade, other: Blade) -> int:
        """Return what two blades make: as measured together, else their sum."""
        measured_nm = self._measured({one.nominal_nm, other.nominal_nm})
        return one.thickness_nm + other.thickness_nm if measured_nm is None else measured_nm

    def _measured(self, nominal_nm: set[int]) -> int | None:
        found = (stack.measured_nm for stack in self.stacks if set(stack.blades) == nominal_nm)
        return next(found, None)

    def tries(self) -> tuple[Gauge, ...]:
        """Return every thickness that can be made, each once, thinnest first.

        A single blade is preferred to a stack of the same thickness, and of two stacks the
        one with the thicker thick blade: thin blades bend and stick together.
        """
        return _tries(self)


@lru_cache(maxsize=64)
def _tries(of: BladeSet) -> tuple[Gauge, ...]:
    made: dict[int, Gauge] = {}
    stacks = combinations(of.usable, 2) if of.stacking else ()
    for thin, thick in sorted(stacks, key=lambda pair: pair[1].thickness_nm):
        total_nm = of.together(thin, thick)
        made[total_nm] = Gauge(blades=(thick.nominal_nm, thin.nominal_nm), thickness_nm=total_nm)
    for blade in of.usable:
        made[blade.thickness_nm] = Gauge(
            blades=(blade.nominal_nm,), thickness_nm=blade.thickness_nm
        )
    return tuple(made[nm] for nm in sorted(made))


@dataclass(frozen=True, slots=True, kw_only=True)
class Tried:
    """What trying blades has told so far, in nanometres; None where nothing is known yet."""

    goes_nm: int | None = None
    refuses_nm: int | None = None

    def with_answer(self, tried: Gauge, goes: bool) -> Tried:
        """Return what is known once this blade went, or refused."""
        if goes:
            best = max(tried.thickness_nm, self.goes_nm or 0)
            return Tried(goes_nm=best, refuses_nm=self.refuses_nm)
        return Tried(
            goes_nm=self.goes_nm,
            refuses_nm=min(tried.thickness_nm, self.refuses_nm or tried.thickness_nm),
        )

    @property
    def typed(self) -> str | None:
        """How what is known is typed as a reading, or None where nothing is."""
        goes = None if self.goes_nm is None else typed_blade(self.goes_nm)
        if self.refuses_nm is None:
            return goes
        return f"{goes or ''}-{typed_blade(self.refuses_nm)}"

    def settled(self, limits: Limits, thinnest_nm: int | None = None) -> Verdict | None:
        """Return the verdict if it can no longer change, else None.

        No gap is found only where the thinnest blade at hand refused; without one given, any.
        """
        goes_nm = self.goes_nm
        if self.refuses_nm is not None and self.refuses_nm <= limits.low_nm:
            thinnest = thinnest_nm is None or self.refuses_nm <= thinnest_nm
            return Verdict.NONE if goes_nm is None and thinnest else Verdict.TIGHT
        if goes_nm is not None and goes_nm > limits.high_nm:
            return Verdict.LOOSE
        if goes_nm is None or self.refuses_nm is None:
            return None
        verdict = judge(between(goes_nm, self.refuses_nm), limits)
        return None if verdict is Verdict.UNSETTLED else verdict


def known_from(gap: Gap) -> Tried:
    """Return what a reading tells about which blades go and which refuse."""
    if gap.low_nm is None:
        return Tried(refuses_nm=gap.high_nm)
    if gap.endless:
        return Tried(goes_nm=gap.low_nm)
    if gap.is_point:
        return Tried(goes_nm=gap.low_nm, refuses_nm=gap.high_nm + 1)
    return Tried(goes_nm=gap.low_nm, refuses_nm=gap.high_nm)


STACK_TRIES = 1.0005
"""What trying two blades together costs against trying one: it decides between orders that
need equally many tries, and never outweighs a try."""


@lru_cache(maxsize=4096)
def next_blade(known: Tried, limits: Limits, blades: BladeSet) -> Gauge | None:
    """Return the blade or stack that settles the verdict in the fewest tries on average.

    Only the thicknesses next to a limit can settle it: the last at or below it and the
    first at or above it, among the single blades and among the stacks. Of these few every
    order of trying is weighed, of equally short ones the one with fewer stacks, each true
    gap from nothing to one spec width over the maximum being as likely as any other.
    Returns None when the verdict is settled, or when no blade at hand could settle it.
    """
    tries = blades.tries()
    singles = tuple(stack for stack in tries if len(stack.blades) == 1)
    deciding = {stack for among in (tries, singles) for stack in _deciding(limits, among)}
    weighing = _Weighing(limits, tuple(sorted(deciding, key=lambda one: one.thickness_nm)))
    return weighing.best(known)[0]


def _deciding(limits: Limits, tries: tuple[Gauge, ...]) -> Iterator[Gauge]:
    """Give the tries next to either limit."""
    for limit_nm in (limits.low_nm, limits.high_nm):
        yield from [stack for stack in tries if stack.thickness_nm <= limit_nm][-1:]
        yield from [stack for stack in tries if stack.thickness_nm >= limit_nm][:1]
    yield from [stack for stack in tries if stack.thickness_nm > limits.high_nm][:1]


def _open_to(known: Tried, candidates: tuple[Gauge, ...]) -> tuple[Gauge, ...]:
    """Return the candidates whose answer is not known already."""
    return tuple(
        candidate
        for candidate in candidates
        if (known.goes_nm is None or candidate.thickness_nm > known.goes_nm)
        and (known.refuses_nm is None or candidate.thickness_nm < known.refuses_nm)
    )


class _Weighing:
    """Weigh every order of trying a few candidates, each state of knowledge once."""

    def __init__(self, limits: Limits, candidates: tuple[Gauge, ...]) -> None:
        self.limits, self.candidates = limits, candidates
        self.top_nm = 2 * limits.high_nm - limits.low_nm + 1
        self._settles: dict[Tried, bool] = {}
        self._best: dict[Tried, tuple[Gauge | None, float]] = {}

    def settles(self, known: Tried) -> bool:
        """Return whether some run of answers settles the verdict from here."""
        if known not in self._settles:
            self._settles[known] = known.settled(self.limits) is not None or any(
                self.settles(known.with_answer(stack, goes))
                for stack in _open_to(known, self.candidates)
                for goes in (True, False)
            )
        return self._settles[known]

    def best(self, known: Tried) -> tuple[Gauge | None, float]:
        """Return the best first try, and the tries to expect from here on."""
        if known not in self._best:
            self._best[known] = self._weigh(known)
        return self._best[known]

    def _weigh(self, known: Tried) -> tuple[Gauge | None, float]:
        left = _open_to(known, self.candidates)
        if known.settled(self.limits) or not left or not self.settles(known):
            return None, 0.0
        low = known.goes_nm or 0
        high = max(known.refuses_nm or self.top_nm, low + 1)

        def expected(one: Gauge) -> float:
            goes = max(0.0, (high - one.thickness_nm) / (high - low))
            return (
                (STACK_TRIES if len(one.blades) > 1 else 1)
                + goes * self.best(known.with_answer(one, True))[1]
                + (1 - goes) * self.best(known.with_answer(one, False))[1]
            )

        return min(((stack, expected(stack)) for stack in left), key=lambda pair: round(pair[1], 9))


@lru_cache(maxsize=4096)
def next_finer(known: Tried, limits: Limits, blades: BladeSet) -> Gauge | None:
    """Return the single blade that halves what is left, to give the gap a number.

    Between the blade that goes and the one that refuses, or up to twice the maximum where
    nothing refused yet. Returns None when the two are neighbours in the set.
    """
    singles = tuple(stack for stack in blades.tries() if len(stack.blades) == 1)
    left = [
        stack
        for stack in _open_to(known, singles)
        if known.refuses_nm is not None or stack.thickness_nm <= 2 * limits.high_nm
    ]
    return left[len(left) // 2] if left else None


def between_blades(known: Tried, blades: BladeSet) -> Gauge | None:
    """Return what halves the rest between the blade that goes and the one that refuses.

    A single blade, or a pair where no single one lies between; None where neither does.
    """
    left = _open_to(known, blades.tries())
    if known.refuses_nm is None or not left:
        return None
    singles = tuple(stack for stack in left if len(stack.blades) == 1) or left
    middle_nm = ((known.goes_nm or 0) + known.refuses_nm) // 2
    return min(singles, key=lambda one: abs(one.thickness_nm - middle_nm))

"""Work out one valve: stack, window, neighbours, pick, and the sum as a person checks it."""

from collections.abc import Sequence
from dataclasses import dataclass
from enum import StrEnum
from functools import lru_cache

from plimb.core.errors import BadValue
from plimb.core.measure.gap import Gap
from plimb.core.measure.limits import Limits, Spec
from plimb.core.measure.uncertainty import (
    SURE,
    USUAL_DOUBT,
    Doubt,
    chance_in_spec,
    risk_of,
)
from plimb.core.shim.family import check_shim


class Aim(StrEnum):
    """Where in the range a changed valve should end (schools of the trade)."""

    LOOSE = "loose"
    MIDDLE = "middle"
    TIGHT = "tight"
    MAKER = "maker"
    LEAST = "least"


class Rounding(StrEnum):
    """Which of the sizes that are in range to take."""

    NEAREST = "nearest"
    THINNER = "thinner"
    THICKER = "thicker"
    CHANCE = "chance"


@dataclass(frozen=True, slots=True, kw_only=True)
class SizePolicy:
    """How a shop leans: an aim (a named one, or a gap in nanometres) and a rounding.

    It leans as far as is sure enough. Where `first` is given the aim comes before all but that
    chance: every piece whose chance reaches it is as good as any other but for its aim. `sure`
    is the chance from which on the shop takes a valve for sure, `doubt` what its readings are
    worth.
    """

    aim: Aim | int = Aim.LOOSE
    rounding: Rounding = Rounding.NEAREST
    first: float | None = None
    sure: float = SURE
    doubt: Doubt = USUAL_DOUBT


@dataclass(frozen=True, slots=True, kw_only=True)
class Window:
    """Shim thicknesses in nanometres, both ends included."""

    thin_nm: int
    thick_nm: int

    def holds(self, thickness_nm: int) -> bool:
        """Return whether the thickness lies in the window."""
        return self.thin_nm <= thickness_nm <= self.thick_nm


@dataclass(frozen=True, slots=True, kw_only=True)
class Outcome:
    """What the gap would be with one thickness fitted."""

    thickness_nm: int
    gap_nm: int
    in_spec: bool
    chance: float


@dataclass(frozen=True, slots=True, kw_only=True)
class WorkedOut:
    """The answer for one valve. Lengths in nanometres.

    `stack_low_nm` is None where no gap was found: the stack is then below
    `stack_high_nm`, `ideal_nm` is an upper bound, and everything is `provisional`. So it is
    where a blade went loosely and nothing refused: the stack is then `stack_low_nm` or more.
    `likeliest` is the size to take by what is known; it is the `pick` where some size is in
    spec for every gap the reading allows, or the technician called a number.
    `window` holds every thickness that is in range for every gap the reading allows.
    `limits` is the range aimed into: the set range, or the check range if no size
    reaches the set range (`fell_back`).
    """

    gap: Gap
    shim_nm: int
    limits: Limits
    fell_back: bool
    stack_low_nm: int | None
    stack_high_nm: int
    window: Window | None
    aim_nm: int
    ideal_nm: int
    thinner: Outcome | None
    thicker: Outcome | None
    pick: Outcome | None
    likeliest: Outcome | None
    provisional: bool
    at_most_nm: int | None


def window(gap: Gap, shim_nm: int, limits: Limits) -> Window | None:
    """Return every thickness that lands in range whatever the true gap is, or None.

    gap = stack − shim, so with the gap in [low, high] the thickest safe shim is
    low + shim − min and the thinnest high + shim − max; both ends are in range.
    """
    if gap.low_nm is None or gap.endless:
        return None
    thin_nm = gap.high_nm + shim_nm - limits.high_nm
    thick_nm = gap.low_nm + shim_nm - limits.low_nm
    return Window(thin_nm=thin_nm, thick_nm=thick_nm) if thin_nm <= thick_nm else None


def change_needed(gap: Gap, limits: Limits) -> Window | None:
    """Return by how much a piece must be thicker, or thinner where it is less than nothing.

    From the gap alone, before anything is opened: gap before − change = gap after. Where no
    thickness is sure it is reckoned from the best number; None where one end is not known.
    """
    if not gap.both_ends:
        return None
    safe = window(gap, 0, limits)
    if safe is not None:
        return safe
    best_nm = gap.best_nm
    return Window(thin_nm=best_nm - limits.high_nm, thick_nm=best_nm - limits.low_nm)


def aimed_gap(aim: Aim | int, spec: Spec, limits: Limits, kept_nm: int) -> int:
    """Return the gap to aim at, in nanometres, never outside the limits.

    Args:
        aim: The policy, or a gap that lies in the spec.
        spec: For the maker's own aim; without one the middle is taken.
        limits: The range to end in.
        kept_nm: The gap with the fitted piece, the aim of *least change*.
    """
    if isinstance(aim, Aim):
        wanted = {
            Aim.LOOSE: limits.high_nm,
            Aim.TIGHT: limits.low_nm,
            Aim.MIDDLE: limits.middle_nm,
            Aim.MAKER: limits.middle_nm if spec.aim_nm is None else spec.aim_nm,
            Aim.LEAST: kept_nm,
        }[aim]
    else:
        wanted = aim
    return min(max(wanted, limits.low_nm), limits.high_nm)


@lru_cache(maxsize=4096)
def work_out(
    gap: Gap,
    shim_nm: int,
    spec: Spec,
    sizes: tuple[int, ...],
    sizing: SizePolicy,
    old_nm: int | None = None,
) -> WorkedOut:
    """Return the window, the ideal, its neighbours and the pick for one valve.

    Args:
        gap: The gap as found, with the piece in.
        shim_nm: That piece, in nanometres.
        spec: The maker's ranges; a changed valve ends in the set range if it can.
        sizes: Thicknesses that can be had, in nanometres, ascending.
        sizing: Aim and rounding.
        old_nm: Half-width of that piece's thickness, the micrometer's if not given.

    Raises:
        BadValue: The shim cannot be that thick, or the aim lies outside the spec.
    """
    check_shim(shim_nm)
    if not isinstance(sizing.aim, Aim) and not spec.check.holds(sizing.aim):
        raise BadValue("aim must lie inside the allowed gap.", field="aim")
    worked = _into(spec.target, gap, shim_nm, spec, sizes, sizing, old_nm)
    if worked.likeliest is None and not worked.provisional and spec.set_:
        wider = _into(spec.check, gap, shim_nm, spec, sizes, sizing, old_nm)
        return wider if wider.likeliest else worked
    return worked


def fit(
    gap: Gap,
    shim_nm: int,
    thickness_nm: int,
    limits: Limits,
    old_nm: int | None = None,
    doubt: Doubt = USUAL_DOUBT,
) -> Outcome:
    """Return the gap with that thickness fitted, and whether it is in range for certain."""
    safe = window(gap, shim_nm, limits)
    thinner_by_nm = shim_nm - thickness_nm
    return Outcome(
        thickness_nm=thickness_nm,
        gap_nm=gap.best_nm + thinner_by_nm,
        in_spec=safe is not None and safe.holds(thickness_nm),
        chance=chance_in_spec(
            gap,
            thinner_by_nm,
            limits,
            kept=thinner_by_nm == 0,
            old_nm=old_nm,
            new_nm=doubt.bought_nm,
            doubt=doubt,
        ),
    )


def sought_thickness(gap: Gap, shim_nm: int, spec: Spec, limits: Limits, aim: Aim | int) -> int:
    """Return the thickness that sizes are compared with: the ideal, or for *least change* the old.

    ideal = stack − aim, the stack being the best gap and the piece that is in.
    """
    if aim is Aim.LEAST:
        return shim_nm
    return gap.best_nm + shim_nm - aimed_gap(aim, spec, limits, gap.best_nm)


def sizes_around(
    sizes: Sequence[int], thickness_nm: int, around: int = 1
) -> tuple[tuple[int, ...], tuple[int, ...]]:
    """Return the sizes next to a thickness, `around` thinner and `around` thicker, ascending."""
    thinner = tuple(size for size in sizes if size < thickness_nm)[-around:]
    thicker = tuple(size for size in sizes if size > thickness_nm)[:around]
    return thinner, thicker


def _into(
    limits: Limits,
    gap: Gap,
    shim_nm: int,
    spec: Spec,
    sizes: Sequence[int],
    sizing: SizePolicy,
    old_nm: int | None,
) -> WorkedOut:
    """Work out one valve for one range."""
    stack_nm = gap.best_nm + shim_nm
    aim_nm = aimed_gap(sizing.aim, spec, limits, gap.best_nm)
    ideal_nm = stack_nm - aim_nm
    safe = window(gap, shim_nm, limits)

    def fitted(thickness_nm: int) -> Outcome:
        return fit(gap, shim_nm, thickness_nm, limits, old_nm, sizing.doubt)

    thinner, thicker = sizes_around(sizes, ideal_nm)
    inside = [fitted(size) for size in sizes if limits.holds(stack_nm - size)]
    sought_nm = sought_thickness(gap, shim_nm, spec, limits, sizing.aim)
    likeliest = preferred([] if gap.low_nm is None or gap.open_ended else inside, sought_nm, sizing)
    picked_nm = likeliest.thickness_nm if likeliest else None
    if gap.none_found:
        picked_nm = _provisional(sizes, stack_nm - limits.middle_nm, shim_nm)
    elif likeliest is not None and not likeliest.in_spec and gap.called_nm is None:
        picked_nm = None
    return WorkedOut(
        gap=gap,
        shim_nm=shim_nm,
        limits=limits,
        fell_back=limits is not spec.target,
        stack_low_nm=None if gap.low_nm is None else gap.low_nm + shim_nm,
        stack_high_nm=gap.high_nm + shim_nm,
        window=safe,
        aim_nm=aim_nm,
        ideal_nm=ideal_nm,
        thinner=fitted(thinner[0]) if thinner and not gap.open_ended else None,
        thicker=fitted(thicker[0]) if thicker and not gap.open_ended else None,
        pick=None if picked_nm is None else fitted(picked_nm),
        likeliest=likeliest,
        provisional=gap.none_found or gap.open_ended,
        at_most_nm=stack_nm - limits.low_nm if gap.none_found else None,
    )


def preferred(choices: Sequence[Outcome], sought_nm: int, sizing: SizePolicy) -> Outcome | None:
    """Return the size a policy takes: as near to its aim as is sure enough.

    What the chance of another round costs comes first, then the distance from what is sought; a
    tie goes to the safer side. Gaps close with use, so of two equally near sizes the thinner is
    the safer, except for a shop that aims at the tight end.
    """
    lean = -1 if sizing.aim is Aim.TIGHT else 1
    directed = sizing.rounding in (Rounding.THINNER, Rounding.THICKER)
    sure_at = risk_of(sizing.sure if sizing.first is None else sizing.first)

    def order(one: Outcome) -> tuple[float, ...]:
        risk, size = risk_of(one.chance), one.thickness_nm
        away = abs(size - sought_nm)
        unsure = max(0, risk - sure_at) if directed or sizing.first is not None else 0
        wrong = {
            Rounding.THINNER: size > sought_nm,
            Rounding.THICKER: size < sought_nm,
        }.get(sizing.rounding, False)
        if sizing.rounding is Rounding.CHANCE:
            return (unsure, -round(one.chance, 9), away, lean * size)
        if sizing.first is not None:
            return (unsure, wrong, away, risk, lean * size)
        return (unsure, wrong, risk, away, lean * size)

    return min(choices, key=order, default=None)


def _provisional(sizes: Sequence[int], at_most_nm: int, shim_nm: int) -> int | None:
    """Return the piece to fit where no gap was found: thin enough that one can be felt.

    The middle of the range follows, were the gap as large as it can be. Where none is made that
    thin it is the thinnest there is, if that is thinner than the old.
    """
    thinner = [size for size in sizes if size < shim_nm]
    enough = [size for size in thinner if size <= at_most_nm]
    return max(enough) if enough else min(thinner, default=None)

"""How even a head is, check by check: twins against each other, each kind against itself."""

from collections.abc import Sequence
from dataclasses import dataclass

from plimb.core.engine.engine import Clearance
from plimb.core.wear.stack import Check


@dataclass(frozen=True, slots=True, kw_only=True)
class Apart:
    """By how much the gaps of some valves were left apart at one check; `at` is its counter."""

    at: int
    apart_nm: int


@dataclass(frozen=True, slots=True, kw_only=True)
class Evenness:
    """Valves that should be alike, and how far apart they were left, check by check."""

    valves: tuple[str, ...]
    twins: bool
    checks: tuple[Apart, ...]


def evenness(clearances: Sequence[Clearance], checks: Sequence[Check]) -> tuple[Evenness, ...]:
    """Return every pair of twins, then all valves of each kind, as far as checks say.

    Args:
        clearances: The engine's.
        checks: In order; one without its counter is left out, and of a check only what was read
            for all of the valves in question.
    """
    groups: list[tuple[Sequence[Clearance], bool]] = [
        ((clearance, other), True)
        for place, clearance in enumerate(clearances)
        for other in clearances[place + 1 :]
        if clearance.is_twin_of(other)
    ]
    for kind in dict.fromkeys((clearance.side, clearance.action) for clearance in clearances):
        alike = [
            clearance for clearance in clearances if (clearance.side, clearance.action) == kind
        ]
        if len(alike) > 2:
            groups.append((alike, False))
    found = []
    for group, of_twins in groups:
        seen = tuple(
            Apart(at=int(check.at), apart_nm=apart_nm)
            for check in checks
            if check.at is not None
            for apart_nm in (_apart(group, check),)
            if apart_nm is not None
        )
        if seen:
            names = tuple(clearance.id for clearance in group)
            found.append(Evenness(valves=names, twins=of_twins, checks=seen))
    return tuple(found)


def _apart(group: Sequence[Clearance], check: Check) -> int | None:
    """Return how far apart the widest and the tightest were left; None where one is not known."""
    best = []
    for clearance in group:
        seen = check.valves.get(clearance.key)
        gap = None if seen is None else seen.as_left
        if gap is None or not gap.both_ends:
            return None
        best.append(gap.best_nm)
    return max(best) - min(best)

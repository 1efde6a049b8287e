"""The stack of a valve over the years: gap plus shim, which only wear and head work change.

gap + shim = stack, so it runs straight through a change of shim, and its fall is the wear. A
shim that stays in stays the same, whether it was measured or not; what nobody ever measured has
no stack, and its gaps alone still tell how fast they close.
"""

from collections.abc import Iterable, Mapping, Sequence
from dataclasses import dataclass, replace
from datetime import date
from decimal import Decimal
from itertools import pairwise

from plimb.core.measure.gap import Gap
from plimb.core.measure.uncertainty import USUAL_DOUBT, Doubt, gap_ends


@dataclass(frozen=True, slots=True, kw_only=True)
class Piece:
    """A shim as it was known: its thickness and how far that may be off either way, in nm."""

    thickness_nm: int
    half_width_nm: int


@dataclass(frozen=True, slots=True, kw_only=True)
class Seen:
    """What one check says of one valve; None is not known.

    `found` and `piece` as it came in; `left` and `new` after the work, where the piece changed.
    """

    found: Gap | None = None
    piece: Piece | None = None
    left: Gap | None = None
    new: Piece | None = None
    changed: bool = False

    @property
    def as_left(self) -> Gap | None:
        """The gap it was left at: as found where its piece stayed."""
        return self.left or (None if self.changed else self.found)


@dataclass(frozen=True, slots=True, kw_only=True)
class Check:
    """One check of an engine. `at` is what its counter said; valves go by their keys.

    With `new_life` head work came before it: the stacks begin anew. `card` is the card's number
    where there is one, `note` that of a line out of an old notebook.
    """

    on: date | None
    at: Decimal | None
    valves: Mapping[str, Seen]
    new_life: bool = False
    card: int | None = None
    note: int | None = None


@dataclass(frozen=True, slots=True, kw_only=True)
class Sighting:
    """One gap of a valve, placed: at which check and distance, and which piece was in.

    `run` is the distance since the first check of this life, `stint` counts the pieces that the
    valve has had in it. `piece` is the same for a whole stint, None where it never was known.
    """

    check: int
    run: float
    stint: int
    gap: Gap
    piece: Piece | None
    as_left: bool

    @property
    def ends_nm(self) -> tuple[float, float]:
        """Between which lengths the gap is taken to lie."""
        return gap_ends(self.gap)

    def stack(self, doubt: Doubt = USUAL_DOUBT) -> tuple[int, int] | None:
        """Return between which lengths the stack lies, None where the piece is not known."""
        if self.piece is None:
            return None
        low, high = gap_ends(self.gap, doubt)
        half, nm = self.piece.half_width_nm, self.piece.thickness_nm
        return round(low + nm - half), round(high + nm + half)


def present_life(checks: Sequence[Check]) -> tuple[Check, ...]:
    """Return the checks since the last head work that distances can be told between.

    A counter that runs backwards was changed, or somebody misread it: how far the engine ran
    meanwhile nobody knows, so what comes before is left out of the sum, as is a check whose
    counter was not written down.
    """
    return lives(checks)[-1] if lives(checks) else ()


def lives(checks: Sequence[Check]) -> tuple[tuple[Check, ...], ...]:
    """Return the checks with a counter's figure in runs that one stack goes through, in order."""
    found: list[list[Check]] = []
    for check in checks:
        if check.at is None:
            continue
        if not found or check.new_life or check.at < _counter(found[-1][-1]):
            found.append([])
        found[-1].append(check)
    return tuple(tuple(life) for life in found)


def _counter(check: Check) -> Decimal:
    assert check.at is not None  # one without is left out before
    return check.at


def runs_backwards(checks: Sequence[Check]) -> bool:
    """Return whether a counter was changed, or misread, between two checks."""
    at = [check.at for check in checks if check.at is not None]
    return any(later < earlier for earlier, later in pairwise(at))


@dataclass(frozen=True, slots=True, kw_only=True)
class Past:
    """What one valve was seen at in this life, and the pieces it had, the last one in now."""

    seen: tuple[Sighting, ...] = ()
    pieces: tuple[Piece | None, ...] = (None,)

    @property
    def distances(self) -> int:
        """At how many distances its gap was told."""
        return len({check.run for check in self.seen})

    @property
    def gap_now_known(self) -> bool:
        """Whether it can be told how wide the gap is with the piece that is in."""
        last = len(self.pieces) - 1
        return bool(self.seen) and (
            self.pieces[-1] is not None or any(check.stint == last for check in self.seen)
        )


def past_of(checks: Sequence[Check], valve: str) -> Past:
    """Return every gap of a valve with two ends, in order, each with the piece that was in.

    A piece that was read later was in before, as long as nobody changed it; where it is not the
    one that was left in, another was put in meanwhile, and a stint of its own begins.
    """
    found: list[Sighting] = []
    pieces: list[Piece | None] = [None]
    first = _counter(checks[0]) if checks else Decimal(0)
    for number, check in enumerate(checks):
        seen = check.valves.get(valve)
        if seen is None:
            continue
        run = float(_counter(check) - first)
        if seen.piece is not None:
            before = pieces[-1]
            if before is not None and is_another(before, seen.piece):
                pieces.append(seen.piece)
            else:
                pieces[-1] = seen.piece
        _note(found, number, run, len(pieces) - 1, seen.found, as_left=False)
        if seen.changed:
            pieces.append(seen.new)
        _note(found, number, run, len(pieces) - 1, seen.left, as_left=True)
    return Past(
        seen=tuple(replace(check, piece=pieces[check.stint]) for check in found),
        pieces=tuple(pieces),
    )


def _note(
    found: list[Sighting], check: int, run: float, stint: int, gap: Gap | None, *, as_left: bool
) -> None:
    if gap is not None and gap.both_ends:
        found.append(
            Sighting(check=check, run=run, stint=stint, gap=gap, piece=None, as_left=as_left)
        )


def is_another(before: Piece, now: Piece) -> bool:
    """Return whether a piece cannot be the one that was known to be in.

    Both may be off by what they are good to; a hundredth besides is wear of the piece, or dirt.
    """
    apart = abs(before.thickness_nm - now.thickness_nm)
    return apart > before.half_width_nm + now.half_width_nm + ANOTHER_NM


def other_pieces(checks: Iterable[Check], valve: str) -> tuple[date | None, ...]:
    """Return the days on which a piece was read that cannot be the one that was left in."""
    known: Piece | None = None
    found = []
    for check in checks:
        seen = check.valves.get(valve)
        if seen is None:
            continue
        if seen.piece is not None:
            if known is not None and is_another(known, seen.piece):
                found.append(check.on)
            known = seen.piece
        if seen.changed:
            known = seen.new
    return tuple(found)


ANOTHER_NM = 10_000
"""So much may a piece differ beyond what both readings are good to (judgement)."""

"""What a technician does while measuring: read a gap back, write it down, be asked for a blade."""

from collections.abc import Sequence
from dataclasses import dataclass
from typing import Literal

from plimb.card.acting import OnCard, act, known_valve
from plimb.card.build import clearance_of, conditions_of, past_of, size_policy_of, status_of
from plimb.card.said import Text, listed
from plimb.core.errors import NotReady
from plimb.core.job.valve import as_proof
from plimb.core.lengths import Unit
from plimb.core.measure.blades import Gauge, Tried, known_from, next_blade, next_finer
from plimb.core.measure.limits import Verdict, judge
from plimb.core.measure.shorthand import Reading, reading_by
from plimb.record.cards import get_card
from plimb.record.database import Database
from plimb.record.readings import gaps_of, write_gap
from plimb.record.shop import set_of

Purpose = Literal["found", "proof"]
"""Which gap is written down: the one found, or the one that proves the work."""


@dataclass(frozen=True, slots=True, kw_only=True)
class Understood:
    """What a typed gap says, its verdict, and the blade that would settle it."""

    reading: Reading
    verdict: Verdict | None
    next_blade: Gauge | None


@dataclass(frozen=True, slots=True, kw_only=True)
class NextTry:
    """Which blade to try next on a valve, the verdict if settled, and what is known, as typed."""

    next_blade: Gauge | None
    verdict: Verdict | None
    reading: str | None


def understand_gap(
    database: Database, card_id: int, valve: str, text: str, unit: Unit, purpose: Purpose = "found"
) -> Understood:
    """Return what a typed gap says, or would say as the valve's proof; nothing is written down.

    Raises:
        BadValue: It cannot be read.
        NotFound: There is no such card.
    """
    with database.reading() as session:
        card = get_card(session, card_id, whole=purpose == "proof")
        judged_by = clearance_of if purpose == "proof" else known_valve
        clearance, blades = judged_by(card, valve), set_of(card)
        reading, limits = reading_by(text, unit, blades), clearance.check
        if limits is None:
            return Understood(reading=reading, verdict=None, next_blade=None)
        if purpose == "proof":
            state = status_of(card).valves[clearance.id]
            judged = as_proof(state, reading, size_policy_of(card), blades)
            return Understood(reading=reading, verdict=judged.verdict, next_blade=judged.next_try)
    return Understood(
        reading=reading,
        verdict=judge(reading.gap, limits),
        next_blade=next_blade(known_from(reading.gap), limits, blades) if blades else None,
    )


@act("gap")
def write_down_gap(
    on: OnCard, *, valve: str, purpose: Purpose, text: str, unit: Unit, repeats: bool = False,
    reason: str = "",
) -> None:  # fmt: skip
    """Write down a gap as typed; empty text strikes the standing one out.

    A reading that `repeats` leaves the one before it standing beside it. Once pieces are out
    what was found changes only as a correction, with its `reason`.

    Raises:
        BadValue: The text cannot be read or the valve is not on the engine.
        NotReady: Pieces are out and no reason is given.
    """
    if purpose == "found" and not reason.strip() and valve in past_of(on.card):
        raise NotReady(
            f"{valve} was opened: what was found can only be corrected now. Write why.",
            field="correction",
        )
    key = known_valve(on.card, valve).key
    reading = reading_by(text, unit, set_of(on.card)) if text.strip() else None
    write_gap(
        on.session,
        on.round,
        key=key,
        purpose=purpose,
        typed=reading.typed if reading else "",
        unit=reading.unit if reading else unit,
        reading=reading,
        repeats=repeats,
        warm=conditions_of(on.card).warm,
        reason=reason.strip(),
        now=on.now,
    )


@act("keep", slips=listed(Text, 20))
def keep_odd_reading(on: OnCard, *, valve: str, purpose: Purpose, slips: Sequence[str]) -> None:
    """Answer what was asked about a reading: it is so.

    Raises:
        BadValue: The valve is not on the engine.
    """
    known_valve(on.card, valve)
    line = gaps_of(on.round, on.engine, purpose).get(valve)
    if line is not None:
        line.kept = sorted({*line.kept, *slips})


def ask_next_blade(
    database: Database,
    card_id: int,
    *,
    valve: str,
    tried: Tried,
    fine: bool,
    purpose: Purpose = "found",
) -> NextTry:
    """Say which blade to try next on a valve, and the verdict once it is settled.

    A proof is held to what the valve was to get to: to the set range where it has one.

    Raises:
        NotReady: The card has no feeler set.
        BadValue: The valve is not on the engine.
        NotFound: There is no such card.
    """
    with database.reading() as session:
        card = get_card(session, card_id, whole=False)
        limits = clearance_of(card, valve).check
        if purpose == "proof":
            limits = status_of(card).valves[valve].held_to
        if limits is None:
            raise NotReady(
                "Enter the allowed gap first. Then the blades to try follow.", field="spec"
            )
        blades = set_of(card)
        if blades is None:
            raise NotReady("Choose a feeler set first.", field="blades")
    following = next_finer if fine else next_blade
    return NextTry(
        next_blade=following(tried, limits, blades),
        verdict=tried.settled(limits, blades.usable[0].thickness_nm),
        reading=tried.typed,
    )

"""What a technician does to put an engine together: fit, turn by hand, tighten."""

from collections.abc import Sequence
from dataclasses import replace
from typing import Annotated

from pydantic import Field

from plimb.card.acting import OnCard, act, known_valve
from plimb.card.acts.remembering import remember_bolts
from plimb.card.build import status_of, units_of
from plimb.card.said import Short, listed
from plimb.core.engine.engine import Clearance
from plimb.core.errors import BadValue, NotReady
from plimb.core.job.bolts import MOST_BOLTS, BoltGroup, order_of
from plimb.core.job.kinds import kind_of_job
from plimb.core.job.lists import turns_line
from plimb.core.job.torque import Thread, TorqueUnit
from plimb.core.job.valve import Choice, ValveRecord
from plimb.core.lengths import parse_length
from plimb.core.shim.family import check_shim
from plimb.core.shim.shim import Source
from plimb.core.words import Units
from plimb.record.readings import standing, write_choice
from plimb.shop.settings import MOST_TURNS, settings_of


@act("fit", measured=Short)
def fit_piece(
    on: OnCard, *, valve: str, fitted: bool, measured: str, anyway: bool = False,
    swapped: bool = False,
) -> None:  # fmt: skip
    """Note that the chosen piece is in, with what a micrometer said as it went in.

    A piece is judged before it goes in: one that would be out, or is another than was decided
    on, goes in only where somebody says that it does `anyway`. For one that is bought the counter
    may take the valve's old piece: then that one is `swapped` and comes back no more.

    Raises:
        NotReady: No other piece has been chosen for the valve, what was decided was made from
            other figures, the piece in the hand would be out, or the old one cannot be swapped.
        BadValue: The thickness cannot be read.
    """
    clearance, measured_nm = known_valve(on.card, valve), None
    if measured.strip():
        read_nm = parse_length(measured, clearance.family.unit, field="measured")
        measured_nm = check_shim(read_nm)
    key = clearance.key
    record = on.records.get(valve)
    if record is None or record.choice is None or not record.changes:
        raise NotReady(f"{valve} keeps its shim; nothing is fitted there.", field="valve")
    if fitted and status_of(on.card).valves[valve].overtaken:
        raise NotReady(
            f"The shim for {valve} was decided on from other figures. Plan again first.",
            field="overtaken",
        )
    if swapped:
        _refuse_swap(on, valve, record.choice)
    choice = replace(record.choice, fitted=fitted, swapped=swapped and fitted)
    if measured_nm is not None:
        instrument = on.card.instrument
        choice = replace(
            choice, measured_nm=measured_nm, doubt_nm=instrument.doubt_nm if instrument else None
        )
    if fitted and not anyway:
        far_nm = settings_of(on.session).other_shim_nm
        _refuse_wrong(clearance, record, choice, units_of(on.card), far_nm)
    shim_id = standing(on.round.choices, on.engine)[valve].shim_id
    write_choice(
        on.session, on.round, on.engine, key=key, choice=choice, shim_id=shim_id, now=on.now
    )


def _refuse_swap(on: OnCard, valve: str, choice: Choice) -> None:
    """Refuse to give the counter a piece that stays here, or for one it does not sell: NotReady."""
    takers = (record.choice for record in on.records.values())
    taken = any(one and one.from_valve == valve and one.source is Source.ENGINE for one in takers)
    if choice.source is not Source.COUNTER or taken:
        why = "its old shim goes into another valve" if taken else "nothing is bought for it"
        raise NotReady(f"{valve}: {why}, so nothing is swapped at the counter.", field="swapped")


def _refuse_wrong(
    clearance: Clearance, record: ValveRecord, choice: Choice, units: Units, far_nm: int
) -> None:
    """Refuse a piece that would be out, or is off by more than what was decided on: NotReady."""
    in_hand_nm, wanted_nm = choice.goes_in_nm, choice.thickness_nm
    gap = record.found.gap if record.found else None
    piece, spec = record.piece, clearance.spec
    said = units.shim_figure(in_hand_nm)
    if in_hand_nm != wanted_nm:
        said = f"{said} instead of {units.shim_figure(wanted_nm)}"
    if gap is not None and piece is not None and spec is not None:
        after_nm = gap.best_nm + piece.thickness_nm - in_hand_nm
        opens = after_nm <= 0 < spec.check.low_nm
        if opens or (gap.both_ends and not spec.check.holds(after_nm)):
            how = "it would hold the valve open" if opens else "out of range"
            raise NotReady(
                f"{said} gives {units.in_sum(after_nm)}, {how}: not this one?", field="measured"
            )
    if abs(in_hand_nm - wanted_nm) > far_nm:
        raise NotReady(f"{said}: is it the right shim?", field="measured")


@act("lay-aside")
def lay_aside(on: OnCard, *, camshaft: str, aside: bool) -> None:
    """Note that a camshaft is out for another job, so that it is put back by the lists, or is not.

    Raises:
        BadValue: The engine has no such camshaft.
        NotReady: This job opens nothing.
    """
    if camshaft not in {shaft.id for shaft in on.engine.camshafts}:
        raise BadValue(f"There is no camshaft {camshaft} on this engine.", field="camshaft")
    if aside and not kind_of_job(on.card.kind).opens:
        raise NotReady(
            "This job opens nothing; change what kind it is, then lay the camshaft aside.",
            field="camshaft",
        )
    without = tuple(kept for kept in on.card.shafts_aside if kept != camshaft)
    on.card.shafts_aside = (*without, camshaft) if aside else without


@act("turn-by-hand")
def turn_by_hand(on: OnCard, *, turns: int) -> None:
    """Note how many full turns the crank was turned by hand since the pieces went in.

    Raises:
        BadValue: The number cannot be.
    """
    if not 0 <= turns <= MOST_TURNS:
        raise BadValue(f"turns lie between 0 and {MOST_TURNS}.", field="turns")
    on.round.hand_turns = turns
    enough = turns >= settings_of(on.session).hand_turns
    on.tick((turns_line(on.round.number),), done=enough)


_Place = Annotated[
    tuple[Annotated[float, Field(strict=False)], Annotated[float, Field(strict=False)]],
    Field(strict=False),
]
_Order = Annotated[list[int], Field(max_length=MOST_BOLTS)] | None


@act("bolts", places=listed(_Place, MOST_BOLTS), torque=Short, order=_Order, numbers=_Order)
def lay_bolts(
    on: OnCard, *, name: str, places: Sequence[tuple[float, float]], torque: str,
    unit: TorqueUnit, thread: Thread, order: Sequence[int] | None = None,
    numbers: Sequence[int] | None = None,
) -> None:  # fmt: skip
    """Note a part's bolts, their torque and order; a part of the same name is laid anew.

    Places go from 0 to 1 across and down. The manufacturer's `order`, if any, is either the bolts
    in turning order, or the `numbers` printed beside them.

    Raises:
        BadValue: No name, no bolts or too many, an order that is not each bolt once, a torque
            that cannot be.
    """
    group = BoltGroup(
        name=name, places=tuple(places), torque=torque, unit=unit, thread=thread,
        order=order_of(numbers, order),
    ).checked()  # fmt: skip
    others = (laid for laid in on.card.tightening if laid.name != group.name)
    on.card.tightening = (*others, group)
    remember_bolts(on, group)


@act("tighten")
def turn_bolts(on: OnCard, *, name: str, turned: int) -> None:
    """Note how many bolts have been turned, all stages counted through.

    Raises:
        BadValue: There are no such bolts, or not so many turns.
    """
    group = next((group for group in on.card.tightening if group.name == name), None)
    if group is None:
        raise BadValue(f"No bolts of “{name}” are laid out.", field="name")
    if not 0 <= turned <= group.turns:
        raise BadValue(f"{name} has {group.turns} turns in all.", field="turned")
    on.card.tightening = tuple(
        replace(laid, turned=turned) if laid is group else laid for laid in on.card.tightening
    )

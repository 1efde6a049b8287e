"""What a technician decides: the piece for a valve, the whole plan, what is ruled out."""

from collections.abc import Mapping
from dataclasses import replace

from plimb.card.acting import OnCard, act, known_valve
from plimb.card.build import clearance_of, status_of
from plimb.card.custody import check_giver, keep_back
from plimb.card.planning import matches_choice, plan_of
from plimb.core.errors import BadValue, NotReady
from plimb.core.job.valve import Choice, ValveRecord
from plimb.core.lengths import show_mm
from plimb.core.plan.result import Plan
from plimb.core.plan.search import known_variant
from plimb.core.shim.family import check_shim
from plimb.core.shim.shim import Source
from plimb.record.readings import write_choice
from plimb.record.rows import numbered
from plimb.record.tables.shim import ShimRow


@act("choose")
def choose_piece(
    on: OnCard,
    *,
    valve: str,
    thickness_nm: int | None,
    source: Source | None = None,
    from_valve: str | None = None,
) -> None:
    """Decide by hand on the piece for a valve; None takes the decision back.

    Without a source the piece is the one that is in if it is that thick, else one to buy.

    Raises:
        BadValue: No shim is that thick, the family has no such size, or no such valve.
        NotReady: The shim that is in has not been read, or the piece has gone from the drawer.
    """
    clearance = known_valve(on.card, valve)
    choice = None
    if thickness_nm is not None:
        check_shim(thickness_nm)
        piece = _of(on.records, valve).piece
        if piece is None:
            raise NotReady(f"Read the shim of {valve} first, then choose.", field="valve")
        kept = thickness_nm == piece.thickness_nm
        taken = source or (Source.SAME if kept else Source.COUNTER)
        choice = Choice(thickness_nm=thickness_nm, source=taken, from_valve=from_valve)
        if taken is Source.ENGINE:
            check_giver(on.card, on.round, valve, choice)
        elif taken is Source.COUNTER and thickness_nm not in clearance.family.sizes():
            raise BadValue(
                f"shim of {show_mm(thickness_nm)} mm is not made in this family; "
                "choose one of its sizes.",
                field="thickness_nm",
            )
    _decide(on, valve, choice)


def _decide(on: OnCard, valve: str, choice: Choice | None) -> None:
    shim_id = keep_back(on.session, on.card, valve, choice, on.now)
    key = known_valve(on.card, valve).key
    if choice is not None:
        records = on.records
        choice = replace(
            choice,
            by_marking=_from_marking(on, records, choice, shim_id),
            made_from=_of(records, valve).made_from(clearance_of(on.card, valve)),
        )
    write_choice(
        on.session, on.round, on.engine, key=key, choice=choice, shim_id=shim_id, now=on.now
    )


def _from_marking(
    on: OnCard, records: Mapping[str, ValveRecord], choice: Choice, kept_back: int | None
) -> bool:
    """Return whether nobody has measured the piece that is chosen."""
    if kept_back is not None:
        return numbered(on.session, ShimRow, kept_back).measured_nm is None
    if choice.source is Source.ENGINE:
        piece = records[choice.from_valve or ""].piece
        return piece is not None and piece.from_marking
    return choice.source is Source.COUNTER


def _of(records: Mapping[str, ValveRecord], valve: str) -> ValveRecord:
    return records.get(valve, ValveRecord())


@act("take-plan")
def take_plan(on: OnCard) -> None:
    """Take the plan as it stands: each valve's piece, around what was decided by hand.

    Raises:
        NotReady: There is nothing to plan yet, or a piece has gone from the drawer.
    """
    take_moves(on, plan_of(on.session, on.card).plan)


def take_moves(on: OnCard, plan: Plan, *, by_hand: bool = False) -> None:
    """Decide on each piece of a plan, around what was decided by hand; see `take_plan`."""
    if plan.empty:
        raise NotReady(
            f"Choose a shim for {', '.join(plan.empty)} first: what was in goes elsewhere, and "
            "the plan has no other for it.",
            field="valve",
        )
    records = on.records
    stale = {valve for valve, status in status_of(on.card).valves.items() if status.overtaken}
    moves = [move for move in plan.moves if move.thickness_nm is not None and not move.pinned]
    if not moves and not any(move.pinned for move in plan.moves):
        raise NotReady("Read the shims first; there is nothing to decide yet.", field="valve")
    unread = [
        move.valve for move in moves if move.changes and _of(records, move.valve).piece is None
    ]
    if unread:
        raise NotReady(
            f"{', '.join(unread)}: what is in is known from the record alone. Read the shims "
            "as they come out, then take the plan.",
            field="valve",
        )
    # what stands already stays as it is, fitted or not
    differ = [
        move
        for move in moves
        if move.valve in stale or not matches_choice(_of(records, move.valve).choice, move)
    ]
    for move in differ:  # what is put back first can be taken by another valve
        if _of(records, move.valve).choice is not None:
            _decide(on, move.valve, None)
    for move in differ:
        assert move.thickness_nm is not None
        choice = Choice(
            thickness_nm=move.thickness_nm,
            source=move.source,
            from_valve=move.from_valve,
            by_hand=by_hand,
        )
        _decide(on, move.valve, choice)


@act("rule-out")
def forbid_piece(on: OnCard, *, valve: str, thickness_nm: int, forbidden: bool) -> None:
    """Rule a thickness out for a valve, or allow it again; the plan goes round it.

    Raises:
        BadValue: The valve is not on the engine.
    """
    pair = (known_valve(on.card, valve).key, thickness_nm)
    without = tuple(size for size in on.card.forbidden if size != pair)
    on.card.forbidden = (*without, pair) if forbidden else without
    if forbidden and _of(on.records, valve).chosen_nm == thickness_nm:
        _decide(on, valve, None)


@act("open-too")
def open_too(on: OnCard, *, valve: str, opened: bool) -> None:
    """Open a valve that asks for nothing with the others, or leave it shut after all.

    Raises:
        BadValue: The valve is not on the engine.
        NotReady: It has no gap yet, or this job opens nothing, or not this valve.
    """
    key = known_valve(on.card, valve).key
    status = status_of(on.card)
    around = status.around
    if opened and (not around.kind.opens or around.only not in (None, valve)):
        raise NotReady(f"This job does not open {valve}; change what kind it is.", field="valve")
    if opened and status.valves[valve].record.found is None:
        raise NotReady(f"Measure {valve} first, then open it.", field="valve")
    without = tuple(kept for kept in on.card.opened_too if kept != key)
    on.card.opened_too = (*without, key) if opened else without


@act("variant")
def set_variant(on: OnCard, variant: str) -> None:
    """Choose among the plan and its alternatives; BadValue where there is no such alternative."""
    on.card.variant = known_variant(variant)

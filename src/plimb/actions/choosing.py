"""What a technician decides: the piece for a valve, the whole plan, what is ruled out."""

from __future__ import annotations

from dataclasses import replace

from sqlalchemy.orm import Session

from plimb.actions.cards import Change, Written, changed, known_valve
from plimb.actions.custody import check_giver, keep_back
from plimb.actions.planning import VARIANTS, plan_of, stands
from plimb.actions.views import engine_of
from plimb.core.errors import BadValue, NotReady
from plimb.core.job.valve import Choice, ValveRecord
from plimb.core.lengths import show_mm
from plimb.core.shim.family import check_shim
from plimb.core.shim.shim import Source, Trust
from plimb.store.database import Database
from plimb.store.readings import write_choice, written
from plimb.store.tables.card import CardRow, RoundRow
from plimb.store.tables.shim import ShimRow


def _records(card: CardRow, round_: RoundRow) -> dict[str, ValveRecord]:
    return written(round_, engine_of(card), Trust(card.trust))


def choose_piece(
    database: Database,
    change: Change,
    *,
    valve: str,
    thickness_nm: int | None,
    source: Source | None = None,
    from_valve: str | None = None,
) -> Written:
    """Decide by hand on the piece for a valve; None takes the decision back.

    Without a source the piece is the one that is in if it is that thick, else one to buy.

    Raises:
        BadValue: No shim is that thick, the family has no such size, or no such valve.
        NotReady: The shim that is in has not been read, or the piece has gone from the drawer.
        StaleVersion, CardSigned, NotFound: The card cannot take it.
    """

    def apply(session: Session, card: CardRow, round_: RoundRow) -> None:
        clearance = known_valve(card, valve)
        choice = None
        if thickness_nm is not None:
            check_shim(thickness_nm)
            piece = _records(card, round_).get(valve, ValveRecord()).piece
            if piece is None:
                raise NotReady(f"Read the shim of {valve} first, then choose.", field="valve")
            kept = thickness_nm == piece.thickness_nm
            taken = source or (Source.SAME if kept else Source.COUNTER)
            choice = Choice(thickness_nm=thickness_nm, source=taken, from_valve=from_valve)
            if taken is Source.ENGINE:
                check_giver(card, round_, valve, choice)
            elif taken is Source.COUNTER and thickness_nm not in clearance.family.sizes():
                raise BadValue(
                    f"shim of {show_mm(thickness_nm)} mm is not made in this family; "
                    "choose one of its sizes.",
                    field="thickness_nm",
                )
        _decide(session, card, round_, valve, choice, change)

    return changed(database, change, f"choose {valve} {thickness_nm}", apply)


def _decide(
    session: Session,
    card: CardRow,
    round_: RoundRow,
    valve: str,
    choice: Choice | None,
    change: Change,
) -> None:
    kept_back = keep_back(session, card, round_, valve, choice, change.now)
    if choice is not None:
        choice = replace(choice, by_marking=_from_marking(session, card, round_, choice, kept_back))
    write_choice(
        session,
        round_,
        engine_of(card),
        key=known_valve(card, valve).key,
        choice=choice,
        shim_id=kept_back,
        now=change.now,
    )


def _from_marking(
    session: Session, card: CardRow, round_: RoundRow, choice: Choice, kept_back: int | None
) -> bool:
    """Return whether nobody has measured the piece that is chosen."""
    if kept_back is not None:
        row = session.get(ShimRow, kept_back)
        return row is not None and row.measured_nm is None
    if choice.source is Source.ENGINE:
        piece = _records(card, round_)[choice.from_valve or ""].piece
        return piece is not None and piece.from_marking
    return choice.source is Source.COUNTER


def take_plan(database: Database, change: Change) -> Written:
    """Take the plan as it stands: each valve's piece, around what was decided by hand.

    Raises:
        NotReady: There is nothing to plan yet, or a piece has gone from the drawer.
        StaleVersion, CardSigned, NotFound: The card cannot take it.
    """

    def apply(session: Session, card: CardRow, round_: RoundRow) -> None:
        plan = plan_of(session, card).plan
        records = _records(card, round_)
        moves = [move for move in plan.moves if move.thickness_nm is not None and not move.pinned]
        if not moves and not any(move.pinned for move in plan.moves):
            raise NotReady("Read the shims first; there is nothing to decide yet.", field="valve")
        # what stands already stays as it is, fitted or not
        differ = [move for move in moves if not stands(records[move.valve].choice, move)]
        for move in differ:  # what is put back first can be taken by another valve
            if records[move.valve].choice is not None:
                _decide(session, card, round_, move.valve, None, change)
        for move in differ:
            assert move.thickness_nm is not None
            choice = Choice(
                thickness_nm=move.thickness_nm,
                source=move.source,
                from_valve=move.from_valve,
                by_hand=False,
            )
            _decide(session, card, round_, move.valve, choice, change)

    return changed(database, change, "take plan", apply)


def forbid_piece(
    database: Database, change: Change, *, valve: str, thickness_nm: int, forbidden: bool
) -> Written:
    """Rule a thickness out for a valve, or allow it again; the plan goes round it.

    Raises:
        BadValue: The valve is not on the engine.
        StaleVersion, CardSigned, NotFound: The card cannot take it.
    """

    def apply(session: Session, card: CardRow, round_: RoundRow) -> None:
        pair = (known_valve(card, valve).key, thickness_nm)
        without = tuple(one for one in card.forbidden if one != pair)
        card.forbidden = (*without, pair) if forbidden else without
        record = _records(card, round_).get(valve)
        if forbidden and record and record.chosen_nm == thickness_nm:
            _decide(session, card, round_, valve, None, change)

    return changed(database, change, f"forbid {valve} {thickness_nm} {forbidden}", apply)


def set_variant(database: Database, change: Change, variant: str) -> Written:
    """Choose among the plan and its alternatives.

    Raises:
        BadValue: There is no such alternative.
        StaleVersion, CardSigned, NotFound: The card cannot take it.
    """
    if variant not in VARIANTS:
        raise BadValue(f"variant is one of {', '.join(VARIANTS)}.", field="variant")

    def apply(_session: Session, card: CardRow, _round: RoundRow) -> None:
        card.variant = variant

    return changed(database, change, f"variant {variant}", apply)

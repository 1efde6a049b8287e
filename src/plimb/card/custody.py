"""Keep the shop's record of pieces in step with what is done on a card."""

from collections.abc import Mapping, Sequence
from datetime import datetime

from sqlalchemy.orm import Session

from plimb.card.build import engine_of
from plimb.core.engine.engine import Clearance
from plimb.core.errors import BadValue, NotReady
from plimb.core.job.valve import Choice, ValveRecord
from plimb.core.lengths import mm, show_mm
from plimb.core.shim.location import DRAWER, GONE, Location, Where
from plimb.core.shim.shim import Condition, ShimReading, Source, Trust
from plimb.files.engine_file import parsed_engine
from plimb.record.engines import newest_revision
from plimb.record.families import find_family, know_families
from plimb.record.readings import standing, written
from plimb.record.shims import (
    add_shim,
    came_from,
    move_shim,
    moves_of,
    remeasure,
    shim_at,
    shims_at,
    sound_in_drawer,
    sound_ones,
    valves_of,
)
from plimb.record.tables.card import CardRow, RoundRow
from plimb.record.tables.shim import ShimFamilyRow, ShimRow

SAME_PIECE_NM = mm("0.03")
"""A piece read within this of what the record has in its place is taken for the same one."""


def family_row(session: Session, clearance: Clearance) -> ShimFamilyRow:
    """Return the shop's family for a valve, known from now on."""
    found = find_family(session, clearance.family)
    if found is None:
        know_families(session, [clearance.family])
        found = find_family(session, clearance.family)
    assert found is not None
    return found


def valve_location(card: CardRow, valve: str) -> Location:
    """Return the place of a valve of the card's engine."""
    key = engine_of(card).clearance(valve).key
    return Location(where=Where.ENGINE, engine_id=card.revision.engine_id, valve=key)


def tray_of(card: CardRow) -> Location:
    """Return the tray of the card's job."""
    return Location(where=Where.CARD, card_id=card.id)


def worth(row: ShimRow, trust: Trust) -> int:
    """Return the thickness a sum is made with, by what the card trusts."""
    if trust is Trust.MARKED and row.marked_nm is not None:
        return row.marked_nm
    return row.thickness_nm


def found_in_valve(
    session: Session,
    card: CardRow,
    clearance: Clearance,
    piece: ShimReading,
    now: datetime,
    *,
    corrects: bool,
) -> None:
    """Record the piece that was read in a valve; one that was not what it is said to be goes.

    `corrects` says that this card has read the piece before and now reads it anew.
    """
    here = valve_location(card, clearance.id)
    there = shim_at(session, here)
    if there is not None:
        same = abs(there.thickness_nm - piece.thickness_nm) <= SAME_PIECE_NM
        if corrects or same:
            remeasure(session, there, piece)
            return
        move_shim(session, there, GONE, _MADE_WAY, now)
    add_shim(session, family_row(session, clearance), piece, here, _read_on(card), now)


_MADE_WAY = "another shim was found in its place"


def _read_on(card: CardRow) -> str:
    return f"read on card {card.id}"


def not_found_after_all(
    session: Session, card: CardRow, clearance: Clearance, now: datetime
) -> None:
    """Take back that a piece was read in a valve: what it made way for is there again.

    A piece that the record knew before this card stays.
    """
    here = valve_location(card, clearance.id)
    there = shim_at(session, here)
    if there is None or moves_of(session, there.id)[-1].why != _read_on(card):
        return
    read_at = moves_of(session, there.id)[-1].moved_at
    move_shim(session, there, GONE, f"struck out on card {card.id}", now)
    for row in shims_at(session, GONE):
        last = moves_of(session, row.id)[-1]
        if last.why == _MADE_WAY and last.left == here and last.moved_at == read_at:
            why = f"struck out on card {card.id}: in after all"
            move_shim(session, row, DRAWER, why, now)
            move_shim(session, row, here, why, now)


def lying_for(session: Session, card: CardRow, clearance: Clearance) -> list[ShimRow]:
    """Return the sound pieces at hand that fit a valve, of those that are alike at least one.

    Those of its family. Where nobody has said which shims fit, neither the diameter nor the
    sizes: those that have been in this engine in such a valve, and those that were put into the
    drawer by hand and have been in no engine.
    """
    row = find_family(session, clearance.family)
    if row is None:
        return []
    tray = [piece for piece in left_over(session, card) if piece.family_id == row.id]
    tray = [piece for piece in tray if piece.condition == Condition.SOUND]
    if clearance.family.known:
        return [*(piece for piece, _many in sound_in_drawer(session, [row.id])), *tray]
    engine, engine_id = engine_of(card), card.revision.engine_id
    pieces = [*sound_ones(session, row.id), *tray, *_said_since(session, card, clearance)]
    alike = [mate for mate in engine.clearances if mate.family.kind == clearance.family.kind]
    fits = {(engine_id, mate.key) for mate in alike}
    only_kind = all(other.family.known or other in alike for other in engine.clearances)
    been = valves_of(session, pieces)
    return [piece for piece in pieces if been[piece.id] <= fits and (been[piece.id] or only_kind)]


def _said_since(session: Session, card: CardRow, clearance: Clearance) -> Sequence[ShimRow]:
    """Return the sound shims of the family that was said since the card was opened, if it was."""
    newest = parsed_engine(newest_revision(session, card.revision.engine_id).document)[1]
    said = next((one.family for one in newest.clearances if one.key == clearance.key), None)
    row = find_family(session, said) if said is not None and said.known else None
    if row is None:
        return ()
    pieces = sound_ones(session, row.id)
    been = valves_of(session, pieces)
    return [piece for piece in pieces if been[piece.id]]


def keep_back(
    session: Session, card: CardRow, valve: str, choice: Choice | None, now: datetime
) -> int | None:
    """Put back what was kept for a valve, and keep back the piece now chosen out of the drawer.

    Returns:
        The number of the piece that is kept back.

    Raises:
        NotReady: No such piece is left in the drawer.
    """
    line = standing(card.rounds[-1].choices, engine_of(card)).get(valve)
    kept = line.shim_id if line else None
    if kept is not None:
        row = session.get(ShimRow, kept)
        if (
            row is not None
            and row.place == Where.CARD
            and row.card_id == card.id
            and came_from(session, row.id) is not Where.ENGINE
        ):
            move_shim(session, row, DRAWER, f"not taken for {valve} of card {card.id}", now)
    if choice is None or choice.source is not Source.DRAWER:
        return None
    for row in lying_for(session, card, engine_of(card).clearance(valve)):
        if worth(row, card.trust) == choice.thickness_nm:
            if row.place != Where.CARD:
                move_shim(session, row, tray_of(card), f"for {valve}", now)
            return row.id
    raise NotReady(
        f"There is no {show_mm(choice.thickness_nm)} of this family in the drawer any more; "
        "somebody took it. The plan has been made anew.",
        field="thickness_nm",
    )


def left_over(session: Session, card: CardRow) -> list[ShimRow]:
    """Return what lies on the job's tray and is nobody's: what came out in earlier rounds."""
    kept = {row.shim_id for row in standing(card.rounds[-1].choices, engine_of(card)).values()}
    return [
        row
        for row in shims_at(session, tray_of(card))
        if row.id not in kept and came_from(session, row.id) is not Where.ORDER
    ]


def check_giver(card: CardRow, round_: RoundRow, valve: str, choice: Choice) -> None:
    """Refuse a piece out of another valve that is not there, or that another valve has.

    Raises:
        BadValue: It is so.
    """
    engine = engine_of(card)
    records = written(round_, engine, card.trust)
    giver = records.get(choice.from_valve or "", ValveRecord())
    family = engine.clearance(choice.from_valve or "").family.kind
    if giver.piece is None or giver.piece.thickness_nm != choice.thickness_nm:
        raise BadValue(f"No such shim came out of {choice.from_valve}.", field="from_valve")
    if family != engine.clearance(valve).family.kind:
        raise BadValue("Shims of different families never mix.", field="from_valve")
    for other, record in records.items():
        taken = record.choice
        if other != valve and taken and taken.source is Source.ENGINE and taken.by_hand and (
            taken.from_valve == choice.from_valve
        ):  # fmt: skip
            raise BadValue(
                f"The shim out of {choice.from_valve} goes to {other} already; take that back "
                "first.",
                field="from_valve",
            )


def _refuse_robbed(changed: Mapping[str, ValveRecord]) -> None:
    """Refuse to go on while a valve has given its piece away and gets none."""
    for valve, record in changed.items():
        choice = record.choice
        if choice and choice.source is Source.ENGINE and choice.from_valve not in changed:
            raise NotReady(
                f"The shim of {choice.from_valve} goes into {valve}, and nothing goes into "
                f"{choice.from_valve}. Choose its shim first.",
                field="valve",
            )


def settle_pieces(session: Session, card: CardRow, now: datetime, *, last: bool = True) -> None:
    """Let every piece of a finished round come to rest: into its valve, the drawer, or away.

    First all that comes out is laid on the tray, then each chosen piece goes in. After the
    `last` round what is left on the tray goes to the drawer, or away if it is scrap.

    Raises:
        NotReady: A piece goes from one valve into another, and nothing goes into the first.
    """
    engine = engine_of(card)
    tray, why = tray_of(card), f"card {card.id}"
    round_ = card.rounds[-1]
    records = written(round_, engine, card.trust)
    rows = standing(round_.choices, engine)
    changed = {valve: record for valve, record in records.items() if record.changes}
    _refuse_robbed(changed)
    out: dict[str, ShimRow] = {}
    for valve in changed:
        row = shim_at(session, valve_location(card, valve))
        if row is not None:
            move_shim(session, row, tray, f"out of {valve}, {why}", now)
            out[valve] = row
    ordered = {row.id: row for row in shims_at(session, tray) if row.id not in
               {piece.id for piece in out.values()}}  # fmt: skip
    for valve, record in changed.items():
        choice = record.choice
        assert choice is not None
        clearance = engine.clearance(valve)
        going: ShimRow | None = None
        if choice.source is Source.ENGINE:
            going = out.get(choice.from_valve or "")
        elif rows[valve].shim_id is not None:
            going = ordered.pop(rows[valve].shim_id or 0, None)
        elif choice.source is Source.COUNTER:
            of_family = family_row(session, clearance).id
            bought = [
                row
                for row in ordered.values()
                if (row.thickness_nm, row.family_id) == (choice.thickness_nm, of_family)
            ]
            going = ordered.pop(bought[0].id) if bought else None
        here = valve_location(card, valve)
        if going is None:
            piece = ShimReading(
                marked=None, marked_nm=choice.thickness_nm, measured_nm=choice.measured_nm
            )
            add_shim(session, family_row(session, clearance), piece, here, f"fitted, {why}", now)
        else:
            move_shim(session, going, here, f"into {valve}, {why}", now)
            if choice.measured_nm is not None:
                going.measured_nm = going.thickness_nm = choice.measured_nm
    given = {
        out[valve].id: f"given to the counter for a new one, {why}"
        for valve, record in changed.items()
        if record.choice and record.choice.swapped and valve in out
    }
    _clear_tray(session, tray, given, f"left over, {why}" if last else None, now)


def _clear_tray(
    session: Session, tray: Location, given: Mapping[int, str], left: str | None, now: datetime
) -> None:
    """Take off the tray what was given away; what is left goes to the drawer, scrap goes away."""
    for row in shims_at(session, tray):
        if row.id in given:
            move_shim(session, row, GONE, given[row.id], now)
        elif left:
            scrap = row.condition == Condition.SCRAP
            move_shim(session, row, GONE if scrap else DRAWER, left, now)

"""Pieces: where each one is, and every move it made."""

from __future__ import annotations

from collections import Counter
from collections.abc import Iterable, Sequence
from datetime import datetime
from decimal import Decimal

from sqlalchemy import select
from sqlalchemy.orm import Session

from plimb.core.errors import NotFound, NotReady, PieceMoved
from plimb.core.family import Family, Run
from plimb.core.lengths import show_mm
from plimb.core.marking import Code
from plimb.core.piece import Condition, Piece
from plimb.core.places import NOWHERE, Place, Where, check_way
from plimb.store.models import ShimFamilyRow, ShimMoveRow, ShimRow


def place_of(row: ShimRow) -> Place:
    """Return where the piece is."""
    return Place(
        where=Where(row.place),
        engine_id=row.engine_id,
        valve=row.valve,
        card_id=row.card_id,
        order_line_id=row.order_line_id,
    )


def add_shim(
    session: Session, family: ShimFamilyRow, piece: Piece, at: Place, why: str, now: datetime
) -> ShimRow:
    """Add a piece the shop did not know of."""
    row = ShimRow(family=family, **_worth(piece), **_columns(at))
    session.add(row)
    session.flush()
    _note(session, row, NOWHERE, at.words(), why, now)
    return row


def move_shim(session: Session, row: ShimRow, to: Place, why: str, now: datetime) -> None:
    """Move a piece from where it is to another place, as one recorded event.

    Raises:
        BadValue: Nothing goes that way.
        NotReady: There is a piece in that valve already.
    """
    left = place_of(row)
    check_way(left, to)
    if to.where is Where.ENGINE and shim_at(session, to) is not None:
        raise NotReady(f"There is a piece in {to.valve} already; take that out first.",
                       field="place")  # fmt: skip
    for name, value in _columns(to).items():
        setattr(row, name, value)
    _note(session, row, left.words(), to.words(), why, now)
    session.flush()


def remeasure(session: Session, row: ShimRow, piece: Piece) -> None:
    """Write what a piece was found to be; where it is stays."""
    for name, value in _worth(piece).items():
        setattr(row, name, value)
    session.flush()


def _worth(piece: Piece) -> dict[str, object]:
    return {
        "marked": piece.marked,
        "marked_nm": piece.marked_nm,
        "measured_nm": piece.measured_nm,
        "thickness_nm": piece.thickness_nm(),
        "condition": piece.condition.value,
    }


def _columns(at: Place) -> dict[str, object]:
    return {
        "place": at.where.value,
        "engine_id": at.engine_id,
        "valve": at.valve,
        "card_id": at.card_id,
        "order_line_id": at.order_line_id,
    }


def _note(session: Session, row: ShimRow, left: str, reached: str, why: str, now: datetime) -> None:
    session.add(ShimMoveRow(shim_id=row.id, left=left, reached=reached, why=why, moved_at=now))
    session.flush()


def get_shim(session: Session, shim_id: int, seen: Place | None = None) -> ShimRow:
    """Return the piece; `seen` is where the sender saw it.

    Raises:
        NotFound: There is none of that number.
        PieceMoved: It has gone elsewhere since.
    """
    row = session.get(ShimRow, shim_id)
    if row is None:
        raise NotFound(f"There is no piece number {shim_id} in this shop.", field="piece")
    if seen is not None and place_of(row) != seen:
        raise PieceMoved(shim_id, place_of(row).words())
    return row


def shim_at(session: Session, at: Place) -> ShimRow | None:
    """Return the piece in a valve, or the first one in another place."""
    return next(iter(shims_at(session, at)), None)


def shims_at(session: Session, at: Place) -> Sequence[ShimRow]:
    """Return all pieces in a place, thinnest first."""
    wanted = [getattr(ShimRow, name) == value for name, value in _columns(at).items()]
    query = select(ShimRow).where(*wanted).order_by(ShimRow.thickness_nm, ShimRow.id)
    return session.scalars(query).all()


def drawer(session: Session) -> Sequence[ShimRow]:
    """Return every piece in the drawer, thinnest first."""
    return shims_at(session, Place(where=Where.DRAWER))


def free_piece(session: Session, family_id: int, thickness_nm: int) -> ShimRow | None:
    """Return a sound piece of that thickness out of the drawer."""
    query = (
        select(ShimRow)
        .where(
            ShimRow.place == Where.DRAWER.value,
            ShimRow.family_id == family_id,
            ShimRow.thickness_nm == thickness_nm,
            ShimRow.condition == Condition.SOUND.value,
        )
        .order_by(ShimRow.id)
    )
    return session.scalars(query).first()


def moves_of(session: Session, shim_id: int) -> Sequence[ShimMoveRow]:
    """Return every move of a piece, the first one first."""
    query = select(ShimMoveRow).where(ShimMoveRow.shim_id == shim_id).order_by(ShimMoveRow.id)
    return session.scalars(query).all()


def came_by_order(session: Session, shim_id: int) -> bool:
    """Return whether a piece was ordered and has lain nowhere but on a tray since."""
    return moves_of(session, shim_id)[-1].left.startswith("order line")


def was_fitted(session: Session, shim_id: int) -> bool:
    """Return whether a piece on a tray came there out of a valve."""
    return moves_of(session, shim_id)[-1].left.startswith("engine")


def audit(session: Session) -> list[str]:
    """Return every piece whose moves do not lead to where it is; none when all adds up."""
    moves: dict[int, list[ShimMoveRow]] = {}
    for move in session.scalars(select(ShimMoveRow).order_by(ShimMoveRow.id)):
        moves.setdefault(move.shim_id, []).append(move)
    faults = []
    rows = session.scalars(select(ShimRow)).all()
    for row in rows:
        way = moves.pop(row.id, [])
        links = [NOWHERE, *(move.reached for move in way)]
        if [move.left for move in way] != links[:-1] or links[-1] != place_of(row).words():
            faults.append(f"piece {row.id} is at {place_of(row).words()}, its moves say {links}")
    in_valves = Counter((r.engine_id, r.valve) for r in rows if r.place == Where.ENGINE.value)
    faults += [f"{valve} of engine {engine} holds {n}" for (engine, valve), n in in_valves.items()
               if n > 1]  # fmt: skip
    return faults + [f"piece {shim_id} moved and is not there" for shim_id in moves]


# families ---------------------------------------------------------------------------


def families(session: Session) -> Sequence[ShimFamilyRow]:
    """Return every family the shop knows, by diameter."""
    query = select(ShimFamilyRow).order_by(ShimFamilyRow.diameter_nm, ShimFamilyRow.id)
    return session.scalars(query).all()


def get_family(session: Session, family_id: int) -> ShimFamilyRow:
    """Return the family of that number.

    Raises:
        NotFound: There is none.
    """
    row = session.get(ShimFamilyRow, family_id)
    if row is None:
        raise NotFound(f"There is no shim family number {family_id}.", field="family")
    return row


def find_family(session: Session, family: Family) -> ShimFamilyRow | None:
    """Return the shop's family for an engine's: the same diameter, else the same runs."""
    return family_among(families(session), family)


def family_among(known: Iterable[ShimFamilyRow], family: Family) -> ShimFamilyRow | None:
    """Return the one of these families that an engine's pieces belong to."""
    runs = [[run.from_nm, run.to_nm, run.step_nm] for run in family.runs]
    return next(
        (
            row
            for row in known
            if row.diameter_nm == family.diameter_nm
            and (family.diameter_nm is not None or row.runs == runs)
        ),
        None,
    )


def know_families(session: Session, wanted: Iterable[Family]) -> None:
    """Add the families the shop does not know yet."""
    for family in wanted:
        if find_family(session, family) is None:
            session.add(
                ShimFamilyRow(
                    name=_family_name(session, family),
                    diameter_nm=family.diameter_nm,
                    runs=[[run.from_nm, run.to_nm, run.step_nm] for run in family.runs],
                    code=family.code.value,
                    price=None if family.price is None else f"{family.price:f}",
                )
            )
            session.flush()


def _family_name(session: Session, family: Family) -> str:
    wide = (
        "without a diameter" if family.diameter_nm is None else f"{show_mm(family.diameter_nm)} mm"
    )
    taken = {row.name for row in families(session)}
    name, number = wide, 2
    while name in taken:
        name, number = f"{wide}, {number}", number + 1
    return name


def core_family(row: ShimFamilyRow) -> Family:
    """Return the family as a core value."""
    return Family(
        runs=tuple(Run(from_nm=low, to_nm=high, step_nm=step) for low, high, step in row.runs),
        diameter_nm=row.diameter_nm,
        price=None if row.price is None else Decimal(row.price),
        code=Code(row.code),
    )

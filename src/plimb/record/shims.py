"""Pieces: where each one is, and every move it made."""

from collections import Counter
from collections.abc import Iterable, Sequence
from dataclasses import dataclass
from datetime import datetime

from sqlalchemy import func, select
from sqlalchemy.orm import Session

from plimb.core.errors import NotReady, PieceMoved
from plimb.core.shim.location import Location, Where, check_way
from plimb.core.shim.shim import Condition, ShimReading
from plimb.record.rows import columns_of, numbered, value_of
from plimb.record.tables.shim import ShimFamilyRow, ShimMoveRow, ShimRow


def place_of(row: ShimRow) -> Location:
    """Return where the piece is."""
    return value_of(Location, row, where=row.place)


def add_shim(
    session: Session,
    family: ShimFamilyRow,
    piece: ShimReading,
    at: Location,
    why: str,
    now: datetime,
) -> ShimRow:
    """Add a piece the shop did not know of."""
    return add_shims(session, [(family, piece)], at, why, now)[0]


def add_shims(
    session: Session,
    pieces: Sequence[tuple[ShimFamilyRow, ShimReading]],
    at: Location,
    why: str,
    now: datetime,
) -> list[ShimRow]:
    """Add pieces the shop did not know of, each with its family, all to one place."""
    rows = [ShimRow(family=family, **_worth(piece), **_columns(at)) for family, piece in pieces]
    session.add_all(rows)
    session.flush()
    session.add_all(_move(row, None, at, why, now) for row in rows)
    session.flush()
    return rows


def move_shim(session: Session, row: ShimRow, to: Location, why: str, now: datetime) -> None:
    """Move a piece from where it is to another place, as one recorded event.

    Raises:
        BadValue: Nothing goes that way.
        NotReady: There is a piece in that valve already.
    """
    left = place_of(row)
    check_way(left, to)
    if to.where is Where.ENGINE and shim_at(session, to) is not None:
        raise NotReady(f"There is a shim in {to.valve} already; take that out first.",
                       field="place")  # fmt: skip
    for name, value in _columns(to).items():
        setattr(row, name, value)
    session.add(_move(row, left, to, why, now))
    session.flush()


def remeasure(session: Session, row: ShimRow, piece: ShimReading) -> None:
    """Write what a piece was found to be; where it is stays."""
    for name, value in _worth(piece).items():
        setattr(row, name, value)
    session.flush()


def _worth(piece: ShimReading) -> dict[str, object]:
    return columns_of(ShimRow, piece)


def _columns(at: Location) -> dict[str, object]:
    return {
        "place": at.where,
        "engine_id": at.engine_id,
        "valve": at.valve,
        "card_id": at.card_id,
        "order_line_id": at.order_line_id,
    }


def _move(
    row: ShimRow, left: Location | None, reached: Location, why: str, now: datetime
) -> ShimMoveRow:
    return ShimMoveRow(shim_id=row.id, left=left, reached=reached, why=why, moved_at=now)


def get_shim(session: Session, shim_id: int, seen: Location | None = None) -> ShimRow:
    """Return the piece; `seen` is where the sender saw it.

    Raises:
        NotFound: There is none of that number.
        PieceMoved: It has gone elsewhere since.
    """
    row = numbered(session, ShimRow, shim_id)
    if seen is not None and place_of(row) != seen:
        raise PieceMoved(shim_id, place_of(row).words())
    return row


def shim_at(session: Session, at: Location) -> ShimRow | None:
    """Return the piece in a valve, or the first one in another place."""
    return next(iter(shims_at(session, at)), None)


def shims_at(session: Session, at: Location) -> Sequence[ShimRow]:
    """Return all pieces in a place, thinnest first."""
    wanted = [getattr(ShimRow, name) == value for name, value in _columns(at).items()]
    query = select(ShimRow).where(*wanted).order_by(ShimRow.thickness_nm, ShimRow.id)
    return session.scalars(query).all()


def shims_in(session: Session, engine_id: int) -> Sequence[ShimRow]:
    """Return all pieces that are in an engine, by valve."""
    wanted = (ShimRow.place == Where.ENGINE, ShimRow.engine_id == engine_id)
    return session.scalars(select(ShimRow).where(*wanted).order_by(ShimRow.valve)).all()


def drawer(session: Session) -> Sequence[ShimRow]:
    """Return every piece in the drawer, thinnest first."""
    return shims_at(session, Location(where=Where.DRAWER))


@dataclass(frozen=True, slots=True, kw_only=True)
class Lying:
    """How many pieces of a family are alike and in the same kind of place."""

    family_id: int
    place: Where
    nominal_nm: int
    thickness_nm: int
    condition: Condition
    count: int


def all_lying(session: Session) -> list[Lying]:
    """Return how many pieces there are of each kind and place, but for those that are gone."""
    alike = (
        ShimRow.place, ShimRow.condition, ShimRow.family_id, ShimRow.marked_nm, ShimRow.measured_nm,
        ShimRow.thickness_nm,
    )  # fmt: skip
    query = select(*alike, func.count()).where(ShimRow.place != Where.GONE).group_by(*alike)
    counts: Counter[tuple[int, Where, int, int, Condition]] = Counter()
    for place, condition, family, marked, _measured, thick, count in session.execute(query):
        counts[family, place, thick if marked is None else marked, thick, condition] += count
    return [
        Lying(
            family_id=family, place=place, nominal_nm=nominal, thickness_nm=thick,
            condition=condition, count=count,
        )
        for (family, place, nominal, thick, condition), count in counts.items()
    ]  # fmt: skip


def lying_about(session: Session, family_id: int, thin_nm: int, thick_nm: int) -> Sequence[ShimRow]:
    """Return the pieces of a family in the drawer that are by name about so thick, thinnest first.

    By name: as marked, or as measured where nothing is.
    """
    wanted = (
        ShimRow.place == Where.DRAWER,
        ShimRow.condition.in_([*Condition]),  # the index goes by it
        ShimRow.family_id == family_id,
        func.coalesce(ShimRow.marked_nm, ShimRow.thickness_nm).between(thin_nm, thick_nm),
    )
    order = (ShimRow.thickness_nm, ShimRow.id)
    return session.scalars(select(ShimRow).where(*wanted).order_by(*order)).all()


def sound_in_drawer(session: Session, families: Iterable[int]) -> list[tuple[ShimRow, int]]:
    """Return the sound pieces in the drawer: of those that are alike the first, and how many."""
    alike = (ShimRow.family_id, ShimRow.marked_nm, ShimRow.measured_nm, ShimRow.thickness_nm)
    counted = (
        select(func.min(ShimRow.id).label("first"), func.count().label("many"))
        .where(
            ShimRow.place == Where.DRAWER,
            ShimRow.condition == Condition.SOUND,
            ShimRow.family_id.in_([*families]),
        )
        .group_by(*alike)
        .subquery()
    )
    query = select(ShimRow, counted.c.many).join(counted, counted.c.first == ShimRow.id)
    rows = session.execute(query.order_by(ShimRow.thickness_nm, ShimRow.id))
    return [(row, many) for row, many in rows]


def sound_ones(session: Session, family: int) -> Sequence[ShimRow]:
    """Return the sound pieces of one family in the drawer, each of them, thinnest first."""
    wanted = (
        ShimRow.place == Where.DRAWER,
        ShimRow.condition == Condition.SOUND,
        ShimRow.family_id == family,
    )
    query = select(ShimRow).where(*wanted).order_by(ShimRow.thickness_nm, ShimRow.id)
    return session.scalars(query).all()


def shims_of(session: Session, family: int) -> Sequence[ShimRow]:
    """Return every piece of one family, wherever it is."""
    return session.scalars(select(ShimRow).where(ShimRow.family_id == family)).all()


def valves_of(session: Session, pieces: Iterable[ShimRow]) -> dict[int, set[tuple[int, str]]]:
    """Return for each piece the engines' valves that it has been in, by engine and key."""
    been: dict[int, set[tuple[int, str]]] = {piece.id: set() for piece in pieces}
    query = select(ShimMoveRow).where(ShimMoveRow.shim_id.in_(been))
    for move in session.scalars(query):
        for at in (move.left, move.reached):
            if at is not None and at.engine_id is not None and at.valve is not None:
                been[move.shim_id].add((at.engine_id, at.valve))
    return been


def moves_of(session: Session, shim_id: int) -> Sequence[ShimMoveRow]:
    """Return every move of a piece, the first one first."""
    query = select(ShimMoveRow).where(ShimMoveRow.shim_id == shim_id).order_by(ShimMoveRow.id)
    return session.scalars(query).all()


def came_from(session: Session, shim_id: int) -> Where | None:
    """Return the kind of place a piece came from to where it is, None for a new one."""
    left = moves_of(session, shim_id)[-1].left
    return None if left is None else Where(left.where)


def audit(session: Session) -> list[str]:
    """Return every piece whose moves do not lead to where it is; none when all adds up."""
    moves: dict[int, list[ShimMoveRow]] = {}
    for move in session.scalars(select(ShimMoveRow).order_by(ShimMoveRow.id)):
        moves.setdefault(move.shim_id, []).append(move)
    faults = []
    rows = session.scalars(select(ShimRow)).all()
    for row in rows:
        way = moves.pop(row.id, [])
        links = [None, *(move.reached for move in way)]
        if [move.left for move in way] != links[:-1] or links[-1] != place_of(row):
            faults.append(f"shim {row.id} is at {place_of(row).words()}, its moves say otherwise")
    in_valves = Counter((r.engine_id, r.valve) for r in rows if r.place == Where.ENGINE)
    faults += [f"{valve} of engine {engine} holds {n}" for (engine, valve), n in in_valves.items()
               if n > 1]  # fmt: skip
    return faults + [f"shim {shim_id} moved and is not there" for shim_id in moves]

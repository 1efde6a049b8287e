"""What is done with the drawer: look, add, count, move, CSV in and out."""

from __future__ import annotations

import re
from collections.abc import Iterator, Sequence
from dataclasses import dataclass, replace
from datetime import datetime

from sqlalchemy.orm import Session

from plimb.core.errors import BadValue, StaleVersion
from plimb.core.lengths import mm, show_mm
from plimb.core.shim.family import Family
from plimb.core.shim.location import DRAWER, GONE, Location, Where
from plimb.core.shim.shim import Condition, ShimReading, parse_shim
from plimb.core.words import moment_words
from plimb.files.engine_file import parsed_engine
from plimb.record.database import Database
from plimb.record.engines import list_engines, newest_documents, newest_numbers
from plimb.record.families import core_family, families
from plimb.record.idempotency import note_done
from plimb.record.orders import Order, list_orders
from plimb.record.rows import numbered, value_of
from plimb.record.shims import (
    Lying,
    add_shim,
    add_shims,
    all_lying,
    get_shim,
    lying_about,
    move_shim,
    moves_of,
    place_of,
)
from plimb.record.tables.shim import ShimFamilyRow, ShimRow

MOST_AT_ONCE = 500
ABOUT_NM = mm("0.05")
NEAR_NM = mm("0.0125")
"""A piece lies in the pocket of the size it measures near."""
_TIMES = re.compile(r"(?P<piece>.*?)(?:\s*[x×*]\s*(?P<count>[0-9]{1,3}))?\s*")


@dataclass(frozen=True, slots=True, kw_only=True)
class DrawerPocket:
    """One thickness of a family: what lies in its pocket.

    `made` says that it can be bought, `usual` that it lies among the thicknesses the shop has
    in its engines and drawer. Of its `count` pieces so many are `worn`, or `scrap`.
    """

    nominal_nm: int
    made: bool
    usual: bool
    count: int = 0
    worn: int = 0
    scrap: int = 0
    low_stock: int = 0

    @property
    def low(self) -> bool:
        """Whether fewer lie there than the shop wants of a size it uses."""
        return self.made and self.usual and self.count - self.scrap < self.low_stock


@dataclass(frozen=True, slots=True, kw_only=True)
class ShimView:
    """One piece, and where it is."""

    id: int
    marked: str | None
    measured_nm: int | None
    thickness_nm: int
    condition: Condition
    place: Location


@dataclass(frozen=True, slots=True, kw_only=True)
class FamilyView:
    """A family with its pockets, thinnest first, and how many pieces are elsewhere.

    Of the `users`, the engines that it fits, the first ones are named.
    `swap_price` is asked beside an old piece; the sizes `to_order` come after `wait_days`.
    """

    id: int
    version: int
    name: str
    family: Family
    kit_price: str | None
    kit_each: int
    supplier: str
    low_stock: int
    swap_price: str | None
    to_order: str
    wait_days: int | None
    pockets: tuple[DrawerPocket, ...]
    in_engines: int
    on_trays: int
    on_order: int
    used_by: tuple[str, ...]
    users: int

    @property
    def pieces(self) -> int:
        """How many pieces lie in the drawer."""
        return sum(pocket.count for pocket in self.pockets)


@dataclass(frozen=True, slots=True, kw_only=True)
class DrawerView:
    """The drawer, and what is on order; `added` counts what was just put in."""

    families: tuple[FamilyView, ...]
    orders: tuple[Order, ...]
    added: int = 0


NAMED = 8
"""So many engines are named that a family fits; the others are counted."""


def read_drawer(session: Session, added: int = 0) -> DrawerView:
    """Return the drawer as it lies."""
    users: dict[int | None, list[str]] = {}
    for label, wide in _used_widths(session):
        users.setdefault(wide, []).append(label)
    lying: dict[int, list[Lying]] = {}
    for pile in all_lying(session):
        lying.setdefault(pile.family_id, []).append(pile)
    return DrawerView(
        families=tuple(
            _family_view(row, lying.get(row.id, []), users.get(row.diameter_nm, []))
            for row in families(session)
        ),
        orders=tuple(list_orders(session)),
        added=added,
    )


_WIDTHS: dict[tuple[str, int, datetime], frozenset[int | None]] = {}
"""How wide the shims of an engine's revision are, by record, and the revision's row and moment."""


def _used_widths(session: Session) -> Iterator[tuple[str, int | None]]:
    """Give every engine's label with each diameter that its shims have."""
    record = str(session.connection().engine.url)
    newest = newest_numbers(session)
    unknown = [number for number, _label, row, at in newest if (record, row, at) not in _WIDTHS]
    documents = newest_documents(session, unknown)
    for engine, label, row, at in newest:
        key = (record, row, at)
        if key not in _WIDTHS:
            core = parsed_engine(documents[engine])[1]
            _WIDTHS[key] = frozenset(clearance.family.diameter_nm for clearance in core.clearances)
        for wide in _WIDTHS[key]:
            yield label, wide


def read_pocket(session: Session, family_id: int, nominal_nm: int) -> tuple[ShimView, ...]:
    """Return every piece in a pocket; NotFound where there is no such family."""
    row = numbered(session, ShimFamilyRow, family_id)
    return tuple(_shim_view(piece) for piece in _in_pocket(session, row, nominal_nm))


def _in_pocket(session: Session, row: ShimFamilyRow, nominal_nm: int) -> list[ShimRow]:
    sizes = core_family(row).sizes()
    return [
        piece
        for piece in lying_about(session, row.id, nominal_nm - NEAR_NM, nominal_nm + NEAR_NM)
        if _pocket_of(piece.marked_nm or piece.thickness_nm, sizes) == nominal_nm
    ]


def _family_view(row: ShimFamilyRow, lying: Sequence[Lying], users: Sequence[str]) -> FamilyView:
    family = core_family(row)
    sizes = family.sizes()
    known = [pile.thickness_nm for pile in lying]
    thin_nm, thick_nm = (min(known), max(known)) if known else (0, 0)
    counts: dict[int, list[Lying]] = {}
    for pile in lying:
        if pile.place is Where.DRAWER:
            counts.setdefault(_pocket_of(pile.nominal_nm, sizes), []).append(pile)
    return value_of(
        FamilyView,
        row,
        family=family,
        to_order=", ".join(show_mm(nm) for nm in row.to_order),
        pockets=tuple(
            DrawerPocket(
                nominal_nm=nm,
                made=nm in sizes,
                usual=thin_nm - ABOUT_NM <= nm <= thick_nm + ABOUT_NM,
                count=sum(pile.count for pile in counts.get(nm, ())),
                worn=_alike(counts.get(nm, ()), Condition.WORN),
                scrap=_alike(counts.get(nm, ()), Condition.SCRAP),
                low_stock=row.low_stock,
            )
            for nm in sorted({*sizes, *counts})
        ),
        in_engines=_count(lying, Where.ENGINE),
        on_trays=_count(lying, Where.CARD),
        on_order=_count(lying, Where.ORDER),
        used_by=tuple(users[:NAMED]),
        users=len(users),
    )


def _pocket_of(nominal_nm: int, sizes: Sequence[int]) -> int:
    """Return the pocket a piece lies in: its size if that is made, or the one it measures near."""
    near = min(sizes, key=lambda size: abs(size - nominal_nm), default=nominal_nm)
    return near if abs(near - nominal_nm) <= NEAR_NM else nominal_nm


def _count(lying: Sequence[Lying], where: Where) -> int:
    return sum(pile.count for pile in lying if pile.place is where)


def _alike(lying: Sequence[Lying], condition: Condition) -> int:
    return sum(pile.count for pile in lying if pile.condition is condition)


def _shim_view(row: ShimRow) -> ShimView:
    return value_of(ShimView, row, place=place_of(row))


def add_pieces(
    database: Database,
    *,
    family_id: int,
    text: str,
    condition: Condition = Condition.SOUND,
    now: datetime,
) -> int:
    """Put pieces into the drawer as typed, `275x3, 2.801, 290 2.897`, and say how many.

    Raises:
        BadValue: One of them cannot be read; then none is added.
        Ambiguous: A marking can be read in more than one way.
        NotFound: There is no such family.
    """
    with database.writing("put into the drawer", now) as session:
        row = numbered(session, ShimFamilyRow, family_id)
        wanted = _typed_pieces(text, core_family(row), condition)
        pieces = [(row, piece) for piece, count in wanted for _one in range(count)]
        add_shims(session, pieces, DRAWER, "put into the drawer", now)
        note_done(session, len(pieces))
    return sum(count for _piece, count in wanted)


def _typed_pieces(text: str, family: Family, condition: Condition) -> list[tuple[ShimReading, int]]:
    parts = [part.strip() for part in re.split(r"[,;\n](?![0-9])|[;\n]", text) if part.strip()]
    if not parts:
        raise BadValue("Type what goes in, like 275x3.", field="text")
    wanted = []
    for part in parts:
        match = _TIMES.fullmatch(part)
        assert match is not None  # it takes any text
        count = int(match["count"] or 1)
        if not 1 <= count <= MOST_AT_ONCE:
            raise BadValue(f"{part}: between 1 and {MOST_AT_ONCE} shims at once.", field="text")
        wanted.append((parse_shim(match["piece"], family, condition=condition), count))
    if sum(count for _piece, count in wanted) > MOST_AT_ONCE:
        raise BadValue(f"At most {MOST_AT_ONCE} shims at once.", field="text")
    return wanted


def move_piece(
    database: Database, *, shim_id: int, seen: Location, to: Location, why: str, now: datetime
) -> None:
    """Move a piece from where it was seen to another place: one recorded event.

    Raises:
        NotFound: There is no such piece.
        PieceMoved: It has gone elsewhere since.
        BadValue: Nothing goes that way.
    """
    with database.writing(f"shim moved: {why}", now) as session:
        move_shim(session, get_shim(session, shim_id, seen), to, why, now)


def count_pocket(
    database: Database,
    *,
    family_id: int,
    nominal_nm: int,
    counted: int,
    seen: int,
    now: datetime,
) -> None:
    """Set a pocket to what was counted: found ones are added, missing ones are gone.

    Raises:
        BadValue: The count cannot be.
        StaleVersion: The pocket holds another number of pieces than the sender saw.
        NotFound: There is no such family.
    """
    if not 0 <= counted <= MOST_AT_ONCE:
        raise BadValue(f"A pocket holds 0 to {MOST_AT_ONCE} shims.", field="counted")
    with database.writing("drawer counted", now) as session:
        row = numbered(session, ShimFamilyRow, family_id)
        there = _in_pocket(session, row, nominal_nm)
        if len(there) != seen:
            raise StaleVersion(seen=seen, current=len(there))
        for missing in there[counted:]:
            move_shim(session, missing, GONE, "missing when counted", now)
        piece = ShimReading(marked=None, marked_nm=nominal_nm, measured_nm=None)
        for _new in range(counted - len(there)):
            add_shim(session, row, piece, DRAWER, "found when counted", now)


def piece_history(session: Session, shim_id: int) -> list[str]:
    """Return every move of a piece in words, the first one first; valves by their names now."""
    names = {
        engine.id: parsed_engine(engine.revisions[-1].document)[1].names
        for engine in list_engines(session)
    }

    def place(at: Location | None) -> str:
        if at is None:
            return "nowhere"
        known = names.get(at.engine_id or 0, {})
        return replace(at, valve=at.valve and known.get(at.valve, at.valve)).words()

    return [
        f"{moment_words(move.moved_at)} {place(move.left)} → {place(move.reached)}: {move.why}"
        for move in moves_of(session, get_shim(session, shim_id).id)
    ]

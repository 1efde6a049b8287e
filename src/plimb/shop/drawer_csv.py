"""The drawer as CSV: out with like pieces counted together, in a hundred pieces at a time."""

from collections.abc import Mapping
from datetime import datetime

from sqlalchemy.orm import Session

from plimb.core.errors import BadValue
from plimb.core.lengths import mm, show_mm
from plimb.core.shim.family import Family
from plimb.core.shim.location import DRAWER
from plimb.core.shim.shim import Condition, ShimReading, parse_shim
from plimb.files.table_csv import read_csv, write_csv
from plimb.record.database import Database
from plimb.record.families import core_family, families
from plimb.record.idempotency import note_done, resume_offset
from plimb.record.shims import add_shims, drawer
from plimb.shop.drawer import MOST_AT_ONCE

COLUMNS = ("family", "marked", "measured_mm", "condition", "count")


def drawer_csv(session: Session) -> str:
    """Return the drawer as CSV, like pieces counted together."""
    names = {row.id: row.name for row in families(session)}
    counts: dict[tuple[object, ...], int] = {}
    for row in drawer(session):
        measured = None if row.measured_nm is None else show_mm(row.measured_nm)
        marked = row.marked
        if marked is None and row.marked_nm is not None:
            marked = f"{row.marked_nm // mm('0.001'):04}"
        key = (names[row.family_id], marked, measured, row.condition)
        counts[key] = counts.get(key, 0) + 1
    return write_csv(COLUMNS, [(*key, count) for key, count in counts.items()])


def import_drawer(database: Database, text: str, *, now: datetime) -> int:
    """Add every piece of a CSV table to the drawer; return how many.

    All of it is read before anything is written. Cut off while it is written and sent again with
    its key, it goes on from where it was.

    Raises:
        BadValue: A row cannot be read; the field names the row.
    """
    rows = read_csv(text, ("family", "count"), ("marked", "measured_mm", "condition"))
    with database.reading() as session:
        kept = {row.name: (row.id, core_family(row)) for row in families(session)}
    pieces: list[tuple[int, ShimReading]] = []
    for number, cells in enumerate(rows, 2):
        try:
            pieces += _pieces_in(kept, cells)
        except BadValue as refusal:
            place = f"row {number}"
            raise BadValue(f"{place}: {refusal.sentence}", field=place) from None
    with database.reading() as session:
        done = resume_offset(session)
    while done < len(pieces):
        # nobody waits behind a long file: it is written by and by, each part whole
        part = pieces[done : done + AT_ONCE]
        done += len(part)
        with database.writing("drawer read from a file", now) as session:
            known = {row.id: row for row in families(session)}
            add_shims(session, [(known[family], piece) for family, piece in part], DRAWER,
                      "read from a file", now)  # fmt: skip
            note_done(session, done if done == len(pieces) else f"+{done}")
    return len(pieces)


AT_ONCE = 100
"""So many pieces of a file are written in one go."""


def _pieces_in(
    known: Mapping[str, tuple[int, Family]], cells: Mapping[str, str]
) -> list[tuple[int, ShimReading]]:
    """Return the pieces of one row, each with the number of its family."""
    if cells["family"] not in known:
        raise BadValue(f"there is no family “{cells['family'][:40]}”.", field="family")
    number, family = known[cells["family"]]
    if not cells["count"].isdecimal() or not 1 <= int(cells["count"]) <= MOST_AT_ONCE:
        raise BadValue(f"a count is 1 to {MOST_AT_ONCE}.", field="count")
    text = f"{cells.get('marked', '')} {cells.get('measured_mm', '')}"
    condition = cells.get("condition") or "sound"
    if condition not in {known.value for known in Condition}:
        raise BadValue("a condition is sound, worn or scrap.", field="condition")
    piece = parse_shim(text, family, condition=Condition(condition))
    return [(number, piece)] * int(cells["count"])

"""The last act on a card taken back, as a correction: what was written stays on record.

A line that is taken back is struck out, and what stood before it stands again as a line of its
own; a piece goes back to where it was by a move of its own. An act that cannot be taken back, as
a round that was begun, is where it ends.
"""

import json
from collections.abc import Mapping, Sequence
from dataclasses import replace
from typing import Any

from plimb.card.acting import OnCard, act
from plimb.card.acts.remembering import write_engine_as
from plimb.card.last_act import last_act
from plimb.card.registry import TAKE_BACK
from plimb.core.errors import NotReady, PieceMoved
from plimb.core.shim.location import DRAWER, GONE, WAYS, Location, Where
from plimb.record.acts import WrittenLine, put_as_it_was, written_with
from plimb.record.readings import stands_for, take_line_back
from plimb.record.rows import numbered
from plimb.record.shims import move_shim, place_of
from plimb.record.tables.card import StripTrayRow
from plimb.record.tables.engine import EngineRevisionRow
from plimb.record.tables.reading import ChoiceRow, GapRow, ShimReadingRow
from plimb.record.tables.shim import ShimRow

LINES = {
    "gap_reading": (GapRow, ("kept",)),
    "piece_reading": (ShimReadingRow, ("answered",)),
    "choice": (ChoiceRow, ()),
}
"""Tables of lines, and what of a line that stands an act may change."""

NOT_OF_THE_JOB = frozenset({"version", "engine_revision_id", "signed_at", "signed_by"})
WORTH = ("marked", "marked_nm", "measured_nm", "thickness_nm", "condition", "readings")
PLACE = ("place", "engine_id", "valve", "card_id", "order_line_id")


@act(TAKE_BACK)
def take_back(on: OnCard, *, which: int) -> None:
    """Take the last act back that stands: what it wrote is struck out, what it moved goes back.

    Raises:
        NotReady: Another act is the last by now, or this one cannot be taken back.
        PieceMoved: A piece that it moved has gone elsewhere since.
    """
    before = on.card.version - 1  # this act has begun
    last = last_act(on.session, on.card, before)
    if last is None or last.version != which:
        raise NotReady("Something else was done last. Look again.", field="which")
    wrote = written_with(on.session, on.card, which)
    if not wrote:
        raise NotReady("The record no longer says what this act wrote.", field="which")
    by_table: dict[str, list[WrittenLine]] = {}
    for line in wrote:
        by_table.setdefault(line.of, []).append(line)
    _engine_back(on, by_table)
    _row_back(on, by_table.get("card", ()), on.card)
    _row_back(on, by_table.get("round", ()), on.round)
    for table in LINES:
        _lines_back(on, table, by_table.get(table, ()))
    _tray_back(on, by_table.get("strip_tray", ()))
    _pieces_back(on, by_table.get("shim", ()))


def _row_back(on: OnCard, lines: Sequence[WrittenLine], row: Any) -> None:
    """Let the columns of the card or its round say again what they said."""
    for line in lines:
        columns = [name for name in line.old or {} if name not in NOT_OF_THE_JOB]
        put_as_it_was(on.session, row, columns, line)


def _engine_back(on: OnCard, wrote: Mapping[str, Sequence[WrittenLine]]) -> None:
    """Let the engine say again what it said, or the card stand on the engine it stood on."""
    if made := wrote.get("engine_revision"):
        mine = numbered(on.session, EngineRevisionRow, made[0].row)
        before = next(
            revision for revision in mine.engine.revisions if revision.number == mine.number - 1
        )
        newest = mine.engine.revisions[-1]
        if json.loads(newest.document) != json.loads(mine.document):
            raise NotReady("The engine was corrected since; put it right there.", field="engine")
        write_engine_as(on, before.document)
        return
    for line in wrote.get("card", ()):
        put_as_it_was(on.session, on.card, ("engine_revision_id",), line)


def _lines_back(on: OnCard, table: str, lines: Sequence[WrittenLine]) -> None:
    """Let what stood before the act stand again, and lines that it changed say what they said."""
    kind, may_change = LINES[table]
    made: dict[int, Any] = {
        line.row: numbered(on.session, kind, line.row) for line in lines if line.old is None
    }
    within = {row.supersedes_id for row in made.values()}
    for line in lines:
        if line.old is not None and may_change:
            wrote: Any = numbered(on.session, kind, line.row)
            stands = stands_for(on.session, wrote)
            put_as_it_was(on.session, stands, may_change, replace(line, row=stands.id))
    for number, row in made.items():
        if number not in within:  # the last that the act wrote for the valve
            take_line_back(on.session, on.round, row, made, on.now)


def _tray_back(on: OnCard, lines: Sequence[WrittenLine]) -> None:
    """Lay the tray out as it was."""
    made = {line.row for line in lines}
    if made:
        before = [tray.document for tray in on.card.trays if tray.id not in made]
        tray = before[-1] if before else ()
        on.card.trays.append(StripTrayRow(document=tray, recorded_at=on.now))


def _pieces_back(on: OnCard, lines: Sequence[WrittenLine]) -> None:
    """Let each piece go back to where it was; one that came into the record goes out of it."""
    why = f"taken back on card {on.card.id}"
    for line in sorted(lines, key=lambda one: one.old is not None):
        row = numbered(on.session, ShimRow, line.row)
        if line.old is None:
            if place_of(row) != GONE:
                move_shim(on.session, row, GONE, why, on.now)
            continue
        if any(getattr(row, name) != (line.new or {}).get(name, getattr(row, name))
               for name in PLACE):  # fmt: skip
            raise PieceMoved(row.id, place_of(row).words())
        was = {name: line.old.get(name, getattr(row, name)) for name in PLACE}
        to = Location(where=Where(was.pop("place")), **was)
        if to != place_of(row):
            if to.where not in WAYS[place_of(row).where]:
                move_shim(on.session, row, DRAWER, why, on.now)
            if to != place_of(row):
                move_shim(on.session, row, to, why, on.now)
        put_as_it_was(on.session, row, WORTH, line)

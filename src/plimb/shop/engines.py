"""The engines in the shop's care: take one in, correct it, look at it."""

from dataclasses import dataclass
from datetime import datetime
from functools import lru_cache

from sqlalchemy.orm import Session

from plimb.core.engine.cycle import Cycle, cycle_of
from plimb.core.engine.engine import Engine
from plimb.core.engine.layout import HeadDrawing, draw_head
from plimb.core.engine.turning import Method
from plimb.core.errors import BadValue
from plimb.files.engine_file import parsed_engine, turning_of
from plimb.record.database import Database
from plimb.record.engines import add_engine, list_engines, newest_revision, revise_engine
from plimb.record.families import find_family, know_families
from plimb.record.idempotency import note_done
from plimb.record.rows import value_of
from plimb.record.shims import shims_of, valves_of


@dataclass(frozen=True, slots=True, kw_only=True)
class EngineView:
    """An engine as its newest revision has it, drawn and turned."""

    id: int
    label: str
    note: str
    revision: int
    document: str
    drawing: HeadDrawing
    turning: Cycle


@dataclass(frozen=True, slots=True, kw_only=True)
class DraftView:
    """An engine file that is being edited, drawn and turned; nothing is saved."""

    document: str
    drawing: HeadDrawing
    turning: Cycle
    valves: tuple[str, ...]


def draw_draft(document: str) -> DraftView:
    """Return an engine file that is being edited as it is drawn and turned.

    Raises:
        BadValue: It breaks the format, or a valve is never at rest.
    """
    engine, drawing, turning = drawn(document)
    valves = tuple(clearance.id for clearance in engine.clearances)
    return DraftView(document=document, drawing=drawing, turning=turning, valves=valves)


def read_engine_view(session: Session, engine_id: int) -> EngineView:
    """Return the engine of that number; NotFound where there is none."""
    newest = newest_revision(session, engine_id)
    _engine, drawing, turning = drawn(newest.document)
    revision, document = newest.number, newest.document
    return value_of(EngineView, newest.engine, revision=revision, document=document,
                    drawing=drawing, turning=turning)  # fmt: skip


def register_engine(
    database: Database, *, label: str, note: str, document: str, now: datetime
) -> int:
    """Take an engine file into the shop's care and return the engine's number.

    Raises:
        BadValue: The file breaks the format, or the label is taken.
    """
    check_engine(document, label)
    with database.writing("engine entered", now) as session:
        _free_label(session, label)
        added = add_engine(
            session, label=label.strip(), note=note.strip(), document=document, now=now
        )
        _know_families(session, document)
        note_done(session, added.id)
        return added.id


def revise(
    database: Database,
    *,
    engine_id: int,
    seen: int,
    label: str,
    note: str,
    document: str,
    now: datetime,
) -> None:
    """Correct what an engine is; open and signed cards keep the revision they were opened with.

    Raises:
        BadValue: The file breaks the format, no valve can be reached, or the label is taken.
        NotFound: There is no such engine.
        StaleVersion: It was revised since.
    """
    check_engine(document, label)
    with database.writing("engine changed", now) as session:
        _free_label(session, label, besides=engine_id)
        before = parsed_engine(newest_revision(session, engine_id).document)[1]
        revise_engine(
            session,
            engine_id,
            seen=seen,
            label=label.strip(),
            note=note.strip(),
            document=document,
            now=now,
        )
        _know_families(session, document)
        _bring_shims(session, engine_id, before, parsed_engine(document)[1])


def _bring_shims(session: Session, engine_id: int, before: Engine, after: Engine) -> None:
    """Bring shims of a family that nobody had told of into the one that is said now.

    Those that have been in these valves come, and where no other engine goes by that family and
    all its valves have one now, those that were put there by hand.
    """
    said = {clearance.key: clearance.family for clearance in after.clearances}
    keys: dict[tuple[int, int], set[str]] = {}
    for clearance in before.clearances:
        family = said.get(clearance.key)
        if family is None or clearance.family.known or not family.known:
            continue
        old, new = find_family(session, clearance.family), find_family(session, family)
        if old is not None and new is not None and old.id != new.id:
            keys.setdefault((old.id, new.id), set()).add(clearance.key)
    for (old_id, new_id), valves in keys.items():
        pieces = shims_of(session, old_id)
        been, fits = valves_of(session, pieces), {(engine_id, key) for key in valves}
        alone = len(keys) == 1 and not _goes_by(session, old_id)
        for piece in pieces:
            if been[piece.id] <= fits and (been[piece.id] or alone):
                piece.family_id = new_id


def _goes_by(session: Session, family_id: int) -> bool:
    """Return whether any engine of the shop goes by a family."""
    engines = (parsed_engine(row.revisions[-1].document)[1] for row in list_engines(session))
    rows = (find_family(session, one.family) for engine in engines for one in engine.clearances)
    return any(row is not None and row.id == family_id for row in rows)


def _know_families(session: Session, document: str) -> None:
    """Have the shop know the shim family of every valve."""
    engine = parsed_engine(document)[1]
    know_families(session, [clearance.family for clearance in engine.clearances])


def check_engine(document: str, label: str) -> None:
    """Refuse an engine file that cannot be read or turned, or that has no label: BadValue."""
    if not label.strip():
        raise BadValue("Write what the shop calls this engine.", field="label")
    turning_of(document, Method.MARKS)


def _free_label(session: Session, label: str, besides: int | None = None) -> None:
    if any(
        engine.label == label.strip() and engine.id != besides for engine in list_engines(session)
    ):
        raise BadValue(f"There is an engine “{label.strip()}” already.", field="label")


@lru_cache(maxsize=256)
def drawn(document: str) -> tuple[Engine, HeadDrawing, Cycle]:
    """Return an engine's document as it is drawn and turned by the marks.

    Raises:
        BadValue: It breaks the format, or a valve is never at rest.
    """
    file, engine = parsed_engine(document)
    turning = turning_of(document, Method.MARKS)
    cycle = cycle_of(engine, file.timing, Method.MARKS, turning)
    return engine, draw_head(engine), cycle

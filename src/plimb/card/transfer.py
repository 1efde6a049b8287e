"""Take cards out in the open formats and in again."""

import json
from collections.abc import Mapping, Sequence
from datetime import datetime
from typing import Any

from sqlalchemy.orm import Session

from plimb.card.acting import keep_summary
from plimb.card.build import engine_of
from plimb.card.document import card_document, renamed
from plimb.card.doing import check_payload
from plimb.card.years import keep_outcome, keep_outlook
from plimb.core.engine.engine import Engine
from plimb.core.errors import BadValue
from plimb.core.job.summary import Origin
from plimb.core.lengths import show_mm
from plimb.files.open_json import write_json
from plimb.files.origin import signed_text
from plimb.files.readings import (
    COLUMNS,
    LinePart,
    gap_cells,
    gap_line,
    shim_cells,
)
from plimb.files.records import (
    MOST_NAME,
    CardRecord,
    HistoryPart,
    JobPart,
    RecordRound,
    ShimLine,
    read_record,
)
from plimb.files.table_csv import write_csv
from plimb.record.cards import get_card
from plimb.record.database import Database
from plimb.record.engines import add_engine, list_engines
from plimb.record.families import know_families
from plimb.record.idempotency import note_done
from plimb.record.keys import is_signed, key_at_hand
from plimb.record.records import add_record, free_name
from plimb.record.tables.engine import EngineRevisionRow
from plimb.shop.engines import check_engine
from plimb.shop.settings import settings_of


def export_card(session: Session, card_id: int) -> str:
    """Return a card as its file, under the shop's key: the same text each time.

    A record that can only be looked at, and has no key yet, gives it under none.

    Raises:
        NotFound: There is no such card.
    """
    document = card_document(session, get_card(session, card_id))
    key, shop = key_at_hand(session.info["record"]), settings_of(session).name
    if key is None:
        return write_json(document)
    origin = {
        "shop": shop,
        "card": card_id,
        "public": key.public,
        "signature": key.sign(signed_text(document, shop, card_id)),
    }
    return write_json({**document, "origin": origin})


def import_card(database: Database, text: str, *, now: datetime) -> int:
    """Take a card file into the shop and return the card's number; a file is taken whole or not.

    No engine that is here is changed: where the one of that label never was as in the file, the
    card comes with an engine of its own.

    Raises:
        BadValue: The file breaks the format; the field is the JSON path of the first fault.
    """
    record = read_record(text)
    record.checked()  # every name and size, before anything is written
    whole = json.loads(text)
    origin = _origin(record, whole)
    for place, event in enumerate(record.job.events if record.job else ()):
        if event.payload is not None:
            check_payload(event.action, event.payload, f"$.job.events[{place}].payload")
    engine = {key: value for key, value in whole.items()
              if key not in ("rounds", "drawer", "policy", "job", "origin")}  # fmt: skip
    document = json.dumps({**engine, "format": "plimb-engine"}, ensure_ascii=False)
    job = record.job or _foreign_job(record, now)
    check_engine(document, job.label)
    core = record.to_core()
    keys = {clearance.id: clearance.key for clearance in core.clearances}
    rounds = [
        _round(record, core, round_, f"$.rounds[{place}].history", now)
        for place, round_ in enumerate(
            record.rounds or [RecordRound(gaps=[], pieces=[], proofs=[])]
        )
    ]
    by_key = {
        "forbidden": [(keys.get(valve, valve), nm) for valve, nm in job.forbidden],
        "opened_too": tuple(keys.get(valve, valve) for valve in job.opened_too),
    }
    with database.writing("card taken in from a file", now) as session:
        row = _engine_for(session, job.label, job.note, document, now)
        know_families(session, [clearance.family for clearance in core.clearances])
        card = add_record(
            session,
            row,
            job=job.model_copy(update=by_key),
            policy=record.policy,
            rounds=rounds,
        )
        card.origin = origin
        session.flush()
        session.expire_all()
        keep_summary(card)
        keep_outcome(card)
        keep_outlook(session, row.engine_id)
        note_done(session, card.id)
        return card.id


def _origin(record: CardRecord, document: Mapping[str, Any]) -> Origin:
    """Return where a file says it comes from; BadValue where that is not so."""
    part = record.origin
    if part is None:
        return Origin(shop="", card=None, public=None)
    text = signed_text(document, part.shop, part.card)
    if not is_signed(part.public, part.signature, text):
        raise BadValue("$.origin.signature: the file was changed after it was signed. Take out "
                       "“origin” to take it in as unverified.",
                       field="$.origin.signature")  # fmt: skip
    return Origin(shop=part.shop, card=part.card, public=part.public)


FROM_FILE = "{} (from a file)"


def _engine_for(
    session: Session, label: str, note: str, document: str, now: datetime
) -> EngineRevisionRow:
    """Return the engine as it is in the file: one that is here and was so once, or a new one."""
    wanted = json.loads(document)
    engines = list_engines(session)
    own = FROM_FILE.format(label)[:MOST_NAME]
    mine = [engine for engine in engines if engine.label == label or engine.label.startswith(own)]
    for engine in mine:
        for revision in reversed(engine.revisions):
            if json.loads(revision.document) == wanted:
                return revision
    labels = {engine.label for engine in engines}
    name = label if label not in labels else own
    added = add_engine(
        session, label=free_name(name, labels), note=note, document=document, now=now
    )
    return added.revisions[-1]


def _round(
    record: CardRecord, engine: Engine, one: RecordRound, path: str, now: datetime
) -> RecordRound:
    """Return a round to write: its history by keys, or one made from the lines that stand."""
    history = one.history or _made_history(record, engine, one, now)
    keys = {clearance.id: clearance.key for clearance in engine.clearances}
    for name, lines in (
        ("gaps", history.gaps),
        ("pieces", history.pieces),
        ("choices", history.choices),
    ):
        _check_lines(engine, lines, f"{path}.{name}")
    by_keys = HistoryPart(
        gaps=[renamed(line, keys) for line in history.gaps],
        pieces=[renamed(line, keys) for line in history.pieces],
        choices=[renamed(line, keys) for line in history.choices],
    )
    return one.model_copy(update={"history": by_keys})


def _check_lines(engine: Engine, lines: Sequence[LinePart], path: str) -> None:
    """Refuse lines that cannot be: an unknown valve, two lines that both stand: BadValue."""
    stands = set()
    for place, line in enumerate(lines):
        here = f"{path}[{place}]"
        if line.valve not in engine.by_id:
            raise BadValue(f"{here}: valve “{line.valve}” is not on this engine.", field=here)
        key = (line.valve, getattr(line, "purpose", None))
        if line.superseded_at is None:
            if key in stands:
                raise BadValue(f"{here}: two lines stand for {line.valve}.", field=here)
            stands.add(key)


def _made_history(
    record: CardRecord, engine: Engine, one: RecordRound, now: datetime
) -> HistoryPart:
    """Return the history of a file that has none: each line that stands, written just now."""
    unit, pieces = record.unit, []
    for part in one.pieces:
        core = part.to_core(engine.clearance(part.valve), record.of_shims, record.policy.trust)
        said = [core.marked or "", show_mm(core.measured_nm) if core.measured_nm else ""]
        pieces.append(
            ShimLine(
                valve=part.valve,
                typed=" ".join(filter(None, said)),
                recorded_at=now,
                marked=core.marked,
                marked_nm=core.marked_nm,
                measured_nm=core.measured_nm,
                readings=[] if core.measured_nm is None else [core.measured_nm],
                condition=core.condition,
                doubt_nm=None,
                zero_nm=0,
                answered=None,
            )
        )
    return HistoryPart(
        gaps=[
            *(gap_line(part, unit, now) for part in one.gaps),
            *(gap_line(part, unit, now, "proof") for part in one.proofs),
        ],
        pieces=pieces,
        choices=[],
    )


def _foreign_job(record: CardRecord, now: datetime) -> JobPart:
    """Return the job of a file that says nothing of it."""
    return JobPart(
        label=record.engine.name,
        opened_at=now,
        opened_by="from a file",
        reason="from a file",
    )


def readings_csv(session: Session, card_id: int) -> str:
    """Return every reading of a card as CSV, superseded ones too.

    Raises:
        NotFound: There is no such card.
    """
    card = get_card(session, card_id)
    names = engine_of(card).names
    rows: list[Sequence[object]] = []
    for round_ in card.rounds:
        rows += [
            gap_cells(round_.number, names.get(gap.valve, gap.valve), gap) for gap in round_.gaps
        ]
        rows += [shim_cells(round_.number, names.get(n.valve, n.valve), n) for n in round_.pieces]
    return write_csv(COLUMNS, rows)

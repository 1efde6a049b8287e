"""Take cards out in the open formats and in again, and tell whether a sheet is a card's."""

from __future__ import annotations

import hashlib
import json
from collections.abc import Mapping, Sequence
from datetime import datetime
from typing import Any

from sqlalchemy.orm import Session

from plimb.actions.shop import check_engine
from plimb.core.errors import BadValue, NotReady
from plimb.core.gap import Gap
from plimb.core.lengths import Unit, show_mm
from plimb.core.piece import Piece, Trust
from plimb.core.shorthand import Reading
from plimb.core.survey import Sheet
from plimb.files.card_record import CardRecord, RecordRound, read_record, write_json
from plimb.files.table_csv import write_csv
from plimb.store.cards import get_card
from plimb.store.database import Database
from plimb.store.engines import add_engine, list_engines, newest_revision, revise_engine
from plimb.store.lines import sheets
from plimb.store.models import CardRow, EngineRow
from plimb.store.records import POLICY, add_record, history_of, job_of
from plimb.store.shims import know_families


def card_document(session: Session, card: CardRow, *, amendments: int | None = None) -> dict[
    str, Any
]:  # fmt: skip
    """Return a card as the document its file holds; with just so many of its amendments."""
    engine = json.loads(card.revision.document)
    unit = Unit(engine.get("unit", "mm"))
    job = job_of(session, card)
    if amendments is not None:
        job["amendments"] = job["amendments"][:amendments]
    return {
        **engine,
        "format": "plimb-card",
        "version": 1,
        "unit": unit.value,
        "rounds": [
            {
                "number": one.number,
                "opened_at": one.opened_at,
                "reason": one.reason,
                "hand_turns": one.hand_turns,
                **_standing(sheets(one, Trust(card.trust)), unit),
                "history": history_of(one),
            }
            for one in card.rounds
        ],
        "drawer": [],
        "policy": {
            "aim": card.aim,
            "round": card.rounding,
            "act": card.act,
            "trust": card.trust,
            "reuse": card.reuse,
        },
        "job": job,
    }


def _standing(written: Mapping[str, Sheet], unit: Unit) -> dict[str, Any]:
    """Return the lines that stand in a round, as the card format has them."""
    ordered = [(valve, written[valve]) for valve in sorted(written)]
    return {
        "gaps": [_gap_part(valve, s.found, unit) for valve, s in ordered if s.found],
        "pieces": [_piece_part(valve, s.piece, unit) for valve, s in ordered if s.piece],
        "proofs": [_gap_part(valve, s.proof, unit) for valve, s in ordered if s.proof],
    }


def _gap_part(valve: str, reading: Reading, unit: Unit) -> dict[str, Any]:
    part: dict[str, Any] = {"valve": valve, "goes": None}
    if reading.goes:
        part["goes"] = [_number(nm, unit) for nm in reading.goes]
        if reading.feel:
            part["feel"] = reading.feel.value
    if reading.refuses:
        part["refuses"] = [_number(nm, unit) for nm in reading.refuses]
    if reading.called_nm is not None:
        part["called"] = _number(reading.called_nm, unit)
    return part


def _piece_part(valve: str, piece: Piece, unit: Unit) -> dict[str, Any]:
    part: dict[str, Any] = {"valve": valve, "condition": piece.condition.value}
    if piece.marked:
        part["marked"] = piece.marked
    if piece.marked_nm is not None:
        part["marked_as"] = _number(piece.marked_nm, unit)
    if piece.measured_nm is not None:
        part["measured"] = _number(piece.measured_nm, unit)
    return part


def _number(nm: int, unit: Unit) -> float:
    return round(nm / unit.nm, 9)


def export_card(session: Session, card_id: int) -> str:
    """Return a card as its file, the same text each time.

    Raises:
        NotFound: There is no such card.
    """
    return write_json(card_document(session, get_card(session, card_id)))


def fingerprint_of(session: Session, card: CardRow, amendments: int | None = None) -> str | None:
    """Return the SHA-256 of a signed card's file, or None while it is not signed."""
    if card.signed_at is None:
        return None
    text = write_json(card_document(session, card, amendments=amendments))
    return hashlib.sha256(text.encode()).hexdigest()


def check_fingerprint(session: Session, card_id: int, fingerprint: str) -> str:
    """Say in words whether a sheet's fingerprint is this card's, and from when it is.

    Raises:
        NotFound: There is no such card.
        NotReady: The card is not signed, so no sheet of it counts.
    """
    card = get_card(session, card_id)
    if card.signed_at is None:
        raise NotReady("This card is not signed; no sheet of it counts yet.", field="card")
    for count in range(len(card.amendments), -1, -1):
        if fingerprint_of(session, card, count) == fingerprint:
            if count == len(card.amendments):
                return "The sheet agrees with the record as it stands."
            return (
                f"The sheet agrees with the record as it was before {len(card.amendments) - count}"
                " later amendment(s)."
            )
    return "The sheet does not agree with the record: it is another card's, or was changed."


def import_card(database: Database, text: str, *, now: datetime) -> int:
    """Take a card file into the shop and return the card's number; a file is taken whole or not.

    The engine of that label takes the file's engine as its newest revision, or is added.

    Raises:
        BadValue: The file breaks the format; the field is the JSON path of the first fault.
    """
    record = read_record(text)
    record.asked()  # every name and size is checked before anything is written
    engine = {key: value for key, value in json.loads(text).items()
              if key not in ("rounds", "drawer", "policy", "job")}  # fmt: skip
    document = json.dumps({**engine, "format": "plimb-engine"}, ensure_ascii=False)
    label = record.job.label if record.job else record.engine.name
    check_engine(document, label)
    policy = dict(
        zip(POLICY, (record.policy.aim, record.policy.round, record.policy.act,
                     record.policy.trust, record.policy.reuse), strict=True)
    )  # fmt: skip
    rounds = [_round(record, one, place, now) for place, one in enumerate(record.rounds)]
    if not rounds:
        rounds = [_round(record, RecordRound(gaps=[], pieces=[], proofs=[]), 0, now)]
    job = record.job.model_dump() if record.job else _foreign_job(record, now)
    job["forbidden"] = [list(pair) for pair in job["forbidden"]]
    with database.writing() as session:
        row = _engine_for(session, label, job["note"], document, now)
        know_families(session, [one.family for one in record.to_core().clearances])
        card = add_record(session, row.revisions[-1], job=job, policy=policy, rounds=rounds)
        session.flush()
        session.expire_all()
        return card.id


def _engine_for(session: Session, label: str, note: str, document: str, now: datetime) -> EngineRow:
    for engine in list_engines(session):
        if engine.label == label:
            newest = newest_revision(session, engine.id)
            if json.loads(newest.document) == json.loads(document):
                return engine
            return revise_engine(
                session, engine.id, seen=newest.number, label=label, note=engine.note,
                document=document, now=now,
            )  # fmt: skip
    return add_engine(session, label=label, note=note, document=document, now=now)


def _round(record: CardRecord, one: RecordRound, place: int, now: datetime) -> dict[str, Any]:
    """Return a round to write: its history, or one made from the lines that stand."""
    if one.history is not None:
        history = one.history.model_dump()
        _check_history(record, history, f"$.rounds[{place}].history")
    else:
        history = _made_history(record, one, now)
    return {
        "opened_at": one.opened_at,
        "reason": one.reason,
        "hand_turns": one.hand_turns,
        "history": history,
    }


def _check_history(record: CardRecord, history: Mapping[str, Any], path: str) -> None:
    """Refuse a history whose lines cannot be: an unknown valve, two lines that both stand.

    Raises:
        BadValue: It is so.
    """
    engine = record.to_core()
    for name in ("gaps", "pieces", "choices"):
        standing = set()
        for place, line in enumerate(history[name]):
            here = f"{path}.{name}[{place}]"
            if line["valve"] not in engine.by_id:
                raise BadValue(f"{here}: valve “{line['valve']}” is not on this engine.",
                               field=here)  # fmt: skip
            key = (line["valve"], line.get("purpose"))
            if line["superseded_at"] is None:
                if key in standing:
                    raise BadValue(f"{here}: two lines stand for {line['valve']}.", field=here)
                standing.add(key)
            _check_line(name, line, here)


def _check_line(name: str, line: Mapping[str, Any], here: str) -> None:
    if not line["typed"]:
        return
    if name == "gaps":
        if line["high_nm"] is None:
            raise BadValue(f"{here}: a gap that was typed has an upper end.", field=here)
        try:
            Gap(
                low_nm=line["low_nm"],
                high_nm=line["high_nm"],
                open_above=line["open_above"],
                called_nm=line["called_nm"],
            )
        except BadValue as refusal:
            raise BadValue(f"{here}: {refusal.sentence}", field=here) from None
    elif name == "pieces" and line["marked_nm"] is None and line["measured_nm"] is None:
        raise BadValue(f"{here}: a shim that was typed has a thickness.", field=here)
    elif name == "choices" and line["thickness_nm"] is None:
        raise BadValue(f"{here}: a choice that was typed has a thickness.", field=here)


def _made_history(record: CardRecord, one: RecordRound, now: datetime) -> dict[str, Any]:
    """Return the history of a file that has none: each line that stands, written just now."""
    engine, unit = record.to_core(), record.unit
    gaps = []
    for part in one.gaps:
        gap = part.to_core(unit)
        goes = None if part.goes is None else [round(blade * unit.nm) for blade in part.goes]
        refuses = (
            None if part.refuses is None else [round(blade * unit.nm) for blade in part.refuses]
        )
        if goes is None and refuses is None:
            goes = [gap.high_nm]
        gaps.append(
            {
                "valve": part.valve, "typed": _typed(goes, refuses, gap), "recorded_at": now,
                "superseded_at": None, "supersedes": None, "purpose": "found", "unit": "mm",
                "goes": goes, "refuses": refuses, "feel": part.feel, "low_nm": gap.low_nm,
                "high_nm": gap.high_nm, "open_above": gap.open_above,
                "called_nm": gap.called_nm, "repeats": False, "kept": [], "warm": False,
            }
        )  # fmt: skip
    pieces = []
    for shim in one.pieces:
        core = shim.to_core(engine.clearance(shim.valve), unit, record.policy.trust)
        said = [core.marked or "", show_mm(core.measured_nm) if core.measured_nm else ""]
        pieces.append(
            {
                "valve": shim.valve, "typed": " ".join(filter(None, said)), "recorded_at": now,
                "superseded_at": None, "supersedes": None, "marked": core.marked,
                "marked_nm": core.marked_nm, "measured_nm": core.measured_nm,
                "readings": [] if core.measured_nm is None else [core.measured_nm],
                "condition": core.condition.value, "doubt_nm": None, "zero_nm": 0,
                "answered": None,
            }
        )  # fmt: skip
    return {"gaps": gaps, "pieces": pieces, "choices": []}


def _typed(goes: Sequence[int] | None, refuses: Sequence[int] | None, gap: Gap) -> str:
    """Return the reading as it would be typed."""

    def stack(blades: Sequence[int] | None) -> str:
        return "+".join(show_mm(blade) for blade in blades or ())

    called = "" if gap.called_nm is None else f"={show_mm(gap.called_nm)}"
    return stack(goes) + (f"-{stack(refuses)}" if refuses else "") + called


def _foreign_job(record: CardRecord, now: datetime) -> dict[str, Any]:
    return {
        "label": record.engine.name, "note": "", "version": 1, "opened_at": now,
        "opened_by": "from a file", "reason": "from a file", "distance_km": None, "hours": None,
        "rested_hours": None, "temperature_c": None, "warm_reason": "", "method": "marks",
        "seen_to": [], "variant": "best", "forbidden": [], "blade_set": None,
        "instrument": None, "zero_nm": None, "tightening": [], "trays": [], "signed_at": None,
        "signed_by": None, "remarks": None, "next_check_km": None, "amendments": [],
        "events": [],
    }  # fmt: skip


def readings_csv(session: Session, card_id: int) -> str:
    """Return every reading of a card as CSV, superseded ones too.

    Raises:
        NotFound: There is no such card.
    """
    card = get_card(session, card_id)
    rows: list[Sequence[object]] = []
    for round_ in card.rounds:
        for gap in round_.gaps:
            low = "" if gap.low_nm is None else show_mm(gap.low_nm)
            high = "" if gap.high_nm is None else show_mm(gap.high_nm)
            stands = "no" if gap.superseded_at else "yes"
            rows.append((round_.number, gap.valve, gap.purpose, gap.typed, low, high, "",
                         stands, f"{gap.recorded_at:%Y-%m-%dT%H:%M:%SZ}"))  # fmt: skip
        for piece in round_.pieces:
            nm = piece.measured_nm if piece.measured_nm is not None else piece.marked_nm
            thick = "" if nm is None else show_mm(nm)
            stands = "no" if piece.superseded_at else "yes"
            rows.append((round_.number, piece.valve, "piece", piece.typed, "", "", thick, stands,
                         f"{piece.recorded_at:%Y-%m-%dT%H:%M:%SZ}"))  # fmt: skip
    header = ("round", "valve", "kind", "typed", "low_mm", "high_mm", "thickness_mm", "stands",
              "written_at")  # fmt: skip
    return write_csv(header, rows)

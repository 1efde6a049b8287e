"""A card as the document that its file holds, and the fingerprint of it once it is signed."""

import json
from collections.abc import Mapping, Sequence
from typing import Any, TypeVar

from sqlalchemy.orm import Session

from plimb.card.build import engine_of
from plimb.core.engine.engine import Engine
from plimb.core.errors import NotReady
from plimb.core.job.valve import ValveRecord
from plimb.core.lengths import Unit
from plimb.files.card_file import shim_as_json
from plimb.files.open_json import fingerprint
from plimb.files.readings import (
    GapLine,
    LinePart,
    gap_as_json,
)
from plimb.files.records import (
    ChoiceLine,
    EventPart,
    HistoryPart,
    JobPart,
    ShimLine,
)
from plimb.record.cards import get_card
from plimb.record.readings import written
from plimb.record.records import events_of, shop_things
from plimb.record.seals import seal_of
from plimb.record.tables.card import CardRow, EventRow, RoundRow

AnyLine = TypeVar("AnyLine", bound=LinePart)


def card_document(
    session: Session, card: CardRow, *, amendments: int | None = None
) -> dict[str, Any]:
    """Return a card as the document its file holds; with just so many of its amendments."""
    document = json.loads(card.revision.document)
    unit = Unit(document.get("unit", "mm"))
    of_shims = Unit(document.get("shim_unit") or unit)
    job = _job_of(session, card).model_dump()
    if amendments is not None:
        job["amendments"] = job["amendments"][:amendments]
    engine, trust = engine_of(card), card.trust
    return {
        **document,
        "format": "plimb-card",
        "version": 1,
        "unit": unit.value,
        "rounds": [
            {
                "number": round_.number,
                "opened_at": round_.opened_at,
                "reason": round_.reason,
                "hand_turns": round_.hand_turns,
                **_standing(written(round_, engine, trust), unit, of_shims),
                "history": _history_of(round_, engine).model_dump(),
            }
            for round_ in card.rounds
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


def _standing(records: Mapping[str, ValveRecord], unit: Unit, of_shims: Unit) -> dict[str, Any]:
    """Return the lines that stand in a round, as the card format has them."""
    ordered = [(valve, records[valve]) for valve in sorted(records)]
    return {
        "gaps": [
            gap_as_json(valve, record.found, unit) for valve, record in ordered if record.found
        ],
        "pieces": [
            shim_as_json(valve, record.piece, of_shims) for valve, record in ordered if record.piece
        ],
        "proofs": [
            gap_as_json(valve, record.proof, unit) for valve, record in ordered if record.proof
        ],
    }


def _job_of(session: Session, card: CardRow) -> JobPart:
    """Return the job itself, with what it used and every act on it."""
    things = card.as_signed or shop_things(card)
    values = {name: getattr(card, name) for name in JobPart.model_fields if hasattr(card, name)}
    used = {name: getattr(things, name) for name in ("label", "note", "blade_set", "instrument")}
    names = engine_of(card).names
    forbidden = [(names.get(key, key), nm) for key, nm in card.forbidden]
    events = [_event(event) for event in events_of(session, card)]
    too = [names.get(key, key) for key in card.opened_too]
    by_name = {"forbidden": forbidden, "opened_too": too, "events": events}
    return JobPart.model_validate({**values, **used, **by_name})


def _event(row: EventRow) -> EventPart:
    """Return an act as the file has it: as data, or as an earlier version wrote it."""
    as_data = not row.said
    return EventPart(
        version=row.version, key=row.key, recorded_at=row.recorded_at,
        action=(row.kind if as_data else row.said) or "", payload=row.payload if as_data else None,
    )  # fmt: skip


def _history_of(round_: RoundRow, engine: Engine) -> HistoryPart:
    """Return every line of a round, in the order they were written, read off its rows."""
    return HistoryPart(
        gaps=_lines(GapLine, round_.gaps, engine),
        pieces=_lines(ShimLine, round_.pieces, engine),
        choices=_lines(ChoiceLine, round_.choices, engine),
    )


def _lines(kind: type[AnyLine], rows: Sequence[Any], engine: Engine) -> list[AnyLine]:
    """Return lines by their valves' names, with the place of the line each supersedes."""
    places = {row.id: place for place, row in enumerate(rows)}
    lines = []
    for row in rows:
        named = renamed(kind.model_validate(row), engine.names)
        lines.append(named.model_copy(update={"supersedes": places.get(row.supersedes_id)}))
    return lines


def renamed(line: AnyLine, names: Mapping[str, str]) -> AnyLine:
    """Return a line with what it calls its valves looked up; unknown ones stay as they are."""
    update = {"valve": names.get(line.valve, line.valve)}
    if isinstance(line, ChoiceLine) and line.from_valve:
        update["from_valve"] = names.get(line.from_valve, line.from_valve)
    return line.model_copy(update=update)


def fingerprint_of(session: Session, card: CardRow, amendments: int | None = None) -> str | None:
    """Return the SHA-256 of a signed card's file, or None while it is not signed."""
    if card.signed_at is None:
        return None
    return fingerprint(card_document(session, card, amendments=amendments))


def check_fingerprint(session: Session, card_id: int, printed: str) -> str:
    """Say in words whether a sheet's fingerprint is this card's, and from when it is.

    Raises:
        NotFound: There is no such card.
        NotReady: The card is not signed, so no sheet of it counts.
    """
    card = get_card(session, card_id)
    if card.signed_at is None:
        raise NotReady("This card is not signed; no sheet of it counts yet.", field="card")
    seal = seal_of(session, card)
    if seal is not None and seal.fingerprint != fingerprint_of(session, card, 0):
        return "The card in the record was changed after it was signed: no sheet of it counts."
    for count in range(len(card.amendments), -1, -1):
        if fingerprint_of(session, card, count) == printed:
            if count == len(card.amendments):
                return "The sheet agrees with the record as it stands."
            return (
                f"The sheet agrees with the record as it was before {len(card.amendments) - count}"
                " later amendment(s)."
            )
    return "The sheet does not agree with the record: it is another card's, or was changed."

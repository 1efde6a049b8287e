"""A card's rows as plain values and back, every line with its place in the history."""

from __future__ import annotations

from collections.abc import Iterable, Mapping, Sequence
from typing import Any

from sqlalchemy import select
from sqlalchemy.orm import Session

from plimb.store.models import (
    AmendmentRow,
    BladeRow,
    BladeSetRow,
    CardRow,
    ChoiceRow,
    EngineRevisionRow,
    EventRow,
    GapRow,
    InstrumentRow,
    PieceRow,
    RoundRow,
    StripTrayRow,
)

LINE = ("valve", "typed", "recorded_at", "superseded_at")
GAP = (*LINE, "purpose", "unit", "goes", "refuses", "feel", "low_nm", "high_nm", "open_above",
       "called_nm", "repeats", "kept", "warm")  # fmt: skip
PIECE = (*LINE, "marked", "marked_nm", "measured_nm", "readings", "condition", "doubt_nm",
         "zero_nm", "answered")  # fmt: skip
CHOICE = (*LINE, "thickness_nm", "source", "from_valve", "by_hand", "by_marking", "measured_nm",
          "fitted_at")  # fmt: skip
CARD = ("version", "opened_at", "opened_by", "reason", "distance_km", "hours", "rested_hours",
        "temperature_c", "warm_reason", "method", "seen_to", "variant", "forbidden", "zero_nm",
        "tightening", "signed_at", "signed_by", "remarks", "next_check_km")  # fmt: skip
SHOPS = ("label", "note", "blade_set", "instrument")
POLICY = ("aim", "rounding", "act", "trust", "reuse")


def _pick(row: object, names: Iterable[str]) -> dict[str, Any]:
    return {name: getattr(row, name) for name in names}


def _lines(rows: Sequence[Any], names: Iterable[str]) -> list[dict[str, Any]]:
    """Return lines with the place, not the number, of the line each supersedes."""
    places = {row.id: place for place, row in enumerate(rows)}
    return [{**_pick(row, names), "supersedes": places.get(row.supersedes_id)} for row in rows]


def job_of(session: Session, card: CardRow) -> dict[str, Any]:
    """Return the job itself, with what it used and every act on it."""
    events = session.scalars(
        select(EventRow).where(EventRow.card_id == card.id).order_by(EventRow.version)
    )
    return {
        **(card.as_signed or of_the_shop(card)),
        **_pick(card, CARD),
        "trays": [_pick(one, ("document", "recorded_at")) for one in card.trays],
        "amendments": [
            _pick(one, ("key", "written_by", "text", "written_at")) for one in card.amendments
        ],
        "events": [_pick(one, ("version", "key", "action", "recorded_at")) for one in events],
    }


def of_the_shop(card: CardRow) -> dict[str, Any]:
    """Return what a card takes from the shop: the engine's label, feeler set, instrument."""
    blades, instrument = card.blade_set, card.instrument
    return {
        "label": card.revision.engine.label,
        "note": card.revision.engine.note,
        "blade_set": blades
        and {
            "name": blades.name,
            "stacking": blades.stacking,
            "blades": [_pick(one, ("nominal_nm", "measured_nm", "state")) for one in blades.blades],
        },
        "instrument": instrument and _pick(instrument, ("name", "doubt_nm")),
    }


def history_of(round_: RoundRow) -> dict[str, Any]:
    """Return every line of a round, in the order they were written."""
    return {
        "gaps": _lines(round_.gaps, GAP),
        "pieces": _lines(round_.pieces, PIECE),
        "choices": _lines(round_.choices, CHOICE),
    }


def add_record(
    session: Session,
    revision: EngineRevisionRow,
    *,
    job: Mapping[str, Any],
    policy: Mapping[str, Any],
    rounds: Sequence[Mapping[str, Any]],
) -> CardRow:
    """Write a whole card into the record, as it stood where it came from."""
    card = CardRow(
        revision=revision,
        **{name: job[name] for name in CARD},
        **policy,
        blade_set=_blade_set(session, job["blade_set"]),
        instrument=_instrument(session, job["instrument"]),
        as_signed={name: job[name] for name in SHOPS} if job["signed_at"] else None,
        trays=[StripTrayRow(**one) for one in job["trays"]],
        amendments=[AmendmentRow(**one) for one in job["amendments"]],
        rounds=[],
    )
    session.add(card)
    session.flush()
    session.add_all(EventRow(card_id=card.id, **one) for one in job["events"])
    for number, one in enumerate(rounds, 1):
        row = RoundRow(
            card_id=card.id,
            number=number,
            opened_at=one["opened_at"],
            reason=one["reason"],
            hand_turns=one["hand_turns"],
        )
        card.rounds.append(row)
        session.flush()
        for kind, name in ((GapRow, "gaps"), (PieceRow, "pieces"), (ChoiceRow, "choices")):
            _add_lines(session, kind, row.id, one["history"][name])
        session.refresh(row)
    return card


def _add_lines(
    session: Session, kind: Any, round_id: int, lines: Sequence[Mapping[str, Any]]
) -> None:
    ids: list[int] = []
    for line in lines:
        before = line["supersedes"]
        values = {name: value for name, value in line.items() if name != "supersedes"}
        row = kind(
            round_id=round_id,
            supersedes_id=ids[before] if before is not None and before < len(ids) else None,
            **values,
        )
        session.add(row)
        session.flush()
        ids.append(row.id)


def _blade_set(session: Session, wanted: Mapping[str, Any] | None) -> BladeSetRow | None:
    """Return the shop's set if it has just this one, else a set of its own for the card."""
    if wanted is None:
        return None
    blades = [dict(blade) for blade in wanted["blades"]]
    known = session.scalars(select(BladeSetRow)).all()
    for row in known:
        there = [_pick(one, ("nominal_nm", "measured_nm", "state")) for one in row.blades]
        if (row.name, row.stacking, there) == (wanted["name"], wanted["stacking"], blades):
            return row
    name = free_name(wanted["name"], {row.name for row in known})
    return BladeSetRow(
        name=name, stacking=wanted["stacking"], blades=[BladeRow(**blade) for blade in blades]
    )


def _instrument(session: Session, wanted: Mapping[str, Any] | None) -> InstrumentRow | None:
    if wanted is None:
        return None
    known = session.scalars(select(InstrumentRow)).all()
    for row in known:
        if (row.name, row.doubt_nm) == (wanted["name"], wanted["doubt_nm"]):
            return row
    name = free_name(wanted["name"], {row.name for row in known})
    return InstrumentRow(name=name, doubt_nm=wanted["doubt_nm"])


def free_name(name: str, taken: set[str]) -> str:
    """Return the name, with a number behind it where it is taken."""
    free, number = name, 2
    while free in taken:
        free, number = f"{name} ({number})", number + 1
    return free

"""Rows as they lie in the record, for what can no longer be read as what it is."""

from collections.abc import Sequence
from datetime import datetime
from typing import Any

from sqlalchemy.orm import Session

from plimb.record.journal import text_as_it_lies

_OF_ROUND = "round_id IN (SELECT id FROM round WHERE card_id = ?)"
_OF_A_CARD = {
    "card": "id = ?",
    "engine_revision": "id = (SELECT engine_revision_id FROM card WHERE id = ?)",
    "round": "card_id = ?",
    "gap_reading": _OF_ROUND,
    "piece_reading": _OF_ROUND,
    "choice": _OF_ROUND,
    "strip_tray": "card_id = ?",
    "amendment": "card_id = ?",
    "card_event": "card_id = ?",
    "seal": "card_id = ?",
}


def card_numbers(session: Session) -> list[int]:
    """Return the number of every card, the newest first."""
    query = "SELECT id FROM card ORDER BY opened_at DESC, id DESC"
    return [number for (number,) in session.connection().exec_driver_sql(query)]


def card_as_it_lies(session: Session, number: int) -> dict[str, Any] | None:
    """Return what a list can say of a card without reading it, None where there is none."""
    query = (
        "SELECT engine.label, card.reason, card.put_away_at IS NOT NULL FROM card "
        "LEFT JOIN engine_revision ON engine_revision.id = engine_revision_id "
        "LEFT JOIN engine ON engine.id = engine_id WHERE card.id = ?"
    )
    connection = session.connection()
    with text_as_it_lies(connection, "replace"):
        found = connection.exec_driver_sql(query, (number,)).first()
    if found is None:
        return None
    return dict(zip(("label", "reason", "away"), map(_plain, found), strict=True))


def rows_of_card(session: Session, number: int) -> dict[str, list[dict[str, Any]]]:
    """Return every row of a card by table, each value as it lies there."""
    connection, tables = session.connection(), {}
    with text_as_it_lies(connection, "replace"):
        for table, where in _OF_A_CARD.items():
            query = f'SELECT * FROM "{table}" WHERE {where}'
            found = connection.exec_driver_sql(query, (number,))
            names: Sequence[str] = list(found.keys())
            tables[table] = [dict(zip(names, map(_plain, row), strict=True)) for row in found]
    return tables


def lay_away(session: Session, number: int, now: datetime | None) -> None:
    """Put a card away, or bring it back, whatever is on it."""
    at = None if now is None else f"{now:%Y-%m-%d %H:%M:%S.%f}"
    session.connection().exec_driver_sql(
        "UPDATE card SET put_away_at = ?, version = version + 1 WHERE id = ?", (at, number)
    )


def _plain(value: Any) -> Any:
    return value.decode("utf-8", "replace") if isinstance(value, bytes) else value

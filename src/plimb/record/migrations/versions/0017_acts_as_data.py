"""What was done to a card is kept as data: its kind and what was said, no text to be read back."""

import json
import re
from collections.abc import Mapping
from typing import Any

import sqlalchemy as sa
from alembic import op

revision = "0017"
down_revision = "0016"

_TEXTS = (
    (r"(?P<purpose>found|proof) (?P<valve>{valve})( .*)?", "gap"),
    (r"kept (?P<valve>{valve})", "keep"),
    (r"piece (?P<valve>{valve})( .*)?", "shim"),
    (r"recalled (?P<valve>{valve})( .*)?", "recall"),
    (r"trust (?P<valve>{valve}) .*", "trust"),
    (r"zero .*", "zero"),
    (r"choose (?P<valve>{valve}) .*", "choose"),
    (r"take plan for all", "take-shared-plan"),
    (r"take plan", "take-plan"),
    (r"forbid (?P<valve>{valve}) .*", "rule-out"),
    (r"open (?P<valve>{valve}) too .*", "open-too"),
    (r"variant .*", "variant"),
    (r"fit (?P<valve>{valve}) .*", "fit"),
    (r"turns .*", "turn-by-hand"),
    (r"turned (?P<name>.+) \d+", "tighten"),
    (r"bolts (?P<name>.+)", "bolts"),
    (r"safety (?P<item>.+) (True|False)", "tick"),
    (r"conditions", "conditions"),
    (r"tray", "tray"),
    (r"school .*", "policy"),
    (r"method .*", "method"),
    (r"kind .*", "kind"),
    (r"corrected .*", "correct"),
    (r"instrument .*", "instrument"),
    (r"put away .*", "put-away"),
    (r"engine taken over", "take-over-engine"),
    (r"spec of .*", "spec"),
    (r"symptoms", "symptoms"),
    (r"checks", "side-checks"),
    (r"note at (?P<stage>.+)", "note"),
    (r"bill", "bill"),
    (r"machine .*", "machine"),
    (r"tools", "tools"),
    (r"parts to renew", "parts"),
    (r"engine's note at (?P<stage>.+)", "engine-note"),
    (r"round .*", "next-round"),
    (r"sign", "sign"),
    (r"took back act (?P<which>[1-9]\d{{0,8}})", "take-back"),
)
"""How each act's text began with the versions before, and what kind it is."""


def _as_data(said: str, valves: str) -> tuple[str | None, Mapping[str, Any] | None]:
    """Return the kind of an act and what its text still says; None where it is no act's."""
    for pattern, kind in _TEXTS:
        found = re.fullmatch(pattern.format(valve=valves), said, re.ASCII | re.DOTALL)
        if found:
            told = found.groupdict()
            return kind, {k: int(v) if k == "which" else v for k, v in told.items()}
    return None, None


def _valves(document: str) -> str:
    """Return what fits the name of any valve of an engine, the longest first."""
    try:
        parts = json.loads(document)["engine"]["valves"]
        names = [str(one["id"]) for one in parts]
    except (ValueError, LookupError, TypeError):
        names = []
    return "|".join(re.escape(one) for one in sorted(names, key=len, reverse=True)) or r"(?!)"


def upgrade() -> None:
    op.execute("ALTER TABLE card_event RENAME COLUMN action TO said")
    op.execute("ALTER TABLE card_event DROP COLUMN digest")
    op.add_column("card_event", sa.Column("kind", sa.String(), nullable=True))
    op.add_column("card_event", sa.Column("payload", sa.JSON(), nullable=True))
    record = op.get_bind()
    query = (
        "SELECT c.id, r.document FROM card c JOIN engine_revision r ON r.id = c.engine_revision_id"
    )
    for card, document in record.exec_driver_sql(query).fetchall():
        valves = _valves(document)
        events = "SELECT id, said FROM card_event WHERE card_id = ?"
        for number, said in record.exec_driver_sql(events, (card,)).fetchall():
            kind, told = _as_data(said or "", valves)
            record.exec_driver_sql(
                "UPDATE card_event SET kind = ?, payload = ? WHERE id = ?",
                (kind, None if told is None else json.dumps(told), number),
            )

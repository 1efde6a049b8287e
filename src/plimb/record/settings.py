"""What the shop has set, by name; what it has not set is not there."""

import json
from typing import Any

from sqlalchemy import select
from sqlalchemy.orm import Session

from plimb.record.tables.shop import SecretRow, SettingRow


def kept_settings(session: Session) -> dict[str, Any]:
    """Return every setting that was set, by its name, typed as JSON has it."""
    return {
        row.name: json.loads(row.value or "null") for row in session.scalars(select(SettingRow))
    }


def keep_setting(session: Session, name: str, value: Any) -> None:
    """Set one; None is the usual again."""
    kept = None if value is None else json.dumps(value, ensure_ascii=False)
    _keep(session, SettingRow, name, kept)


def secret_of(session: Session, name: str) -> str | None:
    """Return a secret of the shop's, None where there is none."""
    return session.scalars(select(SecretRow.value).where(SecretRow.name == name)).first()


def keep_secret(session: Session, name: str, value: str) -> None:
    """Keep a secret of the shop's in place of the one before."""
    _keep(session, SecretRow, name, value)


def _keep(session: Session, kind: Any, name: str, value: str | None) -> None:
    row = session.scalars(select(kind).where(kind.name == name)).first()
    if row is None:
        row = kind(name=name)
        session.add(row)
    row.value = value

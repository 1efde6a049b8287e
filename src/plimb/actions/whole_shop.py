"""Take a whole shop out as one file and in again."""

import json
from collections.abc import Mapping
from datetime import datetime
from typing import Any

from sqlalchemy import DateTime, select
from sqlalchemy.orm import Session

from plimb.core.errors import BadValue, NotReady
from plimb.files.records import write_json
from plimb.store.copying import newest_revision
from plimb.store.database import Database
from plimb.store.engines import list_engines
from plimb.store.tables.base import Base

SHOP_FORMAT = "plimb-shop"
LARGEST_SHOP = 200_000_000


def export_shop(session: Session) -> str:
    """Return everything the shop has on record as one file: each table's rows by name."""
    tables = {}
    for table in Base.metadata.sorted_tables:
        rows = session.execute(select(table).order_by(*table.primary_key.columns)).mappings()
        tables[table.name] = [dict(row) for row in rows]
    return write_json(
        {"format": SHOP_FORMAT, "version": 1, "revision": newest_revision(), "tables": tables}
    )


def import_shop(database: Database, text: str) -> None:
    """Take a whole shop's file into an empty record, or nothing of it.

    Raises:
        NotReady: The record holds engines already.
        BadValue: The file is no shop's, or its rows do not fit together.
    """
    tables = _shop_tables(text)
    with database.reading() as session:
        if list_engines(session):
            raise NotReady("A whole shop is taken into an empty record only.", field="database")
    try:
        with database.writing() as session:
            session.connection().exec_driver_sql("PRAGMA defer_foreign_keys=ON")
            for table in Base.metadata.sorted_tables:
                session.execute(table.delete())
                rows = [_row(table, row) for row in tables.get(table.name, [])]
                if rows:
                    session.execute(table.insert(), rows)
    except BadValue:
        raise
    except Exception as error:
        reason = str(error).splitlines()[0][:160]
        raise BadValue(f"$.tables: the rows do not fit together ({reason}).",
                       field="$.tables") from None  # fmt: skip


def _shop_tables(text: str) -> Mapping[str, list[Mapping[str, Any]]]:
    if len(text) > LARGEST_SHOP:
        raise BadValue("$: the file is too large.", field="$")
    try:
        loaded = json.loads(text)
    except (ValueError, RecursionError) as error:
        raise BadValue(f"$: the file is not JSON: {error}.", field="$") from None
    if not isinstance(loaded, dict) or loaded.get("format") != SHOP_FORMAT:
        raise BadValue(f"$.format: a whole shop's file says {SHOP_FORMAT}.", field="$.format")
    if loaded.get("version") != 1 or loaded.get("revision") != newest_revision():
        raise BadValue(
            "$.revision: the file was written by another version of Plimb; use that one.",
            field="$.revision",
        )
    tables = loaded.get("tables")
    if not isinstance(tables, dict) or not all(isinstance(rows, list) for rows in tables.values()):
        raise BadValue("$.tables: each table is a list of rows.", field="$.tables")
    unknown = set(tables) - set(Base.metadata.tables)
    if unknown:
        name = min(unknown)
        raise BadValue(f"$.tables.{name}: there is no such table.", field=f"$.tables.{name}")
    return tables


def _row(table: Any, row: Any) -> dict[str, Any]:
    """Return one row's values, moments read; unknown columns are refused."""
    if not isinstance(row, dict) or set(row) != {column.name for column in table.columns}:
        raise BadValue(f"$.tables.{table.name}: a row has other columns than its table.",
                       field=f"$.tables.{table.name}")  # fmt: skip
    values = dict(row)
    for column in table.columns:
        if isinstance(column.type, DateTime) and values[column.name] is not None:
            try:
                read = datetime.fromisoformat(str(values[column.name]))
            except ValueError:
                raise BadValue(
                    f"$.tables.{table.name}.{column.name}: “{values[column.name]}” is no moment.",
                    field=f"$.tables.{table.name}",
                ) from None
            values[column.name] = read.replace(tzinfo=None)
    return values

"""Take a whole shop out as one file and in again."""

import json
from collections.abc import Mapping
from typing import Any

from sqlalchemy import Table
from sqlalchemy.orm import Session

from plimb.books.checking import faults_in
from plimb.core.errors import BadValue, NotReady
from plimb.files.open_json import write_json
from plimb.record.copying import newest_revision
from plimb.record.database import Database
from plimb.record.engines import list_engines
from plimb.record.journal import lay_triggers, lift_triggers
from plimb.record.tables.base import Base

SHOP_FORMAT = "plimb-shop"
LARGEST_SHOP = 200_000_000


_LEFT_OUT = frozenset({"sitting", "asked", "secret", "wrong_code", "instrument_line"})
"""What is of this server alone: who is signed in, what was asked for."""


def _tables() -> list[Table]:
    return [table for table in Base.metadata.sorted_tables if table.name not in _LEFT_OUT]


def export_shop(session: Session) -> str:
    """Return everything the shop has on record as one file: each table's rows as they lie there.

    The codes of its people are left out: each sets one anew where the file is taken in.
    """
    connection, tables = session.connection(), {}
    for table in _tables():
        names = [column.name for column in table.columns]
        columns = ", ".join(f'"{name}"' for name in names)
        query = f'SELECT {columns} FROM "{table.name}" ORDER BY id'
        secret = {"code": None} if table.name == "person" else {}
        rows = connection.exec_driver_sql(query)
        tables[table.name] = [{**dict(zip(names, row, strict=True)), **secret} for row in rows]
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
        with database.writing("a whole shop taken in from its file") as session:
            _fill(session, tables)
            if found := next(iter(faults_in(session)), None):
                raise BadValue(f"$.tables: {found}.", field="$.tables")
    except BadValue:
        raise
    except Exception as error:
        reason = str(error).splitlines()[0][:160]
        raise BadValue(f"$.tables: the rows do not fit together ({reason}).",
                       field="$.tables") from None  # fmt: skip


def _fill(session: Session, tables: Mapping[str, list[Mapping[str, Any]]]) -> None:
    """Put the rows in the record's tables, with the journal that they come with."""
    connection = session.connection()
    connection.exec_driver_sql("PRAGMA defer_foreign_keys=ON")
    lift_triggers(connection)
    for table in _tables():
        session.execute(table.delete())
        names = [column.name for column in table.columns]
        rows = [_row(table.name, names, row) for row in tables.get(table.name, [])]
        if rows:
            columns = ", ".join(f'"{name}"' for name in names)
            places = ", ".join("?" for _name in names)
            connection.exec_driver_sql(
                f'INSERT INTO "{table.name}" ({columns}) VALUES ({places})', rows
            )
    lay_triggers(connection)


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
    unknown = set(tables) - {table.name for table in _tables()}
    if unknown:
        name = min(unknown)
        raise BadValue(f"$.tables.{name}: there is no such table.", field=f"$.tables.{name}")
    return tables


def _row(table: str, names: list[str], row: Any) -> tuple[Any, ...]:
    """Return one row's values; unknown columns and what no column holds are refused."""
    if not isinstance(row, dict) or set(row) != set(names):
        raise BadValue(f"$.tables.{table}: a row has other columns than its table.",
                       field=f"$.tables.{table}")  # fmt: skip
    for name, value in row.items():
        if not (value is None or isinstance(value, str | int | float)):
            raise BadValue(f"$.tables.{table}.{name}: {json.dumps(value)[:80]} is no plain value.",
                           field=f"$.tables.{table}.{name}")  # fmt: skip
    return tuple(row[name] for name in names)

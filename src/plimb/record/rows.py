"""Rows and values: what is called the same goes over by its name; a row is found by its number."""

from collections.abc import Sequence
from dataclasses import fields
from functools import lru_cache
from typing import Any, TypeVar

from sqlalchemy.orm import Session

from plimb.core.errors import NotFound
from plimb.record.tables.card import CardRow
from plimb.record.tables.engine import EngineRow, NotedCheckRow
from plimb.record.tables.order import PartOrderLineRow
from plimb.record.tables.shim import ShimFamilyRow, ShimRow
from plimb.record.tables.shop import BladeSetRow, InstrumentRow

Value = TypeVar("Value")
Row = TypeVar("Row")

_CALLED: dict[Any, tuple[str, str]] = {
    CardRow: ("card", "card"),
    EngineRow: ("engine", "engine"),
    NotedCheckRow: ("check out of a notebook", "note"),
    PartOrderLineRow: ("order line", "line"),
    ShimFamilyRow: ("shim family", "family"),
    ShimRow: ("piece", "piece"),
    BladeSetRow: ("feeler set", "blades"),
    InstrumentRow: ("instrument", "instrument"),
}
"""What a person calls each kind of row, and the field it is chosen in."""


def numbered(session: Session, kind: type[Row], number: int, options: Sequence[Any] = ()) -> Row:
    """Return the row of that kind and number; NotFound where there is none."""
    row = session.get(kind, number, options=options)
    if row is None:
        called, field = _CALLED[kind]
        raise NotFound(f"There is no {called} number {number} in this shop.", field=field)
    return row


def value_of(kind: type[Value], row: object, **besides: Any) -> Value:
    """Return a value (a dataclass) read off a row by its fields' names, but for those given."""
    read = {name: getattr(row, name) for name in _names(kind) if name not in besides}  # type: ignore[arg-type]
    return kind(**read, **besides)


@lru_cache(maxsize=256)
def _names(kind: Any) -> tuple[str, ...]:
    return tuple(field.name for field in fields(kind))


_OWN = {"id", "card_id", "round_id", "supersedes_id", "engine_revision_id"}


def columns_of(kind: Any, value: object, *besides: str) -> dict[str, Any]:
    """Return what a table's columns are called and a value has of the same name."""
    names = {column.key for column in kind.__table__.columns} - _OWN - set(besides)
    return {name: getattr(value, name) for name in names if hasattr(value, name)}

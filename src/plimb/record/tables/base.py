"""What all tables share: names of constraints, and columns that hold typed values as JSON."""

from decimal import Decimal
from enum import Enum
from typing import Any, ClassVar

from pydantic import TypeAdapter
from sqlalchemy import JSON, Dialect, MetaData, String
from sqlalchemy import Enum as Kind
from sqlalchemy.orm import DeclarativeBase, Mapped, mapped_column
from sqlalchemy.types import TypeDecorator


def _values(kind: type[Enum]) -> list[str]:
    return [member.value for member in kind]


class Base(DeclarativeBase):
    """All tables, with constraint names that migrations can refer to; kinds kept by value."""

    type_annotation_map: ClassVar[dict[Any, Any]] = {
        Enum: Kind(Enum, native_enum=False, values_callable=_values)
    }
    id: Mapped[int] = mapped_column(primary_key=True, sort_order=-1)
    metadata = MetaData(
        naming_convention={
            "ix": "ix_%(column_0_label)s",
            "uq": "uq_%(table_name)s_%(column_0_name)s",
            "ck": "ck_%(table_name)s_%(constraint_name)s",
            "fk": "fk_%(table_name)s_%(column_0_name)s_%(referred_table_name)s",
            "pk": "pk_%(table_name)s",
        }
    )


class DecimalText(TypeDecorator[Decimal]):
    """A column of decimal numbers, kept as they are written."""

    impl = String
    cache_ok = True

    def process_bind_param(self, value: Decimal | None, dialect: Dialect) -> str | None:
        """Return what is kept."""
        return None if value is None else f"{value:f}"

    def process_result_value(self, value: Any, dialect: Dialect) -> Decimal | None:
        """Return what was kept."""
        return None if value is None else Decimal(value)


class Values(TypeDecorator[Any]):
    """A column of typed values, kept as JSON: what goes in and comes out is of that type."""

    impl = JSON(none_as_null=True)
    cache_ok = True

    def __init__(self, of: Any) -> None:
        super().__init__()
        self.of = of
        self._adapter: TypeAdapter[Any] = TypeAdapter(of)

    def process_bind_param(self, value: Any, dialect: Dialect) -> Any:
        """Return what is kept."""
        if value is None:
            return None
        return self._adapter.dump_python(self._adapter.validate_python(value), mode="json")

    def process_result_value(self, value: Any, dialect: Dialect) -> Any:
        """Return what was kept, typed."""
        return None if value is None else self._adapter.validate_python(value)

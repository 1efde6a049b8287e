"""What every request and answer is made of; answers are read off the values they show.

An answer's field is read off the attribute of its name, or of its name and `_nm` for a length.
Lengths carry nanometres and both readings, gaps how they are written in short.
"""

from __future__ import annotations

from datetime import datetime
from decimal import Decimal
from functools import lru_cache
from typing import Annotated, Any

from apiflask.schema_adapters.pydantic import PydanticAdapter
from apiflask.schema_adapters.registry import registry
from pydantic import (
    AliasChoices,
    AliasGenerator,
    AliasPath,
    BaseModel,
    BeforeValidator,
    ConfigDict,
    Field,
)

from plimb.core.lengths import Unit, show_mm, show_thou
from plimb.core.measure.gap import Gap


class Sent(BaseModel):
    model_config = ConfigDict(extra="forbid", strict=True)


def _read_as(name: str) -> AliasChoices:
    """Return what the value that a field is read off may be called."""
    return AliasChoices(name, f"{name}_nm")


class Answer(BaseModel):
    model_config = ConfigDict(
        frozen=True,
        from_attributes=True,
        alias_generator=AliasGenerator(validation_alias=_read_as),
        populate_by_name=True,
        json_schema_serialization_defaults_required=True,
    )


def off(*steps: str) -> Any:
    """Return a field that is read off further inside: `off("status", "record", "found")`."""
    return Field(validation_alias=AliasPath(*steps))


class ReadOff(PydanticAdapter):
    """Answers are described as they are sent, not as they are read."""

    def get_openapi_schema(self, **kwargs: Any) -> dict[str, Any]:
        """Return the schema of what is sent: requests as they come in, answers as they go out."""
        sent = issubclass(self.model_class, Answer)
        mode = "serialization" if sent else "validation"
        return super().get_openapi_schema(**{**kwargs, "mode": mode})


registry.register("pydantic", ReadOff)

Text = Annotated[str, Field(max_length=200)]
Key = Annotated[str, Field(min_length=8, max_length=64)]


class ChangeIn(Sent):
    """The version the sender saw, and the sender's own name for this act."""

    version: int
    key: Key

    def said(self) -> dict[str, Any]:
        """Return what was sent besides, by name."""
        besides = type(self).model_fields.keys() - ChangeIn.model_fields.keys()
        return {name: getattr(self, name) for name in besides}


class LengthOut(BaseModel):
    """A length: integer nanometres, and as read in mm and in thou."""

    model_config = ConfigDict(frozen=True)

    nm: int
    mm: str
    thou: str


@lru_cache(maxsize=16_384)
def _length(nm: int) -> LengthOut:
    """Return the length as it goes over the wire; the same few are sent again and again."""
    return LengthOut(nm=nm, mm=show_mm(nm), thou=show_thou(nm))


Length = Annotated[LengthOut, BeforeValidator(_length)]


class GapOut(BaseModel):
    """A gap: an interval with its best number, and how it is written in short."""

    model_config = ConfigDict(frozen=True)

    low: LengthOut | None
    high: LengthOut
    is_point: bool
    mm: str
    thou: str


def _gap(gap: Gap) -> GapOut:
    return GapOut(
        low=None if gap.low_nm is None else _length(gap.low_nm),
        high=_length(gap.high_nm),
        is_point=gap.is_point,
        mm=gap.words(Unit.MM),
        thou=gap.words(Unit.INCH),
    )


ShownGap = Annotated[GapOut, BeforeValidator(_gap)]


def _moment(moment: datetime) -> str:
    return f"{moment:%Y-%m-%dT%H:%M:%S}Z"


Moment = Annotated[str, BeforeValidator(_moment)]
"""A moment as ISO 8601 in UTC."""


def _number(number: Decimal) -> str:
    return f"{number:f}"


Number = Annotated[str, BeforeValidator(_number)]
"""A decimal number as it is written."""


class RefusalOut(Answer):
    """Every refusal: a stable code, a sentence, the field at fault, what could be typed instead."""

    code: str
    sentence: str
    field: str | None
    offers: list[str]

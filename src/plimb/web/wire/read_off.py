"""What requests and answers are made of: both are read off the acts and values behind them.

An answer of a value has the value's fields, a length without its `_nm`; what is not sent is named,
and what goes out otherwise is written down. A request has what its act takes. Lengths carry
nanometres and both readings, gaps how they are written in short.
"""

from collections.abc import Callable, Mapping, Sequence
from dataclasses import fields, is_dataclass
from datetime import date, datetime
from decimal import Decimal
from functools import lru_cache
from types import UnionType
from typing import Annotated, Any, TypeVar, Union, get_args, get_origin, get_type_hints

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
    create_model,
)

from plimb.card.said import first_line
from plimb.core.lengths import Unit, show_inch, show_mm, show_thou
from plimb.core.measure.gap import Gap


class LengthOut(BaseModel):
    """A length: integer nanometres, and as read in mm, in thou, and, a shim, in inches."""

    model_config = ConfigDict(frozen=True)

    nm: int
    mm: str
    thou: str
    inch: str


@lru_cache(maxsize=16_384)
def _length(nm: int) -> LengthOut:
    """Return the length as it goes over the wire; the same few are sent again and again."""
    return LengthOut(nm=nm, mm=show_mm(nm), thou=show_thou(nm), inch=show_inch(nm))


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


def _read_as(name: str) -> AliasChoices:
    """Return what the value that a field is read off may be called."""
    return AliasChoices(name, f"{name}_nm")


def read_from(*steps: str) -> Any:
    """Return a field that is read off further inside: `read_from("status", "record", "found")`."""
    return Field(validation_alias=AliasPath(*steps))


def _day(day: date) -> str:
    return day.isoformat()


Day = Annotated[str, BeforeValidator(_day)]
"""A day as ISO 8601."""

_SENT_AS: dict[Any, Any] = {Gap: ShownGap, datetime: Moment, date: Day, Decimal: Number}
"""What goes out for a value of a kind; each answer of a value is added."""


def _sent_as(kind: Any, known: Mapping[Any, Any]) -> Any:
    """Return the kind that goes out for a kind of value."""
    origin, inside = get_origin(kind), get_args(kind)
    if origin in (Union, UnionType):
        return Union[tuple(_sent_as(member, known) for member in inside)]  # noqa: UP007
    if origin in (tuple, list, Sequence):
        return list[_sent_as(inside[0], known)]  # type: ignore[misc]
    if is_dataclass(kind) and kind not in known:
        raise TypeError(f"no answer is made of {kind}, which goes out inside another")
    return known.get(kind, kind)


class Answer(BaseModel):
    model_config = ConfigDict(
        frozen=True,
        from_attributes=True,
        alias_generator=AliasGenerator(validation_alias=_read_as),
        populate_by_name=True,
        json_schema_serialization_defaults_required=True,
    )


Made = TypeVar("Made", bound=Answer)


def read_off(of: type, without: Sequence[str] = ()) -> Callable[[type[Made]], type[Made]]:
    """Give an answer the fields of a value that it does not write down itself, but for some."""

    def make(answer: type[Made]) -> type[Made]:
        hints, taken = get_type_hints(of), dict[str, Any]()
        for field in fields(of):
            called = field.name.removesuffix("_nm")
            if called not in answer.model_fields and field.name not in without:
                known = _SENT_AS if called == field.name else {int: Length}
                taken[called] = (_sent_as(hints[field.name], known), ...)
        made = create_model(answer.__name__, __base__=answer, __doc__=answer.__doc__, **taken)
        _SENT_AS[of] = made
        return made

    return make


def answer_of(of: type, name: str, without: Sequence[str] = ()) -> type[Answer]:
    """Return the answer that has just the fields of a value, but for some."""
    return read_off(of, without)(create_model(name, __base__=Answer, __doc__=first_line(of)))


class ReadOff(PydanticAdapter):
    """Answers are described as they are sent, not as they are read."""

    def get_openapi_schema(self, **kwargs: Any) -> dict[str, Any]:
        """Return the schema of what is sent: requests as they come in, answers as they go out."""
        sent = issubclass(self.model_class, Answer)
        mode = "serialization" if sent else "validation"
        return super().get_openapi_schema(**{**kwargs, "mode": mode})


registry.register("pydantic", ReadOff)


class RefusalOut(Answer):
    """Every refusal: a stable code, a sentence, the field at fault, what could be typed instead."""

    code: str
    sentence: str
    field: str | None
    offers: list[str]

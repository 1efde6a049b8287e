"""What is said with an act: read off the act's own parameters, each of its kind and no longer.

A request has what its act takes, by name; a value inside it is sent as its fields.
"""

from collections.abc import Callable
from decimal import Decimal
from enum import Enum
from inspect import Parameter, signature
from types import UnionType
from typing import Annotated, Any, Union, get_args, get_origin

from pydantic import AfterValidator, BaseModel, ConfigDict, Field, create_model, model_validator

Text = Annotated[str, Field(max_length=200)]
Short = Annotated[str, Field(max_length=16)]
Brief = Annotated[str, Field(max_length=12)]
Reason = Annotated[str, Field(max_length=500)]
Long = Annotated[str, Field(max_length=2000)]
LONGEST_NOTE = 4000
Note = Annotated[str, Field(max_length=LONGEST_NOTE)]
Price = Annotated[Decimal | None, Field(strict=False, allow_inf_nan=False)]
Key = Annotated[str, Field(min_length=8, max_length=64)]


MOST = 2**53
"""As large as a number may be: up to here every program that reads JSON has it exactly."""

Skipped = Annotated[int, Field(ge=0, le=MOST)]
"""From the so-manieth line of a list on."""


def _numbers_fit(sent: Any) -> Any:
    """Refuse what holds a number that the record could not."""
    if isinstance(sent, dict):
        for part in sent.values():
            _numbers_fit(part)
    elif isinstance(sent, list):
        for part in sent:
            _numbers_fit(part)
    elif isinstance(sent, int) and not -MOST <= sent <= MOST:
        raise ValueError("a number in it is far too large")
    return sent


class Sent(BaseModel):
    """What is sent: just these fields, each of its kind."""

    model_config = ConfigDict(extra="forbid", strict=True)

    @model_validator(mode="before")
    @classmethod
    def _fits(cls, sent: Any) -> Any:
        return _numbers_fit(sent)

    def said(self) -> dict[str, Any]:
        """Return what was sent, by name."""
        return {name: getattr(self, name) for name in type(self).model_fields}


class ChangeIn(Sent):
    """The version the sender saw, and the sender's own name for this act."""

    version: int
    key: Key

    def said(self) -> dict[str, Any]:
        """Return what was sent besides, by name."""
        return {k: v for k, v in super().said().items() if k not in ChangeIn.model_fields}


def sent_to(
    name: str,
    act: Callable[..., Any],
    base: type[Sent] = Sent,
    *,
    whole: bool = False,
    **otherwise: Any,
) -> Any:
    """Return the request that carries what an act takes by name.

    What the route knows itself (`now`, what is in the address) is given as None in `otherwise`,
    as is the kind of a field that is sent in another form or length. Of a `whole` request every
    field must be sent, even where the act does without.
    """
    taken: dict[str, Any] = {}
    for part in signature(act, eval_str=True).parameters.values():
        kind = otherwise.get(part.name, _understood(part.annotation))
        if part.name not in ("on", "database") and kind is not None:
            needed = whole or part.default is Parameter.empty
            taken[part.name] = (kind, ... if needed else part.default)
    return create_model(name, __base__=base, __doc__=first_line(act), **taken)


def inside(name: str, of: type, **otherwise: Any) -> Any:
    """Return the kind of a field that carries a whole value: sent as its fields, given as it."""
    sent = sent_to(name, of, **otherwise)
    return Annotated[sent, AfterValidator(lambda one: of(**one.said()))]


def listed(kind: Any, most: int) -> Any:
    """Return the kind of a field that carries so many of a kind at most."""
    return Annotated[list[kind], Field(max_length=most), AfterValidator(tuple)]


def _understood(kind: Any) -> Any:
    """Return the kind that is understood where an act takes a kind of value."""
    if get_origin(kind) in (Union, UnionType):
        return Union[tuple(_understood(member) for member in get_args(kind))]  # noqa: UP007
    if isinstance(kind, type) and issubclass(kind, Enum):
        return Annotated[kind, Field(strict=False)]
    return Text if kind is str else kind


def payload_of(do: Callable[..., Any]) -> Callable[[dict[str, Any]], dict[str, Any]]:
    """Return what makes of all that was said with an act, by name, what is kept of it: as JSON."""
    kinds = {
        part.name: (part.annotation, ...)
        for part in list(signature(do, eval_str=True).parameters.values())[1:]
    }
    model = create_model(f"{do.__name__}_said", __config__=ConfigDict(extra="forbid"), **kinds)  # type: ignore[call-overload]

    def kept(said: dict[str, Any]) -> dict[str, Any]:
        written: dict[str, Any] = model.model_validate(said).model_dump(mode="json")
        return written

    return kept


def first_line(of: Any) -> str:
    """Return what the first line of something's documentation says."""
    return (of.__doc__ or "").partition("\n")[0]

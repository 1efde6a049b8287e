"""Open JSON: read exactly, checked by a model, and refused with the path of the first fault."""

import hashlib
import json
from collections.abc import Collection, Iterator
from contextlib import contextmanager
from dataclasses import asdict, is_dataclass
from datetime import date, datetime
from decimal import Decimal, DecimalException
from typing import Any, NoReturn, TypeVar

from pydantic import BaseModel, ValidationError

from plimb.core.errors import BadValue

Whole = TypeVar("Whole", bound=BaseModel)

LARGEST_FILE = 4_000_000
"""A card or engine file of more bytes than this is refused unread."""


def validated(
    model: type[Whole], text: str, *, exact: bool = False, besides: Collection[str] = ()
) -> Whole:
    """Return the JSON text as a model of the format.

    Args:
        model: The format.
        text: The file.
        exact: Refuse what the format does not know, as at the door; what is on record already
            may have been written by a version that knew less.
        besides: What the whole may say besides, for somebody else to read.

    Raises:
        BadValue: It is not JSON, names a field twice, carries NaN or infinity, is too long or
            breaks the format; the field is the JSON path of the first fault.
    """
    if len(text) > LARGEST_FILE:
        raise BadValue(f"$: a file has at most {LARGEST_FILE} characters.", field="$")
    try:
        loaded: Any = json.loads(
            text,
            parse_float=Decimal,
            parse_constant=_no_constant,
            object_pairs_hook=_each_once,
        )
    except BadValue:
        raise
    except (ValueError, RecursionError, DecimalException) as error:
        raise BadValue(f"$: the file is not JSON: {error}.", field="$") from None
    try:
        read = model.model_validate(loaded)
        if exact:
            _refuse_unknown(read, besides)
        return read
    except ValidationError as error:
        first = error.errors()[0]
        path = "$" + "".join(
            f"[{step}]" if isinstance(step, int) else f".{step}" for step in first["loc"]
        )
        refusal = first.get("ctx", {}).get("error")
        said = refusal.sentence if isinstance(refusal, BadValue) else f"{first['msg']}."
        raise BadValue(f"{path}: {said}", field=path) from None
    except RecursionError:
        raise BadValue("$: the file is nested too deeply.", field="$") from None


def _refuse_unknown(read: BaseModel, besides: Collection[str]) -> None:
    for path in _unknown(read, "$"):
        if path.removeprefix("$.") not in besides:
            raise BadValue(f"{path}: the format knows no such field.", field=path)


def _unknown(read: Any, path: str) -> Iterator[str]:
    """Give the path of every field that a model does not know."""
    if isinstance(read, BaseModel):
        yield from (f"{path}.{name}" for name in read.model_extra or {})
        for name, field in type(read).model_fields.items():
            yield from _unknown(getattr(read, name), f"{path}.{field.alias or name}")
    elif isinstance(read, list | tuple):
        for place, part in enumerate(read):
            yield from _unknown(part, f"{path}[{place}]")
    elif isinstance(read, dict):
        for name, part in read.items():
            yield from _unknown(part, f"{path}.{name}")


@contextmanager
def at_path(path: str) -> Iterator[None]:
    """Name the JSON path in a refusal that comes from inside."""
    try:
        yield
    except BadValue as refusal:
        if (refusal.field or "").startswith("$"):
            raise
        raise BadValue(f"{path}: {refusal.sentence}", field=path) from None


def _no_constant(name: str) -> NoReturn:
    raise BadValue(f"$: the file carries {name}, which is no number.", field="$")


def _each_once(pairs: list[tuple[str, Any]]) -> dict[str, Any]:
    found = dict(pairs)
    if len(found) < len(pairs):
        names = [name for name, _value in pairs]
        twice = next(name for name in names if names.count(name) > 1)
        raise BadValue(f"$: the field “{twice[:40]}” stands twice in one object.", field="$")
    return found


def write_json(document: Any) -> str:
    """Return a document as JSON, the same text for the same document."""
    return json.dumps(document, ensure_ascii=False, indent=1, default=_plain) + "\n"


def plain(document: Any) -> Any:
    """Return a document of what JSON has: its numbers as they are written."""
    return json.loads(write_json(document))


def fingerprint(document: Any) -> str:
    """Return the SHA-256 of a document's JSON text."""
    return hashlib.sha256(write_json(document).encode()).hexdigest()


def _plain(value: Any) -> Any:
    if isinstance(value, Decimal):
        return float(value) if value != value.to_integral_value() else int(value)
    if isinstance(value, datetime):
        return f"{value:%Y-%m-%dT%H:%M:%S}Z"
    if isinstance(value, date):
        return value.isoformat()
    if is_dataclass(value) and not isinstance(value, type):
        return asdict(value)
    raise TypeError(f"{type(value).__name__} has no place in a file")

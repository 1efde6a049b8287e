"""Open JSON: read exactly, checked by a model, and refused with the path of the first fault."""

import json
from collections.abc import Iterator
from contextlib import contextmanager
from decimal import Decimal, DecimalException
from typing import Any, NoReturn, TypeVar

from pydantic import BaseModel, ValidationError

from plimb.core.errors import BadValue

Whole = TypeVar("Whole", bound=BaseModel)

LARGEST_FILE = 4_000_000
"""A card or engine file of more bytes than this is refused unread."""


def validated(model: type[Whole], text: str) -> Whole:
    """Return the JSON text as a model of the format.

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
        return model.model_validate(loaded)
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

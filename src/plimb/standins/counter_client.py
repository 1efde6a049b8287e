"""Ask a parts counter for prices and place orders with it, over its open JSON interface."""

import json
from collections.abc import Sequence
from dataclasses import asdict, dataclass
from typing import Annotated, Any, Literal
from urllib.error import HTTPError, URLError
from urllib.request import Request, urlopen

from pydantic import Field, TypeAdapter, ValidationError

from plimb.core.errors import CounterAway

PATIENCE_S = 4.0


@dataclass(frozen=True, slots=True, kw_only=True)
class Wanted:
    """One size to ask for or to order. A family without a diameter asks with 0."""

    diameter_nm: int
    thickness_nm: int
    count: int


@dataclass(frozen=True, slots=True, kw_only=True)
class Answered:
    """What the counter said of one size."""

    thickness_nm: int
    diameter_nm: int
    count: int
    state: Literal["ready", "back-ordered", "refused"]
    price: str | None
    days: int
    says: Annotated[str, Field(max_length=200)]


_LINES = TypeAdapter(tuple[Answered, ...])


def ask_prices(address: str | None, wanted: Sequence[Wanted]) -> tuple[Answered, ...]:
    """Return what the counter has and asks for; nothing is ordered.

    Raises:
        CounterAway: It does not answer, or says what cannot be understood.
    """
    return _answered(
        _send(address, "/quotes", {"lines": [asdict(line) for line in wanted]}), wanted
    )


def place_order(
    address: str | None, key: str, wanted: Sequence[Wanted]
) -> tuple[str, tuple[Answered, ...]]:
    """Order, and return the counter's number for the order and what it said of each size.

    Raises:
        CounterAway: It does not answer; sent again with the same key it is ordered once.
    """
    body = _send(address, "/orders", {"key": key, "lines": [asdict(line) for line in wanted]})
    return str(body.get("number", "")), _answered(body, wanted)


def _send(address: str | None, path: str, body: dict[str, Any]) -> dict[str, Any]:
    if address is None:
        raise CounterAway(
            "No parts counter is connected. Take the list along as CSV instead.", field="counter"
        )
    sent = Request(
        address + path,
        data=json.dumps(body).encode(),
        headers={"Content-Type": "application/json"},
        method="POST",
    )
    try:
        with urlopen(sent, timeout=PATIENCE_S) as answer:
            read: Any = json.loads(answer.read(1_000_000))
    except HTTPError as error:
        error.close()
        raise CounterAway(
            f"The parts counter refused the order ({error.code}). Take the list along as CSV "
            "instead.",
            field="counter",
        ) from None
    except (URLError, OSError, ValueError):
        raise CounterAway(
            "The parts counter does not answer. Nothing was ordered twice: try again, or take the "
            "list along as CSV.",
            field="counter",
        ) from None
    return read if isinstance(read, dict) else {}


def _answered(body: dict[str, Any], wanted: Sequence[Wanted]) -> tuple[Answered, ...]:
    try:
        lines = _LINES.validate_python(body.get("lines"))
    except ValidationError:
        lines = ()
    sent = [(w.diameter_nm, w.thickness_nm, w.count) for w in wanted]
    if [(a.diameter_nm, a.thickness_nm, a.count) for a in lines] != sent:
        raise CounterAway(
            "The parts counter's answer cannot be understood. Take the list along as CSV instead.",
            field="counter",
        )
    return lines

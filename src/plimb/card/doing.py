"""How every act on a card is done, by its kind; each is at hand once this module is."""

from collections.abc import Mapping
from typing import Any

from pydantic import ValidationError

from plimb.card.acting import DOING as DOING
from plimb.card.acts import (  # noqa: F401  # each does its acts
    choose,
    correct,
    feel,
    fit,
    next_round,
    note,
    read,
    ready,
    remembering,
    sign,
    together,
    undo,
)
from plimb.core.errors import BadValue


def check_payload(kind: str, payload: Mapping[str, Any], path: str) -> None:
    """Refuse an act of a known kind with which something else was said: BadValue.

    What an act of a kind that this version does not know says is kept as it is, and only shown.
    """
    doing = DOING.get(kind)
    if doing is None:
        return
    try:
        doing.payload(dict(payload))
    except ValidationError as refusal:
        place = ".".join(str(part) for part in refusal.errors()[0]["loc"])
        at = f"{path}.{place}".rstrip(".")
        raise BadValue(f"{at}: this is not what an act “{kind}” says.", field=at) from None

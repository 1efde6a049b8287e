"""How every act on a card is done, by its kind; each is at hand once this module is."""

from collections.abc import Mapping
from typing import Any

from pydantic import ValidationError

from plimb.actions import (  # noqa: F401  # each does its acts
    choosing,
    correcting,
    fitting,
    noting,
    readings,
    remembering,
    rounds,
    shims,
    signing,
    taking_back,
    together,
)
from plimb.actions.cards import DOING as DOING
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
        place = ".".join(str(one) for one in refusal.errors()[0]["loc"])
        at = f"{path}.{place}".rstrip(".")
        raise BadValue(f"{at}: this is not what an act “{kind}” says.", field=at) from None

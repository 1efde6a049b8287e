"""Where a card's file comes from: which shop's, which card there, under which key."""

import hashlib
import json
from collections.abc import Mapping
from typing import Annotated, Any

from pydantic import ConfigDict, Field

from plimb.files.engine_parts import FilePart
from plimb.files.open_json import write_json


class OriginPart(FilePart):
    """The shop that wrote the file, the card's number there, its key and its signature."""

    model_config = ConfigDict(extra="forbid")

    shop: Annotated[str, Field(max_length=200)]
    card: Annotated[int, Field(ge=1)]
    public: Annotated[str, Field(pattern=r"^[A-Za-z0-9_-]{43}$")]
    signature: Annotated[str, Field(pattern=r"^[A-Za-z0-9_-]{86}$")]


def signed_text(document: Mapping[str, Any], shop: str, card: int) -> str:
    """Return the text that a file's signature is under: all of it but where it comes from."""
    rest = {name: value for name, value in document.items() if name != "origin"}
    plain = json.loads(write_json(rest))
    text = json.dumps(plain, sort_keys=True, ensure_ascii=False, separators=(",", ":"))
    return f"plimb-card\n{shop}\n{card}\n{hashlib.sha256(text.encode()).hexdigest()}"

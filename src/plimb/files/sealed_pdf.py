"""A sheet that carries its own record: the card as an attachment, signed with what is shown.

The signature covers the card and every page as it is drawn, fonts and all: neither can be
changed or exchanged without the other.
"""

import hashlib
import io
import json
from collections.abc import Callable
from typing import Any

from pypdf import PdfReader, PdfWriter
from pypdf.errors import PyPdfError
from pypdf.generic import ArrayObject, DictionaryObject, IndirectObject, StreamObject

from plimb.files.apart import SealedCard
from plimb.files.open_json import fingerprint, write_json
from plimb.files.plain_pdf import is_plain

ATTACHED = "plimb-card.json"
FORMAT = "plimb-sealed-card"
_MOST_ATTACHED = 8_000_000
_DEEPEST = 60
_ROOT = frozenset({"/PageMode", "/Pages", "/Type", "/Names", "/Outlines"})
"""What stands at the root of a sheet."""
_NOT_DRAWN = frozenset({"/Parent", "/Length", "/Filter", "/DecodeParms"})
"""What points back to all pages, and how a stream happens to be packed."""


def with_card(pdf: bytes, document: Any, public: str, sign: Callable[[str], str]) -> bytes:
    """Return a sheet with the card attached, under a signature.

    Args:
        pdf: The sheet.
        document: The card as the document its file holds.
        public: The public part of the key that signs.
        sign: Signs a text with it.
    """
    card = json.loads(write_json(document))
    said = {
        "format": FORMAT,
        "version": 1,
        "card": card,
        "public": public,
        "signature": sign(_signed_text(card, PdfReader(io.BytesIO(pdf)))),
    }
    writer = PdfWriter(clone_from=io.BytesIO(pdf))
    for name in {*writer.root_object} - _ROOT:  # how it is opened is nobody's to say
        del writer.root_object[name]
    writer.add_attachment(ATTACHED, json.dumps(said, ensure_ascii=False).encode())
    out = io.BytesIO()
    writer.write(out)
    return out.getvalue()


def card_in(pdf: bytes) -> SealedCard | None:
    """Return the card that a sheet carries, or None where it carries none that can be read."""
    try:
        reader = PdfReader(io.BytesIO(pdf))
        found = reader.attachments.get(ATTACHED) or []
        if len(found) != 1 or len(found[0]) > _MOST_ATTACHED:
            return None
        said = json.loads(found[0])
        if said["format"] != FORMAT or said["version"] != 1 or not isinstance(said["card"], dict):
            return None
        # what could be seen otherwise by another reader is under no signature
        plain = is_plain(pdf) and not {*reader.root_object} - _ROOT
        return SealedCard(
            document=said["card"],
            public=str(said["public"]),
            signature=str(said["signature"]),
            signed=_signed_text(said["card"], reader) if plain else "",
        )
    except (PyPdfError, ValueError, KeyError, TypeError, AttributeError, RecursionError, OSError):
        return None


class _TooDeep(Exception):
    """Something on a page points back to it: no sheet of ours does."""


def _signed_text(card: Any, reader: PdfReader) -> str:
    """Return the text that the signature is under: the card's hash and that of the pages."""
    digest = hashlib.sha256()
    try:
        for page in reader.pages:
            _tell(page, digest.update, 0)
    except _TooDeep:
        return ""
    return f"{FORMAT}\n{fingerprint(card)}\n{digest.hexdigest()}"


def _tell(one: Any, update: Callable[[bytes], None], depth: int) -> None:
    """Tell all of an object that is drawn, whatever its number in the file."""
    if depth > _DEEPEST:
        raise _TooDeep
    if isinstance(one, IndirectObject):
        one = one.get_object()
    if isinstance(one, DictionaryObject):
        update(b"<<")
        for name in sorted(one):
            if name not in _NOT_DRAWN:
                update(name.encode())
                _tell(one.raw_get(name), update, depth + 1)
        if isinstance(one, StreamObject):
            update(hashlib.sha256(one.get_data()).digest())
        update(b">>")
    elif isinstance(one, ArrayObject):
        update(b"[")
        for inner in list.__iter__(one):
            _tell(inner, update, depth + 1)
        update(b"]")
    else:
        update(f"{type(one).__name__} {one}\n".encode())

"""The shop's own key: its signature under sheets and files, kept beside the record."""

import base64
import os
from functools import lru_cache
from pathlib import Path

from cryptography.exceptions import InvalidSignature
from cryptography.hazmat.primitives.asymmetric.ed25519 import (
    Ed25519PrivateKey,
    Ed25519PublicKey,
)
from cryptography.hazmat.primitives.serialization import (
    Encoding,
    NoEncryption,
    PrivateFormat,
    PublicFormat,
    load_pem_private_key,
)

from plimb.core.errors import BadValue
from plimb.record import database

PUBLIC_LENGTH = 43
"""How many characters the public part of a key is written in (RFC 8032, base64url)."""


class ShopKey:
    """An Ed25519 key (RFC 8032); `public` is its public part as text."""

    def __init__(self, private: Ed25519PrivateKey) -> None:
        self._private = private
        raw = private.public_key().public_bytes(Encoding.Raw, PublicFormat.Raw)
        self.public = _written(raw)

    def sign(self, text: str) -> str:
        """Return the signature under a text."""
        return _written(self._private.sign(text.encode()))


def key_path(record: Path) -> Path:
    """Return where the key of a record lies: beside it."""
    return record.with_name(f"{record.stem}.key")


def key_of(record: Path) -> ShopKey:
    """Return the key of a record's shop; it is made where there is none.

    Raises:
        BadValue: The file is there and is no key.
    """
    path = key_path(record)
    if not path.exists():
        _make(path)
    return _load(path, path.stat().st_mtime_ns)


def key_at_hand(record: Path) -> ShopKey | None:
    """Return the key of a record's shop, None where there is none and none can be made."""
    if not key_path(record).exists() and not database.is_writable(record):
        return None
    return key_of(record)


@lru_cache(maxsize=8)
def _load(path: Path, _written_at: int) -> ShopKey:
    try:
        private = load_pem_private_key(path.read_bytes(), None)
    except (ValueError, TypeError):
        private = None
    if not isinstance(private, Ed25519PrivateKey):
        raise BadValue(
            f"key: {path.name} beside the record is not the shop's key; put back its copy, or "
            "take it away and a new one is made.",
            field="database",
        )
    return ShopKey(private)


def _make(path: Path) -> None:
    pem = Ed25519PrivateKey.generate().private_bytes(
        Encoding.PEM, PrivateFormat.PKCS8, NoEncryption()
    )
    write_for_owner(path, pem)


def write_for_owner(path: Path, content: bytes) -> None:
    """Write a file that its owner alone can read, whole or not at all."""
    half = path.with_name(f"{path.name}.part")
    half.unlink(missing_ok=True)
    with os.fdopen(os.open(half, os.O_CREAT | os.O_EXCL | os.O_WRONLY, 0o600), "wb") as file:
        file.write(content)
        file.flush()
        os.fsync(file.fileno())
    half.replace(path)


def is_signed(public: str, signature: str, text: str) -> bool:
    """Return whether a signature under a text is of the key with that public part."""
    try:
        key = Ed25519PublicKey.from_public_bytes(_read(public))
        key.verify(_read(signature), text.encode())
    except (InvalidSignature, ValueError):
        return False
    return True


def is_public(text: str) -> bool:
    """Return whether a text is the public part of a key."""
    try:
        Ed25519PublicKey.from_public_bytes(_read(text))
    except ValueError:
        return False
    return len(text) == PUBLIC_LENGTH


def _written(raw: bytes) -> str:
    return base64.urlsafe_b64encode(raw).decode().rstrip("=")


def _read(text: str) -> bytes:
    return base64.b64decode(text + "=" * (-len(text) % 4), altchars=b"-_", validate=True)

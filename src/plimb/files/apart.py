"""Read a PDF in a process of its own, which is given up where it takes too long or too much.

A file that somebody sends may be made so that reading it never ends. What reads it has so much
time and memory and no more, and so many read at once and no more: nobody else waits for it.
"""

import json
import subprocess
import sys
from dataclasses import asdict, dataclass
from threading import BoundedSemaphore
from typing import Any

from plimb.core.errors import BadValue, NotReady
from plimb.files.open_json import fingerprint

PATIENCE_S = 10
MOST_MEMORY = 500_000_000
AT_ONCE = 2

_places = BoundedSemaphore(AT_ONCE)


@dataclass(frozen=True, slots=True, kw_only=True)
class SealedCard:
    """What a sheet carries: the card's document, whose key it is under, and whether it holds."""

    document: dict[str, Any]
    public: str
    signature: str
    signed: str

    @property
    def fingerprint(self) -> str:
        """The SHA-256 of the card's file."""
        return fingerprint(self.document)


def card_apart(pdf: bytes) -> SealedCard | None:
    """Return the card that a sheet carries, or None where it carries none that can be read.

    Raises:
        BadValue: It was not read through within ten seconds.
        NotReady: Others are read already, as many as at once.
    """
    if not _places.acquire(blocking=False):
        raise NotReady(
            f"{AT_ONCE} other files are checked just now. Try again in some seconds.", field="file"
        )
    try:
        read = subprocess.run(
            [sys.executable, "-m", __name__], input=pdf, capture_output=True,
            timeout=PATIENCE_S, check=False,
        )  # fmt: skip
    except subprocess.TimeoutExpired:
        raise BadValue(
            f"This PDF could not be read within {PATIENCE_S} seconds: it is no sheet of Plimb's.",
            field="file",
        ) from None
    finally:
        _places.release()
    said = json.loads(read.stdout) if read.returncode == 0 else None
    return SealedCard(**said) if said else None


def main() -> None:
    """Read a PDF from standard input and say as JSON what it carries."""
    from plimb.files.sealed_pdf import card_in  # what reads PDFs is loaded in here alone

    _limit()
    found = card_in(sys.stdin.buffer.read())
    print(json.dumps(asdict(found) if found else None))


def _limit() -> None:
    """Take no more memory and time than is given, where the system can hold one to it."""
    try:
        import resource  # not on every system
    except ImportError:
        return
    resource.setrlimit(resource.RLIMIT_AS, (MOST_MEMORY, MOST_MEMORY))
    resource.setrlimit(resource.RLIMIT_CPU, (PATIENCE_S, PATIENCE_S))


if __name__ == "__main__":
    main()

"""What is made over the wire is made once: a request that comes again is answered again.

The sender's key comes as `Idempotency-Key`; the same key with something else is refused.
"""

import hashlib
from collections.abc import Callable
from functools import wraps
from typing import Any, TypeVar

from flask import request

from plimb.core.errors import BadValue
from plimb.record.idempotency import DoneBefore, asked_with
from plimb.web.wire.request import now

Made = TypeVar("Made")
HEADER = "Idempotency-Key"


def idempotent(
    shown: Callable[[str], Made],
) -> Callable[[Callable[..., Made]], Callable[..., Made]]:
    """Answer a request once done with what it made, `shown` by its number as it now stands."""

    def make(answer: Callable[..., Made]) -> Callable[..., Made]:
        @wraps(answer)
        def answered(*args: Any, **said: Any) -> Made:
            key = request.headers.get(HEADER)
            if key is None:
                return answer(*args, **said)
            if not 8 <= len(key) <= 64:
                raise BadValue(f"{HEADER}: of 8 to 64 signs.", field=HEADER)
            whole = f"{request.method} {request.path}\n".encode() + request.get_data()
            try:
                with asked_with(key, hashlib.sha256(whole).hexdigest(), now()):
                    return answer(*args, **said)
            except DoneBefore as before:
                return shown(before.made)

        return answered

    return make

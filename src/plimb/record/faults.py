"""Plain words for what goes wrong around a record: the disk, its rights, the file itself."""

from errno import EACCES, EDQUOT, ENOSPC, EROFS

_FULL = ("disk is full", "no space left")
_SAID = (
    (_FULL, "The disk is full: nothing was saved. Make room, then do "
     "it again."),
    (("readonly", "read-only"), "The record, or its folder, cannot be written: nothing was saved. "
     "Give this user the right to write there."),
    (("malformed", "not a database", "disk image"), "The record is damaged. Stop, copy the file as "
     "it is, and put back a copy: plimb restore FILE."),
    (("unable to open",), "The record cannot be opened: look whether its folder is there and this "
     "user may write there."),
    (("locked",), "Somebody else has been writing to the record for too long: nothing was saved. "
     "Do it again."),
    (("disk i/o error",), "The disk does not read or write as it should: nothing was saved. Copy "
     "the record to another disk."),
)  # fmt: skip

_BY_NUMBER = {ENOSPC: "disk is full", EDQUOT: "disk is full", EROFS: "readonly", EACCES: "readonly"}


def is_full(fault: BaseException) -> bool:
    """Return whether it went wrong for want of room on the disk."""
    return any(sign in _text(fault) for sign in _FULL)


def _text(fault: BaseException) -> str:
    number = getattr(fault, "errno", None)
    return f"{_BY_NUMBER.get(number or 0, '')} {fault}".lower()


def plain_words(fault: BaseException) -> str:
    """Return what went wrong and what to do about it, nothing where it is none of these."""
    text = _text(fault)
    for signs, words in _SAID:
        if any(sign in text for sign in signs):
            return words
    return f"{fault}." if isinstance(fault, OSError) else ""

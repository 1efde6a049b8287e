"""Whether a PDF is written so plainly that every program that reads it sees the same in it.

Plimb writes its sheets so: each object once, at the place that the one table says; no entry of an
object twice, no name in disguise, no comment, no later version behind the first. A page that a
reader draws and a checker does not see needs one of these (ISO 32000-1, 7.2 to 7.5).
"""

import re

_HEADER = re.compile(rb"%PDF-1\.\d\n%[\x80-\xff]{4}\n")
_BEGINS = re.compile(rb"([1-9]\d{0,6}) 0 obj\n")
_NAME = re.compile(rb"/[^\x00-\x20()<>\[\]{}/%#\x7f-\xff]*")
_REFERENCE = re.compile(rb"\d+ 0 R(?=[ \n])")
_PLAIN = re.compile(
    rb"\((?:\\.|[^\\()])*\)|<[0-9A-Fa-f]*>|[-+]?\d*\.?\d+(?=[ \n])|(?:true|false|null)(?=[ \n])",
    re.DOTALL,
)
_BLANK = re.compile(rb"[ \n]*")
_TABLE = re.compile(rb"xref\n0 (\d{1,7})\n0000000000 65535 f \n")
_LINE = re.compile(rb"(\d{10}) 00000 n \n")
_STREAM, _STREAM_ENDS = b"stream\n", b"\nendstream\nendobj\n"
_TRAILER = frozenset({b"/Size", b"/Root", b"/Info", b"/ID"})
_DEEPEST = 40


class _NotPlain(Exception):
    """It is written otherwise than a sheet of Plimb's."""


def is_plain(pdf: bytes) -> bool:
    """Return whether a PDF is written as plainly as Plimb writes its own."""
    try:
        _Scan(pdf).whole()
    except _NotPlain:
        return False
    return True


class _Scan:
    """A reading of the file from its first byte to its last."""

    def __init__(self, pdf: bytes) -> None:
        self.pdf, self.at = pdf, 0

    def whole(self) -> None:
        """Read the header, every object, the one table, the one trailer, and nothing after it."""
        self._take(_HEADER)
        places: dict[int, int] = {}
        while begins := _BEGINS.match(self.pdf, self.at):
            number = int(begins[1])
            if number in places:
                raise _NotPlain
            places[number], self.at = self.at, begins.end()
            self._object()
        here, many = self.at, int(self._take(_TABLE)[1])
        if sorted(places) != list(range(1, many)):
            raise _NotPlain
        for number in range(1, many):
            if int(self._take(_LINE)[1]) != places[number]:
                raise _NotPlain
        self._word(b"trailer\n")
        if {*self._value(0)} - _TRAILER or self.pdf[
            self.at :
        ] != b"\nstartxref\n%d\n%%%%EOF\n" % here:
            raise _NotPlain

    def _object(self) -> None:
        """Read one object; its stream is just as long as it says."""
        entries = self._value(0)
        self._word(b"\n")
        if not self.pdf.startswith(_STREAM, self.at):
            return self._word(b"endobj\n")
        length = entries.get(b"/Length", b"")
        if not length.isdigit():
            raise _NotPlain
        self.at += len(_STREAM) + int(length)
        return self._word(_STREAM_ENDS)

    def _value(self, depth: int) -> dict[bytes, bytes]:
        """Read one value; of a dictionary return its entries as they are written, none twice."""
        if depth > _DEEPEST:
            raise _NotPlain
        if self.pdf.startswith(b"<<", self.at):
            self.at += 2
            return self._dictionary(depth)
        if self.pdf.startswith(b"[", self.at):
            self.at += 1
            while not self._at_token(b"]"):
                self._value(depth + 1)
            return {}
        for kind in (_REFERENCE, _PLAIN, _NAME):
            if found := kind.match(self.pdf, self.at):
                self.at = found.end()
                return {}
        raise _NotPlain

    def _dictionary(self, depth: int) -> dict[bytes, bytes]:
        entries: dict[bytes, bytes] = {}
        while not self._at_token(b">>"):
            name = self._take(_NAME)[0]
            if name in entries:
                raise _NotPlain
            self._take(_BLANK)
            begins = self.at
            self._value(depth + 1)
            entries[name] = self.pdf[begins : self.at]
        return entries

    def _at_token(self, with_: bytes) -> bool:
        self._take(_BLANK)
        ends = self.pdf.startswith(with_, self.at)
        self.at += len(with_) * ends
        return ends

    def _word(self, word: bytes) -> None:
        if not self.pdf.startswith(word, self.at):
            raise _NotPlain
        self.at += len(word)

    def _take(self, pattern: re.Pattern[bytes]) -> re.Match[bytes]:
        found = pattern.match(self.pdf, self.at)
        if found is None:
            raise _NotPlain
        self.at = found.end()
        return found

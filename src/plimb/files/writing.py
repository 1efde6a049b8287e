"""Text of any script as it is printed: each letter in a font that has it, in its direction."""

import re
from collections.abc import Iterator
from functools import cache, lru_cache
from importlib import resources
from itertools import groupby
from pathlib import Path
from typing import Any
from unicodedata import bidirectional

import arabic_reshaper
from bidi import get_display
from reportlab.pdfbase import pdfmetrics, ttfonts
from reportlab.pdfbase.ttfonts import TTFont

PLAIN, BOLD = "Archivo", "Archivo-Bold"
_OTHERS = {
    "Noto": "NotoSans-Regular.ttf",
    "NotoArabic": "NotoSansArabic-Regular.ttf",
    "NotoHebrew": "NotoSansHebrew-Regular.ttf",
    "Fallback": "DroidSansFallbackFull.ttf",
    "Hangul": "NanumGothic-Regular.ttf",
    "Emoji": "NotoEmoji-Regular.ttf",
}
"""In the order in which they are asked for a letter that the page's own font lacks."""
_RIGHT_TO_LEFT = frozenset({"R", "AL"})
_JOINERS = dict.fromkeys((0x200D, 0xFE0E, 0xFE0F, 0x200B, 0x2060, 0xFEFF))
"""What only says how its neighbours are drawn."""
LINE = 64
"""So many letters of right-to-left text are set on one line."""


_WIDE = re.compile(r"(?<=> <)[0-9A-F]{5,6}(?=>)")


def _told_whole(fontname: str, subset: Any) -> str:
    """Return what a font's glyphs stand for, letters beyond 16 bits as PDF has them, in pairs."""
    pair = lambda code: chr(int(code.group(), 16)).encode("utf-16-be").hex().upper()  # noqa: E731
    return _WIDE.sub(pair, _told(fontname, subset))


_told = ttfonts.makeToUnicodeCMap
ttfonts.makeToUnicodeCMap = _told_whole  # else a sign of feeling is copied as two others


@lru_cache(maxsize=1)
def fonts() -> None:
    """Make the page's own fonts known."""
    for name, file in ((PLAIN, "Archivo-Regular.ttf"), (BOLD, "Archivo-Bold.ttf")):
        _register(name, file)
    pdfmetrics.registerFontFamily(PLAIN, normal=PLAIN, bold=BOLD, italic=PLAIN, boldItalic=BOLD)


def _register(name: str, file: str) -> None:
    folder = resources.files("plimb.files") / "fonts"
    with resources.as_file(folder) as place:
        pdfmetrics.registerFont(TTFont(name, str(Path(place) / file), shapable=False))


@cache
def _letters(name: str) -> frozenset[int]:
    """Return the code points that a font has; it is read when it is first asked for."""
    if name in _OTHERS:
        _register(name, _OTHERS[name])
    font: Any = pdfmetrics.getFont(name)
    return frozenset(font.face.charToGlyph)


@lru_cache(maxsize=4096)
def _font_of(letter: str, own: str) -> str:
    if ord(letter) < 0x80 or ord(letter) in _letters(own):
        return own
    return next((name for name in _OTHERS if ord(letter) in _letters(name)), own)


def runs(text: str, own: str = PLAIN) -> Iterator[tuple[str, str]]:
    """Give a line's text as it is drawn from left to right: runs of one font each."""
    fonts()
    for name, letters in groupby(drawn(text), lambda letter: _font_of(letter, own)):
        yield name, "".join(letters)


def drawn(text: str) -> str:
    """Return a line's text in the order in which it is drawn, letters joined as they are."""
    text = text.translate(_JOINERS)
    if not any(bidirectional(letter) in _RIGHT_TO_LEFT for letter in text):
        return text
    shown: str = get_display(arabic_reshaper.reshape(text), base_dir="L")
    return shown


def lines(text: str) -> list[str]:
    """Return text as lines to be drawn one by one, where its direction does not let it wrap."""
    if not any(bidirectional(letter) in _RIGHT_TO_LEFT for letter in text):
        return [text]
    made = [""]
    for word in text.split():
        if made[-1] and len(made[-1]) + len(word) >= LINE:
            made.append("")
        made[-1] = f"{made[-1]} {word}".strip()
    return made


def width(text: str, own: str, size: float) -> float:
    """Return how wide a line is drawn, in points."""
    return sum(pdfmetrics.stringWidth(part, name, size) for name, part in runs(text, own))


def draw_centred(canvas: Any, x: float, y: float, text: str, own: str, size: float) -> None:
    """Draw a line with its middle at a place."""
    draw(canvas, x - width(text, own, size) / 2, y, text, own, size)


def draw(canvas: Any, x: float, y: float, text: str, own: str, size: float) -> None:
    """Draw a line from a place on."""
    for name, part in runs(text, own):
        canvas.setFont(name, size)
        canvas.drawString(x, y, part)
        x += pdfmetrics.stringWidth(part, name, size)

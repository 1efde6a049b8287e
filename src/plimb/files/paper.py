"""A page to draw on: text of any script in fonts that have it, lines, tables.

Lengths are points, from the top left corner down.
"""

from collections.abc import Iterable, Iterator, Sequence
from contextlib import contextmanager
from datetime import UTC, datetime
from functools import cache, lru_cache
from importlib import resources
from pathlib import Path
from typing import Any

from fontTools.ttLib import TTFont
from fpdf import FPDF
from fpdf.enums import MethodReturnValue, XPos, YPos

MM = 72 / 25.4
INK, SOFT, LINE, WASH = (19, 28, 25), (68, 80, 74), (188, 195, 186), (232, 235, 228)
OWN = "Archivo"
OTHERS = {
    "Noto": "NotoSans-Regular.ttf",
    "NotoArabic": "NotoSansArabic-Regular.ttf",
    "NotoHebrew": "NotoSansHebrew-Regular.ttf",
    "Fallback": "DroidSansFallbackFull.ttf",
    "Hangul": "NanumGothic-Regular.ttf",
    "Emoji": "NotoEmoji-Regular.ttf",
}
"""In the order in which they are asked for a letter that the page's own font lacks."""
_JOINERS = dict.fromkeys((0xFE0E, 0xFE0F, 0x200B, 0x2060, 0xFEFF))
"""What only says how its neighbours are drawn."""
_SWAPPED = str.maketrans({"→": "to", "≤": "at most", "≥": "at least", "\t": " "})
_ALWAYS = datetime(2000, 1, 1, tzinfo=UTC)
"""Made when, as the file says: the same sheet is the same bytes whenever it is printed."""
LEADING = 1.28
FOOT = 8.0


@cache
def _folder() -> Path:
    with resources.as_file(resources.files("plimb.files") / "fonts") as place:
        return Path(place)


@cache
def letters_of(file: str) -> frozenset[int]:
    """Return the code points that a font has."""
    with TTFont(_folder() / file, lazy=True) as font:
        return frozenset(font.getBestCmap())


@lru_cache(maxsize=4096)
def font_for(letter: str) -> str | None:
    """Return which other font has a letter that the page's own lacks; None where its own has it."""
    if ord(letter) < 0x80 or ord(letter) in letters_of("Archivo-Regular.ttf"):
        return None
    return next((name for name, file in OTHERS.items() if ord(letter) in letters_of(file)), None)


def _plain(text: str) -> str:
    kept = text.translate(_SWAPPED).translate(_JOINERS)
    return "".join(letter for letter in kept if letter >= " " or letter == "\n")


class Paper(FPDF):
    """Pages of one document, A4 upright."""

    def __init__(self, *, title: str, author: str, subject: str, keywords: str = "") -> None:
        super().__init__(unit="pt", format="A4")
        self.set_margins(15 * MM, 12 * MM, 15 * MM)
        self.set_auto_page_break(True, 15 * MM)
        self.set_title(_plain(title))
        self.set_author(_plain(author))
        self.set_subject(_plain(subject))
        self.set_creator("Plimb")
        if keywords:
            self.set_keywords(keywords)
        self.set_creation_date(_ALWAYS)
        self.set_display_mode("default", "default")  # as its reader likes
        self.add_font(OWN, "", _folder() / "Archivo-Regular.ttf")
        self.add_font(OWN, "B", _folder() / "Archivo-Bold.ttf")
        self.foot_text = ""
        self._others: list[str] = []
        self.c_margin = 0
        self.set_font(OWN, "", 8)
        self.add_page()

    def footer(self) -> None:
        """Draw what stands at the foot of every page."""
        if self.foot_text:
            self.set_y(-12 * MM)
            self._ink(FOOT, colour=SOFT)
            top = self.y
            self.multi_cell(self.epw - 20 * MM, FOOT * LEADING, self.foot_text, align="L")
            self.set_xy(self.l_margin + self.epw - 20 * MM, top)
            self.cell(20 * MM, FOOT * LEADING, f"page {self.page_no()}", align="R")

    def _ink(self, size: float, *, bold: bool = False, colour: tuple[int, int, int] = INK) -> None:
        self.set_font(OWN, "B" if bold else "", size)
        self.set_text_color(*colour)

    def ready(self, text: str) -> str:
        """Return text as it is drawn, with each font that it needs made known."""
        plain = _plain(text)
        wanted = {font_for(letter) for letter in plain} - {None, *self._others}
        if wanted:
            self._others = [font for font in OTHERS if font in wanted or font in self._others]
            for name in self._others:
                if name in wanted:
                    self.add_font(name, "", _folder() / OTHERS[name])
            self.set_fallback_fonts(self._others, exact_match=False)
        # letters that are joined, or run from right to left, are shaped; the page's own need not
        self.set_text_shaping(any(map(font_for, plain)), direction="ltr")
        return plain

    def text_width(self, text: str, size: float, *, bold: bool = False) -> float:
        """Return how wide a line is drawn."""
        self._ink(size, bold=bold)
        return float(self.get_string_width(self.ready(text)))

    def para(
        self, text: str, size: float, *, bold: bool = False,
        colour: tuple[int, int, int] = INK, width: float = 0, dry: bool = False,
    ) -> float:  # fmt: skip
        """Set a paragraph from where the pen is, wrapped; return how high it is."""
        self._ink(size, bold=bold, colour=colour)
        height: Any = self.multi_cell(
            width or self.epw, size * LEADING, self.ready(text), align="L", padding=0,
            new_x=XPos.LEFT, new_y=YPos.NEXT, dry_run=dry, output=MethodReturnValue.HEIGHT,
        )  # fmt: skip
        return float(height)

    def named(
        self, name: str, says: str, *, width: float = 0, size: float = 8.2, bold: bool = False,
        dry: bool = False,
    ) -> float:  # fmt: skip
        """Set what stands beside a name, the name in the softer ink; return how high it is."""
        left, top, wide = self.x, self.y, width or self.epw
        beside = min(self.text_width(name, size) + 5, wide * 0.6)
        self._ink(size, colour=SOFT)
        if not dry:
            self.cell(beside, size * LEADING, self.ready(name))
        self.set_x(left + beside)
        high = self.para(says or " ", size, bold=bold, width=wide - beside, dry=dry)
        self.set_xy(left, top if dry else top + high)
        return high

    def fitted(
        self, x: float, y: float, text: str, size: float, *, width: float, align: str = "L",
        bold: bool = False, colour: tuple[int, int, int] = INK,
    ) -> None:  # fmt: skip
        """Draw one line in a box that it does not leave, its middle at `y`."""
        wide = self.text_width(text, size, bold=bold)
        size = max(size * min(1.0, width / max(wide, 0.1)), 1.0)
        self._ink(size, bold=bold, colour=colour)
        self.set_xy(x, y - size * 0.6)
        with self._one_page():
            self.cell(width, size * 1.2, self.ready(text), align=align)

    @contextmanager
    def _one_page(self) -> Iterator[None]:
        """Draw without going on to another page."""
        breaks, margin = self.auto_page_break, self.b_margin
        self.set_auto_page_break(False)
        yield
        self.set_auto_page_break(breaks, margin)

    def rule(
        self, y: float, *, weight: float, colour: tuple[int, int, int] = INK,
        x: float | None = None, width: float = 0,
    ) -> None:  # fmt: skip
        """Draw a line across."""
        start = self.l_margin if x is None else x
        self.set_draw_color(*colour)
        self.set_line_width(weight)
        self.line(start, y, start + (width or self.epw), y)

    def room_for(self, height: float) -> bool:
        """Begin another page where less is left than that; whether one was begun."""
        if self.y + height <= self.page_break_trigger:
            return False
        self.add_page()
        return True

    def gap(self, height: float = 2 * MM) -> None:
        """Leave some room."""
        self.set_xy(self.l_margin, self.y + height)

    def rows_of(
        self, heads: Sequence[str], rows: Iterable[Sequence[str]], shares: Sequence[float], *,
        high: float, bold: Iterable[tuple[int, int]] = (), grid: bool = False,
    ) -> None:  # fmt: skip
        """Draw a table; its heads stand on every page that it goes on to.

        Args:
            heads: What stands above each column.
            rows: The cells, row by row.
            shares: How much of the width each column has.
            high: How high a row is.
            bold: Cells that stand out, by row and column.
            grid: Draw the lines between columns, too.
        """
        widths = [self.epw * share for share in shares]
        strong = set(bold)
        self._heads(heads, widths, high)
        for nth, row in enumerate(rows):
            if self.room_for(high):
                self._heads(heads, widths, high)
            top, x = self.y, self.l_margin
            for column, (text, wide) in enumerate(zip(row, widths, strict=True)):
                size, stands_out = (8.4, True) if (nth, column) in strong else (8, False)
                self.fitted(x + 1, top + high / 2, text, size, width=wide - 2, bold=stands_out)
                if grid:
                    self.set_draw_color(*LINE)
                    self.set_line_width(0.35)
                    self.rect(x, top, wide, high)
                x += wide
            if not grid:
                self.rule(top + high, weight=0.35, colour=LINE, width=sum(widths))
            self.set_xy(self.l_margin, top + high)

    def _heads(self, heads: Sequence[str], widths: Sequence[float], high: float) -> None:
        top, x = self.y, self.l_margin
        for text, wide in zip(heads, widths, strict=True):
            self.fitted(x + 1, top + high / 2, text, 8, width=wide - 2, colour=SOFT)
            x += wide
        self.rule(top + high, weight=0.8, width=sum(widths))
        self.set_xy(self.l_margin, top + high)

    def done(self) -> bytes:
        """Return the document."""
        return bytes(self.output())

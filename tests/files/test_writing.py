"""Names of the whole world on paper: drawn in a font that has them, found as text."""

import time
import unicodedata
from dataclasses import replace
from typing import Any

import pypdfium2
import pytest

from plimb.card.acts.sign import read_sheet
from plimb.files.paper import OTHERS, font_for, letters_of
from plimb.files.sheet_pdf import sheet_pdf
from plimb.record.database import Database

NAMES = {
    "Latin": "Nguyễn Thị Ánh Łukasz Çelik",
    "Greek": "Γιάννης Παπαδόπουλος",
    "Cyrillic": "Ёжик Щербаков",
    "Chinese": "李小龍",
    "Japanese": "山田太郎 さくら",
    "Korean": "김철수",
    "Arabic": "محمد بن عبد الله",
    "Hebrew": "דוד לוי",
    "emoji": "🔧 😀",
}


@pytest.fixture
def sheet(school: Database) -> Any:
    with school.reading() as session:
        return read_sheet(session, 1)


def text_of(pdf: Any) -> Any:
    document = pypdfium2.PdfDocument(pdf)
    try:
        pages = [page.get_textpage().get_text_range() for page in document]
        assert all(page.get_width() < 600 for page in document)
    finally:
        document.close()
    return unicodedata.normalize("NFKC", "\n".join(pages))


@pytest.mark.parametrize("name", NAMES.values(), ids=NAMES)
def test_a_name_is_found_as_text_wherever_it_stands(sheet: Any, name: Any) -> None:
    text = text_of(sheet_pdf(replace(sheet, label=name, signed_by=name, remarks=name, shop=name)))
    for word in name.split():
        assert text.count(unicodedata.normalize("NFKC", word)) >= 4, word


@pytest.mark.parametrize("name", NAMES.values(), ids=NAMES)
def test_every_letter_is_in_the_font_it_is_drawn_in(name: Any) -> None:
    for letter in name:
        other = font_for(letter)
        file = OTHERS[other] if other else "Archivo-Regular.ttf"
        assert ord(letter) in letters_of(file), (letter, other)


def test_a_name_without_a_break_wraps_and_the_page_keeps_its_edge(sheet: Any) -> None:
    long = "W" * 190
    document = pypdfium2.PdfDocument(
        sheet_pdf(replace(sheet, label=long, signed_by=long, remarks=long * 3, shop=long))
    )
    page = document[0]
    right = max(
        page.get_textpage().get_charbox(n)[2] for n in range(page.get_textpage().count_chars())
    )
    assert right <= page.get_width() - 20
    document.close()


def test_what_is_written_from_right_to_left_is_drawn_so_within_a_line_that_runs_on(
    sheet: Any,
) -> None:
    pdf = sheet_pdf(replace(sheet, signed_by="דוד"))
    document = pypdfium2.PdfDocument(pdf)
    page = document[0].get_textpage()
    whole = page.get_text_range()
    at = {letter: page.get_charbox(whole.index(letter))[0] for letter in "דו"}
    year = whole.index("2025", whole.index("Signed"))
    assert at["ד"] > at["ו"]  # the second letter stands left of the first
    assert page.get_charbox(year)[0] > at["ד"]  # and what follows in Latin right of the name
    document.close()


def test_the_same_sheet_is_the_same_bytes_whenever_it_is_printed(
    sheet: Any, monkeypatch: pytest.MonkeyPatch
) -> None:
    first = sheet_pdf(sheet)
    monkeypatch.setattr(time, "time", lambda: 2_000_000_000.0)
    assert sheet_pdf(sheet) == first

"""Names of the whole world on paper: drawn in a font that has them, found as text."""

import unicodedata
from dataclasses import replace

import pypdfium2
import pytest

from plimb.actions.signing import read_sheet
from plimb.files.sheet_pdf import sheet_pdf
from plimb.files.writing import PLAIN, drawn, lines, runs

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
def sheet(school):
    with school.reading() as session:
        return read_sheet(session, 1)


def text_of(pdf):
    document = pypdfium2.PdfDocument(pdf)
    try:
        pages = [page.get_textpage().get_text_range() for page in document]
        assert all(page.get_width() < 600 for page in document)
    finally:
        document.close()
    return unicodedata.normalize("NFKC", "\n".join(pages))


@pytest.mark.parametrize("name", NAMES.values(), ids=NAMES)
def test_a_name_is_found_as_text_wherever_it_stands(sheet, name):
    text = text_of(sheet_pdf(replace(sheet, label=name, signed_by=name, remarks=name, shop=name)))
    for word in name.split():
        assert text.count(unicodedata.normalize("NFKC", word)) >= 4, word


@pytest.mark.parametrize("name", NAMES.values(), ids=NAMES)
def test_every_letter_is_in_the_font_it_is_drawn_in(name):
    from reportlab.pdfbase import pdfmetrics

    for font, part in runs(name):
        face = pdfmetrics.getFont(font).face
        assert all(ord(letter) in face.charToGlyph for letter in part), (font, part)


def test_a_name_without_a_break_wraps_and_the_page_keeps_its_edge(sheet):
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


def test_what_is_written_from_right_to_left_is_drawn_so_line_by_line():
    assert drawn("abc") == "abc"
    assert drawn("דוד לוי") == "דוד לוי"[::-1]
    long = " ".join(["שלום"] * 40)
    assert len(lines(long)) > 2
    assert " ".join(lines(long)) == long
    assert [name for name, _part in runs("a")] == [PLAIN]

"""A sheet counts only where every reader sees the same in it; none is read for ever."""

import re
import time
from threading import BoundedSemaphore
from typing import Any

import pytest
from flask.testing import FlaskClient

from plimb.card.sealing import check_sheet, printed_sheet
from plimb.core.errors import BadValue, NotReady
from plimb.files import apart
from plimb.files.plain_pdf import is_plain
from plimb.record.database import Database


@pytest.fixture
def sheet(school: Database) -> Any:
    with school.reading() as session:
        return printed_sheet(session, 1)


def contents_twice(pdf: Any) -> Any:
    """Draw another page where the last of two entries counts, or where the first does."""
    return with_blank_page(
        pdf, lambda own, blank: b"/Contents %d 0 R\n/Contents %d 0 R" % (own, blank)
    )


def first_of_two(pdf: Any) -> Any:
    return with_blank_page(
        pdf, lambda own, blank: b"/Contents %d 0 R\n/Contents %d 0 R" % (blank, own)
    )


def in_disguise(pdf: Any) -> Any:
    return with_blank_page(
        pdf, lambda own, blank: b"/Contents %d 0 R\n/C#6fntents %d 0 R" % (own, blank)
    )


def with_blank_page(pdf: Any, entry: Any) -> Any:
    """Put an object in that draws nothing, named in the page as told, the table made right."""
    number = int(re.search(rb"xref\n0 (\d+)\n", pdf)[1])
    blank = b"%d 0 obj\n<<\n/Length 3\n>>\nstream\nq Q\nendstream\nendobj\n" % number
    own = re.search(rb"/Contents (\d+) 0 R", pdf)
    return tabled(pdf.replace(own[0], entry(int(own[1]), number), 1), blank)


def tabled(pdf: Any, more: Any = b"") -> Any:
    """Write the table of objects anew, as a forger would."""
    body = pdf[: pdf.rindex(b"xref\n0 ")] + more
    trailer = pdf[pdf.rindex(b"trailer\n") : pdf.rindex(b"startxref")]
    places = {int(one[1]): one.start() for one in re.finditer(rb"(?m)^(\d+) 0 obj\n", body)}
    lines = b"".join(b"%010d 00000 n \n" % places[number] for number in sorted(places))
    trailer = re.sub(rb"/Size \d+", b"/Size %d" % (len(places) + 1), trailer)
    return body + b"xref\n0 %d\n0000000000 65535 f \n" % (len(places) + 1) + lines + trailer + (
        b"startxref\n%d\n%%%%EOF\n" % len(body)
    )  # fmt: skip


def later_version(pdf: Any) -> Any:
    return pdf + b"4 0 obj\n<<\n/Length 3\n>>\nstream\nq Q\nendstream\nendobj\n"


def object_twice(pdf: Any) -> Any:
    return tabled(pdf, b"4 0 obj\n<<\n/Length 3\n>>\nstream\nq Q\nendstream\nendobj\n")


def another_root(pdf: Any) -> Any:
    return tabled(pdf.replace(b"/Type /Catalog", b"/Type /Catalog\n/OpenAction 3 0 R", 1))


FORGED = (contents_twice, first_of_two, in_disguise, later_version, object_twice, another_root)


@pytest.mark.parametrize("forge", FORGED)
@pytest.mark.long
def test_a_page_that_one_reader_sees_and_another_does_not_is_found(
    school: Database, sheet: Any, forge: Any
) -> None:
    forged = forge(sheet)
    assert forged != sheet
    assert "was changed after it was made" in check_sheet(school, 1, forged)[1]


def test_the_table_written_anew_is_no_forgery(school: Database, sheet: Any) -> None:
    assert tabled(sheet) == sheet
    assert check_sheet(school, 1, sheet)[1] == "The sheet agrees with the record as it stands."


@pytest.mark.parametrize("cut", [b"", b"%PDF-1.3\n", b"%PDF-1.3\n%\xe2\xe3\xcf\xd3\n1 0 obj\n<<"])
def test_what_is_cut_off_is_not_plain(cut: Any) -> None:
    assert not is_plain(cut)


def endless(pdf: Any) -> Any:
    """Have what stands on the page double with every level: reading it through never ends."""
    first, levels = int(re.search(rb"xref\n0 (\d+)\n", pdf)[1]), 40
    node = b"%d 0 obj\n[ %d 0 R %d 0 R ]\nendobj\n"
    nodes = [node % (one, one + 1, one + 1) for one in range(first, first + levels)]
    last = b"%d 0 obj\n[ ]\nendobj\n" % (first + levels)
    own = re.search(rb"/Contents \d+ 0 R", pdf)[0]
    begun = pdf.replace(own, own + b"\n/Extra %d 0 R" % first, 1)
    return tabled(begun, b"".join((*nodes, last)))


def test_one_that_never_ends_is_given_up_and_hangs_nobody(
    school: Database, client: FlaskClient, sheet: Any, monkeypatch: pytest.MonkeyPatch
) -> None:
    monkeypatch.setattr(apart, "PATIENCE_S", 2)
    pdf = endless(sheet)
    begun = time.monotonic()
    with pytest.raises(BadValue, match="could not be read within"):
        check_sheet(school, 1, pdf)
    assert time.monotonic() - begun < 60  # and not for ever; a busy machine starts slowly
    assert client.get("/api/shop").status_code == 200


def test_so_many_are_read_at_once_and_the_next_is_told(
    school: Database, sheet: Any, monkeypatch: pytest.MonkeyPatch
) -> None:
    monkeypatch.setattr(apart, "_places", BoundedSemaphore(1))
    with apart._places, pytest.raises(NotReady, match="Try again"):
        check_sheet(school, 1, sheet)
    assert check_sheet(school, 1, sheet)[1].endswith("as it stands.")

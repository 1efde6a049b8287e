"""Sheets and files that leave the shop: what they are worth, here and elsewhere."""

import io
import json
from typing import Any

import pytest
from pypdf import PdfReader, PdfWriter
from pypdf.generic import NameObject

from plimb.card.acts.sign import amend, read_sheet, sign_card
from plimb.card.sealing import check_sheet, forget_key, know_key, printed_sheet, read_keys
from plimb.card.transfer import export_card, import_card
from plimb.core.errors import BadValue
from plimb.files.sealed_pdf import ATTACHED
from plimb.files.sheet_pdf import sheet_pdf
from plimb.record.database import Database
from plimb.record.keys import key_of, key_path

from ..conftest import NOON

pytestmark = pytest.mark.slow


@pytest.fixture
def sheet(school: Database) -> Any:
    with school.reading() as session:
        return printed_sheet(session, 1)


@pytest.fixture
def elsewhere(fresh: Any) -> Any:
    return fresh("other")


def checked(database: Database, pdf: Any, card: Any = 1) -> Any:
    return check_sheet(database, card, pdf)[1]


def rewritten(pdf: Any, change: Any) -> Any:
    writer = PdfWriter(clone_from=io.BytesIO(pdf))
    change(writer)
    out = io.BytesIO()
    writer.write(out)
    return out.getvalue()


def attached(pdf: Any) -> Any:
    return json.loads(PdfReader(io.BytesIO(pdf)).attachments[ATTACHED][0])


def with_attached(pdf: Any, said: Any) -> Any:
    plain = rewritten(pdf, lambda writer: writer.root_object.pop(NameObject("/Names")))
    return rewritten(plain, lambda writer: writer.add_attachment(ATTACHED, json.dumps(said)))


@pytest.mark.slow
def test_a_genuine_sheet_holds_also_written_anew_and_before_an_amendment(
    school: Database, sheet: Any
) -> None:
    assert checked(school, sheet) == "The sheet agrees with the record as it stands."
    same = rewritten(sheet, lambda writer: writer.add_metadata({"/Title": "Mine"}))
    assert same != sheet
    assert checked(school, same) == "The sheet agrees with the record as it stands."
    amend(school, card_id=1, key="amended-1", written_by="plimb-record:" + 64 * "0",
          text="Rattles.", now=NOON)  # fmt: skip
    assert "before 1 later amendment" in checked(school, sheet)
    with school.reading() as session:
        assert checked(school, printed_sheet(session, 1)).endswith("as it stands.")


def blacken(writer: Any) -> None:
    """Draw something over the first page."""
    page = writer.pages[0]
    page.merge_transformed_page(writer.pages[0], (0.5, 0, 0, 0.5, 100, 100))


def swap_fonts(writer: Any) -> None:
    fonts = writer.pages[0]["/Resources"]["/Font"]
    one, other = list(fonts)[:2]
    first, second = fonts.raw_get(one), fonts.raw_get(other)
    fonts[NameObject(one)], fonts[NameObject(other)] = second, first


def note_over(writer: Any) -> None:
    writer.add_uri(0, "nowhere:", (0, 0, 200, 200))


@pytest.mark.parametrize("change", [blacken, swap_fonts, note_over])
def test_a_sheet_drawn_otherwise_does_not_count(school: Database, sheet: Any, change: Any) -> None:
    assert "was changed after it was made" in checked(school, rewritten(sheet, change))


@pytest.mark.long
def test_a_text_with_the_number_on_it_and_a_card_of_another_hand_do_not_count(
    school: Database, sheet: Any
) -> None:
    with school.reading() as session:
        bare = sheet_pdf(read_sheet(session, 1))  # the number stands at its foot
    with pytest.raises(BadValue, match="carries no card"):
        checked(school, bare)
    for junk in (b"", b"%PDF-1.4\n" + b"x" * 400, sheet[: len(sheet) // 2]):
        with pytest.raises(BadValue, match="carries no card"):
            checked(school, junk)
    said = attached(sheet)
    said["card"]["job"]["remarks"] = "All well"
    assert "was changed after it was made" in checked(school, with_attached(sheet, said))


@pytest.mark.slow
def test_a_sheet_under_another_key_or_of_another_card_is_told(
    school: Database, sheet: Any, seen: Any, hand: Any
) -> None:
    sign_card(school, hand(4, seen(school, 4).version).change(), signed_by="Oda", remarks="So")
    assert "another card's" in checked(school, sheet, card=4)
    own = key_of(school.path).public
    key_path(school.path).unlink()
    assert checked(school, sheet).endswith("as it stands.")  # the key it had before
    assert key_of(school.path).public != own


def test_a_card_from_a_file_says_where_it_comes_from_and_what_that_is_worth(
    school: Database, elsewhere: Any, seen: Any
) -> None:
    with school.reading() as session:
        text, name = export_card(session, 1), read_sheet(session, 1).shop
    number = import_card(elsewhere, text, now=NOON)
    assert seen(elsewhere, number).origin == (
        f"a file of “{name}” (card 1 there): unverified, its key is not known here"
    )
    know_key(elsewhere, name="The school", public=read_keys(school).own, now=NOON)
    assert seen(elsewhere, number).origin.endswith("verified, by the key of “The school”")
    with elsewhere.reading() as session:
        facts = {fact.name: fact.says for fact in read_sheet(session, number).facts}
    assert facts["Came in"] == seen(elsewhere, number).origin
    (known,) = read_keys(elsewhere).known
    forget_key(elsewhere, key_id=known.id)
    assert "not known here" in seen(elsewhere, number).origin
    bare = json.loads(text)
    del bare["origin"]
    number = import_card(elsewhere, json.dumps(bare), now=NOON)
    assert seen(elsewhere, number).origin == "a file: unverified, it is under no key"


def test_a_file_changed_after_it_was_signed_is_refused_and_one_laid_out_anew_is_not(
    school: Database, elsewhere: Any
) -> None:
    with school.reading() as session:
        document = json.loads(export_card(session, 1))
    import_card(elsewhere, json.dumps(document, indent=4, sort_keys=True), now=NOON)
    document["job"]["signed_by"] = "Another"
    with pytest.raises(BadValue, match="changed after it was signed") as said:
        import_card(elsewhere, json.dumps(document), now=NOON)
    assert said.value.field == "$.origin.signature"


def test_a_field_the_format_does_not_know_is_refused_with_its_path(school: Database) -> None:
    with school.reading() as session:
        document = json.loads(export_card(session, 1))
    del document["origin"]
    document["rounds"][0]["gaps"][0]["colour"] = "red"
    with pytest.raises(BadValue, match="knows no such field") as said:
        import_card(school, json.dumps(document), now=NOON)
    assert said.value.field == "$.rounds[0].gaps[0].colour"


@pytest.mark.parametrize("public", ["", "short", "A" * 44, "é" * 43])
def test_what_is_no_key_is_not_taken_for_one(school: Database, public: Any) -> None:
    with pytest.raises(BadValue, match="43 letters"):
        know_key(school, name="Whoever", public=public, now=NOON)


def test_what_lies_beside_the_record_and_is_no_key_is_said(school: Database, sheet: Any) -> None:
    key_path(school.path).write_text("no key", "utf-8")
    with pytest.raises(BadValue, match="is not the shop's key"):
        checked(school, sheet)

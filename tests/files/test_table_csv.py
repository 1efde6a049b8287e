"""Tables out and in: what a spreadsheet would run stays text, what breaks is named by its row."""

import csv
import io
from typing import Any

import pytest
from hypothesis import given
from hypothesis import strategies as st

from plimb.core.errors import BadValue
from plimb.files.table_csv import read_csv, write_csv

CELLS = st.text(
    st.characters(exclude_categories=("Cs", "Cc"), exclude_characters="\u2028\u2029"), max_size=12
).filter(lambda text: not text.startswith(("=", "+", "@", "'")))


@given(st.lists(st.tuples(CELLS, CELLS.map(lambda cell: f"n{cell}")), max_size=6))
def test_a_table_comes_back_as_it_went_out(rows: Any) -> None:
    back = read_csv(write_csv(("size", "note"), rows), ("size", "note"))
    assert [(row["size"], row["note"]) for row in back] == [
        (size.strip(), note.strip()) for size, note in rows
    ]


@pytest.mark.parametrize("cell", ["=1+1", "+49", "@here"])
def test_a_cell_that_a_spreadsheet_would_run_is_text(cell: Any) -> None:
    assert write_csv(("note",), [(cell,)]).split("\r\n")[1] == f"'{cell}"


@pytest.mark.parametrize(
    ("text", "field"),
    [
        ("", "row 1"),
        ("size\r\n", "row 1"),
        ("size,note,colour\r\n", "row 1"),
        ("size,size,note\r\n", "row 1"),
        ("size,note\r\n2.5\r\n", "row 2"),
        ('size,note\r\n"2.5', "row"),
    ],
)
def test_what_breaks_the_table_is_named_by_its_row(text: str, field: Any) -> None:
    with pytest.raises(BadValue) as refusal:
        read_csv(text, ("size", "note"))
    assert refusal.value.field == field


@pytest.mark.parametrize("cell", ["-1+1", "＝1+1", "－x", "  =1", "\n=1", "-cmd|' /C calc'!A0"])
def test_a_cell_in_any_form_that_starts_a_formula_is_text(cell: Any) -> None:
    assert next(csv.reader(io.StringIO(write_csv(("a",), [(cell,)]).split("\r\n", 1)[1])))[
        0
    ].startswith("'")


@pytest.mark.parametrize("cell", ["-3", "-0.05", "12", "12-15"])
def test_a_figure_stays_one(cell: Any) -> None:
    assert write_csv(("a",), [(cell,)]) == f"a\r\n{cell}\r\n"

"""Tables as CSV (RFC 4180: commas, CRLF, quotes doubled), in and out."""

import csv
import io
import re
from collections.abc import Iterable, Mapping, Sequence

from plimb.core.errors import BadValue

MOST_ROWS = 20_000
_RISKY = ("=", "+", "-", "@", "\t", "\r", "\n", "＝", "＋", "－", "＠")
"""What a spreadsheet takes for the start of a formula, in full width too (OWASP)."""
_NUMBER = re.compile(r"-?\d+([.,]\d+)?")


def write_csv(header: Sequence[str], rows: Iterable[Sequence[object]]) -> str:
    """Return the table as CSV text; a cell that a spreadsheet would run is quoted as text."""
    out = io.StringIO()
    writer = csv.writer(out, lineterminator="\r\n")
    writer.writerow(header)
    for row in rows:
        writer.writerow(["" if cell is None else _tame(str(cell)) for cell in row])
    return out.getvalue()


def _tame(text: str) -> str:
    risky = text.lstrip(" ").startswith(_RISKY) and not _NUMBER.fullmatch(text)
    return f"'{text}" if risky else text


def read_csv(text: str, wanted: Sequence[str], optional: Sequence[str] = ()) -> list[
    Mapping[str, str]
]:  # fmt: skip
    """Return each row by the names in the header; the columns may stand in any order.

    Raises:
        BadValue: A column is missing or unknown, a row has another number of cells, or the
            table is too long. The field names row and column.
    """
    reader = csv.reader(io.StringIO(text.removeprefix("﻿")), strict=True)
    try:
        table = [row for row in reader if any(cell.strip() for cell in row)]
    except csv.Error as error:
        raise BadValue(f"The file is not CSV: {error}.", field="row") from None
    if not table:
        raise BadValue("The file is empty; its first line names the columns.", field="row 1")
    header = [cell.strip().lower() for cell in table[0]]
    missing = [name for name in wanted if name not in header]
    unknown = [name for name in header if name not in (*wanted, *optional)]
    if missing or unknown or len(set(header)) < len(header):
        raise BadValue(
            f"The columns are {', '.join((*wanted, *optional))}; this file has "
            f"{', '.join(header)[:200]}.",
            field="row 1",
        )
    if len(table) > MOST_ROWS:
        raise BadValue(f"A file has at most {MOST_ROWS} rows.", field="row")
    rows: list[Mapping[str, str]] = []
    for number, row in enumerate(table[1:], 2):
        if len(row) != len(header):
            raise BadValue(
                f"Row {number} has {len(row)} cells, the header {len(header)}.",
                field=f"row {number}",
            )
        cells = {
            name: cell.strip().removeprefix("'") for name, cell in zip(header, row, strict=True)
        }
        rows.append(cells)
    return rows

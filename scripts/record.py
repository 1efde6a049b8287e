"""Keep the demo's record as SQL, as it is before a schema changes: tests upgrade each of them.

make record NAME=0016-amended-by-card
"""

import io
import sqlite3
import sys
import tarfile
import tempfile
from contextlib import closing
from pathlib import Path

from plimb.demo.load import fill
from plimb.record.database import Database

KEPT = Path(__file__).parent.parent / "tests" / "records" / "records.tar.xz"
SEARCHED = ("machine", "people", "words", "sizes")
"""The columns of the table of words, which SQLite's own dump does not write as it is made."""


def main(name: str) -> None:
    """Load the demo into a record of its own and keep it as statements beside the others."""
    with tarfile.open(KEPT) as archive:
        there = {one.name: _text(archive, one) for one in archive.getmembers()}
    there[f"{name}.sql"] = _demo_as_sql().encode()
    with tarfile.open(KEPT, "w:xz", preset=9) as archive:
        for called, text in sorted(there.items()):
            member = tarfile.TarInfo(called)
            member.size = len(text)
            archive.addfile(member, io.BytesIO(text))


def _text(archive: tarfile.TarFile, member: tarfile.TarInfo) -> bytes:
    file = archive.extractfile(member)
    assert file is not None  # all are files
    return file.read()


def _demo_as_sql() -> str:
    with tempfile.TemporaryDirectory() as folder:
        path = Path(folder) / "demo.sqlite3"
        database = Database(path)
        fill(database)
        database.close()
        with closing(sqlite3.connect(path)) as record:
            made = record.execute("SELECT sql FROM sqlite_schema WHERE name = 'finding'").fetchone()
            columns = ", ".join(("rowid", *SEARCHED))
            found = record.execute(f"SELECT {columns} FROM finding").fetchall()
            kept = [line for line in record.iterdump() if "finding" not in line[:99]]
    words = [f"{made[0]};"]
    for row in found:
        values = ", ".join(
            str(one) if isinstance(one, int) else "'" + one.replace("'", "''") + "'" for one in row
        )
        words.append(f'INSERT INTO "finding"({columns}) VALUES({values});')
    kept = [line for line in kept if "writable_schema" not in line]
    return "\n".join((*kept[:-1], *words, kept[-1], ""))


if __name__ == "__main__":
    main(sys.argv[1])

"""Write the demo's record as SQL, as it is before a schema changes: tests upgrade each of them.

.venv/bin/python scripts/record.py tests/records/0015-opened-too.sql
"""

import sqlite3
import sys
import tempfile
from contextlib import closing
from pathlib import Path

from plimb.demo.load import fill
from plimb.store.database import Database

SEARCHED = ("machine", "people", "words", "sizes")
"""The columns of the table of words, which SQLite's own dump does not write as it is made."""


def main(target: Path) -> None:
    """Load the demo into a record of its own and write it as statements."""
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
    target.write_text("\n".join((*kept[:-1], *words, kept[-1], "")), "utf-8")


if __name__ == "__main__":
    main(Path(sys.argv[1]))

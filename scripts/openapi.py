"""Write the server's OpenAPI document to where the front end's types are made from."""

import json
import sys
import tempfile
from pathlib import Path

from plimb.practice.application import practice_app
from plimb.store.database import Database

TARGET = Path(__file__).parent.parent / "frontend" / "src" / "api" / "openapi.json"


def document() -> str:
    """Return the document as it is kept in the repository."""
    with tempfile.TemporaryDirectory() as folder:
        database = Database(Path(folder) / "empty.sqlite3")
        app = practice_app(database, Path(folder))
        with app.app_context():
            written = json.dumps(app.spec, indent=1, sort_keys=True, ensure_ascii=False) + "\n"
        database.close()
    return written


if __name__ == "__main__":
    if "--check" in sys.argv:
        sys.exit(
            0
            if TARGET.read_text("utf-8") == document()
            else "frontend/src/api/openapi.json is stale: run `make types`."
        )
    TARGET.write_text(document(), "utf-8")

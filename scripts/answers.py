"""Write the demo's cards, as the server answers them, for the front end's tests."""

import json
import tempfile
from pathlib import Path

from plimb.demo.load import fill
from plimb.store.database import Database
from plimb.web.application import create_app

FOLDER = Path(__file__).parent.parent / "frontend" / "src" / "api" / "answers"

if __name__ == "__main__":
    FOLDER.mkdir(exist_ok=True)
    with tempfile.TemporaryDirectory() as scratch:
        database = Database(Path(scratch) / "demo.sqlite3")
        fill(database)
        client = create_app(database).test_client()
        for card in (1, 2, 3):
            written = json.dumps(
                client.get(f"/api/cards/{card}").json, indent=1, ensure_ascii=False
            )
            (FOLDER / f"card-{card}.json").write_text(written + "\n", "utf-8")
        database.close()

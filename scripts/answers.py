"""Write the demo's cards, as the server answers them, for the front end's tests."""

import json
import tempfile
from pathlib import Path

from plimb.demo.load import fill
from plimb.store.database import Database
from plimb.web.application import create_app

FOLDER = Path(__file__).parent.parent / "frontend" / "src" / "api" / "answers"

LARGEST = {
    "layout": "straight-six",
    "valves": 4,
    "camshafts": 2,
    "follower": "opener-closer",
    "angle": None,
    "reversed_head": False,
    "crank_along": False,
    "firing": None,
}
"""24 valves, each opened and closed by its cam: 48 clearances."""


def write(name: str, answer: object) -> None:
    """Write one answer, so that a change of it shows in a diff."""
    written = json.dumps(answer, indent=1, ensure_ascii=False)
    (FOLDER / f"{name}.json").write_text(written + "\n", "utf-8")


if __name__ == "__main__":
    FOLDER.mkdir(exist_ok=True)
    with tempfile.TemporaryDirectory() as scratch:
        database = Database(Path(scratch) / "demo.sqlite3")
        fill(database)
        client = create_app(database).test_client()
        for card in (1, 2, 3):
            write(f"card-{card}", client.get(f"/api/cards/{card}").json)
        write("largest-engine", client.post("/api/engines/start", json=LARGEST).json)
        database.close()

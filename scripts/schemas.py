"""Write the JSON Schemas of the open formats, or with --check fail where they are stale."""

import json
import sys
from pathlib import Path

from plimb.files.engine_file import EngineFile
from plimb.files.history_file import HistoryFile
from plimb.files.records import CardRecord

FOLDER = Path(__file__).parent.parent / "docs" / "formats"
SCHEMAS = {
    "card.schema.json": CardRecord,
    "engine.schema.json": EngineFile,
    "history.schema.json": HistoryFile,
}


def written(model) -> str:
    """Return the schema as it stands in the repository."""
    schema = {
        "$schema": "https://json-schema.org/draft/2020-12/schema",
        **model.model_json_schema(by_alias=True),
    }
    return json.dumps(schema, indent=1, ensure_ascii=False, sort_keys=True) + "\n"


def main() -> int:
    """Write or check the schemas."""
    stale = 0
    for name, model in SCHEMAS.items():
        place, text = FOLDER / name, written(model)
        if "--check" not in sys.argv:
            place.write_text(text, "utf-8")
        elif not place.exists() or place.read_text("utf-8") != text:
            print(f"{place.name} is stale; run: .venv/bin/python scripts/schemas.py")
            stale = 1
    return stale


if __name__ == "__main__":
    sys.exit(main())

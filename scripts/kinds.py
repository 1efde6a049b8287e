"""Write the core's tables of kinds for the front end, or with --check fail where they are stale."""

import json
import sys
from pathlib import Path

from plimb.core.engine.followers import Follower, kind_of
from plimb.core.job.kinds import JobKind, kind_of_job
from plimb.core.measure.limits import Verdict
from plimb.core.words import VERDICT_WORDS

TARGET = Path(__file__).parent.parent / "frontend" / "src" / "api" / "kinds.json"


def document() -> str:
    """Return the tables as they are kept in the repository."""
    kinds = {
        "followers": [{"value": one.value, "label": kind_of(one).label} for one in Follower],
        "jobs": [
            {"value": one.value, "label": row.label, "means": row.means, "one": row.one}
            for one in JobKind
            for row in (kind_of_job(one),)
        ],
        "verdicts": {one.value: VERDICT_WORDS[one] for one in Verdict},
    }
    return json.dumps(kinds, indent=2, ensure_ascii=False) + "\n"


if __name__ == "__main__":
    if "--check" in sys.argv:
        stale = TARGET.read_text("utf-8") != document()
        sys.exit("frontend/src/api/kinds.json is stale: run `make types`." if stale else 0)
    TARGET.write_text(document(), "utf-8")

"""Write the core's tables of kinds for the front end, or with --check fail where they are stale."""

import json
import sys
from pathlib import Path

from plimb.core.engine.followers import Follower, kind_of
from plimb.core.job.kinds import JobKind, kind_of_job
from plimb.core.lengths import NM_PER_THOU, Unit, show_mm
from plimb.core.measure.blades import Blade
from plimb.core.measure.limits import Verdict
from plimb.core.measure.patterns import PATTERNS
from plimb.core.words import VERDICT_WORDS
from plimb.files.starting_point import FIRINGS

TARGET = Path(__file__).parent.parent / "frontend" / "src" / "api" / "kinds.json"


def _blade(blade: Blade) -> dict[str, str | None]:
    """Return a blade of a pattern as it is typed."""
    stamped = None if blade.stamped_nm is None else show_mm(blade.stamped_nm)
    unit = Unit.INCH if blade.in_inches else Unit.MM
    thou = blade.nominal_nm / NM_PER_THOU
    marked = f"{thou / 1000:.3f}" if blade.in_inches else show_mm(blade.nominal_nm)
    return {"marked": marked, "unit": unit.value, "stamped": stamped}


def document() -> str:
    """Return the tables as they are kept in the repository."""
    kinds = {
        "followers": [{"value": one.value, "label": kind_of(one).label} for one in Follower],
        "jobs": [
            {"value": one.value, "label": row.label, "means": row.means, "one": row.one}
            for one in JobKind
            for row in (kind_of_job(one),)
        ],
        "firings": {layout.value: " ".join(one) for layout, one in FIRINGS.items()},
        "blade_patterns": [
            {"name": one.name, "blades": [_blade(blade) for blade in one.blades]}
            for one in PATTERNS
        ],
        "verdicts": {one.value: VERDICT_WORDS[one] for one in Verdict},
    }
    return json.dumps(kinds, indent=2, ensure_ascii=False) + "\n"


if __name__ == "__main__":
    if "--check" in sys.argv:
        stale = TARGET.read_text("utf-8") != document()
        sys.exit("frontend/src/api/kinds.json is stale: run `make types`." if stale else 0)
    TARGET.write_text(document(), "utf-8")

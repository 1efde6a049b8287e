"""Work simulated engines through the real actions and print what is true in them afterwards.

The first lines are the plan alone: brackets of a usual set, new pieces taken as they come. The
others follow the advice: gaps called to a hundredth, new pieces measured before they go in.
"""

import os
import sys

from plimb.core.shim.sum import Aim
from plimb.trials.hand import Way
from plimb.trials.report import report

LINES = (
    ("loose, the default", Way()),
    ("middle", Way(aim=Aim.MIDDLE)),
    ("tight", Way(aim=Aim.TIGHT)),
    (
        "advice followed, of three",
        Way(finer=True, measured=True, of_three=True, opens_too=True),
    ),
    ("finer, one of each size at hand", Way(finer=True, measured=True, one_of_each=True)),
)
HEAD = "{:<34}{:>6}" + "{:>8}" * 7 + "{:>9}{:>9}"
"""`felt`: of the engines in which every valve had a gap; a valve without gets a piece for now."""


def main(jobs: int, seed: int) -> None:
    """Print a line for each way of working and each step of sizes."""
    names = ("sizes by", "right", "felt", "paper", "best", "rounds", "bought", "changed", "wrongly",
             "minutes")  # fmt: skip
    print(HEAD.format(f"{jobs} engines a line, seed {seed}", *names))
    for name, way in LINES:
        for step in ("0.05", "0.025"):
            found = report(jobs, seed, way, step, workers=os.cpu_count() or 1)
            shares = (
                f"{100 * share:.1f}"
                for share in (found.right, found.felt_right, found.paper, found.best)
            )
            means = (f"{mean:.2f}" for mean in (found.rounds, found.bought, found.changed,
                                                found.wrongly))  # fmt: skip
            print(HEAD.format(name, step, *shares, *means, f"{found.minutes:.0f}"), flush=True)


if __name__ == "__main__":
    main(*(int(word) for word in (*sys.argv[1:3], *("500", "1")[len(sys.argv[1:3]) :])))

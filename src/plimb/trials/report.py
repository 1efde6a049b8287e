"""Many simulated jobs, and what is true in their engines afterwards."""

import json
import random
import shutil
import tempfile
from collections.abc import Sequence
from concurrent.futures import ProcessPoolExecutor
from dataclasses import dataclass
from pathlib import Path
from typing import Any

from plimb.files.engine_file import EngineFile
from plimb.files.starting_point import Layout, Start, starting_point
from plimb.record.database import Database
from plimb.standins.simulated import SimulatedEngine, Truth, World
from plimb.trials.hand import Hand, Way
from plimb.trials.judge import best_possible, comes_out, with_paper

LAYOUTS = (Layout.SINGLE, Layout.PARALLEL_TWIN, Layout.TRIPLE, Layout.INLINE_FOUR)
"""Four valves a cylinder, 4 to 16 in all."""


@dataclass(frozen=True, slots=True, kw_only=True)
class TrialOutcome:
    """One job: truly right after the first round, against paper and the best; what it took.

    `felt` says that every valve had a gap: where one has none, its first piece is only for now.
    """

    right: bool
    felt: bool
    paper: bool
    best: bool
    rounds: int
    bought: int
    wrongly: int
    changed: int
    minutes: float
    tries: int


@dataclass(frozen=True, slots=True, kw_only=True)
class Report:
    """What many jobs came to; shares from 0 to 1, the rest is the mean of a job.

    `felt` is the share of engines in which every valve had a gap, `felt_right` how many of
    these were right.
    """

    jobs: int
    right: float
    felt: float
    felt_right: float
    paper: float
    best: float
    rounds: float
    bought: float
    wrongly: float
    changed: float
    minutes: float
    tries: float


def engine_of(seed: int, step: str) -> dict[str, Any]:
    """Return the document of an engine: a layout, ranges 0.05 to 0.10 wide, sizes by a step."""
    dice = random.Random(f"{seed}/engine")
    document = starting_point(Start(layout=dice.choice(LAYOUTS)))
    spec = {}
    for side, low in (("intake", dice.randrange(8, 16)), ("exhaust", dice.randrange(16, 26))):
        spec[side] = {"min": low / 100, "max": (low + dice.randrange(5, 11)) / 100}
    document["engine"]["spec"] = spec
    document["engine"]["family"] = {
        "diameter": 9.48, "price": 8.5, "runs": [{"from": 1.2, "to": 3.5, "step": float(step)}],
    }  # fmt: skip
    return document


def one_job(seed: int, way: Way, step: str, world: World, empty: Path) -> TrialOutcome:
    """Work one engine, and look at its truth after the first round."""
    document = engine_of(seed, step)
    engine = EngineFile.model_validate(document).to_core()
    simulated = SimulatedEngine(engine, seed, world)
    truth = Truth(simulated)
    before = {clearance.id: truth.in_spec(clearance.id) for clearance in engine.clearances}
    right: list[bool] = []
    with tempfile.TemporaryDirectory(dir=empty.parent) as folder:
        record = Path(folder) / "record.sqlite3"
        shutil.copy(empty, record)
        hand = Hand(
            record, simulated, json.dumps(document), way, lambda: right.append(truth.right())
        )
        worked = hand.work()
        hand.database.close()
    return TrialOutcome(
        right=right[0],
        felt=all(
            state.record.found is not None and not state.record.found.gap.none_found
            for state in worked.seen.valves.values()
        ),
        paper=_judged(engine, seed, world, with_paper(worked.seen, worked.shafts)),
        best=_judged(engine, seed, world, best_possible(worked.seen, worked.shafts, world)),
        rounds=worked.rounds,
        bought=worked.bought,
        wrongly=sum(before[valve] for valve in worked.changed),
        changed=len(worked.changed),
        minutes=worked.minutes,
        tries=worked.tries,
    )


def _judged(engine: Any, seed: int, world: World, choice: dict[str, int | None]) -> bool:
    return comes_out(SimulatedEngine(engine, seed, world), choice)


def _some_jobs(
    seeds: Sequence[int], way: Way, step: str, world: World, folder: str
) -> list[TrialOutcome]:
    return [one_job(seed, way, step, world, Path(folder) / "empty.sqlite3") for seed in seeds]


def report(
    jobs: int, seed: int, way: Way, step: str = "0.05", world: World | None = None, workers: int = 1
) -> Report:
    """Work so many engines the same way and return what came of them.

    Args:
        jobs: How many engines.
        seed: Which ones; the same seed gives the same engines to every way of working.
        way: How the shop works.
        step: Between sizes, in millimetres.
        world: How far off blades, hands, pieces and instruments are.
        workers: Processes to share the work between.
    """
    world = world or World()
    seeds = [seed * 1_000_003 + number for number in range(jobs)]
    memory = Path("/dev/shm")
    with tempfile.TemporaryDirectory(dir=memory if memory.is_dir() else None) as folder:
        Database(Path(folder) / "empty.sqlite3").close()
        if workers == 1:
            found = _some_jobs(seeds, way, step, world, folder)
        else:
            parts = [seeds[n::workers] for n in range(workers)]
            with ProcessPoolExecutor(workers) as pool:
                futures = [
                    pool.submit(_some_jobs, part, way, step, world, folder) for part in parts
                ]
                found = [trial for future in futures for trial in future.result()]
    return _mean(found)


def _mean(found: Sequence[TrialOutcome]) -> Report:
    def mean(name: str) -> float:
        return sum(float(getattr(trial, name)) for trial in found) / len(found)

    felt = [trial for trial in found if trial.felt]
    felt_right = sum(gap.right for gap in felt) / max(1, len(felt))
    names = ("right", "felt", "paper", "best", "rounds", "bought", "wrongly", "changed", "minutes",
             "tries")  # fmt: skip
    return Report(jobs=len(found), felt_right=felt_right, **{name: mean(name) for name in names})

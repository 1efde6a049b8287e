"""Engines that share one drawer, planned at once: no piece is promised twice.

Which camshafts come out each engine's own plan says, as if the drawer were its alone; then all
valves of all engines are one assignment, the least at the same levels in the same order, added up
over the engines. A piece out of an engine goes back into that engine alone.
"""

from collections.abc import Sequence
from dataclasses import dataclass

import numpy as np

from plimb.core.plan.assignment import Mask, Whole, assign, pack
from plimb.core.plan.candidates import Candidates
from plimb.core.plan.levels import LEVELS
from plimb.core.plan.request import PlanRequest
from plimb.core.plan.result import Plan, assemble
from plimb.core.plan.search import decide, plan_engine


@dataclass(frozen=True, slots=True, kw_only=True)
class Shared:
    """What one engine's plan is made from, and which of its drawer's pieces others may take.

    `lies` gives for each line of the request's drawer its number in the drawer that all share;
    None for pieces that are this engine's alone.
    """

    request: PlanRequest
    lies: tuple[int | None, ...]


@dataclass(frozen=True, slots=True, kw_only=True)
class Planned:
    """What an engine gets of the drawer that all share, and what it would, were it its alone."""

    plan: Plan
    alone: Plan


def plan_together(engines: Sequence[Shared]) -> tuple[Planned, ...]:
    """Return a plan for each engine, the best for all of them at every level.

    Raises:
        BadValue: Pins of one engine want one piece, or a pinned piece is not there.
    """
    total = sum(len(engine.request.rows) for engine in engines)
    parts = [_Part(engine, total) for engine in engines if engine.request.rows]
    _place(parts)
    width = 1 + max((int(part.places.max(initial=-1)) for part in parts), default=-1)
    height = sum(len(part.rows) for part in parts)
    allowed: Mask = np.zeros((height, width), dtype=bool)
    levels: list[Whole] = [np.zeros((height, width), dtype=np.int64) for _name in LEVELS]
    for part in parts:
        cells = np.ix_(part.rows, part.columns)
        at = np.ix_(part.at, part.places)
        allowed[at] = part.of.allowed[cells]
        for level, name in zip(levels, LEVELS, strict=True):
            level[at] = part.of.at_level(name)[cells]
    found = assign(pack(levels, allowed), allowed)
    plans = iter(Planned(plan=part.plan(found), alone=part.alone) for part in parts)
    return tuple(next(plans) if engine.request.rows else _nothing(engine) for engine in engines)


def _nothing(one: Shared) -> Planned:
    plan = plan_engine(one.request)
    return Planned(plan=plan, alone=plan)


class _Part:
    """One engine's share of the whole: its rows that choose, its columns, where they stand."""

    def __init__(self, one: Shared, total: int) -> None:
        alone = decide(one.request)
        self.alone, self.out = assemble(*alone), alone[1].out
        self.of = Candidates(one.request, total)
        chosen = self.of.cells(self.out)
        self.rows, self.columns = chosen if chosen else ([], [])
        self.lies = one.lies
        self.at: Whole = np.zeros(0, dtype=np.int64)
        self.places: Whole = np.zeros(0, dtype=np.int64)

    def copies(self) -> list[tuple[int, int] | None]:
        """Return for each column which piece of the shared drawer it is: its line, its number."""
        seen: dict[int, int] = {}
        found: list[tuple[int, int] | None] = []
        for column in self.columns:
            stock = self.of.stock_of[column] if column < self.of.counter_at else None
            lies = None if stock is None else self.lies[stock]
            if lies is None:
                found.append(None)
                continue
            found.append((lies, seen.get(lies, 0)))
            seen[lies] = seen.get(lies, 0) + 1
        return found

    def plan(self, found: Sequence[int] | None) -> Plan:
        """Return this engine's plan by what was found for all."""
        if found is None or not self.rows:
            return self.alone
        column_at = dict(zip(self.places.tolist(), self.columns, strict=True))
        taken = {
            row: column_at[found[at]] for row, at in zip(self.rows, self.at.tolist(), strict=True)
        }
        return assemble(self.of, self.of.solved(self.out, taken))


def _place(parts: Sequence[_Part]) -> None:
    """Give every row and column its place in the whole; shared pieces stand there once."""
    shared: dict[tuple[int, int], int] = {}
    row = column = 0
    for part in parts:
        part.at = np.arange(row, row + len(part.rows))
        row += len(part.rows)
        places = []
        for copy in part.copies():
            place = column if copy is None else shared.setdefault(copy, column)
            column += place == column
            places.append(place)
        part.places = np.array(places, dtype=np.int64)

"""Simulated engines over the years: what was forecast, held against what is true in them.

Each is checked every so often by a hand with blades and a micrometer; what is out of its range, in
the tightest fifth of it, or would by the forecast so far be out before the next check, is set to
the middle; the rest is left. The forecast sees what was written down, and nothing else.
"""

import random
from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from decimal import Decimal

from plimb.core.engine.engine import Clearance, Engine
from plimb.core.lengths import mm
from plimb.core.measure.gap import Gap, between, none_below
from plimb.core.measure.limits import Verdict, judge
from plimb.core.measure.uncertainty import USUAL_DOUBT
from plimb.core.plan.needs import near_tight_edge
from plimb.core.wear.forecast import Forecast, forecast
from plimb.core.wear.rates import kind_of
from plimb.core.wear.stack import Check, Piece, Seen
from plimb.files.engine_file import EngineFile
from plimb.standins.simulated import SimulatedEngine, Truth, World
from plimb.trials.hand import USUAL_BLADES
from plimb.trials.report import engine_of

EVERY = 6.0
"""Thousands of the counter between two checks, give or take a quarter."""

TRULY_FAST = 2.0
"""A valve that truly wears so many times as fast as the others of its kind is rightly called."""


@dataclass(frozen=True, slots=True, kw_only=True)
class Year:
    """One engine after its checks: what was forecast, and what is true.

    `covered` are the valves whose true rate lies in the 90 % interval, `first` the true distance
    until the first valve reaches its minimum, from the last check on. `falsely` are the valves
    called odd that truly wear less than twice as fast as the others of their kind: rates differ
    from valve to valve, and now and then one is odd by itself.
    """

    seen: Forecast
    covered: tuple[bool, ...]
    first: float
    odd: str | None
    falsely: tuple[str, ...]

    @property
    def found(self) -> bool:
        """Whether the valve that was made odd is called so."""
        return self.odd is not None and self.seen.by_name[self.odd].unusual

    @property
    def check_by(self) -> float | None:
        """The distance from the last check until the next is due."""
        at, last = self.seen.next_check.at, self.seen.last
        return None if at is None or last is None else at - float(last.at or 0)

    @property
    def in_time(self) -> bool:
        """Whether the next check comes before the truth."""
        return self.check_by is None or self.check_by <= max(self.first, 0.0)


def year(
    seed: int,
    checks: int,
    *,
    odd: float | None = None,
    called: bool = True,
    every: float = EVERY,
) -> Year:
    """Drive one engine through so many checks and return what came of it.

    Args:
        seed: Its number: the same is the same engine.
        checks: How many checks it gets.
        odd: How many times as fast as its kind one of its valves wears.
        called: Gaps are called to a hundredth; else they are left as a bracket.
        every: Thousands of the counter between two checks, give or take a quarter.
    """
    dice = random.Random(f"{seed}/years")
    engine = EngineFile.model_validate(engine_of(seed, "0.05")).to_core()
    simulated = SimulatedEngine(engine, seed, World(opens_up=0.0, wear_nm=0))
    truth = Truth(simulated)
    faster = {} if odd is None else {dice.choice(engine.clearances).id: odd}
    at, done = dice.uniform(2, 20), list[Check]()
    for number in range(checks):
        if number:
            run = every * dice.uniform(0.75, 1.25)
            simulated.drive(run, faster)
            at += run
        done.append(_checked(simulated, Decimal(round(at * 1000)), done, every, called=called))
    seen = forecast(engine.clearances, done)
    rates = truth.rates_nm(faster)
    return Year(
        seen=seen,
        covered=tuple(
            valve.rate.low_nm <= rates[valve.valve] <= valve.rate.high_nm
            for valve in seen.valves
            if valve.rate
        ),
        first=_first(engine, truth, rates),
        odd=next(iter(faster), None),
        falsely=_falsely(engine, seen, rates),
    )


def _falsely(engine: Engine, seen: Forecast, rates: Mapping[str, float]) -> tuple[str, ...]:
    """Return the valves called odd that are not, by the true rates."""
    kind = {clearance.id: kind_of(clearance) for clearance in engine.clearances}
    found = []
    for judged in seen.valves:
        others = [
            rate
            for valve, rate in rates.items()
            if kind[valve] == kind[judged.valve] and valve != judged.valve
        ]
        truly = rates[judged.valve] >= TRULY_FAST * sum(others) / max(1, len(others))
        if judged.unusual and not truly:
            found.append(judged.valve)
    return tuple(found)


def _first(engine: Engine, truth: Truth, rates: Mapping[str, float]) -> float:
    """Return the true distance until the first valve is at its minimum."""
    away = []
    for clearance in engine.clearances:
        assert clearance.check is not None
        away.append(
            1000 * (truth.gap_nm(clearance.id) - clearance.check.low_nm) / rates[clearance.id]
        )
    return min(away)


def _checked(
    simulated: SimulatedEngine, at: Decimal, before: Sequence[Check], every: float, *, called: bool
) -> Check:
    """Measure every valve, set what asks for it, and return what was written down."""
    engine = simulated.engine
    simulated.turn_to(tuple(clearance.id for clearance in engine.clearances))
    zero = simulated.measure(None)
    found = {
        clearance.id: _felt(simulated, clearance.id, called=called)
        for clearance in engine.clearances
    }
    as_found = Check(
        on=None,
        at=at,
        valves={clearance.key: Seen(found=found[clearance.id]) for clearance in engine.clearances},
    )
    coming = forecast(engine.clearances, (*before, as_found)).by_name
    seen = {}
    for clearance in engine.clearances:
        reach = coming[clearance.id].to_minimum
        soon = reach is not None and reach.early is not None and reach.early < 1000 * every
        assert clearance.check is not None
        edge = near_tight_edge(found[clearance.id], clearance.check)
        if judge(found[clearance.id], clearance.check) is Verdict.IN and not edge and not soon:
            seen[clearance.key] = Seen(found=found[clearance.id])
        else:
            seen[clearance.key] = _set(
                simulated, clearance, found[clearance.id], zero, called=called
            )
    return Check(on=None, at=at, valves=seen)


def _set(
    simulated: SimulatedEngine, one: Clearance, found: Gap, zero: int, *, called: bool
) -> Seen:
    """Change a valve's shim for the size that brings it nearest the middle."""
    old = simulated.take_out(one.id)
    was = Piece(thickness_nm=simulated.measure(old) - zero, half_width_nm=USUAL_DOUBT.piece_nm)
    assert one.check is not None
    if found.low_nm is None:
        size = was.thickness_nm - mm("0.15")
    else:
        size = was.thickness_nm + found.best_nm - one.check.middle_nm
    size = min(one.family.sizes(), key=lambda nm: abs(nm - size))
    new = simulated.buy(size, one.id, simulated.tries)
    thick = Piece(thickness_nm=simulated.measure(new) - zero, half_width_nm=USUAL_DOUBT.piece_nm)
    simulated.put_in(one.id, new)
    left = _felt(simulated, one.id, called=called)
    return Seen(found=found, piece=was, left=left, new=thick, changed=True)


def _felt(simulated: SimulatedEngine, valve: str, *, called: bool) -> Gap:
    """Return the bracket that blades tried upwards leave, called to a hundredth."""
    goes = 0
    for blade in USUAL_BLADES:
        nm = blade * mm("0.01")
        if simulated.goes(valve, (nm,)) is None:
            if not goes:
                return none_below(nm)
            if not called:
                return between(goes, nm)
            call = min(max(simulated.call(valve), goes), nm - mm("0.001"))
            return Gap(low_nm=goes, high_nm=nm, open_above=True, called_nm=call)
        goes = nm
    raise AssertionError("no gap is wider than the thickest blade")

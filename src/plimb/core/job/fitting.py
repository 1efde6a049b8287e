"""Putting together again: which piece goes in next, what to see to, and what closes the engine."""

from collections.abc import Mapping
from dataclasses import dataclass

from plimb.core.engine.engine import Engine
from plimb.core.engine.followers import Follower, Role, kind_of
from plimb.core.job.valve import Choice
from plimb.core.shim.shim import Source


@dataclass(frozen=True, slots=True, kw_only=True)
class FitStep:
    """One valve's turn: the piece to take, where from, and what becomes of the one that is out.

    `old_goes_to` is the valve that the old piece serves, None where it is left over; `old_gone`
    that it is in there already. Where the shaft stays in, `turn_to` is the stop to turn to first,
    every bucket closed, and `spare` says that something closes the valve until its piece comes.
    The counter `may_swap` the old piece for one that is bought; `swapped` says that it did.
    """

    valve: str
    thickness_nm: int
    source: Source
    from_valve: str | None
    old_nm: int
    old_goes_to: str | None
    checks: tuple[str, ...]
    measured_nm: int | None
    by_marking: bool
    fitted: bool
    old_gone: bool = False
    turn_to: int | None = None
    spare: bool = False
    overtaken: bool = False
    may_swap: bool = False
    swapped: bool = False


def chains(moves: Mapping[str, str | None]) -> list[list[str]]:
    """Return the valves in the order to fit them, chain by chain, each from its loose end.

    Args:
        moves: For each valve that changes the valve its new piece comes out of, or None.

    First comes the valve whose old piece nobody needs, then the one that gave it its piece, and
    so on, so that after each step at most one valve stands open and at most one piece lies
    loose. A ring of swaps starts at its first valve.
    """
    needed = {giver for giver in moves.values() if giver is not None}
    starts = [valve for valve in moves if valve not in needed]
    done: set[str] = set()
    found = []
    for start in (*starts, *moves):
        chain: list[str] = []
        valve: str | None = start
        while valve is not None and valve in moves and valve not in done:
            done.add(valve)
            chain.append(valve)
            valve = moves[valve]
        if chain:
            found.append(chain)
    return found


def fit_steps(
    engine: Engine,
    choices: Mapping[str, Choice],
    out_nm: Mapping[str, int],
    stops: Mapping[str, int] | None = None,
    overtaken: frozenset[str] = frozenset(),
    swaps: frozenset[str] = frozenset(),
) -> tuple[FitStep, ...]:
    """Return what is fitted, valve by valve, in order.

    On positively closed valves every closer comes before the openers. Where the shaft stays in
    no bucket stands empty while anything is turned: a chain begins at the valve whose piece is
    at hand, each piece that comes out goes on to the next, and stops are turned to in their
    order.

    Args:
        engine: The engine.
        choices: The decisions of the valves that change.
        out_nm: The thickness of the piece that came out of each of them.
        stops: At which stop each valve is at rest, where the shaft stays in.
        overtaken: Valves whose decision was made from other figures.
        swaps: Valves of whose pieces the counter takes old ones for new ones.
    """
    takers = {
        choice.from_valve: valve
        for valve, choice in choices.items()
        if choice.source is Source.ENGINE
    }
    moves = {valve: choice.from_valve for valve, choice in choices.items()}
    order = _in_order(engine, moves, stops or {})
    steps: list[FitStep] = []
    stop: int | None = None
    for valve in order:
        choice, taker = choices[valve], takers.get(valve)
        stays = not engine.clearance(valve).camshaft_out and valve in (stops or {})
        here = (stops or {}).get(valve) if stays else stop
        giver, rest = choice.from_valve, order[order.index(valve) :]
        steps.append(
            FitStep(
                valve=valve,
                thickness_nm=choice.thickness_nm,
                source=choice.source,
                from_valve=giver,
                old_nm=out_nm[valve],
                old_goes_to=taker,
                checks=_checks(engine.follower, engine.clearance(valve).action),
                measured_nm=choice.measured_nm,
                by_marking=choice.known_from_marking,
                fitted=choice.fitted,
                old_gone=taker is not None and taker in choices and choices[taker].fitted,
                turn_to=here if stays and here != stop else None,
                # its piece is still in a valve that comes later, at another stop
                spare=stays and giver in rest[1:] and (stops or {}).get(giver or "") != here,
                overtaken=valve in overtaken,
                may_swap=valve in swaps and taker is None and choice.source is Source.COUNTER,
                swapped=choice.swapped,
            )
        )
        stop = here
    return tuple(steps)


def _in_order(
    engine: Engine, moves: Mapping[str, str | None], stops: Mapping[str, int]
) -> tuple[str, ...]:
    linked = chains(moves)
    ordered = []
    for chain in linked:
        stays = all(not engine.clearance(valve).camshaft_out for valve in chain)
        # with the shaft in, the piece at hand goes in first and pushes the next one on
        ordered.append(chain[::-1] if stays and stops else chain)
    ordered.sort(
        key=lambda chain: (
            engine.clearance(chain[0]).action is not Role.CLOSE,
            stops.get(chain[0], 0) if not engine.clearance(chain[0]).camshaft_out else 0,
        )
    )
    return tuple(valve for chain in ordered for valve in chain)


def _checks(follower: Follower, role: Role) -> tuple[str, ...]:
    kind = kind_of(follower)
    return (kind.fit_closer or kind.fit) if role is Role.CLOSE else kind.fit

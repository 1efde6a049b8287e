"""Putting together again: which piece goes in next, what to see to, and what closes the engine."""

from collections.abc import Mapping
from dataclasses import dataclass

from plimb.core.engine.checklist import ChecklistItem, Line, checklist
from plimb.core.engine.engine import Engine
from plimb.core.engine.followers import Follower, Role, kind_of
from plimb.core.job.kinds import SET, KindOfJob
from plimb.core.job.valve import Choice
from plimb.core.shim.shim import Source


@dataclass(frozen=True, slots=True, kw_only=True)
class FitStep:
    """One valve's turn: the piece to take, where from, and what becomes of the one that is out.

    `old_goes_to` is the valve that the old piece serves next, None where it is left over.
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


def fit_order(moves: Mapping[str, str | None]) -> tuple[str, ...]:
    """Return the valves in the order to fit them.

    Args:
        moves: For each valve that changes the valve its new piece comes out of, or None.

    Chains are followed from their loose end: first the valve whose old piece nobody needs, then
    the one that gave it its piece, and so on, so that after each step at most one valve stands
    open and at most one piece lies loose. A ring of swaps starts at its first valve.
    """
    needed = {giver for giver in moves.values() if giver is not None}
    starts = [valve for valve in moves if valve not in needed]
    done: list[str] = []
    for start in (*starts, *moves):
        valve: str | None = start
        while valve is not None and valve in moves and valve not in done:
            done.append(valve)
            valve = moves[valve]
    return tuple(done)


def fit_steps(
    engine: Engine, choices: Mapping[str, Choice], out_nm: Mapping[str, int]
) -> tuple[FitStep, ...]:
    """Return what is fitted, valve by valve, in order.

    Args:
        engine: The engine.
        choices: The decisions of the valves that change.
        out_nm: The thickness of the piece that came out of each of them.
    """
    takers = {
        choice.from_valve: valve
        for valve, choice in choices.items()
        if choice.source is Source.ENGINE
    }
    order = fit_order({valve: choice.from_valve for valve, choice in choices.items()})
    return tuple(
        FitStep(
            valve=valve,
            thickness_nm=choices[valve].thickness_nm,
            source=choices[valve].source,
            from_valve=choices[valve].from_valve,
            old_nm=out_nm[valve],
            old_goes_to=takers.get(valve),
            checks=_checks(engine.follower, engine.clearance(valve).action),
            measured_nm=choices[valve].measured_nm,
            by_marking=choices[valve].known_from_marking,
            fitted=choices[valve].fitted,
        )
        for valve in order
    )


def _checks(follower: Follower, role: Role) -> tuple[str, ...]:
    kind = kind_of(follower)
    return (kind.fit_closer or kind.fit) if role is Role.CLOSE else kind.fit


_COUNT: Line = (
    "count", "Every piece and tool counted, nothing left in the head", "A part that is "
    "missing now is found before the engine is turned.",
)  # fmt: skip
_CAPS: Line = (
    "caps", "Caps in their own places, the right way round", "Drawn down evenly by the "
    "picture, in stages: a cam is brittle.",
)  # fmt: skip
_COVER: tuple[Line, ...] = (
    ("cover", "Cover back: its gasket and seals sound or new, sealant where the maker asks",
     "Look once more for a rag in a hole."),
    ("cover-torque", "Cover bolts to the maker's figure, crosswise",
     "Mostly 5 to 12 N·m: pounds by inches taken for pounds by feet shear them."),
    ("rest", "Plugs, coils, hoses and tank back; oil that was drawn off is back on the lobes",
     "Each bolt out of its own pocket: they differ in length."),
)  # fmt: skip


def closing_list(
    engine: Engine,
    shafts: tuple[str, ...],
    hand_turns: int,
    round_: int = 1,
    *,
    kind: KindOfJob = SET,
    changed: bool = True,
) -> tuple[ChecklistItem, ...]:
    """Return what follows once the pieces are in: caps, timing, tensioner, turning, the cover.

    Where nothing is `changed` it is the cover alone; on the bench there is no timing, no
    tensioner and no cover, and the camshafts are turned. The order is common practice; the
    maker's manual comes before it.
    """
    steps: list[Line] = []
    if shafts:
        steps += [_COUNT, _laid(shafts, on_bench=kind.on_bench), _CAPS]
        if not kind.on_bench:
            steps += _timing(engine)
    elif changed:
        steps += kind_of(engine.follower).close
    if changed:
        steps.append(
            ("turns", f"Turned by hand {hand_turns} full turns in its own direction"
             + (", each camshaft by its gear" if kind.on_bench else ""), "It must go "
             "round without a stop. If it stops, look for the reason; never force it.")
        )  # fmt: skip
    if not kind.on_bench:
        steps += _COVER
    return checklist(steps, "close", round_)


def _laid(shafts: tuple[str, ...], *, on_bench: bool) -> Line:
    how = "lobes as they came out" if on_bench else "lobes of the first cylinder as at its mark"
    never = (
        "a shaft half in is never turned" if on_bench else "never turn the crank with one half in"
    )
    return "lay", f"{' and '.join(shafts)} laid in oiled, {how}", f"{never[0].upper()}{never[1:]}."


def _timing(engine: Engine) -> list[Line]:
    """Return the timing's lines, with what the maker says to look for and to count."""
    cues = [f"{mark.name}: {mark.cue}" for mark in engine.marks if mark.cue]
    counts = [mark.count for mark in engine.marks if mark.count]
    marks = "Crank at its mark, cam marks level, pins between them counted"
    if cues or counts:
        marks = ". ".join(("Crank and cams at their marks", *cues, *counts))
    return [
        ("marks", marks, "Count twice. A tooth out bends valves."),
        ("tensioner", "Tensioner wound back, bolted on, then released",
         "Forgotten in its wound-back state the chain jumps."),
        ("slack", "Chain tight on the driving side", "Slack there means a tooth out as soon "
         "as it is turned."),
    ]  # fmt: skip

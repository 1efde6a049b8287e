"""Slips that the whole card gives away: one reading proves little, all of them together much.

Each slip is a second story of how the figures came about: typed in the other unit, sides or
twins mixed up, measured at the wrong top dead centre, two blades stuck together. It is asked
about where it tells the figures so much better than an honest hand does that it is the likelier
story, rare as it is. How gaps spread, and how rare slips are, is judgement from common practice;
the tests print what is caught of simulated slips, and how seldom honest readings are questioned.
"""

from collections.abc import Iterator, Mapping, Sequence
from dataclasses import dataclass
from functools import partial
from itertools import combinations
from math import exp, hypot, log, pi, sqrt

from plimb.core.engine.engine import Clearance, Engine, Side
from plimb.core.job.slips import Before, Question, Slip, typed_gap
from plimb.core.lengths import NM_PER_THOU, Unit, mm, show
from plimb.core.measure.gap import point
from plimb.core.measure.limits import Limits
from plimb.core.measure.shorthand import Reading

ASKED_FROM = 4.6
"""Log-odds from which on a story is asked about: told a hundred times better."""

STUCK_FROM, FEEL_MM = 2.75, 0.01
"""The same for two blades that stuck together, seldom as they do not; and how exact a blade is."""

WEAR_MM, WEAR_SPREAD_MM = 0.012, 0.016
"""What a valve closes by from check to check, and how that spreads."""

TWINS_APART_MM = 0.011
"""How much more one of two twins wears than the other."""

NO_GAP = 0.01
"""How often an honest valve has no gap."""

OVER_THOU = NM_PER_THOU / mm("0.01")


@dataclass(frozen=True, slots=True)
class _Valve:
    """One valve's reading in millimetres, None where no gap was found, and what is expected."""

    clearance: Clearance
    check: Limits
    gap: float | None
    left: float | None
    reading: Reading

    @property
    def known(self) -> bool:
        return self.gap is not None

    @property
    def wear(self) -> float | None:
        return None if self.gap is None or self.left is None else self.left - self.gap


def card_questions(
    engine: Engine,
    readings: Mapping[str, Reading],
    *,
    unit: Unit = Unit.MM,
    before: Mapping[str, Before] | None = None,
    thin_blades_nm: Sequence[int] = (),
) -> dict[str, tuple[Question, ...]]:
    """Return what is worth asking of the card as a whole, at each valve that it is about.

    Args:
        engine: For the specs and for who is whose twin.
        readings: All readings of the card so far, or of its proofs, by valve.
        unit: What bare figures were typed in.
        before: The gaps as left at the check before, by valve.
        thin_blades_nm: The set's thin blades, which may stick to another.
    """
    valves = _valves(engine, readings, before or {})
    found: dict[str, list[Question]] = {}
    stories = (
        _other_unit(valves, unit),
        _sides(engine, valves),
        _twins_swapped(valves, unit),
        _overlaps(valves),
        _stuck(valves, thin_blades_nm, unit),
    )
    for story in stories:
        for names, question in story:
            for name in names:
                found.setdefault(name, []).append(question)
    return {name: tuple(questions) for name, questions in found.items()}


def _valves(
    engine: Engine, readings: Mapping[str, Reading], before: Mapping[str, Before]
) -> list[_Valve]:
    found = []
    for name, reading in readings.items():
        clearance, gap = engine.clearance(name), reading.gap
        if clearance.check is None or (not gap.both_ends and not gap.none_found):
            continue
        left = before.get(name)
        found.append(
            _Valve(
                clearance,
                clearance.check,
                None if gap.none_found else gap.best_nm / mm("1"),
                left.gap.best_nm / mm("1") if left and left.gap.both_ends else None,
                reading,
            )
        )
    return found


def _normal(x: float, spread: float) -> float:
    return exp(-((x / spread) ** 2) / 2) / (spread * sqrt(2 * pi))


def _honest(gap: float, check: Limits, left: float | None) -> float:
    """Return how densely honest gaps lie here, a millimetre: by the check before, or the spec."""
    anywhere = 0.02 if 0 <= gap <= 2 else 1e-4
    if left is not None:
        wear = left - gap
        closed = exp(-wear / 0.06) / 0.06 if wear > 0 else 0.0
        return 0.9 * _normal(wear - WEAR_MM, WEAR_SPREAD_MM) + 0.08 * closed + anywhere
    low, high = check.low_nm / mm("1"), check.high_nm / mm("1")
    room = max(high - low, 0.02)
    inside = 1 / (1.4 * room) if low - 0.3 * room <= gap <= high + 0.1 * room else 0.0
    closed = exp(-(low - gap) / 0.05) / 0.05 if gap < low else 0.0
    return 0.75 * inside + 0.2 * closed + anywhere


def _told(gap: float, valve: _Valve, *, instead: _Valve | None = None) -> float:
    """Return ln of how well a gap fits a valve, or the place of another one."""
    of = instead or valve
    return log(_honest(gap, of.check, of.left))


Story = Iterator[tuple[tuple[str, ...], Question]]


def _other_unit(valves: list[_Valve], unit: Unit) -> Story:
    """Hundredths typed where thou are meant, or thou for hundredths, all over the card."""
    factor = OVER_THOU if unit is Unit.MM else 1 / OVER_THOU
    felt = [valve for valve in valves if valve.gap is not None]
    if len(felt) < 2:
        return
    odds = sum(
        _told(valve.gap * factor, valve) + log(factor) - _told(valve.gap, valve)
        for valve in felt
        if valve.gap is not None
    )
    better = [
        valve
        for valve in felt
        if valve.gap is not None
        and _told(valve.gap * factor, valve) + log(factor) > _told(valve.gap, valve)
    ]
    # a card typed so is so from end to end: nearly every figure says it
    if odds < ASKED_FROM or len(better) * 5 < len(felt) * 4:
        return
    names = ("thou", "hundredths of a mm") if unit is Unit.MM else ("hundredths of a mm", "thou")
    yield (
        tuple(valve.clearance.id for valve in better),
        Question(
            slip=Slip.UNIT,
            sentence=f"{len(better)} of {len(felt)} readings fit their specs far better read as "
            f"{names[0]} than as {names[1]}. Which were typed?",
        ),
    )


def _sides(engine: Engine, valves: list[_Valve]) -> Story:
    """Intake and exhaust mixed up, in one cylinder or in all."""
    mixed: list[tuple[float, list[_Valve], int]] = []
    for cylinder in dict.fromkeys(valve.clearance.cylinder for valve in valves):
        mine = [valve for valve in valves if valve.clearance.cylinder == cylinder]
        across = {side: _across(engine, mine, side) for side in Side}
        felt = [valve for valve in mine if valve.gap is not None and across[valve.clearance.side]]
        odds = 0.0
        for valve in felt:
            other = across[valve.clearance.side]
            assert other is not None
            assert valve.gap is not None
            odds += _told(valve.gap, valve, instead=other) - _told(valve.gap, valve)
        if felt:
            mixed.append((odds, felt, cylinder))
    whole = sum(odds for odds, _felt, _cylinder in mixed)
    if len(mixed) > 1 and whole >= ASKED_FROM and all(odds > -1 for odds, *_rest in mixed):
        names = tuple(valve.clearance.id for _odds, felt, _n in mixed for valve in felt)
        yield (
            names,
            Question(
                slip=Slip.OTHER_SIDE,
                sentence="The readings fit far better with intake and exhaust the other way round, "
                "on every cylinder so far. Which side is which on this head?",
            ),
        )
        return
    for odds, felt, cylinder in mixed:
        if odds >= ASKED_FROM and len({valve.clearance.side for valve in felt}) == 2:
            yield (
                tuple(valve.clearance.id for valve in felt),
                Question(
                    slip=Slip.OTHER_SIDE,
                    sentence=f"The readings of cylinder {cylinder} fit far better with intake and "
                    "exhaust the other way round. Were they mixed up?",
                ),
            )


def _across(engine: Engine, mine: list[_Valve], side: Side) -> _Valve | None:
    """Return what is expected on the other side of a cylinder, its valves taken together."""
    opposite = [valve for valve in mine if valve.clearance.side is not side]
    if not opposite:
        cylinder = mine[0].clearance.cylinder
        other = Side.EXHAUST if side is Side.INTAKE else Side.INTAKE
        there = [c for c in engine.along(cylinder, other) if c.check is not None]
        if not there or there[0].check is None:
            return None
        return _Valve(there[0], there[0].check, None, None, mine[0].reading)
    lefts = [valve.left for valve in opposite if valve.left is not None]
    left = sum(lefts) / len(lefts) if len(lefts) == len(opposite) else None
    one = opposite[0]
    return _Valve(one.clearance, one.check, None, left, one.reading)


def _pairs(valves: list[_Valve]) -> Iterator[tuple[_Valve, _Valve]]:
    for a, b in combinations(valves, 2):
        if a.clearance.is_twin_of(b.clearance) and a.wear is not None and b.wear is not None:
            yield a, b


def _apart(difference: float, width: float = 0.0) -> float:
    """Return ln of how densely two twins differ in wear by so much, one read within a width."""
    heavy = exp(-abs(difference) / 0.05) / 0.1
    spread = hypot(TWINS_APART_MM, width / sqrt(12))
    return log(0.95 * _normal(difference, spread) + 0.05 * heavy)


def _twins_swapped(valves: list[_Valve], unit: Unit) -> Story:
    """Left and right of a pair mixed up: each has just what the other was left with."""
    for a, b in _pairs(valves):
        assert a.wear is not None
        assert b.wear is not None
        assert a.left is not None
        assert b.left is not None
        assert a.gap is not None
        assert b.gap is not None
        now = a.wear - b.wear
        swapped = (a.left - b.gap) - (b.left - a.gap)
        if _apart(swapped) - _apart(now) >= ASKED_FROM and abs(a.left - b.left) >= 0.02:
            yield (
                (a.clearance.id, b.clearance.id),
                Question(
                    slip=Slip.SWAPPED,
                    sentence=f"{a.clearance.id} reads what {b.clearance.id} was left with "
                    f"({_show(b.left, unit)}), and the other way round. Left and right mixed up?",
                ),
            )


def _overlaps(valves: list[_Valve]) -> Story:
    """No gap on a whole side of one cylinder, while the others have theirs: the wrong TDC."""
    felt = sum(valve.known for valve in valves)
    for cylinder in dict.fromkeys(valve.clearance.cylinder for valve in valves):
        mine = [valve for valve in valves if valve.clearance.cylinder == cylinder]
        for side in Side:
            here = [valve for valve in mine if valve.clearance.side is side]
            if not here or any(valve.known for valve in here):
                continue
            elsewhere = [valve for valve in valves if valve not in here and not valve.known]
            # twins lose their gap together: the second one says less than the first
            odds = log(0.65 / NO_GAP) + (len(here) - 1) * log(0.9 / 0.35)
            odds += sum(_closed(valve) for valve in here)
            odds -= 2.5 * len([valve for valve in elsewhere if valve not in mine])
            if odds >= ASKED_FROM and felt >= 1:
                yield (
                    tuple(valve.clearance.id for valve in here),
                    Question(
                        slip=Slip.OVERLAP,
                        sentence=f"No gap on the {side} side of cylinder {cylinder}, while others "
                        "have theirs: is it at the end of compression? Turn on one full turn and "
                        "measure again.",
                    ),
                )


def _closed(one: _Valve) -> float:
    """Return what the check before says of a valve that has no gap now."""
    return 0.0 if one.left is None else min(3.0, one.left / 0.05)


def _stuck(valves: list[_Valve], thin_blades_nm: Sequence[int], unit: Unit) -> Story:
    """Two blades stuck together: low by just a thin blade, where its like have not moved so."""
    thin = [nm / mm("1") for nm in thin_blades_nm if mm("0.02") <= nm <= mm("0.05")]
    for valve in valves:
        if valve.wear is None or not valve.reading.gap.is_point or not thin:
            continue
        found = _usual_wear(valve, valves)
        if found is None:
            continue
        usual, width = found
        more = valve.wear - usual
        best = min(thin, key=partial(_from, more))
        odds = _apart(more - best, width) - _apart(more, width) - log(len(thin)) / 2
        if odds >= STUCK_FROM and abs(more - best) <= FEEL_MM + 1e-6:
            assert valve.gap is not None
            meant_nm = round((valve.gap + best) * mm("1"))
            yield (
                (valve.clearance.id,),
                Question(
                    slip=Slip.STUCK,
                    sentence=f"Low by just the {_show(best, unit)} blade, while its like have not "
                    "moved: were two blades stuck together?",
                    suggestion=typed_gap(meant_nm, unit),
                    suggested=point(meant_nm),
                ),
            )


def _usual_wear(one: _Valve, valves: list[_Valve]) -> tuple[float, float] | None:
    """Return what a valve's twin has worn, or the middle of its side, within what is known."""
    twins = [a if b is one else b for a, b in _pairs(valves) if one in (a, b)]
    side = [
        other for other in valves if other is not one and other.clearance.side is one.clearance.side
    ]
    worn = sorted((other.wear, _width(other)) for other in twins or side if other.wear is not None)
    enough = len(worn) >= (1 if twins else 3)
    return worn[len(worn) // 2] if enough else None


def _from(first: float, second: float) -> float:
    return abs(first - second)


def _width(one: _Valve) -> float:
    gap = one.reading.gap
    return (gap.high_nm - (gap.low_nm or 0)) / mm("1")


def _show(length_mm: float, unit: Unit) -> str:
    return show(round(length_mm * mm("1")), unit)

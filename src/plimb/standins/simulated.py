"""A simulated engine, with the blades, the hand and the instruments that measure it.

It answers what a person at an engine is told: does this blade go, and how does it feel; what is
marked on this shim; what does the micrometer read. What is true in it, it keeps to itself: only
`Truth` looks, and nothing that plans or advises may.

The assumptions, all judgement from common practice unless a shop measured better:

- a valve was set evenly within its range, and has closed since by a wear that its side shares
  (two fifths of it) and by one of its own, exponential; one valve in forty opened up instead;
- a blade goes where its true thickness is no more than the gap, as this hand feels it: the hand
  is off by the same everywhere, and by a little more each time;
- blades, and the oil between two of them, are a little off their marking;
- driven on, a valve's stack falls straight with the distance, at a rate that its kind shares and
  that differs from valve to valve (log-normal); on another day the hand and the zero are others;
- a shim is off its marking evenly either way; some markings are worn off; one in fifty says
  another size than it is;
- a micrometer has a zero error and scatters; a calliper scatters more and rounds to 0.01.
"""

import random
from collections.abc import Mapping
from dataclasses import dataclass, replace
from enum import StrEnum

from plimb.core.engine.engine import Engine
from plimb.core.lengths import mm


class Feels(StrEnum):
    """How a blade that goes feels."""

    LOOSE = "l"
    DRAG = "d"
    TIGHT = "t"


@dataclass(frozen=True, slots=True, kw_only=True)
class World:
    """How far off everything is: standard deviations, or half-widths where it says so, in nm."""

    feel_nm: int = mm("0.004")
    hand_nm: int = mm("0.002")
    blade_nm: int = mm("0.001")
    film_nm: int = mm("0.003")
    zero_nm: int = mm("0.003")
    reads_nm: int = mm("0.002")
    rounds_nm: int = mm("0.001")
    bought_nm: int = mm("0.012")
    worn_off: float = 0.1
    mismarked: float = 0.0
    wear_nm: int = mm("0.03")
    opens_up: float = 0.025
    rate_nm: int = mm("0.003")
    kinds_differ: float = 0.4
    rates_differ: float = 0.25

    def feels(self, room_nm: float) -> Feels | None:
        """Return how a blade goes that leaves so much room, None if it refuses."""
        if room_nm < 0:
            return None
        snug = 1.5 * self.feel_nm
        return Feels.TIGHT if room_nm < snug / 3 else Feels.DRAG if room_nm < snug else Feels.LOOSE


CALLIPER = {"reads_nm": mm("0.008"), "rounds_nm": mm("0.01")}
"""What differs where shims are measured with a calliper."""


@dataclass(frozen=True, slots=True)
class Held:
    """A shim in the hand: which one it is. What it measures is for the instrument to say."""

    number: int


class SimulatedEngine:
    """An engine on the bench: turned, felt, taken apart and put together."""

    def __init__(self, engine: Engine, seed: int, world: World | None = None) -> None:
        self.engine, self.world, self._seed = engine, world or World(), seed
        self._hand = random.Random(f"{seed}/hand")
        self._slid = random.Random(f"{seed}/calliper")
        truth = random.Random(f"{seed}/truth")
        self._bias = truth.gauss(0, self.world.hand_nm)
        self._zero = truth.gauss(0, self.world.zero_nm)
        self._blades: dict[int, float] = {}
        self._pieces: list[tuple[int, float, bool]] = []
        self._in: dict[str, int | None] = {}
        self._stack: dict[str, float] = {}
        self._at_rest: frozenset[str] = frozenset()
        self.tries = 0
        shared = {clearance.side: truth.expovariate(1) for clearance in engine.clearances}
        for clearance in engine.clearances:
            assert clearance.check is not None
            sizes = clearance.family.sizes()
            marked = truth.choice(sizes[len(sizes) // 3 : 2 * len(sizes) // 3])
            wear = self.world.wear_nm * (0.4 * shared[clearance.side] + 0.6 * truth.expovariate(1))
            if truth.random() < self.world.opens_up:
                wear = -wear
            held = self._piece(marked, truth)
            self._in[clearance.id] = held.number
            gap = truth.uniform(clearance.check.low_nm, clearance.check.high_nm) - wear
            self._stack[clearance.id] = gap + self._pieces[held.number][1]

    def drive(self, thousands: float, faster: Mapping[str, float] | None = None) -> None:
        """Run the engine on by so many thousands of its counter, and come back another day.

        `faster` are valves that wear so many times as fast as their kind does.
        """
        for valve, rate in self._rates(faster).items():
            self._stack[valve] -= rate * thousands
        self._bias = self._hand.gauss(0, self.world.hand_nm)
        self._zero = self._hand.gauss(0, self.world.zero_nm)

    def _rates(self, faster: Mapping[str, float] | None = None) -> dict[str, float]:
        """Return what each valve's stack loses in a thousand of the counter, in nm."""
        dice, world = random.Random(f"{self._seed}/rates"), self.world
        kinds: dict[tuple[str, str], float] = {}
        rates = {}
        for clearance in self.engine.clearances:
            kind = (clearance.side, clearance.action)
            if kind not in kinds:
                kinds[kind] = world.rate_nm * dice.lognormvariate(0, world.kinds_differ)
            own = dice.lognormvariate(0, world.rates_differ)
            rates[clearance.id] = kinds[kind] * (faster or {}).get(clearance.id, own)
        return rates

    def _piece(self, marked_nm: int, dice: random.Random) -> Held:
        error_nm = dice.uniform(-self.world.bought_nm, self.world.bought_nm)
        if dice.random() < self.world.mismarked:
            error_nm += dice.choice((-1, 1)) * mm("0.05")
        worn = dice.random() < self.world.worn_off
        self._pieces.append((marked_nm, marked_nm + error_nm, worn))
        return Held(len(self._pieces) - 1)

    def turn_to(self, at_rest: tuple[str, ...]) -> None:
        """Turn on until these valves' cams point away; any other has no gap then."""
        self._at_rest = frozenset(at_rest)

    def goes(self, valve: str, blades: tuple[int, ...]) -> Feels | None:
        """Push in a blade, or two together, by their markings: how it goes, None if it refuses."""
        self.tries += len(blades)
        thick = sum(self._blade(nm) for nm in blades)
        if len(blades) > 1:
            thick += abs(self._hand.gauss(0, self.world.film_nm))
        return self.world.feels(self._gap_felt(valve) - thick)

    def call(self, valve: str) -> int:
        """Call the gap to a hundredth of a millimetre, as a practised hand does."""
        return round(self._gap_felt(valve) / mm("0.01")) * mm("0.01")

    def _gap_felt(self, valve: str) -> float:
        number = self._in[valve]
        if number is None or valve not in self._at_rest:
            return -1.0
        gap = self._stack[valve] - self._pieces[number][1]
        return gap + self._bias + self._hand.gauss(0, self.world.feel_nm)

    def _blade(self, nm: int) -> float:
        if nm not in self._blades:
            error_nm = random.Random(f"{self._seed}/blade/{nm}").gauss(0, self.world.blade_nm)
            self._blades[nm] = nm + error_nm
        return self._blades[nm]

    def take_out(self, valve: str) -> Held:
        """Take the shim of a valve out."""
        number = self._in[valve]
        assert number is not None
        self._in[valve] = None
        return Held(number)

    def put_in(self, valve: str, piece: Held) -> None:
        """Put a shim in; one that is in another valve is not in the hand."""
        assert piece.number not in self._in.values()
        self._in[valve] = piece.number

    def marking(self, piece: Held) -> str:
        """Read the marking in hundredths or thousandths of a millimetre, `?` where worn off."""
        marked_nm, _true, worn = self._pieces[piece.number]
        thousandths = marked_nm // mm("0.001")
        said = f"{thousandths // 10:03}" if thousandths % 10 == 0 else f"{thousandths:04}"
        return "?" * len(said) if worn else said

    def measure(self, piece: Held | None) -> int:
        """Close the instrument on a shim, or on nothing; what it shows, in nanometres."""
        true = 0.0 if piece is None else self._pieces[piece.number][1]
        shown = true + self._zero + self._hand.gauss(0, self.world.reads_nm)
        return round(shown / self.world.rounds_nm) * self.world.rounds_nm

    def is_about(self, piece: Held, size_nm: int) -> bool:
        """Return whether somebody who looks for a shim of a size would pick this one up."""
        return abs(self._pieces[piece.number][1] - size_nm) <= mm("0.015")

    def calliper_reading(self, piece: Held) -> int:
        """Close a calliper on a shim; what it shows, in nanometres, to a hundredth of a mm."""
        shown = self._pieces[piece.number][1] + self._slid.gauss(0, CALLIPER["reads_nm"])
        return round(shown / CALLIPER["rounds_nm"]) * CALLIPER["rounds_nm"]

    def buy(self, size_nm: int, valve: str, copy: int = 0) -> Held:
        """Take a shim of a size over the counter; the same copy for a valve is the same piece."""
        bought = random.Random(f"{self._seed}/bought/{valve}/{size_nm}/{copy}")
        held = self._piece(size_nm, bought)
        marked_nm, true, _worn = self._pieces[held.number]
        self._pieces[held.number] = (marked_nm, true, False)
        return held


class Truth:
    """What is true in a simulated engine: for whoever judges afterwards, and nobody else."""

    def __init__(self, of: SimulatedEngine) -> None:
        self._of = of

    def gap_nm(self, valve: str) -> float:
        """Return a valve's true gap, below nothing where it is held open."""
        number = self._of._in[valve]
        assert number is not None
        return self._of._stack[valve] - self._of._pieces[number][1]

    def gap_with(self, valve: str, piece: Held) -> float:
        """Return the true gap with another piece in."""
        return self._of._stack[valve] - self._of._pieces[piece.number][1]

    def in_spec(self, valve: str) -> bool:
        """Return whether a valve is truly in its check range."""
        check = self._of.engine.clearance(valve).check
        assert check is not None
        return check.low_nm <= self.gap_nm(valve) <= check.high_nm

    def rates_nm(self, faster: Mapping[str, float] | None = None) -> dict[str, float]:
        """Return what each valve's stack loses in a thousand of the counter, in nm."""
        return self._of._rates(faster)

    def right(self) -> bool:
        """Return whether every valve is truly in range."""
        return all(self.in_spec(clearance.id) for clearance in self._of.engine.clearances)


def calliper(world: World) -> World:
    """Return the world of a shop that measures its shims with a calliper."""
    return replace(world, **CALLIPER)

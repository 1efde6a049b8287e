"""Where everything lies on the head from above, from the engine's own layout.

Lengths here are in bore pitches, not metres: the drawing shows order and sides, not
true size. In a bank `u` runs along the camshafts (left to right, or front to rear for
a crank along the machine) and `v` across them, growing away from the front (or from
the left).
"""

from dataclasses import dataclass

from plimb.core.engine.engine import Bank, Engine, Side
from plimb.core.engine.followers import Role

BORE_RADIUS = 0.44
_SPREAD = {1: (0.0,), 2: (-0.19, 0.19), 3: (-0.27, 0.0, 0.27)}
_OFFSET = {1: (0.19,), 2: (0.18, 0.18), 3: (0.12, 0.24, 0.12)}
_RADIUS = {
    (Side.INTAKE, 1): 0.2,
    (Side.INTAKE, 2): 0.16,
    (Side.INTAKE, 3): 0.115,
    (Side.EXHAUST, 1): 0.17,
    (Side.EXHAUST, 2): 0.14,
    (Side.EXHAUST, 3): 0.1,
}
_CAM_OFFSET = 0.19


@dataclass(frozen=True, slots=True, kw_only=True)
class Bore:
    """A cylinder bore, at `u` along its bank."""

    cylinder: int
    u: float


@dataclass(frozen=True, slots=True, kw_only=True)
class ValveSpot:
    """A valve head: place, radius, and the side of the bank its plate hangs on (−1 or 1).

    A valve with two shims has two plates: the opener's by the head (`rank` 0), the closer's
    behind it.
    """

    valve: str
    u: float
    v: float
    radius: float
    plate: int
    rank: int


@dataclass(frozen=True, slots=True, kw_only=True)
class CamBar:
    """A camshaft from end to end of its bank."""

    camshaft: str
    v: float
    start: float
    end: float


@dataclass(frozen=True, slots=True, kw_only=True)
class BankDrawing:
    """One bank: its length in pitches and everything on it."""

    bank: str
    length: int
    bores: tuple[Bore, ...]
    valves: tuple[ValveSpot, ...]
    camshafts: tuple[CamBar, ...]


@dataclass(frozen=True, slots=True, kw_only=True)
class HeadDrawing:
    """All banks, the foremost (or leftmost) first; `crank` is across or along the machine."""

    crank: str
    banks: tuple[BankDrawing, ...]


def draw_head(engine: Engine) -> HeadDrawing:
    """Return the head from above."""
    return HeadDrawing(
        crank=engine.crank, banks=tuple(_draw_bank(engine, bank) for bank in engine.banks)
    )


def _draw_bank(engine: Engine, bank: Bank) -> BankDrawing:
    intake_sign = -1 if bank.intake in ("front", "left") else 1
    spots: list[ValveSpot] = []
    bars: dict[tuple[str, int], CamBar] = {}
    for place, number in enumerate(bank.cylinders):
        for side in Side:
            sign = intake_sign if side is Side.INTAKE else -intake_sign
            clearances = engine.along(number, side)
            valves = sum(clearance.action is Role.OPEN for clearance in clearances)
            for clearance in clearances:
                rank = 0 if clearance.action is Role.OPEN else 1
                alike = [mate for mate in clearances if mate.action is clearance.action]
                nth = alike.index(clearance)
                spots.append(
                    ValveSpot(
                        valve=clearance.id,
                        u=place + 0.5 + _SPREAD[valves][nth],
                        v=sign * _OFFSET[valves][nth],
                        radius=_RADIUS[side, valves],
                        plate=sign,
                        rank=rank,
                    )
                )
                shaft = next(s for s in engine.camshafts if s.id == clearance.camshaft)
                across = 0 if shaft.side is None else sign
                bars[shaft.id, across] = CamBar(
                    camshaft=shaft.id,
                    v=across * _CAM_OFFSET,
                    start=0.02,
                    end=len(bank.cylinders) - 0.02,
                )
    return BankDrawing(
        bank=bank.id,
        length=len(bank.cylinders),
        bores=tuple(Bore(cylinder=n, u=i + 0.5) for i, n in enumerate(bank.cylinders)),
        valves=tuple(spots),
        camshafts=tuple(bars.values()),
    )

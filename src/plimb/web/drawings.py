"""How an engine is drawn: the head from above, and the whole cycle to turn through."""

from __future__ import annotations

from typing import Literal

from plimb.core.engine.engine import Side
from plimb.core.engine.layout import BORE_RADIUS
from plimb.core.engine.turning import Method
from plimb.web.wire import Answer


class BoreOut(Answer):
    """A cylinder bore on the drawing."""

    cylinder: int
    u: float


class SpotOut(Answer):
    """A valve on the drawing, and the side of its bank its plate hangs on."""

    valve: str
    u: float
    v: float
    radius: float
    plate: int
    rank: int


class BarOut(Answer):
    """A camshaft on the drawing."""

    camshaft: str
    v: float
    start: float
    end: float


class BankOut(Answer):
    """One bank of the drawing, in bore pitches."""

    bank: str
    length: int
    bores: list[BoreOut]
    valves: list[SpotOut]
    camshafts: list[BarOut]


class DrawingOut(Answer):
    """The head from above; `crank` lies across or along the machine."""

    crank: Literal["across", "along"]
    bore_radius: float = BORE_RADIUS
    banks: list[BankOut]


class StopOut(Answer):
    """One angle to turn to, and what is measured there."""

    degrees: float
    mark: str | None
    valves: list[str]
    margin: float
    narrow: bool


class LaneOut(Answer):
    """One cylinder's one side over the cycle: when its valves are lifted, in crank degrees."""

    cylinder: int
    side: Side
    valves: list[str]
    fires_at: int
    lift_from: float
    lift_to: float
    peak: float


class TurnOut(Answer):
    """Where to turn to, and the whole cycle to see why."""

    method: Method
    rotation: str
    stops: list[StopOut]
    lanes: list[LaneOut]

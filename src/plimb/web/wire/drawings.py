"""How an engine is drawn: the head from above, and the whole cycle to turn through."""

from typing import Literal

from plimb.core.engine.cycle import Cycle, CycleStop, Lane
from plimb.core.engine.layout import BORE_RADIUS, BankDrawing, Bore, CamBar, HeadDrawing, ValveSpot
from plimb.web.wire.read_off import Answer, answer_of, read_off

BoreOut = answer_of(Bore, "BoreOut")
SpotOut = answer_of(ValveSpot, "SpotOut")
BarOut = answer_of(CamBar, "BarOut")
BankOut = answer_of(BankDrawing, "BankOut")


@read_off(HeadDrawing)
class DrawingOut(Answer):
    """The head from above; `crank` lies across or along the machine."""

    crank: Literal["across", "along"]
    bore_radius: float = BORE_RADIUS


StopOut = answer_of(CycleStop, "StopOut")
LaneOut = answer_of(Lane, "LaneOut")


@read_off(Cycle)
class TurnOut(Answer):
    """Where to turn to, and the whole cycle to see why."""

"""How an engine is drawn: the head from above, and the whole cycle to turn through."""

from typing import Literal

from plimb.core.engine.cycle import Cycle, CycleStop, Lane
from plimb.core.engine.layout import BORE_RADIUS, BankDrawing, Bore, CamBar, HeadDrawing, ValveSpot
from plimb.web.wire import Answer, read_off


@read_off(Bore)
class BoreOut(Answer):
    """A cylinder bore on the drawing."""


@read_off(ValveSpot)
class SpotOut(Answer):
    """A valve on the drawing, and the side of its bank its plate hangs on."""


@read_off(CamBar)
class BarOut(Answer):
    """A camshaft on the drawing."""


@read_off(BankDrawing)
class BankOut(Answer):
    """One bank of the drawing, in bore pitches."""


@read_off(HeadDrawing)
class DrawingOut(Answer):
    """The head from above; `crank` lies across or along the machine."""

    crank: Literal["across", "along"]
    bore_radius: float = BORE_RADIUS


@read_off(CycleStop)
class StopOut(Answer):
    """One angle to turn to, and what is measured there."""


@read_off(Lane)
class LaneOut(Answer):
    """One cylinder's one side over the cycle: when its valves are lifted, in crank degrees."""


@read_off(Cycle)
class TurnOut(Answer):
    """Where to turn to, and the whole cycle to see why."""

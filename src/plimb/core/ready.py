"""Cold and safe: what must hold before the cover comes off, for this engine and this method."""

from __future__ import annotations

from dataclasses import dataclass
from decimal import Decimal

from plimb.core.engine import Engine, Follower
from plimb.core.errors import BadValue
from plimb.core.turning import Method

RESTED_HOURS = 4
COLD_C = 35
"""At ambient: not run for 4 hours, coolant not over 35 °C (common practice)."""


@dataclass(frozen=True, slots=True, kw_only=True)
class Conditions:
    """How cold the engine is; None where nobody noted it. `reason` is why it is measured warm."""

    rested_hours: Decimal | None = None
    temperature_c: Decimal | None = None
    reason: str = ""

    def __post_init__(self) -> None:
        if self.rested_hours is not None and not 0 <= self.rested_hours <= 100_000:
            raise BadValue("hours since the last run lie between 0 and 100 000.", field="rested")
        if self.temperature_c is not None and not -50 <= self.temperature_c <= 200:
            raise BadValue("a temperature lies between −50 and 200 °C.", field="temperature")

    @property
    def warnings(self) -> tuple[str, ...]:
        """Why the engine counts as warm, a sentence each; none when it is cold."""
        said = []
        if self.temperature_c is not None and self.temperature_c > COLD_C:
            said.append(f"{self.temperature_c:f} °C is over {COLD_C} °C: let it cool.")
        if self.rested_hours is not None and self.rested_hours < RESTED_HOURS:
            said.append(
                f"Run {self.rested_hours:f} hours ago; {RESTED_HOURS} hours of rest are usual."
            )
        return tuple(said)

    @property
    def noted(self) -> bool:
        """Whether anybody noted how cold the engine is."""
        return self.rested_hours is not None or self.temperature_c is not None

    @property
    def warm(self) -> bool:
        """Whether readings are to be marked as warm."""
        return bool(self.warnings)


@dataclass(frozen=True, slots=True, kw_only=True)
class SafetyItem:
    """One thing to see to, and the caution that goes with it."""

    id: str
    does: str
    caution: str


def safety_list(engine: Engine, method: Method) -> tuple[SafetyItem, ...]:
    """Return what to see to for this engine and this way of turning it.

    The maker's manual, local codes and licensed practice come before this list.
    """

    def item(id_: str, does: str, caution: str) -> SafetyItem:
        return SafetyItem(id=id_, does=does, caution=caution)

    items = [
        item("power", "Ignition off, battery lead off", "Never turn the engine on the starter: it "
             "overshoots, and fingers are in there."),
        item("stand", "On its stand, or wheels chocked", "It must not roll or fall while you pull "
             "on the crank."),
        item("fuel", "Fuel closed, no flame near", "A tank that comes off drips."),
        item("hands", "Hands clear of chain and sprockets while turning",
             "Feeler blades cut, too."),
        item("clean", "Clean around the cover before it opens", "Grit that falls in wears what you "
             "came to measure."),
        item("plug", "Plug or rag every hole a shim could fall into", "A dropped part is fetched "
             "with a magnet before the engine is turned again."),
        item("plugs-out", "Spark plugs out", "The engine then turns easily and stops where "
             "you want."),
        item("direction", f"Turn {engine.rotation} only", "Past the mark means going round again, "
             "never back: the chain would go slack and the marks lie."),
    ]  # fmt: skip
    if method is Method.LOBE:
        items.append(item("lobe", "Watch the lobe, not the mark", "Square to the follower is "
                          "enough; straight away from it is best."))  # fmt: skip
    if engine.follower is Follower.BUCKET_OVER:
        items.append(item("holder", "Holding-down tool seated fully before the shim is touched",
                          "If it slips the bucket jumps up: keep fingers out."))  # fmt: skip
    if engine.follower is Follower.OPENER_CLOSER:
        items.append(item("both", "Measure opener and closer of each valve",
                          "Half rings are small: cover the holes first."))  # fmt: skip
    if engine.follower is Follower.FINGER:
        items.append(item("pad", "Finger pad flat on its shim before measuring",
                          "Never set below the minimum: the finger can jump off."))  # fmt: skip
    if len(engine.cylinders) == 1:
        items.append(item("decompressor", "Decompressor free of the valve",
                          "Its lobe is not in the turning plan; where there is one, go by the "
                          "manual."))  # fmt: skip
    return tuple(items)

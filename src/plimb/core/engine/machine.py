"""What the shop knows of the machine around an engine: whose it is, its tools, parts, bolts."""

from collections.abc import Mapping
from dataclasses import dataclass, field
from decimal import Decimal
from enum import StrEnum


class Measure(StrEnum):
    """What a machine's counter counts."""

    KM = "km"
    MILES = "mi"
    HOURS = "h"

    @property
    def of_distance(self) -> "Measure":
        """The unit of a distance, where this counts one; kilometres else."""
        return Measure.MILES if self is Measure.MILES else Measure.KM

    @property
    def words(self) -> str:
        """The unit as it stands behind a number."""
        return "miles" if self is Measure.MILES else self.value


class Vehicle(StrEnum):
    """What an engine sits in."""

    MOTORCYCLE = "motorcycle"
    CAR = "car"
    OTHER = "other"


@dataclass(frozen=True, slots=True, kw_only=True)
class RenewedPart:
    """A part or material this engine wants renewed; its number and price if they are known."""

    what: str
    number: str = ""
    count: int = 1
    price: Decimal | None = None


@dataclass(frozen=True, slots=True, kw_only=True)
class Machine:
    """What is remembered from card to card; empty is not known.

    `vehicle` is what it sits in, `plate` the plate's or the frame's number, `caps` how the
    camshaft caps are marked, `tensioner` its kind and what to do first, `notes` what is to be
    known at a stage.
    """

    vehicle: Vehicle = Vehicle.MOTORCYCLE
    owner: str = ""
    plate: str = ""
    counter: Measure | None = None
    interval: Decimal | None = None
    caps: str = ""
    tensioner: str = ""
    blades: str = ""
    tools: tuple[str, ...] = ()
    parts: tuple[RenewedPart, ...] = ()
    notes: Mapping[str, str] = field(default_factory=dict)

    def measure_of(self, km: int | None, miles: int | None) -> Measure:
        """Return the unit of a distance: as it was written, else as the counter counts."""
        if miles is not None:
            return Measure.MILES
        if km is not None or self.counter is None:
            return Measure.KM
        return self.counter.of_distance

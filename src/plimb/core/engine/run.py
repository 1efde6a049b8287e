"""What a machine has run, as somebody typed it: kilometres, miles, hours."""

from decimal import Decimal

from plimb.core.engine.machine import Measure
from plimb.core.errors import BadValue
from plimb.core.lengths import meter_in

FAR_KM = 2_000_000

Distance = int | str | None
"""What a machine has run: counted, or as somebody typed it; None where nobody noted it."""


def hours_in(text: str | None) -> Decimal | None:
    """Return hours as typed, `62.5`, None where none are; BadValue if they cannot be."""
    hours = meter_in(text, "hours")
    if hours is not None and not 0 <= hours <= FAR_KM:
        raise BadValue(f"A run lies between 0 and {FAR_KM} hours.", field="hours")
    return hours


def distance_in(distance: Distance, measure: Measure) -> dict[str, int | None]:
    """Return a distance as the card keeps it, by its unit; BadValue where it cannot be."""
    if isinstance(distance, str):
        typed = meter_in(distance, "distance", decimals=False)
        if typed is not None and typed != int(typed):
            raise BadValue("Write the distance as a whole number, such as 14000.", field="distance")
        distance = None if typed is None else int(typed)
    if distance is not None and not 0 <= distance <= FAR_KM:
        raise BadValue(f"A distance lies between 0 and {FAR_KM} {measure.words}.", field="distance")
    miles = measure is Measure.MILES
    return {"distance_km": None if miles else distance, "distance_mi": distance if miles else None}

"""A spec as it is printed, in the parts that the engine file has for it."""

from plimb.core.lengths import Unit
from plimb.core.measure.limits import Spec
from plimb.files.readings import number_in


def as_printed(spec: Spec, unit: Unit) -> dict[str, float]:
    """Return the parts: two ends, or one figure with the maker's tolerance or the shop's room."""
    if spec.plus_minus_nm is None:
        low, high = spec.check.low_nm, spec.check.high_nm
        return {"min": number_in(low, unit), "max": number_in(high, unit)}
    key = "room" if spec.own_room else "plus_minus"
    nominal = number_in(spec.check.middle_nm, unit)
    return {"nominal": nominal, key: number_in(spec.plus_minus_nm, unit)}

"""How cold the engine is: what must hold before the cover comes off."""

from dataclasses import dataclass
from decimal import Decimal

from plimb.core.errors import BadValue
from plimb.core.lengths import decimal_in

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


def noted_from(rested_hours: str | None, temperature_c: str | None, reason: str) -> Conditions:
    """Return the conditions as typed; a field left empty was not noted.

    Raises:
        BadValue: One of them is no number, or cannot be.
    """
    return Conditions(
        rested_hours=decimal_in(rested_hours, "rested"),
        temperature_c=decimal_in(temperature_c, "temperature"),
        reason=reason.strip(),
    )

"""What lists show of a card, and what a card keeps of the shop when it is signed."""

from collections.abc import Mapping
from dataclasses import dataclass
from datetime import date
from decimal import Decimal
from enum import StrEnum

from plimb.core.job.stages import Stage
from plimb.core.job.status import JobStatus
from plimb.core.measure.blades import BladeSet
from plimb.core.measure.limits import Verdict
from plimb.core.shim.shim import Instrument
from plimb.core.words import day_words, grouped


@dataclass(frozen=True, slots=True, kw_only=True)
class CardSummary:
    """How far a card is. `verdicts` go by the clearances' keys."""

    at: Stage
    measured: int
    opened: int
    verdicts: Mapping[str, Verdict | None]

    @property
    def valves(self) -> int:
        """How many clearances the engine has."""
        return len(self.verdicts)


def summary_of(status: JobStatus, *, signed: bool) -> CardSummary:
    """Return how far a card is; a signed one says what each valve was left at."""
    states = status.valves.values()
    return CardSummary(
        at=status.at,
        measured=sum(state.record.found is not None for state in states),
        opened=len(status.opened),
        verdicts={state.clearance.key: state.left if signed else state.verdict for state in states},
    )


@dataclass(frozen=True, slots=True, kw_only=True)
class ShopThings:
    """What a card takes from the shop: the engine's label and note, feeler set, instrument."""

    label: str
    note: str
    blade_set: BladeSet | None
    instrument: Instrument | None


@dataclass(frozen=True, slots=True, kw_only=True)
class Origin:
    """Where a card from a file comes from, as far as the file says so.

    `public` is the key that the file is under, None where it is under none.
    """

    shop: str
    card: int | None
    public: str | None

    def words(self, known_as: str | None) -> str:
        """Return where the card comes from, and what that is worth.

        Args:
            known_as: What this shop calls whoever has that key, None where it does not know.
        """
        said = f"a file of “{self.shop}”" if self.shop else "a file"
        if self.card is not None:
            said += f" (card {self.card} there)"
        if self.public is None:
            return f"{said}: unverified, it is under no key"
        if known_as is None:
            return f"{said}: unverified, its key is not known here"
        return f"{said}: verified, by the key of {known_as}"


@dataclass(frozen=True, slots=True, kw_only=True)
class NextCheck:
    """When the next check is due: by a distance, hours or a day, whichever comes first."""

    next_check_km: int | None
    next_check_mi: int | None
    next_check_hours: Decimal | None
    next_check_on: date | None

    def words(self) -> str:
        """Return it in words; empty where nobody set one."""
        at = [
            "" if self.next_check_km is None else f"at {grouped(self.next_check_km)} km",
            "" if self.next_check_mi is None else f"at {grouped(self.next_check_mi)} miles",
            "" if self.next_check_hours is None else f"at {self.next_check_hours:f} h",
            "" if self.next_check_on is None else f"by {day_words(self.next_check_on)}",
        ]
        return " or ".join(filter(None, at))


class CardState(StrEnum):
    """Where a card stands among the others."""

    OPEN = "open"
    SIGNED = "signed"
    AWAY = "away"


@dataclass(frozen=True, slots=True, kw_only=True)
class Sought:
    """Which cards: those with all these words, of one state, opened from one day to another."""

    like: str = ""
    state: CardState | None = None
    since: date | None = None
    until: date | None = None

"""A shim as it was read: what is marked on it, and what the micrometer says."""

import re
from dataclasses import dataclass
from enum import StrEnum

from plimb.core.errors import Ambiguous, BadValue
from plimb.core.lengths import Unit, mm, parse_length, plain_figures, show_inch, show_mm
from plimb.core.measure.uncertainty import thickness_doubt
from plimb.core.shim.family import COMMON_KIT, Family, check_shim
from plimb.core.shim.marking import WORN, decode

DISAGREES_OVER_NM = mm("0.02")
"""A marking and a micrometer further apart than this are pointed out (common practice)."""

TELLS_APART_NM = mm("0.03")
"""A micrometer this near to one reading of a marking, and to no other, tells which it is."""

MOST_DOUBT_NM = mm("0.1")
"""No micrometer or calliper that is fit for shims is worse than this."""

ONE_PIECE_NM = mm("0.05")
"""Repeated readings of one piece lie no further apart than this; else one of them is wrong."""

_TYPED = re.compile(
    r"(?a:(?P<marked>[0-9?]{1,4})(?:=(?P<means>[0-9]+[.,][0-9]+))?"
    r"|\+?(?P<measured>[0-9]*[.,][0-9]+)(?:mm)?)"
)


class Trust(StrEnum):
    """Which of the two a sum is made with."""

    MEASURED = "measured"
    MARKED = "marked"


class Source(StrEnum):
    """Where a piece comes from."""

    SAME = "same"
    ENGINE = "engine"
    DRAWER = "drawer"
    COUNTER = "counter"


class Condition(StrEnum):
    """What a piece is fit for: any valve, its own place only, or the scrap tin."""

    SOUND = "sound"
    WORN = "worn"
    SCRAP = "scrap"


@dataclass(frozen=True, slots=True, kw_only=True)
class Instrument:
    """A micrometer or calliper, and what it is good to either way."""

    name: str
    doubt_nm: int

    def __post_init__(self) -> None:
        if not self.name.strip():
            raise BadValue("Write what the shop calls this instrument.", field="name")
        if not 0 < self.doubt_nm <= MOST_DOUBT_NM:
            raise BadValue("An instrument is good to between 0.0001 and 0.1 mm.", field="doubt")


@dataclass(frozen=True, slots=True, kw_only=True)
class ShimReading:
    """A shim's marking as read, its nominal thickness, and its measured one, in nanometres.

    `readings` are the micrometer's, corrected for its zero; `measured_nm` is their mean.
    `doubt_nm` is what the instrument is good to, the usual micrometer's where not said.
    `answered` says that a person has decided which of marking and measurement counts.
    """

    marked: str | None
    marked_nm: int | None
    measured_nm: int | None
    trust: Trust = Trust.MEASURED
    answered: bool = False
    condition: Condition = Condition.SOUND
    readings: tuple[int, ...] = ()
    doubt_nm: int | None = None
    typed: str = ""
    unit: Unit = Unit.MM

    def __post_init__(self) -> None:
        if self.marked_nm is None and self.measured_nm is None:
            raise BadValue("shim: type its marking, its thickness, or both.", field="shim")

    @property
    def thickness_nm(self) -> int:
        """The thickness a sum is made with: the trusted one, else the other."""
        both = (self.measured_nm, self.marked_nm)
        first, second = both if self.trust is Trust.MEASURED else both[::-1]
        thickness_nm = first if first is not None else second
        assert thickness_nm is not None  # one of the two is there: checked when made
        return thickness_nm

    @property
    def from_marking(self) -> bool:
        """Whether the sum is made with the marking."""
        return self.measured_nm is None or (
            self.trust is Trust.MARKED and self.marked_nm is not None
        )

    @property
    def half_width_nm(self) -> int:
        """How far the thickness that counts may be off, either way."""
        return thickness_doubt(by_marking=self.from_marking, instrument_nm=self.doubt_nm)

    @property
    def disagreement_nm(self) -> int | None:
        """Measured minus marked, or None where one of them is missing."""
        if self.marked_nm is None or self.measured_nm is None:
            return None
        return self.measured_nm - self.marked_nm

    @property
    def disagrees(self) -> bool:
        """Whether marking and micrometer are so far apart that somebody has to say."""
        apart_nm = self.disagreement_nm
        return apart_nm is not None and abs(apart_nm) > DISAGREES_OVER_NM

    @property
    def spread_nm(self) -> int | None:
        """How far apart repeated readings of the piece lie."""
        return max(self.readings) - min(self.readings) if len(self.readings) > 1 else None

    @property
    def words(self) -> str:
        """What was understood, in the unit it was measured in."""
        said = []

        def show(nm: int) -> str:
            return show_mm(nm) if self.unit is Unit.MM else show_inch(nm)

        if self.marked is not None and self.marked_nm is not None:
            said.append(f"marked {self.marked}, that is {show(self.marked_nm)} {self.unit}")
        elif self.marked == WORN:
            said.append("marking worn off")
        if self.measured_nm is not None:
            of = f", the mean of {len(self.readings)}" if len(self.readings) > 1 else ""
            said.append(f"measures {show(self.measured_nm)} {self.unit}{of}")
        if self.disagrees:
            said.append(f"{show(abs(self.disagreement_nm or 0))} {self.unit} apart: "
                        "check the marking and the zero")  # fmt: skip
        return "; ".join(said)


def parse_shim(
    text: str,
    family: Family = COMMON_KIT,
    *,
    zero_nm: int = 0,
    condition: Condition = Condition.SOUND,
    doubt_nm: int | None = None,
) -> ShimReading:
    """Return the shim in the text: a marking, measured thicknesses, or both.

    Bare digits are a marking (`275` is 2.75 mm, `2975` is 2.975, `3` is 3.00; `?` stands for
    a digit that is worn off); a number with a decimal point is a measured thickness in
    the family's unit. `290 2.897` gives both, `290 2.897 2.899` repeats the measurement;
    `298=2.975` says which size a marking stands for.

    Args:
        text: What was typed.
        family: Whose code the marking follows.
        zero_nm: What the instrument shows with nothing in it; taken off each reading.
        condition: What the piece is fit for.
        doubt_nm: What the instrument is good to.

    Raises:
        BadValue: It cannot be read, or no shim is that thick.
        Ambiguous: The marking can be read in more than one way, and no measurement tells.
    """
    marked: str | None = None
    means_nm: int | None = None
    readings: list[int] = []
    for part in plain_figures(text).replace("/", " ").split():
        match = _TYPED.fullmatch(part)
        if match and match["marked"] and marked is None:
            marked = match["marked"]
            if match["means"]:
                means_nm = check_shim(parse_length(match["means"], family.unit, field="shim"))
        elif match and match["measured"]:
            read_nm = parse_length(match["measured"], family.unit, field="shim") - zero_nm
            readings.append(check_shim(read_nm))
        else:
            raise BadValue(
                f"shim “{text.strip()}” cannot be read; type the marking (290), the measured "
                "thickness (2.897), or both (290 2.897).",
                field="shim",
            )
    measured_nm = _mean(readings)
    return ShimReading(
        marked=marked,
        marked_nm=means_nm or (_read_marking(marked, family, measured_nm) if marked else None),
        measured_nm=measured_nm,
        readings=tuple(readings),
        condition=condition,
        doubt_nm=doubt_nm,
        typed=text.strip(),
        unit=family.unit,
    )


def _mean(readings: list[int]) -> int | None:
    """Return what repeated readings of one piece come to, None for no reading."""
    if readings and max(readings) - min(readings) > ONE_PIECE_NM:
        raise BadValue(
            f"shim readings {show_mm(min(readings))} and {show_mm(max(readings))} are too far "
            "apart to be one shim; zero the instrument and measure again.",
            field="shim",
        )
    return round(sum(readings) / len(readings)) if readings else None


def _read_marking(marked: str, family: Family, measured_nm: int | None) -> int | None:
    """Return what a marking stands for, or None where it is worn off beside a measurement."""
    if not marked.strip(WORN):
        if measured_nm is None:
            raise BadValue(
                "shim: where the marking is worn off, type the measured thickness.", field="shim"
            )
        return None
    could_be = decode(marked, family.sizes(), family.code, family.unit)
    if len(could_be) > 1 and measured_nm is not None:
        near = [nm for nm in could_be if abs(nm - measured_nm) <= TELLS_APART_NM]
        closest = sorted(near, key=lambda nm: abs(nm - measured_nm))
        could_be = tuple(closest[:1]) or could_be
    if not could_be:
        raise BadValue(
            f"shim marking “{marked}” fits no size of this family; read it again, or type the "
            "measured thickness.",
            field="shim",
        )
    if len(could_be) > 1:
        raise Ambiguous(marked, could_be)
    return check_shim(could_be[0])

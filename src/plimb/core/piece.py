"""A shim as it was read: what is marked on it, and what the micrometer says."""

from __future__ import annotations

import re
from dataclasses import dataclass
from enum import StrEnum

from plimb.core.errors import BadValue
from plimb.core.family import check_shim
from plimb.core.lengths import mm, parse_number, show_mm

DISAGREES_OVER_NM = mm("0.02")
"""A marking and a micrometer further apart than this are pointed out (common practice)."""

_TYPED = re.compile(r"(?a:(?P<marked>[0-9]{1,4})|(?P<measured>[0-9]*[.,][0-9]+))")


class Trust(StrEnum):
    """Which of the two a sum is made with."""

    MEASURED = "measured"
    MARKED = "marked"


@dataclass(frozen=True, slots=True, kw_only=True)
class Piece:
    """A shim's marking as read, its nominal thickness, and its measured one, in nanometres."""

    marked: str | None
    marked_nm: int | None
    measured_nm: int | None

    def __post_init__(self) -> None:
        if self.marked_nm is None and self.measured_nm is None:
            raise BadValue("shim: type its marking, its thickness, or both.", field="shim")

    def thickness_nm(self, trust: Trust = Trust.MEASURED) -> int:
        """Return the thickness a sum is made with: the trusted one, else the other."""
        both = (self.measured_nm, self.marked_nm)
        first, second = both if trust is Trust.MEASURED else both[::-1]
        thickness_nm = first if first is not None else second
        assert thickness_nm is not None  # one of the two is there: checked when made
        return thickness_nm

    @property
    def disagreement_nm(self) -> int | None:
        """Measured minus marked, or None where one of them is missing."""
        if self.marked_nm is None or self.measured_nm is None:
            return None
        return self.measured_nm - self.marked_nm

    def words(self) -> str:
        """Return what was understood, in millimetres."""
        said = []
        if self.marked is not None and self.marked_nm is not None:
            said.append(f"marked {self.marked}, that is {show_mm(self.marked_nm)} mm")
        if self.measured_nm is not None:
            said.append(f"measures {show_mm(self.measured_nm)} mm")
        gap_nm = self.disagreement_nm
        if gap_nm is not None and abs(gap_nm) > DISAGREES_OVER_NM:
            said.append(f"{show_mm(abs(gap_nm))} mm apart: check the marking and the zero")
        return "; ".join(said)


def parse_piece(text: str) -> Piece:
    """Return the shim in the text: a marking, a measured thickness, or both.

    Bare digits are a marking (`275` is 2.75 mm, `2975` is 2.975, `3` is 3.00); a number
    with a decimal point is a measured thickness in millimetres; `290 2.897` gives both.

    Raises:
        BadValue: It cannot be read, or no shim is that thick.
    """
    marked: str | None = None
    marked_nm = measured_nm = None
    parts = text.replace("/", " ").split()
    for part in parts:
        match = _TYPED.fullmatch(part)
        if match and match["marked"] and marked is None:
            marked, marked_nm = part, check_shim(_decode(part))
        elif match and match["measured"] and measured_nm is None:
            measured_nm = check_shim(round(parse_number(part, field="shim") * mm("1")))
        else:
            raise BadValue(
                f"shim “{text.strip()}” cannot be read; type the marking (290), the measured "
                "thickness (2.897), or both (290 2.897).",
                field="shim",
            )
    return Piece(marked=marked, marked_nm=marked_nm, measured_nm=measured_nm)


def _decode(marking: str) -> int:
    """Return the thickness a marking stands for, in nanometres."""
    if len(marking) == 2:
        raise BadValue(
            f"shim marking “{marking}” can be read in more than one way; type the thickness "
            f"as a number, like {marking[0]}.{marking[1]}0.",
            field="shim",
        )
    return int(marking) * mm("1") // int(10 ** (len(marking) - 1))

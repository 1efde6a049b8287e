"""What every request and answer is made of. Lengths carry nanometres and both readings."""

from __future__ import annotations

from functools import lru_cache
from typing import Annotated

from pydantic import BaseModel, ConfigDict, Field

from plimb.core.gap import Gap
from plimb.core.lengths import show_mm, show_thou


class Sent(BaseModel):
    model_config = ConfigDict(extra="forbid", strict=True)


class Answer(BaseModel):
    model_config = ConfigDict(frozen=True)


Text = Annotated[str, Field(max_length=200)]
Key = Annotated[str, Field(min_length=8, max_length=64)]


class ChangeIn(Sent):
    """The version the sender saw, and the sender's own name for this act."""

    version: int
    key: Key


class LengthOut(Answer):
    """A length: integer nanometres, and as read in mm and in thou."""

    nm: int
    mm: str
    thou: str

    @staticmethod
    @lru_cache(maxsize=16_384)
    def of(nm: int) -> LengthOut:
        """Return the length as it goes over the wire; the same few are sent again and again."""
        return LengthOut(nm=nm, mm=show_mm(nm), thou=show_thou(nm))


class GapOut(Answer):
    """A gap: an interval with its best number, and how it is written in short."""

    low: LengthOut | None
    high: LengthOut
    best: LengthOut
    none_found: bool
    is_point: bool
    mm: str
    thou: str

    @classmethod
    def of(cls, gap: Gap) -> GapOut:
        """Return the gap as it goes over the wire."""
        low, high = gap.low_nm, LengthOut.of(gap.high_nm)
        lower = None if low is None else LengthOut.of(low)
        best = LengthOut.of(gap.best_nm)
        if lower is None:
            short = (f"< {high.mm}", f"< {high.thou}")
        elif gap.is_point:
            short = (high.mm, high.thou)
        elif gap.called_nm is not None:
            short = (f"≈ {best.mm}", f"≈ {best.thou}")
        else:
            short = (f"{lower.mm}–{high.mm}", f"{lower.thou}–{high.thou}")
        return cls(
            low=lower,
            high=high,
            best=best,
            none_found=gap.none_found,
            is_point=gap.is_point,
            mm=short[0],
            thou=short[1],
        )

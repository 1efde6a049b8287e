"""What a person at a practice engine is told."""

from dataclasses import dataclass


@dataclass(frozen=True, slots=True, kw_only=True)
class Told:
    """What a person at an engine is told: in a word and a sentence, how hard it went from 0 to 1.

    `shown_nm` is what the instrument shows, `marking` what stands on a piece.
    """

    word: str
    sentence: str
    force: float = 0.0
    shown_nm: int | None = None
    marking: str | None = None

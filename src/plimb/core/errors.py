"""What stops the work: one class a fact, the facts as fields, a stable code."""

from __future__ import annotations


class PlimbError(Exception):
    """A refusal that a person can act on.

    Attributes:
        code: Stable name of the fact, for programs.
        field: What the person typed or sent that is at fault, or None.
        sentence: One plain sentence that says what is wrong and what to do.
    """

    code = "refused"

    def __init__(self, sentence: str, *, field: str | None = None) -> None:
        super().__init__(sentence)
        self.sentence = sentence
        self.field = field


class BadValue(PlimbError):
    """Something typed or sent cannot be what it is meant to be."""

    code = "bad_value"


class NotFound(PlimbError):
    """What was asked for is not in the shop's record."""

    code = "not_found"


class StaleVersion(PlimbError):
    """The card was changed by somebody else after this screen was drawn."""

    code = "conflict"

    def __init__(self, *, seen: int, current: int) -> None:
        super().__init__(
            f"This card was changed in another window (you saw version {seen}, "
            f"it is now {current}). Look at what changed, then save yours again.",
            field="version",
        )
        self.seen = seen
        self.current = current


class CardSigned(PlimbError):
    """The card is signed, and a signed card does not change."""

    code = "card_signed"


class NotReady(PlimbError):
    """A step was asked for before what it stands on is known."""

    code = "not_ready"

"""What stops the work: one class a fact, the facts as fields, a stable code."""

MOST_SHOWN = 6


class PlimbError(Exception):
    """A refusal that a person can act on.

    Attributes:
        code: Stable name of the fact, for programs.
        field: What the person typed or sent that is at fault, or None.
        sentence: One plain sentence that says what is wrong and what to do.
    """

    code = "refused"
    offers: tuple[str, ...] = ()

    def __init__(self, sentence: str, *, field: str | None = None) -> None:
        super().__init__(sentence)
        self.sentence = sentence
        self.field = field


class BadValue(PlimbError, ValueError):
    """Something typed or sent cannot be what it is meant to be."""

    code = "bad_value"


class Ambiguous(BadValue):
    """A shim's marking that can be read in more than one way, so that somebody has to say."""

    code = "ambiguous"

    def __init__(self, marking: str, could_be_nm: tuple[int, ...]) -> None:
        shown = [f"{nm / 1_000_000:.3f}" for nm in could_be_nm[:MOST_SHOWN]]
        hidden = len(could_be_nm) - len(shown)
        more = f" or {hidden} more" if hidden else ""
        super().__init__(
            f"shim marking “{marking}” can be read in more than one way: "
            f"{', '.join(shown)}{more}. Say which, like {marking}={shown[0]}, or measure it.",
            field="shim",
        )
        self.marking = marking
        self.could_be_nm = could_be_nm
        self.offers = tuple(f"{marking}={size}" for size in shown)


class TwoMeanings(BadValue):
    """Something typed that can mean more than one thing, so that somebody has to say which.

    `offers` is what to type instead, one text for each meaning.
    """

    code = "two_meanings"

    def __init__(self, sentence: str, *, field: str, offers: tuple[str, ...]) -> None:
        super().__init__(sentence, field=field)
        self.offers = offers


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


class PieceMoved(PlimbError):
    """A piece that was seen in one place has gone to another since."""

    code = "piece_moved"

    def __init__(self, shim_id: int, place: str) -> None:
        super().__init__(
            f"That shim has gone elsewhere since: it is now at {place}. Look again.",
            field="piece",
        )
        self.shim_id, self.place = shim_id, place


class KeyReused(PlimbError):
    """The sender's key for this was used for something else before."""

    code = "key_reused"

    def __init__(self) -> None:
        super().__init__("This was sent under a name that something else was sent under before: "
                         "send it again under a new one.", field="key")  # fmt: skip


class NobodyAtWork(PlimbError):
    """Something was to be changed, and nobody has said who does it."""

    code = "who"


class OwnersOnly(PlimbError):
    """What was asked for is the owners' to do."""

    code = "owners_only"


class WrongCode(PlimbError):
    """It is not the person's code, or it comes too soon after wrong ones."""

    code = "wrong_code"

    def __init__(self, sentence: str) -> None:
        super().__init__(sentence, field="code")


class RecordGone(PlimbError):
    """The file of the record was removed or replaced while it was served."""

    code = "record_gone"

    def __init__(self, name: str) -> None:
        super().__init__(
            f"The record {name} was removed or replaced while Plimb had it open. Nothing is saved "
            "any more. Stop Plimb, put the record or a copy of it back, and start it again.",
            field="database",
        )


class CounterAway(PlimbError):
    """The parts counter does not answer, or no counter is connected."""

    code = "counter_away"


def required(text: str, field: str, sentence: str) -> str:
    """Return the text without the blanks around it; there must be some.

    Raises:
        BadValue: There is none.
    """
    if not text.strip():
        raise BadValue(sentence, field=field)
    return text.strip()

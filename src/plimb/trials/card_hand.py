"""A hand at a card: what it does goes through the same acts as the screen's."""

from collections.abc import Callable
from datetime import datetime

from plimb.card.acting import Change, Written
from plimb.card.acts.feel import ask_next_blade
from plimb.card.acts.fit import fit_piece, turn_by_hand
from plimb.card.acts.read import check_zero
from plimb.card.build import read_card
from plimb.card.view import CardView
from plimb.core.errors import NotReady
from plimb.core.lengths import show_mm
from plimb.core.measure.blades import Tried
from plimb.core.measure.limits import Verdict
from plimb.record.database import Database

TURNS = 4


class CardHand:
    """Somebody who works on one card; `clock` says when each act is done."""

    def __init__(
        self, database: Database, card: Written, clock: Callable[[], datetime], key: str
    ) -> None:
        self.database, self.card, self._clock, self._key = database, card, clock, key

    def do(self, act: Callable[..., Written], /, **said: object) -> None:
        """Do an act on the card as it stands."""
        change = Change(
            card_id=self.card.id, version=self.card.version,
            key=f"{self._key}-{self.card.version:06}", now=self._clock(),
        )  # fmt: skip
        self.card = act(self.database, change, **said)

    @property
    def view(self) -> CardView:
        """The card as the screen shows it."""
        with self.database.reading() as session:
            return read_card(session, self.card.id)

    def tried(
        self, valve: str, known: Tried, goes: Callable[[tuple[int, ...]], bool], *, fine: bool
    ) -> tuple[Tried, Verdict | None]:
        """Try the blades that are asked for until none is: what is known then, and the verdict."""
        while True:
            advice = ask_next_blade(
                self.database, self.card.id, valve=valve, tried=known, fine=fine
            )
            if advice.next_blade is None:
                return known, advice.verdict
            known = known.with_answer(advice.next_blade, goes(advice.next_blade.blades))

    def set_zero(self, instrument: int, shown_nm: int) -> None:
        """Note what the instrument shows with nothing in it."""
        zero = f"{'-' if shown_nm < 0 else ''}{show_mm(abs(shown_nm))}"
        self.do(check_zero, instrument_id=instrument, zero=zero)

    def put_down_as_in(self, valve: str, measured: str = "") -> None:
        """Note that a piece is in, also where it would be out and there is no other."""
        try:
            self.do(fit_piece, valve=valve, fitted=True, measured=measured)
        except NotReady:
            self.do(fit_piece, valve=valve, fitted=True, measured=measured, anyway=True)

    def turn(self) -> None:
        """Note that the crank was turned by hand."""
        self.do(turn_by_hand, turns=TURNS)

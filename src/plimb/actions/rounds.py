"""Go round again: what was proved is what is found now, what was fitted is what is in."""

from __future__ import annotations

from sqlalchemy.orm import Session

from plimb.actions.cards import Change, Written, changed
from plimb.actions.custody import settle_pieces
from plimb.actions.views import engine_of
from plimb.core.errors import BadValue, NotReady
from plimb.core.shim.shim import Trust
from plimb.store.database import Database
from plimb.store.readings import carry_over, written
from plimb.store.tables.card import CardRow, RoundRow


def next_round(database: Database, change: Change, *, reason: str) -> Written:
    """Go round again: what was proved is what is found now, what was fitted is what is in.

    The round before is kept as it is. Pieces that came out lie on the job's tray.

    Raises:
        NotReady: Nothing was proved in this round.
        BadValue: No reason.
        StaleVersion, CardSigned, NotFound: The card cannot take it.
    """
    if not reason.strip():
        raise BadValue("Write why it goes round again.", field="reason")

    def apply(session: Session, card: CardRow, round_: RoundRow) -> None:
        trust, engine = Trust(card.trust), engine_of(card)
        if not any(record.proof for record in written(round_, engine, trust).values()):
            raise NotReady("Prove this round first; then go round again.", field="reason")
        settle_pieces(session, card, change.now, last=False)
        following = RoundRow(
            card_id=card.id,
            number=round_.number + 1,
            opened_at=change.now,
            reason=reason.strip(),
            hand_turns=0,
        )
        card.rounds.append(following)
        session.flush()
        carry_over(session, round_, following, engine, trust=trust, now=change.now)
        card.forbidden, card.variant = (), "best"

    return changed(database, change, f"round {reason}", apply)

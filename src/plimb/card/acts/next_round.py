"""Go round again: what was proved is what is found now, what was fitted is what is in."""

from plimb.card.acting import OnCard, act
from plimb.card.custody import settle_pieces
from plimb.card.said import Reason
from plimb.core.errors import NotReady, required
from plimb.record.readings import carry_over
from plimb.record.tables.card import RoundRow


@act("next-round", reason=Reason)
def next_round(on: OnCard, *, reason: str) -> None:
    """Go round again: what was proved is what is found now, what was fitted is what is in.

    The round before is kept as it is. Pieces that came out lie on the job's tray.

    Raises:
        NotReady: Nothing was proved in this round.
        BadValue: No reason.
    """
    reason = required(reason, "reason", "Write why it goes round again.")
    card, before = on.card, on.round
    if not any(record.proof for record in on.records.values()):
        raise NotReady("Re-measure in this round first. Then do another round.", field="reason")
    settle_pieces(on.session, card, on.now, last=False)
    following = RoundRow(
        card_id=card.id, number=before.number + 1, opened_at=on.now, reason=reason, hand_turns=0
    )
    card.rounds.append(following)
    on.session.flush()
    carry_over(on.session, before, following, on.engine, trust=card.trust, now=on.now)
    card.forbidden, card.opened_too, card.shafts_aside, card.variant = (), (), (), "best"

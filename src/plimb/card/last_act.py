"""The last act on a card that can be taken back, in words."""

from sqlalchemy.orm import Session

from plimb.card.registry import TAKE_BACK, act_of
from plimb.card.view import LastAct
from plimb.record.acts import last_acts, written_with
from plimb.record.tables.card import CardRow


def last_act(session: Session, card: CardRow, upto: int) -> LastAct | None:
    """Return the last act on a card that stands and can be taken back; None where there is none.

    Args:
        session: The record.
        card: The card; a signed one takes nothing back.
        upto: Up to which version of the card it is looked for.
    """
    if card.signed_at is not None:
        return None
    gone: set[int] = set()
    for act in last_acts(session, card, upto):
        row, said = act_of(act.kind), act.payload or {}
        if act.kind == TAKE_BACK:
            gone.add(int(said.get("which", 0)))
        elif act.version in gone:
            continue
        elif (row is not None and row.undone is None) or _came_with_it(session, card, act.version):
            return None
        else:
            what = "the last act" if row is None else row.to_undo(said)
            valve = None if row is None else row.valve(said)
            return LastAct(version=act.version, key=act.key, what=what, valve=valve)
    return None


def _came_with_it(session: Session, card: CardRow, version: int) -> bool:
    """Return whether an act came with the card from a file: it was done elsewhere."""
    if card.origin is None:
        return False
    lines = written_with(session, card, version)
    return any(line.of == "card" and line.old is None for line in lines)

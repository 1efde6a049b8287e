"""The last act on a card that can be taken back, in words."""

import re
from collections.abc import Iterable

from sqlalchemy.orm import Session

from plimb.actions.card_view import LastAct
from plimb.store.acts import last_acts, written_with
from plimb.store.tables.card import CardRow

TOOK_BACK = "took back act "
_TAKEN_BACK = re.compile(rf"{TOOK_BACK}(?P<version>[1-9]\d{{0,8}})", re.ASCII)
"""An act that came in a file may say whatever it likes: only this is one that took another back."""
ENDS = ("round ", "sign")
"""What cannot be taken back, nor what came before it: a round that was begun is gone through."""

WORDS = (
    ("found", "the gap of {valve}"),
    ("proof", "the proof of {valve}"),
    ("kept", "the answer for {valve}"),
    ("piece", "the shim of {valve}"),
    ("recalled", "the shim of {valve} from memory"),
    ("trust", "the answer for the shim of {valve}"),
    ("zero", "the micrometer’s zero"),
    ("choose", "the choice for {valve}"),
    ("take plan", "taking the plan"),
    ("forbid", "what {valve} may not have"),
    ("open", "opening {valve} too"),
    ("variant", "which plan"),
    ("fit", "fitting {valve}"),
    ("turns", "turning by hand"),
    ("turned", "the turns at {rest}"),
    ("bolts", "the bolts of {whole}"),
    ("safety", "a tick"),
    ("conditions", "how cold it is"),
    ("tray", "the tray"),
    ("school", "how it leans"),
    ("method", "how it is turned"),
    ("kind", "the kind of job"),
    ("corrected", "what the card says of the job"),
    ("instrument", "what it is measured with"),
    ("put away", "putting it away"),
    ("engine taken over", "taking the engine over"),
    ("spec", "the spec"),
    ("symptoms", "what the rider says"),
    ("checks", "compression and leak"),
    ("note", "the note"),
    ("bill", "the bill"),
    ("machine", "what is said of the machine"),
    ("tools", "the tools"),
    ("parts", "the parts to renew"),
    ("engine's note", "the engine’s note"),
)
"""Each act by how its name begins, and what it is called when it is taken back."""


def last_act(session: Session, card: CardRow, names: Iterable[str], upto: int) -> LastAct | None:
    """Return the last act on a card that stands and can be taken back; None where there is none.

    Args:
        session: The record.
        card: The card; a signed one takes nothing back.
        names: The names of the valves on its engine.
        upto: Up to which version of the card it is looked for.
    """
    if card.signed_at is not None:
        return None
    gone: set[int] = set()
    for version, action in last_acts(session, card, upto):
        if took_back := _TAKEN_BACK.fullmatch(action):
            gone.add(int(took_back["version"]))
        elif action.startswith(ENDS):
            return None
        elif version not in gone:
            if card.origin is not None and _came_with_it(session, card, version):
                return None
            what, valve = act_words(action, names)
            return LastAct(version=version, what=what, valve=valve)
    return None


def _came_with_it(session: Session, card: CardRow, version: int) -> bool:
    """Return whether an act came with the card from a file: it was done elsewhere."""
    lines = written_with(session, card, version)
    return any(one.of == "card" and one.old is None for one in lines)


def act_words(action: str, names: Iterable[str]) -> tuple[str, str | None]:
    """Return what an act is called when it is taken back, and the valve that it was about."""
    for begins, words in WORDS:
        if action == begins or action.startswith(f"{begins} "):
            rest = action.removeprefix(begins).strip()
            of = (one for one in names if rest == one or rest.startswith(f"{one} "))
            valve = max(of, key=len, default=None) if "{valve}" in words else None
            said = rest.rsplit(" ", 1)[0] or "a part"
            return words.format(valve=valve or "a valve", rest=said, whole=rest), valve
    return "the last act", None

"""Every act on a card, a row each: what it is called, done and taken back, and what it is about.

An act is stored as its kind and what was said with it, as data; words are made when it is read
and never parsed. What is said with an act is read off the parameters of the function that does
it (`plimb.card.acting.act`): from there come the request, its address and the stored payload.
"""

from collections.abc import Mapping
from dataclasses import dataclass
from typing import Any

from plimb.record.tables.people import PersonRole

Payload = Mapping[str, Any]
"""What was said with an act, by name, as JSON has it."""


@dataclass(frozen=True, slots=True, kw_only=True)
class Act:
    """One row: an act that a technician does on a card.

    Attributes:
        kind: What it is called in the record, in files and in its address: never changed.
        done: What the history calls it.
        undone: What it is called when it is taken back, filled in with what was said; None for
            what cannot be taken back, nor what came before it.
        touches: What it is about, from the large to the small, filled in with what was said;
            () is the whole card. Two acts that touch different things do not clash.
        rests: Whether it is made from the whole card, and so clashes with whatever came meanwhile.
        name: Which of what is said is the name of whoever does it.
        may: Who may do it.
    """

    kind: str
    done: str
    undone: str | None
    touches: tuple[str, ...] = ()
    rests: bool = False
    name: str | None = None
    may: PersonRole = PersonRole.TECHNICIAN

    def about(self, said: Payload) -> tuple[str, ...]:
        """Return what the act touches, as it was said."""
        return tuple(_filled(part, said) for part in self.touches)

    def to_undo(self, said: Payload) -> str:
        """Return what the act is called when it is taken back."""
        return _filled(self.undone or self.done, said)

    def valve(self, said: Payload) -> str | None:
        """Return the valve that the act is about; None where it is about none or several."""
        valve = said.get("valve") if "{valve}" in (self.undone or "") else None
        return valve if isinstance(valve, str) else None


_ROWS = (
    Act(kind="conditions", done="how cold noted", undone="how cold it is", touches=("cold",)),
    Act(kind="tick", done="list ticked", undone="a tick", touches=("tick", "{item}")),
    Act(kind="tick-all", done="list ticked", undone="several ticks", touches=("tick",)),
    Act(kind="tray", done="strip tray laid out", undone="the tray", touches=("tray",)),
    Act(kind="policy", done="way of deciding set", undone="how it leans", touches=("policy",)),
    Act(kind="method", done="way of turning set", undone="how it is turned", touches=("method",)),
    Act(kind="machine", done="machine noted", undone="what is said of the machine",
        touches=("machine",)),
    Act(kind="tools", done="tools noted", undone="the tools", touches=("tools",)),
    Act(kind="parts", done="parts to renew noted", undone="the parts to renew", touches=("parts",)),
    Act(kind="engine-note", done="engine’s note written", undone="the engine’s note",
        touches=("engine note", "{stage}")),
    Act(kind="correct", done="card corrected", undone="what the card says of the job",
        touches=("facts",)),
    Act(kind="kind", done="kind of job changed", undone="the kind of job", rests=True),
    Act(kind="near-enough", done="how near is near enough noted", undone="how near is near enough",
        touches=("near enough",)),
    Act(kind="instrument", done="measured with", undone="what it is measured with",
        touches=("instrument",)),
    Act(kind="put-away", done="put away or brought back", undone="putting it away"),
    Act(kind="take-over-engine", done="engine taken over", undone="taking the engine over",
        rests=True),
    Act(kind="spec", done="allowed gap entered", undone="the allowed gap"),
    Act(kind="symptoms", done="symptoms noted", undone="what the rider says",
        touches=("symptoms",)),
    Act(kind="side-checks", done="side checks noted", undone="compression and leak",
        touches=("side checks",)),
    Act(kind="note", done="note written", undone="the note", touches=("note", "{stage}")),
    Act(kind="bill", done="bill noted", undone="the bill", touches=("bill",)),
    Act(kind="gap", done="gap written down", undone="the {purpose} of {valve}",
        touches=("gap", "{purpose}", "{valve}")),
    Act(kind="keep", done="odd reading kept", undone="the answer for {valve}",
        touches=("gap", "{purpose}", "{valve}")),
    Act(kind="shim", done="shim written down", undone="the shim of {valve}",
        touches=("shim", "{valve}")),
    Act(kind="recall", done="shim from memory", undone="the shim of {valve} from memory",
        touches=("recall", "{valve}")),
    Act(kind="trust", done="said which counts", undone="the answer for the shim of {valve}",
        touches=("shim", "{valve}")),
    Act(kind="zero", done="zero checked", undone="the micrometer’s zero", touches=("instrument",)),
    Act(kind="choose", done="shim chosen", undone="the choice for {valve}",
        touches=("choice", "{valve}")),
    Act(kind="take-plan", done="plan taken", undone="taking the plan", touches=("choice",),
        rests=True),
    Act(kind="take-shared-plan", done="plan taken", undone="taking the plan", touches=("choice",),
        rests=True),
    Act(kind="rule-out", done="size ruled out or let in", undone="what {valve} may not have",
        touches=("choice", "{valve}")),
    Act(kind="open-too", done="opened too, or not", undone="opening {valve} too",
        touches=("opened", "{valve}")),
    Act(kind="lay-aside", done="camshaft out for another job, or not",
        undone="laying camshaft {camshaft} aside", touches=("aside", "{camshaft}")),
    Act(kind="variant", done="another plan looked at", undone="which plan", touches=("choice",)),
    Act(kind="fit", done="shim put in", undone="fitting {valve}", touches=("choice", "{valve}")),
    Act(kind="turn-by-hand", done="turns by hand", undone="turning by hand", touches=("turns",)),
    Act(kind="bolts", done="bolts laid out", undone="the bolts of {name}",
        touches=("bolts", "{name}")),
    Act(kind="tighten", done="bolts turned", undone="the turns at {name}",
        touches=("bolts", "{name}")),
    Act(kind="next-round", done="another round begun", undone=None, rests=True),
    Act(kind="sign", done="signed", undone=None, rests=True, name="signed_by"),
    Act(kind="take-back", done="taken back", undone=None, rests=True),
)  # fmt: skip

ACTS: Mapping[str, Act] = {row.kind: row for row in _ROWS}
"""Every act by its kind."""
if len(ACTS) < len(_ROWS):
    raise ValueError("two acts have one kind")

TAKE_BACK = "take-back"
_WORDS: Mapping[str, Mapping[str | None, str]] = {
    "purpose": {"found": "gap", "proof": "proof"}, "valve": {None: "a valve"},
          "name": {None: "a part"}, "camshaft": {None: "one"}}  # fmt: skip


def act_of(kind: str | None) -> Act | None:
    """Return the row of a kind; None for one that an earlier version or a file has."""
    return ACTS.get(kind or "")


def clash(mine: Act, said: Payload, other: Act | None, other_said: Payload) -> bool:
    """Return whether an act cannot be done as if it had seen one that came meanwhile."""
    if other is None or mine.rests:
        return True
    one, two = mine.about(said), other.about(other_said)
    return all(a == b for a, b in zip(one, two, strict=False))


class _Words(dict[str, Any]):
    def __missing__(self, name: str) -> str:
        return str(_WORDS.get(name, {}).get(None, "…"))


def _filled(words: str, said: Payload) -> str:
    """Return words with what was said filled in; what was not said is named in general."""
    shown = {
        name: _WORDS[name].get(value, value)
        for name, value in said.items()
        if name in _WORDS and isinstance(value, str)
    }
    plain = {name: value for name, value in said.items() if isinstance(value, str | int)}
    return words.format_map(_Words({**plain, **shown}))

"""The lists of a job: every line once, with what must be so for it to stand there.

What is done is common practice; the maker's manual, local codes and licensed practice come
before every list.
"""

from collections.abc import Callable, Iterable
from dataclasses import dataclass
from enum import StrEnum

from plimb.core.engine.checklist import ChecklistItem, Line, checklist
from plimb.core.engine.engine import Engine
from plimb.core.engine.followers import FollowerKind, kind_of
from plimb.core.engine.machine import Vehicle
from plimb.core.engine.turning import Method
from plimb.core.job.kinds import SET, KindOfJob


class ListName(StrEnum):
    """The lists, in the order of work."""

    SAFE = "safe"
    REACH = "reach"
    CLOSE = "close"
    COVER = "cover"

    @property
    def prefix(self) -> str:
        """What the ids of its lines begin with; what closes an engine has one numbering."""
        return {ListName.SAFE: "", ListName.REACH: "pull"}.get(self, "close")


@dataclass(frozen=True, slots=True, kw_only=True)
class ListFacts:
    """What the lists go by.

    `opened` are the valves whose shims are reached, `aside` the camshafts that are out for another
    job, `hand_turns` how many full turns the shop wants before a proof.
    """

    engine: Engine
    kind: KindOfJob = SET
    method: Method = Method.MARKS
    vehicle: Vehicle = Vehicle.MOTORCYCLE
    opened: tuple[str, ...] = ()
    aside: frozenset[str] = frozenset()
    hand_turns: int = 2
    round: int = 1

    @property
    def shafts(self) -> tuple[str, ...]:
        """The camshafts that come out, or are out."""
        over = {*self.engine.shafts_over(self.opened), *self.aside}
        return tuple(shaft.id for shaft in self.engine.camshafts if shaft.id in over)

    @property
    def follower(self) -> FollowerKind:
        """The row of the engine's followers."""
        return kind_of(self.engine.follower)


When = Callable[[ListFacts], bool]
Lines = Callable[[ListFacts], Iterable[Line]]


def _in_machine(facts: ListFacts) -> bool:
    return not facts.kind.on_bench


def _on_bench(facts: ListFacts) -> bool:
    return facts.kind.on_bench


def _motorcycle(facts: ListFacts) -> bool:
    return facts.vehicle is Vehicle.MOTORCYCLE


def _no_motorcycle(facts: ListFacts) -> bool:
    return not _motorcycle(facts)


def _by_the_lobe(facts: ListFacts) -> bool:
    return facts.method is Method.LOBE


def _one_cylinder(facts: ListFacts) -> bool:
    return len(facts.engine.cylinders) == 1


def _reference(facts: ListFacts) -> bool:
    return facts.kind.reference


def _shims_reached(facts: ListFacts) -> bool:
    return bool(facts.opened)


def _shafts_out(facts: ListFacts) -> bool:
    return bool(facts.shafts)


def _shafts_in(facts: ListFacts) -> bool:
    return not facts.shafts


def _anything(facts: ListFacts) -> bool:
    return bool(facts.opened or facts.aside)


@dataclass(frozen=True, slots=True)
class _Row:
    """Lines of a list that stand there together, and all that must be so for them."""

    of: ListName
    lines: Lines
    when: tuple[When, ...]


def _row(of: ListName, id_: str, does: str, caution: str, *when: When) -> _Row:
    return _Row(of, lambda _facts: ((id_, does, caution),), when)


def _rows(of: ListName, lines: Lines, *when: When) -> _Row:
    return _Row(of, lines, when)


def _all(names: tuple[str, ...]) -> str:
    return " and ".join(names)


def _direction(facts: ListFacts) -> Iterable[Line]:
    way = facts.engine.rotation or "in its own direction"
    yield ("direction", f"Turn {way} only", "Past the mark means going round again, never "
           "back: the chain would go slack and the marks lie.")  # fmt: skip


def _caps_off(facts: ListFacts) -> Iterable[Line]:
    yield ("caps", f"Caps of {_all(facts.shafts)} off evenly, in stages, from the outside in",
           "A cam is brittle: one cap let go alone cracks it. Each cap keeps its own place and "
           "way round.")  # fmt: skip


def _lift(facts: ListFacts) -> Iterable[Line]:
    if facts.kind.on_bench:
        yield "lift", f"Lift {_all(facts.shafts)} out", "Each shaft keeps its own place."
    else:
        yield ("lift", f"Lift {_all(facts.shafts)} out, hold the chain up", "A chain that drops "
               "and is turned on jams at the crank.")  # fmt: skip


def _lay(facts: ListFacts) -> Iterable[Line]:
    bench = facts.kind.on_bench
    how = "lobes as they came out" if bench else "lobes of the first cylinder as at its mark"
    never = (
        "A shaft half in is never turned." if bench else "Never turn the crank with one half in."
    )
    yield "lay", f"{_all(facts.shafts)} laid in oiled, {how}", never


def _timing(facts: ListFacts) -> Iterable[Line]:
    """Give the timing's line, with what the maker says to look for and to count."""
    marks = facts.engine.marks
    said = [f"{mark.name}: {mark.cue}" for mark in marks if mark.cue]
    said += [mark.count for mark in marks if mark.count]
    words = "Crank at its mark, cam marks level, pins between them counted"
    if said:
        words = ". ".join(("Crank and cams at their marks", *said))
    yield "marks", words, "Count twice. A tooth out bends valves."


TURNS = "turns"


def _turns(facts: ListFacts) -> Iterable[Line]:
    by = ", each camshaft by its gear" if facts.kind.on_bench else ""
    yield (TURNS, f"Turned by hand {facts.hand_turns} full turns in its own direction{by}",
           "It must go round without a stop. If it stops, look for the reason; never force "
           "it.")  # fmt: skip


SAFE, REACH, CLOSE, COVER = ListName

ROWS: tuple[_Row, ...] = (
    _row(SAFE, "power", "Ignition off, battery lead off", "Never turn the engine on the starter: "
         "it overshoots, and fingers are in there.", _in_machine),
    _row(SAFE, "stand", "On its stand, or wheels chocked", "It must not roll or fall while you "
         "pull on the crank.", _in_machine, _motorcycle),
    _row(SAFE, "stand", "Wheels chocked, out of gear, or the engine bolted down", "It must not "
         "roll or tip while you pull on the crank.", _in_machine, _no_motorcycle),
    _row(SAFE, "fuel", "Fuel closed, no flame near", "A tank that comes off drips.", _in_machine,
         _motorcycle),
    _row(SAFE, "fuel", "Fuel closed, no flame near", "A line that comes off drips.", _in_machine,
         _no_motorcycle),
    _row(SAFE, "hands", "Hands clear of chain and sprockets while turning", "Feeler blades cut, "
         "too.", _in_machine),
    _row(SAFE, "clean", "Clean around the cover before it opens", "Grit that falls in wears what "
         "you came to measure.", _in_machine),
    _row(SAFE, "plug", "Plug or rag every hole a shim could fall into", "A dropped part is fetched "
         "with a magnet before the engine is turned again.", _in_machine),
    _row(SAFE, "plugs-out", "Spark plugs out", "The engine then turns easily and stops where you "
         "want.", _in_machine),
    _rows(SAFE, _direction, _in_machine),
    _row(SAFE, "lobe", "Watch the lobe, not the mark", "Square to the follower is enough; straight "
         "away from it is best.", _in_machine, _by_the_lobe),
    _row(SAFE, "clear", "The head stands on blocks, clear of the table", "Valves that open must "
         "touch nothing below.", _on_bench),
    _row(SAFE, "caps", "Camshaft caps drawn down evenly before a shaft is turned", "A cam that is "
         "tilted under its springs breaks.", _on_bench),
    _row(SAFE, "fingers", "Fingers clear of lobes, springs and blades", "A lobe comes round faster "
         "than you think.", _on_bench),
    _row(SAFE, "clean", "Head and bench clean, parts in their own places", "Grit under a shim is "
         "read as a gap.", _on_bench),
    _row(SAFE, "plug", "Plug or rag every hole a shim could fall into", "A dropped part is fetched "
         "with a magnet before a shaft is turned again.", _on_bench),
    _row(SAFE, "gear", "Each camshaft is turned by its gear or a tool", "Its lobe set straight "
         "away from the follower that is measured; never turned against a blade.", _on_bench),
    _row(SAFE, "reference", "A reference shim of known thickness under every follower", "Write "
         "each down first, measured: without it there is no sum.", _reference),
    _rows(SAFE, lambda facts: facts.follower.ready),
    _row(SAFE, "decompressor", "Decompressor free of the valve", "Its lobe is not in the turning "
         "plan; where there is one, go by the manual.", _in_machine, _one_cylinder),
    _row(REACH, "plug", "Plug the chain tunnel and every oil drain", "A shim that falls in means "
         "the sump comes off. Fetch it with a magnet before the engine is turned again.",
         _in_machine, _shafts_out),
    _row(REACH, "mark", "Mark chain and sprockets, or tie them together", "A tooth out bends "
         "valves.", _in_machine, _shafts_out),
    _row(REACH, "tensioner", "Tensioner: its centre bolt first, then the tensioner out", "The "
         "spring is loaded: slacken the centre bolt while the body still holds it.",
         _in_machine, _shafts_out),
    _rows(REACH, _caps_off, _shafts_out),
    _rows(REACH, _lift, _shafts_out),
    _rows(REACH, lambda facts: facts.follower.reach, _shims_reached),
    _row(CLOSE, "count", "Every shim and tool counted, nothing left in the head", "A part that "
         "is missing now is found before the engine is turned.", _shafts_out),
    _rows(CLOSE, _lay, _shafts_out),
    _row(CLOSE, "caps", "Caps in their own places, the right way round", "Drawn down evenly by "
         "the picture, in stages: a cam is brittle.", _shafts_out),
    _rows(CLOSE, _timing, _in_machine, _shafts_out),
    _row(CLOSE, "tensioner", "Tensioner wound back, bolted on, then released", "Forgotten in its "
         "wound-back state the chain jumps.", _in_machine, _shafts_out),
    _row(CLOSE, "slack", "Chain tight on the driving side", "Slack there means a tooth out as "
         "soon as it is turned.", _in_machine, _shafts_out),
    _rows(CLOSE, lambda facts: facts.follower.close, _shims_reached, _shafts_in),
    _rows(CLOSE, _turns, _anything),
    _row(COVER, "cover", "Cover back: its gasket and seals sound or new, sealant where the "
         "manufacturer asks", "Look once more for a rag in a hole.", _in_machine),
    _row(COVER, "cover-torque", "Cover bolts to the manual's figure, crosswise", "Mostly 5 to "
         "12 N·m: pounds by inches taken for pounds by feet shear them.", _in_machine),
    _row(COVER, "rest", "Plugs, coils, hoses and tank back; oil that was drawn off is back on the "
         "lobes", "Each bolt out of its own pocket: they differ in length.", _in_machine,
         _motorcycle),
    _row(COVER, "rest", "Plugs, coils and hoses back; oil that was drawn off is back on the "
         "lobes", "Each bolt out of its own pocket: they differ in length.", _in_machine,
         _no_motorcycle),
)  # fmt: skip
"""Every line of every list, in the order in which it is seen to."""


def list_of(which: ListName, facts: ListFacts) -> tuple[ChecklistItem, ...]:
    """Return the lines of a list that hold for an engine, a kind of job and what is opened."""
    lines = (
        line
        for row in ROWS
        if row.of is which and all(so(facts) for so in row.when)
        for line in row.lines(facts)
    )
    return checklist(lines, which.prefix, facts.round if which is not SAFE else 1)


def turns_line(round_: int) -> str:
    """Return what the line of a round's list is called that asks for turns by hand."""
    return checklist([(TURNS, "", "")], CLOSE.prefix, round_)[0].id

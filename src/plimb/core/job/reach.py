"""What is done, in order and with its cautions, to get at the shims of this engine."""

from plimb.core.engine.checklist import ChecklistItem, Line, checklist
from plimb.core.engine.engine import Engine
from plimb.core.engine.followers import kind_of


def reach_list(
    engine: Engine, valves: tuple[str, ...], round_: int = 1, *, on_bench: bool = False
) -> tuple[ChecklistItem, ...]:
    """Return the steps that reach the shims of these valves, by the kind of follower.

    A head on the bench has no chain, no tensioner and no tunnel that a shim falls into.
    The order is common practice; the maker's manual comes before it.
    """
    shafts = engine.shafts_over(valves)
    way = _camshafts_out(shafts) if shafts else []
    if on_bench:
        way = [line for line in way if line[0] == "caps"]
        lift = ("lift", f"Lift {' and '.join(shafts)} out", "Each shaft keeps its own place.")
        way += [lift] if shafts else []
    return checklist((*way, *kind_of(engine.follower).reach), "pull", round_)


def _camshafts_out(shafts: tuple[str, ...]) -> list[Line]:
    named = " and ".join(shafts)
    return [
        ("plug", "Plug the chain tunnel and every oil drain", "A shim that falls in means the "
         "sump comes off. Fetch it with a magnet before the engine is turned again."),
        ("mark", "Mark chain and sprockets, or tie them together", "A tooth out bends valves."),
        ("tensioner", "Tensioner: its centre bolt first, then the tensioner out", "The spring is "
         "loaded: slacken the centre bolt while the body still holds it."),
        ("caps", f"Caps of {named} off evenly, in stages, from the outside in", "A cam is brittle: "
         "one cap let go alone cracks it. Each cap keeps its own place and way round."),
        ("lift", f"Lift {named} out, hold the chain up", "A chain that drops and is turned on "
         "jams at the crank."),
    ]  # fmt: skip

"""What the hands need before they start: for this engine, kind of job and way of turning it.

Common practice; the maker's manual names the sockets and the special tools.
"""

from collections.abc import Callable

from plimb.core.engine.engine import Engine
from plimb.core.engine.followers import Follower
from plimb.core.engine.machine import Vehicle
from plimb.core.engine.turning import Method
from plimb.core.job.lists import ListFacts

_OWN = {
    Follower.BUCKET_UNDER: ("A magnet or sucker for the buckets",),
    Follower.BUCKET_GRADED: ("A magnet or sucker for the buckets",),
    Follower.BUCKET_OVER: ("Holding-down tool for the buckets", "A pick for the notch"),
    Follower.FINGER: ("A puller for the finger shafts",),
    Follower.OPENER_CLOSER: ("Half-ring tool, spare half rings",),
}
"""What just one kind of follower asks for."""

_TURNS_WITH = {
    Vehicle.MOTORCYCLE: "Socket for the crank bolt, or the rear wheel in top gear",
    Vehicle.CAR: "Socket for the crank bolt, or a strap or chain wrench on its pulley",
    Vehicle.OTHER: "Socket for the crank bolt, or a strap or chain wrench on its pulley",
}

_When = Callable[[ListFacts], bool]


def _shafts_come_out(engine: Engine) -> bool:
    return bool(engine.shafts_over(engine.by_id))


_TOOLS: tuple[tuple[str, _When], ...] = (
    ("Feeler blades, straight and angled", lambda _facts: True),
    ("Light, rags, a magnet on a stick", lambda _facts: True),
    ("Blocks that hold the head clear of the table", lambda facts: facts.kind.on_bench),
    ("A tool for the camshaft's gear", lambda facts: facts.kind.on_bench),
    ("Sockets and a long extension for the cover", lambda facts: not facts.kind.on_bench),
    ("Caps or rags for every hole", lambda facts: not facts.kind.on_bench),
    ("A tray with a pocket for every bolt", lambda facts: not facts.kind.on_bench),
    ("Plug spanner", lambda facts: not facts.kind.on_bench),
    ("A mirror, to see which way a lobe points",
     lambda facts: not facts.kind.on_bench and facts.method is Method.LOBE),
    ("Torque wrench for the small cover bolts",
     lambda facts: not facts.kind.on_bench and not facts.kind.opens),
    ("Reference shims of known thickness, one a valve", lambda facts: facts.kind.reference),
    ("Micrometer, cleaned and zeroed", lambda facts: facts.kind.opens),
    ("A place for each shim, by valve", lambda facts: facts.kind.opens),
    ("Clean oil", lambda facts: facts.kind.opens),
    ("Torque wrench that covers the manual's figures", lambda facts: facts.kind.opens),
    ("Ties or paint to mark chain and sprockets",
     lambda facts: facts.kind.opens and not facts.kind.on_bench and _shafts_come_out(facts.engine)),
    ("A clean vessel for the oil round the buckets: it goes back on the lobes",
     lambda facts: facts.kind.opens and not facts.kind.on_bench and _shafts_come_out(facts.engine)),
)  # fmt: skip
"""Each tool, and what must be so for it to be needed; those that are needed first first."""


def tool_list(facts: ListFacts) -> tuple[str, ...]:
    """Return the tools for a job."""
    tools = [tool for tool, needed in _TOOLS if needed(facts)]
    if not facts.kind.on_bench:
        tools.insert(tools.index("Plug spanner") + 1, _TURNS_WITH[facts.vehicle])
    return (*tools, *(_OWN[facts.engine.follower] if facts.kind.opens else ()))

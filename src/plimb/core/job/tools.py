"""What the hands need before they start: for this engine, kind of job and way of turning it.

Common practice; the maker's manual names the sockets and the special tools.
"""

from plimb.core.engine.engine import Engine
from plimb.core.engine.followers import Follower
from plimb.core.engine.turning import Method
from plimb.core.job.kinds import KindOfJob

_ALWAYS = ("Feeler blades, straight and angled", "Light, rags, a magnet on a stick")
_IN_MACHINE = (
    "Sockets and a long extension for the cover",
    "Caps or rags for every hole",
    "A tray with a pocket for every bolt",
)
_OPENS = (
    "Micrometer, cleaned and zeroed",
    "A place for each shim, by valve",
    "Clean oil",
    "Torque wrench that covers the maker's figures",
)


def tool_list(engine: Engine, kind: KindOfJob, method: Method) -> tuple[str, ...]:
    """Return the tools, those that are needed first first."""
    tools = [*_ALWAYS]
    if kind.on_bench:
        tools += ["Blocks that hold the head clear of the table", "A tool for the camshaft's gear"]
    else:
        turning = "Socket for the crank bolt, or the rear wheel in top gear"
        tools += [*_IN_MACHINE, "Plug spanner", turning]
        if method is Method.LOBE:
            tools.append("A mirror, to see which way a lobe points")
        if not kind.opens:
            tools.append("Torque wrench for the small cover bolts")
    if kind.reference:
        tools.append("Reference shims of known thickness, one a valve")
    if kind.opens:
        tools += _OPENS
        tools += _own(engine.follower)
        if not kind.on_bench and engine.shafts_over(engine.by_id):
            tools.append("Ties or paint to mark chain and sprockets")
    return tuple(tools)


def _own(follower: Follower) -> tuple[str, ...]:
    """Return what just this kind of follower asks for."""
    if follower is Follower.BUCKET_OVER:
        return ("Holding-down tool for the buckets", "A pick for the notch")
    if follower is Follower.OPENER_CLOSER:
        return ("Half-ring tool, spare half rings",)
    if follower is Follower.FINGER:
        return ("A puller for the finger shafts",)
    return ("A magnet or sucker for the buckets",)

"""What is done, in order and with its cautions, to get at the shims of this engine."""

from __future__ import annotations

from plimb.core.engine import Engine, Follower
from plimb.core.ready import SafetyItem


def pull_list(engine: Engine, valves: tuple[str, ...], round_: int = 1) -> tuple[SafetyItem, ...]:
    """Return the steps that reach the shims of these valves, by the kind of follower.

    The order is common practice; the maker's manual comes before it. Each round's steps have
    names of their own.
    """
    shafts = tuple(
        dict.fromkeys(
            engine.clearance(valve).camshaft
            for valve in valves
            if engine.clearance(valve).camshaft_out
        )
    )
    steps = [*(_camshafts_out(shafts) if shafts else ()), *_shims_out(engine.follower)]
    prefix = "pull" if round_ == 1 else f"pull{round_}"
    return tuple(
        SafetyItem(id=f"{prefix}-{id_}", does=does, caution=why) for id_, does, why in steps
    )


def _camshafts_out(shafts: tuple[str, ...]) -> list[tuple[str, str, str]]:
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


def _shims_out(follower: Follower) -> list[tuple[str, str, str]]:
    clean = ("read", "Wipe it, read the marking, measure it in three places", "A worn mark, a "
             "pit, a blue spot: scrap. A shim is seldom exactly its marking.")  # fmt: skip
    if follower is Follower.BUCKET_OVER:
        return [
            ("turn", "Turn the bucket until its notch can be reached", "Before the lobe comes "
             "round, not after."),
            ("hold", "Seat the holding-down tool on the bucket's rim", "If it slips the bucket "
             "jumps up: keep fingers out."),
            ("pick", "Lift the shim out through the notch", "Do not turn the engine while a "
             "bucket has no shim."),
            clean,
        ]  # fmt: skip
    if follower is Follower.FINGER:
        return [
            ("finger", "Slide the finger aside, or draw its shaft", "Mark which finger is whose; "
             "each has worn to its own cam."),
            ("pick", "Lift the shim off the stem with a magnet", "It is small and sits loose: "
             "plug the holes beside it first."),
            clean,
        ]  # fmt: skip
    if follower is Follower.OPENER_CLOSER:
        return [
            ("opener", "Opener: its rocker aside, shim off the stem", "One valve at a time, each "
             "kept with its own place."),
            ("rings", "Closer: press it down, take both half rings, let it up",
             "Half rings fly. Hold a finger over them, and count two."),
            ("closer", "Lift the closing shim off over the stem", "With both off, the valve is "
             "held by nothing: do not let it fall into the bore."),
            clean,
        ]  # fmt: skip
    return [
        ("bucket", "One bucket at a time, straight up with a magnet", "The shim may stick inside "
         "it or stay on the stem: look before it falls. Each bucket keeps its own place."),
        clean,
    ]  # fmt: skip

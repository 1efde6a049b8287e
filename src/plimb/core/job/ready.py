"""Safe: what to see to before the cover comes off, for this engine and this method."""

from plimb.core.engine.checklist import ChecklistItem, Line, checklist
from plimb.core.engine.engine import Engine
from plimb.core.engine.followers import kind_of
from plimb.core.engine.turning import Method
from plimb.core.job.kinds import SET, KindOfJob

_ALWAYS: tuple[Line, ...] = (
    ("power", "Ignition off, battery lead off", "Never turn the engine on the starter: it "
     "overshoots, and fingers are in there."),
    ("stand", "On its stand, or wheels chocked", "It must not roll or fall while you pull "
     "on the crank."),
    ("fuel", "Fuel closed, no flame near", "A tank that comes off drips."),
    ("hands", "Hands clear of chain and sprockets while turning", "Feeler blades cut, too."),
    ("clean", "Clean around the cover before it opens", "Grit that falls in wears what you "
     "came to measure."),
    ("plug", "Plug or rag every hole a shim could fall into", "A dropped part is fetched "
     "with a magnet before the engine is turned again."),
    ("plugs-out", "Spark plugs out", "The engine then turns easily and stops where you want."),
)  # fmt: skip
_BENCH: tuple[Line, ...] = (
    ("clear", "The head stands on blocks, clear of the table", "Valves that open must touch "
     "nothing below."),
    ("caps", "Camshaft caps drawn down evenly before a shaft is turned", "A cam that is tilted "
     "under its springs breaks."),
    ("fingers", "Fingers clear of lobes, springs and blades", "A lobe comes round faster than "
     "you think."),
    ("clean", "Head and bench clean, parts in their own places", "Grit under a shim is read as "
     "a gap."),
    ("plug", "Plug or rag every hole a shim could fall into", "A dropped part is fetched with a "
     "magnet before a shaft is turned again."),
    ("gear", "Each camshaft is turned by its gear or a tool", "Its lobe set straight away from "
     "the follower that is measured; never turned against a blade."),
)  # fmt: skip
_REFERENCE: Line = ("reference", "A reference piece of known thickness under every follower",
                    "Write each down first, measured: without it there is no sum.")  # fmt: skip
_LOBE: Line = ("lobe", "Watch the lobe, not the mark", "Square to the follower is enough; "
               "straight away from it is best.")  # fmt: skip
_DECOMPRESSOR: Line = ("decompressor", "Decompressor free of the valve", "Its lobe is not in the "
                       "turning plan; where there is one, go by the manual.")  # fmt: skip


def safety_list(engine: Engine, method: Method, kind: KindOfJob = SET) -> tuple[ChecklistItem, ...]:
    """Return what to see to for this engine, this way of turning it and this kind of job.

    The maker's manual, local codes and licensed practice come before this list.
    """
    reference = (_REFERENCE,) if kind.reference else ()
    if kind.on_bench:
        return checklist((*_BENCH, *reference, *kind_of(engine.follower).ready))
    way = engine.rotation or "in its own direction"
    direction = ("direction", f"Turn {way} only", "Past the mark means going round again, never "
                 "back: the chain would go slack and the marks lie.")  # fmt: skip
    return checklist(
        (
            *_ALWAYS,
            direction,
            *((_LOBE,) if method is Method.LOBE else ()),
            *reference,
            *kind_of(engine.follower).ready,
            *((_DECOMPRESSOR,) if len(engine.cylinders) == 1 else ()),
        )
    )

"""Safe: what to see to before the cover comes off, for this engine and this method."""

from plimb.core.engine.checklist import ChecklistItem, Line, checklist
from plimb.core.engine.engine import Engine
from plimb.core.engine.followers import kind_of
from plimb.core.engine.turning import Method

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
_LOBE: Line = ("lobe", "Watch the lobe, not the mark", "Square to the follower is enough; "
               "straight away from it is best.")  # fmt: skip
_DECOMPRESSOR: Line = ("decompressor", "Decompressor free of the valve", "Its lobe is not in the "
                       "turning plan; where there is one, go by the manual.")  # fmt: skip


def safety_list(engine: Engine, method: Method) -> tuple[ChecklistItem, ...]:
    """Return what to see to for this engine and this way of turning it.

    The maker's manual, local codes and licensed practice come before this list.
    """
    way = engine.rotation or "in its own direction"
    direction = ("direction", f"Turn {way} only", "Past the mark means going round again, never "
                 "back: the chain would go slack and the marks lie.")  # fmt: skip
    return checklist(
        (
            *_ALWAYS,
            direction,
            *((_LOBE,) if method is Method.LOBE else ()),
            *kind_of(engine.follower).ready,
            *((_DECOMPRESSOR,) if len(engine.cylinders) == 1 else ()),
        )
    )

"""The lessons: one point each, a few minutes, an engine that shows it."""

from collections.abc import Mapping
from dataclasses import dataclass, field
from enum import StrEnum
from typing import Any

from plimb.core.engine.followers import Follower
from plimb.core.job.kinds import JobKind
from plimb.core.job.stages import Stage
from plimb.core.lengths import Unit, mm
from plimb.files.starting_point import Layout, Start
from plimb.practice.caps import FINAL
from plimb.standins.simulated import World
from plimb.trials.hand import USUAL_BLADES


class Trap(StrEnum):
    """What a lesson's engine has in store."""

    NONE = "none"
    STUCK = "stuck"
    SWAPPED = "swapped"
    NO_GAP = "no-gap"


COLD = (
    "On a real engine: cold, ignition off, turned by hand alone. Fingers stay clear of the chain."
)
OPEN = "On a real engine: nothing is turned while a bucket is empty, and the manual's torques hold."


@dataclass(frozen=True, slots=True, kw_only=True)
class Lesson:
    """One lesson. `until` is the stage that it ends with, `begins` the one it begins at.

    What comes before `begins` has been done already by another hand.
    """

    id: str
    title: str
    point: str
    does: str
    """What is to be done, said before it is begun and while it goes on."""
    minutes: int
    page: str
    caution: str = COLD
    start: Start = field(default_factory=lambda: Start(layout=Layout.SINGLE))
    begins: Stage = Stage.FEEL
    until: Stage = Stage.FEEL
    kind: JobKind = JobKind.SET
    unit: Unit = Unit.MM
    blades: str = "usual"
    world: World = field(default_factory=lambda: World(opens_up=0.0))
    trap: Trap = Trap.NONE
    crank: int = 690
    least: int = 0
    """So many valves at least want another piece."""
    drags: bool = False
    """Most gaps are just a little larger than a blade of the set."""
    caps: bool = False
    """The camshafts' caps come off and go on again with a wrench."""


SINGLE, TWIN = Start(layout=Layout.SINGLE), Start(layout=Layout.PARALLEL_TWIN, firing="360")
FOUR = Start(layout=Layout.INLINE_FOUR, firing="1-3-4-2")

LESSONS = (
    Lesson(
        id="drag",
        does="Turn each lobe away. Push blades in until one drags lightly; write its figure down.",
        title="Light drag", minutes=3, page="feel", start=Start(layout=Layout.SINGLE,
        valves=2), blades="fine", drags=True,
        point="The blade that drags lightly is the gap: neither the one that falls through nor "
        "the one that needs force.",
    ),
    Lesson(
        id="go",
        does="At each valve try the minimum, then the maximum. Write the two down, such as 13-20.",
        title="Go and no-go", minutes=4, page="feel", start=TWIN,
        point="Minimum goes, maximum refuses: the valve is in, in two tries.",
    ),
    Lesson(
        id="centres",
        does="Turn to each position and look at the lobes first. Then write the gaps down.",
        title="The two top dead centres", minutes=5, page="turn", crank=330,
        point="The mark stands in the window twice a cycle. Look at the lobes: at overlap nothing "
        "can be measured.",
    ),
    Lesson(
        id="between",
        does="Find the blade that goes and the next that refuses. Write both, such as 15-20.",
        title="The blade between", minutes=4, page="feel", blades="coarse",
        point="One goes, the next refuses: write both. The gap is between them.",
    ),
    Lesson(
        id="stacks",
        does="Read the shim of each valve that is out of range, then take the plan.",
        title="Stacks and the sum", minutes=6, page="sums", caution=OPEN,
        begins=Stage.READ, until=Stage.CHOOSE, world=World(opens_up=0.0, wear_nm=mm("0.07")),
        least=1,
        point="Gap and shim together are the stack, and it stays. Thicker is tighter.",
    ),
    Lesson(
        id="no-gap",
        does="Write x where no blade goes. Fit a thin shim there, measure, then work back.",
        title="No gap found", minutes=10, page="sums", caution=OPEN, until=Stage.PROVE,
        trap=Trap.NO_GAP, point="The thinnest blade refuses. It is not zero: fit something thin, "
        "measure, work back.",
    ),
    Lesson(
        id="marking",
        does="Measure each shim that comes out, then take the plan.",
        title="A marking that lies", minutes=6, page="read", caution=OPEN,
        begins=Stage.READ, until=Stage.CHOOSE,
        world=World(opens_up=0.0, wear_nm=mm("0.07"), mismarked=1.0, worn_off=0.0),
        least=1,
        point="The figure on a shim is what it was sold as. The micrometer, its zero taken off, "
        "says what it is.",
    ),
    Lesson(
        id="twins",
        does="Write the gaps down. Measure once more where two twins differ much.",
        title="Twins that disagree", minutes=5, page="feel", trap=Trap.STUCK,
        point="Both valves of a side wear alike. One far off its twin is measured twice, and the "
        "blade is looked at.",
    ),
    Lesson(
        id="whole",
        does="Look at the plan for all valves, then take it.",
        title="Choosing for a whole engine", minutes=8, page="choose", caution=OPEN,
        start=FOUR, begins=Stage.CHOOSE, until=Stage.CHOOSE,
        world=World(opens_up=0.0, wear_nm=mm("0.06")),
        least=4,
        point="A shim that comes out of one valve may be right for another: decide all together.",
    ),
    Lesson(
        id="shaft-in",
        does="Take the plan. Take the old shims out and put the new ones in, valve by valve.",
        title="Fitting with the shaft in", minutes=10, page="bucket-over",
        caution="On a real engine: the holding-down tool fully seated. If it slips the bucket "
        "jumps up.", start=Start(layout=Layout.SINGLE, follower=Follower.BUCKET_OVER),
        begins=Stage.CHOOSE, until=Stage.PROVE, world=World(opens_up=0.0, wear_nm=mm("0.07")),
        least=1,
        point="Shims are exchanged where the valves rest; nothing is turned over an empty bucket.",
    ),
    Lesson(
        id="swapped",
        does="Measure the valves that were opened. Find out which two shims changed places.",
        title="Swapped at the proof", minutes=8, page="prove", start=SINGLE,
        begins=Stage.PROVE, until=Stage.PROVE, trap=Trap.SWAPPED,
        world=World(opens_up=0.0, wear_nm=mm("0.07")),
        least=3,
        point="One too small, its neighbour too large by as much: two shims are in each other's "
        "places.",
    ),
    Lesson(
        id="closer",
        does="Write down both gaps of each valve.",
        title="Opener and closer", minutes=6, page="opener-closer", start=Start(
        layout=Layout.SINGLE, valves=2, follower=Follower.OPENER_CLOSER),
        point="Two gaps a valve, each with its own range.",
    ),
    Lesson(
        id="units",
        does="Write each gap down in thou, as the blade is marked.",
        title="Thou and millimetres", minutes=5, page="sums", unit=Unit.INCH,
        caution=OPEN, until=Stage.FEEL, start=TWIN,
        point="Gaps in thou, shims in millimetres. Write a reading as it was read, and let the "
        "sum convert.",
    ),
    Lesson(
        id="bench",
        does="Set each lobe away by its gear, then write the gap down.",
        title="A head on the bench", minutes=6, page="turn", kind=JobKind.BENCH,
        caution="On a real head: it stands clear of the table, so that an opening valve touches "
        "nothing.", start=TWIN,
        point="No crank: each lobe is set away from its follower by the camshaft's gear.",
    ),
    Lesson(
        id="job",
        does="Work from Ready to Sign, then sign the sheet twice.",
        title="The whole job", minutes=10, page="first-check", until=Stage.SIGN,
        caution=OPEN, start=SINGLE, begins=Stage.READY, caps=True,
        world=World(opens_up=0.0, wear_nm=mm("0.06")),
        least=1,
        point="From the card to the signed sheet, and then the truth.",
    ),
)  # fmt: skip

OWN = Lesson(
    id="own",
        does="Work from Ready to Sign, then sign the sheet twice.",
        title="An engine of the shop", minutes=10, page="first-check", until=Stage.SIGN,
    begins=Stage.READY, caution=OPEN, point="Your own engine, with wear that was made up.",
    caps=True,
)  # fmt: skip

BY_ID = {lesson.id: lesson for lesson in (*LESSONS, OWN)}

SETS = {
    "usual": USUAL_BLADES,
    "fine": tuple(range(3, 51)),
    "coarse": (5, 10, 15, 20, 25, 30, 35, 40, 45, 50),
}
"""Feeler sets in hundredths of a millimetre (common practice)."""

_SPECS = {Unit.MM: {"intake": (0.13, 0.19), "exhaust": (0.22, 0.28)},
          Unit.INCH: {"intake": (0.005, 0.008), "exhaust": (0.009, 0.012)}}  # fmt: skip


_PLACES = [[0.25, 0.25], [0.75, 0.25], [0.25, 0.75], [0.75, 0.75]]
BOLTS = len(_PLACES)
CAPS = {
    "name": "Cam caps", "torque": f"{FINAL:g}", "unit": "N·m", "thread": "M6", "order": None,
    "places": _PLACES,
}  # fmt: skip
"""The bolts of a practice engine's caps, as an engine's file has them."""


def fill_in(document: dict[str, Any], lesson: Lesson) -> Mapping[str, Any]:
    """Write what the lesson's engine is into the document of its layout."""
    document["unit"], document["shim_unit"] = lesson.unit.value, Unit.MM.value
    specs: dict[str, Any] = {
        side: {"min": low, "max": high} for side, (low, high) in _SPECS[lesson.unit].items()
    }
    if lesson.start.follower is Follower.OPENER_CLOSER:
        specs |= {"closer": {side: {"min": 0.02, "max": 0.08} for side in ("intake", "exhaust")}}
    family = {"diameter": 29 if lesson.start.follower is Follower.BUCKET_OVER else 9.48,
              "price": 8.5, "runs": [{"from": 1.8, "to": 3.2, "step": 0.05}]}  # fmt: skip
    document["engine"] |= {"name": f"Practice: {lesson.title}", "spec": specs, "family": family,
                           "rotation": "clockwise"}  # fmt: skip
    return document

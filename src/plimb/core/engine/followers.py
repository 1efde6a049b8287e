"""The kinds of follower: one row each with everything that differs from kind to kind.

What is done to reach and fit a shim is common practice; the maker's manual comes before it.
"""

from dataclasses import dataclass
from enum import StrEnum
from typing import assert_never

from plimb.core.engine.checklist import Line


class Follower(StrEnum):
    """Where the shim sits, or that the bucket itself is the graded piece."""

    BUCKET_UNDER = "bucket-under"
    BUCKET_OVER = "bucket-over"
    BUCKET_GRADED = "bucket-graded"
    FINGER = "finger"
    OPENER_CLOSER = "opener-closer"


class Role(StrEnum):
    """What a clearance's shim does in an engine that closes its valves itself."""

    OPEN = "open"
    CLOSE = "close"


@dataclass(frozen=True, slots=True, kw_only=True)
class FollowerKind:
    """Everything that differs between kinds of follower.

    `camshaft_out` says whether a shim needs its camshaft out where the engine does not say;
    `closers` that each valve has a second clearance. `ready` are lines of the safety list,
    `reach` the steps to the shim once the way is clear, `fit` what is seen to as a piece goes
    in, `fit_closer` the same for a closer, `close` what closes up where no camshaft was out.
    """

    label: str
    camshaft_out: bool = True
    closers: bool = False
    ready: tuple[Line, ...] = ()
    reach: tuple[Line, ...]
    fit: tuple[str, ...]
    fit_closer: tuple[str, ...] = ()
    close: tuple[Line, ...] = ()


_OIL = "Clean and oiled on both faces"
_READ: Line = (
    "read",
    "Wipe it, read the marking, measure it in three places",
    "A worn mark, a pit, a blue spot: scrap. A shim is seldom exactly its marking.",
)

BUCKET_UNDER = FollowerKind(
    label="bucket, shim under",
    reach=(
        ("bucket", "One bucket at a time, straight up with a magnet", "The shim may stick inside "
         "it or stay on the stem: look before it falls. Each bucket keeps its own place."),
        _READ,
    ),
    fit=(
        f"{_OIL}, the marking towards the bucket",
        "The shim sits flat in its seat",
        "The bucket goes in by its own weight and turns freely",
    ),
)  # fmt: skip

BUCKET_OVER = FollowerKind(
    label="bucket, shim on top",
    camshaft_out=False,
    ready=(
        ("holder", "Holding-down tool seated fully before the shim is touched",
         "If it slips the bucket jumps up: keep fingers out."),
    ),
    reach=(
        ("turn", "Turn the bucket until its notch can be reached", "Before the lobe comes "
         "round, not after."),
        ("hold", "Seat the holding-down tool on the bucket's rim", "If it slips the bucket "
         "jumps up: keep fingers out."),
        ("pick", "Lift the shim out through the notch", "Do not turn the engine while a "
         "bucket has no shim."),
        _READ,
    ),
    fit=(
        "Holding-down tool seated before the old shim comes up",
        f"{_OIL}, the marking towards the bucket",
        "Pressed home in the bucket's crown, flat all round",
        "Tool off, the bucket turns freely",
    ),
)  # fmt: skip

BUCKET_GRADED = FollowerKind(
    label="bucket without shim, itself in graded sizes",
    ready=(
        ("grade", "There is no shim: the gap is set by the bucket's own crown",
         "Never grind a bucket or lay anything under it; a whole bucket is changed."),
    ),
    reach=(
        ("bucket", "One bucket at a time, straight up with a magnet", "It may be held by oil: "
         "turn it as it comes. A bucket on its side in the bore is in the way of everything."),
        ("read", "Wipe it, read the grade inside, measure the crown in three places",
         "A scuffed skirt, a pit in the crown: scrap. A grade is seldom exactly what it says."),
    ),
    fit=(
        "Clean and oiled: crown, skirt and bore",
        "The stem's end stands square under the middle of the crown",
        "The bucket goes in by its own weight and turns freely in its bore",
    ),
)  # fmt: skip

FINGER = FollowerKind(
    label="finger or rocker, shim on the stem",
    camshaft_out=False,
    ready=(
        ("pad", "Finger pad flat on its shim before measuring",
         "Never set below the minimum: the finger can jump off."),
    ),
    reach=(
        ("finger", "Slide the finger aside, or draw its shaft", "Mark which finger is whose; "
         "each has worn to its own cam."),
        ("pick", "Lift the shim off the stem with a magnet", "It is small and sits loose: "
         "plug the holes beside it first."),
        _READ,
    ),
    fit=(
        f"{_OIL}, the marking towards the stem",
        "Flat on the stem, inside its seat",
        "Finger back on its own place, pad square on the shim",
    ),
    close=(("shaft", "Finger shafts home and locked", "Each finger on its own cam."),),
)  # fmt: skip

OPENER_CLOSER = FollowerKind(
    label="opener and closer",
    closers=True,
    ready=(
        ("both", "Measure opener and closer of each valve",
         "Half rings are small: cover the holes first."),
    ),
    reach=(
        ("opener", "Opener: its rocker aside, shim off the stem", "One valve at a time, each "
         "kept with its own place."),
        ("rings", "Closer: press it down, take both half rings, let it up",
         "Half rings fly. Hold a finger over them, and count two."),
        ("closer", "Lift the closing shim off over the stem", "With both off, the valve is "
         "held by nothing: do not let it fall into the bore."),
        _READ,
    ),
    fit=(
        f"{_OIL}, on the end of the stem",
        "The opener's rocker sits square on it",
    ),
    fit_closer=(
        f"{_OIL}, slid over the stem the right way up",
        "Both half rings in their groove, and they stay there when let go",
        "The closer's rocker sits in its place and turns freely",
    ),
)  # fmt: skip


def kind_of(follower: Follower) -> FollowerKind:
    """Return the row of a kind of follower."""
    match follower:
        case Follower.BUCKET_UNDER:
            return BUCKET_UNDER
        case Follower.BUCKET_OVER:
            return BUCKET_OVER
        case Follower.BUCKET_GRADED:
            return BUCKET_GRADED
        case Follower.FINGER:
            return FINGER
        case Follower.OPENER_CLOSER:
            return OPENER_CLOSER
        case _:
            assert_never(follower)

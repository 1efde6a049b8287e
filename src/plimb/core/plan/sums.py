"""The sum of a valve as it is checked on paper, up to the piece that the plan gives it."""

from plimb.core.plan.result import Move
from plimb.core.shim.shim import Source
from plimb.core.shim.sum import WorkedOut
from plimb.core.shim.worksheet import given_lines
from plimb.core.words import MILLIMETRES, Units

PLACE = {Source.SAME: "", Source.DRAWER: " from the drawer", Source.COUNTER: " (new)"}


def place_of(move: Move) -> str:
    """Return where a piece comes from, as it stands behind its size."""
    return f" out of {move.from_valve}" if move.source is Source.ENGINE else PLACE[move.source]


def decided_sum(
    worked: WorkedOut | None, move: Move, units: Units = MILLIMETRES
) -> tuple[str, ...]:
    """Return the lines of a valve's sum; none where there is none to be made.

    The last one is the plan's own decision, so that the sum and the plan never part.
    """
    if worked is None:
        return ()
    lines = given_lines(worked, units)
    if worked.gap.open_ended or move.thickness_nm is None or move.empty:
        return lines
    size = units.shim_figure(move.thickness_nm)
    if move.gap is None:
        return lines
    left = units.in_sum(move.gap.best_nm)
    if move.provisional:
        last = (
            f"Fit {size}{place_of(move)} for now and measure again: the gap will be at most {left}."
        )
    elif move.source is Source.SAME:
        last = f"Keep {size}: the gap stays {left}."
    else:
        stack = units.shim_figure(worked.gap.best_nm + worked.shim_nm)
        last = f"Fit {size}{place_of(move)}: {stack} − {size} = gap {left}."
    return (*lines, last)

"""The sum of one valve in words and numbers, so that it can be checked on paper."""

from dataclasses import dataclass

from plimb.core.shim.sum import Outcome, WorkedOut
from plimb.core.words import Units, percent


@dataclass(frozen=True, slots=True, kw_only=True)
class Worksheet:
    """What the ladder shows of the sum of one valve."""

    thin_nm: int | None
    thick_nm: int | None
    ideal_nm: int


def worksheet_of(worked: WorkedOut) -> Worksheet:
    """Return the window of a sum and its ideal."""
    return Worksheet(
        thin_nm=worked.window.thin_nm if worked.window else None,
        thick_nm=worked.window.thick_nm if worked.window else None,
        ideal_nm=worked.ideal_nm,
    )


def worksheet(worked: WorkedOut, units: Units) -> tuple[str, ...]:
    """Return the sum as lines: stack, window, ideal, the sizes either side, the pick."""
    if worked.gap.open_ended:
        return _one_end(worked, units)
    lines = [*given_lines(worked, units), *neighbour_lines(worked, units)]
    low, high = (units.in_sum(nm) for nm in (worked.limits.low_nm, worked.limits.high_nm))
    lines.append(conclusion(worked, units))
    if worked.fell_back:
        lines.append(f"No size reaches the set range, so the check range {low} to {high} is used.")
    return tuple(lines)


def given_lines(worked: WorkedOut, units: Units) -> tuple[str, ...]:
    """Return the lines that stand whatever is taken: stack, window, ideal."""
    if worked.gap.open_ended:
        return _one_end(worked, units)
    return (*_stack_lines(worked, units), *_ideal_lines(worked, units))


def neighbour_lines(worked: WorkedOut, units: Units) -> tuple[str, ...]:
    """Return what the sizes either side of the ideal give; none where no sum can be made."""
    show, gaps = units.shim_figure, units.in_sum
    stack = show(worked.gap.best_nm + worked.shim_nm)
    return tuple(
        f"{show(side.thickness_nm)} gives {stack} − {show(side.thickness_nm)} = "
        f"{gaps(side.gap_nm)}: {_standing(side, worked)}."
        for side in (worked.thinner, worked.thicker)
        if side
    )


def _one_end(worked: WorkedOut, units: Units) -> tuple[str, ...]:
    """Return what can be said of a gap of which one end is not known: no sum."""
    show, gaps, gap = units.shim_figure, units.in_sum, worked.gap
    if gap.low_nm is None:
        return (
            f"Below {gaps(gap.high_nm)}, and thinner blades are there: try them, then work it out.",
        )
    return (
        f"Stack at least: {gaps(gap.low_nm)} + {show(worked.shim_nm)} = "
        f"{show(gap.low_nm + worked.shim_nm)} {units.shim}.",
        "A blade that goes loosely does not say how much more there is. Find the one that "
        "refuses, then work it out.",
    )


def _stack_lines(worked: WorkedOut, units: Units) -> list[str]:
    show, gaps = units.shim_figure, units.in_sum
    gap, shim = worked.gap, show(worked.shim_nm)
    low, high = gaps(worked.limits.low_nm), gaps(worked.limits.high_nm)
    if gap.low_nm is None:
        return [
            f"No gap found: at most {gaps(gap.high_nm)}, and the valve may be held open.",
            f"Stack at most: {gaps(gap.high_nm)} + {shim} = {show(worked.stack_high_nm)} "
            f"{units.shim}.",
            f"No shim thicker than {show(worked.stack_high_nm)} − {low} = "
            f"{show(worked.at_most_nm or 0)} can be right.",
        ]
    if gap.is_point:
        lines = [
            f"Stack: {gaps(gap.high_nm)} + {shim} = {show(worked.stack_high_nm)} {units.shim}."
        ]
    else:
        lines = [
            f"Stack: {gaps(gap.low_nm)} to {gaps(gap.high_nm)} + {shim} = "
            f"{show(gap.low_nm + worked.shim_nm)} to {show(worked.stack_high_nm)} "
            f"{units.shim}, best guess {show(gap.best_nm + worked.shim_nm)}."
        ]
    if worked.window is None:
        return [*lines, f"No thickness is in range ({low} to {high}) for every gap in between."]
    stack_low, stack_high = show(gap.low_nm + worked.shim_nm), show(worked.stack_high_nm)
    return [
        *lines,
        f"In range: from {stack_high} − {high} = {show(worked.window.thin_nm)} "
        f"to {stack_low} − {low} = {show(worked.window.thick_nm)}.",
    ]


def _ideal_lines(worked: WorkedOut, units: Units) -> list[str]:
    show, gaps = units.shim_figure, units.in_sum
    stack = show(worked.gap.best_nm + worked.shim_nm)
    most = " at most" if worked.provisional else ""
    return [
        f"Ideal{most} for a gap of {gaps(worked.aim_nm)}: {stack} − {gaps(worked.aim_nm)} = "
        f"{show(worked.ideal_nm)}."
    ]


def conclusion(worked: WorkedOut, units: Units) -> str:
    """Return the last line: which piece to take, or why there is none."""
    show, gaps = units.shim_figure, units.in_sum
    pick = worked.pick
    if pick is None and worked.likeliest is not None and not worked.provisional:
        return (
            f"No size is sure. {show(worked.likeliest.thickness_nm)} has the best chance, "
            f"{percent(worked.likeliest.chance)}; a finer reading would settle it."
        )
    if pick is None:
        return "No size that can be had brings this valve into range."
    if worked.provisional:
        return (
            f"Fit {show(pick.thickness_nm)} for now, measure, and work back: a gap of at most "
            f"{gaps(pick.gap_nm)} follows. Order nothing before that."
        )
    if pick.thickness_nm == worked.shim_nm:
        return f"Keep {show(pick.thickness_nm)}: the gap stays {gaps(pick.gap_nm)}."
    return f"Take {show(pick.thickness_nm)}: gap {gaps(pick.gap_nm)}."


def _standing(side: Outcome, worked: WorkedOut) -> str:
    if worked.provisional:
        return "at most"
    if side.in_spec:
        return "in range"
    return "not in range" if worked.gap.is_point else "not sure to be in range"

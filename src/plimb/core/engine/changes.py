"""What a corrected engine says otherwise than it did, in sentences."""

from collections.abc import Callable

from plimb.core.engine.engine import Clearance, Engine
from plimb.core.lengths import Unit
from plimb.core.words import MILLIMETRES, Units, figure


def changes(before: Engine, after: Engine, units: Units = MILLIMETRES) -> tuple[str, ...]:
    """Return what differs, a sentence each; valves are the same by their keys."""
    old = {clearance.key: clearance for clearance in before.clearances}
    new = {clearance.key: clearance for clearance in after.clearances}
    both = [(old[key], new[key]) for key in new if key in old]
    said = [f"{a.id} is now called {b.id}." for a, b in both if a.id != b.id]
    said += _alike("Spec of", both, lambda one: _spec(one, units.gap))
    said += _alike("Shims of", both, lambda one: _sizes(one, units))
    said += _alike("Camshaft over", both, lambda one: one.camshaft)
    gone = [clearance.id for key, clearance in old.items() if key not in new]
    come = [clearance.id for key, clearance in new.items() if key not in old]
    said += [f"{', '.join(gone)}: not on the engine any more."] if gone else []
    said += [f"{', '.join(come)}: new on the engine."] if come else []
    if before.follower is not after.follower:
        said.append(f"Followers: {before.follower} becomes {after.follower}.")
    if before.rotation != after.rotation:
        said.append(f"It turns {after.rotation or 'in its own direction'}.")
    if before.cylinders != after.cylinders or before.marks != after.marks:
        said.append("Its firing or its marks were corrected: the positions are worked out anew.")
    return tuple(said)


def _alike(
    what: str, both: list[tuple[Clearance, Clearance]], says: Callable[[Clearance], str]
) -> list[str]:
    """Say each change once, with all the valves that it is true of."""
    changed: dict[tuple[str, str], list[str]] = {}
    for old, new in both:
        was, now = says(old), says(new)
        if was != now:
            changed.setdefault((was, now), []).append(new.id)
    return [f"{what} {', '.join(on)}: {was} becomes {now}." for (was, now), on in changed.items()]


def _spec(one: Clearance, unit: Unit) -> str:
    if one.spec is None:
        return "not entered"
    aim = "" if one.spec.aim_nm is None else f", aim {figure(one.spec.aim_nm, unit)}"
    return f"{one.spec.words(unit)}{aim} {unit.of_gaps}"


def _sizes(one: Clearance, units: Units) -> str:
    family, show = one.family, units.shim_figure
    if not family.known:
        return "not entered"
    wide = "" if family.diameter_nm is None else f"{show(family.diameter_nm)} across, "
    runs = (
        f"{show(run.from_nm)} to {show(run.to_nm)} by {show(run.step_nm)}" for run in family.runs
    )
    return wide + (", ".join(runs) or "sizes not entered")

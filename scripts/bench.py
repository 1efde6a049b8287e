"""Measure the sums and print how long they take on this machine."""

from statistics import median
from time import perf_counter

from plimb.core.blades import Blade, BladeSet, Known, next_blade
from plimb.core.lengths import Unit, mm
from plimb.core.limits import parse_limits
from plimb.core.turning import Method, plan_turning
from plimb.files.engine_file import EngineFile
from plimb.files.starting_point import Layout, Start, starting_point

TRIES = 30


def measure(name: str, work) -> None:
    """Print the median and the slowest of some tries, in milliseconds."""
    times = []
    for _try in range(TRIES):
        begun = perf_counter()
        work()
        times.append((perf_counter() - begun) * 1000)
    print(f"{name:<58} median {median(times):7.2f} ms, slowest {max(times):7.2f} ms")


def turning() -> None:
    """Plan the turning of every layout with four valves a cylinder."""
    for layout in Layout:
        engine = EngineFile.model_validate(starting_point(Start(layout=layout))).to_core()
        valves = len(engine.clearances)
        measure(f"turning, {layout}, {valves} valves", lambda engine=engine: plan_turning(engine))
    measure("turning by the lobe, 24 valves", lambda: plan_turning(engine, method=Method.LOBE))


def blades() -> None:
    """Ask for the next blade of a 32-blade set with stacks, nothing remembered in between."""
    made = tuple(Blade(nominal_nm=mm(f"0.{30 + 19 * n + n * n % 7:03}")) for n in range(32))
    blade_set = BladeSet(name="bench", blades=made)
    limits = parse_limits("0.14-0.21", Unit.MM)

    def ask() -> None:
        next_blade.cache_clear()
        next_blade(Known(), limits, blade_set)

    measure(f"next blade, 32 blades, {len(blade_set.tries())} thicknesses with stacks", ask)


if __name__ == "__main__":
    turning()
    blades()

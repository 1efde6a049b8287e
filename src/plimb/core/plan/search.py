"""Decide the whole engine at once: which piece goes where, and what to buy.

The levels, strictly in this order:

1. valves expected out of range (fewest), then, for a shop that sets valves near the edge, those
   left in the tightest fifth;
2. changed valves expected outside the set range where the spec has one;
3. for *touch least*, pieces changed;
4. where the shop sets valves that are in, or rounds one way always: how far pieces fall short
   of being sure enough, then the way to the aim, or those that go the wrong way;
5. what it is expected to cost: camshafts taken out (a follower that needs none costs none),
   money at the counter, and another round times its chance, over all valves, kept ones too;
6. camshafts taken out (fewest);
7. valves surely in range whose piece is changed without need;
8. pieces for now too thick to be sure of a gap; then total distance from the aim, or, with
   *best chance*, the sum of −ln P(in range);
9. how far valves that cannot be brought in end from spec; then pieces changed.

For every set of camshafts that may come out the rest is one assignment of pieces to valves,
solved exactly; the least over the sets is the plan. A set that cannot be the best, were each of
its valves alone, is left out. Where every valve is set all are out.
"""

from collections.abc import Iterator, Sequence
from dataclasses import replace
from itertools import combinations

from plimb.core.errors import BadValue
from plimb.core.plan.candidates import Candidates, Solved
from plimb.core.plan.needs import WhichToSet
from plimb.core.plan.request import PlanRequest
from plimb.core.plan.result import Plan, assemble
from plimb.core.shim.shim import Source


def plan_engine(request: PlanRequest) -> Plan:
    """Return the best plan at every level, proven by trying every set of camshafts.

    Raises:
        BadValue: Two pins want one piece, or a pinned piece is not there.
    """
    if not request.rows:  # nothing that a plan could be made for
        return Plan(optimal=True, moves=(), camshafts_out=(), order=(), cannot=(), levels=())
    return assemble(*decide(request))


def decide(request: PlanRequest) -> tuple[Candidates, Solved]:
    """Return what the pieces of a plan are chosen among, and the best choice.

    Raises:
        BadValue: Two pins want one piece, or a pinned piece is not there.
    """
    candidates = Candidates(request)
    shafts = tuple(
        dict.fromkeys(
            row.clearance.camshaft
            for row in (request.rows[at] for at in sorted(candidates.known))
            if row.clearance.camshaft_out
        )
    )
    all_out = candidates.solve(frozenset(shafts))
    if all_out is None:  # what was decided by hand leaves nothing for a valve: it is said
        candidates = Candidates(request, empties=True)
        all_out = candidates.solve(frozenset(shafts))
    forced = candidates.forced_out()
    if all_out is None:
        raise BadValue(
            "The shims decided on cannot all be had: two valves want one shim, or a shim is "
            "not there. Take one of them back.",
            field="pins",
        )
    if request.policy.act is WhichToSet.EVERY:  # it is all apart: no camshaft is spared
        return candidates, all_out
    best = all_out
    for at_least, out in sorted((candidates.at_least(out), sorted(out))
                                for out in _sets(shafts, forced)):  # fmt: skip
        if at_least > best.levels[: len(at_least)]:
            break  # nor is any set after it better
        solved = candidates.solve(frozenset(out))
        if solved is not None and (solved.levels, out) < (best.levels, sorted(best.out)):
            best = solved
    return candidates, best


def _sets(shafts: Sequence[str], forced: frozenset[str]) -> Iterator[frozenset[str]]:
    """Return every set of camshafts that holds the forced ones, but for that of all."""
    others = [shaft for shaft in shafts if shaft not in forced]
    for number in range(len(others)):
        for more in combinations(others, number):
            yield forced.union(more)


OTHERS = ("buy-nothing", "only-new", "touch-least")
"""What a shop may want instead: to buy nothing, take only new pieces, or touch least."""

VARIANTS = ("best", *OTHERS)


def known_variant(name: str) -> str:
    """Return the name of the plan or one of its alternatives; BadValue for any other."""
    if name not in VARIANTS:
        raise BadValue(f"variant is one of {', '.join(VARIANTS)}.", field="variant")
    return name


def instead(request: PlanRequest, name: str) -> PlanRequest:
    """Return what one of the alternatives is made from; any other name is the plan's own."""
    policy = request.policy
    changed = {
        "buy-nothing": replace(policy, buy=False),
        "only-new": replace(policy, reuse=False),
        "touch-least": replace(policy, touch_least=True),
    }
    return replace(request, policy=changed.get(name, policy))


def alternatives(request: PlanRequest, best: Plan | None = None) -> dict[str, Plan]:
    """Return the plans of a shop that buys nothing, takes only new pieces, or touches least.

    A `best` plan that buys nothing is the best without buying, too. What was decided by hand can
    rule one of them out: it is left out then.
    """
    found = {}
    for name in OTHERS:
        if name == "buy-nothing" and best is not None and not best.order:
            found[name] = best
            continue
        try:
            plan = plan_engine(instead(request, name))
        except BadValue:
            continue
        if _is(plan, name):
            found[name] = plan
    return found


def _is(plan: Plan, name: str) -> bool:
    """Return whether a plan is what an alternative is called."""
    if name == "buy-nothing":
        return not plan.order
    available = {Source.DRAWER, Source.ENGINE}
    return name != "only-new" or all(move.source not in available for move in plan.moves)

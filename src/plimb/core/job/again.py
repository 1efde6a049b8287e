"""What there is to do in another round, if anything."""

from collections.abc import Callable

from plimb.core.job.causes import kind_of
from plimb.core.job.proof import Explained
from plimb.core.job.status import JobStatus
from plimb.core.job.valve import ValveStatus
from plimb.core.measure.limits import Verdict


def next_tasks(status: JobStatus, explained: Explained | None) -> tuple[str, ...]:
    """Return what another round is for; nothing where every valve may be left as it is.

    A valve that another blade would tell more of is tried with it first, in this round. A cause
    that may not be left is put right in the next one, where nothing is out, too.
    """

    def those(are: Callable[[ValveStatus], bool], words: str) -> tuple[str, ...]:
        found = [valve for valve in status.order if are(status.valves[valve])]
        return (f"{words}: {', '.join(found)}",) if found else ()

    out = {valve for valve, state in status.valves.items() if is_out(state)}
    named = (
        f"{one.name}: {', '.join(one.valves)}"
        for one in (explained.ranked[:1] if explained else ())
        if kind_of(one.cause).put_right or out.intersection(one.valves)
    )
    unset = those(
        lambda one: one.record.proof is not None and one.left_unset, "Not in the set range"
    )
    return (*named, *those(is_out, "Out of range"), *unset)


def is_out(state: ValveStatus) -> bool:
    """Return whether a proof says that its valve is to be opened again."""
    proof, limits, verdict = state.record.proof, state.clearance.check, state.by_check
    if proof is None or limits is None or verdict in (None, Verdict.IN):
        return False
    if verdict is Verdict.UNSETTLED:
        tried = state.proof_next is None and not proof.gap.open_ended
        return tried and not limits.holds(proof.gap.best_nm)
    return True

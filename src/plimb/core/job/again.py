"""What there is to do in another round, if anything."""

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
    states = [status.valves[valve] for valve in status.order]
    out = [state.valve for state in states if is_out(state)]
    unset = [state.valve for state in states if state.record.proof and state.left_unset]
    named = (
        f"{one.name}: {', '.join(one.valves)}"
        for one in (explained.ranked[:1] if explained else ())
        if kind_of(one.cause).put_right or set(out).intersection(one.valves)
    )
    left = (("Out of range", out), ("Not in the set range", unset))
    return (*named, *(f"{words}: {', '.join(valves)}" for words, valves in left if valves))


def is_out(state: ValveStatus) -> bool:
    """Return whether a proof says that its valve is to be opened again."""
    proof, limits, verdict = state.record.proof, state.clearance.check, state.by_check
    if proof is None or limits is None or verdict in (None, Verdict.IN):
        return False
    if verdict is Verdict.UNSETTLED:
        tried = state.proof_next is None and not proof.gap.open_ended
        return tried and not limits.holds(proof.gap.best_nm)
    return True

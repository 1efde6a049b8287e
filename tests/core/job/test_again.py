"""Random proofs: no blade is advised that the set has not, no round is offered without a task."""

import os
import random
from dataclasses import replace
from typing import Any

from plimb.core.job.again import is_out, next_tasks
from plimb.core.job.causes import kind_of
from plimb.core.job.proof import explain
from plimb.core.job.residuals import proved_from
from plimb.core.job.status import JobContext, job_status
from plimb.core.job.valve import Choice, ValveRecord
from plimb.core.lengths import Unit, mm
from plimb.core.measure.blades import Blade, BladeSet
from plimb.core.measure.limits import Verdict
from plimb.core.measure.shorthand import reading_by
from plimb.core.plan.needs import WhichToSet
from plimb.core.shim.shim import Source, parse_shim
from plimb.core.shim.sum import SizePolicy

from .test_status import SINGLE

PROOFS = 20_000 if os.environ.get("PLIMB_LONG") else 150


def felt(dice: random.Random, blades: BladeSet, gap_nm: float) -> Any:
    """Return what somebody writes down who tries some of the blades, not always the nearest."""
    thin = [blade for blade in blades.usable if blade.thickness_nm <= gap_nm]
    thick = [blade for blade in blades.usable if blade.thickness_nm > gap_nm]
    if not thin:
        return reading_by("x", Unit.MM, blades)
    goes = thin[-dice.choice([1, 1, 1, 2]) :][0]
    if not thick or dice.random() < 0.2:
        return reading_by(goes.typed, Unit.MM, blades)
    refuses = thick[: dice.choice([1, 1, 1, 2])][-1]
    return reading_by(f"{goes.typed}-{refuses.typed}", Unit.MM, blades)


def proof(dice: random.Random) -> Any:
    """Return a set of blades, and valves that were measured, changed and measured again."""
    sizes = sorted(dice.sample(range(3, 40), dice.randint(4, 22)))
    blades = BladeSet(
        name="Any", stacking=dice.random() < 0.3,
        blades=tuple(Blade(nominal_nm=n * mm("0.01")) for n in sizes),
    )  # fmt: skip
    records = {}
    for valve, clearance in SINGLE.by_id.items():
        assert clearance.check is not None
        wide = mm("0.06") if dice.random() < 0.1 else 0
        after_nm = dice.uniform(clearance.check.low_nm - wide, clearance.check.high_nm + wide)
        old = parse_shim("185" if dice.random() < 0.5 else "185 1.848")
        thinner = dice.choice([0, 0, 5, 10, 15, -5]) * mm("0.01")
        choice = Choice(thickness_nm=old.thickness_nm - thinner, fitted=True, by_hand=False,
                        source=Source.COUNTER if thinner else Source.SAME)  # fmt: skip
        gap_nm = after_nm - thinner
        off = dice.choice([-0.05, 0.05, 0.02]) * mm("1") if dice.random() < 0.1 else 0
        again = felt(dice, blades, after_nm + off) if thinner or dice.random() < 0.5 else None
        records[valve] = ValveRecord(
            found=felt(dice, blades, gap_nm), piece=old, choice=choice, proof=again
        )
    return blades, records


def test_advice_at_the_proof_can_be_followed_and_a_round_has_a_task() -> None:
    dice = random.Random(20261201)
    offered = rounds_without = 0
    for _proof in range(PROOFS):
        blades, records = proof(dice)
        around = JobContext(blades=blades)
        status = job_status(SINGLE, records, SizePolicy(), WhichToSet.OUT, around=around)
        proved = proved_from(status)
        explained = explain(proved) if proved else None
        for state in status.valves.values():
            tried = state.record.proof
            if state.proof_next is not None:
                assert tried is not None
                assert state.proof_verdict is Verdict.UNSETTLED
                assert set(state.proof_next.blades) <= {b.nominal_nm for b in blades.usable}
                ends = (tried.gap.low_nm or 0, None if tried.gap.endless else tried.gap.high_nm)
                assert state.proof_next.thickness_nm > ends[0]
                assert ends[1] is None or state.proof_next.thickness_nm <= ends[1] + 1
            if "try a blade in between" in state.reason:
                found = state.record.found
                assert found is not None
                assert found.gap.low_nm is not None
                assert any(
                    found.gap.low_nm < gauge.thickness_nm <= found.gap.high_nm
                    for gauge in blades.tries()
                )
        tasks = next_tasks(status, explained)
        held = {
            valve
            for valve, state in status.valves.items()
            if state.record.proof and state.by_check is Verdict.IN
        }
        failed = {valve for valve, state in status.valves.items() if is_out(state)}
        after = job_status(
            SINGLE,
            {valve: carried(record) for valve, record in records.items()},
            SizePolicy(), WhichToSet.OUT,
            around=replace(around, proved=frozenset(held), failed=frozenset(failed)),
        )  # fmt: skip
        opened = {v for v in after.opened if status.valves[v].record.proof}
        causes = explained.ranked[:1] if explained else ()
        if tasks:
            offered += 1
            unset = any(state.left_unset for state in status.valves.values())
            assert opened or unset or any(kind_of(one.cause).put_right for one in causes)
        else:
            rounds_without += 1
            assert not {
                v for v in opened if after.valves[v].verdict in (Verdict.TIGHT, Verdict.LOOSE)
            }
    assert min(offered, rounds_without) > PROOFS // 20


def carried(record: ValveRecord) -> ValveRecord:
    """Return what the next round begins with: what was proved is found, what went in is in."""
    assert record.choice is not None
    assert record.piece is not None
    piece = parse_shim(f"{record.choice.thickness_nm / mm('1'):.3f}")
    return ValveRecord(found=record.proof or record.found, piece=piece)

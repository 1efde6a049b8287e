"""Small random engines, and the levels of the plan written down a second time, plainly."""

import math
import random
from decimal import Decimal
from typing import Any

from plimb.core.engine.engine import Clearance, Side
from plimb.core.lengths import mm
from plimb.core.measure.gap import Gap, between, none_below, point
from plimb.core.measure.limits import Limits, Spec
from plimb.core.measure.uncertainty import chance_in_spec
from plimb.core.plan.needs import WhichToSet
from plimb.core.plan.request import PlanRequest, Policy, Stock
from plimb.core.plan.rows import PlanRow
from plimb.core.shim.family import Family, Run
from plimb.core.shim.shim import Condition, Source
from plimb.core.shim.sum import Aim, Rounding, SizePolicy

STEP = mm("0.025")
SET_ALL = (WhichToSet.ALL, WhichToSet.EVERY)


def random_case(dice: random.Random, valves: int, drawer: int, shafts: int) -> PlanRequest:
    """Return an engine in which pieces are scarce and wanted twice."""
    priced = dice.choice([None, "8.5", "6"])
    families = [
        Family(
            diameter_nm=mm(diameter),
            price=priced if priced is None else Decimal(priced),
            runs=(Run(from_nm=mm("2.40"), to_nm=mm("2.80"), step_nm=mm(step)),),
        )
        for diameter, step in (("9.48", dice.choice(["0.05", "0.10"])), ("7.48", "0.2"))
    ]
    narrow = dice.random() < 0.4
    aim_nm = dice.choice([None, mm("0.19")])
    check = Limits(low_nm=mm("0.15"), high_nm=mm("0.22"))
    spec = Spec(
        check=check,
        set_=Limits(low_nm=mm("0.17"), high_nm=mm("0.21")) if narrow else None,
        aim_nm=aim_nm,
    )
    rows = []
    for number in range(valves):
        free = dice.random() < 0.15
        rows.append(
            PlanRow(
                clearance=Clearance(
                    id=f"V{number}",
                    cylinder=1,
                    side=Side.INTAKE,
                    position=None,
                    camshaft=f"S{dice.randrange(shafts)}",
                    spec=spec,
                    family=families[dice.random() < 0.15],
                    camshaft_out=not free,
                ),
                gap=_gap(dice),
                piece_nm=None if dice.random() < 0.04 else _thickness(dice),
                condition=dice.choices(list(Condition), (12, 1, 1))[0],
            )
        )
    stocks = {
        (thickness, family.kind): Stock(
            thickness_nm=thickness,
            kind=family.kind,
            count=dice.randint(1, 2),
            doubt_nm=mm(dice.choice(["0.004", "0.02"])),
        )
        for thickness, family in ((_thickness(dice), dice.choice(families)) for _ in range(drawer))
    }
    return PlanRequest(
        rows=tuple(rows),
        drawer=tuple(stocks.values()),
        policy=Policy(
            sizing=SizePolicy(aim=dice.choice(list(Aim)), rounding=dice.choice(list(Rounding))),
            act=dice.choice(list(WhichToSet)),
            reuse=dice.random() < 0.9,
            buy=dice.random() < 0.7,
            touch_least=dice.random() < 0.2,
            shaft_cost=dice.choice([None, None, Decimal(0), Decimal("4.5")]),
        ),
    )


def _thickness(dice: random.Random) -> int:
    return mm("2.45") + STEP * dice.randrange(12) + mm("0.001") * dice.choice([0, 0, 2, -3])


def _gap(dice: random.Random) -> Gap | None:
    kind = dice.random()
    nm = mm("0.01") * dice.randint(6, 30)
    if kind < 0.05:
        return None
    if kind < 0.12:
        return none_below(mm("0.03"))
    if kind < 0.35:
        return between(nm, nm + mm("0.01") * dice.choice([2, 3, 9]))
    return point(nm)


def options(request: PlanRequest) -> list[list[tuple[object, tuple[int, ...], bool]]]:
    """Return for each valve what it may take: a token, the levels it adds, whether it changes.

    A token names a piece that can be taken just once; None is a piece nobody else wants.
    """
    found = []
    for at, row in enumerate(request.rows):
        kept = _kept(row, request)
        mine: list[tuple[object, tuple[int, ...], bool]] = [(("own", at), kept, False)]
        if row.gap is not None and row.piece_nm is not None:
            for thickness, doubt, token, bought in _candidates(request, at):
                levels = _changed(row, thickness, doubt, bought, request)
                useful = levels is not None and (levels[0] == 0 or levels[10] < kept[10])
                if levels is not None and useful and not (bought and levels[0]):
                    mine.append((token, levels, True))
        found.append(mine)
    return found


def _candidates(request: Any, at: Any) -> Any:
    """Give what a valve may take; where no gap was found no piece at hand that is far off."""
    row = request.rows[at]
    thin, thick = -(10**12), 10**12
    if row.gap.none_found:
        enough = row.piece_nm + row.gap.high_nm - row.clearance.spec.target.middle_nm
        if request.policy.buy and min(row.clearance.family.sizes(), default=thick) <= enough:
            thin, thick = enough - 100_000, enough
    for piece in _all_candidates(request, at):
        if piece[3] or thin <= piece[0] <= thick:
            yield piece


def _all_candidates(request: Any, at: Any) -> Any:
    kind = request.rows[at].clearance.family.kind
    lost = request.rows[at].gap.none_found
    act = request.policy.act
    shafts = {r.clearance.camshaft for r in request.rows if any(_needs(r, act))}
    if request.policy.reuse:
        for other, giver in enumerate(request.rows):
            whole = giver.gap is not None and giver.piece_nm is not None
            fits = giver.clearance.family.kind == kind and giver.condition is Condition.SOUND
            under = giver.clearance.camshaft_out and giver.clearance.camshaft in shafts
            robbed = lost and not under and not any(_needs(giver, act))
            if other != at and whole and fits and not robbed:
                yield giver.piece_nm, giver.doubt_nm, ("own", other), False
        for place, stock in enumerate(request.drawer):
            if stock.kind == kind:
                for copy in range(stock.count):
                    yield stock.thickness_nm, stock.doubt_nm, ("drawer", place, copy), False
    if request.policy.buy:
        for size in request.rows[at].clearance.family.sizes():
            yield size, None, None, True


def _out_by(nm: int, limits: Limits) -> int:
    """Return by how much a gap lies outside the limits, below nothing where it is in."""
    return max(limits.low_nm - nm, nm - limits.high_nm)


def risk(chance: float) -> int:
    """Return the chance of another round in steps of a three hundredth."""
    return round((1 - chance) * 300)


def apart(request: PlanRequest) -> set[str]:
    """Return the camshafts that are out whatever is done: all where every valve is set."""
    if request.policy.act is not WhichToSet.EVERY:
        return set()
    known = [r for r in request.rows if r.gap is not None and r.piece_nm is not None]
    return {r.clearance.camshaft for r in known if r.clearance.camshaft_out}


def _round_cost(request: PlanRequest) -> int:
    prices = [r.clearance.family.price for r in request.rows]
    return 30 * round(100 * max([p for p in prices if p is not None], default=1))


def shaft_cost(request: PlanRequest) -> int:
    """Return what a camshaft that is taken out costs: ten singles where nobody said."""
    return (
        _round_cost(request) // 3
        if request.policy.shaft_cost is None
        else round(100 * request.policy.shaft_cost)
    )


def _aimed(row: PlanRow, request: PlanRequest) -> int:
    target, aim = row.clearance.spec.target, request.policy.sizing.aim
    maker = row.clearance.spec.aim_nm
    gaps: dict[Aim | int, int] = {
        Aim.LOOSE: target.high_nm,
        Aim.TIGHT: target.low_nm,
        Aim.MIDDLE: target.middle_nm,
        Aim.MAKER: target.middle_nm if maker is None else maker,
        Aim.LEAST: row.gap.best_nm,
    }
    return sorted((target.low_nm, gaps[aim], target.high_nm))[1]


def _needs(row: PlanRow, act: WhichToSet) -> tuple[int, int]:
    """Return whether a valve left alone is bad, and whether it is only near the edge."""
    if row.gap is None:
        return 0, 0
    check = row.clearance.spec.check
    if row.gap.none_found:
        return 1, 0
    low, high, best = row.gap.low_nm, row.gap.high_nm, row.gap.best_nm
    if check.low_nm <= low and high <= check.high_nm:
        near = act is WhichToSet.NEAR and (best - check.low_nm) * 5 <= check.high_nm - check.low_nm
        return int(row.condition is Condition.SCRAP), int(near)
    tight = high < check.low_nm or (high == check.low_nm and row.gap.open_above)
    outside = tight or low > check.high_nm
    return int(outside or not check.low_nm <= best <= check.high_nm), 0


def _kept(row: PlanRow, request: PlanRequest) -> tuple[int, ...]:
    bad, near = _needs(row, request.policy.act)
    off = steps = 0
    if row.gap is not None and not row.gap.none_found:
        steps = risk(chance_in_spec(row.gap, 0, row.clearance.spec.check, kept=True))
    if bad:
        steps = 300
        lost = row.gap.none_found
        off = 1 if lost else max(1, _out_by(row.gap.best_nm, row.clearance.spec.check))
    cost = steps * _round_cost(request) // 300
    return (bad, near, 0, 0, 0, 0, cost, 0, 0, 0, off, 0)


def settled(row: PlanRow, request: PlanRequest) -> tuple[int, ...]:
    """Return what keeping a piece adds where its camshaft is out and all valves are set."""
    levels = list(_kept(row, request))
    if row.gap and row.piece_nm and not levels[0]:
        at_own = _changed(row, row.piece_nm, None, False, request)
        for level in (2, 5, 9):
            levels[level] = at_own[level]
        chance = chance_in_spec(row.gap, 0, row.clearance.spec.check, kept=True)
        levels[4] = max(0, risk(chance) - risk(0.9))
        if request.policy.sizing.rounding is Rounding.CHANCE:
            levels[5] = levels[9] = round(-math.log(max(chance, 1e-12)) * 1e6)
    return tuple(levels)


def _changed(
    row: PlanRow, thickness: int, doubt_nm: int | None, bought: bool, request: PlanRequest
) -> tuple[int, ...] | None:
    policy, gap = request.policy, row.gap
    price = row.clearance.family.price
    prices = [r.clearance.family.price for r in request.rows]
    usual = max([p for p in prices if p is not None], default=1)
    money = round(100 * (usual if price is None else price)) if bought else 0
    touched, first = int(policy.touch_least), policy.act in SET_ALL
    if gap.none_found:
        enough = row.piece_nm + gap.high_nm - row.clearance.spec.target.middle_nm
        if thickness >= row.piece_nm:
            return None
        thick = int(thickness > enough)
        return (0, 0, 0, touched, 0, 0, money, 0, thick, abs(thickness - enough), 0, 1)
    by = row.piece_nm - thickness
    after = gap.best_nm + by
    check, target = row.clearance.spec.check, row.clearance.spec.target
    over = _out_by(after, check)
    again = _round_cost(request)
    if over > 0:
        return (1, 0, 0, touched, 0, 0, money + again, _wanton(row, policy), 0, 0, over, 1)
    near = (
        policy.act is WhichToSet.NEAR and (after - check.low_nm) * 5 <= check.high_nm - check.low_nm
    )
    aim = _aimed(row, request)
    ideal = gap.best_nm + row.piece_nm - aim
    if policy.sizing.aim is Aim.LEAST:
        ideal = row.piece_nm
    rounding = policy.sizing.rounding
    wrong = {Rounding.THINNER: thickness > ideal, Rounding.THICKER: thickness < ideal}
    held = target if _out_by(after, target) <= 0 else check
    new_nm = mm("0.01") if doubt_nm is None else doubt_nm
    chance = chance_in_spec(gap, by, held, old_nm=row.doubt_nm, new_nm=new_nm)
    steps, away = risk(chance), abs(thickness - ideal)
    if rounding is Rounding.CHANCE:
        away = round(-math.log(max(chance, 1e-12)) * 1e6)
    leans = first or rounding in wrong
    return (
        0,
        int(near),
        int(_out_by(after, target) > 0),
        touched,
        max(0, steps - risk(0.9)) * leans,
        mm("20") * wrong.get(rounding, False) + away * first,
        money + steps * again // 300,
        _wanton(row, policy),
        0,
        away,
        0,
        1,
    )


def _wanton(row: PlanRow, policy: Policy) -> int:
    low, high = row.gap.low_nm, row.gap.high_nm
    check = row.clearance.spec.check
    inside = check.low_nm <= low and high <= check.high_nm
    sure = chance_in_spec(row.gap, 0, check, kept=True) >= 0.9
    alone = inside and sure and _needs(row, policy.act) == (0, 0)
    return int(policy.act not in SET_ALL and alone)


__all__ = ["Source", "options", "random_case", "settled"]

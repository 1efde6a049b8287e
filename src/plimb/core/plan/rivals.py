"""Why not another piece: the whole engine solved again with it, and the first difference said.

What decides is never the valve's own list but the whole engine. So each rival is put in, the rest
is solved again, and the two plans are held against each other level by level; the first level
that differs, with the figures of both, is the reason.
"""

from dataclasses import dataclass, replace
from itertools import zip_longest

from plimb.core.errors import BadValue
from plimb.core.measure.gap import Gap
from plimb.core.plan.levels import LEVELS, WEIGHTY, Money
from plimb.core.plan.options import NO_CHANCE, Option, options_of
from plimb.core.plan.request import Pin, PlanRequest
from plimb.core.plan.result import Move, Plan
from plimb.core.plan.rows import PlanRow
from plimb.core.plan.search import plan_engine
from plimb.core.shim.shim import Condition, Source
from plimb.core.shim.sum import Aim, Rounding, sought_thickness
from plimb.core.words import MILLIMETRES, Units, percent

MOST = 3
"""So many rivals of a valve's piece are spoken of."""

ORDER = (*WEIGHTY, "shafts", *LEVELS[len(WEIGHTY) :])
"""The levels of a plan by name, as `Plan.levels` has them."""


@dataclass(frozen=True, slots=True, kw_only=True)
class Rival:
    """A piece that a valve does not get, the gap it would give, and why the plan is better.

    `level` is the first at which the two plans differ, "" where they are equally good; `other` is
    the plan with the rival in.
    """

    thickness_nm: int
    source: Source
    from_valve: str | None
    gap: Gap | None
    level: str
    words: str
    forced: Plan


def rivals(
    request: PlanRequest, plan: Plan, valve: str, units: Units = MILLIMETRES
) -> tuple[Rival, ...]:
    """Return what else a valve could get, and why it does not, the likeliest questions first.

    A piece that helps others and leaves this valve out of range, or further out, is none: no plan
    takes it by itself, whatever it adds up to.

    Args:
        request: What the plan was made from.
        plan: The plan.
        valve: The valve in hand.
        units: What the card is written in.
    """
    row = next((row for row in request.rows if row.valve == valve), None)
    move = plan.move(valve) if row is not None else None
    if row is None or move is None or not row.sums or not row.known or move.empty:
        return ()
    if valve in (request.pins or {}):
        return _against_free(request, plan, row, units)
    found = []
    for option in _asked_of(request, plan, row, move):
        forced = _with(request, valve, option)
        if forced is not None and forced.levels >= plan.levels:
            compared = _Compared(request=request, row=row, units=units, better=plan, worse=forced)
            found.append(_rival(compared, forced.move(valve), forced))
        if len(found) == MOST:
            break
    return tuple(found)


def _rival(compared: "_Compared", move: Move, forced: Plan) -> Rival:
    level, why = compared.said()
    place = {Source.SAME: "as it is", Source.ENGINE: f"out of {move.from_valve}",
             Source.DRAWER: "from the drawer", Source.COUNTER: "new"}[move.source]  # fmt: skip
    gap = "" if move.gap is None else f": gap {compared.units.in_sum(move.gap.best_nm)}"
    size = compared.units.shim_figure(move.thickness_nm or 0)
    return Rival(
        thickness_nm=move.thickness_nm or 0, source=move.source, from_valve=move.from_valve,
        gap=move.gap, level=level, words=f"{size} {place}{gap}. {why}", forced=forced,
    )  # fmt: skip


def _against_free(
    request: PlanRequest, plan: Plan, row: PlanRow, units: Units
) -> tuple[Rival, ...]:
    """Return what the plan would give a valve that somebody decided on, and what that is worth."""
    pins = {valve: pin for valve, pin in (request.pins or {}).items() if valve != row.valve}
    free = plan_engine(replace(request, pins=pins))
    if _piece(free.move(row.valve)) == _piece(plan.move(row.valve)):
        return ()
    compared = _Compared(request=request, row=row, units=units, better=free, worse=plan)
    level, why = compared.said()
    move = free.move(row.valve)
    size = units.shim_figure(move.thickness_nm or 0)
    return (
        Rival(
            thickness_nm=move.thickness_nm or 0, source=move.source, from_valve=move.from_valve,
            gap=move.gap, level=level, forced=free,
            words=f"Left to the plan it would get {size}. Yours: {why[:1].lower()}{why[1:]}",
        ),
    )  # fmt: skip


def _piece(move: Move) -> tuple[Source, int | None, str | None]:
    return (move.source, move.thickness_nm, move.from_valve)


def _with(request: PlanRequest, valve: str, option: Option) -> Plan | None:
    """Return the plan with a piece put into a valve; None where it cannot be had."""
    pin = Pin(source=option.source, thickness_nm=option.thickness_nm, from_valve=option.from_valve)
    try:
        return plan_engine(replace(request, pins={**(request.pins or {}), valve: pin}))
    except BadValue:
        return None


def _asked_of(request: PlanRequest, plan: Plan, row: PlanRow, move: Move) -> list[Option]:
    """Return the rivals somebody would ask about, each once, the likeliest question first.

    The nearest to the aim, the likeliest at hand, what is in now, the nearest on the side that
    the shop leans to, the next size either way.
    """
    assert row.gap is not None
    assert row.piece_nm is not None
    aim = request.policy.sizing.aim
    ideal_nm = sought_thickness(row.gap, row.piece_nm, row.spec, row.spec.target, aim)
    taken_nm = move.thickness_nm or 0
    policy, sound = request.policy, row.condition is Condition.SOUND
    may_be = {Source.SAME: sound and row.reads_in, Source.COUNTER: policy.buy,
              Source.ENGINE: policy.reuse, Source.DRAWER: policy.reuse}  # fmt: skip
    others = [
        option
        for option in options_of(request, plan, row)
        if not option.forbidden
        and may_be[option.source]
        and (option.source, option.thickness_nm, option.from_valve) != _piece(move)
    ]

    def away(one: Option) -> int:
        return abs(one.thickness_nm - ideal_nm)

    available = [
        option
        for option in others
        if option.source in (Source.ENGINE, Source.DRAWER) and (option.chance or 0) > NO_CHANCE
    ]
    leant = [option for option in others if (option.thickness_nm > ideal_nm) is (aim is Aim.TIGHT)]
    wanted = [
        min(others, key=away, default=None),
        max(available, key=lambda one: one.chance or 0, default=None),
        next((option for option in others if option.source is Source.SAME), None),
        min(leant, key=away, default=None),
        max((o for o in others if o.thickness_nm < taken_nm), key=_thickness, default=None),
        min((o for o in others if o.thickness_nm > taken_nm), key=_thickness, default=None),
    ]
    found: dict[tuple[Source, int, str | None], Option] = {}
    for option in wanted:
        # of a size that is at hand and sold the one at hand is asked of, as it costs nothing
        if option is not None and all(size != option.thickness_nm for _s, size, _v in found):
            found[option.source, option.thickness_nm, option.from_valve] = option
    return list(found.values())


def _thickness(one: Option) -> int:
    return one.thickness_nm


@dataclass(frozen=True, slots=True, kw_only=True)
class _Compared:
    """Two plans that differ in what one valve gets: the better one, and the worse."""

    request: PlanRequest
    row: PlanRow
    units: Units
    better: Plan
    worse: Plan

    def said(self) -> tuple[str, str]:
        """Return the first level that differs, and the sentence made from it."""
        pairs = zip_longest(ORDER, self.better.levels, self.worse.levels, fillvalue=0)
        for name, less, more in pairs:
            if less != more:
                return str(name), _SAY[str(name)](self, int(less), int(more))
        return "", "Just as good by every figure."

    @property
    def mine(self) -> Move:
        """What the valve gets in the better plan."""
        return self.better.move(self.row.valve)

    @property
    def theirs(self) -> Move:
        """What it gets in the worse one."""
        return self.worse.move(self.row.valve)

    @property
    def less_sure(self) -> str:
        """How much less sure the valve itself is, as a sentence begins; empty where it is not."""
        mine, theirs = self.mine.chance, self.theirs.chance
        if mine is None or theirs is None or theirs >= mine:
            return ""
        if percent(theirs) == percent(mine):
            return "That is a little less sure"
        return f"That is {percent(theirs)} sure, not {percent(mine)}"

    def money(self, hundredths: int) -> str:
        """Return a sum of money; as so many shims where nobody has entered a price."""
        if all(row.clearance.family.price is None for row in self.request.rows):
            usual = Money(self.request.rows, self.request.policy).usual
            many = f"{hundredths / usual:.1f}".removesuffix(".0")
            return f"as much as {many} shim{'s' * (many != '1')}"
        return f"{hundredths / 100:.2f}"


def _bad(of: _Compared, _less: int, _more: int) -> str:
    empty = [valve for valve in of.worse.empty if valve not in of.better.empty]
    if empty:
        return f"Then {' and '.join(empty)} {'has' if len(empty) == 1 else 'have'} no shim."
    out = [valve for valve in of.worse.out_of_spec if valve not in of.better.out_of_spec]
    if of.row.valve in out:
        gap = of.theirs.gap
        if gap is not None and gap.best_nm <= 0 < of.row.spec.check.low_nm:
            return "It would hold the valve open."
        return "That is out of range."
    return f"Then {' and '.join(out)} cannot be brought into range." if out else _fewer(of)


def _fewer(of: _Compared) -> str:
    left, before = len(of.worse.out_of_spec), len(of.better.out_of_spec)
    if left == before:
        return "Then a valve that somebody decided on is left out."
    return f"Then {_many(left, 'valve')} left out of range, not {before}."


def _many(number: int, what: str) -> str:
    """Return how many of something are: `1 valve is`, `2 valves are`."""
    return f"{number} {what} is" if number == 1 else f"{number} {what}s are"


def _set(of: _Compared, less: int, more: int) -> str:
    gap, target = of.theirs.gap, of.row.spec.target
    if of.theirs.changes and gap is not None and not target.holds(gap.best_nm):
        return "That is outside the set range."
    return f"Then {_many(more, 'valve')} outside the set range, not {less}."


def _unsure(of: _Compared, _less: int, _more: int) -> str:
    return f"{of.less_sure}." if of.less_sure else "Then the other valves together are less sure."


def _lean(of: _Compared, _less: int, _more: int) -> str:
    row, sizing = of.row, of.request.policy.sizing
    assert row.gap is not None
    ideal_nm = sought_thickness(row.gap, row.piece_nm or 0, row.spec, row.spec.target, sizing.aim)
    size = of.theirs.thickness_nm or 0
    if sizing.rounding is Rounding.THINNER and of.theirs.changes and size > ideal_nm:
        return f"Shims are to be thinner than {of.units.shim_figure(ideal_nm)} here."
    if sizing.rounding is Rounding.THICKER and of.theirs.changes and size < ideal_nm:
        return f"Shims are to be thicker than {of.units.shim_figure(ideal_nm)} here."
    return _aim(of, 0, 0)


def _cost(of: _Compared, less: int, more: int) -> str:
    """Return what the worse plan costs more, and which part of it weighs most."""
    money = Money(of.request.rows, of.request.policy)
    bought = _spent(of.worse, of, money) - _spent(of.better, of, money)
    out = len(WEIGHTY)
    work = (of.worse.levels[out] - of.better.levels[out]) * money.shaft_cost
    risk = more - less - bought - work
    total = of.money(more - less)
    most = max(bought, work, risk)
    if most == work and work > 0:
        names = [shaft for shaft in of.worse.camshafts_out if shaft not in of.better.camshafts_out]
        why = f"Then {' and '.join(names)} must come out as well" if names else "More comes out"
    elif most == risk and risk > 0:
        less_sure = of.less_sure or "Then the engine is less sure to be right at once"
        return f"{less_sure}: with the risk of another round it costs {total} more."
    else:
        buys = sorted(_buys(of.worse) - _buys(of.better) - {of.row.valve})
        gets = "gets a bought one" if len(buys) == 1 else "get bought ones"
        why = f"Then {' and '.join(buys)} {gets}" if buys else "Then more is bought"
    return f"{why}: it costs {total} more in all."


def _buys(plan: Plan) -> set[str]:
    return {move.valve for move in plan.moves if move.source is Source.COUNTER}


def _spent(plan: Plan, of: _Compared, money: Money) -> int:
    """Return what a plan spends at the counter, in hundredths, as the levels reckon it."""
    return sum(
        money.of(row.clearance.family.price)
        for row, move in zip(of.request.rows, plan.moves, strict=True)
        if move.source is Source.COUNTER
    )


def _shafts(_of: _Compared, less: int, more: int) -> str:
    return f"Then {_many(more, 'camshaft')} out, not {less}."


def _touched(_of: _Compared, less: int, more: int) -> str:
    return f"Then {_many(more, 'shim')} changed, not {less}."


def _aim(of: _Compared, less: int, more: int) -> str:
    """Return how much further from the aim the valves end."""
    if of.request.policy.sizing.rounding is Rounding.CHANCE:
        return "Then the valves together are less sure."
    mine, theirs = _from_aim(of.row, of.mine, of), _from_aim(of.row, of.theirs, of)
    if mine is not None and theirs is not None and theirs > mine:
        show = of.units.in_sum
        return f"That is {show(theirs)} from the aim, not {show(mine)}."
    if less or more:
        return (
            f"Then the gaps are {of.units.in_sum(more)} from their aims in all, "
            f"not {of.units.in_sum(less)}."
        )
    return "Then other valves end further from their aims."


def _from_aim(row: PlanRow, move: Move, of: _Compared) -> int | None:
    if row.gap is None or row.piece_nm is None or move.thickness_nm is None:
        return None
    aim = of.request.policy.sizing.aim
    ideal = sought_thickness(row.gap, row.piece_nm, row.spec, row.spec.target, aim)
    return abs(move.thickness_nm - ideal)


_SAY = {
    "bad": _bad,
    "near": lambda _of, less, more: f"Then {_many(more, 'valve')} near the tight end, not {less}.",
    "set": _set,
    "touched": _touched,
    "unsure": _unsure,
    "lean": _lean,
    "cost": _cost,
    "shafts": _shafts,
    "needless": lambda _of, _less, _more: "Then a shim is changed that may stay.",
    "round": lambda _of, _less, _more: "Then a temporary shim may be too thick to give a gap.",
    "aim": _aim,
    "off": lambda _of, _less, _more: "Then what cannot be brought into range is further out.",
    "moved": _touched,
}  # fmt: skip

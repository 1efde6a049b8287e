"""The whole-engine plan of a card, with what is asked about it: why, what else, how sure."""

from collections import Counter
from collections.abc import Mapping, Sequence
from dataclasses import dataclass, replace
from decimal import Decimal

from sqlalchemy.orm import Session

from plimb.card.acts.read import clearance_family
from plimb.card.build import engine_of, size_policy_of, status_of
from plimb.card.custody import left_over, tray_of
from plimb.card.stock import kinds_of, stocks, stocks_unknown
from plimb.core.job.status import JobStatus, by_amount
from plimb.core.job.valve import Choice, ValveRecord
from plimb.core.plan.advice import Advice, advise
from plimb.core.plan.buying import Kit, Terms, purchases
from plimb.core.plan.measures import Fits, must_measure
from plimb.core.plan.options import Option, all_options
from plimb.core.plan.reasons import given_up, reasons
from plimb.core.plan.request import Pin, PlanRequest, Policy
from plimb.core.plan.result import Move, OrderLine, Plan
from plimb.core.plan.rivals import Rival, rivals
from plimb.core.plan.rows import plan_row
from plimb.core.plan.search import alternatives, instead, plan_engine
from plimb.core.plan.sums import decided_sum
from plimb.core.shim.shim import Condition, ShimReading, Source
from plimb.core.shim.sum import SizePolicy
from plimb.core.words import sure
from plimb.record.cards import get_card
from plimb.record.families import core_family, families
from plimb.record.orders import Order, list_orders, on_order_for
from plimb.record.readings import standing
from plimb.record.shims import shims_at, shims_in, sound_in_drawer
from plimb.record.shop import set_of
from plimb.record.tables.card import CardRow
from plimb.record.tables.shim import ShimFamilyRow, ShimRow
from plimb.shop.settings import Settings, settings_of


@dataclass(frozen=True, slots=True, kw_only=True)
class Variant:
    """The plan or one that can be had instead, and what it gives up against the best."""

    name: str
    plan: Plan
    gives_up: tuple[str, ...]


@dataclass(frozen=True, slots=True, kw_only=True)
class MoveView:
    """What one valve gets, why, and every piece that can be had for it, thinnest first.

    `must` is within what a new piece must measure to be the right one; `sum` the sum to be
    checked on paper, up to the piece that the plan gives it.
    """

    move: Move
    why: str
    options: tuple[Option, ...]
    must: Fits | None = None
    sum: tuple[str, ...] = ()


@dataclass(frozen=True, slots=True, kw_only=True)
class Must:
    """For which valve a piece is bought, and what it must measure: None where any will do."""

    valve: str
    thin_nm: int | None = None
    thick_nm: int | None = None
    best_nm: int | None = None
    loose: str = ""


@dataclass(frozen=True, slots=True, kw_only=True)
class BuyLine:
    """One size to buy; `ordered` of them are on their way or here."""

    line: OrderLine
    ordered: int
    musts: tuple[Must, ...] = ()

    @property
    def left(self) -> int:
        """How many of them are still to be bought."""
        return max(0, self.line.count - self.ordered)


@dataclass(frozen=True, slots=True, kw_only=True)
class PlanView:
    """The plan of a card. `taken` says that just these pieces were decided on.

    The shims of the `remembered` valves are known from the record alone: nobody has read them yet.
    """

    card_id: int
    version: int
    variant: str
    plan: Plan
    moves: tuple[MoveView, ...]
    variants: tuple[Variant, ...]
    helps: tuple[Advice, ...]
    purchases: tuple[str, ...]
    buy: tuple[BuyLine, ...]
    orders: tuple[Order, ...]
    taken: bool
    remembered: tuple[str, ...] = ()
    counter: bool = False

    @property
    def sure(self) -> str:
        """How sure the proof is to pass, or why nothing can be said of that."""
        plan = self.plan
        if plan.empty:
            return f"leaves {', '.join(plan.empty)} without a shim"
        if plan.out_of_spec:
            return f"leaves {len(plan.out_of_spec)} out of range"
        if plan.provisional:
            return "known after the temporary shims"
        if plan.unknown:
            return f"not known: measure {', '.join(plan.unknown)}"
        return sure(plan.chance) if plan.changed else "nothing changes"


def request_of(
    session: Session,
    card: CardRow,
    status: JobStatus,
    *,
    shelf: Sequence[tuple[ShimRow, int]] | None = None,
) -> PlanRequest:
    """Return what the card's plan is made from.

    `shelf` are the pieces that lie for every card; where none are given, the sound ones of the
    drawer.
    """
    known, shop = families(session), settings_of(session)
    trust = card.trust
    rows, pins, engine = [], {}, engine_of(card)
    remembered = known_from_before(session, card, status)
    around, sizing = status.around, size_policy_of(card)
    for valve in status.order:
        state = status.valves[valve]
        sizing = by_amount(state.clearance, around, sizing)
        if around.only not in (None, valve):
            continue  # left alone by this job
        if state.clearance.spec is None:
            continue  # not planned until somebody enters one
        clearance = replace(state.clearance, family=clearance_family(known, state.clearance))
        found, piece = state.record.found, state.record.piece
        piece = piece or remembered.get(valve)
        rows.append(plan_row(clearance, found.gap if found else None, piece))
        choice = state.record.choice
        # a decision that was made from other figures is made anew with the rest
        by_hand = choice is not None and choice.by_hand and not state.overtaken
        # one of a size that is no longer made is decided anew as well
        if by_hand and choice is not None and choice.source is Source.COUNTER:
            by_hand = choice.thickness_nm in clearance.family.sizes()
        if by_hand and choice is not None and piece:
            pins[valve] = Pin(
                source=choice.source,
                thickness_nm=choice.thickness_nm,
                from_valve=choice.from_valve,
            )
    choices = standing(card.rounds[-1].choices, engine).values()
    kept = {row.shim_id for row in choices}
    kinds = kinds_of(known, rows)
    if shelf is None:
        shelf = sound_in_drawer(session, kinds)
    own = [row for row in shims_at(session, tray_of(card)) if row.id in kept]
    available = [*shelf, *((row, 1) for row in (*own, *left_over(session, card)))]
    return PlanRequest(
        rows=tuple(rows),
        drawer=(*stocks(available, kinds, trust), *stocks_unknown(session, card, rows, own)),
        policy=_policy(card, status, sizing, shop),
        pins=pins,
        forbidden=frozenset((engine.names.get(key, key), nm) for key, nm in card.forbidden),
        opened_too=engine.named(card.opened_too),
        shut=status.shut,
        left=status.left_in_doubt,
    )


def _policy(card: CardRow, status: JobStatus, sizing: SizePolicy, shop: Settings) -> Policy:
    return Policy(
        sizing=sizing,
        act=status.around.kind.sets or card.act,
        reuse=card.reuse,
        round_cost=shop.round_cost,
        shaft_cost=shop.shaft_cost,
    )


def known_from_before(session: Session, card: CardRow, status: JobStatus) -> dict[str, ShimReading]:
    """Return the shims that the record, or somebody's memory, says are in, while none is read.

    With them the whole plan can be made, and pieces had, before anything is opened.
    """
    if card.signed_at or any(state.record.piece for state in status.valves.values()):
        return {}
    names = engine_of(card).names
    recalled = {
        names[key]: ShimReading(marked=None, marked_nm=nm, measured_nm=None)
        for key, nm in card.recalled.items()
        if key in names
    }
    kept = {
        names[row.valve]: ShimReading(
            marked=None,
            marked_nm=row.marked_nm,
            measured_nm=row.measured_nm,
            trust=card.trust,
            answered=True,
            # what was called scrap goes into no other valve, and is read again before it
            # opens one that is in: the card knows nothing of it yet
            condition=Condition.WORN if row.condition is Condition.SCRAP else row.condition,
        )
        for row in shims_in(session, card.revision.engine_id)
        if row.valve in names and (row.measured_nm or row.marked_nm)
    }
    return {**kept, **recalled}


def plan_of(session: Session, card: CardRow, variant: str | None = None) -> PlanView:
    """Return the plan of the card, or what can be had instead of it."""
    status = status_of(card)
    request = request_of(session, card, status)
    known = families(session)
    best = plan_engine(request)
    others = alternatives(request, best)
    wanted = variant or card.variant
    wanted = wanted if wanted in others else "best"
    plan = others.get(wanted, best)
    units = status.around.units
    request = instead(request, wanted)
    why, options = reasons(request, plan, units), all_options(request, plan)
    musts = must_measure(request.rows, plan, request.policy.doubt, request.policy.sizing.sure)
    ordered = on_order_for(session, card.id)
    # with pieces out no gap can be felt any more
    blades = set_of(card) if status.around.later or not status.past else None
    return PlanView(
        card_id=card.id,
        version=card.version,
        variant=wanted,
        plan=plan,
        moves=tuple(
            MoveView(
                move=move,
                why=why[move.valve].words,
                options=options[move.valve],
                must=musts.get(move.valve),
                sum=decided_sum(status.valves[move.valve].worked, move, units),
            )
            for move in plan.moves
        ),
        variants=(
            Variant(name="best", plan=best, gives_up=()),
            *(
                Variant(name=name, plan=other, gives_up=given_up(best, other))
                for name, other in others.items()
            ),
        ),
        helps=advise(request, plan, blades, units),
        purchases=tuple(
            purchase.words()
            for purchase in purchases(
                plan.order, _kits(known), _terms(known), _left_over(request, plan), units
            )
        ),
        buy=tuple(
            _buy_line(line, ordered.get((line.diameter_nm, line.thickness_nm), 0), musts)
            for line in plan.order
        ),
        orders=tuple(list_orders(session, card.id)),
        taken=not plan.empty and _is_taken(plan, {v: s.record for v, s in status.valves.items()}),
        remembered=tuple(
            row.valve
            for row in request.rows
            if row.piece_nm is not None and status.valves[row.valve].record.piece is None
        ),
    )


def read_rivals(session: Session, card_id: int, valve: str) -> tuple[Rival, ...]:
    """Return what else a valve could get, and why the plan gives it something else.

    Raises:
        NotFound: There is no such card.
    """
    card = get_card(session, card_id)
    status = status_of(card)
    request = request_of(session, card, status)
    others = alternatives(request) if card.variant != "best" else {}
    plan = others.get(card.variant) or plan_engine(request)
    if card.variant in others:
        request = instead(request, card.variant)
    return rivals(request, plan, valve, status.around.units)


def _buy_line(line: OrderLine, ordered: int, musts: Mapping[str, Fits]) -> BuyLine:
    found = [(valve, musts.get(valve)) for valve in line.valves]
    return BuyLine(
        line=line,
        ordered=ordered,
        musts=tuple(
            Must(
                valve=valve, thin_nm=must.window.thin_nm, thick_nm=must.window.thick_nm,
                best_nm=must.best_nm, loose=must.loose,
            ) if must else Must(valve=valve)
            for valve, must in found
        ),
    )  # fmt: skip


def _kits(known: Sequence[ShimFamilyRow]) -> list[Kit]:
    """Return the kits the shop knows the price of."""
    return [
        Kit(
            diameter_nm=row.diameter_nm,
            sizes=frozenset(core_family(row).sizes()),
            each=row.kit_each,
            price=Decimal(row.kit_price),
        )
        for row in known
        if row.kit_price is not None
    ]


def _terms(known: Sequence[ShimFamilyRow]) -> list[Terms]:
    """Return how the counter sells the families the shop knows."""
    return [
        Terms(
            diameter_nm=row.diameter_nm,
            swap_price=None if row.swap_price is None else Decimal(row.swap_price),
            to_order=frozenset(row.to_order),
            wait_days=row.wait_days,
        )
        for row in known
    ]


def _left_over(request: PlanRequest, plan: Plan) -> Counter[int | None]:
    """Return how many sound pieces come out that no valve takes, by diameter."""
    taken = {move.from_valve for move in plan.moves}
    return Counter(
        row.clearance.family.diameter_nm
        for row, move in zip(request.rows, plan.moves, strict=True)
        if move.changes and row.valve not in taken and row.condition is Condition.SOUND
    )


def _is_taken(plan: Plan, records: Mapping[str, ValveRecord]) -> bool:
    moves = [move for move in plan.moves if move.thickness_nm is not None]
    return bool(moves) and all(
        matches_choice(records[move.valve].choice, move)
        for move in moves
        if move.changes or records[move.valve].choice is not None
    )


def matches_choice(choice: Choice | None, move: Move) -> bool:
    """Return whether just the piece of this move has been decided on."""
    return choice is not None and (choice.source, choice.thickness_nm, choice.from_valve) == (
        move.source,
        move.thickness_nm,
        move.from_valve,
    )


def read_plan(session: Session, card_id: int, *, counter: bool = False) -> PlanView:
    """Return the plan of the card of that number; `counter` says that one is connected.

    Raises:
        NotFound: There is none.
    """
    return replace(plan_of(session, get_card(session, card_id)), counter=counter)

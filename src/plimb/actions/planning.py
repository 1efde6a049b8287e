"""The whole-engine plan of a card, with what is asked about it: why, what else, how sure."""

from __future__ import annotations

from collections import Counter
from collections.abc import Mapping, Sequence
from dataclasses import dataclass, replace
from decimal import Decimal

from sqlalchemy.orm import Session

from plimb.actions.registry import left_over, tray_of, worth
from plimb.actions.views import CardView, card_view
from plimb.core.buying import Kit, Purchase, purchases
from plimb.core.chance import USUAL_DOUBT
from plimb.core.engine import Clearance
from plimb.core.family import Family
from plimb.core.piece import Condition, Source, Trust
from plimb.core.plan import (
    Asked,
    Move,
    Pin,
    Plan,
    Policy,
    Seat,
    Stock,
    alternatives,
    joints_of,
    plan_engine,
    seat_of,
)
from plimb.core.rungs import Rung, all_rungs
from plimb.core.shim import Aim, Rounding, School
from plimb.core.sureness import Help, helps
from plimb.core.survey import Act, Choice, Sheet
from plimb.core.why import given_up, reasons
from plimb.store.cards import get_card
from plimb.store.lines import standing_choices
from plimb.store.models import CardRow, PartOrderRow, ShimFamilyRow, ShimRow
from plimb.store.orders import list_orders, on_order_for
from plimb.store.shims import core_family, drawer, families, family_among, shims_at

VARIANTS = ("best", "buy-nothing", "only-new", "touch-least")
"""The plan, and what can be had instead of it."""


@dataclass(frozen=True, slots=True, kw_only=True)
class Variant:
    """The plan or one that can be had instead, and what it gives up against the best."""

    name: str
    plan: Plan
    gives_up: tuple[str, ...]


@dataclass(frozen=True, slots=True, kw_only=True)
class PlanView:
    """The plan of a card. `taken` says that just these pieces were decided on.

    `rungs` are for each valve the pieces that can be had, thinnest first; `ordered` counts
    what is on its way or on the tray by diameter and thickness.
    """

    card_id: int
    version: int
    variant: str
    asked: Asked
    plan: Plan
    variants: tuple[Variant, ...]
    why: Mapping[str, str]
    helps: tuple[Help, ...]
    purchases: tuple[Purchase, ...]
    rungs: Mapping[str, tuple[Rung, ...]]
    ordered: Mapping[tuple[int | None, int], int]
    orders: tuple[PartOrderRow, ...]
    taken: bool


def clearance_family(known: Sequence[ShimFamilyRow], clearance: Clearance) -> Family:
    """Return a valve's family with the shop's marking code and price for it."""
    row = family_among(known, clearance.family)
    if row is None:
        return clearance.family
    shop = core_family(row)
    return replace(
        clearance.family,
        code=shop.code,
        price=clearance.family.price if shop.price is None else shop.price,
    )


def asked_of(session: Session, card: CardRow, view: CardView) -> Asked:
    """Return what the card's plan is made from."""
    known = families(session)
    trust = Trust(card.trust)
    round_ = card.rounds[-1]
    seats, pins = [], {}
    for valve in view.survey.order:
        state = view.survey.valves[valve]
        clearance = replace(state.clearance, family=clearance_family(known, state.clearance))
        found, piece = state.sheet.found, state.sheet.piece
        joints = joints_of(found.goes, found.refuses) if found else 0
        seats.append(seat_of(clearance, found.gap if found else None, piece, joints))
        choice = state.sheet.choice
        if choice is not None and choice.by_hand and state.sheet.piece and state.sheet.found:
            pins[valve] = Pin(
                source=choice.source,
                thickness_nm=choice.thickness_nm,
                from_valve=choice.from_valve,
            )
    kept = {row.shim_id for row in standing_choices(round_).values()}
    at_hand = [
        *drawer(session),
        *(row for row in shims_at(session, tray_of(card)) if row.id in kept),
        *left_over(session, card),
    ]
    return Asked(
        seats=tuple(seats),
        drawer=_stocks(known, at_hand, seats, trust),
        policy=Policy(
            school=School(aim=Aim(card.aim), rounding=Rounding(card.rounding)),
            act=Act(card.act),
            reuse=card.reuse,
        ),
        pins=pins,
        forbidden=frozenset((valve, nm) for valve, nm in card.forbidden),
    )


def _stocks(
    known: Sequence[ShimFamilyRow], rows: list[ShimRow], seats: list[Seat], trust: Trust
) -> tuple[Stock, ...]:
    """Return the sound pieces at hand, like ones counted together."""
    kinds = {}
    for seat in seats:
        family = family_among(known, seat.clearance.family)
        if family is not None:
            kinds[family.id] = seat.clearance.family.kind
    counts: Counter[tuple[int, int, int | None]] = Counter()
    for row in rows:
        if row.family_id in kinds and row.condition == Condition.SOUND:
            marked = row.measured_nm is None or trust is Trust.MARKED
            doubt_nm = USUAL_DOUBT.marked_nm if marked else None
            counts[row.family_id, worth(row, trust), doubt_nm] += 1
    return tuple(
        Stock(thickness_nm=nm, kind=kinds[family], count=count, doubt_nm=doubt)
        for (family, nm, doubt), count in sorted(
            counts.items(), key=lambda item: (item[0][0], item[0][1], item[0][2] or 0)
        )
    )


def plan_of(session: Session, card: CardRow, variant: str | None = None) -> PlanView:
    """Return the plan of the card, or what can be had instead of it."""
    view = card_view(session, card)
    asked = asked_of(session, card, view)
    wanted = variant or card.variant
    best = plan_engine(asked)
    others = alternatives(asked, best)
    plan = best if wanted == "best" else others[wanted]
    kits = []
    for row in families(session):
        if row.kit_price is not None:
            kits.append(
                Kit(
                    diameter_nm=row.diameter_nm,
                    sizes=frozenset(core_family(row).sizes()),
                    each=row.kit_each,
                    price=Decimal(row.kit_price),
                )
            )
    return PlanView(
        card_id=card.id,
        version=card.version,
        variant=wanted,
        asked=asked,
        plan=plan,
        variants=(
            Variant(name="best", plan=best, gives_up=()),
            *(
                Variant(name=name, plan=other, gives_up=given_up(best, other))
                for name, other in others.items()
            ),
        ),
        why=reasons(asked, plan),
        helps=helps(asked, plan, view.blades),
        purchases=purchases(plan.order, kits),
        rungs=all_rungs(asked, plan),
        ordered=on_order_for(session, card.id),
        orders=tuple(list_orders(session, card.id)),
        taken=_is_taken(plan, {v: s.sheet for v, s in view.survey.valves.items()}),
    )


def _is_taken(plan: Plan, written: Mapping[str, Sheet]) -> bool:
    moves = [move for move in plan.moves if move.thickness_nm is not None]
    return bool(moves) and all(
        stands(written[move.valve].choice, move)
        for move in moves
        if move.source is not Source.SAME or written[move.valve].choice is not None
    )


def stands(choice: Choice | None, move: Move) -> bool:
    """Return whether just the piece of this move has been decided on."""
    return choice is not None and (choice.source, choice.thickness_nm, choice.from_valve) == (
        move.source,
        move.thickness_nm,
        move.from_valve,
    )


def read_plan(session: Session, card_id: int, variant: str | None = None) -> PlanView:
    """Return the plan of the card of that number.

    Raises:
        NotFound: There is none.
    """
    return plan_of(session, get_card(session, card_id), variant)

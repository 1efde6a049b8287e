"""Turn plans, the drawer and orders into what goes over the wire; nothing is worked out here."""

from __future__ import annotations

from typing import Any

from plimb.actions.drawer import DrawerView, FamilyView, ShimView
from plimb.actions.planning import PlanView, Variant
from plimb.core.piece import Source
from plimb.core.plan import Move, Plan
from plimb.core.rungs import Rung
from plimb.standins.counter_client import Answered
from plimb.web.answers import length_out, moment_out
from plimb.web.schemas_base import GapOut, LengthOut
from plimb.web.schemas_pieces import (
    BuyOut,
    CannotOut,
    DrawerOut,
    DrawerPocketOut,
    FamilyOut,
    FamilyRunOut,
    HelpOut,
    MoveOut,
    OrderLineOut,
    OrderOut,
    PlaceOut,
    PlanOut,
    QuoteOut,
    RungOut,
    ShimOut,
    VariantOut,
)


def plan_out(view: PlanView, *, counter: bool) -> PlanOut:
    """Return the plan for the screen."""
    plan = view.plan
    return PlanOut(
        card_id=view.card_id,
        version=view.version,
        variant=view.variant,
        optimal=plan.optimal,
        taken=view.taken,
        moves=[_move_out(view, move) for move in plan.moves],
        camshafts_out=list(plan.camshafts_out),
        cannot=[
            CannotOut(valve=n.valve, thin=length_out(n.thin_nm), thick=length_out(n.thick_nm))
            for n in plan.cannot
        ],
        buy=[
            BuyOut(
                thickness=LengthOut.of(line.thickness_nm),
                diameter=length_out(line.diameter_nm),
                count=line.count,
                ordered=view.ordered.get((line.diameter_nm, line.thickness_nm), 0),
                price=line.price,
            )
            for line in plan.order
        ],
        cost=plan.cost,
        purchases=[purchase.words() for purchase in view.purchases],
        chance=plan.chance,
        provisional=[move.valve for move in plan.moves if move.provisional],
        helps=[
            HelpOut(kind=n.kind, valve=n.valve, chance=n.chance, then=n.then, sentence=n.words())
            for n in view.helps
        ],
        variants=[_variant_out(one) for one in view.variants],
        orders=[order_out(one) for one in view.orders],
        counter=counter,
    )


def _move_out(view: PlanView, move: Move) -> MoveOut:
    return MoveOut(
        valve=move.valve,
        source=move.source,
        thickness=length_out(move.thickness_nm),
        from_valve=move.from_valve,
        gap=GapOut.of(move.gap) if move.gap else None,
        in_spec=move.in_spec,
        chance=move.chance,
        provisional=move.provisional,
        pinned=move.pinned,
        changes=move.source is not Source.SAME,
        why=view.why[move.valve],
        rungs=[_rung_out(rung) for rung in view.rungs[move.valve]],
    )


def _rung_out(rung: Rung) -> RungOut:
    return RungOut(
        thickness=LengthOut.of(rung.thickness_nm),
        source=rung.source,
        from_valve=rung.from_valve,
        count=rung.count,
        gap=LengthOut.of(rung.gap_nm),
        in_spec=rung.in_spec,
        chance=rung.chance,
        goes_to=rung.goes_to,
        forbidden=rung.forbidden,
    )


def _variant_out(variant: Variant) -> VariantOut:
    plan: Plan = variant.plan
    return VariantOut(
        name=variant.name,
        cost=plan.cost,
        to_buy=sum(line.count for line in plan.order),
        changed=sum(move.source is not Source.SAME for move in plan.moves),
        out_of_spec=[one.valve for one in plan.cannot],
        camshafts_out=list(plan.camshafts_out),
        chance=plan.chance,
        gives_up=list(variant.gives_up),
    )


def order_out(row: Any) -> OrderOut:
    """Return an order as the counter answered it."""
    return OrderOut(
        id=row.id,
        card_id=row.card_id,
        number=row.number,
        ordered_at=moment_out(row.ordered_at),
        lines=[
            OrderLineOut(
                id=line.id,
                thickness=LengthOut.of(line.thickness_nm),
                diameter=length_out(line.family.diameter_nm),
                count=line.count,
                price=line.price,
                days=line.days,
                state=line.state,
                says=line.says,
            )
            for line in row.lines
        ],
    )


def quote_out(line: Answered) -> QuoteOut:
    """Return what the counter says of one size."""
    return QuoteOut.model_validate(
        {
            "thickness": LengthOut.of(line.thickness_nm),
            "count": line.count,
            "state": line.state,
            "price": line.price,
            "days": line.days,
            "says": line.says,
        }
    )


def drawer_out(view: DrawerView, added: int = 0) -> DrawerOut:
    """Return the drawer for the screen."""
    return DrawerOut(
        families=[_family_out(one) for one in view.families],
        orders=[order_out(one) for one in view.orders],
        added=added,
    )


def _family_out(view: FamilyView) -> FamilyOut:
    family = view.family
    return FamilyOut(
        id=view.id,
        version=view.version,
        name=view.name,
        diameter=length_out(family.diameter_nm),
        runs=[
            FamilyRunOut(
                low=LengthOut.of(run.from_nm),
                high=LengthOut.of(run.to_nm),
                step=LengthOut.of(run.step_nm),
            )
            for run in family.runs
        ],
        code=family.code,
        price=None if family.price is None else f"{family.price:f}",
        kit_price=view.kit_price,
        kit_each=view.kit_each,
        supplier=view.supplier,
        low_stock=view.low_stock,
        pockets=[
            DrawerPocketOut(
                nominal=LengthOut.of(pocket.nominal_nm),
                made=pocket.made,
                usual=pocket.usual,
                sound=pocket.sound,
                low=pocket.made and pocket.usual and pocket.sound < view.low_stock,
                pieces=[shim_out(piece) for piece in pocket.pieces],
            )
            for pocket in view.pockets
        ],
        pieces=sum(len(pocket.pieces) for pocket in view.pockets),
        in_engines=view.in_engines,
        on_trays=view.on_trays,
        on_order=view.on_order,
        used_by=list(view.used_by),
    )


def shim_out(view: ShimView) -> ShimOut:
    """Return one piece."""
    place = view.place
    return ShimOut(
        id=view.id,
        marked=view.marked,
        measured=length_out(view.measured_nm),
        thickness=LengthOut.of(view.thickness_nm),
        condition=view.condition,
        place=PlaceOut(
            where=place.where,
            engine_id=place.engine_id,
            valve=place.valve,
            card_id=place.card_id,
            order_line_id=place.order_line_id,
        ),
    )

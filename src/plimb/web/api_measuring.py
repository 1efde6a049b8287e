"""The JSON interface of measuring: cold and safe, the tray, turning, blades."""

from __future__ import annotations

from decimal import Decimal, InvalidOperation

from apiflask import APIBlueprint

from plimb.actions import measuring
from plimb.actions.measuring import Part, Pocket
from plimb.actions.views import read_card
from plimb.core.blades import Known, next_blade, next_finer
from plimb.core.errors import BadValue, NotReady
from plimb.core.lengths import Unit as LengthUnit
from plimb.core.lengths import parse_length
from plimb.core.ready import Conditions
from plimb.web.answers import card_out, try_out, typed_blade
from plimb.web.api import at_hand, change_from, shop_as_it_stands
from plimb.web.schemas import (
    AskedOut,
    BladeSetIn,
    CardOut,
    ConditionsIn,
    KeptIn,
    MethodIn,
    NextBladeIn,
    SafetyIn,
    ShopOut,
    TrayIn,
)

blueprint = APIBlueprint("measuring", __name__, url_prefix="/api")


@blueprint.put("/cards/<int:card_id>/conditions")
@blueprint.input(ConditionsIn)
@blueprint.output(CardOut)
def note_conditions(card_id: int, json_data: ConditionsIn) -> CardOut:
    """Note how cold the engine is."""
    conditions = Conditions(
        rested_hours=_decimal(json_data.rested_hours, "rested"),
        temperature_c=_decimal(json_data.temperature_c, "temperature"),
        reason=json_data.reason,
    )
    return card_out(
        measuring.note_conditions(at_hand(), change_from(card_id, json_data), conditions)
    )


@blueprint.put("/cards/<int:card_id>/safety")
@blueprint.input(SafetyIn)
@blueprint.output(CardOut)
def see_to(card_id: int, json_data: SafetyIn) -> CardOut:
    """Tick one line of the safety list, or take the tick back."""
    return card_out(
        measuring.see_to(
            at_hand(),
            change_from(card_id, json_data),
            item=json_data.item,
            done=json_data.done,
        )
    )


@blueprint.put("/cards/<int:card_id>/method")
@blueprint.input(MethodIn)
@blueprint.output(CardOut)
def set_method(card_id: int, json_data: MethodIn) -> CardOut:
    """Choose how the engine is turned and which feeler set is used."""
    return card_out(
        measuring.set_method(
            at_hand(),
            change_from(card_id, json_data),
            method=json_data.method,
            blade_set_id=json_data.blade_set_id,
        )
    )


@blueprint.put("/cards/<int:card_id>/tray")
@blueprint.input(TrayIn)
@blueprint.output(CardOut)
def lay_out_tray(card_id: int, json_data: TrayIn) -> CardOut:
    """Note what came off, in order, and where each fastener lies."""
    parts = [
        Part(
            name=part.name,
            note=part.note,
            pockets=tuple(Pocket(**pocket.model_dump()) for pocket in part.pockets),
        )
        for part in json_data.parts
    ]
    return card_out(measuring.lay_out_tray(at_hand(), change_from(card_id, json_data), parts))


@blueprint.post("/cards/<int:card_id>/kept")
@blueprint.input(KeptIn)
@blueprint.output(CardOut)
def keep_reading(card_id: int, json_data: KeptIn) -> CardOut:
    """Answer what was asked about a reading: it is so."""
    return card_out(
        measuring.keep_odd_reading(
            at_hand(),
            change_from(card_id, json_data),
            valve=json_data.valve,
            purpose=json_data.purpose,
            slips=json_data.slips,
        )
    )


@blueprint.post("/cards/<int:card_id>/next-blade")
@blueprint.input(NextBladeIn)
@blueprint.output(AskedOut)
def ask_next_blade(card_id: int, json_data: NextBladeIn) -> AskedOut:
    """Say which blade to try next on a valve, and the verdict once it is settled."""
    with at_hand().reading() as session:
        card = read_card(session, card_id)
    if card.blades is None:
        raise NotReady("Choose a feeler set first.", field="blades")
    limits = card.engine.clearance(json_data.valve).spec.check
    known = Known(goes_nm=json_data.goes_nm, refuses_nm=json_data.refuses_nm)
    verdict = known.settled(limits)
    finer = next_finer(known, limits, card.blades)
    following = finer if json_data.fine else next_blade(known, limits, card.blades)
    goes = None if known.goes_nm is None else typed_blade(known.goes_nm)
    refuses = None if known.refuses_nm is None else typed_blade(known.refuses_nm)
    reading = f"{goes or ''}-{refuses}" if refuses else goes
    return AskedOut(next_blade=try_out(following), verdict=verdict, reading=reading)


@blueprint.post("/blade-sets")
@blueprint.input(BladeSetIn)
@blueprint.output(ShopOut, status_code=201)
def add_blade_set(json_data: BladeSetIn) -> ShopOut:
    """Add a feeler set to the shop."""
    _save(None, json_data)
    return shop_as_it_stands()


@blueprint.put("/blade-sets/<int:set_id>")
@blueprint.input(BladeSetIn)
@blueprint.output(ShopOut)
def change_blade_set(set_id: int, json_data: BladeSetIn) -> ShopOut:
    """Write a feeler set as it now is: blades added, measured, bent or broken."""
    _save(set_id, json_data)
    return shop_as_it_stands()


def _save(set_id: int | None, sent: BladeSetIn) -> None:
    blades: dict[int, tuple[int | None, str]] = {}
    for blade in sent.blades:
        marked = parse_length(blade.marked, LengthUnit.MM, field="blade")
        if marked in blades:
            raise BadValue(f"blade {blade.marked} is in the set twice.", field="blade")
        measured = (
            parse_length(blade.measured, LengthUnit.MM, field="blade") if blade.measured else None
        )
        blades[marked] = (measured, blade.state)
    measuring.save_blade_set(
        at_hand(), set_id=set_id, name=sent.name, stacking=sent.stacking, blades=blades
    )


def _decimal(text: str | None, field: str) -> Decimal | None:
    if text is None or not text.strip():
        return None
    try:
        number = Decimal(text.strip().replace(",", ".").replace("−", "-"))
    except InvalidOperation:
        number = Decimal("NaN")
    if not number.is_finite():
        raise BadValue(f"{field} “{text.strip()}” is not a number.", field=field)
    return number

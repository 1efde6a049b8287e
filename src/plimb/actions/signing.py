"""What ends a card: the sheet, the signature, and what is added after it."""

from datetime import datetime

from sqlalchemy.orm import Session

from plimb.actions.cards import OnCard, Written, act, check_km, required
from plimb.actions.custody import settle_pieces
from plimb.actions.transfer import fingerprint_of
from plimb.actions.views import CardView, card_view, status_of
from plimb.core.engine.turning import Method
from plimb.core.errors import NotReady
from plimb.core.job.sheet import (
    Fact,
    Sheet,
    SheetRound,
    explained_lines,
    round_rows,
    sheet_rows,
    sheet_specs,
    torque_line,
)
from plimb.core.job.summary import ShopThings
from plimb.core.lengths import show_mm
from plimb.store.cards import get_card
from plimb.store.database import Database
from plimb.store.records import shop_things
from plimb.store.shop import get_shop
from plimb.store.tables.card import AmendmentRow


@act("sign")
def sign_card(on: OnCard, *, signed_by: str, remarks: str, next_check_km: int | None) -> None:
    """Sign the card; from then on nothing on it changes.

    Raises:
        BadValue: No name, or a next check that cannot be.
        NotReady: A valve is left without a reading in spec and no remark says why.
    """
    card = on.card
    name = required(signed_by, "signed_by", "Write the name of who signs.")
    check_km(next_check_km, "next_check_km")
    left = status_of(card).not_in_spec
    if left and not remarks.strip():
        raise NotReady(
            f"{', '.join(left)} {'is' if len(left) == 1 else 'are'} not shown to be in spec. "
            "Measure again, or write in the remarks why it is signed all the same.",
            field="remarks",
        )
    settle_pieces(on.session, card, on.now)
    card.signed_by, card.signed_at = name, on.now
    card.as_signed = shop_things(card)
    card.remarks, card.next_check_km = remarks.strip() or None, next_check_km


def amend(
    database: Database, *, card_id: int, key: str, written_by: str, text: str, now: datetime
) -> Written:
    """Write a dated line on a signed card; sent twice with one key it is written once.

    Raises:
        NotReady: The card is not signed; correct it instead.
        BadValue: No name or no text.
        NotFound: There is no such card.
    """
    written_by = required(written_by, "written_by", "Write the name of who amends.")
    text = required(text, "text", "Write what is to be known.")
    with database.writing() as session:
        card = get_card(session, card_id)
        if card.signed_at is None:
            raise NotReady("This card is not signed yet; correct it instead.", field="card")
        if all(one.key != key for one in card.amendments):
            line = AmendmentRow(key=key, written_by=written_by, text=text, written_at=now)
            card.amendments.append(line)
            session.flush()
        return Written(id=card.id, version=card.version)


def read_sheet(session: Session, card_id: int) -> Sheet:
    """Return the sheet of the card of that number; NotFound where there is none."""
    card = get_card(session, card_id)
    view = card_view(session, card)
    kept = card.as_signed or shop_things(card)
    lists = (*view.safety, *view.reach, *view.closing)
    done = tuple(line.item.does for line in lists if line.done)
    left = tuple(line.item.does for line in (*view.safety, *view.closing) if not line.done)
    return Sheet(
        shop=get_shop(session).name,
        label=kept.label,
        engine=view.engine.name,
        card=view.id,
        opened_at=view.opened_at,
        unit=view.unit,
        facts=_facts(view, kept),
        specs=sheet_specs(view.engine),
        drawing=view.drawing,
        rows=sheet_rows(view.rounds),
        rounds=tuple(
            SheetRound(number=one.number, reason=one.reason, rows=round_rows(one))
            for one in view.rounds[1:]
        ),
        acknowledged=done,
        not_acknowledged=left if done else (),
        torques=tuple(filter(None, (torque_line(one) for one in view.bolts))),
        explained=explained_lines(view.explained),
        remarks=view.remarks or "",
        next_check="" if view.next_check_km is None else f"at {view.next_check_km} km",
        signed_by=view.signed_by,
        signed_at=view.signed_at,
        amendments=tuple(
            f"{one.written_at:%Y-%m-%d %H:%M} UTC, {one.written_by}: {one.text}"
            for one in view.amendments
        ),
        fingerprint=fingerprint_of(session, card),
    )


def _facts(view: CardView, kept: ShopThings) -> tuple[Fact, ...]:
    run = [
        f"{view.distance_km} km" if view.distance_km is not None else "",
        f"{view.hours:f} h" if view.hours is not None else "",
    ]
    cold = view.conditions
    state = [
        f"rested {cold.rested_hours:f} h" if cold.rested_hours is not None else "",
        f"{cold.temperature_c:f} °C" if cold.temperature_c is not None else "",
        f"warm: {cold.reason}" if cold.warm else "",
    ]
    zero = "" if view.zero_nm is None else f", zero {show_mm(view.zero_nm)}"
    tool = kept.instrument.name if kept.instrument else "not noted"
    facts = (
        ("Why", view.reason),
        ("At", ", ".join(filter(None, run)) or "not noted"),
        ("Opened", f"{view.opened_at:%Y-%m-%d}, {view.opened_by}"),
        ("Spec from", view.source or "not noted"),
        ("State", ", ".join(filter(None, state)) or "not noted"),
        ("Turned", "by the marks" if view.method is Method.MARKS else "by the lobe"),
        ("Blades", kept.blade_set.name if kept.blade_set else "not noted"),
        ("Measured with", f"{tool}{zero}"),
        ("Rounds", str(len(view.rounds))),
    )
    return tuple(Fact(name=name, says=says) for name, says in facts)

"""What is done before the engine is touched: how cold it is, ticks, the tray, the policy."""

from collections.abc import Sequence
from decimal import Decimal
from typing import Annotated

from pydantic import Field

from plimb.card.acting import OnCard, act
from plimb.card.build import card_view
from plimb.card.said import Brief, Reason, Text, inside, listed
from plimb.core.engine.conditions import noted_from
from plimb.core.errors import BadValue, NotReady
from plimb.core.job.lists import turns_line
from plimb.core.job.tray import Part, Pocket, check_tray
from plimb.core.plan.needs import WhichToSet
from plimb.core.shim.shim import Trust
from plimb.core.shim.sum import Aim, Rounding
from plimb.record.tables.card import StripTrayRow
from plimb.shop.settings import settings_of


@act("conditions", rested_hours=Brief | None, temperature_c=Brief | None, reason=Reason)
def note_conditions(
    on: OnCard, *, rested_hours: str | None, temperature_c: str | None, reason: str
) -> None:
    """Note how cold the engine is; warm is gone on with only for a written reason.

    Raises:
        BadValue: Hours or degrees that are no number, or cannot be.
        NotReady: The engine is warm and no reason is written.
    """
    conditions = noted_from(rested_hours, temperature_c, reason)
    if conditions.warm and not conditions.reason:
        raise NotReady(
            f"{conditions.warnings[0]} To go on all the same, write the reason.", field="reason"
        )
    on.card.rested_hours = _text(conditions.rested_hours)
    on.card.temperature_c = _text(conditions.temperature_c)
    on.card.warm_reason = conditions.reason


@act("tick")
def see_to(on: OnCard, *, item: str, done: bool) -> None:
    """Tick one line of a list, or take the tick back; BadValue where there is no such line."""
    _tick(on, (item,), done)


@act("tick-all", items=listed(Text, 60))
def see_to_all(on: OnCard, *, items: Sequence[str], done: bool) -> None:
    """Tick several lines at once, or take their ticks back; BadValue where one is on no list."""
    _tick(on, tuple(dict.fromkeys(items)), done)


def _tick(on: OnCard, items: Sequence[str], done: bool) -> None:
    known = {line.item.id for line in card_view(on.session, on.card).lists}
    for item in items:
        if item not in known:
            raise BadValue(f"“{item}” is not on this card's lists.", field="item")
    on.tick(items, done=done)
    if turns_line(on.round.number) in items:  # one count: what is ticked was turned
        wanted = settings_of(on.session).hand_turns
        on.round.hand_turns = max(wanted, on.round.hand_turns) if done else 0


_Share = Annotated[float, Field(ge=0, le=1, strict=False)]
_PocketPart = inside(
    "PocketPart", Pocket, whole=True, x=_Share, y=_Share,
    length=Annotated[str, Field(max_length=40)], count=Annotated[int, Field(ge=1, le=99)],
)  # fmt: skip
_PartPart = inside("PartPart", Part, whole=True, pockets=listed(_PocketPart, 60))


@act("tray", parts=listed(_PartPart, 40))
def lay_out_tray(on: OnCard, parts: Sequence[Part]) -> None:
    """Note what came off, in order, and where each fastener lies. The trays before stay.

    Raises:
        BadValue: Too many parts or pockets, a part without a name, a pocket off the outline.
    """
    on.card.trays.append(StripTrayRow(document=check_tray(tuple(parts)), recorded_at=on.now))


@act("policy")
def set_policy(
    on: OnCard, *, aim: Aim, rounding: Rounding, act: WhichToSet, trust: Trust, reuse: bool
) -> None:
    """Set which way this card leans, which valves it sets, what it trusts and may use."""
    on.card.aim, on.card.rounding, on.card.act = aim, rounding, act
    on.card.trust, on.card.reuse = trust, reuse


def _text(number: Decimal | None) -> str | None:
    return None if number is None else f"{number:f}"

"""What a card tells the engine to remember: the machine, tools, parts, bolts, notes."""

import json
from collections.abc import Callable, Sequence
from contextlib import suppress
from decimal import Decimal
from typing import Annotated, Any

from pydantic import Field

from plimb.card.acting import OnCard, act
from plimb.card.build import machine_now
from plimb.card.said import Note, Price, inside, listed
from plimb.core.engine.changes import changes
from plimb.core.engine.machine import Measure, RenewedPart
from plimb.core.engine.turning import Method
from plimb.core.errors import BadValue, NotReady
from plimb.core.job.bolts import BoltGroup
from plimb.core.job.stages import Stage
from plimb.core.lengths import meter_in
from plimb.files.engine_file import machine_as_json, parsed_engine
from plimb.record.engines import newest_revision, revise_engine
from plimb.record.rows import numbered
from plimb.record.tables.shop import BladeSetRow

MOST_TOOLS, MOST_PARTS = 40, 40
_PricedPart = inside("PricedPart", RenewedPart, whole=True, price=Price)


def keep_up(on: OnCard) -> bool:
    """Go on with the engine as it is now, where nothing that is judged by was corrected."""
    newest = newest_revision(on.session, on.card.revision.engine_id)
    if newest.id != on.card.revision.id:
        if changes(on.engine, parsed_engine(newest.document)[1]):
            return False
        on.card.revision = newest
    return True


def on_engine(on: OnCard, change: Callable[[dict[str, Any]], None]) -> None:
    """Write something into the engine's file; the card goes on with the engine as it then is.

    Raises:
        NotReady: The engine was corrected since the card was opened; that comes first.
    """
    if not keep_up(on):
        raise NotReady(
            "The engine was corrected since this card was opened. Take that over first.",
            field="engine",
        )
    newest = on.card.revision
    document = json.loads(newest.document)
    change(document)
    engine = newest.engine
    revise_engine(
        on.session, engine.id, seen=newest.number, label=engine.label, note=engine.note,
        document=json.dumps(document, ensure_ascii=False, indent=1), now=on.now,
    )  # fmt: skip
    parsed_engine(engine.revisions[-1].document)
    on.card.revision = engine.revisions[-1]


def write_engine_as(on: OnCard, document: str) -> None:
    """Write an engine's file as it was once; the card goes on with it. Raises as `on_engine`."""

    def as_it_was(now: dict[str, Any]) -> None:
        now.clear()
        now.update(json.loads(document))

    on_engine(on, as_it_was)


def remember(on: OnCard, **known: Any) -> None:
    """Write what is known of the machine into its engine's file; what is the same is left."""
    before = machine_now(on.session, on.card)
    if any(getattr(before, name) != value for name, value in known.items()):
        on_engine(on, lambda document: document["engine"].update(machine_as_json(known)))


def remember_bolts(on: OnCard, group: BoltGroup) -> None:
    """Keep where a part's bolts lie, their torque and order, for the next card."""
    newest = newest_revision(on.session, on.card.revision.engine_id)
    kept = parsed_engine(newest.document)[0].engine.bolts
    group = group.checked()
    if group not in kept:
        bolts = (*(laid for laid in kept if laid.name != group.name), group)
        on_engine(on, lambda document: document["engine"].update(machine_as_json({"bolts": bolts})))


@act("method")
def set_method(on: OnCard, *, method: Method, blade_set_id: int | None) -> None:
    """Choose how the engine is turned and which feeler set is used, here and on the next card.

    Raises:
        NotFound: There is no such set.
    """
    on.card.method = method
    known = None if blade_set_id is None else numbered(on.session, BladeSetRow, blade_set_id)
    on.card.blade_set = known
    with suppress(NotReady):  # of an engine that was corrected meanwhile it is not kept
        remember(on, blades=known.name if known else "")


@act("machine")
def note_machine(
    on: OnCard, *, owner: str, plate: str, counter: Measure | None, interval: str | None,
    caps: str, tensioner: str,
) -> None:  # fmt: skip
    """Note whose machine it is, its plate or frame number, its counter and the maker's interval.

    Raises:
        BadValue: An interval that is no number, or not above nothing.
    """
    every = meter_in(interval, "interval", decimals=False)
    if every is not None and not 0 < every <= Decimal(1_000_000):
        raise BadValue("An interval lies between 1 and 1 000 000.", field="interval")
    remember(
        on, owner=owner.strip(), plate=plate.strip(), counter=counter, interval=every,
        caps=caps.strip(), tensioner=tensioner.strip(),
    )  # fmt: skip


@act("tools", tools=listed(Annotated[str, Field(max_length=120)], MOST_TOOLS))
def note_tools(on: OnCard, *, tools: Sequence[str]) -> None:
    """Note the tools that just this engine asks for; BadValue for too many of them."""
    if len(tools) > MOST_TOOLS:
        raise BadValue(f"At most {MOST_TOOLS} tools of its own.", field="tools")
    remember(on, tools=tuple(dict.fromkeys(tool.strip() for tool in tools if tool.strip())))


@act("parts", parts=listed(_PricedPart, MOST_PARTS))
def note_parts(on: OnCard, *, parts: Sequence[RenewedPart]) -> None:
    """Note what this engine wants renewed, with the numbers the shop knows it by.

    Raises:
        BadValue: Too many, one without a name, or a count or price that cannot be.
    """
    if len(parts) > MOST_PARTS:
        raise BadValue(f"At most {MOST_PARTS} parts.", field="parts")
    for part in parts:
        if not part.what.strip():
            raise BadValue("Write what the part is.", field="what")
        if not 1 <= part.count <= 99 or not 0 <= (part.price or 0) <= 10_000:
            raise BadValue(f"{part.what}: so many, or that price, cannot be.", field="count")
    remember(on, parts=tuple(parts))


@act("engine-note", text=Note)
def note_for_next_time(on: OnCard, *, stage: Stage, text: str) -> None:
    """Keep with the engine what is to be known at a stage next time."""
    notes = {**machine_now(on.session, on.card).notes, stage.value: text.strip()}
    remember(on, notes={at: text for at, text in notes.items() if text})

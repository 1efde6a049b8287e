"""A card on a guest's engine: of a layout, and nothing else is known of it."""

import json
from typing import Any

from plimb.card.acting import Change
from plimb.card.acts.correct import enter_spec
from plimb.card.acts.feel import write_down_gap
from plimb.card.acts.opening import open_card
from plimb.card.acts.read import write_down_shim
from plimb.card.acts.sign import read_sheet
from plimb.card.build import read_card
from plimb.card.document import card_document
from plimb.core.engine.followers import Role
from plimb.core.lengths import Unit
from plimb.files.open_json import write_json
from plimb.files.starting_point import Layout, Start, starting_point
from plimb.record.cards import get_card
from plimb.record.database import Database
from plimb.record.engines import newest_revision
from plimb.shop.engines import register_engine, revise

from .conftest import NOON


class Job:
    """A card on an engine of a layout, of which nothing else is known."""

    def __init__(
        self,
        database: Database,
        layout: Any = Layout.SINGLE,
        *,
        change: Any = None,
        opened: Any = None,
        label: Any = "Guest",
        units: Any = None,
        **start: Any,
    ) -> None:  # fmt: skip
        self.database = database
        document = starting_point(Start(layout=layout, **start)) | (units or {})
        if change:
            change(document["engine"])
        self.engine_id = register_engine(
            database, label=label, note="", document=json.dumps(document), now=NOON
        )
        self.open(**(opened or {}))

    def open(self, **said: Any) -> None:
        """Open the next card for the same engine."""
        self.card = open_card(
            self.database, engine_id=self.engine_id, opened_by="Oda", now=NOON,
            **{"reason": "Interval", **said},
        )  # fmt: skip

    def act(self, do: Any, **said: Any) -> None:
        change = Change(
            card_id=self.card.id, version=self.card.version, key=f"key-{self.card.version:06}",
            now=NOON,
        )  # fmt: skip
        self.card = do(self.database, change, **said)

    @property
    def view(self) -> Any:
        with self.database.reading() as session:
            return read_card(session, self.card.id)

    @property
    def sheet(self) -> Any:
        with self.database.reading() as session:
            return read_sheet(session, self.card.id)

    def gap(self, valve: str, text: Any, unit: Any = Unit.MM) -> None:
        self.act(write_down_gap, valve=valve, purpose="found", text=text, unit=unit)

    def spec(
        self, side: Any, text: Any, *, room: Any = "", unit: Any = Unit.MM, action: Any = Role.OPEN
    ) -> None:
        self.act(enter_spec, side=side, action=action, text=text, room=room, unit=unit)

    def revise(self, change: Any, revision: Any = 1) -> None:
        document = json.loads(self.document)
        change(document["engine"])
        revise(
            self.database, engine_id=self.engine_id, seen=revision, label="Guest", note="",
            document=json.dumps(document), now=NOON,
        )  # fmt: skip

    @property
    def document(self) -> Any:
        with self.database.reading() as session:
            return newest_revision(session, self.engine_id).document

    def shim(self, valve: str, text: Any) -> None:
        self.act(write_down_shim, valve=valve, text=text)

    def todo(self, stage: Any) -> Any:
        return next(one for one in self.view.status.todo if one.stage is stage)

    def line(self, name: Any) -> Any:
        """Return what the sheet says under a name, below its valves or above them."""
        sheet = self.sheet
        return next((one.says for one in (*sheet.facts, *sheet.lines) if one.name == name), None)


def card_text(session: Any, card_id: Any) -> Any:
    """Return a card as its file, but for where it comes from: the same wherever it is taken in."""
    return write_json(card_document(session, get_card(session, card_id)))

"""Load the Ostrel Hill Climb School: an invented island school with invented machines.

What the school has and did stands in `school.json`; everything goes through the same actions
that a technician's screen uses.
"""

import json
from collections.abc import Mapping
from dataclasses import asdict
from datetime import datetime, timedelta
from importlib import resources
from importlib.resources.abc import Traversable
from itertools import count
from pathlib import Path
from typing import Any

from plimb.books.backup import start_anew
from plimb.books.notebook import keep_notebook
from plimb.card.acting import Change, Written
from plimb.card.acts.choose import choose_piece, set_variant, take_plan
from plimb.card.acts.feel import Purpose, write_down_gap
from plimb.card.acts.fit import fit_piece, lay_bolts, turn_bolts, turn_by_hand
from plimb.card.acts.opening import open_card
from plimb.card.acts.read import write_down_shim
from plimb.card.acts.ready import lay_out_tray, note_conditions, see_to
from plimb.card.acts.sign import sign_card
from plimb.card.build import read_card
from plimb.card.rejudge import change_settings
from plimb.card.view import CardView
from plimb.core.job.torque import Thread, TorqueUnit
from plimb.core.job.tray import Part, Pocket
from plimb.core.lengths import Unit, mm, show_mm
from plimb.core.measure.blades import Blade, BladeSet, BladeState
from plimb.record.database import Database
from plimb.record.journal import work_of
from plimb.shop.drawer import add_pieces, read_drawer
from plimb.shop.engines import register_engine
from plimb.shop.families import save_family
from plimb.shop.tools import add_instrument, save_blade_set, shop_is_empty

LAST_SEASON = datetime(2025, 10, 18, 9, 30)


class _Bench:
    """Somebody at the bench: each act a few minutes after the one before.

    Its methods are the words of the `work` on a card in the school's file.
    """

    def __init__(self, database: Database, card: Written, start: datetime, tray: list[Any]) -> None:
        self.database, self.card, self.parts = database, card, tray
        self._moments = (start + timedelta(minutes=3 * step) for step in count(1))

    def do(self, act: Any, *args: Any, **said: Any) -> None:
        """Do one act on the card."""
        now, card = next(self._moments), self.card
        change = Change(card_id=card.id, version=card.version, key=f"demo-{now:%H%M%S}", now=now)
        self.card = act(self.database, change, *args, **said)

    @property
    def view(self) -> CardView:
        """The card as it now stands."""
        with self.database.reading() as session:
            return read_card(session, self.card.id)

    def cold(self, rested: str, temperature: str) -> None:
        """Note the conditions and see to the whole safety list."""
        self.do(note_conditions, rested_hours=rested, temperature_c=temperature, reason="")
        for line in self.view.safety:
            self.do(see_to, item=line.item.id, done=True)

    def lists(self) -> None:
        """See to every line of pulling and of closing up."""
        for line in (*self.view.reach, *self.view.closing, *self.view.cover):
            self.do(see_to, item=line.item.id, done=True)

    def tray(self) -> None:
        """Lay out what came off."""
        parts = [
            Part(**{**part, "pockets": tuple(Pocket(**at) for at in part["pockets"])})
            for part in self.parts
        ]
        self.do(lay_out_tray, parts)

    def gaps(self, purpose: Purpose, typed: Mapping[str, str]) -> None:
        for valve, text in typed.items():
            self.do(write_down_gap, valve=valve, purpose=purpose, text=text, unit=Unit.MM)

    def shims(self, typed: Mapping[str, str]) -> None:
        for valve, text in typed.items():
            self.do(write_down_shim, valve=valve, text=text)

    def choose(self, chosen: Mapping[str, str]) -> None:
        for valve, thickness in chosen.items():
            self.do(choose_piece, valve=valve, thickness_nm=mm(thickness))

    def plan(self, variant: str) -> None:
        self.do(set_variant, variant)
        self.do(take_plan)

    def bolts(self, laid: Mapping[str, Any], turned: int) -> None:
        kinds = {"unit": TorqueUnit(laid["unit"]), "thread": Thread(laid["thread"])}
        places = tuple((x, y) for x, y in laid["places"])
        self.do(lay_bolts, **{**laid, **kinds, "places": places})
        self.do(turn_bolts, name=laid["name"], turned=turned)

    def fit(self) -> None:
        for step in self.view.fit:
            self.do(fit_piece, valve=step.valve, fitted=True, measured="")

    def turns(self, turns: int) -> None:
        self.do(turn_by_hand, turns=turns)

    def sign(self, said: Mapping[str, Any]) -> None:
        self.do(sign_card, **said)


def load_demo(path: Path, *, fresh: bool = False) -> None:
    """Load the school into the record at the path, unless it is there already."""
    if fresh:
        start_anew(path, json.loads(_school().read_text("utf-8"))["shop"])
    database = Database(path)
    if shop_is_empty(database):
        fill(database)
    database.close()


def _school() -> Traversable:
    return resources.files("plimb.demo") / "school.json"


def fill(database: Database) -> None:
    """Write the school's engines and cards into an empty record."""
    with work_of(at=LAST_SEASON - timedelta(days=30)):
        _fill(database)


def _fill(database: Database) -> None:
    here = resources.files("plimb.demo")
    school = json.loads(_school().read_text("utf-8"))
    change_settings(database, name=school["shop"])
    _blades(database, school["blade_set"])
    engines = {
        entry["label"]: register_engine(
            database,
            label=entry["label"],
            note=entry["note"],
            document=(here / "engines" / f"{entry['file']}.json").read_text("utf-8"),
            now=LAST_SEASON - timedelta(days=30),
        )
        for entry in school["engines"]
    }
    for entry in school["instruments"]:
        add_instrument(database, **entry)
    _stock_up(database, school["families"], school["supplier"])
    for entry in school["cards"]:
        work, start = entry.pop("work"), datetime.fromisoformat(entry.pop("opened_at"))
        with work_of(entry["opened_by"]):
            card = open_card(database, engine_id=engines[entry.pop("engine")], **entry, now=start)
            bench = _Bench(database, card, start, school["tray"])
            for step, *said in work:
                getattr(bench, step)(*said)
    for entry in school["notebooks"]:
        keep_notebook(
            database,
            engine_id=engines[entry["engine"]],
            text=(here / "notebooks" / f"{entry['file']}.csv").read_text("utf-8"),
            noted_by=entry["noted_by"],
            now=LAST_SEASON - timedelta(days=25),
        )


def _blades(database: Database, laid: Mapping[str, Any]) -> None:
    blades = tuple(
        Blade(
            nominal_nm=n * mm("0.01"),
            state=BladeState.BENT if n in laid["bent"] else BladeState.SOUND,
        )
        for n in laid["hundredths"]
    )
    save_blade_set(database, set_id=None, blades=BladeSet(name=laid["name"], blades=blades))


def _stock_up(database: Database, known: Mapping[str, Mapping[str, Any]], supplier: str) -> None:
    """Write down what shims cost, and what lies in the drawer."""
    with database.reading() as session:
        families = read_drawer(session).families
    for family in families:
        of = known.get(family.name, {})
        save_family(
            database,
            family_id=family.id,
            seen=family.version,
            name=family.name,
            diameter=""
            if family.family.diameter_nm is None
            else show_mm(family.family.diameter_nm),
            runs=[tuple(map(show_mm, asdict(run).values())) for run in family.family.runs],
            code=family.family.code,
            price=of.get("price", "8.90"),
            kit_price=of.get("kit_price", ""),
            kit_each=3,
            supplier=supplier,
            low_stock=of.get("low_stock", 0),
        )
        if of.get("drawer"):
            now = LAST_SEASON - timedelta(days=20)
            add_pieces(database, family_id=family.id, text=of["drawer"], now=now)

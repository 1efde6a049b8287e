"""Load the Ostrel Hill Climb School: an invented island school with invented machines.

Everything goes through the same actions that a technician's screen uses.
"""

from __future__ import annotations

from collections.abc import Iterable, Mapping
from datetime import datetime, timedelta
from importlib import resources
from itertools import count
from pathlib import Path

from plimb.actions.cards import Change, Written, lay_out_tray, note_conditions, open_card, see_to
from plimb.actions.choosing import choose_piece, set_variant, take_plan
from plimb.actions.drawer import add_pieces, read_drawer
from plimb.actions.engines import register_engine
from plimb.actions.families import save_family
from plimb.actions.fitting import fit_piece, lay_bolts, turn_bolts, turn_by_hand
from plimb.actions.readings import Purpose, write_down_gap
from plimb.actions.shims import write_down_shim
from plimb.actions.shop import add_instrument, rename_shop, save_blade_set, shop_is_empty
from plimb.actions.signing import sign_card
from plimb.actions.views import CardView, read_card
from plimb.core.job.bolts import BoltGroup
from plimb.core.job.torque import Thread, TorqueUnit
from plimb.core.job.tray import Part, Pocket
from plimb.core.lengths import Unit, mm, show_mm
from plimb.core.measure.blades import Blade, BladeSet, BladeState
from plimb.store.database import Database

SHOP = "Ostrel Hill Climb School"
ENGINES = (
    (
        "No. 3 · Ollerby Trefoil",
        "Trainer for the upper course; noisy since the autumn",
        "ollerby-triple",
    ),
    ("No. 8 · Tindle Pentad", "Gravel single, five valves; checked each season", "tindle-single"),
    ("No. 5 · Varrow Quartet", "The instructors' V-four", "varrow-v4"),
    ("No. 11 · Corrie Offbeat", "Parallel twin, 270 degrees, for the road class", "corrie-twin"),
    ("No. 2 · Halvern Six outfit", "Straight six with the observers' sidecar", "halvern-six"),
    ("No. 9 · Sandrelle Elle", "L-twin that closes its own valves", "sandrelle-l-twin"),
)
FAMILIES: Mapping[str, tuple[str, str, int]] = {
    "8.90 mm": ("8.20", "74", 1),
    "7.48 mm": ("7.40", "68", 0),
    "9.48 mm": ("8.50", "79", 0),
}
"""Price, price of a kit, and the least to have of each size, by family."""

DRAWER = {
    "8.90 mm": "230, 235 2.348, 2475 2.474, 2475, 250x3, 2525, 255x2, 2575, 260x2, 265, "
    "2675 2.673, 270x2",
    "7.48 mm": "170x2, 175, 180, 185x3, 190x2, 200",
}
INSTRUMENTS = (("Bench micrometer", "0.004"), ("Calliper", "0.02"))

BLADES = (3, 4, 5, 6, 7, 8, 9, 10, 13, 15, 18, 20, 23, 25, 28, 30, 33, 35, 38, 40, 45, 50)
"""The bench set in hundredths of a millimetre; the 0.04 is bent."""

TRAY = (
    Part(name="Tank", note="Two clips, one bolt", pockets=(Pocket(x=0.5, y=0.85, length="M8x40"),)),
    Part(name="Air box"),
    Part(name="Coils"),
    Part(name="Spark plugs"),
    Part(
        name="Cover",
        pockets=tuple(
            Pocket(x=x, y=y, length=length)
            for x, y, length in (
                (0.12, 0.14, "30"),
                (0.5, 0.14, "30"),
                (0.88, 0.14, "30"),
                (0.12, 0.86, "45"),
                (0.5, 0.86, "30"),
                (0.88, 0.86, "45"),
            )
        ),
    ),
)
LAST_SEASON = datetime(2025, 10, 18, 9, 30)
THIS_WEEK = datetime(2026, 11, 20, 8, 40)


class _Bench:
    """Somebody at the bench: each act a few minutes after the one before."""

    def __init__(self, database: Database, card: Written, start: datetime) -> None:
        self.database, self.card = database, card
        self._moments = (start + timedelta(minutes=3 * step) for step in count(1))

    def change(self) -> Change:
        now = next(self._moments)
        return Change(
            card_id=self.card.id, version=self.card.version, key=f"demo-{now:%H%M%S}", now=now
        )

    @property
    def view(self) -> CardView:
        """The card as it now stands."""
        with self.database.reading() as session:
            return read_card(session, self.card.id)

    def cold(self, rested: str, temperature: str) -> None:
        """Note the conditions and see to the whole safety list."""
        self.card = note_conditions(
            self.database, self.change(), rested_hours=rested, temperature_c=temperature, reason=""
        )
        for line in self.view.safety:
            self.card = see_to(self.database, self.change(), item=line.item.id, done=True)

    def gaps(self, purpose: Purpose, typed: Mapping[str, str]) -> None:
        for valve, text in typed.items():
            self.card = write_down_gap(
                self.database,
                self.change(),
                valve=valve,
                purpose=purpose,
                text=text,
                unit=Unit.MM,
            )

    def pieces(self, typed: Mapping[str, str]) -> None:
        for valve, text in typed.items():
            self.card = write_down_shim(self.database, self.change(), valve=valve, text=text)

    def choose(self, chosen: Iterable[tuple[str, str]]) -> None:
        for valve, thickness in chosen:
            self.card = choose_piece(
                self.database, self.change(), valve=valve, thickness_nm=mm(thickness)
            )


def load_demo(path: Path, *, fresh: bool = False) -> None:
    """Load the school into the record at the path, unless it is there already."""
    if fresh:
        for leftover in (path, Path(f"{path}-wal"), Path(f"{path}-shm")):
            leftover.unlink(missing_ok=True)
    database = Database(path)
    if shop_is_empty(database):
        fill(database)
    database.close()


def fill(database: Database) -> None:
    """Write the school's engines and cards into an empty record."""
    rename_shop(database, SHOP)
    folder = resources.files("plimb.demo") / "engines"
    save_blade_set(
        database,
        set_id=None,
        blades=BladeSet(
            name="Bench set",
            blades=tuple(
                Blade(
                    nominal_nm=n * mm("0.01"),
                    state=BladeState.BENT if n == 4 else BladeState.SOUND,
                )
                for n in BLADES
            ),
        ),
    )
    triple, single, v_four, twin, *_others = (
        register_engine(
            database,
            label=label,
            note=note,
            document=(folder / f"{file}.json").read_text("utf-8"),
            now=LAST_SEASON - timedelta(days=30),
        )
        for label, note, file in ENGINES
    )
    _stock_up(database)
    _signed_last_season(database, single)
    _just_opened(database, v_four)
    _half_way(database, triple)
    _not_as_predicted(database, twin)


def _signed_last_season(database: Database, engine_id: int) -> None:
    card = open_card(
        database,
        engine_id=engine_id,
        opened_by="Ivo Tarrask",
        reason="Season's end",
        distance_km=6120,
        now=LAST_SEASON,
    )
    bench = _Bench(database, card, LAST_SEASON)
    bench.gaps("found", {"IN L": "12", "IN C": "8", "IN R": "10-13", "EX L": "15-18", "EX R": "20"})
    bench.gaps("found", {"EX L": "15"})
    bench.pieces({"IN C": "185 1.848", "EX L": "170"})
    bench.choose([("IN C", "1.80"), ("EX L", "1.65")])
    bench.gaps("proof", {"IN C": "13", "EX L": "20"})
    bench.card = sign_card(
        database,
        bench.change(),
        signed_by="Ivo Tarrask",
        remarks="Cam caps evenly in three stages. New cover gasket.",
        next_check_km=9000,
    )


def _just_opened(database: Database, engine_id: int) -> None:
    card = open_card(
        database,
        engine_id=engine_id,
        opened_by="Merrin Oske",
        reason="Interval",
        distance_km=24310,
        now=THIS_WEEK - timedelta(days=1),
    )
    bench = _Bench(database, card, THIS_WEEK - timedelta(days=1))
    bench.cold("14", "9")
    bench.gaps("found", {"1 EX L": "28", "1 EX R": "25-28", "2 IN L": "15-18", "2 IN R": "15"})


def _not_as_predicted(database: Database, engine_id: int) -> None:
    """Leave a card at its proof: two of the pieces went into each other's places."""
    start = THIS_WEEK + timedelta(days=2)
    card = open_card(
        database,
        engine_id=engine_id,
        opened_by="Sanna Veldrig",
        reason="Interval, and a light tick",
        distance_km=11980,
        now=start,
    )
    bench = _Bench(database, card, start)
    bench.cold("30", "6")
    bench.card = lay_out_tray(database, bench.change(), TRAY)
    bench.gaps(
        "found",
        {
            "1 IN L": "12",
            "1 IN R": "7",
            "1 EX L": "25",
            "1 EX R": "15-18",
            "2 IN L": "13",
            "2 IN R": "8",
            "2 EX L": "20",
            "2 EX R": "23-25",
        },
    )
    bench.pieces(
        {
            "1 IN R": "260 2.602",
            "1 EX R": "264 2.641",
            "2 IN R": "252 2.520",
            "2 EX L": "256 2.561",
        }
    )
    bench.card = set_variant(database, bench.change(), "only-new")
    bench.card = take_plan(database, bench.change())
    places = tuple((x, y) for y in (0.1, 0.35, 0.65, 0.9) for x in (0.1, 0.5, 0.9))
    caps = BoltGroup(
        name="Cam caps", places=places, torque="10", unit=TorqueUnit.NM, thread=Thread.M6
    )
    bench.card = lay_bolts(database, bench.change(), caps)
    bench.card = turn_bolts(database, bench.change(), name="Cam caps", turned=17)
    for step in bench.view.fit:
        bench.card = fit_piece(database, bench.change(), valve=step.valve, fitted=True, measured="")
    bench.card = turn_by_hand(database, bench.change(), turns=2)
    bench.gaps(
        "proof",
        {
            "1 IN R": "23",
            "1 EX R": "23-25",
            "2 IN R": "8",
            "2 EX L": "28",
            "1 IN L": "12",
            "1 EX L": "25",
        },
    )


def _stock_up(database: Database) -> None:
    """Write down the instruments, what shims cost, and what lies in the drawer."""
    for name, doubt in INSTRUMENTS:
        add_instrument(database, name=name, doubt=doubt)
    with database.reading() as session:
        known = read_drawer(session).families
    for one in known:
        price, kit_price, low_stock = FAMILIES.get(one.name, ("8.90", "", 0))
        save_family(
            database,
            family_id=one.id,
            seen=one.version,
            name=one.name,
            diameter="" if one.family.diameter_nm is None else show_mm(one.family.diameter_nm),
            runs=[
                (show_mm(run.from_nm), show_mm(run.to_nm), show_mm(run.step_nm))
                for run in one.family.runs
            ],
            code=one.family.code,
            price=price,
            kit_price=kit_price,
            kit_each=3,
            supplier="Harbour Street counter",
            low_stock=low_stock,
        )
        if one.name in DRAWER:
            add_pieces(
                database,
                family_id=one.id,
                text=DRAWER[one.name],
                now=LAST_SEASON - timedelta(days=20),
            )


def _half_way(database: Database, engine_id: int) -> None:
    card = open_card(
        database,
        engine_id=engine_id,
        opened_by="Sanna Veldrig",
        reason="Ticking when warm, hard to start cold",
        distance_km=18540,
        now=THIS_WEEK,
    )
    bench = _Bench(database, card, THIS_WEEK)
    bench.cold("16", "7.5")
    bench.card = lay_out_tray(database, bench.change(), TRAY)
    bench.gaps(
        "found",
        {
            "1 IN L": "15",
            "1 IN R": "13-15",
            "1 EX L": "23",
            "1 EX R": "18-20",
            "2 IN L": "13",
            "2 IN R": "8-10",
            "2 EX L": "25",
            "2 EX R": "x",
            "3 IN L": "23",
            "3 IN R": "15",
            "3 EX L": "23-25",
            "3 EX R": "28",
        },
    )
    bench.pieces(
        {
            "1 EX R": "255 2.548",
            "2 IN R": "2475 2.472",
            "2 EX R": "260 2.596 2.597",
            "3 IN L": "240 2.371",
            "1 IN L": "245 2.448",
            "2 IN L": "2425 2.423",
            "3 IN R": "?? 2.448",
            "1 EX L": "255 2.549",
            "2 EX L": "2525 2.522",
            "3 EX R": "250 2.501",
        }
    )

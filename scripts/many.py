"""Make a record of a shop of many years, and measure every place in it against one of ten cards.

A few cards are worked through the real actions; the others are those again, line by line, on
other engines and other days.
"""

import json
import os
import random
import sqlite3
import sys
import tempfile
from concurrent.futures import ProcessPoolExecutor
from datetime import datetime, timedelta
from http.client import HTTPConnection
from multiprocessing import active_children, get_context
from pathlib import Path
from statistics import median, quantiles
from time import perf_counter
from typing import Any

from bench import asked, entered, serving  # type: ignore[import-not-found]

from plimb.books.bench import read_shop
from plimb.card.acting import Change
from plimb.card.acts.feel import write_down_gap
from plimb.card.acts.opening import open_card
from plimb.card.acts.sign import sign_card
from plimb.core.lengths import Unit
from plimb.files.starting_point import Layout
from plimb.record.database import Database
from plimb.record.journal import lay_triggers, lift_triggers, take_up
from plimb.shop.drawer import add_pieces, read_drawer
from plimb.shop.engines import register_engine

TODAY = datetime(2026, 11, 24, 12, 0)
LAYOUTS = (Layout.SINGLE, Layout.PARALLEL_TWIN, Layout.TRIPLE, Layout.INLINE_FOUR)
TRIES = 30
PLACES = {
    "bench": "/api/shop",
    "search": "/api/cards?like=interval+tight",
    "signed, third page": "/api/cards?state=signed&skip=40",
    "engines": "/api/engines",
    "due": "/api/due",
    "engine over the years": "/api/engines/1/years",
    "drawer": "/api/drawer",
    "one card": "/api/cards/1",
    "its plan": "/api/cards/1/plan",
}


def worked(database: Database, engine: int, valves: list[str], dice: random.Random) -> int:
    """Work one card through the actions, from opened to signed; return its number."""
    card = open_card(
        database, engine_id=engine, opened_by="Oda", reason="Interval", distance=10_000, now=TODAY
    )

    def act(do: Any, **said: Any) -> None:
        nonlocal card
        key = f"many-{card.id}-{card.version:05}"
        change = Change(card_id=card.id, version=card.version, key=key, now=TODAY)
        card = do(database, change, **said)

    for valve in valves:
        low = dice.randrange(14, 20) + (8 if "EX" in valve else 0)
        act(write_down_gap, valve=valve, purpose="found", text=f"{low}-{low + 2}", unit=Unit.MM)
    act(sign_card, signed_by="Oda", remarks="As it is")
    return card.id


def filled(path: Path, cards: int, engines: int, pieces: int) -> None:
    """Make a record with so many cards, engines and pieces."""
    dice = random.Random(cards)
    database = Database(path)
    of_layout: dict[Layout, list[int]] = {layout: [] for layout in LAYOUTS}
    names: dict[Layout, list[str]] = {}
    for number in range(engines):
        layout = LAYOUTS[number % len(LAYOUTS)]
        document = entered(layout)
        document["engine"]["interval"] = 12_000
        names[layout] = [one["id"] for one in document["engine"]["valves"]]
        made = register_engine(
            database, label=f"No. {number + 1} · {layout}", note="", now=TODAY,
            document=json.dumps(document),
        )  # fmt: skip
        of_layout[layout].append(made)
    patterns = {
        layout: worked(database, of_layout[layout][0], names[layout], dice) for layout in LAYOUTS
    }
    with database.reading() as session:
        family = read_drawer(session).families[0].id
    sizes = ", ".join(f"2.{dice.randrange(200, 999)}" for _piece in range(100))
    add_pieces(database, family_id=family, text=sizes, now=TODAY)
    with database.engine.begin() as connection:
        lift_triggers(connection)
    database.close()
    raw = sqlite3.connect(path)
    _multiply(raw, patterns, of_layout, cards - len(patterns), dice)
    _more_pieces(raw, pieces - 100)
    raw.commit()
    raw.close()
    database = Database(path)
    with database.engine.execution_options(writes=True).begin() as connection:
        lay_triggers(connection)
        take_up(connection, "made many")
    while database.backfilled is False or _unknown(database):
        read_shop(database, TODAY.date())
    database.close()


def _unknown(database: Database) -> int:
    with database.reading() as session:
        query = "SELECT count(*) FROM engine WHERE outlook IS NULL"
        return int(session.connection().exec_driver_sql(query).scalar() or 0)


def _columns(raw: sqlite3.Connection, table: str) -> list[str]:
    return [row[1] for row in raw.execute(f'PRAGMA table_info("{table}")')]


def _multiply(raw: Any, patterns: Any, of_layout: Any, more: int, dice: random.Random) -> None:
    """Write the worked cards again, on other engines and days, with everything on them."""
    newest = dict(raw.execute("SELECT engine_id, max(id) FROM engine_revision GROUP BY engine_id"))
    next_card = raw.execute("SELECT max(id) FROM card").fetchone()[0]
    next_round = raw.execute("SELECT max(id) FROM round").fetchone()[0]
    kept = {
        table: [one for one in _columns(raw, table) if one not in ("id", *of)]
        for table, of in (("card", ()), ("round", ("card_id",)), ("gap_reading", ("round_id",)),
                          ("card_event", ("card_id", "key")))
    }  # fmt: skip
    quoted = {table: ", ".join(f'"{one}"' for one in names) for table, names in kept.items()}
    seen: dict[int, int] = {}
    for number in range(more):
        layout = LAYOUTS[number % len(LAYOUTS)]
        engine = dice.choice(of_layout[layout])
        seen[engine] = seen.get(engine, 0) + 1
        pattern, card = patterns[layout], next_card + 1 + number
        round_ = next_round + 1 + number
        day = f"{TODAY - timedelta(days=30 + 90 * seen[engine] % 6000):%Y-%m-%d %H:%M:%S}.000000"
        raw.execute(
            f"INSERT INTO card (id, {quoted['card']}) SELECT ?, {quoted['card']} FROM card "
            "WHERE id = ?", (card, pattern),
        )  # fmt: skip
        raw.execute(
            "UPDATE card SET engine_revision_id = ?, opened_at = ?, signed_at = ?, "
            "distance_km = ? WHERE id = ?",
            (newest[engine], day, day, max(100, 150_000 - 3000 * seen[engine]), card),
        )
        raw.execute(
            f"INSERT INTO round (id, card_id, {quoted['round']}) SELECT ?, ?, {quoted['round']} "
            "FROM round WHERE card_id = ?", (round_, card, pattern),
        )  # fmt: skip
        raw.execute(
            f"INSERT INTO gap_reading (round_id, {quoted['gap_reading']}) SELECT ?, "
            f"{quoted['gap_reading']} FROM gap_reading WHERE round_id = "
            "(SELECT id FROM round WHERE card_id = ?)", (round_, pattern),
        )  # fmt: skip
        raw.execute(
            f"INSERT INTO card_event (card_id, key, {quoted['card_event']}) SELECT ?, "
            f"key || '/' || ?, {quoted['card_event']} FROM card_event WHERE card_id = ?",
            (card, card, pattern),
        )
        raw.execute(
            "INSERT INTO finding (rowid, machine, people, words, sizes) SELECT ?, machine, people,"
            " words, sizes FROM finding WHERE rowid = ?", (card, pattern),
        )  # fmt: skip
    raw.execute("UPDATE engine SET outlook = NULL, due_on = NULL")


def _more_pieces(raw: Any, more: int) -> None:
    names = ", ".join(f'"{one}"' for one in _columns(raw, "shim") if one != "id")
    (there,) = raw.execute("SELECT count(*) FROM shim").fetchone()
    for _time in range(max(0, more) // there):
        raw.execute(f"INSERT INTO shim ({names}) SELECT {names} FROM shim WHERE id <= ?", (there,))


def measured(path: Path, cards: int) -> dict[tuple[str, int], float]:
    """Serve a record and return the 95th percentile of each place, 1 client and 4, in empties."""
    database, found = Database(path), {}
    with serving(database) as port, ProcessPoolExecutor(4, get_context("spawn")) as pool:
        empty = median(asked(port, "/api/health", 10 * TRIES))
        list(pool.map(asked, [port] * 4, ["/api/health"] * 4, [20] * 4))  # all four are there
        for name, place in PLACES.items():
            asked(port, place, 3)
            for clients in (1, 4):
                many = pool.map(asked, [port] * clients, [place] * clients, [TRIES] * clients)
                times = [took for one in many for took in one]
                found[name, clients] = quantiles(times, n=20)[-1] / empty
        memory = _memory()
    print(f"{cards} cards: an empty request takes {empty:.2f} ms, {memory:.0f} MB in all")
    database.close()
    return found


def _memory() -> float:
    """Return the megabytes of this process and those it made; what they share counts once."""
    total = 0
    for process in (os.getpid(), *(one.pid for one in active_children() if one.daemon)):
        said = Path(f"/proc/{process}/smaps_rollup").read_text("ascii")
        total += int(said.split("\nPss:")[1].split()[0])
    return total / 1024


def written(port: int, card: int, valves: list[str], seconds: float) -> int:
    """Write readings on one card as fast as they are acknowledged; return how many were."""
    wire, version, done = HTTPConnection("127.0.0.1", port), 1, 0
    begun = perf_counter()
    while perf_counter() - begun < seconds:
        body = {
            "version": version, "key": f"fast-{card}-{done:06}", "purpose": "found",
            "valve": valves[done % len(valves)], "text": str(14 + done % 5), "unit": "mm",
            "repeats": False, "reason": "",
        }  # fmt: skip
        wire.request("POST", f"/api/cards/{card}/acts/gap", json.dumps(body),
                     {"Content-Type": "application/json"})  # fmt: skip
        answer = wire.getresponse()
        said = json.loads(answer.read())
        assert answer.status == 200, said
        version, done = said["version"], done + 1
    wire.close()
    return done


def acts(clients: int = 8, seconds: float = 10.0) -> None:
    """Print how many acknowledged acts a second one record takes from so many at once."""
    with tempfile.TemporaryDirectory() as folder:
        database = Database(Path(folder) / "acts.sqlite3")
        document = entered(Layout.INLINE_FOUR)
        valves = [one["id"] for one in document["engine"]["valves"]]
        engine = register_engine(
            database, label="fast", note="", now=TODAY, document=json.dumps(document)
        )
        cards = [
            open_card(database, engine_id=engine, opened_by="Oda", reason="Fast", now=TODAY).id
            for _one in range(clients)
        ]
        with (
            serving(database) as port,
            ProcessPoolExecutor(clients, get_context("spawn")) as pool,
        ):
            many = pool.map(written, [port] * clients, cards, [valves] * clients,
                            [seconds] * clients)  # fmt: skip
            total = sum(many)
        print(f"{clients} clients: {total / seconds:.0f} acknowledged readings a second, each "
              "answered with its whole 16-valve card")  # fmt: skip
        database.close()


def main(*sizes: int) -> None:
    """Print the table: each place at each size, as multiples of an empty request."""
    tables = {}
    for cards in sizes:
        with tempfile.TemporaryDirectory() as folder:
            path, begun = Path(folder) / "many.sqlite3", perf_counter()
            engines = max(4, cards // 20)
            filled(path, cards, engines, max(100, 2 * cards))
            size = path.stat().st_size / 1e6
            print(f"{cards} cards, {engines} engines, {max(100, 2 * cards)} pieces: "
                  f"{size:.0f} MB, made in {perf_counter() - begun:.0f} s")  # fmt: skip
            # each size in a process of its own: memory is its own
            with ProcessPoolExecutor(1, get_context("spawn")) as pool:
                tables[cards] = pool.submit(measured, path, cards).result()
    print(f"{'p95, in empty requests':<26}" + "".join(f"{c:>12} {'':>7}" for c in sizes))
    print(f"{'':<26}" + f"{'1 client':>12}{'4':>8}" * len(sizes))
    for name in PLACES:
        cells = "".join(f"{tables[c][name, 1]:>12.1f}{tables[c][name, 4]:>8.1f}" for c in sizes)
        print(f"{name:<26}{cells}")


if __name__ == "__main__":
    acts()
    main(*(int(word) for word in sys.argv[1:] or ("10", "1000", "10000")))

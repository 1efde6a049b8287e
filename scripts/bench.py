"""Measure the sums and print how long they take on this machine."""

import json
import random
import socket
import tempfile
from collections.abc import Iterator
from concurrent.futures import ProcessPoolExecutor
from contextlib import contextmanager
from functools import partial
from http.client import HTTPConnection
from multiprocessing import get_context
from pathlib import Path
from statistics import median, quantiles
from time import perf_counter
from typing import Any

import numpy as np
from scipy.optimize import linear_sum_assignment

from plimb.card.acting import Change
from plimb.card.acts.feel import write_down_gap
from plimb.card.acts.opening import open_card
from plimb.card.acts.read import write_down_shim
from plimb.card.build import read_card
from plimb.core.engine.turning import Method, plan_turning
from plimb.core.lengths import Unit, mm
from plimb.core.measure.blades import Blade, BladeSet, Tried, next_blade
from plimb.core.measure.gap import between
from plimb.core.measure.limits import parse_limits
from plimb.core.plan.request import PlanRequest, Policy, Stock
from plimb.core.plan.rows import PlanRow
from plimb.core.plan.search import plan_engine
from plimb.files.engine_file import EngineFile
from plimb.files.starting_point import Layout, Start, starting_point
from plimb.record.database import Database
from plimb.shop.clock import utc_now
from plimb.shop.drawer import add_pieces, read_drawer
from plimb.shop.engines import register_engine
from plimb.web.server.application import create_app
from plimb.web.server.serving import application
from plimb.web.server.workers import Workers

TRIES = 30


def measure(name: str, work: Any) -> float:
    """Print the median and the slowest of some tries, in milliseconds; return the median."""
    times = []
    for _try in range(TRIES):
        begun = perf_counter()
        work()
        times.append((perf_counter() - begun) * 1000)
    print(f"{name:<58} median {median(times):7.2f} ms, slowest {max(times):7.2f} ms")
    return median(times)


def turning() -> None:
    """Plan the turning of every layout with four valves a cylinder."""
    for layout in Layout:
        engine = EngineFile.model_validate(starting_point(Start(layout=layout))).to_core()
        valves = len(engine.clearances)
        measure(f"turning, {layout}, {valves} valves", lambda engine=engine: plan_turning(engine))
    measure("turning by the lobe, 24 valves", lambda: plan_turning(engine, method=Method.LOBE))


def blades() -> None:
    """Ask for the next blade of a 32-blade set with stacks, nothing remembered in between."""
    made = tuple(Blade(nominal_nm=mm(f"0.{30 + 19 * n + n * n % 7:03}")) for n in range(32))
    blade_set = BladeSet(name="bench", blades=made)
    limits = parse_limits("0.14-0.21", Unit.MM)

    def ask() -> None:
        next_blade.cache_clear()
        next_blade(Tried(), limits, blade_set)

    measure(f"next blade, 32 blades, {len(blade_set.tries())} thicknesses with stacks", ask)


def entered(layout: Layout) -> dict[str, Any]:
    """Return an engine of that layout with what its manual would say typed in."""
    document = starting_point(Start(layout=layout))
    document["engine"]["spec"] = {
        "intake": {"min": 0.15, "max": 0.22}, "exhaust": {"min": 0.22, "max": 0.30},
    }  # fmt: skip
    document["engine"]["family"] = {
        "diameter": 9.48, "price": 8.5, "runs": [{"from": 1.2, "to": 3.5, "step": 0.05}],
    }  # fmt: skip
    return document


def asked_for(valves: int, pieces: int) -> PlanRequest:
    """Return an engine of so many valves, most of them out, with a drawer of so many pieces."""
    dice = random.Random(valves)
    layout = {4: Layout.SINGLE, 8: Layout.PARALLEL_TWIN, 16: Layout.INLINE_FOUR}.get(
        valves, Layout.STRAIGHT_SIX
    )
    engine = EngineFile.model_validate(entered(layout)).to_core()
    rows = []
    for number in range(valves):
        clearance = engine.clearances[number % len(engine.clearances)]
        low = dice.randrange(5, 35) * mm("0.01")
        rows.append(
            PlanRow(
                clearance=clearance,
                gap=between(low, low + mm("0.02")),
                piece_nm=mm("2.40") + dice.randrange(400) * mm("0.001"),
            )
        )
    kind = engine.clearances[0].family.kind
    sizes = {mm("2.2") + dice.randrange(800) * mm("0.001") for _piece in range(pieces)}
    drawer = tuple(Stock(thickness_nm=size, kind=kind) for size in sorted(sizes))
    return PlanRequest(rows=tuple(rows), drawer=drawer, policy=Policy())


def plans() -> None:
    """Plan whole engines against one bare assignment of the same size in the same run."""
    dice = np.random.default_rng(4)
    for valves, pieces in ((16, 200), (24, 1000)):
        costs = dice.random((valves, valves + pieces))
        bare = measure(
            f"one bare assignment, {valves} × {valves + pieces}",
            lambda costs=costs: linear_sum_assignment(costs),
        )
        request = asked_for(valves, pieces)
        whole = measure(
            f"plan, {valves} valves, {pieces} pieces", lambda request=request: plan_engine(request)
        )
        print(f"{'':<58} {whole / bare:.0f} × the bare assignment")
    for valves in (4, 8, 16, 24, 32):
        request = asked_for(valves, 200)
        measure(f"plan, {valves} valves, 200 pieces", lambda request=request: plan_engine(request))


def asked(port: int, path: str, times: int) -> list[float]:
    """Return how long each of so many requests of one client took, in milliseconds."""
    wire = HTTPConnection("127.0.0.1", port)
    took = []
    for _try in range(times):
        begun = perf_counter()
        wire.request("GET", path)
        answer = wire.getresponse()
        assert (answer.read(), answer.status)[1] == 200
        took.append((perf_counter() - begun) * 1000)
    wire.close()
    return took


@contextmanager
def serving(database: Database) -> Iterator[int]:
    """Serve a record as `plimb serve` does, in processes of its own; give the port."""
    listener = socket.create_server(("127.0.0.1", 0))
    port: int = listener.getsockname()[1]
    load = partial(application, database.path, create_app, None, "127.0.0.1", ())
    process = get_context("fork").Process(target=lambda: Workers(listener).run(load))
    process.start()
    listener.close()
    wire = HTTPConnection("127.0.0.1", port, timeout=60)
    wire.request("GET", "/api/health")
    wire.getresponse().read()
    yield port
    process.terminate()
    process.join()


def served() -> None:
    """Serve a 24-valve card's plan against an empty JSON request to the same application."""
    with tempfile.TemporaryDirectory() as folder:
        database = Database(Path(folder) / "bench.sqlite3")
        document = json.dumps(entered(Layout.STRAIGHT_SIX))
        number = register_engine(database, label="bench", note="", document=document, now=utc_now())
        card = open_card(
            database, engine_id=number, opened_by="bench", reason="bench", distance=None,
            now=utc_now(),
        )  # fmt: skip
        dice = random.Random(24)
        with database.reading() as session:
            order = read_card(session, card.id).status.order

        def change() -> Change:
            key = f"bench-{card.version:05}"
            return Change(card_id=card.id, version=card.version, key=key, now=utc_now())

        for valve in order:
            low = dice.randrange(5, 30)
            card = write_down_gap(database, change(), valve=valve, purpose="found", unit=Unit.MM,
                                  text=f"{low}-{low + 2}")  # fmt: skip
        for valve in order:
            card = write_down_shim(database, change(), valve=valve,
                                   text=f"2.{dice.randrange(400, 800)}")  # fmt: skip
        with database.reading() as session:
            family = read_drawer(session).families[0].id
        pieces = ", ".join(f"2.{dice.randrange(200, 999)}" for _piece in range(200))
        add_pieces(database, family_id=family, text=pieces, now=utc_now())
        with serving(database) as port:
            empty = median(asked(port, "/api/health", 10 * TRIES))
            print(f"{'request, empty JSON':<58} median {empty:7.2f} ms")
            for what in ("", "/plan"):
                place = f"/api/cards/{card.id}{what}"
                asked(port, place, 3)
                for clients in (1, 4):
                    # clients are processes of their own, as browsers are
                    with ProcessPoolExecutor(clients, get_context("spawn")) as pool:
                        list(pool.map(asked, [port] * clients, [place] * clients, [3] * clients))
                        many = pool.map(asked, [port] * clients, [place] * clients,
                                        [2 * TRIES] * clients)  # fmt: skip
                        times = [took for one in many for took in one]
                    late = quantiles(times, n=20)[-1]
                    name = f"request, 24-valve card{what}, 200 pieces, {clients} client(s)"
                    print(f"{name:<58} median {median(times):7.2f} ms, p95 {late:7.2f} ms, "
                          f"{late / empty:.0f} × the empty one")  # fmt: skip
        database.close()


if __name__ == "__main__":
    turning()
    blades()
    plans()
    served()

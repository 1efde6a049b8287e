"""A simulated parts counter: a small service of its own with stock, prices, lead times.

It stands in for the counter of a dealer. What it has in stock follows from the size alone, so
that it is the same each time; what is ordered is taken out of the stock. Now and then it
refuses a size. An order that is sent twice with one key is taken once.
"""

import logging
from decimal import Decimal
from threading import Lock, Thread
from typing import Any
from zlib import crc32

from flask import Flask, jsonify, request
from werkzeug.serving import make_server

BACK_ORDER_DAYS = 7
USUAL_PRICE = Decimal("7.90")
MOST_LINES = 200


class Counter:
    """The counter's shelves. Sizes and diameters are nanometres."""

    def __init__(self, refuses_one_in: int = 23) -> None:
        self._refuses_one_in = refuses_one_in
        self._taken: dict[tuple[int, int], int] = {}
        self._orders: dict[str, dict[str, Any]] = {}
        self._lock = Lock()

    def stock(self, diameter_nm: int, thickness_nm: int) -> int:
        """Return how many of a size lie on the shelf."""
        begun = _dice(diameter_nm, thickness_nm) % 5
        return max(0, begun - self._taken.get((diameter_nm, thickness_nm), 0))

    def quote(self, diameter_nm: int, thickness_nm: int, count: int) -> dict[str, Any]:
        """Return what the counter says of one size: ready, back-ordered or refused."""
        dice = _dice(diameter_nm, thickness_nm)
        line = {"diameter_nm": diameter_nm, "thickness_nm": thickness_nm, "count": count}
        if dice // 7 % self._refuses_one_in == 0:
            says = "This size is not made any more; take its neighbour."
            return {**line, "state": "refused", "price": None, "days": 0, "says": says}
        price = USUAL_PRICE + Decimal(dice // 11 % 5) * Decimal("0.20")
        there = self.stock(diameter_nm, thickness_nm)
        if there >= count:
            return {**line, "state": "ready", "price": f"{price:f}", "days": 0,
                    "says": f"{there} on the shelf."}  # fmt: skip
        says = f"{there} on the shelf; the rest comes in {BACK_ORDER_DAYS} days."
        return {**line, "state": "back-ordered", "price": f"{price:f}", "days": BACK_ORDER_DAYS,
                "says": says}  # fmt: skip

    def order(self, key: str, lines: list[tuple[int, int, int]]) -> dict[str, Any]:
        """Take an order and answer line by line; the same key is answered the same way."""
        with self._lock:
            if key in self._orders:
                return self._orders[key]
            answered = []
            for diameter_nm, thickness_nm, count in lines:
                line = self.quote(diameter_nm, thickness_nm, count)
                if line["state"] != "refused":
                    size = (diameter_nm, thickness_nm)
                    self._taken[size] = self._taken.get(size, 0) + count
                answered.append(line)
            number = f"C{1001 + len(self._orders)}"
            self._orders[key] = {"number": number, "lines": answered}
            return self._orders[key]


def _dice(diameter_nm: int, thickness_nm: int) -> int:
    return crc32(f"{diameter_nm}/{thickness_nm}".encode())


def create_counter(counter: Counter | None = None) -> Flask:
    """Return the counter as a web application."""
    app = Flask(__name__, static_folder=None)
    shelves = counter or Counter()

    @app.post("/quotes")
    def quote() -> Any:
        lines = _lines(request.get_json(silent=True))
        if lines is None:
            return jsonify({"says": "An enquiry is a list of lines."}), 400
        return jsonify({"lines": [shelves.quote(*line) for line in lines]})

    @app.post("/orders")
    def order() -> Any:
        body = request.get_json(silent=True) or {}
        lines = _lines(body)
        if not lines or not isinstance(body.get("key"), str):
            return jsonify({"says": "An order has a key and at least one line."}), 400
        return jsonify(shelves.order(body["key"], lines)), 201

    return app


def _lines(body: Any) -> list[tuple[int, int, int]] | None:
    """Return diameter, thickness and count of each line, or None where it is not an order."""
    lines = body.get("lines") if isinstance(body, dict) else None
    if not isinstance(lines, list) or len(lines) > MOST_LINES:
        return None
    try:
        read = [(int(n["diameter_nm"]), int(n["thickness_nm"]), int(n["count"])) for n in lines]
    except (KeyError, TypeError, ValueError):
        return None
    return read if all(1 <= count <= 99 for _d, _t, count in read) else None


def run_counter(port: int = 0, counter: Counter | None = None) -> str:
    """Serve the counter on this machine from a thread of its own; return its address."""
    logging.getLogger("werkzeug").setLevel(logging.WARNING)  # it says every request else
    server = make_server("127.0.0.1", port, create_counter(counter), threaded=True)
    Thread(target=server.serve_forever, daemon=True, name="parts counter").start()
    return f"http://127.0.0.1:{server.server_port}"

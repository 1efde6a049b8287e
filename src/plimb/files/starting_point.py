"""An engine to start from: the file of a common layout, to be corrected by hand."""

from dataclasses import dataclass
from enum import StrEnum
from typing import Any

from plimb.core.engine.engine import Side
from plimb.core.engine.followers import Follower, kind_of
from plimb.core.errors import BadValue


class Layout(StrEnum):
    """The layouts an engine editor starts from."""

    SINGLE = "single"
    PARALLEL_TWIN = "parallel-twin"
    V_TWIN = "v-twin"
    L_TWIN = "l-twin"
    TRIPLE = "triple"
    INLINE_FOUR = "inline-four"
    V_FOUR = "v-four"
    FLAT_FOUR = "flat-four"
    INLINE_FIVE = "inline-five"
    STRAIGHT_SIX = "straight-six"
    FLAT_SIX = "flat-six"
    V_EIGHT = "v-eight"
    V_TWELVE = "v-twelve"


@dataclass(frozen=True, slots=True, kw_only=True)
class Start:
    """What an engine is, in a few words.

    `firing` is one of the layout's in `FIRINGS`, empty where nobody has said when the cylinders
    fire; without one the first of them is taken, or `angle`: the crank offset of a parallel
    twin, or the angle between the cylinders of a V or L.
    """

    layout: Layout
    valves: int = 4
    camshafts: int = 2
    follower: Follower = Follower.BUCKET_UNDER
    angle: int | None = None
    reversed_head: bool = False
    crank_along: bool = False
    firing: str | None = None


FIRINGS: dict[Layout, tuple[str, ...]] = {
    Layout.PARALLEL_TWIN: ("270", "180", "360"),
    Layout.V_TWIN: ("90", "75", "60"),
    Layout.TRIPLE: ("1-2-3", "1-3-2"),
    Layout.INLINE_FOUR: ("1-3-4-2", "1-2-4-3"),
    Layout.FLAT_FOUR: ("1-3-2-4", "1-4-2-3"),
    Layout.INLINE_FIVE: ("1-2-4-5-3",),
    Layout.STRAIGHT_SIX: ("1-5-3-6-2-4", "1-4-2-6-3-5"),
    Layout.FLAT_SIX: ("1-6-2-4-3-5", "1-4-5-2-3-6"),
    Layout.V_EIGHT: ("1-8-4-3-6-5-7-2", "1-5-4-8-6-3-7-2"),
    Layout.V_TWELVE: ("1-7-5-11-3-9-6-12-2-8-4-10", "1-12-5-8-3-10-6-7-2-11-4-9"),
}
"""How the cylinders of a layout are met to fire (common practice): orders, evenly spaced, or the
crank offset of a twin, or the angle of its V. A layout without a row fixes it, or is typed."""

ALONG = (Layout.FLAT_FOUR, Layout.FLAT_SIX, Layout.V_EIGHT, Layout.V_TWELVE)
"""Layouts whose crank lies along the machine (common practice)."""

MOST_CLEARANCES = 48
_ANGLES = {
    Layout.PARALLEL_TWIN: (270, (180, 270, 360)),
    Layout.V_TWIN: (90, (60, 75, 90)),
    Layout.L_TWIN: (90, (90,)),
}
_POSITIONS = {1: ("",), 2: ("left", "right"), 3: ("left", "centre", "right")}
_ENDWISE = {"left": "front", "right": "rear"}
_LETTERS = {"left": "L", "right": "R", "centre": "C", "front": "Fr", "rear": "Re", "": ""}
_SIDES = {2: (1, 1), 3: (2, 1), 4: (2, 2), 5: (3, 2)}


def starting_point(start: Start) -> dict[str, Any]:
    """Return an engine file for the layout, with nothing in it but what the layout fixes.

    Firing angles are the usual ones of each layout (common practice).

    Raises:
        BadValue: The layout is not met with so many valves, camshafts or that angle.
    """
    if start.valves not in _SIDES:
        raise BadValue("valves a cylinder: 2, 3, 4 or 5.", field="valves")
    if start.camshafts not in (1, 2):
        raise BadValue("camshafts a bank: 1 or 2.", field="camshafts")
    usual, allowed = _ANGLES.get(start.layout, (0, (0,)))
    angle = usual if start.angle is None else start.angle
    if start.layout in _ANGLES and angle not in allowed:
        raise BadValue(
            f"angle of a {start.layout}: {', '.join(map(str, allowed))} degrees.", field="angle"
        )
    fires = _firing(start, angle)
    along = start.crank_along or start.layout in ALONG
    banks = _banks(start.layout, list(fires), along)
    if start.reversed_head:
        flipped = {"front": "rear", "rear": "front", "left": "right", "right": "left"}
        banks = [{**bank, "intake": flipped[bank["intake"]]} for bank in banks]
    valves = _valves(start, banks, along)
    if len(valves) > MOST_CLEARANCES:
        raise BadValue(
            f"That makes {len(valves)} clearances; an engine has at most {MOST_CLEARANCES}.",
            field="valves",
        )
    return {
        "format": "plimb-engine",
        "version": 1,
        "unit": "mm",
        "engine": {
            "name": _name_of(start.layout),
            "source": "",
            "page": "",
            "follower": start.follower.value,
            "camshaft_out": kind_of(start.follower).camshaft_out,
            "crank": {
                "cylinders": [
                    {"number": n} if start.firing == "" else {"number": n, "fires_at": fires[n]}
                    for n in sorted(fires)
                ],
                "marks": [],
            },
            "camshafts": _camshafts(banks, start.camshafts),
            "valves": valves,
            "spec": {"intake": {}, "exhaust": {}},
            "family": {"runs": []},
            "layout": {"crank": "along" if along else "across", "banks": banks},
        },
    }


def _firing(start: Start, angle: int) -> dict[int, int]:
    """Return the firing angle of each cylinder."""
    layout, known = start.layout, FIRINGS.get(start.layout, ())
    firing = start.firing or next(iter(known), "")
    if firing and firing not in known:
        raise BadValue(f"firing of a {layout}: {' or '.join(known)}.", field="firing")
    if layout in _ANGLES and start.firing:
        angle = int(start.firing)
    if layout is Layout.PARALLEL_TWIN:
        return {1: 0, 2: angle}
    if layout in (Layout.V_TWIN, Layout.L_TWIN):
        return {1: 0, 2: 360 - angle}
    if layout is Layout.V_FOUR:
        return {1: 0, 3: 180, 2: 450, 4: 630}
    even = [int(number) for number in firing.split("-")] if firing else [1]
    return {number: place * 720 // len(even) for place, number in enumerate(even)}


def _banks(layout: Layout, numbers: list[int], along: bool) -> list[dict[str, Any]]:
    """Return the banks, the foremost (or leftmost) first."""
    if layout is Layout.FLAT_FOUR:
        return [
            {"id": "left", "cylinders": [2, 4], "intake": "right"},
            {"id": "right", "cylinders": [1, 3], "intake": "left"},
        ]
    if layout in (Layout.FLAT_SIX, Layout.V_EIGHT, Layout.V_TWELVE):
        half = len(numbers) // 2
        return [
            {"id": "left", "cylinders": sorted(numbers)[:half], "intake": "right"},
            {"id": "right", "cylinders": sorted(numbers)[half:], "intake": "left"},
        ]
    if layout is Layout.V_FOUR:
        pairs = (("front", [2, 4]), ("rear", [1, 3]))
    elif layout in (Layout.V_TWIN, Layout.L_TWIN):
        names = ("front", "rear") if layout is Layout.V_TWIN else ("horizontal", "vertical")
        pairs = ((names[0], [1]), (names[1], [2]))
    else:
        side = "right" if along else "rear"
        return [{"id": "head", "cylinders": sorted(numbers), "intake": side}]
    near, far = ("right", "left") if along else ("rear", "front")
    return [
        {"id": name, "cylinders": cylinders, "intake": intake}
        for (name, cylinders), intake in zip(pairs, (near, far), strict=True)
    ]


def _camshafts(banks: list[dict[str, Any]], count: int) -> list[dict[str, Any]]:
    several = len(banks) > 1
    shafts: list[dict[str, Any]] = []
    for bank in banks:
        prefix = f"{bank['id']} " if several else ""
        if count == 1:
            shafts.append({"id": f"{prefix}CAM"})
        else:
            shafts += [
                {"id": f"{prefix}IN", "side": "intake"},
                {"id": f"{prefix}EX", "side": "exhaust"},
            ]
    return shafts


def _valves(start: Start, banks: list[dict[str, Any]], along: bool) -> list[dict[str, Any]]:
    many = sum(len(bank["cylinders"]) for bank in banks) > 1
    prefix = {c: f"{bank['id']} " for bank in banks for c in bank["cylinders"]}
    twice = kind_of(start.follower).closers
    valves: list[dict[str, Any]] = []
    for number in sorted(prefix):
        for side, count in zip(Side, _SIDES[start.valves], strict=True):
            letters = "IN" if side is Side.INTAKE else "EX"
            for across in _POSITIONS[count]:
                position = _ENDWISE.get(across, across) if along else across
                name = " ".join(
                    part
                    for part in (str(number) if many else "", letters, _LETTERS[position])
                    if part
                )
                shaft = letters if start.camshafts == 2 else "CAM"
                valve = {
                    "id": name,
                    "cylinder": number,
                    "side": side.value,
                    "camshaft": (prefix[number] if len(banks) > 1 else "") + shaft,
                }
                if position:
                    valve["position"] = position
                if twice:
                    valves.append({**valve, "id": f"{name} op", "action": "open"})
                    valves.append({**valve, "id": f"{name} cl", "action": "close"})
                else:
                    valves.append(valve)
    return valves


def _name_of(layout: Layout) -> str:
    return f"New {layout.replace('-', ' ')}"


def name_given(name: str) -> str:
    """Return what somebody called an engine: nothing where it has the name that it began with."""
    return "" if name in map(_name_of, Layout) else name

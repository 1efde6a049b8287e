"""Reads a plan's sentences back and holds every claim in them against the figures alone.

It knows nothing of the application: a case is plain numbers in millimetres, and a sentence is
what somebody reads. What it cannot read, or finds untrue, it raises.
"""

import re
from collections.abc import Callable, Mapping, Sequence
from typing import Any

import numpy as np

Case = Mapping[str, Any]
"""`valves` by name, `drawer` of (thickness, kind, how many), `forbidden` of (valve, thickness),
`reuse`, `buy`, `moves` by valve, `out` camshafts that come out."""

EPS = 0.0006
"""Half of the last figure that is shown, and a little."""
FEEL, DRAG, CALLED = 0.004, 0.005, 0.008
"""How far a hand's feel, a blade that drags and a called number leave room (as documented)."""

N = r"(−?\d+\.\d+)"
SUM = rf"(?:\(?{N}(?:–{N})?\)?|~ {N}) \+ {N} − {N} = (?:{N}(?:–{N})?|~ {N})"
SURE = r"(\d+) %"
PLACE = r"(?:out of (\S+)|from the drawer|from the counter)"
NEEDS = rf"It needs {N} (?:to {N}|or (thinner|thicker))\.|What it needs is not known yet\."


class Untrue(AssertionError):
    """A sentence says what is not so."""


def num(text: str | None) -> float:
    return float((text or "nan").replace("−", "-"))


def holds(so: bool, what: str) -> None:
    if not so:
        raise Untrue(what)


class Reader:
    """One valve's sentence, read off clause by clause."""

    def __init__(self, case: Case, name: str, text: str) -> None:
        self.case, self.name, self.rest = case, name, text
        self.valve, self.move = case["valves"][name], case["moves"][name]
        self.pinned = False

    # what is known ------------------------------------------------------------------

    @property
    def best(self) -> float:
        """Return the best number: where nothing went, the blade that refused at the most."""
        low, high, called = self.valve["gap"]
        if self.valve["none"]:
            return high
        return called if called is not None else (low + high) / 2

    def after(self, thickness: float) -> float:
        return self.best + self.valve["piece"] - thickness

    def lands(self, thickness: float) -> bool:
        low, high = self.valve["check"]
        return low - 1e-9 <= self.after(thickness) <= high + 1e-9

    def at_hand(self) -> list[tuple[float, str | None]]:
        """Return the sound pieces of its kind that are not its own, and whose they are.

        One in a valve that nobody has measured is not at hand.
        """
        kind = self.valve["kind"]
        found = [
            (other["piece"], name)
            for name, other in self.case["valves"].items()
            if name != self.name and other["known"] and not other["scrap"]
            and other["kind"] == kind
        ]  # fmt: skip
        found += [(nm, None) for nm, of, _many in self.case["drawer"] if of == kind]
        return found

    def chance(self, thickness: float | None, limits: Sequence[float], new: float) -> float:
        """Return the share of drawn gaps that end between two limits."""
        low, high, called = self.valve["gap"]
        kept = thickness is None
        point = low == high
        if called is not None and not point:
            high, low = high + FEEL, max(low - FEEL, called - CALLED)
            high = min(high, called + CALLED)
        elif point:
            low, high = low - DRAG, high + DRAG
        elif not kept:
            low, high = low - FEEL, high + FEEL
        elif limits[0] <= low and high <= limits[1]:
            return 1.0  # the minimum went, the maximum refused
        spread = [np.linspace(low, high, 201)]
        if not kept:
            spread[0] = spread[0] + self.valve["piece"] - thickness
            for half in (self.valve["old"], new):
                spread.append(np.linspace(-half, half, 21))
        total = spread[0]
        for more in spread[1:]:
            total = (total[:, None] + more[None, :]).ravel()
        inside = (total >= limits[0] - 1e-9) & (total <= limits[1] + 1e-9)
        return float(inside.mean())

    def is_chance(self, said: str, chance: float) -> None:
        holds(abs(int(said) / 100 - chance) <= 0.035, f"{said} % where {chance:.3f}")

    # clauses ------------------------------------------------------------------------

    def take(self, pattern: str) -> re.Match[str] | None:
        """Take a clause off the front of what is left."""
        found = re.match(pattern, self.rest)
        if found:
            self.rest = self.rest[found.end() :].lstrip()
        return found

    def read(self) -> str:
        """Read the whole sentence; return its class."""
        self.pinned = self.take("Decided by hand. ") is not None
        for name, pattern, check in CLASSES:
            found = self.take(pattern)
            if found:
                check(self, found)
                holds(self.rest == "", f"not read: {self.rest!r}")
                return name
        raise Untrue(f"not read: {self.rest!r}")

    def sum_is_so(self, groups: Sequence[str | None]) -> None:
        """Check gap + old − new = gap after, and that each figure is this valve's."""
        low, high, called, old, new, after_low, after_high, after_called = map(num, groups)
        gap_low, gap_high, gap_called = self.valve["gap"]
        thinner = self.valve["piece"] - self.move["thickness"]
        for said, true in ((old, self.valve["piece"]), (new, self.move["thickness"])):
            holds(abs(said - true) < EPS, f"{said} where {true}")
        if called == called:
            holds(abs(called - gap_called) < EPS, f"called {called}")
            holds(abs(after_called - gap_called - thinner) < EPS, f"after {after_called}")
            return
        ends = ((low, after_low, gap_low), (high, after_high, gap_high))
        for said, after, true in ends[: 1 if high != high else 2]:
            holds(abs(said - true) < EPS, f"gap {said} where {true}")
            holds(abs(after - true - thinner) < EPS, f"after {after} where {true + thinner}")

    def stands_is_so(self) -> None:
        """Read how it stands: in range, in the set range, or how sure."""
        piece, limits, set_ = self.move["thickness"], self.valve["check"], self.valve["set"]
        new = self.move["doubt"]
        whole = self.valve["gap"][0] + self.valve["piece"] - piece >= limits[0] - 1e-9 and (
            self.valve["gap"][1] + self.valve["piece"] - piece <= limits[1] + 1e-9
        )
        inside = bool(set_) and set_[0] - 1e-9 <= self.after(piece) <= set_[1] + 1e-9
        if found := self.take(rf"(in range, )?{SURE} sure to be in the set range\.?"):
            holds(inside, "not in the set range")
            self.is_chance(found[2], self.chance(piece, set_, new))
            holds(found[1] is None or whole, "not in range for sure")
        elif found := self.take(
            rf"(?:(in the check range)|{SURE} sure to be in it), but not in the set range\.?"
        ):
            holds(bool(set_) and not inside, "in the set range")
            if found[1]:
                holds(whole, "not in the check range for sure")
            else:
                self.is_chance(found[2], self.chance(piece, limits, new))
        elif found := self.take(rf"{SURE} sure to be in range\.?"):
            self.is_chance(found[1], self.chance(piece, limits, new))
        elif self.take(r"in range\.?"):
            holds(whole, "not in range for sure")
        else:
            raise Untrue(f"not read: {self.rest!r}")

    def needs_is_so(self) -> None:
        found = self.take(NEEDS)
        if not found:
            raise Untrue(f"not read: {self.rest!r}")
        thin, thick, way = num(found[1]), num(found[2]), found[3]
        if thin == thin and thick == thick:
            holds(self.lands((thin + thick) / 2), f"{thin} to {thick} does not bring it in")
        elif way == "thinner":
            holds(thin < self.valve["piece"] + EPS, f"{thin} is not thinner than what is in")

    def fate_is_so(self) -> None:
        """Read what becomes of the likeliest piece at hand."""
        reuse, hand = self.case["reuse"], self.at_hand()
        moves, valves = self.case["moves"], self.case["valves"]

        def there(text: str) -> float:
            sizes = [nm for nm, _holder in hand if abs(nm - num(text)) < EPS]
            holds(reuse and bool(sizes), f"there is no {text} at hand")
            holds(any(self.lands(nm) for nm in sizes), f"{text} does not land in range")
            return sizes[0]

        if self.take(
            r"Nothing (?:else )?at hand lands in range\.|Nothing at hand brings it into range\."
        ):
            holds(reuse and not any(self.lands(nm) for nm, _holder in hand), "something lands")
        elif self.take(r"Only new shims are wanted\."):
            holds(not reuse, "used pieces are wanted")
        elif found := self.take(rf"The {N} at hand (?:that would bring it in )?serves (\S+)\."):
            piece = there(found[1])
            taker = moves[found[2]]
            holds(taker["changes"] and abs(taker["thickness"] - piece) < EPS, "it serves another")
        elif found := self.take(rf"The {N} that would (?:do|bring it in) stays in (\S+)\."):
            there(found[1])
            self.stays(found[2], found[1])
        elif found := self.take(rf"The {N} in (\S+), {SURE} sure here, stays there\."):
            there(found[1])
            self.stays(found[2], found[1])
            self.is_chance(found[3], self.chance(num(found[1]), self.held(num(found[1])),
                                                 valves[found[2]]["old"]))  # fmt: skip
        elif found := self.take(rf"The {N} at hand (?:that would bring it in )?is ruled out\."):
            piece = there(found[1])
            ruled = [nm for valve, nm in self.case["forbidden"] if valve == self.name]
            holds(any(abs(nm - piece) < EPS for nm in ruled), "it is not ruled out")
        elif found := self.take(rf"The {N} at hand would be {SURE} sure\."):
            there(found[1])
        else:
            raise Untrue(f"not read: {self.rest!r}")

    def held(self, piece: float) -> Sequence[float]:
        set_ = self.valve["set"]
        inside = set_ and set_[0] - 1e-9 <= self.after(piece) <= set_[1] + 1e-9
        return set_ if inside else self.valve["check"]

    def stays(self, valve: str, piece: str) -> None:
        holds(abs(self.case["valves"][valve]["piece"] - num(piece)) < EPS, f"not in {valve}")
        holds(not self.case["moves"][valve]["changes"], f"{valve} changes")


def _bought(r: Reader, found: re.Match[str]) -> None:
    if found[1]:
        r.is_chance(found[1], r.chance(None, r.valve["check"], 0.0))
    r.fate_is_so()
    buy = r.take(rf"Buy {N}: {SUM}, ")
    if not buy:
        raise Untrue(f"not read: {r.rest!r}")
    holds(r.move["source"] == "counter", "nothing is bought")
    holds(r.case["buy"] or r.pinned, "nothing may be bought")
    holds(abs(num(buy[1]) - r.move["thickness"]) < EPS, "another one is bought")
    holds(any(abs(num(buy[1]) - size) < EPS for size in r.valve["sizes"]), "no such size")
    r.sum_is_so(buy.groups()[1:])
    r.stands_is_so()


def _taken(r: Reader, found: re.Match[str]) -> None:
    holds(r.move["source"] in ("engine", "drawer"), "it is bought")
    holds(found[2] == r.move["from"], f"not out of {found[2]}")
    holds(abs(num(found[1]) - r.move["thickness"]) < EPS, "another one")
    r.sum_is_so(found.groups()[2:])
    r.stands_is_so()
    if nearer := r.take(rf"A bought {N} would give {N}, nearer to the aim\."):
        size = num(nearer[1])
        holds(any(abs(size - one) < EPS for one in r.valve["sizes"]), "no such size")
        holds(abs(r.after(size) - num(nearer[2])) < EPS, "another gap")
        aim = r.valve["aim"](r.held(r.move["thickness"]))
        holds(abs(r.after(size) - aim) < abs(r.after(r.move["thickness"]) - aim), "not nearer")


def _out(way: str) -> Callable[[Reader, re.Match[str]], None]:
    def check(r: Reader, found: re.Match[str]) -> None:
        r.sum_is_so(found.groups()[1:])
        low, high = r.valve["check"]
        after = r.after(r.move["thickness"])
        holds(not low <= after <= high, "it is in range")
        if way == "closer":
            off = max(low - r.best, r.best - high)
            holds(max(low - after, after - high) < off, "not closer")
        holds((after <= 1e-9) is (way == "open"), "held open or not")
        r.needs_is_so()

    return check


def _stays(r: Reader, found: re.Match[str]) -> None:
    low, high = r.valve["check"]
    gap_low, gap_high, _called = r.valve["gap"]
    holds(low <= gap_low and gap_high <= high, "not in range")
    holds(not r.move["changes"], "its shim changes")
    if found[1]:
        holds(r.valve["shaft"] not in r.case["out"], "its camshaft comes out")


def _likely(r: Reader, found: re.Match[str]) -> None:
    r.is_chance(found[1], r.chance(None, r.valve["check"], 0.0))
    holds(not r.move["changes"], "its shim changes")


def _none(r: Reader, found: re.Match[str]) -> None:
    holds(not found[1] or r.valve["scrap"], "its shim is no scrap")
    r.fate_is_so()
    land = [size for size in r.valve["sizes"] if r.lands(size)]
    if r.take(r"No size that is sold brings it in\."):
        holds(not (r.case["buy"] and land), "a size that is sold brings it in")
    elif r.take(r"The sizes that would bring it in are ruled out\."):
        holds(r.case["buy"] and bool(land), "no size would bring it in")
    else:
        holds(not r.case["buy"], "nothing is said of what is sold")
    r.needs_is_so()


def _for_now(r: Reader, found: re.Match[str]) -> None:
    holds(r.valve["none"], "a gap was felt")
    holds(r.move["thickness"] < r.valve["piece"], "not thinner")
    holds(abs(num(found[2] or found[3]) - r.move["thickness"]) < EPS, "another one")
    holds((r.move["source"] == "counter") is bool(found[2]), "bought or not")


def _no_gap(r: Reader, _found: re.Match[str]) -> None:
    holds(r.valve["none"], "a gap was felt")
    r.needs_is_so()


def _nothing(r: Reader, _found: re.Match[str]) -> None:
    holds(r.valve["gap"] is None, "it is measured")


def _unread(r: Reader, _found: re.Match[str]) -> None:
    holds(r.valve["piece"] is None, "its shim is read")


def _leaves(r: Reader, _found: re.Match[str]) -> None:
    takers = [name for name, move in r.case["moves"].items() if move["from"] == r.name]
    holds(bool(takers) and not r.move["changes"], "its shim goes nowhere")
    r.needs_is_so()


def _gone(r: Reader, _found: re.Match[str]) -> None:
    r.needs_is_so()


def _unsaid(_r: Reader, _found: re.Match[str]) -> None:
    return


CLASSES: Sequence[tuple[str, str, Callable[[Reader, re.Match[str]], None]]] = (
    ("not measured", r"Not measured yet, so nothing is decided\.", _nothing),
    ("not read", r"Its shim is not read yet; read it, then it is planned with the rest\.", _unread),
    (
        "stays under its shaft",
        r"In range at .*?, (and its camshaft stays in): its shim stays\.",
        _stays,
    ),
    ("stays", r"In range at [^,]*?(X)?: its shim stays\.", _stays),
    ("likely in", rf"Not clear yet at .*?, {SURE} sure to be in: its shim stays\.", _likely),
    (
        "for now",
        rf"No gap was felt, so no sum can be trusted yet\. (?:(Nothing to spare is thin "
        rf"enough and not far too thin): buy {N} to fit|Fit {N} {PLACE}) for now, measure, and "
        r"work back; the shim that stays is bought after that\.",
        _for_now,
    ),
    (
        "nothing thinner",
        r"No gap was felt, and no thinner shim can be spared to get one\.",
        _no_gap,
    ),
    (
        "not thinner",
        rf"No gap was felt, and {N} is not thinner than what is in: again there would "
        r"be no gap\.",
        _no_gap,
    ),
    (
        "not known",
        rf"Without a full reading of its gap Plimb cannot say what {N} gives\. "
        r"Measure it\.",
        _unsaid,
    ),
    (
        "empty",
        r"Its shim goes to another valve, and the plan has no other for it\. Choose one for "
        r"it\.",
        _leaves,
    ),
    (
        "gone",
        r"The shim that was decided on cannot be had: another valve has it, or it left the "
        r"drawer\. Choose another one\.",
        _gone,
    ),
    ("closer", rf"{N}: {SUM}: closer, but not in range\.", _out("closer")),
    ("holds open", rf"{N}: {SUM}: out of range, it would hold the valve open\.", _out("open")),
    ("out", rf"{N}: {SUM}: out of range\.", _out("out")),
    ("at hand", rf"{N} {PLACE} costs nothing: {SUM}, ", _taken),
    ("none", r"(Its shim is scrap\. )?(?=.*It needs|.*What it needs)(?!.*Buy )", _none),
    ("bought", rf"(?:As it is {SURE} sure to be in range\. )?(?=.*Buy )", _bought),
)
"""Every class of sentence: its name, how it begins, and what must be so of it."""


def read_back(case: Case, name: str, text: str) -> str:
    """Return the class of a valve's sentence; Untrue where it says what is not so."""
    return Reader(case, name, text).read()

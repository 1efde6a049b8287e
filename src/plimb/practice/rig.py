"""An engine to practise on: turned, felt and taken apart act by act, and put back by its acts.

What a person at the engine is told comes back as `Told`; what is true stays inside. The same seed
and the same acts are the same engine again, so that only these are kept.
"""

import random
from collections.abc import Callable, Mapping, Sequence
from fractions import Fraction
from inspect import signature
from typing import Any

from plimb.core.engine.cycle import at_rest
from plimb.core.engine.engine import Engine
from plimb.core.engine.turning import CYCLE, USUAL_EVENTS, Events
from plimb.core.errors import BadValue, NotReady
from plimb.core.lengths import mm
from plimb.core.measure.blades import BladeSet
from plimb.practice.caps import Caps
from plimb.practice.told import Told
from plimb.standins.simulated import Feels, Held, SimulatedEngine, World

THIN = mm("0.06")
"""A blade that is thinner bends where it is forced, and may stick to its neighbour."""

STICKS = 0.04
"""How often a thin blade brings its neighbour along (judgement)."""

MOST_AT_ONCE = 360
"""Further than this nobody turns in one go."""


PUSHED = {
    Feels.LOOSE: Told(word="goes free", sentence="It slides through, no drag.", force=0.1),
    Feels.DRAG: Told(word="drags", sentence="It moves as through a closed book.", force=0.45),
    Feels.TIGHT: Told(word="needs force", sentence="It goes, but only just.", force=0.8),
}  # fmt: skip
REFUSES = Told(word="refuses", sentence="It stops at the edge and does not go in.", force=1.0)
BENDS = Told(
    word="bends", sentence="It stops, and the thin blade bows under your thumb.", force=1.0
)


class Rig:
    """One simulated engine, where its crank stands, and which pieces are in the hand."""

    def __init__(
        self,
        engine: Engine,
        blades: BladeSet,
        seed: int,
        *,
        world: World | None = None,
        events: Events | None = None,
        crank: int = 360,
        sticks: str | None = None,
        bolts: int = 0,
    ) -> None:
        self.engine, self.blades = engine, blades
        self.simulated = SimulatedEngine(engine, seed, world)
        self.events = events or USUAL_EVENTS
        self.crank, self.acts = crank % CYCLE, list[Sequence[Any]]()
        self.out: dict[str, Held] = {}
        self.new: dict[str, Held] = {}
        self.tray: list[Held] = []
        self.empty: set[str] = set()
        self.caps = Caps(bolts) if bolts else None
        self.tries = 0
        self.stuck = False
        self._dice = random.Random(f"{seed}/practice")
        self._sticks = sticks
        self._bought: dict[tuple[str, int], int] = {}
        self._rest()

    def do(self, name: str, *said: Any) -> Told:
        """Do one act, by its name.

        Raises:
            BadValue: There is no such act, valve, blade or size.
            NotReady: It cannot be done as the engine stands.
        """
        acts: Mapping[str, Callable[..., Told]] = {
            "turn": self._turn,
            "lobe": self._lobe,
            "push": self._push,
            "look": self._look,
            "out": self._take_out,
            "new": self._take_new,
            "close": self._close,
            "in": self._put_in,
            "swap": self._swap,
            "slide": self._slide,
        }
        if self.caps is not None:
            acts = {
                **acts, "caps": self._caps, "wrench": self.caps.set_wrench, "pull": self.caps.pull
            }  # fmt: skip
        if name not in acts:
            raise BadValue(f"There is no act “{name}”.", field="act")
        try:
            signature(acts[name]).bind(*said)
        except TypeError:
            raise BadValue(f"“{name}” is not said what it needs.", field="what") from None
        told = acts[name](*said)
        self.acts.append((name, *said))
        return told

    @property
    def resting(self) -> tuple[str, ...]:
        """The valves whose lobes point away as the crank stands."""
        return at_rest(self.engine, self.events, Fraction(self.crank))

    def _rest(self, valves: tuple[str, ...] | None = None) -> None:
        self.simulated.turn_to(self.resting if valves is None else valves)

    def _known(self, valve: str) -> str:
        if valve not in {clearance.id for clearance in self.engine.clearances}:
            raise BadValue(f"valve “{valve}” is not on this engine.", field="valve")
        return valve

    def _closed(self) -> None:
        if self.empty:
            raise NotReady(
                f"{', '.join(sorted(self.empty))}: nothing is turned while it is empty. Put a "
                "shim in first.",
                field="valve",
            )
        if self.caps is not None and not self.caps.tight:
            raise NotReady(
                "The shafts are out: lay the caps on first."
                if self.caps.off
                else "The caps are not tight yet: nothing is turned before every bolt has clicked "
                "at the manual's figure.",
                field="caps",
            )

    def _caps(self, where: str) -> Told:
        assert self.caps is not None  # else there is no such act
        if where == "on" and self.empty:
            raise NotReady(
                f"{', '.join(sorted(self.empty))}: no shim is in. A shaft is not laid on that.",
                field="valve",
            )
        return self.caps.move(where)

    def _turn(self, by: int) -> Told:
        if not isinstance(by, int) or not 0 < by <= MOST_AT_ONCE:
            raise NotReady(
                "Only onwards, in the engine's own direction: what is past is met again by going "
                "round.",
                field="by",
            )
        self._closed()
        self.crank = (self.crank + by) % CYCLE
        self._rest()
        lifted = [
            clearance.id for clearance in self.engine.clearances if clearance.id not in self.resting
        ]
        if not lifted:
            return Told(word="turned", sentence="Every lobe points away from its follower.")
        many = len(lifted)
        some = ", ".join(lifted) if many <= 4 else f"{many} valves"
        return Told(word="turned", sentence=f"Lobes press on {some}.")

    def _lobe(self, valve: str) -> Told:
        self._closed()
        self._rest((self._known(valve),))
        return Told(word="turned", sentence=f"The lobe of {valve} points straight away.")

    def _push(self, valve: str, *blades: int) -> Told:
        known = {blade.nominal_nm: blade for blade in self.blades.usable}
        if not 1 <= len(blades) <= 2 or any(nm not in known for nm in blades):
            raise BadValue("Pick one blade of the set, or two.", field="blade")
        if self._known(valve) in self.empty:
            raise NotReady(f"{valve} has no shim in: there is nothing to measure.", field="valve")
        if self.caps is not None and self.caps.off:
            raise NotReady("The shafts are out: there is no gap to feel.", field="caps")
        self.tries += 1
        thick = self._together(valve, blades)
        felt = self.simulated.goes(valve, thick)
        if felt is not None:
            return PUSHED[felt]
        return BENDS if max(blades) < THIN else REFUSES

    def _together(self, valve: str, blades: tuple[int, ...]) -> tuple[int, ...]:
        """Return what really went in: a thin blade may bring its neighbour along."""
        certain = self._sticks == valve
        chance = self._dice.random()
        self.stuck = False
        if len(blades) > 1 or (blades[0] >= THIN and not certain):
            return blades
        if not certain and chance > STICKS:
            return blades
        there = sorted(blade.nominal_nm for blade in self.blades.usable)
        self.stuck = True
        return blades[0], there[0] if blades[0] != there[0] else there[1]

    def _look(self) -> Told:
        if not self.stuck:
            return Told(word="one blade", sentence="It is one blade, as it should be.")
        self.stuck, self._sticks = False, None
        return Told(word="two blades", sentence="Two blades stuck together! Wipe them, try again.")

    def _take_out(self, valve: str) -> Told:
        if self._known(valve) in self.empty:
            raise NotReady(f"{valve} is empty already.", field="valve")
        under = self.engine.clearance(valve).camshaft_out
        if self.caps is not None and under and not self.caps.off:
            raise NotReady("The camshaft lies over it: take its caps off first.", field="caps")
        if valve in self.out:  # one that came out of it before lies on the tray
            self.tray.append(self.out.pop(valve))
        self.out[valve] = self.simulated.take_out(valve)
        self.empty.add(valve)
        marking = self.simulated.marking(self.out[valve])
        worn = marking.startswith("?")
        says = "Its marking is worn off." if worn else f"It is marked {marking}."
        return Told(word="out", sentence=f"The shim of {valve} lies on its place. {says}",
                    marking=None if worn else marking)  # fmt: skip

    def _take_new(self, valve: str, size_nm: int) -> Told:
        family = self.engine.clearance(self._known(valve)).family
        if size_nm not in family.sizes():
            raise BadValue("No such size is made in this family.", field="size")
        copy = self._bought.get((valve, size_nm), 0)
        self._bought[valve, size_nm] = copy + 1
        self.new[valve] = self.simulated.buy(size_nm, valve, copy)
        return Told(word="in hand", sentence="A new one from the counter is in your hand.",
                    marking=self.simulated.marking(self.new[valve]))  # fmt: skip

    def _close(self, on: str | None, new: bool = False) -> Told:
        if on is None:
            shown = self.simulated.measure(None)
            return Told(word="closed", sentence="Closed on nothing: this is its zero.",
                        shown_nm=shown)  # fmt: skip
        piece = (self.new if new else self.out).get(on)
        if piece is None:
            raise NotReady(f"No shim of {on} is in the hand: take it out first.", field="valve")
        shown = self.simulated.measure(piece)
        return Told(word="closed", sentence=f"Closed on the shim of {on}.", shown_nm=shown)

    def _slide(self, on: str, new: bool = False) -> Told:
        piece = (self.new if new else self.out).get(on)
        if piece is None:
            raise NotReady(f"No shim of {on} is in the hand: take it out first.", field="valve")
        return Told(
            word="slid",
            sentence="A calliper shows hundredths and may be two of them off: too coarse to choose "
            "a shim by.",
            shown_nm=self.simulated.calliper_reading(piece),
        )

    def _swap(self, one: str, other: str) -> Told:
        """Put two pieces in each other's places, as a tired hand does."""
        held = self.simulated.take_out(one)
        self.simulated.put_in(one, self.simulated.take_out(other))
        self.simulated.put_in(other, held)
        return Told(word="in", sentence="")

    def _off_the_tray(self, size_nm: object) -> Held | None:
        """Take up the piece that is about so thick, of those that came out and lie there."""
        for valve in [out for out in self.out if out not in self.empty]:
            self.tray.append(self.out.pop(valve))
        if not isinstance(size_nm, int):
            return None
        about = [piece for piece in self.tray if self.simulated.is_about(piece, size_nm)]
        if about:
            self.tray.remove(about[0])
        return about[0] if about else None

    def _put_in(self, valve: str, source: str, giver: str | int = "") -> Told:
        if self._known(valve) not in self.empty:
            raise NotReady(f"{valve} has a shim in: take it out first.", field="valve")
        if source == "tray":
            piece = self._off_the_tray(giver)
        else:
            pieces = self.new if source == "new" else self.out
            piece = pieces.pop(valve if source in ("new", "own") else str(giver), None)
        if piece is None:
            raise NotReady("That shim is not in the hand.", field="valve")
        self.simulated.put_in(valve, piece)
        self.empty.discard(valve)
        return Told(word="in", sentence=f"It sits flat in {valve}, and the bucket turns freely.")

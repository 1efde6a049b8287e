"""The caps over the camshafts of a practice engine: off, on again, and a wrench that clicks."""

from dataclasses import dataclass, field

from plimb.core.errors import BadValue, NotReady
from plimb.practice.told import Told

FINAL = 10.0
"""What the maker of practice engines asks for, in N·m: small threads in aluminium."""

GIVES_AT = 16.0
"""From here on such a thread gives (judgement)."""

STAGES = (0.0, FINAL / 2, FINAL)
"""Finger tight, half, whole."""

MOST = 40.0
"""Further than this the wrench does not go."""


@dataclass
class Caps:
    """So many bolts, numbered in the order in which they are turned, as beside the picture.

    `turned` is how hard each was turned, in N·m, None where it is out; `gave` are those whose
    thread gave, `ahead` how often one was pulled more than a stage ahead of another.
    """

    many: int
    turned: list[float | None] = field(init=False)
    gave: set[int] = field(default_factory=set)
    ahead: int = 0
    wrench: float | None = None
    touched: bool = False

    def __post_init__(self) -> None:
        self.turned = [FINAL] * self.many

    @property
    def off(self) -> bool:
        """Whether the caps lie on the bench."""
        return self.turned[0] is None

    @property
    def tight(self) -> bool:
        """Whether every bolt is as tight as the maker asks for, but for those that gave."""
        return not self.off and all(
            number in self.gave or (turns or 0.0) >= FINAL
            for number, turns in enumerate(self.turned, 1)
        )

    def move(self, where: str) -> Told:
        """Take the caps off, or lay them on.

        Raises:
            NotReady: They are there already.
            BadValue: It is neither.
        """
        if where not in ("off", "on"):
            raise BadValue("The caps come off, or go on.", field="caps")
        if self.off == (where == "off"):
            raise NotReady(f"The caps are {where} already.", field="caps")
        self.touched = True
        if where == "off":
            self.turned = [None] * self.many
            return Told(
                word="off",
                sentence="Loosened from the outside inwards, a little each, as they were tightened "
                "the other way. The shafts lie on their places.",
            )
        self.turned = [0.0] * self.many
        return Told(
            word="on", sentence="Each on its own place, the right way round, bolts by hand."
        )

    def set_wrench(self, tenths: int) -> Told:
        """Set the wrench to so many tenths of a newton metre; BadValue where it cannot be."""
        if not isinstance(tenths, int) or not 10 <= tenths <= 10 * MOST:
            raise BadValue(f"The wrench goes from 1 to {MOST:g} N·m.", field="wrench")
        self.wrench = tenths / 10
        return Told(word="set", sentence=f"The wrench stands at {self.wrench:g} N·m.")

    def pull(self, bolt: int) -> Told:
        """Pull the wrench on one bolt, until it clicks or something gives.

        Raises:
            NotReady: The caps are off, or the wrench was not set.
            BadValue: There is no such bolt.
        """
        if not isinstance(bolt, int) or not 1 <= bolt <= self.many:
            raise BadValue(f"There are bolts 1 to {self.many}.", field="bolt")
        before = self.turned[bolt - 1]
        if before is None:
            raise NotReady("The caps are off: lay them on first.", field="caps")
        if self.wrench is None:
            raise NotReady("Set the wrench first.", field="wrench")
        if bolt in self.gave or self.wrench >= GIVES_AT:
            self.gave.add(bolt)
            return Told(
                word="gives",
                sentence=f"Bolt {bolt} turns on and no click comes: its thread has given. A real "
                "one is repaired before the engine runs.",
                force=1.0,
            )
        if before >= self.wrench:
            return Told(word="clicks", sentence=f"At once: bolt {bolt} was there.", force=0.6)
        self.turned[bolt - 1] = self.wrench
        least = min(turns or 0.0 for turns in self.turned)
        if sum(least < stage <= self.wrench for stage in STAGES) > 1:
            self.ahead += 1
            return Told(
                word="clicks",
                sentence=f"Bolt {bolt} at {self.wrench:g} N·m, and another is two stages behind: "
                "the cap tips. Go round in stages.",
                force=0.8,
            )
        return Told(word="clicks", sentence=f"Bolt {bolt} at {self.wrench:g} N·m. Stop there.",
                    force=0.7)  # fmt: skip

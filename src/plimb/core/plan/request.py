"""What a plan is made from: the valves, what lies in the drawer, how the shop decides."""

from collections.abc import Mapping
from dataclasses import dataclass, field
from decimal import Decimal

from plimb.core.measure.uncertainty import USUAL_DOUBT, Doubt
from plimb.core.plan.needs import WhichToSet
from plimb.core.plan.rows import PlanRow
from plimb.core.shim.shim import Source
from plimb.core.shim.sum import SizePolicy


@dataclass(frozen=True, slots=True, kw_only=True)
class Stock:
    """Pieces of one thickness lying in the drawer, of one kind of family."""

    thickness_nm: int
    kind: object
    count: int = 1
    doubt_nm: int = USUAL_DOUBT.piece_nm


@dataclass(frozen=True, slots=True, kw_only=True)
class Pin:
    """A piece that a person has decided on for a valve."""

    source: Source
    thickness_nm: int
    from_valve: str | None = None


@dataclass(frozen=True, slots=True, kw_only=True)
class Policy:
    """How a shop decides, and what it may use.

    `reuse` allows pieces from other valves and the drawer, `buy` the counter. What going
    round again costs the shop, and what taking a camshaft out does, are in the money of its
    prices; as much as thirty and ten singles where nobody said.
    """

    sizing: SizePolicy = field(default_factory=SizePolicy)
    act: WhichToSet = WhichToSet.OUT
    reuse: bool = True
    buy: bool = True
    touch_least: bool = False
    round_cost: Decimal | None = None
    shaft_cost: Decimal | None = None

    @property
    def doubt(self) -> Doubt:
        """What its readings and pieces are worth."""
        return self.sizing.doubt

    @property
    def sure(self) -> float:
        """The chance from which on a piece is sure enough."""
        return self.sizing.sure if self.sizing.first is None else self.sizing.first

    @property
    def aim_first(self) -> bool:
        """Whether the way to the aim outranks the price: valves are set that are in range."""
        return self.act.aim_first or self.sizing.first is not None

    @property
    def sets_near(self) -> bool:
        """Whether valves in the tightest fifth are set."""
        return self.act is WhichToSet.NEAR


@dataclass(frozen=True, slots=True, kw_only=True)
class PlanRequest:
    """Everything the plan is made from.

    A forbidden pair is a valve and a thickness; the valves `opened_too` are opened because
    somebody wants it, and so their camshafts come out; those that are `shut` keep their shims.
    Those that are `left` are in range and not sure to be: what that may cost opens nothing.
    """

    rows: tuple[PlanRow, ...]
    drawer: tuple[Stock, ...] = ()
    policy: Policy = field(default_factory=Policy)
    pins: Mapping[str, Pin] | None = None
    forbidden: frozenset[tuple[str, int]] = frozenset()
    opened_too: frozenset[str] = frozenset()
    shut: frozenset[str] = frozenset()
    left: frozenset[str] = frozenset()

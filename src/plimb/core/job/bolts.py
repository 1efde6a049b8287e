"""Bolts to tighten: where they lie, in which order, how hard, and how far it has got."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass, replace

from plimb.core.errors import BadValue
from plimb.core.job.tightening import STAGES, tightening_order
from plimb.core.job.torque import Thread, Torque, TorqueSaid, TorqueUnit, parse_torque, said_of

MOST_BOLTS = 60
STAGE_NAMES = ("finger tight", "half", "whole")


@dataclass(frozen=True, slots=True, kw_only=True)
class BoltGroup:
    """Bolts to tighten: where they lie, their torque, and the maker's order if it is given.

    `torque` is as typed, in its unit; `turned` counts bolts through all stages.
    """

    name: str
    places: tuple[tuple[float, float], ...]
    torque: str
    unit: TorqueUnit
    thread: Thread
    order: tuple[int, ...] | None = None
    turned: int = 0

    @property
    def figure(self) -> Torque | None:
        """The torque, None where none was noted."""
        return parse_torque(self.torque, self.unit) if self.torque.strip() else None

    @property
    def turns(self) -> int:
        """How many turns there are in all: each bolt in each stage."""
        return len(self.places) * len(STAGES)

    @property
    def turning_order(self) -> tuple[int, ...]:
        """The bolts in the order to turn them: the maker's, else from the middle outwards."""
        return tightening_order(self.places) if self.order is None else self.order

    def checked(self) -> BoltGroup:
        """Return the bolts as they are laid out, none turned yet.

        Raises:
            BadValue: No name, no bolts or too many, an order that is not each bolt once, a
                torque that cannot be.
        """
        if not self.name.strip():
            raise BadValue("Write what the bolts hold.", field="name")
        if not 1 <= len(self.places) <= MOST_BOLTS:
            raise BadValue(f"A part has 1 to {MOST_BOLTS} bolts.", field="bolts")
        if any(not (0 <= x <= 1 and 0 <= y <= 1) for x, y in self.places):
            raise BadValue("A bolt lies off the part's outline.", field="bolts")
        if self.order is not None and sorted(self.order) != list(range(len(self.places))):
            raise BadValue("The manufacturer's order names each bolt once.", field="order")
        torque = self.torque.strip() if self.figure else ""
        return replace(self, name=self.name.strip(), torque=torque, turned=0)


def order_of(
    numbers: Sequence[int] | None, order: Sequence[int] | None = None
) -> tuple[int, ...] | None:
    """Return the bolts in turning order, from the numbers printed beside them if given.

    Beside bolt 0 stands `numbers[0]`: the bolt beside which 1 stands is turned first.

    Raises:
        BadValue: The numbers are not 1, 2, 3 and so on, each once.
    """
    if numbers is None:
        return None if order is None else tuple(order)
    if sorted(numbers) != list(range(1, len(numbers) + 1)):
        raise BadValue("Beside the bolts stand 1, 2, 3 and so on, each once.", field="order")
    return tuple(sorted(range(len(numbers)), key=lambda bolt: numbers[bolt]))


@dataclass(frozen=True, slots=True, kw_only=True)
class TighteningStage:
    """One stage of tightening, and its torque in the wrench's unit."""

    name: str
    torque: str | None


@dataclass(frozen=True, slots=True, kw_only=True)
class Tightening:
    """A group of bolts as it is turned, in the unit of the shop's wrench."""

    name: str
    places: tuple[tuple[float, float], ...]
    order: tuple[int, ...]
    by_maker: bool
    thread: Thread
    torque: TorqueSaid | None
    typed: str
    unit: TorqueUnit
    stages: tuple[TighteningStage, ...]
    turned: int
    turns: int

    @property
    def done(self) -> bool:
        """Whether every bolt went through every stage."""
        return self.turned == self.turns


def tightening_of(group: BoltGroup, wrench: TorqueUnit) -> Tightening:
    """Return the bolts with their order and stages."""
    torque = group.figure
    stages = []
    for name, share in zip(STAGE_NAMES, STAGES, strict=True):
        shown = torque.to(wrench).share(share).words() if torque and share else None
        stages.append(TighteningStage(name=name, torque=shown))
    return Tightening(
        name=group.name,
        places=group.places,
        order=group.turning_order,
        by_maker=group.order is not None,
        thread=group.thread,
        torque=said_of(torque, group.thread) if torque else None,
        typed=f"{float(torque.value):g}" if torque else "",
        unit=torque.unit if torque else TorqueUnit.NM,
        stages=tuple(stages),
        turned=group.turned,
        turns=group.turns,
    )

"""Kit or singles: which is the cheaper way to what one job needs."""

from collections.abc import Sequence
from dataclasses import dataclass
from decimal import Decimal

from plimb.core.plan.result import OrderLine


@dataclass(frozen=True, slots=True, kw_only=True)
class Kit:
    """A box of one family with the same number of every size; sizes in nanometres."""

    diameter_nm: int | None
    sizes: frozenset[int]
    each: int
    price: Decimal


@dataclass(frozen=True, slots=True, kw_only=True)
class Purchase:
    """What one family's pieces cost either way, and which to take.

    `kit` is None where the shop knows of no kit; it holds the money for the kit and for the
    pieces it does not hold, and `left_over` how many of its pieces stay for later jobs.
    """

    diameter_nm: int | None
    pieces: int
    singles: Decimal | None
    kit: Decimal | None
    left_over: int = 0

    @property
    def take_kit(self) -> bool:
        """Whether the kit is no dearer than the singles."""
        return self.kit is not None and self.singles is not None and self.kit <= self.singles

    def words(self) -> str:
        """Return which to take and by how much, as a sentence."""
        pieces = f"{self.pieces} single{'s' if self.pieces > 1 else ''}"
        if self.singles is None:
            return f"{pieces}: the price is not known."
        if self.kit is None:
            return f"{pieces} for {self.singles:f}."
        if self.take_kit:
            return (
                f"Take the kit: {self.kit:f} against {self.singles:f} for {pieces}, and "
                f"{self.left_over} pieces stay for the drawer."
            )
        return (
            f"Take {pieces} for {self.singles:f}: the kit is {self.kit - self.singles:f} dearer, "
            f"though {self.left_over} of its pieces would stay for the drawer."
        )


def purchases(order: Sequence[OrderLine], kits: Sequence[Kit] = ()) -> tuple[Purchase, ...]:
    """Return for each family of the order what singles and a kit cost."""
    by_kind: dict[int | None, list[OrderLine]] = {}
    for line in order:
        by_kind.setdefault(line.diameter_nm, []).append(line)
    known = {kit.diameter_nm: kit for kit in kits}
    return tuple(_compare(lines, known.get(kind)) for kind, lines in by_kind.items())


def _compare(lines: list[OrderLine], kit: Kit | None) -> Purchase:
    pieces = sum(line.count for line in lines)
    priced = all(line.price is not None for line in lines)
    singles = sum((_money(line) for line in lines), Decimal(0)) if priced else None
    whole: Decimal | None = None
    used = 0
    if kit is not None and singles is not None:
        whole = kit.price
        for line in lines:
            held = min(kit.each, line.count) if line.thickness_nm in kit.sizes else 0
            used += held
            whole += _money(line) / line.count * (line.count - held)
    return Purchase(
        diameter_nm=lines[0].diameter_nm,
        pieces=pieces,
        singles=singles,
        kit=whole,
        left_over=len(kit.sizes) * kit.each - used if kit else 0,
    )


def _money(line: OrderLine) -> Decimal:
    return Decimal(line.price or 0) * line.count

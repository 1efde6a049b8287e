"""Kit or singles: which is the cheaper way to what one job needs."""

from collections.abc import Mapping, Sequence
from dataclasses import dataclass, replace
from decimal import Decimal

from plimb.core.plan.result import OrderLine
from plimb.core.words import MILLIMETRES, Units


@dataclass(frozen=True, slots=True, kw_only=True)
class Kit:
    """A box of one family with the same number of every size; sizes in nanometres."""

    diameter_nm: int | None
    sizes: frozenset[int]
    each: int
    price: Decimal


@dataclass(frozen=True, slots=True, kw_only=True)
class Terms:
    """How the counter sells one family: old pieces for new ones, sizes that it has to order."""

    diameter_nm: int | None
    swap_price: Decimal | None = None
    to_order: frozenset[int] = frozenset()
    wait_days: int | None = None


@dataclass(frozen=True, slots=True, kw_only=True)
class Purchase:
    """What one family's pieces cost either way, and which to take.

    `kit` is None where the shop knows of no kit; it holds the money for the kit and for the
    pieces it does not hold, and `left_over` how many of its pieces stay for later jobs.
    `with_swaps` is what it costs with so many old pieces `swapped` for new ones; sizes
    `to_order` come after `wait_days`.
    """

    diameter_nm: int | None
    pieces: int
    singles: Decimal | None
    kit: Decimal | None
    left_over: int = 0
    swapped: int = 0
    with_swaps: Decimal | None = None
    to_order: tuple[int, ...] = ()
    wait_days: int | None = None
    units: Units = MILLIMETRES

    @property
    def take_kit(self) -> bool:
        """Whether the kit is no dearer than the singles."""
        return self.kit is not None and self.singles is not None and self.kit <= self.singles

    def words(self) -> str:
        """Return which to take and by how much, what a swap makes of it, what has to wait."""
        said = [self._kit_or_singles()]
        if self.with_swaps is not None:
            old = f"{self.swapped} old shim{'s' if self.swapped > 1 else ''}"
            said.append(f"With {old} given for as many new ones: {self.with_swaps:f}.")
        if self.to_order:
            sizes = ", ".join(self.units.shim_figure(size) for size in self.to_order)
            days = "" if self.wait_days is None else f", {self.wait_days} days"
            said.append(f"Only to order{days}: {sizes}.")
        return " ".join(said)

    def _kit_or_singles(self) -> str:
        pieces = f"{self.pieces} single{'s' if self.pieces > 1 else ''}"
        if self.singles is None:
            return f"{pieces}: the price is not known."
        if self.kit is None:
            return f"{pieces} for {self.singles:f}."
        if self.take_kit:
            return (
                f"Take the kit: {self.kit:f} against {self.singles:f} for {pieces}, and "
                f"{self.left_over} shims stay for the drawer."
            )
        return (
            f"Take {pieces} for {self.singles:f}: the kit is {self.kit - self.singles:f} dearer, "
            f"though {self.left_over} of its shims would stay for the drawer."
        )


def purchases(
    order: Sequence[OrderLine],
    kits: Sequence[Kit] = (),
    terms: Sequence[Terms] = (),
    old: Mapping[int | None, int] | None = None,
    units: Units = MILLIMETRES,
) -> tuple[Purchase, ...]:
    """Return for each family of the order what singles and a kit cost, and how they are had.

    `old` is how many sound pieces of a family come out that nobody needs any more.
    """
    by_kind: dict[int | None, list[OrderLine]] = {}
    for line in order:
        by_kind.setdefault(line.diameter_nm, []).append(line)
    known = {kit.diameter_nm: kit for kit in kits}
    had = {term.diameter_nm: term for term in terms}
    return tuple(
        _on_terms(
            _compare(lines, known.get(kind)), lines, had.get(kind), (old or {}).get(kind, 0), units
        )
        for kind, lines in by_kind.items()
    )


def _on_terms(
    purchase: Purchase, lines: list[OrderLine], terms: Terms | None, old: int, units: Units
) -> Purchase:
    if terms is None:
        return purchase
    available = [line for line in lines if line.thickness_nm not in terms.to_order]
    swapped = min(old, sum(line.count for line in available))
    with_swaps = None
    if terms.swap_price is not None and swapped and purchase.singles is not None:
        dearest = sorted(
            (Decimal(line.price or 0) for line in available for _one in range(line.count)),
            reverse=True,
        )
        saved = sum((price - terms.swap_price for price in dearest[:swapped]), Decimal(0))
        with_swaps = purchase.singles - saved
    return replace(
        purchase,
        swapped=swapped if with_swaps is not None else 0,
        with_swaps=with_swaps,
        to_order=tuple(line.thickness_nm for line in lines if line not in available),
        wait_days=terms.wait_days,
        units=units,
    )


def _compare(lines: list[OrderLine], kit: Kit | None) -> Purchase:
    pieces = sum(line.count for line in lines)
    priced = all(line.price is not None for line in lines)
    singles = sum((_money(line) for line in lines), Decimal(0)) if priced else None
    whole: Decimal | None = None
    used = 0
    if kit is not None and singles is not None:
        whole = kit.price
        for line in lines:
            from_kit = min(kit.each, line.count) if line.thickness_nm in kit.sizes else 0
            used += from_kit
            whole += _money(line) / line.count * (line.count - from_kit)
    return Purchase(
        diameter_nm=lines[0].diameter_nm,
        pieces=pieces,
        singles=singles,
        kit=whole,
        left_over=len(kit.sizes) * kit.each - used if kit else 0,
    )


def _money(line: OrderLine) -> Decimal:
    return Decimal(line.price or 0) * line.count

"""What to keep in the drawer: what the engines will want within a year, against what is there."""

from dataclasses import dataclass
from decimal import Decimal

from sqlalchemy.orm import Session

from plimb.core.lengths import show_mm
from plimb.core.shim.location import Where
from plimb.core.shim.shim import Condition
from plimb.core.wear.assortment import COVERED, Want, to_keep
from plimb.core.words import times
from plimb.files.table_csv import write_csv
from plimb.record.families import families
from plimb.record.shims import all_lying
from plimb.record.tables.shim import ShimFamilyRow
from plimb.record.years import all_outlooks


@dataclass(frozen=True, slots=True, kw_only=True)
class SizeToKeep:
    """One size: how many to keep, how many lie there, how many to buy, how many are expected."""

    size_nm: int
    keep: int
    there: int
    buy: int
    expected: Decimal


@dataclass(frozen=True, slots=True, kw_only=True)
class FamilyToKeep:
    """One family's sizes, what buying them comes to, and what a kit would."""

    id: int
    name: str
    sizes: tuple[SizeToKeep, ...]
    cost: str | None
    kit: str


@dataclass(frozen=True, slots=True, kw_only=True)
class Assortment:
    """What covers a year with that chance: by family; `said` is what it is made from."""

    families: tuple[FamilyToKeep, ...]
    said: str


def read_assortment(session: Session) -> Assortment:
    """Return what to keep, by the forecasts of all engines and what lies in the drawer."""
    outlooks = all_outlooks(session)
    telling = [outlook for outlook in outlooks if outlook.wants]
    wants: dict[int | None, list[Want]] = {}
    for outlook in telling:
        for want in outlook.wants:
            wants.setdefault(want.diameter_nm, []).append(want)
    there: dict[tuple[int, int], int] = {}
    for lot in all_lying(session):
        if lot.place is Where.DRAWER and lot.condition is Condition.SOUND:
            key = (lot.family_id, lot.nominal_nm)
            there[key] = there.get(key, 0) + lot.count
    found = [
        _family(row, wants[row.diameter_nm], there)
        for row in families(session)
        if row.diameter_nm in wants
    ]
    many = len(telling)
    return Assortment(
        families=tuple(found),
        said=f"By the wear and usual use of {many} of {len(outlooks)} engines: "
        f"enough shims for a year, {times(COVERED)}. An engine whose wear, use or "
        "shims are not known says nothing.",
    )


def _family(
    row: ShimFamilyRow, wants: list[Want], there: dict[tuple[int, int], int]
) -> FamilyToKeep:
    sizes = tuple(
        SizeToKeep(
            size_nm=size.size_nm,
            keep=size.count,
            there=there.get((row.id, size.size_nm), 0),
            buy=max(0, size.count - there.get((row.id, size.size_nm), 0)),
            expected=Decimal(str(round(size.expected, 1))),
        )
        for size in to_keep(wants)
    )
    bought = sum(size.buy for size in sizes)
    price = None if row.price is None else Decimal(row.price)
    cost = None if price is None else price * bought
    return FamilyToKeep(
        id=row.id,
        name=row.name,
        sizes=sizes,
        cost=None if cost is None else f"{cost:.2f}",
        kit=_kit(row, sizes, cost),
    )


def _kit(row: ShimFamilyRow, sizes: tuple[SizeToKeep, ...], cost: Decimal | None) -> str:
    """Return how a kit compares, as far as both prices are known."""
    if row.kit_price is None or not row.kit_each or cost is None:
        return ""
    kit = Decimal(row.kit_price)
    missing = sum(max(0, size.buy - row.kit_each) for size in sizes)
    left = f", and {missing} more shims beside it" if missing else ""
    less = "less" if kit < cost else "more"
    return f"A kit of {row.kit_each} each is {kit:.2f}, {abs(kit - cost):.2f} {less}{left}."


def assortment_csv(session: Session) -> str:
    """Return what is to be bought as CSV."""
    return write_csv(
        ("family", "thickness_mm", "keep", "there", "buy", "expected"),
        [
            (of.name, show_mm(size.size_nm), size.keep, size.there, size.buy, size.expected)
            for of in read_assortment(session).families
            for size in of.sizes
        ],
    )

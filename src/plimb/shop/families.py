"""What the shop says of a family of shims: diameter, runs, marking, prices, low stock."""

from collections.abc import Sequence
from decimal import Decimal

from sqlalchemy.orm import Session

from plimb.core.errors import BadValue, StaleVersion
from plimb.core.lengths import Unit, decimal_in, mm, parse_length, show_mm
from plimb.core.shim.family import Family, Run
from plimb.core.shim.marking import Code
from plimb.record.database import Database
from plimb.record.families import families
from plimb.record.idempotency import note_done
from plimb.record.rows import numbered
from plimb.record.tables.shim import ShimFamilyRow


def save_family(
    database: Database,
    *,
    family_id: int | None,
    seen: int,
    name: str,
    diameter: str,
    runs: Sequence[Sequence[str]],
    code: Code,
    price: str,
    kit_price: str,
    kit_each: int,
    supplier: str,
    low_stock: int,
    swap_price: str = "",
    to_order: str = "",
    wait_days: int | None = None,
) -> None:
    """Write a family as it now is, or a new one.

    Raises:
        BadValue: No name or one that is taken, a diameter that is taken, a run that cannot be.
        NotFound: There is no such family.
        StaleVersion: It was changed since.
    """
    if not name.strip():
        raise BadValue("Write what the shop calls this family.", field="name")
    made = _family(diameter, runs, code, price)
    if not (1 <= kit_each <= 20 and 0 <= low_stock <= 99):
        raise BadValue("A kit holds 1 to 20 of a size; low stock is 0 to 99.", field="kit_each")
    kit, swap = money_in(kit_price, "kit_price"), money_in(swap_price, "swap_price")
    ordered = _sizes(to_order, made)
    if wait_days is not None and not 0 <= wait_days <= 365:
        raise BadValue("A wait is 0 to 365 days.", field="wait_days")
    with database.writing("shim family changed") as session:
        row = ShimFamilyRow() if family_id is None else numbered(session, ShimFamilyRow, family_id)
        if family_id is not None and row.version != seen:
            raise StaleVersion(seen=seen, current=row.version)
        _told_apart(session, family_id, name.strip(), made.diameter_nm)
        row.name, row.diameter_nm, row.code = name.strip(), made.diameter_nm, code
        row.runs = [[run.from_nm, run.to_nm, run.step_nm] for run in made.runs]
        row.price = None if made.price is None else f"{made.price:f}"
        row.kit_price = None if kit is None else f"{kit:f}"
        row.kit_each, row.supplier, row.low_stock = kit_each, supplier.strip(), low_stock
        row.swap_price = None if swap is None else f"{swap:f}"
        row.to_order, row.wait_days = ordered, wait_days
        row.version = (row.version or 0) + 1
        session.add(row)
        session.flush()
        note_done(session, row.id)


def _family(diameter: str, runs: Sequence[Sequence[str]], code: Code, price: str) -> Family:
    wide_nm = parse_length(diameter, Unit.MM, field="diameter") if diameter.strip() else None
    if wide_nm is not None and not mm("3") <= wide_nm <= mm("60"):
        raise BadValue("A shim is 3 to 60 mm across.", field="diameter")
    if not runs:
        raise BadValue("Write at least one run, from, to and step.", field="run")
    read = (tuple(parse_length(part, Unit.MM, field="run") for part in run) for run in runs)
    return Family(
        diameter_nm=wide_nm,
        runs=tuple(Run(from_nm=low, to_nm=high, step_nm=step) for low, high, step in read),
        price=money_in(price, "price"),
        code=code,
    )


def _sizes(text: str, family: Family) -> list[int]:
    """Return sizes as typed, each one that the family is made in; BadValue for any other."""
    made = set(family.sizes())
    found = []
    for part in text.replace(";", " ").split():
        size_nm = parse_length(part.rstrip(","), Unit.MM, field="to_order")
        if size_nm not in made:
            raise BadValue(f"{part} is no size of this family.", field="to_order")
        found.append(size_nm)
    return sorted(set(found))


def _told_apart(session: Session, family_id: int | None, name: str, wide_nm: int | None) -> None:
    for other in families(session):
        if other.id == family_id:
            continue
        if other.name == name:
            raise BadValue(f"There is a family “{name}” already.", field="name")
        if wide_nm is not None and other.diameter_nm == wide_nm:
            raise BadValue(
                f"{other.name} is {show_mm(wide_nm)} mm across already; families are told "
                "apart by that.",
                field="diameter",
            )


def money_in(text: str, field: str) -> Decimal | None:
    """Return a price as typed, None for an empty field; BadValue where it is none."""
    try:
        money = decimal_in(text, field)
    except BadValue:
        money = Decimal(-1)
    if money is not None and not 0 <= money <= 10_000:
        raise BadValue(f"{field} “{text.strip()}” is no price; write it like 8.50.", field=field)
    return money

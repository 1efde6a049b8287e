"""Families of shims the shop knows."""

from collections.abc import Iterable, Sequence
from decimal import Decimal

from sqlalchemy import select
from sqlalchemy.orm import Session

from plimb.core.engine.engine import Clearance
from plimb.core.lengths import show_mm
from plimb.core.shim.family import Family, Run
from plimb.record.tables.shim import ShimFamilyRow


def families(session: Session) -> Sequence[ShimFamilyRow]:
    """Return every family the shop knows, by diameter."""
    query = select(ShimFamilyRow).order_by(ShimFamilyRow.diameter_nm, ShimFamilyRow.id)
    return session.scalars(query).all()


def find_family(session: Session, family: Family) -> ShimFamilyRow | None:
    """Return the shop's family for an engine's: the same diameter, else the same runs."""
    return family_among(families(session), family)


def family_among(known: Iterable[ShimFamilyRow], family: Family) -> ShimFamilyRow | None:
    """Return the one of these families that an engine's pieces belong to."""
    runs = [[run.from_nm, run.to_nm, run.step_nm] for run in family.runs]
    return next(
        (
            row
            for row in known
            if row.diameter_nm == family.diameter_nm
            and (family.diameter_nm is not None or row.runs == runs)
        ),
        None,
    )


def know_families(session: Session, wanted: Iterable[Family]) -> None:
    """Add the families the shop does not know yet."""
    for family in wanted:
        if find_family(session, family) is None:
            session.add(
                ShimFamilyRow(
                    name=_family_name(session, family),
                    diameter_nm=family.diameter_nm,
                    runs=[[run.from_nm, run.to_nm, run.step_nm] for run in family.runs],
                    code=family.code,
                    price=None if family.price is None else f"{family.price:f}",
                )
            )
            session.flush()


def _family_name(session: Session, family: Family) -> str:
    wide = (
        "without a diameter" if family.diameter_nm is None else f"{show_mm(family.diameter_nm)} mm"
    )
    taken = {row.name for row in families(session)}
    name, number = wide, 2
    while name in taken:
        name, number = f"{wide}, {number}", number + 1
    return name


def core_family(row: ShimFamilyRow) -> Family:
    """Return the family as a core value."""
    return Family(
        runs=tuple(Run(from_nm=low, to_nm=high, step_nm=step) for low, high, step in row.runs),
        diameter_nm=row.diameter_nm,
        price=None if row.price is None else Decimal(row.price),
        code=row.code,
    )


def swapped_for(session: Session, clearances: Sequence[Clearance]) -> frozenset[str]:
    """Return the valves of whose pieces the counter takes an old one for a new one."""
    if not clearances:
        return frozenset()
    known = families(session)
    rows = {one.id: family_among(known, one.family) for one in clearances}
    return frozenset(valve for valve, row in rows.items() if row and row.swap_price is not None)

"""The shop's tools: feeler sets, instruments."""

from collections.abc import Sequence

from sqlalchemy import select
from sqlalchemy.orm import Session, selectinload

from plimb.core.measure.blades import Blade, BladeSet
from plimb.record.rows import value_of
from plimb.record.tables.card import CardRow
from plimb.record.tables.shop import BladeRow, BladeSetRow, InstrumentRow


def list_blade_sets(session: Session) -> Sequence[BladeSetRow]:
    """Return all feeler sets by name."""
    query = select(BladeSetRow).options(selectinload(BladeSetRow.blades))
    return session.scalars(query.order_by(BladeSetRow.name)).all()


def put_blade_set(session: Session, row: BladeSetRow, of: BladeSet) -> None:
    """Write a set as it now is."""
    row.name, row.stacking, row.stacks = of.name, of.stacking, of.stacks
    there = {blade.nominal_nm: blade for blade in row.blades}
    wanted = {blade.nominal_nm for blade in of.blades}
    row.blades = [blade for nm, blade in there.items() if nm in wanted]
    for blade in of.blades:
        line = there.get(blade.nominal_nm)
        if line is None:
            line = BladeRow(nominal_nm=blade.nominal_nm)
            row.blades.append(line)
        line.measured_nm, line.state = blade.measured_nm, blade.state
        line.stamped_nm = blade.stamped_nm
    session.add(row)
    session.flush()


def core_set(row: BladeSetRow) -> BladeSet:
    """Return the set as a core value."""
    return value_of(BladeSet, row, blades=tuple(value_of(Blade, blade) for blade in row.blades))


def set_of(card: CardRow) -> BladeSet | None:
    """Return the feeler set of a card as a core value, None where it has none."""
    return core_set(card.blade_set) if card.blade_set else None


def list_instruments(session: Session) -> Sequence[InstrumentRow]:
    """Return the shop's instruments, the finest first."""
    query = select(InstrumentRow).order_by(InstrumentRow.doubt_nm, InstrumentRow.name)
    return session.scalars(query).all()

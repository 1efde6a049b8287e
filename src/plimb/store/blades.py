"""The shop's feeler sets."""

from __future__ import annotations

from collections.abc import Sequence

from sqlalchemy import select
from sqlalchemy.orm import Session, selectinload

from plimb.core.blades import Blade, BladeSet
from plimb.core.errors import NotFound
from plimb.store.models import BladeRow, BladeSetRow


def list_blade_sets(session: Session) -> Sequence[BladeSetRow]:
    """Return all feeler sets by name."""
    query = select(BladeSetRow).options(selectinload(BladeSetRow.blades))
    return session.scalars(query.order_by(BladeSetRow.name)).all()


def get_blade_set(session: Session, set_id: int) -> BladeSetRow:
    """Return the feeler set of that number.

    Raises:
        NotFound: There is none.
    """
    row = session.get(BladeSetRow, set_id)
    if row is None:
        raise NotFound(f"There is no feeler set number {set_id} in this shop.", field="blades")
    return row


def put_blade_set(session: Session, row: BladeSetRow, states: dict[int, str], of: BladeSet) -> None:
    """Write a set as it now is; `states` says for each marking why it is out of use."""
    row.name, row.stacking = of.name, of.stacking
    there = {blade.nominal_nm: blade for blade in row.blades}
    wanted = {blade.nominal_nm for blade in of.blades}
    row.blades = [blade for nm, blade in there.items() if nm in wanted]
    for blade in of.blades:
        line = there.get(blade.nominal_nm)
        if line is None:
            line = BladeRow(nominal_nm=blade.nominal_nm)
            row.blades.append(line)
        line.measured_nm = blade.measured_nm
        line.state = "sound" if blade.in_use else states[blade.nominal_nm]
    session.add(row)
    session.flush()


def core_set(row: BladeSetRow) -> BladeSet:
    """Return the set as a core value."""
    return BladeSet(
        name=row.name,
        stacking=row.stacking,
        blades=tuple(
            Blade(
                nominal_nm=blade.nominal_nm,
                measured_nm=blade.measured_nm,
                in_use=blade.state == "sound",
            )
            for blade in row.blades
        ),
    )

"""The shop's micrometers and callipers."""

from __future__ import annotations

from collections.abc import Sequence

from sqlalchemy import select
from sqlalchemy.orm import Session

from plimb.core.errors import NotFound
from plimb.store.models import InstrumentRow


def list_instruments(session: Session) -> Sequence[InstrumentRow]:
    """Return the shop's instruments, the finest first."""
    query = select(InstrumentRow).order_by(InstrumentRow.doubt_nm, InstrumentRow.name)
    return session.scalars(query).all()


def get_instrument(session: Session, instrument_id: int) -> InstrumentRow:
    """Return the instrument of that number.

    Raises:
        NotFound: There is none.
    """
    row = session.get(InstrumentRow, instrument_id)
    if row is None:
        raise NotFound(f"There is no instrument number {instrument_id}.", field="instrument")
    return row

"""What was decided by hand: which pairs of a valve and a piece at hand those are."""

from collections.abc import Mapping, Sequence

import numpy as np

from plimb.core.plan.assignment import Mask
from plimb.core.plan.request import Pin, Stock
from plimb.core.plan.rows import PlanRow
from plimb.core.shim.shim import Source


def decided(rows: Sequence[PlanRow], pins: Mapping[str, Pin], stock: Sequence[Stock]) -> Mask:
    """Return the pairs at hand that somebody decided on: they are weighed like any other.

    Args:
        rows: The valves, n of them.
        pins: What was decided, by valve.
        stock: What lies in the drawer, m places.

    Returns:
        A mask of n by n + m: the valves' own pieces, then those of the drawer.
    """
    found: Mask = np.zeros((len(rows), len(rows) + len(stock)), dtype=bool)
    among = {row.valve: at for at, row in enumerate(rows)}
    for valve, pin in pins.items():
        at, giver = among.get(valve), among.get(pin.from_valve or "")
        if at is None:
            continue
        kind = rows[at].clearance.family.kind
        if pin.source is Source.ENGINE and giver is not None:
            there = rows[giver].piece_nm is not None
            found[at, giver] = there and rows[giver].clearance.family.kind == kind
        elif pin.source is Source.DRAWER:
            for place, piece in enumerate(stock, len(rows)):
                found[at, place] = (piece.thickness_nm, piece.kind) == (pin.thickness_nm, kind)
    return found

"""What lies at hand for a card's plan: which families fit, and what each piece counts as."""

from collections import Counter
from collections.abc import Mapping, Sequence
from dataclasses import replace

from sqlalchemy.orm import Session

from plimb.card.custody import lying_for, worth
from plimb.core.measure.uncertainty import thickness_doubt
from plimb.core.plan.request import Stock
from plimb.core.plan.rows import PlanRow
from plimb.core.shim.family import Kind
from plimb.core.shim.shim import Condition, Trust
from plimb.record.families import family_among, find_family
from plimb.record.tables.card import CardRow
from plimb.record.tables.shim import ShimFamilyRow, ShimRow


def kinds_of(known: Sequence[ShimFamilyRow], plan_rows: Sequence[PlanRow]) -> dict[int, Kind]:
    """Return the shop's families whose pieces fit somewhere, with what they are planned as."""
    kinds = {}
    for row in plan_rows:
        family = family_among(known, row.clearance.family)
        if family is not None and row.clearance.family.known:
            kinds[family.id] = row.clearance.family.kind
    return kinds


def stock_of(row: ShimRow, kind: Kind, trust: Trust) -> Stock:
    """Return what one piece counts as in a plan."""
    marked = row.measured_nm is None or trust is Trust.MARKED
    return Stock(
        thickness_nm=worth(row, trust), kind=kind, doubt_nm=thickness_doubt(by_marking=marked)
    )


def stocks(
    pieces: Sequence[tuple[ShimRow, int]], kinds: Mapping[int, Kind], trust: Trust
) -> list[Stock]:
    """Return the sound pieces at hand, like ones counted together."""
    counts: Counter[tuple[int, Stock]] = Counter()
    for row, many in pieces:
        if row.family_id in kinds and row.condition == Condition.SOUND:
            counts[row.family_id, stock_of(row, kinds[row.family_id], trust)] += many
    lines = sorted(counts, key=lambda line: (line[0], line[1].thickness_nm, line[1].doubt_nm))
    return [replace(line[1], count=counts[line]) for line in lines]


def stocks_unknown(
    session: Session, card: CardRow, rows: Sequence[PlanRow], own: Sequence[ShimRow]
) -> list[Stock]:
    """Return what lies for valves of which nobody has said which shims fit: see `lying_for`.

    `own` are the pieces that are kept back for this card already.
    """
    found: dict[Kind, Counter[Stock]] = {}
    for row in rows:
        family = row.clearance.family
        if family.known or family.kind in found:
            continue
        shop = find_family(session, family)
        mine = [piece for piece in own if shop is not None and piece.family_id == shop.id]
        pieces = [*lying_for(session, card, row.clearance), *mine]
        found[family.kind] = Counter(stock_of(piece, family.kind, card.trust) for piece in pieces)
    return [replace(stock, count=n) for lying in found.values() for stock, n in lying.items()]

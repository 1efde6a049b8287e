"""Open cards that share the drawer, planned at once, so that no piece is promised twice."""

from dataclasses import dataclass, replace

from sqlalchemy.orm import Session

from plimb.card.acting import OnCard, act
from plimb.card.acts.choose import take_moves
from plimb.card.build import status_of
from plimb.card.planning import request_of
from plimb.card.stock import kinds_of, stock_of
from plimb.core.errors import NotReady
from plimb.core.job.stages import Stage
from plimb.core.job.summary import CardState
from plimb.core.plan.result import Move, OrderLine
from plimb.core.plan.together import Planned, Shared, plan_together
from plimb.record.cards import cards_in, get_card
from plimb.record.database import Database
from plimb.record.families import families
from plimb.record.shims import sound_in_drawer
from plimb.record.tables.card import CardRow

AT_ONCE = 20
"""So many cards are planned together, the newest."""


@dataclass(frozen=True, slots=True, kw_only=True)
class CardTogether:
    """One card's share of the plan for all: what its valves get, what is bought for it.

    `otherwise` are the valves that would get another piece were the drawer this card's alone.
    """

    card_id: int
    version: int
    label: str
    moves: tuple[Move, ...]
    order: tuple[OrderLine, ...]
    out_of_spec: tuple[str, ...]
    otherwise: tuple[str, ...]


@dataclass(frozen=True, slots=True, kw_only=True)
class Together:
    """Every card that waits for pieces, planned at once."""

    cards: tuple[CardTogether, ...]

    @property
    def to_buy(self) -> int:
        """How many pieces are bought in all."""
        return sum(line.count for card in self.cards for line in card.order)


def read_together(database: Database) -> Together:
    """Return the plan of all open cards that wait for their pieces."""
    with database.reading() as session:
        return Together(
            cards=tuple(
                CardTogether(
                    card_id=card.id,
                    version=card.version,
                    label=card.revision.engine.label,
                    moves=tuple(move for move in of.plan.moves if move.changes),
                    order=of.plan.order,
                    out_of_spec=of.plan.out_of_spec,
                    otherwise=tuple(
                        move.valve
                        for move, own in zip(of.plan.moves, of.alone.moves, strict=True)
                        if (move.source, move.thickness_nm, move.from_valve)
                        != (own.source, own.thickness_nm, own.from_valve)
                    ),
                )
                for card, of in _planned(session)
            )
        )


def _planned(session: Session) -> list[tuple[CardRow, Planned]]:
    """Return the cards that wait for pieces, each with its plan together and by itself."""
    waiting = [
        get_card(session, card.id)
        for card in cards_in(session, CardState.OPEN, skip=0, most=AT_ONCE)
        if card.summary is not None and card.summary.at is Stage.CHOOSE
    ]
    own = [request_of(session, card, status_of(card), shelf=()) for card in waiting]
    known = families(session)
    kinds = [kinds_of(known, request.rows) for request in own]
    shelf = sound_in_drawer(session, set().union(*kinds))
    engines = []
    for card, request, fits in zip(waiting, own, kinds, strict=True):
        lines = [
            (place, replace(stock_of(row, fits[row.family_id], card.trust), count=many))
            for place, (row, many) in enumerate(shelf)
            if row.family_id in fits
        ]
        engines.append(
            Shared(
                request=replace(
                    request, drawer=(*request.drawer, *(stock for _place, stock in lines))
                ),
                lies=(*[None] * len(request.drawer), *(place for place, _stock in lines)),
            )
        )
    return list(zip(waiting, plan_together(engines), strict=True))


@act("take-shared-plan")
def take_together(on: OnCard) -> None:
    """Take this card's share of the plan for all; the other cards' plans go round it from now on.

    Raises:
        NotReady: This card does not wait for pieces, or one has gone from the drawer.
    """
    for card, of in _planned(on.session):
        if card.id == on.card.id:
            take_moves(on, of.plan, by_hand=True)
            return
    raise NotReady("This card does not wait for shims.", field="valve")

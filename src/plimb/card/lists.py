"""The lists of a card, with what was ticked of them."""

from collections.abc import Iterable, Mapping
from dataclasses import replace

from plimb.card.view import TickLine
from plimb.core.engine.checklist import ChecklistItem
from plimb.core.engine.engine import Engine
from plimb.core.engine.turning import Method
from plimb.core.job.kinds import kind_of_job
from plimb.core.job.lists import ListFacts, ListName, list_of
from plimb.record.tables.card import CardRow


def method_of(card: CardRow) -> Method:
    """Return how the engine of a card is turned; a head on the bench has no crank."""
    return Method.BENCH if kind_of_job(card.kind).on_bench else card.method


def list_facts(card: CardRow, engine: Engine, round_: int) -> ListFacts:
    """Return what the lists of a card go by in one of its rounds: which lines stand in them.

    What an engine sits in and how often it is turned by hand change a line's words alone.
    """
    shafts = {shaft.id for shaft in engine.camshafts}
    return ListFacts(
        engine=engine,
        kind=kind_of_job(card.kind),
        method=method_of(card),
        aside=frozenset(card.shafts_aside) & shafts,
        round=round_,
    )


def ticked(card: CardRow, items: Iterable[ChecklistItem]) -> tuple[TickLine, ...]:
    """Return the lines of a list with what was seen to of them."""
    return tuple(TickLine(item=item, done=item.id in card.seen_to) for item in items)


def lists_of(
    card: CardRow, facts: ListFacts, opened: Iterable[str], touched: Iterable[str]
) -> Mapping[str, tuple[TickLine, ...]]:
    """Return the lists of a card by the names that its view has for them."""
    reached, changed = (replace(facts, opened=tuple(valves)) for valves in (opened, touched))
    return {
        "safety": ticked(card, list_of(ListName.SAFE, facts)),
        "reach": ticked(card, list_of(ListName.REACH, reached)),
        "closing": ticked(card, list_of(ListName.CLOSE, changed)),
        "cover": ticked(card, list_of(ListName.COVER, facts)),
    }

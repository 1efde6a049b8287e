"""What stands on a card beside its valves: whence it came, what the engine says now, fitting."""

from collections.abc import Mapping, Sequence

from sqlalchemy.orm import Session

from plimb.core.engine.changes import changes
from plimb.core.engine.engine import Engine
from plimb.core.engine.turning import Stop
from plimb.core.job.fitting import FitStep, fit_steps
from plimb.core.job.valve import ValveStatus
from plimb.files.engine_file import parsed_engine
from plimb.record.families import swapped_for
from plimb.record.seals import known_key
from plimb.record.tables.card import CardRow
from plimb.record.tables.engine import EngineRevisionRow


def origin_words(session: Session, card: CardRow) -> str:
    """Return where a card from a file comes from, empty where it was opened here."""
    if card.origin is None:
        return ""
    known = known_key(session, card.origin.public) if card.origin.public else None
    called = None if known is None else "this shop" if known.own else f"“{known.name}”"
    return card.origin.words(called)


def corrected(card: CardRow, engine: Engine, newest: EngineRevisionRow) -> tuple[str, ...]:
    """Return what the engine says otherwise since an open card was opened with it."""
    if newest.id == card.revision.id:
        return ()
    file, corrected = parsed_engine(newest.document)
    return changes(engine, corrected, file.units)


def fit_of(
    session: Session, engine: Engine, stops: Sequence[Stop], touched: Mapping[str, ValveStatus]
) -> tuple[FitStep, ...]:
    """Return the steps in which what was chosen goes in, by the positions that are turned to."""
    return fit_steps(
        engine,
        {v: s.record.choice for v, s in touched.items() if s.record.choice},
        {v: s.record.piece.thickness_nm for v, s in touched.items() if s.record.piece},
        {valve: number for number, stop in enumerate(stops) for valve in stop.valves},
        frozenset(valve for valve, state in touched.items() if state.overtaken),
        swapped_for(session, [state.clearance for state in touched.values()]),
    )

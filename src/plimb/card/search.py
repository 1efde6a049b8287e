"""Finding cards by their words: machine, person, reason, remark, day, size, what a valve was."""

from datetime import datetime

from sqlalchemy.orm import Session

from plimb.core.engine.engine import Engine
from plimb.core.job.kinds import kind_of_job
from plimb.core.job.summary import CardSummary
from plimb.core.lengths import Unit
from plimb.core.words import VERDICT_WORDS, Units
from plimb.files.engine_file import parsed_engine
from plimb.record.tables.card import CardRow
from plimb.record.years import put_words


def keep_words(session: Session, card: CardRow) -> None:
    """Keep the words that a card is found by."""
    file, engine = parsed_engine(card.revision.document)
    of = card.revision.engine
    put_words(
        session,
        card.id,
        {
            "machine": _together(
                of.label, of.note, engine.name, file.machine.owner, file.machine.plate
            ),
            "people": _together(card.opened_by, card.signed_by),
            "words": _together(
                f"card {card.id}",
                kind_of_job(card.kind).label,
                card.reason,
                card.symptoms,
                card.remarks,
                *card.notes.values(),
                *(amendment.text for amendment in card.amendments),
                _day(card.opened_at),
                _day(card.signed_at),
                "signed" if card.signed_at else "open",
                "put away" if card.put_away_at else "",
                _verdicts(engine, card.summary),
            ),
            "sizes": _sizes(card, file.units),
        },
    )


def _together(*said: object) -> str:
    return " ".join(str(word) for word in said if word)


def _day(moment: datetime | None) -> str:
    """Return a day as people write it: by its figures, and by its month and year."""
    return "" if moment is None else f"{moment:%Y-%m-%d} {moment:%B} {moment:%Y}"


def _verdicts(engine: Engine, summary: CardSummary | None) -> str:
    """Return what each valve was that was not in range: `tight exhaust 2 EX L`."""
    said = []
    for key, verdict in (summary.verdicts if summary else {}).items():
        name = engine.names.get(key)
        if name is not None and verdict not in (None, "in"):
            one = engine.clearance(name)
            said.append(f"{VERDICT_WORDS[verdict]} {one.side} {name}")
    return "; ".join(said)


def _sizes(card: CardRow, units: Units) -> str:
    """Return every thickness that came out or went in, in the card's unit and in mm."""
    lengths = {
        nm
        for round_ in card.rounds
        for nm in (
            *(
                line.measured_nm or line.marked_nm
                for line in round_.pieces
                if not line.superseded_at
            ),
            *(line.thickness_nm for line in round_.choices if not line.superseded_at),
        )
        if nm is not None
    }
    both = {units, Units(gap=Unit.MM, shim=Unit.MM)}
    return " ".join(sorted({shown.shim_figure(nm) for nm in lengths for shown in both}))

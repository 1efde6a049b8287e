"""The lines written on a card: add one, strike one out, read the ones that stand."""

from __future__ import annotations

from collections.abc import Iterable
from datetime import datetime
from typing import TypeVar

from sqlalchemy.orm import Session

from plimb.core.gap import Feel, Gap
from plimb.core.lengths import Unit, show_mm
from plimb.core.piece import Condition, Piece, Source, Trust
from plimb.core.shorthand import Reading
from plimb.core.survey import Choice, Sheet
from plimb.store.models import ChoiceRow, GapRow, PieceRow, RoundRow

Line = TypeVar("Line", GapRow, PieceRow, ChoiceRow)


def _current(lines: Iterable[Line]) -> dict[str, Line]:
    """Return the standing line of each valve; a line struck out stands for none."""
    return {line.valve: line for line in lines if line.superseded_at is None and line.typed}


def sheets(round_: RoundRow, trust: Trust = Trust.MEASURED) -> dict[str, Sheet]:
    """Return what is written for each valve in one round.

    `trust` says which thickness counts where nobody answered for a piece.
    """
    found = _current(gap for gap in round_.gaps if gap.purpose == "found")
    proofs = _current(gap for gap in round_.gaps if gap.purpose == "proof")
    pieces = _current(round_.pieces)
    choices = _current(round_.choices)
    return {
        valve: Sheet(
            found=_reading(found[valve]) if valve in found else None,
            piece=_piece(pieces[valve], trust) if valve in pieces else None,
            choice=_choice(choices[valve]) if valve in choices else None,
            proof=_reading(proofs[valve]) if valve in proofs else None,
        )
        for valve in {*found, *proofs, *pieces, *choices}
    }


def typed(round_: RoundRow) -> dict[tuple[str, str], str]:
    """Return what was typed for the lines that stand, by valve and kind of line."""
    return {
        **{(gap.valve, gap.purpose): gap.typed for gap in round_.gaps if gap.superseded_at is None},
        **{(p.valve, "piece"): p.typed for p in round_.pieces if p.superseded_at is None},
    }


def write_gap(
    session: Session,
    round_: RoundRow,
    *,
    valve: str,
    purpose: str,
    typed: str,
    unit: Unit,
    reading: Reading | None,
    repeats: bool = False,
    warm: bool = False,
    now: datetime,
) -> None:
    """Add a gap line; without a reading it strikes the standing one out.

    One that `repeats` leaves the line before it as a reading of the same gap.
    """
    earlier = _supersede(
        session, (gap for gap in round_.gaps if gap.purpose == purpose), valve, now
    )
    gap = reading.gap if reading else None
    round_.gaps.append(
        GapRow(
            valve=valve,
            purpose=purpose,
            typed=typed if reading else "",
            unit=unit,
            goes=list(reading.goes) if reading and reading.goes else None,
            refuses=list(reading.refuses) if reading and reading.refuses else None,
            feel=reading.feel if reading else None,
            low_nm=gap.low_nm if gap else None,
            high_nm=gap.high_nm if gap else None,
            open_above=gap.open_above if gap else False,
            called_nm=gap.called_nm if gap else None,
            repeats=repeats and earlier is not None,
            kept=[],
            warm=warm,
            supersedes_id=earlier,
            recorded_at=now,
        )
    )


def repeated(round_: RoundRow, purpose: str) -> dict[str, tuple[Reading, ...]]:
    """Return for each valve all readings of the gap that stands, the newest first."""
    lines = {gap.id: gap for gap in round_.gaps if gap.purpose == purpose}
    chains: dict[str, tuple[Reading, ...]] = {}
    for valve, standing in _current(lines.values()).items():
        line, chain = standing, [_reading(standing)]
        while line.repeats and line.supersedes_id in lines:
            line = lines[line.supersedes_id]
            if not line.typed:
                break
            chain.append(_reading(line))
        chains[valve] = tuple(chain)
    return chains


def kept_slips(round_: RoundRow, purpose: str) -> dict[str, frozenset[str]]:
    """Return for each valve the slips that were asked about and answered "it is so"."""
    standing = _current(gap for gap in round_.gaps if gap.purpose == purpose)
    return {valve: frozenset(line.kept) for valve, line in standing.items()}


def keep_reading(round_: RoundRow, valve: str, purpose: str, slips: Iterable[str]) -> None:
    """Note on the standing line which slips were asked about and answered."""
    standing = _current(gap for gap in round_.gaps if gap.purpose == purpose)
    if valve in standing:
        line = standing[valve]
        line.kept = sorted({*line.kept, *slips})


def write_piece(
    session: Session,
    round_: RoundRow,
    *,
    valve: str,
    typed: str,
    piece: Piece | None,
    zero_nm: int = 0,
    now: datetime,
) -> None:
    """Add a piece line; without a piece it strikes the standing one out."""
    earlier = _supersede(session, round_.pieces, valve, now)
    round_.pieces.append(
        PieceRow(
            valve=valve,
            typed=typed if piece else "",
            marked=piece.marked if piece else None,
            marked_nm=piece.marked_nm if piece else None,
            measured_nm=piece.measured_nm if piece else None,
            readings=list(piece.readings) if piece else [],
            condition=piece.condition if piece else "sound",
            doubt_nm=piece.doubt_nm if piece else None,
            zero_nm=zero_nm,
            supersedes_id=earlier,
            recorded_at=now,
        )
    )


def answer_piece(round_: RoundRow, valve: str, trust: Trust) -> bool:
    """Note on the standing line which thickness counts; False where no shim is read."""
    line = _current(round_.pieces).get(valve)
    if line is None:
        return False
    line.answered = trust.value
    return True


def standing_choices(round_: RoundRow) -> dict[str, ChoiceRow]:
    """Return the decisions that stand, by valve."""
    return _current(round_.choices)


def standing_piece(round_: RoundRow, valve: str) -> PieceRow | None:
    """Return the shim line that stands for a valve."""
    return _current(round_.pieces).get(valve)


def write_choice(
    session: Session,
    round_: RoundRow,
    *,
    valve: str,
    typed: str,
    choice: Choice | None,
    shim_id: int | None = None,
    now: datetime,
) -> None:
    """Add a decision; without one it strikes the standing one out."""
    earlier = _supersede(session, round_.choices, valve, now)
    round_.choices.append(
        ChoiceRow(
            valve=valve,
            typed=typed,
            thickness_nm=choice.thickness_nm if choice else None,
            source=choice.source if choice else Source.SAME,
            from_valve=choice.from_valve if choice else None,
            by_hand=choice.by_hand if choice else True,
            by_marking=choice.by_marking if choice else False,
            measured_nm=choice.measured_nm if choice else None,
            fitted_at=now if choice and choice.fitted else None,
            shim_id=shim_id,
            supersedes_id=earlier,
            recorded_at=now,
        )
    )


def _supersede(session: Session, lines: Iterable[Line], valve: str, now: datetime) -> int | None:
    """Mark the valve's standing line as superseded and return its id."""
    for line in lines:
        if line.valve == valve and line.superseded_at is None:
            line.superseded_at = now
            session.flush()  # before the new line comes: just one may stand
            return line.id
    return None


def _reading(row: GapRow) -> Reading:
    assert row.high_nm is not None  # a line with something typed has a gap
    return Reading(
        goes=None if row.goes is None else tuple(row.goes),
        refuses=None if row.refuses is None else tuple(row.refuses),
        feel=None if row.feel is None else Feel(row.feel),
        called_nm=row.called_nm,
        gap=Gap(
            low_nm=row.low_nm,
            high_nm=row.high_nm,
            open_above=row.open_above,
            called_nm=row.called_nm,
        ),
    )


def _piece(row: PieceRow, trust: Trust) -> Piece:
    return Piece(
        marked=row.marked,
        marked_nm=row.marked_nm,
        measured_nm=row.measured_nm,
        trust=Trust(row.answered) if row.answered else trust,
        answered=row.answered is not None,
        condition=Condition(row.condition),
        readings=tuple(row.readings),
        doubt_nm=row.doubt_nm,
    )


def _choice(row: ChoiceRow) -> Choice:
    assert row.thickness_nm is not None  # a line with something typed has a thickness
    return Choice(
        thickness_nm=row.thickness_nm,
        source=Source(row.source),
        from_valve=row.from_valve,
        by_hand=row.by_hand,
        by_marking=row.by_marking,
        measured_nm=row.measured_nm,
        fitted=row.fitted_at is not None,
    )


def carry_over(
    session: Session, from_: RoundRow, to: RoundRow, *, trust: Trust, now: datetime
) -> None:
    """Begin a round with what the one before left: each gap as proved, each piece as fitted."""
    written = sheets(from_, trust)
    proofs = _current(gap for gap in from_.gaps if gap.purpose == "proof")
    founds = _current(gap for gap in from_.gaps if gap.purpose == "found")
    pieces = _current(from_.pieces)
    for valve, sheet in written.items():
        gap = proofs.get(valve) or (None if sheet.changes else founds.get(valve))
        if gap is not None:
            to.gaps.append(_copy(gap, purpose="found", recorded_at=now))
        if sheet.changes and sheet.choice is not None:
            to.pieces.append(_fitted_piece(sheet.choice, valve, now))
        elif valve in pieces:
            to.pieces.append(_copy(pieces[valve], recorded_at=now))
    session.flush()


_NOT_COPIED = {"id", "round_id", "supersedes_id", "superseded_at"}


def _copy(row: Line, **changed: object) -> Line:
    """Return a line like another, standing by itself."""
    names = {column.key for column in row.__table__.columns} - _NOT_COPIED
    return type(row)(**{name: getattr(row, name) for name in names} | changed)


def _fitted_piece(choice: Choice, valve: str, now: datetime) -> PieceRow:
    nm = choice.goes_in_nm
    marking = choice.known_from_marking
    return PieceRow(
        valve=valve,
        typed=show_mm(nm),
        marked=None,
        marked_nm=nm if marking else None,
        measured_nm=None if marking else nm,
        readings=[] if marking else [nm],
        condition=Condition.SOUND,
        zero_nm=0,
        recorded_at=now,
    )

"""What is written down for valves: add a line, strike one out, read the ones that stand.

Rows go by the clearances' keys, everything outside by their names: the engine a card was opened
with knows both.
"""

from collections.abc import Collection, Iterable, Mapping
from dataclasses import replace
from datetime import datetime
from typing import Any, TypeVar

from sqlalchemy import select
from sqlalchemy.orm import Session

from plimb.core.engine.engine import Engine
from plimb.core.job.valve import Choice, ValveRecord
from plimb.core.lengths import Unit, show_mm
from plimb.core.measure.gap import Feel, Gap
from plimb.core.measure.limits import from_nothing
from plimb.core.measure.shorthand import Reading, joints_of
from plimb.core.shim.shim import Condition, ShimReading, Source, Trust
from plimb.record.rows import columns_of, value_of
from plimb.record.tables.card import RoundRow
from plimb.record.tables.reading import ChoiceRow, GapRow, ShimReadingRow

Line = TypeVar("Line", GapRow, ShimReadingRow, ChoiceRow)


def standing(lines: Iterable[Line], engine: Engine) -> dict[str, Line]:
    """Return the standing line of each valve by name; a line struck out stands for none."""
    names = engine.names
    return {
        names.get(line.valve, line.valve): line
        for line in lines
        if line.superseded_at is None and line.typed
    }


def written(
    round_: RoundRow, engine: Engine, trust: Trust = Trust.MEASURED
) -> dict[str, ValveRecord]:
    """Return what is written for each valve in one round.

    `trust` says which thickness counts where nobody answered for a piece.
    """
    found, proofs = gaps_of(round_, engine, "found"), gaps_of(round_, engine, "proof")
    pieces, choices = standing(round_.pieces, engine), standing(round_.choices, engine)
    return {
        valve: ValveRecord(
            found=_judged(found, valve, engine),
            piece=_shim_reading(pieces[valve], trust, _shim_unit(engine, valve))
            if valve in pieces
            else None,
            choice=_choice(choices[valve], engine) if valve in choices else None,
            proof=_judged(proofs, valve, engine),
        )
        for valve in {*found, *proofs, *pieces, *choices}
    }


def _judged(lines: Mapping[str, GapRow], valve: str, engine: Engine) -> Reading | None:
    """Return a valve's gap as it stands, from nothing on where its range begins there."""
    if valve not in lines:
        return None
    reading, clearance = reading_of(lines[valve]), engine.by_id.get(valve)
    check = clearance.check if clearance else None
    return replace(reading, gap=from_nothing(reading.gap, check))


def gaps_of(round_: RoundRow, engine: Engine, purpose: str) -> dict[str, GapRow]:
    """Return the standing gap lines of one purpose, by valve."""
    return standing((gap for gap in round_.gaps if gap.purpose == purpose), engine)


def write_gap(
    session: Session,
    round_: RoundRow,
    *,
    key: str,
    purpose: str,
    typed: str,
    unit: Unit,
    reading: Reading | None,
    repeats: bool = False,
    warm: bool = False,
    reason: str = "",
    now: datetime,
) -> None:
    """Add a gap line; without a reading it strikes the standing one out.

    One that `repeats` leaves the line before it as a reading of the same gap.
    """
    earlier = _supersede(session, (gap for gap in round_.gaps if gap.purpose == purpose), key, now)
    row = GapRow(
        valve=key,
        purpose=purpose,
        typed=typed if reading else "",
        unit=unit,
        repeats=repeats and earlier is not None,
        kept=[],
        warm=warm,
        reason=reason,
        supersedes_id=earlier,
        recorded_at=now,
        open_above=False,
        thinnest=True,
    )
    if reading is not None:
        row.goes = list(reading.goes) if reading.goes else None
        row.refuses = list(reading.refuses) if reading.refuses else None
        _fill(row, columns_of(GapRow, reading, "typed", "goes", "refuses"))
        _fill(row, columns_of(GapRow, reading.gap))
    round_.gaps.append(row)


def repeated(round_: RoundRow, engine: Engine, purpose: str) -> dict[str, tuple[Reading, ...]]:
    """Return for each valve all readings of the gap that stands, the newest first."""
    lines = {gap.id: gap for gap in round_.gaps if gap.purpose == purpose}
    chains: dict[str, tuple[Reading, ...]] = {}
    for valve, line in gaps_of(round_, engine, purpose).items():
        chain = [reading_of(line)]
        while line.repeats and line.supersedes_id in lines:
            line = lines[line.supersedes_id]
            if not line.typed:
                break
            chain.append(reading_of(line))
        chains[valve] = tuple(chain)
    return chains


def write_shim(
    session: Session,
    round_: RoundRow,
    *,
    key: str,
    reading: ShimReading | None,
    zero_nm: int = 0,
    now: datetime,
) -> None:
    """Add a shim line; without a reading it strikes the standing one out."""
    earlier = _supersede(session, round_.pieces, key, now)
    row = ShimReadingRow(
        valve=key,
        typed="",
        readings=[],
        condition=Condition.SOUND,
        zero_nm=zero_nm,
        supersedes_id=earlier,
        recorded_at=now,
    )
    if reading is not None:
        _fill(row, columns_of(ShimReadingRow, reading, "answered", "readings"))
        row.readings = list(reading.readings)
    round_.pieces.append(row)


def write_choice(
    session: Session,
    round_: RoundRow,
    engine: Engine,
    *,
    key: str,
    choice: Choice | None,
    shim_id: int | None = None,
    now: datetime,
) -> None:
    """Add a decision; without one it strikes the standing one out."""
    earlier = _supersede(session, round_.choices, key, now)
    row = ChoiceRow(
        valve=key,
        typed="",
        source=Source.SAME,
        by_hand=True,
        by_marking=False,
        swapped=False,
        shim_id=shim_id,
        supersedes_id=earlier,
        recorded_at=now,
    )
    if choice is not None:
        row.typed = show_mm(choice.thickness_nm)
        row.fitted_at = now if choice.fitted else None
        row.from_valve = choice.from_valve and engine.clearance(choice.from_valve).key
        row.made_from = None if choice.made_from is None else list(choice.made_from)
        _fill(row, columns_of(ChoiceRow, choice, "from_valve", "made_from"))
    round_.choices.append(row)


def _fill(row: Line, columns: Mapping[str, Any]) -> None:
    for name, value in columns.items():
        setattr(row, name, value)


def _supersede(session: Session, lines: Iterable[Line], key: str, now: datetime) -> int | None:
    """Mark the valve's standing line as superseded and return its id."""
    for line in lines:
        if line.valve == key and line.superseded_at is None:
            line.superseded_at = now
            session.flush()  # before the new line comes: just one may stand
            return line.id
    return None


def reading_of(row: GapRow) -> Reading:
    """Return a gap line as it was understood."""
    assert row.high_nm is not None  # a line with something typed has a gap
    return value_of(
        Reading,
        row,
        goes=None if row.goes is None else tuple(row.goes),
        refuses=None if row.refuses is None else tuple(row.refuses),
        gap=value_of(
            Gap,
            row,
            joints=joints_of(row.goes, row.refuses, row.about),
            endless=row.feel is Feel.LOOSE
            and not row.refuses
            and row.high_nm in (row.low_nm, row.called_nm),
        ),
    )


def _shim_unit(engine: Engine, valve: str) -> Unit:
    """Return what the shims of a valve are measured in."""
    one = engine.by_id.get(valve)
    return one.family.unit if one else Unit.MM


def _shim_reading(row: ShimReadingRow, trust: Trust, unit: Unit) -> ShimReading:
    answered = row.answered is not None
    trust, readings = row.answered or trust, tuple(row.readings)
    return value_of(ShimReading, row, trust=trust, answered=answered, readings=readings, unit=unit)


def _choice(row: ChoiceRow, engine: Engine) -> Choice:
    assert row.thickness_nm is not None  # a line with something typed has a thickness
    giver = row.from_valve and engine.names.get(row.from_valve, row.from_valve)
    made_from = None if row.made_from is None else tuple(row.made_from)
    fitted = row.fitted_at is not None
    return value_of(Choice, row, from_valve=giver, fitted=fitted, made_from=made_from)


def carry_over(
    session: Session, from_: RoundRow, to: RoundRow, engine: Engine, *, trust: Trust, now: datetime
) -> None:
    """Begin a round with what the one before left: each gap as proved, each piece as fitted."""
    proofs, founds = gaps_of(from_, engine, "proof"), gaps_of(from_, engine, "found")
    pieces = standing(from_.pieces, engine)
    for valve, record in written(from_, engine, trust).items():
        gap = proofs.get(valve) or (None if record.changes else founds.get(valve))
        if gap is not None:
            to.gaps.append(_copy(gap, purpose="found", recorded_at=now))
        if record.changes and record.choice is not None:
            key = engine.clearance(valve).key
            to.pieces.append(_fitted_piece(record.choice, key, now))
        elif valve in pieces:
            to.pieces.append(_copy(pieces[valve], recorded_at=now))
    session.flush()


def take_line_back(
    session: Session, round_: RoundRow, line: Line, made: Collection[int], now: datetime
) -> None:
    """Let what stood before an act stand again, as a line of its own; what stands is struck out.

    Args:
        session: The record.
        round_: The round it was written in.
        line: What the act left standing for the valve.
        made: The lines that the act wrote: none of them is what stood before.
        now: When it is taken back.
    """
    before: Line | None = line
    while before is not None and before.id in made:
        earlier = before.supersedes_id
        before = session.get(type(line), earlier) if earlier else None
    stands = stands_for(session, line)
    stands.superseded_at = now
    session.flush()  # before the next one comes: just one may stand
    again = _copy(before or line, recorded_at=now)
    again.supersedes_id = stands.id
    if before is None:
        again.typed = ""  # nothing stood: a line that strikes out
    elif isinstance(before, GapRow) and before.repeats:
        again.supersedes_id = before.supersedes_id  # the readings before it go on with it
    if isinstance(again, GapRow) and isinstance(line, GapRow):
        again.reason = "taken back" if line.reason else ""
    again.round_id = round_.id
    session.add(again)
    session.flush()
    session.expire(round_, ["gaps", "pieces", "choices"])


def stands_for(session: Session, line: Line) -> Line:
    """Return the line that stands where one was written: itself, or what came to say the same."""
    if line.superseded_at is None:
        return line
    kind: Any = type(line)
    query = select(kind).where(
        kind.round_id == line.round_id, kind.valve == line.valve, kind.superseded_at.is_(None)
    )
    if isinstance(line, GapRow):
        query = query.where(GapRow.purpose == line.purpose)
    found: Line = session.scalars(query).one()
    return found


_NOT_COPIED = {"id", "round_id", "supersedes_id", "superseded_at"}


def _copy(row: Line, **changed: object) -> Line:
    """Return a line like another, standing by itself."""
    names = {column.key for column in row.__table__.columns} - _NOT_COPIED
    return type(row)(**{name: getattr(row, name) for name in names} | changed)


def _fitted_piece(choice: Choice, key: str, now: datetime) -> ShimReadingRow:
    nm = choice.goes_in_nm
    marking = choice.known_from_marking
    return ShimReadingRow(
        valve=key,
        typed=show_mm(nm),
        marked=None,
        marked_nm=nm if marking else None,
        measured_nm=None if marking else nm,
        readings=[] if marking else [nm],
        condition=Condition.SOUND,
        zero_nm=0,
        recorded_at=now,
    )

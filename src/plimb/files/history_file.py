"""The past of an engine in the open format: what each check found, and what it left."""

from __future__ import annotations

from collections.abc import Sequence
from datetime import date
from decimal import Decimal
from typing import Annotated, Any, Literal

from pydantic import Field

from plimb.core.engine.engine import Clearance, Engine
from plimb.core.engine.machine import Measure
from plimb.core.errors import BadValue
from plimb.core.lengths import Unit
from plimb.core.measure.gap import Gap
from plimb.core.measure.uncertainty import USUAL_DOUBT
from plimb.core.shim.family import check_shim
from plimb.core.shim.shim import Trust
from plimb.core.wear.forecast import Forecast
from plimb.core.wear.stack import Check, Piece, Seen
from plimb.files.card_file import PiecePart
from plimb.files.engine_file import EngineFile
from plimb.files.engine_parts import FilePart, Length, Name, length_nm
from plimb.files.open_json import at_path, validated
from plimb.files.readings import GapPart, number_in

MOST_CHECKS = 400
Counter = Annotated[Decimal, Field(ge=0, le=2_000_000, allow_inf_nan=False)]


class LeftPart(FilePart):
    """A valve after the work: the piece that is in by then, and its gap if it was measured."""

    valve: Name
    goes: Annotated[list[Length], Field(min_length=1, max_length=4)] | None = None
    refuses: Annotated[list[Length], Field(min_length=1, max_length=4)] | None = None
    called: Length | None = None
    piece: Length | None = None
    measured: Length | None = None

    def gap(self, unit: Unit) -> Gap | None:
        """Return the gap as it was left."""
        if self.goes is None and self.refuses is None and self.called is None:
            return None
        felt = {"goes": self.goes, "refuses": self.refuses, "called": self.called}
        return GapPart.model_validate({"valve": self.valve, **felt}).to_core(unit)

    def new(self, unit: Unit) -> Piece | None:
        """Return the piece that went in."""
        thick = self.piece if self.measured is None else self.measured
        if thick is None:
            return None
        nm = length_nm(thick, unit)
        check_shim(nm)
        half = USUAL_DOUBT.bought_nm if self.measured is None else USUAL_DOUBT.piece_nm
        return Piece(thickness_nm=nm, half_width_nm=half)


class CheckPart(FilePart):
    """One check; `at` is what the counter said, `new_life` that head work came before it."""

    date: date
    at: Counter | None = None
    new_life: bool = False
    gaps: Annotated[list[GapPart], Field(default_factory=list, max_length=96)]
    pieces: Annotated[list[PiecePart], Field(default_factory=list, max_length=96)]
    left: Annotated[list[LeftPart], Field(default_factory=list, max_length=96)]

    def to_core(self, engine: Engine, unit: Unit, of_shims: Unit, path: str) -> Check:
        """Return the check, its valves by their keys."""
        found: dict[str, Gap] = {}
        pieces: dict[str, Piece] = {}
        left: dict[str, LeftPart] = {}
        for place, gap in enumerate(self.gaps):
            with at_path(f"{path}.gaps[{place}]"):
                found[_once(engine, gap.valve, found)] = gap.to_core(unit)
        for place, piece in enumerate(self.pieces):
            with at_path(f"{path}.pieces[{place}]"):
                valve = _once(engine, piece.valve, pieces)
                shim = piece.to_core(engine.clearance(valve), of_shims, Trust.MEASURED)
                pieces[valve] = Piece(
                    thickness_nm=shim.thickness_nm, half_width_nm=shim.half_width_nm
                )
        for place, after in enumerate(self.left):
            with at_path(f"{path}.left[{place}]"):
                left[_once(engine, after.valve, left)] = after
                after.gap(unit)
                after.new(of_shims)
        return Check(
            on=self.date,
            at=self.at,
            new_life=self.new_life,
            valves={
                clearance.key: Seen(
                    found=found.get(clearance.id),
                    piece=pieces.get(clearance.id),
                    left=left[clearance.id].gap(unit) if clearance.id in left else None,
                    new=left[clearance.id].new(of_shims) if clearance.id in left else None,
                    changed=clearance.id in left,
                )
                for clearance in engine.clearances
                if clearance.id in {*found, *pieces, *left}
            },
        )


def _once(engine: Engine, valve: str, known: dict[str, Any]) -> str:
    if valve not in engine.by_id:
        raise BadValue(f"valve: the engine has no valve “{valve}”.", field="valve")
    if valve in known:
        raise BadValue(f"valve: {valve} stands twice.", field="valve")
    return valve


class HistoryFile(EngineFile):
    """A whole history file; checks go by their dates."""

    format: Literal["plimb-history"]  # type: ignore[assignment]
    measure: Measure
    checks: Annotated[list[CheckPart], Field(max_length=MOST_CHECKS)]

    def past(self) -> tuple[Check, ...]:
        """Return the checks in order of time.

        Raises:
            BadValue: A valve is not on the engine or stands twice, or a size cannot be.
        """
        engine = self.to_core()
        read = [
            check.to_core(engine, self.unit, self.of_shims, f"$.checks[{place}]")
            for place, check in enumerate(self.checks)
        ]
        return tuple(sorted(read, key=lambda one: one.on or date.min))


def read_history_file(text: str) -> HistoryFile:
    """Return the history file in the text, checked.

    Raises:
        BadValue: It breaks the format; the field is the JSON path of the first fault.
    """
    return validated(HistoryFile, text, exact=True)


def history_as_json(
    document: dict[str, Any], clearances: Sequence[Clearance], measure: Measure,
    checks: Sequence[Check], unit: Unit, of_shims: Unit,
) -> dict[str, Any]:  # fmt: skip
    """Return a history file of an engine: its document as it stands, and its checks."""
    return {
        "format": "plimb-history",
        "version": 1,
        "unit": unit.value,
        **({"shim_unit": of_shims.value} if of_shims is not unit else {}),
        "measure": measure.value,
        "engine": document["engine"],
        "checks": [_check_as_json(check, clearances, unit, of_shims) for check in checks],
    }


def _check_as_json(
    check: Check, clearances: Sequence[Clearance], unit: Unit, of_shims: Unit
) -> dict[str, Any]:
    gaps, pieces, left = [], [], []
    for clearance in clearances:
        seen = check.valves.get(clearance.key)
        if seen is None:
            continue
        if seen.found is not None:
            gaps.append({"valve": clearance.id, **_gap(seen.found, unit)})
        if seen.piece is not None:
            pieces.append({"valve": clearance.id, **_piece(seen.piece, of_shims, "marked_as")})
        if seen.changed:
            felt = {} if seen.left is None else _gap(seen.left, unit)
            new = {} if seen.new is None else _piece(seen.new, of_shims, "piece")
            left.append({"valve": clearance.id, **felt, **new})
    found = {"date": (check.on or date.min).isoformat(), "gaps": gaps, "pieces": pieces,
             "left": left}  # fmt: skip
    at = {} if check.at is None else {"at": float(check.at)}
    return {**found, **at, **({"new_life": True} if check.new_life else {})}


def _gap(gap: Gap, unit: Unit) -> dict[str, Any]:
    said: dict[str, Any] = {}
    if gap.low_nm is not None:
        said["goes"] = [number_in(gap.low_nm, unit)]
    if gap.low_nm != gap.high_nm and gap.open_above:
        said["refuses"] = [number_in(gap.high_nm, unit)]
    if gap.called_nm is not None:
        said["called"] = number_in(gap.called_nm, unit)
    elif gap.endless:
        said["feel"] = "loose"
    return said | ({"guess": True} if gap.guess else {})


def _piece(piece: Piece, unit: Unit, by_marking: str) -> dict[str, Any]:
    measured = piece.half_width_nm < USUAL_DOUBT.bought_nm
    return {"measured" if measured else by_marking: number_in(piece.thickness_nm, unit)}


def forecast_as_json(forecast: Forecast, measure: Measure, unit: Unit) -> dict[str, Any]:
    """Return a forecast as programs read it: lengths in the file's unit, None where unknown."""

    def number(nm: int | None) -> float | None:
        return None if nm is None else number_in(nm, unit)

    valves = []
    for valve in forecast.valves:
        stacks = []
        for seen in valve.past.seen:
            ends = seen.stack() or (None, None)
            at = forecast.checks[seen.check].at
            stacks.append({
                "at": None if at is None else float(at),
                "low": number(ends[0]), "high": number(ends[1]),
            })  # fmt: skip
        rate, reach = valve.rate, valve.to_minimum
        valves.append({
            "valve": valve.valve,
            "stacks": stacks,
            "rate_per_1000": {
                "best": number(rate.best_nm), "low": number(rate.low_nm),
                "high": number(rate.high_nm),
            } if rate else {"best": None, "low": None, "high": None},
            "to_minimum": {
                "best": reach.best, "early": reach.early, "late": reach.late,
            } if reach else {"best": None, "early": None, "late": None},
            "unusual": valve.unusual,
            "why_unusual": valve.odd.value if valve.odd else None,
        })  # fmt: skip
    due = forecast.next_check
    return {
        "measure": measure.value,
        "valves": valves,
        "next_check": {"at": due.at, "why": due.why.value, "first": due.first},
    }

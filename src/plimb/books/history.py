"""What happened: on a card, to a piece, to an engine, in the shop; who, when, from what to what."""

import json
from collections.abc import Callable, Iterator, Mapping
from dataclasses import dataclass
from datetime import datetime
from typing import Any

from sqlalchemy.orm import Session

from plimb.card.build import engine_of
from plimb.card.registry import act_of
from plimb.core.errors import NotFound
from plimb.core.lengths import show_mm
from plimb.record.cards import get_card
from plimb.record.database import Database
from plimb.record.engines import newest_revision
from plimb.record.history import JournalEntry, entries, of_card, of_engine, of_piece, of_shop
from plimb.record.rows import numbered
from plimb.record.tables.reading import ChoiceRow, GapRow, ShimReadingRow
from plimb.record.tables.shim import ShimRow
from plimb.record.tables.shop import SettingRow
from plimb.shop.settings import rows, shown_setting

MOST = 60
"""So many entries are shown at once."""
_LONGEST = 160


@dataclass(frozen=True, slots=True, kw_only=True)
class WasIs:
    """One value before and after; None where there was none, or is none."""

    name: str
    was: str | None
    now: str | None


@dataclass(frozen=True, slots=True, kw_only=True)
class Happened:
    """One write: when, by whom (nobody said: empty), what, and what changed."""

    number: int
    at: datetime
    who: str
    what: str
    changes: tuple[WasIs, ...]


@dataclass(frozen=True, slots=True, kw_only=True)
class History:
    """What happened, the newest first; `earlier` says that there is more before."""

    about: str
    happened: tuple[Happened, ...]
    earlier: bool


class _Read:
    """What is looked up to say what changed: the valves' names, what a line superseded."""

    def __init__(self, names: Mapping[str, str], session: Session) -> None:
        self.names, self.session = names, session

    def typed_before(self, of: str, line: Mapping[str, Any]) -> str | None:
        """Return what was typed before, where a line supersedes another."""
        number = line.get("supersedes_id")
        row: Any = self.session.get(_LINES[of], number) if number else None
        return None if row is None else row.typed or "struck out"


def read_history(database: Database, kind: str, number: int, before: int | None) -> History:
    """Return what happened on a `card`, to a `piece`, to an `engine`, or in the `shop`.

    Raises:
        NotFound: There is no such thing of that number.
    """
    with database.reading() as session:
        if kind not in _ABOUT:
            raise NotFound("There is a history of cards, shims, engines and the shop.")
        about, lines, names = _ABOUT[kind](session, number)
        found = entries(session, lines, before=before, most=MOST + 1)
        return History(
            about=about,
            happened=tuple(_happened(change, _Read(names, session)) for change in found[:MOST]),
            earlier=len(found) > MOST,
        )


def _of_card(session: Session, number: int) -> tuple[str, Any, Mapping[str, str]]:
    card = get_card(session, number)
    label = card.as_signed.label if card.as_signed else card.revision.engine.label
    return f"card {number}, {label}", of_card(number), engine_of(card).names


def _of_engine(session: Session, number: int) -> tuple[str, Any, Mapping[str, str]]:
    return newest_revision(session, number).engine.label, of_engine(number), {}


def _of_piece(session: Session, number: int) -> tuple[str, Any, Mapping[str, str]]:
    row = numbered(session, ShimRow, number)
    called = row.marked or show_mm(row.thickness_nm)
    return f"shim {number}, {called}", of_piece(number), {}


def _of_shop(_session: Session, _number: int) -> tuple[str, Any, Mapping[str, str]]:
    return "the shop", of_shop(), {}


_ABOUT: Mapping[str, Callable[[Session, int], tuple[str, Any, Mapping[str, str]]]] = {
    "card": _of_card,
    "engine": _of_engine,
    "piece": _of_piece,
    "shop": _of_shop,
}


def _happened(entry: JournalEntry, read: _Read) -> Happened:
    changes = [change for line in entry.lines for change in _changes(*line, read)]
    return Happened(
        number=entry.number, at=entry.at, who=entry.who, what=_words(entry),
        changes=tuple(changes),
    )  # fmt: skip


def _words(entry: JournalEntry) -> str:
    """Return what was done in words: an act's by its kind, else as it was written."""
    row = act_of(entry.kind)
    return entry.what if row is None else row.done


_UNSAID = {
    "id", "version", "summary", "recorded_at", "card_id", "round_id", "key", "digest",
    "superseded_at", "supersedes_id", "engine_id", "made_at", "moved_at", "as_signed", "position",
    "engine_revision_id", "made_from", "low_nm", "high_nm", "goes", "refuses", "open_above",
    "called_nm", "thinnest", "unit", "feel", "marked_nm", "measured_nm", "readings", "number",
    "blade_set_id", "opened_at", "since", "thinnest_blade_nm", "order_line_id",
}  # fmt: skip
"""What follows from something that is said, or is the record's own."""
_LINES: Mapping[str, Any] = {
    "gap_reading": GapRow, "piece_reading": ShimReadingRow, "choice": ChoiceRow,
}  # fmt: skip
_PLAIN = {"shim": {"measured_nm", "thickness_nm", "marked"}, "blade": {"measured_nm", "nominal_nm"}}
"""What is said of these all the same."""
_CALLED = {
    "act": "sets", "reuse": "shims used again", "seen_to": "ticked", "wrench": "torque wrench",
    "hand_turns": "turns by hand", "rested_hours": "rested, hours", "temperature_c": "°C",
    "variant": "plan", "document": "", "doubt_nm": "good to", "place": "where",
    "left_at": "left", "put_away_at": "put away", "signed_at": "signed", "signed_by": "signed by",
    "opened_by": "opened by", "distance_km": "km", "distance_mi": "miles", "sure": "sure enough, %",
    "hand_nm": "a hand’s feel",
    "zero_nm": "zero", "public": "key", "runs": "sizes", "own": "the shop's own",
}  # fmt: skip


def _changes(of: str, row: int, old: str | None, new: str | None, read: _Read) -> Iterator[WasIs]:
    """Give what one line changed, in words."""
    was, now = json.loads(old or "{}"), json.loads(new or "{}")
    if of in ("card_event", "seal"):
        return
    if of in _LINES:
        if old is None:
            yield _written(of, now, read)
        return
    if of == "setting":
        yield from _setting(row, was, now, read)
        return
    for name in dict.fromkeys((*was, *now)):
        if name in _UNSAID and name not in _PLAIN.get(of, ()):
            continue
        if name == "document" and old is None:
            continue  # the whole of what is new
        called = _CALLED.get(name, name.removesuffix("_nm").replace("_", " "))
        yield from _value(called, name, was.get(name), now.get(name), read.names)


def _setting(
    number: int, was: Mapping[str, Any], now: Mapping[str, Any], read: _Read
) -> Iterator[WasIs]:
    """Give a setting before and after, by what it is called in Shop."""
    kept = read.session.get(SettingRow, number)
    row = None if kept is None else rows().get(kept.name)
    if kept is not None and row is not None:
        said = [
            shown_setting(kept.name, json.loads(change.get("value") or "null"))
            for change in (was, now)
        ]
        yield WasIs(name=row.says, was=said[0] or None, now=said[1] or None)


_PURPOSES = {"found": "gap found", "proof": "gap proved"}


def _written(of: str, line: Mapping[str, Any], read: _Read) -> WasIs:
    """Return a line written for a valve: what was typed, or the piece that was decided on."""
    valve = read.names.get(line["valve"], line["valve"])
    before = read.typed_before(of, line)
    if of == "choice":
        nm, where = line.get("thickness_nm"), line.get("source")
        says = f"{show_mm(nm)} ({where})" if nm and line["typed"] else "struck out"
        if line.get("fitted_at"):
            says += ", in"
        return WasIs(name=f"{valve} gets", was=before, now=says)
    name = _PURPOSES.get(line.get("purpose", ""), "shim out")
    says = line["typed"] or "struck out"
    if line.get("reason"):
        says += f" ({line['reason']})"
    return WasIs(name=f"{valve} {name}", was=before, now=says)


def _value(called: str, name: str, was: Any, now: Any, names: Mapping[str, str]) -> Iterator[WasIs]:
    """Give one value before and after, a structured one by its parts, a list by what came."""
    before, after = _parts(was), _parts(now)
    for part in dict.fromkeys((*before, *after)):
        one, other = before.get(part), after.get(part)
        if one == other or (one in _NOTHING and other in _NOTHING):
            continue
        whole = " ".join(filter(None, (called, part))) or "it"
        if isinstance(one, tuple) or isinstance(other, tuple):
            gone = [item for item in one or () if item not in (other or ())]
            come = [item for item in other or () if item not in (one or ())]
            yield WasIs(name=whole, was=", ".join(gone) or None, now=", ".join(come) or None)
        else:
            yield WasIs(name=whole, was=_shown(name, one, names), now=_shown(name, other, names))


_NOTHING = (None, "", ())


def _parts(value: Any) -> dict[str, Any]:
    """Return a structured value's parts by where they stand in it, a plain one as it is."""
    if isinstance(value, str) and value[:1] in ("[", "{"):
        try:
            value = json.loads(value)
        except ValueError:
            return {"": value}
    return dict(_flat(value, ""))


def _flat(value: Any, path: str) -> Iterator[tuple[str, Any]]:
    if isinstance(value, dict):
        for name, inner in value.items():
            yield from _flat(inner, f"{path} {name}".strip())
    elif isinstance(value, list) and any(isinstance(change, dict) for change in value):
        for place, inner in enumerate(value, 1):
            own = inner.get("id") or inner.get("name") if isinstance(inner, dict) else None
            yield from _flat(inner, f"{path} {own or place}".strip())
    elif isinstance(value, list):
        yield path, tuple(map(str, value))
    else:
        yield path, value


def _shown(name: str, value: Any, names: Mapping[str, str]) -> str | None:
    """Return a value as it is read, None where there is none."""
    if value is None or value == "":
        return None
    if name.endswith("_nm") and isinstance(value, int):
        return f"{show_mm(value)} mm"
    if name in ("left_at", "put_away_at", "signed_at") and isinstance(value, str):
        return value[:16]
    text = names.get(str(value), str(value))
    return text if len(text) <= _LONGEST else f"{text[: _LONGEST - 1]}…"

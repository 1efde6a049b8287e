"""An engine over the years, over the wire: its past, what is due, and old notebooks."""

from typing import Annotated

from apiflask import APIBlueprint
from flask import Response
from pydantic import BaseModel, Field

from plimb.books.bench import DuePage, find_due
from plimb.books.due import calendar_at, calendar_secret, due_calendar, new_calendar_address
from plimb.books.notebook import (
    Notebook,
    NotedRow,
    engine_of_note,
    keep_notebook,
    notebook_csv,
    read_notebook,
    take_back_check,
)
from plimb.books.years_page import Band, Dot, PastCheck, ValveYears, YearsView, read_years
from plimb.card.said import Sent, Skipped, sent_to
from plimb.card.years import history_json
from plimb.core.wear.evenness import Apart, Evenness
from plimb.core.wear.forecast import Rate
from plimb.web.api.cards import Who
from plimb.web.api.shop import DueOut
from plimb.web.wire.drawings import DrawingOut
from plimb.web.wire.idempotency import idempotent
from plimb.web.wire.read_off import Answer, answer_of, read_off
from plimb.web.wire.request import csv_answer, file_answer, now, record
from plimb.web.wire.rights import before_who, owners_only

CALENDAR = "text/calendar"

blueprint = APIBlueprint("years", __name__, url_prefix="/api")

DotOut = answer_of(Dot, "DotOut")
BandOut = answer_of(Band, "BandOut")
RateOut = answer_of(Rate, "RateOut")
ApartOut = answer_of(Apart, "ApartOut")
EvennessOut = answer_of(Evenness, "EvennessOut")
ValveYearsOut = answer_of(ValveYears, "ValveYearsOut")
PastCheckOut = answer_of(PastCheck, "PastCheckOut")


@read_off(YearsView, without=("due_at",))
class YearsOut(Answer):
    """An engine over the years."""

    drawing: DrawingOut


@blueprint.get("/engines/<int:engine_id>/years")
@blueprint.output(YearsOut)
def get_years(engine_id: int) -> YearsView:
    """Return an engine's past: every check, how each valve wears, when the next check is due."""
    return read_years(record(), engine_id)


@blueprint.get("/engines/<int:engine_id>/past.json")
@blueprint.doc(hide=True)
def get_past(engine_id: int) -> Response:
    """Return an engine's past as a history file."""
    with record().reading() as session:
        text = history_json(session, engine_id)
    return file_answer(text, "application/json", f"history-{engine_id}.json")


@blueprint.get("/engines/<int:engine_id>/past.csv")
@blueprint.doc(hide=True)
def get_past_csv(engine_id: int) -> Response:
    """Return an engine's past as CSV, one row a valve and check."""
    with record().reading() as session:
        text = notebook_csv(session, engine_id)
    return csv_answer(text, f"history-{engine_id}.csv")


NotedRowOut = answer_of(NotedRow, "NotedRowOut")


@read_off(Notebook)
class NotebookOut(Answer):
    """A file as it was understood, row by row."""


class NotebookIn(Sent):
    """The text of a CSV file."""

    text: Annotated[str, Field(max_length=900_000)]


@blueprint.post("/engines/<int:engine_id>/notebook/preview")
@blueprint.input(NotebookIn)
@blueprint.output(NotebookOut)
def look_into_notebook(engine_id: int, json_data: NotebookIn) -> Notebook:
    """Return how an old notebook is understood; nothing is kept."""
    with record().reading() as session:
        return read_notebook(session, engine_id, json_data.text)


KeptIn = sent_to(
    "KeptNotebookIn", keep_notebook, base=NotebookIn, now=None, engine_id=None, text=None,
    noted_by=Who,
)  # fmt: skip


@blueprint.post("/engines/<int:engine_id>/notebook")
@blueprint.input(KeptIn)
@blueprint.output(YearsOut, status_code=201)
@idempotent(lambda made: read_years(record(), engine_of_note(record(), int(made))))
def keep_old_notebook(engine_id: int, json_data: Sent) -> YearsView:
    """Keep what was understood of an old notebook; the engine's years are the answer."""
    keep_notebook(record(), engine_id=engine_id, **json_data.said(), now=now())
    return read_years(record(), engine_id)


@blueprint.delete("/notebook/<int:note_id>")
@blueprint.output(YearsOut)
def take_back(note_id: int) -> YearsView:
    """Take a check out of an old notebook back; it stays on record."""
    return read_years(record(), take_back_check(record(), note_id=note_id, now=now()))


class DueAsked(BaseModel):
    """From the so-manieth on."""

    skip: Skipped = 0


@read_off(DuePage)
class DuePageOut(Answer):
    """A page of what is due."""

    due: list[DueOut]  # type: ignore[valid-type]


@blueprint.get("/due")
@blueprint.input(DueAsked, location="query")
@blueprint.output(DuePageOut)
def get_due(query_data: DueAsked) -> DuePage:
    """Return a page of what is due, the earliest first."""
    return find_due(record(), now().date(), query_data.skip)


@blueprint.get("/due.ics")
@blueprint.doc(hide=True)
def get_due_calendar() -> Response:
    """Return what is due as a calendar file."""
    return file_answer(due_calendar(record(), now()), CALENDAR, "due.ics")


class CalendarOut(Answer):
    """The address under which the calendar can be subscribed to, None where there is none."""

    path: str | None


@blueprint.get("/calendar")
@blueprint.output(CalendarOut)
def get_calendar() -> CalendarOut:
    """Return the calendar's address."""
    secret = calendar_secret(record())
    return CalendarOut(path=secret and f"/api/calendar/{secret}.ics")


@blueprint.post("/calendar")
@blueprint.output(CalendarOut)
@owners_only
def new_calendar() -> CalendarOut:
    """Give the calendar a new address; the one before it leads nowhere any more."""
    return CalendarOut(path=f"/api/calendar/{new_calendar_address(record(), now=now())}.ics")


@blueprint.get("/calendar/<secret>.ics")
@blueprint.doc(hide=True)
@before_who
def read_calendar(secret: str) -> Response:
    """Return the calendar for whoever has its secret, signed in or not."""
    return file_answer(calendar_at(record(), secret, now()), CALENDAR, "due.ics", keep=False)

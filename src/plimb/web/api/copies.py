"""The record's own copies over the wire: listed, made, put back."""

from typing import Annotated

from apiflask import APIBlueprint
from pydantic import Field

from plimb.books import backup
from plimb.books.backup import CopiesView, Copy
from plimb.card.said import Sent
from plimb.web.wire.read_off import Answer, answer_of, read_off
from plimb.web.wire.request import now, record
from plimb.web.wire.rights import owners_only

blueprint = APIBlueprint("copies", __name__, url_prefix="/api/copies")

CopyOut = answer_of(Copy, "CopyOut")


@read_off(CopiesView)
class CopiesOut(Answer):
    """The record's own copies, the newest first."""


class PutBackIn(Sent):
    """Which copy is put in the record's place."""

    name: Annotated[str, Field(max_length=80)]


class PutBackOut(Answer):
    """What the record that was there is called now, beside the one that was put back."""

    aside: str


def _copies() -> CopiesView:
    return CopiesView(copies=tuple(backup.list_copies(record().path)))


@blueprint.get("")
@blueprint.output(CopiesOut)
def get_copies() -> CopiesView:
    """Return the record's own copies."""
    return _copies()


@blueprint.post("")
@blueprint.output(CopiesOut)
def make_copy() -> CopiesView:
    """Make a copy now, whatever the day's copy is."""
    backup.copy_now(record().path, now())
    return _copies()


@blueprint.post("/put-back")
@blueprint.input(PutBackIn)
@blueprint.output(PutBackOut)
@owners_only
def put_back(json_data: PutBackIn) -> PutBackOut:
    """Put a copy in the record's place; the record that was there is laid aside."""
    return PutBackOut(aside=backup.put_back(record(), json_data.name))

"""Practice over the wire: the lessons, an engine act by act, and the truth afterwards."""

import json
from dataclasses import asdict
from typing import Annotated, Any, Literal

from apiflask import APIBlueprint
from flask import current_app
from pydantic import Field

from plimb.card.build import read_card
from plimb.card.said import MOST, Sent, Text
from plimb.core.errors import BadValue, NotFound
from plimb.core.job.stages import Stage
from plimb.practice.caps import STAGES
from plimb.practice.lessons import BY_ID, LESSONS, OWN, Lesson
from plimb.practice.score import FeelScore, Read, Score, errors_of, feel_of, score_of
from plimb.practice.session import Begun, LessonRun, Practice
from plimb.practice.told import Told
from plimb.web.wire.read_off import Answer, read_off

blueprint = APIBlueprint("practice", __name__, url_prefix="/api/practice")


@read_off(
    Lesson,
    without=(
        "start",
        "world",
        "trap",
        "crank",
        "kind",
        "unit",
        "blades",
        "least",
        "drags",
        "caps",
    ),
)
class LessonOut(Answer):
    """One lesson."""


class BegunOut(Answer):
    """A lesson that was begun."""

    card: int
    title: str
    begins: Stage
    finished: bool


class OwnOut(Answer):
    """An engine of the shop that can be practised on."""

    id: int
    label: str


@read_off(FeelScore)
class FeelOut(Answer):
    """How this hand feels, in the end."""


class PracticeOut(Answer):
    """What can be practised, what was begun, and how this hand feels."""

    lessons: list[LessonOut]
    begun: list[BegunOut]
    engines: list[OwnOut]
    feel: FeelOut


class CapsOut(Answer):
    """The caps over the camshafts, and how hard each bolt was turned, in N·m."""

    off: bool
    tight: bool
    turned: list[float | None]
    gave: list[int]
    wrench: float | None
    stages: list[float]


class RigOut(Answer):
    """A lesson's engine as it stands to the eye."""

    card: int
    lesson: LessonOut
    crank: int
    resting: list[str]
    empty: list[str]
    out: list[str]
    new: list[str]
    tries: int
    caps: CapsOut | None
    finished: bool


@read_off(Told)
class ToldOut(Answer):
    """What the engine answers."""

    rig: RigOut


@read_off(Read)
class ReadOut(Answer):
    """One reading beside what was true."""

    right: bool
    honest: bool


@read_off(Score)
class ScoreOut(Answer):
    """How a lesson went, by its truth."""

    reads: list[ReadOut]
    right: int
    title: str
    point: str


class BeginIn(Sent):
    """Which lesson; the shop's engine where it is about one of its own."""

    lesson: Text
    engine: Annotated[int, Field(ge=1, le=MOST)] | None = None


Said = Annotated[str, Field(max_length=80)] | Annotated[int, Field(ge=-MOST, le=MOST)] | bool | None


class ActIn(Sent):
    """One act on the engine, and what it says."""

    act: Literal[
        "turn",
        "lobe",
        "push",
        "look",
        "out",
        "new",
        "close",
        "in",
        "slide",
        "caps",
        "wrench",
        "pull",
    ]
    what: Annotated[list[Said], Field(max_length=4)] = Field(default_factory=list)


def _practice() -> Practice:
    found: Practice = current_app.extensions["plimb-practice"]
    return found


def _begun(session: Begun | LessonRun) -> dict[str, Any]:
    return {
        "card": session.card, "title": session.lesson.title, "begins": session.lesson.begins,
        "finished": session.finished,
    }  # fmt: skip


def _rig(session: LessonRun) -> dict[str, Any]:
    rig = session.rig
    return {
        "card": session.card, "lesson": session.lesson, "crank": rig.crank,
        "resting": list(rig.resting), "empty": sorted(rig.empty), "out": sorted(rig.out),
        "new": sorted(rig.new), "tries": rig.tries - session.by_others,
        "caps": None if rig.caps is None else {
            "off": rig.caps.off, "tight": rig.caps.tight, "turned": rig.caps.turned,
            "gave": sorted(rig.caps.gave), "wrench": rig.caps.wrench, "stages": STAGES,
        },
        "finished": session.finished,
    }  # fmt: skip


@blueprint.get("")
@blueprint.output(PracticeOut)
def get_practice() -> dict[str, Any]:
    """Return the lessons, what was begun, the shop's engines, and how this hand feels."""
    begun = _practice().begun()
    return {
        "lessons": LESSONS,
        "begun": [_begun(lesson) for lesson in begun],
        "engines": [{"id": engine, "label": label} for engine, label in _practice().own_engines()],
        "feel": feel_of(begun),
    }


@blueprint.post("")
@blueprint.input(BeginIn)
@blueprint.output(BegunOut, status_code=201)
def begin(json_data: BeginIn) -> dict[str, Any]:
    """Begin a lesson."""
    lesson = BY_ID.get(json_data.lesson)
    if lesson is None or (lesson is OWN) != (json_data.engine is not None):
        raise BadValue("Choose a lesson of the list, or an engine of the shop.", field="lesson")
    document = None
    if json_data.engine is not None:
        document = json.loads(_practice().own_document(json_data.engine))
    return _begun(_practice().begin(lesson, document))


@blueprint.get("/<int:card_id>")
@blueprint.output(RigOut)
def get_rig(card_id: int) -> dict[str, Any]:
    """Return a lesson's engine as it stands."""
    return _rig(_practice().session(card_id))


@blueprint.post("/<int:card_id>/acts")
@blueprint.input(ActIn)
@blueprint.output(ToldOut)
def do(card_id: int, json_data: ActIn) -> dict[str, Any]:
    """Do one act on a lesson's engine, and say what it answers."""
    told = _practice().act(card_id, json_data.act, json_data.what)
    return {**asdict(told), "rig": _rig(_practice().session(card_id))}


@blueprint.post("/<int:card_id>/truth")
@blueprint.output(ScoreOut)
def show_truth(card_id: int) -> dict[str, Any]:
    """End a lesson: the truth beside what was written; the engine answers no more."""
    session = _practice().session(card_id)
    score = _score(session)
    if not session.finished:
        _practice().finish(session, errors_of(score))
    return _shown(session, score)


@blueprint.get("/<int:card_id>/truth")
@blueprint.output(ScoreOut)
def get_truth(card_id: int) -> dict[str, Any]:
    """Return the truth again; NotFound while the lesson goes on."""
    session = _practice().session(card_id)
    if not session.finished:
        raise NotFound("The truth is shown when the lesson is ended.")
    return _shown(session, _score(session))


def _score(session: LessonRun) -> Score:
    with _practice().database.reading() as record:
        return score_of(session, read_card(record, session.card).rounds)


def _shown(session: LessonRun, score: Score) -> dict[str, Any]:
    said = {name: getattr(score, name) for name in Score.__dataclass_fields__}
    lesson = session.lesson
    return {**said, "right": score.right, "title": lesson.title, "point": lesson.point}

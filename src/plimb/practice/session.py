"""A lesson under way: its card in the practice record, its engine, and the acts done on it."""

import json
import os
from collections.abc import Callable, Mapping, Sequence
from contextlib import suppress
from dataclasses import dataclass, field
from datetime import datetime
from functools import partial
from pathlib import Path
from typing import Any

from filelock import FileLock

from plimb.books.bench import find_engines, read_shop
from plimb.card.acting import Written
from plimb.card.acts.choose import take_plan
from plimb.card.acts.correct import change_instrument
from plimb.card.acts.feel import write_down_gap
from plimb.card.acts.opening import open_card
from plimb.card.acts.read import write_down_shim
from plimb.card.rejudge import change_settings
from plimb.core.engine.engine import Engine
from plimb.core.errors import BadValue, NotFound, NotReady
from plimb.core.job.stages import Stage
from plimb.core.lengths import Unit, mm, show_mm
from plimb.core.measure.blades import Blade, BladeSet, Tried
from plimb.core.shim.shim import Source
from plimb.files.engine_file import EngineFile
from plimb.files.starting_point import starting_point
from plimb.practice.lessons import BOLTS, BY_ID, CAPS, SETS, Lesson, Trap, fill_in
from plimb.practice.rig import Rig
from plimb.practice.told import Told
from plimb.record.database import Database
from plimb.record.engines import newest_revision
from plimb.shop.clock import utc_now
from plimb.shop.engines import register_engine
from plimb.shop.tools import add_instrument, save_blade_set
from plimb.standins.simulated import Feels, Truth
from plimb.trials.card_hand import CardHand

WHO = "Practice"
MOST_SEEDS = 60


@dataclass(frozen=True, slots=True, kw_only=True)
class Begun:
    """What a list shows of a lesson, and how far off its readings were once the truth was out."""

    card: int
    lesson: Lesson
    finished: bool
    errors_nm: tuple[float, ...]


@dataclass(kw_only=True)
class LessonRun:
    """One lesson under way. `first` is what was true before anybody touched it."""

    card: int
    lesson: Lesson
    seed: int
    document: Mapping[str, Any]
    rig: Rig
    first: Mapping[str, float]
    by_others: int = 0
    finished: bool = False
    errors_nm: list[float] = field(default_factory=list)

    def kept(self) -> dict[str, Any]:
        """Return what is kept of it: from this it is built again."""
        return {
            "card": self.card, "lesson": self.lesson.id, "seed": self.seed,
            "caps": self.rig.caps is not None,
            "document": self.document, "acts": self.rig.acts, "by_others": self.by_others,
            "finished": self.finished, "errors_nm": self.errors_nm,
        }  # fmt: skip


Stamp = tuple[int, int, int]
"""What tells one state of a file from another."""


def _stamp(file: Path) -> Stamp:
    found = file.stat()
    return found.st_ino, found.st_mtime_ns, found.st_size


class Practice:
    """Everything that is practised on beside one shop's record: lessons under way, their engines.

    The cards stand in a record of their own, the acts on each engine in a file beside it.
    """

    def __init__(
        self, database: Database, folder: Path, shop: Database | None = None,
        clock: Callable[[], datetime] = utc_now,
    ) -> None:  # fmt: skip
        self.database, self.shop, self._folder, self._clock = database, shop, folder, clock
        self._folder.mkdir(parents=True, exist_ok=True)
        self._lock = FileLock(self._folder / "lock")  # of all workers
        self._open: dict[int, tuple[Stamp, LessonRun]] = {}

    def begun(self) -> list[Begun]:
        """Return every lesson that was begun, the newest first; what cannot be read is left out."""
        found = []
        for number in sorted(self._numbers(), reverse=True):
            with suppress(ValueError, KeyError, TypeError):
                kept = json.loads(self._file(number).read_text("utf-8"))
                found.append(
                    Begun(
                        card=number, lesson=BY_ID[kept["lesson"]], finished=kept["finished"],
                        errors_nm=tuple(kept["errors_nm"]),
                    )
                )  # fmt: skip
        return found

    def _numbers(self) -> list[int]:
        return [int(file.stem) for file in self._folder.glob("*.json") if file.stem.isdigit()]

    def _file(self, card: int) -> Path:
        return self._folder / f"{card}.json"

    def session(self, card: int) -> LessonRun:
        """Return the lesson of a card; NotFound where it is none."""
        with self._lock:
            return self._session(card)

    def _session(self, card: int) -> LessonRun:
        """Return a lesson as it lies now: another worker may have gone on with it."""
        file = self._file(card)
        if not file.is_file():
            raise NotFound(f"Card {card} is no lesson.")
        stamp, kept = _stamp(file), self._open.get(card)
        if kept is None or kept[0] != stamp:
            self._open[card] = kept = (stamp, _again(json.loads(file.read_text("utf-8"))))
        return kept[1]

    def act(self, card: int, name: str, said: Sequence[Any]) -> Told:
        """Do one act on a lesson's engine.

        Raises:
            NotReady: It cannot be done as the engine stands, or the truth is out.
            BadValue: There is no such act.
        """
        with self._lock:
            session = self._session(card)
            if session.finished:
                raise NotReady("The truth is out: begin the lesson anew.", field="act")
            if name == "swap":
                raise BadValue("There is no act “swap”.", field="act")
            told = session.rig.do(name, *said)
            self._keep(session)
            return told

    def own_engines(self) -> list[tuple[int, str]]:
        """Return the shop's engines: their numbers and labels."""
        if self.shop is None:
            return []
        page = find_engines(self.shop, "", 0)
        return [(engine.id, engine.label) for engine in page.engines]

    def own_document(self, engine_id: int) -> str:
        """Return what the shop knows of one of its engines; NotFound where there is none."""
        if self.shop is None:
            raise NotFound("There is no shop's record beside this one.")
        with self.shop.reading() as session:
            return newest_revision(session, engine_id).document

    def finish(self, session: LessonRun, errors_nm: Sequence[float]) -> None:
        """Note that the truth has been shown, and how far off each reading was."""
        with self._lock:
            session.finished, session.errors_nm = True, list(errors_nm)
            self._keep(session)

    def _keep(self, session: LessonRun) -> None:
        file = self._file(session.card)
        whole = file.with_suffix(".new")
        whole.write_text(json.dumps(session.kept()), "utf-8")
        os.replace(whole, file)
        self._open[session.card] = (_stamp(file), session)

    def begin(self, lesson: Lesson, document: dict[str, Any] | None = None) -> LessonRun:
        """Begin a lesson: an engine that shows its point, a card, and what was done already.

        Args:
            lesson: Which.
            document: The shop's own engine, to practise on that.

        Raises:
            BadValue: The engine lacks a spec or sizes, without which nothing can be practised.
        """
        if document is None:
            document = dict(fill_in(starting_point(lesson.start), lesson))
        engine = EngineFile.model_validate(document).to_core()
        if any(
            clearance.check is None or not clearance.family.sizes()
            for clearance in engine.clearances
        ):
            raise BadValue(
                "This engine cannot be practised on: enter its spec and the sizes of its shims "
                "first.",
                field="engine",
            )
        number = max(self._numbers(), default=0) + 1
        seed = next(
            seed for seed in range(number * 1009, number * 1009 + MOST_SEEDS + 1)
            if seed == number * 1009 + MOST_SEEDS or _shows(lesson, engine, seed)
        )  # fmt: skip
        caps = lesson.caps and any(clearance.camshaft_out for clearance in engine.clearances)
        if caps:
            document["engine"]["bolts"] = [CAPS]
        rig = _rig(lesson, engine, seed, caps=caps)
        now = self._clock()
        micrometer = self._own_tools(lesson)
        document["engine"]["blades"] = f"Practice, {lesson.blades}"
        change_settings(self.database, name="Practice, no shop's record")
        label = f"{document['engine']['name'].removeprefix('Practice: ')}, practice {number}"
        made = register_engine(
            self.database, label=label, note="", document=json.dumps(document), now=now
        )
        card = open_card(
            self.database, engine_id=made, opened_by=WHO, reason=f"Practice: {lesson.title}",
            now=now, kind=lesson.kind,
        )  # fmt: skip
        session = LessonRun(
            card=card.id, lesson=lesson, seed=seed, document=document, rig=rig,
            first=_true(engine, rig),
        )  # fmt: skip
        _OtherHand(self, session, card, micrometer).work()
        session.by_others = rig.tries
        with self._lock:
            self._keep(session)
        return session

    def _own_tools(self, lesson: Lesson) -> int:
        """Have the lesson's feeler set and a micrometer there; return the micrometer's number."""
        shop = read_shop(self.database, self._clock().date())
        name = f"Practice, {lesson.blades}"
        if name not in {blade_set.blades.name for blade_set in shop.blade_sets}:
            save_blade_set(self.database, set_id=None, blades=blade_set(lesson.blades, name))
        tools = {instrument.name: instrument.id for instrument in shop.instruments}
        return tools.get("Micrometer") or add_instrument(
            self.database, name="Micrometer", doubt="0.004"
        )


def blade_set(which: str, name: str = "Practice") -> BladeSet:
    """Return a set of blades to practise with."""
    blades = tuple(Blade(nominal_nm=n * mm("0.01")) for n in SETS[which])
    return BladeSet(name=name, blades=blades)


def _rig(lesson: Lesson, engine: Engine, seed: int, *, caps: bool = False) -> Rig:
    stuck = engine.clearances[-1].id if lesson.trap is Trap.STUCK else None
    rig = Rig(
        engine, blade_set(lesson.blades), seed, world=lesson.world, crank=lesson.crank,
        sticks=stuck, bolts=BOLTS if caps else 0,
    )  # fmt: skip
    if lesson.trap is Trap.NO_GAP:
        truth, valve = Truth(rig.simulated), engine.clearances[-1].id
        run = truth.gap_nm(valve) + mm("0.04")
        rig.simulated.drive(1.0, {valve: run / truth.rates_nm({valve: 1.0})[valve]})
    return rig


def _again(kept: Mapping[str, Any]) -> LessonRun:
    """Build a lesson again from what was kept of it."""
    lesson = BY_ID[kept["lesson"]]
    engine = EngineFile.model_validate(kept["document"]).to_core()
    rig = _rig(lesson, engine, kept["seed"], caps=kept.get("caps", False))
    first = _true(engine, rig)
    for name, *said in kept["acts"]:
        rig.do(name, *said)
    return LessonRun(
        card=kept["card"], lesson=lesson, seed=kept["seed"], document=kept["document"], rig=rig,
        first=first, by_others=kept["by_others"], finished=kept["finished"],
        errors_nm=kept["errors_nm"],
    )  # fmt: skip


def _true(engine: Engine, rig: Rig) -> dict[str, float]:
    truth = Truth(rig.simulated)
    return {clearance.id: truth.gap_nm(clearance.id) for clearance in engine.clearances}


def _shows(lesson: Lesson, engine: Engine, seed: int) -> bool:
    """Return whether an engine has what its lesson is about: enough valves that want a piece."""
    rig = _rig(lesson, engine, seed)
    truth = Truth(rig.simulated)
    out = sum(not truth.in_spec(clearance.id) for clearance in engine.clearances)
    low = min(truth.gap_nm(clearance.id) for clearance in engine.clearances)
    felt = low > mm("0.05") or lesson.trap is Trap.NO_GAP
    if lesson.drags and not _drags(lesson, truth, engine):
        return False
    return felt and lesson.least <= out < max(len(engine.clearances), lesson.least + 1)


def _drags(lesson: Lesson, truth: Truth, engine: Engine) -> bool:
    """Return whether at more than half of the gaps a blade of the set drags lightly."""
    blades = [blade.nominal_nm for blade in blade_set(lesson.blades).blades]
    dragging = sum(
        any(
            lesson.world.feels(truth.gap_nm(clearance.id) - blade_nm) is Feels.DRAG
            for blade_nm in blades
        )
        for clearance in engine.clearances
    )
    return 2 * dragging > len(engine.clearances)


class _OtherHand(CardHand):
    """What another hand has done before a lesson begins, through the same acts as the screen."""

    def __init__(
        self, practice: Practice, session: LessonRun, card: Written, micrometer: int
    ) -> None:
        super().__init__(practice.database, card, practice._clock, f"practice-{card.id}")
        self.session, self.rig, self.micrometer = session, session.rig, micrometer
        self.do(change_instrument, instrument_id=micrometer)

    def work(self) -> None:
        """Do the stages before the one that the lesson begins at."""
        order = list(Stage)
        before = order[: order.index(self.session.lesson.begins)]
        if Stage.FEEL in before:
            self._feel()
        if Stage.READ in before:
            self._read()
        if Stage.FIT in before:
            self._fit()

    def _feel(self) -> None:
        for clearance in self.rig.engine.clearances:
            self.rig.do("lobe", clearance.id)
            known = Tried()
            for fine in (False, True):
                goes = partial(self._goes, clearance.id)
                known, _verdict = self.tried(clearance.id, known, goes, fine=fine)
            text = known.typed
            self.do(write_down_gap, valve=clearance.id, purpose="found", text=text, unit=Unit.MM)

    def _goes(self, valve: str, blades: tuple[int, ...]) -> bool:
        return self.rig.do("push", valve, *blades).force < 1

    def _read(self) -> None:
        self.set_zero(self.micrometer, self.rig.do("close", None).shown_nm or 0)
        for valve in self.view.status.opened:
            told = self.rig.do("out", valve)
            shown = self.rig.do("close", valve).shown_nm or 0
            self.do(write_down_shim, valve=valve, text=f"{told.marking or '?'} {show_mm(shown)}")

    def _fit(self) -> None:
        self.do(take_plan)
        steps = self.view.fit
        for step in steps:
            if step.valve not in self.rig.empty:
                self.rig.do("out", step.valve)
        for step in steps:
            if step.source is Source.ENGINE:
                self.rig.do("in", step.valve, "valve", step.from_valve or "")
            else:
                self.rig.do("new", step.valve, step.thickness_nm)
                self.rig.do("in", step.valve, "new")
            self.put_down_as_in(step.valve)
        for valve in sorted(self.rig.empty):
            self.rig.do("in", valve, "own")
        if self.session.lesson.trap is Trap.SWAPPED and len(steps) > 1:
            far = sorted(steps, key=lambda step: step.thickness_nm)
            self.rig.do("swap", far[0].valve, far[-1].valve)
        self.turn()

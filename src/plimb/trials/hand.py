"""A hand that works a simulated engine through a card, just as the screen says.

Everything goes through the same acts as the screen's: open, measure with the blades asked for,
read the shims, plan, buy, fit, prove, go round again, sign. The hand knows what a person at the
engine is told, and nothing of what is true in it.
"""

from collections.abc import Callable
from dataclasses import dataclass
from datetime import datetime, timedelta
from functools import partial
from pathlib import Path

from plimb.card.acts.choose import choose_piece, open_too, take_plan
from plimb.card.acts.feel import write_down_gap
from plimb.card.acts.next_round import next_round
from plimb.card.acts.opening import open_card
from plimb.card.acts.read import write_down_shim
from plimb.card.acts.ready import set_policy
from plimb.card.acts.sign import sign_card
from plimb.card.build import status_of
from plimb.card.planning import PlanView, read_plan
from plimb.card.rejudge import change_settings
from plimb.core.job.fitting import FitStep
from plimb.core.job.status import JobStatus
from plimb.core.lengths import Unit, mm, show_mm
from plimb.core.measure.blades import Blade, BladeSet, Tried, typed_blade
from plimb.core.measure.limits import Verdict
from plimb.core.plan.advice import OF_THREE, AdviceKind
from plimb.core.plan.measures import Fits
from plimb.core.plan.needs import WhichToSet
from plimb.core.shim.shim import Source, Trust
from plimb.core.shim.sum import Aim, Rounding
from plimb.record.cards import get_card
from plimb.record.database import Database
from plimb.shop.drawer import add_pieces, read_drawer
from plimb.shop.engines import register_engine
from plimb.shop.tools import add_instrument, save_blade_set
from plimb.standins.simulated import Feels, Held, SimulatedEngine
from plimb.trials.card_hand import CardHand

START = datetime(2026, 5, 4, 8, 0)
MOST_ROUNDS = 4

USUAL_BLADES = (*range(3, 11), 13, 15, 18, 20, 23, 25, 28, 30, 33, 35, 38, 40, 45, 50)
"""A common set, in hundredths of a millimetre (common practice)."""

MINUTES = {"turn": 1.5, "try": 0.3, "shaft": 25.0, "shim": 2.0, "fit": 2.0, "counter": 60.0,
           "close": 20.0}  # fmt: skip
"""What a modelled hand takes, in minutes (judgement)."""


@dataclass(frozen=True, slots=True, kw_only=True)
class Way:
    """How a shop works: what it leans to, and how much of the advice is followed.

    `finer` calls gaps to a hundredth once they are bracketed; `measured` measures each new piece
    before it goes in; `of_three` takes the right one of three of a size, and of either side
    where that is said to help; `opens_too` opens what is said to be better opened as well;
    `one_of_each` has one piece of every size at hand, measured; `shaft_cost` is the shop's
    setting, as typed.
    """

    aim: Aim = Aim.LOOSE
    rounding: Rounding = Rounding.NEAREST
    which: WhichToSet = WhichToSet.OUT
    finer: bool = False
    measured: bool = False
    of_three: bool = False
    opens_too: bool = False
    one_of_each: bool = False
    shaft_cost: str = ""


@dataclass(frozen=True, slots=True, kw_only=True)
class Worked:
    """What came of a job: rounds, pieces bought, valves changed in the first round, minutes.

    `seen` is the card as it stood when the first plan was taken, for a judge who compares.
    """

    rounds: int
    bought: int
    changed: tuple[str, ...]
    minutes: float
    tries: int
    seen: JobStatus
    shafts: tuple[str, ...]


class Hand(CardHand):
    """One job, from the card to the signature."""

    def __init__(
        self,
        record: Path,
        simulated: SimulatedEngine,
        document: str,
        way: Way,
        first_round_done: Callable[[], None],
    ) -> None:
        self.simulated, self.way, self.after_first = simulated, way, first_round_done
        database = Database(record)
        self.now, self.minutes, self.bought = START, 0.0, 0
        self.blades = BladeSet(
            name="Trial", blades=tuple(Blade(nominal_nm=n * mm("0.01")) for n in USUAL_BLADES)
        )
        save_blade_set(database, set_id=None, blades=self.blades)
        change_settings(database, shaft_cost=way.shaft_cost)
        self.micrometer = add_instrument(database, name="Micrometer", doubt="0.004")
        engine = register_engine(database, label="Trial", note="", document=document, now=self.now)
        self.in_hand: dict[str, Held] = {}
        self.stock: dict[int, list[Held]] = {}
        card = open_card(
            database, engine_id=engine, opened_by="Trial", reason="Trial", now=self.now
        )
        super().__init__(database, card, self._later, "trial")
        if way.one_of_each:
            self._stock_up()
        self.do(
            set_policy, aim=way.aim, rounding=way.rounding, act=way.which,
            trust=Trust.MEASURED, reuse=True,
        )  # fmt: skip

    def _later(self) -> datetime:
        self.now += timedelta(seconds=30)
        return self.now

    def _stock_up(self) -> None:
        """Lay one piece of each size of the middle of the family into the drawer, measured."""
        zero = self.simulated.measure(None)
        for clearance in {c.family.kind: c for c in self.simulated.engine.clearances}.values():
            with self.database.reading() as session:
                number = read_drawer(session).families[0].id
            words = []
            for size in clearance.family.sizes():
                piece = self.simulated.buy(size, "drawer")
                read_nm = self.simulated.measure(piece) - zero
                self.stock.setdefault(read_nm, []).append(piece)
                words.append(show_mm(read_nm))
            add_pieces(self.database, family_id=number, text=", ".join(words), now=self.now)

    @property
    def status(self) -> JobStatus:
        """The card as it stands."""
        with self.database.reading() as session:
            return status_of(get_card(session, self.card.id))

    @property
    def plan(self) -> PlanView:
        """The plan as it stands."""
        with self.database.reading() as session:
            return read_plan(session, self.card.id)

    def work(self) -> Worked:
        """Do the whole job."""
        self._measure_all()
        self._open_too()
        self._zero()
        changed: tuple[str, ...] = ()
        shafts: tuple[str, ...] = ()
        for number in range(1, MOST_ROUNDS + 1):
            self._read_shims()
            status = self.status
            if number == 1:
                seen = status
            if status.opened or status.touched:
                self.do(take_plan)
                plan = self.plan
                self._fit()
            if number == 1:
                changed = tuple(status.touched) or tuple(self.status.touched)
                shafts = plan.plan.camshafts_out if status.opened else ()
                self.after_first()
            self._prove()
            if not self.status.not_in_spec or number == MOST_ROUNDS or not self.status.touched:
                break
            self.do(next_round, reason="Not in range yet")
        left = self.status.not_in_spec
        self.do(sign_card, signed_by="Trial", remarks="Left so" if left else "", next_distance=None)
        self.minutes += MINUTES["close"] + MINUTES["try"] * self.simulated.tries
        return Worked(
            rounds=number, bought=self.bought, changed=changed, minutes=self.minutes,
            tries=self.simulated.tries, seen=seen, shafts=shafts,
        )  # fmt: skip

    def _measure_all(self) -> None:
        for stop in self.view.turning.stops:
            self.simulated.turn_to(stop.valves)
            self.minutes += MINUTES["turn"]
            for valve in stop.valves:
                self._feel(valve, "found")

    def _open_too(self) -> None:
        """Open what is likelier to be out than is sure, as the plan says."""
        while self.way.opens_too:
            said = [advice for advice in self.plan.helps if advice.kind is AdviceKind.OPEN_TOO]
            if not said:
                break
            self.do(open_too, valve=said[0].valve, opened=True)

    def _feel(self, valve: str, purpose: str) -> None:
        """Try the blades asked for until it is settled, and finer where it has to be set."""
        goes = partial(self._goes, valve)
        known, verdict = self.tried(valve, Tried(), goes, fine=False)
        if self.way.finer or verdict is not Verdict.IN:
            known, verdict = self.tried(valve, known, goes, fine=True)
        text = known.typed or "x"
        if known.goes_nm is None:
            text = f"-{typed_blade(known.refuses_nm or 0)}"
        elif known.refuses_nm is None:
            text = f"{typed_blade(known.goes_nm)}{Feels.LOOSE}"
        elif self.way.finer:
            called = self.simulated.call(valve)
            step = mm("0.001")
            called = min(max(called, known.goes_nm), known.refuses_nm - step)
            text += f"={show_mm(called)}"
        self.do(write_down_gap, valve=valve, purpose=purpose, text=text, unit=Unit.MM)

    def _goes(self, valve: str, blades: tuple[int, ...]) -> bool:
        return self.simulated.goes(valve, blades) is not None

    def _zero(self) -> None:
        self.zero_nm = self.simulated.measure(None)
        self.set_zero(self.micrometer, self.zero_nm)

    def _read_shims(self) -> None:
        """Take out and measure what is asked for, and put it back on its place on the tray."""
        status = self.status
        for valve in status.opened:
            record = status.valves[valve].record
            if record.piece is None and valve not in self.in_hand:
                piece = self.simulated.take_out(valve)
                self.in_hand[valve] = piece
                marked, shown = self.simulated.marking(piece), self.simulated.measure(piece)
                self.minutes += MINUTES["shim"]
                self.do(write_down_shim, valve=valve, text=f"{marked} {shown / mm('1'):.3f}")

    def _fit(self) -> None:
        """Put in what was decided, in the order that is said; the rest goes back where it was."""
        steps, plan = self.view.fit, self.plan
        self.minutes += MINUTES["shaft"] * len(plan.plan.camshafts_out)
        if plan.buy:
            self.minutes += MINUTES["counter"]
        for step in steps:
            if step.valve not in self.in_hand:
                self.in_hand[step.valve] = self.simulated.take_out(step.valve)
        pieces = dict(self.in_hand)
        musts = {move.move.valve: move.must for move in plan.moves}
        sides = {
            advice.valve: advice.sizes
            for advice in plan.helps
            if advice.kind is AdviceKind.EITHER_SIDE
        }
        for step in steps:
            offered = (step.thickness_nm, *sides.get(step.valve, ()))
            self._put_in(step, *self._piece_for(step, pieces, offered, musts[step.valve]))
        given = {step.from_valve for step in steps}
        for step in steps:
            if step.valve not in given:  # left over: it lies on the tray
                self.stock.setdefault(step.old_nm, []).append(pieces[step.valve])
        for valve in list(self.in_hand):
            if all(step.valve != valve for step in steps):
                self.simulated.put_in(valve, self.in_hand.pop(valve))
        self.turn()

    def _put_in(self, step: FitStep, piece: Held, size_nm: int) -> None:
        """Put a piece in, a new one measured first where that is done."""
        if size_nm != step.thickness_nm:
            self.do(choose_piece, valve=step.valve, thickness_nm=size_nm, source=Source.COUNTER)
        measured = ""
        if self.way.measured and step.source is Source.COUNTER:
            measured = f"{(self.simulated.measure(piece) - self.zero_nm) / mm('1'):.3f}"
        self.simulated.put_in(step.valve, piece)
        self.in_hand.pop(step.valve, None)
        self.minutes += MINUTES["fit"]
        self.put_down_as_in(step.valve, measured)

    def _piece_for(
        self, step: FitStep, pieces: dict[str, Held], sizes: tuple[int, ...], must: Fits | None
    ) -> tuple[Held, int]:
        """Return the piece for a step, and of which size: a new one is the right one of several."""
        if step.source is Source.ENGINE:
            return pieces[step.from_valve or ""], step.thickness_nm
        if step.source is Source.DRAWER:
            return self.stock[step.thickness_nm].pop(), step.thickness_nm
        self.bought += 1
        if not self.way.of_three or must is None:
            return self.simulated.buy(step.thickness_nm, step.valve), step.thickness_nm
        offered = [
            (self.simulated.buy(size, step.valve, copy), size)
            for size in sizes
            for copy in range(OF_THREE)
        ]
        best = must.best_nm + self.zero_nm
        return min(offered, key=lambda one: abs(self.simulated.measure(one[0]) - best))

    def _prove(self) -> None:
        status = self.status
        for stop in self.view.turning.stops:
            mine = [valve for valve in stop.valves if valve in status.touched]
            if mine:
                self.simulated.turn_to(stop.valves)
                self.minutes += MINUTES["turn"]
            for valve in mine:
                self._feel(valve, "proof")

"""The card in the open format: what was measured, what lies in the drawer, how to decide."""

from __future__ import annotations

from collections.abc import Iterable
from decimal import Decimal
from typing import Annotated, Any, Literal

from pydantic import Field

from plimb.core.chance import USUAL_DOUBT
from plimb.core.engine import Clearance, Engine
from plimb.core.errors import BadValue
from plimb.core.family import check_shim
from plimb.core.gap import Feel, Gap, between, felt, none_below, point
from plimb.core.lengths import Unit, show_mm, to_float
from plimb.core.limits import MAX_GAP_NM
from plimb.core.piece import Condition, Piece, Trust, parse_piece
from plimb.core.plan import Asked, Plan, Policy, Stock, joints_of, seat_of
from plimb.core.shim import Aim, Rounding, School
from plimb.core.survey import Act
from plimb.core.why import reasons
from plimb.files.engine_file import (
    EngineFile,
    FilePart,
    Length,
    Name,
    at_path,
    length_nm,
    validated,
)


class GapPart(FilePart):
    """A gap as felt; lists of blades, more than one in a stack."""

    valve: Name
    goes: Annotated[list[Length], Field(min_length=1, max_length=4)] | None = None
    refuses: Annotated[list[Length], Field(min_length=1, max_length=4)] | None = None
    feel: Feel | None = None
    called: Length | None = None

    def to_core(self, unit: Unit) -> Gap:
        """Return the reading as the gaps it allows."""
        goes_nm = None if self.goes is None else sum(length_nm(b, unit) for b in self.goes)
        refuses_nm = None if self.refuses is None else sum(length_nm(b, unit) for b in self.refuses)
        called_nm = None if self.called is None else length_nm(self.called, unit)
        for nm in (goes_nm, refuses_nm, called_nm):
            if nm is not None and nm > MAX_GAP_NM:
                raise BadValue("a gap lies between 0 and 2 mm; check the unit.", field="gap")
        if goes_nm is not None and refuses_nm is not None and goes_nm >= refuses_nm:
            between(goes_nm, refuses_nm)  # refuses, with the reason
        gap = _felt(goes_nm, refuses_nm, self.feel)
        if called_nm is None:
            if gap is None:
                raise BadValue("a gap needs a blade that goes or refuses, or a called number.",
                               field="gap")  # fmt: skip
            return gap
        if gap is None:
            return point(called_nm)
        if gap.is_point and gap.low_nm != called_nm:
            raise BadValue("the called number is not what goes with light drag.", field="called")
        return Gap(
            low_nm=gap.low_nm,
            high_nm=gap.high_nm,
            open_above=gap.open_above,
            called_nm=called_nm,
        )

    @property
    def joints(self) -> int:
        """How often two blades lay on one another."""
        return joints_of(self.goes, self.refuses)


def _felt(goes_nm: int | None, refuses_nm: int | None, feel: Feel | None) -> Gap | None:
    if goes_nm is None:
        return None if refuses_nm is None else none_below(refuses_nm)
    if feel in (Feel.DRAG, Feel.TIGHT) or refuses_nm is None:
        return felt(goes_nm, feel or Feel.DRAG)
    return between(goes_nm, refuses_nm)


class PiecePart(FilePart):
    """A shim that came out: its marking, what that stands for, its thickness, its condition."""

    valve: Name
    marked: Annotated[str, Field(min_length=1, max_length=12)] | None = None
    marked_as: Length | None = None
    measured: Length | None = None
    condition: Condition = Condition.SOUND

    def to_core(self, clearance: Clearance, unit: Unit, trust: Trust) -> Piece:
        """Return the shim, its marking decoded by the valve's family."""
        measured_nm = None if self.measured is None else length_nm(self.measured, unit)
        if measured_nm is not None:
            check_shim(measured_nm)
        marked_nm = None if self.marked_as is None else length_nm(self.marked_as, unit)
        if marked_nm is not None:
            check_shim(marked_nm)
        elif self.marked is not None:
            beside = "" if measured_nm is None else f" {show_mm(measured_nm)}"
            marked_nm = parse_piece(self.marked + beside, clearance.family).marked_nm
        return Piece(
            marked=self.marked,
            marked_nm=marked_nm,
            measured_nm=measured_nm,
            trust=trust,
            condition=self.condition,
        )


class RoundPart(FilePart):
    """One pass of measuring and setting."""

    gaps: Annotated[list[GapPart], Field(default_factory=list, max_length=96)]
    pieces: Annotated[list[PiecePart], Field(default_factory=list, max_length=96)]
    proofs: Annotated[list[GapPart], Field(default_factory=list, max_length=96)]


class DrawerPart(FilePart):
    """Pieces of one thickness in the drawer; `diameter` where engines of several are kept."""

    thickness: Length
    measured: Length | None = None
    count: Annotated[int, Field(ge=0, le=10_000)] = 1
    diameter: Length | None = None


class PolicyPart(FilePart):
    """How to decide."""

    aim: Aim = Aim.LOOSE
    round: Rounding = Rounding.NEAREST
    act: Act = Act.OUT
    trust: Trust = Trust.MEASURED
    reuse: bool = True


class CardFile(EngineFile):
    """A whole card file."""

    format: Literal["plimb-card"]
    rounds: Annotated[list[RoundPart], Field(default_factory=list, max_length=40)]
    drawer: Annotated[list[DrawerPart], Field(default_factory=list, max_length=5000)]
    policy: PolicyPart = PolicyPart()

    def asked(self) -> Asked:
        """Return what a plan is made from: the last round, the drawer, the policy.

        Raises:
            BadValue: A valve is not on the engine or stands twice, or a size cannot be.
        """
        engine = self.to_core()
        for place, one in enumerate(self.rounds):
            self._readings(engine, one, f"$.rounds[{place}]")
        last = self.rounds[-1] if self.rounds else RoundPart(gaps=[], pieces=[], proofs=[])
        gaps, pieces = self._readings(engine, last, f"$.rounds[{len(self.rounds) - 1}]")
        return Asked(
            seats=tuple(
                seat_of(
                    one,
                    gaps[one.id][0] if one.id in gaps else None,
                    pieces.get(one.id),
                    gaps[one.id][1] if one.id in gaps else 0,
                )
                for one in engine.clearances
            ),
            drawer=tuple(self._stocks(engine)),
            policy=Policy(
                school=School(aim=self.policy.aim, rounding=self.policy.round),
                act=self.policy.act,
                reuse=self.policy.reuse,
            ),
        )

    def _readings(
        self, engine: Engine, of: RoundPart, path: str
    ) -> tuple[dict[str, tuple[Gap, int]], dict[str, Piece]]:
        gaps: dict[str, tuple[Gap, int]] = {}
        for place, gap in enumerate(of.gaps):
            with at_path(f"{path}.gaps[{place}]"):
                _new_name(engine, gap.valve, gaps)
                gaps[gap.valve] = (gap.to_core(self.unit), gap.joints)
        pieces: dict[str, Piece] = {}
        for place, piece in enumerate(of.pieces):
            with at_path(f"{path}.pieces[{place}]"):
                _new_name(engine, piece.valve, pieces)
                clearance = engine.clearance(piece.valve)
                pieces[piece.valve] = piece.to_core(clearance, self.unit, self.policy.trust)
        return gaps, pieces

    def _stocks(self, engine: Engine) -> Iterable[Stock]:
        """Give the drawer; a piece without a diameter is one of the engine's first family."""
        kinds = {one.family.diameter_nm: one.family.kind for one in engine.clearances}
        usual = engine.clearances[0].family.kind
        for place, part in enumerate(self.drawer):
            with at_path(f"$.drawer[{place}]"):
                nominal_nm = check_shim(length_nm(part.thickness, self.unit))
                measured_nm = None if part.measured is None else length_nm(part.measured, self.unit)
                if measured_nm is not None:
                    check_shim(measured_nm)
                kind: object = usual
                if part.diameter is not None:
                    wide = length_nm(part.diameter, self.unit)
                    kind = kinds.get(wide, ("no valve of this engine", wide))
            if part.count == 0:
                continue
            marked = self.policy.trust is Trust.MARKED or measured_nm is None
            yield Stock(
                thickness_nm=nominal_nm if measured_nm is None or marked else measured_nm,
                kind=kind,
                count=part.count,
                doubt_nm=USUAL_DOUBT.marked_nm if marked else None,
            )


def _new_name(engine: Engine, valve: str, there: dict[str, Any]) -> None:
    engine.clearance(valve)
    if valve in there:
        raise BadValue(f"valve “{valve}” stands twice in this list.", field="valve")


def read_card(text: str) -> CardFile:
    """Return the card file in the text, checked.

    Raises:
        BadValue: It breaks the format; the field is the JSON path of the first fault.
    """
    return validated(CardFile, text)


def plan_as_json(asked: Asked, plan: Plan, unit: Unit) -> dict[str, Any]:
    """Return the plan in the open form, lengths as numbers in the unit."""

    def number(nm: int | None) -> float | None:
        return None if nm is None else to_float(nm, unit)

    def gap_of(gap: Gap | None) -> dict[str, Any]:
        if gap is None or gap.none_found:
            return {"gap": None, "gap_at_most": number(gap.high_nm if gap else None)}
        return {
            "gap": number(gap.best_nm),
            "gap_range": [number(gap.low_nm), number(gap.high_nm)],
        }

    why = reasons(asked, plan)
    valves = []
    for move in plan.moves:
        piece: dict[str, Any] = {"thickness": number(move.thickness_nm), "from": move.source.value}
        if move.from_valve:
            piece["from_valve"] = move.from_valve
        valves.append(
            {
                "valve": move.valve,
                "piece": piece,
                **gap_of(move.gap),
                "in_spec": move.in_spec,
                "chance": None if move.chance is None else round(move.chance, 4),
                "provisional": move.provisional,
                "why": why[move.valve],
            }
        )
    return {
        "optimal": plan.optimal,
        "valves": valves,
        "camshafts_out": list(plan.camshafts_out),
        "order": [
            {
                "thickness": number(line.thickness_nm),
                "diameter": number(line.diameter_nm),
                "count": line.count,
                "price": None if line.price is None else float(line.price),
            }
            for line in plan.order
        ],
        "cost": float(Decimal(plan.cost)),
        "cannot": [
            {"valve": one.valve, "needs": [number(one.thin_nm), number(one.thick_nm)]}
            for one in plan.cannot
        ],
        "chance": round(plan.chance, 4),
    }

"""The card in the open format: what was measured, what lies in the drawer, how to decide."""

from collections.abc import Iterable
from decimal import Decimal
from typing import Annotated, Any, Literal

from pydantic import Field

from plimb.core.engine.engine import Clearance, Engine
from plimb.core.errors import BadValue
from plimb.core.lengths import Unit, show_mm, to_float
from plimb.core.measure.gap import Gap
from plimb.core.measure.uncertainty import SURE, thickness_doubt
from plimb.core.plan.needs import WhichToSet
from plimb.core.plan.reasons import reasons
from plimb.core.plan.request import PlanRequest, Policy, Stock
from plimb.core.plan.result import Plan
from plimb.core.plan.rows import plan_row
from plimb.core.shim.family import check_shim
from plimb.core.shim.shim import Condition, ShimReading, Trust, parse_shim
from plimb.core.shim.sum import Aim, Rounding, SizePolicy
from plimb.files.engine_file import EngineFile
from plimb.files.engine_parts import FilePart, Length, Name, length_nm
from plimb.files.open_json import at_path, validated
from plimb.files.readings import GapPart, number_in


class PiecePart(FilePart):
    """A shim that came out: its marking, what that stands for, its thickness, its condition."""

    valve: Name
    marked: Annotated[str, Field(min_length=1, max_length=12)] | None = None
    marked_as: Length | None = None
    measured: Length | None = None
    condition: Condition = Condition.SOUND

    def to_core(self, clearance: Clearance, unit: Unit, trust: Trust) -> ShimReading:
        """Return the shim, its marking decoded by the valve's family."""
        measured_nm = None if self.measured is None else length_nm(self.measured, unit)
        if measured_nm is not None:
            check_shim(measured_nm)
        marked_nm = None if self.marked_as is None else length_nm(self.marked_as, unit)
        if marked_nm is not None:
            check_shim(marked_nm)
        elif self.marked is not None:
            beside = "" if measured_nm is None else f" {show_mm(measured_nm)}"
            marked_nm = parse_shim(self.marked + beside, clearance.family).marked_nm
        return ShimReading(
            marked=self.marked,
            marked_nm=marked_nm,
            measured_nm=measured_nm,
            trust=trust,
            condition=self.condition,
        )


def shim_as_json(valve: str, piece: ShimReading, unit: Unit) -> dict[str, Any]:
    """Return a standing shim as the card format has it, lengths as numbers in the unit."""
    part: dict[str, Any] = {"valve": valve, "condition": piece.condition.value}
    if piece.marked:
        part["marked"] = piece.marked
    if piece.marked_nm is not None:
        part["marked_as"] = number_in(piece.marked_nm, unit)
    if piece.measured_nm is not None:
        part["measured"] = number_in(piece.measured_nm, unit)
    return part


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
    """How to decide; `sure` enough is a chance, what work costs in the money of the prices."""

    aim: Aim = Aim.LOOSE
    round: Rounding = Rounding.NEAREST
    act: WhichToSet = WhichToSet.OUT
    trust: Trust = Trust.MEASURED
    reuse: bool = True
    sure: Annotated[
        float, Field(ge=0, lt=1, allow_inf_nan=False, exclude_if=lambda sure: sure == SURE)
    ] = SURE
    round_cost: Annotated[
        Decimal | None,
        Field(ge=0, le=10_000, allow_inf_nan=False, exclude_if=lambda cost: cost is None),
    ] = None
    shaft_cost: Annotated[
        Decimal | None,
        Field(ge=0, le=10_000, allow_inf_nan=False, exclude_if=lambda cost: cost is None),
    ] = None


class CardFile(EngineFile):
    """A whole card file."""

    format: Literal["plimb-card"]
    rounds: Annotated[list[RoundPart], Field(default_factory=list, max_length=40)]
    drawer: Annotated[list[DrawerPart], Field(default_factory=list, max_length=5000)]
    policy: PolicyPart = PolicyPart()

    def checked(self) -> None:
        """Refuse a file with a name or a size in it that cannot be, with BadValue."""
        engine = self.to_core()
        for place, round_ in enumerate(self.rounds):
            self._readings(engine, round_, f"$.rounds[{place}]")
        list(self._stocks(engine))

    def plan_request(self) -> PlanRequest:
        """Return what a plan is made from: the last round, the drawer, the policy.

        Raises:
            BadValue: A valve is not on the engine or stands twice, or a size cannot be.
        """
        engine = self.to_core()
        for clearance in engine.clearances:
            if clearance.spec is None:
                raise BadValue(f"$.engine.spec: there is none for {clearance.id}; a plan needs it.",
                               field="$.engine.spec")  # fmt: skip
        self.checked()
        last = self.rounds[-1] if self.rounds else RoundPart(gaps=[], pieces=[], proofs=[])
        gaps, pieces = self._readings(engine, last, f"$.rounds[{len(self.rounds) - 1}]")
        return PlanRequest(
            rows=tuple(
                plan_row(clearance, gaps.get(clearance.id), pieces.get(clearance.id))
                for clearance in engine.clearances
            ),
            drawer=tuple(self._stocks(engine)),
            policy=Policy(
                sizing=SizePolicy(
                    aim=self.policy.aim, rounding=self.policy.round, sure=self.policy.sure
                ),
                act=self.policy.act,
                reuse=self.policy.reuse,
                round_cost=self.policy.round_cost,
                shaft_cost=self.policy.shaft_cost,
            ),
        )

    def _readings(
        self, engine: Engine, of: RoundPart, path: str
    ) -> tuple[dict[str, Gap], dict[str, ShimReading]]:
        gaps: dict[str, Gap] = {}
        for place, gap in enumerate(of.gaps):
            with at_path(f"{path}.gaps[{place}]"):
                _new_name(engine, gap.valve, gaps)
                gaps[gap.valve] = gap.to_core(self.unit)
        pieces: dict[str, ShimReading] = {}
        for place, piece in enumerate(of.pieces):
            with at_path(f"{path}.pieces[{place}]"):
                _new_name(engine, piece.valve, pieces)
                clearance = engine.clearance(piece.valve)
                pieces[piece.valve] = piece.to_core(clearance, self.of_shims, self.policy.trust)
        return gaps, pieces

    def _stocks(self, engine: Engine) -> Iterable[Stock]:
        """Give the drawer; a piece without a diameter is one of the engine's first family."""
        kinds = {
            clearance.family.diameter_nm: clearance.family.kind for clearance in engine.clearances
        }
        usual = engine.clearances[0].family.kind
        for place, part in enumerate(self.drawer):
            with at_path(f"$.drawer[{place}]"):
                nominal_nm = check_shim(length_nm(part.thickness, self.of_shims))
                measured_nm = (
                    None if part.measured is None else length_nm(part.measured, self.of_shims)
                )
                if measured_nm is not None:
                    check_shim(measured_nm)
                kind: object = usual
                if part.diameter is not None:
                    wide = length_nm(part.diameter, self.of_shims)
                    kind = kinds.get(wide, ("no valve of this engine", wide))
            if part.count == 0:
                continue
            marked = self.policy.trust is Trust.MARKED or measured_nm is None
            yield Stock(
                thickness_nm=nominal_nm if measured_nm is None or marked else measured_nm,
                kind=kind,
                count=part.count,
                doubt_nm=thickness_doubt(by_marking=marked),
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


def plan_as_json(request: PlanRequest, plan: Plan, unit: Unit, shims: Unit) -> dict[str, Any]:
    """Return the plan in the open form, lengths as numbers in the unit."""

    def number(nm: int | None, of: Unit = shims) -> float | None:
        return None if nm is None else to_float(nm, of)

    def gap_of(gap: Gap | None) -> dict[str, Any]:
        if gap is None or gap.none_found:
            return {"gap": None, "gap_at_most": number(gap.high_nm if gap else None, unit)}
        if gap.open_ended:
            high_nm = None if gap.endless else gap.high_nm
            return {"gap": None, "gap_range": [number(gap.low_nm, unit), number(high_nm, unit)]}
        return {
            "gap": number(gap.best_nm, unit),
            "gap_range": [number(gap.low_nm, unit), number(gap.high_nm, unit)],
        }

    why = reasons(request, plan)
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
                "why": why[move.valve].words,
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
            {
                "valve": impossible.valve,
                "needs": [number(impossible.thin_nm), number(impossible.thick_nm)],
            }
            for impossible in plan.cannot
        ],
        "chance": round(plan.chance, 4),
    }

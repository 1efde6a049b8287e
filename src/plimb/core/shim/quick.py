"""A quick sum: this gap, this shim, that range, which shim? Without an engine, a card or a name."""

from collections import Counter
from collections.abc import Iterable, Sequence
from dataclasses import dataclass, field

from plimb.core.errors import BadValue
from plimb.core.lengths import Unit, parse_length, plain_figures
from plimb.core.measure.limits import Spec, Verdict, judge
from plimb.core.measure.shorthand import Reading, parse_reading
from plimb.core.measure.uncertainty import kept_chance
from plimb.core.shim.family import COMMON_KIT, Family, Run, parse_run
from plimb.core.shim.shim import ShimReading, parse_shim
from plimb.core.shim.sum import Aim, Outcome, SizePolicy, WorkedOut, change_needed, work_out
from plimb.core.shim.worksheet import given_lines, neighbour_lines
from plimb.core.words import MILLIMETRES, VERDICT_WORDS, Units, figure, percent, times

MOST_LINES = 64
"""So many valves go into one sum."""

FAR_TOO_WIDE = 3
"""A gap so many times the maximum is likelier a slip of the decimal point (judgement)."""

SIDES: dict[Aim | int, str] = {
    Aim.LOOSE: "wide side",
    Aim.MIDDLE: "middle",
    Aim.TIGHT: "tight side",
}
"""Which side a sum can lean to, in the words of the screen."""


@dataclass(frozen=True, slots=True, kw_only=True)
class QuickRules:
    """What every line of a quick sum is held to; `family` is empty where no sizes are known.

    `thinnest_nm` is the thinnest blade at hand, which refuses where nothing goes.
    """

    spec: Spec
    family: Family = field(default_factory=lambda: Family(runs=()))
    sizing: SizePolicy = field(default_factory=SizePolicy)
    units: Units = MILLIMETRES
    thinnest_nm: int | None = None


@dataclass(frozen=True, slots=True, kw_only=True)
class QuickLine:
    """The answer for one valve. `take` is what to fit, the shim that is in where it stays.

    `says` is what to do, `why` the figures that decide it, `sure` how sure it is to be in range,
    `sum` the sum to be checked on paper. `likelier` is the gap that is likelier meant, as it would
    be typed, where the one that was typed is far from what is allowed; else it is empty.
    """

    reading: Reading
    shim: ShimReading
    verdict: Verdict
    worked: WorkedOut
    take: Outcome | None
    keep: bool
    says: str
    why: str
    sure: str
    sum: tuple[str, ...]
    likelier: str = ""


@dataclass(frozen=True, slots=True, kw_only=True)
class ToOrder:
    """So many shims of one size."""

    thickness_nm: int
    count: int


def parse_sizes(text: str, unit: Unit) -> Family:
    """Return the sizes that can be had: `1.20-3.50/0.05`, several such, or sizes one by one.

    Raises:
        BadValue: They cannot be read, or no shim is that thick.
    """
    runs = []
    for part in plain_figures(text).replace(";", " ").split():
        if "/" in part:
            runs.append(parse_run(part, unit))
            continue
        try:
            size_nm = parse_length(part, unit, field="sizes")
        except BadValue:
            raise BadValue(
                f"sizes “{part}” cannot be read. Write thinnest-thickest/step, like "
                "1.20-3.50/0.05, or the sizes with a blank between.",
                field="sizes",
            ) from None
        runs.append(Run(from_nm=size_nm, to_nm=size_nm, step_nm=size_nm))
    return Family(runs=tuple(runs), unit=unit)


def quick_line(gap: str, shim: str, rules: QuickRules) -> QuickLine:
    """Return the answer for one valve, from its gap and its shim as they were typed.

    Raises:
        BadValue: One of them cannot be read; the field says which.
    """
    reading = parse_reading(gap, rules.units.gap, thinnest_nm=rules.thinnest_nm)
    usual = Family(runs=COMMON_KIT.runs, unit=rules.units.shim)
    piece = parse_shim(shim, rules.family if rules.family.runs else usual)
    worked = work_out(
        reading.gap,
        piece.thickness_nm,
        rules.spec,
        rules.family.sizes(),
        rules.sizing,
        piece.half_width_nm,
    )
    verdict = judge(reading.gap, rules.spec.check)
    answer = _Answer(reading=reading, piece=piece, verdict=verdict, worked=worked, rules=rules)
    return answer.line()


def to_order(lines: Iterable[QuickLine]) -> tuple[ToOrder, ...]:
    """Return what to order for all lines, thinnest first; nothing is ordered to be tried."""
    wanted = Counter(
        line.take.thickness_nm
        for line in lines
        if line.take is not None and not line.keep and not line.worked.provisional
    )
    return tuple(ToOrder(thickness_nm=nm, count=count) for nm, count in sorted(wanted.items()))


@dataclass(frozen=True, slots=True, kw_only=True)
class _Answer:
    """One valve as it is answered: every sentence is made from the figures that decided."""

    reading: Reading
    piece: ShimReading
    verdict: Verdict
    worked: WorkedOut
    rules: QuickRules

    @property
    def reads_in(self) -> bool:
        """Whether its best number is in range."""
        gap = self.reading.gap
        return gap.both_ends and self.rules.spec.check.holds(gap.best_nm)

    def line(self) -> QuickLine:
        keep = self.reads_in or self.verdict is Verdict.IN
        take = self._kept() if keep else self.worked.pick or self.worked.likeliest
        return QuickLine(
            reading=self.reading, shim=self.piece, verdict=self.verdict, worked=self.worked,
            take=take, keep=keep, says=self._says(take, keep=keep), why=self._why(take, keep=keep),
            sure="" if take is None or self.worked.provisional else _sure(take.chance),
            sum=self._sum(take, keep=keep), likelier=self._likelier(),
        )  # fmt: skip

    def _likelier(self) -> str:
        """Return a tenth of a figure that is far too wide, where that is plausible."""
        gap, check, unit = self.reading.gap, self.rules.spec.check, self.rules.units.gap
        if not gap.is_point or gap.best_nm <= FAR_TOO_WIDE * check.high_nm:
            return ""
        tenth = gap.best_nm // 10
        return figure(tenth, unit) if tenth * 3 >= check.low_nm and tenth else ""

    def _kept(self) -> Outcome:
        gap, check = self.reading.gap, self.rules.spec.check
        chance = kept_chance(gap, check, self.rules.sizing.doubt)
        return Outcome(
            thickness_nm=self.piece.thickness_nm,
            gap_nm=gap.best_nm,
            in_spec=self.verdict is Verdict.IN,
            chance=1.0 if chance is None else chance,
        )

    def _says(self, take: Outcome | None, *, keep: bool) -> str:
        gap, units = self.reading.gap, self.rules.units
        if self.worked.provisional and not gap.none_found:
            return "One end only: " + (
                "find a thinner blade that goes."
                if gap.low_nm is None
                else "find the blade that refuses."
            )
        if take is None:
            return f"{VERDICT_WORDS[self.verdict].capitalize()}. {self._needed()}"
        size = units.shim_figure(take.thickness_nm)
        if self.worked.provisional:
            return f"No gap. Fit {size} as a temporary shim and re-measure."
        if keep:
            verdict = "In range" if self.verdict is Verdict.IN else "Not clear yet"
            return f"{verdict}: keep {size}."
        said = VERDICT_WORDS[self.verdict].capitalize()
        return f"{said}. Take {size}: gap {units.in_sum(take.gap_nm)}."

    def _needed(self) -> str:
        """Return which shim would bring it in, where no size that is known does."""
        units, gap, check = self.rules.units, self.reading.gap, self.rules.spec.check
        none = "No size brings it into range. " * bool(self.rules.family.runs)
        if gap.none_found:
            most = units.shim_figure(self.worked.at_most_nm or 0)
            return f"{none}The shim must be thinner than {most}."
        change = change_needed(gap, check)
        assert change is not None  # both ends are known: no pick, and not one end only
        thick = self.piece.thickness_nm
        low, high = (units.shim_figure(thick + nm) for nm in (change.thin_nm, change.thick_nm))
        return f"{none}It needs {low} to {high}."

    def _why(self, take: Outcome | None, *, keep: bool) -> str:
        units, check = self.rules.units, self.rules.spec.check
        if take is None or self.worked.provisional:
            return ""
        if keep:
            if self.verdict is Verdict.IN:
                return f"The allowed gap is {check.words(units.gap)}."
            return "The reading crosses a limit: try a blade in between."
        said = [self._against(side, take) for side in (self.worked.thinner, self.worked.thicker)]
        return " ".join(word for word in said if word)

    def _against(self, other: Outcome | None, take: Outcome) -> str:
        """Return why not a neighbour: it is out, less sure, or further from where it leans."""
        if other is None or other.thickness_nm == take.thickness_nm:
            return ""
        units, worked = self.rules.units, self.worked
        size, gap = units.shim_figure(other.thickness_nm), units.in_sum(other.gap_nm)
        if not worked.limits.holds(other.gap_nm):
            out = "tight" if other.gap_nm < worked.limits.low_nm else "loose"
            return f"{size} would give {gap}: too {out}."
        if other.chance < take.chance:
            return f"{size} would give {gap}, in range only {times(other.chance)}."
        side = SIDES.get(self.rules.sizing.aim, "target")
        return f"{size} would give {gap}, further from the {side}."

    def _sum(self, take: Outcome | None, *, keep: bool) -> tuple[str, ...]:
        units, worked = self.rules.units, self.worked
        lines = (*given_lines(worked, units), *neighbour_lines(worked, units))
        if take is None or worked.gap.open_ended:
            return lines
        size, gap = units.shim_figure(take.thickness_nm), units.in_sum(take.gap_nm)
        if worked.provisional:
            return (*lines, f"{size} is temporary: the gap will be at most {gap}.")
        if keep:
            return (*lines, f"Keep {size}: the gap stays {gap}.")
        stack = units.shim_figure(worked.gap.best_nm + worked.shim_nm)
        return (*lines, f"Take {size}: {stack} − {size} = gap {gap}.")


def _sure(chance: float) -> str:
    """Return how sure a valve is to be in range, in words that can be acted on."""
    said = times(chance)
    return f"In range {said}" + ("." if chance == 1 else f" ({percent(chance)}).")


def as_text(lines: Sequence[tuple[str, QuickLine]], rules: QuickRules) -> str:
    """Return a quick sum as text to be handed on: the range, a line a valve, what to order."""
    units = rules.units
    said = [f"Allowed gap {rules.spec.words(units.gap)} {units.gap.of_gaps}"]
    for name, line in lines:
        before, shim = line.reading.gap.words(units.gap), units.shim_figure(line.worked.shim_nm)
        said.append(f"{name}: gap {before}, shim {shim}. {line.says} {line.sure}".strip())
    order = [
        f"{one.count} × {units.shim_figure(one.thickness_nm)}"
        for one in to_order(line for _name, line in lines)
    ]
    if order:
        said.append(f"Order: {', '.join(order)} {units.shim}")
    return "\n".join(said)

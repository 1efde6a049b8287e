"""Slips of the hand and the eye, seen at the moment they are made.

A finding never blocks: it names the value, gives the reason in a sentence, and offers the
likely right value where there is one. The bounds are judgement from common practice, set so
that honest readings are seldom questioned; the tests measure how seldom.
"""

from collections.abc import Mapping
from dataclasses import dataclass
from enum import StrEnum
from fractions import Fraction

from plimb.core.engine.engine import Clearance, Engine, Side
from plimb.core.lengths import NM_PER_THOU, Unit, mm, show, show_mm, show_thou
from plimb.core.measure.gap import Gap, between, point
from plimb.core.measure.limits import Limits, Verdict, judge
from plimb.core.measure.shorthand import Reading

TWINS_APART_NM = mm("0.10")
LOOSENED_NM = mm("0.02")
JUMP_NM = mm("0.10")
FAR_NM = mm("0.12")


class Slip(StrEnum):
    """What may have gone wrong."""

    TENFOLD = "tenfold"
    UNIT = "unit"
    OTHER_SIDE = "other_side"
    OVERLAP = "overlap"
    TWINS = "twins"
    STUCK = "stuck"
    SWAPPED = "swapped"
    FAR = "far"
    LOOSENED = "loosened"
    JUMP = "jump"
    WARM = "warm"


@dataclass(frozen=True, slots=True, kw_only=True)
class Question:
    """A reading that is asked about: why, and what was likely meant.

    `suggestion` is what to type instead, `suggested` the gap it stands for.
    """

    slip: Slip
    sentence: str
    suggestion: str | None = None
    suggested: Gap | None = None


@dataclass(frozen=True, slots=True, kw_only=True)
class Before:
    """The gap a valve was left with at the check before, carried through any change of shim."""

    gap: Gap


def questions(
    engine: Engine,
    valve: str,
    readings: Mapping[str, Reading],
    *,
    unit: Unit = Unit.MM,
    before: Mapping[str, Before] | None = None,
    warm: bool = False,
) -> tuple[Question, ...]:
    """Return what is worth asking about one valve's reading, the gravest first.

    Args:
        engine: For the specs and for who is whose twin.
        valve: The valve whose reading is looked at.
        readings: All readings of the card so far, by valve.
        unit: What bare figures were typed in, for the suggestion.
        before: The gaps as left at the check before, by valve.
        warm: Whether the engine was measured warm.
    """
    reading = readings.get(valve)
    if reading is None:
        return ()
    clearance = engine.clearance(valve)
    earlier = (before or {}).get(valve)
    found: list[Question | None] = [
        _scale(reading, clearance.check, unit) if clearance.check else None,
        _other_side(engine, clearance, readings, unit),
        _overlap(engine, clearance, readings),
        _since(reading.gap, earlier, unit) if earlier else None,
        _twins(engine, clearance, readings, unit),
        _warm(warm),
    ]
    questions_found = [question for question in found if question]
    if any(question.slip in (Slip.TENFOLD, Slip.UNIT) for question in questions_found):
        return tuple(questions_found[:1])  # the rest would only say again that it is far off
    return tuple(questions_found)


def typed_gap(nm: int, unit: Unit) -> str:
    """Return how a gap is typed: a literal in millimetres, thou in inch mode."""
    return show_mm(nm) if unit is Unit.MM else show_thou(nm)


def _meant_instead(reading: Reading, factor: Fraction, unit: Unit) -> tuple[str, Gap]:
    """Return what is typed for a reading so many times as large, and its gap; a bracket stays."""
    gap = reading.gap
    if reading.refuses and gap.low_nm is not None and not gap.called_nm:
        low_nm, high_nm = round(gap.low_nm * factor), round(gap.high_nm * factor)
        typed = f"{typed_gap(low_nm, unit)}-{typed_gap(high_nm, unit)}"
        return typed, between(low_nm, high_nm)
    nm = round(gap.best_nm * factor)
    return typed_gap(nm, unit), point(nm)


def _plausible(nm: Fraction, limits: Limits) -> bool:
    """Return whether a gap of that size is what this valve might well have."""
    room = limits.high_nm - limits.low_nm
    return limits.low_nm - room <= nm <= limits.high_nm + room and nm * 2 >= limits.low_nm


def _scale(reading: Reading, limits: Limits, unit: Unit) -> Question | None:
    """Tenfold, hundredfold, or the other unit: implausible, and its likely meaning is not."""
    gap = reading.gap
    if gap.low_nm is None:
        return None
    nm = Fraction(gap.best_nm)
    far = not Fraction(limits.low_nm, 3) <= nm <= 2 * limits.high_nm + mm("0.05")
    if not far and 2 * nm <= 3 * limits.high_nm:
        return None
    # what the same keys mean in the other unit, and nothing else
    other = (
        Fraction(NM_PER_THOU, mm("0.01")) if unit is Unit.MM else Fraction(mm("0.01"), NM_PER_THOU)
    )
    typed_mm = unit is Unit.MM and nm == mm("1") * _literal(reading.typed)
    for factor, slip, words in (
        (Fraction(1, 10), Slip.TENFOLD, "ten times"),
        (Fraction(10), Slip.TENFOLD, "a tenth of"),
        (Fraction(1, 100), Slip.TENFOLD, "a hundred times"),
        (Fraction(100), Slip.TENFOLD, "a hundredth of"),
        (Fraction(NM_PER_THOU, mm("1")) if typed_mm else other, Slip.UNIT, ""),
    ):
        meant = nm * factor
        fits = limits.low_nm <= meant <= limits.high_nm
        if not (fits if slip is Slip.UNIT else far and _plausible(meant, limits)):
            continue
        meant_nm = round(meant)
        size = show(gap.best_nm, unit)
        if slip is Slip.UNIT:
            names = ("hundredths of a mm", "thou")
            if unit is Unit.INCH:
                names = names[::-1]
            sentence = (
                f"{size} is far from this valve’s spec; read as {names[1]} and not "
                f"{names[0]} it would be {show(meant_nm, unit)}."
            )
        else:
            sentence = f"{size} is {words} what this valve might have: {show(meant_nm, unit)}?"
        typed, meant_gap = _meant_instead(reading, factor, unit)
        return Question(slip=slip, sentence=sentence, suggestion=typed, suggested=meant_gap)
    return _far(gap.best_nm, limits, unit)


def _far(best_nm: int, limits: Limits, unit: Unit) -> Question | None:
    """Wider by far than a valve opens up, and nothing that was likely meant."""
    room = limits.high_nm - limits.low_nm
    if best_nm <= limits.high_nm + max(room, FAR_NM):
        return None
    return Question(
        slip=Slip.FAR,
        sentence=f"{show(best_nm, unit)} is far wider than this valve’s spec, "
        f"{limits.words(unit)}; gaps close with use. Right valve, right blade?",
    )


def _literal(typed: str) -> Fraction:
    """Return the number that was typed with a decimal point, 0 where there is none."""
    text = typed.replace(",", ".").rstrip("?")
    try:
        return Fraction(text) if "." in text else Fraction(0)
    except ValueError:
        return Fraction(0)


def _mates(engine: Engine, clearance: Clearance, side: Side) -> list[Clearance]:
    """Return the other clearances of the same cylinder, side and action."""
    return [
        other
        for other in engine.along(clearance.cylinder, side)
        if other.id != clearance.id and other.action is clearance.action
    ]


def _crossed(clearance: Clearance, other: Limits, reading: Reading | None) -> bool:
    """Return whether a reading is out of its own spec and inside the other side's."""
    if reading is None or clearance.check is None:
        return False
    own = judge(reading.gap, clearance.check)
    return own in (Verdict.TIGHT, Verdict.LOOSE) and judge(reading.gap, other) is Verdict.IN


def _other_side(
    engine: Engine, clearance: Clearance, readings: Mapping[str, Reading], unit: Unit
) -> Question | None:
    """Intake spec on an exhaust valve, or the two sides mixed up.

    Exhaust valves that have closed up into the intake range are common and not asked about;
    an intake valve that seems to have opened is, and so is a cylinder crossed both ways.
    """
    opposite = Side.EXHAUST if clearance.side is Side.INTAKE else Side.INTAKE
    across = _mates(engine, clearance, opposite)
    other = across[0].check if across else None
    own = clearance.check
    if other is None or own is None:
        return None
    reading = readings[clearance.id]
    if not _crossed(clearance, other, reading):
        return None
    opened = judge(reading.gap, own) is Verdict.LOOSE
    also = any(_crossed(mate, own, readings.get(mate.id)) for mate in across)
    if not opened and not also:
        return None
    return Question(
        slip=Slip.OTHER_SIDE,
        sentence=f"This fits the {opposite} spec, {other.words(unit)} {unit.of_gaps}, much "
        f"better. Is it really {clearance.id}?",
    )


def _overlap(
    engine: Engine, clearance: Clearance, readings: Mapping[str, Reading]
) -> Question | None:
    """Both sides of a cylinder without a gap: likely the wrong top dead centre."""
    opposite = Side.EXHAUST if clearance.side is Side.INTAKE else Side.INTAKE
    across = [readings.get(mate.id) for mate in _mates(engine, clearance, opposite)]
    if not readings[clearance.id].gap.none_found:
        return None
    if not any(mate and mate.gap.none_found for mate in across):
        return None
    return Question(
        slip=Slip.OVERLAP,
        sentence=f"Neither intake nor exhaust of cylinder {clearance.cylinder} has a gap: this "
        "looks like the overlap TDC. Turn on one full turn and measure again.",
    )


def _since(gap: Gap, earlier: Before, unit: Unit) -> Question | None:
    """Loosened since the check before, or closed by more than wear can do."""
    was = show(earlier.gap.best_nm, unit)
    if gap.low_nm is not None and gap.low_nm - earlier.gap.high_nm > LOOSENED_NM:
        return Question(
            slip=Slip.LOOSENED,
            sentence=f"It was left at {was} and is wider now; gaps close with use. "
            "Measure it once more.",
        )
    low_nm = earlier.gap.low_nm
    if low_nm is not None and low_nm - gap.high_nm > JUMP_NM:
        return Question(
            slip=Slip.JUMP,
            sentence=f"It was left at {was}; that is more than wear takes. Dirt, a wrong TDC or "
            "a wrong valve? Measure it once more.",
        )
    return None


def _twins(
    engine: Engine, clearance: Clearance, readings: Mapping[str, Reading], unit: Unit
) -> Question | None:
    """A valve far off its twin, which usually wears alike."""
    gap = readings[clearance.id].gap
    for mate in _mates(engine, clearance, clearance.side):
        other = readings[mate.id].gap if mate.id in readings else None
        if other is None or gap.low_nm is None or other.low_nm is None:
            continue
        apart_nm = max(gap.low_nm - other.high_nm, other.low_nm - gap.high_nm)
        if apart_nm > TWINS_APART_NM:
            return Question(
                slip=Slip.TWINS,
                sentence=f"{mate.id} reads {show(other.best_nm, unit)}; twins seldom differ by so "
                "much. Measure both again before believing it.",
            )
    return None


def _warm(warm: bool) -> Question | None:
    if not warm:
        return None
    return Question(
        slip=Slip.WARM,
        sentence="Measured warm: the allowed gap is for a cold engine.",
    )

"""Read a gap as a technician types it, and say in words what was understood.

In millimetres bare digits are hundredths (`15` is 0.15 mm); in inch mode they are
thou (`6` is 0.006 in). Forms:

    15        goes with light drag          13l  goes loosely       15t  goes tightly
    13-15     0.13 goes, 0.15 refuses       13-15=14  … and is called 0.14
    15+2      two blades together           -3   nothing goes, 0.03 refuses
    x         nothing goes, not even the thinnest blade of the set
    14?       a guess: any of these with ? at its end
    .127      literal, in millimetres (or inches)
    0.13..0.15 and none<0.03                the same as 13-15 and -3, spelled out
    thirteen to fifteen, nothing goes       said aloud: the same as 13-15 and x
"""

import re
from collections.abc import Callable, Collection, Sequence
from dataclasses import dataclass, replace

from plimb.core.errors import BadValue
from plimb.core.lengths import (
    NM_PER_THOU,
    Unit,
    mm,
    parse_number,
    plain_figures,
    show_mm,
    show_thou,
)
from plimb.core.measure.about import USUAL, ReadingAbout
from plimb.core.measure.blades import BladeSet
from plimb.core.measure.gap import Feel, Gap, between, felt, none_below, point
from plimb.core.measure.limits import MAX_GAP_NM
from plimb.core.measure.spoken import as_typed, sounds_spoken

Thick = Callable[[tuple[int, ...]], int]
"""What blades that are laid together make, in nanometres, by their markings."""

HELP = "write it like 15, 13-15, 13l, 15t, 15+2, -3 or x"

_BLANK = re.compile(r"[0-9.,]\s+[0-9.,]")
_READING = re.compile(
    r"(?P<goes>[0-9.,+]+)(?P<feel>[ldt]?)(?:-(?P<refuses>[0-9.,+]+))?(?:=(?P<called>[0-9.,]+))?"
)
_ZERO = re.compile(r"0*[.,]?0+|0")
_FEELS = {"": Feel.DRAG, "d": Feel.DRAG, "l": Feel.LOOSE, "t": Feel.TIGHT}
_FEEL_WORDS = {
    Feel.DRAG: "goes with light drag",
    Feel.LOOSE: "goes loosely",
    Feel.TIGHT: "goes tightly",
}


@dataclass(frozen=True, slots=True, kw_only=True)
class Reading:
    """A typed gap, understood. Blades are nominal thicknesses in nanometres.

    Several blades in `goes` or `refuses` are a stack. `goes` is None when nothing goes.
    `typed` is how it was written down, in its `unit`; `guess` says that who wrote it was not
    sure of it, and `about` how it was felt.
    """

    goes: tuple[int, ...] | None
    refuses: tuple[int, ...] | None
    feel: Feel | None
    gap: Gap
    typed: str = ""
    guess: bool = False
    unit: Unit = Unit.MM
    about: ReadingAbout = USUAL

    @property
    def called_nm(self) -> int | None:
        """The number the technician calls."""
        return self.gap.called_nm

    @property
    def mm(self) -> str:
        """What was understood, in millimetres."""
        return self.words(Unit.MM)

    @property
    def thou(self) -> str:
        """What was understood, in thou."""
        return self.words(Unit.INCH)

    def words(self, unit: Unit) -> str:
        """Return what was understood, in the unit: `0.13 mm goes, 0.15 mm refuses`."""
        return f"{self._felt(unit)}, a guess" if self.guess else self._felt(unit)

    def _felt(self, unit: Unit) -> str:
        if self.goes is None:
            return f"nothing goes: {_blades(self.refuses or (), unit)} refuses"
        if self.refuses is None:
            said = f"{_blades(self.goes, unit)} {_FEEL_WORDS[self.feel or Feel.DRAG]}"
        else:
            goes = _FEEL_WORDS[self.feel] if self.feel else "goes"
            said = f"{_blades(self.goes, unit)} {goes}, {_blades(self.refuses, unit)} refuses"
        if self.called_nm is not None:
            said += f", called {_blades((self.called_nm,), unit)}"
        return said


def parse_reading(
    text: str,
    unit: Unit,
    *,
    thinnest_nm: int | None = None,
    zero_is_number: bool = False,
    thick: Thick = sum,
    spoken: bool = False,
    blades: Collection[str] = (),
) -> Reading:
    """Return the reading in the text, in the unit that was said with it or else in `unit`.

    Args:
        text: What was typed, in the shorthand above.
        unit: The unit that bare digits are in.
        thinnest_nm: The thinnest blade at hand, which `x` says refuses.
        zero_is_number: Take a plain 0 as a gap of nothing, for sums on paper figures;
            with blades there is no such reading.
        thick: What blades make, where a set knows it better than their markings; the gap is
            made from it, the words from the marking.
        spoken: It was said aloud, also where it is figures alone.
        blades: The blades at hand as they are typed in the unit, which tell what was said.

    Raises:
        TwoMeanings: What was said can be heard in more than one way.
        BadValue: It cannot be read, a blade is not plausible, or the blade that
            refuses is not the thicker one.
    """
    typed = plain_figures(text).strip()
    if spoken or sounds_spoken(typed):
        said = as_typed(typed, unit, blades)
        typed, unit = said.typed, said.unit
    sure = typed.removesuffix("?")
    reading = _understood(sure, unit, thinnest_nm, zero_is_number, thick)
    joints = joints_of(reading.goes, reading.refuses)
    gap = replace(reading.gap, joints=joints, guess=sure != typed)
    return replace(reading, typed=typed, gap=gap, guess=sure != typed, unit=unit)


def reading_by(text: str, unit: Unit, blades: BladeSet | None, *, spoken: bool = False) -> Reading:
    """Return the reading in the text as a feeler set gives it; see `parse_reading`.

    Without a set nobody knows which blade was the thinnest, nor what any measures.

    Raises:
        TwoMeanings: What was said can be heard in more than one way.
        BadValue: It cannot be read.
    """
    if blades is None:
        return parse_reading(text, unit, spoken=spoken)
    reading = parse_reading(
        text,
        unit,
        thinnest_nm=blades.usable[0].thickness_nm,
        thick=blades.thickness,
        spoken=spoken,
        blades=blades.typed_in(unit),
    )
    stacks = [laid for laid in (reading.goes, reading.refuses) if laid and len(laid) > 1]
    measured = bool(stacks) and all(blades.measured_together(laid) is not None for laid in stacks)
    about = ReadingAbout(blade_set=blades.name, stacks_measured=measured)
    joints = joints_of(reading.goes, reading.refuses, about)
    return replace(reading, gap=replace(reading.gap, joints=joints), about=about)


def joints_of(
    goes: Sequence[object] | None, refuses: Sequence[object] | None, about: ReadingAbout = USUAL
) -> int:
    """Return how often oil may lie between two blades; a stack measured together had it in it."""
    return 0 if about.stacks_measured else max(len(goes or ()), len(refuses or ()), 1) - 1


def _understood(
    text: str, unit: Unit, thinnest_nm: int | None, zero_is_number: bool, thick: Thick
) -> Reading:
    if _BLANK.search(text.strip()):
        raise BadValue(
            f"gap “{text.strip()}” has a blank inside; write 5-8 where 5 goes and 8 refuses.",
            field="gap",
        )
    cleaned = text.strip().lower().replace(" ", "").replace("–", "-").replace("−", "-")
    if cleaned == "x":
        if thinnest_nm is None:
            raise BadValue(
                "gap “x” says that the thinnest blade refuses: choose the feeler set, or "
                "write the blade that refuses, like -3.",
                field="gap",
            )
        return _none_found((thinnest_nm,), thinnest_nm)
    if cleaned.startswith(("-", "none<")):
        refused = _stack(cleaned.removeprefix("none<").removeprefix("-"), unit, text)
        thick_nm = thick(refused)
        return _none_found(refused, thick_nm, thinnest_nm is None or thick_nm <= thinnest_nm)
    if zero_is_number and _ZERO.fullmatch(cleaned):
        return Reading(goes=(0,), refuses=None, feel=Feel.DRAG, gap=point(0))
    match = _READING.fullmatch(cleaned.replace("..", "-"))
    if not match:
        raise BadValue(f"gap “{text.strip()}” cannot be read; {HELP}.", field="gap")
    goes = _stack(match["goes"], unit, text)
    called_nm = _blade(match["called"], unit, text) if match["called"] else None
    feel = _FEELS[match["feel"]]
    if not match["refuses"]:
        return _with_called(goes, None, feel, called_nm, felt(thick(goes), feel))
    refuses = _stack(match["refuses"], unit, text)
    bracket = between(thick(goes), thick(refuses))
    if not match["feel"]:
        return _with_called(goes, refuses, None, called_nm, bracket)
    narrowed = felt(thick(goes), feel)
    gap = bracket if feel is Feel.LOOSE else narrowed
    return _with_called(goes, refuses, feel, called_nm, gap)


def _none_found(refuses: tuple[int, ...], thick_nm: int, thinnest: bool = True) -> Reading:
    gap = none_below(thick_nm, thinnest=thinnest)
    return Reading(goes=None, refuses=refuses, feel=None, gap=gap)


def _with_called(
    goes: tuple[int, ...],
    refuses: tuple[int, ...] | None,
    feel: Feel | None,
    called_nm: int | None,
    gap: Gap,
) -> Reading:
    if called_nm is not None:
        gap = replace(gap, called_nm=called_nm, high_nm=called_nm if gap.endless else gap.high_nm)
    return Reading(goes=goes, refuses=refuses, feel=feel, gap=gap)


def _stack(text: str, unit: Unit, typed: str) -> tuple[int, ...]:
    return tuple(_blade(part, unit, typed) for part in text.split("+"))


def _blade(text: str, unit: Unit, typed: str) -> int:
    try:
        number = parse_number(text, field="gap")
    except BadValue:
        raise BadValue(f"gap “{typed.strip()}” cannot be read; {HELP}.", field="gap") from None
    if unit is Unit.MM:
        literal = any(point in text for point in ".,")
        blade_nm = round(number * (mm("1") if literal else mm("0.01")))
    else:
        literal = text.startswith((".", ",", "0.", "0,"))
        blade_nm = round(number * (Unit.INCH.nm if literal else NM_PER_THOU))
    if blade_nm == 0:
        raise BadValue("gap: there is no blade of 0; where nothing goes, type x.", field="gap")
    if blade_nm > MAX_GAP_NM:
        raise BadValue(
            f"gap “{typed.strip()}” reads as {show_mm(blade_nm)} mm, which is no valve clearance; "
            "check the decimal point and the unit.",
            field="gap",
        )
    return blade_nm


def _blades(blades: tuple[int, ...], unit: Unit) -> str:
    show = show_mm if unit is Unit.MM else show_thou
    return f"{' + '.join(show(blade) for blade in blades)} {unit.of_gaps}"

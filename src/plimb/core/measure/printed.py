"""A spec as a manual prints it, read once: what can be meant in two ways is asked, never kept.

What is asked: whole figures where the unit is the millimetre or the inch (`10-15`, `6 ± 1` are
hundredths or thou), and figures that are no clearance in the unit that is set and a usual one in
the other (`.004-.008` under mm). The bounds of a usual clearance are common practice.
"""

import re
from collections.abc import Callable, Iterator
from contextlib import suppress
from dataclasses import dataclass

from plimb.core.errors import BadValue, TwoMeanings
from plimb.core.lengths import Unit, mm, parse_length, plain_figures
from plimb.core.measure.limits import Limits, Spec, parse_limits

USUAL_NM = (mm("0.04"), mm("1"))
"""The upper end of a range of allowed gaps lies in here, cold (common practice)."""

NARROW_NM, MOST_APART = mm("0.2"), 5
"""Above this the ends of a range are not more than so many times apart (common practice)."""

_TOLERANCE = re.compile(r"(?:±|\+\s*/?\s*-)")
_UNLIKE = re.compile(
    r"(?P<nominal>\d*[.,]?\d+)\s*"
    r"(?:\+\s*(?P<up>\d*[.,]?\d+)\s*/?\s*-\s*(?P<down>\d*[.,]?\d+)"
    r"|-\s*(?P<first_down>\d*[.,]?\d+)\s*/?\s*\+\s*(?P<last_up>\d*[.,]?\d+))",
    re.ASCII,
)
"""A figure with a tolerance of its own either way: `0.13 +0.02 -0.03`."""

_TYPED_UNIT = re.compile(r"\s*(?:(?P<mm>mm)|(?P<inches>in\.?|inch(?:es)?|″|\"))\s*$", re.IGNORECASE)
_FIGURE = re.compile(r"\d*[.,]?\d+", re.ASCII)


def parse_spec(text: str, unit: Unit, room: str = "") -> Spec:
    """Return a spec as printed: `0.14-0.18`, `0.13 ± 0.03`, or one figure with a shop's room.

    A tolerance may be unlike either way, `0.13 +0.02 −0.03`.

    A unit that is typed behind it, `.006 ± .001 in`, counts before the one that is set.

    Raises:
        TwoMeanings: Its figures are no clearance as they stand, and one in another reading.
        BadValue: It cannot be read, lies out of bounds, or one figure stands without a room.
    """
    plain = plain_figures(text).strip().replace(" to ", "-")
    typed = unit_typed(plain)
    if typed:
        return _read(_TYPED_UNIT.sub("", plain), typed, room, text)
    as_it_stands: Spec | None = None
    with suppress(BadValue):
        as_it_stands = _read(plain, unit, None, text)
    whole = any(figure.isdigit() and int(figure) for figure in _FIGURE.findall(plain))
    if as_it_stands is None or whole or not _usual(as_it_stands.check):
        _ask(text.strip(), plain, unit, as_it_stands)
    return _read(plain, unit, room, text)


def unit_typed(text: str) -> Unit | None:
    """Return the unit that is typed behind a spec, None where there is none."""
    typed = _TYPED_UNIT.search(plain_figures(text).strip())
    if typed is None:
        return None
    return Unit.MM if typed["mm"] else Unit.INCH


def _usual(limits: Limits) -> bool:
    """Return whether that is a usual clearance."""
    low_nm, high_nm = USUAL_NM
    narrow = limits.high_nm <= NARROW_NM or limits.high_nm <= MOST_APART * limits.low_nm
    return low_nm <= limits.high_nm < high_nm and narrow


@dataclass(frozen=True, slots=True)
class _Meaning:
    """One way to read the figures: how each is then written, and in which unit."""

    unit: Unit
    write: Callable[[str], str | None]


def _as_typed(figure: str) -> str:
    return figure


def _shifted(places: int, *, decimals: bool) -> Callable[[str], str | None]:
    """Return how a figure is written so many places smaller, None where it is not meant so."""

    def write(figure: str) -> str | None:
        whole, _, part = figure.replace(",", ".").partition(".")
        if not whole or not int(whole):
            return figure  # already a fraction, or nothing
        if part and not decimals:
            return None
        digits = whole.rjust(places + 1, "0")
        return f"{digits[:-places]}.{digits[-places:]}{part}"

    return write


_HUNDREDTHS = _Meaning(Unit.MM, _shifted(2, decimals=False))
_THOU = _Meaning(Unit.INCH, _shifted(3, decimals=True))


def _ask(said: str, text: str, unit: Unit, as_it_stands: Spec | None) -> None:
    """Ask which clearance is meant, where there is a usual one; TwoMeanings."""
    offers = dict.fromkeys(_offers(text, unit))
    if not offers:
        return
    if as_it_stands is not None:
        offers |= {f"{text} {unit.value}": None}
    *rest, last = offers
    listed = f"{', '.join(rest)} or {last}" if rest else last
    raise TwoMeanings(
        f"“{said}” is no usual gap in {'mm' if unit is Unit.MM else 'inches'}. "
        f"Do you mean {listed}?",
        field="spec",
        offers=tuple(offers),
    )


def _offers(text: str, unit: Unit) -> Iterator[str]:
    """Yield how the spec is typed in each meaning that is a usual clearance."""
    both = (_HUNDREDTHS, _THOU) if unit is Unit.MM else (_THOU, _HUNDREDTHS)
    other = Unit.INCH if unit is Unit.MM else Unit.MM
    for meaning in (*both, _Meaning(other, _as_typed)):
        figures = [meaning.write(figure) for figure in _FIGURE.findall(text)]
        if any(figure is None for figure in figures):
            continue
        written = iter(figures)
        typed = _FIGURE.sub(lambda _, written=written: next(written) or "", text)  # type: ignore[misc]
        with suppress(BadValue):
            if _usual(_read(typed, meaning.unit, None, typed).check):
                yield f"{typed} {meaning.unit.value}"


def _read(text: str, unit: Unit, room: str | None, said: str) -> Spec:
    """Return the spec that the figures say in the unit; of one figure alone without `room` None."""
    unlike = _UNLIKE.fullmatch(text.strip())
    if unlike is not None:
        nominal_nm, up_nm, down_nm = (
            parse_length(figure, unit, field="spec")
            for figure in (unlike["nominal"], unlike["up"] or unlike["last_up"],
                           unlike["down"] or unlike["first_down"])
        )  # fmt: skip
        return Spec(check=Limits(low_nm=nominal_nm - down_nm, high_nm=nominal_nm + up_nm))
    found = _TOLERANCE.search(text)
    if found is None and "-" in text:
        return Spec(check=parse_limits(text, unit))
    if found is None and room is not None and not room.strip():
        parse_length(text, unit, field="spec")  # it is a figure at all
        raise BadValue(
            f"“{said.strip()}” is one figure. Say how much more or less you allow, like 0.03.",
            field="room",
        )
    nominal_nm = parse_length(text[: found.start()] if found else text, unit, field="spec")
    if found is None and room is None:
        return Spec(check=Limits(low_nm=nominal_nm, high_nm=nominal_nm))
    field = "spec" if found else "room"
    off = text[found.end() :] if found else room or ""
    off_nm = parse_length(off, unit, field=field)
    if off_nm > nominal_nm and off.strip().isdigit():
        smaller = (_HUNDREDTHS if unit is Unit.MM else _THOU).write(off.strip()) or off
        raise TwoMeanings(
            f"“{off.strip()}” is more than the gap itself. Do you mean {smaller}?",
            field=field,
            offers=(smaller if found is None else f"{text[: found.end()]}{smaller} {unit.value}",),
        )
    if off_nm == 0:
        raise BadValue(
            "With ± 0 no gap would be right. Write how much more or less is still right, "
            "like 0.03.",
            field=field,
        )
    check = Limits(low_nm=nominal_nm - off_nm, high_nm=nominal_nm + off_nm)
    return Spec(check=check, plus_minus_nm=off_nm, own_room=found is None)

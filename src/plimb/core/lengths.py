"""Lengths are integer nanometres; text is parsed and written here and nowhere else.

One inch is 25.4 mm exactly (international yard and pound agreement, 1959), so a
thou is 25 400 nm exactly and no limit ever drifts.
"""

import re
from decimal import Decimal, InvalidOperation
from enum import StrEnum
from fractions import Fraction
from functools import lru_cache

from plimb.core.errors import BadValue, TwoMeanings

NM_PER_MM = 1_000_000
NM_PER_INCH = 25_400_000
NM_PER_THOU = 25_400

REMEMBERED = 16_384
"""So many lengths keep how they are written: the same few are shown again and again."""

_NUMBER = re.compile(r"(?a:[0-9]{1,9}(?:[.,][0-9]{0,9})?|[.,][0-9]{1,9})")


class Unit(StrEnum):
    """The unit a person reads and types."""

    MM = "mm"
    INCH = "in"

    @property
    def nm(self) -> int:
        """Nanometres in one of this unit."""
        return NM_PER_MM if self is Unit.MM else NM_PER_INCH

    @property
    def of_gaps(self) -> str:
        """What gaps are read in: millimetres, or thou where the unit is the inch."""
        return "mm" if self is Unit.MM else "thou"


def parse_number(text: str, *, field: str) -> Fraction:
    """Return the plain non-negative decimal number in the text, exactly.

    A comma serves as the decimal point. Signs, exponents and words are refused.

    Raises:
        BadValue: The text is not such a number.
    """
    cleaned = plain_figures(text).strip()
    if not _NUMBER.fullmatch(cleaned):
        raise BadValue(f"{field} “{cleaned}” is not a number; write it like 0.15.", field=field)
    return Fraction(Decimal(cleaned.replace(",", ".")))


_AS_TYPED = str.maketrans("０１２３４５６７８９．，＋－／～−–—", "0123456789.,+-/~---")


def plain_figures(text: str) -> str:
    """Return text with figures and signs as most keyboards have them: full-width ones, dashes."""
    return text.translate(_AS_TYPED)


def decimal_in(text: str | None, field: str) -> Decimal | None:
    """Return the number as typed, None for an empty field; BadValue if it cannot be read."""
    if text is None or not text.strip():
        return None
    try:
        number = Decimal(plain_figures(text).strip().replace(",", "."))
    except InvalidOperation:
        number = Decimal("NaN")
    if not number.is_finite():
        raise BadValue(f"{field} “{text.strip()}” is not a number.", field=field)
    return number


_BLANKS = r" '’\u00a0\u2009\u202f"
_BY_BLANKS = re.compile(rf"[1-9]\d{{0,2}}(?:[{_BLANKS}]\d{{3}})+(?:[.,]\d+)?", re.ASCII)
_GROUPED = re.compile(r"(?P<first>[1-9]\d{0,2})(?P<rest>(?:(?P<by>[.,])\d{3})(?:(?P=by)\d{3})*)"
                      r"(?:(?!(?P=by))[.,]\d{1,2})?", re.ASCII)  # fmt: skip


def meter_in(text: str | None, field: str, *, decimals: bool = True) -> Decimal | None:
    """Return what a meter shows or counts up to, as typed: `14 000`, `14,000`, `62.5`.

    A comma before three digits parts thousands, as a manual prints them. A point before three
    digits may part thousands or decimals, and so may a comma where decimals are usual: it is
    asked. None for an empty field.

    Args:
        text: As typed.
        field: What it is called where it is refused.
        decimals: Whether parts of the unit are usual, as they are for hours.

    Raises:
        TwoMeanings: It may be a thousand times as much.
        BadValue: It cannot be read.
    """
    bare = plain_figures(text or "").strip()
    if _BY_BLANKS.fullmatch(bare):
        return decimal_in(re.sub(f"[{_BLANKS}]", "", bare), field)
    found = _GROUPED.fullmatch(bare)
    if found is None:
        if "e" in bare.lower():  # 1e3 is a number, and nothing that anybody types
            raise BadValue(f"{field} “{bare}” is not a number.", field=field)
        return decimal_in(text, field)
    whole = (found["first"] + found["rest"]).replace(found["by"], "")
    rest = bare[found.end("rest") :].replace(",", ".")
    if rest or len(found["rest"]) > 4:
        return Decimal(whole + rest)
    small = f"{Decimal(bare.replace(',', '.')).normalize():f}"
    # where parts are unusual, 22.145 is no number of them
    if not decimals and (found["by"] == "," or not small.isdigit()):
        return Decimal(whole)
    large = f"{int(whole):,}".replace(",", " ")
    raise TwoMeanings(
        f"“{bare}” can be {small} or {large}. Which is it?", field=field, offers=(small, large)
    )


def parse_length(text: str, unit: Unit, *, field: str) -> int:
    """Return the length in nanometres, rounded half to even to a whole one.

    Raises:
        BadValue: The text is not a plain number.
    """
    return round(parse_number(text, field=field) * unit.nm)


@lru_cache(maxsize=1024)
def mm(text: str) -> int:
    """Return the nanometres in a decimal number of millimetres: `mm("0.15")` is 150 000."""
    return parse_length(text, Unit.MM, field="length")


def to_float(nm: int, unit: Unit) -> float:
    """Return the nearest float in the unit, for open formats that carry plain numbers."""
    return float(Fraction(nm, unit.nm))


def _fixed(nm: int, unit_nm: int, places: int, least: int) -> str:
    """Write a length in a unit with at most `places` decimals, no fewer than `least`."""
    power = 10**places
    steps, rest = divmod(abs(nm) * power, unit_nm)
    if 2 * rest > unit_nm or (2 * rest == unit_nm and steps % 2):
        steps += 1
    whole, part = divmod(steps, power)
    decimals = f"{part:0{places}}".rstrip("0").ljust(least, "0")
    sign = "−" if nm < 0 and steps else ""
    return f"{sign}{whole}.{decimals}" if decimals else f"{sign}{whole}"


@lru_cache(maxsize=REMEMBERED)
def show_mm(nm: int) -> str:
    """Return millimetres with two decimals, a third or fourth only where it is not zero.

    Rounds half to even at the fourth decimal (a tenth of a micrometre).
    """
    return _fixed(nm, NM_PER_MM, 4, 2)


@lru_cache(maxsize=REMEMBERED)
def show_thou(nm: int) -> str:
    """Return thou (thousandths of an inch) to one decimal, none where it is zero.

    Rounds half to even: 0.15 mm is 5.9 thou.
    """
    return _fixed(nm, NM_PER_THOU, 1, 0)


@lru_cache(maxsize=REMEMBERED)
def show_inch(nm: int) -> str:
    """Return inches with four decimals, a fifth only where it is not zero."""
    return _fixed(nm, NM_PER_INCH, 5, 4)


def show(nm: int, unit: Unit) -> str:
    """Return the length as a person reads it, with its unit."""
    return f"{show_mm(nm)} mm" if unit is Unit.MM else f"{show_thou(nm)} thou"

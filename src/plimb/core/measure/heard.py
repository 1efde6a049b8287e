"""The words of a reading that is said aloud: what each says, and which make figures together."""

import re
from collections.abc import Sequence
from dataclasses import dataclass
from enum import Enum, auto


class Kind(Enum):
    """What a word that is no figure says."""

    GOES = auto()
    DRAG = auto()
    LOOSE = auto()
    TIGHT = auto()
    REFUSES = auto()
    NOTHING = auto()
    CALLED = auto()
    GUESS = auto()
    BETWEEN = auto()
    TO = auto()
    PLUS = auto()
    AND = auto()
    PAUSE = auto()
    UNIT = auto()


@dataclass(frozen=True, slots=True)
class Heard:
    """A word, and the unit where it is one: `mm`, `thou`, `hundredths`, `in`."""

    kind: Kind
    unit: str | None = None


@dataclass(frozen=True, slots=True)
class HeardRun:
    """Words of figures that follow one another, with every way to part them into figures."""

    ways: tuple[tuple[str, ...], ...]
    kind: None = None
    unit: None = None


_ONES = {
    word: number
    for number, word in enumerate(
        (
            *("zero", "one", "two", "three", "four", "five", "six", "seven", "eight", "nine"),
            *("ten", "eleven", "twelve", "thirteen", "fourteen", "fifteen", "sixteen"),
            *("seventeen", "eighteen", "nineteen"),
        )
    )
} | {"oh": 0, "nought": 0, "naught": 0, "o": 0}
_TENS = {
    word: 10 * number
    for number, word in enumerate(
        ("twenty", "thirty", "forty", "fifty", "sixty", "seventy", "eighty", "ninety"), 2
    )
}

_WORDS: dict[Kind, str] = {
    Kind.GOES: "goes go passes fits enters slides",
    Kind.DRAG: "drag drags",
    Kind.LOOSE: "loose loosely free freely easy easily",
    Kind.TIGHT: "tight tightly",
    Kind.REFUSES: "refuses refused refuse stops",
    Kind.NOTHING: "nothing none",
    Kind.CALLED: "call called say",
    Kind.GUESS: "about around roughly maybe guess",
    Kind.BETWEEN: "between",
    Kind.TO: "to until",
    Kind.PLUS: "plus +",
    Kind.AND: "and",
    Kind.PAUSE: ", ; but then .",
}
_KIND_OF = {word: kind for kind, words in _WORDS.items() for word in words.split()}
_UNITS = {
    word: unit
    for unit, words in {
        "mm": "mm millimetre millimetres millimeter millimeters",
        "thou": "thou thous thousandth thousandths",
        "hundredths": "hundredth hundredths",
        "in": "inch inches",
    }.items()
    for word in words.split()
}
_FILLERS = frozenset(
    (
        *("a", "an", "the", "it", "is", "at", "with", "of", "together"),
        *("light", "just", "only", "little", "bit", "blade", "blades"),
    )
)
_NOT = frozenset(("not", "doesn't", "doesnt", "won't", "wont", "can't", "cannot", "isn't"))
_HELPERS = frozenset(("does", "will", "do", "would"))

_TOKEN = re.compile(r"\d+[.,]\d+|(?<![a-z\d])\.\d+|\d+|[a-z]+(?:'[a-z]+)?|\S")
_FIGURE = re.compile(r"\d*[.,]?\d+", re.ASCII)

MOST_WORDS, MOST_TOGETHER = 24, 6
"""More words, or more figure words in a row, are no reading."""
MOST_BEHIND = 3
"""So many digits are said behind a point: a blade has no more."""


def words_of(said: str) -> list[Heard | HeardRun] | None:
    """Return the words of what was said; None where one of them is not known."""
    text = said.lower().replace("’", "'").replace("–", "-").replace("−", "-")
    text = re.sub(r"(?<=\d)\s*-\s*(?=\d)", " to ", text)
    text = re.sub(r"(?<=[a-z])-(?=[a-z])", " ", text)
    tokens = [
        token for token in _TOKEN.findall(text.strip().rstrip(".!?")) if token not in _FILLERS
    ]
    found: list[Heard | HeardRun] = []
    at = 0 if len(tokens) <= MOST_WORDS else len(tokens)
    while at < len(tokens):
        took, heard = _next(tokens, at)
        if not took:
            return None
        found += [heard] if heard else []
        at += took
    return found or None


def _next(tokens: Sequence[str], at: int) -> tuple[int, Heard | HeardRun | None]:
    """Return how many words belong together from here on, and what they say; 0 if unknown."""
    token, behind = tokens[at], tokens[at + 1] if at + 1 < len(tokens) else ""
    if _is_figure(token):
        end = at
        while end < len(tokens) and (_is_figure(tokens[end]) or _half(tokens, end)):
            end += 2 if _half(tokens, end) else 1
        ways = figures_of(tokens[at:end]) if end - at <= MOST_TOGETHER else ()
        return (end - at, HeardRun(ways)) if ways else (0, None)
    if token in _UNITS:
        return 1, Heard(Kind.UNIT, _UNITS[token])
    if token in _HELPERS:
        return (1, None) if behind in _NOT else (0, None)
    if token == "gap":
        return 1, None
    if token == "no":
        kind = {"gap": Kind.NOTHING, "go": Kind.REFUSES}.get(behind)
        return (2, Heard(kind)) if kind else (0, None)
    if token in _NOT:
        if _KIND_OF.get(behind) is Kind.GOES:
            return 2, Heard(Kind.REFUSES)
        return (0, None) if behind in _KIND_OF and behind not in (",", ".") else (
            1, Heard(Kind.REFUSES)
        )  # fmt: skip
    kind = _KIND_OF.get(token)
    return (1, Heard(kind)) if kind else (0, None)


def _is_figure(token: str) -> bool:
    return token in _ONES or token in _TENS or token == "point" or bool(_FIGURE.fullmatch(token))


def _half(tokens: Sequence[str], at: int) -> bool:
    """Return whether `and (a) half` stands here."""
    return tokens[at] == "and" and at + 1 < len(tokens) and tokens[at + 1] == "half"


def figures_of(tokens: Sequence[str]) -> tuple[tuple[str, ...], ...]:
    """Return every way to part figure words into figures: `one three` is 13, or 1 and 3."""
    return tuple(dict.fromkeys(_parted(tuple(tokens))))


def _parted(tokens: tuple[str, ...]) -> list[tuple[str, ...]]:
    if not tokens:
        return [()]
    found: list[tuple[str, ...]] = []
    low, comma, high = tokens[0].partition(",")
    if comma:  # a decimal comma, or one that a phone put between two figures
        found += [(low, high, *rest) for rest in _parted(tokens[1:])]
    for end in range(1, len(tokens) + 1):
        figure = _one(tokens[:end])
        if figure is not None:
            found += [(figure, *rest) for rest in _parted(tokens[end:])]
    return found


def _one(tokens: tuple[str, ...]) -> str | None:
    """Return the one figure that the words make together, None where they make none."""
    if len(tokens) > 2 and tokens[-2:] == ("and", "half"):
        whole = _one(tokens[:-2])
        return f"{whole}.5" if whole and "." not in whole else None
    if {"and", "half"} & {*tokens}:
        return None
    if "point" in tokens:
        at = tokens.index("point")
        whole = _one(tokens[:at]) if at else ""
        part = _behind_point(tokens[at + 1 :])
        return f"{whole}.{part}" if part and whole is not None and "." not in whole else None
    if len(tokens) == 1:
        return _number(tokens)
    if (number := _number(tokens)) is not None:
        return number
    # digit by digit: `one three`, `oh five`; `oh oh six` is of one unit and not of the other
    digits = _digit_by_digit(tokens)
    return None if digits is None or digits.startswith("00") else digits.removeprefix("0")


def _number(tokens: tuple[str, ...]) -> str | None:
    """Return a number said as one: `thirteen`, `twenty five`, `13`."""
    first = tokens[0]
    if len(tokens) == 1:
        spoken = _ONES.get(first, _TENS.get(first))
        return first.replace(",", ".") if spoken is None and first != "point" else str(spoken)
    if len(tokens) == 2 and first in _TENS and 0 < _ONES.get(tokens[1], 0) < 10:
        return str(_TENS[first] + _ONES[tokens[1]])
    return None


def _digit_by_digit(tokens: tuple[str, ...]) -> str | None:
    digits = [str(_ONES.get(token, token)) for token in tokens]
    whole = all(len(digit) == 1 and digit.isdigit() for digit in digits)
    return "".join(digits) if whole else None


def _behind_point(tokens: tuple[str, ...]) -> str | None:
    """Return what is said behind a point: digit by digit, or as one number: `point fifteen`."""
    if not tokens or "point" in tokens:
        return None
    part = _digit_by_digit(tokens) or _number(tokens)
    if part is None or not part.isdigit() or len(part) > MOST_BEHIND:
        return None
    # `point oh five six` may be 0.05 and 0.06 as well
    both = len(part) == MOST_BEHIND and part[0] == "0" and part[1] < part[2] and len(tokens) > 1
    return None if both else part

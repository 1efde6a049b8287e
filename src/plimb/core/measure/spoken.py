"""Readings as they are said aloud: `thirteen goes, fifteen refuses`, `six thou`, `about fourteen`.

What is said becomes the shorthand that would have been typed, and the unit it was said in. Every
way to hear it is worked out: which words make one figure, and which figure each word like `goes`
belongs to. Where just one way makes sense it is taken; where several do, it is asked; a word that
is not known makes the whole not understood. So no two figures are ever joined into a third.
"""

import re
from collections.abc import Collection, Iterator, Sequence
from dataclasses import dataclass, replace
from fractions import Fraction
from itertools import product

from plimb.core.errors import BadValue, TwoMeanings
from plimb.core.lengths import Unit
from plimb.core.measure.heard import Heard, HeardRun, Kind, words_of

_SAID = re.compile(r"[a-z]{3,}|\bto\b|\bmm\b|\boh\b")

MOST_FIGURES = 2


@dataclass(frozen=True, slots=True)
class Said:
    """What was said, as it would have been typed, and in which unit."""

    typed: str
    unit: Unit
    sure: bool = True

    def written(self, unit: Unit, mark: str) -> str:
        """Return how it is typed where that unit is set."""
        return f"{self.typed}{mark}" if self.unit is unit else f"{self.typed} {_NAMES[self.unit]}"


_NAMES = {Unit.MM: "hundredths", Unit.INCH: "thou"}


@dataclass(frozen=True, slots=True)
class _Placed:
    """One figure with what was said of it: `13` and {goes}, `15` and {refuses}."""

    figure: str
    of: frozenset[Kind]


def sounds_spoken(text: str) -> bool:
    """Return whether it is words, and not the shorthand."""
    return "<" not in text and _SAID.search(text.lower()) is not None


def as_typed(said: str, unit: Unit, blades: Collection[str] | None = None) -> Said:
    """Return the shorthand of what was said.

    Args:
        said: The words, as somebody or a phone wrote them down.
        unit: The unit of figures that are said without one.
        blades: The figures of the blades at hand, as they are typed in that unit: where one way
            to hear it has only blades that exist, it is that.

    Raises:
        TwoMeanings: It can be heard in more than one way.
        BadValue: It cannot be heard as a reading.
    """
    heard = words_of(said)
    if heard is None:
        raise _not_understood(said)
    guess = any(word.kind is Kind.GUESS for word in heard)
    units = {word.unit for word in heard if word.unit}
    rest = [word for word in heard if word.kind not in (Kind.GUESS, Kind.UNIT)]
    if len(units) > 1:
        raise _not_understood(said)
    spoken = units.pop() if units else None
    ways = [*dict.fromkeys(_ways(rest, strict=True))]
    ways = ways or [*dict.fromkeys(_ways(rest, strict=False))]
    found = [reading for way in ways for reading in _in_unit(way, spoken, unit)]
    # what only may be meant is asked, never taken
    found += [
        replace(reading, sure=False)
        for way in dict.fromkeys(_meant(rest))
        for reading in _in_unit(way, spoken, unit)
        if way not in ways
    ]
    if len(found) > 1 and blades and spoken is None:
        there = [reading for reading in found if _exists(reading.typed, blades)]
        found = there if len(there) == 1 else found
    if not found:
        raise _not_understood(said)
    mark = "?" if guess else ""
    if len(found) == 1 and found[0].sure:
        return Said(f"{found[0].typed}{mark}", found[0].unit)
    typed = tuple(dict.fromkeys(reading.written(unit, mark) for reading in found))
    raise TwoMeanings(
        f"“{said.strip()}”: do you mean {' or '.join(typed)}?", field="gap", offers=typed
    )


def _not_understood(said: str) -> BadValue:
    return BadValue(
        f"gap “{said.strip()}” is not understood; say it like “thirteen goes, fifteen refuses”.",
        field="gap",
    )


_FIGURES = re.compile(r"[\d.]+")


def _exists(typed: str, blades: Collection[str]) -> bool:
    return all(figure in blades for figure in _FIGURES.findall(typed.partition("=")[0]))


# from words to the ways they can be heard ------------------------------------------------------


def _ways(words: Sequence[Heard | HeardRun], *, strict: bool) -> Iterator[str]:
    """Yield each way that makes one whole reading, in shorthand without a unit.

    Not `strict`, the pauses between words are taken for nothing.
    """
    if not strict:
        words = _without_pauses(words)
    for plain in _readings_of_runs(words):
        for figures, called in _placed(plain):
            if (typed := _shorthand(figures, called)) is not None:
                yield typed


def _without_pauses(words: Sequence[Heard | HeardRun]) -> list[Heard | HeardRun]:
    """Return the words without pauses; figures that come together then stay apart."""
    return [word for word in words if isinstance(word, HeardRun) or word.kind is not Kind.PAUSE]


Plain = tuple[str | Kind, ...]
"""Figures and what is said of them, in order."""


def _readings_of_runs(words: Sequence[Heard | HeardRun]) -> Iterator[Plain]:
    """Yield the words with each run of figure words read in each way it can be."""
    parts: list[list[tuple[str | Kind, ...]]] = [
        [tuple(way) for way in word.ways] if isinstance(word, HeardRun) else [(word.kind,)]
        for word in words
    ]
    for chosen in product(*parts):
        plain = tuple(item for part in chosen for item in part)
        if sum(isinstance(item, str) for item in plain) <= MOST_FIGURES + 2:
            yield from _stacked(plain)


def _stacked(plain: Plain) -> Iterator[Plain]:
    """Yield it with blades that are laid together as one figure; `and` may say that or a pause."""
    for at, item in enumerate(plain):
        beside = [word for word in plain[max(0, at - 1) : at + 2] if isinstance(word, str)]
        if item is Kind.PLUS or (item is Kind.AND and Kind.BETWEEN not in plain):
            # what is said with `and` of two different kinds of figures is said of neither
            if len(beside) == MOST_FIGURES and (item is Kind.PLUS or _alike(*beside)):
                yield from _stacked((*plain[: at - 1], "+".join(beside), *plain[at + 2 :]))
            if item is Kind.AND:
                yield from _stacked((*plain[:at], Kind.PAUSE, *plain[at + 1 :]))
            return
    yield plain


def _placed(plain: Plain) -> Iterator[tuple[tuple[_Placed, ...], str | None]]:
    """Yield every way to say which figure each word belongs to, and the number that is called."""
    if Kind.CALLED in plain:
        at = plain.index(Kind.CALLED)
        called = plain[at + 1] if at + 1 < len(plain) else None
        if isinstance(called, str) and "+" not in called:
            # what is called is a number of its own: nothing beside it speaks of it
            rest = (*plain[:at], Kind.PAUSE, *plain[at + 2 :])
            if Kind.CALLED not in rest:
                for figures, _ in _placed(rest):
                    yield figures, called
        return
    for spread in _spread(plain):
        yield from ((figures, None) for figures in _belongings(spread))


def _spread(plain: Plain) -> Iterator[Plain]:
    """Yield it with `13 to 15` and `between 13 and 15` as 13 goes, 15 refuses."""
    if Kind.BETWEEN in plain:
        at = plain.index(Kind.BETWEEN)
        low, link, high = (*plain[at + 1 : at + 4], None, None, None)[:3]
        linked = link in (Kind.AND, Kind.TO)
        if isinstance(low, str) and linked and isinstance(high, str):
            yield (*plain[:at], Kind.PAUSE, low, Kind.GOES, Kind.PAUSE, high, Kind.REFUSES,
                   *plain[at + 4 :])  # fmt: skip
        return
    if Kind.TO in plain:
        at = plain.index(Kind.TO)
        behind = plain[at + 1] if at + 1 < len(plain) else None
        if isinstance(behind, str) and Kind.TO not in plain[at + 1 :]:
            yield (*plain[:at], Kind.GOES, Kind.PAUSE, behind, Kind.REFUSES, *plain[at + 2 :])
        return
    yield plain


_GOES = (Kind.GOES, Kind.DRAG, Kind.LOOSE, Kind.TIGHT)


def _belongings(plain: Plain) -> Iterator[tuple[_Placed, ...]]:
    """Yield every way in which each word belongs to the figure beside it, before or behind."""
    items = [item for item in plain if item is not Kind.AND]
    figures = [at for at, item in enumerate(items) if isinstance(item, str)]
    choices: list[list[tuple[int | None, Kind]]] = []
    for at, item in enumerate(items):
        if isinstance(item, str) or item is Kind.PAUSE:
            continue
        beside = _beside(items, at)
        if item is Kind.NOTHING:
            choices.append([(None, item)])
        elif beside:
            choices.append([(figure, item) for figure in beside])
        elif item is Kind.GOES and Kind.NOTHING in items:
            choices.append([(None, item)])  # nothing goes
        else:
            return
    for chosen in product(*choices):
        of: dict[int | None, set[Kind]] = {at: set() for at in (*figures, None)}
        for figure, kind in chosen:
            of[figure].add(kind)
        if all(_agree(kinds) for kinds in of.values()):
            placed = tuple(_Placed(str(items[at]), frozenset(of[at])) for at in figures)
            nothing = Kind.NOTHING in of[None]
            yield (*placed, _Placed("", frozenset({Kind.NOTHING}))) if nothing else placed


def _beside(items: Sequence[str | Kind], at: int) -> list[int]:
    """Return where the figures before and behind a word stand, with no pause between."""
    found = []
    for step in (-1, 1):
        here = at + step
        while 0 <= here < len(items):
            if isinstance(items[here], str):
                found.append(here)
                break
            if items[here] in (Kind.PAUSE, Kind.NOTHING):
                break
            here += step
    return found


def _agree(kinds: Collection[Kind]) -> bool:
    """Return whether these can be said of one figure: `goes loosely`, and not `goes, refuses`."""
    feels = [kind for kind in kinds if kind in _GOES[1:]]
    return len(feels) <= 1 and not (Kind.REFUSES in kinds and any(kind in _GOES for kind in kinds))


# from figures and what was said of them to the shorthand ---------------------------------------

_LETTERS = {Kind.LOOSE: "l", Kind.TIGHT: "t", Kind.DRAG: "d"}


def _thick(figure: str) -> Fraction:
    return sum((Fraction(part) for part in figure.split("+")), Fraction(0))


def _shorthand(placed: Sequence[_Placed], called: str | None) -> str | None:
    """Return the reading that the figures make, None where they make none."""
    nothing = any(Kind.NOTHING in token.of for token in placed)
    figures = [token for token in placed if token.figure]
    if any(not Fraction(blade) for figure in figures for blade in figure.figure.split("+")):
        return None  # there is no blade of 0
    refused = [figure for figure in figures if Kind.REFUSES in figure.of]
    if nothing:
        if len(figures) > 1 or called or any(figure.of - {Kind.REFUSES} for figure in figures):
            return None
        return f"-{figures[0].figure}" if figures else "x"
    if len(figures) == 1:
        if refused:
            return None if called else f"-{figures[0].figure}"
        return f"{_goes(figures[0], alone=True)}{f'={called}' if called else ''}"
    if len(figures) != MOST_FIGURES or len(refused) != 1:
        return None
    (goes,) = (figure for figure in figures if figure not in refused)
    before = figures.index(goes) == 0
    if not (goes.of or before) or _thick(goes.figure) >= _thick(refused[0].figure):
        return None
    if not _alike(goes.figure, refused[0].figure):
        return None
    typed = f"{_goes(goes, alone=False)}-{refused[0].figure}"
    return f"{typed}={called}" if called else typed


def _goes(one: _Placed, *, alone: bool) -> str:
    """Return a blade that goes, with its feel; a light drag goes unsaid where nothing refuses."""
    letter = next((_LETTERS[kind] for kind in one.of if kind in _LETTERS), "")
    return f"{one.figure}{'' if alone and letter == 'd' else letter}"


def _meant(words: Sequence[Heard | HeardRun]) -> Iterator[str]:
    """Yield what may be meant by two figures of which nothing says that one refuses, to be asked.

    The thinner one goes and the thicker refuses; or, where something goes, the thicker one does.
    Where both refuse: the thinner one.
    """
    for plain in _readings_of_runs(_without_pauses(words)):
        kinds = {item for item in plain if isinstance(item, Kind)}
        figures = [item for item in plain if isinstance(item, str)]
        goes, refuses = kinds & set(_GOES), Kind.REFUSES in kinds
        if len(figures) != MOST_FIGURES or kinds - {Kind.AND, Kind.PAUSE, Kind.REFUSES, *_GOES}:
            continue
        thin, thick = figures
        if (goes and refuses) or not (0 < _thick(thin) < _thick(thick) and _alike(thin, thick)):
            continue
        if plain.count(Kind.REFUSES) == MOST_FIGURES:
            yield f"-{thin}"
        elif not refuses:
            yield f"{thin}-{thick}"
            if goes:
                yield thick


def _alike(*figures: str) -> bool:
    """Return whether all are fractions of the unit, or none is."""
    return len({_thick(figure) < 1 for figure in figures}) == 1


# units -----------------------------------------------------------------------------------------


def _in_unit(way: str, spoken: str | None, unit: Unit) -> list[Said]:
    """Return a way in its unit; several where the unit is not said and more than one fits.

    A figure with a half, as it is said, is of hundredths or thou and never of millimetres.
    """
    figures = [Fraction(figure) for figure in _FIGURES.findall(way)]
    literal = all("." in figure for figure in _FIGURES.findall(way)) and max(figures, default=0) < 1
    hundredths = Said(_FIGURES.sub(_hundredths, way), Unit.MM)
    if spoken is None:
        parted = any(figure >= 1 and figure.denominator > 1 for figure in figures)
        return (
            [hundredths, Said(way, Unit.INCH)] if parted and unit is Unit.MM else [Said(way, unit)]
        )
    if spoken in ("mm", "in") and literal:
        return [Said(way, Unit.MM if spoken == "mm" else Unit.INCH)]
    if min(figures, default=1) < 1:
        return []
    # whole millimetres or inches are no gap: what is meant is asked
    if spoken in ("hundredths", "mm"):
        return [replace(hundredths, sure=spoken == "hundredths")]
    return [Said(way, Unit.INCH, sure=spoken == "thou")]


def _hundredths(found: re.Match[str]) -> str:
    """Return a figure of hundredths as it is typed in millimetres."""
    figure = found[0]
    return f"{float(Fraction(figure) / 100):.5f}".rstrip("0") if "." in figure else figure

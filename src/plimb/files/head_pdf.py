"""The head from above on paper, each valve with its name and what stands below it beside it."""

from collections.abc import Mapping, Sequence
from dataclasses import dataclass

from plimb.core.engine.layout import BORE_RADIUS, BankDrawing, HeadDrawing, ValveSpot
from plimb.files.paper import INK, LINE, MM, SOFT, Paper

SIZE, LEAD = 8.0, 9.6
"""Text beside a valve, and from one line of it to the next."""


@dataclass(frozen=True, slots=True, kw_only=True)
class SpotNotes:
    """What stands beside a valve: soft lines, then one that stands out; whether it is filled."""

    soft: Sequence[str] = ()
    strong: str = ""
    filled: bool = False


def draw_head(
    paper: Paper, drawing: HeadDrawing, *, note: str, beside: Mapping[str, SpotNotes]
) -> None:
    """Draw every bank from where the pen is, the foremost at the top."""
    lines = 1 + max((len(notes.soft) + bool(notes.strong) for notes in beside.values()), default=0)
    longest = max(bank.length for bank in drawing.banks)
    room = (88 * MM - len(drawing.banks) * 2 * lines * LEAD) / len(drawing.banks)
    scale = min(paper.epw / (longest + 0.3), 44 * MM, room / (2.3 * BORE_RADIUS))
    tall = 2.3 * BORE_RADIUS * scale + 2 * (lines * LEAD + 5)
    paper.room_for(tall * len(drawing.banks) + 4 * MM)
    top = paper.y
    front = "front is left" if drawing.crank == "along" else "front"
    paper.fitted(paper.l_margin, top + 4, f"{front}; {note}", SIZE, width=paper.epw, colour=SOFT)
    for place, bank in enumerate(drawing.banks):
        middle = top + 4 * MM + tall * (place + 0.5)
        _bank(paper, bank, middle, scale, lines, beside)
    paper.set_xy(paper.l_margin, top + 4 * MM + tall * len(drawing.banks))


def _bank(
    paper: Paper, bank: BankDrawing, middle: float, scale: float, lines: int,
    beside: Mapping[str, SpotNotes],
) -> None:  # fmt: skip
    start = paper.l_margin + (paper.epw - bank.length * scale) / 2
    paper.set_draw_color(*INK)
    paper.set_line_width(0.8)
    for bore in bank.bores:
        paper.circle(start + bore.u * scale, middle, BORE_RADIUS * scale)
    paper.set_draw_color(*SOFT)
    paper.set_line_width(2)
    for bar in bank.camshafts:
        y = middle + bar.v * scale
        paper.line(start + bar.start * scale, y, start + bar.end * scale, y)
    for plate in (-1, 1):
        spots = [valve for valve in bank.valves if valve.plate == plate]
        _side(paper, sorted(spots, key=_along), start, middle, scale, lines, beside)
    for bore in bank.bores:
        x = start + bore.u * scale
        paper.fitted(x - 10, middle, str(bore.cylinder), SIZE, width=20, align="C", colour=SOFT)


def _along(spot: ValveSpot) -> tuple[float, int]:
    return spot.u, spot.rank


def _side(
    paper: Paper, spots: Sequence[ValveSpot], start: float, middle: float, scale: float,
    lines: int, beside: Mapping[str, SpotNotes],
) -> None:  # fmt: skip
    """Draw the valves of one side of a bank, and what stands beside each, clear of one another."""
    wide = min(19 * MM, paper.epw / max(1, len(spots)))
    wanted = [start + spot.u * scale for spot in spots]
    for spot, x in zip(spots, spread(wanted, wide, paper.l_margin, paper.epw), strict=True):
        at = beside.get(spot.valve, SpotNotes())
        u, v, radius = start + spot.u * scale, middle + spot.v * scale, spot.radius * scale
        edge = middle + spot.plate * (1.15 * BORE_RADIUS * scale + 3)
        paper.set_draw_color(*LINE)
        paper.set_line_width(0.5)
        paper.line(u, v, x, edge)
        if spot.rank == 0:
            paper.set_draw_color(*INK)
            paper.set_line_width(0.7)
            paper.set_fill_color(*(INK if at.filled else (255, 255, 255)))
            paper.circle(u, v, radius, style="FD")
        top = edge + 2 if spot.plate > 0 else edge - lines * LEAD - 2
        said = [(spot.valve, True, INK), *((line, False, SOFT) for line in at.soft)]
        said += [(at.strong, True, INK)] if at.strong else []
        for nth, (text, bold, colour) in enumerate(said):
            paper.fitted(
                x - wide / 2, top + LEAD * (nth + 0.5), text, SIZE, width=wide - 2, align="C",
                bold=bold, colour=colour,
            )  # fmt: skip


def spread(wanted: Sequence[float], wide: float, low: float, length: float) -> list[float]:
    """Return places at least so wide apart, as near to those wanted as that goes.

    Args:
        wanted: Where each would like to stand, from left to right.
        wide: How far apart two of them stand at least; all of them fit into the length.
        low: Where the room for them begins.
        length: How long it is.
    """
    right, left = list(wanted), list(wanted)
    for at in range(1, len(right)):
        right[at] = max(right[at], right[at - 1] + wide)
    for at in range(len(left) - 2, -1, -1):
        left[at] = min(left[at], left[at + 1] - wide)
    found = [(low + high) / 2 for low, high in zip(left, right, strict=True)]
    first, last = low + wide / 2, low + length - wide / 2
    for at in range(len(found)):
        found[at] = max(found[at], first + at * wide)
    for at in range(len(found) - 1, -1, -1):
        found[at] = min(found[at], last - (len(found) - 1 - at) * wide)
    return found

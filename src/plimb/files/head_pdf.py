"""The head from above on paper, with what each valve was left at, or its name to write beside."""

from plimb.core.engine.layout import BORE_RADIUS, BankDrawing, HeadDrawing
from plimb.files.paper import INK, MM, SOFT, Paper


def draw_head(
    paper: Paper, drawing: HeadDrawing, *, note: str, left: dict[str, str] | None = None
) -> None:
    """Draw every bank from where the pen is, the foremost at the top."""
    longest = max(bank.length for bank in drawing.banks)
    scale = min(paper.epw / (longest + 0.3), 34 * MM, 74 * MM / (1.28 * len(drawing.banks)))
    tall = scale * 1.28
    paper.room_for(tall * len(drawing.banks) + 4 * MM)
    top = paper.y
    front = "front is left" if drawing.crank == "along" else "front"
    paper.fitted(paper.l_margin, top + 4, f"{front}; {note}", 6.6, width=paper.epw, colour=SOFT)
    spots = [spot for bank in drawing.banks for spot in bank.valves]
    closed = {(spot.u, spot.v) for spot in spots if spot.rank}
    shared = {spot.valve for spot in spots if (spot.u, spot.v) in closed}
    for place, bank in enumerate(drawing.banks):
        _bank(paper, bank, top + 4 * MM + tall * (place + 0.5), scale, shared, left)
    paper.set_xy(paper.l_margin, top + 4 * MM + tall * len(drawing.banks))


def _bank(
    paper: Paper, bank: BankDrawing, middle: float, scale: float, shared: set[str],
    left: dict[str, str] | None,
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
    paper.set_line_width(0.7)
    paper.set_draw_color(*INK)
    paper.set_fill_color(255, 255, 255)
    size = max(4.6, min(6.6, scale * 0.085))
    for spot in bank.valves:
        x, y, radius = start + spot.u * scale, middle + spot.v * scale, spot.radius * scale
        both = spot.valve in shared
        if spot.rank == 0:
            paper.circle(x, y, radius, style="FD")
        text = spot.valve if left is None else left.get(spot.valve, "")
        # opener above, closer below, where one valve has both
        lift = (-0.4 if spot.rank == 0 else 0.6) * size if both else 0
        wide = 1.86 * radius
        paper.fitted(
            x - wide / 2, y + lift, text, size * (0.86 if both else 1), width=wide, align="C",
            bold=True,
        )  # fmt: skip
    for bore in bank.bores:
        x = start + bore.u * scale
        paper.fitted(x - 10, middle, str(bore.cylinder), 8, width=20, align="C", colour=SOFT)

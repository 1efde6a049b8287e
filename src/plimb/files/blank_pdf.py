"""An empty data sheet to print: the head drawn, room to write by hand, nothing filled in."""

from plimb.core.engine.layout import HeadDrawing
from plimb.core.job.sheet import CAUTION, SheetSpec
from plimb.core.lengths import Unit
from plimb.files.head_pdf import draw_head
from plimb.files.paper import MM, SOFT, Paper
from plimb.files.sheet_pdf import below, heading

COLUMNS = (
    "valve",
    "spec",
    "goes",
    "refuses",
    "called",
    "shim marked",
    "measured",
    "shim in",
    "proved",
)
SHARES = (0.13, 0.12, 0.09, 0.09, 0.09, 0.13, 0.12, 0.12, 0.11)
FACTS = ("Date", "Who", "At", "Reason", "Rested, h", "Temperature, °C", "Blades", "Micrometer")


def blank_pdf(
    *,
    label: str,
    engine: str,
    shop: str,
    job: str,
    unit: Unit,
    drawing: HeadDrawing,
    valves: tuple[str, ...],
    specs: tuple[SheetSpec, ...],
    spec_of: dict[str, str],
    stops: tuple[str, ...],
    tools: tuple[str, ...],
) -> bytes:
    """Return the bytes of a PDF to write on with a pencil; the same for the same engine.

    Args:
        label: What the shop calls the engine.
        engine: What it is.
        shop: The shop's name.
        job: The kind of job.
        unit: What gaps are read in.
        drawing: The head from above.
        valves: The valves in measuring order.
        specs: The ranges, in words; what nobody entered says so.
        spec_of: Each valve's range, empty where nobody entered one.
        stops: Where to turn to and what is measured there, a line each.
        tools: What the hands need.
    """
    paper = Paper(title=f"{label}: empty data sheet", author="not signed", subject=engine)
    heading(paper, label, below(engine, shop, job, "empty data sheet"))
    _lines(paper, FACTS)
    paper.gap()
    for spec in specs:
        paper.named(f"Spec {spec.name}", spec.words(unit))
        paper.gap(1)
    paper.gap()
    draw_head(paper, drawing, note=f"gaps in {unit.of_gaps}", beside={})
    paper.gap()
    high = 7 * MM if len(valves) <= 16 else 5.4 * MM
    body = [(valve, spec_of[valve], *[""] * (len(COLUMNS) - 2)) for valve in valves]
    paper.rows_of(
        COLUMNS, body, SHARES, high=high, bold={(nth, 0) for nth in range(len(valves))}, grid=True
    )
    paper.gap()
    said = [*(("Turn", stop) for stop in stops), ("Tools", ", ".join(tools))]
    said.append(("Remarks", "_" * 60))
    tall = sum(paper.named(name, text, dry=True) + 1 for name, text in said)
    paper.room_for(min(tall + 2 * MM, 200 * MM))
    for name, text in said:
        paper.named(name, text)
        paper.gap(1)
    paper.para(CAUTION, 7.4, colour=SOFT)
    return paper.done()


def _lines(paper: Paper, names: tuple[str, ...]) -> None:
    """Draw a line to write on for each name, four beside one another."""
    wide, high = paper.epw / 4, 8 * MM
    for n in range(0, len(names), 4):
        top = paper.y
        for place, name in enumerate(names[n : n + 4]):
            paper.set_xy(paper.l_margin + place * wide, top)
            paper.named(name, "", width=wide)
        paper.rule(top + high, weight=0.5)
        paper.set_xy(paper.l_margin, top + high)

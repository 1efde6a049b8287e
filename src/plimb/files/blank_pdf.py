"""An empty data sheet to print: the head drawn, room to write by hand, nothing filled in."""

import io
from typing import Any

from reportlab.lib import colors
from reportlab.lib.pagesizes import A4
from reportlab.lib.units import mm as MM  # noqa: N812
from reportlab.platypus import Flowable, KeepTogether, SimpleDocTemplate, Spacer, Table

from plimb.core.engine.layout import HeadDrawing
from plimb.core.job.sheet import CAUTION, SheetSpec
from plimb.core.lengths import Unit
from plimb.files.sheet_pdf import INK, LINE, PADDING, SOFT, HeadFlowable, below, named, para
from plimb.files.writing import BOLD, PLAIN, fonts

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
FACTS = ("Date", "Who", "At", "Why now", "Rested, h", "Temperature, °C", "Blades", "Micrometer")


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
    fonts()
    out = io.BytesIO()
    document = SimpleDocTemplate(
        out, pagesize=A4, leftMargin=15 * MM, rightMargin=15 * MM, topMargin=12 * MM,
        bottomMargin=12 * MM, title=f"{label}: empty data sheet", author="not signed",
        subject=engine, creator="Plimb", invariant=1, pageCompression=1,
    )  # fmt: skip
    width = document.width - 2 * PADDING
    story: list[Flowable] = [
        para(label, 19, font=BOLD),
        para(below(engine, shop, job, "empty data sheet"), 9.5, colour=SOFT),
        Spacer(0, 2 * MM),
        _lines(FACTS, width),
        Spacer(0, 2 * MM),
        *(named(f"Spec {one.name}", one.words(unit), after=1) for one in specs),
        Spacer(0, 2 * MM),
        HeadFlowable(drawing, width, note=f"gaps in {unit.of_gaps}"),
        Spacer(0, 2 * MM),
        _table(valves, spec_of, width),
        Spacer(0, 2 * MM),
        KeepTogether(
            [
                *(named("Turn", stop, after=1) for stop in stops),
                named("Tools", ", ".join(tools), after=1),
                named("Remarks", "_" * 60, after=1),
                para(CAUTION, 7.4, colour=SOFT),
            ]
        ),
    ]
    document.build(story)
    return out.getvalue()


def _lines(names: tuple[str, ...], width: float) -> Table:
    cells: list[Any] = [named(one, "") for one in names]
    rows = [cells[n : n + 4] for n in range(0, len(cells), 4)]
    table = Table(rows, colWidths=[width / 4] * 4, rowHeights=[8 * MM] * len(rows))
    table.setStyle([("LINEBELOW", (0, 0), (-1, -1), 0.5, INK), ("VALIGN", (0, 0), (-1, -1), "TOP")])
    return table


def _table(valves: tuple[str, ...], spec_of: dict[str, str], width: float) -> Table:
    high = 7 * MM if len(valves) <= 16 else 5.4 * MM
    body = [[valve, spec_of[valve], *[""] * (len(COLUMNS) - 2)] for valve in valves]
    shares = (0.13, 0.12, 0.09, 0.09, 0.09, 0.13, 0.12, 0.12, 0.11)
    table = Table(
        [COLUMNS, *body], colWidths=[width * share for share in shares], repeatRows=1,
        rowHeights=[5 * MM, *[high] * len(body)],
    )  # fmt: skip
    table.setStyle(
        [
            ("FONT", (0, 0), (-1, 0), PLAIN, 7.2),
            ("TEXTCOLOR", (0, 0), (-1, 0), SOFT),
            ("FONT", (0, 1), (0, -1), BOLD, 8.4),
            ("FONT", (1, 1), (1, -1), PLAIN, 8),
            ("VALIGN", (0, 0), (-1, -1), "MIDDLE"),
            ("GRID", (0, 0), (-1, -1), 0.35, LINE),
            ("LINEBELOW", (0, 0), (-1, 0), 0.8, INK),
            ("BACKGROUND", (0, 0), (-1, -1), colors.white),
        ]
    )
    return table

"""The sheet as PDF, with its fonts in it and the head drawn; text can be selected and found."""

import io
from typing import Any

from reportlab.lib import colors
from reportlab.lib.pagesizes import A4
from reportlab.lib.styles import ParagraphStyle
from reportlab.lib.units import mm as MM  # noqa: N812
from reportlab.platypus import (
    Flowable,
    KeepTogether,
    Paragraph,
    SimpleDocTemplate,
    Spacer,
    Table,
    TableStyle,
)

from plimb.core.engine.layout import BORE_RADIUS, BankDrawing, HeadDrawing
from plimb.core.job.sheet import CAUTION, Fact, Sheet, SheetRow
from plimb.core.lengths import Unit
from plimb.core.measure.gap import Gap
from plimb.core.measure.limits import Verdict
from plimb.core.words import VERDICT_WORDS, Units, signed
from plimb.files.writing import BOLD, PLAIN, draw_centred, fonts, lines, runs, width

INK, SOFT, LINE = colors.HexColor("#131c19"), colors.HexColor("#44504a"), colors.HexColor("#bcc3ba")
PADDING = 6
"""What the page's frame leaves free on each side, in points."""


def style(size: float, *, font: str = PLAIN, colour: Any = INK, after: float = 0) -> Any:
    """Return how a paragraph is set, sizes in points."""
    return ParagraphStyle(
        "sheet", fontName=font, fontSize=size, leading=size * 1.28, textColor=colour,
        spaceAfter=after, splitLongWords=1,
    )  # fmt: skip


def sheet_pdf(sheet: Sheet) -> bytes:
    """Return the sheet as the bytes of a PDF, the same for the same sheet.

    One page for up to 16 valves in one round; more valves or rounds run on.
    """
    fonts()
    out = io.BytesIO()
    document = SimpleDocTemplate(
        out, pagesize=A4, leftMargin=15 * MM, rightMargin=15 * MM, topMargin=12 * MM,
        bottomMargin=14 * MM, title=f"{sheet.label}: valve clearances, card {sheet.card}",
        author=sheet.signed_by or "not signed", subject=sheet.engine, creator="Plimb",
        keywords=[sheet.fingerprint or "not signed"],
        invariant=1, pageCompression=1,
    )  # fmt: skip
    width = document.width - 2 * PADDING
    units = Units(gap=sheet.unit, shim=sheet.shim_unit)
    story: list[Flowable] = [
        para(sheet.label, 19, font=BOLD),
        para(below(sheet.engine, sheet.shop, f"card {sheet.card}"), 9.5, colour=SOFT),
        Spacer(0, 2 * MM),
        _facts(sheet, width),
        Spacer(0, 2 * MM),
        HeadFlowable(
            sheet.drawing,
            width,
            note=f"gaps in {sheet.unit.of_gaps}, shims in {sheet.shim_unit}",
            left={row.valve: _gap(row.left, sheet.unit) for row in sheet.rows},
        ),
        Spacer(0, 2 * MM),
        _rows(sheet.rows, width, units),
    ]
    for one in sheet.rounds:
        story.append(
            KeepTogether(
                [
                    Spacer(0, 2 * MM),
                    para(f"Round {one.number}: {one.reason}", 9, font=BOLD),
                    _rows(one.rows, width, units),
                ]
            )
        )
    story += _closing(sheet)
    document.build(story, onFirstPage=_foot(sheet), onLaterPages=_foot(sheet))
    return out.getvalue()


def below(*parts: str) -> str:
    """Return what stands below a title: what is known of it, one after the other."""
    return " · ".join(part for part in parts if part)


def para(text: str, size: float, *, font: str = PLAIN, **more: Any) -> Paragraph:
    """Return a paragraph of plain text."""
    return Paragraph(plain(text, font), style(size, font=font, **more))


def plain(text: str, font: str = PLAIN) -> str:
    """Return text as markup that shows it letter by letter, each in a font that has it.

    A word that is longer than any line breaks where it has to.
    """
    swapped = text.replace("→", "to").replace("≤", "at most").replace("≥", "at least")
    return "<br/>".join(_marked(line, font) for line in lines(swapped))


def _marked(line: str, font: str) -> str:
    return "".join(
        _escaped(part) if name == font else f'<font name="{name}">{_escaped(part)}</font>'
        for name, part in runs(line, font)
    )


def _escaped(text: str) -> str:
    return text.replace("&", "&amp;").replace("<", "&lt;").replace(">", "&gt;")


def named(name: str, says: str, after: float = 0) -> Paragraph:
    """Return what stands beside a name, the name in the softer ink."""
    text = f'<font color="#44504a">{plain(name)}</font> {plain(says)}'
    return Paragraph(text, style(8.2, after=after))


def _facts(sheet: Sheet, width: float) -> Table:
    specs = (Fact(name=f"Spec {one.name}", says=one.words(sheet.unit)) for one in sheet.specs)
    cells = [named(one.name, one.says) for one in (*sheet.facts, *specs)]
    while len(cells) % 3:
        cells.append(Paragraph("", style(8.2)))
    table = Table([cells[n : n + 3] for n in range(0, len(cells), 3)], colWidths=[width / 3] * 3)
    table.setStyle(
        TableStyle(
            [
                ("LEFTPADDING", (0, 0), (-1, -1), 0),
                ("TOPPADDING", (0, 0), (-1, -1), 0.8),
                ("BOTTOMPADDING", (0, 0), (-1, -1), 0.8),
                ("VALIGN", (0, 0), (-1, -1), "TOP"),
                ("LINEABOVE", (0, 0), (-1, 0), 1, INK),
                ("LINEBELOW", (0, -1), (-1, -1), 0.5, LINE),
            ]
        )
    )
    return table


HEADINGS = (
    "valve", "spec", "as found", "piece out", "piece in", "predicted", "as left", "off by", "",
)  # fmt: skip


def _gap(gap: Gap | None, unit: Unit) -> str:
    return gap.words(unit) if gap else ""


def _out(row: SheetRow, units: Units) -> str:
    thick = "" if row.piece_out_nm is None else units.shim_figure(row.piece_out_nm)
    return f"{thick} ({row.marked})" if row.marked else thick


def _in(row: SheetRow, units: Units) -> str:
    if row.piece_in_nm is not None:
        return units.shim_figure(row.piece_in_nm)
    return "kept" if row.kept else ""


def _rows(rows: tuple[SheetRow, ...], width: float, units: Units) -> Table:
    unit = units.gap
    body = [
        [
            row.valve, row.spec.words(unit) if row.spec else "–", _gap(row.found, unit),
            _out(row, units), _in(row, units), _gap(row.predicted, unit), _gap(row.left, unit),
            "" if row.residual_nm is None else signed(row.residual_nm, unit),
            VERDICT_WORDS[row.verdict],
        ]
        for row in rows
    ]  # fmt: skip
    shares = (0.12, 0.115, 0.115, 0.16, 0.10, 0.13, 0.11, 0.06, 0.09)
    table = Table(
        [HEADINGS, *body], colWidths=[width * share for share in shares], repeatRows=1,
        rowHeights=[4.6 * MM] * (len(body) + 1),
    )  # fmt: skip
    style: list[Any] = [
        ("FONT", (0, 0), (-1, 0), PLAIN, 7.2),
        ("TEXTCOLOR", (0, 0), (-1, 0), SOFT),
        ("FONT", (0, 1), (-1, -1), PLAIN, 8),
        ("FONT", (0, 1), (0, -1), BOLD, 8.4),
        ("FONT", (6, 1), (6, -1), BOLD, 8.4),
        ("TEXTCOLOR", (0, 1), (-1, -1), INK),
        ("VALIGN", (0, 0), (-1, -1), "MIDDLE"),
        ("LEFTPADDING", (0, 0), (-1, -1), 1),
        ("RIGHTPADDING", (0, 0), (-1, -1), 1),
        ("TOPPADDING", (0, 0), (-1, -1), 0),
        ("BOTTOMPADDING", (0, 0), (-1, -1), 0),
        ("LINEBELOW", (0, 0), (-1, 0), 0.8, INK),
        ("LINEBELOW", (0, 1), (-1, -1), 0.35, LINE),
    ]
    for place, row in enumerate(rows, 1):
        if row.verdict is not Verdict.IN:
            style.append(("FONT", (8, place), (8, place), BOLD, 8))
    table.setStyle(TableStyle(style))
    return table


def _closing(sheet: Sheet) -> list[Flowable]:
    said: list[Flowable] = [Spacer(0, 2 * MM)]

    def line(name: str, text: str) -> None:
        if text:
            said.append(named(name, text, after=1.2))

    for one in sheet.lines:
        line(one.name, one.says)
    line("Remarks", sheet.remarks or ("none" if sheet.signed_at else ""))
    line("Next check", sheet.next_check)
    for amendment in sheet.amendments:
        line("Amended", amendment)
    signed = (
        f"{sheet.signed_by}, {sheet.signed_at:%Y-%m-%d %H:%M} UTC"
        if sheet.signed_at
        else "________________________"
    )
    said.append(Spacer(0, 2 * MM))
    said.append(
        Paragraph(f'<font color="#44504a">Signed</font> <b>{plain(signed, BOLD)}</b>', style(10))
    )
    said.append(para(CAUTION, 7.4, colour=SOFT))
    return [KeepTogether(said)]


def _foot(sheet: Sheet) -> Any:
    def draw(canvas: Any, document: Any) -> None:
        canvas.saveState()
        canvas.setFont(PLAIN, 5.6)
        canvas.setFillColor(SOFT)
        left = f"record {sheet.fingerprint}" if sheet.fingerprint else "not signed"
        left += f"  key {sheet.key}" if sheet.key else ""
        canvas.drawString(15 * MM, 8 * MM, left)
        canvas.drawRightString(A4[0] - 15 * MM, 8 * MM, f"page {document.page}")
        canvas.restoreState()

    return draw


class HeadFlowable(Flowable):
    """The head from above with what each valve was left at, or its name to write beside."""

    def __init__(
        self, drawing: HeadDrawing, width: float, *, note: str, left: dict[str, str] | None = None
    ) -> None:
        super().__init__()
        self.drawing, self.note, self.left = drawing, note, left
        self.banks = drawing.banks
        longest = max(bank.length for bank in self.banks)
        self.scale = min(width / (longest + 0.3), 34 * MM, 74 * MM / (1.28 * len(self.banks)))
        self.width = width
        spots = [spot for bank in self.banks for spot in bank.valves]
        closed = {(spot.u, spot.v) for spot in spots if spot.rank}
        self.shared = {spot.valve for spot in spots if (spot.u, spot.v) in closed}
        self.tall = self.scale * 1.28
        self.height = self.tall * len(self.banks) + 4 * MM

    def wrap(self, _width: float, _height: float) -> tuple[float, float]:
        """Return how much room the drawing takes."""
        return self.width, self.height

    def draw(self) -> None:
        """Draw every bank, the foremost at the top."""
        canvas = self.canv
        canvas.setFont(PLAIN, 6.6)
        canvas.setFillColor(SOFT)
        along = self.drawing.crank == "along"
        front = "front is left" if along else "front"
        canvas.drawString(0, self.height - 2.4 * MM, f"{front}; {self.note}")
        for place, bank in enumerate(self.banks):
            middle = self.height - 4 * MM - self.tall * (place + 0.5)
            self._bank(bank, middle)

    def _bank(self, bank: BankDrawing, middle: float) -> None:
        canvas, scale = self.canv, self.scale
        start = (self.width - bank.length * scale) / 2

        def across(u: float) -> float:
            return start + u * scale

        canvas.setStrokeColor(INK)
        canvas.setLineWidth(0.8)
        for bore in bank.bores:
            canvas.circle(across(bore.u), middle, BORE_RADIUS * scale)
        canvas.setStrokeColor(SOFT)
        canvas.setLineWidth(2)
        for bar in bank.camshafts:
            y = middle - bar.v * scale
            canvas.line(across(bar.start), y, across(bar.end), y)
        canvas.setLineWidth(0.7)
        canvas.setStrokeColor(INK)
        size = max(4.6, min(6.6, scale * 0.085))
        for spot in bank.valves:
            x, y = across(spot.u), middle - spot.v * scale
            shared = spot.valve in self.shared
            if spot.rank == 0:
                canvas.setFillColor(colors.white)
                canvas.circle(x, y, spot.radius * scale, fill=1)
            canvas.setFillColor(INK)
            text = spot.valve if self.left is None else self.left.get(spot.valve, "")
            fitting = size * (0.86 if shared else 1)
            wide = width(text, BOLD, fitting)
            fitting *= min(1.0, 1.86 * spot.radius * scale / max(wide, 0.1))
            # opener above, closer below, where one valve has both
            lift = (0.1 if spot.rank == 0 else -0.95) if shared else -0.35
            draw_centred(canvas, x, y + fitting * lift, text, BOLD, fitting)
        canvas.setFillColor(SOFT)
        canvas.setFont(PLAIN, 8)
        for bore in bank.bores:
            canvas.drawCentredString(across(bore.u), middle - 3, str(bore.cylinder))

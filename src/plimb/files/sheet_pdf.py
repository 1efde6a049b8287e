"""The sheet as PDF, with its fonts in it and the head drawn; text can be selected and found."""

from collections.abc import Sequence

from plimb.core.job.sheet import CAUTION, Fact, Sheet, SheetRow
from plimb.core.lengths import Unit
from plimb.core.measure.gap import Gap
from plimb.core.measure.limits import Verdict
from plimb.core.words import Units, day_words, figure, moment_words, signed
from plimb.files.head_pdf import SpotNotes, draw_head
from plimb.files.paper import LINE, MM, SOFT, WASH, Paper

HEADINGS = (
    "valve", "range", "before", "shim out", "shim in", "expected", "after", "off by", "",
)  # fmt: skip
SHARES = (0.10, 0.115, 0.15, 0.16, 0.095, 0.125, 0.125, 0.06, 0.07)
HIGH, LOW = 4.6 * MM, 4.2 * MM
MANY = 16
"""More valves than this stand closer together."""
SMALL = 8.0
"""Nothing on paper is smaller."""


def sheet_pdf(sheet: Sheet) -> bytes:
    """Return the sheet as the bytes of a PDF, the same for the same sheet.

    What came of the job stands first. One page for up to 24 valves in one round; more valves or
    rounds run on.
    """
    paper = Paper(
        title=f"{sheet.label}: valve clearances, card {sheet.card}",
        author=sheet.signed_by or "not signed", subject=sheet.engine,
        keywords=sheet.fingerprint or "not signed",
    )  # fmt: skip
    paper.foot_text = f"record {sheet.fingerprint}" if sheet.fingerprint else "not signed"
    paper.foot_text += f"\nkey {sheet.key}" if sheet.key else ""
    units = Units(gap=sheet.unit, shim=sheet.shim_unit)
    _head(paper, sheet)
    _result(paper, sheet)
    paper.gap(1 * MM)
    draw_head(
        paper, sheet.drawing, beside={row.valve: _beside(row, sheet.unit) for row in sheet.rows},
        note=f"gaps in {sheet.unit.of_gaps}, shims in {sheet.shim_unit}; above the gap before, "
        "bold the gap after; a dark valve has another shim",
    )  # fmt: skip
    paper.gap(1 * MM)
    _rows(paper, sheet.rows, units)
    for round_ in sheet.rounds:
        paper.gap()
        paper.room_for(min(HIGH * (len(round_.rows) + 1) + 14, 200 * MM))
        paper.para(f"Round {round_.number}: {round_.reason}", 9, bold=True)
        _rows(paper, round_.rows, units)
    paper.gap()
    _closing(paper, sheet)
    return paper.done()


def below(*parts: str) -> str:
    """Return what stands below a title: what is known of it, one after the other."""
    return " · ".join(part for part in parts if part)


def heading(paper: Paper, title: str, under: str) -> None:
    """Set a page's title and what stands below it."""
    paper.para(title, 19, bold=True)
    paper.para(under, 9.5, colour=SOFT)
    paper.gap()


def _head(paper: Paper, sheet: Sheet) -> None:
    """Set whose sheet it is, of which machine, which card and when."""
    top = paper.y
    wide = 48 * MM
    day = day_words(sheet.signed_at or sheet.opened_at)
    for nth, text in enumerate(("Valve clearances", f"card {sheet.card}", day)):
        paper.fitted(
            paper.l_margin + paper.epw - wide, top + 6 + nth * 11, text, 9, width=wide, align="R",
            bold=not nth, colour=SOFT,
        )  # fmt: skip
    paper.set_xy(paper.l_margin, top)
    if sheet.shop:
        paper.para(sheet.shop, 11, colour=SOFT, width=paper.epw - wide)
    paper.set_x(paper.l_margin)
    paper.para(sheet.label, 20, bold=True, width=paper.epw - wide)
    paper.set_x(paper.l_margin)
    if sheet.engine:
        paper.para(sheet.engine, 9.5, colour=SOFT, width=paper.epw - wide)
    paper.set_xy(paper.l_margin, max(paper.y, top + 36) + 1.5 * MM)


def _result(paper: Paper, sheet: Sheet) -> None:
    """Set what came of the job, and when to look again, on a ground of its own."""
    inner, pad = paper.epw - 8 * MM, 3 * MM
    signature = (
        sheet.signed_at and f"Signed by {sheet.signed_by}, {moment_words(sheet.signed_at)} UTC"
    )
    said = [(text, 12.5 if nth == len(sheet.result) - 1 else 10.0) for nth, text in
            enumerate(sheet.result)]  # fmt: skip
    last = below(
        f"Next check {sheet.next_check}" if sheet.next_check else "", signature or "not signed"
    )
    high = sum(paper.para(text, size, bold=True, width=inner, dry=True) for text, size in said)
    high += paper.para(last, 9.5, width=inner, dry=True) + 2 * pad + 2
    paper.room_for(high)
    top = paper.y
    paper.set_fill_color(*WASH)
    paper.rect(paper.l_margin, top, paper.epw, high, style="F")
    paper.set_xy(paper.l_margin + 4 * MM, top + pad)
    for text, size in said:
        paper.para(text, size, bold=True, width=inner)
    paper.set_xy(paper.l_margin + 4 * MM, paper.y + 2)
    paper.para(last, 9.5, width=inner)
    paper.set_xy(paper.l_margin, top + high)


def _gap(gap: Gap | None, unit: Unit) -> str:
    return gap.words(unit) if gap else ""


def _felt(gap: Gap | None, unit: Unit) -> str:
    """Return a gap as it was felt: between which blades, and what it was called."""
    if gap is None or gap.called_nm is None or gap.low_nm is None:
        return _gap(gap, unit)
    ends = f"{figure(gap.low_nm, unit)}–{figure(gap.high_nm, unit)}"
    return f"{ends}, called {figure(gap.called_nm, unit)}"


def _beside(row: SheetRow, unit: Unit) -> SpotNotes:
    changed = row.piece_in_nm is not None
    proved = row.left is not None and row.left != row.found
    return SpotNotes(
        soft=(_gap(row.found, unit),) if changed or proved else (),
        strong=_gap(row.left, unit),
        filled=changed,
    )


def _out(row: SheetRow, units: Units) -> str:
    thick = "" if row.piece_out_nm is None else units.shim_figure(row.piece_out_nm)
    if row.by_marking:
        return f"{thick}, by its marking"
    return f"{thick} (marked {row.marked})" if row.marked else thick


def _in(row: SheetRow, units: Units) -> str:
    if row.piece_in_nm is not None:
        return units.shim_figure(row.piece_in_nm)
    return "kept" if row.kept else ""


def _rows(paper: Paper, rows: tuple[SheetRow, ...], units: Units) -> None:
    unit = units.gap
    body = [
        (
            row.valve, row.spec.words(unit) if row.spec else "–", _felt(row.found, unit),
            _out(row, units), _in(row, units), _gap(row.predicted, unit), _felt(row.left, unit),
            "" if row.residual_nm is None else signed(row.residual_nm, unit),
            row.word,
        )
        for row in rows
    ]  # fmt: skip
    bold = {(nth, column) for nth in range(len(rows)) for column in (0, 6)}
    bold |= {(nth, 8) for nth, row in enumerate(rows) if row.verdict is not Verdict.IN}
    high = HIGH if len(rows) <= MANY else LOW
    paper.rows_of(HEADINGS, body, SHARES, high=high, bold=bold)


def _columns(paper: Paper, left: Sequence[Fact], right: Sequence[Fact]) -> None:
    """Set two columns of names and what stands beside them, side by side."""
    wide = (paper.epw - 8 * MM) / 2
    high = max(
        sum(paper.named(row.name, row.says, width=wide, size=8.6, dry=True) + 1.2 for row in side)
        for side in (left, right)
    )
    if paper.room_for(min(high, 200 * MM)):
        paper.gap()
    top, ends = paper.y, []
    for place, side in enumerate((left, right)):
        paper.set_xy(paper.l_margin + place * (wide + 8 * MM), top)
        for row in side:
            x = paper.l_margin + place * (wide + 8 * MM)
            paper.set_x(x)
            paper.named(row.name, row.says, width=wide, size=8.6)
            paper.set_xy(x, paper.y + 1.2)
        ends.append(paper.y)
    paper.set_xy(paper.l_margin, max(ends))


def _closing(paper: Paper, sheet: Sheet) -> None:
    specs = [Fact(name=f"Range {spec.name}", says=spec.words(sheet.unit)) for spec in sheet.specs]
    long = [line for line in sheet.lines if len(line.says) > LONG]
    short = [line for line in sheet.lines if len(line.says) <= LONG]
    if sheet.remarks:
        long.append(Fact(name="Remarks", says=sheet.remarks))
    long += [Fact(name="Amended", says=amendment) for amendment in sheet.amendments]
    _columns(paper, [*specs, *short], sheet.facts)
    for row in long:
        paper.gap(1)
        paper.room_for(min(paper.named(row.name, row.says, size=8.6, dry=True), 200 * MM))
        paper.named(row.name, row.says, size=8.6)
    if sheet.signed_at is None:
        paper.gap()
        paper.named("Signed", "________________________", size=10)
    small = [
        f"Not ticked: {'; '.join(sheet.unticked)}." if sheet.unticked else "",
        f"Ticked while working: {'; '.join(sheet.ticked)}." if sheet.ticked else "",
        CAUTION,
    ]
    paper.gap()
    paper.rule(paper.y, weight=0.35, colour=LINE)
    paper.gap(1)
    for text in filter(None, small):
        paper.room_for(min(paper.para(text, SMALL, colour=SOFT, dry=True), 200 * MM))
        paper.para(text, SMALL, colour=SOFT)
        paper.set_x(paper.l_margin)


LONG = 90
"""Text of more letters than this runs across the page."""

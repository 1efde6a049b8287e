"""The sheet as PDF, with its fonts in it and the head drawn; text can be selected and found."""

from plimb.core.job.sheet import CAUTION, Fact, Sheet, SheetRow
from plimb.core.lengths import Unit
from plimb.core.measure.gap import Gap
from plimb.core.measure.limits import Verdict
from plimb.core.words import VERDICT_WORDS, Units, signed
from plimb.files.head_pdf import draw_head
from plimb.files.paper import LINE, MM, SOFT, Paper

HEADINGS = (
    "valve", "spec", "as found", "piece out", "piece in", "predicted", "as left", "off by", "",
)  # fmt: skip
SHARES = (0.12, 0.115, 0.115, 0.16, 0.10, 0.13, 0.11, 0.06, 0.09)
HIGH = 4.6 * MM


def sheet_pdf(sheet: Sheet) -> bytes:
    """Return the sheet as the bytes of a PDF, the same for the same sheet.

    One page for up to 16 valves in one round; more valves or rounds run on.
    """
    paper = Paper(
        title=f"{sheet.label}: valve clearances, card {sheet.card}",
        author=sheet.signed_by or "not signed", subject=sheet.engine,
        keywords=sheet.fingerprint or "not signed",
    )  # fmt: skip
    paper.foot_text = f"record {sheet.fingerprint}" if sheet.fingerprint else "not signed"
    paper.foot_text += f"  key {sheet.key}" if sheet.key else ""
    units = Units(gap=sheet.unit, shim=sheet.shim_unit)
    heading(paper, sheet.label, below(sheet.engine, sheet.shop, f"card {sheet.card}"))
    _facts(paper, sheet)
    paper.gap()
    draw_head(
        paper, sheet.drawing, note=f"gaps in {sheet.unit.of_gaps}, shims in {sheet.shim_unit}",
        left={row.valve: _gap(row.left, sheet.unit) for row in sheet.rows},
    )  # fmt: skip
    paper.gap()
    _rows(paper, sheet.rows, units)
    for one in sheet.rounds:
        paper.gap()
        paper.room_for(min(HIGH * (len(one.rows) + 1) + 14, 200 * MM))
        paper.para(f"Round {one.number}: {one.reason}", 9, bold=True)
        _rows(paper, one.rows, units)
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


def _facts(paper: Paper, sheet: Sheet) -> None:
    specs = (Fact(name=f"Spec {one.name}", says=one.words(sheet.unit)) for one in sheet.specs)
    facts = [*sheet.facts, *specs]
    wide = paper.epw / 3
    paper.rule(paper.y, weight=1)
    paper.gap(1.5)
    for n in range(0, len(facts), 3):
        three = facts[n : n + 3]
        high = max(paper.named(one.name, one.says, width=wide - 6, dry=True) for one in three)
        paper.room_for(high)
        top = paper.y
        for place, one in enumerate(three):
            paper.set_xy(paper.l_margin + place * wide, top)
            paper.named(one.name, one.says, width=wide - 6)
        paper.set_xy(paper.l_margin, top + high + 1.6)
    paper.rule(paper.y, weight=0.5, colour=LINE)


def _gap(gap: Gap | None, unit: Unit) -> str:
    return gap.words(unit) if gap else ""


def _out(row: SheetRow, units: Units) -> str:
    thick = "" if row.piece_out_nm is None else units.shim_figure(row.piece_out_nm)
    return f"{thick} ({row.marked})" if row.marked else thick


def _in(row: SheetRow, units: Units) -> str:
    if row.piece_in_nm is not None:
        return units.shim_figure(row.piece_in_nm)
    return "kept" if row.kept else ""


def _rows(paper: Paper, rows: tuple[SheetRow, ...], units: Units) -> None:
    unit = units.gap
    body = [
        (
            row.valve, row.spec.words(unit) if row.spec else "–", _gap(row.found, unit),
            _out(row, units), _in(row, units), _gap(row.predicted, unit), _gap(row.left, unit),
            "" if row.residual_nm is None else signed(row.residual_nm, unit),
            VERDICT_WORDS[row.verdict],
        )
        for row in rows
    ]  # fmt: skip
    bold = {(nth, column) for nth in range(len(rows)) for column in (0, 6)}
    bold |= {(nth, 8) for nth, row in enumerate(rows) if row.verdict is not Verdict.IN}
    paper.rows_of(HEADINGS, body, SHARES, high=HIGH, bold=bold)


def _closing(paper: Paper, sheet: Sheet) -> None:
    said = [(one.name, one.says) for one in sheet.lines]
    said.append(("Remarks", sheet.remarks or ("none" if sheet.signed_at else "")))
    said.append(("Next check", sheet.next_check))
    said += [("Amended", amendment) for amendment in sheet.amendments]
    said = [(name, text) for name, text in said if text]
    signed_ = (
        f"{sheet.signed_by}, {sheet.signed_at:%Y-%m-%d %H:%M} UTC"
        if sheet.signed_at
        else "________________________"
    )
    high = sum(paper.named(name, text, dry=True) + 1.2 for name, text in said)
    high += paper.named("Signed", signed_, size=10, bold=True, dry=True)
    high += paper.para(CAUTION, 7.4, colour=SOFT, dry=True) + 2 * MM
    paper.room_for(min(high, 200 * MM))
    for name, text in said:
        paper.named(name, text)
        paper.gap(1.2)
    paper.gap()
    paper.named("Signed", signed_, size=10, bold=True)
    paper.para(CAUTION, 7.4, colour=SOFT)

"""`plimb shim`: the sum of one valve."""

import json
from collections.abc import Sequence
from typing import Any

import click

from plimb.cli.root import json_option, main
from plimb.core.lengths import Unit, parse_length, show, to_float
from plimb.core.measure.printed import parse_spec
from plimb.core.measure.shorthand import parse_reading
from plimb.core.measure.uncertainty import SURE
from plimb.core.shim.family import COMMON_KIT, Family, parse_run
from plimb.core.shim.sum import Aim, Outcome, Rounding, SizePolicy, WorkedOut, work_out
from plimb.core.shim.worksheet import worksheet
from plimb.core.words import Units


@main.command()
@click.option("--gap", required=True, help="As found: 0.12, 15, 13-15, 0.13..0.15, none<0.03.")
@click.option("--shim", "shim_text", required=True, help="Thickness of the shim that is in.")
@click.option("--spec", "spec_text", required=True, help="As printed: 0.14-0.18, 0.13+-0.03.")
@click.option("--room", default="", help="How much more or less is allowed, for one figure.")
@click.option("--aim", default="loose", help="loose, middle, tight, least, or a gap like 0.16.")
@click.option("--run", "runs", multiple=True, help="Sizes that can be had: 1.20-3.50/0.05.")
@click.option(
    "--round", "rounding", type=click.Choice(["nearest", "thinner", "thicker"]), default="nearest"
)
@click.option("--unit", type=click.Choice(["mm", "in"]), default="mm")
@click.option("--shim-unit", type=click.Choice(["mm", "in"]), default=None, help="As --unit.")
@json_option
def shim(
    gap: str,
    shim_text: str,
    spec_text: str,
    room: str,
    aim: str,
    runs: tuple[str, ...],
    rounding: str,
    unit: str,
    shim_unit: str | None,
    as_json: bool,
) -> None:
    """Work out the shim for one valve."""
    in_unit, of_shims = Unit(unit), Unit(shim_unit or unit)
    reading = parse_reading(gap, in_unit, zero_is_number=True)
    family = Family(runs=tuple(parse_run(text, of_shims) for text in runs)) if runs else COMMON_KIT
    worked = work_out(
        reading.gap,
        parse_length(shim_text, of_shims, field="shim"),
        parse_spec(spec_text, in_unit, room),
        family.sizes(),
        SizePolicy(aim=_aim(aim, in_unit), rounding=Rounding(rounding), first=SURE),
    )
    lines = worksheet(worked, Units(gap=of_shims, shim=of_shims))
    if of_shims is not in_unit:
        lines = (*lines, *_in_gap_unit(worked, in_unit))
    if not runs:
        lines = (*lines, "No run given: sizes of a common kit, 1.20 to 3.50 mm by 0.05.")
    if as_json:
        click.echo(json.dumps(_as_json(worked, in_unit, of_shims, lines), ensure_ascii=False))
    else:
        click.echo("\n".join((f"Read as: {reading.words(in_unit)}.", *lines)))


def _aim(text: str, unit: Unit) -> Aim | int:
    named = {aim.value: aim for aim in Aim if aim is not Aim.MAKER}
    return named[text] if text in named else parse_length(text, unit, field="aim")


def _in_gap_unit(worked: WorkedOut, unit: Unit) -> list[str]:
    """Return what the sum gives in the unit that gaps are read in."""
    pick = worked.pick
    after = "" if pick is None else f", after fitting {show(pick.gap_nm, unit)}"
    before = show(worked.gap.high_nm, unit) if worked.gap.none_found else worked.gap.words(unit)
    return [f"In {unit.of_gaps}: gap {before}{after}; spec {worked.limits.words(unit)}."]


def _as_json(worked: WorkedOut, unit: Unit, shims: Unit, lines: Sequence[str]) -> dict[str, Any]:
    def number(nm: int | None) -> float | None:
        return None if nm is None else to_float(nm, shims)

    def fitted(choice: Outcome | None) -> dict[str, Any] | None:
        if choice is None:
            return None
        return {
            "thickness": number(choice.thickness_nm),
            "gap": to_float(choice.gap_nm, unit),
            "in_spec": choice.in_spec,
            "chance": round(choice.chance, 4),
        }

    endless = worked.gap.open_ended
    stack = [number(worked.stack_low_nm), None if endless else number(worked.stack_high_nm)]
    return {
        "stack": stack[1] if worked.gap.is_point else stack,
        "window": worked.window and [number(worked.window.thin_nm), number(worked.window.thick_nm)],
        "ideal": number(worked.ideal_nm),
        "thinner": fitted(worked.thinner),
        "thicker": fitted(worked.thicker),
        "pick": fitted(worked.pick),
        "provisional": worked.provisional,
        "at_most": number(worked.at_most_nm),
        "working": "\n".join(lines),
        "gap_unit": unit.value,
        "shim_unit": shims.value,
    }

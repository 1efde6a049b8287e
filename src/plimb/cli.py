"""The command line: `plimb serve`, `demo`, `shim`, `plan`, `turn`."""

from __future__ import annotations

import json
import sys
from collections.abc import Sequence
from fractions import Fraction
from pathlib import Path
from typing import Any, NoReturn

import click

from plimb import __version__
from plimb.core.errors import BadValue, PlimbError
from plimb.core.family import COMMON_KIT, Family, parse_run
from plimb.core.lengths import Unit, parse_length, to_float
from plimb.core.limits import Spec, parse_limits
from plimb.core.shim import Aim, Fitted, Rounding, School, WorkedOut, work_out
from plimb.core.shorthand import parse_reading
from plimb.core.turning import COMFORT
from plimb.core.working import working

DEFAULT_PORT = 8017


class _Commands(click.Group):
    """A group in which every refusal is one sentence on standard error and exit code 2."""

    def main(self, *args: Any, **kwargs: Any) -> NoReturn:
        try:
            super().main(*args, **{**kwargs, "standalone_mode": False})
        except PlimbError as refusal:
            _refuse(refusal.sentence)
        except click.exceptions.NoArgsIsHelpError as help_:
            click.echo(help_.format_message())
            sys.exit(0)
        except click.ClickException as refusal:
            _refuse(" ".join(refusal.format_message().split()))
        except click.Abort:
            _refuse("Stopped.")
        sys.exit(0)


def _refuse(sentence: str) -> NoReturn:
    click.echo(f"plimb: {sentence}", err=True)
    sys.exit(2)


@click.group(cls=_Commands)
@click.version_option(__version__, prog_name="plimb")
def main() -> None:
    """Check and set valve clearances: the sums, the record, the bench screen."""


@main.command()
@click.option("--gap", required=True, help="As found: 0.12, 15, 13-15, 0.13..0.15, none<0.03.")
@click.option("--shim", "shim_text", required=True, help="Thickness of the shim that is in.")
@click.option("--spec", "spec_text", required=True, help="Allowed gap: 0.14-0.18.")
@click.option("--aim", default="loose", help="loose, middle, tight, least, or a gap like 0.16.")
@click.option("--run", "runs", multiple=True, help="Sizes that can be had: 1.20-3.50/0.05.")
@click.option(
    "--round", "rounding", type=click.Choice(["nearest", "thinner", "thicker"]), default="nearest"
)
@click.option("--unit", type=click.Choice(["mm", "in"]), default="mm")
@click.option("--json", "as_json", is_flag=True, help="Answer as JSON.")
def shim(
    gap: str,
    shim_text: str,
    spec_text: str,
    aim: str,
    runs: tuple[str, ...],
    rounding: str,
    unit: str,
    as_json: bool,
) -> None:
    """Work out the shim for one valve."""
    in_unit = Unit(unit)
    reading = parse_reading(gap, in_unit, zero_is_number=True)
    family = Family(runs=tuple(parse_run(text, in_unit) for text in runs)) if runs else COMMON_KIT
    worked = work_out(
        reading.gap,
        parse_length(shim_text, in_unit, field="shim"),
        Spec(check=parse_limits(spec_text, in_unit)),
        family.sizes(),
        School(aim=_aim(aim, in_unit), rounding=Rounding(rounding)),
    )
    lines = working(worked, in_unit)
    if not runs:
        lines = (*lines, "No run given: sizes of a common kit, 1.20 to 3.50 mm by 0.05.")
    if as_json:
        click.echo(json.dumps(_as_json(worked, in_unit, lines), ensure_ascii=False))
    else:
        click.echo("\n".join((f"Read as: {reading.words(in_unit)}.", *lines)))


def _aim(text: str, unit: Unit) -> Aim | int:
    named = {aim.value: aim for aim in Aim if aim is not Aim.MAKER}
    return named[text] if text in named else parse_length(text, unit, field="aim")


def _as_json(worked: WorkedOut, unit: Unit, lines: Sequence[str]) -> dict[str, Any]:
    def number(nm: int | None) -> float | None:
        return None if nm is None else to_float(nm, unit)

    def fitted(choice: Fitted | None) -> dict[str, Any] | None:
        if choice is None:
            return None
        return {
            "thickness": number(choice.thickness_nm),
            "gap": number(choice.gap_nm),
            "in_spec": choice.in_spec,
            "chance": round(choice.chance, 4),
        }

    stack = [number(worked.stack_low_nm), number(worked.stack_high_nm)]
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
    }


@main.command()
@click.argument("file", type=click.Path(path_type=Path, dir_okay=False))
@click.option("--method", type=click.Choice(["marks", "lobe"]), default="marks")
@click.option("--json", "as_json", is_flag=True, help="Answer as JSON.")
def turn(file: Path, method: str, as_json: bool) -> None:
    """Say where to turn the crank to, for the engine in FILE (an engine or a card file)."""
    from plimb.core.turning import Method, plan_turning
    from plimb.files.engine_file import read_engine

    read = read_engine(_text_of(file))
    plan = plan_turning(read.to_core(), read.timing(), Method(method))
    if as_json:
        stops = [
            {
                "crank_degrees": _plain(stop.degrees),
                "mark": stop.mark,
                "valves": list(stop.valves),
                "margin": _plain(stop.margin),
            }
            for stop in plan.stops
        ]
        click.echo(json.dumps({"stops": stops, "turning_degrees": _plain(plan.turning)}))
        return
    for number, stop in enumerate(plan.stops, 1):
        place = f"mark {stop.mark}" if stop.mark else "no mark, go by the lobes"
        click.echo(f"Stop {number}: {_plain(stop.degrees)}°, {place}.")
        click.echo(f"  Measure {', '.join(stop.valves)}.")
        if stop.margin < COMFORT:
            click.echo(f"  Just {_plain(stop.margin)}° from being lifted: stop exactly.")
    click.echo(f"Turning from the first stop to the last: {_plain(plan.turning)}°.")


@main.command()
@click.argument("file", type=click.Path(path_type=Path, dir_okay=False))
@click.option("--json", "as_json", is_flag=True, help="Answer as JSON.")
def plan(file: Path, as_json: bool) -> None:
    """Decide the whole engine on the card in FILE: which shim goes where, and what to buy."""
    from plimb.core.plan import plan_engine
    from plimb.core.sureness import percent
    from plimb.files.card_file import plan_as_json, read_card

    card = read_card(_text_of(file))
    asked = card.asked()
    answer = plan_as_json(asked, plan_engine(asked), card.unit)
    if as_json:
        click.echo(json.dumps(answer, ensure_ascii=False))
        return
    for line in answer["valves"]:
        click.echo(f"{line['valve']}: {line['why']}")
    out = ", ".join(answer["camshafts_out"]) or "none"
    click.echo(f"Camshafts out: {out}.")
    bought = ", ".join(f"{one['count']} × {one['thickness']:.3f}" for one in answer["order"])
    click.echo(f"To buy: {bought or 'nothing'}; cost {answer['cost']:.2f}.")
    if any(line["provisional"] for line in answer["valves"]):
        click.echo("A piece fitted for now comes first; whether all passes shows after that.")
    elif not answer["cannot"] and answer["chance"] < 1:
        click.echo(f"All of it passes the proof with a chance of {percent(answer['chance'])}.")


def _text_of(file: Path) -> str:
    try:
        return file.read_text("utf-8")
    except (OSError, UnicodeDecodeError):
        raise BadValue(f"FILE {file} cannot be read.", field="FILE") from None


def _plain(degrees: Fraction) -> int | float:
    """Return degrees as a whole number where they are one."""
    return int(degrees) if degrees.denominator == 1 else float(degrees)


_database = click.option(
    "--database",
    type=click.Path(path_type=Path, dir_okay=False),
    default=None,
    help="SQLite file; by default the shop's own, in this user's data folder.",
)
_port = click.option(
    "--port", type=click.IntRange(1, 65535), envvar="PLIMB_PORT", default=DEFAULT_PORT
)
_host = click.option("--host", default="127.0.0.1")
_json = click.option("--json", "as_json", is_flag=True, help="Say where it serves as JSON.")


@main.command()
@_database
@_host
@_port
@_json
@click.option("--counter", default=None, help="Address of a parts counter to order from.")
def serve(database: Path | None, host: str, port: int, as_json: bool, counter: str | None) -> None:
    """Serve the shop's own record."""
    from plimb.web.serving import run_server, shop_database

    run_server(
        database or shop_database("shop"), host=host, port=port, as_json=as_json, counter=counter
    )


@main.command()
@_database
@_host
@_port
@_json
@click.option("--fresh", is_flag=True, help="Throw the demo's record away and load it anew.")
def demo(database: Path | None, host: str, port: int, as_json: bool, fresh: bool) -> None:
    """Serve the Ostrel Hill Climb School, a made-up shop to try things on."""
    from plimb.demo.load import load_demo
    from plimb.web.serving import run_server, shop_database

    path = database or shop_database("demo")
    load_demo(path, fresh=fresh)
    run_server(path, host=host, port=port, as_json=as_json, standins=True)


if __name__ == "__main__":
    main()

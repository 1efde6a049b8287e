"""The command line: the sums of one valve and one engine, serving, files, safe copies."""

from __future__ import annotations

import json
import sys
from collections.abc import Sequence
from fractions import Fraction
from pathlib import Path
from typing import TYPE_CHECKING, Any, NoReturn

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

if TYPE_CHECKING:
    from plimb.store.database import Database

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


@main.command()
@_database
@click.option("--card", "cards", type=int, multiple=True, help="Just this card; several if given.")
@click.option("--what", type=click.Choice(["card", "csv", "pdf", "shop"]), default=None)
@click.option("--out", type=click.Path(path_type=Path), default=None, help="File, or folder.")
@_json
def export(
    database: Path | None,
    cards: tuple[int, ...],
    what: str | None,
    out: Path | None,
    as_json: bool,
) -> None:
    """Write cards (as JSON, CSV or PDF) or the whole shop into open files."""
    from plimb.actions.sheet import read_sheet
    from plimb.actions.transfer import export_card, readings_csv
    from plimb.actions.whole_shop import export_shop
    from plimb.files.sheet_pdf import sheet_pdf

    record = _open(database)
    kind = what or ("card" if cards else "shop")
    written = []
    try:
        with record.reading() as session:
            if kind == "shop":
                made = {"shop.json": export_shop(session).encode()}
            else:
                if not cards:
                    raise BadValue("card: say which, like --card 3.", field="card")
                made = {}
                for n in cards:
                    if kind == "card":
                        made[f"card-{n}.json"] = export_card(session, n).encode()
                    elif kind == "csv":
                        made[f"card-{n}.csv"] = readings_csv(session, n).encode()
                    else:
                        made[f"card-{n}.pdf"] = sheet_pdf(read_sheet(session, n))
        written = [_write(name, text, out, len(made)) for name, text in made.items()]
    finally:
        record.close()
    if as_json:
        click.echo(json.dumps({"written": [str(path) for path in written]}))
    elif str(out) != "-":
        click.echo("\n".join(f"Wrote {path}." for path in written))


def _write(name: str, text: bytes, out: Path | None, many: int) -> Path:
    if out is not None and str(out) == "-" and many == 1:
        sys.stdout.buffer.write(text)
        return out
    path = Path(name) if out is None else out / name if out.is_dir() or many > 1 else out
    try:
        path.parent.mkdir(parents=True, exist_ok=True)
        path.write_bytes(text)
    except OSError as error:
        raise BadValue(f"out {path} cannot be written ({error.strerror}).", field="out") from None
    return path


@main.command(name="import")
@click.argument("files", nargs=-1, required=True, type=click.Path(path_type=Path, dir_okay=False))
@_database
@_json
def import_(files: tuple[Path, ...], database: Path | None, as_json: bool) -> None:
    """Take card files, or one whole shop's file, into the record."""
    from plimb.actions.transfer import import_card
    from plimb.actions.whole_shop import SHOP_FORMAT, import_shop
    from plimb.web.application import utc_now

    texts = {file: _text_of(file) for file in files}
    record = _open(database, make=True)
    numbers = []
    try:
        for text in texts.values():
            if f'"{SHOP_FORMAT}"' in text[:200]:
                import_shop(record, text)
            else:
                numbers.append(import_card(record, text, now=utc_now()))
    finally:
        record.close()
    if as_json:
        click.echo(json.dumps({"cards": numbers}))
    else:
        click.echo(f"Took in {', '.join(f'card {n}' for n in numbers) or 'the whole shop'}.")


@main.command()
@click.argument("file", type=click.Path(path_type=Path, dir_okay=False))
@_database
@_json
def backup(file: Path, database: Path | None, as_json: bool) -> None:
    """Write a consistent copy of the record to FILE, also while it is in use."""
    from plimb.actions.whole_shop import back_up
    from plimb.web.serving import shop_database

    back_up(database or shop_database("shop"), file)
    click.echo(json.dumps({"copy": str(file)}) if as_json else f"Copied to {file}.")


@main.command()
@click.argument("file", type=click.Path(path_type=Path, dir_okay=False))
@_database
@_json
def restore(file: Path, database: Path | None, as_json: bool) -> None:
    """Put the copy in FILE in the record's place; the record before is laid aside."""
    from plimb.actions.whole_shop import restore as put_back
    from plimb.web.serving import shop_database

    aside = put_back(file, database or shop_database("shop"))
    if as_json:
        click.echo(json.dumps({"aside": None if aside is None else str(aside)}))
    else:
        click.echo(f"Restored from {file}." + (f" The record before: {aside}." if aside else ""))


def _open(database: Path | None, *, make: bool = False) -> Database:
    """Return the record, which must be there unless it may be made."""
    from plimb.store.database import Database
    from plimb.web.serving import shop_database

    path = database or shop_database("shop")
    if not make and not path.exists():
        raise BadValue(f"record {path} is not there; say which with --database.", field="database")
    return Database(path)


if __name__ == "__main__":
    main()

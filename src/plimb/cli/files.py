"""`plimb export`, `import`, `backup` and `restore`: files and safe copies, without the web."""

import json
import sys
from pathlib import Path

import click

from plimb.books import backup as safe
from plimb.books.checking import check_record
from plimb.books.whole_shop import SHOP_FORMAT, export_shop, import_shop
from plimb.card.sealing import printed_sheet
from plimb.card.transfer import export_card, import_card, readings_csv
from plimb.card.years import history_json
from plimb.cli.root import database_option, file_argument, json_option, main, text_of
from plimb.core.errors import BadValue
from plimb.record.database import Database, record_path
from plimb.shop.clock import utc_now


@main.command()
@database_option
@click.option("--card", "cards", type=int, multiple=True, help="Just this card; several if given.")
@click.option("--what", type=click.Choice(["card", "csv", "pdf", "shop", "history"]), default=None)
@click.option("--engine", type=int, default=None, help="The engine whose history is meant.")
@click.option("--out", type=click.Path(path_type=Path), default=None, help="File, or folder.")
@json_option
def export(
    database: Path | None,
    cards: tuple[int, ...],
    what: str | None,
    engine: int | None,
    out: Path | None,
    as_json: bool,
) -> None:
    """Write cards (as JSON, CSV or PDF), an engine's history or the whole shop into open files."""
    record = _open(database)
    kind = what or ("card" if cards else "history" if engine is not None else "shop")
    written = []
    try:
        with record.reading() as session:
            if kind == "shop":
                made = {"shop.json": export_shop(session).encode()}
            elif kind == "history":
                if engine is None:
                    raise BadValue("engine: say which, like --engine 3.", field="engine")
                made = {f"history-{engine}.json": history_json(session, engine).encode()}
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
                        made[f"card-{n}.pdf"] = printed_sheet(session, n)
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
@database_option
@json_option
def import_(files: tuple[Path, ...], database: Path | None, as_json: bool) -> None:
    """Take card files, or one whole shop's file, into the record."""
    texts = {file: text_of(file) for file in files}
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
@file_argument
@database_option
@json_option
def backup(file: Path, database: Path | None, as_json: bool) -> None:
    """Write a consistent copy of the record to FILE, also while it is in use."""
    safe.back_up(database or record_path("shop"), file)
    click.echo(json.dumps({"copy": str(file)}) if as_json else f"Copied to {file}.")


@main.command()
@file_argument
@database_option
@json_option
def restore(file: Path, database: Path | None, as_json: bool) -> None:
    """Put the copy in FILE in the record's place; the record before is laid aside."""
    aside = safe.restore(file, database or record_path("shop"))
    if as_json:
        click.echo(json.dumps({"aside": None if aside is None else str(aside)}))
    else:
        click.echo(f"Restored from {file}." + (f" The record before: {aside}." if aside else ""))


@main.command()
@database_option
@json_option
def check(database: Path | None, as_json: bool) -> None:
    """Tell the health of the record; ends with 1 where it is not well."""
    record = database or record_path("shop")
    faults = check_record(record)
    if as_json:
        click.echo(json.dumps({"record": str(record), "well": not faults, "faults": faults}))
    else:
        click.echo("\n".join(faults) if faults else f"{record} is well.")
    sys.exit(1 if faults else 0)


def _open(database: Path | None, *, make: bool = False) -> Database:
    """Return the record, which must be there unless it may be made."""
    path = database or record_path("shop")
    if not make and not path.exists():
        raise BadValue(f"record {path} is not there; say which with --database.", field="database")
    return Database(path)

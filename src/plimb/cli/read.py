"""`plimb read`: a reading as the field, or the ear, understands it."""

import json
from pathlib import Path
from typing import Any

import click

from plimb.cli.root import database_option, json_option, main
from plimb.core.errors import BadValue, TwoMeanings
from plimb.core.lengths import Unit, to_float
from plimb.core.measure.blades import BladeSet
from plimb.core.measure.shorthand import Reading, reading_by
from plimb.record.database import Database, record_path
from plimb.record.shop import core_set, list_blade_sets


@main.command()
@click.argument("text")
@click.option("--unit", type=click.Choice(["mm", "in"]), default="mm", help="Of bare figures.")
@click.option("--spoken", is_flag=True, help="It was said aloud, also where it is figures alone.")
@click.option("--set", "called", default=None, help="A feeler set of the shop, by its name.")
@database_option
@json_option
def read(
    text: str, unit: str, spoken: bool, called: str | None, database: Path | None, as_json: bool
) -> None:
    """Say what a reading means, as it is typed or said."""
    in_unit = Unit(unit)
    blades = _set_of(called, database) if called is not None else None
    try:
        reading = reading_by(text, in_unit, blades, spoken=spoken)
    except TwoMeanings as question:
        if as_json:
            click.echo(json.dumps(_as_json(None, in_unit, question), ensure_ascii=False))
        else:
            click.echo(question.sentence)
        return
    if as_json:
        click.echo(json.dumps(_as_json(reading, in_unit, None), ensure_ascii=False))
    else:
        click.echo(f"{reading.words(in_unit)}.")


def _set_of(called: str, database: Path | None) -> BladeSet:
    """Return the shop's feeler set of that name; BadValue where there is none."""
    path = database or record_path("shop")
    if not path.exists():
        raise BadValue(f"set “{called}”: there is no record at {path}.", field="set")
    opened = Database(path)
    try:
        with opened.reading() as session:
            sets = {row.name: core_set(row) for row in list_blade_sets(session)}
    finally:
        opened.close()
    if called not in sets:
        known = ", ".join(sets) or "none"
        raise BadValue(f"set “{called}” is not in the shop; it has: {known}.", field="set")
    return sets[called]


def _as_json(reading: Reading | None, unit: Unit, question: TwoMeanings | None) -> dict[str, Any]:
    """Return what was understood, lengths in mm; nothing of what is asked about."""

    def lengths(blades: tuple[int, ...] | None) -> list[float] | None:
        return [to_float(nm, Unit.MM) for nm in blades] if blades else None

    called_nm = reading.called_nm if reading else None
    return {
        "goes": lengths(reading.goes) if reading else None,
        "refuses": lengths(reading.refuses) if reading else None,
        "feel": reading.feel.value if reading and reading.feel else None,
        "called": None if called_nm is None else to_float(called_nm, Unit.MM),
        "guess": reading.guess if reading else False,
        "words": reading.words(unit) if reading else "",
        "asks": question.sentence if question else None,
        "offers": list(question.offers) if question else [],
    }

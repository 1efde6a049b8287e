"""`plimb turn`, `plimb plan` and `plimb forecast`: the sums of a whole engine."""

import json
from fractions import Fraction
from pathlib import Path

import click

from plimb.cli.root import file_argument, json_option, main, text_of
from plimb.core.engine.turning import COMFORT, Method, plan_turning
from plimb.core.plan.search import plan_engine
from plimb.core.wear.forecast import forecast as wear
from plimb.core.wear.sentences import next_check_words, valve_words
from plimb.core.wear.stack import runs_backwards
from plimb.core.words import percent
from plimb.files.card_file import plan_as_json, read_card
from plimb.files.engine_file import read_engine
from plimb.files.history_file import forecast_as_json, read_history_file


@main.command()
@file_argument
@click.option("--method", type=click.Choice(["marks", "lobe"]), default="marks")
@json_option
def turn(file: Path, method: str, as_json: bool) -> None:
    """Say where to turn the crank to, for the engine in FILE (an engine or a card file)."""
    read = read_engine(text_of(file))
    plan = plan_turning(read.to_core(), read.timing, Method(method))
    if as_json:
        stops = [
            {
                "crank_degrees": None if stop.degrees is None else _plain(stop.degrees),
                "mark": stop.mark,
                "valves": list(stop.valves),
                "margin": None if stop.margin is None else _plain(stop.margin),
            }
            for stop in plan.stops
        ]
        click.echo(json.dumps({"stops": stops, "turning_degrees": _plain(plan.turning)}))
        return
    for number, stop in enumerate(plan.stops, 1):
        place = f"mark {stop.mark}" if stop.mark else "no mark, go by the lobes"
        at = "" if stop.degrees is None else f"{_plain(stop.degrees)}°, "
        click.echo(f"Position {number}: {at}{place}.")
        click.echo(f"  Measure {', '.join(stop.valves)}.")
        if stop.margin is not None and stop.margin < COMFORT:
            click.echo(
                f"  Only {_plain(stop.margin)}° of room either way: stop exactly on the mark."
            )
    click.echo(f"Turning from the first position to the last: {_plain(plan.turning)}°.")


@main.command()
@file_argument
@json_option
def plan(file: Path, as_json: bool) -> None:
    """Decide the whole engine on the card in FILE: which shim goes where, and what to buy."""
    card = read_card(text_of(file))
    request = card.plan_request()
    answer = plan_as_json(request, plan_engine(request), card.unit, card.of_shims)
    if as_json:
        click.echo(json.dumps(answer, ensure_ascii=False))
        return
    for line in answer["valves"]:
        click.echo(f"{line['valve']}: {line['why']}")
    out = ", ".join(answer["camshafts_out"]) or "none"
    click.echo(f"Camshafts out: {out}.")
    bought = ", ".join(f"{line['count']} × {line['thickness']:.3f}" for line in answer["order"])
    click.echo(f"To buy: {bought or 'nothing'}; cost {answer['cost']:.2f}.")
    if any(line["provisional"] for line in answer["valves"]):
        click.echo("A shim fitted for now comes first; whether all passes shows after that.")
    elif not answer["cannot"] and answer["chance"] < 1:
        click.echo(f"All of it passes the proof with a chance of {percent(answer['chance'])}.")


@main.command()
@file_argument
@json_option
def forecast(file: Path, as_json: bool) -> None:
    """Say how fast each valve wears and when to check, for the past in FILE (a history file)."""
    read = read_history_file(text_of(file))
    engine = read.to_core()
    seen = wear(engine.clearances, read.past(), read.machine.interval)
    if as_json:
        answer = forecast_as_json(seen, read.measure, read.unit)
        click.echo(json.dumps(answer, ensure_ascii=False))
        return
    for valve in seen.valves:
        click.echo(valve_words(valve, read.measure, read.unit))
    if runs_backwards(read.past()):
        click.echo("The counter ran backwards once: what came before it is left out.")
    click.echo(next_check_words(seen.next_check, read.measure))


def _plain(degrees: Fraction) -> int | float:
    """Return degrees as a whole number where they are one."""
    return int(degrees) if degrees.denominator == 1 else float(degrees)

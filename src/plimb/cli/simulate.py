"""`plimb simulate`: whole jobs on simulated engines whose truth nobody sees until afterwards."""

import json
from dataclasses import asdict
from typing import Any

import click

from plimb.cli.root import json_option, main
from plimb.core.errors import BadValue
from plimb.core.plan.needs import WhichToSet
from plimb.core.shim.sum import Aim, Rounding
from plimb.standins.simulated import World, calliper
from plimb.trials.hand import Way
from plimb.trials.report import Report, report

STEPS = ("0.01", "0.02", "0.025", "0.04", "0.05")
ADVICE = ("finer", "measured", "of_three", "opens_too", "one_of_each")


@main.command()
@click.option("--jobs", type=click.IntRange(1, 100_000), default=20, help="How many engines.")
@click.option("--seed", type=click.IntRange(0, 1_000_000), default=1, help="Which ones.")
@click.option("--step", type=click.Choice(STEPS), default="0.05", help="Between sizes, in mm.")
@click.option("--policy", default="{}", help='JSON like {"aim": "middle", "finer": true}.')
@click.option("--calliper", "with_calliper", is_flag=True, help="Shims measured with a calliper.")
@click.option("--workers", type=click.IntRange(1, 64), default=1, help="Processes to share it.")
@json_option
def simulate(
    jobs: int,
    seed: int,
    step: str,
    policy: str,
    with_calliper: bool,
    workers: int,
    as_json: bool,
) -> None:
    """Work simulated engines as the screen says, and tell what is true in them afterwards."""
    world = calliper(World()) if with_calliper else World()
    found = report(jobs, seed, _way(policy), step, world, workers)
    if as_json:
        click.echo(json.dumps({"seed": seed, "step": float(step), **asdict(found)}))
        return
    click.echo("\n".join(_lines(found)))


def _lines(found: Report) -> list[str]:
    def share(of: float) -> str:
        return f"{100 * of:.1f} %"

    return [
        f"{found.jobs} engines, truly in range after the first round: {share(found.right)}.",
        f"Of those in which every valve had a gap, {share(found.felt)} of them: "
        f"{share(found.felt_right)}.",
        f"A careful person with paper: {share(found.paper)}; the best that could be chosen: "
        f"{share(found.best)}.",
        f"A job: {found.rounds:.2f} rounds, {found.bought:.2f} shims bought, {found.changed:.2f} "
        f"changed in the first round, {found.wrongly:.2f} of them truly in range before.",
        f"{found.tries:.0f} blades tried, {found.minutes:.0f} minutes of a modelled hand.",
    ]


def _way(text: str) -> Way:
    """Return how a shop works, as written in JSON.

    Raises:
        BadValue: It is no JSON, or a name or a value is not known.
    """
    try:
        said = json.loads(text)
    except ValueError:
        said = None
    if not isinstance(said, dict):
        raise BadValue('policy is no JSON object; write it like {"aim": "middle"}.', field="policy")
    kinds: dict[str, Any] = {"aim": Aim, "round": Rounding, "act": WhichToSet}
    names = {"round": "rounding", "act": "which"}
    taken: dict[str, Any] = {}
    for name, value in dict[str, Any](said).items():
        if (name in ADVICE and isinstance(value, bool)) or (
            name == "shaft_cost" and isinstance(value, str)
        ):
            taken[name] = value
        elif name in kinds and value in [choice.value for choice in kinds[name]]:
            taken[names.get(name) or name] = kinds[name](value)
        else:
            raise BadValue(
                f"policy: “{name}” cannot be {json.dumps(value)}; known are aim, round, act as in "
                f"a card file, shaft_cost as typed, and {', '.join(ADVICE)}, true or false.",
                field="policy",
            )
    return Way(**taken)

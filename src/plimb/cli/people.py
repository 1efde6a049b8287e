"""`plimb people`: who works here, set up where no screen is."""

import json
import sys
from pathlib import Path

import click

from plimb.cli.root import database_option, json_option, main
from plimb.record.database import Database, record_path
from plimb.record.people import PersonRole
from plimb.shop import people
from plimb.shop.clock import utc_now


@main.group(name="people", invoke_without_command=True)
@database_option
@json_option
@click.pass_context
def people_group(context: click.Context, database: Path | None, as_json: bool) -> None:
    """Say who works here; `add`, `code`, `gone` and `back` change it."""
    record = Database(database or record_path("shop"))
    context.call_on_close(record.close)
    context.obj = record
    if context.invoked_subcommand:
        return
    found = people.read_people(record)
    if as_json:
        said = [
            {
                "name": person.name,
                "role": person.role,
                "code": person.has_code,
                "left": bool(person.left_at),
            }
            for person in found
        ]
        click.echo(json.dumps({"people": said}, ensure_ascii=False))
    for person in () if as_json else found:
        more = ", has left" if person.left_at else "" if person.has_code else ", no code yet"
        click.echo(f"{person.name}: {person.role}{more}")
    if not found and not as_json:
        click.echo("Nobody is set up: plimb people add NAME --owner.")


def _typed_code() -> str:
    """Return a code as typed, twice at a terminal, else one line of standard input."""
    if not sys.stdin.isatty():
        return sys.stdin.readline().rstrip("\n")
    code: str = click.prompt("Code", hide_input=True, confirmation_prompt=True)
    return code


@people_group.command()
@click.argument("name")
@click.option("--owner", is_flag=True, help="May change settings and people, and restore.")
@click.pass_obj
def add(record: Database, name: str, owner: bool) -> None:
    """Set somebody up; the code is asked for, or read from standard input."""
    role = PersonRole.OWNER if owner else PersonRole.TECHNICIAN
    made = people.add_person(record, name=name, role=role, code=_typed_code(), now=utc_now())
    click.echo(f"{made.name} works here now, as {made.role}.")


@people_group.command()
@click.argument("name")
@click.pass_obj
def code(record: Database, name: str) -> None:
    """Give somebody another code."""
    person = people.person_called(record, name)
    people.change_code(record, person_id=person.id, code=_typed_code(), now=utc_now())
    click.echo(f"{person.name} has another code.")


@people_group.command()
@click.argument("name")
@click.pass_obj
def gone(record: Database, name: str) -> None:
    """Say that somebody works here no more."""
    _let_go(record, name, gone=True)


@people_group.command()
@click.argument("name")
@click.pass_obj
def back(record: Database, name: str) -> None:
    """Say that somebody works here again."""
    _let_go(record, name, gone=False)


def _let_go(record: Database, name: str, *, gone: bool) -> None:
    person = people.person_called(record, name)
    people.set_gone(record, person_id=person.id, gone=gone, now=utc_now())
    click.echo(f"{person.name} {'has left' if gone else 'is back'}.")

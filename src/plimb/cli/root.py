"""The root of the command line: every refusal is one sentence and exit code 2."""

import sys
from importlib import import_module
from pathlib import Path
from typing import Any, NoReturn

import click

from plimb import __version__
from plimb.core.errors import BadValue, PlimbError

DEFAULT_PORT = 8017

COMMANDS = {
    "shim": "shim",
    "turn": "engine",
    "plan": "engine",
    "forecast": "engine",
    "serve": "serve",
    "demo": "serve",
    "export": "files",
    "import": "files",
    "backup": "files",
    "restore": "files",
    "check": "files",
    "service": "service",
    "people": "people",
    "simulate": "simulate",
    "read": "read",
}
"""In which module each command lives; it is loaded when the command is asked for."""


class Commands(click.Group):
    """A group in which every refusal is one sentence on standard error and exit code 2."""

    def list_commands(self, ctx: click.Context) -> list[str]:
        """Return every command's name."""
        return sorted(COMMANDS)

    def get_command(self, ctx: click.Context, cmd_name: str) -> click.Command | None:
        """Return a command, its module loaded."""
        if cmd_name in COMMANDS:
            import_module(f"plimb.cli.{COMMANDS[cmd_name]}")
        return super().get_command(ctx, cmd_name)

    def main(self, *args: Any, **kwargs: Any) -> NoReturn:
        try:
            super().main(*args, **{**kwargs, "standalone_mode": False})
        except PlimbError as refusal:
            refuse(_with_field(refusal))
        except click.exceptions.NoArgsIsHelpError as help_:
            click.echo(help_.format_message())
            sys.exit(0)
        except click.ClickException as refusal:
            refuse(" ".join(refusal.format_message().split()))
        except click.Abort:
            refuse("Stopped.")
        except Exception as fault:
            from plimb.record.database import trouble

            if not (words := trouble(fault)):
                raise
            refuse(words)
        sys.exit(0)


def _with_field(refusal: PlimbError) -> str:
    """Return the sentence of a refusal, its field named in front where the sentence does not."""
    field, sentence = refusal.field, refusal.sentence
    if field is None or not field.isalpha() or field in sentence.lower():
        return sentence
    return f"{field}: {sentence}"


def refuse(sentence: str) -> NoReturn:
    """Say one sentence on standard error and end with code 2."""
    click.echo(f"plimb: {sentence}", err=True)
    sys.exit(2)


@click.group(cls=Commands)
@click.version_option(__version__, prog_name="plimb")
def main() -> None:
    """Check and set valve clearances: the sums, the record, the bench screen."""


def text_of(file: Path) -> str:
    """Return the text of a file; BadValue where it cannot be read."""
    try:
        return file.read_text("utf-8")
    except (OSError, UnicodeDecodeError):
        raise BadValue(f"FILE {file} cannot be read.", field="FILE") from None


database_option = click.option(
    "--database",
    type=click.Path(path_type=Path, dir_okay=False),
    default=None,
    help="SQLite file; by default the shop's own, in this user's data folder.",
)
file_argument = click.argument("file", type=click.Path(path_type=Path, dir_okay=False))
json_option = click.option("--json", "as_json", is_flag=True, help="Answer as JSON.")

"""`plimb service`: print what a small computer needs to serve the record for good."""

import shlex
import sys
from getpass import getuser
from pathlib import Path

import click

from plimb.cli.root import DEFAULT_PORT, database_option, main
from plimb.core.errors import BadValue
from plimb.record.database import record_path

UNIT = """\
[Unit]
Description=Plimb, the bench companion for valve clearances
After=network.target

[Service]
User={user}
ExecStart={program} serve --database {record} --port {port}
Restart=on-failure
RestartSec=5
UMask=0077
NoNewPrivileges=yes
PrivateTmp=yes
ProtectSystem=full

[Install]
WantedBy=multi-user.target
"""


@main.command()
@database_option
@click.option("--port", type=click.IntRange(1, 65535), default=DEFAULT_PORT)
@click.option("--user", default=None, help="Who it runs as; by default whoever asks.")
def service(database: Path | None, port: int, user: str | None) -> None:
    """Print a systemd unit that serves the record from start-up on; docs/running.md says more."""
    program = Path(sys.argv[0]).resolve()
    if not program.exists():
        raise BadValue("service: run it as the installed program, like .venv/bin/plimb service.")
    record = (database or record_path("shop")).resolve()
    click.echo(
        UNIT.format(
            user=user or getuser(), program=quoted(program), record=quoted(record), port=port
        ),
        nl=False,
    )


def quoted(path: Path) -> str:
    """Return a path as a unit file reads it: blanks quoted, per cent signs doubled."""
    return shlex.quote(str(path)).replace("%", "%%")

"""`plimb serve` and `plimb demo`: serve the screens."""

from pathlib import Path

import click

from plimb.cli.root import DEFAULT_PORT, database_option, json_option, main
from plimb.core.errors import BadValue
from plimb.demo.load import load_demo
from plimb.practice.application import beside
from plimb.record.database import record_path
from plimb.web.server.serving import GivenCertificate, run_server

_port = click.option(
    "--port", type=click.IntRange(1, 65535), envvar="PLIMB_PORT", default=DEFAULT_PORT
)
_file = click.Path(path_type=Path, dir_okay=False)
_host = click.option("--host", default="127.0.0.1")


@main.command()
@database_option
@_host
@_port
@json_option
@click.option("--counter", default=None, help="Address of a parts counter to order from.")
@click.option("--certificate", type=_file, default=None, help="One from elsewhere, as PEM.")
@click.option("--key", type=_file, default=None, help="The key of that certificate, as PEM.")
def serve(
    database: Path | None,
    host: str,
    port: int,
    as_json: bool,
    counter: str | None,
    certificate: Path | None,
    key: Path | None,
) -> None:
    """Serve the shop's own record, to other machines only encrypted and with people set up."""
    if (certificate is None) != (key is None):
        raise BadValue("key: a certificate comes with its key; give both or none.", field="key")
    run_server(
        database or record_path("shop"), host=host, port=port, as_json=as_json, counter=counter,
        mounts=beside,
        given=GivenCertificate(certificate=certificate, key=key) if certificate and key else None,
    )  # fmt: skip


@main.command()
@database_option
@_host
@_port
@json_option
@click.option("--fresh", is_flag=True, help="Throw the demo's record away and load it anew.")
def demo(database: Path | None, host: str, port: int, as_json: bool, fresh: bool) -> None:
    """Serve the Ostrel Hill Climb School, a made-up shop to try things on."""
    path = database or record_path("demo")
    load_demo(path, fresh=fresh)
    run_server(path, host=host, port=port, as_json=as_json, standins=True, mounts=beside)

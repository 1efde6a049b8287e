"""The address to open on a phone, and the shop's own authority for it to trust."""

import io

import segno
from apiflask import APIBlueprint
from flask import Response

from plimb.core.errors import NotFound
from plimb.web.tls import fingerprint
from plimb.web.wire.read_off import Answer
from plimb.web.wire.request import bench, file_answer
from plimb.web.wire.rights import before_who

blueprint = APIBlueprint("address", __name__, url_prefix="/api/address")


class AddressOut(Answer):
    """Where Plimb is opened from elsewhere: addresses, a code to photograph, what to trust.

    There is none where only this machine reaches it.
    """

    addresses: list[str]
    code: str
    authority: str


def qr_svg(address: str) -> str:
    """Return an address as a code to photograph, drawn in SVG."""
    out = io.BytesIO()
    segno.make(address, error="m").save(
        out, kind="svg", scale=4, border=3, dark="#000", light="#fff", xmldecl=False, svgns=True
    )
    return out.getvalue().decode()


@blueprint.get("")
@blueprint.output(AddressOut)
def get_address() -> AddressOut:
    """Return where Plimb is opened from elsewhere."""
    at, authority = bench().addresses, bench().authority
    return AddressOut(
        addresses=list(at),
        code=qr_svg(at[0]) if at else "",
        authority=fingerprint(authority) if authority else "",
    )


@blueprint.get("/authority.pem")
@blueprint.doc(hide=True)
@before_who
def get_authority() -> Response:
    """Return the certificate of the shop's authority, for a tablet to install."""
    authority = bench().authority
    if authority is None:
        raise NotFound("This server has no authority of its own.")
    return file_answer(authority.read_bytes(), "application/x-x509-ca-cert", "plimb-authority.pem")

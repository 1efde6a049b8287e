"""A small certificate authority of the shop's own, so that its tablets can trust its server."""

import socket
from contextlib import suppress
from dataclasses import dataclass
from datetime import UTC, datetime, timedelta
from ipaddress import ip_address
from pathlib import Path

from cryptography import x509
from cryptography.hazmat.primitives import hashes
from cryptography.hazmat.primitives.asymmetric import ec
from cryptography.hazmat.primitives.serialization import (
    Encoding,
    NoEncryption,
    PrivateFormat,
    load_pem_private_key,
)
from cryptography.x509.oid import ExtendedKeyUsageOID, NameOID

from plimb.core.errors import BadValue
from plimb.record.keys import write_for_owner

AUTHORITY_DAYS, SERVER_DAYS, RENEWED_BEFORE = 3650, 397, timedelta(days=30)
"""Browsers take a server's certificate of at most 398 days (CA/Browser Forum, from memory)."""


@dataclass(frozen=True, slots=True, kw_only=True)
class Certificate:
    """Where the server's certificate and its key lie; the authority's that a tablet installs."""

    certificate: Path
    key: Path
    authority: Path | None


def own_names(host: str) -> list[str]:
    """Return by which names and addresses this machine is reached, the likeliest first."""
    names = [] if ip_is_any(host) else [host]
    name = socket.gethostname()
    with suppress(OSError), socket.socket(socket.AF_INET, socket.SOCK_DGRAM) as probe:
        probe.connect(("192.0.2.1", 9))  # nothing is sent: the system says which address it is
        names.append(probe.getsockname()[0])
    with suppress(OSError):
        names += [str(found[4][0]) for found in socket.getaddrinfo(name, None, socket.AF_INET)]
    names += [name, *([] if "." in name else [f"{name}.local"]), "localhost", "127.0.0.1"]
    return list(dict.fromkeys(names))


def ip_is_any(host: str) -> bool:
    """Return whether an address stands for all of this machine's."""
    return host in ("0.0.0.0", "::", "")


def own_certificate(record: Path, names: list[str], now: datetime) -> Certificate:
    """Return a certificate for these names, made or renewed where it has to be.

    Args:
        record: The record; authority and certificate lie in a folder beside it.
        names: Host names and addresses.
        now: This moment, in UTC.
    """
    folder = record.with_name(f"{record.stem}-tls")
    folder.mkdir(mode=0o700, exist_ok=True)
    authority, authority_key = _authority(folder, now)
    made = Certificate(
        certificate=folder / "server.pem", key=folder / "server-key.pem",
        authority=folder / "authority.pem",
    )  # fmt: skip
    if not _holds(made, names, now):
        key = ec.generate_private_key(ec.SECP256R1())
        alternative = [_general(name) for name in names]
        certificate = (
            _begun(names[0], authority.subject, key.public_key(), now, SERVER_DAYS)
            .add_extension(x509.SubjectAlternativeName(alternative), critical=False)
            .add_extension(x509.BasicConstraints(ca=False, path_length=None), critical=True)
            .add_extension(x509.ExtendedKeyUsage([ExtendedKeyUsageOID.SERVER_AUTH]), critical=False)
            .add_extension(
                x509.AuthorityKeyIdentifier.from_issuer_public_key(authority_key.public_key()),
                critical=False,
            )
            .sign(authority_key, hashes.SHA256())
        )
        write_for_owner(made.key, _pem(key))
        write_for_owner(made.certificate, certificate.public_bytes(Encoding.PEM))
    return made


def fingerprint(certificate: Path) -> str:
    """Return a certificate's SHA-256 in pairs, as a tablet shows it."""
    return _read(certificate).fingerprint(hashes.SHA256()).hex(":").upper()


def _authority(folder: Path, now: datetime) -> tuple[x509.Certificate, ec.EllipticCurvePrivateKey]:
    place, key_place = folder / "authority.pem", folder / "authority-key.pem"
    if place.exists() and key_place.exists():
        key = load_pem_private_key(key_place.read_bytes(), None)
        certificate = x509.load_pem_x509_certificate(place.read_bytes())
        if isinstance(key, ec.EllipticCurvePrivateKey) and now < certificate.not_valid_after_utc:
            return certificate, key
    key = ec.generate_private_key(ec.SECP256R1())
    name = x509.Name([x509.NameAttribute(NameOID.COMMON_NAME, "Plimb, this shop's own authority")])
    usage = x509.KeyUsage(
        digital_signature=False, content_commitment=False, key_encipherment=False,
        data_encipherment=False, key_agreement=False, key_cert_sign=True, crl_sign=True,
        encipher_only=False, decipher_only=False,
    )  # fmt: skip
    certificate = (
        _begun(None, name, key.public_key(), now, AUTHORITY_DAYS)
        .add_extension(x509.BasicConstraints(ca=True, path_length=0), critical=True)
        .add_extension(usage, critical=True)
        .add_extension(x509.SubjectKeyIdentifier.from_public_key(key.public_key()), critical=False)
        .sign(key, hashes.SHA256())
    )
    write_for_owner(key_place, _pem(key))
    write_for_owner(place, certificate.public_bytes(Encoding.PEM))
    return certificate, key


def _begun(
    called: str | None, issuer: x509.Name, key: ec.EllipticCurvePublicKey, now: datetime, days: int
) -> x509.CertificateBuilder:
    own = issuer if called is None else x509.Name(
        [x509.NameAttribute(NameOID.COMMON_NAME, called[:64])]
    )  # fmt: skip
    return (
        x509.CertificateBuilder()
        .subject_name(own)
        .issuer_name(issuer)
        .public_key(key)
        .serial_number(x509.random_serial_number())
        .not_valid_before(now - timedelta(days=1))
        .not_valid_after(now + timedelta(days=days))
    )


def _holds(made: Certificate, names: list[str], now: datetime) -> bool:
    """Return whether a certificate is for these names and good for a while yet."""
    if not (made.certificate.exists() and made.key.exists() and made.authority):
        return False
    read = _read(made.certificate)
    authority = x509.load_pem_x509_certificate(made.authority.read_bytes())
    try:
        read.verify_directly_issued_by(authority)
    except Exception:  # another authority's, or not its signature
        return False
    return (
        set(names) <= set(names_in(made.certificate))
        and now + RENEWED_BEFORE < read.not_valid_after_utc
    )


def names_in(certificate: Path) -> tuple[str, ...]:
    """Return the names and addresses that a certificate is for; BadValue where it is none."""
    extensions = _read(certificate).extensions
    try:
        found = extensions.get_extension_for_class(x509.SubjectAlternativeName).value
    except x509.ExtensionNotFound:
        return ()
    addresses = map(str, found.get_values_for_type(x509.IPAddress))
    return (*found.get_values_for_type(x509.DNSName), *addresses)


def _read(certificate: Path) -> x509.Certificate:
    try:
        return x509.load_pem_x509_certificate(certificate.read_bytes())
    except ValueError:
        raise BadValue(f"certificate: {certificate.name} cannot be read; give one as PEM.",
                       field="certificate") from None  # fmt: skip


def _general(name: str) -> x509.GeneralName:
    try:
        return x509.IPAddress(ip_address(name))
    except ValueError:
        return x509.DNSName(name)


def _pem(key: ec.EllipticCurvePrivateKey) -> bytes:
    return key.private_bytes(Encoding.PEM, PrivateFormat.PKCS8, NoEncryption())


def utc() -> datetime:
    """Return this moment in UTC, as certificates count it."""
    return datetime.now(UTC)

"""Reached from the kitchen's own network: addresses, a certificate made here, a QR code to scan.

`python -m ops.lan FOLDER PORT` runs inside the Python environment, where its libraries are, and
answers as JSON. The certificate is signed by an authority of this machine's own, which a tablet may
be told to trust; it vouches for private addresses and this machine's name, and for nothing else.
"""

import argparse
import io
import ipaddress
import json
import os
import socket
from dataclasses import asdict, dataclass
from datetime import UTC, datetime, timedelta
from pathlib import Path

import ifaddr
import segno
from cryptography import x509
from cryptography.exceptions import InvalidSignature
from cryptography.hazmat.primitives import hashes, serialization
from cryptography.hazmat.primitives.asymmetric import ec
from cryptography.x509.oid import ExtendedKeyUsageOID, NameOID

AUTHORITY_DAYS, LEAF_DAYS, RENEWED_BEFORE_DAYS = 3650, 397, 30
PRIVATE = tuple(
    ipaddress.ip_network(network)
    for network in (
        "10.0.0.0/8",
        "172.16.0.0/12",
        "192.168.0.0/16",
        "169.254.0.0/16",
        "100.64.0.0/10",
    )
)
LOOPBACK = ipaddress.ip_network("127.0.0.0/8")

Address = ipaddress.IPv4Address


@dataclass(frozen=True)
class Reached:
    """How this machine is reached: hosts it answers to, its certificate, what to open, as QR."""

    hosts: list[str]
    cert: str
    key: str
    authority: str
    urls: list[str]
    qr: str


def addresses() -> list[Address]:
    """Private IPv4 addresses of this machine, loopback aside."""
    found = {
        ipaddress.IPv4Address(one.ip)
        for adapter in ifaddr.get_adapters()
        for one in adapter.ips
        if isinstance(one.ip, str)
    }
    return sorted(one for one in found if any(one in network for network in PRIVATE))


def names() -> list[str]:
    """What this machine is called, alone and in a network without a name server."""
    host = socket.gethostname().split(".")[0].lower() or "localhost"
    return [host, f"{host}.local", "localhost"]


def own(folder: Path, port: int) -> Reached:
    """A certificate of our own for the names and addresses of now; renewed where they changed."""
    folder.mkdir(mode=0o700, parents=True, exist_ok=True)
    hosts, at = names(), [*addresses(), Address("127.0.0.1")]
    authority, leaf = folder / "authority.pem", folder / "cert.pem"
    key = folder / "key.pem"
    signing = folder / "authority.key.pem"
    if not _stands(authority) or not signing.exists() or not _vouches(authority, hosts):
        _authority(folder)
    if not _stands(leaf) or not key.exists() or not _covers(leaf, hosts, at, authority):
        _leaf(folder, hosts, at)
    urls = [f"https://{one}:{port}" for one in [*at[:-1], hosts[1]]]
    return Reached([*hosts, *map(str, at)], str(leaf), str(key), str(authority), urls, _qr(urls))


def brought(cert: Path, key: Path, port: int) -> Reached:
    """A certificate somebody brought; ValueError where it cannot serve."""
    try:
        leaf = x509.load_pem_x509_certificate(cert.read_bytes())
        private = serialization.load_pem_private_key(key.read_bytes(), None)
    except (OSError, ValueError, TypeError) as error:
        raise ValueError(f"--cert and --key: {error}") from None
    if private.public_key() != leaf.public_key():
        raise ValueError(f"--key {key} does not belong to --cert {cert}.")
    if leaf.not_valid_after_utc < datetime.now(UTC):
        raise ValueError(f"--cert {cert} expired on {leaf.not_valid_after_utc:%Y-%m-%d}.")
    try:
        said = leaf.extensions.get_extension_for_class(x509.SubjectAlternativeName).value
    except x509.ExtensionNotFound:
        raise ValueError(f"--cert {cert} names no host (subject alternative names).") from None
    hosts = said.get_values_for_type(x509.DNSName)
    at = [str(one) for one in said.get_values_for_type(x509.IPAddress)]
    urls = [f"https://{one}:{port}" for one in [*hosts, *at] if not one.startswith("*")]
    allowed = [one.removeprefix("*") for one in [*hosts, *at]]
    return Reached(allowed, str(cert), str(key), "", urls, _qr(urls))


def _qr(urls: list[str]) -> str:
    out = io.StringIO()
    if urls:
        segno.make(urls[0], micro=False).terminal(out, compact=True)
    return out.getvalue()


def _stands(file: Path) -> bool:
    """Whether a certificate is there and stands for a while yet."""
    if not file.exists():
        return False
    ends = x509.load_pem_x509_certificate(file.read_bytes()).not_valid_after_utc
    return ends - datetime.now(UTC) > timedelta(days=RENEWED_BEFORE_DAYS)


def _vouches(authority: Path, hosts: list[str]) -> bool:
    """Whether an authority may sign for these names."""
    made = x509.load_pem_x509_certificate(authority.read_bytes())
    within = made.extensions.get_extension_for_class(x509.NameConstraints).value.permitted_subtrees
    return set(map(x509.DNSName, hosts)) <= set(within or ())


def _covers(leaf: Path, hosts: list[str], at: list[Address], authority: Path) -> bool:
    made = x509.load_pem_x509_certificate(leaf.read_bytes())
    try:
        made.verify_directly_issued_by(x509.load_pem_x509_certificate(authority.read_bytes()))
    except (ValueError, TypeError, InvalidSignature):
        return False
    said = made.extensions.get_extension_for_class(x509.SubjectAlternativeName).value
    there = {*said.get_values_for_type(x509.DNSName), *said.get_values_for_type(x509.IPAddress)}
    return {*hosts, *at} <= there


def _authority(folder: Path) -> None:
    key = ec.generate_private_key(ec.SECP256R1())
    name = _name(f"Fern Bell on {names()[0]}")
    within = [x509.DNSName(one) for one in names()]
    spans = [x509.IPAddress(network) for network in (*PRIVATE, LOOPBACK)]
    made = (
        _builder(name, name, key.public_key(), AUTHORITY_DAYS)
        .add_extension(x509.BasicConstraints(ca=True, path_length=0), critical=True)
        .add_extension(x509.NameConstraints([*within, *spans], None), critical=True)
        .add_extension(_usage(signs=True), critical=True)
        .add_extension(x509.SubjectKeyIdentifier.from_public_key(key.public_key()), critical=False)
        .sign(key, hashes.SHA256())
    )
    _write(folder, "authority", made, key)


def _leaf(folder: Path, hosts: list[str], at: list[Address]) -> None:
    signing = serialization.load_pem_private_key((folder / "authority.key.pem").read_bytes(), None)
    assert isinstance(signing, ec.EllipticCurvePrivateKey)
    authority = x509.load_pem_x509_certificate((folder / "authority.pem").read_bytes())
    key = ec.generate_private_key(ec.SECP256R1())
    reached = [*map(x509.DNSName, hosts), *map(x509.IPAddress, at)]
    made = (
        _builder(_name(hosts[0]), authority.subject, key.public_key(), LEAF_DAYS)
        .add_extension(x509.BasicConstraints(ca=False, path_length=None), critical=True)
        .add_extension(x509.SubjectAlternativeName(reached), critical=False)
        .add_extension(_usage(signs=False), critical=True)
        .add_extension(x509.ExtendedKeyUsage([ExtendedKeyUsageOID.SERVER_AUTH]), critical=False)
        .add_extension(
            x509.AuthorityKeyIdentifier.from_issuer_public_key(signing.public_key()),
            critical=False,
        )
        .sign(signing, hashes.SHA256())
    )
    _write(folder, "", made, key)


def _name(common: str) -> x509.Name:
    return x509.Name([x509.NameAttribute(NameOID.COMMON_NAME, common[:64])])


def _builder(
    subject: x509.Name, issuer: x509.Name, key: ec.EllipticCurvePublicKey, days: int
) -> x509.CertificateBuilder:
    # A tablet's clock may be a little late.
    now = datetime.now(UTC) - timedelta(hours=1)
    return (
        x509.CertificateBuilder()
        .subject_name(subject)
        .issuer_name(issuer)
        .public_key(key)
        .serial_number(x509.random_serial_number())
        .not_valid_before(now)
        .not_valid_after(now + timedelta(days=days))
    )


def _usage(*, signs: bool) -> x509.KeyUsage:
    return x509.KeyUsage(
        digital_signature=not signs,
        content_commitment=False,
        key_encipherment=False,
        data_encipherment=False,
        key_agreement=False,
        key_cert_sign=signs,
        crl_sign=signs,
        encipher_only=False,
        decipher_only=False,
    )


def _write(
    folder: Path, stem: str, made: x509.Certificate, key: ec.EllipticCurvePrivateKey
) -> None:
    pem = serialization.Encoding.PEM
    secret = key.private_bytes(pem, serialization.PrivateFormat.PKCS8, serialization.NoEncryption())
    hidden = folder / (f"{stem}.key.pem" if stem else "key.pem")
    with os.fdopen(os.open(hidden, os.O_WRONLY | os.O_CREAT | os.O_TRUNC, 0o600), "wb") as file:
        file.write(secret)
    (folder / (f"{stem}.pem" if stem else "cert.pem")).write_bytes(made.public_bytes(pem))


def main() -> None:
    """Answer as JSON; what cannot serve is `refused`, in one sentence."""
    parser = argparse.ArgumentParser()
    parser.add_argument("folder", type=Path)
    parser.add_argument("port", type=int)
    parser.add_argument("--cert", type=Path)
    parser.add_argument("--key", type=Path)
    said = parser.parse_args()
    try:
        reached = (
            brought(said.cert, said.key, said.port) if said.cert else own(said.folder, said.port)
        )
    except ValueError as error:
        print(json.dumps({"refused": str(error)}))
    else:
        print(json.dumps(asdict(reached)))


if __name__ == "__main__":
    main()

"""The certificate a machine makes itself: it holds, is renewed in time, vouches for no other."""

import ipaddress
import ssl
from datetime import UTC, datetime, timedelta
from pathlib import Path

import pytest
from cryptography import x509
from cryptography.hazmat.primitives import serialization
from cryptography.x509.verification import PolicyBuilder, Store, VerificationError

from ops import lan
from ops.application import lan_door
from ops.say import Stop

TABLET = "192.168.7.20"


@pytest.fixture(autouse=True)
def here(monkeypatch: pytest.MonkeyPatch) -> None:
    """A machine called stove, at one address."""
    monkeypatch.setattr(lan.socket, "gethostname", lambda: "Stove.kitchen.example")
    at(monkeypatch, TABLET)


def at(monkeypatch: pytest.MonkeyPatch, *addresses: str) -> None:
    monkeypatch.setattr(lan, "addresses", lambda: [ipaddress.IPv4Address(one) for one in addresses])


def load(path: str | Path) -> x509.Certificate:
    return x509.load_pem_x509_certificate(Path(path).read_bytes())


def verified(reached: lan.Reached, subject: x509.DNSName | x509.IPAddress) -> None:
    """A client that trusts the authority, and checks as one does (RFC 5280)."""
    policy = PolicyBuilder().store(Store([load(reached.authority)]))
    policy.build_server_verifier(subject).verify(load(reached.cert), [])


def test_it_is_good_for_the_address_and_the_names(tmp_path: Path) -> None:
    reached = lan.own(tmp_path / "lan", 8615)
    verified(reached, x509.IPAddress(ipaddress.IPv4Address(TABLET)))
    for name in ("stove", "stove.local"):
        verified(reached, x509.DNSName(name))
    with pytest.raises(VerificationError):
        verified(reached, x509.DNSName("bank.example"))
    assert reached.urls == [f"https://{TABLET}:8615", "https://stove.local:8615"]
    assert {TABLET, "stove", "stove.local", "127.0.0.1", "localhost"} == set(reached.hosts)
    assert len(reached.qr.splitlines()) > 10


def test_it_can_be_served_and_its_keys_are_nobody_elses(tmp_path: Path) -> None:
    reached = lan.own(tmp_path / "lan", 8615)
    ssl.create_default_context(ssl.Purpose.CLIENT_AUTH).load_cert_chain(reached.cert, reached.key)
    assert (tmp_path / "lan").stat().st_mode & 0o077 == 0
    for key in (tmp_path / "lan").glob("*key*"):
        assert key.stat().st_mode & 0o077 == 0


def test_the_authority_vouches_for_nothing_outside(tmp_path: Path) -> None:
    """A client refuses what the authority signs for another's name or a public address."""
    folder = tmp_path / "lan"
    reached = lan.own(folder, 8615)
    for hosts, addresses, subject in (
        (["bank.example"], [], x509.DNSName("bank.example")),
        (
            ["stove"],
            [ipaddress.IPv4Address("198.51.100.7")],
            x509.IPAddress(ipaddress.IPv4Address("198.51.100.7")),
        ),
    ):
        lan._leaf(folder, hosts, addresses)
        with pytest.raises(VerificationError):
            verified(reached, subject)


def test_it_stays_until_an_address_is_new(tmp_path: Path, monkeypatch: pytest.MonkeyPatch) -> None:
    first = load(lan.own(tmp_path, 8615).cert).serial_number
    assert load(lan.own(tmp_path, 8616).cert).serial_number == first
    authority = load(tmp_path / "authority.pem").serial_number
    at(monkeypatch, TABLET, "10.0.0.9")
    assert load(lan.own(tmp_path, 8615).cert).serial_number != first
    # Tablets that trust the authority go on trusting it.
    assert load(tmp_path / "authority.pem").serial_number == authority


@pytest.mark.parametrize(("days", "renewed"), [(29, True), (40, False)])
def test_it_is_renewed_before_it_ends(
    tmp_path: Path, monkeypatch: pytest.MonkeyPatch, days: int, renewed: bool
) -> None:
    monkeypatch.setattr(lan, "LEAF_DAYS", days)
    first = load(lan.own(tmp_path, 8615).cert).serial_number
    monkeypatch.setattr(lan, "LEAF_DAYS", 397)
    assert (load(lan.own(tmp_path, 8615).cert).serial_number != first) is renewed


def test_a_machine_that_is_renamed_gets_an_authority_for_its_new_name(
    tmp_path: Path, monkeypatch: pytest.MonkeyPatch
) -> None:
    lan.own(tmp_path, 8615)
    monkeypatch.setattr(lan.socket, "gethostname", lambda: "oven")
    verified(lan.own(tmp_path, 8615), x509.DNSName("oven.local"))


def test_one_that_is_brought_is_used_as_it_is(tmp_path: Path) -> None:
    own = lan.own(tmp_path, 8615)
    brought = lan.brought(Path(own.cert), Path(own.key), 443)
    assert brought.cert == own.cert
    assert f"https://{TABLET}:443" in brought.urls
    assert brought.authority == ""


def test_one_that_cannot_serve_is_refused(tmp_path: Path, monkeypatch: pytest.MonkeyPatch) -> None:
    own, other = lan.own(tmp_path / "a", 1), lan.own(tmp_path / "b", 1)
    with pytest.raises(ValueError, match="does not belong to"):
        lan.brought(Path(own.cert), Path(other.key), 443)
    with pytest.raises(ValueError, match="--cert and --key"):
        lan.brought(tmp_path / "nowhere.pem", Path(own.key), 443)
    (tmp_path / "note.pem").write_text("flour")
    with pytest.raises(ValueError, match="--cert and --key"):
        lan.brought(tmp_path / "note.pem", Path(own.key), 443)
    monkeypatch.setattr(lan, "LEAF_DAYS", 0)
    past = lan.own(tmp_path / "c", 1)
    with pytest.raises(ValueError, match="expired on"):
        lan.brought(Path(past.cert), Path(past.key), 443)


def test_addresses_are_of_private_networks(monkeypatch: pytest.MonkeyPatch) -> None:
    monkeypatch.undo()
    for one in lan.addresses():
        assert one.is_private or one in ipaddress.ip_network("100.64.0.0/10")
        assert not one.is_loopback


def test_keys_are_of_a_curve_every_tablet_knows(tmp_path: Path) -> None:
    own = lan.own(tmp_path, 8615)
    key = serialization.load_pem_private_key(Path(own.key).read_bytes(), None)
    assert key.curve.name == "secp256r1"
    assert load(own.cert).not_valid_after_utc - datetime.now(UTC) < timedelta(days=398)


def test_what_cannot_serve_stops_the_start_in_one_sentence(tmp_path: Path, data: Path) -> None:
    own, other = lan.own(tmp_path / "a", 1), lan.own(tmp_path / "b", 1)
    with pytest.raises(Stop, match=f"^--key {other.key} does not belong to --cert {own.cert}.$"):
        lan_door(443, Path(own.cert), Path(other.key), hsts=False)

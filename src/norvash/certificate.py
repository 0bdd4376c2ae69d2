"""The shop's own certificate, made by the library for the names under which devices reach the server; and when one
ends.
"""

import os
from collections.abc import Sequence
from dataclasses import dataclass
from datetime import UTC, date, datetime, timedelta
from ipaddress import ip_address
from pathlib import Path
from typing import TYPE_CHECKING

from norvash.errors import InputError

if TYPE_CHECKING:
    from cryptography.x509 import GeneralName

_DAYS = 397  # browsers take none that is valid for longer
_CERT, _KEY = "norvash-cert.pem", "norvash-key.pem"
_SAID, _URGENT = 60, 14


@dataclass(frozen=True, slots=True)
class Ends:
    """The last day of a certificate, and whether it is the shop's own: signed by itself."""

    on: date
    own: bool

    def days_left(self, today: date) -> int:
        """Return how many days are left, below 0 once it has ended -> [d]."""
        return (self.on - today).days

    def words(self, today: date) -> str:
        """Return what is said of its end: nothing while it is far, sixty days before that it comes, fourteen before it
        that it is near, and after it that it is over.
        """
        left, on = self.days_left(today), f"{self.on.day} {self.on:%B %Y}"
        if left > _SAID:
            return ""
        own = "norvash certificate makes the next one; then each device is told once to trust it"
        how = own if self.own else "whoever gave it gives the next one"
        if left < 0:
            return f"The certificate has ended on {on}: browsers turn away from here. {how[0].upper()}{how[1:]}."
        if left <= _URGENT:
            return f"The certificate ends in {left} days, on {on}: renew it now. {how[0].upper()}{how[1:]}."
        return f"The certificate ends on {on}, in {left} days: {how}."


def ends(cert_file: Path) -> Ends:
    """Return when a certificate ends.

    Raises: InputError for a file that holds none.
    """
    from cryptography import x509

    try:
        cert = x509.load_pem_x509_certificate(cert_file.read_bytes())
    except (OSError, ValueError) as error:
        raise InputError(
            f"{cert_file} holds no certificate ({error}).", "Give the file that norvash certificate made.", "tls"
        ) from None
    return Ends(cert.not_valid_after_utc.astimezone().date(), cert.issuer == cert.subject)


def make(names: Sequence[str], into: Path, now: datetime) -> list[str]:
    """Write certificate and key for these host names and addresses; return what to say about them.

    Raises: InputError for what is no name, or where one of the files is there already.
    """
    from cryptography import x509
    from cryptography.hazmat.primitives import hashes, serialization
    from cryptography.hazmat.primitives.asymmetric import ec
    from cryptography.x509.oid import NameOID

    cert_file, key_file = into / _CERT, into / _KEY
    if cert_file.exists() or key_file.exists():
        raise InputError(f"{cert_file} or {key_file} is there already.", "Move it away first, or give --into.", "into")
    key = ec.generate_private_key(ec.SECP256R1())
    subject = x509.Name([x509.NameAttribute(NameOID.COMMON_NAME, names[0][:64])])
    made_at = now.astimezone(UTC)
    cert = (
        x509.CertificateBuilder()
        .subject_name(subject)
        .issuer_name(subject)
        .public_key(key.public_key())
        .serial_number(x509.random_serial_number())
        .not_valid_before(made_at - timedelta(hours=1))
        .not_valid_after(made_at + timedelta(days=_DAYS))
        .add_extension(x509.SubjectAlternativeName([_name(n) for n in names]), critical=False)
        .add_extension(x509.BasicConstraints(ca=True, path_length=0), critical=True)
        .sign(key, hashes.SHA256())
    )
    secret = key.private_bytes(
        serialization.Encoding.PEM, serialization.PrivateFormat.PKCS8, serialization.NoEncryption()
    )
    with os.fdopen(os.open(key_file, os.O_WRONLY | os.O_CREAT | os.O_EXCL, 0o600), "wb") as file:
        file.write(secret)
    cert_file.write_bytes(cert.public_bytes(serialization.Encoding.PEM))
    print_of = cert.fingerprint(hashes.SHA256()).hex(":").upper()
    allow = " ".join(f"--allow {n}" for n in names)
    return [
        f"{cert_file} is for {', '.join(names)}, until {cert.not_valid_after_utc:%d %B %Y}.",
        f"{key_file} is its key: keep it to yourself.",
        f"Serve with: norvash serve --db FILE --host 0.0.0.0 {allow} --tls {cert_file} {key_file}",
        "Each device is told once to trust it: copy the certificate (never the key) onto it, open it there, and add it",
        "to the authorities that it trusts for web sites; then compare its print with this one:",
        print_of,
    ]


def _name(text: str) -> "GeneralName":
    from cryptography import x509

    from norvash.config import check_allowed

    try:
        return x509.IPAddress(ip_address(text))
    except ValueError:
        return x509.DNSName(check_allowed("127.0.0.1", (text,))[0])

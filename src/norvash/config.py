"""Settings: the only reader of the environment."""

import os
import re
from ipaddress import ip_address
from pathlib import Path
from typing import Any, Self

from pydantic import BaseModel, ConfigDict

from norvash.errors import InputError

LOOPBACK = ("localhost", "127.0.0.1", "[::1]")
_PREFIX = "NORVASH_"
_HOST_NAME = re.compile(r"[A-Za-z0-9]([A-Za-z0-9.-]{0,251}[A-Za-z0-9])?|\[[0-9A-Fa-f:.]{2,45}\]")


def is_loopback(host: str) -> bool:
    """Tell whether an address to listen on can only be reached from this machine."""
    try:
        return ip_address(host.strip("[]")).is_loopback
    except ValueError:
        return host == "localhost"


def check_allowed(host: str, names: tuple[str, ...], *, secure: bool = True) -> tuple[str, ...]:
    """Return the host names that a server answers to.

    Raises: InputError for what is no host name, and for an address that others can reach while no name is allowed, or
    while passwords would cross the network in the clear.
    """
    for name in names:
        if not _HOST_NAME.fullmatch(name):
            raise InputError(
                f"“{name}” is not a host name.",
                "Give a bare name like shop.example, without scheme, port or path.",
                "allow",
            )
    if not names and not is_loopback(host):
        raise InputError(
            f"Listening on {host} lets others on the network in, and no name is allowed that they may use.",
            "Say under which names it answers, once for each: --allow NAME.",
            "allow",
        )
    if not secure and not is_loopback(host):
        raise InputError(
            f"On {host} passwords would cross the network for all to read.",
            "Give --tls CERT KEY (norvash certificate makes them), or --behind-tls PROXY where a proxy ends TLS.",
            "tls",
        )
    return tuple(name.lower() for name in names)


class Settings(BaseModel):
    """What a server is started with."""

    model_config = ConfigDict(frozen=True, extra="forbid")

    db: Path
    host: str = "127.0.0.1"
    port: int = 8000
    allowed_hosts: tuple[str, ...] = ()
    most_body_bytes: int = 1_000_000
    most_upload_bytes: int = 25_000_000
    most_header_bytes: int = 64_000
    patience_s: float = 30.0
    log: bool = True
    gauge: str = ""
    meter: str = ""
    # A demonstration is entered as one of its people by one press.
    demo: bool = False
    idle_h: float = 12.0
    tls: tuple[Path, Path] | None = None
    behind: str = ""

    @classmethod
    def with_environment(cls, **given: Any) -> Self:
        """Return the settings as given, with NORVASH_ALLOWED_HOSTS, NORVASH_MOST_BODY_BYTES and NORVASH_GAUGE where
        they are set.
        """
        hosts, most = os.environ.get(f"{_PREFIX}ALLOWED_HOSTS"), os.environ.get(f"{_PREFIX}MOST_BODY_BYTES")
        if hosts and not given.get("allowed_hosts"):
            given["allowed_hosts"] = tuple(h.strip() for h in hosts.split(",") if h.strip())
        gauge = os.environ.get(f"{_PREFIX}GAUGE")
        if gauge and not given.get("gauge"):
            given["gauge"] = gauge
        if most:
            given["most_body_bytes"] = most
        return cls(**given)

    @property
    def is_secure(self) -> bool:
        """Tell whether browsers reach this server over TLS, its own or that of the proxy before it."""
        return self.tls is not None or self.behind != ""

    @property
    def hosts(self) -> tuple[str, ...]:
        """Return the host names that a request may be addressed to.

        An address that others can reach has none of its own.
        """
        if self.allowed_hosts:
            return self.allowed_hosts
        own = (f"[{self.host}]" if ":" in self.host else self.host,)
        return (*LOOPBACK, *own) if is_loopback(self.host) else ()

    @property
    def announced(self) -> str:
        """Return the host name under which a start says that it is reached: one that it answers to."""
        own = f"[{self.host}]" if ":" in self.host else self.host
        return own if own in self.hosts or not self.hosts else self.hosts[0]

"""Settings: the only reader of the environment."""

import os
from pathlib import Path
from typing import Any, Self

from pydantic import BaseModel, ConfigDict

LOOPBACK = ("localhost", "127.0.0.1", "[::1]")
_PREFIX = "NORVASH_"


class Settings(BaseModel):
    """What a server is started with."""

    model_config = ConfigDict(frozen=True, extra="forbid")

    db: Path
    host: str = "127.0.0.1"
    port: int = 8000
    allowed_hosts: tuple[str, ...] = ()
    most_body_bytes: int = 1_000_000
    most_upload_bytes: int = 25_000_000
    log: bool = True
    gauge: str = ""

    @classmethod
    def with_environment(cls, **given: Any) -> Self:
        """Return the settings as given, with NORVASH_ALLOWED_HOSTS, NORVASH_MOST_BODY_BYTES and NORVASH_GAUGE where they are set."""
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
    def hosts(self) -> tuple[str, ...]:
        """Return the host names that a request may be addressed to; empty means any."""
        if self.allowed_hosts:
            return self.allowed_hosts
        return LOOPBACK if self.host in ("127.0.0.1", "localhost", "::1") else ()

"""Settings: the only reader of the environment."""

from pathlib import Path

from pydantic_settings import BaseSettings, SettingsConfigDict

LOOPBACK = ("localhost", "127.0.0.1", "[::1]")


class Settings(BaseSettings):
    """What a server is started with; every value can also come as NORVASH_… from the environment."""

    model_config = SettingsConfigDict(env_prefix="NORVASH_", frozen=True)

    db: Path
    host: str = "127.0.0.1"
    port: int = 8000
    allowed_hosts: tuple[str, ...] = ()
    most_body_bytes: int = 1_000_000
    log: bool = True

    @property
    def hosts(self) -> tuple[str, ...]:
        """Return the host names that a request may be addressed to; empty means any."""
        if self.allowed_hosts:
            return self.allowed_hosts
        return LOOPBACK if self.host in ("127.0.0.1", "localhost", "::1") else ()

"""How the application is served: by a parser in plain Python that bounds what it holds, with patience that ends."""

import asyncio
import socket
from typing import Any

import uvicorn
from uvicorn.protocols.http.h11_impl import H11Protocol

from norvash.config import Settings

_STOP_S = 1


class PatientH11(H11Protocol):
    """A connection that is closed when the head of a request does not come to its end in time."""

    patience_s = 30.0
    head_due: asyncio.TimerHandle | None = None

    def connection_made(self, transport: asyncio.Transport) -> None:  # type: ignore[override]
        """Begin to wait for the first request."""
        super().connection_made(transport)
        self._wait_for_head()

    def data_received(self, data: bytes) -> None:
        """Take what came; as long as a request is answered nothing is waited for."""
        super().data_received(data)
        if self.cycle is not None and not self.cycle.response_complete:
            self._stop_waiting()
        elif self.head_due is None:
            self._wait_for_head()

    def connection_lost(self, exc: Exception | None) -> None:
        """Forget the clock."""
        self._stop_waiting()
        super().connection_lost(exc)

    def _wait_for_head(self) -> None:
        self.head_due = self.loop.call_later(self.patience_s, self.transport.close)

    def _stop_waiting(self) -> None:
        if self.head_due is not None:
            self.head_due.cancel()
            self.head_due = None


class Announcing(uvicorn.Server):
    """A server that says when it can be reached."""

    words = ""

    async def startup(self, sockets: list[socket.socket] | None = None) -> None:
        """Begin to listen, then say so."""
        await super().startup(sockets)
        if self.started:
            print(self.words, flush=True)


def server_config(app: Any, settings: Settings) -> uvicorn.Config:
    """Return how to serve an application on its host and port."""

    class Patient(PatientH11):
        patience_s = settings.patience_s

    return uvicorn.Config(
        app,
        host=settings.host,
        port=settings.port,
        log_level="error",
        access_log=False,
        ws="none",
        http=Patient,
        ssl_certfile=settings.tls[0] if settings.tls is not None else None,
        ssl_keyfile=settings.tls[1] if settings.tls is not None else None,
        proxy_headers=settings.behind != "",
        forwarded_allow_ips=settings.behind or None,
        h11_max_incomplete_event_size=settings.most_header_bytes,
        timeout_graceful_shutdown=_STOP_S,
    )

"""Around every answer: security headers, the same-origin check, the size of a body, one log line."""

import time
from urllib.parse import urlsplit

from starlette.datastructures import Headers, MutableHeaders
from starlette.requests import Request
from starlette.types import ASGIApp, Message, Receive, Scope, Send

from norvash.config import Settings
from norvash.errors import NorvashError
from norvash.web.answers import error_answer
from norvash.web.forms import whole
from norvash.web.logs import log_event

POLICY = (
    "default-src 'none'; script-src 'self'; style-src 'self'; img-src 'self' data:; font-src 'self'; "
    "connect-src 'self'; form-action 'self'; base-uri 'none'; frame-ancestors 'none'"
)
_HEADERS = {
    "Content-Security-Policy": POLICY,
    "X-Content-Type-Options": "nosniff",
    "Referrer-Policy": "same-origin",
    "Cross-Origin-Opener-Policy": "same-origin",
    "Cross-Origin-Resource-Policy": "same-origin",
    "Permissions-Policy": "camera=(), microphone=(), geolocation=()",
    "X-Frame-Options": "DENY",
}
_READS = ("GET", "HEAD", "OPTIONS")
UPLOADS = ("/hours/import",)


class TooLarge(NorvashError):
    """A body over the limit."""


class Foreign(NorvashError):
    """A write from another site."""


def is_foreign(headers: Headers, method: str, path: str, hosts: tuple[str, ...]) -> bool:
    """Tell whether a request was addressed to another name, or is a write that another site started."""
    host = headers.get("host", "")
    if hosts and (urlsplit(f"//{host}").hostname or "") not in [h.strip("[]") for h in hosts]:
        return True
    if method in _READS:
        return False
    if headers.get("sec-fetch-site", "same-origin") not in ("same-origin", "none"):
        return True
    origin = headers.get("origin")
    if origin is None:
        return not path.startswith("/api/") and "sec-fetch-site" not in headers
    return urlsplit(origin).netloc != host


class Guard:
    """The outermost layer of the application."""

    def __init__(self, app: ASGIApp, settings: Settings) -> None:
        self.app, self.settings = app, settings

    async def __call__(self, scope: Scope, receive: Receive, send: Send) -> None:
        """Let a request through, or answer it here."""
        if scope["type"] != "http":
            await self.app(scope, receive, send)
            return
        started, status = time.perf_counter(), [0]

        async def send_guarded(message: Message) -> None:
            if message["type"] == "http.response.start":
                status[0] = message["status"]
                headers = MutableHeaders(scope=message)
                for name, value in _HEADERS.items():
                    headers[name] = value
                if not scope["path"].startswith("/static/"):
                    headers["Cache-Control"] = "no-store"
            await send(message)

        await self._pass_on(scope, receive, send_guarded)
        if self.settings.log:
            took = round((time.perf_counter() - started) * 1000, 1)
            log_event("request", method=scope["method"], path=scope["path"], status=status[0], ms=took)

    async def _pass_on(self, scope: Scope, receive: Receive, send: Send) -> None:
        headers, request = Headers(scope=scope), Request(scope)
        if is_foreign(headers, scope["method"], scope["path"], self.settings.hosts):
            refusal = Foreign("This request came from another site, so nothing was changed.",
                              "Open Norvash in this browser and do it there.")  # fmt: skip
            await error_answer(request, refusal, 403)(scope, receive, send)
            return
        most = self.settings.most_upload_bytes if scope["path"] in UPLOADS else self.settings.most_body_bytes
        length = whole(headers.get("content-length", "0"))
        if length is None or length > most:
            await self._too_large(request, most, scope, receive, send)
            return
        parts: list[bytes] = []
        size, complete = 0, scope["method"] in _READS
        while not complete:
            message = await receive()
            parts.append(message.get("body", b""))
            size += len(parts[-1])
            complete = not message.get("more_body", False)
            if size > most:
                await self._too_large(request, most, scope, receive, send)
                return
        body = b"".join(parts)
        sent = False

        async def receive_kept() -> Message:
            nonlocal sent
            if sent or scope["method"] in _READS:
                return await receive()
            sent = True
            return {"type": "http.request", "body": body, "more_body": False}

        await self.app(scope, receive_kept, send)

    async def _too_large(self, request: Request, most: int, scope: Scope, receive: Receive, send: Send) -> None:
        refusal = TooLarge(f"That is more than {most // 1000} kB, too large for any entry here.",
                           "Go back and send only what the form asks for; nothing was saved.")  # fmt: skip
        await error_answer(request, refusal, 413)(scope, receive, send)

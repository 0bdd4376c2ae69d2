"""Around every answer: security headers, the same-origin check, what may be sent and how long it may take, one log
line.
"""

import asyncio
import contextlib
import re
import time
from datetime import datetime

from fastapi import FastAPI
from starlette.datastructures import Headers, MutableHeaders
from starlette.requests import Request, cookie_parser
from starlette.types import ASGIApp, Message, Receive, Scope, Send

from norvash.config import Settings
from norvash.errors import InputError, NorvashError, Unavailable
from norvash.exchange.json_text import as_text, read_json
from norvash.web.served.answers import error_answer
from norvash.web.served.deps import SESSION_COOKIE
from norvash.web.served.forms import whole
from norvash.web.served.logs import log_event, log_failure
from norvash.web.templating import BUILD
from norvash.work.access.secrets_kept import digest

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
# A browser stays with TLS for a year; for a day where the certificate is the shop's own: it may have to be made anew.
_HSTS, _HSTS_OWN = "max-age=31536000", "max-age=86400"
_FOR_EVER = "public, max-age=31536000, immutable"
_READS = ("GET", "HEAD", "OPTIONS")
UPLOADS = ("/hours/import",)
_HEARD_OUT = 4
_AUTHORITY = r"(?P<name>[A-Za-z0-9._-]{1,253}|\[[0-9A-Fa-f:.]{2,45}\])(:\d{1,5})?"
_HOST = re.compile(_AUTHORITY)
_ABSOLUTE = re.compile(r"https?://(?P<host>[^/?#]*)(?P<path>/.*)?", re.IGNORECASE | re.DOTALL)
_ORIGIN = re.compile(rf"null|[a-z][a-z0-9+.-]*://(?P<host>{_AUTHORITY})")


class Refused(NorvashError):
    """A request that is answered before the application sees it, with its status."""

    def __init__(self, status: int, problem: str, remedy: str, *, waits: bool = False) -> None:
        super().__init__(problem, remedy)
        self.status, self.waits = status, waits


def is_harmless(method: str, path: str) -> bool:
    """Tell whether a request writes nothing: it reads, works out a sum, or is about this device only."""
    return method in _READS or path.startswith(("/who", "/api/v1/sums/", "/api/v1/session")) or path == "/light"


def _foreign() -> Refused:
    return Refused(
        403,
        "This request came from another site, so nothing was changed.",
        "Open Norvash in this browser and do it there.",
    )


def _too_large(most: int) -> Refused:
    return Refused(
        413,
        f"That is more than {most // 1000} kB, too large for any entry here.",
        "Go back and send only what the form asks for; nothing was saved.",
    )


def check_origin(headers: Headers, method: str, path: str, hosts: tuple[str, ...]) -> None:
    """Refuse a request whose Host or Origin cannot be read, one addressed to another name, and a write that another
    site started.

    Raises: Refused.
    """
    host = _HOST.fullmatch(headers.get("host", ""))
    origin = headers.get("origin")
    started_by = None if origin is None else _ORIGIN.fullmatch(origin)
    if host is None or (origin is not None and started_by is None):
        raise Refused(
            400,
            f"The {'Host' if host is None else 'Origin'} of this request cannot be read.",
            "Open Norvash by the address that it printed when it was started.",
        )
    if host["name"].lower() not in hosts:
        raise _foreign()
    if method in _READS:
        return
    if headers.get("sec-fetch-site", "same-origin") not in ("same-origin", "none"):
        raise _foreign()
    if started_by is None:
        if not path.startswith("/api/") and "sec-fetch-site" not in headers:
            raise _foreign()
    elif (started_by["host"] or "").lower() != host[0].lower():
        raise _foreign()


def check_person(headers: Headers, app: FastAPI) -> None:
    """Refuse an entry that waited in a browser in which nobody, or somebody else, is signed in now: it waits on.

    Raises: Refused.
    """
    entered_by = headers.get("norvash-person")
    if entered_by is None:
        return
    token = cookie_parser(headers.get("cookie", "")).get(SESSION_COOKIE, "")
    with app.state.pool.lent() as conn:
        signed = app.state.sessions.find(conn, digest(token), datetime.now(), writes=False) if token else None
    if signed is None or signed.person_id != entered_by:
        raise Refused(
            409,
            "Somebody else is signed in on this device now." if signed is not None else "Nobody is signed in here now.",
            "What you entered stays in this browser until you are back.",
            waits=True,
        )


def _from_the_root(scope: Scope) -> Scope:
    """Return a request whose line names the whole address, as a proxy's does, as one that names its path; the host that
    it names stands for the one of its headers.
    """
    absolute = _ABSOLUTE.fullmatch(scope["path"])
    if absolute is None:
        return scope
    headers = [(name, value) for name, value in scope["headers"] if name != b"host"]
    path = absolute["path"] or "/"
    return {
        **scope,
        "path": path,
        "raw_path": path.encode(),
        "headers": [(b"host", absolute["host"].encode()), *headers],
    }


def _guarded(scope: Scope, send: Send, status: list[int]) -> Send:
    """Return a way to send that adds the headers, and tells the status that was sent."""

    async def send_guarded(message: Message) -> None:
        if message["type"] == "http.response.start":
            status[0] = message["status"]
            headers = MutableHeaders(scope=message)
            for name, value in _HEADERS.items():
                headers[name] = value
            headers["Norvash-Build"] = BUILD
            if scope["app"].state.settings.is_secure:
                certificate = scope["app"].state.certificate
                headers["Strict-Transport-Security"] = _HSTS_OWN if certificate and certificate.own else _HSTS
            of_this_build = scope["path"].startswith(f"/static/{BUILD}/") and message["status"] == 200
            if of_this_build or not scope["path"].startswith("/static/"):
                headers["Cache-Control"] = _FOR_EVER if of_this_build else "no-store"
        elif scope["method"] == "HEAD":
            message = {"type": "http.response.body", "body": b"", "more_body": message.get("more_body", False)}
        await send(message)

    return send_guarded


class Guard:
    """The outermost layer of the application: whatever it answers, or fails to, passes here."""

    def __init__(self, app: ASGIApp, settings: Settings) -> None:
        self.app, self.settings = app, settings

    async def __call__(self, scope: Scope, receive: Receive, send: Send) -> None:
        """Let a request through, or answer it here."""
        if scope["type"] != "http":
            await self.app(scope, receive, send)
            return
        scope = _from_the_root(scope)
        started, status = time.perf_counter(), [0]
        send_guarded = _guarded(scope, send, status)
        try:
            await self._pass_on(scope, receive, send_guarded)
        except Exception as error:
            log_failure("broken", error, path=scope["path"])
            if status[0]:
                raise
            said = Refused(
                500,
                "Something in Norvash broke; nothing was half saved.",
                "Go back and try again; if it comes back, look in the log.",
            )
            await error_answer(Request(scope), said, said.status)(scope, receive, send_guarded)
        state = scope["app"].state
        if status[0] < 400 and scope["method"] not in _READS:
            state.trouble = ""
        if state.after_first_page is not None and status[0] == 200 and not scope["path"].startswith("/static/"):
            once, state.after_first_page = state.after_first_page, None
            once(scope["app"])
        if self.settings.log:
            took = round((time.perf_counter() - started) * 1000, 1)
            log_event("request", method=scope["method"], path=scope["path"], status=status[0], ms=took)

    async def _pass_on(self, scope: Scope, receive: Receive, send: Send) -> None:
        try:
            body = await self._checked(scope, receive)
        except (Refused, Unavailable, InputError) as refusal:
            status = refusal.status if isinstance(refusal, Refused) else None
            answer = error_answer(Request(scope), refusal, status)
            if isinstance(refusal, Refused) and refusal.waits:
                answer.headers["Norvash-Waits"] = "person"
            if status == 408:
                answer.headers["Connection"] = "close"
            await answer(scope, receive, send)
            return
        sent = False

        async def receive_kept() -> Message:
            nonlocal sent
            if sent or scope["method"] in _READS:
                return await receive()
            sent = True
            return {"type": "http.request", "body": body, "more_body": False}

        # Whatever can be read can be asked for without its body too.
        asked = {**scope, "method": "GET"} if scope["method"] == "HEAD" else scope
        await self.app(asked, receive_kept, send)

    async def _checked(self, scope: Scope, receive: Receive) -> bytes:
        """Return the body of a request that may pass.

        Raises: Refused; InputError for JSON that is none.
        """
        if sum(len(name) + len(value) for name, value in scope["headers"]) > self.settings.most_header_bytes:
            raise Refused(
                431, "The headers of this request are too large.", "Clear the cookies of this site, then try again."
            )
        headers = Headers(scope=scope)
        check_origin(headers, scope["method"], scope["path"], self.settings.hosts)
        if not is_harmless(scope["method"], scope["path"]):
            scope["app"].state.pool.watch.check()
        most = self.settings.most_upload_bytes if scope["path"] in UPLOADS else self.settings.most_body_bytes
        length = whole(headers.get("content-length", "0"))
        if length is None or length > most:
            await self._heard_out(receive)
            raise _too_large(most)
        if scope["method"] in _READS:
            return b""
        check_person(headers, scope["app"])
        try:
            async with asyncio.timeout(self.settings.patience_s):
                body = await _whole_body(receive, most)
        except TimeoutError:
            raise Refused(
                408,
                f"The request did not come to its end within {self.settings.patience_s:g} s.",
                "Look at the network, then send it again; nothing was saved.",
            ) from None
        if body is None:
            await self._heard_out(receive)
            raise _too_large(most)
        if body and scope["path"].startswith("/api/"):
            read_json(as_text(body), "Correct it and send it again.")
        return body

    async def _heard_out(self, receive: Receive) -> None:
        """Hear a body that is too large to its end and keep none of it: whoever sends it all the same gets an answer.

        One that never ends, or not in time, gets none.
        """
        heard = 0
        with contextlib.suppress(TimeoutError):
            async with asyncio.timeout(self.settings.patience_s):
                while heard <= _HEARD_OUT * self.settings.most_upload_bytes:
                    message = await receive()
                    heard += len(message.get("body", b""))
                    if not message.get("more_body", False):
                        return


async def _whole_body(receive: Receive, most: int) -> bytes | None:
    """Return the body of a request, None for one that is larger than may be."""
    parts: list[bytes] = []
    size, complete = 0, False
    while not complete:
        message = await receive()
        parts.append(message.get("body", b""))
        size += len(parts[-1])
        complete = not message.get("more_body", False)
        if size > most:
            return None
    return b"".join(parts)

"""The sessions of a running server: who is signed in by a cookie, and when each was seen last."""

from datetime import datetime, timedelta

from norvash.store.access import members as access
from norvash.store.access.members import SignedIn
from norvash.store.file.database import Connection, transaction
from norvash.work.access.attempts import Attempts

# How old a kept last sight may be before an entry writes it anew.
_WRITTEN_AGAIN = timedelta(minutes=15)
_MOST_KEPT = 10_000


class Sessions:
    """What is known of sessions in memory: last sights, which are written seldom, and those that cannot be written at
    all, on a disk that is only read: they may see.
    """

    def __init__(self, idle: timedelta) -> None:
        self.attempts = Attempts()
        self._idle = idle
        self._seen: dict[str, datetime] = {}
        self._only_here: dict[str, SignedIn] = {}

    def find(self, conn: Connection, hashed: str, now: datetime, *, writes: bool) -> SignedIn | None:
        """Return who is signed in by the hash of a token, None where it is not known, has ended, or was idle too long.

        One statement; an entry after a while writes the last sight as well.
        """
        signed = self._only_here.get(hashed) or access.signed_in(conn, hashed)
        if signed is None or now - max(self._seen.get(signed.session_id, signed.seen_at), signed.seen_at) > self._idle:
            return None
        if len(self._seen) > _MOST_KEPT:
            self._seen.clear()
        self._seen[signed.session_id] = now
        if writes and hashed not in self._only_here and now - signed.seen_at > _WRITTEN_AGAIN:
            with transaction(conn):
                access.see_session(conn, signed.session_id, now)
        return signed

    def keep_here(self, hashed: str, signed: SignedIn) -> None:
        """Keep a session in memory only."""
        self._only_here[hashed] = signed

    def forget_here(self, hashed: str) -> None:
        """End a session that is in memory only."""
        self._only_here.pop(hashed, None)

    def seen_at(self, session: access.Session) -> datetime:
        """Return when a session was seen last."""
        return max(self._seen.get(session.id, session.seen_at), session.seen_at)

    def write_down(self, conn: Connection) -> None:
        """Keep every last sight, at the end of a server."""
        with transaction(conn):
            for session_id, at in self._seen.items():
                access.see_session(conn, session_id, at)

"""What signing in costs: twenty people at once, with the memory that it takes and what other pages wait meanwhile."""

import http.client
import json
import statistics
import threading
import time
from contextlib import closing
from datetime import datetime
from pathlib import Path

from norvash.bench.client import Client
from norvash.store.access import members as access
from norvash.store.file.database import connect, transaction
from norvash.store.record import people
from norvash.work.access.secrets_kept import hashed

_PEOPLE, _PAGES = 20, 60
_WORDS = "carbon copper brass"


def _resident_mb() -> float:
    """Return the memory of this process [MB]."""
    words = Path("/proc/self/status").read_text().partition("VmRSS:")[2].split()
    return int(words[0]) / 1024


def _sign_in(port: int, name: str, statuses: list[int]) -> None:
    conn = http.client.HTTPConnection("127.0.0.1", port, timeout=60)
    headers = {"Origin": f"http://127.0.0.1:{port}", "Content-Type": "application/json"}
    conn.request("POST", "/api/v1/session", json.dumps({"name": name, "password": _WORDS}), headers)
    statuses.append(conn.getresponse().status)
    conn.close()


def _page_ms(client: Client) -> float:
    started = time.perf_counter()
    client.get("/motors")
    return (time.perf_counter() - started) * 1000


def at_once(port: int, db: Path) -> dict[str, float]:
    """Sign twenty people in at once on a server of this process.

    Return how many were refused, the time of all [s], the most memory more [MB], and a page meanwhile over usual [1].
    """
    known_by, names = hashed(_WORDS), [f"Person {n:02d}" for n in range(_PEOPLE)]
    with closing(connect(db)) as conn, transaction(conn):
        for n, name in enumerate(names):
            people.add_person(conn, people.Person(f"signs-in-{n:02d}", name), datetime.now())
            access.keep_hash(conn, f"signs-in-{n:02d}", known_by, datetime.now())
    client, statuses = Client(port), list[int]()
    usual = statistics.median(_page_ms(client) for _ in range(_PAGES))
    before = most = _resident_mb()
    threads = [threading.Thread(target=_sign_in, args=(port, name, statuses)) for name in names]
    started = time.perf_counter()
    for thread in threads:
        thread.start()
    waits = list[float]()
    while any(t.is_alive() for t in threads):
        waits.append(_page_ms(client))
        most = max(most, _resident_mb())
    took = time.perf_counter() - started
    return {
        "refused": float(sum(s != 200 for s in statuses)),
        "took": took,
        "memory": most - before,
        "pages": statistics.median(waits) / usual,
    }

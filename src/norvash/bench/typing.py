"""How fast an entry on a sheet is answered while four others type on theirs."""

import statistics
import sys
import threading
import time
from collections import defaultdict
from collections.abc import Sequence

from norvash.bench.client import Client, marks, newest

_PAUSE_S, _ENTRIES = 0.4, 200
_SIGNS = ("weak", "loud", "hot", "smell", "crackles", "damp")


class Typist:
    """Somebody with an open sheet of a motor, who enters one thing after the other."""

    def __init__(self, port: int, motor: str) -> None:
        self.client, self.replaces = Client(port), dict[str, str]()
        self.has: dict[str, dict[str, str]] = defaultdict(dict)
        _, self.at = self.client.post(f"/motors/{motor}/sheets", sheet_kind="full", counter="")
        self._keep("waive.safe", "0", "safe", "measured on the bench")

    def _keep(self, field: str, place: str, stage: str, value: str) -> float:
        """Enter something; return how long its answer took, page and all [ms]."""
        started = time.perf_counter()
        status, page = self.client.post(
            f"{self.at}/entries",
            has=self.has[stage],
            field=field,
            place=place,
            stage=stage,
            value=value,
            position=place,
            replaces=self.replaces.get(field + place, ""),
        )
        took = (time.perf_counter() - started) * 1000
        if status != 200:
            raise SystemExit(f"an entry was refused: {status}")
        self._saw(stage, page)
        self.replaces[field + place] = newest(page, "/entries", field=field, place="" if place == "0" else place)
        return took

    def _measure(self, place: str, value: str) -> float:
        started = time.perf_counter()
        status, page = self.client.post(
            f"{self.at}/readings",
            has=self.has["brushes"],
            place=place,
            stage="brushes",
            value=value,
            replaces=self.replaces.get(place, ""),
        )
        took = (time.perf_counter() - started) * 1000
        if status != 200:
            raise SystemExit(f"a reading was refused: {status}")
        self._saw("brushes", page)
        self.replaces[place] = newest(page, "/readings", place=place)
        return took

    def _saw(self, stage: str, answer: str) -> None:
        self.has[stage] |= marks(answer)

    def enter(self, i: int) -> float:
        """Enter the i-th thing: a reading, a force, a sign, a remark, in turns."""
        place = str(i // 4 % 4 + 1)
        if i % 4 == 0:
            return self._measure(place, f"{25 - i * 0.001:.3f}")
        if i % 4 == 1:
            return self._keep("gap", place, "brushes", f"{2 + i % 9 / 10:.1f}")
        if i % 4 == 2:
            return self._keep(f"sign.{_SIGNS[i // 4 % len(_SIGNS)]}", "0", "call-in", "yes" if i % 8 == 2 else "no")
        return self._keep("remark.brushes", "0", "brushes", f"remark {i}")


def answered_ms(port: int, motors: Sequence[str]) -> tuple[float, float]:
    """Return the 95th percentile of an entry with its answer page while the others type, and the median of a bare page
    between them [ms].
    """
    others = [Typist(port, m) for m in motors[1:]]
    over = threading.Event()

    def go_on(typist: Typist, first: int) -> None:
        i = first
        while not over.wait(_PAUSE_S):
            typist.enter(i)
            i += 1

    threads = [threading.Thread(target=go_on, args=(t, k), daemon=True) for k, t in enumerate(others)]
    for thread in threads:
        thread.start()
    mine = Typist(port, motors[0])
    took, bare = [], []
    for i in range(_ENTRIES):
        took.append(mine.enter(i))
        time.sleep(_PAUSE_S / 8)
        started = time.perf_counter()
        mine.client.get("/bare")
        bare.append((time.perf_counter() - started) * 1000)
    over.set()
    for thread in threads:
        thread.join()
    return statistics.quantiles(took, n=20)[-1], statistics.median(bare)


if __name__ == "__main__":
    print(*answered_ms(int(sys.argv[1]), sys.argv[2:]))

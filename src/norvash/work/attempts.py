"""Wrong attempts to sign in: each makes the next one wait longer, by account and by address."""

import math
import threading
import time
from collections import OrderedDict
from collections.abc import Callable

from norvash.errors import NorvashError

_FREE, _FIRST_S, _LONGEST_S, _KEPT = 3, 2.0, 300.0, 10_000
# Several people may sit at one address: none of them waits for the slips of another one.
_ADDRESS, _FREE_OF_ADDRESS = "address ", 20


class TooSoon(NorvashError):
    """Somebody tries again before it is time: `wait_s` says how long it is [s]."""

    def __init__(self, wait_s: float) -> None:
        self.wait_s = math.ceil(wait_s)
        super().__init__(f"After wrong attempts the next one waits: {self.wait_s} s.", "Then try again.")


class Attempts:
    """Wrong attempts of a running server: after three of an account, or twenty of an address, the next one waits 2 s,
    each further one twice as long, up to five minutes.
    """

    def __init__(self, clock: Callable[[], float] = time.monotonic) -> None:
        self._clock, self._lock = clock, threading.Lock()
        self._wrong: OrderedDict[str, tuple[int, float]] = OrderedDict()

    def check(self, *keys: str) -> None:
        """Refuse an attempt that comes too soon.

        Raises: TooSoon.
        """
        with self._lock:
            due = max((self._due(key) for key in keys), default=0.0)
        wait_s = due - self._clock()
        if wait_s > 0:
            raise TooSoon(wait_s)

    def wrong(self, *keys: str) -> None:
        """Count a wrong attempt."""
        with self._lock:
            for key in keys:
                count, _ = self._wrong.pop(key, (0, 0.0))
                self._wrong[key] = (count + 1, self._clock())
                if len(self._wrong) > _KEPT:
                    self._wrong.popitem(last=False)

    def right(self, *keys: str) -> None:
        """Forget the wrong attempts."""
        with self._lock:
            for key in keys:
                self._wrong.pop(key, None)

    def _due(self, key: str) -> float:
        count, at = self._wrong.get(key, (0, 0.0))
        over = count - (_FREE_OF_ADDRESS if key.startswith(_ADDRESS) else _FREE)
        return at + min(_FIRST_S * 2.0 ** min(over, 20), _LONGEST_S) if over >= 0 else 0.0

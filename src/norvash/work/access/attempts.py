"""Attempts to show who one is: each is counted before it is judged, by the account found and by the address, and too
many make the next one wait.
"""

import math
import threading
import time
from collections import OrderedDict
from collections.abc import Callable, Iterator
from contextlib import contextmanager

from norvash.errors import NorvashError

_FREE, _FIRST_S, _LONGEST_S, _KEPT = 3, 2.0, 300.0, 10_000
# Several people may sit at one address: none of them waits long for the slips of another one, and they fade.
_FREE_OF_ADDRESS, _LONGEST_OF_ADDRESS_S, _FADES_S = 20, 60.0, 180.0


class WrongSecret(NorvashError):
    """A name, password, code or PIN that does not fit; it is not said which."""


class TooSoon(NorvashError):
    """Somebody tries again before it is time: `wait_s` says how long it is [s]."""

    def __init__(self, wait_s: float) -> None:
        self.wait_s = math.ceil(wait_s)
        super().__init__(f"After wrong attempts the next one waits: {self.wait_s} s.", "Then try again.")


class Attempts:
    """Attempts at a running server that were wrong, or are not judged yet.

    After three of an account the next one waits 2 s, each further one twice as long, up to five minutes, until one is
    right. After twenty from an address the same up to one minute; these fade by one every three minutes, and no right
    one takes any of them away but itself.
    """

    def __init__(self, clock: Callable[[], float] = time.monotonic) -> None:
        self._clock, self._lock = clock, threading.Lock()
        self._of_account: OrderedDict[str, tuple[int, float]] = OrderedDict()
        self._of_address: OrderedDict[str, tuple[float, float]] = OrderedDict()

    @contextmanager
    def judging(self, account: str, address: str) -> Iterator[None]:
        """Count an attempt, and let it be judged inside; it stays counted where that raises WrongSecret. An account
        that nobody can know yet is empty.

        Raises: TooSoon, uncounted; what is raised inside.
        """
        with self._lock:
            earlier = self._counted(account, address)
        try:
            yield
        except WrongSecret:
            raise
        except BaseException:
            self._take_back(account, address, earlier)
            raise
        self.free(account)
        with self._lock:
            self._less_of(address)

    def free(self, account: str) -> None:
        """Forget the attempts of an account."""
        with self._lock:
            self._of_account.pop(account, None)

    def _take_back(self, account: str, address: str, earlier: float) -> None:
        """Forget one attempt that was never judged."""
        with self._lock:
            count = self._of_account.get(account, (0, 0.0))[0] - 1
            if count > 0:
                self._of_account[account] = count, earlier
            else:
                self._of_account.pop(account, None)
            self._less_of(address)

    def _less_of(self, address: str) -> None:
        level, at = self._of_address.get(address, (0.0, 0.0))
        if level > 1:
            self._of_address[address] = level - 1, at
        else:
            self._of_address.pop(address, None)

    def _counted(self, account: str, address: str) -> float:
        """Count an attempt, and return when the one of this account before it was."""
        now = self._clock()
        count, at = self._of_account.get(account, (0, now))
        level, since = self._of_address.get(address, (0.0, now))
        level = max(level - (now - since) / _FADES_S, 0.0)
        due = max(
            at + _wait_s(count - _FREE, _LONGEST_S),
            since + _wait_s(math.ceil(level) - _FREE_OF_ADDRESS, _LONGEST_OF_ADDRESS_S),
        )
        if due > now:
            raise TooSoon(due - now)
        self._of_address[address] = level + 1, now
        if account:
            self._of_account[account] = count + 1, now
        for kept in (self._of_account, self._of_address):
            if len(kept) > _KEPT:
                kept.popitem(last=False)
        return at


def _wait_s(over: int, longest_s: float) -> float:
    """Return how long the next attempt waits after so many over what is free [s]."""
    return min(_FIRST_S * 2.0 ** min(over, 20), longest_s) if over >= 0 else 0.0

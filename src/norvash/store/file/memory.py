"""What was worked out from a database, the newest of it: shared by all connections of one server, under one lock."""

import threading
from collections import OrderedDict
from collections.abc import Hashable, Iterator

_MOST = 32


class Memory:
    """Values by key, at most thirty-two: threads put and take them in turns."""

    def __init__(self) -> None:
        self._lock = threading.Lock()
        self._kept: OrderedDict[Hashable, object] = OrderedDict()

    def get(self, key: Hashable) -> object | None:
        """Return what is kept under a key, None where nothing is."""
        with self._lock:
            return self._kept.get(key)

    def put(self, key: Hashable, value: object) -> None:
        """Keep a value; the oldest ones are let go."""
        with self._lock:
            self._kept[key] = value
            while len(self._kept) > _MOST:
                self._kept.popitem(last=False)

    def take(self, key: Hashable) -> object | None:
        """Return what is kept under a key and forget it, None where nothing is."""
        with self._lock:
            return self._kept.pop(key, None)

    def clear(self) -> None:
        """Forget everything."""
        with self._lock:
            self._kept.clear()

    def __iter__(self) -> Iterator[Hashable]:
        """Return the keys that are kept just now."""
        with self._lock:
            return iter(tuple(self._kept))

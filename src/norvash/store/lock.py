"""The lock beside a database file: who serves it, or puts another in its place, does so alone."""

import fcntl
import os
from collections.abc import Iterator
from contextlib import contextmanager
from pathlib import Path

from norvash.errors import Conflict, NorvashError


@contextmanager
def held_alone(path: Path, what: str) -> Iterator[None]:
    """Hold the lock of a database file, as long as this process lives at the most.

    `what` is said to whoever asks for it meanwhile. Raises: Conflict while another process holds it.
    """
    beside = Path(f"{path}.lock")
    try:
        file = os.open(beside, os.O_RDWR | os.O_CREAT, 0o644)
    except OSError as error:
        raise NorvashError(
            f"The file {beside.name} cannot be made beside the database ({error.strerror}).",
            "Give this program leave to write in that folder.",
        ) from None
    try:
        try:
            fcntl.flock(file, fcntl.LOCK_EX | fcntl.LOCK_NB)
        except BlockingIOError:
            said = os.read(file, 200).decode("utf-8", "replace").strip() or "in use by another process"
            raise Conflict(f"The database {path.name} is {said}.", "Stop that first; nothing was changed.") from None
        os.ftruncate(file, 0)
        os.pwrite(file, f"{what} (process {os.getpid()})".encode(), 0)
        yield
        os.ftruncate(file, 0)
    finally:
        os.close(file)

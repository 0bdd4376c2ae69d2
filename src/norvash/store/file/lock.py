"""The lock beside a database file: who serves it, or puts another in its place, does so alone."""

import fcntl
import os
from collections.abc import Iterator
from contextlib import contextmanager
from pathlib import Path

from norvash.errors import Conflict, NorvashError
from norvash.store.file.database import is_writable


@contextmanager
def held_alone(path: Path, what: str) -> Iterator[None]:
    """Hold the lock of a database file, as long as this process lives at the most.

    It lies beside the file itself, whatever link leads there, in a folder that is made where there is none; beside a
    file that cannot be written nobody needs it. `what` is said to whoever asks for it meanwhile. Raises: Conflict while
    another process holds it, NorvashError for a file that has a second name, or a folder that cannot be made.
    """
    path = path.resolve()
    _make_folder(path.parent)
    if path.exists() and path.stat().st_nlink > 1:
        raise NorvashError(
            f"The file {path.name} has more than one name (a hard link): its log would lie beside one of them only.",
            "Remove the other name, or copy the file and use the copy.",
        )
    if path.exists() and not is_writable(path):
        yield
        return
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


def _make_folder(folder: Path) -> None:
    try:
        folder.mkdir(parents=True, exist_ok=True)
    except OSError as error:
        raise NorvashError(
            f"The folder {folder} cannot be made ({error.strerror}).", "Give another path, or leave to write there."
        ) from None

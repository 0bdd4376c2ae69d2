"""Start the stand-in gauge as a process of its own and stop it again."""

import subprocess
import sys
from collections.abc import Iterator, Sequence
from contextlib import contextmanager

from norvash.devices.gauge_standin import HOST


@contextmanager
def standin(values: Sequence[str]) -> Iterator[str]:
    """Run a stand-in gauge that measures these values in turn; give its address."""
    order = [sys.executable, "-m", "norvash.devices.gauge_standin", "0", *values]
    process = subprocess.Popen(order, stdin=subprocess.PIPE, stdout=subprocess.PIPE, text=True)  # noqa: S603  (our own module)
    try:
        if process.stdout is None or process.stdin is None:
            raise OSError("the stand-in gauge has no pipes")
        yield f"{HOST}:{process.stdout.readline().strip()}"
    finally:
        if process.stdin is not None:
            process.stdin.close()
        process.wait(timeout=5)
        if process.stdout is not None:
            process.stdout.close()

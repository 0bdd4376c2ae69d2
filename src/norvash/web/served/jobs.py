"""Long work in a thread of its own: how far it is, and what came of it."""

import threading
from collections.abc import Callable
from dataclasses import dataclass
from typing import Any

from fastapi import Request

from norvash.errors import NorvashError
from norvash.web.served.logs import log_failure

_MOST_KEPT = 50


@dataclass(slots=True, kw_only=True)
class Job:
    """One piece of work: what it is, the share done, and its result or error once it is over."""

    words: str
    share: float = 0.0
    over: bool = False
    result: Any = None
    error: NorvashError | None = None
    thread: threading.Thread | None = None


class Jobs:
    """The work of one application, by id; old results are forgotten."""

    def __init__(self) -> None:
        self._jobs: dict[str, Job] = {}

    def start(self, job_id: str, words: str, work: Callable[[Callable[[float], None]], Any]) -> Job:
        """Begin work under an id in place of what stood there; `work` is given a function to tell the share done."""
        job = Job(words=words)
        while len(self._jobs) >= _MOST_KEPT:
            self._jobs.pop(next(iter(self._jobs)))
        self._jobs[job_id] = job

        def tell(share: float) -> None:
            job.share = share

        def run() -> None:
            try:
                job.result = work(tell)
            except NorvashError as error:
                job.error = error
            except Exception as error:  # noqa: BLE001  (a thread has nobody else to tell)
                log_failure("broken", error, path=words)
                job.error = NorvashError(
                    "Something in Norvash broke; nothing was half saved.",
                    "Try again; if it comes back, look in the log.",
                )
            job.over = True

        job.thread = threading.Thread(target=run, name=words, daemon=True)
        job.thread.start()
        return job

    def find(self, job_id: str) -> Job | None:
        """Return the work under an id, None where there is none."""
        return self._jobs.get(job_id)


def jobs_of(request: Request) -> Jobs:
    """Return the jobs that run beside the pages."""
    jobs: Jobs = request.app.state.jobs
    return jobs

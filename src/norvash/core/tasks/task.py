"""One task of the work list."""

from dataclasses import dataclass


@dataclass(frozen=True, slots=True, kw_only=True)
class Task:
    """One task: its minutes, tools, steps and cautions; schools say how it is done here."""

    id: str
    what: str
    minutes: int
    tools: str
    steps: tuple[str, ...]
    schools: tuple[str, ...] = ()
    caution: str = ""

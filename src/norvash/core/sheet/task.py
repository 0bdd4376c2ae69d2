"""One task of the work list."""

from dataclasses import dataclass


@dataclass(frozen=True, slots=True, kw_only=True, eq=False)
class Task:
    """One task: its minutes, tools, steps and cautions; schools say how it is done here.

    `done` says that it was done, after the fact. `renews` tells that the set of brushes goes. One that only `looks`
    touches nothing: what is measured after it is as found. One that `runs` the motor opens nothing: what was looked at
    before it stands. `within` are the ids of larger tasks that do it too. One that somebody has added `touches` parts
    of the motor, by their ids. One that mends something for a while stands `in_place_of` the work that it would take:
    what that touches it touches.
    """

    id: str
    what: str
    done: str
    minutes: int
    tools: str
    steps: tuple[str, ...]
    schools: tuple[str, ...] = ()
    caution: str = ""
    renews: bool = False
    looks: bool = False
    runs: bool = False
    within: tuple[str, ...] = ()
    touches: tuple[str, ...] = ()
    in_place_of: tuple["Task", ...] = ()

"""A motor's record in words: what was done, by whom, and what it was before; the acts of one round as one line."""

import json
from collections.abc import Callable, Mapping, Sequence
from dataclasses import dataclass
from datetime import datetime
from itertools import dropwhile
from typing import Any

from norvash.core.doubts import ANSWERS
from norvash.core.figures import BY_NAME
from norvash.core.findings import BY_ID
from norvash.core.use import EVENTS
from norvash.core.words import counter_words, listed
from norvash.store.people import Done

_ROUND_JOBS = ("start a round", "measure", "settle a doubt", "note a finding", "finish a round")
_ANSWERS = dict(ANSWERS)


@dataclass(frozen=True, slots=True)
class _Told:
    """One act's day, its values before and after it, and the motor's unit of use."""

    day: str
    before: Mapping[str, Any]
    after: Mapping[str, Any]
    unit: str


@dataclass(frozen=True, slots=True)
class HistoryLine:
    """One line of the record: the day of its first act, the person, and what was done."""

    at: datetime
    person: str
    words: str


def history(acts: Sequence[Done], unit: str) -> tuple[HistoryLine, ...]:
    """Return a motor's record from its latest acts, both newest first; unit is its unit of use.

    A round of which only the end is among the acts is left out.
    """
    lines: list[HistoryLine] = []
    visit: list[Done] = []
    for act in dropwhile(lambda a: a.job in _ROUND_JOBS and a.job != "start a round", reversed(acts)):
        goes_on = act.job in _ROUND_JOBS and act.job != "start a round"
        if visit and not (goes_on and act.person == visit[0].person and act.at.date() == visit[0].at.date()):
            lines.append(_visit(visit, unit))
            visit = []
        if act.job in _ROUND_JOBS:
            visit.append(act)
        else:
            words = _SAID[act.job](
                _Told(act.at.date().isoformat(), json.loads(act.before_json), json.loads(act.after_json), unit)
            )
            lines.append(HistoryLine(act.at, act.person, words))
    if visit:
        lines.append(_visit(visit, unit))
    return tuple(reversed(lines))


def _visit(acts: Sequence[Done], unit: str) -> HistoryLine:
    """Return the acts of one person at one round as a line."""
    begun, read, said = "went on with a round", list[str](), list[str]()
    for act in acts:
        before, after = json.loads(act.before_json), json.loads(act.after_json)
        if act.job == "start a round" and "set" in after:
            begun = f"measured set {after['set']} at {counter_words(after['counter'], unit)}{_bedded(after)}"
        elif act.job == "measure":
            read.append(f"{after['position']}\u00a0{after['length_mm']:.2f}{_was(before)}")
        elif act.job == "settle a doubt":
            said.append(f"of {before['typed']}: {_ANSWERS.get(after['answer'], after['answer']).lower()}")
        elif act.job == "note a finding":
            gone = "no longer " if after["taken back"] else ""
            said.append(f"{after['position']} {gone}{BY_ID[after['seen']].words}")
    finished = acts[-1].job == "finish a round"
    lengths = f": {', '.join(read)} mm" if read else ""
    only_closed = finished and not read and not said and begun.startswith("went on")
    words = "finished a round" if only_closed else "; ".join([f"{begun}{lengths}", *said])
    return HistoryLine(acts[0].at, acts[0].person, words)


def _bedded(after: Mapping[str, Any]) -> str:
    return ", bedding-in ended" if after["kind"] == "bedded" else ""


def _was(before: Mapping[str, Any]) -> str:
    return f" (before: {before['length_mm']:.2f})" if before else ""


def _added(told: _Told) -> str:
    return f"added the motor as {told.after['tag']}, {told.after['name']}"


def _logged(told: _Told) -> str:
    event, words = told.after["event"], f"logged {counter_words(told.after['counter'], told.unit)}"
    if told.after["day"] != told.day:
        words += f" for {told.after['day']}"
    elif told.before:
        words += f", {counter_words(told.after['total'] - told.before['total'], told.unit)} more"
    if event in EVENTS:
        words += f"; the counter: {EVENTS[event].lower()}"
    return words + ("; the entry before was taken back" if told.after["struck"] else "")


def _took_back(told: _Told) -> str:
    return f"took back the entry of {counter_words(told.before['counter'], told.unit)}"


def _fitted(told: _Told) -> str:
    lengths = ", ".join(f"{label}\u00a0{mm:.2f}" for label, mm in told.after["lengths_mm"].items())
    starts = f"starting at {lengths} mm" if lengths else "lengths not measured"
    return f"fitted set {told.after['set']}, {starts}; set {told.before['set']} ran {counter_words(told.before['ran'], told.unit)}: {told.after['reason']}"


def _changed(told: _Told) -> str:
    """Say which figures changed, each with what it was."""
    names = [n for n in {**told.before, **told.after} if told.before.get(n) != told.after.get(n)]
    words = [f"{_name(n)} {_figure(told.before.get(n))} → {_figure(told.after.get(n))}" for n in names]
    return f"changed {listed(words)}" if words else "kept the figures as they were"


def _name(figure: str) -> str:
    return BY_NAME[figure].label.lower() if figure in BY_NAME else figure


def _figure(value: object) -> str:
    return "not stated" if value is None else f"{value:g}" if isinstance(value, float) else str(value)


def _renewed(told: _Told) -> str:
    made = [label if mm is None else f"{label}\u00a0{mm:.2f} mm" for label, mm in told.after["renewed"].items()]
    return f"renewed {listed(made)} of set {told.before['set']}, the others stayed: {told.after['reason']}"


def _reopened(told: _Told) -> str:
    return f"took back what was said of {told.before['typed']}"


def _policy(told: _Told) -> str:
    return f"added the policy {told.after['policy']}" if told.after else f"ended the policy {told.before['policy']}"


_SAID: dict[str, Callable[[_Told], str]] = {
    "add a motor": _added,
    "log use": _logged,
    "take back use": _took_back,
    "fit a new set": _fitted,
    "change figures": _changed,
    "renew brushes": _renewed,
    "take back an answer": _reopened,
    "add a policy": _policy,
    "end a policy": _policy,
}

"""A motor's record in words: what was done, by whom, and what it was before; the acts on one sheet as one line."""

import json
from collections.abc import Callable, Mapping, Sequence
from dataclasses import dataclass, replace
from datetime import datetime
from functools import lru_cache
from itertools import dropwhile
from typing import Any

from norvash.core.brush.doubts import ANSWERS
from norvash.core.judging.signing import SIGNED_AS
from norvash.core.motor.figure_fields import BY_NAME
from norvash.core.stages.decide import OUTCOME
from norvash.core.state.swapped import swapped_with
from norvash.core.text.words import counter_words, listed
from norvash.core.use.counting import EVENTS
from norvash.core.use.happened import STOOD_STILL
from norvash.core.visit.kept_finding import kept_finding
from norvash.store.record.people import Done
from norvash.store.record.stood import MOVE, RENAME

_ROUND_JOBS = (
    "open a sheet",
    "measure",
    "settle a doubt",
    "note a finding",
    "enter",
    "undo",
    "sign a sheet",
    "say which sight",
    "make it a whole sheet",
)
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
    """One line of the record: the day of its first act, the person, what was done, and on which device of somebody
    signed in.
    """

    at: datetime
    person: str
    words: str
    device: str = ""
    sheet: str = ""


def begins_amid(acts: Sequence[Done]) -> bool:
    """Tell whether the oldest of some acts, newest first, belongs to a visit whose opening is not among them."""
    return bool(acts) and acts[-1].job in _ROUND_JOBS and acts[-1].job != "open a sheet"


def history(acts: Sequence[Done], unit: str, sheet: str = "") -> tuple[HistoryLine, ...]:
    """Return a motor's record from its latest acts, both newest first; unit is its unit of use, `sheet` the one that
    was opened last before them. Each line of a visit names its sheet.

    A visit of which only the end is among the acts is left out.
    """
    lines: list[HistoryLine] = []
    visit: list[Done] = []
    for act in dropwhile(lambda a: a.job in _ROUND_JOBS and a.job != "open a sheet", reversed(acts)):
        goes_on = act.job in _ROUND_JOBS and act.job != "open a sheet"
        if visit and not (goes_on and act.person == visit[0].person and act.at.date() == visit[0].at.date()):
            lines.append(replace(_visit(visit, unit), sheet=sheet))
            visit = []
        sheet = act.result_id if act.job == "open a sheet" else sheet
        if act.job in _ROUND_JOBS:
            visit.append(act)
        else:
            told = _Told(act.at.date().isoformat(), _plain(act.before_json), _plain(act.after_json), unit)
            words = _SAID[act.job](told) if act.job in _SAID else act.job
            of = act.result_id if act.job == "add to a sheet" else ""
            lines.append(HistoryLine(act.at, act.person, f"{words}{_source(told)}{_played(act)}", act.device, of))
    if visit:
        lines.append(replace(_visit(visit, unit), sheet=sheet))
    return tuple(reversed(lines))


@lru_cache(8192)  # what was recorded never changes, and a page reads the same acts again
def _plain(text: str) -> Mapping[str, Any]:
    return json.loads(text) if text != "{}" else {}


def _visit(acts: Sequence[Done], unit: str) -> HistoryLine:
    """Return the acts of one person on one sheet as a line."""
    told = [_Told(a.at.date().isoformat(), _plain(a.before_json), _plain(a.after_json), unit) for a in acts]
    begun, read, said, entered = "went on with a sheet", list[str](), list[str](), 0
    for act, t in zip(acts, told, strict=True):
        if act.job == "open a sheet" and "set" in t.after:
            verb = "measured" if any(a.job == "measure" for a in acts) else "looked at"
            begun = f"{verb} set {t.after['set']} at {counter_words(t.after['counter'], unit)}{_bedded(t.after)}"
        elif act.job == "measure":
            deep = t.after.get("bare_mm")
            shown = f"{t.after['length_mm']:.2f}" if deep is None else f"{deep:.2f} deep"
            read.append(f"{t.after['position']}\u00a0{shown}{_was(t.before) if deep is None else ''}")
        elif act.job in ("enter", "undo"):
            entered += 1
        else:
            said += _said_of(act.job, t)
    lengths = f": {', '.join(read)} mm" if read else ""
    entries = [f"{entered} entr{'y' if entered == 1 else 'ies'}"] if entered else []
    only_signed = (
        acts[-1].job == "sign a sheet" and not read and not entered and len(said) == 1 and begun.startswith("went on")
    )
    words = said[0] if only_signed else "; ".join([f"{begun}{lengths}", *entries, *said])
    return HistoryLine(acts[0].at, acts[0].person, f"{words}{_played(acts[0])}", acts[0].device)


def _source(told: _Told) -> str:
    return f": {told.after['explained']['source']}" if "explained" in told.after else ""


def _played(act: Done) -> str:
    return f"; from a file, played in by {act.played_by}" if act.played_by else ""


def _said_of(job: str, told: _Told) -> list[str]:
    """Return what one act on a sheet says, nothing for one that goes without saying."""
    if job == "settle a doubt":
        return [f"of {told.before['typed']}: {_answer_words(told.after['answer'])}"]
    if job == "note a finding":
        gone = "no longer " if told.after["taken back"] else ""
        return [f"{told.after['position']} {gone}{kept_finding(told.after['seen']).words}"]
    if job == "sign a sheet" and "sheet" in told.after:
        open_too = f" with something open: {told.after['why']}" if told.after["why"] else ""
        outcome = dict(OUTCOME.choices).get(told.after["outcome"], "")
        kind = SIGNED_AS.get(told.after.get("as", ""), "")
        words = f"signed sheet {told.after['sheet']}{f' as {kind[0].lower()}{kind[1:]}' if kind else ''}"
        return [f"{words}{open_too}{f', {outcome}' if outcome and not kind.endswith(outcome) else ''}"]
    if job == "make it a whole sheet":
        return ["went on with it as a whole sheet"]
    return []


def _answer_words(answer: str) -> str:
    """Return the answer to a doubt in words."""
    there = swapped_with(answer)
    return f"it was at position {there} before" if there else _ANSWERS.get(answer, answer).lower()


def _bedded(after: Mapping[str, Any]) -> str:
    return ", bedding-in ended" if after["kind"] == "bedded" else ""


def _was(before: Mapping[str, Any]) -> str:
    return f" (before: {before['length_mm']:.2f})" if before else ""


def _added(told: _Told) -> str:
    since = f"; its brushes have run {told.after['since']}" if "since" in told.after else ""
    return f"added the motor as {told.after['tag']}, {told.after['name']}{since}"


def _since(told: _Told) -> str:
    return f"said of set {told.after['set']} that it has run {told.after['since']}"


def _noted(told: _Told) -> str:
    """Say what was entered from notes, and of which days."""
    counts = [(told.after["noted"][k], w) for k, w in (("rounds", "round"), ("sets", "set"), ("uses", "reading"))]
    parts = [f"{n} {w}{'s' * (n != 1)}{' of use' if w == 'reading' else ''}" for n, w in counts if n]
    first, last = told.after["noted"]["first"], told.after["noted"]["last"]
    days = f"of {first}" if first == last else f"of {first} to {last}"
    return f"entered from notes {listed(parts)}, {days}"


def _notes_gone(told: _Told) -> str:
    return f"took back the notes entered on {told.before['notes of']}"


def _logged(told: _Told) -> str:
    event, words = told.after["event"], f"logged {counter_words(told.after['counter'], told.unit)}"
    if told.after["day"] != told.day:
        words += f" for {told.after['day']} {told.after.get('time', '')}".rstrip()
    elif told.before:
        words += f", {counter_words(told.after['total'] - told.before['total'], told.unit)} more"
    if event in EVENTS:
        words += f"; the counter: {EVENTS[event].lower()}{_ends(told.after)}"
    elif event == STOOD_STILL:
        words += f"; the counter stood still since about {told.after['since']}: estimated"
    return words + ("; the entry before was taken back" if told.after["struck"] else "")


def _ends(after: Mapping[str, Any]) -> str:
    """Return in words where one counter ended and the next began, as far as it was said."""
    said = {
        "old_last": ", the old one to {}",
        "new_first": ", the new one from {}",
        "said_by": ", {} says so or may know",
    }
    known = "".join(words.format(after[name]) for name, words in said.items() if after.get(name))
    return known + (", so it is at least that" if after.get("basis") == "least" else "")


def _took_back(told: _Told) -> str:
    return f"took back the entry of {counter_words(told.before['counter'], told.unit)}"


def _fitted(told: _Told) -> str:
    lengths = ", ".join(f"{label}\u00a0{mm:.2f}" for label, mm in told.after["lengths_mm"].items())
    starts = f"starting at {lengths} mm" if lengths else "lengths not measured"
    ran = counter_words(told.before["ran"], told.unit)
    least = "at least " if told.before.get("at_least") else ""
    old = f"set {told.before['set']} ran {least}{ran}: {told.after['reason']}"
    return f"fitted set {told.after['set']}, {starts}; {old}"


def _changed(told: _Told) -> str:
    """Say which figures changed, each with what it was."""
    names = [n for n in {**told.before, **told.after} if told.before.get(n) != told.after.get(n) and n != "explained"]
    words = [f"{_name(n)} {_figure(told.before.get(n))} → {_figure(told.after.get(n))}" for n in names]
    return f"changed {listed(words)}" if words else "kept the figures as they were"


def _name(figure: str) -> str:
    return BY_NAME[figure].label.lower() if figure in BY_NAME else figure


def _figure(value: object) -> str:
    return "not stated" if value is None else f"{value:g}" if isinstance(value, float) else str(value)


def _renewed(told: _Told) -> str:
    made = [label if mm is None else f"{label}\u00a0{mm:.2f} mm" for label, mm in told.after["renewed"].items()]
    beside = f"; {told.after['beside']}, and stayed all the same" if told.after.get("beside") else ""
    return f"renewed {listed(made)} of set {told.before['set']}, the others stayed: {told.after['reason']}{beside}"


def _confirmed(told: _Told) -> str:
    change = told.after["change"]
    return f"confirmed the change: {change}" if told.after["confirmed"] else f"named the source of a change: {change}"


def _reopened(told: _Told) -> str:
    return f"took back what was said of {told.before['typed']}"


def _policy(told: _Told) -> str:
    came = "policy" in told.after
    return f"added the policy {told.after['policy']}" if came else f"ended the policy {told.before['policy']}"


def _sheet_added(told: _Told) -> str:
    return f"added to sheet {told.after['sheet']}: {told.after['added']}"


_SAID: dict[str, Callable[[_Told], str]] = {
    "confirm a sheet from a file": lambda t: f"confirmed sheet {t.after['sheet']}, which came from a file",
    "add a motor": _added,
    "say since when": _since,
    "enter notes": _noted,
    "take back notes": _notes_gone,
    "log use": _logged,
    "take back use": _took_back,
    "fit a new set": _fitted,
    "change figures": _changed,
    "renew brushes": _renewed,
    "take back an answer": _reopened,
    "confirm a change": _confirmed,
    "add a policy": _policy,
    "end a policy": _policy,
    "add to a sheet": _sheet_added,
    MOVE: lambda t: f"moved it on {t.after['day']} from {t.before['place']} to {t.after['place']}",
    RENAME: lambda t: f"called it {t.after['name']}, which was {t.before['name']}",
    "take back into use": lambda told: f"took it back into use: {told.after['why']}",
}

"""What the gate before anything is taken inside shows."""

from dataclasses import dataclass

from norvash.core.sheet.facts import Facts
from norvash.core.stages.gates import SAFE
from norvash.core.stages.safe import PROTECTED_BY
from norvash.drawing.running.isolation import Place, isolation
from norvash.drawing.svg import Drawing
from norvash.web.stages.shown.at import At
from norvash.web.stages.shown.fields import Entry, entry
from norvash.web.stages.shown.gate import GateShown, gate_shown


@dataclass(frozen=True, slots=True)
class Safe:
    """The gate, and first how it protects against shock, None where that is stated."""

    gate: GateShown
    protection: Entry | None
    drawn: Drawing
    narrow: Drawing


# Where a step is done, and in a few words what: the first that a motor is asked for is drawn at its place.
PLACES = {
    "source": {
        "plug": "plug out",
        "lead": "earth lead off",
        "lock": "own lock, tag",
        "battery": "battery apart",
        "dead": "switched off",
    },
    "terminals": {"dead": "proved dead"},
    "capacitors": {"capacitors": "discharged"},
    "shaft": {"still": "standing still"},
    "turned": {
        "wheels": "wheels chocked",
        "hung": "load pinned",
        "bit": "tool off",
        "belt": "belt off, guarded",
        "neutral": "gear in neutral",
    },
}


# The same by what feeds it, and by what it turns where nothing hangs on it.
_FED = {
    "plug": "plug out",
    "pack": "pack out",
    "fixed": "own lock, tag",
    "line": "line off, locked",
    "battery": "battery apart",
}
_TURNED = {"belt": "belt off", "fan": "fan held", "flywheel": "flywheel held", "blade": "blade held"}


def _words(step_id: str, words: str, facts: Facts) -> str:
    """Return in a few words what is done at a place of this machine."""
    if step_id in ("plug", "lock", "battery"):
        return _FED.get(facts.feed, words)
    return _TURNED.get(facts.turns, "cannot turn") if step_id == "hung" and not facts.load_hangs else words


def _drawn(gate: GateShown, facts: Facts, *, narrow: bool) -> Drawing:
    """Return the way from what feeds it to what it turns: done is what somebody ticked and what still counts, or all
    of it where somebody said the whole gate at once.
    """
    passed = gate.now.state == "passed"
    steps = {s.step.id: passed or (bool(s.entry.word) and not s.anew) for s in gate.steps}
    how = gate.how
    said = how.entry.word if how is not None and not how.anew else ""
    places = []
    for at, known in PLACES.items():
        asked = next((i for i in known if i in steps), None)
        if asked is not None:
            places.append(
                Place(at, _words(asked, known[asked], facts), steps[asked] and (at != "source" or passed or said != ""))
            )
    return isolation(said, how.usual if how is not None else "on-bench", tuple(places), narrow=narrow)


def view(at: At) -> Safe:
    """Return what making safe shows."""
    shown = at.shown
    asked = PROTECTED_BY.is_offered(shown.context.facts, shown.context.rules)
    gate = gate_shown(SAFE, shown)
    return Safe(
        gate,
        entry(shown, PROTECTED_BY) if asked else None,
        _drawn(gate, shown.context.facts, narrow=False),
        _drawn(gate, shown.context.facts, narrow=True),
    )

"""What was measured, judged once: its value, what follows from it, what it is held against, and what it is."""

from collections import Counter
from collections.abc import Iterable, Iterator, Mapping
from dataclasses import dataclass, replace
from datetime import date
from types import MappingProxyType
from typing import Any, Literal, NamedTuple

from norvash.core.grades import GRADES, Grade
from norvash.core.rules.book import MotorRules
from norvash.core.rules.catalogue import RULES
from norvash.core.sheet.field import Field
from norvash.core.sheet.finding import Finding, Noted
from norvash.core.text.words import day_words, figure_said

# What a value is: off with its findings; what is not judged, or not whole, proves nothing; what is recorded has no band
# on any motor.
Standing = Literal["right", "off", "not judged", "not whole", "no band", "recorded"]
_COUNTED: tuple[Standing, ...] = ("right", "off", "not judged", "not whole")
_RIGHT: dict[bool | None, Standing] = {True: "right", False: "off", None: "recorded"}
# What several entries make, or a field by another name, as it is called.
NAMES: Mapping[str, str] = MappingProxyType(
    {
        "band-clear": "Brush on the cut band",
        "battery": "Battery",
        "bearing-age": "Age of the bearing",
        "bush": "Bush on its journal",
        "cable-lost": "Lost between battery and starter",
        "coil": "Coil",
        "coils-alike": "Coils, one beside the other",
        "copper": "Copper",
        "fit-along-rotation": "Clearance in the box, along the rotation",
        "fit-along-shaft": "Clearance in the box, along the shaft",
        "gap": "Bush's clearance in the air gap",
        "gear-run": "Gear run dry",
        "housing": "Bearing in its housing",
        "left-out": "Parts left out",
        "length": "Length",
        "magnets": "Magnets",
        "needle": "Needle bearing on its shaft",
        "new-bush": "New bush on its shaft",
        "odd-bars": "Bars beside the others",
        "polarity": "Polarity of the boxes",
        "polarization": "Polarization index",
        "ring-squeeze": "Squeeze of the ring",
        "run amps": "Run, current",
        "run heat": "Run, heat",
        "run rpm": "Run, speed",
        "run sparks": "Run, sparks",
        "run volts": "Run, volts",
        "run-out": "Run-out",
        "run-out-bars": "Run-out from bar to bar",
        "run-out-fit": "Run-out, its shape",
        "seal-lip": "Lip of the seal on its shaft",
        "seal-recess": "Seal in its recess",
        "settings": "Speed settings",
        "shaft": "Bearing on its shaft",
        "way-lost": "Lost on the way",
        "withstood": "Withstand test",
    }
)


class Derived(NamedTuple):
    """A figure that follows from a value: its words, itself in its unit."""

    words: str
    value: float
    unit: str = ""

    @property
    def said(self) -> str:
        """Return it in words: “share of last time 97.9%”."""
        return f"{self.words} {figure_said(self.value, self.unit)}"


@dataclass(frozen=True, slots=True, kw_only=True)
class Measured:
    """One value, or what several make, as it was judged.

    `id` is that of its field, of what several make a name of its own; `of` are the entries that it is made of as
    (field, place), the last of them is where it is said. `spot` is the number of what it was measured on, 0 for the
    motor: there its findings lie. `value` stands in `unit`, held between `low` and `high` by its `basis`: rule, plate,
    maker, the others of its kind; `notch` is what is usual, `found` what it was as found where it is another now,
    `before` the value of the last sheet that has one and its day. `findings` are what it is where it is off, `answer`
    the sign that it is with its answer, also where it is right. `rests_on` are the rules and figures that could end or
    soften that. `words` is the sentence that everything says of it.
    """

    id: str
    words: str
    standing: Standing
    of: tuple[tuple[str, int], ...]
    spot: int = 0
    value: float | None = None
    unit: str = ""
    low: float | None = None
    high: float | None = None
    basis: str = ""
    notch: float | None = None
    found: float | None = None
    before: tuple[float, date] | None = None
    derived: tuple[Derived, ...] = ()
    findings: tuple[Finding, ...] = ()
    answer: tuple[str, str] | None = None
    rests_on: tuple[str, ...] = ()

    @property
    def right(self) -> bool | None:
        """Tell whether it is right; None where nothing says so."""
        return {"right": True, "off": False}.get(self.standing)

    @property
    def grade(self) -> Grade | None:
        """Return the gravest grade of what it is, None where it is nothing."""
        return max((f.grade for f in self.findings), key=GRADES.index, default=None)

    @property
    def last_said(self) -> str:
        """Return the value of the last sheet in words, empty without one."""
        return f"{figure_said(self.before[0], self.unit)} on {day_words(self.before[1])}" if self.before else ""

    @property
    def rules(self) -> tuple[str, ...]:
        """Return the rules among what it rests on."""
        return tuple(i for i in self.rests_on if i in RULES)

    def as_plain(self) -> dict[str, object]:
        """Return it as plain values that stay readable."""
        return {
            "id": self.id,
            "spot": self.spot,
            "of": [{"field": f, "place": n} for f, n in self.of],
            "value": self.value,
            "unit": self.unit,
            "low": self.low,
            "high": self.high,
            "basis": self.basis,
            "notch": self.notch,
            "found": self.found,
            "before": {"value": self.before[0], "on": self.before[1].isoformat()} if self.before else None,
            "derived": [{"words": d.words, "value": d.value, "unit": d.unit} for d in self.derived],
            "standing": self.standing,
            "grade": self.grade,
            "findings": [f.id for f in self.findings],
            "answer": {"sign": self.answer[0], "answer": self.answer[1]} if self.answer is not None else None,
            "rests_on": list(self.rests_on),
            "words": self.words,
        }


def standing_of(right: bool | None) -> Standing:
    """Return the standing of what is right, off, or only recorded."""
    return _RIGHT[right]


def by_rule(rules: MotorRules, *ids: str) -> str:
    """Return whose a band is that rests on rules: “rule”, or the shop's own with what is usual."""
    own = [f for f in map(rules.figure, ids) if not f.is_default]
    if not own:
        return "rule"
    return f"own rule, default {figure_said(rules.usual(own[0].rule_id), own[0].unit)}"


def read_words(measured: Iterable[Measured]) -> str:
    """Return how much was read and what it is: “11 read: 9 right, 1 off, 1 not judged”, nothing where nothing was."""
    count = Counter(m.standing for m in measured)
    said = ", ".join(f"{count[s]} {s}" for s in _COUNTED if count[s])
    return f"{count.total()} read: {said}" if said else ""


def answers_of(measured: Iterable[Measured], right: tuple[str, ...]) -> dict[str, str]:
    """Return the answers by sign; one that is not among the `right` ones stands over those that are."""
    made: dict[str, str] = {}
    for sign, answer in (m.answer for m in measured if m.answer is not None):
        if answer not in right or sign not in made:
            made[sign] = answer
    return made


def by_entry(measured: Iterable[Measured]) -> dict[tuple[str, int], tuple[Measured, ...]]:
    """Return what was measured by the entry at which it is said, the last of those that it is made of."""
    made: dict[tuple[str, int], tuple[Measured, ...]] = {}
    for m in measured:
        made[m.of[-1]] = (*made.get(m.of[-1], ()), m)
    return made


def unjudged(measured: Iterable[Measured]) -> frozenset[tuple[str, int]]:
    """Return the entries that prove nothing: whatever they are part of is not judged, or not whole."""
    made: dict[tuple[str, int], bool] = {}
    for m in measured:
        for entry in m.of:
            made[entry] = made.get(entry, True) and m.standing in ("not judged", "not whole")
    return frozenset(entry for entry, nothing in made.items() if nothing)


def findings_of(measured: Iterable[Measured]) -> Iterator[Noted]:
    """Yield what is off, each at its spot."""
    yield from ((m.spot, f) for m in measured for f in m.findings)


def follows(words: str, right: bool | None = None, **more: Any) -> Measured:
    """Return what follows from figures of a motor or of a sheet, said as a measured value is, at no entry."""
    return Measured(id="", of=(), words=words, standing=standing_of(right), **more)


def told(words: str, *, off: Finding | None = None, right: bool | None = None, **more: Any) -> Measured:
    """Return what several entries say, before it is known at which of them; `off` with its finding, `right`, or only
    recorded.
    """
    if off is not None:
        return follows(words, right=False, findings=(off,), **more)
    return follows(words, right=right or None, **more)


def unsure(words: str, **more: Any) -> Measured:
    """Return what could not be judged: its words say what that lacks."""
    return replace(follows(words, **more), standing="not judged")


def value_of(field: Field, words: str, standing: Standing, place: int = 0, **more: Any) -> Measured:
    """Return the value of one field at a place, with what else is known of it."""
    return Measured(id=field.id, of=((field.id, place),), words=words, standing=standing, **more)


def judged(field: Field, words: str, place: int = 0, *, off: Finding | None, **more: Any) -> Measured:
    """Return the value of one field that is `off` with its finding, or right."""
    found = () if off is None else (off,)
    return value_of(field, words, standing_of(off is None), place, findings=found, **more)

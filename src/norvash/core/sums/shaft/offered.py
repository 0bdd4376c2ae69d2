"""The sum on a part that is offered: the old one, the new one and the machine, and whether it is the right one."""

from dataclasses import dataclass

from norvash.core.motor.matrix import read_matrix
from norvash.core.parts.answer import Answered
from norvash.core.parts.compare import Offer, compared
from norvash.core.parts.machine import Machine
from norvash.core.parts.sizes import KINDS, LABELS, OF_KIND, Kind, Sizes
from norvash.core.rules.book import MotorRules
from norvash.core.rules.fitting import GRADE_FAMILIES
from norvash.core.sums.registry import Sum, ask, gives
from norvash.errors import InputError

_HINT = "as thickness_mm 5; width_mm 8; length_mm 15"


@dataclass(frozen=True, slots=True, kw_only=True)
class OfferedIn:
    """A part that is offered: one row each of the new and the old one, and what it goes into."""

    kind: str = ask("What it is", "word", choices=tuple((k, k) for k in KINDS), hint=", ".join(KINDS))
    new: list[Sizes] = ask("The new one", "rows", hint=_HINT)
    old: list[Sizes] | None = ask("The old one", "rows", default=None, hint=_HINT)
    volts: float | None = ask("Supply of the machine", "voltage", default=None, above_low=True, high=50_000)
    build: str | None = ask("Its build", "word", default=None)
    matrix: str | None = ask(
        "Which set for which supply and build", "word", default=None, hint="230 V, 2 → LP-B 4; 230 V, * → LP-B 5"
    )
    box_thickness_mm: float | None = ask("Box, along the rotation", "length", default=None, above_low=True, high=500)
    box_width_mm: float | None = ask("Box, along the shaft", "length", default=None, above_low=True, high=500)
    limit_mm: float | None = ask("Limit", "length", default=None, above_low=True, high=500)
    top_free: bool | None = ask("Its top is free of lead and spring", "yes", default=None)
    force_nominal_n: float | None = ask("Nominal spring force", "force", default=None, above_low=True, high=1000)
    shaft_mm: float | None = ask("Shaft", "length", default=None, above_low=True, high=1000)
    housing_mm: float | None = ask("Housing or recess", "length", default=None, above_low=True, high=2000)
    located: bool | None = ask("It holds the shaft at this end", "yes", default=None)
    starter: bool = ask("It is of a starter", "yes", default=False)
    metal_case: bool = ask("The seal has a metal case", "yes", default=False)


@dataclass(frozen=True, slots=True, kw_only=True)
class OfferedOut:
    """The answer with its reasons, and what is not known."""

    answer: str = gives("answer")
    allowed: bool = gives("allowed")
    reasons: tuple[str, ...]
    unknown: tuple[str, ...] = gives("not known")
    advice: str
    rules: tuple[str, ...]


def found_of(given: OfferedIn, rules: MotorRules) -> Answered:
    """Return every point that is compared of a part that is offered.

    Raises: InputError for another kind of part, or sizes that cannot be.
    """
    kind = next((k for k in KINDS if k == given.kind), None)
    if kind is None:
        raise InputError(f"“{given.kind[:40]}” is not a part here.", f"Use one of: {', '.join(KINDS)}.", "kind")
    machine = Machine(
        volts=given.volts,
        build=given.build or "",
        matrix=read_matrix(given.matrix or ""),
        box_thickness_mm=given.box_thickness_mm,
        box_width_mm=given.box_width_mm,
        limit_mm=given.limit_mm,
        top_free=given.top_free,
        force_nominal_n=given.force_nominal_n,
        shaft_mm=given.shaft_mm,
        housing_mm=given.housing_mm,
        located=given.located,
        starter=given.starter,
        metal_case=given.metal_case,
    )
    offer = Offer(
        kind=kind, old=_sizes(given.old or [Sizes()], kind, "old"), new=_sizes(given.new, kind, "new"), machine=machine
    )
    return compared(offer, rules)


def offered_part(given: OfferedIn, rules: MotorRules) -> OfferedOut:
    """Return whether a part that is offered is the right one.

    Raises: InputError that names the field which cannot be so.
    """
    found = found_of(given, rules)
    unknown = f"; not known: {', '.join(found.unknown)}" if found.unknown else ""
    return OfferedOut(
        answer=found.answer,
        allowed=not found.refused,
        reasons=found.reasons,
        unknown=found.unknown,
        advice=f"{found.answer}: {'; '.join(found.reasons) or 'nothing was compared'}{unknown}",
        rules=found.rules,
    )


def _sizes(rows: list[Sizes], kind: Kind, which: str) -> Sizes:
    """Return a part as it was given, once every size is one that its kind has and that can be.

    Raises: InputError for none or several parts, a size that its kind has not, or that is not possible.
    """
    if len(rows) != 1:
        raise InputError(f"{len(rows)} parts stand there.", "Give one, in one row.", which)
    for name in LABELS:
        value = getattr(rows[0], name)
        if value in (None, ""):
            continue
        if name not in OF_KIND[kind]:
            raise InputError(f"A {kind} has no {LABELS[name][0]} here.", f"Give {', '.join(OF_KIND[kind])}.", which)
        if isinstance(value, float) and not (value > 0 or name == "face_angle_deg"):
            raise InputError(f"{LABELS[name][0]}: {value:g} is not possible.", "Give what was measured.", which)
    grade = rows[0].grade
    if grade and grade not in GRADE_FAMILIES:
        raise InputError(f"“{grade}” is not a grade family.", "Use " + ", ".join(GRADE_FAMILIES) + ".", which)
    return rows[0]


SUMS = (
    Sum(
        name="offered-part",
        title="A part that is offered",
        words="Whether a new part is the right one, before the old one comes out: each point with its reason.",
        inputs=OfferedIn,
        compute=offered_part,
        example={
            "kind": "brush set",
            "new": [{"thickness_mm": 5.05, "width_mm": 8.0, "length_mm": 14.0, "part": "LP-B 4"}],
            "old": [{"thickness_mm": 5.0, "width_mm": 8.0, "length_mm": 15.0}],
            "box_thickness_mm": 5.07,
            "box_width_mm": 8.1,
            "limit_mm": 5.0,
        },
    ),
)

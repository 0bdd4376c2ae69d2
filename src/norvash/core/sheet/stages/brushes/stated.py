"""What a set states of itself against what its motor states: another voltage, variant or face angle is not run."""

import re
from collections.abc import Iterator

from norvash.core.edges import over
from norvash.core.motor.figure_fields import BRUSH_GRADE, FACE_ANGLE_DEG, RATED_V, VOLTAGE_VARIANT
from norvash.core.motor.figures import Figures
from norvash.core.motor.record import BrushSet
from norvash.core.sheet.finding import Finding, finding
from norvash.core.sheet.part import BRUSHES
from norvash.core.sheet.stages.shared import FIT_SET
from norvash.core.text.texts import compared
from norvash.core.verdict.grades import Grade

_VOLTS = re.compile(r"(?<![\w.])(\d+(?:[.,]\d+)?)\s*V(?!\w)", re.IGNORECASE)
_ANGLE = re.compile(r"(?<![\w.])(\d+(?:[.,]\d+)?)\s*(?:°|deg(?:rees)?\b)", re.IGNORECASE)
# Plates say 220, 230 or 240 for one supply.
_ALIKE_V, _ALIKE_DEG = 0.1, 1.0


def _wrong(finding_id: str, words: str, grade: Grade, decision: str) -> Finding:
    """Return a finding on what a set states: it is the wrong part, and goes with its set."""
    return finding(
        finding_id, words, grade, decision, BRUSHES, FIT_SET, shows=("wrong-part", "yes"), of_brush=True, of_set=True
    )


FINDINGS = (
    SET_VOLTS := _wrong("set.volts", "a set for another voltage", "stop", "take it out: the wrong part"),
    SET_VARIANT := _wrong("set.variant", "a set of another variant", "stop", "take it out: the wrong part"),
    SET_ANGLE := _wrong("set.angle", "a set with another face angle", "change", "take it out: it stands on an edge"),
)


def differences(of_set: BrushSet, figures: Figures) -> Iterator[Finding]:
    """Yield what a set states otherwise than its motor does; what only one of them states says nothing.

    Source: the part offered against type and motor
    """
    words = f"{of_set.part} {of_set.variant}"
    volts, stated_v = _numbers(_VOLTS, words), _volts_of(figures)
    if volts and stated_v and not any(_alike(v, w) for v in volts for w in stated_v):
        yield SET_VOLTS.saying(f"the set is for {_listed(volts)} V, the motor for {_listed(stated_v)} V")
    variant = _named(of_set.variant)
    wanted = {_named(f.stated(figures)) for f in (VOLTAGE_VARIANT, BRUSH_GRADE)} - {""}
    if variant and wanted and variant not in wanted:
        yield SET_VARIANT.saying(f"the set is variant {_bare(of_set.variant)}, the motor states {_of_motor(figures)}")
    angle, stated_deg = _numbers(_ANGLE, words), FACE_ANGLE_DEG.stated(figures)
    if angle and stated_deg is not None and over(abs(angle[0] - stated_deg), _ALIKE_DEG):
        yield SET_ANGLE.saying(f"faces of {angle[0]:g}°, {stated_deg:g}° by design")


def _volts_of(figures: Figures) -> list[float]:
    """Return the volts that a motor states: of its brushes' variant, else of its plate."""
    rated = RATED_V.stated(figures)
    return _numbers(_VOLTS, VOLTAGE_VARIANT.stated(figures)) or ([] if rated is None else [rated])


def _alike(one: float, other: float) -> bool:
    return not over(abs(one - other), _ALIKE_V * max(one, other))


def _numbers(shape: re.Pattern[str], words: str) -> list[float]:
    return [float(x.replace(",", ".")) for x in shape.findall(words)]


def _bare(words: str) -> str:
    """Return what a text says beside volts and angles."""
    return " ".join(_ANGLE.sub(" ", _VOLTS.sub(" ", words)).replace(",", " ").replace(";", " ").split())


def _named(words: str) -> str:
    bare = _bare(words)
    return compared(bare) if bare else ""


def _of_motor(figures: Figures) -> str:
    return _bare(VOLTAGE_VARIANT.stated(figures)) or _bare(BRUSH_GRADE.stated(figures))


def _listed(values: list[float]) -> str:
    return " or ".join(f"{v:g}" for v in values)

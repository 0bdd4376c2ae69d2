"""What was measured on windings and sensors, as findings."""

from collections.abc import Iterator
from dataclasses import replace

from norvash.core.rules.book import MotorRules
from norvash.core.sheet.finding import Finding, Noted
from norvash.core.sheet.judging.windings.measured import (
    circuit_at,
    circuits_now,
    coils_now,
    field_now,
    heat_now,
    index_now,
    slots_on_growler,
)
from norvash.core.sheet.sheet import Sheet
from norvash.core.sheet.stages.windings.coils import (
    CHAIN_DEAD,
    GROWLER_TEST,
    HEAT_CHAIN,
    WEAR_CHAIN,
    WINDINGS_COIL,
    WINDINGS_GROWLER,
    WINDINGS_HOT,
    WINDINGS_JOINT,
    WINDINGS_OPEN,
    WINDINGS_SHORT,
)
from norvash.core.sheet.stages.windings.insulation import (
    INSULATION_10,
    INSULATION_AGAIN,
    INSULATION_FALLEN,
    INSULATION_LOW,
    INSULATION_MIDDLING,
    POLARIZATION_HOLD,
    POLARIZATION_LOW,
    POLARIZATION_WATCH,
)
from norvash.core.sheet.stages.windings.withstand import withstand_found
from norvash.core.text.words import listed
from norvash.core.verdict.grades import GRADES
from norvash.core.windings.circuits import CIRCUITS
from norvash.core.windings.field_coils import Coils, CoilState
from norvash.core.windings.insulation import Insulation

_OF_COILS: tuple[tuple[Finding, tuple[CoilState, ...]], ...] = (
    (WINDINGS_OPEN, ("open",)),
    (WINDINGS_SHORT, ("shorted",)),
    (WINDINGS_JOINT, ("joint",)),
    (WINDINGS_COIL, ("low", "high")),
)
_OF_INDEX: dict[str, Finding] = {"watch": POLARIZATION_WATCH, "plan": POLARIZATION_LOW, "stop": POLARIZATION_HOLD}


def findings(sheet: Sheet, rules: MotorRules) -> Iterator[Noted]:
    """Return what was measured on windings and sensors."""
    yield from ((0, f) for f in _measured(sheet, rules))


def _measured(sheet: Sheet, rules: MotorRules) -> Iterator[Finding]:
    yield from _of_insulation(sheet, rules)
    yield from withstand_found(sheet)
    for coils, of in ((coils_now(sheet, rules), "field coils"), (field_now(sheet, rules), "field")):
        if coils is not None:
            yield from _coils(coils, of)
    heat = heat_now(sheet, rules)
    if heat is not None and heat.grade != "fit":
        yield replace(WINDINGS_HOT.saying(f"too hot: {heat.words}"), grade=heat.grade)
    if GROWLER_TEST.of(sheet) == "fail":
        slots = [str(n) for n in slots_on_growler(sheet)]
        which = f"slot{'s' if len(slots) > 1 else ''} {listed(slots)}" if slots else "a slot that is not named"
        yield WINDINGS_GROWLER.saying(f"{which} answer{'' if len(slots) > 1 else 's'} on the growler")
    for chain, words in ((WEAR_CHAIN, "wear-indicator chain"), (HEAT_CHAIN, "temperature chain")):
        if chain.of(sheet) in ("open", "closed"):
            yield CHAIN_DEAD.saying(f"{words} {chain.of(sheet)}, should not be")


def _of_insulation(sheet: Sheet, rules: MotorRules) -> Iterator[Finding]:
    """Return what insulation and polarization index say, circuit by circuit."""
    for circuit, found in circuits_now(sheet, rules):
        yield from _insulation("" if circuit == "whole" else f", {CIRCUITS[circuit]},", found)
    for place in INSULATION_10.places(sheet):
        index = index_now(sheet, rules, place)
        if index is not None and index.grade != "fit":
            of = "" if place == 0 else f", {CIRCUITS[circuit_at(sheet, place)]},"
            yield _OF_INDEX[index.grade].saying(f"polarization index{of} {index.words}")


def _coils(coils: Coils, of: str) -> Iterator[Finding]:
    """Return what the resistance of coils says, each kind of fault once, in the words of all."""
    for found, states in _OF_COILS:
        which = coils.of(*states)
        if which:
            grade = max((coils.grades[n - 1] for n in which), key=GRADES.index)
            yield replace(found.saying(f"{of}: {coils.words}"), grade=grade)


def _insulation(of: str, found: Insulation) -> Iterator[Finding]:
    """Return what insulation to earth asks for: what must stop, what proves nothing yet, what is to be watched."""
    first = found.words.split(";")[0]
    if found.again:
        yield INSULATION_AGAIN.saying(f"insulation{of} {found.measured_megohm:.3g} MΩ, {found.again}")
    elif found.grade == "stop":
        yield INSULATION_LOW.saying(f"insulation{of} {first}")
    elif found.fallen:
        words = f"insulation{of} fallen to {found.share or 0:.0%} of last time, {first}"
        yield replace(INSULATION_FALLEN.saying(words), grade=found.grade)
    elif found.grade == "watch":
        yield INSULATION_MIDDLING.saying(f"insulation{of} {first}")

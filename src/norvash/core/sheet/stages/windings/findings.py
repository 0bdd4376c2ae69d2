"""What was measured on windings and sensors, as findings."""

from collections.abc import Iterator
from dataclasses import replace

from norvash.core.rules.book import MotorRules
from norvash.core.sheet.finding import Finding, Noted
from norvash.core.sheet.sheet import Sheet
from norvash.core.sheet.stages.windings.coils import (
    CHAIN_DEAD,
    GROWLER_TEST,
    HEAT_CHAIN,
    WEAR_CHAIN,
    WINDINGS_GROWLER,
    WINDINGS_SHORT,
)
from norvash.core.sheet.stages.windings.insulation import (
    INSULATION_AGAIN,
    INSULATION_FALLEN,
    INSULATION_LOW,
    INSULATION_MIDDLING,
    POLARIZATION_HOLD,
    POLARIZATION_LOW,
    POLARIZATION_WATCH,
)
from norvash.core.sheet.stages.windings.measured import coils_now, index_now, insulation_now, slots_on_growler
from norvash.core.text.words import listed
from norvash.core.windings.insulation import Insulation

_OF_INDEX: dict[str, Finding] = {"watch": POLARIZATION_WATCH, "plan": POLARIZATION_LOW, "stop": POLARIZATION_HOLD}


def findings(sheet: Sheet, rules: MotorRules) -> Iterator[Noted]:
    """Return what was measured on windings and sensors."""
    yield from ((0, f) for f in _measured(sheet, rules))


def _measured(sheet: Sheet, rules: MotorRules) -> Iterator[Finding]:
    insulation, index, coils = insulation_now(sheet, rules), index_now(sheet, rules), coils_now(sheet, rules)
    if insulation is not None:
        yield from _insulation(insulation)
    if index is not None and index.grade != "fit":
        yield _OF_INDEX[index.grade].saying(f"polarization index {index.words}")
    if coils is not None and coils.off:
        yield WINDINGS_SHORT.saying(f"field coils: {coils.words}")
    if GROWLER_TEST.of(sheet) == "fail":
        slots = [str(n) for n in slots_on_growler(sheet)]
        which = f"slot{'s' if len(slots) > 1 else ''} {listed(slots)}" if slots else "a slot that is not named"
        yield WINDINGS_GROWLER.saying(f"{which} answer{'' if len(slots) > 1 else 's'} on the growler")
    for chain, words in ((WEAR_CHAIN, "wear-indicator chain"), (HEAT_CHAIN, "temperature chain")):
        if chain.of(sheet) in ("open", "closed"):
            yield CHAIN_DEAD.saying(f"{words} {chain.of(sheet)}, should not be")


def _insulation(found: Insulation) -> Iterator[Finding]:
    """Return what insulation to earth asks for: what must stop, what proves nothing yet, what is to be watched."""
    first = found.words.split(";")[0]
    if found.again:
        yield INSULATION_AGAIN.saying(f"insulation {found.measured_megohm:.3g} MΩ, {found.again}")
    elif found.grade == "stop":
        yield INSULATION_LOW.saying(f"insulation {first}")
    elif found.fallen:
        words = f"insulation fallen to {found.share or 0:.0%} of last time, {first}"
        yield replace(INSULATION_FALLEN.saying(words), grade=found.grade)
    elif found.grade == "watch":
        yield INSULATION_MIDDLING.saying(f"insulation {first}")

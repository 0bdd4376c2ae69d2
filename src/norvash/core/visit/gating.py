"""How a gate stands: by what people said, and by the figures and findings that hold it shut."""

from dataclasses import replace

from norvash.core.sheet.gate import Gate, GateNow, Waived
from norvash.core.sheet.given import Given
from norvash.core.sheet.held import Held
from norvash.core.stages.gates import POWER, SERVICE
from norvash.core.visit.gate_ticked import fresh, ticked
from norvash.core.visit.visit import Keeps, Visit
from norvash.core.visit.walk import stages_of

HELD: dict[str, Keeps] = {POWER.id: "power", SERVICE.id: "service"}


def gate_now(gate: Gate, visit: Visit) -> GateNow:
    """Return how a gate stands at a visit: one that is held is open, whatever was ticked, unless somebody waived what
    holds it.
    """
    known: GateNow | None = visit.worked_out.get(f"gate.{gate.id}")
    if known is None:
        known = visit.worked_out[f"gate.{gate.id}"] = _put_together(gate, visit)
    return known


def _put_together(gate: Gate, visit: Visit) -> GateNow:
    now, keeps = ticked(gate, visit.sheet, visit.rules), HELD.get(gate.id)
    if keeps is None or now.state == "waived":
        return now
    every = [h for stage in stages_of(visit.sheet) for h in visit.held(stage, keeps)]
    waived = tuple(w for h in every if (w := _waived(gate, h, visit)) is not None)
    ids = {w.id for w in waived}
    held = tuple(h for h in every if h.id not in ids)
    now = replace(now, held=held, waived=waived, fallen=(*now.fallen, *_fallen(gate, every, ids, visit)))
    if held:
        return replace(now, state="open")
    if now.is_open or not waived:
        return now
    last = max(waived, key=lambda w: w.at)
    return replace(now, state="waived", person=last.person, at=last.at, why=last.why)


def may_be_waived(hold: Held, visit: Visit) -> bool:
    """Tell whether somebody may waive a hold: it is not known, and nothing that would tell it was taken back at this
    visit without another reading.
    """
    return hold.waiver is not None and not slipped(hold, visit)


def slipped(hold: Held, visit: Visit) -> bool:
    """Tell whether what would tell a hold was found grave at this visit, taken back, and not read again."""
    told = {f.id for field in hold.read for f in field.tells}
    return any(
        x.state == "withdrawn" and x.finding.grade in ("change", "stop") and x.finding.id in told
        for x in visit.found.lives
    )


def waiver_given(hold: Held, visit: Visit) -> Given | None:
    """Return the waiver that somebody entered on a hold, None without one."""
    return hold.waiver.given(visit.sheet) if hold.waiver is not None else None


def _waived(gate: Gate, hold: Held, visit: Visit) -> Waived | None:
    """Return the waiver of a hold that counts: it lapses with the next work."""
    given = fresh(gate, waiver_given(hold, visit), visit.sheet)
    if given is None or not may_be_waived(hold, visit):
        return None
    return Waived(id=hold.id, words=hold.words, person=given.person, at=given.at, why=given.why or given.word)


def _fallen(gate: Gate, every: list[Held], waived: set[str], visit: Visit) -> tuple[str, ...]:
    """Return which waivers count no longer, and why."""
    made, whole = [], gate.waived.given(visit.sheet)
    if whole is not None and all(h.waiver is not gate.waived for h in every):
        made.append(
            f"The waiver of {whole.person} counts no longer: only what is not known is waived, each by its name"
        )
    for hold in every:
        given = waiver_given(hold, visit)
        if given is not None and hold.id not in waived:
            why = "what was taken back is read again first" if slipped(hold, visit) else "work was done since"
            made.append(f"The waiver of {given.person} counts no longer, {why}: {hold.words}")
    return tuple(made)

"""What a sheet says after a stage, as plain values: its line, its parts, the work, the gates, what is open."""

from collections.abc import Mapping
from datetime import date

from norvash.core.judging.signing import SIGNED_AS
from norvash.core.sheet.part import COMPLAINT
from norvash.core.stages.catalogue import STAGE_BY_ID
from norvash.core.stages.gates import GATES
from norvash.core.state.component import Component
from norvash.core.visit.gating import gate_now
from norvash.core.visit.proving import state_words
from norvash.core.visit.walk import look_words
from norvash.store.file.database import Connection
from norvash.work.reading.sheet_now import SheetNow, sheet_now
from norvash.work.told.offers import offers_lines, offers_told
from norvash.work.told.says import says_told
from norvash.work.told.stacks import stacks_lines, stacks_told
from norvash.work.told.ways import ways_lines, ways_told

Plain = dict[str, object]
_BESIDE = {"opened": "Opened", "record": "The record"}


def stage_told(conn: Connection, sheet_id: str, stage: str, entries: int, today: date) -> Plain:
    """Return what a sheet says after so many entries at a stage; of a signed one, what it was signed with."""
    page = sheet_now(conn, sheet_id, today)
    told: Plain = {
        "stage": stage,
        "words": STAGE_BY_ID[stage].words if stage in STAGE_BY_ID else _BESIDE.get(stage, stage),
        "entries": entries,
    }
    return told | (_signed(page) if page.row.signed_at is not None else _now(conn, page))


def _now(conn: Connection, page: SheetNow) -> Plain:
    visit = page.visit
    gates = [(g, gate_now(g, visit)) for g in GATES.values()]
    return {
        "line": page.said.sentence,
        "grade": page.grade,
        "parts": [
            {"part": c.id, "grade": c.grade, "words": f"{c.words}: {c.word or _unfound(page, c)}"}
            for c in page.found.components
        ],
        "findings": [
            {
                "finding": x.finding.id,
                "position": x.position,
                "state": x.state,
                "words": f"{x.place}: {x.finding.words} ({state_words(x)})",
            }
            for x in visit.lives
            if x.finding.part is not COMPLAINT
        ],
        "work": [
            {"task": w.task.id, "done": w.done is not None, "words": w.task.done if w.done else w.task.what}
            for w in page.work
        ],
        "gates": [
            {
                "gate": g.id,
                "state": now.state,
                "missing": list(now.missing),
                "words": f"{g.words}: {now.state}{': ' if now.missing else ''}{'; '.join(now.missing)}",
            }
            for g, now in gates
        ],
        "offers": list(offers_lines(offers_told(page.visit))),
        "stacks": list(stacks_lines(stacks_told(page.visit))),
        "ways": ways_lines(ways_told(page)),
        "because": [r.text for r in page.said.reasons],
        "says": says_told(conn, page),
        "open": [h.words for h in page.holds],
    }


def _unfound(page: SheetNow, part: Component) -> str:
    """Return what is said of a part of which nothing speaks."""
    return look_words(page.visit, part.part)


def _signed(page: SheetNow) -> Plain:
    signed = page.row.signed
    told = page.told or {}
    kind = signed.get("signed_as", "")
    return {
        "line": signed.get("sentence", ""),
        "grade": page.signed_grade,
        "signed_as": kind,
        "parts": [{**p, "words": _part_words(told, p)} for p in _dicts(told.get("parts"))],
        "findings": [
            {
                "finding": f["finding"],
                "position": f["position"],
                "state": f["state"],
                "words": f"{f['place']}: {f['words']} ({f['state_words']})",
            }
            for f in _dicts(told.get("findings"))
        ],
        "work": [{"words": d["words"], "done": True} for d in _dicts(told.get("done"))],
        "gates": [{"words": f"Signed: {SIGNED_AS.get(str(kind), kind)}"}],  # type: ignore[call-overload]
        "offers": list(offers_lines(told.get("offers"))),
        "stacks": list(stacks_lines(told.get("stacks"))),
        "ways": ways_lines(told.get("ways")),
        "open": signed.get("open", []),
        "why": signed.get("why", ""),
        "run": told.get("run", ""),
    }


def _part_words(told: Mapping[str, object], part: Plain) -> str:
    unseen = told.get("not_looked_at")
    looked = "not looked at" if isinstance(unseen, list) and part["words"] in unseen else "nothing found"
    return f"{part['words']}: {part['word'] or part.get('looked') or looked}"


def _dicts(value: object) -> list[Plain]:
    return [x for x in value if isinstance(x, dict)] if isinstance(value, list) else []

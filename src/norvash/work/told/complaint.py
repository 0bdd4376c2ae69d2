"""What was complained of at a visit, as it is told once its sheet is signed."""

from norvash.core.stages.call_in import COMPLAINT as COMPLAINT_WORDS
from norvash.core.stages.call_in import DUE, complained
from norvash.core.stages.call_in import STAGE as CALL_IN
from norvash.core.stages.prove.complaint import COMPLAINT_NOW, cause_words
from norvash.work.reading.sheet_now import SheetNow

Plain = dict[str, object]
_MOST_CAUSES = 3


def complaint_told(page: SheetNow) -> Plain:
    """Return what was complained of, how that was answered, and what it was."""
    sheet = page.sheet
    signs = [f.sign.said(f.of(sheet)) for f in CALL_IN.picked if f.of(sheet)]
    answer = dict(COMPLAINT_NOW.choices).get(COMPLAINT_NOW.of(sheet), "")
    said = COMPLAINT_WORDS.of(sheet)
    words = "; ".join(filter(None, ("none: it was due" if DUE.of(sheet) and not complained(sheet) else "", said)))
    return {"words": words, "signs": signs, "answer": answer, "cause": cause_words(sheet), "answers": _answers(page)}


def _answers(page: SheetNow) -> list[Plain]:
    """Return how it was answered whether the complaint is gone, each with what was done before it since the last."""
    made: list[Plain] = []
    last, words = page.sheet.at, dict(COMPLAINT_NOW.choices)
    for g in page.sheet.answers:
        done = [w.task.done for w in page.work if w.done is not None and last < w.done.at <= g.at]
        made.append({"words": words.get(g.word, g.word), "person": g.person, "at": g.at.isoformat(), "after": done})
        last = g.at
    return made


def causes_told(page: SheetNow) -> list[Plain]:
    """Return the likeliest causes, by what was found."""
    ranked = page.cause.ranked[:_MOST_CAUSES] if page.cause is not None else ()
    return [{"words": r.cause.words, "chance": round(r.chance, 3)} for r in ranked]

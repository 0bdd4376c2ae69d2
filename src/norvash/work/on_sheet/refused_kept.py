"""What a judgement refused as it was entered by hand: it changes nothing, and its sheet keeps it with its reason."""

from dataclasses import replace
from hashlib import sha256

from norvash.core.sheet.given import Given
from norvash.core.stages.catalogue import field_of
from norvash.core.stages.decide import answer_words
from norvash.core.stages.sign import REFUSED, refused_given
from norvash.core.visit.named import field_words, place_words
from norvash.core.visit.permit import MOST_TEXT
from norvash.errors import JudgedAgainst
from norvash.store.file.database import Connection
from norvash.store.record import people, sheets
from norvash.work.act.acting import Act, Change
from norvash.work.on_sheet.entered import entered
from norvash.work.reading.context import Context
from norvash.work.reading.loading import load
from norvash.work.reading.saying import Saying, say


def keep_refused(
    conn: Connection, act: Act, sheet_id: str, *, field_id: str, place: int, text: str, no: JudgedAgainst
) -> None:
    """Keep on an open sheet what was asked at one place of it and is refused, once for the same words.

    Raises: what `say` raises.
    """
    motor_id = sheets.fetch_sheet(conn, sheet_id).motor_id
    context = load(conn, motor_id)
    words = _words(context, field_id, place, text, no)
    sheet = context.open_sheet
    if sheet is None or sheet.id != sheet_id or any(g.typed == words for g in refused_given(sheet)):
        return
    kept = replace(act, id=sha256(f"{act.id} {words}".encode()).hexdigest()[:32])

    def prepare(now: Act) -> Saying:
        context = load(conn, motor_id)
        number = max(REFUSED.places(context.open_sheet or sheet), default=0) + 1
        person = people.fetch_person(conn, now.person_id).name
        given = Given(id=now.id, typed=words, word=words, number=None, person=person, at=now.at)
        said = entered(context, REFUSED, (REFUSED.id, number, "found"), given)
        change = Change(now.id, {}, {"field": REFUSED.id, "place": number, "typed": words}, motor_id)
        return Saying(context=context, said=(said,), change=change)

    say(conn, kept, "enter", typed={"sheet": sheet_id, "field": REFUSED.id, "text": words}, prepare=prepare)


def _words(context: Context, field_id: str, place: int, text: str, no: JudgedAgainst) -> str:
    """Return what was asked, where, and why it was refused."""
    field = field_of(field_id)
    if field is None:
        raise LookupError(field_id)
    asked = answer_words(field, text.strip(), text.strip())
    named = f"{field_words(field)}{place_words(field, place, {p.number: p.label for p in context.positions})}"
    why = no.problem.removeprefix("Refused: ").rstrip(".")
    return f"{named}{'' if asked in ('', 'yes') else f', {asked}'}: refused, {why[0].lower()}{why[1:]}"[:MOST_TEXT]

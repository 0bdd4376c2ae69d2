"""Take back what somebody entered last on a sheet."""

from collections.abc import Mapping
from datetime import timedelta

from norvash.core.record.brushes import BrushSeen, ReadingStands
from norvash.core.record.sheet import Entered, TakenBack
from norvash.core.stages.brushes.stage import BY_SIGHT
from norvash.core.stages.catalogue import field_of
from norvash.core.stages.decide import answer_words
from norvash.core.text.words import listed
from norvash.core.visit.asked import misfits
from norvash.core.visit.named import field_words, place_words
from norvash.errors import Conflict
from norvash.store.file.database import Connection
from norvash.store.record import entries, last_done, people, rounds
from norvash.work.act.acting import Act, Change
from norvash.work.on_sheet.entered import entered, told
from norvash.work.on_sheet.sheets import kept_field, unsigned
from norvash.work.on_sheet.sighting import reason_of
from norvash.work.reading.context import Context
from norvash.work.reading.loading import load
from norvash.work.reading.saying import Saying, say
from norvash.work.reading.standing import foresee, judge

_MOST = 60


# One's own last act is taken back at once without a reason within this time.
_AT_ONCE = timedelta(minutes=2)


def undo(conn: Connection, act: Act, sheet_id: str, what: str = "", why: str = "") -> str:
    """Take back what this person entered last on a sheet, `what` as they saw it named; return its id.

    Later than at once it needs a reason where it ends what was to be changed or stopped. Raises: Conflict when there is
    nothing left to take back, something else was entered since, or what somebody else entered rests on it; InputError
    at “why”.
    """

    def prepare(now: Act) -> Saying:
        row = unsigned(conn, sheet_id)
        last = last_done.last_of(conn, sheet_id, now.person_id)
        if last is None:
            raise Conflict("There is nothing of yours to take back on this sheet.", "Change it where it stands.")
        if what and what != last.id:
            raise Conflict("Something else was entered since.", "Look at what the button names now.")
        context = load(conn, row.motor_id)
        person = people.fetch_person(conn, now.person_id).name
        back = TakenBack(id=last.id, then=_behind(conn, context, last))
        judged = foresee(conn, [told(conn, context, back)], now.at.date())[0]
        _nobody_rests_on_it(context, judged.context, person)
        reason = why.strip()
        if now.at - last.at > _AT_ONCE:
            reason_of(judge(context, now.at.date()).found.lives, judged.found.lives, "Taking that back", why)
        before = {"kind": last.kind, "field": last.field, "place": last.place, "typed": last.typed}
        change = Change(last.id, before, {"why": reason} if reason else {}, context.motor.id)
        return Saying(context=context, said=(back,), change=change, judged=judged, why=reason or "taken back at once")

    said = {k: v for k, v in {"what": what, "why": why.strip()}.items() if v}
    return say(conn, act, "undo", typed={"sheet": sheet_id, **said}, prepare=prepare)


def _nobody_rests_on_it(context: Context, without: Context, person: str) -> None:
    """Refuse to take back work after which somebody else entered a value as left."""
    before, after = context.open_sheet, without.open_sheet
    if before is None or after is None:
        return
    loose = set(misfits(after, without.state.told.new)) - set(misfits(before, context.state.told.new))
    others = [g for spot in sorted(loose) if (g := after.written[spot]).person != person]
    if others:
        said = listed([f"“{g.typed}” by {g.person}" for g in others])
        raise Conflict(
            f"{said[0].upper()}{said[1:]} was entered as left after it, and rests on it.",
            f"Have {others[0].person} take that back first; then take this back.",
        )


def last_named(conn: Connection, sheet_id: str, person_id: str, labels: Mapping[int, str]) -> tuple[str, str] | None:
    """Return the id and the words of what undo would take back for a person, None where nothing of theirs is left.

    `labels` are those of the positions.
    """
    last = last_done.last_of(conn, sheet_id, person_id)
    if last is None:
        return None
    if last.kind == "entry":
        words = _named(last.field, last.place, labels)
    else:
        seen_words = BY_SIGHT[last.field].words if last.field in BY_SIGHT else last.field
        words = f"{seen_words if last.kind == 'finding' else 'length'} {labels.get(last.place, '')}".strip()
    said = "" if last.typed == "yes" else answer_words(field_of(last.field), last.typed, last.typed)
    told = f"{words[0].lower()}{words[1:]}"
    return last.id, (f"{told.rstrip('?')}: {said}" if said else told)[:_MOST]


def _named(field_id: str, place: int, labels: Mapping[int, str]) -> str:
    """Return what an entry is called, and where it stands; of a field that only another version has its name."""
    field = field_of(field_id)
    return field_id if field is None else f"{field_words(field)}{place_words(field, place, labels)}"


def _behind(conn: Connection, context: Context, last: last_done.LastDone) -> Entered | ReadingStands | BrushSeen:
    """Return what stands where something was entered last once that is taken back: what it replaced counts again."""
    if last.kind == "entry":
        behind, spot = entries.entry_behind(conn, last.id), (last.field, last.place, last.sight)
        return entered(context, kept_field(last.field), spot, behind)
    if last.kind == "reading":
        measured = rounds.reading_behind(conn, last.id)
        return ReadingStands(round_id=last.round_id, position=last.place, measured=measured, sight=last.sight)
    there = next(f for s in context.sets for r in s.rounds for n, f in r.seen if (n, f.id) == (last.place, last.field))
    return BrushSeen(round_id=last.round_id, position=last.place, finding=there, sight=last.sight, gone=True)

"""What was taken while a stop stood, and comes later: from the queue of a browser, or from a file."""

from norvash.core.sheet.field import Field
from norvash.core.sheet.given import Given
from norvash.core.sheet.sheet import Sheet
from norvash.core.stages.prove.run_fields import ON_STOP
from norvash.core.stages.sign import REFUSED
from norvash.errors import InputError, StopForbids, StopHolds
from norvash.work.act.acting import Act, Change, InSession
from norvash.work.on_sheet.entered import entered
from norvash.work.reading.context import Context
from norvash.work.reading.saying import Saying
from norvash.work.reading.standing import judge

_MOST = 160
_BY_ITSELF: dict[Field, tuple[str, str, str]] = {
    ON_STOP: ("taken while a stop stood", "Mend what stopped it, then run it again: that ends it.", "value"),
    REFUSED: ("refused", "Enter what was done: both stand on the sheet.", "value"),
}


def comes_later(act: Act) -> bool:
    """Tell whether an act tells of what was done before it was sent: it is no use to refuse it."""
    return act.record is not None or (isinstance(act.origin, InSession) and act.origin.waited)


def refuse_by_hand(act: Act, field: Field) -> None:
    """Refuse to write or to empty by hand what is kept by itself: a file brings it as it was.

    Raises: InputError.
    """
    if field in _BY_ITSELF and act.record is None:
        raise InputError(f"What was {_BY_ITSELF[field][0]} is kept by itself, and not edited.", *_BY_ITSELF[field][1:])


def given_on_stop(act: Act, person: str, field: Field, text: str, stop: StopHolds | StopForbids) -> Given:
    """Return a value as it is kept: in words, with what power waited for; it is no reading of a proof run."""
    words = f"{field.label.lower()} {text.strip()}; {stop.problem[0].lower()}{stop.problem[1:]}"[:_MOST].rstrip(".")
    return Given(id=act.id, typed=words, word=words, number=None, person=person, at=act.at)


def taken_on_stop(context: Context, sheet: Sheet, given: Given) -> Saying:
    """Return what keeps a value that was taken on a stop, beside every run, under the next number."""
    place = max(ON_STOP.places(sheet), default=0) + 1
    said = entered(context, ON_STOP, (ON_STOP.id, place, "found"), given)
    judged = judge(context.after(said), given.at.date())
    change = Change(given.id, {}, {"field": ON_STOP.id, "place": place, "typed": given.typed}, context.motor.id)
    return Saying(context=context, said=(said,), change=change, judged=judged)

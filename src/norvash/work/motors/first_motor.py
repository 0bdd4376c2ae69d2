"""The first motor of an empty shop: how it would be judged while it is typed, and kept as it was typed."""

import re
from collections.abc import Mapping
from dataclasses import dataclass
from datetime import datetime
from types import MappingProxyType

from norvash.core.motor.classes import TEMPLATES
from norvash.errors import NorvashError, SeveralErrors
from norvash.store.file.database import Connection
from norvash.work.motors.registering import NewMotor, tried
from norvash.work.motors.stating import SinceTyped
from norvash.work.reading.standing import Judged

# What stands in the fields until something is typed.
EXAMPLE: Mapping[str, str] = MappingProxyType(
    {
        "name": "Mitre saw",
        "motor_class": "tool",
        "new_length": "15.0",
        "limit": "5.5",
        "worst": "9.2",
        "ran": "620",
        "use_a_week": "7",
    }
)
_PLAIN = re.compile(r"\d[\d.,\s]*h?")
NO_PLACE = "place not said"
# Where an error of the job lies on this form.
_AT: Mapping[str, str] = MappingProxyType(
    {"tag": "name", "new_mm": "new_length", "limit_mm": "limit", "since_ran": "ran", "use_per_week_units": "use_a_week"}
)
_MISSING: Mapping[str, str] = MappingProxyType(
    {
        "motor_class": "What is it? Its class says how such a set usually wears.",
        "worst": "How long is its worst brush now?",
        "ran": "How long has it run since its brushes were new? Years will do.",
        "use_a_week": "How much does it run a week? That makes a day of the hours.",
    }
)


@dataclass(frozen=True, slots=True, kw_only=True)
class Tried:
    """What comes out of what is typed so far: the motor as it would be judged, what is wrong at a field, and what is
    still to be said.
    """

    judged: Judged | None
    errors: Mapping[str, NorvashError]
    missing: tuple[str, ...]


def motor_typed(typed: Mapping[str, str]) -> NewMotor:
    """Return what is typed as a new motor, which is called by its name until somebody gives it a tag."""
    said = {field: typed.get(field, "").strip() for field in EXAMPLE}
    return NewMotor(
        tag=said["name"],
        name=said["name"],
        place=NO_PLACE,
        motor_class=said["motor_class"],
        type_id="",
        brushes="",
        new_length=said["new_length"],
        limit=said["limit"],
        unit_of_use="",
        # Nobody has named a counter: its use is counted from when the set was new.
        use_now=said["ran"] if _PLAIN.fullmatch(said["ran"]) else "",
        set_is_new=False,
        figures={"use_per_week_units": said["use_a_week"]},
        since=SinceTyped(ran=said["ran"]),
        answer=typed.get("answer", ""),
        worst=said["worst"],
    )


def try_first(conn: Connection, typed: Mapping[str, str], now: datetime) -> Tried:
    """Return what comes of a motor that is being typed; nothing is written, and what cannot be read is left out."""
    said = {**typed, "name": typed.get("name", "").strip() or EXAMPLE["name"]}
    missing = tuple(words for field, words in _MISSING.items() if not said.get(field, "").strip())
    if said.get("motor_class", "") not in TEMPLATES:
        return Tried(judged=None, errors={}, missing=missing)
    errors: dict[str, NorvashError] = {}
    while True:
        try:
            # Without the hours that it has run a length tells of no rate.
            given = said if said.get("ran", "").strip() else {**said, "worst": ""}
            return Tried(judged=tried(conn, motor_typed(given), now), errors=errors, missing=missing)
        except NorvashError as error:
            new = errors_on_form(error)
            errors |= new
            if not any(said.get(field, "") for field in new if field != "name"):
                return Tried(judged=None, errors=errors, missing=missing)
            said |= dict.fromkeys((field for field in new if field != "name"), "")


def errors_on_form(error: NorvashError) -> dict[str, NorvashError]:
    """Return errors by the fields of this form; what lies at none of them is the name's."""
    found = error.errors if isinstance(error, SeveralErrors) else [error]
    return {_field(e): e for e in found}


def _field(error: NorvashError) -> str:
    field = _AT.get(error.field or "", error.field or "")
    return field if field in EXAMPLE else "name"

"""Which role may use which address: one list of all of them; an address that is not in it is refused to everybody."""

from collections.abc import Mapping
from types import MappingProxyType
from typing import Literal

from norvash.store.access.members import Role

Need = Role | Literal["open"]

# Without anybody signed in: to sign in, this device's light, and how the database is, for where that cannot be read
# nobody is known. The feed asks for its own key.
_OPEN = """
GET /who
POST /who
POST /who/first
POST /who/code
POST /who/pin
POST /light
GET /healthz
GET /state
GET /outlook/norvash.ics
POST /api/v1/session
"""
_VIEWER = """
GET /
GET /day
GET /find
GET /first
GET /hours
GET /motors
GET /motors/{motor_id}
GET /motors/{motor_id}/drawings/{name}.svg
GET /motors/{motor_id}/hours
GET /motors/{motor_id}/place
GET /motors/{motor_id}/record
GET /notes/import/{file_id}
GET /hours/import/{file_id}
GET /outlook
GET /outlook/past
GET /outlook/river.svg
GET /policies/{scope}/{scope_id}
GET /put-off
GET /rulebook
GET /rulebook/causes
GET /rulebook/{rule_id}
GET /sheets/{sheet_id}
GET /sheets/{sheet_id}/bar-map
GET /sheets/{sheet_id}/cut
GET /sheets/{sheet_id}/file
GET /sheets/{sheet_id}/measured.csv
GET /sheets/{sheet_id}/version
GET /sheets/{sheet_id}/{stage}
GET /sums
GET /sums/{name}
GET /sums/{name}/small.svg
GET /types
GET /types/{type_id}
GET /types/{type_id}/table
GET /types/{type_id}/table.csv
POST /keys
POST /who/out
POST /who/password
POST /who/own-pin
POST /who/sessions/{session_id}
GET /api/v1/session
DELETE /api/v1/session
GET /api/v1/motors/{motor_id}
GET /api/v1/sheets/{sheet_id}
GET /api/v1/sums
POST /api/v1/sums/{name}
GET /api/v1/openapi.json
"""
_TECHNICIAN = """
GET /hours/import
GET /motors/new
GET /motors/{motor_id}/figures
GET /motors/{motor_id}/new-set
GET /motors/{motor_id}/notes
GET /motors/{motor_id}/sheet
GET /notes/import
GET /outlook/dark
GET /outlook/past/learn
GET /sheets/{sheet_id}/gauge
GET /sheets/{sheet_id}/meter
GET /types/new
POST /first
POST /hours/import
POST /hours/import/{file_id}/match
POST /hours/import/{file_id}/take
POST /hours/{motor_id}/row
POST /motors
POST /motors/{motor_id}/changes/{moved_id}
POST /motors/{motor_id}/figures
POST /motors/{motor_id}/hours
POST /motors/{motor_id}/hours/take-back
POST /motors/{motor_id}/name
POST /motors/{motor_id}/place
POST /motors/{motor_id}/notes
POST /motors/{motor_id}/notes/set
POST /motors/{motor_id}/notes/{batch_id}/take-back
POST /motors/{motor_id}/sets
POST /motors/{motor_id}/sheets
POST /motors/{motor_id}/since
POST /motors/{motor_id}/use-again
POST /notes/import
POST /notes/import/{file_id}/take
POST /notes/{batch_id}/take-back
POST /outlook/dark
POST /outlook/dark/{window_id}
POST /policies/{policy_id}
POST /policies/{scope}/{scope_id}
POST /readings/{reading_id}/answer
POST /readings/{reading_id}/doubt
POST /sheets/{sheet_id}/additions
POST /sheets/{sheet_id}/confirm
POST /sheets/{sheet_id}/entries
POST /sheets/{sheet_id}/figures
POST /sheets/{sheet_id}/findings
POST /sheets/{sheet_id}/readings
POST /sheets/{sheet_id}/set
POST /sheets/{sheet_id}/sights
POST /sheets/{sheet_id}/sign
POST /sheets/{sheet_id}/undo
POST /sheets/{sheet_id}/whole
POST /types
POST /api/v1/motors/{motor_id}/changes/{moved_id}
POST /api/v1/motors/{motor_id}/figures
POST /api/v1/motors/{motor_id}/notes
POST /api/v1/motors/{motor_id}/renewals
POST /api/v1/motors/{motor_id}/sets
POST /api/v1/motors/{motor_id}/sheets
POST /api/v1/motors/{motor_id}/since
POST /api/v1/motors/{motor_id}/name
POST /api/v1/motors/{motor_id}/place
POST /api/v1/motors/{motor_id}/use
POST /api/v1/notes/{notes_id}/take-back
POST /api/v1/sheets/{sheet_id}/entries
POST /api/v1/sheets/{sheet_id}/readings
POST /api/v1/sheets/{sheet_id}/seen
POST /api/v1/sheets/{sheet_id}/sign
"""
_LEAD = """
GET /people
POST /people
POST /people/{person_id}/role
POST /people/{person_id}/code
POST /people/{person_id}/end
POST /people/feed
POST /people/pin
POST /outlook/past/learn
POST /rulebook/{rule_id}
POST /types/{type_id}
POST /api/v1/rules/{rule_id}
"""


def _listed(need: Need, lines: str) -> dict[str, Need]:
    return dict.fromkeys(lines.split("\n")[1:-1], need)


RIGHTS: Mapping[str, Need] = MappingProxyType(
    _listed("open", _OPEN) | _listed("viewer", _VIEWER) | _listed("technician", _TECHNICIAN) | _listed("lead", _LEAD)
)


def needed(method: str, route: str, given: Mapping[str, str]) -> Need | None:
    """Return the role that an address asks for, None for one that nobody has listed; a policy of a whole type is the
    lead's, as its figures are.
    """
    need = RIGHTS.get(f"{'GET' if method == 'HEAD' else method} {route}")
    return "lead" if need == "technician" and given.get("scope") == "type" else need

"""Which role may do which job: held where an act is written, whatever address it came by."""

from collections.abc import Mapping
from types import MappingProxyType

from norvash.errors import NorvashError
from norvash.store.access.members import ROLES, Role

_TECHNICIAN = (
    "add a dark window",
    "add a motor",
    "add a policy",
    "add to a sheet",
    "change figures",
    "confirm a change",
    "confirm a sheet from a file",
    "end a dark window",
    "end a policy",
    "enter",
    "enter notes",
    "fit a new set",
    "import hours",
    "import notes",
    "log use",
    "make it a whole sheet",
    "measure",
    "move a motor",
    "note a finding",
    "open a sheet",
    "rename a motor",
    "renew brushes",
    "save a type",
    "say since when",
    "say which sight",
    "settle a doubt",
    "sign a sheet",
    "take back an answer",
    "take back into use",
    "take back notes",
    "take back use",
    "undo",
)
_LEAD = ("add a person", "change a rule", "end sessions", "give a code", "give a role", "name the site")
_VIEWER: dict[str, Role] = {"choose keys": "viewer"}
_TECHNICIANS: dict[str, Role] = dict.fromkeys(_TECHNICIAN, "technician")
_LEADS: dict[str, Role] = dict.fromkeys(_LEAD, "lead")
MAY: Mapping[str, Role] = MappingProxyType(_VIEWER | _TECHNICIANS | _LEADS)
# What holds for every motor of a type is the lead's, like the figures that they share.
_SCOPED = ("add a policy", "end a policy", "save a type")


def may(job: str, scope: str = "") -> Role:
    """Return the role that a job asks for, by what it is done to: a motor, or a whole type."""
    return "lead" if scope == "type" and job in _SCOPED else MAY[job]


class NotSignedIn(NorvashError):
    """Nobody is signed in, or the session has ended."""


class NotAllowed(NorvashError):
    """Whoever is signed in may not do this: `role` is the least that may."""

    def __init__(self, role: Role) -> None:
        self.role = role
        super().__init__(
            f"This is for a {role}." if role != "technician" else "This is for a technician or a lead.",
            "Ask a lead of this shop to do it, or to give you the role.",
        )


def at_least(role: str, needed: Role) -> bool:
    """Tell whether a role may do what another one may."""
    return role in ROLES and ROLES.index(role) >= ROLES.index(needed)

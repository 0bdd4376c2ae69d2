"""What every form of an entry says beside its value: what it is an entry of, and what the person saw there."""

from dataclasses import dataclass
from urllib.parse import urlencode

from markupsafe import Markup, escape

from norvash.core.sheet.given import Given
from norvash.web.stages.fields import Entry, StageFields

_NAME, _NEXT = "\x1f", "\x1e"  # no text has a control
_FIELD = '<input type="hidden" name="'


@dataclass(frozen=True, slots=True)
class Hidden:
    """Writes the addresses and the hidden fields of the forms on one page; it has dozens."""

    fields: StageFields
    act_id: str
    stage: str
    position: int

    def __call__(self, field: str, place: int, given: Given | None, answer: str = "") -> Markup:
        """Return them for a field at a place; `answer` tells apart the forms that give one field different answers."""
        self.fields.drew(field, place)
        return _fields(
            {
                "act_id": f"{self.act_id}-{field}-{place}{answer}",
                "stage": self.stage,
                "position": str(self.position or ""),
                "field": field,
                "place": str(place or ""),
                "replaces": given.id if given else "",
            }
        )

    def address(self, sheet_id: str, entry: Entry, answer: str = "") -> Markup:
        """Return where an entry is sent: what it is of, which act it would be, what it stands over, in which sight."""
        self.fields.drew(entry.field.id, entry.place)
        said = {"field": entry.field.id, "stage": self.stage}
        if entry.place:
            said["place"] = str(entry.place)
        if self.position:
            said["position"] = str(self.position)
        if entry.sight and entry.field.sighted:
            said |= {"sight": entry.sight, "touched": "1" if entry.both else "0"}
        if entry.given:
            said["replaces"] = entry.given.id
        said["act_id"] = f"{self.act_id}-{entry.field.id}-{entry.place}{answer}"
        return escape(f"/sheets/{sheet_id}/entries?{urlencode(said)}")


def _fields(put: dict[str, str]) -> Markup:
    text = str(escape(_NEXT.join(f"{name}{_NAME}{value}" for name, value in put.items() if value)))
    lines = text.replace(_NAME, '" value="').replace(_NEXT, f'">{_FIELD}')
    return Markup(f'{_FIELD}{lines}">')  # noqa: S704  (escaped above)

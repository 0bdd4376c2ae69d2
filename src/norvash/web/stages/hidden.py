"""What every form of an entry carries unseen: what it is an entry of, and what the person saw there."""

from dataclasses import dataclass

from markupsafe import Markup, escape

from norvash.core.sheet.given import Given
from norvash.web.stages.fields import Entry, StageFields

_NAME, _NEXT = "\x1f", "\x1e"  # no text has a control
_FIELD = '<input type="hidden" name="'


@dataclass(frozen=True, slots=True)
class Hidden:
    """Writes the hidden fields of the forms on one page; a page has dozens, so all of one form are escaped at once."""

    fields: StageFields
    act_id: str
    stage: str
    position: int

    def __call__(self, field: str, place: int, given: Given | None, answer: str = "") -> Markup:
        """Return them for a field at a place; `answer` tells apart the forms that give one field different answers."""
        return self._written(field, place, given, answer)

    def of_entry(self, entry: Entry, answer: str = "") -> Markup:
        """Return them for an entry, with the sight that the person saw it in."""
        sight = entry.sight if entry.field.sighted else ""
        touched = ("1" if entry.both else "0") if sight else ""
        return self._written(entry.field.id, entry.place, entry.given, answer, sight=sight, touched=touched)

    def _written(self, field: str, place: int, given: Given | None, answer: str, **sight: str) -> Markup:
        self.fields.drew(field, place)
        put = {
            "act_id": f"{self.act_id}-{field}-{place}{answer}",
            "stage": self.stage,
            "position": str(self.position or ""),
            "field": field,
            "place": str(place or ""),
            "replaces": given.id if given else "",
            **sight,
        }
        text = str(escape(_NEXT.join(f"{name}{_NAME}{value}" for name, value in put.items() if value)))
        lines = text.replace(_NAME, '" value="').replace(_NEXT, f'">{_FIELD}')
        return Markup(f'{_FIELD}{lines}">')  # noqa: S704  (escaped above)

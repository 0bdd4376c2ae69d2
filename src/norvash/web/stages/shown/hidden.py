"""What every form of an entry says beside its value: what it is an entry of, and what the person saw there."""

from collections.abc import Callable
from dataclasses import dataclass, replace
from urllib.parse import quote

from markupsafe import Markup, escape

from norvash.core.sheet.given import Given
from norvash.web.served.fragments import Parts
from norvash.web.stages.shown.fields import Entry, StageFields

_NAME, _NEXT = "\x1f", "\x1e"  # no text has a control
_FIELD = '<input type="hidden" name="'


@dataclass(frozen=True, slots=True, kw_only=True)
class Hidden:
    """Writes the forms of the entries on one page with their addresses and hidden fields; it has dozens."""

    fields: StageFields
    parts: Parts
    sheet_id: str
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

    def to(self, field: str, place: int, given: Given | None, answer: str = "", sight: str = "") -> Markup:
        """Return the same in an address: a form that says it so is half as long; `sight` says in which it is."""
        self.fields.drew(field, place)
        said = f"/sheets/{self.sheet_id}/entries?field={field}&amp;stage={self.stage}"
        said += f"&amp;place={place}" if place else ""
        said += f"&amp;position={self.position}" if self.position else ""
        said += f"{sight}&amp;replaces={quote(given.id)}" if given else sight
        # Ids of fields and stages, sights and numbers are plain in an address; so is what is written here.
        return Markup(f"{said}&amp;act_id={self.act_id}-{field}-{place}{answer}")  # noqa: S704

    def form(
        self,
        entry: Entry,
        look: str = "",
        *,
        caller: Callable[[], Markup],
        question: Markup | str = "",
        twin: str = "",
        says: str = "",
    ) -> Markup:
        """Return the form of an entry around what is called inside it, as a part of its page.

        `question` is asked below it, for a form holds no other; `twin` tells apart a second form of the same entry;
        `says` is what it is of where no label in it does.
        """
        named = escape(says) and f' data-says="{escape(says)}"'
        opening = f'<form method="post" action="{self.address(entry)}" class="entry {look}"{named} data-entry>'

        def drawn() -> str:
            return f'<div id="entry-{entry.key}{twin}" class="entry-of">{opening}{caller()}</form>{question}</div>'

        return Markup(self.parts.add(drawn))  # noqa: S704  (the template escapes what it calls)

    def onward(self, entry: Entry) -> Markup:
        """Return where an entry is sent after which the page goes on to what is next."""
        return replace(self, position=0).address(entry)

    def address(self, entry: Entry, answer: str = "") -> Markup:
        """Return where an entry is sent: what it is of, which act it would be, what it stands over, in which sight."""
        seen = bool(entry.sight) and entry.field.sighted
        sight = f"&amp;sight={entry.sight}&amp;touched={'1' if entry.both else '0'}" if seen else ""
        return self.to(entry.field.id, entry.place, entry.given, answer, sight)


def _fields(put: dict[str, str]) -> Markup:
    text = str(escape(_NEXT.join(f"{name}{_NAME}{value}" for name, value in put.items() if value)))
    lines = text.replace(_NAME, '" value="').replace(_NEXT, f'">{_FIELD}')
    return Markup(f'{_FIELD}{lines}">')  # noqa: S704  (escaped above)

"""A change of the ground of a judgement: what it would end or soften is listed, asked about, and kept with it."""

import hashlib
from collections.abc import Iterable, Mapping, Sequence
from dataclasses import dataclass, replace
from datetime import date

from norvash.core.grades import GRADES, WORDS, Grade
from norvash.core.judging.commutator.copper_now import copper_now
from norvash.core.judging.noted import noted
from norvash.core.motor.figures import Figures
from norvash.core.motor.implausible import implausible
from norvash.core.sheet.life import At
from norvash.core.sheet.moved import Answer, Explained, Kind, Moved, Scope, Value
from norvash.core.sheet.numbered import place_of
from norvash.core.stages.brushes.carbon import SET_WORN
from norvash.core.stages.commutator.cut import COPPER_REFUSED
from norvash.core.text.words import listed
from norvash.core.verdict.before_work import worn
from norvash.core.verdict.judging import findings
from norvash.errors import NeedsAnswer
from norvash.store.file.database import Connection
from norvash.store.record import moved, people, sheets
from norvash.work.act.acting import Act
from norvash.work.reading.context import Context

READ, FIRST, OURS = "read", "first", "ours"
_WORDS: dict[str, str] = {
    READ: "read again, from plate, maker's sheet, counter or measurement",
    FIRST: "stated for the first time",
    OURS: "our own decision",
}
_SO = "it is so, by plate, maker's sheet or measurement"
_SHOWN = 12


@dataclass(frozen=True, slots=True, kw_only=True)
class Softened:
    """One finding that a change would end, or make milder: on which motor, where, and what it would be then."""

    motor_id: str
    tag: str
    place: str
    words: str
    grade: Grade
    then: Grade | None

    @property
    def said(self) -> str:
        """Return it in words."""
        now = WORDS[self.then].lower() if self.then is not None else "nothing found"
        return f"{self.tag}, {self.place}: {self.words} ({WORDS[self.grade].lower()} → {now})"

    @property
    def plain(self) -> dict[str, object]:
        """Return it as JSON has it."""
        made: dict[str, object] = {"motor": self.motor_id, "tag": self.tag, "place": self.place, "words": self.words}
        return {**made, "grade": self.grade, "then": self.then}


@dataclass(frozen=True, slots=True)
class Settled:
    """Changes as they are to be kept; `free` tells that all of them go back to what stood before this visit's."""

    moves: tuple[Moved, ...] = ()
    free: bool = False
    answer: Answer = ""
    source: str = ""

    @property
    def explained(self) -> dict[str, dict[str, str]]:
        """Return how they were explained, as an act keeps it, empty where nobody was asked and nobody said it."""
        said = self.answer or self.source
        return {"explained": {"answer": self.answer, "source": self.source}} if said else {}

    @property
    def why(self) -> str:
        """Return what is said of a finding that they withdraw."""
        return "what stood before was put back" if self.free else self.source


def change_of(
    act: Act, kind: Kind, name: str, values: tuple[Value, Value], *, scope: Scope = "motor", scope_id: str = ""
) -> Moved:
    """Return a change that an act makes, of a value to another."""
    moved_id = f"{act.id}.{name}"
    before, after = values
    return Moved(
        id=moved_id, kind=kind, name=name, scope=scope, scope_id=scope_id, before=before, after=after, at=act.at
    )


def changes_of(
    act: Act, scope: Scope, scope_id: str, before: Mapping[str, float | str], after: Mapping[str, float | str]
) -> tuple[Moved, ...]:
    """Return what an act changes of the figures that a motor or a type states."""
    names = [n for n in dict.fromkeys((*before, *after)) if before.get(n) != after.get(n)]
    return tuple(
        change_of(act, "figure", n, (before.get(n), after.get(n)), scope=scope, scope_id=scope_id) for n in names
    )


def joined(earlier: Sequence[Moved], changes: Sequence[Moved]) -> tuple[Moved, ...]:
    """Return the changes that count once some more are made: each goes on from what stood first, and one that goes back
    to it is none any more.
    """
    kept = {(m.kind, m.name, m.scope, m.scope_id): m for m in earlier}
    for m in changes:
        key = (m.kind, m.name, m.scope, m.scope_id)
        first = kept.get(key)
        made = m if first is None else replace(m, id=first.id, before=first.before)
        kept[key] = made
        if first is not None and first.before == m.after:
            del kept[key]
    return tuple(kept.values())


def settle(
    conn: Connection, act: Act, pairs: Sequence[tuple[Context, Context]], changes: Sequence[Moved] = (), odd: str = ""
) -> Settled:
    """Return changes as they are to be kept, explained where they end or soften something of these motors.

    `pairs` are motors as they are and as they would be. What goes back to what stood before this visit is not asked
    about, nor what ends nothing. What moves no figure and no rule (use, a policy, positions, notes) has no `changes`:
    what it ends is withdrawn, and read once more. What is `odd` of the new figures is asked about with it.
    Raises: NeedsAnswer with the list.
    """
    person = people.fetch_person(conn, act.person_id).name if changes else ""
    made = tuple(replace(m, person=person) for m in changes)
    earlier = _earlier(pairs, made)
    if earlier and all(_goes_back(m, earlier) for m in made):
        return Settled(made, free=True)
    softer = tuple(s for before, after in pairs for s in softened(before, without(after, made), act.at.date()))
    if not softer and not odd:
        kept = (m for m in made if _is_kept(conn, m, pairs) or _key(m) in earlier)
        source = " ".join(act.explained.source.split())
        return Settled(tuple(replace(m, source=source) for m in kept), source=source)
    answer, source = _answered(softer, act.explained, _offered(made, earlier, pairs), odd)
    return Settled(tuple(replace(m, answer=answer, source=source) for m in made), answer=answer, source=source)


def without(after: Context, changes: Iterable[Moved]) -> Context:
    """Return a motor as today's figures alone judge it, without what stood before these changes."""
    keys = {_key(m) for m in changes}
    return replace(after, moved=tuple(m for m in after.moved if _key(m) not in keys))


def softened(before: Context, after: Context, today: date) -> tuple[Softened, ...]:
    """Return what stands on a motor that would end or be milder on another ground."""
    was, now = _stands(before, today), _stands(after, today)
    return tuple(
        Softened(
            motor_id=before.motor.id,
            tag=before.motor.tag,
            place=place,
            words=words,
            grade=grade,
            then=now[at][2] if at in now else None,
        )
        for at, (place, words, grade) in was.items()
        if at not in now or GRADES.index(now[at][2]) < GRADES.index(grade)
    )


def _stands(context: Context, today: date) -> dict[At, tuple[str, str, Grade]]:
    """Return what is found on a motor from planning upwards: what stands on its open sheet and the cut that is refused
    there, what the newest values of a signed one say today of what stands since, and its carbon.
    """
    found = findings(context.state, context.rules, today)
    lives = {x.at: (x.place, x.finding.words, x.finding.grade) for x in found.lives if x.stands and x.finding.grave}
    if context.open_sheet is None:
        lives = _by_signed(context, lives)
        carbon = worn(found.by_all)
        if carbon is not None:
            lives[0, SET_WORN.id] = ("The set", WORDS[carbon].lower(), carbon)
    elif (plan := copper_now(context.open_sheet, context.rules).plan) is not None and not plan.chosen.allowed:
        lives.setdefault(
            (0, COPPER_REFUSED.id), (place_of(COPPER_REFUSED, 0, {}), COPPER_REFUSED.words, COPPER_REFUSED.grade)
        )
    return lives


def _by_signed(context: Context, lives: dict[At, tuple[str, str, Grade]]) -> dict[At, tuple[str, str, Grade]]:
    """Return what stands since a signed sheet, as its values are judged today; what no value tells stands as it is."""
    if context.sheet is None:
        return lives
    sheet = replace(context.sheet, facts=replace(context.facts, stands=context.sheet.facts.stands))
    today = {(n, f.id): f for n, f in noted(sheet, context.rules)}
    return {at: (p, w, today[at].grade) for at, (p, w, _) in lives.items() if at in today and today[at].grave}


def _key(m: Moved) -> tuple[Kind, str, Scope, str]:
    return m.kind, m.name, m.scope, m.scope_id


def _earlier(
    pairs: Sequence[tuple[Context, Context]], made: Sequence[Moved]
) -> dict[tuple[Kind, str, Scope, str], Moved]:
    keys = {_key(m) for m in made}
    return {_key(m): m for before, _ in pairs for m in before.moved if _key(m) in keys}


def _goes_back(m: Moved, earlier: Mapping[tuple[Kind, str, Scope, str], Moved]) -> bool:
    first = earlier.get(_key(m))
    return first is not None and first.before == m.after


def _is_kept(conn: Connection, m: Moved, pairs: Sequence[tuple[Context, Context]]) -> bool:
    """Tell whether a change that ends nothing is kept none the less: what stood counts for what is measured next, where
    a full sheet was signed on it.
    """
    if m.kind != "figure":
        return True
    return m.before is not None and any(sheets.has_signed(conn, before.motor.id) for before, _ in pairs)


def _offered(
    made: Sequence[Moved],
    earlier: Mapping[tuple[Kind, str, Scope, str], Moved],
    pairs: Sequence[tuple[Context, Context]],
) -> tuple[str, ...]:
    """Return how a change may be explained: only what nobody ever stated is stated for the first time."""
    figures = [before.stated.known.get(m.name) for m in made for before, _ in pairs]
    first = bool(made) and all(m.kind == "figure" and m.before is None and _key(m) not in earlier for m in made)
    return (READ, FIRST, OURS) if first and all(k is None or k.lent for k in figures) else (READ, OURS)


def news_of(before: Figures | None, after: Figures) -> str:
    """Return what is hardly so of figures and was not said of those before."""
    odd = implausible(after)
    return "" if before is not None and odd == implausible(before) else odd


def _answered(
    softer: tuple[Softened, ...], explained: Explained, offered: tuple[str, ...], odd: str
) -> tuple[Answer, str]:
    said, source = [s.said for s in softer], " ".join(explained.source.split())
    mark = hashlib.sha256("\n".join(said).encode()).hexdigest()[:16]
    more = f" and {len(said) - _SHOWN} more" if len(said) > _SHOWN else ""
    ends = f"This would end or soften {listed([f'“{x}”' for x in said[:_SHOWN]])}{more}." if said else ""
    problem = f"{odd} {ends}".strip()
    if explained.answer in offered and source and explained.listed in ("", mark):
        return explained.answer, source  # type: ignore[return-value]
    if explained.answer in offered and explained.listed not in ("", mark):
        problem = f"What it would end has changed meanwhile. {problem}"
    named = "plate, maker's sheet, measurement, who decided."
    raise NeedsAnswer(
        problem,
        f"Say what the change is, and name its source or reason: {named}" if said else f"Correct it, or name: {named}",
        "ground",
        tuple((key, _SO if key == READ and not said else _WORDS[key]) for key in offered),
        offered[0],
        listed=tuple(s.plain for s in softer),
        mark=mark,
    )


def keep_moves(conn: Connection, act: Act, settled: Settled) -> None:
    """Keep changes with what was said of them; the caller holds the transaction."""
    moved.keep_moves(conn, settled.moves, act.id)

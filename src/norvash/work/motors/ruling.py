"""Set the site's own figure for a rule, or its school, for all, a class, a type or a motor.

Or return to the default.
"""

from collections.abc import Callable
from dataclasses import dataclass, replace

from norvash.core.kept_names import answer_now, name_now
from norvash.core.rules.book import CLASSES, Override, Rulebook
from norvash.core.rules.catalogue import SCHOOLS_BY_ID
from norvash.core.sheet.moved import Moved
from norvash.core.text.quantities import parse
from norvash.core.text.texts import words_of
from norvash.errors import InputError
from norvash.store.file.database import Connection
from norvash.store.record import lives, motors, people, rules
from norvash.work.act.acting import Act, Change, prepared
from norvash.work.reading.ground import Settled, keep_moves, settle
from norvash.work.reading.loading import load
from norvash.work.reading.rulebook import rulebook

SCOPES = {"site": "the whole site", "class": "a class", "type": "a type", "motor": "one motor"}


@dataclass(frozen=True, slots=True, kw_only=True)
class _Ruled:
    """What is to be set in a scope in place of what is, as the record stood at `seq`; `made` is None where the default
    comes back.
    """

    seq: int
    rule_id: str
    scope: str
    scope_id: str
    before: Override | None
    made: Override | None
    settled: Settled

    def stands(self, conn: Connection) -> bool:
        """Tell whether nothing at all was written meanwhile."""
        return people.last_seq(conn) == self.seq


def set_rule(conn: Connection, act: Act, rule_id: str, *, scope: str, scope_id: str, text: str, why: str) -> str:
    """Give a rule a figure of its own within a scope; standings follow in the background.

    Raises: NotFound for the rule, the type or the motor, InputError at the field, NeedsAnswer where that would end or
    soften what was found.
    """

    def prepare() -> _Ruled:
        book = rulebook(conn)
        name = book.rule(name_now("rule", rule_id)).id
        value = _figure(text)
        book.check(name, value)
        made = Override(
            rule_id=name,
            scope=scope,
            scope_id=_target(conn, scope, scope_id)[0],
            value=value,
            person=people.fetch_person(conn, act.person_id).name,
            day=act.at.date().isoformat(),
            why=words_of("why", why, "The reason"),
        )
        return _ruled(conn, act, book, (made.rule_id, made.scope, made.scope_id), made)

    content = {"rule": rule_id, "scope": scope, "of": scope_id, "value": text, "why": why}
    return prepared(conn, act, "change a rule", typed=content, prepare=prepare, body=_keeping(conn))


def set_school(conn: Connection, act: Act, school_id: str, *, scope: str, scope_id: str, key: str, why: str) -> str:
    """Choose a school within a scope.

    Raises: NotFound for the question, the type or the motor; InputError for an option that is unknown, or refused for
    the class; NeedsAnswer where that would end or soften what was found.
    """

    def prepare() -> _Ruled:
        book = rulebook(conn)
        target, motor_class = _target(conn, scope, scope_id)
        school = book.school(name_now("school", school_id))
        if school.of_site and scope != "site":
            raise InputError("That is one answer for the whole site.", "Choose the whole site.", "scope")
        option = answer_now("option", school.id, key)
        school.check(option, motor_class)
        made = Override(
            rule_id=school.id,
            scope=scope,
            scope_id=target,
            value=0.0,
            person=people.fetch_person(conn, act.person_id).name,
            day=act.at.date().isoformat(),
            why=words_of("why", why, "The reason"),
            word=option,
        )
        return _ruled(conn, act, book, (made.rule_id, made.scope, made.scope_id), made)

    content = {"school": school_id, "scope": scope, "of": scope_id, "key": key, "why": why}
    return prepared(conn, act, "change a rule", typed=content, prepare=prepare, body=_keeping(conn))


def clear_rule(conn: Connection, act: Act, rule_id: str, scope: str, scope_id: str) -> str:
    """Take what was set within a scope back.

    Raises: InputError where nothing is set there, NeedsAnswer where that would end or soften what was found.
    """

    def prepare() -> _Ruled:
        book, target = rulebook(conn), _target(conn, scope, scope_id)[0]
        if (rule_id, scope, target) not in book.overrides:
            raise InputError(
                "Nothing is set there that could be taken back.", "Look in the list of what is in force.", "value"
            )
        return _ruled(conn, act, book, (rule_id, scope, target), None)

    content = {"rule": rule_id, "scope": scope, "of": scope_id, "clear": True}
    return prepared(conn, act, "change a rule", typed=content, prepare=prepare, body=_keeping(conn))


def _ruled(conn: Connection, act: Act, book: Rulebook, at: tuple[str, str, str], made: Override | None) -> _Ruled:
    """Return what is to be set in a scope, explained where that ends or softens something on a motor in it."""
    rule_id, scope, scope_id = at
    before, seq = book.overrides.get(at), people.last_seq(conn)
    after = dict(book.overrides) | ({at: made} if made is not None else {})
    if made is None:
        after.pop(at, None)
    new = Rulebook(book.rules, after.values(), book.schools)
    change = Moved(
        id=f"{act.id}.{rule_id}",
        kind="school" if rule_id in SCHOOLS_BY_ID else "rule",
        name=rule_id,
        scope=scope,  # type: ignore[arg-type]
        scope_id=scope_id,
        before=_value(before),
        after=_value(made),
        at=act.at,
    )
    pairs = []
    for motor_id in lives.motors_standing(conn, scope, scope_id, rule_id if change.kind == "rule" else ""):
        context = load(conn, motor_id, book)
        pairs.append((context, replace(context, rules=replace(context.rules, book=new))))
    said = act.explained
    if made is not None and not said.source:
        act = replace(act, explained=replace(said, source=made.why))
    settled = settle(conn, act, pairs, [change] if change.before != change.after else [])
    return _Ruled(seq=seq, rule_id=rule_id, scope=scope, scope_id=scope_id, before=before, made=made, settled=settled)


def _value(override: Override | None) -> float | str | None:
    return None if override is None else override.word or override.value


def _keeping(conn: Connection) -> Callable[[Act, _Ruled], Change]:
    """Return what keeps a rule as it was set, or takes it back."""

    def body(act: Act, ready: _Ruled) -> Change:
        rules.end_override(conn, ready.rule_id, ready.scope, ready.scope_id, act.id)
        keep_moves(conn, act, ready.settled)
        made = ready.made
        if made is None:
            return Change(ready.rule_id, {"scope": ready.scope, "of": ready.scope_id}, {"value": "default"})
        rules.add_override(conn, act.id, made, act.id)
        after = {"value": _value(made), "scope": made.scope, "of": made.scope_id, "why": made.why}
        return Change(made.rule_id, {"value": _value(ready.before)}, after)

    return body


def _figure(text: str) -> float:
    try:
        return parse(text, "share" if text.strip().endswith("%") else "count").value
    except InputError as error:
        raise error.at("value") from None


def _target(conn: Connection, scope: str, scope_id: str) -> tuple[str, str | None]:
    """Return the id that a scope is kept under, and the class of machine that it is about.

    A motor may be named by its tag, a type by its name.
    """
    if scope not in SCOPES:
        raise InputError("This scope is not known.", "Choose one from the list.", "scope")
    if scope == "site":
        return "", None
    if scope == "class":
        if scope_id not in CLASSES:
            raise InputError("This class is not known.", "Choose one.", "scope_id")
        return scope_id, scope_id
    found = motors.find_type_named(conn, scope_id) if scope == "type" else motors.find_tagged(conn, scope_id)
    if found is None:
        raise InputError(
            f"There is no {scope} “{scope_id[:60]}”.",
            "Give a motor's tag." if scope == "motor" else "Choose one from the list.",
            "scope_id",
        )
    return found.id, found.motor_class

"""Set the site's own figure for a rule, or its school, for all, a class, a type or a motor.

Or return to the default.
"""

from norvash.core.names.changed import answer_now, name_now
from norvash.core.rules.book import CLASSES, Override, Rulebook
from norvash.core.text.quantities import parse
from norvash.core.text.texts import words_of
from norvash.errors import InputError
from norvash.store import motors, people, rules
from norvash.store.database import Connection
from norvash.work.acting import Act, Change, once
from norvash.work.rulebook import rulebook

SCOPES = {"site": "the whole site", "class": "a class", "type": "a type", "motor": "one motor"}


def set_rule(conn: Connection, act: Act, rule_id: str, *, scope: str, scope_id: str, text: str, why: str) -> str:
    """Give a rule a figure of its own within a scope; standings follow in the background.

    Raises: NotFound for the rule, the type or the motor, InputError at the field.
    """

    def body(act: Act) -> Change:
        book = rulebook(conn)
        name = book.rule(name_now("rule", rule_id)).id
        value = _figure(text)
        book.check(name, value)
        return _override(
            conn,
            act,
            book,
            Override(
                rule_id=name,
                scope=scope,
                scope_id=_target(conn, scope, scope_id)[0],
                value=value,
                person="",
                day="",
                why=words_of("why", why, "The reason"),
            ),
        )

    content = {"rule": rule_id, "scope": scope, "of": scope_id, "value": text, "why": why}
    return once(conn, act, "change a rule", typed=content, body=body)


def set_school(conn: Connection, act: Act, school_id: str, *, scope: str, scope_id: str, key: str, why: str) -> str:
    """Choose a school within a scope.

    Raises: NotFound for the question, the type or the motor; InputError for an option that is unknown, or refused for
    the class.
    """

    def body(act: Act) -> Change:
        book = rulebook(conn)
        target, motor_class = _target(conn, scope, scope_id)
        school = book.school(name_now("school", school_id))
        option = answer_now("option", school.id, key)
        school.check(option, motor_class)
        made = Override(
            rule_id=school.id,
            scope=scope,
            scope_id=target,
            value=0.0,
            person="",
            day="",
            why=words_of("why", why, "The reason"),
            word=option,
        )
        return _override(conn, act, book, made)

    content = {"school": school_id, "scope": scope, "of": scope_id, "key": key, "why": why}
    return once(conn, act, "change a rule", typed=content, body=body)


def _override(conn: Connection, act: Act, book: Rulebook, wanted: Override) -> Change:
    before = book.overrides.get((wanted.rule_id, wanted.scope, wanted.scope_id))
    rules.end_override(conn, wanted.rule_id, wanted.scope, wanted.scope_id, act.id)
    person = people.fetch_person(conn, act.person_id).name
    made = Override(
        rule_id=wanted.rule_id,
        scope=wanted.scope,
        scope_id=wanted.scope_id,
        value=wanted.value,
        person=person,
        day=act.at.date().isoformat(),
        why=wanted.why,
        word=wanted.word,
    )
    rules.add_override(conn, act.id, made, act.id)
    after = {"value": made.word or made.value, "scope": made.scope, "of": made.scope_id, "why": made.why}
    return Change(made.rule_id, {"value": (before.word or before.value) if before else None}, after)


def clear_rule(conn: Connection, act: Act, rule_id: str, scope: str, scope_id: str) -> str:
    """Take what was set within a scope back."""

    def body(act: Act) -> Change:
        target, _ = _target(conn, scope, scope_id)
        if not rules.end_override(conn, rule_id, scope, target, act.id):
            raise InputError(
                "Nothing is set there that could be taken back.", "Look in the list of what is in force.", "value"
            )
        return Change(rule_id, {"scope": scope, "of": target}, {"value": "default"})

    return once(
        conn, act, "change a rule", typed={"rule": rule_id, "scope": scope, "of": scope_id, "clear": True}, body=body
    )


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

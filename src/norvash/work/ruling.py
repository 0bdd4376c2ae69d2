"""Set the site's own figure for a rule, or return to the default."""

from norvash.core.quantities import parse
from norvash.core.rules.book import CLASSES, Override
from norvash.errors import InputError
from norvash.store import people, rules
from norvash.store.database import Connection
from norvash.work.acting import Act, Change, once
from norvash.work.context import rulebook
from norvash.work.registering import words_of


def set_rule(conn: Connection, act: Act, rule_id: str, motor_class: str, text: str, why: str) -> str:
    """Give a rule the site's own figure, for all classes or one; standings follow in the background.

    Raises: NotFound for the rule, InputError at the field.
    """

    def body(act: Act) -> Change:
        book = rulebook(conn)
        book.rule(rule_id)
        value = _figure(text)
        book.check(rule_id, value)
        reason = words_of("why", why, "The reason")
        scope, scope_id = _scope(motor_class)
        before = book.overrides.get((rule_id, scope, scope_id))
        rules.end_override(conn, rule_id, scope, scope_id, act.id)
        person = people.fetch_person(conn, act.person_id).name
        made = Override(rule_id, scope, scope_id, value, person, act.at.date().isoformat(), reason)
        rules.add_override(conn, act.id, made, act.id)
        return Change(
            rule_id, {"value": before.value if before else None}, {"value": value, "class": motor_class, "why": reason}
        )

    content = {"rule": rule_id, "class": motor_class, "value": text, "why": why}
    return once(conn, act, "change a rule", content, body)


def clear_rule(conn: Connection, act: Act, rule_id: str, motor_class: str) -> str:
    """Return a rule to its default."""

    def body(act: Act) -> Change:
        scope, scope_id = _scope(motor_class)
        if not rules.end_override(conn, rule_id, scope, scope_id, act.id):
            raise InputError("There is no site figure to take back.", "The rule already has its default.", "value")
        return Change(rule_id, {"class": motor_class}, {"value": "default"})

    return once(conn, act, "change a rule", {"rule": rule_id, "class": motor_class, "clear": True}, body)


def _figure(text: str) -> float:
    try:
        return parse(text, "share" if text.strip().endswith("%") else "count").value
    except InputError as error:
        raise error.at("value") from None


def _scope(motor_class: str) -> tuple[str, str]:
    if motor_class and motor_class not in CLASSES:
        raise InputError("This class is not known.", "Choose one, or all classes.", "motor_class")
    return ("class", motor_class) if motor_class else ("site", "")

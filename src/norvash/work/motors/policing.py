"""Policies of a type or a motor, and the windows in which the house is dark."""

from collections.abc import Mapping
from dataclasses import dataclass, replace
from datetime import date

from norvash.core.brush.motor_limit import motor_limit
from norvash.core.brush.readings import uncertainty_mm
from norvash.core.forecast.past_set import PastSet
from norvash.core.kept_names import name_now
from norvash.core.motor.classes import TEMPLATES
from norvash.core.motor.figure_fields import EXPECTED_LIFE_UNITS, MEASURED_WITH, NEW_MM, UNIT_OF_USE
from norvash.core.motor.figures import Figures
from norvash.core.planning.interval_table import IntervalTable
from norvash.core.planning.policies import ASKS, KINDS
from norvash.core.rules.book import MotorRules
from norvash.core.state.policy import Policy
from norvash.core.text.quantities import parse
from norvash.core.text.texts import clean, words_of
from norvash.core.use.season import Window
from norvash.errors import InputError, NotFound
from norvash.store.file.database import Connection
from norvash.store.record import forecasts, lives, motors, people, policies
from norvash.store.record.motors import MotorType
from norvash.work.act.acting import Act, Change, once, prepared
from norvash.work.motors.logging_use import moment
from norvash.work.reading.ground import Settled, settle
from norvash.work.reading.loading import load
from norvash.work.reading.rulebook import rulebook
from norvash.work.reading.standing import Judged, judge, keep

_ASKED = {"interval": ("every",), "range": ("low", "high"), "calendar": ("months",), "table": ()}
_MOST_DAYS = 366


@dataclass(frozen=True, slots=True)
class Governed:
    """A type or a motor with its policies, its own unit of use, and what it is called."""

    scope: str
    scope_id: str
    name: str
    unit: str
    policies: tuple[Policy, ...]


def governed(conn: Connection, scope: str, scope_id: str) -> Governed:
    """Return a type or a motor with the policies that hold for it.

    Raises: NotFound.
    """
    if scope == "motor":
        motor = motors.fetch_motor(conn, scope_id)
        figures = Figures(
            motors.motor_figures(conn, motor.id),
            motors.type_figures(conn, motor.type_id) if motor.type_id else {},
            TEMPLATES[motor.motor_class].lends,
        )
        found = policies.list_policies(conn, motor.id, motor.type_id)
        return Governed(scope, scope_id, f"{motor.tag} {motor.name}", UNIT_OF_USE.of(figures), found)
    if scope != "type":
        raise NotFound("There are no policies at this address.", "Open them from a motor or a type.")
    kind = motors.fetch_type(conn, scope_id)
    figures = Figures({}, motors.type_figures(conn, kind.id), TEMPLATES[kind.motor_class].lends)
    return Governed(scope, scope_id, kind.name, UNIT_OF_USE.of(figures), policies.list_policies(conn, "", kind.id))


@dataclass(frozen=True, slots=True)
class _PolicyChange:
    """A policy that comes or goes, what it is for, and its motor judged by those that hold then.

    A type's motors follow in the background.
    """

    holder: Governed
    policy: Policy
    judged: Judged | None
    settled: Settled
    seq: int

    def stands(self, conn: Connection) -> bool:
        """Tell whether nothing has moved since."""
        return people.last_seq(conn) == self.seq if self.judged is None else self.judged.stands(conn)


def _judged(conn: Connection, act: Act, holder: Governed, policy: Policy, *, holds: bool) -> _PolicyChange:
    """Return what follows from a policy that holds from now on, or does not any more, explained where that ends or
    softens what was found; nothing is written.
    """
    seq, one = people.last_seq(conn), holder.scope == "motor"
    pairs = []
    for motor_id in [holder.scope_id] if one else lives.motors_standing(conn, holder.scope, holder.scope_id):
        context = load(conn, motor_id)
        others = tuple(p for p in context.policies if p.id != policy.id)
        pairs.append((context, replace(context, policies=(*others, policy) if holds else others)))
    settled = settle(conn, act, pairs)
    return _PolicyChange(holder, policy, judge(pairs[0][1], act.at.date()) if one else None, settled, seq)


def _kept(
    conn: Connection, ready: _PolicyChange, result_id: str, before: Mapping[str, object], after: Mapping[str, object]
) -> Change:
    """Keep what follows from a policy that came or went."""
    if ready.judged is None:
        policies.mark_all_stale(conn, ready.holder.scope, ready.holder.scope_id)
        return Change(result_id, before, {**after, **ready.settled.explained})
    keep(conn, ready.judged, why=ready.settled.why)
    return Change(result_id, before, {**after, **ready.settled.explained}, ready.holder.scope_id)


def add_policy(
    conn: Connection,
    act: Act,
    scope: str,
    *,
    scope_id: str,
    kind: str,
    typed: Mapping[str, str],
    table: IntervalTable | None = None,
) -> str:
    """Keep a policy for a type or a motor; its motors are judged anew, those of a type in the background.

    Raises: InputError at the field.
    """
    kind = name_now("policy", kind)
    if kind not in KINDS:
        raise InputError("This kind of policy is not known.", "Choose one from the list.", "kind")
    content = {
        "scope": scope,
        "id": scope_id,
        "kind": kind,
        "typed": dict(typed),
        "table": table.as_plain() if table else None,
    }

    def prepare() -> _PolicyChange:
        holder, name = governed(conn, scope, scope_id), words_of("name", typed.get("name", ""), "The name")
        figures = _figures(kind, typed, table)
        made = Policy(act.id, kind, name, figures, scope == "type")
        return _judged(conn, act, holder, made, holds=True)

    def body(act: Act, ready: _PolicyChange) -> Change:
        name = ready.policy.name
        policies.add_policy(
            conn, act.id, scope, scope_id=scope_id, kind=kind, name=name, figures=ready.policy.figures, act_id=act.id
        )
        return _kept(conn, ready, act.id, {}, {"policy": name, "kind": kind, "for": ready.holder.name})

    return prepared(conn, act, "add a policy", typed=content, prepare=prepare, body=body, scope=scope)


def _figures(kind: str, typed: Mapping[str, str], table: IntervalTable | None) -> Mapping[str, object]:
    """Return the figures of a policy as they were typed, or its table.

    Raises: InputError at the field.
    """
    if kind == "table":
        if table is None:
            raise InputError("There is no table.", "Paste it or give its file.", "file")
        return table.as_plain()
    figures = {f: _figure(typed.get(f, ""), f) for f in _ASKED[kind]}
    if kind == "range" and not figures["low"] < figures["high"]:
        raise InputError("The low end is not under the high end.", "Give the range from low to high.", "high")
    asks = typed.get("asks") or "look"
    if asks not in ASKS:
        raise InputError("It is not clear what this policy asks for.", "Choose a look or a new set.", "asks")
    return figures if kind == "calendar" else {**figures, "asks": asks}


def _figure(text: str, field: str) -> float:
    try:
        value = parse(text, "count").value
    except InputError as error:
        raise error.at(field) from None
    if not 0 < value <= (600 if field == "months" else 1e7):
        raise InputError(f"“{text}” cannot be right.", "Give an amount above 0.", field)
    if field == "months" and value != int(value):
        raise InputError(f"“{text}” is not a whole number of months.", "Give whole months.", field)
    return value


def end_policy(conn: Connection, act: Act, policy_id: str) -> str:
    """End a policy; return what it was for.

    Raises: NotFound for one that does not hold.
    """

    def prepare() -> _PolicyChange:
        scope, scope_id, ended = policies.fetch_policy(conn, policy_id)
        holder = governed(conn, scope, scope_id)
        return _judged(conn, act, holder, ended, holds=False)

    def body(act: Act, ready: _PolicyChange) -> Change:
        policies.strike_policy(conn, policy_id, act.id)
        return _kept(conn, ready, f"{ready.holder.scope}/{ready.holder.scope_id}", {"policy": ready.policy.name}, {})

    typed, scope = {"policy": policy_id}, policies.scope_of(conn, policy_id)
    return prepared(conn, act, "end a policy", typed=typed, prepare=prepare, body=body, scope=scope)


def table_of_type(conn: Connection, type_id: str) -> tuple[MotorType, str, IntervalTable, tuple[PastSet, ...]]:
    """Return the table that Norvash makes for a type, with its unit of use and the sets it rests on.

    Raises: NotFound, InputError for figures that contradict each other.
    """
    kind = motors.fetch_type(conn, type_id)
    figures = Figures({}, motors.type_figures(conn, kind.id), TEMPLATES[kind.motor_class].lends)
    rules = MotorRules(rulebook(conn), kind.motor_class, kind.id)
    new_mm, past = NEW_MM.need(figures), forecasts.latest(forecasts.list_family(conn, kind.id, ()))
    sd = uncertainty_mm(MEASURED_WITH.of(figures) or "digital-caliper", new_mm, rules)
    brushes = len(motors.type_positions(conn, kind.id)) or TEMPLATES[kind.motor_class].brushes
    from norvash.core.planning.shop_table import shop_table

    table = shop_table(
        new_mm,
        motor_limit(figures, rules).limit_mm,
        brushes,
        life=EXPECTED_LIFE_UNITS.need(figures),
        past=past,
        sd_mm=sd,
        rules=rules,
    )
    return kind, UNIT_OF_USE.of(figures), table, past


def add_window(conn: Connection, act: Act, typed: Mapping[str, str]) -> str:
    """Keep days on which the house is dark; all motors are judged anew in the background.

    Raises: InputError at the field.
    """

    def body(act: Act) -> Change:
        name = words_of("name", typed.get("name", ""), "The name")
        first, last = _day(typed, "first_on", act), _day(typed, "last_on", act)
        if last < first:
            raise InputError("The last day lies before the first.", "Check the two days.", "last_on")
        if (last - first).days >= _MOST_DAYS:
            raise InputError("A window of more than a year is not possible.", "Check the two days.", "last_on")
        place = clean(typed.get("place", ""), "place")[:80]
        window = Window(
            id=act.id, name=name, first_on=first, last_on=last, yearly=typed.get("yearly") == "yes", place=place
        )
        policies.add_window(conn, window, act.id)
        policies.mark_all_stale(conn)
        return Change(
            act.id, {}, {"window": name, "first": first, "last": last, "yearly": window.yearly, "place": place}
        )

    return once(conn, act, "add a dark window", typed=dict(typed), body=body)


def _day(typed: Mapping[str, str], field: str, act: Act) -> date:
    text = typed.get(field, "").strip()
    if not text:
        raise InputError("The day is missing.", f"Write it like {act.at:%Y-%m-%d}.", field)
    try:
        return moment(text, act.at).date()
    except InputError as error:
        raise error.at(field) from None


def end_window(conn: Connection, act: Act, window_id: str) -> str:
    """Take a dark window back; return its name."""

    def body(act: Act) -> Change:
        name = policies.strike_window(conn, window_id, act.id)
        policies.mark_all_stale(conn)
        return Change(name, {"window": name}, {})

    return once(conn, act, "end a dark window", typed={"window": window_id}, body=body)

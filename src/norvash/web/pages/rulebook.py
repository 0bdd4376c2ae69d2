"""The rulebook: every threshold and school, where it comes from, where it is used, and what is set in its place."""

import re
from functools import cache

from fastapi import APIRouter, Request
from fastapi.responses import HTMLResponse, Response

from norvash.core.diagnosis.causes import CAUSES, SURROUNDINGS
from norvash.core.diagnosis.checks import CHECKS
from norvash.core.diagnosis.ranking import strengths
from norvash.core.diagnosis.signs import SIGNS
from norvash.core.kept_names import KEPT_BY_ANOTHER
from norvash.core.rules.book import CLASSES, MotorRules, Override, Rulebook
from norvash.core.rules.brushes import GRADE_FROM
from norvash.core.rules.catalogue import GROUPS, RULES, SCHOOLS_BY_ID, shipped
from norvash.core.rules.schools import SCHOOLS
from norvash.core.stages.catalogue import STAGES, TASKS
from norvash.core.text.words import figure_said
from norvash.drawing.brush.grade_scale import grade_scale
from norvash.errors import InputError, NorvashError
from norvash.store.file.database import Connection
from norvash.store.record import motors
from norvash.store.record import rules as store
from norvash.web.rules_found import SET_HERE, RulesSought, rules_found, schools_found
from norvash.web.served.answers import errors_of, go_to, page, status_of
from norvash.web.served.deps import Conn, Now, Typed, Who, act_of, fresh_id
from norvash.web.served.forms import RuleForm
from norvash.work.motors.ruling import clear_rule, set_rule, set_school
from norvash.work.reading.rulebook import rulebook

router = APIRouter()
# Under this a bare figure of a share may be meant as a part of one.
_EITHER = 5.0
_BARE = re.compile(r"[0-9]{1,9}(?:\.[0-9]{1,9})?")


@router.get("/rulebook")
def show(*, request: Request, conn: Conn, q: str = "", how: str = "", used: str = "") -> HTMLResponse:
    """Show all rules and schools by subject, or those that are sought."""
    book = rulebook(conn)
    sought = RulesSought(words=q[:80], how=how if how in SET_HERE else "", used=used)
    edges: dict[str, float] = {stage: book.figure(GRADE_FROM.of(stage)).value for stage in GRADE_FROM.members}
    changed: dict[str, list[object]] = {}
    for override in book.overrides.values():
        changed.setdefault(override.rule_id, []).append(override)
    return page(
        request,
        "rulebook.html",
        area="Rulebook",
        groups=rules_found(GROUPS, sought, changed, _used()),
        changed=changed,
        said={o: _said(o) for o in book.overrides.values()},
        schools=schools_found(SCHOOLS, sought, changed),
        sought=sought,
        ways=SET_HERE,
        sums=sorted({title for sums in _used().values() for _, title in sums}),
        names=_names(conn, book),
        scale=grade_scale(edges, 1000),
        scale_phone=grade_scale(edges, 346),
        errors={},
    )


@router.get("/rulebook/causes")
def causes(*, request: Request, conn: Conn) -> HTMLResponse:
    """Show the tables by which causes are found."""
    rules = MotorRules(rulebook(conn))
    return page(
        request,
        "causes.html",
        area="Rulebook",
        causes=CAUSES,
        signs=SIGNS,
        checks=CHECKS,
        classes=CLASSES,
        surroundings=SURROUNDINGS,
        means=strengths(rules),
        errors={},
    )


@router.get("/rulebook/{rule_id}")
def one(*, request: Request, conn: Conn, rule_id: str) -> Response:
    """Show one rule or school with its history, and the field to change it."""
    return _page(request, conn, rule_id, {}, None)


def _page(
    request: Request, conn: Conn, rule_id: str, typed: dict[str, str], error: NorvashError | None
) -> HTMLResponse:
    book = rulebook(conn)
    targets = [
        ("site", "the whole site"),
        *((f"class:{c}", f"class {c}") for c in CLASSES),
        *((f"type:{t.name}", f"type {t.name}") for t, _ in motors.list_types(conn)),
        ("motor", "one motor, by its tag"),
    ]
    history = store.list_history(conn, rule_id)
    set_here = [o for o in book.overrides.values() if o.rule_id == rule_id]
    shown = {
        "area": "Rulebook",
        "rule_id": rule_id,
        "targets": targets,
        "history": history,
        "names": _names(conn, book),
        "act_id": fresh_id(),
        "set_here": set_here,
        "said": {o: _said(o) for o in (*set_here, *(h.override for h in history))},
        "typed": typed,
        "error": error,
        "errors": errors_of(error),
    }
    status = status_of(error) if error else 200
    if rule_id in SCHOOLS_BY_ID:
        school = SCHOOLS_BY_ID[rule_id]
        choices = [(c, book.choice(rule_id, c)) for c in CLASSES]
        return page(
            request,
            "school.html",
            status,
            named=school.question,
            school=school,
            choices=choices,
            used=_school_used(rule_id),
            **shown,
        )
    rule = book.rule(rule_id)
    figures = [(c, book.figure(rule_id, c)) for c in CLASSES]
    return page(
        request,
        "rule.html",
        status,
        named=rule.words,
        rule=rule,
        figures=figures,
        used=_used().get(rule_id, ()),
        **shown,
    )


def _said(override: Override) -> str:
    """Return what was set in place of a default, in words."""
    school = SCHOOLS_BY_ID.get(override.rule_id)
    if school is not None:
        return dict(school.options).get(override.word, f"{override.word}, {KEPT_BY_ANOTHER}")
    rule = RULES.get(override.rule_id)
    return figure_said(override.value, rule.unit) if rule is not None else f"{override.value:g}, {KEPT_BY_ANOTHER}"


def _names(conn: Connection, book: Rulebook) -> dict[tuple[str, str], str]:
    """Return the words for what each override is about."""
    types = {t.id: t.name for t, _ in motors.list_types(conn)}
    made: dict[tuple[str, str], str] = {}
    for o in book.overrides.values():
        if o.scope == "motor":
            made[o.scope, o.scope_id] = f"motor {motors.fetch_motor(conn, o.scope_id).tag}"
        else:
            made[o.scope, o.scope_id] = {"site": "the site", "class": f"class {o.scope_id}"}.get(
                o.scope, f"type {types.get(o.scope_id, '')}"
            )
    return made


@cache
def _used() -> dict[str, tuple[tuple[str, str], ...]]:
    """Return the sums that use each rule, as their examples show."""
    from norvash.core.sums.catalogue import SUMS
    from norvash.work.pages.sums import work_out

    found: dict[str, list[tuple[str, str]]] = {}
    for entry in SUMS.values():
        for rule_id in getattr(work_out(entry.name, dict(entry.example), shipped())[1], "rules", ()):
            found.setdefault(rule_id, []).append((f"/sums/{entry.name}", entry.title))
    return {k: tuple(v) for k, v in found.items()}


def _school_used(school_id: str) -> list[str]:
    """Return where a school is shown: stages of the sheet and tasks of the work list."""
    stages = [f"stage “{s.words}”" for s in STAGES if school_id in s.schools]
    return [*stages, *(f"task “{t.what}”" for t in TASKS.values() if school_id in t.schools)]


@router.post("/rulebook/{rule_id}")
def change(*, request: Request, conn: Conn, now: Now, who: Who, rule_id: str, typed: Typed) -> Response:
    """Set something in place of the default, or take it back; the motors are judged anew in the background."""
    form = RuleForm.of(typed)
    scope, of = form.scope
    try:
        act = act_of(typed, who, now)
        if form.clear:
            clear_rule(conn, act, rule_id, scope, of)
        elif rule_id in SCHOOLS_BY_ID:
            set_school(conn, act, rule_id, scope=scope, scope_id=of, key=form.value, why=form.why)
        else:
            text = _typed(rule_id, form.value)
            set_rule(conn, act, rule_id, scope=scope, scope_id=of, text=text, why=form.why)
    except NorvashError as error:
        if status_of(error) == 404 and error.field != "person":
            raise
        return _page(request, conn, rule_id, typed, _at_tag(error, scope))
    request.app.state.catch_up(request.app)
    return go_to(f"/rulebook/{rule_id}")


def _typed(rule_id: str, text: str) -> str:
    """Return a figure as it was meant: a share is typed in per cent, and one that could be either is asked about."""
    plain = text.strip()
    if rule_id not in RULES or RULES[rule_id].unit != "share" or not _BARE.fullmatch(plain):
        return text
    if 0 < float(plain) < _EITHER:
        raise InputError(
            f"“{plain}” could be {float(plain):g}% or {100 * float(plain):g}%.",
            "Type it with its sign, like 40%.",
            "value",
        )
    return f"{plain}%"


def _at_tag(error: NorvashError, scope: str) -> NorvashError:
    """Return an error about the scope at the field in which it was given."""
    if isinstance(error, InputError) and error.field in ("scope", "scope_id"):
        return error.at("tag" if scope == "motor" else "target")
    return error

"""Every address and every role: who may, who may not, and that nothing is forgotten."""

import re
from dataclasses import replace
from pathlib import Path

import pytest
from fastapi import FastAPI
from starlette.testclient import TestClient

from conftest import Shop
from norvash.config import Settings
from norvash.errors import Conflict
from norvash.store.access import members as access
from norvash.store.access.members import ROLES, Role
from norvash.store.access.signed import ask_pin
from norvash.store.file.database import transaction
from norvash.store.record.policies import list_policies
from norvash.web.app import create_app, load_all
from norvash.web.door.rights import RIGHTS, Need, needed
from norvash.web.served.deps import SESSION_COOKIE
from norvash.work.access.sign_in import Device, begin
from norvash.work.act.acting import Change, FromFile, InSession, once
from norvash.work.act.may import MAY, NotAllowed, at_least, may
from norvash.work.motors.motor_types import save_type
from norvash.work.motors.policing import add_policy
from norvash.work.on_sheet.signing import sign
from pages import ORIGIN, come_in

WITHOUT = "nobody"


def every_route(app: FastAPI) -> set[str]:
    load_all(app)
    found = set()
    for route in app.routes:
        for one in getattr(getattr(route, "original_router", None), "routes", [route]):
            path = getattr(one, "path", "")
            if not path.startswith("/static"):
                found |= {f"{method} {path}" for method in getattr(one, "methods", None) or () if method != "HEAD"}
    return found


def test_every_address_is_in_the_list_and_no_other(db: Path) -> None:
    app = create_app(Settings(db=db, log=False))
    assert every_route(app) == set(RIGHTS)


@pytest.fixture
def served(db: Path, shop: Shop) -> tuple[FastAPI, dict[str, str]]:
    """Return a server on a shop with a motor and a sheet, and what stands for the names in its addresses."""
    motor = shop.motor()
    given = {"motor_id": motor, "sheet_id": shop.look(motor), "stage": "brushes", "name": "usable-carbon"}
    given |= {"scope": "motor", "scope_id": motor, "rule_id": "stage.watch", "person_id": "no-such-person"}
    app = create_app(Settings(db=db, log=False))
    return app, given


def asked(client: TestClient, address: str, given: dict[str, str]) -> tuple[int, str]:
    method, _, path = address.partition(" ")
    path = re.sub(r"\{(\w+)\}", lambda m: given.get(m[1], "none-of-that-id"), path)
    answer = client.request(method, path, follow_redirects=False)
    return answer.status_code, answer.headers.get("location", "")


def as_may_be(address: str, need: Need, role: str, *, status: int, to: str) -> bool:
    """Tell whether an answer is what the role that an address asks for gives whoever asks."""
    away = status == 401 or (status == 303 and to.startswith("/who?next="))
    if (address, role) == ("GET /outlook/norvash.ics", WITHOUT):  # it asks for a key of its own
        return away
    if need == "open":
        return status not in (403, 500) and not to.startswith("/who?next=")
    if role == WITHOUT:
        return away
    if address == "POST /who/password":  # it asks for the old one
        return status == 401
    return not away and status not in (403, 500) if at_least(role, need) else status == 403


@pytest.mark.parametrize("role", [WITHOUT, *ROLES])
def test_every_role_at_every_address(role: str, served: tuple[FastAPI, dict[str, str]], shop: Shop) -> None:
    app, given = served
    wrong = {}
    for address, need in RIGHTS.items():
        with TestClient(app, base_url=ORIGIN, headers={"Origin": ORIGIN}, raise_server_exceptions=False) as client:
            if role != WITHOUT:
                with transaction(shop.conn):
                    access.give_role(shop.conn, "person-of-test", role)  # type: ignore[arg-type]
                client.cookies.set(SESSION_COOKIE, come_in(app))
            status, to = asked(client, address, given)
        if not as_may_be(address, need, role, status=status, to=to):
            wrong[address] = (need, status, to)
    assert wrong == {}


@pytest.mark.parametrize("role", ROLES)
@pytest.mark.parametrize("way", ["in a session", "from a file"])
def test_every_job_is_held_where_it_is_written(role: Role, way: str, shop: Shop) -> None:
    with transaction(shop.conn):
        access.give_role(shop.conn, shop.person, role)
        access.begin_signing_in(shop.conn, shop.now)
    member = access.find_member(shop.conn, shop.person)
    assert member is not None
    session = begin(shop.conn, member, Device("a-browser-of-the-tests"), shop.now).session
    origin = InSession(session.id) if way == "in a session" else FromFile(shop.person, "")
    may_do = {}
    for job in MAY:
        for scope in ("motor", "type"):
            act = replace(shop.act(), origin=origin)
            try:
                once(shop.conn, act, job, typed={}, body=lambda a: Change(a.id, {}, {}), scope=scope)
            except NotAllowed:
                may_do[job, scope] = False
            else:
                may_do[job, scope] = True
    assert may_do == {(j, s): at_least(role, may(j, s)) for j, s in may_do}


def test_no_signature_is_written_without_the_pin_that_the_shop_asks_for(shop: Shop) -> None:
    sheet = shop.look(shop.motor())
    with transaction(shop.conn):
        access.give_role(shop.conn, shop.person, "lead")
        ask_pin(shop.conn, True)
    member = access.find_member(shop.conn, shop.person)
    assert member is not None
    session = begin(shop.conn, member, Device("a-browser-of-the-tests"), shop.now).session
    act, with_pin = replace(shop.act(), origin=InSession(session.id)), InSession(session.id, by_pin=True)
    with pytest.raises(Conflict, match="asks for the PIN"):
        sign(shop.conn, act, sheet, "left so by the test", service=True)
    sign(shop.conn, replace(act, origin=with_pin), sheet, "left so by the test", service=True)


def test_a_policy_of_a_whole_type_is_the_leads() -> None:
    assert needed("POST", "/policies/{scope}/{scope_id}", {"scope": "type"}) == "lead"
    assert needed("POST", "/policies/{scope}/{scope_id}", {"scope": "motor"}) == "technician"
    assert needed("HEAD", "/motors", {}) == "viewer"
    assert needed("GET", "/an/address/of/tomorrow", {}) is None


def test_what_holds_for_a_whole_type_is_the_leads_whatever_address_it_is_done_at(db: Path, shop: Shop) -> None:
    """Every scoped job at each scope, as a technician and as a lead, over the wire."""
    figures = {"name": "Winch", "motor_class": "industrial", "brushes": "2"}
    kind = save_type(shop.conn, shop.act(), "", **figures, typed={})
    motor, typed = shop.motor(type_id=kind), {"kind": "interval", "name": "Every 100 h", "every": "100"}

    def made(scope: str, scope_id: str) -> str:
        return add_policy(shop.conn, shop.act(), scope, scope_id=scope_id, kind="interval", typed=typed)

    def jobs(role: str) -> dict[tuple[str, str], tuple[str, dict[str, str]]]:
        return {
            ("add a policy", "type"): (f"/policies/type/{kind}", typed),
            ("add a policy", "motor"): (f"/policies/motor/{motor}", typed),
            ("end a policy", "type"): (f"/policies/{made('type', kind)}", {}),
            ("end a policy", "motor"): (f"/policies/{made('motor', motor)}", {}),
            ("save a type", "type"): (f"/types/{kind}", figures),
            ("save a type", ""): ("/types", figures | {"name": f"Another, of a {role}"}),
        }

    app, answers = create_app(Settings(db=db, log=False)), {}
    for role in ("technician", "lead"):
        with transaction(shop.conn):
            access.give_role(shop.conn, "person-of-test", role)
        with TestClient(app, base_url=ORIGIN, headers={"Origin": ORIGIN}) as client:
            client.cookies.set(SESSION_COOKIE, come_in(app))
            for n, (scoped, (to, given)) in enumerate(jobs(role).items()):
                sent = {**given, "act_id": f"{role}-{n}-scoped"}
                answers[role, *scoped] = client.post(to, data=sent, follow_redirects=False).status_code
            page = client.get(f"/policies/type/{kind}").text
            assert ("End it" in page, "Add a policy" in page) == ((role == "lead"),) * 2
    right = {(r, j, s): 303 if at_least(r, may(j, s)) else 403 for r, j, s in answers}
    assert answers == right
    assert {(j, s) for j in MAY for s in ("motor", "type") if may(j, s) != MAY[j]} == {
        (j, "type") for j in ("add a policy", "end a policy", "save a type")
    }
    # What the technician made of the type's own beforehand stands, what the lead ended does not.
    assert len(list_policies(shop.conn, "", kind)) == 2

"""What a page must let somebody do at once: find, be asked for a figure in place, choose how keys work."""

import re
from datetime import date, timedelta
from html import unescape
from pathlib import Path

import pytest
from starlette.testclient import TestClient

from conftest import Shop
from norvash.core.motor.figure_fields import BARS, BY_NAME, SPEED_TAPS
from norvash.core.rules.book import CLASSES
from norvash.core.rules.catalogue import RULES
from norvash.core.stages.catalogue import STAGES
from norvash.store.file.database import connect
from norvash.store.record import people, standings, weeks_ahead
from norvash.web.served.deps import SESSION_COOKIE
from norvash.work.on_sheet.opening import open_sheet
from norvash.work.on_sheet.sheets import enter
from norvash.work.pages.bench import row_of
from norvash.work.pages.motor import motor_page
from norvash.work.reading.loading import load
from pages import come_in, opened

# The longest line that still stands on two lines of a bench's screen, and the most words of it that are not a person's.
_LONGEST, _MOST_WORDS = 200, 31


def told(client: TestClient, path: str) -> str:
    """Return the words of the middle of a page."""
    page = client.get(path)
    assert page.status_code == 200, path
    inside = re.sub(
        r"<option.*?</option>|<[^>]+>", " ", page.text[page.text.index("<main") : page.text.index("</main>")]
    )
    return re.sub(r"\s+", " ", unescape(inside))


# What is looked for, something that must be found, and something that must not.
SOUGHT = {
    "a rule by its words in any order": ("/rulebook?q=pressure+spring", "Spring pressure, lower edge", "Usable carbon"),
    "by its subject": ("/rulebook?q=straight+line", "Share of the hours left", "Spring pressure"),
    "by its source": ("/rulebook?q=property+of+copper", "resistance of copper", "Usable carbon"),
    "by its id": ("/rulebook?q=stage.watch", "Usable carbon at or under which a set is watched", "Spring"),
    "one set by us": ("/rulebook?how=ours", "Usable carbon at or under which a set is watched", "Spring pressure"),
    "those at their default": ("/rulebook?how=default", "Spring pressure", "under which a set is watched"),
    "those of one sum": ("/rulebook?used=Find+the+cause", "called the likely one", "Spring pressure"),
    "a school": ("/rulebook?q=who+disagrees+nobody", "No rule fits", "Spring"),
    "no way that is known": ("/rulebook?how=nonsense", "Spring pressure", "No rule fits"),
    "a motor": ("/find?q=trap", "X-01 Trap winch", "Nothing holds"),
    "a place": ("/find?q=under+stage", "under stage 1 motor", "Nothing holds"),
    "a rule from anywhere": ("/find?q=undercut", "undercut", "Nothing holds"),
    "a rule with what is in force here": ("/find?q=set+is+watched", "a set is watched 45%", "40%"),
    "a sum": ("/find?q=seat", "Seating", "Nothing holds"),
    "a sheet by its number": ("/find?q=sheet+1", "sheet 1 of", "Nothing holds"),
    "what somebody wrote": ("/find?q=smells+of+varnish", "“it smells of varnish”", "Nothing holds"),
    "another script, a small letter for a large one": ("/find?q=двигатель", "“Двигатель гудит”", "Nothing holds"),
    "nothing": ("/find?q=zzzz", "Nothing holds these words", "Motors"),
    "no words": ("/find", "Find anything", "Nothing holds"),
    "marks of a pattern": ("/find?q=%25_%27", "Nothing holds these words", "Motors"),
}


@pytest.fixture
def sheet(shop: Shop) -> str:
    motor = shop.motor()
    made = open_sheet(shop.conn, shop.act(), motor, kind="full", counter="")
    enter(shop.conn, shop.act(), made, field_id="complaint", place=0, text="it smells of varnish")
    enter(shop.conn, shop.act(), made, field_id="remark.call-in", place=0, text="Двигатель гудит")
    return made


@pytest.mark.parametrize(("path", "there", "not_there"), SOUGHT.values(), ids=SOUGHT)
def test_what_is_sought_is_found(client: TestClient, sheet: str, path: str, there: str, not_there: str) -> None:
    data = {"act_id": "set-for-the-shop", "value": "45", "target": "site", "why": "hard to reach"}
    assert client.post("/rulebook/stage.watch", data=data).status_code == 200
    said = told(client, path)
    assert there in said
    assert not_there not in said


def test_a_motors_own_tag_opens_it(client: TestClient, sheet: str, shop: Shop) -> None:
    answer = client.get("/find?q=+x-01", follow_redirects=False)
    opened = answer.headers["location"]
    assert (answer.status_code, "Trap winch" in client.get(opened).text) == (303, True)
    assert client.get("/find?q=x-0", follow_redirects=False).status_code == 200


def test_the_rulebook_says_a_source_once_and_shares_in_per_cent(client: TestClient) -> None:
    said = told(client, "/rulebook?q=stages+of+carbon")
    assert said.count("Set by this rulebook, to be changed by the site") == 1
    assert [share for share in ("40%", "25%", "10%") if share not in said] == []
    assert [r for r in RULES if f"{r} " in told(client, "/rulebook")] == []


def test_a_figure_is_asked_for_where_it_lacks_and_is_the_motors_own(client: TestClient, shop: Shop, sheet: str) -> None:
    page = client.get(f"/sheets/{sheet}/commutator").text
    assert "The bars cannot be mapped yet" in page
    action = re.search(r'id="figures-bars">\s*<form method="post" action="([^"]+)"', page)
    assert action
    address = unescape(action[1])
    refused = client.post(address, data={"bars": "four"})
    assert (refused.status_code, 'value="four"' in refused.text) == (422, True)
    assert "The bars, drawn" in client.post(address, data={"bars": "24"}).text
    assert BARS.stated(load(shop.conn, "test-act-00001").figures) == 24
    assert client.post(address.replace("-figures", "-again"), data={"colour": "red"}).status_code == 422
    taps = client.post(f"/sheets/{sheet}/figures?stage=before&act_id=figures-of-taps", data={"speed_taps": "0.5; 1"})
    assert "Setting 2" in taps.text
    motor = load(shop.conn, "test-act-00001")
    assert (SPEED_TAPS.of(motor.figures), BARS.stated(motor.figures)) == ("0.5; 1", 24)
    # Whoever still has the page of before overwrites nothing, and sends only what they changed.
    late = client.post(f"/sheets/{sheet}/figures?stage=commutator&act_id=bars-from-an-old-page", data={"bars": "30"})
    assert (late.status_code, 'value="30"' in late.text, "Somebody else gave “Bars”" in late.text) == (409, True, True)
    both = {"bars": "24", "seen_bars": "24", "armature_slots": "12"}
    assert client.post(f"/sheets/{sheet}/figures?stage=windings&act_id=slots-beside-them", data=both).status_code == 200
    acts = len(people.list_acts(shop.conn, "test-act-00001", 99))
    same = {"bars": "24", "seen_bars": "24"}
    assert client.post(f"/sheets/{sheet}/figures?act_id=nothing-was-changed", data=same).status_code == 200
    assert len(people.list_acts(shop.conn, "test-act-00001", 99)) == acts
    shop.sign(sheet)
    assert client.post(f"/sheets/{sheet}/figures?act_id=after-the-end", data={"bars": "30"}).status_code == 409


def test_every_stage_asks_only_for_figures_that_can_be_given(client: TestClient, sheet: str) -> None:
    for stage in STAGES:
        page = client.get(f"/sheets/{sheet}/{stage.id}").text
        assert [f.name for f in stage.asks if not f.classes and f'id="figure-{f.name}"' not in page] == [], stage.id


@pytest.mark.parametrize("motor_class", CLASSES)
def test_a_figure_that_a_stage_asks_for_is_kept_or_refused_in_words(
    client: TestClient, shop: Shop, motor_class: str
) -> None:
    motor = shop.motor(motor_class=motor_class)
    sheet = open_sheet(shop.conn, shop.act(), motor, kind="full", counter="")
    asked = {
        stage: re.findall(r'id="figure-(\w+)"', client.get(f"/sheets/{sheet}/{stage.id}").text) for stage in STAGES
    }
    assert sum(map(len, asked.values())) > 20
    for stage, names in asked.items():
        for name in names:
            own = load(shop.conn, motor).stated.own_words
            as_drawn = {n: own.get(n, "") for n in names} | {f"seen_{n}": own.get(n, "") for n in names}
            typed = as_drawn | {name: next(iter(getattr(BY_NAME[name], "choices", ())), "3")}
            at = f"/sheets/{sheet}/figures?stage={stage.id}&act_id=figure-{stage.id}-{name.replace('_', '-')}"
            answer = client.post(at, data=typed)
            kept = load(shop.conn, motor).stated.own_words.get(name, "") != own.get(name, "")
            assert kept == (answer.status_code == 200 and typed[name] != own.get(name, "")), (name, answer.status_code)


def test_how_keys_work_belongs_to_a_person(client: TestClient, shop: Shop) -> None:
    assert 'data-keys="plain"' in client.get("/").text
    client.post("/keys", data={"act_id": "keys-with-alt", "keys": "alt", "next": "/hours"})
    assert 'data-keys="alt"' in client.get("/hours").text
    assert client.post("/keys", data={"act_id": "keys-of-nobody", "keys": "shout"}).status_code == 422
    people.add_person(shop.conn, people.Person("second-person", "Bram Aldous"), shop.now)
    client.cookies.set(SESSION_COOKIE, come_in(client.app, "second-person"))
    assert 'data-keys="plain"' in client.get("/").text


def test_a_list_says_no_figure_longer_than_it_holds(playhouse: Path) -> None:
    """What a list keeps of a motor is said on every later day as the motor's own page says it."""
    conn = connect(playhouse, read_only=True)
    day, late = date.fromisoformat(conn.execute("select demo_day from site").fetchone()["demo_day"]), 0
    for listed in standings.find_motors(conn, "", "", 99, 0):
        kept = row_of(listed, day).figures
        for then in [day, *(date.fromisoformat(f.until) for f in kept if f.until)]:
            own, said = motor_page(conn, listed.motor_id, then), row_of(listed, then).figures
            late += any("overdue" in f.value or "past" in f.value for f in said)
            assert [(f.value, f.words) for f in said] == [(f.value, f.words) for f in own.said.figures], (
                listed.tag,
                then,
            )
    conn.close()
    assert late


def test_every_line_of_the_playhouse_is_calm(playhouse: Path, db: Path) -> None:
    conn = connect(playhouse, read_only=True)
    ids = [r["id"] for r in conn.execute("select id from motor order by id")]
    day = conn.execute("select demo_day from site").fetchone()["demo_day"]
    for motor_id in ids:
        said = motor_page(conn, motor_id, date.fromisoformat(day)).said
        assert len(said.sentence) <= _LONGEST, said.sentence
        assert len(said.sentence.split()) <= _MOST_WORDS, said.sentence
        assert len(said.figures) <= 4
    conn.close()
    with opened(playhouse, "person-1-of-demo") as client:
        assert client.get("/").status_code == 200


def test_where_it_stands_is_several_words(client: TestClient, sheet: str) -> None:
    """Ticked each, emptied by the empty one beside them; a wrong one is refused there."""
    for n, (said, kept) in enumerate(((["", "at height", "wet"], "wet; at height"), ([""], ""), (["", "moon"], None))):
        version = re.search(r'name="version" value="(\d+)"', client.get("/motors/test-act-00001/figures").text)
        assert version
        typed = {"version": version[1], "conditions": said, "act_id": f"where-it-stands-{n}"}
        status = client.post("/motors/test-act-00001/figures", data=typed).status_code
        ticked = re.findall(
            r'name="conditions"\s+value="([^"]+)"\s+checked', client.get("/motors/test-act-00001/figures").text
        )
        assert (status, "; ".join(ticked)) == ((422, "") if kept is None else (200, kept))


def test_register_and_outlook_open_with_what_must_not_run(playhouse: Path) -> None:
    conn = connect(playhouse, read_only=True)
    day = date.fromisoformat(conn.execute("select demo_day from site").fetchone()["demo_day"])
    for then in (day, day + timedelta(weeks=30)):
        stopped, urgent = weeks_ahead.list_gravest(conn, weeks_ahead.Sought(today=then), 99)
        rows = [row_of(x, then) for x in standings.find_motors(conn, "", "", 99, 0)]
        assert sorted(x.tag for x in stopped) == sorted(r.listed.tag for r in rows if r.grade == "stop")
        assert sorted(x.tag for x in urgent) == sorted(r.listed.tag for r in rows if r.grade == "change")
        one = weeks_ahead.list_gravest(conn, weeks_ahead.Sought(motor_class="tool", today=then), 1)
        tools = {r.listed.tag for r in rows if r.listed.motor_class == "tool"}
        assert {x.tag for those in one for x in those} <= tools
    conn.close()
    with opened(playhouse, "person-1-of-demo") as client:
        for address in ("/outlook", "/motors"):
            shown = client.get(address).text
            assert shown.index("Must not run") < shown.index("At this visit")
        assert "Must not run" not in client.get("/motors?q=mixer").text

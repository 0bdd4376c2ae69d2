"""Pages in parts: what is sent to a browser that has the page, how much that is, and that nothing is left out."""

import re
import shutil
from datetime import datetime
from pathlib import Path

import pytest
from fastapi.testclient import TestClient
from hypothesis import given
from hypothesis import strategies as st

from norvash.config import Settings
from norvash.core.stages.catalogue import STAGE_BY_ID
from norvash.store.file.database import connect
from norvash.web.app import create_app
from norvash.web.served.deps import SESSION_COOKIE
from norvash.web.served.fragments import Fragment, Parts
from norvash.web.templating import STATIC
from pages import come_in

MOST_PAGE, MOST_ANSWER, MOST_SCRIPTS = 61_000, 15_000, 140_000
_MARKED = re.compile(r'<[a-z0-9]+ data-part="([0-9a-f]{8})"[^>]*?\sid="([^"]+)"')


def marks(html: str) -> dict[str, str]:
    return {id_: mark for mark, id_ in _MARKED.findall(html)}


def scripts_of(*entries: str) -> dict[Path, int]:
    """Return the scripts that a page loads, with what they import, and how large each is."""
    found: dict[Path, int] = {}
    waiting = [STATIC / "scripts" / name for name in entries]
    while waiting:
        path = waiting.pop().resolve()
        if path not in found:
            text = path.read_text()
            found[path] = len(text.encode())
            waiting += [path.parent / p for p in re.findall(r'from\s*"(\.[^"]+)"', text)]
    return found


def test_the_scripts_of_a_page_are_few() -> None:
    every_page, sheet = scripts_of("main.js"), scripts_of("on_sheet.js", "on_bar_map.js", "main.js")
    assert len(every_page) > 8
    assert {p.name for p in sheet} - {p.name for p in every_page} > {"sheet.js", "bar_map.js"}
    assert sum(sheet.values()) <= MOST_SCRIPTS


tree = st.recursive(st.just(()), lambda inner: st.lists(inner, max_size=3).map(tuple), max_leaves=8)


def drawn(parts: Parts, words: list[str], shape: object, name: str = "p") -> str:
    """Render a tree of parts, each with a word of its own, as a template does: the inner ones first."""
    assert isinstance(shape, tuple)

    def text() -> str:
        held = "".join(drawn(parts, words, child, f"{name}-{i}") for i, child in enumerate(shape))
        return f'<div id="{name}">act-17 {words[len(name) % len(words)]}{held}</div>'

    return parts.add(text)


def put_in(html: str, old: list[Fragment], new: list[Fragment], has: dict[str, str]) -> str:
    for was, now in zip(old, new, strict=True):
        same = has[was.id] == now.mark
        html = put_in(html, was.held, now.held, has) if same else html.replace(was.text, now.text)
    return html


words = st.lists(st.sampled_from(["even", "burnt", "pitted", "raised"]), min_size=4, max_size=4)


@given(tree, words, words)
def test_a_page_that_takes_what_is_sent_is_the_new_page(shape: object, before: list[str], after: list[str]) -> None:
    old, new = Parts("act-17"), Parts("act-17")
    page, wanted = drawn(old, before, shape), drawn(new, after, shape)
    has = marks(page)
    assert put_in(page, old.outermost, new.outermost, has) == wanted
    assert (new.fragment(has) == "") == (page == wanted)
    assert new.fragment({}) == wanted


def test_what_passes_with_each_rendering_changes_no_mark() -> None:
    first, second = '<form id="f" action="?act_id=act-1-x"></form>', '<form id="f" action="?act_id=act-2-x"></form>'
    texts = [Parts("act-1").add(lambda: first), Parts("act-2").add(lambda: second)]
    assert marks(texts[0]) == marks(texts[1])
    with pytest.raises(ValueError, match="one element with an id"):
        Parts().add(lambda: "<p>no id</p>")


@pytest.mark.long
def test_every_page_of_the_playhouse_is_light_and_each_answer_lighter(playhouse: Path, tmp_path: Path) -> None:
    db = Path(shutil.copy(playhouse, tmp_path / "copy.db"))
    conn = connect(db)
    open_sheets = [r["id"] for r in conn.execute("select id from sheet where signed_at is null")]
    assert len(open_sheets) >= 3
    app = create_app(Settings(db=db, log=False))
    app.state.catch_up = lambda _: None
    with TestClient(app, base_url="http://localhost", headers={"Origin": "http://localhost"}) as client:
        client.cookies.set(SESSION_COOKIE, come_in(app, conn.execute("select id from person").fetchone()["id"]))
        seen = [
            _answer_to_a_remark(client, f"/sheets/{sheet}", stage)
            for sheet in open_sheets
            for stage, found in STAGE_BY_ID.items()
            if not found.closes
        ]
    assert len(seen) > 30
    assert {where: page for where, page, _ in seen if page > MOST_PAGE} == {}
    assert {where: answer for where, _, answer in seen if answer > MOST_ANSWER} == {}
    conn.close()


def _answer_to_a_remark(client: TestClient, sheet: str, stage: str) -> tuple[str, int, int]:
    """Return the size of a stage's page, and that of the answer to a remark on it, which makes it what it is now."""
    at = f"{sheet}/{stage}?position=1"
    page = client.get(at).text
    has = marks(page)
    said = ",".join(f"{id_}={mark}" for id_, mark in has.items())
    sent = {"field": f"remark.{stage}", "value": f"seen at {datetime.now():%H:%M}", "stage": stage, "position": "1"}
    sent["act_id"] = f"remark-on-{sheet[-6:]}-{stage}"
    headers = {"Norvash-Has": said, "Prefer": "return=representation"}
    answer = client.post(f"{sheet}/entries", data=sent, headers=headers).text
    assert answer.startswith(f'<template data-fragment="{sheet}/{stage}"'), answer[:300]
    now = marks(client.get(at).text)
    now.pop("run-in-log", None)  # what runs by the clock may have gone on meanwhile
    assert {**has, **marks(answer)}.items() >= now.items()
    return at, len(page.encode()), len(answer.encode())

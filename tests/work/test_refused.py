"""What a judgement refuses changes nothing of a motor, and stays on its sheet and paper with its reason."""

import re
from dataclasses import replace

import pytest

from at_work import at_work
from conftest import Shop
from norvash.core.stages.sign import REFUSED, refused_given
from norvash.errors import InputError, JudgedAgainst
from norvash.store.record.last_done import last_of
from norvash.work.act.acting import FromFile
from norvash.work.on_sheet.sheets import enter
from norvash.work.told.visit import visit_told

# What stands before, what is asked, and how it is kept.
REFUSALS = {
    "emery": ("surface-with=emery", "Cleaned with, emery: refused, emery leaves hard dust that conducts"),
    "silicone in a bearing": ("b-greased@1=silicone", "silicone vapour destroys the film"),
    "a turn with a loose bar": (
        "permit.open@1=a try who=Ines barriers=rope minutes=20 turns=driven rpm=300 at_stop=Bram",
        "Opened 1, a try: refused, power waits: Commutator, a raised or loose bar",
    ),
    "more volts than its plate": (
        "permit.open@1=a look who=Ines barriers=rope minutes=20 turns=load volts=400",
        "Opened 1, a look: refused, ",
    ),
    "a stop put off": ("decide.commutator.raised=deferred who=Ines day=2027-01-10", "that is not put off"),
    "a stop dropped": ("decide.commutator.raised=dropped why=no", "that is not dropped"),
    "a stop made milder": ("overrule.commutator=watch why=fine", "that is not overruled to something milder"),
}


@pytest.mark.parametrize(("asked", "words"), REFUSALS.values(), ids=REFUSALS)
def test_what_a_judgement_refuses_is_kept_once_with_its_reason_and_is_not_taken_back(
    shop: Shop, asked: str, words: str
) -> None:
    work = at_work(shop, "tool", "tool")
    work.safe().put("" if "volts=400" in asked else "seen.commutator.raised=yes")
    row, *said = re.split(r" (?=\w+=)", asked)
    name, _, text = row.partition("=")
    field, _, place = name.partition("@")
    before, last = work.bench.states, last_of(shop.conn, work.bench.id, shop.person)
    for _ in range(2):
        with pytest.raises(JudgedAgainst):
            work.bench.put(field, text, int(place or 0), **dict(w.split("=") for w in said))
    page = work.bench.page
    (kept,) = refused_given(page.sheet)
    assert words in kept.typed
    assert (field, int(place or 0)) not in page.sheet.entries
    assert work.bench.states == before
    assert last_of(shop.conn, work.bench.id, shop.person) == last
    told = {"words": kept.typed, "person": kept.person, "at": kept.at.isoformat()}
    assert visit_told(shop.conn, page)["refused"] == [told]
    with pytest.raises(InputError, match="kept by itself"):
        work.bench.put(REFUSED.id, "", 1)


def test_what_cannot_be_read_is_no_refusal_and_a_file_brings_its_own(shop: Shop) -> None:
    work = at_work(shop, "tool", "tool").safe()
    for field, text in (("surface-with", "sand"), ("run-s", "soon")):
        with pytest.raises(InputError):
            work.bench.put(field, text)
    act = replace(shop.later(minutes=1).act(), origin=FromFile(shop.person, work.bench.motor))
    with pytest.raises(JudgedAgainst):
        enter(shop.conn, act, work.bench.id, field_id="surface-with", place=0, text="emery")
    assert not refused_given(work.bench.page.sheet)
    enter(shop.conn, replace(act, id="from-file-1"), work.bench.id, field_id="refused", place=1, text="an emery")
    assert [g.typed for g in refused_given(work.bench.page.sheet)] == ["an emery"]

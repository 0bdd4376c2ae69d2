"""Which figure and which school holds for a motor, and what a change of them changes."""

import pytest

from norvash.core.bearings.fitting import band_of
from norvash.core.brush.motor_limit import motor_limit
from norvash.core.diagnosis.ranking import strengths
from norvash.core.grades import GRADES
from norvash.core.motor.classes import TEMPLATES
from norvash.core.motor.figure_fields import GRADE_FAMILY, INSULATION_CLASS, MEASURED_WITH
from norvash.core.motor.figures import Figures
from norvash.core.rules.book import Family, MotorRules
from norvash.core.rules.brushes import GRADE_FROM
from norvash.core.rules.catalogue import FAMILIES, RULES, rulebook_with, shipped
from norvash.core.rules.closing import TORQUE
from norvash.core.rules.diagnosis import STRENGTH
from norvash.core.rules.fits import BANDS, FIT_HIGH, FIT_LOW
from norvash.core.rules.fitting import CONTACT_DROP, DENSITY_HIGH, DENSITY_LOW, FORM_FACTOR, FORM_FACTOR_OF, SPEED_MOST
from norvash.core.rules.readings import INSTRUMENT
from norvash.core.rules.supply import AIR, CABLE, CIRCUITS, CORD, CORDS, IN_AIR, SECTIONS, TOGETHER
from norvash.core.rules.windings import RISE_BY_RESISTANCE, RISE_BY_THERMOMETER
from norvash.core.stacks.torque import estimated
from norvash.core.supply.cables import Laid, load_a
from norvash.errors import InputError, NotFound
from states import a_round, judge, ruled, state

UNSAID = "stated, not said by whom"


CHOSEN_FROM: dict[Family, tuple[str, ...]] = {
    **dict.fromkeys((DENSITY_LOW, DENSITY_HIGH, CONTACT_DROP, SPEED_MOST), GRADE_FAMILY.choices),
    **dict.fromkeys((RISE_BY_RESISTANCE, RISE_BY_THERMOMETER), INSULATION_CLASS.choices),
    **dict.fromkeys(
        (FIT_LOW, FIT_HIGH), tuple(f"{kind}.{to:g}" for kind, bands in BANDS.items() for to, _, _ in bands)
    ),
    FORM_FACTOR: tuple(FORM_FACTOR_OF.values()),
    INSTRUMENT: MEASURED_WITH.choices,
}


def test_each_word_that_can_be_chosen_where_an_id_is_put_together_has_its_rule() -> None:
    """A family refuses a word that it has not: no choice of a figure or of a sum may run into that."""
    families = {f for f in FAMILIES if f not in CHOSEN_FROM}
    assert families == {GRADE_FROM, STRENGTH, TORQUE, CABLE, CORD, IN_AIR, TOGETHER}  # named by the code itself
    lacking = {f.pattern: set(words) - set(f.members) for f, words in CHOSEN_FROM.items()}
    assert {pattern: words for pattern, words in lacking.items() if words} == {}
    assert len(strengths(shipped())) == len(STRENGTH.members)
    assert {GRADE_FROM.of(g) for g in GRADES if g != "fit"} == set(GRADE_FROM.ids)
    for laid in (Laid(), Laid(cord=True)):
        assert all(load_a(float(s), laid, shipped()) > 0 for s in (CORDS if laid.cord else SECTIONS))
    hottest = (Laid(circuits=n, air_c=float(c)) for n in range(1, len(CIRCUITS) + 2) for c in AIR)
    assert all(load_a(float(SECTIONS[-1]), laid, shipped()) > 0 for laid in hottest)
    assert all(band_of(kind, to, shipped()).rules for kind, bands in BANDS.items() for to, _, _ in bands)
    assert [t for t in TORQUE.members if estimated(t, "steel", shipped()) is None] == []


LIMITS: dict[str, tuple[dict[str, float | str], float, str]] = {
    "maker": ({"limit_mm": 8.0, "limit_source": "maker"}, 8, "maker's figure"),
    "site": ({"limit_mm": 9.0, "limit_source": "site", "wear_line_3_mm": 7.0}, 9, "site rule"),
    "angled face": ({"limit_mm": 10.0, "thickness_mm": 12.0, "face_angle_deg": 30.0}, 6.5359, UNSAID),
    "depth": (
        {"method": "depth", "depth_new_mm": 20.0, "depth_limit_mm": 33.0, "depth_constant_mm": 42.0},
        9,
        "maker's figure, as a depth",
    ),
    "a depth before a length": (
        {"limit_mm": 8.0, "method": "depth", "depth_new_mm": 20.0, "depth_limit_mm": 33.0},
        9,
        "maker's figure, as a depth",
    ),
    "a length before a depth": (
        {"limit_mm": 10.0, "method": "depth", "depth_new_mm": 20.0, "depth_limit_mm": 33.0},
        10,
        UNSAID,
    ),
    "wear line": ({"wear_line_3_mm": 7.0, "lead_root_depth_mm": 4.0}, 7, "wear line on the brush"),
    "parts": ({"lead_root_depth_mm": 4.0}, 22 / 3, "worked out from the parts"),
    "a deeper root": ({"lead_root_depth_mm": 6.0}, 8, "worked out from the parts"),
    "class figures are no parts": ({}, 22 / 3, "estimate"),
}


@pytest.mark.parametrize(("own", "limit", "source"), LIMITS.values(), ids=LIMITS.keys())
def test_the_best_source_gives_the_limit(
    own: dict[str, float | str], limit: float, source: str, rules: MotorRules
) -> None:
    found = motor_limit(Figures({"new_mm": 22.0, **own}, {}, TEMPLATES["tool"].lends), rules)
    assert found.limit_mm == pytest.approx(limit, abs=1e-3)
    assert found.source == source


def test_the_rulebook_resolves_from_the_narrowest_scope() -> None:
    rule = shipped().book.rule("stage.watch")
    scopes = [("site", "", 0.5), ("class", "tool", 0.45), ("type", "T", 0.35), ("motor", "M", 0.3)]
    for i in range(len(scopes) + 1):
        book = rulebook_with([ruled("stage.watch", v, scope=s, scope_id=k) for s, k, v in scopes[:i]])
        figure = MotorRules(book, "tool", "T", "M").figure("stage.watch")
        assert (figure.rule_id, figure.words, figure.unit) == ("stage.watch", rule.words, rule.unit)
        assert figure.value == ([0.4] + [v for _, _, v in scopes])[i]
        assert ("Ines" in figure.basis) is (i > 0)
    assert MotorRules(book, "tool", "", "").figure("stage.watch").value == 0.45
    assert MotorRules(book, "starter", "", "").figure("stage.watch").value == 0.5
    asked = [
        MotorRules(book, "tool", t, m)["stage.watch"]
        for t, m in (("T", "M"), ("T", "N"), ("U", "M"), ("U", "N"), ("T", "O"))
    ]
    assert asked == [0.3, 0.35, 0.3, 0.45, 0.35]
    for value in (0.0, 1.0):
        book.check("stage.watch", value)
    with pytest.raises(NotFound):
        book.figure("stage.nothing")
    for value in (float("nan"), -0.1, 1.1):
        with pytest.raises(InputError):
            book.check("stage.watch", value)


def test_a_default_says_whose_it_is() -> None:
    rule = next(r for r in RULES.values() if r.by_class)
    motor_class, value = next(iter(rule.by_class.items()))
    of_class = MotorRules(shipped().book, motor_class).figure(rule.id)
    assert (of_class.value, of_class.basis) == (value, f"default for class {motor_class}")
    assert (of_class.words, of_class.unit) == (rule.words, rule.unit)
    assert MotorRules(shipped().book).figure(rule.id).basis == "default"


def test_a_school_resolves_from_the_narrowest_scope() -> None:
    scopes = [("site", "", "lines"), ("class", "tool", "symptoms"), ("type", "T", "lines"), ("motor", "M", "symptoms")]
    for i in range(len(scopes) + 1):
        book = rulebook_with([ruled("school.when", scope=s, scope_id=k, word=w) for s, k, w in scopes[:i]])
        choice = MotorRules(book, "tool", "T", "M").choice("school.when")
        assert choice.key == (["limit"] + [w for _, _, w in scopes])[i]
        assert ("Ines" in choice.basis) is (i > 0)
        assert choice.school is book.school("school.when")
    refused = rulebook_with([ruled("school.when", word="symptoms")])
    assert [MotorRules(refused, c).choice("school.when").key for c in ("tool", "traction")] == ["symptoms", "limit"]


def test_a_changed_rule_changes_the_verdict_and_is_shown() -> None:
    book = rulebook_with([ruled("stage.watch", 0.9)])
    found, said = judge(state(a_round(20, 19, 19.4)), MotorRules(book, "tool"))
    assert found.grade == "watch"
    assert any(f.value == 0.9 and "site figure" in f.basis for r in said.reasons for f in r.figures)


# What a shop may set for itself; what stands beyond that in a database of before holds at the bound.
BOUNDS = {
    "earth.ohm": (5.0, 0.5),
    "insulation.other": (0.1, 0.5),
    "insulation.double": (0.05, 0.5),
    "insulation.old": (0.2, 0.5),
    "run.sparks": (3.0, 2.0),
    "putoff.days": (90.0, 31.0),
}


@pytest.mark.parametrize(("rule_id", "case"), BOUNDS.items(), ids=BOUNDS)
def test_a_figure_of_the_shop_beyond_its_bound_holds_there_and_says_so(rule_id: str, case: tuple[float, float]) -> None:
    stored, bound = case
    book = rulebook_with([ruled(rule_id, stored)])
    with pytest.raises(InputError, match="outside what this rule can be"):
        book.check(rule_id, stored)
    found = MotorRules(book).figure(rule_id)
    assert (found.value, "held at its bound" in found.basis) == (bound, True)

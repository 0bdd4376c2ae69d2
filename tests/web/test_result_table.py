"""The table of a sum's answer: every figure has its words; shares are said in per cent, money to its decimals."""

from dataclasses import fields
from typing import get_type_hints

from norvash.core.rules.book import MotorRules
from norvash.core.sums.catalogue import SUMS
from norvash.web.result_table import table_of
from norvash.work.pages.sums import work_out

# What stands on a sum's page elsewhere than in that table, or is for programs only.
ELSEWHERE = (
    *("advice", "note", "rules", "reasons", "sayings", "stage", "how", "fault", "faults"),
    *("cause", "cause_words", "causes", "chances", "checks", "entropy_bits", "next_check_bits"),
    *("at_20_ohm", "clearances_mm", "coil_deviation", "deviations", "pair_fits", "pairs"),
)


def test_every_figure_of_a_result_has_its_words() -> None:
    without = set()
    for entry in SUMS.values():
        result = get_type_hints(entry.compute)["return"]
        assert all(f.metadata["gives"].words for f in fields(result) if "gives" in f.metadata)
        without |= {f.name for f in fields(result) if "gives" not in f.metadata}
    assert without == set(ELSEWHERE)


def test_shares_are_said_in_per_cent_and_money_to_its_decimals(rules: MotorRules) -> None:
    given = {"price": 412.0, "freight": 37.0, "new_fitting_h": 1.25, "labour_per_h": 47.0, "repair_parts": 117.0}
    _, worked = work_out("repair-or-replace", {**given, "repair_labour_h": 3.1, "armature": 300.0}, rules)
    said = {words: (value, unit) for words, value, unit in table_of(worked)}
    assert said["the repair, of a new armature"] == ("87.6", "%")
    assert said["the repair"] == ("262.70", "")

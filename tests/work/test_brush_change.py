"""An ordinary brush change of an appliance, with all that it takes and nothing more: what is entered is counted."""

import pytest

from bench_sheet import Bench
from conftest import Shop
from norvash.core.judging.signing import holds
from norvash.core.judging.windings.measured import to_part
from norvash.core.stages.gates import GATES
from norvash.core.stages.prove.earth import EARTH_OHM
from norvash.work.reading.loading import load

MOST = 35


class Counted:
    """One sheet, with what was entered on it counted: an entry, a length, a set."""

    def __init__(self, bench: Bench) -> None:
        self.bench, self.entries = bench, 0

    def put(self, rows: str) -> "Counted":
        for row in rows.split():
            field, _, text = row.partition("=")
            self.bench.put(field, text)
            self.entries += 1
        return self

    def gate(self, name: str) -> "Counted":
        context = load(self.bench.shop.conn, self.bench.motor)
        for step in GATES[name].steps(context.facts, context.rules):
            self.put(f"{GATES[name].step(step.id).id}=yes")
        return self


@pytest.mark.parametrize("protection", ["double insulated", "protective earth"])
def test_an_ordinary_brush_change_takes_few_entries(shop: Shop, protection: str) -> None:
    figures = {"rated_v": "230", "rated_a": "8", "protection": protection}
    bench = Bench(shop, shop.motor(motor_class="appliance", figures=figures))
    made = Counted(bench).gate("safe").put("safe.method=unplugged")
    bench.measure("9.1", "9.4")
    made.put("decide.set.worn=now")
    bench.fit("22", "22")
    made.entries += 3
    context = load(shop.conn, bench.motor)
    made.put("latched=yes free=yes").put(
        " ".join(f"{tick.id}=yes" for tick, _ in to_part(context.facts, context.rules))
    )
    made.put("insulation-mohm=200 insulation-c=20")
    made.put("earth-ohm=0.05" if EARTH_OHM.is_offered(context.facts, context.rules) else "")
    made.gate("power").put("run-where=machine run-how=free bump=right run-v=230 run-a=4 sparks=1 ran=yes")
    made.put("outcome=service").gate("service")
    assert holds(bench.page.visit) == ()
    bench.sign()
    assert bench.page.row.signed["signed_as"] == "certificate"
    assert made.entries + 1 <= MOST

"""A motor at work on its sheet: made safe, measured, run and proven in few words."""

from dataclasses import dataclass
from typing import Any

from bench_sheet import Bench
from conftest import Shop
from norvash.core.judging.prove.run import judge_run
from norvash.core.stages.before.fields import PERMIT_OPEN
from norvash.core.stages.gates import GATES, SAFE, SERVICE, usual_method
from norvash.core.visit.gating import gate_now
from norvash.work.reading.loading import load
from run_cases import figures_of, rows_of


@dataclass
class Work:
    """A motor of a class with an open sheet, made safe and measured."""

    shop: Shop
    bench: Bench

    def put(self, rows: str = "") -> "Work":
        for row in rows_of(rows):
            self.bench.put(*row)
        return self

    def safe(self) -> "Work":
        context = load(self.shop.conn, self.bench.motor)
        for step in SAFE.steps(context.facts, context.rules):
            self.bench.put(SAFE.step(step.id).id, "yes")
        self.bench.put("safe.method", usual_method(context.facts))
        return self

    def powered(self, rows: str) -> "Work":
        """Measure with power on, under a permit of its own; then it is made safe again."""
        number = 1 + len(PERMIT_OPEN.places(self.bench.page.sheet))
        turns = {"turns": "load"} if self.bench.page.context.facts.runs_away else {}
        self.bench.put("permit.open", "volts", number, who="Ines", barriers="rope", minutes="20", **turns)
        return self.put(rows).put(f"permit.close@{number}=yes").safe()

    def serve(self) -> "Work":
        for step in SERVICE.steps(self.bench.page.context.facts, self.bench.page.context.rules):
            self.bench.put(SERVICE.step(step.id).id, "yes")
        return self

    def missing(self, gate: str) -> str:
        return "; ".join(gate_now(GATES[gate], self.bench.page.visit).missing)

    @property
    def found(self) -> dict[str, str]:
        """Return the findings of the run with what became of them."""
        return {x.finding.id: x.state for x in self.bench.page.visit.lives if x.finding.part.id == "run"}

    @property
    def told(self) -> dict[str, Any]:
        """Return the story of the visit as it was signed."""
        return dict(self.bench.page.told or {})

    @property
    def said(self) -> str:
        page = self.bench.page
        return " ".join(s.words for s in judge_run(page.sheet, page.context.rules).said)


def at_work(shop: Shop, motor_class: str, figures: str, lengths: str = "20.6 20.4", **more: str) -> Work:
    motor = shop.motor(motor_class=motor_class, figures=figures_of(figures), **more)
    work = Work(shop, Bench(shop, motor)).safe()
    work.bench.measure(*lengths.split())
    return work

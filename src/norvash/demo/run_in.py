"""A set in the middle of its run-in after a cut, put aside once; a starter that was proved in bursts."""

from collections.abc import Mapping
from datetime import datetime, timedelta

from norvash.core.stages.gates import SAFE, SERVICE
from norvash.demo.visit import PlayedVisit

# Minutes, volts, amps, r/min, sparks, degrees.
LOG = (
    ("5 min 108 V 6.4 A 566 r/min sparks 2 24 °C", "15 min 110 V 6.2 A 571 r/min sparks 1 31 °C"),
    ("25 min 109 V 6.0 A 574 r/min sparks 1 36 °C", "34 min 110 V 5.9 A 575 r/min sparks 0 39 °C"),
    ("42 min 107 V 6.6 A 562 r/min sparks 1 41 °C", "50 min 113 V 6.8 A 585 r/min sparks 1 43 °C"),
    ("57 min 110 V 6.4 A 572 r/min sparks 1 44 °C", "62 min 109 V 6.3 A 574 r/min sparks 1 45 °C"),
)


def run_in(visit: PlayedVisit, lengths: Mapping[int, str]) -> None:
    """Grooved: cut, a new set, run in forward for a step, put aside over night, backward since."""
    visit.complaint("brushes chip, it chatters since the spring").put("urgency", "week").gate(SAFE)
    visit.put("state", "stripped").measure(lengths, sure=True).looked().put("true-setup", "yes")
    visit.put("track-d", "118.42").put("shoulder-d", "118.70").put("groove", "0.12").put("pit", "0.08")
    visit.put("slot-depth", "1.2").put("sound.windings", "yes").put("sound.drive", "yes")
    for life in visit.lives:
        visit.put(f"decide.{life.finding.id}", "now", life.position)
    visit.put("cut-done", "118.16").put("cut-slots", "yes").put("cut-chamfer", "yes")
    visit.put("cut-again", "yes").put("cut-vacuumed", "yes")
    visit.fit(dict.fromkeys(lengths, "32"), "damaged", part="LP-B 244")
    visit.put("holder-set", "yes").put("outcome", "out").sign("its faces are run in before it goes back")
    visit = PlayedVisit(visit.conn, visit.acting, visit.motor_id, visit.now, "").gate(SAFE)
    visit.complaint("run in after the cut").put("urgency", "week").looked()
    visit.put("sound.commutator", "yes").put("sound.windings", "yes").put("sound.drive", "yes")
    visit.ready("60", "22").put("bump", "right")
    for place, share in enumerate(("46 %", "44 %", "40 %", "45 %"), start=1):
        visit.put("print", share, place)
    day = datetime.combine(visit.now.date(), datetime.min.time())
    visit.now = day + timedelta(hours=16)
    visit.put("run-in", "on", 1)
    for place, points in enumerate(LOG[:2], start=1):
        visit.now += timedelta(minutes=18)
        visit.put("run-in-points", "; ".join(points), place)
    visit.now = day + timedelta(hours=16, minutes=40)
    visit.put("run-in", "aside", 2)
    visit.now = day + timedelta(hours=32, minutes=20)
    for place, share in enumerate(("61 %", "58 %", "52 %", "63 %"), start=1):
        visit.put("print", share, place)
    visit.now = day + timedelta(hours=32, minutes=36)
    visit.put("run-in", "on", 3)
    for place, points in enumerate(LOG[2:], start=3):
        visit.now += timedelta(minutes=10)
        visit.put("run-in-points", "; ".join(points), place)


def starter_proved(visit: PlayedVisit, lengths: Mapping[int, str]) -> None:
    """A look at a starter that is in order: measured, run in bursts, signed."""
    visit.put("urgency", "routine").gate(SAFE).measure(lengths, sure=True)
    visit.put("sound.commutator", "yes").put("sound.windings", "yes").put("sound.drive", "yes").looked()
    visit.ready("80", "18").put("bump", "right").put("run-how", "clamped")
    for place, (volts, amps, rpm) in enumerate((("11.8", "58", "3300"), ("11.7", "59", "3280")), start=1):
        visit.put("run-v", volts, place).put("run-a", amps, place).put("run-rpm", rpm, place)
        visit.put("sparks", "1", place).put("run-s", "6", place)
    visit.put("ran", "yes").put("outcome", "service").put("parts", "none").gate(SERVICE).sign()


def dynamo_at_proof(visit: PlayedVisit, lengths: Mapping[int, str]) -> None:
    """It gave too little, a brush hung in its box; driven on the bench it is right again and waits to be polarised."""
    visit.complaint("the wagon's lamps stay yellow").put("urgency", "week").gate(SAFE)
    visit.permit("volts as found, driven by the bench drill")
    visit.put("output-found", "600 r/min 3 V; 900 r/min 14 V; 1200 r/min 27 V; 1400 r/min 34.6 V; 1500 r/min 38 V")
    visit.put("permit.close", "yes", 1).gate(SAFE).put("state", "opened").measure(lengths, sure=True)
    visit.see(2, "brush.sticky").looked()
    visit.put("sound.commutator", "yes").put("sound.windings", "yes").put("sound.drive", "yes")
    for life in visit.lives:
        visit.put(f"decide.{life.finding.id}", "now", life.position)
    visit.done("free-holder", "15").put("gone.brush.sticky", "yes", 2)
    visit.ready("46", "21").put("run-how", "driven").put("turned", "right")
    visit.put("regulator", "apart").put("joined", "yes")
    for place, (rpm, volts) in enumerate(((600, 9), (900, 31), (1200, 46.5), (1410, 57), (1500, 61.5)), start=1):
        visit.put("run-rpm", f"{rpm}", place).put("run-v", f"{volts:g}", place)
    visit.put("sparks", "1", 5).put("driver-rpm", "1000").put("driver-d", "120").put("driven-d", "80")
    visit.put("lamp-v", "60").put("lamp-w", "40").put("ran", "yes").put("own-task", "paint the case", 1)
    visit.put("task.own-1", "yes").put("complaint-now", "this").put("cause-was", "stuck")

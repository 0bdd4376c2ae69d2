"""Parts that are offered: one that was refused and is fitted, what waits for its proof, what is not said."""

from collections.abc import Iterator

from norvash.core.brush.holders import side_fit
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.measured import Measured, judged
from norvash.core.sheet.sheet import Sheet
from norvash.core.stages.offers import (
    DRESSED_A,
    DRESSED_T,
    JOINT,
    OFFER,
    REFUSED,
    REFUSED_BRUSHES,
    WRONG,
    WRONG_BRUSHES,
    part_of_kind,
)
from norvash.core.stages.shared import FIT_SET
from norvash.core.text.words import listed
from norvash.core.visit.done import done_tasks
from norvash.core.visit.offering import OfferNow, offers_now
from norvash.core.visit.visit import Visit

_SET = "brush set"
_BROUGHT = (REFUSED_BRUSHES.id, WRONG_BRUSHES.id)
_MUST = {"voltage", "face", "thickness", "width"}
_SIDES = (("thickness", DRESSED_T, "along the rotation"), ("width", DRESSED_A, "along the shaft"))


def measured(sheet: Sheet, rules: MotorRules) -> Iterator[Measured]:
    """Yield every part that was refused and is fitted all the same, of each kind the gravest."""
    for offer in offers_now(sheet, rules):
        if offer.fitted and offer.found.refused:
            part = part_of_kind(offer.kind)
            finding = (WRONG if offer.found.stops else REFUSED)[part]
            words = f"{offer.words}: {offer.found.reasons[0]}"
            yield judged(OFFER, words, offer.place, off=finding.worded(words))


def before_power(visit: Visit) -> Iterator[str]:
    """Yield what a part that was dressed or transferred waits for: its size inside the band, a look at its joint."""
    for offer in offers_now(visit.sheet, visit.rules):
        if offer.fitted:
            yield from _dressing(offer, visit.sheet, visit.rules)
            yield from _joint(offer, visit.sheet)


def _dressing(offer: OfferNow, sheet: Sheet, rules: MotorRules) -> Iterator[str]:
    machine = offer.offer.machine
    boxes = {"thickness": machine.box_thickness_mm, "width": machine.box_width_mm}
    for side, field, words in _SIDES:
        dressed = [p for p in offer.found.points if p.about == side and p.answer == "after dressing"]
        box, size = boxes[side], field.of(sheet, offer.place)
        if not dressed or box is None:
            continue
        if size is None:
            yield f"{offer.words}: its size {words} after dressing is not measured"
        else:
            fits = side_fit(side, size, box, rules)
            if fits.fit != "fits":
                yield f"{offer.words}: after dressing still {fits.reason}"


def _joint(offer: OfferNow, sheet: Sheet) -> Iterator[str]:
    moved = any(p.answer == "after transfer" for p in offer.found.points)
    if moved and not JOINT.of(sheet, offer.place):
        yield f"{offer.words}: nobody has looked at the joint of what was transferred"


def before_signing(visit: Visit) -> Iterator[str]:
    """Yield what is not said of the sets that were offered, once a set was fitted: which one it was, and of that one
    what another was refused for.
    """
    sets = [o for o in offers_now(visit.sheet, visit.rules) if o.kind == _SET]
    brought = [
        x.finding
        for x in visit.lives
        if x.finding.id in _BROUGHT and x.kept is not None and x.kept.sheet_id != visit.sheet.id
    ]
    if not (sets or brought) or not done_tasks(visit.sheet).get(FIT_SET):
        return
    fitted = [o for o in sets if o.fitted]
    if not fitted and sets:
        yield "Not said: which of the sets that were offered was fitted"
        return
    if not fitted:
        yield f"The set that was in was refused ({brought[0].words}): the one that took its place is not compared"
    refused = {about for o in sets if o.found.refused for about in o.found.refused_about}
    if brought:
        # Of one that came with the motor only the words say for what: everything is asked for which a set is refused.
        refused |= _MUST | ({"variant"} if "variant " in brought[0].words else set())
    for offer in fitted:
        unsaid = sorted(refused & offer.found.unknown_about)
        if unsaid:
            yield f"{offer.words}: its {listed(unsaid)} is missing, for which another set was refused"


def fitted_uncompared(visit: Visit) -> bool:
    """Tell whether a set was fitted here that nobody compared before."""
    sets = [o for o in offers_now(visit.sheet, visit.rules) if o.kind == _SET]
    return not sets and bool(done_tasks(visit.sheet).get(FIT_SET))

"""Parts that were offered, as they are told once a sheet is signed."""

from collections.abc import Iterable, Mapping

from norvash.core.judging.offers import fitted_uncompared
from norvash.core.stages.decide import answer_words
from norvash.core.stages.offers import BECAME
from norvash.core.visit.offering import offers_now
from norvash.core.visit.visit import Visit

_UNCOMPARED = "a set was fitted that nobody compared before"


def offers_told(visit: Visit) -> dict[str, object] | None:
    """Return every part that was offered with its answer, and what became of it; None where none was, and nothing was
    fitted.
    """
    uncompared = fitted_uncompared(visit)
    offers = [
        {
            "words": o.words,
            "batch": o.offer.new.batch,
            "answer": o.found.answer,
            "reasons": list(o.found.reasons),
            "unknown": list(o.found.unknown),
            "became": answer_words(BECAME, o.became, o.became),
            "person": o.given.person,
        }
        for o in offers_now(visit.sheet, visit.rules)
    ]
    return {"offers": offers, "uncompared": _UNCOMPARED if uncompared else ""} if offers or uncompared else None


def offers_lines(told: object) -> Iterable[str]:
    """Yield parts that were offered in lines: each with its answer, why, and what became of it."""
    if isinstance(told, Mapping):
        for offer in told["offers"]:
            said = "; ".join(offer["reasons"])
            yield ", ".join(filter(None, (f"{offer['words']}: {offer['answer']}: {said}", offer["became"])))

"""What is refused of parts as it is entered: an offer that is to vanish, a face on the wrong rod."""

from norvash.core.brush.seating import sagitta_mm, widest_face_radius_mm
from norvash.core.edges import within
from norvash.core.motor.figure_fields import COMMUTATOR_D_MM, THICKNESS_MM
from norvash.core.motor.figure_reading import track_d_mm
from norvash.core.rules.book import MotorRules
from norvash.core.sheet.field import Field
from norvash.core.sheet.fields_of_parts import Back, Off
from norvash.core.sheet.putting_off import Asked
from norvash.core.sheet.records_of_parts import OfferRecord, OffRecord
from norvash.core.sheet.sheet import Sheet
from norvash.core.stages.offers import BECAME, OFFER
from norvash.core.stages.seating import ROD, ROD_PAPER
from norvash.core.stages.stacks import BACK, MOST_PARTS, OFF
from norvash.core.visit.offering import compared_on, kind_of, offers_now
from norvash.errors import InputError, JudgedAgainst


def refuse_parts(field: Field, place: int, asked: Asked, *, sheet: Sheet, rules: MotorRules) -> None:
    """Refuse what must not be done with the parts of this motor.

    Raises: InputError that says what is right.
    """
    if field is OFFER and not asked.word and OFFER.given(sheet, place) is not None:
        raise InputError("An offer stays on the sheet.", "Say what became of it: sent back, or out again.", "value")
    if field is OFFER and isinstance(asked.record, OfferRecord):
        _rewritten(place, asked.word, asked.record, sheet=sheet, rules=rules)
    if isinstance(field, Off):
        _off(field, place, asked, sheet)
    if isinstance(field, Back) and asked.word:
        _back(field, place, sheet)
    if field in (ROD, ROD_PAPER) and asked.number is not None:
        _rod(field, asked.number, sheet, rules)


def _off(field: Off, place: int, asked: Asked, sheet: Sheet) -> None:
    """Refuse more parts than a stack holds, that something is not there which nobody expects, and a part that is
    counted anew once it is back, without its reason.
    """
    record, there = asked.record, field.given(sheet, place)
    closing = bool(BACK[field.stack].places(sheet))
    if not isinstance(record, OffRecord):
        if there is not None and closing:
            raise InputError(
                "What came off stays on the record once something went back.",
                "Say what became of it at “Close up”: renewed, or left out with its reason.",
                "value",
            )
        return
    if place > MOST_PARTS:
        raise InputError(
            f"A stack of more than {MOST_PARTS} parts is too long.", "Take those that belong together as one.", "value"
        )
    if not record.part.count and there is None and (field.id, place) not in sheet.lent:
        raise InputError(
            "Nothing is expected there.", "“Not there” is said of what the type or the last visit lends.", "value"
        )
    if there is None or not isinstance(there.record, OffRecord) or there.record.part == record.part:
        return
    if closing and not record.why:
        raise InputError(
            f"{there.word} was recorded when it came off, and something is back already.",
            "Where that was miscounted say why: it is then counted back once more.",
            "why",
        )


def _back(field: Back, place: int, sheet: Sheet) -> None:
    """Refuse that something went back of which nobody recorded that it came off."""
    off = OFF[field.stack].given(sheet, place)
    if off is None or not isinstance(off.record, OffRecord) or not off.record.part.count:
        raise InputError(
            "By this record no such part came off.",
            "Record it at “Open and record” first; what has no place there is left over.",
            "value",
        )


def _rewritten(place: int, word: str, record: OfferRecord, *, sheet: Sheet, rules: MotorRules) -> None:
    """Refuse to write a part that was refused anew as one that is right, once anybody has said what became of it, taken
    back or not: it stays what it is.
    """
    wrong = [o for o in offers_now(sheet, rules) if o.place == place and o.found.refused]
    if not wrong or (BECAME.id, place) not in sheet.entries:
        return
    if not compared_on(sheet, kind_of(word), record, rules)[1].refused:
        raise JudgedAgainst(
            f"{wrong[0].words} was refused{' and is fitted' if wrong[0].fitted else ''}:"
            " changing what is written takes nothing out.",
            "Say that it came out, and compare the other part as another offer.",
            "value",
        )


def _rod(field: Field, typed_mm: float, sheet: Sheet, rules: MotorRules) -> None:
    """Refuse to shape faces on a rod that gives them another curve than the commutator's."""
    rod = typed_mm if field is ROD else ROD.of(sheet)
    paper = typed_mm if field is ROD_PAPER else ROD_PAPER.of(sheet) or 0.0
    diameter, t = track_d_mm(sheet.facts.figures), THICKNESS_MM.stated(sheet.facts.figures)
    if rod is None or diameter is None or COMMUTATOR_D_MM.stated(sheet.facts.figures) is None:
        return
    radius, most = rod / 2 + paper, widest_face_radius_mm(diameter, rules)
    if within(diameter / 2, radius, most):
        return
    curve = ""
    if t is not None and t < min(diameter, 2 * radius):
        own, shaped = sagitta_mm(diameter, t), sagitta_mm(2 * radius, t)
        curve = f": its curve is {shaped:.3f} mm deep, the commutator's {own:.3f}, {abs(own - shaped):.3f} mm apart"
    raise JudgedAgainst(
        f"Refused: a rod of {rod:g} mm{f' with {paper:g} mm of paper' if paper else ''} is the wrong one{curve}.",
        f"Take one of {diameter - 2 * paper:.1f} to {2 * (most - paper):.1f} mm.",
        "value",
    )

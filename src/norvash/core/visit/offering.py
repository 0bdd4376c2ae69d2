"""Parts that are offered on a sheet: read as they are typed, compared, and what became of each."""

from collections.abc import Iterable, Mapping
from dataclasses import dataclass, replace

from norvash.core.motor.figure_fields import (
    BEARING_DRIVE,
    BEARING_OTHER,
    BOX_THICKNESS_MM,
    BOX_WIDTH_MM,
    BUILD,
    BUILD_MATRIX,
    FACE_ANGLE_DEG,
    FORCE_NOMINAL_N,
    GRADE_FAMILY,
    LIMIT_MM,
    NEW_MM,
    RATED_V,
    THICKNESS_MM,
    TOP_FREE,
    VOLTAGE_VARIANT,
    WIDTH_MM,
)
from norvash.core.motor.figures import Figures
from norvash.core.motor.matrix import read_matrix
from norvash.core.parts.answer import Answered, Point, answered
from norvash.core.parts.compare import Offer, compared
from norvash.core.parts.machine import Machine
from norvash.core.parts.sizes import LABELS, OF_KIND, Kind, Sizes
from norvash.core.rules.book import MotorRules
from norvash.core.rules.fitting import GRADE_FAMILIES
from norvash.core.sheet.field import Quantity
from norvash.core.sheet.given import Given
from norvash.core.sheet.records_of_parts import OfferRecord
from norvash.core.sheet.sheet import Sheet
from norvash.core.stages.brushes.holders import BOX_A, BOX_T
from norvash.core.stages.offers import BECAME, FITTED, OFFER
from norvash.core.text.quantities import parse
from norvash.core.text.texts import clean
from norvash.errors import InputError

_LONG = 60
# What is said of the place that a part goes to, by its kind.
PLACE: Mapping[str, tuple[str, str]] = {
    "box_thickness_mm": ("box, along the rotation", "length"),
    "box_width_mm": ("box, along the shaft", "length"),
    "top_free": ("its top is free of lead and spring", ""),
    "shaft_mm": ("shaft", "length"),
    "housing_mm": ("housing or recess", "length"),
    "located": ("it holds the shaft at this end", ""),
    "metal_case": ("the seal has a metal case", ""),
}
PLACE_OF: Mapping[Kind, tuple[str, ...]] = {
    "brush set": ("box_thickness_mm", "box_width_mm", "top_free"),
    "bearing": ("shaft_mm", "housing_mm", "located"),
    "bush": ("shaft_mm", "housing_mm"),
    "needle": ("shaft_mm",),
    "seal": ("shaft_mm", "housing_mm", "metal_case"),
}
_ANSWERS = ("yes", "no")


@dataclass(frozen=True, slots=True, kw_only=True)
class OfferNow:
    """A part that is offered, by its number: its kind, what is known of it, the answer, and what became of it."""

    place: int
    kind: Kind
    given: Given
    offer: Offer
    found: Answered
    became: str

    @property
    def fitted(self) -> bool:
        """Tell whether it is the one that is in."""
        return self.became == FITTED

    @property
    def words(self) -> str:
        """Return what it is called."""
        part = self.offer.new.part
        return f"{self.kind} {part}" if part else f"{self.kind}, offer {self.place}"


def kind_of(word: str) -> Kind:
    """Return a kind of part by its name.

    Raises: InputError for another word.
    """
    found = next((k for k in OF_KIND if k == word), None)
    if found is None:
        raise InputError(f"“{word[:_LONG]}” is not a part here.", f"Choose one of {', '.join(OF_KIND)}.", "value")
    return found


def read_offer(kind: Kind, more: Mapping[str, str]) -> OfferRecord:
    """Return what is known of a part that is offered, from what was typed of the new one, the old one and its place.

    Raises: InputError at the size that cannot be, or where nothing of the new one is known.
    """
    new = _known("new", OF_KIND[kind], more)
    if not new:
        raise InputError(f"Nothing is known of the new {kind}.", "Give its part number, or a size.", "value")
    place = {n: _size(f"at-{n}", PLACE[n][1], more) for n in PLACE_OF.get(kind, ())}
    read = OfferRecord(
        new=new, old=_known("old", OF_KIND[kind], more), place={n: text for n, text in place.items() if text}
    )
    for sizes in (new, read.old):
        if sizes.get("grade", GRADE_FAMILIES[0]) not in GRADE_FAMILIES:
            raise InputError("This is not a grade family.", "Use " + ", ".join(GRADE_FAMILIES) + ".", "new-grade")
    return read


def _known(which: str, names: Iterable[str], more: Mapping[str, str]) -> dict[str, str]:
    made = {n: _size(f"{which}-{n}", LABELS[n][1], more) for n in names}
    return {n: text for n, text in made.items() if text}


def _size(name: str, dimension: str, more: Mapping[str, str]) -> str:
    """Return one size or name as it is kept, empty where nothing was typed."""
    text = " ".join(clean(more.get(name, ""), name, note=True).split())
    if not text:
        return ""
    if not dimension:
        yes_no = name.removeprefix("at-") in PLACE
        if yes_no and text not in _ANSWERS:
            raise InputError(f"“{text[:_LONG]}” is not an answer here.", "Say yes or no.", name)
        if len(text) > _LONG:
            raise InputError(f"{len(text)} characters are too many.", f"Use at most {_LONG}.", name)
        return text
    try:
        value = parse(text, dimension).value
    except InputError as error:
        raise error.at(name) from None
    if not (value > 0 or name.endswith("face_angle_deg")) or value < 0 or value > 1e5:
        raise InputError(f"“{text}” cannot be right.", "Give what was measured.", name)
    return f"{value:.9g}"


def offers_now(sheet: Sheet, rules: MotorRules) -> tuple[OfferNow, ...]:
    """Return the parts that are offered on a sheet, in order, each compared with the old one and its place."""
    made = []
    for place in OFFER.places(sheet):
        given = OFFER.given(sheet, place)
        kind = next((k for k in OF_KIND if given is not None and k == given.word), None)
        if given is None or kind is None or not isinstance(given.record, OfferRecord):
            continue
        offer, found = compared_on(sheet, kind, given.record, rules)
        made.append(
            OfferNow(place=place, kind=kind, given=given, offer=offer, found=found, became=BECAME.of(sheet, place))
        )
    return tuple(made)


def compared_on(sheet: Sheet, kind: Kind, record: OfferRecord, rules: MotorRules) -> tuple[Offer, Answered]:
    """Return a part that is offered beside the motor of a sheet, and the answer on it."""
    offer = _offer(kind, record, sheet)
    return offer, _compared(offer, rules)


def _compared(offer: Offer, rules: MotorRules) -> Answered:
    """Return the answer on a part; of one whose sizes contradict each other, or lie over a table, what that says."""
    try:
        return compared(offer, rules)
    except InputError as error:
        return answered([Point(words=f"{error.problem} {error.remedy}", unknown=True)])


def _offer(kind: Kind, record: OfferRecord, sheet: Sheet) -> Offer:
    figures = sheet.facts.figures
    old = _sizes(record.old)
    if kind == "brush set":
        old = _with(of_figures(figures), old)
    if kind == "bearing" and not old.number:
        old = replace(old, number=_number(figures))
    return Offer(kind=kind, old=old, new=_sizes(record.new), machine=machine_of(record.place, sheet, figures))


def _number(figures: Figures) -> str:
    """Return the number of a bearing that a motor states, empty where its two ends have others."""
    stated = {x for x in (BEARING_DRIVE.stated(figures), BEARING_OTHER.stated(figures)) if x}
    return stated.pop() if len(stated) == 1 else ""


def _sizes(kept: Mapping[str, str]) -> Sizes:
    """Return sizes and names as they were kept."""
    made = {n: float(text) if LABELS[n][1] else text for n, text in kept.items() if n in LABELS}
    return Sizes(**made)  # type: ignore[arg-type]


def _with(stated: Sizes, typed: Sizes) -> Sizes:
    """Return what is stated of a motor with what was typed in its place."""
    said = {n: getattr(typed, n) for n in LABELS if getattr(typed, n) not in (None, "")}
    return replace(stated, **said)


def of_figures(figures: Figures) -> Sizes:
    """Return what a motor states of its own brushes."""
    return Sizes(
        thickness_mm=THICKNESS_MM.stated(figures),
        width_mm=WIDTH_MM.stated(figures),
        length_mm=NEW_MM.stated(figures),
        face_angle_deg=FACE_ANGLE_DEG.stated(figures),
        grade=GRADE_FAMILY.stated(figures),
        variant=VOLTAGE_VARIANT.stated(figures),
        volts=RATED_V.stated(figures),
        force_n=FORCE_NOMINAL_N.stated(figures),
    )


def machine_of(place: Mapping[str, str], sheet: Sheet, figures: Figures) -> Machine:
    """Return the machine that a part goes into: by what is typed of its place, what was measured, and its figures."""

    def size(name: str) -> float | None:
        return float(place[name]) if name in place else None

    def box(name: str, stated: float | None, read: list[float]) -> float | None:
        return size(name) or (min(read) if read else stated)

    def said(name: str, stated: str = "") -> bool | None:
        answer = place.get(name, stated)
        return answer == "yes" if answer else None

    return Machine(
        volts=RATED_V.stated(figures),
        build=BUILD.stated(figures),
        matrix=read_matrix(BUILD_MATRIX.stated(figures)),
        box_thickness_mm=box("box_thickness_mm", BOX_THICKNESS_MM.stated(figures), _read(BOX_T, sheet)),
        box_width_mm=box("box_width_mm", BOX_WIDTH_MM.stated(figures), _read(BOX_A, sheet)),
        limit_mm=LIMIT_MM.stated(figures),
        top_free=said("top_free", TOP_FREE.stated(figures)),
        force_nominal_n=FORCE_NOMINAL_N.stated(figures),
        shaft_mm=size("shaft_mm"),
        housing_mm=size("housing_mm"),
        located=said("located"),
        starter=sheet.facts.motor_class == "starter",
        metal_case=bool(said("metal_case")),
    )


def _read(field: Quantity, sheet: Sheet) -> list[float]:
    return [x for p in field.places(sheet) if (x := field.of(sheet, p)) is not None]

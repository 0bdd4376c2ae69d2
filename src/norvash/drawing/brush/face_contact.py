"""A new face on its commutator, to scale: where it touches after some bedding wear."""

from dataclasses import dataclass
from math import inf, sqrt

from norvash.drawing.svg import Drawing, el, label, line

_SIDE, _TOP, _BELOW = 30.0, 14.0, 26.0
_BODY_SHARE, _BEYOND = 0.45, 1.12


@dataclass(frozen=True, slots=True)
class Contact:
    """A face [mm] with its radius (infinite when flat), what has worn off its centre, and the share that touches."""

    commutator_d_mm: float
    thickness_mm: float
    face_radius_mm: float
    worn_mm: float
    share: float


def face_contact(contact: Contact, width: float) -> Drawing:
    """Draw the brush's end on the commutator's curve; the brush has sunk by what has worn off.

    A face curved more than the copper stands on its edges.

    Units: width [px]; one scale both ways, so that the gap is as small as it is.
    """
    t, radius = contact.thickness_mm, contact.commutator_d_mm / 2
    px = (width - 2 * _SIDE) / t
    body, middle = t * px * _BODY_SHARE, width / 2
    crown = _TOP + body
    half = t / 2
    hollow = _depth(contact.face_radius_mm, half)
    lifted = max(hollow - _depth(radius, half), 0.0)
    foot = crown + (contact.worn_mm - lifted) * px
    bend = (
        f"A{contact.face_radius_mm * px:.5g} {contact.face_radius_mm * px:.5g} 0 0 0 {_SIDE:.5g}"
        f" {foot + hollow * px:.5g}"
    )
    end = bend if contact.face_radius_mm < inf else f"H{_SIDE:.5g}"
    carbon = f"M{_SIDE:.5g} {_TOP:g}H{width - _SIDE:.5g}V{foot + hollow * px:.5g}{end}z"
    reach = min(_BEYOND * half, radius)
    drop = _depth(radius, reach)
    below = crown + max(drop * px, 8.0) + _BELOW
    arc = (
        f"M{middle - reach * px:.5g} {crown + drop * px:.5g}A{radius * px:.5g} {radius * px:.5g} 0 0 1"
        f" {middle + reach * px:.5g} {crown + drop * px:.5g}V{below:.5g}H{middle - reach * px:.5g}z"
    )
    elements = [el("path", "carbon", d=carbon), el("path", "copper", d=arc)]
    if contact.share > 0:
        elements.append(el("path", "touching", d=_touching(contact, radius, px, middle, crown)))
    elements += [
        line("axis", _SIDE, below + 12, width - _SIDE, below + 12),
        line("axis", _SIDE, below + 8, _SIDE, below + 16),
        line("axis", width - _SIDE, below + 8, width - _SIDE, below + 16),
        label("text-soft", _SIDE, below + 32, f"t {t:g} mm"),
        label("numeral", width - _SIDE, below + 36, f"{contact.share:.0%} touches", "end"),
    ]
    words = (
        f"A face {t:g} mm thick on a commutator of {contact.commutator_d_mm:g} mm; {contact.share:.0%} of it touches"
        f" after {contact.worn_mm:g} mm of wear."
    )
    return Drawing(
        name="face-contact",
        width=width,
        height=below + 42,
        title="The face on the copper, to scale",
        description=words,
        elements=tuple(elements),
    )


def _depth(radius_mm: float, half_mm: float) -> float:
    """Return how deep a curve of this radius is over half a chord [mm]; nothing when flat."""
    return 0.0 if radius_mm == inf else radius_mm - sqrt(max(radius_mm**2 - half_mm**2, 0.0))


def _touching(contact: Contact, radius: float, px: float, middle: float, crown: float) -> str:
    """Return the stroke along the copper where the face touches."""
    half = contact.share * contact.thickness_mm / 2
    x, y = half * px, _depth(radius, half) * px
    return (
        f"M{middle - x:.5g} {crown + y:.5g}A{radius * px:.5g} {radius * px:.5g} 0 0 1 {middle + x:.5g} {crown + y:.5g}"
    )

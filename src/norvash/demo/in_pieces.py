"""A starter in pieces: its stack recorded, the set renewed on the bench, half of it back, a shim short."""

from collections.abc import Mapping

from norvash.core.stages.gates import SAFE
from norvash.demo.visit import PlayedVisit

# From the tail end to the nose, as it came off.
STACK = (
    "cap 20 x 52",
    "washer 1 x 24",
    "seal 5 x 28, lip in",
    "end shield 22 x 80, chisel mark at the post",
    "brush plate 22 x 78",
    "fibre washer 1.5 x 30, smooth side to the shims",
    "5 shims 0.2 x 26, stays",
    "armature 170 x 58, commutator to the tail",
    "housing 96 x 84, mark to the post",
    "thrust washer 1.2 x 30",
    "insulator 4 x 76, collar in",
    "drive 50 x 42, pinion outwards",
    "circlip 3 x 22, sharp edge outwards",
    "nose 66 x 86",
)
POST = ("nut 6 x 13", "washer 1.5 x 16", "insulator 3 x 18, collar in", "o-ring 2 x 14")
COUNTS = ("2 through bolts M6 x 128", "2 mounting bolts M10 x 45", "2 cap screws M4 x 12", "boot", "strap")


def in_pieces(visit: PlayedVisit, lengths: Mapping[int, str]) -> None:
    """Weak after the tour: stripped and recorded, the set renewed, seven parts back, four shims of five."""
    visit.put("complaint", "weak when it is hot, drags on the third start").put("urgency", "week")
    visit.put("sign.weak", "yes").put("sign.onset", "gradual").gate(SAFE).put("state", "stripped")
    visit.put("marks", "yes").put("wires", "yes")
    for stack, parts in (("other", STACK), ("post", POST), ("machine", COUNTS)):
        for place, part in enumerate(parts, start=1):
            visit.put(f"off-{stack}", part, place)
    visit.measure(lengths, sure=True).put("sound.commutator", "yes").put("sound.windings", "yes")
    visit.put("sound.drive", "yes").looked()
    for life in visit.lives:
        visit.put(f"decide.{life.finding.id}", "now", life.position)
    visit.fit({n: f"{16.02 + n / 100:g}" for n in lengths}, "at its limit", part="LP-B 512")
    for place in range(len(STACK), 7, -1):
        visit.put("back-other", "yes", place)
    visit.put("back-other", "4", 7)
    for place in range(len(POST), 0, -1):
        visit.put("back-post", "renewed" if place == 4 else "yes", place, why="O-ring LP-O 14" if place == 4 else "")
    visit.put("back-machine", "2 M8 x 45", 2)

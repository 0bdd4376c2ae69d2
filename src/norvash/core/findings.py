"""What can be seen on a brush, its lead, spring and holder: how grave it is and what it leads to."""

from dataclasses import dataclass

from norvash.core.verdict.grades import Grade


@dataclass(frozen=True, slots=True)
class Finding:
    """One finding: words to pick it by, the grade to which it raises the set, and the decision."""

    id: str
    words: str
    grade: Grade
    decision: str


# fmt: off
_BRUSH = (
    Finding("brush.free", "moves freely", "fit", "nothing to do"),
    Finding("brush.sticky", "sticky, moves by hand", "plan", "clean box and brush sides, check section and burrs, note the cause"),
    Finding("brush.seized", "seized in its holder", "change", "free it and clean, renew the set and check every holder"),
    Finding("brush.chip-small", "edge chipped, under a tenth of the face", "watch", "look for run-out, high bars, holder gap and rough handling"),
    Finding("brush.chip-large", "chipped over a tenth of the face, or cracked", "change", "renew the set and find the cause"),
    Finding("brush.latched", "still latched or held back", "stop", "release it before closing"),
    Finding("brush.oily", "brush or box oily", "plan", "renew and find the leak; oil never cures a sticky brush"),
)
_FACE = (
    Finding("face.satin", "face even and satin", "fit", "nothing to do"),
    Finding("face.glazed", "face glazed", "watch", "think of light load, low pressure, damp missing or silicone vapour"),
    Finding("face.threads", "threads across the face", "watch", "think of low current, low pressure, abrasive dust or oil"),
    Finding("face.burnt", "edge of the face burnt", "plan", "check spring, neutral and load, and look for high mica"),
    Finding("face.copper", "copper picked up in the face", "plan", "check current, pressure and the commutator's surface"),
    Finding("face.taper", "face tapered beyond its design", "plan", "check that the brush sits square in its box"),
    Finding(
        "face.one-side", "print of one side of the face only", "plan", "check box and brush for square, the spring for its line of push, the arm for its angle"
    ),
    Finding("face.partly", "face covers less than three quarters after run-in", "watch", "keep seating, no full load yet"),
)
_LEAD = (
    Finding("lead.strands-10", "a tenth or more of the strands broken", "plan", "renew before the current goes through the spring"),
    Finding("lead.strands-25", "a quarter or more of the strands broken", "change", "renew now: a failing lead sends the current through the spring"),
    Finding("lead.heat", "lead discoloured by heat", "change", "renew now and find where the current goes"),
    Finding("lead.taut", "lead taut, the brush hangs on it", "stop", "renew, whatever the length says"),
    Finding("lead.loose", "lead loose in the carbon or pulled out", "stop", "renew the set"),
    Finding("terminal.poor", "terminal dirty, loose or oxidised", "plan", "clean to metal and retension, then test again: this alone can stop a motor"),
    Finding("indicator.dead", "lead of the wear indicator open or earthed", "plan", "repair it, or the warning is lost"),
)
_SPRING = (
    Finding("spring.heat", "spring discoloured by heat", "change", "it has carried current: mend lead or terminal, renew spring and set"),
    Finding("spring.broken", "spring corroded, broken, cracked or missing", "stop", "renew it: the brush was not pressed"),
    Finding("spring.off", "spring force over a tenth off", "plan", "renew the springs as a set"),
    Finding("spring.far-off", "spring force over a fifth off", "change", "renew the springs as a set now"),
    Finding("spring.travel", "under 2 mm of spring travel left", "change", "treat it as at its limit"),
)
_HOLDER = (
    Finding("holder.damaged", "holder burnt, melted, oval or loose", "change", "renew the holder; it is not dressed and never glued"),
    Finding("holder.arms", "arms spaced unequally round the commutator", "plan", "set them by a paper tape, equal within half a millimetre"),
    Finding("insulator.dirty", "insulator dirty with carbon", "watch", "wipe it: it is the path to earth"),
    Finding("insulator.cracked", "insulator cracked or missing", "stop", "renew it before power, or the post will earth"),
)
# fmt: on
GROUPS = (("Brush", _BRUSH), ("Face", _FACE), ("Lead and terminal", _LEAD), ("Spring", _SPRING), ("Holder", _HOLDER))
BY_ID = {finding.id: finding for _, group in GROUPS for finding in group}

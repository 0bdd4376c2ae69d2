"""What is found on the carbon of brushes and in its dust."""

from dataclasses import replace

from norvash.core.grades import WORDS, Grade
from norvash.core.sheet.field import Field
from norvash.core.sheet.fields_made import quantity, tick
from norvash.core.sheet.finding import Finding, finding
from norvash.core.sheet.part import BRUSHES
from norvash.core.sheet.task import Task
from norvash.core.stages.shared import CLEAN_TRACK, CONTOUR_FACES, FIT_SET, RUN_IN, SEEK_CAUSE, VACUUM

FREE_HOLDER = Task(
    id="free-holder",
    what="Free the holder and clean it",
    done="holder freed and cleaned",
    minutes=15,
    tools="lint-free cloth, plastic scraper",
    steps=(
        "take the brush out",
        "clean box and brush sides dry",
        "measure section and box, look for burrs",
        "the brush must drop by its own weight",
    ),
    schools=("school.grease", "school.holder"),
    caution="springs fly: eye protection",
)
FIND_LEAK = Task(
    id="leak",
    what="Find the leak",
    done="leak found",
    minutes=20,
    tools="light, cloth",
    steps=("find where the oil comes from", "mend it before new brushes go in"),
)
SET_TRACK = Task(
    id="set-track",
    what="Bring the brush onto its track",
    done="brush brought onto its track",
    minutes=20,
    tools="feeler gauge, rule",
    steps=("push the shaft to both ends of its float", "set holder or washers", "look at both ends again"),
)
RELEASE_BRUSHES = Task(
    id="release",
    what="Release the new brushes",
    done="new brushes released",
    minutes=5,
    tools="hook",
    steps=("release every latch", "see that each brush sits on the copper"),
)
BRUSH = (
    BRUSH_FREE := finding("brush.free", "moves freely", "fit", "nothing to do", BRUSHES),
    BRUSH_STICKY := finding(
        "brush.sticky",
        "sticky, moves by hand",
        "plan",
        "clean box and brush sides, check section and burrs, note the cause",
        BRUSHES,
        FREE_HOLDER,
        shows=("held", "yes"),
        ends="brush.free",
    ),
    BRUSH_SEIZED := finding(
        "brush.seized",
        "seized in its holder",
        "change",
        "free it and clean, renew the set and check every holder",
        BRUSHES,
        FREE_HOLDER,
        FIT_SET,
        shows=("held", "seized"),
        kinds={"holds-brush"},
        ends="brush.free",
    ),
    BRUSH_CHIP_SMALL := finding(
        "brush.chip-small",
        "edge chipped, under a tenth of the face",
        "watch",
        "look for run-out, high bars, holder gap and rough handling",
        BRUSHES,
        SEEK_CAUSE,
        kinds={"of-brush"},
    ),
    BRUSH_CHIP_LARGE := finding(
        "brush.chip-large",
        "chipped over a tenth of the face, or cracked",
        "change",
        "renew the set and find the cause",
        BRUSHES,
        FIT_SET,
        SEEK_CAUSE,
        kinds={"of-brush"},
    ),
    BRUSH_LATCHED := finding(
        "brush.latched",
        "still latched or held back",
        "stop",
        "release it before closing",
        BRUSHES,
        RELEASE_BRUSHES,
        shows=("held", "yes"),
        kinds={"holds-brush"},
    ),
    BRUSH_OFF_TRACK := finding(
        "brush.off-track",
        "on the riser, or off the track, at an end of the float",
        "change",
        "set the holder or the end float: it tears on the risers, or runs on its edge",
        BRUSHES,
        SET_TRACK,
    ),
    BRUSH_OILY := finding(
        "brush.oily",
        "brush or box oily",
        "plan",
        "renew and find the leak; oil never cures a sticky brush",
        BRUSHES,
        FIND_LEAK,
        FIT_SET,
    ),
)
BRUSH_GREASED = finding(
    "brush.greased",
    "freed with a film of grease: contaminated",
    "watch",
    "clean it off at the next look, and look early",
    BRUSHES,
    FREE_HOLDER,
)
FACE = (
    FACE_SATIN := finding("face.satin", "face even and satin", "fit", "nothing to do", BRUSHES, kinds={"of-brush"}),
    FACE_GLAZED := finding(
        "face.glazed",
        "face glazed",
        "watch",
        "think of light load, low pressure, damp missing or silicone vapour",
        BRUSHES,
        SEEK_CAUSE,
        shows=("glazed", "yes"),
        kinds={"of-brush"},
    ),
    FACE_THREADS := finding(
        "face.threads",
        "threads across the face",
        "watch",
        "think of low current, low pressure, abrasive dust or oil",
        BRUSHES,
        SEEK_CAUSE,
        kinds={"of-brush"},
    ),
    FACE_BURNT := finding(
        "face.burnt",
        "edge of the face burnt",
        "plan",
        "check spring, neutral and load, and look for high mica",
        BRUSHES,
        SEEK_CAUSE,
        kinds={"of-brush"},
    ),
    FACE_COPPER := finding(
        "face.copper",
        "copper picked up in the face",
        "plan",
        "check current, pressure and the commutator's surface",
        BRUSHES,
        SEEK_CAUSE,
        CLEAN_TRACK,
        kinds={"of-brush"},
    ),
    FACE_TAPER := finding(
        "face.taper",
        "face tapered beyond its design",
        "plan",
        "check that the brush sits square in its box",
        BRUSHES,
        SEEK_CAUSE,
        kinds={"of-brush"},
    ),
    FACE_ONE_SIDE := finding(
        "face.one-side",
        "print of one side of the face only",
        "plan",
        "check box and brush for square, the spring for its line of push, the arm for its angle",
        BRUSHES,
        SEEK_CAUSE,
        shows=("one-side", "yes"),
        kinds={"of-brush"},
    ),
    FACE_PARTLY := finding(
        "face.partly",
        "face covers less than three quarters after run-in",
        "watch",
        "keep seating, no full load yet",
        BRUSHES,
        SEEK_CAUSE,
        kinds={"of-brush"},
    ),
)
BRUSH_REUSED = finding(
    "brush.reused",
    "an old brush put back in",
    "plan",
    "renew the whole set and measure each brush; until then look early",
    BRUSHES,
    FIT_SET,
    kinds={"of-brush"},
)
FINDINGS = (
    BRUSH_GREASED,
    BRUSH_REUSED,
    FACE_UNBEDDED := finding(
        "face.unbedded",
        "bedding not finished",
        "plan",
        "part load only; run in, and take the print again after the first hours",
        BRUSHES,
        RUN_IN,
        proof="value",
    ),
    SET_WORN := finding(
        "set.worn",
        "worn",
        "plan",
        "renew the set",
        BRUSHES,
        FIT_SET,
        kinds={"of-brush", "of-set", "of-lengths"},
        cause="worn",
        rests_on=(
            *("stage.plan", "stage.change", "stage.stop", "forecast.stop", "new_mm", "limit_mm", "limit_source"),
            *("lead_root_depth_mm", "lead_taut_length_mm", "spring_stop_length_mm", "depth_limit_mm"),
        ),
    ),
    DUST_MUCH := finding(
        "dust.much",
        "clearly more dust than carbon worn off",
        "watch",
        "look for arcing, bearing debris or belt dust",
        BRUSHES,
        VACUUM,
        SEEK_CAUSE,
    ),
    FACE_CUT := finding(
        "face.cut",
        "brush faces shaped to the diameter before the cut",
        "plan",
        "give them the new curve and seat them",
        BRUSHES,
        CONTOUR_FACES,
        kinds={"of-brush"},
        proof="any",
    ),
)
FIELDS: tuple[Field, ...] = (
    SHORTEST_ONLY := tick(
        "shortest-only",
        "Carbon",
        "only the shortest brush was measured: it stands for its set",
        needs="safe",
        judged=True,
    ),
    DUST_G := quantity(
        "dust-g", "Dust", "Dust taken out", "dust", needs="safe", high=10000, judged=True, tells=(DUST_MUCH,)
    ),
)


def worn_set(grade: Grade) -> Finding:
    """Return the finding that a set's own length, use or table stands for."""
    return replace(SET_WORN.worded(f"worn: {WORDS[grade].lower()}"), grade=grade)

"""Questions on which good practitioners disagree: the schools as named choices, with a default and its reason."""

from types import MappingProxyType

from norvash.core.rules.book import School

SCHOOLS: tuple[School, ...] = (
    School("school.when", "When is a set changed?", (
        ("limit", "at its length limit, with the forecast to warn before"), ("interval", "after fixed hours, by the policy of the motor"),
        ("share", "at a share of the length left, by eye"), ("lines", "by wear lines: first plan, second hasten, third too late"),
        ("table", "by the maker's table of use and depth"), ("symptoms", "when it shows symptoms: run to failure")),
        "limit", "the limit says what is safe, the forecast says when; policies and tables stand beside it and the earliest wins",
        MappingProxyType({"industrial": ("symptoms",), "traction": ("symptoms",)})),
    School("school.one-or-all", "One brush, the pair, or the set?", (
        ("set", "the whole set"), ("pair", "the pair, if the others may stay"), ("one", "only the bad one, if the others may stay")),
        "set", "brushes of one age share the current; the others stay only with more than the watch share left, nothing found on them and the same grade"),
    School("school.old-or-new", "Keep good originals, or renew while it is open?", (
        ("figures", "by figures: carbon, force, findings"), ("keep", "keep good originals: newer ones may be worse"), ("renew", "renew while it is open")),
        "figures", "what is measured says more than age; keeping is for rare parts"),
    School("school.cleaning", "How is copper cleaned?", (
        ("stone", "commutator stone or rubber-bonded stick only"), ("paper", "fine non-conducting paper, slots cleaned after"),
        ("mild", "mild: leather, eraser, non-metal scourer"), ("hard", "whatever gets it going: emergency only, look again early")),
        "stone", "least removal and no conducting dust; emery, silicon carbide and steel wool are refused by all"),
    School("school.shiny", "How bright is the copper left?", (
        ("film", "a good film is never broken; bright only where it was burnt"), ("bright", "back to bright copper")),
        "film", "the film is what the brush runs on"),
    School("school.face", "How does a new face get its curve?", (
        ("figures", "by figures: run-in, paper or stone, as deep as the curve asks"), ("shape", "shaped to the radius first"),
        ("flat", "fitted flat and run in"), ("stone", "by seating stone")),
        "figures", "a shallow curve runs in by itself, a deep one would take days"),
    School("school.grease", "A film of oil or grease on a sticky brush?", (
        ("never", "never: free it by cleaning and sizing"), ("film", "a thin film, recorded as contaminated and looked at early")),
        "never", "oil binds carbon dust, and the brush sticks worse than before"),
    School("school.dust", "How is the dust taken out?", (
        ("vacuum", "vacuum first, then dry, clean, low-pressure air with extraction"), ("blow", "blown out, with extraction and eye protection"),
        ("wash", "washed with residue-free cleaner, only parts without winding or sealed bearing, fully dried")),
        "vacuum", "blown dust ends in windings and bearings"),
    School("school.look", "Look often, or leave it alone?", (
        ("closed", "through the window or by depth where there is one, else opened"), ("open", "opened at every interval")),
        "closed", "opening does harm of its own; the interval is the forecast's"),
    School("school.repair", "Repair, or buy?", (
        ("figures", "by cost for each hour of use gained"), ("repair", "a kit: cheaper and better made"), ("buy", "a cheap new unit: saves time")),
        "figures", "a burnt armature in a small machine usually ends in a new one, and the figures show when it does not"),
    School("school.kit", "Bushes and bearings of a kit?", (
        ("needed", "press-fit bushes stay if they are good; sealed bearings are renewed once reached"), ("all", "everything in the kit is fitted")),
        "needed", "a good bush left alone is better than a bad new one"),
    School("school.skim", "Skim here, or send it out?", (
        ("figures", "here if the cut fits the machine and its least diameter, else out"), ("own", "on the own lathe"), ("out", "to the motor shop")),
        "figures", "the cut plan says what it takes"),
    School("school.test", "Test before or after it is put together?", (
        ("both", "on the bench as early as possible, and again assembled"), ("after", "once, assembled")),
        "both", "a fault found before paint and panels costs minutes"),
    School("school.torque", "Torque without a figure?", (
        ("table", "by a conservative table, called an estimate; plastic by hand"), ("feel", "hand tight, by feel")),
        "table", "feel differs from hand to hand"),
    School("school.order", "How are the brushes held back while the rotor goes in?", (
        ("type", "by the type of holder"), ("hooks", "wire hooks"), ("sleeve", "a sleeve of the commutator's size"), ("angle", "the plate lowered at an angle")),
        "type", "clips, hooks and sleeves each suit a holder"),
    School("school.holder", "Lever and coil springs, or constant force?", (
        ("built", "as built"), ("constant", "converted to constant-force springs where holders seize from standing")),
        "built", "noted as an improvement where seized holders are found on idle machines"),
)  # fmt: skip

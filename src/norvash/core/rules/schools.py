"""Questions on which good practitioners disagree: the schools as named choices, with a default and its reason."""

from types import MappingProxyType

from norvash.core.rules.book import School
from norvash.core.rules.money import SCHOOLS as OF_MONEY

SCHOOLS: tuple[School, ...] = (
    School(
        id="school.when",
        question="When is a set changed?",
        options=(
            ("limit", "at its length limit, with the forecast to warn before"),
            ("interval", "after fixed hours, by the policy of the motor"),
            ("share", "at a share of the length left, by eye"),
            ("lines", "by wear lines: first plan, second hasten, third too late"),
            ("table", "by the maker's table of use and depth"),
            ("symptoms", "when it shows symptoms: run to failure"),
        ),
        default="limit",
        why="the limit says what is safe, the forecast says when; policies and tables stand beside it and the earliest"
        " wins",
        refused=MappingProxyType({"industrial": ("symptoms",), "traction": ("symptoms",)}),
    ),
    School(
        id="school.one-or-all",
        question="One brush, the pair, or the set?",
        options=(
            ("set", "the whole set"),
            ("pair", "the pair, if the others may stay"),
            ("one", "only the bad one, if the others may stay"),
        ),
        default="set",
        why="brushes of one age share the current; the others stay only with more than the watch share left, nothing"
        " found on them and the same grade",
    ),
    School(
        id="school.old-or-new",
        question="Keep good originals, or renew while it is open?",
        options=(
            ("figures", "by figures: carbon, force, findings"),
            ("keep", "keep good originals: newer ones may be worse"),
            ("renew", "renew while it is open"),
        ),
        default="figures",
        why="what is measured says more than age; keeping is for rare parts",
    ),
    School(
        id="school.cleaning",
        question="How is copper cleaned?",
        options=(
            ("stone", "commutator stone or rubber-bonded stick only"),
            ("paper", "fine non-conducting paper, slots cleaned after"),
            ("mild", "mild: leather, eraser, non-metal scourer"),
            ("hard", "whatever gets it going: emergency only, look again early"),
        ),
        default="stone",
        why="least removal and no conducting dust; emery, silicon carbide and steel wool are refused by all",
    ),
    School(
        id="school.shiny",
        question="How bright is the copper left?",
        options=(
            ("film", "a good film is never broken; bright only where it was burnt"),
            ("bright", "back to bright copper"),
        ),
        default="film",
        why="the film is what the brush runs on",
    ),
    School(
        id="school.face",
        question="How does a new face get its curve?",
        options=(
            ("figures", "by figures: run-in, paper or stone, as deep as the curve asks"),
            ("shape", "shaped to the radius first"),
            ("flat", "fitted flat and run in"),
            ("stone", "by seating stone"),
        ),
        default="figures",
        why="a shallow curve runs in by itself, a deep one would take days",
    ),
    School(
        id="school.grease",
        question="A film of oil or grease on a sticky brush?",
        options=(
            ("never", "never: free it by cleaning and sizing"),
            ("film", "a thin film, recorded as contaminated and looked at early"),
        ),
        default="never",
        why="oil binds carbon dust, and the brush sticks worse than before",
    ),
    School(
        id="school.dust",
        question="How is the dust taken out?",
        options=(
            ("vacuum", "vacuum first, then dry, clean, low-pressure air with extraction"),
            ("blow", "blown out, with extraction and eye protection"),
            ("wash", "washed with residue-free cleaner, only parts without winding or sealed bearing, fully dried"),
        ),
        default="vacuum",
        why="blown dust ends in windings and bearings",
    ),
    School(
        id="school.look",
        question="Look often, or leave it alone?",
        options=(
            ("closed", "through the window or by depth where there is one, else opened"),
            ("open", "opened at every interval"),
        ),
        default="closed",
        why="opening does harm of its own; the interval is the forecast's",
    ),
    School(
        id="school.repair",
        question="Repair, or buy?",
        options=(
            ("figures", "by cost for each hour of use gained"),
            ("repair", "a kit: cheaper and better made"),
            ("buy", "a cheap new unit: saves time"),
        ),
        default="figures",
        why="a burnt armature in a small machine usually ends in a new one, and the figures show when it does not",
    ),
    School(
        id="school.kit",
        question="Bushes and bearings of a kit?",
        options=(
            ("needed", "press-fit bushes stay if they are good; sealed bearings are renewed once reached"),
            ("all", "everything in the kit is fitted"),
        ),
        default="needed",
        why="a good bush left alone is better than a bad new one",
    ),
    School(
        id="school.skim",
        question="Skim here, or send it out?",
        options=(
            ("figures", "here if the cut fits the machine and its least diameter, else out"),
            ("own", "on the own lathe"),
            ("out", "to the motor shop"),
        ),
        default="figures",
        why="the cut plan says what it takes",
    ),
    School(
        id="school.volts",
        question="Can volts be lowered here?",
        options=(
            ("lowered", "yes: a supply that can be set"),
            ("fixed", "no: plate volts only, so short runs, bursts, or paper to the print"),
        ),
        default="lowered",
        why="new faces bed at low volts; where there are none, they bed otherwise",
    ),
    School(
        id="school.test",
        question="Test before or after it is put together?",
        options=(("both", "on the bench as early as possible, and again assembled"), ("after", "once, assembled")),
        default="both",
        why="a fault found before paint and panels costs minutes",
    ),
    School(
        id="school.torque",
        question="Torque without a figure?",
        options=(
            ("table", "by a conservative table, called an estimate; plastic by hand"),
            ("feel", "hand tight, by feel"),
        ),
        default="table",
        why="feel differs from hand to hand",
    ),
    School(
        id="school.order",
        question="How are the brushes held back while the rotor goes in?",
        options=(
            ("type", "by the type of holder"),
            ("hooks", "wire hooks"),
            ("sleeve", "a sleeve of the commutator's size"),
            ("angle", "the plate lowered at an angle"),
        ),
        default="type",
        why="clips, hooks and sleeves each suit a holder",
    ),
    School(
        id="school.holder",
        question="Lever and coil springs, or constant force?",
        options=(
            ("built", "as built"),
            ("constant", "converted to constant-force springs where holders seize from standing"),
        ),
        default="built",
        why="noted as an improvement where seized holders are found on idle machines",
    ),
    *OF_MONEY,
)

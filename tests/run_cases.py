"""What holds a gate, what a run finds and what its construction forbids: motors and entries in one line each."""

MOTORS = {
    "tool": "construction=universal rated_v=230 rated_a=6 noload_rpm=12000 noload_a=2",
    "shunt": "construction=shunt rated_v=220 rated_rpm=1450 rated_a=38",
    "series": "construction=series rated_v=80 rated_rpm=1800 protection=extra-low_voltage",
    "starter": "construction=series rated_v=12 noload_a_most=90 noload_rpm_least=4000",
    "dynamo": "construction=shunt rated_v=60 rated_rpm=1000 excitation=separately_excited",
    "magnet": "construction=permanent-magnet rated_v=24 noload_rpm=3000 noload_a=1.5",
}

# By what holds power: class, figures, entries, and what the gate says.
HELD = {
    "no insulation": ("tool", "tool", "", "insulation to earth is not measured"),
    "insulation too low": ("tool", "tool", "insulation-mohm=0.4", "insulation"),
    "insulation of what was not parted": ("starter", "starter", "insulation-mohm=90", "not judged: first lift"),
    "no earth": ("tool", "tool", "", "protective earth is not measured"),
    "earth too high": ("tool", "tool", "earth-ohm=4", "protective earth 4 Ω, allowed 0.1"),
    "an earthed plug on two cores": ("appliance", "tool", "plug=odd", "an earthed plug on a two-core cord"),
    "a part out of service": ("tool", "tool", "seen.bearing.locked=yes", "a bearing locked"),
    "how it is run": ("tool", "tool", "", "how it is run"),
    "latches after the armature was out": ("tool", "tool", "state=stripped", "nothing holds a brush back"),
    "a set under its limit": ("tool", "tool", "", "The set: worn"),
}

# By run: class, figures, entries, what it finds, what is said of it, and what it lacks as a proof.
RUNS = {
    "as it should": (
        "tool",
        "tool",
        "run-v=229 run-a=2.1 run-rpm=11800 sparks=2",
        "",
        "2.1 A, 2 A usual: within its band",
        "",
    ),
    "drag": ("tool", "tool", "run-a=2.9 run-rpm=9000 sparks=1", "run.drag", "over its band", "outside its bands"),
    "poor contact": ("tool", "tool", "run-a=1.2 run-rpm=9000 sparks=1", "run.contact", "under its band", "outside"),
    "weak field": (
        "tool",
        "tool",
        "run-a=2.9 run-rpm=15000 sparks=1",
        "run.weak-field run.overspeed",
        "over its band",
        "outside",
    ),
    "only the current": ("tool", "tool", "run-a=2.9 run-rpm=11900 sparks=1", "run.amps", "over its band", "outside"),
    "only the speed": ("tool", "tool", "run-a=2 run-rpm=10000 sparks=1", "run.speed", "under its band", "outside"),
    "a small motor may spark a little": ("tool", "tool", "run-a=2 sparks=2", "", "up to 2 is right", ""),
    "a shunt motor may not": ("industrial", "shunt", "run-v=220 run-a=3 sparks=2", "run.sparks", "up to 1", "outside"),
    "strong sparks": ("tool", "tool", "run-a=2 sparks=3", "run.sparking", "3, strong", "outside its bands: sparks 3"),
    "the wrong way": ("tool", "tool", "bump=wrong", "run.wrong-way", "", "no proof run"),
    "it rubs": ("tool", "tool", "bump=rubs", "run.rubs", "", "no proof run"),
    "at half its volts": (
        "industrial",
        "shunt",
        "run-v=110 run-a=3 sparks=0",
        "",
        "run it at those",
        "volts of its plate",
    ),
    "over its volts": ("tool", "tool", "run-v=260 run-a=2.9 sparks=1", "run.volts", "set the supply", "outside"),
    "far over its volts": ("tool", "tool", "run-v=350 run-a=2.9 sparks=1", "run.volts", "set the supply", "outside"),
    "over the volts of its battery": (
        "appliance",
        "magnet",
        "run-v=29.5 run-a=1.5 run-rpm=3050 sparks=0",
        "run.volts",
        "over 1.2 times the nominal 24 V",
        "outside",
    ),
    "charging volts of its battery": (
        "appliance",
        "magnet",
        "run-v=28 run-a=1.5 run-rpm=3050 sparks=0",
        "",
        "of the plate's",
        "",
    ),
    "four times its current, with load": (
        "industrial",
        "shunt",
        "run-how=load run-v=220 run-a=150 run-rpm=1400 sparks=0",
        "run.heavy",
        "",
        "outside",
    ),
    "no sparks said": ("tool", "tool", "run-a=2", "", "", "sparks at the brushes"),
    "only sparks said": ("tool", "tool", "sparks=1", "", "", "run it again"),
    "hot": ("tool", "tool rise_most_k=60", "run-a=2 sparks=1 run-c=95 run-air-c=21", "run.hot", "74 K over", "outside"),
    "a starter": (
        "starter",
        "starter",
        "run-v=11.2 run-a=74 run-rpm=4800 sparks=1 run-s=6",
        "",
        "74 A, at most 90 A",
        "",
    ),
    "a starter that draws too much": (
        "starter",
        "starter",
        "run-v=11 run-a=91 run-rpm=4800 sparks=1",
        "run.amps",
        "at most 90",
        "outside",
    ),
    "a starter too slow": (
        "starter",
        "starter",
        "run-v=11 run-a=91 run-rpm=3900 sparks=1",
        "run.drag",
        "at least 4",
        "outside",
    ),
    "a starter without volts": ("starter", "starter", "run-a=74 run-rpm=4800 sparks=1", "", "", "volts at the post"),
    "magnets": ("appliance", "magnet", "run-v=24 run-a=1.5 run-rpm=3050 sparks=0", "", "within its band", ""),
    "magnets gone weak": (
        "appliance",
        "magnet",
        "run-a=2.4 run-rpm=3700 sparks=0",
        "run.weak-field run.overspeed",
        "",
        "outside",
    ),
    "series in steps": (
        "traction",
        "series",
        "run-how=free run-v=8 run-rpm=420 run-v@1=18 run-rpm@1=1500 run-a@1=30 sparks@1=1",
        "",
        "not compared with plate",
        "",
    ),
    "series too fast": (
        "traction",
        "series",
        "run-how=free run-v=8 run-rpm=1900 run-a=30 sparks=1",
        "run.overspeed",
        "off at rated",
        "outside",
    ),
    "series with its load": (
        "traction",
        "series rated_a=120",
        "run-rpm=1700 run-a=80 sparks=1",
        "",
        "120 A on its plate",
        "",
    ),
    "a generator": ("generator", "dynamo", "run-v=30 run-rpm=500 run-v@1=59 run-rpm@1=1000", "", "as on its plate", ""),
    "one speed only": ("generator", "dynamo", "run-v=60 run-rpm=1000", "", "", "at 2 speeds"),
    "no speed near its rated": (
        "generator",
        "dynamo",
        "run-v=30 run-rpm=500 run-v@1=42 run-rpm@1=700",
        "",
        "",
        "near its rated speed",
    ),
    "dead": (
        "generator",
        "dynamo",
        "run-v=2 run-rpm=500 run-v@1=3 run-rpm@1=1000",
        "output.dead",
        "residual",
        "outside",
    ),
    "flat": (
        "generator",
        "dynamo",
        "run-v=30 run-rpm=500 run-v@1=30 run-rpm@1=1000",
        "output.flat",
        "do not rise",
        "outside",
    ),
    "low": ("generator", "dynamo", "run-v=20 run-rpm=500 run-v@1=50 run-rpm@1=1000", "output.low", "", "outside"),
    "high": ("generator", "dynamo", "run-v=30 run-rpm=500 run-v@1=72 run-rpm@1=1000", "output.high", "", "outside"),
    "one that excites itself, low at half speed": (
        "generator",
        "dynamo excitation=self-excited",
        "run-v=12 run-rpm=500 run-v@1=75 run-rpm@1=1000",
        "",
        "as on its plate",
        "",
    ),
}

# Class, figures, entries of which the last is refused, and with which words.
REFUSED = {
    "a bare series motor at its plate's volts": (
        "traction",
        "series",
        "run-how=free run-v=80",
        "at most 8 V without load",
    ),
    "over a tenth before its speed is read": ("traction", "series", "run-how=free run-v=9", "until r/min is read"),
    "over a quarter": ("traction", "series", "run-how=free run-v=8 run-rpm=400 run-v@1=21", "at most 20 V"),
    "over its safe volts": ("traction", "series safe_noload_v=12", "run-how=free run-v=13", "its safe voltage"),
    "at its rated speed": ("traction", "series", "run-how=free run-v=8 run-rpm=1800 run-v@1=12", "No more volts"),
    "its load taken off at full volts": (
        "traction",
        "series",
        "run-how=load run-v=80 run-how=free",
        "80 V is too much",
    ),
    "nothing known of its volts": ("traction", "construction=series", "run-how=free", "runs away"),
    "a universal motor out of its machine": (
        "industrial",
        "construction=universal rated_v=200",
        "run-how=free run-v=60",
        "at most 20 V",
    ),
    "its construction not stated": ("industrial", "rated_v=200", "run-how=free run-v=60", "at most 20 V"),
    "a long burst": ("starter", "starter", "run-s=12", "At most 10 s"),
    "a starter loose on the bench": ("starter", "starter", "run-how=free", "clamped"),
    "a generator with power": ("generator", "dynamo", "run-how=free", "it gets no power"),
    "a generator touched": ("generator", "dynamo", "bump=right", "driven from outside"),
    "an earth where there is none": (
        "tool",
        "tool protection=double_insulated",
        "earth-ohm=0.1",
        "no protective earth by design",
    ),
    "a drill that clamps": ("tool", "tool", "run-how=clamped", "only a starter"),
    "unloaded before it is opened": ("traction", "series", "noload-rpm=900", "at most 20 V without load"),
}

# Class, figures, what comes with a permit, and the words with which it is refused, empty where it is opened.
PERMITS = {
    "series, not said": ("traction", "series", "", "Say whether it turns"),
    "series, volts not said": ("traction", "series", "turns=free", "how many volts"),
    "series, too many": ("traction", "series", "turns=free volts=24", "at most 8 V without load"),
    "series, few enough": ("traction", "series", "turns=free volts=8", ""),
    "series with its load": ("traction", "series", "turns=load", ""),
    "universal in its tool": ("tool", "tool", "", ""),
    "universal, nobody says where": ("tool", "tool", "turns=free volts=230", "Nobody has said where it runs"),
    "universal in its tool, turning": ("tool", "tool", "turns=free volts=230 run-where=machine", ""),
    "universal and bare": ("tool", "tool", "turns=free volts=230 run-where=bare", "at most 23 V"),
    "generator": ("generator", "dynamo", "turns=free", "driven, not touched"),
    "generator with a load": ("generator", "dynamo", "turns=load", "driven, not touched"),
    "no such way": ("tool", "tool", "turns=fast", "not a way of turning"),
}


def figures_of(text: str) -> dict[str, str]:
    """Return the figures of a motor: of one that has a name, those with what is added or changed."""
    first, _, rest = text.partition(" ")
    named = MOTORS.get(first)
    pairs = f"{named} {rest}" if named is not None else text
    return {k: v.replace("_", " ") for k, _, v in (p.partition("=") for p in pairs.split())}


def rows_of(text: str) -> list[tuple[str, str, int]]:
    """Return entries: the field, its text and its place."""
    made = []
    for pair in text.split():
        name, _, value = pair.partition("=")
        field, _, place = name.partition("@")
        made.append((field, value.replace("_", " "), int(place or 0)))
    return made

"""Sums about bearings: what a number means, how long it lasts, whether a kit fits."""

from dataclasses import dataclass

from norvash.core.bearings.designation import Bearing, decode
from norvash.core.bearings.lasting import Lasting, Running, lasting, renew_anyway
from norvash.core.edges import over
from norvash.core.rules.book import MotorRules
from norvash.core.sums.registry import Sum, ask, gives, together
from norvash.core.text.words import grouped
from norvash.errors import InputError


@dataclass(frozen=True, slots=True, kw_only=True)
class LifeIn:
    """A ball bearing with its load and speed."""

    capacity_kn: float = ask("Dynamic capacity C, kN", "count", above_low=True, high=1e5)
    load_kn: float = ask("Load P, kN", "count", above_low=True, high=1e5)
    speed_rpm: float = ask("Speed", "speed", above_low=True, high=1e5)
    bore_mm: float | None = ask("Bore", "length", default=None, above_low=True, high=2000)
    outside_mm: float | None = ask("Outside diameter", "length", default=None, above_low=True, high=3000)
    width_mm: float | None = ask("Width", "length", default=None, above_low=True, high=1000)
    sealed: bool = ask("Sealed on both sides", "yes", default=False)
    rubbing: bool = ask("Its seals rub", "yes", default=False)
    temperature_c: float | None = ask(
        "Its temperature", "temperature", default=None, low=-60, high=300, hint="empty: 70 °C"
    )
    run_h: float | None = ask("Hours it has run", "hours", default=None, high=1e6)
    age_years: float | None = ask("Its age, years", "count", default=None, high=100)


@dataclass(frozen=True, slots=True, kw_only=True)
class LifeOut:
    """Life of the bearing and of the grease inside it, speed factor and grease."""

    life_h: float = gives("life that nine in ten reach")
    grease_life_h: float | None = gives("life of the grease inside")
    lasts_h: float = gives("so it lasts")
    mean_d_mm: float | None = gives("mean diameter")
    speed_factor: float | None = gives("speed factor")
    speed_warning: bool = gives("too fast for grease")
    grease_g: float | None = gives("grease")
    renew: bool = gives("renew when reached")
    advice: str
    rules: tuple[str, ...]


def bearing_life(given: LifeIn, rules: MotorRules) -> LifeOut:
    """Return the life that nine in ten reach, that of the grease inside, whether it is too fast, and whether it is
    renewed anyway.

    Raises: InputError for half a size, a bore that is not inside, or a load too light to tell a life.
    """
    together(given, "bore_mm", "outside_mm")
    most, least = rules["bearing.most-ratio"], rules["bearing.least-load"] * given.capacity_kn
    if over(given.capacity_kn / given.load_kn, most):
        raise InputError(
            f"C/P is {given.capacity_kn / given.load_kn:.0f}, over {most:g}: so light a load tells no life.",
            f"At least {least:.3g} kN must load it, or its balls skid: ask the maker.",
            "load_kn",
        )
    runs = Running(**{n: getattr(given, n) for n in Running.__dataclass_fields__})
    found = lasting(runs, rules)
    why = renew_anyway(given.run_h, found.lasts_h, given.age_years, rules)
    return LifeOut(
        life_h=found.life_h,
        grease_life_h=found.grease_life_h,
        lasts_h=found.lasts_h,
        mean_d_mm=found.mean_d_mm,
        speed_factor=found.speed_factor,
        speed_warning=found.too_fast,
        grease_g=found.grease_g,
        renew=bool(why),
        advice="; ".join(_life_words(found, runs, why, rules)),
        rules=(
            "bearing.speed-rubbing" if given.rubbing else "bearing.speed-factor",
            "bearing.grease",
            "bearing.grease-life",
            "bearing.hours-share",
            "bearing.years",
            "bearing.most-ratio",
            "bearing.least-load",
        ),
    )


def _life_words(found: Lasting, runs: Running, why: str, rules: MotorRules) -> list[str]:
    least = rules["bearing.least-load"] * runs.capacity_kn
    said = [f"nine in ten last {grouped(found.life_h)} h; at least {least:.3g} kN must load it"]
    if found.look_up:
        said.append(f"over {rules['bearing.grease-hot']:g} °C the life of its grease is looked up")
    elif found.grease_life_h is not None:
        said.append(
            f"its grease lasts {grouped(found.grease_life_h)} h, so the bearing {grouped(found.lasts_h)} h, and"
            f" {rules['bearing.years']:g} years at most"
        )
    elif runs.sealed or runs.rubbing:
        said.append("how long its grease lasts needs bore and outside diameter")
    if found.too_fast:
        said.append(
            "too fast for its seals and grease: ask the maker" if runs.rubbing else "too fast for grease: ask the maker"
        )
    if runs.sealed or runs.rubbing:
        said.append("sealed, so never greased")
    elif found.grease_g is not None:
        said.append(f"{found.grease_g:.2g} g of grease, none near brushes or commutator")
    if why:
        said.append(f"renew it when it is reached: {why}")
    return said


@dataclass(frozen=True, slots=True, kw_only=True)
class NumberIn:
    """What is written on a ball bearing."""

    designation: str = ask("Number on the ring", "word", hint="like 6204-2RS, 62206 2Z, 608 ZZ C3 or 62/28")


@dataclass(frozen=True, slots=True, kw_only=True)
class NumberOut:
    """What the number says; lengths by the standard plan of dimensions."""

    bearing_series: str = gives("series")
    bore_mm: float = gives("bore")
    outside_mm: float = gives("outside diameter")
    width_mm: float = gives("width")
    seal: str = gives("seals")
    sealed: bool = gives("sealed on both sides")
    rubbing: bool = gives("its seals rub")
    perhaps_sealed: bool = gives("perhaps sealed")
    inner_clearance: str = gives("clearance inside")
    grease_g: float | None = gives("grease")
    heat_c: float = gives("warmed for fitting to, at most")
    makers_own: tuple[str, ...] = gives("maker's own marks")
    advice: str
    rules: tuple[str, ...]


def bearing_designation(given: NumberIn, rules: MotorRules) -> NumberOut:
    """Return dimensions, seals and clearance of a ball bearing."""
    found = decode(given.designation)
    heat = rules["bearing.heat-closed" if found.closed else "bearing.heat"]
    return NumberOut(
        bearing_series=found.series,
        bore_mm=found.bore_mm,
        outside_mm=found.outside_mm,
        width_mm=found.width_mm,
        seal=found.seal,
        sealed=found.sealed,
        rubbing=found.rubbing,
        perhaps_sealed=found.perhaps,
        inner_clearance=found.clearance,
        grease_g=rules["bearing.grease"] * found.outside_mm * found.width_mm if found.greased else None,
        heat_c=heat,
        makers_own=found.unknown,
        advice=_number_words(found, heat),
        rules=("bearing.grease", "bearing.heat", "bearing.heat-closed"),
    )


def _number_words(found: Bearing, heat_c: float) -> str:
    own = f"; {', '.join(found.unknown)}: the maker's own, look it up there" if found.unknown else ""
    perhaps = "; no grease before you have looked" if found.perhaps else ""
    cold = ", or fit it cold" if found.closed else ""
    size = f"{found.bore_mm:g} × {found.outside_mm:g} × {found.width_mm:g} mm"
    return (
        f"{size}, {found.seal}, clearance {found.clearance}{own}{perhaps}; warm it to {heat_c:g} °C at most{cold},"
        " press only on the ring with the tight fit"
    )


SUMS = (
    Sum(
        name="bearing-designation",
        title="Bearing number",
        words="What the number on a ball bearing says: bore, outside diameter, width, seals, clearance.",
        inputs=NumberIn,
        compute=bearing_designation,
        example={"designation": "6204-2RS C3"},
    ),
    Sum(
        name="bearing-life",
        title="Life of a bearing",
        words="The life that nine in ten ball bearings reach, whether grease bears the speed, and how much of it.",
        inputs=LifeIn,
        compute=bearing_life,
        example={
            "capacity_kn": 14.1,
            "load_kn": 0.64,
            "speed_rpm": 2870,
            "bore_mm": 20,
            "outside_mm": 47,
            "width_mm": 14,
        },
    ),
)

"""What is said of ways side by side: which is proposed and why, and where another one wins."""

from fractions import Fraction

from norvash.core.money.flips import life_flips, price_flips, rate_flips
from norvash.core.money.money import Currency, shown
from norvash.core.money.ways import Compared, Way
from norvash.core.text.words import listed

_A_UNIT = {"h": "an hour", "starts": "a start", "years": "a year"}


def a_unit(way: Way) -> str:
    """Return what a cost a unit is for: an hour, a start, a year."""
    return _A_UNIT.get(way.unit, "a unit of its use")


def proposed_words(found: Compared, currency: Currency) -> str:
    """Return what is proposed, why, and what decided it."""
    barred = listed([f"“{w.name}” is barred: {w.barred}" for w in found.ways if w.barred])
    barred = f" {barred[:1].upper()}{barred[1:]}." if barred else ""
    way = found.proposed
    if way is None or not found.by:
        return f"{'Only one way is priced' if len(found.ways) == 1 else 'Nothing can be compared yet'}.{barred}"
    return f"{way.name[:1].upper()}{way.name[1:]}: {_why(way, found, currency)}.{barred}"


def _why(way: Way, found: Compared, currency: Currency) -> str:
    share, line = found.shares[found.ways.index(way)], f"{float(found.threshold):.0%}"
    if found.by == "unit" and way.per_unit is not None:
        return f"{shown(way.per_unit, currency)} {a_unit(way)} is the least, and every life is stated"
    if found.by == "bar":
        return "nothing else is left"
    if share is not None and found.whole is not None:
        return f"{float(share):.1%} of “{found.whole.name}”, inside {line}; {_lives(found)}, so the share decides"
    pairs = zip(found.ways, found.shares, strict=True)
    over = [f"“{w.name}” is {float(s):.1%} of it" for w, s in pairs if s and not w.barred]
    return f"{listed(over)}, over {line}; {_lives(found)}, so the share decides"


def _lives(found: Compared) -> str:
    """Return why lives do not decide."""
    free = [w for w in found.ways if not w.barred]
    stated = [w for w in free if w.stated]
    if not stated:
        return "no lives are stated"
    if len(stated) < len(free):
        return f"no life of {listed([f'“{w.name}”' for w in free if not w.stated])} is stated"
    return "the lives are stated in different units"


def flip_words(found: Compared, currency: Currency) -> tuple[str, ...]:
    """Return where another way wins, each with what it is now; that nothing turns it where nothing does."""
    made = [
        f"At {shown(f.value, currency)} an hour “{f.way.name}” and “{f.other.name}” are even."
        for f in rate_flips(found)
    ]
    made += [
        f"“{f.way.name}” wins from a life of {f'{float(f.value):.2f} {f.way.unit}'.strip()}." for f in life_flips(found)
    ]
    flips = price_flips(found)
    own = min((f.value for f in flips if f.way is found.proposed), default=None)
    for f in flips:
        if f.way is not found.proposed:
            made.append(f"“{f.way.name}” wins at {_landed(f.value, f.way, currency, ' or less')}.")
    if own is not None and found.proposed is not None:
        made.append(f"“{found.proposed.name}” stays ahead up to {_landed(own, found.proposed, currency)}.")
    return tuple(made) or (("No labour rate and no price turns that.",) if found.proposed is not None else ())


def _landed(value: Fraction, way: Way, currency: Currency, less: str = "") -> str:
    return f"{shown(value, currency)} landed{less}; it is {shown(way.landed, currency)}"

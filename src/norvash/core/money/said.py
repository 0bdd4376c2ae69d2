"""What is said of ways side by side: which is proposed and why, and where another one wins."""

from norvash.core.money.flips import life_flips, price_flips, rate_flips
from norvash.core.money.money import Currency, shown
from norvash.core.money.ways import Compared, Way
from norvash.core.text.words import listed


def proposed_words(found: Compared, currency: Currency) -> str:
    """Return what is proposed, why, and what decided it."""
    barred = listed([f"“{w.name}” is barred: {w.barred}" for w in found.ways if w.barred])
    barred = f" {barred[:1].upper()}{barred[1:]}." if barred else ""
    way = found.proposed
    if way is None or not found.by:
        return f"Nothing can be compared yet.{barred}"
    return f"{way.name[:1].upper()}{way.name[1:]}: {_why(way, found, currency)}.{barred}"


def _why(way: Way, found: Compared, currency: Currency) -> str:
    share, line = found.shares[found.ways.index(way)], f"{float(found.threshold):.0%}"
    if found.by == "unit" and way.per_unit is not None:
        return f"{shown(way.per_unit, currency)} a unit of its use is the least, and every life is stated"
    if found.by == "bar":
        return "nothing else is left"
    if share is not None and found.whole is not None:
        return f"{float(share):.1%} of “{found.whole.name}”, inside {line}; no lives are stated, so the share decides"
    pairs = zip(found.ways, found.shares, strict=True)
    over = [f"“{w.name}” is {float(s):.1%} of it" for w, s in pairs if s and not w.barred]
    return f"{listed(over)}, over {line}; no lives are stated, so the share decides"


def flip_words(found: Compared, currency: Currency) -> tuple[str, ...]:
    """Return where another way wins, each with what it is now; that nothing turns it where nothing does."""
    made = [
        f"At {shown(f.value, currency)} an hour “{f.way.name}” and “{f.other.name}” are even."
        for f in rate_flips(found)
    ]
    made += [f"“{f.way.name}” wins from a life of {float(f.value):.2f}." for f in life_flips(found)]
    for f in price_flips(found):
        ahead = f.way is found.proposed
        up_to = f"{'stays ahead up to' if ahead else 'wins at'} {shown(f.value, currency)} landed"
        made.append(f"“{f.way.name}” {up_to}{'' if ahead else ' or less'}; it is {shown(f.way.landed, currency)}.")
    return tuple(made) or (("No labour rate and no price turns that.",) if found.proposed is not None else ())

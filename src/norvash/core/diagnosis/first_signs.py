"""Which signs to ask about first: those that a complaint names, then those that tell most of what it may be."""

import re
from collections.abc import Iterable, Mapping, Sequence
from functools import lru_cache
from math import prod

from norvash.core.diagnosis.ranking import entropy, likelihoods
from norvash.core.diagnosis.sign import NOT_SO, Sign
from norvash.core.diagnosis.signs import BY_ID

# How much of two words is compared, so that “sparking” is “sparks”.
_LEAST, _STEM = 4, 5
_MOST = 8
_WORD = re.compile(r"[^\W\d_]+")
# Words that name nothing.
_COMMON = frozenset({"when", "with", "that", "after", "this", "than", "runs", "motor", "brush"})


def first_signs(
    signs: Sequence[Sign], said: str, rates: Mapping[str, float], means: tuple[float, ...]
) -> tuple[str, ...]:
    """Return the ids of the signs to ask about first, at most eight, in their own order.

    `said` is the complaint in words; what it names counts as seen, in whichever way. Units: rates are the chances of
    the causes before anything was noticed [1]. Source: the weights of the signs, rule diagnosis.*
    """
    return _first(tuple(s.id for s in signs), said, tuple(rates.items()), means)


@lru_cache(maxsize=256)
def _first(
    ids: tuple[str, ...], said: str, base: tuple[tuple[str, float], ...], means: tuple[float, ...]
) -> tuple[str, ...]:
    """Return the signs to ask about first; a sheet asks for the same ones at each of its pages."""
    signs, rates = [BY_ID[i] for i in ids], dict(base)
    named = [s for s in signs if _names(said, s)]
    chances = {c: p * prod(_shown(s, c, means) for s in named) for c, p in rates.items()}
    total = sum(chances.values())
    if total > 0:
        chances = {c: p / total for c, p in chances.items()}
    tells = sorted((s for s in signs if s not in named), key=lambda s: -_bits(s, chances, means))
    chosen = {s.id for s in [*named, *tells][:_MOST]}
    return tuple(s.id for s in signs if s.id in chosen)


def _names(said: str, sign: Sign) -> bool:
    """Tell whether words name a sign, by the stems of its own."""
    own = _stems(f"{sign.words} {' '.join(a.words for a in sign.answers)}")
    return any(a[: min(len(a), len(b))] == b[: min(len(a), len(b))] for a in _stems(said) for b in own)


def _stems(words: str) -> set[str]:
    return {w[:_STEM] for w in _WORD.findall(words.lower()) if len(w) >= _LEAST} - _COMMON


def _shown(sign: Sign, cause_id: str, means: tuple[float, ...]) -> float:
    """Return the chance that a sign shows at all under a cause."""
    return sum(p for answer, p in likelihoods(sign.id, means)[cause_id].items() if answer != NOT_SO)


def _bits(sign: Sign, chances: Mapping[str, float], means: tuple[float, ...]) -> float:
    """Return by how much a sign is expected to lower the entropy of the causes [bit]."""
    table, after = likelihoods(sign.id, means), 0.0
    for answer in sign.known:
        joint = [p * table[c][answer] for c, p in chances.items()]
        weight = sum(joint)
        if weight > 0:
            after += weight * entropy(_over(joint, weight))
    return entropy(chances.values()) - after


def _over(parts: Iterable[float], whole: float) -> list[float]:
    return [p / whole for p in parts]

"""One thing to notice, its answers, and how strongly each speaks for or against a cause."""

from dataclasses import dataclass

from norvash.core.diagnosis.causes import CAUSES

Weights = dict[str, int]
NOT_SO = "no"
ALONE = 4


@dataclass(frozen=True, slots=True)
class Answer:
    """One thing that a sign can show: its id, its words, and what it says of the causes.

    `usual` is its chance under a cause that it does not speak of; None is that of the rulebook [1].
    """

    id: str
    words: str
    weights: Weights
    usual: float | None = None

    @property
    def alone(self) -> bool:
        """Tell whether one cause explains it all alone, so that it is rare without that cause."""
        return ALONE in self.weights.values()


@dataclass(frozen=True, slots=True, kw_only=True)
class Sign:
    """One thing to notice: its answers, and the words for “not so”, empty where one answer
    always holds.

    `silent` says that “not so” means nobody knows, which is no evidence. `dead` are the answers by which the motor does
    not run.
    """

    id: str
    words: str
    answers: tuple[Answer, ...]
    not_so: str = "no"
    classes: tuple[str, ...] = ()
    silent: bool = False
    dead: tuple[str, ...] = ()

    @property
    def known(self) -> tuple[str, ...]:
        """Return the ids of all that can be said of it."""
        return (*(a.id for a in self.answers), *((NOT_SO,) if self.not_so else ()))

    def said(self, answer: str) -> str:
        """Return an answer in words that stand on their own."""
        if answer == NOT_SO:
            words = f"not: {self.words}" if self.not_so == "no" else self.not_so
        else:
            words = next(a.words for a in self.answers if a.id == answer)
        return f"{self.words[0].lower()}{self.words[1:]}: {words}" if len(self.answers) > 1 else words


_MOTOR = tuple(c.id for c in CAUSES if c.side != "upstream")


def weighed(text: str) -> Weights:
    """Return weights from words like "worn+2 stuck+3 supply-3"; “motor” stands for all causes inside it."""
    found: Weights = {}
    for part in text.split():
        name, sign, strength = part.rpartition("+") if "+" in part else part.rpartition("-")
        for cause_id in _MOTOR if name == "motor" else (name,):
            found[cause_id] = int(sign + strength)
    return found


def yes(sign_id: str, words: str, *, weights: str, not_so: str = "no", classes: tuple[str, ...] = ()) -> Sign:
    """Return a sign that is so or not so."""
    return Sign(
        id=sign_id, words=words, answers=(Answer("yes", words, weighed(weights)),), not_so=not_so, classes=classes
    )


def several(
    sign_id: str,
    words: str,
    not_so: str,
    *answers: tuple[str, str, str],
    classes: tuple[str, ...] = (),
    silent: bool = False,
    dead: tuple[str, ...] = (),
) -> Sign:
    """Return a sign with several answers, each with its words and its weights."""
    return Sign(
        id=sign_id,
        words=words,
        answers=tuple(Answer(i, w, weighed(x)) for i, w, x in answers),
        not_so=not_so,
        classes=classes,
        silent=silent,
        dead=dead,
    )

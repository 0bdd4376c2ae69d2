"""Passwords, PINs, codes and tokens: made, and known again by their hashes alone."""

import contextlib
import hashlib
import itertools
import os
import secrets
import threading
from concurrent.futures import ThreadPoolExecutor
from functools import cache
from typing import TYPE_CHECKING

from norvash.errors import InputError

if TYPE_CHECKING:
    from argon2 import PasswordHasher

# Source: argon2id with 19 MiB, two passes, one lane; one at a time, for each holds its memory and a core.
_PASSES, _MEMORY_KIB, _LANES = 2, 19 * 1024, 1
_LEAST, _MOST, _PIN_LEAST, _PIN_MOST = 10, 200, 4, 8
# Without what is read as something else.
_LETTERS = "23456789ABCDEFGHJKLMNPQRSTUVWXYZ"
_GROUPS, _IN_GROUP = 3, 4


def checked_password(text: str, name: str = "", field: str = "password") -> str:
    """Return a password as it was typed.

    Raises: InputError for one that is too short or too long, or that is the name.
    """
    if not _LEAST <= len(text) <= _MOST:
        raise InputError(
            f"A password has {_LEAST} to {_MOST} characters; this one has {len(text)}.",
            "Three or four words that belong together only for you are long and easy to type.",
            field,
        )
    if name and text.casefold().strip() in (name.casefold(), name.casefold() * 2):
        raise InputError("The name cannot be the password.", "Take words that nobody here would guess.", field)
    return text


def checked_pin(text: str) -> str:
    """Return a PIN as it was typed.

    Raises: InputError for one that is not four to eight digits, counts up or down, or repeats itself.
    """
    if not (text.isascii() and text.isdigit() and _PIN_LEAST <= len(text) <= _PIN_MOST):
        raise InputError(f"A PIN is {_PIN_LEAST} to {_PIN_MOST} digits.", "Choose another one.", "pin")
    steps = {(int(b) - int(a)) % 10 for a, b in itertools.pairwise(text)}
    repeats = any(text == text[:n] * (len(text) // n) for n in range(1, len(text)))
    if repeats or steps in ({1}, {9}):
        raise InputError("That PIN is among the first that anybody would try.", "Choose another one.", "pin")
    return text


def _stand_back() -> None:
    """Let pages go before hashing, where the system can tell threads apart."""
    with contextlib.suppress(OSError, AttributeError):
        os.setpriority(os.PRIO_PROCESS, threading.get_native_id(), 10)


# A thread of its own holds its memory for the next one; each thread that hashed would hold as much for itself.
_ONE = ThreadPoolExecutor(1, thread_name_prefix="secrets", initializer=_stand_back)


@cache
def _hasher() -> "PasswordHasher":
    """Return what hashes; it is loaded when somebody signs in, not by every start."""
    from argon2 import PasswordHasher

    return PasswordHasher(time_cost=_PASSES, memory_cost=_MEMORY_KIB, parallelism=_LANES)


def hashed(secret: str) -> str:
    """Return what a password or PIN is known by."""
    return _ONE.submit(_hasher().hash, secret).result()


@cache
def _nobody() -> str:
    return _hasher().hash(secrets.token_hex(16))


def is_right(secret: str, known_by: str) -> bool:
    """Tell whether this is the password or PIN; where there is none it takes as long, and is wrong."""
    from argon2.exceptions import InvalidHashError, VerificationError

    try:
        return _ONE.submit(_hasher().verify, known_by or _nobody(), secret[:_MOST]).result() and known_by != ""
    except (VerificationError, InvalidHashError):
        return False


def new_code() -> str:
    """Return a code to be typed once, in groups of four."""
    return "-".join("".join(secrets.choice(_LETTERS) for _ in range(_IN_GROUP)) for _ in range(_GROUPS))


def new_token() -> str:
    """Return 256 random bits for a cookie or an address."""
    return secrets.token_urlsafe(32)


def digest(token: str) -> str:
    """Return what a code or a token is known by: it is random and long, so that a plain hash keeps it."""
    return hashlib.sha256(token.encode()).hexdigest()


def as_code(text: str) -> str:
    """Return a code as it was made, however it was typed."""
    plain = "".join(c for c in text.upper() if c.isalnum())
    return "-".join(plain[i : i + _IN_GROUP] for i in range(0, len(plain), _IN_GROUP))


def same(one: str, other: str) -> bool:
    """Tell whether two secrets are the same, in a time that does not tell where they differ."""
    return secrets.compare_digest(one.encode(), other.encode())

"""Who signs in and what they may do: secrets kept as hashes, codes used once, PINs that lock, always a lead."""

import contextlib
import time
from collections import Counter
from concurrent.futures import ThreadPoolExecutor
from contextlib import closing
from datetime import timedelta
from pathlib import Path

import pytest

from conftest import Shop
from norvash.errors import Conflict, InputError, NotFound
from norvash.store.access import members as access
from norvash.store.access import signed as signatures
from norvash.store.access.members import ROLES, SignedIn
from norvash.store.file.database import connect
from norvash.work.access.attempts import Attempts, TooSoon, WrongSecret
from norvash.work.access.members import (
    add_member,
    end_all,
    first_lead,
    give_code,
    give_role,
    has_lead,
    member_named,
    redeem,
)
from norvash.work.access.secrets_kept import as_code, checked_password, checked_pin, digest, hashed, is_right, new_code
from norvash.work.access.sign_in import Device, account_of, change_password, set_pin, sign_in, switch
from norvash.work.act.may import NotAllowed, at_least

TABLET = Device("an-id-of-a-shared-tablet-of-the-workshop", "a tablet")
WORDS = "carbon copper brass"


@pytest.fixture
def led(shop: Shop) -> Shop:
    """Return a shop in which Ines Torvald leads and signs in."""
    first_lead(shop.conn, shop.act(), "ines torvald", WORDS)
    return shop


def signed_in(shop: Shop, token: str) -> SignedIn:
    signed = access.signed_in(shop.conn, digest(token))
    assert signed is not None
    return signed


def test_the_first_lead_is_somebody_who_was_here_and_there_is_one_only(led: Shop) -> None:
    assert has_lead(led.conn)
    assert [(m.name, m.role) for m in access.list_members(led.conn)] == [("Ines Torvald", "lead")]
    assert access.signs_in_since(led.conn) == led.now
    with pytest.raises(Conflict):
        first_lead(led.conn, led.act(), "Bram Aldous", WORDS)
    assert len(access.list_members(led.conn)) == 1


def test_nothing_secret_stands_in_the_file(led: Shop) -> None:
    code = give_code(led.conn, led.act(), add_member(led.conn, led.act(), "Bram Aldous", "technician"))
    entered = sign_in(led.conn, "INES  Torvald", WORDS, TABLET, led.now)
    set_pin(led.conn, signed_in(led, entered.token), "4711", WORDS)
    kept = "\n".join(led.conn.iterdump())
    assert [x for x in (WORDS, code, as_code(code), entered.token, TABLET.id, "4711'") if x in kept] == []
    assert "argon2id$v=19$m=19456,t=2,p=1" in kept


def test_a_code_sets_a_password_once_and_ends_what_was(led: Shop) -> None:
    bram = add_member(led.conn, led.act(), "Bram Aldous", "viewer")
    with pytest.raises(WrongSecret):
        sign_in(led.conn, "Bram Aldous", "", TABLET, led.now)
    older, code = give_code(led.conn, led.act(), bram), give_code(led.conn, led.act(), bram)
    for wrong in (older, "AAAA-BBBB-CCCC", ""):
        with pytest.raises(WrongSecret):
            redeem(led.conn, wrong, WORDS, led.now)
    for short in ("short", "bram aldous"):  # the code is not spent by a password that is none
        with pytest.raises(InputError):
            redeem(led.conn, code, short, led.now)
    assert redeem(led.conn, code.lower().replace("-", " "), WORDS, led.now).since == led.now
    first = sign_in(led.conn, "Bram Aldous", WORDS, TABLET, led.now)
    set_pin(led.conn, signed_in(led, first.token), "4711", WORDS)
    with pytest.raises(WrongSecret):
        redeem(led.conn, code, WORDS, led.now)
    late = give_code(led.conn, led.act(), bram)
    with pytest.raises(WrongSecret):
        redeem(led.conn, late, WORDS, led.now + timedelta(days=7, seconds=1))
    redeem(led.conn, give_code(led.conn, led.act(), bram), f"{WORDS} again", led.now)
    assert access.signed_in(led.conn, digest(first.token)) is None
    with pytest.raises(WrongSecret):
        switch(led.conn, bram, "4711", TABLET, led.now)


def test_wrong_attempts_are_told_once_at_the_next_right_one(led: Shop) -> None:
    for name, password in (("Ines Torvald", "carbon copper"), ("Ines Torvald", ""), ("Nobody", WORDS), ("", "")):
        with pytest.raises(WrongSecret, match="Name and password do not fit"):
            sign_in(led.conn, name, password, TABLET, led.now)
    entered = sign_in(led.conn, "Ines Torvald", WORDS, TABLET, led.now)
    assert (entered.wrong, entered.wrong_at) == (2, led.now)
    assert sign_in(led.conn, "Ines Torvald", WORDS, TABLET, led.now).wrong == 0


def test_a_pin_is_of_one_device_and_locks_after_five_wrong_ones(led: Shop) -> None:
    entered = sign_in(led.conn, "Ines Torvald", WORDS, TABLET, led.now)
    ines = entered.member.id
    signed = signed_in(led, entered.token)
    with pytest.raises(WrongSecret, match="not your password"):
        set_pin(led.conn, signed, "4711", "no")
    set_pin(led.conn, signed, "4711", WORDS)
    assert [m.id for m in signatures.list_with_pin(led.conn, digest(TABLET.id))] == [ines]
    assert switch(led.conn, ines, "4711", TABLET, led.now).member.id == ines
    with pytest.raises(WrongSecret):
        switch(led.conn, ines, "4711", Device("another-device"), led.now)
    for _ in range(5):
        with pytest.raises(WrongSecret, match="not the PIN"):
            switch(led.conn, ines, "4712", TABLET, led.now)
    with pytest.raises(WrongSecret, match="locked"):
        switch(led.conn, ines, "4711", TABLET, led.now)
    set_pin(led.conn, signed, "4711", WORDS)
    assert switch(led.conn, ines, "4711", TABLET, led.now).member.id == ines


def test_another_password_ends_the_other_sessions(led: Shop) -> None:
    here, there = (sign_in(led.conn, "Ines Torvald", WORDS, TABLET, led.now) for _ in range(2))
    signed = signed_in(led, here.token)
    with pytest.raises(WrongSecret, match="not your password"):
        change_password(led.conn, signed, "no", f"{WORDS} new", led.now)
    change_password(led.conn, signed, WORDS, f"{WORDS} new", led.now)
    assert access.signed_in(led.conn, digest(here.token)) == signed
    assert access.signed_in(led.conn, digest(there.token)) is None
    assert end_all(led.conn, led.act(), signed.person_id) == signed.person_id
    assert access.signed_in(led.conn, digest(here.token)) is None


def test_a_shop_keeps_a_lead_and_what_was_changed_is_in_its_record(led: Shop) -> None:
    bram = add_member(led.conn, led.act(), "Bram Aldous", "technician")
    with pytest.raises(Conflict, match="is here already"):
        add_member(led.conn, led.act(), "Bram Aldous", "lead")
    for role in ("boss", ""):
        with pytest.raises(InputError):
            give_role(led.conn, led.act(), bram, role)
    with pytest.raises(NotFound):
        give_role(led.conn, led.act(), "nobody-of-that-id", "lead")
    with pytest.raises(Conflict, match="Nobody would be left"):
        give_role(led.conn, led.act(), "person-of-test", "viewer")
    give_role(led.conn, led.act(), bram, "lead")
    with pytest.raises(Conflict, match="Nobody would be left"):  # Bram has no password yet
        give_role(led.conn, led.act(), "person-of-test", "viewer")
    redeem(led.conn, give_code(led.conn, led.act(), bram), WORDS, led.now)
    give_role(led.conn, led.act(), "person-of-test", "viewer")
    assert member_named(led.conn, "INES torvald").role == "viewer"
    jobs = [r["job"] for r in led.conn.execute("select job from act order by seq")]
    assert jobs == ["add a person", "give a role", "give a code", "give a role"]


@pytest.mark.parametrize(
    ("says", "words"),
    [
        ("", "a program"),
        ("curl/8.1", "a program, curl/8.1"),
        ("Mozilla/5.0 (X11; Linux x86_64) Gecko", "a computer with Linux"),
        ("Mozilla/5.0 (Windows NT 10.0; Win64) Gecko", "a computer with Windows"),
        ("Mozilla/5.0 (Linux; Android 14) Mobile Safari", "a phone with Android"),
        ("Mozilla/5.0 (Linux; Android 14) Safari", "a tablet with Android"),
        ("Mozilla/5.0 (iPad; CPU OS 17_0 like Mac OS X) Mobile", "a tablet"),
        ("Mozilla/5.0 (iPhone; CPU iPhone OS 17_0 like Mac OS X) Mobile", "a phone"),
        ("Mozilla/5.0 (Macintosh; Intel Mac OS X 10_15)", "a computer with macOS"),
    ],
)
def test_a_device_is_known_again_by_its_kind(says: str, words: str) -> None:
    assert Device("an-id", says).words == words


def test_roles_stand_in_their_order() -> None:
    for i, one in enumerate(ROLES):
        assert [at_least(one, other) for other in ROLES] == [i >= j for j in range(len(ROLES))]
    assert NotAllowed("technician").problem != NotAllowed("lead").problem


@pytest.mark.parametrize(
    "pin", ["", "123", "123456789", "0000", "12a4", "１２３４", "1234", "4321", "890123", "1212", "470470", "98765432"]
)
def test_a_pin_that_is_none(pin: str) -> None:
    with pytest.raises(InputError):
        checked_pin(pin)


@pytest.mark.parametrize(("password", "name"), [("short", ""), ("x" * 201, ""), ("Ines Torvald", "ines torvald")])
def test_a_password_that_is_none(password: str, name: str) -> None:
    with pytest.raises(InputError):
        checked_password(password, name)


def test_secrets_are_known_again_by_their_hash_alone() -> None:
    assert is_right(WORDS, hashed(WORDS))
    assert not is_right(WORDS.upper(), hashed(WORDS))
    assert not is_right(WORDS, "")
    assert not is_right(WORDS, "$argon2id$broken")
    codes = {new_code() for _ in range(300)}
    assert len(codes) == 300
    assert all(as_code(c) == c and as_code(c.replace("-", "").lower()) == c for c in codes)


def wrong(attempts: Attempts, account: str, address: str) -> None:
    with pytest.raises(WrongSecret), attempts.judging(account, address):
        raise WrongSecret("No.", "Once more.")


def test_only_wrong_attempts_slow_each_twice_as_long_up_to_five_minutes() -> None:
    now = 0.0
    attempts, waits = Attempts(lambda: now), []
    for n in range(14):
        waits.append(0.0)
        while True:
            try:
                wrong(attempts, "account", f"another address {n}")
                break
            except TooSoon as soon:
                waits[-1] += soon.wait_s
                now += soon.wait_s
    assert waits[:8] == [0, 0, 0, 2, 4, 8, 16, 32]
    assert waits[-1] == max(waits) == 300
    wrong(attempts, "another account", "address")
    now += 301
    with pytest.raises(InputError), attempts.judging("account", "address"):
        raise InputError("Too short.", "More.")  # it was never judged: nothing is counted
    wrong(attempts, "account", "address")
    with pytest.raises(TooSoon):
        wrong(attempts, "account", "address")
    now += 301
    with attempts.judging("account", "address"):
        pass
    for _ in range(3):
        wrong(attempts, "account", "address")


def test_an_address_waits_a_minute_at_most_and_its_slips_fade_but_no_right_one_empties_them() -> None:
    now = 0.0
    attempts = Attempts(lambda: now)
    for n in range(20):
        with attempts.judging(f"right {n}", "address"):
            pass
        wrong(attempts, f"account {n}", "address")
    with pytest.raises(TooSoon), attempts.judging("anybody", "address"):
        raise AssertionError
    longest = 0
    for n in range(12):
        try:
            wrong(attempts, f"more {n}", "address")
        except TooSoon as soon:
            longest, now = max(longest, soon.wait_s), now + soon.wait_s
            wrong(attempts, f"more {n}", "address")
    assert longest == 60
    for minutes, free in ((180, 20), (15, 5), (3, 1)):  # all have faded, then five, then one
        now += 60 * minutes
        for n in range(free):
            wrong(attempts, f"later {minutes} {n}", "address")
        with pytest.raises(TooSoon):
            wrong(attempts, "later", "address")


def test_sixty_at_once_are_three_judged_and_five_pins(led: Shop, db: Path) -> None:
    """Each attempt is counted before it is hashed, so that many at once are not all judged."""
    attempts, judged = Attempts(), []

    def guess(n: int) -> None:
        with contextlib.suppress(TooSoon, WrongSecret), attempts.judging("account", "address"):
            judged.append(n)
            time.sleep(0.02)
            raise WrongSecret("No.", "Once more.")

    with ThreadPoolExecutor(60) as pool:
        list(pool.map(guess, range(60)))
    assert len(judged) == 3
    entered = sign_in(led.conn, "Ines Torvald", WORDS, TABLET, led.now)
    set_pin(led.conn, signed_in(led, entered.token), "4711", WORDS)

    def pin(n: int) -> str:
        with closing(connect(db)) as conn, pytest.raises(WrongSecret) as refused:
            switch(conn, "person-of-test", f"90{n:02d}", TABLET, led.now)
        return refused.value.problem

    with ThreadPoolExecutor(8) as pool:
        answers = Counter(pool.map(pin, range(42)))
    assert answers == {"That is not the PIN.": 5, "This PIN is locked after five wrong ones.": 37}


def test_an_account_is_counted_as_it_is_found(led: Shop) -> None:
    alike = ("Ines Torvald", "INES TORVALD", "ines torvald.", '"Ines" Torvald', "Ｉｎｅｓ  Ｔｏｒｖａｌｄ")
    assert {account_of(led.conn, name) for name in alike} == {"person-of-test"}
    assert {account_of(led.conn, name) for name in ("Tess", "tess.", "Ｔess", '"TESS"')} == {"unknown tess"}

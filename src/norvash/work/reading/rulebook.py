"""The rulebook as this site has it."""

from norvash.core.rules.book import Rulebook
from norvash.core.rules.catalogue import rulebook_with
from norvash.store.file.database import Connection
from norvash.store.record import rules


def rulebook(conn: Connection) -> Rulebook:
    """Return the rulebook with the site's overrides."""
    return rulebook_with(rules.list_overrides(conn))

"""The rulebook as this site has it."""

from norvash.core.rules.book import Rulebook
from norvash.core.rules.catalogue import rulebook_with
from norvash.store import rules
from norvash.store.database import Connection


def rulebook(conn: Connection) -> Rulebook:
    """Return the rulebook with the site's overrides."""
    return rulebook_with(rules.list_overrides(conn))

"""Pages, a module a working area."""

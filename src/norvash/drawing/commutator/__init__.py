"""The commutator drawn: its bars, its run-out, its cut."""

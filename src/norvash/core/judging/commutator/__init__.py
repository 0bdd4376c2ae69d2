"""Commutator: its size, bar map, run-out, bar test, cut and surface."""

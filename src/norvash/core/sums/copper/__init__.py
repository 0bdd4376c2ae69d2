"""Sums about commutator and windings."""

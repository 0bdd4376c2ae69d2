"""Sums of run-in, proof and generators."""
